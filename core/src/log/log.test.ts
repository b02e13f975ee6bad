import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gateViews } from '../lot/gateView'
import { heldFood, amendPreview } from '../lot/held'
import { bringIn, cook, household, load, Pen, weighIn } from '../test/pen'
import type { Entry } from './entries'
import { addEntries, compareEntries, EMPTY_LOG, foldLog, inOrder } from './fold'
import type { Struck } from './entries/struck'
import type { Saying } from './stamp'

describe('the log', () => {
  const sample = () => inOrder(cook(household(new Pen())).log)
  it('does not depend on the order in which entries arrive, nor on their arriving twice', () => {
    const entries = sample()
    const whole = foldLog(entries)
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...entries], { minLength: entries.length }),
        fc.nat(entries.length),
        (shuffled, cut) => {
          const merged = addEntries(
            addEntries(addEntries(EMPTY_LOG, shuffled.slice(0, cut)), shuffled.slice(cut)),
            shuffled.slice(0, 3),
          )
          expect(merged.state).toEqual(whole.state)
          expect(inOrder(merged)).toEqual(entries)
        },
      ),
      { numRuns: 200 },
    )
    expect(addEntries(whole, entries)).toBe(whole)
  })
  it('is ordered by moment, then by id', () => {
    const [a, b] = sample() as [Entry, Entry]
    expect(compareEntries(a, b)).toBe(-1)
    expect(compareEntries(b, a)).toBe(1)
    expect(compareEntries(a, a)).toBe(0)
    expect(compareEntries({ ...a, id: 'x' }, { ...a, id: 'y' })).toBe(-1)
    expect(compareEntries({ ...a, id: 'y' }, { ...a, id: 'x' })).toBe(1)
  })
  it('is as it was before, when an entry is struck out', () => {
    const pen = cook(household(new Pen()))
    for (const entry of inOrder(pen.log)) {
      const without = foldLog(inOrder(pen.log).filter(({ id }) => id !== entry.id))
      const strike = pen.stamp({ type: 'struck', entry: entry.id, why: 'test' })
      const struck = addEntries(pen.log, [strike])
      expect(struck.state).toEqual(without.state)
      const restored = addEntries(struck, [pen.stamp({ type: 'struck', entry: strike.id, why: 'it was right' })])
      expect(restored.state).toEqual(pen.log.state)
    }
  })
  it('takes nothing out for a forged ring of strike-outs, nor for one of an unknown entry', () => {
    const pen = new Pen()
    const ring = [
      pen.stamp({ type: 'struck', entry: 'e000002', why: 'a' }),
      pen.stamp({ type: 'struck', entry: 'e000001', why: 'b' }),
      pen.stamp({ type: 'struck', entry: 'nothing', why: 'c' }),
    ]
    expect(foldLog(ring).struck.size).toBeLessThan(2)
    expect(foldLog(ring.slice(2)).struck.size).toBe(0)
  })
  it('forgets a lot whose every entry is struck out', () => {
    const pen = household(new Pen())
    weighIn(pen)
    pen.write({ type: 'struck', entry: pen.lot().weighedIn?.entry ?? '', why: 'twice' })
    expect(pen.log.state.lots.size).toBe(0)
  })
})

describe('a proposed entry', () => {
  const refusal = (pen: Pen, saying: Saying, at?: string) => {
    const before = pen.log
    const { proposal } = pen.try(saying, at)
    if (!proposal.ok) expect(pen.log).toBe(before)
    return proposal.ok ? 'taken' : `${proposal.field}: ${proposal.message}`
  }
  const ready = () => cook(household(new Pen()))
  it('is refused in one sentence that names the field, and nothing changes', () => {
    const pen = ready()
    const served = (portions: Saying<'served'>['portions'], pack: string | null = null): Saying => ({
      type: 'served',
      lot: 'A',
      pack,
      dish: 'soup',
      portions,
    })
    expect(refusal(pen, served([{ eater: 'ann', mass_g: 701 }]))).toBe(
      'portions: There are only 700 g left of it. Give that or less.',
    )
    expect(refusal(pen, served([{ eater: 'ann', mass_g: 1 }], 'none'))).toBe('pack: There is no such pack of this lot.')
    expect(
      refusal(
        pen,
        served([
          { eater: 'ann', mass_g: 1 },
          { eater: 'ann', mass_g: 1 },
        ]),
      ),
    ).toBe('portions: Somebody is named twice.')
    expect(
      refusal(pen, {
        type: 'packed',
        lot: 'A',
        pack: 'p',
        store: 'frozen',
        mass_g: 800,
        containers: 1,
        storeTemp_C: -19,
      }),
    ).toBe('mass_g: There are only 700 g left of it. Give that or less.')
    expect(
      refusal(pen, {
        type: 'packed',
        lot: 'A',
        pack: 'p',
        store: 'frozen',
        mass_g: 80,
        containers: 1,
        storeTemp_C: -9,
      }),
    ).toBe('gates: Keep is closed. The store is at −9.0 °C; it must be at −18.0 °C or below.')
    expect(refusal(pen, { type: 'thrown-away', lot: 'A', pack: null, mass_g: 701, why: 'x' })).toBe(
      'mass_g: There are only 700 g left of it. Give that or less.',
    )
    expect(refusal(pen, { type: 'thrown-away', lot: 'A', pack: 'none', mass_g: 1, why: 'x' })).toBe(
      'mass_g: There are only 0 g left of it. Give that or less.',
    )
    expect(
      refusal(pen, {
        type: 'sorted',
        lot: 'A',
        stageSeen: 'young',
        kept_g: 1,
        trimmed_g: 0,
        trimmedTo: 'x',
        wash: null,
      }),
    ).toBe('lot: This lot is sorted already. Strike the earlier sorting out to do it again.')
    expect(refusal(pen, { type: 'way-chosen', lot: 'A', protocol: 'blanch and drain', goal: 'eat' })).toBe(
      'lot: The treatment has begun; its way cannot be changed now.',
    )
    expect(refusal(pen, { type: 'strays-sorted', lot: 'A', found: 0 })).toBe('lot: No stray was reported in this lot.')
    expect(refusal(pen, { type: 'certain-attested', lot: 'B' })).toBe('lot: There is no such lot. Weigh it in first.')
    expect(refusal(pen, { type: 'certain-attested', lot: 'A' }, '2027-05-15T08:00:00.000Z')).toBe(
      'at: That is before it was picked.',
    )
    expect(
      refusal(pen, { type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }, '2027-06-01T08:00:00.000Z'),
    ).toBe('at: That moment is still to come. Give a time that has passed.')
    expect(refusal(pen, { type: 'struck', entry: 'nothing', why: 'x' })).toBe(
      'entry: There is no such entry to strike out.',
    )
    const [some] = inOrder(pen.log)
    pen.write({ type: 'struck', entry: some?.id ?? '', why: 'x' })
    expect(refusal(pen, { type: 'struck', entry: some?.id ?? '', why: 'x' })).toBe(
      'entry: That entry is struck out already.',
    )
  })
  it('about a weighing in is held against the catalogue', () => {
    const pen = household(new Pen())
    const weigh = (over: Partial<Saying<'weighed-in'>>) =>
      refusal(pen, {
        type: 'weighed-in',
        lot: 'A',
        code: 'A',
        taxon: 'Urtica dioica',
        part: 'leafy-top',
        stage: 'young',
        patch: 'wall',
        mass_g: 100,
        pickedAt: pen.now,
        ...over,
      })
    expect(weigh({ taxon: 'Planta ignota' })).toBe(
      'taxon: Planta ignota is not in the catalogue, so nothing about it can be checked.',
    )
    expect(weigh({ taxon: 'Mercurialis perennis' })).toMatch(
      /^taxon: Mercurialis perennis is not food\. Irritant substances/,
    )
    expect(weigh({ part: 'tuber' })).toBe(
      'part: Nothing is on record about eating the tuber of Urtica dioica at this stage.',
    )
    expect(weigh({ stage: 'flowering' })).toMatch(/^stage: Once the flower strings hang .* Instead: young tops/)
    expect(weigh({ pickedAt: '2027-05-17T08:00:00.000Z' })).toBe('pickedAt: It cannot be weighed before it was picked.')
    expect(weigh({})).toBe('taken')
    expect(weigh({})).toBe('lot: This lot is weighed in already.')
  })
  it('about looking and counting is held against the vocabulary and itself', () => {
    const pen = household(new Pen())
    weighIn(pen)
    const look = (character: string, states: string[], answer: 'seen' | 'not-visible' = 'seen') =>
      refusal(pen, { type: 'tell-seen', lot: 'A', character, answer, states })
    expect(look('aura', ['green'])).toBe('character: aura is not a character that can be looked at.')
    expect(look('stemSection', ['opposite'])).toBe('states: opposite is not a state of this character.')
    expect(look('stemSection', [])).toBe('states: Say what you saw.')
    expect(look('stemSection', [], 'not-visible')).toBe('taken')
    const stand = (over: Partial<Saying<'stand-counted'>>) =>
      refusal(pen, {
        type: 'stand-counted',
        lot: 'A',
        stems: 10,
        taken: 5,
        wildlifeLooked: true,
        wildlifeOn: 0,
        othersPick: false,
        school: null,
        ...over,
      })
    expect(stand({ taken: 11 })).toBe('taken: You cannot have cut 11 of 10 stems.')
    expect(stand({ wildlifeOn: 11 })).toBe('wildlifeOn: More stems with wildlife than stems.')
    const sort = (over: Partial<Saying<'sorted'>>) =>
      refusal(pen, {
        type: 'sorted',
        lot: 'A',
        stageSeen: 'young',
        kept_g: 900,
        trimmed_g: 300,
        trimmedTo: 'stock',
        wash: null,
        ...over,
      })
    expect(sort({ kept_g: 1000 })).toBe('kept_g: Kept and trimmed make 1,300 g; the lot holds 1,240 g.')
    expect(sort({ stageSeen: 'flowering' })).toMatch(/^stageSeen: Once the flower strings hang/)
    expect(sort({ stageSeen: 'dormant' })).toBe('stageSeen: This part at this stage is not food.')
  })
  it('about a treatment keeps to its way, its mass and the clock', () => {
    const pen = household(new Pen())
    weighIn(pen)
    const begin = (over: Partial<Saying<'step-begun'>> = {}): Saying => ({
      type: 'step-begun',
      lot: 'A',
      protocol: 'blanch and drain',
      step: 2,
      load: 1,
      mass_g: 400,
      ...over,
    })
    expect(refusal(pen, begin())).toBe('lot: Sort and weigh it first.')
    expect(refusal(pen, { type: 'weighed', lot: 'A', mass_g: 1, after: 'cooking' })).toBe(
      'lot: Nothing has been cooked or dried yet.',
    )
    pen.write({
      type: 'sorted',
      lot: 'A',
      stageSeen: 'young',
      kept_g: 900,
      trimmed_g: 300,
      trimmedTo: 'stock',
      wash: null,
    })
    expect(refusal(pen, { type: 'way-chosen', lot: 'A', protocol: 'magic', goal: 'eat' })).toBe(
      'protocol: No way called “magic” is on record for this.',
    )
    expect(refusal(pen, { type: 'way-chosen', lot: 'A', protocol: 'blanch and drain', goal: 'tea' })).toBe(
      'goal: “blanch and drain” is not a way to tea.',
    )
    expect(refusal(pen, begin({ protocol: 'magic' }))).toBe(
      'protocol: The way chosen for this lot is “blanch and drain”.',
    )
    expect(refusal(pen, begin({ step: 9 }))).toBe('step: “blanch and drain” has no step 10.')
    expect(refusal(pen, begin({ mass_g: 901 }))).toBe('mass_g: There are only 900 g left of it. Give that or less.')
    const begun = pen.write(begin())
    expect(refusal(pen, begin())).toBe('step: A load is in it already. Take that one out first.')
    const done = (over: Partial<Saying<'step-done'>>): Saying => ({
      type: 'step-done',
      lot: 'A',
      begun: begun.id,
      outcome: 'done',
      minutes: 2,
      temp_C: 96,
      backToBoil_s: null,
      driedTo_g: null,
      checked: true,
      water: 'thrown',
      ...over,
    })
    expect(refusal(pen, done({}))).toBe('minutes: Only 1 min have passed since it began.')
    expect(refusal(pen, done({ begun: 'nothing' }))).toBe('begun: No load was begun under this entry.')
    expect(refusal(pen, done({ minutes: 0 }), pen.lot().weighedIn?.pickedAt)).toBe('at: It cannot end before it began.')
    pen.wait(2)
    pen.write(done({}))
    expect(refusal(pen, done({}))).toBe('begun: This load is finished already.')
    expect(
      refusal(pen, {
        type: 'packed',
        lot: 'A',
        pack: 'p',
        store: 'chilled',
        mass_g: 80,
        containers: 1,
        storeTemp_C: 3,
      }),
    ).toBe('lot: Some of its loads are done and some are not. Finish them before packing.')
    expect(refusal(pen, { type: 'thrown-away', lot: 'A', pack: null, mass_g: 80, why: 'x' })).toBe(
      'mass_g: Some of its loads are done and some are not. Finish them, or throw all of it away.',
    )
    expect(refusal(pen, { type: 'weighed', lot: 'A', mass_g: 700, after: 'cooking' })).toBe(
      'lot: Not every load has gone through yet. Weigh it when all are done.',
    )
    load(pen, 500)
    expect(refusal(pen, { type: 'weighed', lot: 'A', mass_g: 1801, after: 'cooking' })).toBe(
      'mass_g: 900 g went in; 1,801 g cannot have come out. Press it and weigh again.',
    )
    expect(refusal(pen, { type: 'weighed', lot: 'A', mass_g: 901, after: 'drying' })).toBe(
      'mass_g: There are only 900 g left of it. Give that or less.',
    )
    expect(refusal(pen, { type: 'thrown-away', lot: 'A', pack: null, mass_g: 80, why: 'dropped' })).toBe('taken')
  })
  it('to taste is refused until it is safe; an alarm is always taken', () => {
    const pen = bringIn(household(new Pen()))
    const taste = (alarm: 'soap' | null): Saying => ({
      type: 'tasted',
      lot: 'A',
      taster: 'ann',
      bitter: 1,
      astringent: 0,
      crumb: false,
      accepts: true,
      alarm,
    })
    expect(refusal(pen, taste(null))).toMatch(/^gates: Make safe is ajar\. Still to do: blanch\./)
    expect(
      refusal(bringIn(household(new Pen())), {
        type: 'tasted',
        lot: 'B',
        taster: 'ann',
        bitter: 1,
        astringent: 0,
        crumb: false,
        accepts: true,
        alarm: null,
      }),
    ).toContain('no such lot')
    expect(pen.try(taste('soap')).proposal.ok).toBe(true)
    const shut = refusal(pen, {
      type: 'served',
      lot: 'A',
      pack: null,
      dish: 'soup',
      portions: [{ eater: 'ann', mass_g: 5 }],
    })
    expect(shut).toMatch(/^gates: Identity is closed\. .* Also not open: Make safe and Palate\.$/)
  })
})

describe('a strike-out', () => {
  it('shows what it would change before it is made; servings stay facts and are listed', () => {
    const pen = cook(household(new Pen()))
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'frozen', mass_g: 300, containers: 1, storeTemp_C: -19 })
    pen.write({ type: 'served', lot: 'A', pack: null, dish: 'soup', portions: [{ eater: 'ann', mass_g: 30 }] })
    const tellSeen = inOrder(pen.log).find(({ type }) => type === 'tell-seen')
    const strike = pen.stamp({ type: 'struck', entry: tellSeen?.id ?? '', why: 'that was another plant' }) as Struck
    const preview = amendPreview(pen.log, strike, pen.context)
    expect(preview.gates).toEqual([
      { lot: 'A', gate: 'identity', from: 'open', to: 'ajar' },
      { lot: 'A', gate: 'keep', from: 'ajar', to: 'ahead' },
      { lot: 'A', gate: 'plate', from: 'ajar', to: 'ahead' },
    ])
    expect(preview.newlyHeld.packs.map(({ pack }) => pack)).toEqual(['p'])
    expect(preview.newlyHeld.servings).toMatchObject([{ dish: 'soup', eaters: ['ann'], gates: ['identity'] }])
    expect(heldFood(pen.context)).toEqual({ packs: [], servings: [] })
    pen.log = addEntries(pen.log, [strike])
    expect(heldFood(pen.context).servings).toHaveLength(1)
    expect(pen.lot().servings).toHaveLength(1)
    expect(gateViews(pen.lot(), pen.context)[0]?.state).toBe('ajar')
    const weighIn = inOrder(pen.log).find(({ type }) => type === 'weighed-in')
    expect(
      amendPreview(pen.log, pen.stamp({ type: 'struck', entry: weighIn?.id ?? '', why: 'x' }) as Struck, pen.context)
        .lotsGone,
    ).toEqual(['A'])
  })
})
