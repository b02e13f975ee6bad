import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gateViews } from '../lot/gateView'
import { heldFood, amendPreview } from '../lot/held'
import { cook, household, Pen, weighIn } from '../test/pen'
import type { Entry } from './entries'
import { addEntries, compareEntries, EMPTY_LOG, foldLog, inOrder } from './fold'
import type { Struck } from './entries/struck'
import { kitchenAt } from './houseState'
import { playMany } from '../test/randomLogs'

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
    const twice = foldLog([...entries, ...entries])
    expect(twice.order).toEqual(whole.order)
    expect(twice.entries.size).toBe(entries.length)
  })
  it('takes hundreds at once in between those that are there, each once and in its place', () => {
    const met = (index: number): Entry => ({
      id: `met-${String(index).padStart(4, '0')}`,
      // Three at every moment: then the id decides.
      at: `2027-05-${String(1 + (Math.floor(index / 3) % 28)).padStart(2, '0')}T08:00:00.000Z`,
      noted: '2027-06-01T08:00:00.000Z',
      book: 'b',
      by: 'ann',
      device: 'd',
      type: 'plant-met',
      taxon: `Planta ${index % 7}`,
      stage: 'young',
    })
    const all = Array.from({ length: 300 }, (_, index) => met(index))
    const whole = foldLog(all)
    expect(whole.order).toEqual(all.toSorted(compareEntries))
    for (const every of [2, 3, 50, 299]) {
      const [there, more] = [
        all.filter((_, index) => index % every !== 0),
        all.filter((_, index) => index % every === 0),
      ]
      for (const [first, second] of [
        [there, more],
        [more, there],
      ] as const) {
        const merged = addEntries(foldLog(first), [...second, ...second, ...first.slice(0, 2)])
        expect(merged.order).toEqual(whole.order)
        expect(merged.state).toEqual(whole.state)
        expect(merged.entries.size).toBe(300)
        expect([...merged.entries.values()].map(({ id }) => id).sort()).toEqual(all.map(({ id }) => id))
        expect(all.every((entry) => merged.entries.get(entry.id) === entry && merged.entries.has(entry.id))).toBe(true)
      }
    }
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
    expect(foldLog(ring).amendments.struck.size).toBeLessThan(2)
    expect(foldLog(ring.slice(2)).amendments.struck.size).toBe(0)
  })
  it('folds a household of hundreds of entries on from its checkpoints, dated back and struck out, as from scratch', () => {
    const pen = household(new Pen())
    const day = (index: number) => new Date(Date.UTC(2020, 0, 1, 0, 10 * index)).toISOString()
    const many = Array.from({ length: 650 }, (_, index) =>
      pen.stamp({ type: 'felt-ill', eater: 'ann', symptoms: `${index}` }, day(index)),
    )
    const late = [0, 199, 201, 400, 649].map((index) => many[index] as Entry)
    const early = many.filter((entry) => !late.includes(entry))
    const start = addEntries(pen.log, early)
    const strikes = [3, 198, 205].map((index) => pen.stamp({ type: 'struck', entry: many[index]?.id ?? '', why: 'x' }))
    const together = [late, late.toReversed(), strikes, [...late, ...strikes]]
    for (const more of [...late, ...strikes].map((entry) => [entry]).concat(together)) {
      const log = addEntries(start, more)
      const whole = foldLog([...pen.log.entries.values(), ...early, ...more])
      expect(log.state.house).toEqual(whole.state.house)
      expect(log.checkpoints).toEqual(whole.checkpoints)
    }
    expect(start.state.house.ill).toHaveLength(early.length)
    expect(start.checkpoints.map(({ ill }) => ill.length).slice(0, 3)).toEqual([200, 400, 600])
  })
  it('keeps every part of the household that an entry leaves as it was, dated back and struck out too', () => {
    const pen = household(new Pen())
    const before = pen.log.state.house
    const met = pen.write({ type: 'plant-met', taxon: 'Sambucus nigra', stage: 'ripe', patch: 'wall' })
    const parts = ['patches', 'eaters', 'kitchens', 'gifts', 'numbers'] as const
    for (const saying of [
      undefined,
      { type: 'redated', entry: met.id, to: '2020-01-01T00:00:00.000Z', why: 'a wrong clock' } as const,
      { type: 'struck', entry: met.id, why: 'a slip' } as const,
    ]) {
      if (saying !== undefined) pen.write(saying)
      const { house } = pen.log.state
      for (const part of parts) expect(house[part], part).toBe(before[part])
      expect(house.meetings['Urtica dioica']).toBe(before.meetings['Urtica dioica'])
      expect(house.meetings['Sambucus nigra'] ?? []).toHaveLength(saying?.type === 'struck' ? 0 : 1)
    }
  })
  it('holds each lot apart, and lots that were joined together as one, in the order in which it happened', () => {
    const pen = household(new Pen())
    weighIn(pen, 500, 'A')
    weighIn(pen, 500, 'B')
    weighIn(pen, 500, 'C')
    const { families } = pen.log.state
    expect([...pen.log.shards.keys()].sort()).toEqual(['', 'A', 'B', 'C'])
    expect(families.size).toBe(0)
    for (const lot of ['C', 'A', 'C', 'B', 'A', 'C']) pen.force({ type: 'certain-attested', lot })
    pen.write({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' })
    expect(pen.log.state.families).toBe(families)
    expect(foldLog([...pen.log.entries.values()].filter((entry) => 'lot' in entry)).checkpoints).toEqual([])
    const parts = [
      { lot: 'C', mass_g: 100 },
      { lot: 'A', mass_g: 100 },
    ]
    const join = pen.stamp({ type: 'joined', lot: 'J', code: 'J', parts })
    // What was noted of them before the join on another device arrives after it.
    const late = pen.stamp({ type: 'certain-attested', lot: 'C' }, '2027-05-16T08:08:30.000Z')
    const log = addEntries(addEntries(pen.log, [join]), [late])
    expect([...log.shards.keys()].sort()).toEqual(['', 'A', 'B'])
    const family = log.shards.get('A') ?? []
    expect(family).toContain(late)
    expect(family).toEqual(family.toSorted(compareEntries))
    expect(log.state.families.get('C')).toEqual(['A', 'C', 'J'])
  })
  it('goes to a file as it was written, whatever was re-dated since', () => {
    const pen = household(new Pen())
    pen.write({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' })
    const written = inOrder(pen.log)
    const last = written.at(-1) as Entry
    pen.write({ type: 'redated', entry: last.id, to: '2027-05-16T07:00:00.000Z', why: 'a wrong clock' })
    expect(inOrder(pen.log).slice(0, -1)).toEqual(written)
    expect(pen.log.order.findIndex(({ id }) => id === last.id)).toBeLessThan(written.length - 1)
  })
  it('keeps an earlier version as it was however many entries come', () => {
    const pen = household(new Pen())
    const many = Array.from({ length: 4001 }, (_, index) => ({
      ...pen.stamp({ type: 'certain-attested', lot: 'A' }),
      id: `m${index}`,
    }))
    const before = pen.log.entries
    for (const count of [1, 1900, 2000, 2001, 4001]) {
      const more = many.slice(0, count)
      const after = before.with(more.slice(0, 1000)).with(more.slice(1000))
      expect(after.size).toBe(before.size + count)
      expect([...after.values()]).toEqual([...before.values(), ...more])
      expect(more.every((entry) => after.get(entry.id) === entry && after.has(entry.id) && !before.has(entry.id))).toBe(
        true,
      )
      expect([...before.values()].every((entry) => after.get(entry.id) === entry)).toBe(true)
    }
    expect(before.get('none')).toBeUndefined()
  })
  it('knows the latest moment at which anything was noted, whatever order it came in, and 1970 where nothing was', () => {
    const noted = (id: string, at: string): Entry => ({
      ...new Pen().stamp({ type: 'certain-attested', lot: 'A' }),
      id,
      noted: at,
    })
    const [may, june, july] = [
      noted('a', '2027-05-01T08:00:00.000Z'),
      noted('b', '2027-06-01T08:00:00.000Z'),
      noted('c', '2027-07-01T08:00:00.000Z'),
    ]
    expect(EMPTY_LOG.entries.latestNoted).toBe('1970-01-01T00:00:00.000Z')
    for (const order of [
      [may, june, july],
      [july, june, may],
      [june, july, may],
    ])
      for (const cut of [0, 1, 2, 3]) {
        const log = addEntries(foldLog(order.slice(0, cut)), order.slice(cut))
        expect(log.entries.latestNoted).toBe(july.noted)
        // What comes later, noted earlier, does not turn the clock back.
        expect(addEntries(log, [noted('d', may.noted)]).entries.latestNoted).toBe(july.noted)
      }
  })
  it('agrees with a fold from scratch, with another device and with a second opinion over random logs', () => {
    expect(playMany(90_001, 25).faults).toEqual([])
  })
  it('knows the kitchen of each moment, the first one before any, and none where none was noted', () => {
    const pen = household(new Pen())
    const [first] = pen.log.state.house.kitchens
    if (first === undefined) throw new RangeError('expected a kitchen')
    pen.wait(60)
    pen.write({ type: 'kitchen-set', kitchen: { ...first, name: 'Second' } })
    const { house } = pen.log.state
    const second = house.kitchens[1]
    const named = (at: string) => kitchenAt(house, at)?.name
    expect(['2020-01-01T00:00:00.000Z', first.at, second?.at ?? '', pen.now].map(named)).toEqual([
      'Test kitchen',
      'Test kitchen',
      'Second',
      'Second',
    ])
    expect(kitchenAt(EMPTY_LOG.state.house, pen.now)).toBeUndefined()
    expect(EMPTY_LOG.state.house).toMatchObject({ kitchens: [], recalls: [], ill: [], numbers: null })
  })
  it('counts a meeting of the same plant at the same moment once', () => {
    const pen = household(new Pen())
    const met = () => pen.force({ type: 'plant-met', taxon: 'Rumex acetosa', stage: 'young' })
    met()
    met()
    pen.wait(1)
    met()
    expect(pen.log.state.house.meetings['Rumex acetosa']).toHaveLength(2)
  })
  it('forgets a lot whose every entry is struck out', () => {
    const pen = household(new Pen())
    weighIn(pen)
    pen.write({ type: 'struck', entry: pen.lot().weighedIn?.entry ?? '', why: 'twice' })
    expect(pen.log.state.lots.size).toBe(0)
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
