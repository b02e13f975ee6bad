import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import { fairShare, restYears } from '../take/share'
import { judge } from '../gates/judge'
import type { Saying } from '../log/stamp'
import { allowanceFor, cutBefore, restsUntil } from '../take/rest'
import { keptFor, purposeOf, PURPOSES, type SetAsideShares } from '../take/setAside'
import type { Part } from '../flora/vocabulary'
import { addEntries } from '../log/fold'
import { addDays } from '../quantity/instant'
import { bringIn, CLEAN, cook, FITTING_TELLS, household, load, Pen, START, tell, weighIn } from '../test/pen'
import { meetAll } from '../test/plants'
import { doNow } from './doNow'
import { dueList } from './due'
import { firstShut, gateViews } from './gateView'
import { loadsToGo, lotPlan, waterVerdict } from './lotPlan'
import { lotName, nextLotCode } from './lotName'
import { packView } from './packView'
import { freshnessOf } from '../freshness/freshness'
import { massBalance, ribbonOf } from './story'

const opened = () => household(new Pen())
const next = (pen: Pen) => doNow(pen.lot(), pen.context)
const states = (pen: Pen) =>
  gateViews(pen.lot(), pen.context)
    .map(({ state }) => state)
    .join(' ')

describe('the one thing to do now', () => {
  it('leads from the weighing in to the plate, one act after another, each with its time', () => {
    const pen = opened()
    weighIn(pen)
    expect(next(pen)).toMatchObject({
      act: { kind: 'look', character: 'leafSurface' },
      title: 'What is on the leaf?',
      detail: expect.stringMatching(/^It helps to rule out white snakeroot, .+ and \d+ more\.$/) as string,
    })
    expect(next(pen).by).toBe('2027-05-17T08:07:00.000Z')
    expect(states(pen)).toBe('ajar open ajar ahead ahead ahead ahead ahead')
    for (const [character, state] of FITTING_TELLS) tell(pen, character, state)
    expect(next(pen)).toMatchObject({ act: { kind: 'attest' }, title: 'Are you certain?' })
    pen.write({ type: 'certain-attested', lot: 'A' })
    expect(next(pen)).toMatchObject({
      act: { kind: 'count-stand' },
      detail: 'Say how many plants there were and how many you cut.',
    })
    pen.write({
      type: 'stand-counted',
      lot: 'A',
      stems: 2000,
      taken: 500,
      wildlifeLooked: true,
      wildlifeOn: 0,
      othersPick: false,
      school: null,
    })
    expect(next(pen)).toMatchObject({
      act: { kind: 'sort' },
      otherwise:
        'Raw in the kitchen: limp after 1 day, throw away after 2 days. At 5.0 °C or colder: 4 days and 8 days.',
    })
    expect(next(pen).detail).toBe(
      'Cut off: coarse lower stem, leaves with webs, rust or leaf mines. Estimate: 620 g to 1,054 g kept.',
    )
    pen.write({
      type: 'sorted',
      lot: 'A',
      stageSeen: 'young',
      kept_g: 900,
      trimmed_g: 320,
      trimmedTo: 'stock',
      wash: { water: 'safe', changes: 2 },
    })
    expect(next(pen)).toMatchObject({ act: { kind: 'begin-load', load: 1, left_g: 900 }, title: 'Now: blanch' })
    const begun = pen.write({
      type: 'step-begun',
      lot: 'A',
      protocol: 'blanch and drain',
      step: 2,
      load: 1,
      mass_g: 400,
    })
    expect(next(pen)).toMatchObject({ act: { kind: 'running', minutes: 2 }, title: 'Keep it at a rolling boil' })
    expect(next(pen).by).toBe(new Date(Date.parse(begun.at) + 120_000).toISOString())
    expect(dueList(pen.context)[0]).toMatchObject({ act: 'Nettle tops: take it out', running: true, overdue: false })
    pen.wait(1.5)
    pen.write({
      type: 'step-done',
      lot: 'A',
      begun: begun.id,
      outcome: 'done',
      minutes: 2.2,
      temp_C: 96,
      backToBoil_s: 50,
      driedTo_g: null,
      checked: true,
      water: 'thrown',
    })
    expect(next(pen)).toMatchObject({ act: { kind: 'begin-load', load: 2, left_g: 500 }, title: 'Next load: blanch' })
    load(pen, 500)
    expect(next(pen)).toMatchObject({ act: { kind: 'weigh', after: 'cooking' } })
    pen.write({ type: 'weighed', lot: 'A', mass_g: 700, after: 'cooking' })
    expect(next(pen)).toMatchObject({ act: { kind: 'taste' } })
    pen.write({
      type: 'tasted',
      lot: 'A',
      taster: 'ann',
      bitter: 1,
      astringent: 0,
      crumb: false,
      accepts: true,
      alarm: null,
    })
    expect(next(pen)).toMatchObject({ act: { kind: 'serve-or-pack' }, detail: '700 g are ready.' })
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'frozen', mass_g: 700, containers: 2, storeTemp_C: -19 })
    expect(next(pen)).toMatchObject({ act: { kind: 'done' }, by: null })
    expect(firstShut(gateViews(pen.lot(), pen.context))?.gate).toBe('plate')
  })
  it('asks for the washing that a way wants, once, and for another way where open water was used', () => {
    const dry = bringIn(household(new Pen()), { wash: null })
    const act = (pen: Pen) => doNow(pen.lot(), pen.context)
    // A nettle's way has nothing but the washing against grit; its boil comes after it.
    expect(act(dry)).toMatchObject({ act: { kind: 'wash' }, title: 'Wash it first', detail: /^Grit: / })
    const { proposal } = dry.copy().try({ type: 'washed', lot: 'none', wash: { water: 'safe', changes: 1 } })
    expect(proposal.ok).toBe(false)
    dry.write({ type: 'washed', lot: 'A', wash: { water: 'safe', changes: 1 } })
    expect(act(dry).act.kind).toBe('begin-load')
    expect(dry.try({ type: 'washed', lot: 'A', wash: { water: 'safe', changes: 1 } }).proposal).toMatchObject({ ok: false, field: 'lot' }) // prettier-ignore
    const boiled = bringIn(household(new Pen()), { wash: null })
    load(boiled, 900)
    expect(boiled.try({ type: 'washed', lot: 'A', wash: { water: 'germs', changes: 1 } }).proposal).toMatchObject({ ok: false, field: 'wash' }) // prettier-ignore
    expect(act(boiled).act.kind).toBe('wash')
    const unsorted = household(new Pen())
    weighIn(unsorted)
    expect(unsorted.try({ type: 'washed', lot: 'A', wash: { water: 'safe', changes: 1 } }).proposal.ok).toBe(false)
    // Grit leaves in open water too; the germs of the water end in the boil, and raw they do not.
    const open = bringIn(household(new Pen()), { wash: { water: 'germs', changes: 2 } })
    load(open, 900)
    expect(act(open).act.kind).toBe('weigh')
    const raw = bringIn(household(new Pen()), { wash: { water: 'germs', changes: 2 } })
    raw.write({ type: 'way-chosen', lot: 'A', protocol: 'raw, crushed or blended', goal: 'eat-raw' })
    for (const step of [2]) {
      const begun = raw.write({ type: 'step-begun', lot: 'A', protocol: 'raw, crushed or blended', step, load: 1, mass_g: 900 }) // prettier-ignore
      raw.wait(3)
      raw.write({ type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes: 3, temp_C: null, backToBoil_s: null, driedTo_g: null, checked: true, water: null }) // prettier-ignore
    }
    expect(act(raw)).toMatchObject({ title: 'Choose another way', detail: 'Washed so, this way does not remove all that harms.' }) // prettier-ignore
  })
  it('stops where a gate is closed, and where what would settle it cannot be seen any more', () => {
    const wrong = opened()
    weighIn(wrong)
    tell(wrong, 'leafArrangement', 'alternate')
    expect(next(wrong)).toMatchObject({ act: { kind: 'stop' }, title: 'Stop: not food' })
    const late = opened()
    weighIn(late)
    late.write({
      type: 'sorted',
      lot: 'A',
      stageSeen: 'young',
      kept_g: 900,
      trimmed_g: 320,
      trimmedTo: 'stock',
      wash: null,
    })
    expect(next(late)).toMatchObject({ act: { kind: 'stop' }, title: 'It cannot be cleared' })
    const stray = bringIn(opened())
    stray.write({ type: 'stray-reported', lot: 'A', what: 'a leaf', brokenUp: false })
    expect(next(stray).act.kind).toBe('sort-strays')
  })
  it('goes on to the next tell when one could not be told, and asks for meetings last', () => {
    const pen = opened()
    weighIn(pen)
    pen.write({ type: 'tell-seen', lot: 'A', character: 'leafSurface', answer: 'could-not-tell', states: [] })
    expect(next(pen).act).toMatchObject({ kind: 'look', character: 'stemSection' })
    const fresh = opened()
    for (const { id } of [...fresh.log.entries.values()].filter(({ type }) => type === 'plant-met'))
      fresh.write({ type: 'struck', entry: id, why: 'x' })
    bringIn(fresh)
    expect(next(fresh)).toMatchObject({ act: { kind: 'meet' }, title: 'Not yet: more sure days needed' })
  })
})

describe('a lot on screen', () => {
  it('is a ribbon that narrows where mass leaves it and stops where a gate is not open', () => {
    const pen = bringIn(opened())
    expect(ribbonOf(pen.lot(), pen.context)).toMatchObject({
      stopsAt: 4,
      before_g: [1240, 1240, 1240, 1240, 900, 900, 900, 900],
      hazard: [1, 1, 1, 1, 1, 1, 1, 1],
    })
    load(pen, 900)
    pen.write({ type: 'weighed', lot: 'A', mass_g: 700, after: 'cooking' })
    const ribbon = ribbonOf(pen.lot(), pen.context)
    expect(ribbon).toMatchObject({ stopsAt: 5, hazard: [1, 1, 1, 1, 0, 0, 0, 0] })
    expect(ribbon.after_g[4]).toBe(700)
    expect(ribbon.streams.map(({ gate, mass_g }) => [gate, mass_g])).toEqual([
      ['sort', 320],
      ['sort', 20],
      ['makeSafe', 200],
    ])
  })
  it('accounts for water taken up as well as lost', () => {
    const pen = bringIn(opened())
    load(pen, 900)
    pen.write({ type: 'weighed', lot: 'A', mass_g: 950, after: 'cooking' })
    expect(massBalance(pen.lot())).toMatchObject({ picked_g: 1240, takenUp_g: 50, inHand_g: 950 })
  })
  it('gives out no more than there was of it, whatever a scale adds in rounding', () => {
    const pen = cook(opened())
    pen.write({ type: 'thrown-away', lot: 'A', pack: null, mass_g: 700.4, why: 'x' })
    const { picked_g, left, inHand_g } = massBalance(pen.lot())
    expect(inHand_g).toBe(0)
    expect(left.reduce((sum, { mass_g }) => sum + mass_g, 0)).toBeCloseTo(picked_g, 6)
  })
  it('is called by plant, part and patch, and the next one is numbered on', () => {
    const pen = bringIn(opened())
    expect(lotName(pen.lot(), pen.context)).toEqual({
      title: 'Nettle tops',
      scientificName: 'Urtica dioica',
      patch: 'Wall',
    })
    expect(nextLotCode(pen.log.state, Date.parse(pen.now))).toBe('27-001')
    weighIn(pen, 100, '27-009')
    expect(nextLotCode(pen.log.state, Date.parse(pen.now))).toBe('27-010')
  })
  it('has a plan for this kitchen, and the water is kept only for clean ground and a table without infants or bad kidneys', () => {
    const pen = bringIn(opened())
    expect(lotPlan(pen.lot(), pen.context)?.steps[2]).toMatchObject({ op: 'blanch', temp_C: 96 })
    expect(lotPlan(pen.lot(), pen.context, { goal: 'dry' })?.way).toBe('dried for tea or powder')
    expect([loadsToGo(900, 180), loadsToGo(900.6, 180), loadsToGo(10, undefined)]).toEqual([5, 5, 1])
    expect(waterVerdict(pen.lot(), pen.context)).toEqual({
      keep: false,
      says: 'Throw away the water, not the food: unsafe for Bo (infant); Cy was not asked about allergies yet.',
    })
    const adult = { kind: 'adult', sensitivities: [] } as const
    pen.log = addEntries(pen.log, [
      pen.stamp({ type: 'eater-noted', eater: { id: 'bo', name: 'Bo', ...adult } }),
      pen.stamp({ type: 'eater-noted', eater: { id: 'cy', name: 'Cy', ...adult } }),
    ])
    expect(waterVerdict(pen.lot(), pen.context)).toMatchObject({
      keep: true,
      says: 'Keep the water for soup, or to cook grain in: Wall is not manured, and nobody at the table is an infant or has trouble with the kidneys.',
    })
  })
})

describe('the water of a step', () => {
  it('is kept nowhere in the catalogue where the record throws it away, however clean the ground and sound the table', () => {
    const told = { kept: 0, thrown: 0 }
    for (const taxon of CATALOGUE.taxa)
      for (const { part, stage, protocols } of taxon.uses)
        for (const { name: protocol, goals, steps } of protocols) {
          const pen = new Pen()
          pen.write({ type: 'ground-noted', patch: 'wall', name: 'Wall', facts: CLEAN })
          pen.write({ type: 'eater-noted', eater: { id: 'ann', name: 'Ann', kind: 'adult', sensitivities: [] } })
          const picked = {
            taxon: taxon.scientificName,
            part,
            stage,
            patch: 'wall',
            mass_g: 500,
            pickedAt: START,
          } as const
          pen.force({ type: 'weighed-in', lot: 'A', code: 'A', ...picked })
          pen.force({ type: 'way-chosen', lot: 'A', protocol, goal: goals[0] ?? 'eat' })
          const thrown = steps.filter(
            ({ op, water }) => water === 'discard' && !['wash', 'rinse', 'float-off'].includes(op),
          )
          const all = waterVerdict(pen.lot(), pen.context)
          if (thrown.length > 0) expect([protocol, all?.keep]).toEqual([protocol, false])
          // A load goes on by the way it was begun, whatever way is chosen meanwhile.
          pen.force({
            type: 'way-chosen',
            lot: 'A',
            protocol: protocols.at(-1)?.name ?? protocol,
            goal: goals[0] ?? 'eat',
          })
          for (const [index, { op, water }] of steps.entries()) {
            const says = waterVerdict(pen.lot(), pen.context, { protocol, step: index })
            if (says === undefined) continue
            expect([protocol, op, says.keep]).toEqual([protocol, op, water === 'may-keep'])
            told[says.keep ? 'kept' : 'thrown'] += 1
          }
        }
    expect(told.kept).toBeGreaterThan(50)
    expect(told.thrown).toBeGreaterThan(100)
  })
})

describe('a pack', () => {
  it('says NOT YET FOOD and what is due, whatever is done to the rest later', () => {
    const pen = bringIn(opened())
    pen.write({ type: 'packed', lot: 'A', pack: 'raw', store: 'chilled', mass_g: 200, containers: 1, storeTemp_C: 4 })
    load(pen, 700)
    pen.write({ type: 'packed', lot: 'A', pack: 'done', store: 'frozen', mass_g: 300, containers: 2, storeTemp_C: -20 })
    const [raw, done] = pen.lot().packs.map((pack) => packView(pen.lot(), pack, pen.context))
    expect(raw).toMatchObject({
      notYetFood: true,
      done: 'nothing yet',
      label: 'Nettle tops',
      patch: 'Wall',
      // From the picking, not from the packing.
      discardBy: '2027-05-20T08:07:00.000Z',
      state: 'good',
    })
    expect(raw?.due[0]).toBe('Still to do: blanch, against sting and soil bacteria.')
    expect(done).toMatchObject({ notYetFood: false, done: 'blanch and drain', due: [], held: [], state: 'good' })
    expect(done?.discardBy?.slice(0, 10)).toBe('2028-05-16')
    const later = (now: string) =>
      packView(pen.lot(), pen.lot().packs[1] as NonNullable<ReturnType<Pen['lot']>['packs'][1]>, {
        ...pen.context,
        now,
      }).state
    expect([
      later('2027-12-01T00:00:00.000Z'),
      later('2028-02-01T00:00:00.000Z'),
      later('2028-05-16T00:00:00.000Z'),
      later('2028-06-01T00:00:00.000Z'),
    ]).toEqual(['good', 'past-best', 'soon', 'discard'])
  })
  it('comes onto the due list when its day comes, overdue first', () => {
    const pen = cook(opened())
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'chilled', mass_g: 300, containers: 1, storeTemp_C: 4 })
    const due = (now: string) =>
      dueList({ ...pen.context, now }).map(({ act, overdue }) => `${act}${overdue ? ' (over)' : ''}`)
    expect(due(pen.now)).toEqual(['Nettle tops: serve or pack'])
    expect(due('2027-05-19T06:00:00.000Z')).toEqual(['Nettle tops: throw away (over)', 'Nettle tops: throw away'])
  })
})

describe('a fair share', () => {
  const nettle = CATALOGUE.taxa.find(({ scientificName }) => scientificName === 'Urtica dioica')
  const share = (over: Partial<Parameters<typeof fairShare>[0]> = {}) => {
    if (nettle === undefined) throw new RangeError('no nettle')
    return fairShare({
      taxon: nettle,
      part: 'leafy-top',
      stand: { pieces: 100 },
      wildlifeOn: 0,
      othersPick: false,
      clone: false,
      ...over,
    })
  }
  it('is rounded down, spares wildlife, is halved where others pick, and leaves tiny stands whole', () => {
    expect(share()).toMatchObject({ pieces: 33, school: 'a third', text: 'Fair share: 33 (a third of 100 stems).' })
    expect(share({ school: 'one in twenty' }).pieces).toBe(5)
    expect(share({ othersPick: true, wildlifeOn: 10 })).toMatchObject({
      pieces: 15,
      text: 'Fair share: 15 (a third of 90 stems, halved because others pick here, the 10 with insects or nests left).',
    })
    expect(share({ stand: { pieces: 9 } })).toMatchObject({
      pieces: 0,
      text: 'Only 9 stems: so small a stand is left whole.',
    })
    if (nettle === undefined) throw new RangeError('no nettle')
    expect(share({ taxon: { ...nettle, harvestTolerance: 'medium' } }).school).toBe('one in ten')
    expect(share({ taxon: { ...nettle, standing: 'uncommon' } }).school).toBe('one in twenty')
    expect([restYears(nettle), restYears({ ...nettle, harvestTolerance: 'low' })]).toEqual([1, 4])
  })
  it('exceeded, rests the patch and makes no food unfit', () => {
    const pen = cook(opened())
    expect(restsUntil(pen.log.state, CATALOGUE, 'wall', 'Urtica dioica')).toBeUndefined()
    pen.write({
      type: 'stand-counted',
      lot: 'A',
      stems: 600,
      taken: 500,
      wildlifeLooked: true,
      wildlifeOn: 0,
      othersPick: false,
      school: null,
    })
    expect(restsUntil(pen.log.state, CATALOGUE, 'wall', 'Urtica dioica')?.slice(0, 10)).toBe('2028-05-16')
    expect(restsUntil(pen.log.state, CATALOGUE, 'elsewhere', 'Urtica dioica')).toBeUndefined()
    expect(next(pen).act.kind).toBe('serve-or-pack')
  })
  it('is common to all who cut there until it has grown back, and to the same kind of taking', () => {
    const pen = meetAll(household(new Pen()))
    const bring = (lot: string, stems: number, taken: number, over: Partial<Saying<'stand-counted'>> = {}) => {
      weighIn(pen, 100, lot)
      const stand = { type: 'stand-counted', lot, stems, taken, wildlifeLooked: true, wildlifeOn: 0 } as const
      pen.write({ ...stand, othersPick: false, school: null, ...over })
      return judge('take', pen.lot(lot), pen.context).reasons.join(' ')
    }
    expect(bring('A', 90, 20)).toBe('You cut 20. Fair share: 30 (a third of 90 stems).')
    // Twenty of the ninety are gone: ten are left of the thirty, whoever counts again.
    expect(bring('B', 70, 10)).toBe('You cut 10, after 20 cut there before. Fair share: 30 (a third of 90 stems).')
    expect(restsUntil(pen.log.state, CATALOGUE, 'wall', 'Urtica dioica')).toBeUndefined()
    const third = pen.copy()
    expect(bring('C', 60, 1)).toMatch(/^You cut 1, after 30 cut there before; 0 was fair/)
    expect(restsUntil(pen.log.state, CATALOGUE, 'wall', 'Urtica dioica')).toBeDefined()
    const draw = { taxon: requireTaxon(CATALOGUE, 'Urtica dioica'), part: 'leafy-top', patch: 'wall' } as const
    const asked = { lots: third.log.state.lots, catalogue: CATALOGUE }
    const cut = (over: Partial<Parameters<typeof cutBefore>[0]> = {}) =>
      cutBefore({ lot: null, ...draw, at: third.now, byOthers: 0, ...over }, asked)
    expect(cut()).toBe(30)
    expect(cut({ byOthers: 7 })).toBe(37)
    expect(cut({ part: 'root' })).toBe(0)
    expect(cut({ patch: 'other' })).toBe(0)
    expect(cut({ taxon: requireTaxon(CATALOGUE, 'Allium ursinum') })).toBe(0)
    expect(cut({ at: addDays(third.now, 44) })).toBe(30)
    expect(cut({ at: addDays(third.now, 46) })).toBe(0)
    expect(cut({ at: third.lot('A').stand?.at ?? '' })).toBe(20)
    expect(cut({ at: addDays(third.now, -1) })).toBe(0)
  })
  it('is shared out as the cook said by then: more than that is told, and rests no patch', () => {
    const pen = meetAll(household(new Pen()))
    const split = { type: 'stand-set-aside', patch: 'wall', taxon: 'Urtica dioica' } as const
    const cut = (lot: string, stems: number, taken: number) => {
      weighIn(pen, 100, lot)
      const stand = { type: 'stand-counted', lot, stems, taken, wildlifeLooked: true, wildlifeOn: 0 } as const
      pen.write({ ...stand, othersPick: false, school: null })
    }
    const says = (lot: string) => judge('take', pen.lot(lot), pen.context).reasons.join(' ')
    pen.write({ ...split, shares: { greens: 0.1, seed: 0.6, guests: 0.2 } })
    // A tenth for greens and a tenth for nothing: a fifth of ninety. The school would let a third go.
    cut('A', 90, 18)
    expect(says('A')).toBe('You cut 18. Fair share: 30 (a third of 90 stems).')
    pen.write({ ...split, shares: { seed: 0.9 } })
    cut('B', 72, 2)
    expect(says('B')).toBe(
      'You cut 2, after 18 cut there before. Fair share: 30 (a third of 90 stems). Of this stand 9 of 90 are kept for leaves and tops; the rest for what else is wanted of it. That is 2 too many of them.',
    )
    expect(restsUntil(pen.log.state, CATALOGUE, 'wall', 'Urtica dioica')).toBeUndefined()
    // What was said later changes nothing of what was cut before, and another patch is another stand.
    expect(says('A')).toBe('You cut 18. Fair share: 30 (a third of 90 stems).')
    const draw = { lot: null, taxon: requireTaxon(CATALOGUE, 'Urtica dioica'), at: pen.now, byOthers: 0 }
    const counted = { stems: 100, wildlifeOn: 0, othersPick: false, school: null }
    const allowed = (part: Part, patch = 'wall') =>
      allowanceFor({ ...draw, part, patch }, counted, { ...pen.log.state, catalogue: CATALOGUE })
    expect(allowed('leafy-top', 'elsewhere')).toMatchObject({ ofPurpose: undefined, left: 33, purposeSays: '' })
    expect(allowed('seed')).toMatchObject({ ofPurpose: 10, left: 10, before: 0 })
  })
  it('is never let go beyond the share by what the stand is kept for, and no purpose takes another’s plants', () => {
    const shares = fc
      .array(fc.nat(1000), { minLength: PURPOSES.length + 1, maxLength: PURPOSES.length + 1 })
      .map((weights): SetAsideShares => {
        const all = Math.max(
          1,
          weights.reduce((sum, each) => sum + each, 0),
        )
        return Object.fromEntries(PURPOSES.map((purpose, index) => [purpose, (weights[index] ?? 0) / all]))
      })
    fc.assert(
      fc.property(fc.nat(5000), shares, (pieces, kept) => {
        const parts = ['leafy-top', 'flower', 'fruit', 'bark', 'sap', 'root'] as const
        const named = PURPOSES.reduce((sum, each) => sum + (kept[each] ?? 0), 0)
        for (const part of parts) {
          const own = kept[purposeOf(part)] ?? 0
          const may = keptFor(pieces, kept, part)
          expect(may).toBeLessThanOrEqual(pieces)
          // Its own and what is kept for nothing, to the whole piece.
          expect(may).toBeLessThanOrEqual(pieces * (own + 1 - named) + 1e-6)
          expect(may).toBeGreaterThan(pieces * (own + 1 - named) - 1 - 1e-6)
        }
      }),
    )
  })
  it('says of a picking in a month in which its patch is left alone for whom it was', () => {
    const pen = cook(opened())
    const month = Number(START.slice(5, 7))
    pen.write({ type: 'ground-noted', patch: 'wall', facts: { leftAlone: { months: [month], why: 'nests' } } })
    const verdict = judge('take', pen.lot(), pen.context)
    expect(verdict.state).toBe('open')
    expect(verdict.reasons.join(' ')).toMatch(/ Wall is left alone this month: nests\.$/)
    pen.write({ type: 'ground-noted', patch: 'wall', facts: { leftAlone: { months: [] } } })
    expect(judge('take', pen.lot(), pen.context).reasons.join(' ')).not.toMatch(/left alone/)
  })
  it('keeps limp greens that were crisped and wrapped as long as cold ones, and says what water does not bring back', () => {
    const pen = opened()
    weighIn(pen)
    const keeps = requireTaxon(CATALOGUE, 'Urtica dioica').uses[0]?.keepsRaw_days
    const picked = pen.lot().weighedIn?.pickedAt ?? ''
    const limpAt = () => freshnessOf(pen.lot(), pen.context).limpAt
    expect(limpAt()).toBe(addDays(picked, keeps?.ambient ?? 0))
    pen.write({ type: 'revived', lot: 'A', minutes: 25, chilled: true, looks: 'worse' })
    expect(limpAt()).toBe(addDays(picked, keeps?.ambient ?? 0))
    pen.write({ type: 'revived', lot: 'A', minutes: 25, chilled: true, looks: 'crisp' })
    // Four days cold, less what six minutes in the kitchen took of them.
    expect(limpAt()).toBe('2027-05-20T08:01:00.000Z')
    const flowers = pen.force({
      type: 'weighed-in',
      lot: 'F',
      code: 'F',
      taxon: 'Sambucus nigra',
      part: 'flower',
      stage: 'flowering',
      patch: 'wall',
      mass_g: 100,
      pickedAt: pen.now,
    })
    expect(flowers.type).toBe('weighed-in')
    expect(pen.try({ type: 'revived', lot: 'F', minutes: 25, chilled: true, looks: 'crisp' }).proposal).toMatchObject({
      message: 'Cold water does not bring flower back: use it now, or dry it.',
    })
    const cooked = cook(opened())
    expect(
      cooked.try({ type: 'revived', lot: 'A', minutes: 25, chilled: true, looks: 'crisp' }).proposal,
    ).toMatchObject({
      message: 'It is not raw any more: nothing of it can be revived.',
    })
  })
})
