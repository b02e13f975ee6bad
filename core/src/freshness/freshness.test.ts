import { describe, expect, it } from 'vitest'
import type { Saying } from '../log/stamp'
import { packView } from '../lot/packView'
import { bringIn, cook, household, load, Pen } from '../test/pen'
import { bringInKind, leachBaths, makeSafeKind, meetAll, runStep, tasteOf } from '../test/plants'
import { freshnessOf, packFreshness } from './freshness'

const HOUR = 60
const DAY = 1440
const opened = () => meetAll(household(new Pen()))
const cooked = () => cook(opened())
const ramsons = () => {
  const pen = bringInKind(opened(), 'ramsons', 'R')
  pen.write({ type: 'way-chosen', lot: 'R', protocol: 'raw', goal: 'eat-raw' })
  tasteOf(pen, 'R')
  return pen
}
const serve = (pen: Pen, lot: string, mass_g = 5, pack: string | null = null, eater = 'ann') =>
  said(pen.try({ type: 'served', lot, pack, dish: 'x', portions: [{ eater, mass_g }] }).proposal)
const said = (proposal: ReturnType<Pen['try']>['proposal']) => (proposal.ok ? 'served' : proposal.message)
const pack = (pen: Pen, lot: string, id: string, over: Partial<Saying<'packed'>> = {}) =>
  pen.try({ type: 'packed', lot, pack: id, store: 'frozen', mass_g: 100, containers: 1, storeTemp_C: -19, ...over })
    .proposal
const open = (pen: Pen, lot: string, id: string, into: string, mass_g = 60) =>
  pen.try({ type: 'opened', lot, pack: id, into, code: into, mass_g }).proposal
const firstPack = (pen: Pen, lot: string) => {
  const [first] = pen.lot(lot).packs
  if (first === undefined) throw new RangeError('expected a pack')
  return first
}
const put = (pen: Pen, lot: string, place: 'cold' | 'kitchen' | 'hot', temp_C: number | null) =>
  pen.write({ type: 'placed', lot, place, temp_C })

describe('raw food', () => {
  it('goes limp first, which is minded, and is past eating, packing and cooking later, by where it stood', () => {
    const pen = bringIn(opened())
    const at = (minutes: number) => freshnessOf(pen.lot(), pen.copy().wait(minutes).context)
    expect(at(20 * HOUR)).toMatchObject({ state: 'fresh', must: [] })
    expect(at(30 * HOUR)).toMatchObject({ state: 'limp', must: [], mind: [expect.stringMatching(/^Past its best: leaves may be limp/)] }) // prettier-ignore
    expect(at(50 * HOUR).must).toEqual([expect.stringMatching(/^Raw, picked Sun 16 May 08:.*: past its raw life since Tue 18 May 08:.*Throw the food away/)]) // prettier-ignore
    const cold = pen.copy()
    put(cold, 'A', 'cold', 4)
    expect(freshnessOf(cold.lot(), cold.wait(6 * DAY).context).state).toBe('limp')
    expect(freshnessOf(cold.lot(), cold.wait(3 * DAY).context).state).toBe('over')
    // A cellar is no cold place, and one that nobody measured is refused as one.
    const cellar = pen.copy()
    put(cellar, 'A', 'cold', 12)
    expect(freshnessOf(cellar.lot(), cellar.wait(3 * DAY).context).state).toBe('over')
    expect(pen.try({ type: 'placed', lot: 'A', place: 'cold', temp_C: null }).proposal).toMatchObject({
      field: 'temp_C',
    })
  })
  it('that is past its life is not cooked as if it were fresh, and cooking it all the same makes it no younger', () => {
    const pen = bringIn(opened()).wait(3 * DAY)
    const begin = { type: 'step-begun', lot: 'A', protocol: 'blanch and drain', step: 2, load: 1, mass_g: 900 } as const
    expect(pen.try(begin).proposal).toMatchObject({ ok: false, field: 'lot' })
    const begun = pen.force(begin)
    pen.wait(3).force({
      ...{ type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes: 2.5, temp_C: 96, backToBoil_s: 40 },
      ...{ driedTo_g: null, checked: true, water: 'thrown' },
    })
    expect(freshnessOf(pen.lot(), pen.context)).toMatchObject({ state: 'over', life: { kind: 'raw' } })
    // In time it does.
    const honest = load(bringIn(opened()).wait(DAY), 900)
    expect(honest.type).toBe('step-done')
  })
  it('that was cut, pounded, juiced or soaked has the clock of cooked food', () => {
    const pen = ramsons()
    pen.write({ type: 'cut-up', lot: 'R', how: 'pounded' })
    expect(serve(pen.copy().wait(3 * HOUR), 'R')).toBe('served')
    expect(serve(pen.copy().wait(5 * HOUR), 'R')).toMatch(
      /^Sort is closed. Cut, wet or half cooked since .*it stood warm/,
    )
    expect(serve(ramsons().wait(5 * HOUR), 'R')).toBe('served')
    const oil = ramsons()
    oil.write({ type: 'ingredient-added', lot: 'R', what: 'oil', name: 'olive oil', mass_g: 200 })
    expect(serve(oil.wait(5 * HOUR), 'R')).toMatch(/it stood warm/)
    expect(pen.try({ type: 'cut-up', lot: 'R', how: 'cut' }).proposal).toMatchObject({ ok: false })
  })
})

describe('cooked food', () => {
  it('adds its warm minutes up, over the cold, a split, a join, a store and an opening', () => {
    const pen = cooked().wait(2 * HOUR)
    put(pen, 'A', 'cold', 4)
    pen.wait(10 * HOUR)
    put(pen, 'A', 'kitchen', null)
    pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 200, why: 'x' })
    expect(serve(pen.copy().wait(HOUR), 'B')).toBe('served')
    expect(serve(pen.copy().wait(2 * HOUR), 'B')).toMatch(/warm \(5 to 60 °C\) for 4 h in all/)
    const stored = pen.copy()
    expect(pack(stored, 'B', 'p', { store: 'chilled', storeTemp_C: 3 }).ok).toBe(true)
    stored.wait(20 * HOUR)
    expect(open(stored, 'B', 'p', 'C').ok).toBe(true)
    expect(serve(stored.copy().wait(90), 'C')).toBe('served')
    expect(serve(stored.copy().wait(2 * HOUR), 'C')).toMatch(/for 4 h in all/)
    // Kept hot by the thermometer it stands as long as it likes.
    const hot = cooked()
    put(hot, 'A', 'hot', 65)
    expect(serve(hot.wait(8 * HOUR), 'A')).toBe('served')
  })
  it('is kept from its making, in the cold too, and not from its packing', () => {
    const pen = cooked()
    put(pen, 'A', 'cold', 3)
    pen.wait(2 * DAY)
    expect(pack(pen, 'A', 'p', { store: 'chilled', storeTemp_C: 3 }).ok).toBe(true)
    expect(serve(pen.copy().wait(20 * HOUR), 'A', 5, 'p')).toBe('served')
    expect(serve(pen.copy().wait(26 * HOUR), 'A', 5, 'p')).toMatch(/even cold it kept only until Wed 19 May/)
  })
  it('is made no younger by boiling it again, nor by half a cooking', () => {
    const pen = cooked().wait(3 * HOUR)
    pen.force({ type: 'step-begun', lot: 'A', protocol: 'blanch and drain', step: 2, load: 2, mass_g: 700 })
    const again = pen.lot().runs.at(-1)?.entry ?? ''
    pen.wait(3).force({
      ...{ type: 'step-done', lot: 'A', begun: again, outcome: 'done', minutes: 2.5, temp_C: 96, backToBoil_s: 40 },
      ...{ driedTo_g: null, checked: true, water: 'thrown' },
    })
    expect(serve(pen.wait(90), 'A')).toMatch(/stood warm/)
  })
})

describe('a store', () => {
  it('once opened has its shorter life, and repacking or freezing again never lengthens it', () => {
    const pen = cooked()
    pack(pen, 'A', 'p', { mass_g: 200 })
    pen.wait(30 * DAY)
    expect(open(pen, 'A', 'p', 'C').ok).toBe(true)
    expect(packView(pen.lot('A'), firstPack(pen, 'A'), pen.context)).toMatchObject({ opened: pen.now, state: 'soon', stateSays: 'Use it within 24 h' }) // prettier-ignore
    expect(pack(pen, 'C', 'again', { mass_g: 50 }).ok).toBe(true)
    expect(serve(pen.copy().wait(20 * HOUR), 'C', 5, 'again')).toBe('served')
    expect(serve(pen.copy().wait(30 * HOUR), 'C', 5, 'again')).toMatch(/Opened or thawed; it kept 1 day from then/)
    // What stayed in the pack lies open as well; a pack nobody touched keeps its months.
    expect(serve(pen.copy().wait(30 * HOUR), 'A', 5, 'p')).toMatch(/Opened or thawed/)
    const closed = cooked()
    pack(closed, 'A', 'p', { mass_g: 200 })
    expect(serve(closed.wait(31 * DAY), 'A', 5, 'p')).toBe('served')
  })
  it('of several containers has only the open one open', () => {
    const pen = cooked()
    pack(pen, 'A', 'p', { mass_g: 300, containers: 3 })
    pen.wait(DAY)
    open(pen, 'A', 'p', 'C', 100)
    expect(pen.lot('A').packs[0]).toMatchObject({ mass_g: 200, openedAt: null })
    open(pen, 'A', 'p', 'D', 30)
    expect(pen.lot('A').packs[0]).toMatchObject({ mass_g: 170, openedAt: pen.now })
    pen.wait(2 * DAY)
    const view = () => packView(pen.lot('A'), firstPack(pen, 'A'), pen.context)
    expect(view()).toMatchObject({ state: 'discard', open_g: 70 })
    // The open one thrown away, the closed one keeps its own time.
    pen.write({ type: 'thrown-away', lot: 'A', pack: 'p', mass_g: 70, why: 'its time ended' })
    expect(view()).toMatchObject({ state: 'good', open_g: 0 })
  })
  it('thaws what it froze raw: cooked it goes on, frozen raw again it does not', () => {
    const pen = ramsons()
    pack(pen, 'R', 'p', { mass_g: 200 })
    pen.wait(10 * DAY)
    open(pen, 'R', 'p', 'C', 100)
    expect(said(pack(pen, 'C', 'q', { mass_g: 50 }))).toMatch(
      /It was frozen raw and has thawed: it is not frozen raw again/,
    )
    pen.write({ type: 'way-chosen', lot: 'C', protocol: 'cooked', goal: 'eat' })
    runStep(pen, 'ramsons', 'C', 2, { minutes: 5 })
    expect(pack(pen, 'C', 'q', { mass_g: 50 }).ok).toBe(true)
  })
  it('that is found too warm starts the clock, and one found cold again stops it', () => {
    const pen = ramsons()
    pack(pen, 'R', 'p', { store: 'chilled', storeTemp_C: 3, mass_g: 200 })
    pen.write({ type: 'cut-up', lot: 'R', how: 'cut' })
    pack(pen, 'R', 'q', { store: 'chilled', storeTemp_C: 3, mass_g: 200 })
    const read = (temp_C: number) => pen.write({ type: 'store-read', lot: 'R', pack: 'q', temp_C })
    read(9)
    pen.wait(2 * HOUR)
    read(4)
    expect(serve(pen.copy().wait(20 * HOUR), 'R', 5, 'q')).toBe('served')
    read(9)
    expect(serve(pen.copy().wait(3 * HOUR), 'R', 5, 'q')).toMatch(/stood warm/)
    // A freezer that gave out: thawed, it has a day, cold or not.
    const frozen = cooked()
    pack(frozen, 'A', 'p', { mass_g: 200 })
    frozen.wait(DAY).write({ type: 'store-read', lot: 'A', pack: 'p', temp_C: 2 })
    expect(packFreshness(firstPack(frozen, 'A'), frozen.copy().wait(20 * HOUR).context).state).toBe('fresh')
    expect(packFreshness(firstPack(frozen, 'A'), frozen.copy().wait(30 * HOUR).context).state).toBe('over')
  })
  it('past its time is opened no more, only thrown away, in one act', () => {
    const pen = cooked()
    pack(pen, 'A', 'p', { store: 'chilled', storeTemp_C: 3 })
    pen.wait(5 * DAY)
    expect(open(pen, 'A', 'p', 'C')).toMatchObject({ field: 'pack', message: expect.stringMatching(/^This pack is opened no more: throw it away from the larder/) as string }) // prettier-ignore
    pen.write({ type: 'thrown-away', lot: 'A', pack: 'p', mass_g: 100, why: 'its time ended' })
    expect(pen.lot('A').packs[0]?.mass_g).toBe(0)
  })
  it('of dry food ends when something wet is put to it, and holds while nothing is', () => {
    const pen = bringIn(opened())
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'dried for tea or powder', goal: 'dry' })
    const begun = pen.write({ type: 'step-begun', lot: 'A', protocol: 'dried for tea or powder', step: 2, load: 1, mass_g: 900 }) // prettier-ignore
    pen.wait(700).write({
      ...{
        type: 'step-done',
        lot: 'A',
        begun: begun.id,
        outcome: 'done',
        minutes: 700,
        temp_C: 40,
        backToBoil_s: null,
      },
      ...{ driedTo_g: 119, checked: true, water: null },
    })
    pen.write({ type: 'weighed', lot: 'A', mass_g: 119, after: 'drying' })
    expect(freshnessOf(pen.lot(), pen.copy().wait(30 * DAY).context)).toMatchObject({
      state: 'fresh',
      until: '2028-05-16T20:17:00.000Z',
    })
    expect(pack(pen.copy(), 'A', 'p', { store: 'dried', storeTemp_C: null, mass_g: 50 }).ok).toBe(true)
    tasteOf(pen, 'A')
    pen.write({ type: 'ingredient-added', lot: 'A', what: 'water', name: 'water', mass_g: 50 })
    expect(said(pack(pen, 'A', 'q', { store: 'dried', storeTemp_C: null, mass_g: 50 }))).toMatch(
      /does not keep it dried as it is/,
    )
    expect(freshnessOf(pen.lot(), pen.wait(5 * HOUR).context).state).toBe('over')
  })
})

describe('a leach', () => {
  const BATHS = { protocol: 'cold baths', step: 5 } as const
  const leaching = () => {
    const pen = bringInKind(opened(), 'acorns', 'Q')
    pen.write({ type: 'way-chosen', lot: 'Q', protocol: 'cold baths', goal: 'eat' })
    return pen
  }
  it('of many days is not food that stood: each bath has its own limit, by how cold it is', () => {
    const pen = leaching()
    leachBaths(pen, 'Q', { ...BATHS, count: 12, minutes: 700, taste: 1 })
    expect(freshnessOf(pen.lot('Q'), pen.context)).toMatchObject({ state: 'fresh', life: { kind: 'leached' } })
    const forgotten = (temp_C: number, minutes: number) => {
      const left = leaching()
      left.write({ type: 'bath-changed', lot: 'Q', ...BATHS, fresh: { water_mL: 4000, temp_C } })
      return freshnessOf(left.lot('Q'), left.wait(minutes).context)
    }
    expect(forgotten(4, 3 * DAY).state).toBe('fresh')
    expect(forgotten(12, 40 * HOUR).state).toBe('fresh')
    expect(forgotten(12, 50 * HOUR).must[0]).toMatch(/^It lay in one water since Sun 16 May .*; 2 days is the most/)
    expect(forgotten(18, 30 * HOUR).state).toBe('over')
  })
  it('counts a bath only with the water, the warmth and the time of the record', () => {
    const after = (fresh: { water_mL: number; temp_C: number | null }, minutes = 485) => {
      const pen = leaching()
      pen.write({ type: 'bath-changed', lot: 'Q', ...BATHS, fresh })
      pen.wait(minutes).write({ type: 'bath-changed', lot: 'Q', ...BATHS, fresh: null })
      const crumb = pen.try({ type: 'tasted', lot: 'Q', taster: 'ann', bitter: 0, astringent: 0, crumb: true, accepts: false, alarm: null }) // prettier-ignore
      return /Only (\d) of/.exec(said(crumb.proposal))?.[1]
    }
    expect(after({ water_mL: 4000, temp_C: 8 })).toBe('1')
    expect(after({ water_mL: 2000, temp_C: 8 })).toBe('0')
    expect(after({ water_mL: 4000, temp_C: 15 })).toBe('0')
    expect(after({ water_mL: 4000, temp_C: null })).toBe('0')
    expect(after({ water_mL: 4000, temp_C: 8 }, 400)).toBe('0')
  })
})

describe('a batch', () => {
  it('is as old as the oldest of what went into it, and has the earliest end of all', () => {
    const pen = opened()
    makeSafeKind(bringInKind(pen, 'nettle', 'A'), 'nettle', 'A')
    pen.wait(160)
    makeSafeKind(bringInKind(pen, 'nettle', 'B'), 'nettle', 'B')
    pen.write({ type: 'joined', lot: 'J', code: 'J', parts: [{ lot: 'A', mass_g: 300 }, { lot: 'B', mass_g: 300 }] }) // prettier-ignore
    expect(serve(pen.copy().wait(20), 'J')).toBe('served')
    expect(serve(pen.copy().wait(70), 'J')).toMatch(/stood warm/)
    expect(serve(pen.copy().wait(70), 'B')).toBe('served')
  })
})

describe('a way with heat', () => {
  it('counts its loads in their order, of the food there is, and in water enough for all that went through it', () => {
    const boil = (
      ...loads: readonly { mass_g: number; water?: { water_mL: number; fresh: boolean }; at?: number }[]
    ) => {
      const pen = bringIn(opened())
      for (const { mass_g, water } of loads) {
        const begun = pen.write({ type: 'step-begun', lot: 'A', protocol: 'blanch and drain', step: 2, load: 1, mass_g, ...(water && { water }) }) // prettier-ignore
        pen.wait(3).write({
          ...{ type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes: 2.5, temp_C: 96 },
          ...{ backToBoil_s: 40, driedTo_g: null, checked: true, water: 'thrown' },
        })
      }
      tasteOf(pen.copy(), 'A', {})
      return pen
    }
    const safe = (pen: Pen) => said(pen.try({ type: 'tasted', lot: 'A', taster: 'ann', bitter: 0, astringent: 0, crumb: false, accepts: true, alarm: null }).proposal) // prettier-ignore
    const fresh = { water_mL: 3600, fresh: true }
    expect(safe(boil({ mass_g: 450, water: fresh }, { mass_g: 450, water: fresh }))).toBe('served')
    const thin = () => boil({ mass_g: 450, water: fresh }, { mass_g: 450, water: { water_mL: 3600, fresh: false } })
    expect(thin).toThrow(/3.6 L for 900 g in one water; 7.2 L is the least. Take fresh water/)
  })
  it('noted by two devices at once is not twice as much food', () => {
    const pen = bringIn(opened())
    const begin = (mass_g: number) => pen.force({ type: 'step-begun', lot: 'A', protocol: 'blanch and drain', step: 2, load: 1, mass_g }) // prettier-ignore
    const end = (begun: string) =>
      pen.force({
        ...{ type: 'step-done', lot: 'A', begun, outcome: 'done', minutes: 2.5, temp_C: 96, backToBoil_s: 40 },
        ...{ driedTo_g: null, checked: true, water: 'thrown' },
      })
    const [one, two] = [begin(600), begin(600)]
    pen.wait(3)
    end(one.id)
    end(two.id)
    expect(said(pen.try({ type: 'tasted', lot: 'A', taster: 'ann', bitter: 0, astringent: 0, crumb: false, accepts: true, alarm: null }).proposal)).toMatch(/another load of the same food was in at that time/) // prettier-ignore
  })
  it('of a part that is eaten cooked is not passed by, where none of it is critical by itself', () => {
    const pen = bringInKind(opened(), 'beet', 'B')
    pen.write({ type: 'way-chosen', lot: 'B', protocol: 'wilted in its own water', goal: 'eat' })
    const taste = () => said(pen.try({ type: 'tasted', lot: 'B', taster: 'ann', bitter: 0, astringent: 0, crumb: false, accepts: true, alarm: null }).proposal) // prettier-ignore
    expect(taste()).toMatch(/Make safe is to do. Still to do: wilt/)
    const begun = pen.write({ type: 'step-begun', lot: 'B', protocol: 'wilted in its own water', step: 2, load: 1, mass_g: 900 }) // prettier-ignore
    pen.wait(12).write({
      ...{
        type: 'step-done',
        lot: 'B',
        begun: begun.id,
        outcome: 'done',
        minutes: 11,
        temp_C: null,
        backToBoil_s: null,
      },
      ...{ driedTo_g: null, checked: true, water: null },
    })
    expect(taste()).toBe('served')
  })
})
