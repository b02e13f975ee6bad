import { describe, expect, it } from 'vitest'
import { bringIn, cook, household, load, Pen, weighIn } from '../test/pen'
import { bringInKind, leachBaths, makeSafeKind, meetAll } from '../test/plants'
import { inOrder } from './fold'
import { propose } from './propose'
import type { Saying } from './stamp'

const refusal = (pen: Pen, saying: Saying, at?: string) => {
  const before = pen.log
  const { proposal } = pen.try(saying, at)
  if (!proposal.ok) expect(pen.log).toBe(before)
  return proposal.ok ? 'taken' : `${proposal.field}: ${proposal.message}`
}

describe('a proposed entry', () => {
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
    const look = (character: string, states: string[], answer: Saying<'tell-seen'>['answer'] = 'seen') =>
      refusal(pen, { type: 'tell-seen', lot: 'A', character, answer, states })
    expect(look('aura', ['green'])).toBe('character: aura is not a character that can be looked at.')
    expect(look('stemSection', ['opposite'])).toBe('states: in pairs (opposite) is not a state of this character.')
    expect(look('stemSection', [])).toBe('states: Say what you saw.')
    expect(look('stemSection', [], 'not-visible')).toBe('taken')
    expect(look('fruit', [], 'lay-about')).toBe('states: Say what you saw.')
    expect(look('fruit', ['nut-in-cup'], 'lay-about')).toBe('taken')
    expect(look('stemSection', ['square'], 'lay-about')).toBe('answer: Only what a plant sheds can lie about.')
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
      'goal: “blanch and drain” is not a way to make tea of it.',
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
    expect(refusal(pen, taste(null))).toMatch(
      /^gates: Make safe is to do\. Still to do: blanch, against sting and soil bacteria\./,
    )
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
    expect(shut).toMatch(/^gates: Identity is closed\. .* Also not open: Make safe and Taste\.$/)
  })
})

describe('what passes mass on', () => {
  const kitchen = () => meetAll(household(new Pen()))
  const left = (mass_g: number) => `There are only ${mass_g} g left of it. Give that or less.`
  const split = (mass_g: number, over: Partial<Saying<'split'>> = {}): Saying => ({
    type: 'split',
    lot: 'A',
    into: 'B',
    code: 'B',
    mass_g,
    why: 'x',
    ...over,
  })
  const join = (...parts: (readonly [string, number])[]): Saying => ({
    type: 'joined',
    lot: 'J',
    code: 'J',
    parts: parts.map(([lot, mass_g]) => ({ lot, mass_g })),
  })
  const pack = (id: string, mass_g: number): Saying => ({
    type: 'packed',
    lot: 'A',
    pack: id,
    store: 'frozen',
    mass_g,
    containers: 1,
    storeTemp_C: -19,
  })
  const serve = (mass_g: number, from: string | null): Saying => ({
    type: 'served',
    lot: 'A',
    pack: from,
    dish: 'soup',
    portions: [{ eater: 'ann', mass_g }],
  })
  const throwAway = (mass_g: number, from: string | null): Saying => ({
    type: 'thrown-away',
    lot: 'A',
    pack: from,
    mass_g,
    why: 'x',
  })
  const open = (id: string, mass_g: number, lot = 'A'): Saying => ({
    type: 'opened',
    lot,
    pack: id,
    into: 'O',
    code: 'O',
    mass_g,
  })
  it('gives what there is and half a gram, which a scale rounds away, from the right pack and from the hand', () => {
    const pen = cook(kitchen())
    expect(refusal(pen, split(700.6))).toBe(`mass_g: ${left(700)}`)
    expect(refusal(pen, join(['A', 700.6], ['A', 1]))).toBe(`parts: ${left(700)}`)
    expect(refusal(pen, pack('p', 100))).toBe('taken')
    expect(refusal(pen, pack('q', 200))).toBe('taken')
    for (const [id, held_g] of [
      ['p', 100],
      ['q', 200],
    ] as const) {
      expect(refusal(pen, serve(held_g + 0.6, id))).toBe(`portions: ${left(held_g)}`)
      expect(refusal(pen, throwAway(held_g + 0.6, id))).toBe(`mass_g: ${left(held_g)}`)
      expect(refusal(pen, open(id, held_g + 0.6))).toBe(`mass_g: ${left(held_g)}`)
      // There is as much; that it is more than a first taste is another gate's word.
      expect(refusal(pen, serve(held_g + 0.5, id))).toMatch(/^gates: Plate/)
      for (const saying of [throwAway(held_g + 0.5, id), open(id, held_g + 0.5)])
        expect(propose(pen.stamp(saying), pen.log, pen.catalogue, pen.now)).toEqual({ ok: true })
    }
    expect(refusal(pen, serve(400.5, null))).toMatch(/^gates: Plate/)
    for (const saying of [throwAway(400.5, null), split(400.5), pack('r', 400.5)])
      expect(propose(pen.stamp(saying), pen.log, pen.catalogue, pen.now)).toEqual({ ok: true })
    expect(refusal(pen, pack('r', 400.6))).toBe(`mass_g: ${left(400)}`)
    expect(refusal(pen, open('none', 1))).toBe('pack: There is no such pack of this lot.')
    expect(refusal(pen, open('p', 1, 'none'))).toBe('pack: There is no such pack of this lot.')
    expect(refusal(pen, split(1, { lot: 'none' }))).toBe('lot: There is no such lot. Weigh it in first.')
    expect(refusal(pen, split(1, { into: 'A' }))).toBe('code: There is a lot of that code already. Give another.')
    expect(refusal(pen, { ...join(['A', 1], ['A', 1]), lot: 'A' } as Saying)).toMatch(/^code:/)
    expect(refusal(pen, join(['A', 1], ['none', 1]))).toBe('parts: There is no lot none.')
    expect(pen.try(throwAway(100, 'p')).proposal.ok).toBe(true)
    expect(pen.lot().packs.map(({ mass_g }) => mass_g)).toEqual([0, 200])
    expect(pen.lot().mass_g).toBe(400)
    expect(pen.try(serve(30, 'q')).proposal.ok).toBe(true)
    expect(pen.try(throwAway(30, null)).proposal.ok).toBe(true)
    expect(pen.lot().packs.map(({ mass_g }) => mass_g)).toEqual([0, 170])
    expect(pen.lot().mass_g).toBe(370)
    expect(
      pen
        .lot()
        .flows.slice(-3)
        .map(({ what, to }) => `${what} to ${to}`),
    ).toEqual(['packed to frozen', 'packed to frozen', 'thrown-away to x'])
  })
  it('is not half treated, not stopped, and of one treatment or safe already', () => {
    const pen = bringIn(kitchen())
    bringInKind(pen, 'beet', 'C')
    bringInKind(pen, 'spruce', 'S')
    expect(refusal(pen, join(['A', 100], ['S', 50]))).toBe(
      'parts: They need different treatment: separate pots. Make each of them safe first, then join them.',
    )
    load(pen, 400)
    const HALF = 'Some of its loads are done and some are not. Finish them first.'
    expect(refusal(pen, split(100))).toBe(`lot: ${HALF}`)
    expect(refusal(pen, join(['A', 100], ['C', 50]))).toBe(`parts: Lot A: ${HALF}`)
    load(pen, 500)
    expect(refusal(pen, split(100))).toBe('taken')
    makeSafeKind(pen, 'beet', 'C')
    expect(refusal(pen, join(['B', 100], ['C', 50]))).toBe('taken')
    pen.write({ type: 'stray-reported', lot: 'A', what: 'a leaf', brokenUp: true })
    expect(refusal(pen, { ...join(['A', 100], ['C', 50]), lot: 'K' } as Saying)).toMatch(
      /^parts: Lot A is stopped and would stop all of it: .+ .+\.$/,
    )
  })
  it('is known and sorted before it is joined: in a batch neither could be made up for', () => {
    const pen = bringIn(kitchen())
    const whole = bringIn(pen.copy(), { lot: 'B' })
    expect(refusal(whole.copy(), join(['A', 100], ['B', 50]))).toBe('taken')
    const struck = (type: 'sorted' | 'certain-attested') => {
      const copy = whole.copy()
      const entry = inOrder(copy.log).findLast((each) => each.type === type)
      copy.write({ type: 'struck', entry: entry?.id ?? '', why: 'x' })
      return refusal(copy, join(['A', 100], ['B', 50]))
    }
    expect(struck('sorted')).toBe(
      'parts: Lot B: Sort is not open yet, and in a batch it could not be made up for. Go through it piece by piece, trim it, and weigh what goes on.',
    )
    expect(struck('certain-attested')).toMatch(
      /^parts: Lot B: Identity is not open yet, and in a batch it could not be made up for\. .+\.$/,
    )
  })
  it('to a patch, a lot, a pack or a person that is not here is refused', () => {
    const pen = cook(kitchen())
    expect(refusal(pen, pack('p', 100))).toBe('taken')
    expect(refusal(pen, { type: 'patch-turned', patch: 'none', why: 'x', since: null })).toBe(
      'patch: There is no such patch.',
    )
    const turned = (of: string, id: string | null): Saying => ({ type: 'food-turned', of, pack: id, why: 'x' })
    expect(refusal(pen, turned('none', null))).toBe('of: There is no such lot.')
    expect(refusal(pen, turned('A', 'none'))).toBe('pack: There is no such pack of this lot.')
    expect(refusal(pen, { type: 'felt-ill', eater: 'none', symptoms: 'x' })).toBe(
      'eater: Nobody of that name is known here.',
    )
    expect(refusal(pen, { type: 'felt-ill', eater: 'ann', symptoms: 'cramps' })).toBe('taken')
    expect(pen.log.state.house.ill).toEqual([{ eater: 'ann', symptoms: 'cramps', at: expect.any(String) as string }])
    expect(refusal(pen, turned('A', null))).toBe('taken')
    expect(refusal(pen, turned('A', 'p'))).toBe('taken')
    const numbers = { emergency: '1', poisonCentre: '2', doctor: '3' }
    expect(refusal(pen, { type: 'numbers-noted', ...numbers })).toBe('taken')
    expect(pen.log.state.house.numbers).toEqual(numbers)
    const twice = pen.stamp({ type: 'numbers-noted', ...numbers })
    const known = inOrder(pen.log)[0]
    expect(propose({ ...twice, id: known?.id ?? '' }, pen.log, pen.catalogue, pen.now)).toEqual({
      ok: false,
      field: 'id',
      message: 'This entry is in the log already.',
    })
    expect(() => propose({ ...twice, type: 'magic' } as never, pen.log, pen.catalogue, pen.now)).toThrow(/known entry/)
  })
})

describe('what is measured', () => {
  it('is measured: a place said to be cold or hot, a sample that stands, a store with something in it', () => {
    const pen = cook(household(new Pen()))
    const placed = (place: 'cold' | 'hot' | 'kitchen', temp_C: number | null): Saying => ({ type: 'placed', lot: 'A', place, temp_C }) // prettier-ignore
    expect(refusal(pen, placed('cold', null))).toBe('temp_C: Measure the place: 5.0 °C or below counts as cold.')
    expect(refusal(pen, placed('hot', null))).toBe('temp_C: Measure the food: 60.0 °C or above counts as hot.')
    for (const fine of [placed('kitchen', null), placed('cold', 9), placed('hot', 70)])
      expect(refusal(pen, fine)).toBe('taken')
    const sample = (over: Partial<Saying<'sample-dried'>>): Saying => ({ type: 'sample-dried', lot: 'A', wet_g: 20, before_g: 4, dry_g: 4, apart_min: 60, ...over }) // prettier-ignore
    expect(refusal(pen, sample({ before_g: 21 }))).toBe('before_g: A sample of 20 g cannot have grown to 21 g.')
    expect(refusal(pen, sample({ apart_min: 59 }))).toBe('apart_min: Weigh it again after 60 min or more.')
    for (const dry_g of [3.9, 4.1])
      expect(refusal(pen, sample({ dry_g }))).toMatch(/^dry_g: Its weight does not stand yet/)
    for (const dry_g of [3.97, 4.03]) expect(refusal(pen, sample({ dry_g }))).toBe('taken')
    const store = (pack: string, over: Partial<Saying<'store-read'>> = {}): Saying => ({ type: 'store-read', lot: 'A', pack, temp_C: 9, ...over }) // prettier-ignore
    expect(refusal(pen, store('p'))).toBe('pack: There is no such pack of this lot with something left in it.')
    for (const pack of ['p', 'q'])
      pen.write({ type: 'packed', lot: 'A', pack, store: 'chilled', mass_g: 50, containers: 1, storeTemp_C: 3 })
    expect(refusal(pen, store('p'))).toBe('taken')
    // The other pack stands elsewhere.
    expect(pen.lot().packs.map(({ readings }) => readings.length)).toEqual([1, 0])
    expect(refusal(pen, store('q', { simulated: true }))).toMatch(/^temp_C: A stand-in instrument measures nothing/)
    pen.force(store('q', { simulated: true }))
    expect(pen.lot().packs[1]?.readings).toEqual([])
    pen.write({ type: 'thrown-away', lot: 'A', pack: 'p', mass_g: 50, why: 'x' })
    expect(refusal(pen, store('p'))).toMatch(/^pack: There is no such pack/)
  })
})

describe('a bath', () => {
  const bath = (over: Partial<Saying<'bath-changed'>> = {}): Saying => ({
    type: 'bath-changed',
    lot: 'A',
    protocol: 'hot baths',
    step: 5,
    fresh: { water_mL: 4000, temp_C: 96 },
    ...over,
  })
  const crumb: Saying = {
    type: 'tasted',
    lot: 'A',
    taster: 'ann',
    bitter: 0,
    astringent: 0,
    crumb: true,
    accepts: false,
    alarm: null,
  }
  it('is of a sorted lot, of its own way, of a step of baths, and ends after it began', () => {
    const pen = meetAll(household(new Pen()))
    const whole = bringInKind(pen.copy(), 'acorns', 'A')
    const sorting = inOrder(whole.log).find(({ type }) => type === 'sorted')
    const unsorted = whole.copy()
    unsorted.write({ type: 'struck', entry: sorting?.id ?? '', why: 'x' })
    expect(refusal(unsorted, bath())).toBe('lot: Sort and weigh it first.')
    whole.write({ type: 'way-chosen', lot: 'A', protocol: 'hot baths', goal: 'eat' })
    expect(refusal(whole, bath({ protocol: 'cold baths' }))).toBe(
      'protocol: The way chosen for this lot is “hot baths”.',
    )
    expect(refusal(whole, bath({ step: 2 }))).toBe('step: Step 3 of “hot baths” is not one of baths.')
    expect(refusal(whole, bath({ step: 99 }))).toBe('step: Step 100 of “hot baths” is not one of baths.')
    expect(refusal(whole, bath({ fresh: { water_mL: 4000, temp_C: 96, flow_mL_min: 1000 } }))).toBe(
      'fresh: “hot baths” is a way with still water: it has no flow.',
    )
    const brook = whole.copy()
    brook.write({ type: 'way-chosen', lot: 'A', protocol: 'running water', goal: 'eat' })
    const flow: Saying = {
      ...bath({ protocol: 'running water', fresh: { water_mL: 4000, temp_C: 9, flow_mL_min: 1000 } }),
    }
    expect(refusal(brook, flow)).toBe('taken')
    expect(brook.lot().baths.at(-1)).toMatchObject({ flow_mL_min: 1000 })
    expect(refusal(whole, bath({ fresh: null }))).toBe('fresh: It lies in no water that could be poured off.')
    const begin: Saying = { type: 'step-begun', lot: 'A', protocol: 'hot baths', step: 5, load: 1, mass_g: 100 }
    expect(refusal(whole, begin)).toBe('step: This step is one of baths: pour fresh water on it.')
    expect(refusal(whole, { type: 'weighed', lot: 'A', mass_g: 1, after: 'cooking' })).toBe(
      'lot: Nothing has been cooked or dried yet.',
    )
    const since = whole.now
    expect(refusal(whole, bath(), since)).toBe('taken')
    expect(refusal(whole, bath({ fresh: null }), since)).toBe('at: It cannot end before it began.')
    expect(refusal(whole, { type: 'weighed', lot: 'A', mass_g: 1, after: 'cooking' })).toMatch(/^lot: Not every load/)
    const split: Saying = { type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 1, why: 'x' }
    expect(refusal(whole, split)).toMatch(/^lot: Some of its loads/)
    expect(refusal(whole, { type: 'way-chosen', lot: 'A', protocol: 'cold baths', goal: 'eat' })).toBe(
      'lot: The treatment has begun; its way cannot be changed now.',
    )
  })
  it('lets a crumb be tasted after the least number of baths, out of the water, and of a leach alone', () => {
    const pen = bringInKind(meetAll(household(new Pen())), 'acorns', 'A')
    expect(refusal(cook(household(new Pen())), crumb)).toBe(
      'crumb: A crumb is tasted only where a leach is ended by taste. This is not one.',
    )
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'hot baths', goal: 'eat' })
    leachBaths(pen, 'A', { protocol: 'hot baths', step: 5, count: 1, minutes: 15, taste: null })
    expect(refusal(pen, crumb)).toMatch(/^crumb: Only 1 of at least \d baths are done\. Nothing is tasted before\.$/)
    leachBaths(pen, 'A', { protocol: 'hot baths', step: 5, count: 9, minutes: 15, taste: null })
    expect(refusal(pen, bath())).toBe('taken')
    expect(refusal(pen, crumb)).toBe('crumb: It lies in the water. Pour it off, then taste a crumb.')
  })
})

describe('what an instrument or a stand-in tells', () => {
  it('counts of a real one alone, and of one that is off, not broken', () => {
    const pen = bringIn(household(new Pen()))
    const judged = (saying: Saying, simulated = false) => {
      const entry = { ...pen.stamp(saying), ...(simulated ? { simulated } : {}) } as ReturnType<Pen['stamp']>
      const proposal = propose(entry, pen.log, pen.catalogue, pen.now)
      return proposal.ok ? 'taken' : `${proposal.field}: ${proposal.message}`
    }
    const off = (offset: number): Saying => ({ type: 'instrument-set-right', instrument: 'ph', offset })
    const ph: Saying = { type: 'reading-taken', lot: 'A', what: 'ph', value: 3, instrument: 'pH meter' }
    const taste: Saying = {
      ...{ type: 'tasted', lot: 'A', taster: 'ann', bitter: 1, astringent: 0, crumb: false, accepts: true },
      alarm: 'soap',
    }
    expect([off(0.1), ph, taste].map((saying) => judged(saying))).toEqual(['taken', 'taken', 'taken'])
    expect([off(0.1), ph, taste].map((saying) => judged(saying, true))).toEqual([
      'instrument: A stand-in instrument measures nothing. Set a real one right.',
      'instrument: A stand-in instrument measures nothing. Read a real one, and note it by hand.',
      'taster: A stand-in tastes nothing. Taste it yourself, and note that.',
    ])
    // Five times what such a one is ordinarily off by is the most: 0.25 for this one.
    expect([1.25, -1.25].map((offset) => judged(off(offset)))).toEqual(['taken', 'taken'])
    for (const offset of [1.2501, -1.2501])
      expect(judged(off(offset))).toBe(
        'offset: The pH meter is off by 1.3 pH: that is not set right, it is broken. Read another.',
      )
  })
})

describe('the moment of an entry', () => {
  it('may run a minute ahead of this clock, and is judged as of itself', () => {
    const pen = household(new Pen())
    const met: Saying = { type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }
    const ahead = (seconds: number) => new Date(Date.parse(pen.now) + seconds * 1000).toISOString()
    expect(refusal(pen, met, ahead(61))).toMatch(/^at: /)
    expect(refusal(pen, met, ahead(60))).toBe('taken')
    const done = cook(household(new Pen()))
    const serve: Saying = { type: 'served', lot: 'A', pack: null, dish: 'x', portions: [{ eater: 'ann', mass_g: 1 }] }
    expect(refusal(done.copy(), serve)).toBe('taken')
    done.now = new Date(Date.parse(done.now) + 5 * 86_400_000).toISOString()
    expect(refusal(done.copy(), serve)).toMatch(/^gates: /)
    expect(refusal(done, serve, new Date(Date.parse(done.now) - 5 * 86_400_000 + 60_000).toISOString())).toBe('taken')
  })
  it('a timed minute is a minute, but for what a click takes', () => {
    const pen = bringIn(household(new Pen()))
    const begun = pen.write({
      type: 'step-begun',
      lot: 'A',
      protocol: 'blanch and drain',
      step: 2,
      load: 1,
      mass_g: 900.5,
    })
    const done = (minutes: number): Saying => ({
      type: 'step-done',
      lot: 'A',
      begun: begun.id,
      outcome: 'done',
      minutes,
      temp_C: null,
      backToBoil_s: null,
      driedTo_g: null,
      checked: true,
      water: 'thrown',
    })
    expect(refusal(pen, done(1.06))).toBe('minutes: Only 1 min have passed since it began.')
    expect(refusal(pen.copy(), done(1.05))).toBe('taken')
    expect(refusal(pen, done(0), begun.at)).toBe('taken')
    load(pen, 900)
    expect(refusal(pen.copy(), { type: 'weighed', lot: 'A', mass_g: 1800, after: 'cooking' })).toBe('taken')
    expect(refusal(pen.copy(), { type: 'weighed', lot: 'A', mass_g: 900.5, after: 'drying' })).toBe('taken')
    expect(refusal(pen, { type: 'weighed', lot: 'A', mass_g: 900.6, after: 'drying' })).toMatch(/^mass_g: /)
    const weighed = pen.copy()
    weighed.write({ type: 'weighed', lot: 'A', mass_g: 200, after: 'drying' })
    expect(weighed.lot().flows.at(-1)).toMatchObject({ to: 'the air', mass_g: 700 })
    pen.write({ type: 'weighed', lot: 'A', mass_g: 700, after: 'cooking' })
    expect(pen.lot().flows.at(-1)).toMatchObject({ to: 'cooking water', mass_g: 200 })
  })
  it('a stand, a kept share and a trim may come to all there was, and not to more', () => {
    const pen = household(new Pen())
    weighIn(pen)
    const stand = {
      type: 'stand-counted',
      lot: 'A',
      stems: 10,
      wildlifeLooked: true,
      othersPick: false,
      school: null,
    } as const
    expect(refusal(pen, { ...stand, taken: 10, wildlifeOn: 10 })).toBe('taken')
    const sort = { type: 'sorted', lot: 'A', stageSeen: 'young', trimmedTo: 'stock', wash: null } as const
    expect(refusal(pen, { ...sort, kept_g: 1000, trimmed_g: 240.6 })).toMatch(/^kept_g: /)
    expect(refusal(pen.copy(), { ...sort, kept_g: 1000, trimmed_g: 240.5 })).toBe('taken')
    expect(refusal(pen.copy(), { ...sort, kept_g: 1000, trimmed_g: 40, trimmedTo: 'soap' })).toBe('taken')
  })
})
