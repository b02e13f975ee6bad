import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { StoreRule } from '../flora/taxon'
import { bringIn, household, Pen } from '../test/pen'
import type { Saying } from '../log/stamp'
import { bringInKind, leachBaths, makeSafeKind, meetAll, runStep } from '../test/plants'
import { judge } from './judge'
import { storedAs } from '../freshness/storedAs'
import { eaterVerdict, plateGate } from './plate'

const opened = () => meetAll(household(new Pen()))

/** A sorted nettle lot of 900 g whose record allows only these stores. */
function lotWithStore(limit: StoreRule['limit'], store: StoreRule['store']): Pen {
  const rule: StoreRule = { store, after: 'raw', limit, keeps: { low: 1, high: 2, unit: 'months' }, says: 'Kept.' }
  const taxa = CATALOGUE.taxa.map((taxon) =>
    taxon.scientificName === 'Urtica dioica'
      ? { ...taxon, uses: taxon.uses.map((use) => ({ ...use, stores: [rule] })) }
      : taxon,
  )
  return bringIn(household(new Pen({ ...CATALOGUE, taxa })))
}

describe('a store by its measure', () => {
  const keep = (pen: Pen, store: StoreRule['store']) => {
    const { state, reasons } = judge('keep', pen.lot(), pen.context, { keep: { store, storeTemp_C: null } })
    return `${state}: ${reasons.join(' ')}`
  }
  const read = (pen: Pen, what: 'ph' | 'brix', value: number) =>
    pen.write({ type: 'reading-taken', lot: 'A', what, value, instrument: 'meter' })
  const add = (pen: Pen, what: 'salt' | 'sugar', mass_g: number) =>
    pen.write({ type: 'ingredient-added', lot: 'A', what, name: what, mass_g })
  it('of acid takes the last pH, the limit itself included, and no other reading', () => {
    const pen = lotWithStore({ measure: 'ph', atMost: 4.2 }, 'soured')
    read(pen, 'brix', 3)
    expect(keep(pen, 'soured')).toBe('ajar: Measure the pH in the middle of the largest piece: 4.2 or below.')
    read(pen, 'ph', 4.3)
    expect(keep(pen, 'soured')).toBe('closed: pH 4.3; it must be 4.2 or below.')
    read(pen, 'ph', 4.2)
    read(pen, 'brix', 9)
    expect(keep(pen, 'soured')).toBe('open: Kept.')
    // What is put to it afterwards is not in the reading.
    add(pen, 'salt', 20)
    expect(keep(pen, 'soured')).toMatch(/^ajar: Measure the pH/)
    read(pen, 'ph', 4.1)
    expect(keep(pen, 'soured')).toBe('open: Kept.')
  })
  it('of sugar takes the last Brix, the limit itself included', () => {
    const pen = lotWithStore({ measure: 'sugar', atLeast_brix: 65 }, 'sugared')
    expect(keep(pen, 'sugared')).toBe('ajar: Measure the sugar: 65 Brix or more.')
    read(pen, 'brix', 64)
    expect(keep(pen, 'sugared')).toBe(
      'closed: 64 Brix; it must be 65 or more. Boil it down, or keep it cold and eat it soon.',
    )
    read(pen, 'brix', 65)
    expect(keep(pen, 'sugared')).toBe('open: Kept.')
  })
  it('of salt reckons its share of everything put together, addition by addition', () => {
    const pen = lotWithStore({ measure: 'salt-share', atLeast: 0.2 }, 'salted')
    add(pen, 'sugar', 100)
    expect(keep(pen, 'salted')).toBe('ajar: Weigh in the salt: at least 20 % of the whole.')
    add(pen, 'salt', 250)
    expect(keep(pen, 'salted')).toBe('open: Kept.')
    add(pen, 'sugar', 1250)
    expect(keep(pen, 'salted')).toBe('closed: Salt is 10 % of the whole; it must be at least 20 % of the whole.')
  })
})

describe('what had been done to a lot before it was stored', () => {
  const as = (pen: Pen, lot: string) => storedAs(pen.lot(lot), pen.context)
  const join = (pen: Pen, lot: string, parts: readonly string[]) =>
    pen.write({
      type: 'joined',
      lot,
      code: lot,
      parts: parts.map((id) => ({ lot: id, mass_g: pen.lot(id).mass_g })),
    })
  const dry = (pen: Pen, lot: string) => {
    const protocol = 'dried for tea or powder'
    pen.write({ type: 'way-chosen', lot, protocol, goal: 'dry' })
    const begun = pen.write({ type: 'step-begun', lot, protocol, step: 2, load: 1, mass_g: 900 })
    pen.wait(1000).write({
      type: 'step-done',
      lot,
      begun: begun.id,
      outcome: 'done',
      minutes: 900,
      temp_C: 40,
      backToBoil_s: null,
      driedTo_g: 105,
      checked: true,
      water: null,
    })
    return pen
  }
  it('is of a batch what it was of all of it, else nothing; and what was done to it since', () => {
    const dried = dry(dry(bringInKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'B'), 'A'), 'B')
    expect(as(dried, 'A')).toBe('dried')
    join(dried, 'J', ['A', 'B'])
    expect(as(dried, 'J')).toBe('dried')
    const mixed = dry(bringInKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'B'), 'A')
    join(mixed, 'J', ['A', 'B'])
    expect(as(mixed, 'J')).toBe('raw')
    runStep(mixed, 'nettle', 'J', 2, { minutes: 3 })
    expect(as(mixed, 'J')).toBe('treated')
    const safe = makeSafeKind(bringInKind(opened(), 'beet', 'A'), 'beet', 'A')
    makeSafeKind(bringInKind(safe, 'acorns', 'B'), 'acorns', 'B')
    join(safe, 'J', ['A', 'B'])
    expect(as(safe, 'J')).toBe('treated')
  })
  it('is not dried where it lay in water since, by whatever way another device says', () => {
    const pen = dry(bringInKind(opened(), 'nettle', 'A'), 'A')
    const bath = (fresh: Saying<'bath-changed'>['fresh']) =>
      pen.force({ type: 'bath-changed', lot: 'A', protocol: 'another', step: 0, fresh })
    bath({ water_mL: 900, temp_C: 9 })
    expect(as(pen, 'A')).not.toBe('dried')
    pen.wait(60)
    bath({ water_mL: 900, temp_C: 9 })
    pen.wait(60)
    bath(null)
    expect(as(pen, 'A')).not.toBe('dried')
    pen.wait(1)
    const run = { type: 'step-begun', lot: 'A', load: 2, mass_g: 900 } as const
    const anew = (step: number, protocol = 'dried for tea or powder') => {
      const begun = pen.force({ ...run, step, protocol })
      pen.wait(1000)
      pen.force({
        ...{ type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes: 900, temp_C: 40 },
        ...{ backToBoil_s: null, driedTo_g: 105, checked: true, water: null },
      })
    }
    // Another step, or a step of another way, that came out since dries nothing.
    anew(0)
    anew(2, 'another')
    expect(as(pen, 'A')).not.toBe('dried')
    anew(2)
    expect(as(pen, 'A')).toBe('dried')
  })
  it('is not dried where it lay in water since, nor by a drying without a limit', () => {
    const protocol = 'cold baths'
    const pen = bringInKind(opened(), 'acorns', 'A')
    pen.write({ type: 'way-chosen', lot: 'A', protocol, goal: 'flour' })
    const step = (index: number, driedTo_g: number | null) => {
      const begun = pen.write({ type: 'step-begun', lot: 'A', protocol, step: index, load: 1, mass_g: 900 })
      pen.write({
        type: 'step-done',
        lot: 'A',
        begun: begun.id,
        outcome: 'done',
        minutes: 0,
        temp_C: null,
        backToBoil_s: null,
        driedTo_g,
        checked: true,
        water: null,
      })
    }
    step(1, 500)
    expect(as(pen, 'A')).toBe('raw')
    step(2, null)
    leachBaths(pen, 'A', { protocol, step: 5, count: 6, minutes: 480, taste: 0 })
    expect(as(pen, 'A')).toBe('raw')
    step(7, 299)
    expect(as(pen, 'A')).toBe('dried')
    pen.write({ type: 'bath-changed', lot: 'A', protocol, step: 5, fresh: { water_mL: 1000, temp_C: 8 } })
    expect(as(pen, 'A')).toBe('raw')
  })
})

describe('an eater', () => {
  const beet = (way: string, kind: 'adult' | 'child' | 'infant' = 'adult') => {
    const pen = bringInKind(opened(), 'beet', 'A')
    pen.write({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind, sensitivities: [] } })
    pen.write({ type: 'way-chosen', lot: 'A', protocol: way, goal: 'eat' })
    pen.force(
      { type: 'served', lot: 'A', pack: null, dish: 'long ago', portions: [{ eater: 'di', mass_g: 10 }] },
      '2026-05-01T08:00:00.000Z',
    )
    return pen
  }
  it('has the amount of the school that was followed, in a batch too', () => {
    expect(
      eaterVerdict(beet('boiled in plenty of water').lot(), beet('boiled in plenty of water').context, 'di'),
    ).toMatchObject({
      state: 'open',
      most_g: 150,
    })
    const wilted = beet('wilted in its own water')
    expect(eaterVerdict(wilted.lot(), wilted.context, 'di').most_g).toBe(30)
    expect(
      eaterVerdict(
        beet('boiled in plenty of water', 'child').lot(),
        beet('boiled in plenty of water', 'child').context,
        'di',
      ).most_g,
    ).toBe(60)
    bringInKind(wilted, 'ramsons', 'B')
    wilted.force({
      type: 'joined',
      lot: 'J',
      code: 'J',
      parts: [
        { lot: 'A', mass_g: 300 },
        { lot: 'B', mass_g: 600 },
      ],
    })
    // A third of it is beet of which 30 g are the most; two thirds ramsons, of which 10 g are a first taste.
    expect(eaterVerdict(wilted.lot('J'), wilted.context, 'di').most_g).toBeCloseTo(15)
  })
  it('is told every reason against, of what is only for raw use only when raw', () => {
    const pen = bringInKind(opened(), 'ramsons', 'A')
    const weak = { id: 'wy', name: 'Wy', kind: 'infant' as const, sensitivities: ['immunocompromised' as const] }
    pen.write({ type: 'eater-noted', eater: weak })
    const cooked = eaterVerdict(pen.lot(), pen.context, 'wy')
    expect(cooked).toEqual({
      eater: 'wy',
      name: 'Wy',
      state: 'closed',
      most_g: 0,
      reasons: ['Wy must not eat this: No data for infants: garlic plants upset them.'],
      because: [],
      theirs: [],
    })
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'raw', goal: 'eat-raw' })
    expect(eaterVerdict(pen.lot(), pen.context, 'wy').reasons[0]).toMatch(
      /^Wy must not eat this: Only cooked.* all\. No data/,
    )
  })
  it('gets nothing that came out of a pack past its day, and may have of one that was opened in time', () => {
    const out = (minutes: number) => {
      const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
      const pack = { type: 'packed', lot: 'A', store: 'chilled', mass_g: 200, containers: 1, storeTemp_C: 3 } as const
      pen.write({ ...pack, pack: 'other', store: 'frozen', storeTemp_C: -19 })
      pen.write({ ...pack, pack: 'p' })
      const open = { type: 'opened', lot: 'A', pack: 'p', into: 'B', code: 'B', mass_g: 100 } as const
      const { proposal } = pen.wait(minutes).try(open)
      // Another device may have noted it all the same.
      if (!proposal.ok) pen.force(open)
      const plate = plateGate(pen.lot('B'), pen.context, { portions: [{ eater: 'ann', mass_g: 5 }], pack: null })
      return { plate, refused: proposal.ok ? '' : proposal.message }
    }
    expect(out(60 * 24)).toMatchObject({ plate: { state: 'open' }, refused: '' })
    expect(out(60 * 24 * 4)).toMatchObject({
      plate: { state: 'closed', reasons: [expect.stringMatching(/^Cooked, made Sun 16 May .* until Wed 19 May /)] },
      refused: expect.stringMatching(
        /^This pack is opened no more: throw it away from the larder\. Cooked, /,
      ) as string,
    })
  })
})
