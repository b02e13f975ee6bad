import { describe, expect, it } from 'vitest'
import { emptyLot, type LotState } from '../lot/lotState'
import { creeper } from '../test/plants'
import { applyHouse, applyLineage, applyLot, lotsTouched, type Entry, type HouseEntry, type LotEntry } from './entries'
import { EMPTY_HOUSE, type HouseState } from './houseState'
import type { Saying } from './stamp'

const AT = '2027-05-16T08:00:00.000Z'
const LATER = '2027-05-16T09:00:00.000Z'
const stamped = <S extends Saying>(saying: S, at = AT) =>
  ({ id: `e-${saying.type}`, at, noted: at, book: 'b', by: 'c', device: 'd', ...saying }) as unknown as Entry
const house = (state: HouseState, ...sayings: readonly Saying[]) =>
  sayings.reduce((grown, saying) => applyHouse(grown, stamped(saying) as HouseEntry), state)
const lot = (...sayings: readonly Saying[]) =>
  sayings.reduce((grown, saying) => applyLot(grown, stamped(saying) as LotEntry), emptyLot('A'))
const lineage = (lots: readonly LotState[], saying: Saying) => {
  const all = new Map(lots.map((each) => [each.id, each]))
  applyLineage(all, stamped(saying, LATER) as never)
  return all
}

const PICKED: Saying<'weighed-in'> = {
  ...{ type: 'weighed-in', lot: 'A', code: '27-001', taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young' },
  ...{ patch: 'wall', mass_g: 500, pickedAt: AT },
}
const STAND: Saying<'stand-counted'> = {
  ...{ type: 'stand-counted', lot: 'A', stems: 90, taken: 9, wildlifeLooked: true, wildlifeOn: 0 },
  ...{ othersPick: false, school: null },
}

describe('what an entry leaves behind', () => {
  it('of an illness that was explained: that one eater’s until then, and nobody else’s', () => {
    const ill = (eater: string, at: string) =>
      stamped({ type: 'felt-ill', eater, symptoms: 'cramps' }, at) as HouseEntry
    const explained = stamped({ type: 'ill-explained', eater: 'ann', why: 'a cold' }, LATER) as HouseEntry
    const after = [ill('ann', AT), ill('bo', AT), ill('ann', LATER), ill('ann', '2027-05-17T08:00:00.000Z'), explained]
    expect(
      after.reduce(applyHouse, EMPTY_HOUSE).ill.map((each) => [each.eater, each.symptoms, each.explained]),
    ).toEqual([
      ['ann', 'cramps', 'a cold'],
      ['bo', 'cramps', undefined],
      ['ann', 'cramps', 'a cold'],
      ['ann', 'cramps', undefined],
    ])
  })
  it('of an eater who says less than before: what no longer holds, and nothing else', () => {
    const di = (over: Partial<Saying<'eater-noted'>['eater']>): Saying => ({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind: 'adult', sensitivities: [], ...over } }) // prettier-ignore
    const dropped = (...said: readonly Saying[]) => house(EMPTY_HOUSE, ...said).eaters['di']?.laxer?.dropped
    const two = di({ sensitivities: ['nut-allergy', 'kidney-stone'] })
    expect(dropped(two, di({ sensitivities: ['nut-allergy'] }))).toEqual(['kidney-stone'])
    expect(dropped(two, di({ sensitivities: ['nut-allergy', 'kidney-stone', 'pregnancy'] }))).toBeUndefined()
    expect(dropped(di({ sensitivities: null }), di({}))).toBeUndefined()
    expect(dropped(two, di({ sensitivities: null }))).toEqual(['nut-allergy', 'kidney-stone'])
    expect(dropped(di({ kind: 'infant' }), di({ kind: 'child' }))).toEqual(['infant'])
    expect(dropped(di({ kind: 'child' }), di({ kind: 'infant' }))).toBeUndefined()
    const cap = (taxon: string, perDay_g: number) => ({ ownCaps: [{ taxon, perDay_g }] })
    expect(dropped(di(cap('Urtica dioica', 50)), di(cap('Urtica dioica', 80)))).toHaveLength(1)
    expect(dropped(di(cap('Urtica dioica', 50)), di(cap('Urtica dioica', 50)))).toBeUndefined()
    expect(dropped(di(cap('Urtica dioica', 50)), di(cap('Allium ursinum', 20)))).toHaveLength(1)
  })
  it('of a stray in food that was cut or was on the fire, or in a batch of such: that it is broken up, whatever was said', () => {
    const stray = { type: 'stray-reported', lot: 'A', what: 'arum', brokenUp: false } as const
    expect(lot(PICKED, stray).strays).toMatchObject({ brokenUp: false, pending: 1 })
    const cut = lot(PICKED, { type: 'cut-up', lot: 'A', how: 'cut' })
    const heated = lot(PICKED, { type: 'step-begun', lot: 'A', protocol: 'blanch and drain', step: 2, load: 1, mass_g: 500 }) // prettier-ignore
    for (const broken of [cut, heated]) expect(applyLot(broken, stamped(stray) as LotEntry).strays.brokenUp).toBe(true)
    const batch = lineage([cut], { type: 'joined', lot: 'B', code: 'B', parts: [{ lot: 'A', mass_g: 100 }] }).get('B')
    const whole = lineage([lot(PICKED)], { type: 'joined', lot: 'B', code: 'B', parts: [{ lot: 'A', mass_g: 100 }] }).get('B') // prettier-ignore
    expect([batch, whole].map((each) => each && applyLot(each, stamped(stray) as LotEntry).strays.brokenUp)).toEqual([true, false]) // prettier-ignore
  })
  it('of the household: what was said, and nothing where nothing was said', () => {
    const met = { type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' } as const
    const meetings = (more: Partial<Saying<'plant-met'>>) => house(EMPTY_HOUSE, { ...met, ...more }).meetings
    expect(meetings({})).toStrictEqual({ 'Urtica dioica': [{ at: AT, by: 'c', stage: 'young' }] })
    expect(meetings({ patch: 'wall', mentor: 'Ann' })).toStrictEqual({
      'Urtica dioica': [{ at: AT, by: 'c', stage: 'young', patch: 'wall', mentor: 'Ann' }],
    })
    const noted = { type: 'ground-noted', patch: 'wall', name: 'Wall', facts: { dogs: 'none' } } as const
    const patches = (...more: readonly Partial<Saying<'ground-noted'>>[]) =>
      house(EMPTY_HOUSE, ...more.map((each) => ({ ...noted, ...each }))).patches['wall']
    const facts = { dogs: { value: 'none', at: AT } }
    const notes = [{ at: AT, facts: { dogs: 'none' } }]
    const position = { latitude_deg: 47, longitude_deg: 8 }
    expect(patches({})).toStrictEqual({ id: 'wall', name: 'Wall', facts, notes })
    const lies = { elevation_m: 700, position }
    expect(patches(lies)).toStrictEqual({ id: 'wall', name: 'Wall', facts, notes, ...lies })
    // What was told of where it lies stays when only its ground is noted again.
    expect(patches(lies, {})).toStrictEqual({ id: 'wall', name: 'Wall', facts, notes: [...notes, ...notes], ...lies })
    const gift = { type: 'gave-back', patch: 'wall', what: 'seed-scattered', count: 40 } as const
    const given = house(
      EMPTY_HOUSE,
      { ...gift, taxon: 'Allium ursinum' },
      { ...gift, what: 'holes-filled', count: null },
    )
    expect(given).toStrictEqual({
      ...EMPTY_HOUSE,
      gifts: {
        wall: [
          { at: AT, what: 'seed-scattered', count: 40, taxon: 'Allium ursinum' },
          { at: AT, what: 'holes-filled', count: null },
        ],
      },
    })
    const plan = { day: '2027-05-17', company: ['Bo'], plates: 3, wishes: [] }
    const planned = house(
      given,
      { type: 'outing-planned', outing: 'o', ...plan },
      { type: 'outing-planned', outing: 'p', ...plan, plates: 4 },
    )
    expect(planned).toStrictEqual({
      ...given,
      outings: { o: { id: 'o', at: AT, ...plan }, p: { id: 'p', at: AT, ...plan, plates: 4 } },
    })
    const own = creeper({ scientificName: 'Hirtulia alta' })
    expect(
      house(planned, { type: 'plant-recorded', plant: own }, { type: 'plant-recorded', plant: creeper() }).ownPlants,
    ).toStrictEqual({ 'Hirtulia alta': own, [creeper().scientificName]: creeper() })
  })
  it('of a picking: as it was weighed, counted and sorted', () => {
    const picked = {
      ...{ entry: 'e-weighed-in', code: '27-001', taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young' },
      ...{ patch: 'wall', mass_g: 500, pickedAt: AT },
    }
    expect(lot(PICKED).weighedIn).toStrictEqual(picked)
    const more = { counted: 60, took_min: 25, outing: 'o' }
    expect(lot({ ...PICKED, ...more }).weighedIn).toStrictEqual({ ...picked, ...more })
    const stand = {
      ...{ stems: 90, taken: 9, wildlifeLooked: true, wildlifeOn: 0, othersPick: false, school: null },
    }
    expect(lot(PICKED, STAND).stand).toStrictEqual({ at: AT, ...stand })
    expect(lot(PICKED, { ...STAND, cutByOthers: 0, clone: false }).stand).toStrictEqual({
      at: AT,
      ...stand,
      cutByOthers: 0,
      clone: false,
    })
    const sort = { type: 'sorted', lot: 'A', stageSeen: 'young', trimmedTo: 'compost', wash: null } as const
    const weighed = lot(PICKED, { ...sort, kept_g: 400, trimmed_g: 70 })
    expect(weighed.mass_g).toBe(400)
    expect(weighed.flows).toEqual([
      { at: AT, what: 'trimmed', mass_g: 70, to: 'compost' },
      { at: AT, what: 'lost-in-sorting', mass_g: 30, to: 'drips and dust' },
    ])
    // By count it was about 500; the scale says 620, and what was taken to be there is corrected, not lost.
    const counted = lot({ ...PICKED, counted: 60 }, { ...sort, kept_g: 550, trimmed_g: 70 })
    expect(counted.mass_g).toBe(550)
    expect(counted.weighedIn?.mass_g).toBe(620)
    expect(counted.flows.map(({ mass_g }) => mass_g)).toEqual([70, 0])
  })
  it('of a load and a bath: the end belongs to its own beginning', () => {
    const begin = { type: 'step-begun', lot: 'A', protocol: 'p', step: 2, load: 1, mass_g: 200 } as const
    const done = { outcome: 'done', minutes: 2, temp_C: null, backToBoil_s: null } as const
    const rest = { driedTo_g: null, checked: true, water: 'thrown' } as const
    const two = applyLot(
      applyLot(lot(PICKED, begin), { ...stamped({ ...begin, mass_g: 300 }), id: 'second' } as LotEntry),
      { ...stamped({ type: 'step-done', lot: 'A', begun: 'second', ...done, ...rest }, LATER) } as LotEntry,
    )
    expect(two.runs.map((run) => [run.entry, run.done === null])).toEqual([
      ['e-step-begun', true],
      ['second', false],
    ])
    // What is ended already stays as it ended.
    const again = applyLot(
      two,
      stamped({ type: 'step-done', lot: 'A', begun: 'second', ...done, ...rest, minutes: 9 }, LATER) as LotEntry,
    )
    expect(again.runs).toEqual(two.runs)
    const bath = { type: 'bath-changed', lot: 'A', protocol: 'p', step: 5 } as const
    const poured = lot(PICKED, { ...bath, fresh: { water_mL: 900, temp_C: 8 } }, { ...bath, fresh: null })
    expect(poured.baths).toHaveLength(1)
    expect(poured.baths[0]).toMatchObject({ water_mL: 900, begunAt: AT, endedAt: AT })
    const added = lot(PICKED, { type: 'ingredient-added', lot: 'A', name: 'salt', mass_g: 20 } as Saying)
    expect(added.flows).toEqual([{ at: AT, what: 'added', mass_g: -20, to: 'salt' }])
    expect(added.mass_g).toBe(520)
  })
  it('of a stand-in: what it told in the demonstration, and nothing elsewhere; of a taste only the notes that were given', () => {
    const reading = { type: 'reading-taken', lot: 'A', what: 'ph', value: 3.5, instrument: 'pH meter' } as const
    const taste: Saying<'tasted'> = {
      ...{
        type: 'tasted',
        lot: 'A',
        taster: 'ann',
        bitter: 1,
        astringent: 2,
        crumb: true,
        accepts: false,
        alarm: null,
      },
    }
    const offset = { type: 'instrument-set-right', instrument: 'ph', offset: 0.1 } as const
    const from = (book: string, simulated: boolean) => {
      const written = (saying: Saying) => ({ ...stamped(saying), book, ...(simulated ? { simulated: true } : {}) })
      const told = [reading, taste].reduce((grown, each) => applyLot(grown, written(each) as LotEntry), emptyLot('A'))
      const { setRight } = applyHouse(EMPTY_HOUSE, written(offset) as HouseEntry)
      return [told.readings.length, told.tastes.length, setRight]
    }
    const right = { ph: { offset: 0.1, at: AT } }
    expect(from('demo', true)).toEqual([1, 1, right])
    expect(from('b', true)).toEqual([0, 0, {}])
    expect(from('b', false)).toEqual([1, 1, right])
    const both = house(EMPTY_HOUSE, offset, { ...offset, instrument: 'scale', offset: 3 })
    expect(both.setRight).toEqual({ ...right, scale: { offset: 3, at: AT } })
    const stop = (state: 'ready' | 'past') =>
      ({ type: 'stop-noted', patch: 'wall', finds: [{ taxon: 'x', part: 'leaf', state }] }) as const
    expect(house(EMPTY_HOUSE, stop('ready'), stop('past')).stops).toEqual({
      wall: [stop('ready'), stop('past')].map(({ finds }) => ({ at: AT, finds })),
    })
    expect(lot(reading).readings).toEqual([{ at: AT, what: 'ph', value: 3.5, instrument: 'pH meter' }])
    const { type, lot: of, ...fact } = taste
    expect([type, of]).toEqual(['tasted', 'A'])
    expect(lot(taste).tastes).toStrictEqual([{ at: AT, ...fact }])
    const full = { ...taste, notes: { sour: 3 }, aftertaste: 4 }
    expect(lot(full).tastes).toStrictEqual([{ at: AT, ...fact, notes: { sour: 3 }, aftertaste: 4 }])
    const weights = (['cooking', 'drying', 'pressing'] as const).map(
      (after) => ({ type: 'weighed', lot: 'A', mass_g: 400, after }) as const,
    )
    expect(weights.map((each) => lot(PICKED, each).flows.at(-1))).toMatchObject([
      { what: 'cooking', mass_g: 100, to: 'cooking water' },
      { what: 'drying', mass_g: 100, to: 'the air' },
      { what: 'pressing', mass_g: 100, to: 'the baths' },
    ])
  })
  it('of mass that passes on: told in both lots, and of nothing that is not there', () => {
    const whole = { ...lot(PICKED), id: 'A' }
    const other = { ...lot(PICKED), id: 'B' }
    const cut = lineage([whole], { type: 'split', lot: 'A', into: 'C', code: 'C', mass_g: 200, why: 'x' })
    expect(cut.get('A')).toMatchObject({ mass_g: 300, lastAt: LATER, flows: [{ what: 'split', mass_g: 200, to: 'C' }] })
    const join: Saying<'joined'> = {
      ...{ type: 'joined', lot: 'J', code: 'J' },
      parts: [
        { lot: 'A', mass_g: 100 },
        { lot: 'B', mass_g: 900 },
        { lot: 'none', mass_g: 50 },
        { lot: 'J', mass_g: 50 },
      ],
    }
    const joined = lineage([whole, other, { ...lot(PICKED), id: 'J' }], join)
    expect(joined.get('J')?.joined.map(({ lotThen, mass_g }) => [lotThen.id, mass_g])).toEqual([
      ['A', 100],
      ['B', 500],
    ])
    expect(joined.get('A')?.flows).toEqual([{ at: LATER, what: 'joined', mass_g: 100, to: 'J' }])
    expect(joined.get('A')).toMatchObject({ mass_g: 400, lastAt: LATER })
    expect(joined.has('none')).toBe(false)
    const pack = { type: 'packed', lot: 'A', store: 'frozen', containers: 1, storeTemp_C: -19 } as const
    const packed = lot(PICKED, { ...pack, pack: 'p', mass_g: 100 }, { ...pack, pack: 'q', mass_g: 150 })
    const open = (id: string, of = 'A') =>
      lineage([packed], { type: 'opened', lot: of, pack: id, into: 'O', code: 'O', mass_g: 60 })
    expect(
      open('q')
        .get('A')
        ?.packs.map(({ id, mass_g }) => [id, mass_g]),
    ).toEqual([
      ['p', 100],
      ['q', 90],
    ])
    expect(open('q').get('O')?.mass_g).toBe(60)
    expect(open('none').has('O')).toBe(false)
    expect(open('p', 'none').size).toBe(1)
    const serve = { type: 'served', lot: 'A', dish: 'soup', portions: [{ eater: 'ann', mass_g: 40 }] } as const
    const fromPack = applyLot(packed, stamped({ ...serve, pack: 'q' }) as LotEntry)
    expect(fromPack.packs.map(({ mass_g }) => mass_g)).toEqual([100, 110])
    expect(fromPack.mass_g).toBe(packed.mass_g)
    // What was eaten is judged as it was: out of a pack as it went in, else as it stood.
    expect(fromPack.servings[0]?.lotThen).toBe(packed.packs[1]?.lotThen)
    const fromLot = applyLot(packed, stamped({ ...serve, pack: null }) as LotEntry)
    expect(fromLot.mass_g).toBe(packed.mass_g - 40)
    expect(fromLot.servings[0]?.lotThen).toBe(packed)
    expect(fromLot.flows.at(-1)).toEqual({ at: AT, what: 'served', mass_g: 40, to: 'soup' })
  })
  it('touches the lots it names, and the household none', () => {
    expect(lotsTouched(stamped(PICKED))).toEqual(['A'])
    expect(lotsTouched(stamped({ type: 'plant-met', taxon: 'x', stage: 'young' }))).toEqual([])
    expect(lotsTouched(stamped({ type: 'split', lot: 'A', into: 'C', code: 'C', mass_g: 1, why: 'x' }))).toEqual([
      'A',
      'C',
    ])
  })
  it('never changes what it was applied to', () => {
    const before = lot(PICKED)
    const kept = structuredClone(before)
    const seen = applyLot(
      before,
      stamped({ type: 'weighed', lot: 'A', mass_g: 1, after: 'cooking' }, LATER) as LotEntry,
    )
    expect(before).toEqual(kept)
    expect(seen).not.toBe(before)
    expect(seen.lastAt).toBe(LATER)
  })
})
