import { describe, expect, it } from 'vitest'
import { judge, packAsLot } from '../gates/judge'
import { eaterVerdict } from '../gates/plate'
import { GATES, type Gate } from '../gates/verdict'
import { addEntries, foldLog, inOrder } from '../log/fold'
import type { Saying } from '../log/stamp'
import { illnessReport } from '../meal/illness'
import { household, Pen } from '../test/pen'
import {
  bringInKind,
  fairStand,
  KIND_NAMES,
  KINDS,
  leachBaths,
  makeSafeKind,
  meetAll,
  runStep,
  tasteOf,
} from '../test/plants'
import { massBalance } from './story'
import type { Struck } from '../log/entries/struck'
import { heldFood, amendPreview } from './held'
import { recallReach } from './reach'
import { doNow } from './doNow'
import { packView } from './packView'

const opened = (kitchen = {}) => meetAll(household(new Pen(), kitchen))
const see = (pen: Pen, lot: string, gate: Gate) => judge(gate, pen.lot(lot), pen.context)
const states = (pen: Pen, lot: string) =>
  Object.fromEntries(GATES.slice(0, 6).map((gate) => [gate, see(pen, lot, gate).state]))
const firstPack = (pen: Pen, lot: string) => {
  const [pack] = pen.lot(lot).packs
  if (pack === undefined) throw new RangeError(`expected a pack of ${lot}`)
  return pack
}
const split = (pen: Pen, lot: string, into: string, mass_g: number) =>
  pen.write({ type: 'split', lot, into, code: into, mass_g, why: 'another dish' })
const join = (pen: Pen, lot: string, parts: readonly (readonly [string, number])[]) =>
  pen.try({ type: 'joined', lot, code: lot, parts: parts.map(([id, mass_g]) => ({ lot: id, mass_g })) }).proposal
const serve = (pen: Pen, lot: string, mass_g: number, eater = 'ann', pack: string | null = null) =>
  pen.try({ type: 'served', lot, pack, dish: 'dish', portions: [{ eater, mass_g }] }).proposal
const refusal = (proposal: ReturnType<typeof serve>) =>
  proposal.ok ? 'taken' : `${proposal.field}: ${proposal.message}`

describe('every kind of plant', () => {
  it.each(KIND_NAMES)('%s goes from the patch to the plate by its accepted way, and not without it', (kind) => {
    const pen = bringInKind(opened(), kind, 'A')
    if (kind !== 'spruce') {
      expect(see(pen, 'A', 'makeSafe').state).toBe('ajar')
      expect(refusal(serve(pen, 'A', 1))).toMatch(/^gates: Make safe is to do/)
    }
    makeSafeKind(pen, kind, 'A')
    expect(states(pen, 'A')).toEqual({
      identity: 'open',
      ground: 'open',
      take: 'open',
      sort: 'open',
      makeSafe: 'open',
      palate: 'open',
    })
    expect(refusal(serve(pen, 'A', 1))).toBe('taken')
  })
})

describe('a leach ended by taste', () => {
  const baths = { protocol: 'cold baths', step: 5 }
  const acorns = () => {
    const pen = bringInKind(opened(), 'acorns', 'A')
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'cold baths', goal: 'flour' })
    runStep2(pen)
    return pen
  }
  const runStep2 = (pen: Pen) => {
    const begun = pen.write({ type: 'step-begun', lot: 'A', protocol: 'cold baths', step: 2, load: 1, mass_g: 900 })
    pen.write({
      type: 'step-done',
      lot: 'A',
      begun: begun.id,
      outcome: 'done',
      minutes: 0,
      temp_C: null,
      backToBoil_s: null,
      driedTo_g: null,
      checked: true,
      water: null,
    })
  }
  const crumb = (pen: Pen) =>
    pen.try({
      type: 'tasted',
      lot: 'A',
      taster: 'ann',
      bitter: 0,
      astringent: 0,
      crumb: true,
      accepts: false,
      alarm: null,
    }).proposal
  it('needs its least number of baths, each long enough, and then a crumb of little taste', () => {
    const pen = acorns()
    expect(refusal(crumb(pen))).toBe('crumb: Only 0 of at least 6 baths are done. Nothing is tasted before.')
    leachBaths(pen, 'A', { ...baths, count: 5, minutes: 480, taste: null })
    leachBaths(pen, 'A', { ...baths, count: 1, minutes: 300, taste: null })
    expect(see(pen, 'A', 'makeSafe').reasons[0]).toBe(
      'Leaching: 5 of at least 6 baths are done. 1 bath did not count, the last because: 5 h 1 min of 8 h.',
    )
    leachBaths(pen, 'A', { ...baths, count: 1, minutes: 480, taste: null })
    expect(see(pen, 'A', 'makeSafe').reasons[0]).toBe('Leaching: 6 baths are done. Taste a crumb and spit it out.')
    tasteOf(pen, 'A', { crumb: true, accepts: true, bitter: 0, astringent: 2 })
    expect(see(pen, 'A', 'makeSafe').reasons[0]).toBe('Leaching: after 6 baths it still tastes 2 of 10. Another bath.')
    expect(see(pen, 'A', 'palate').state).toBe('ajar')
    pen.write({ type: 'bath-changed', lot: 'A', ...baths, fresh: { water_mL: 4000, temp_C: 8 } })
    expect(refusal(crumb(pen))).toBe('crumb: It lies in the water. Pour it off, then taste a crumb.')
    pen.wait(480).write({ type: 'bath-changed', lot: 'A', ...baths, fresh: null })
    tasteOf(pen, 'A', { crumb: true, astringent: 1 })
    expect(see(pen, 'A', 'makeSafe').reasons[0]).toBe('Still to do: simmer, against soil bacteria.')
    expect(refusal(serve(pen, 'A', 5))).toMatch(/^gates: Make safe is to do\. Still to do: simmer/)
  })
  it('counts no cooking that came before the leach was finished', () => {
    const pen = bringInKind(opened(), 'acorns', 'A')
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'hot baths', goal: 'eat' })
    runStep(pen, 'acorns', 'A', 2)
    runStep(pen, 'acorns', 'A', 6)
    leachBaths(pen, 'A', { protocol: 'hot baths', step: 5, count: 5, minutes: 16, taste: 0 })
    expect(see(pen, 'A', 'makeSafe').reasons).toContain(
      'Load 1 does not count for the simmering: the baths before it were not finished. Do it again.',
    )
  })
  it('may be put off: dried in the shell it is stored as not yet food, opened, and leached then', () => {
    const pen = bringInKind(opened(), 'acorns', 'A')
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'dried in the shell for later', goal: 'dry' })
    const pack = { type: 'packed', lot: 'A', store: 'dried', mass_g: 500, containers: 1, storeTemp_C: null } as const
    expect(refusal(pen.try({ ...pack, pack: 'early' }).proposal)).toMatch(/^gates: Keep is closed/)
    const begun = pen.write({
      type: 'step-begun',
      lot: 'A',
      protocol: 'dried in the shell for later',
      step: 1,
      load: 1,
      mass_g: 900,
    })
    pen.wait(2000).write({
      type: 'step-done',
      lot: 'A',
      begun: begun.id,
      outcome: 'done',
      minutes: 1900,
      temp_C: null,
      backToBoil_s: null,
      driedTo_g: 490,
      checked: true,
      water: null,
    })
    expect(see(pen, 'A', 'makeSafe').reasons[0]).toMatch(/^Not yet food: “dried in the shell for later” only keeps it/)
    pen.write({ ...pack, pack: 'dry' })
    const view = packView(pen.lot('A'), firstPack(pen, 'A'), pen.context)
    expect(view).toMatchObject({ notYetFood: true, done: 'nothing yet', held: [], label: 'Acorns' })
    pen.wait(60 * 24 * 90).write({ type: 'opened', lot: 'A', pack: 'dry', into: 'C', code: 'C', mass_g: 500 })
    expect(pen.lot('A').packs[0]?.mass_g).toBe(0)
    // Dry, it does not spoil by the hour since it was dried; opened, it keeps two months.
    expect(doNow(pen.lot('C'), pen.context).by).toBe('2027-10-14T17:57:00.000Z')
    makeSafeKind(pen, 'acorns', 'C')
    expect(refusal(serve(pen, 'C', 5))).toBe('taken')
  })
  it('for flour is leached, pressed, dried to a weight that stands, and goes to the larder as not yet food: its simmer is still due', () => {
    const pen = bringInKind(opened(), 'acorns', 'A')
    const way = { protocol: 'cold baths', step: 5 }
    const act = (lot = 'A') => doNow(pen.lot(lot), pen.context).act
    const step = (lot: string, index: number, minutes: number) => {
      const mass_g = pen.lot(lot).mass_g
      const begun = pen.write({ type: 'step-begun', lot, protocol: way.protocol, step: index, load: 1, mass_g })
      pen.wait(minutes)
      pen.write({
        type: 'step-done',
        lot,
        begun: begun.id,
        outcome: 'done',
        minutes,
        temp_C: null,
        backToBoil_s: null,
        driedTo_g: index === 7 ? 640 : null,
        checked: true,
        water: null,
      })
    }
    pen.write({ type: 'way-chosen', lot: 'A', protocol: way.protocol, goal: 'flour' })
    step('A', 2, 80)
    leachBaths(pen, 'A', { ...way, count: 6, minutes: 500, taste: 1 })
    expect(act()).toEqual({ kind: 'weigh', after: 'pressing' })
    pen.write({ type: 'weighed', lot: 'A', mass_g: 1400, after: 'pressing' })
    expect(act()).toMatchObject({ kind: 'begin-load', step: 7, left_g: 1400 })
    // Pressed drier than the record has it: a sample dried until its weight stands tells so.
    pen.write({ type: 'sample-dried', lot: 'A', wet_g: 20, before_g: 8.25, dry_g: 8.23, apart_min: 90 })
    step('A', 7, 700)
    expect(act()).toEqual({ kind: 'weigh', after: 'drying' })
    pen.write({ type: 'weighed', lot: 'A', mass_g: 640, after: 'drying' })
    expect(act()).toMatchObject({ kind: 'pack-for-later', due: { step: 8, left_g: 640 } })
    expect(refusal(serve(pen, 'A', 5))).toMatch(/Make safe/)
    pen.write({ type: 'packed', lot: 'A', pack: 'bag', store: 'dried', mass_g: 640, containers: 1, storeTemp_C: null })
    expect(packView(pen.lot('A'), firstPack(pen, 'A'), pen.context)).toMatchObject({
      notYetFood: true,
      done: 'shelling and leaching',
      due: expect.arrayContaining(['Still to do: simmer, against soil bacteria.']) as unknown,
    })
    const { picked_g, takenUp_g, left, inHand_g } = massBalance(pen.lot('A'))
    expect(left.reduce((sum, { mass_g }) => sum + mass_g, inHand_g)).toBeCloseTo(picked_g + takenUp_g)
    pen.wait(60 * 24 * 30).write({ type: 'opened', lot: 'A', pack: 'bag', into: 'C', code: 'C', mass_g: 300 })
    expect(act('C')).toMatchObject({ kind: 'begin-load', step: 8, left_g: 300 })
    step('C', 8, 20)
    expect(see(pen, 'C', 'makeSafe').state).toBe('open')
  })
})

describe('stores and their measures', () => {
  const pack = (pen: Pen, store: Saying<'packed'>['store'], storeTemp_C: number | null, lot = 'A') =>
    refusal(
      pen.try({ type: 'packed', lot, pack: `${lot}-${store}`, store, mass_g: 50, containers: 1, storeTemp_C }).proposal,
    )
  it('takes ramsons under oil only cold, and says what would do', () => {
    const pen = bringInKind(opened(), 'ramsons', 'A')
    expect(pack(pen, 'oiled', null)).toMatch(
      /Keep is to do\. Measure the store: it must be at 4\.0 °C or below\. Wet leaves under oil can grow botulism/,
    )
    expect(pack(pen, 'oiled', 18)).toMatch(/Keep is closed\. The store is at 18\.0 °C; .* eaten within 4 days\. Never/)
    expect(pack(pen, 'oiled', 4)).toBe('taken')
    expect(pack(bringInKind(opened(), 'nettle', 'A'), 'oiled', 4)).toMatch(/does not keep it oiled/)
  })
  it('wants acid, sugar and salt measured, not hoped for', () => {
    const elder = makeSafeKind(bringInKind(opened(), 'elder', 'A'), 'elder', 'A')
    const brix = (value: number) =>
      elder.write({ type: 'reading-taken', lot: 'A', what: 'brix', value, instrument: 'refractometer' })
    expect(pack(elder, 'sugared', 4)).toMatch(/Measure the sugar: 65 Brix or more/)
    brix(52)
    expect(pack(elder, 'sugared', 4)).toMatch(/52 Brix; it must be 65 or more/)
    brix(66)
    expect(pack(elder, 'sugared', 4)).toBe('taken')
    const leaves = bringInKind(opened(), 'ramsons', 'A')
    expect(pack(leaves, 'salted', null)).toMatch(/Weigh in the salt: at least 20 % of the whole/)
    leaves.write({ type: 'ingredient-added', lot: 'A', what: 'salt', name: 'salt', mass_g: 100 })
    expect(pack(leaves, 'salted', null)).toMatch(/Salt is 10 % of the whole/)
    leaves.write({ type: 'ingredient-added', lot: 'A', what: 'salt', name: 'salt', mass_g: 150 })
    expect(pack(leaves, 'salted', null)).toBe('taken')
    const sour = bringInKind(opened(), 'ramsons', 'A')
    sour.write({ type: 'way-chosen', lot: 'A', protocol: 'fermented in its brine', goal: 'ferment' })
    const begun = sour.write({
      type: 'step-begun',
      lot: 'A',
      protocol: 'fermented in its brine',
      step: 3,
      load: 1,
      mass_g: 900,
    })
    const out = { type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes: 7200, temp_C: 20 } as const
    const rest = { backToBoil_s: null, driedTo_g: null, checked: true, water: 'kept' } as const
    sour.wait(7200).write({ ...out, ...rest })
    // Without salt it is no ferment, however sour.
    expect(see(sour, 'A', 'makeSafe').reasons[0]).toMatch(/salt is 0 % of everything; 2 % is the least/)
    sour.write({ type: 'ingredient-added', lot: 'A', what: 'salt', name: 'salt', mass_g: 20 }, begun.at)
    expect(see(sour, 'A', 'makeSafe').reasons[0]).toMatch(/its pH was not measured/)
    const ph = (value: number) =>
      sour.write({ type: 'reading-taken', lot: 'A', what: 'ph', value, instrument: 'meter' })
    ph(4.4)
    expect(see(sour, 'A', 'makeSafe').reasons[0]).toMatch(/pH 4\.4; 4\.2 or below is sour enough/)
    expect(pack(sour, 'soured', 4)).toMatch(/Keep is closed/)
    ph(4)
    expect(see(sour, 'A', 'makeSafe').state).toBe('open')
    expect(pack(sour, 'soured', 4)).toBe('taken')
  })
  it('holds elder berries to a boil that this height can reach', () => {
    const high = bringInKind(opened({ elevation_m: 2600 }), 'elder', 'A')
    runStepElder(high)
    expect(see(high, 'A', 'makeSafe').reasons[0]).toMatch(/The record accepts this boil up to 2,000 m/)
    expect(pack(high, 'frozen', -19)).toBe('taken')
    expect(packView(high.lot('A'), firstPack(high, 'A'), high.context).notYetFood).toBe(true)
  })
  const runStepElder = (pen: Pen) => {
    pen.write({ type: 'way-chosen', lot: 'A', protocol: KINDS.elder.way, goal: 'eat' })
    runStep(pen, 'elder', 'A')
  }
})

describe('a split', () => {
  it('inherits all that is known, and grams are neither made nor lost', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    split(pen, 'A', 'B', 300)
    expect(pen.lot('A').mass_g + pen.lot('B').mass_g).toBe(900)
    expect(states(pen, 'B')).toEqual(states(pen, 'A'))
    expect(refusal(serve(pen, 'B', 20))).toBe('taken')
    for (const lot of ['A', 'B']) {
      const { picked_g, left, inHand_g } = massBalance(pen.lot(lot))
      expect(left.reduce((sum, { mass_g }) => sum + mass_g, inHand_g)).toBeCloseTo(picked_g, 9)
    }
    expect(refusal(pen.try({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 1, why: 'x' }).proposal)).toMatch(
      /^code: There is a lot of that code already/,
    )
    expect(refusal(pen.try({ type: 'split', lot: 'A', into: 'C', code: 'C', mass_g: 601, why: 'x' }).proposal)).toMatch(
      /^mass_g: There are only 600 g/,
    )
  })
  it('of a picking that turns out mixed stops every part of it', () => {
    const pen = bringInKind(opened(), 'nettle', 'A')
    split(pen, 'A', 'B', 300)
    split(pen, 'B', 'C', 100)
    pen.write({ type: 'stray-reported', lot: 'C', what: 'a smooth leaf', brokenUp: false })
    expect(see(pen, 'A', 'identity')).toMatchObject({
      state: 'ajar',
      reasons: ['A stray was found in lot C, of the same picking: go through this one too.'],
    })
    expect(refusal(pen.try({ type: 'cut-up', lot: 'B', how: 'cut' }).proposal)).toMatch(
      /^lot: A stray was found: go through/,
    )
    pen.write({ type: 'strays-sorted', lot: 'A', found: 0 })
    expect(see(pen, 'A', 'identity').state).toBe('open')
    expect(see(pen, 'B', 'identity').state).toBe('ajar')
    pen.force({
      type: 'tasted',
      lot: 'C',
      taster: 'ann',
      bitter: 0,
      astringent: 0,
      crumb: false,
      accepts: false,
      alarm: 'numbness',
    })
    expect(see(pen, 'A', 'identity').reasons[0]).toMatch(/^Lot C, of the same picking: It tasted of numbness/)
    expect(see(pen, 'B', 'identity').state).toBe('closed')
  })
  it('was eaten long ago: a strike-out still names who ate', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    pen.write({ type: 'served', lot: 'A', pack: null, dish: 'soup', portions: [{ eater: 'ann', mass_g: 20 }] })
    pen.wait(60 * 24 * 100)
    const seen = inOrder(pen.log).find(({ type }) => type === 'tell-seen')
    const strike = pen.stamp({ type: 'struck', entry: seen?.id ?? '', why: 'x' }) as Struck
    expect(amendPreview(pen.log, strike, pen.context).newlyHeld.servings).toMatchObject([{ eaters: ['ann'] }])
  })
  it('struck out gives the mass back; a part without its splitting is no lot', () => {
    const pen = bringInKind(opened(), 'nettle', 'A')
    const { id } = split(pen, 'A', 'B', 300)
    pen.write({ type: 'struck', entry: id, why: 'no' })
    expect(pen.lot('A').mass_g).toBe(900)
    expect(pen.log.state.lots.has('B')).toBe(false)
    expect(foldLog(inOrder(pen.log)).state).toEqual(pen.log.state)
  })
})

describe('a batch', () => {
  const two = (a: (pen: Pen) => void, b: (pen: Pen) => void) => {
    const pen = opened()
    a(bringInKind(pen, 'nettle', 'A'))
    b(bringInKind(pen, 'nettle', 'B'))
    return pen
  }
  const safe = (lot: string) => (pen: Pen) => void makeSafeKind(pen, 'nettle', lot)
  const raw = () => undefined
  it('of two safe lots is safe and needs no second boil; one raw lot makes all of it raw', () => {
    const both = two(safe('A'), safe('B'))
    expect(
      join(both, 'J', [
        ['A', 900],
        ['B', 400],
      ]),
    ).toEqual({ ok: true })
    expect(both.lot('J').mass_g).toBe(1300)
    expect(states(both, 'J')).toMatchObject({ makeSafe: 'open', palate: 'open' })
    expect(refusal(serve(both, 'J', 20))).toBe('taken')
    const mixed = two(safe('A'), raw)
    expect(
      join(mixed, 'J', [
        ['A', 900],
        ['B', 900],
      ]),
    ).toEqual({ ok: true })
    expect(states(mixed, 'J')).toMatchObject({ makeSafe: 'ajar', palate: 'ajar' })
    runStep(mixed, 'nettle', 'J', 2, { minutes: 3 })
    expect(see(mixed, 'J', 'makeSafe').state).toBe('open')
    tasteOf(mixed, 'J')
    expect(refusal(serve(mixed, 'J', 20))).toBe('taken')
  })
  it('has the worst state of each gate, and nothing that is stopped may go into it', () => {
    const pen = two(raw, raw)
    pen.write({ type: 'stray-reported', lot: 'B', what: 'x', brokenUp: false })
    const parts = ['A', 'B'].map((lot) => ({ lot, mass_g: 900 }))
    expect(
      refusal(
        join(pen, 'J', [
          ['A', 900],
          ['B', 900],
        ]),
      ),
    ).toMatch(/^parts: Lot B: Identity is not open yet, and in a batch it could not be made up for\. A stray was/)
    // Another device may have joined them all the same.
    pen.force({ type: 'joined', lot: 'J', code: 'J', parts })
    expect(see(pen, 'J', 'identity').state).toBe('ajar')
    const stopped = two(raw, raw)
    stopped.force({ type: 'stray-reported', lot: 'B', what: 'x', brokenUp: true })
    expect(
      refusal(
        join(stopped, 'J', [
          ['A', 900],
          ['B', 900],
        ]),
      ),
    ).toMatch(/^parts: Lot B is stopped and would stop all of it: A stray is broken up in it/)
    const later = two(raw, raw)
    join(later, 'J', [
      ['A', 900],
      ['B', 900],
    ])
    later.write({ type: 'stray-reported', lot: 'J', what: 'x', brokenUp: false })
    expect(see(later, 'J', 'identity')).toMatchObject({
      state: 'ajar',
      reasons: ['A stray was reported: go through the whole lot again, piece by piece.'],
    })
    later.write({ type: 'strays-sorted', lot: 'J', found: 1 })
    expect(see(later, 'J', 'identity').state).toBe('open')
    later.force({ type: 'stray-reported', lot: 'J', what: 'x', brokenUp: true })
    expect(see(later, 'J', 'identity').state).toBe('closed')
  })
  it('whose stands were not counted asks for it in the lots it came from, and is opened by it', () => {
    const pen = opened()
    for (const lot of ['A', 'B']) {
      makeSafeKind(bringInKind(pen, 'nettle', lot), 'nettle', lot)
      const counted = pen.log.order.find((entry) => entry.type === 'stand-counted' && entry.lot === lot)
      pen.write({ type: 'struck', entry: counted?.id ?? '', why: 'another lot' })
    }
    join(pen, 'J', [
      ['A', 300],
      ['B', 300],
    ])
    tasteOf(pen, 'J')
    expect(doNow(pen.lot('J'), pen.context).act).toEqual({ kind: 'count-in-parts', lots: ['A', 'B'] })
    pen.write(fairStand('A'))
    expect(doNow(pen.lot('J'), pen.context).act).toEqual({ kind: 'count-in-parts', lots: ['B'] })
    pen.write(fairStand('B'))
    expect(refusal(serve(pen, 'J', 5))).toBe('taken')
  })
  it('takes the strictest treatment where the ways fit together, else separate pots', () => {
    const greens = opened()
    bringInKind(greens, 'beet', 'A')
    bringInKind(greens, 'ramsons', 'B')
    expect(
      join(greens, 'J', [
        ['A', 900],
        ['B', 900],
      ]),
    ).toEqual({ ok: true })
    expect(see(greens, 'J', 'makeSafe').reasons).toEqual([
      'Still to do: boil, against soluble oxalate, salt, soil bacteria and fox tapeworm.',
    ])
    const step = { type: 'step-begun', lot: 'J', step: 2, load: 1, mass_g: 1800 } as const
    const protocol = 'boiled in plenty of water + cooked'
    const begun = greens.write({ ...step, protocol })
    greens.wait(1.5)
    const out = { type: 'step-done', lot: 'J', begun: begun.id, outcome: 'done', temp_C: null } as const
    const rest = { backToBoil_s: null, driedTo_g: null, checked: true, water: 'thrown' } as const
    greens.write({ ...out, ...rest, minutes: 1.5 })
    // A minute and a half would do for the ramsons; the beet wants three.
    expect(see(greens, 'J', 'makeSafe').reasons[0]).toMatch(/1 min 30 s of 3 min/)
    const apart = opened()
    bringInKind(apart, 'beet', 'A')
    bringInKind(apart, 'acorns', 'B')
    expect(
      refusal(
        join(apart, 'J', [
          ['A', 900],
          ['B', 900],
        ]),
      ),
    ).toBe('parts: They need different treatment: separate pots. Make each of them safe first, then join them.')
    makeSafeKind(makeSafeKind(apart, 'beet', 'A'), 'acorns', 'B')
    expect(
      join(apart, 'J', [
        ['A', 450],
        ['B', 450],
      ]),
    ).toEqual({ ok: true })
    expect(see(apart, 'J', 'makeSafe').state).toBe('open')
  })
  it('minds everybody against everything in it, by its share', () => {
    const pen = opened()
    makeSafeKind(bringInKind(pen, 'beet', 'A'), 'beet', 'A')
    makeSafeKind(bringInKind(pen, 'nettle', 'B'), 'nettle', 'B')
    join(pen, 'J', [
      ['A', 450],
      ['B', 450],
    ])
    pen.write({
      type: 'eater-noted',
      eater: { id: 'kit', name: 'Kit', kind: 'adult', sensitivities: ['kidney-stone'] },
    })
    expect(eaterVerdict(pen.lot('J'), pen.context, 'kit')).toMatchObject({ state: 'closed' })
    // First tastes: 30 g of beet and 50 g of nettle; half of every gram is beet.
    expect(eaterVerdict(pen.lot('J'), pen.context, 'ann').most_g).toBeCloseTo(60)
    expect(refusal(serve(pen, 'J', 61))).toMatch(/more than 60 g/)
    expect(refusal(serve(pen, 'J', 60))).toBe('taken')
    expect(eaterVerdict(pen.lot('B'), pen.context, 'ann').most_g).toBeCloseTo(20)
  })
})

describe('a recall', () => {
  const chain = () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    split(pen, 'A', 'B', 300)
    pen.write({ type: 'packed', lot: 'B', pack: 'p', store: 'frozen', mass_g: 200, containers: 1, storeTemp_C: -19 })
    pen.write({ type: 'opened', lot: 'B', pack: 'p', into: 'D', code: 'D', mass_g: 100 })
    makeSafeKind(bringInKind(pen, 'nettle', 'X', { patch: 'other' }), 'nettle', 'X')
    join(pen, 'J', [
      ['D', 100],
      ['X', 200],
    ])
    pen.write({ type: 'served', lot: 'J', pack: null, dish: 'soup', portions: [{ eater: 'ann', mass_g: 20 }] })
    return pen
  }
  const withOther = () => {
    const pen = chain()
    return pen
  }
  it('of a patch reaches every lot, pack and plate of it, and holds them at once', () => {
    const pen = withOther()
    const recall = { what: 'patch', patch: 'wall', since: null, why: 'sprayed', at: pen.now } as const
    const reach = recallReach(recall, pen.log.state)
    expect(reach.inHand.map(({ lot }) => lot).sort()).toEqual(['A', 'B', 'J'])
    expect(reach.packs).toEqual([{ lot: 'B', pack: 'p', mass_g: 100 }])
    expect(reach.servings).toMatchObject([{ lot: 'J', dish: 'soup', eaters: ['ann'] }])
    expect(heldFood(pen.context)).toEqual({ packs: [], servings: [] })
    pen.write({ type: 'patch-turned', patch: 'wall', why: 'sprayed', since: null })
    expect(see(pen, 'J', 'ground')).toMatchObject({ state: 'closed', reasons: ['Wall is recalled: sprayed'] })
    expect(see(pen, 'X', 'ground').state).toBe('open')
    expect(heldFood(pen.context)).toMatchObject({
      packs: [{ pack: 'p' }],
      servings: [{ dish: 'soup', gates: ['ground'] }],
    })
    expect(refusal(serve(pen, 'J', 1))).toMatch(/^gates: Ground is closed/)
  })
  it('of a pack reaches what was opened from it and not what stayed', () => {
    const pen = withOther()
    pen.write({ type: 'food-turned', of: 'B', pack: 'p', why: 'the lid stood open' })
    expect(see(pen, 'J', 'sort')).toMatchObject({ state: 'closed', reasons: ['It has turned bad: the lid stood open'] })
    expect(see(pen, 'B', 'sort').state).toBe('open')
    expect(judge('sort', packAsLot(pen.lot('B'), firstPack(pen, 'B')), pen.context).state).toBe('closed')
  })
  it('since a day leaves what was picked before', () => {
    const pen = bringInKind(opened(), 'nettle', 'A')
    pen.write({ type: 'patch-turned', patch: 'wall', why: 'sprayed', since: pen.now })
    expect(see(pen, 'A', 'ground').state).toBe('open')
    expect(refusal(pen.try({ type: 'patch-turned', patch: 'nowhere', why: 'x', since: null }).proposal)).toMatch(
      /^patch/,
    )
    expect(refusal(pen.try({ type: 'food-turned', of: 'A', pack: 'z', why: 'x' }).proposal)).toMatch(/^pack/)
    expect(refusal(pen.try({ type: 'food-turned', of: 'Z', pack: null, why: 'x' }).proposal)).toMatch(/^of/)
    expect(refusal(pen.try({ type: 'felt-ill', eater: 'nobody', symptoms: 'x' }).proposal)).toMatch(/^eater/)
  })
})

describe('if somebody is ill', () => {
  it('tells what each ate, struck servings and opened packs too, and what it could have been mistaken for', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'ramsons', 'A'), 'ramsons', 'A')
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'chilled', mass_g: 50, containers: 1, storeTemp_C: 3 })
    const first = pen.write({
      type: 'served',
      lot: 'A',
      pack: null,
      dish: 'soup',
      portions: [{ eater: 'ann', mass_g: 9 }],
    })
    pen.write({ type: 'struck', entry: first.id, why: 'not eaten, I think' })
    pen.write({ type: 'opened', lot: 'A', pack: 'p', into: 'B', code: 'B', mass_g: 50 })
    const report = illnessReport(pen.log, pen.catalogue, pen.now, 72)
    expect(report.eaten).toMatchObject([
      {
        eater: 'Ann',
        dish: 'soup',
        struck: true,
        plants: [{ name: 'Ramsons', part: 'leaf', lot: 'A', patch: 'Wall' }],
      },
      { eater: 'Ann', dish: 'a taste' },
    ])
    expect(report.eaten[0]?.plants[0]?.mistakenFor.map(({ scientificName }) => scientificName)).toContain(
      'Colchicum autumnale',
    )
    expect(report.opened).toMatchObject([{ pack: 'p' }])
    pen.wait(60 * 80)
    expect(illnessReport(pen.log, pen.catalogue, pen.now, 72).eaten).toEqual([])
    expect(illnessReport(pen.log, pen.catalogue, pen.now, 720).eaten).toHaveLength(2)
  })
  it('answers from half-filled records', () => {
    const pen = new Pen()
    pen.force({ type: 'served', lot: 'ghost', pack: null, dish: 'something', portions: [{ eater: 'who', mass_g: 1 }] })
    expect(illnessReport(pen.log, pen.catalogue, pen.now, 72).eaten).toMatchObject([{ eater: 'who', plants: [] }])
    const weighed = bringInKind(opened(), 'nettle', 'A')
    const entry = inOrder(weighed.log).find(({ type }) => type === 'weighed-in')
    weighed.force({ type: 'served', lot: 'A', pack: null, dish: 'raw', portions: [{ eater: 'ann', mass_g: 1 }] })
    weighed.write({ type: 'struck', entry: entry?.id ?? '', why: 'x' })
    expect(illnessReport(weighed.log, weighed.catalogue, weighed.now, 72).eaten).toMatchObject([
      { plants: [{ name: 'Nettle' }] },
    ])
  })
})

describe('carrying over', () => {
  const known = () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    return pen.wait(60 * 24 * 3)
  }
  const again = (pen: Pen, over: Partial<Saying<'weighed-in'>> = {}) => {
    const { taxon, part, stage } = KINDS.nettle
    const base = { type: 'weighed-in', lot: 'B', code: 'B', taxon, part, stage, patch: 'wall' } as const
    pen.write({ ...base, mass_g: 500, pickedAt: pen.now, ...over })
    pen.write({ type: 'certain-attested', lot: 'B' })
    return pen
  }
  const live = (pen: Pen, state = 'opposite') =>
    pen.write({ type: 'tell-seen', lot: 'B', character: 'leafArrangement', answer: 'seen', states: [state] })
  it('spares the tells of a plant known from this patch this season, but for one looked at live each day', () => {
    const pen = again(known())
    expect(see(pen, 'B', 'identity')).toMatchObject({
      state: 'ajar',
      reasons: ['Known from this patch this season: look at one key tell today.'],
    })
    live(pen)
    expect(see(pen, 'B', 'identity')).toMatchObject({ state: 'open' })
    expect(see(pen, 'B', 'identity').reasons[0]).toMatch(/^Carried over from A/)
    // Told all by itself it needs nothing carried over.
    const whole = bringInKind(known(), 'nettle', 'B')
    expect(see(whole, 'B', 'identity').reasons[0]).toMatch(/^Every key tell fits/)
  })
  it('never where a tell contradicts, the patch is another, the year is another, or a stray was found', () => {
    const wrong = again(known())
    live(wrong, 'alternate')
    expect(see(wrong, 'B', 'identity').state).toBe('closed')
    const elsewhere = again(known(), { patch: 'other' })
    live(elsewhere)
    expect(see(elsewhere, 'B', 'identity').state).toBe('ajar')
    const older = known().wait(60 * 24 * 300)
    live(again(older))
    expect(see(older, 'B', 'identity').state).toBe('ajar')
    const stray = again(known())
    stray.write({ type: 'stray-reported', lot: 'A', what: 'x', brokenUp: false })
    stray.force({ type: 'strays-sorted', lot: 'A', found: 1 })
    live(stray)
    expect(see(stray, 'B', 'identity').state).toBe('ajar')
  })
  it('never where a stray turned up in a part that was split off since', () => {
    const pen = known()
    split(pen, 'A', 'S', 100)
    pen.force({ type: 'stray-reported', lot: 'S', what: 'x', brokenUp: false })
    pen.force({ type: 'strays-sorted', lot: 'S', found: 1 })
    live(again(pen))
    expect(see(pen, 'B', 'identity').state).toBe('ajar')
  })
  it('never for a plant with a deadly double', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'ramsons', 'A'), 'ramsons', 'A')
    pen.wait(60)
    const { taxon, part, stage } = KINDS.ramsons
    pen.write({
      type: 'weighed-in',
      lot: 'B',
      code: 'B',
      taxon,
      part,
      stage,
      patch: 'wall',
      mass_g: 90,
      pickedAt: pen.now,
    })
    pen.write({ type: 'certain-attested', lot: 'B' })
    pen.write({ type: 'tell-seen', lot: 'B', character: 'leafBase', answer: 'seen', states: ['stalked'] })
    expect(see(pen, 'B', 'identity').state).toBe('ajar')
  })
})

describe('two devices of one book', () => {
  it('come to the same state whatever the order in which their entries meet', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    split(pen, 'A', 'B', 300)
    makeSafeKind(bringInKind(pen, 'nettle', 'C'), 'nettle', 'C')
    join(pen, 'J', [
      ['B', 300],
      ['C', 500],
    ])
    const all = inOrder(pen.log)
    const odd = all.filter((_, index) => index % 2 === 1)
    const even = all.filter((_, index) => index % 2 === 0)
    expect(addEntries(foldLog(odd), even).state).toEqual(pen.log.state)
    expect(addEntries(foldLog(even.toReversed()), odd.toReversed()).state).toEqual(pen.log.state)
  })
})
