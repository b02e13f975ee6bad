import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { amendPreview } from '../lot/held'
import { illnessReport } from '../meal/illness'
import { bringIn, cook, household, load, Pen, weighIn } from '../test/pen'
import { asDated, isAmendment } from './amendments'
import type { Entry } from './entries'
import type { Redated } from './entries/redated'
import { addEntries, foldLog, inOrder } from './fold'

const served = () => {
  const pen = cook(household(new Pen()))
  pen.write({ type: 'served', lot: 'A', pack: null, dish: 'soup', portions: [{ eater: 'ann', mass_g: 30 }] })
  pen.write({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' })
  return pen
}
const find = (pen: Pen, type: Entry['type']) => {
  const entry = inOrder(pen.log).find((each) => each.type === type)
  if (entry === undefined) throw new RangeError(`expected an entry ${type}`)
  return entry
}
const redate = (pen: Pen, entry: Entry, to: string) =>
  pen.try({ type: 'redated', entry: entry.id, to, why: 'a wrong clock' }).proposal
const says = (proposal: ReturnType<typeof redate>) => (proposal.ok ? 'taken' : `${proposal.field}: ${proposal.message}`)

describe('a strike-out', () => {
  it('is refused where a lot that stays would have given more than it had, and told what to strike out first', () => {
    const pen = served()
    const strike = (pen: Pen, entry: Entry) => says(pen.try({ type: 'struck', entry: entry.id, why: 'x' }).proposal)
    const split = pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 300, why: 'x' })
    // The part that it made goes with it.
    expect(strike(pen.copy(), split)).toBe('taken')
    const parts = ['A', 'B'].map((lot) => ({ lot, mass_g: 200 }))
    const join = pen.write({ type: 'joined', lot: 'J', code: 'J', parts })
    expect(strike(pen.copy(), split)).toBe('taken')
    const packed = pen.write({
      ...{ type: 'packed', lot: 'J', pack: 'p', store: 'frozen', mass_g: 350, containers: 1, storeTemp_C: -19 },
    })
    const before = pen.log
    const refused = 'entry: Then the masses of lot J would not add up: strike out first what was done with it since.'
    expect(strike(pen, split)).toBe(refused)
    expect(pen.log).toBe(before)
    // With all of it gone there is nothing that could not add up.
    expect(strike(pen.copy(), find(pen, 'weighed-in'))).toBe('taken')
    expect(strike(pen, packed)).toBe('taken')
    expect(strike(pen.copy(), join)).toBe('taken')
    expect(strike(pen, split)).toBe('taken')
    expect(pen.lot('J').mass_g).toBe(200)
  })
})

describe('a re-dated entry', () => {
  it('is folded as though it had been written with that moment, in whatever order it all arrives', () => {
    const written = inOrder(served().log)
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(written.length - 1), fc.nat(written.length - 1)), { minLength: 1, maxLength: 4 }),
        fc.array(fc.nat(), { minLength: 40, maxLength: 40 }),
        fc.boolean(),
        (moves, shuffle, struck) => {
          const amendments = moves.map(([which, when], index): Redated => {
            const noted = `2027-06-01T08:0${index}:00.000Z`
            const base = { book: 'test', by: 'cook', device: 'test', at: noted, noted, id: `z${index}` }
            return { ...base, type: 'redated', entry: written[which]?.id ?? '', to: written[when]?.at ?? '', why: 'x' }
          })
          const [last] = amendments.slice(-1)
          const strike: Entry[] = struck && last ? [{ ...last, id: 'zz', type: 'struck', entry: last.id } as Entry] : []
          const standing = struck ? amendments.slice(0, -1) : amendments
          const meant = written.map((entry) => ({
            ...entry,
            at: standing.findLast(({ entry: of }) => of === entry.id)?.to ?? entry.at,
          }))
          const all = [...written, ...amendments, ...strike]
          const mixed = all
            .map((entry, index) => ({ entry, key: shuffle[index % shuffle.length] ?? 0 }))
            .sort((a, b) => a.key - b.key)
            .map(({ entry }) => entry)
          const inOne = foldLog(all)
          const oneByOne = mixed.reduce((log, entry) => addEntries(log, [entry]), foldLog([]))
          expect(inOne.state).toEqual(foldLog(meant as Entry[]).state)
          expect(oneByOne.state).toEqual(inOne.state)
          expect(oneByOne.shards).toEqual(inOne.shards)
          expect(inOrder(oneByOne)).toEqual(inOrder(inOne))
        },
      ),
      { numRuns: 150 },
    )
  })
  it('keeps what was first written, and is told at its own time', () => {
    const pen = served()
    const dish = find(pen, 'served')
    const earlier = '2027-05-16T08:12:00.000Z'
    expect(says(redate(pen, dish, earlier))).toBe('taken')
    expect(pen.log.entries.get(dish.id)?.at).toBe(dish.at)
    expect(pen.log.order.find(({ id }) => id === dish.id)?.at).toBe(earlier)
    expect(pen.lot().servings.map(({ at }) => at)).toEqual([earlier])
    const { eaten } = illnessReport(pen.log, pen.catalogue, pen.now, 72)
    expect(eaten.map(({ at, dish: name, struck }) => [at, name, struck])).toContainEqual([earlier, 'soup', false])
  })
  it('shows what it would change before it is made; the serving stays a fact', () => {
    const pen = served()
    const sorting = find(pen, 'sorted')
    const tell = find(pen, 'tell-seen')
    const draft = pen.stamp({ type: 'redated', entry: tell.id, to: pen.now, why: 'x' }) as Redated
    const { newlyHeld, gates } = amendPreview(pen.log, draft, pen.context)
    expect(tell.at < sorting.at).toBe(true)
    expect(gates.map(({ gate, to }) => [gate, to])).toContainEqual(['identity', 'ajar'])
    expect(newlyHeld.servings.map(({ dish, eaters }) => [dish, eaters])).toEqual([['soup', ['ann']]])
    expect(pen.lot().servings).toHaveLength(1)
  })
  it('is refused where it could not have happened then', () => {
    const pen = served()
    const { pickedAt } = pen.lot().weighedIn ?? { pickedAt: '' }
    const dish = find(pen, 'served')
    expect(says(redate(pen, { ...dish, id: 'none' }, pickedAt))).toBe(
      'entry: There is no such entry whose time could be changed.',
    )
    expect(says(redate(pen, dish, '2027-05-16T07:59:00.000Z'))).toBe('to: That is before it was picked.')
    expect(says(redate(pen, find(pen, 'weighed-in'), '2027-05-16T07:00:00.000Z'))).toBe(
      'to: That is before it was picked.',
    )
    expect(says(redate(pen, dish, '2028-05-16T07:00:00.000Z'))).toBe(
      'to: That moment is still to come. Give a time that has passed.',
    )
    expect(says(redate(pen, dish, dish.at))).toBe('to: That is the time it has already.')
    // A lot that stood in the cold before it was one would have stood nowhere.
    const cold = household(new Pen())
    weighIn(cold)
    cold.write({ type: 'placed', lot: 'A', place: 'cold', temp_C: 4 })
    cold.wait(5)
    expect(says(redate(cold, find(cold, 'weighed-in'), cold.now))).toBe(
      'to: Lot A was put somewhere before that. Change the time of that first.',
    )
    expect(says(redate(pen, find(pen, 'plant-met'), '2020-05-16T07:00:00.000Z'))).toBe('taken')
    const [begun, done] = [find(pen, 'step-begun'), find(pen, 'step-done')]
    expect(says(redate(pen, begun, pen.now))).toBe('to: It cannot end before it began.')
    expect(says(redate(pen, done, pickedAt))).toBe('to: It cannot end before it began.')
    expect(says(redate(pen, done, pen.now))).toBe('taken')
    expect(says(redate(pen, begun, pen.now))).toBe('taken')
    pen.write({ type: 'struck', entry: dish.id, why: 'x' })
    expect(says(redate(pen, dish, pickedAt))).toBe('entry: That entry is struck out.')
    const [first] = inOrder(pen.log).filter(({ type }) => type === 'redated')
    if (first === undefined) throw new RangeError('expected a re-dating')
    expect(says(redate(pen, first, pickedAt))).toBe('entry: There is no such entry whose time could be changed.')
    pen.write({ type: 'struck', entry: first.id, why: 'x' })
  })
  it('is refused where masses would no longer add up, or the lot had not come to be', () => {
    const pen = served()
    const { at } = find(pen, 'served')
    expect(says(redate(pen, find(pen, 'weighed-in'), at))).toBe(
      'to: Then the masses of lot A would not add up: something was done to it in between.',
    )
    pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 100, why: 'x' })
    const stray = pen.write({ type: 'stray-reported', lot: 'B', what: 'a leaf', brokenUp: false })
    expect(says(redate(pen, stray, at))).toBe('to: That is before this lot came to be.')
  })
  it('may go to the very moment of the picking, of the birth of its lot, or of a minute ahead of this clock; not past them', () => {
    const pen = served()
    const { pickedAt } = pen.lot().weighedIn ?? { pickedAt: '' }
    const soon = (seconds: number) => new Date(Date.parse(pen.now) + seconds * 1000).toISOString()
    const met = find(pen, 'plant-met')
    expect(says(redate(pen.copy(), met, soon(60)))).toBe('taken')
    expect(says(redate(pen.copy(), met, soon(61)))).toMatch(/^to: That moment is still to come/)
    const attested = find(pen, 'certain-attested')
    expect(says(redate(pen.copy(), attested, pickedAt))).toBe('taken')
    const split = pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 100, why: 'x' })
    const stray = pen.write({ type: 'stray-reported', lot: 'B', what: 'a leaf', brokenUp: false })
    expect(says(redate(pen.copy(), stray, split.at))).toBe('taken')
    // Of what passes mass on only the masses are asked.
    expect(says(redate(pen, split, '2027-05-16T07:00:00.000Z'))).toBe(
      'to: Then the masses of lot B would not add up: something was done to it in between.',
    )
  })
  it('of a load keeps its own beginning and end apart from those of other loads', () => {
    const pen = bringIn(household(new Pen()))
    load(pen, 400)
    load(pen, 500)
    const [begun1, begun2] = inOrder(pen.log).filter(({ type }) => type === 'step-begun')
    const [done1, done2] = inOrder(pen.log).filter(({ type }) => type === 'step-done')
    if (begun1 === undefined || begun2 === undefined || done1 === undefined || done2 === undefined)
      throw new RangeError('expected two loads')
    const NO = 'to: It cannot end before it began.'
    expect(says(redate(pen.copy(), begun1, done1.at))).toBe('taken')
    expect(says(redate(pen.copy(), begun1, begun2.at))).toBe(NO)
    expect(says(redate(pen.copy(), begun2, begun1.at))).toBe('taken')
    expect(says(redate(pen.copy(), done2, begun2.at))).toBe('taken')
    expect(says(redate(pen.copy(), done2, done1.at))).toBe(NO)
    expect(says(redate(pen.copy(), done1, done2.at))).toBe('taken')
    // The end of a load counts as it is dated now, and not at all once it is struck out.
    expect(says(redate(pen, done1, begun2.at))).toBe('taken')
    expect(says(redate(pen.copy(), begun1, begun2.at))).toBe('taken')
    pen.write({ type: 'struck', entry: done1.id, why: 'x' })
    expect(says(redate(pen, begun1, done2.at))).toBe('taken')
  })
  it('is amended by the correction written last, whatever came first; of two written at once by the one of the later name', () => {
    const pen = served()
    const dish = find(pen, 'served')
    const to = (minutes: number) => new Date(Date.parse(dish.at) + minutes * 60_000).toISOString()
    const say = (id: string, noted: string, minutes: number): Entry =>
      ({ ...pen.stamp({ type: 'redated', entry: dish.id, to: to(minutes), why: 'x' }), id, noted }) as Entry
    const [first, second] = ['2027-05-17T08:00:00.000Z', '2027-05-17T09:00:00.000Z'] as const
    const cases: readonly (readonly [Entry, Entry, number])[] = [
      [say('r1', first, 1), say('r2', second, 2), 2],
      [say('r2', first, 1), say('r1', second, 2), 2],
      [say('r1', first, 1), say('r2', first, 2), 2],
      [say('r2', first, 1), say('r1', first, 2), 1],
    ]
    for (const [one, other, minutes] of cases)
      for (const order of [
        [one, other],
        [other, one],
      ]) {
        const log = order.reduce((grown, entry) => addEntries(grown, [entry]), pen.log)
        expect(log.amendments.moments.get(dish.id)).toBe(to(minutes))
      }
  })
  it('stays in its place when it is struck out, and no correction of a correction counts', () => {
    const pen = served()
    const dish = find(pen, 'served')
    const earlier = find(pen, 'sorted').at
    const moved = pen.force({ type: 'redated', entry: dish.id, to: earlier, why: 'x' })
    const struck = pen.force({ type: 'struck', entry: dish.id, why: 'x' })
    expect(pen.log.order.find(({ id }) => id === dish.id)?.at).toBe(earlier)
    const again = pen.force({ type: 'redated', entry: struck.id, to: earlier, why: 'x' })
    pen.force({ type: 'redated', entry: moved.id, to: earlier, why: 'x' })
    for (const entry of [struck, moved, again]) {
      expect(isAmendment(entry)).toBe(true)
      expect(asDated(entry, pen.log.amendments)).toBe(entry)
    }
    expect(isAmendment(dish)).toBe(false)
    const same = { moments: new Map([[dish.id, dish.at]]) }
    expect(asDated(dish, same)).toBe(dish)
    expect(asDated(dish, { moments: new Map([[dish.id, earlier]]) })).toEqual({ ...dish, at: earlier })
  })
  it('leaves the amendments as they are where nothing amends', () => {
    const pen = served()
    const more = (log: typeof pen.log) => {
      const met = pen.stamp({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' })
      return addEntries(log, [met]).amendments
    }
    expect(more(pen.log)).toBe(pen.log.amendments)
    pen.write({ type: 'struck', entry: find(pen, 'served').id, why: 'x' })
    expect(more(pen.log)).toBe(pen.log.amendments)
    // A strike-out that came before what it strikes.
    const late = pen.stamp({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' })
    const early = pen.stamp({ type: 'struck', entry: late.id, why: 'x' })
    const log = addEntries(addEntries(pen.log, [early]), [late])
    expect(log.amendments.struck.has(late.id)).toBe(true)
    expect(log.amendments).toEqual(addEntries(pen.log, [early, late]).amendments)
  })
  it('a warning from a clock that was behind outlives the coming to be of its lot', () => {
    const pen = served()
    const early = find(pen, 'tell-seen').at
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'frozen', mass_g: 100, containers: 1, storeTemp_C: -19 })
    pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 100, why: 'x' })
    pen.write({ type: 'opened', lot: 'A', pack: 'p', into: 'O', code: 'O', mass_g: 50 })
    for (const lot of ['B', 'O']) {
      pen.force({ type: 'stray-reported', lot, what: 'a leaf', brokenUp: lot === 'O' }, early)
      const wrong = {
        type: 'tasted',
        lot,
        taster: 'ann',
        bitter: 9,
        astringent: 0,
        crumb: false,
        accepts: false,
      } as const
      pen.force({ ...wrong, alarm: 'soap' }, early)
      expect(pen.lot(lot).strays).toMatchObject({ reportedAt: early, brokenUp: lot === 'O' })
      expect(pen.lot(lot).tastes.filter(({ alarm }) => alarm !== null)).toHaveLength(1)
    }
  })
})
