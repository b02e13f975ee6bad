import { describe, expect, it } from 'vitest'
import type { Catalogue } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import type { Use } from '../flora/taxon'
import { bringIn, cook, household, Pen } from '../test/pen'
import { becameStricter, judgedNow } from './rejudged'

/** A later revision in which the nettle's tops are told otherwise. */
function later(change: (use: Use) => Use): Catalogue {
  return {
    revision: 'later',
    taxa: CATALOGUE.taxa.map((taxon) =>
      taxon.scientificName === 'Urtica dioica' ? { ...taxon, uses: taxon.uses.map(change) } : taxon,
    ),
  }
}
const LIMIT = /Make safe was open and is to do: Load 1 does not count for the blanching: .+ Do it again\.$/
const longer = later((use) => ({
  ...use,
  protocols: use.protocols.map((protocol) => ({
    ...protocol,
    steps: protocol.steps.map((step) =>
      step.limit?.measure === 'rolling-boil' ? { ...step, limit: { ...step.limit, minutes: 30 } } : step,
    ),
  })),
}))

describe('a later revision of the catalogue', () => {
  const cooked = () => {
    const pen = cook(household(new Pen()))
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'frozen', mass_g: 300, containers: 1, storeTemp_C: -19 })
    return bringIn(pen, { lot: 'B' })
  }
  it('tells of each lot and pack what it holds against it that the earlier one let through', () => {
    const pen = cooked()
    const before = judgedNow(pen.context)
    expect(before.foods.map(({ lot, pack }) => [lot, pack])).toEqual([
      ['A', null],
      ['A', 'p'],
      ['B', null],
    ])
    const stricter = becameStricter(before, { ...pen.context, catalogue: longer })
    // What is raw yet was ajar before and is so still.
    expect(stricter.map(({ lot, pack }) => [lot, pack])).toEqual([
      ['A', null],
      ['A', 'p'],
    ])
    const [lot, pack] = stricter
    expect(lot?.says).toEqual([expect.stringMatching(LIMIT)])
    // Not boiled long enough, it went into the cold raw.
    expect(pack?.says).toEqual([
      expect.stringMatching(LIMIT),
      'It is to be thrown away by Fri 16 Jul 2027, and no longer by Tue 16 May 2028.',
    ])
  })
  it('tells of a store that is no longer allowed, and of one that keeps it shorter', () => {
    const pen = cooked()
    const before = judgedNow(pen.context)
    const says = (change: (use: Use) => Use) =>
      becameStricter(before, { ...pen.context, catalogue: later(change) }).map((each) => [each.pack, ...each.says])
    expect(says((use) => ({ ...use, stores: [] }))).toEqual([
      ['p', 'Its store is no longer allowed: use it up or throw it away.'],
    ])
    const halved = says((use) => ({
      ...use,
      stores: use.stores.map((store) => ({ ...store, keeps: { low: 10, high: 20, unit: 'days' } as const })),
    }))
    expect(halved).toEqual([
      ['p', expect.stringMatching(/^It is to be thrown away by Sat 5 Jun 2027, and no longer by Tue 16 May 2028\.$/)],
    ])
  })
  it('is silent where nothing is stricter, where the revision is the same, and of what time or an entry has done', () => {
    const pen = cooked()
    const before = judgedNow(pen.context)
    const milder = later((use) => ({
      ...use,
      stores: use.stores.map((store) => ({ ...store, keeps: { ...store.keeps, high: 90 } })),
    }))
    expect(becameStricter(before, { ...pen.context, catalogue: milder })).toEqual([])
    const same = { ...before, foods: before.foods.map((food) => ({ ...food, states: food.states.map(() => 'open') })) }
    expect(becameStricter(same as typeof before, pen.context)).toEqual([])
    pen.wait(800 * 1440)
    const still = { ...CATALOGUE, revision: 'later' }
    expect(becameStricter(before, { ...pen.context, catalogue: still })).toEqual([])
    // A lot that came since was never let through by the earlier one.
    bringIn(pen, { lot: 'C' })
    expect(becameStricter(before, { ...pen.context, catalogue: longer }).map(({ lot }) => lot)).toEqual(['A', 'A'])
    pen.force({ type: 'thrown-away', lot: 'A', pack: 'p', mass_g: 300, why: 'old' })
    pen.force({ type: 'thrown-away', lot: 'A', pack: null, mass_g: 400, why: 'old' })
    expect(becameStricter(before, { ...pen.context, catalogue: longer })).toEqual([])
  })
})
