import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { Saying } from '../log/stamp'
import { addDays, MINUTE_ms, toMs } from '../quantity/instant'
import { at, cut, DAY, HOUR, Story, T0 } from '../test/story'
import { endsIf, packLife, storeWhere } from './life'
import { rawKeeping } from './lifeLimits'
import { lotUse } from '../treatment/batchUse'

// Written straight into the log, unasked: the clock must be right about what ought not to have been done too.

describe('the clock of raw food', () => {
  it('goes by where it stood, in shares of its raw life, warm where nobody measured', () => {
    // Nettle: limp after 1 day warm and 4 cold, unsafe after 2 and 8.
    expect(new Story('nettle').over()).toEqual([2 * DAY, 'raw'])
    expect(new Story('nettle').place(0, 'cold', 5).over()).toEqual([8 * DAY, 'raw'])
    expect(new Story('nettle').place(0, 'cold', 5.1).over()).toEqual([2 * DAY, 'raw'])
    expect(new Story('nettle').place(0, 'cold').over()).toEqual([2 * DAY, 'raw'])
    expect(new Story('nettle').place(DAY, 'cold', 4).over()).toEqual([5 * DAY, 'raw'])
    expect(
      new Story('nettle')
        .place(0, 'cold', 4)
        .place(4 * DAY, 'kitchen', 4)
        .over(),
    ).toEqual([5 * DAY, 'raw'])
    expect(new Story('nettle').place(0, 'hot', 60).over()).toBeNull()
    expect(new Story('nettle').place(0, 'hot', 59).over()).toEqual([2 * DAY, 'raw'])
    const half = new Story('nettle').place(0, 'cold', 4).life(DAY)
    expect(half).toMatchObject({
      kind: 'raw',
      madeAt: at(0),
      warm_min: 0,
      limp: 1 / 4,
      raw: 1 / 8,
      end: null,
      over: null,
    })
  })
  it('takes it out of the cold for whatever is done to it', () => {
    const sort: Saying = { type: 'sorted', lot: 'A', stageSeen: 'emerging', kept_g: 900, trimmed_g: 100, trimmedTo: 'compost', wash: null } // prettier-ignore
    expect(new Story('nettle').place(0, 'cold', 4).do(DAY, sort).over()).toEqual([DAY + (7 / 4) * DAY, 'raw'])
    expect(new Story('nettle').place(0, 'cold', 4).run(DAY, DAY, 'blanch and drain', 1).over()).toEqual([DAY + (7 / 4) * DAY, 'raw']) // prettier-ignore
    // Put away and handled in one moment: it stands warm.
    expect(new Story('nettle').do(0, sort).place(0, 'cold', 4).over()).toEqual([2 * DAY, 'raw'])
    const revived = (looks: Saying<'revived'>['looks'], chilled: boolean) =>
      new Story('nettle').do(0, { type: 'revived', lot: 'A', minutes: 20, chilled, looks }).over()
    expect(revived('crisp', true)).toEqual([8 * DAY, 'raw'])
    expect(revived('better', true)).toEqual([8 * DAY, 'raw'])
    expect(revived('crisp', false)).toEqual([2 * DAY, 'raw'])
    expect(revived('same', true)).toEqual([2 * DAY, 'raw'])
  })
})

describe('the clock of moist food', () => {
  it('begins when it is laid open or wetted: 240 warm minutes in all, four days cold, and never beyond raw', () => {
    for (const how of ['cut', 'pounded', 'juiced', 'soaked'] as const)
      expect(new Story('dandelion').do(HOUR, cut(how)).over()).toEqual([5 * HOUR, 'warm'])
    expect(new Story('dandelion').do(0, cut('cut')).place(0, 'cold', 4).over()).toEqual([240, 'warm'])
    expect(new Story('dandelion').do(0, cut('cut')).place(1, 'cold', 4).over()).toEqual([4 * DAY, 'cold'])
    expect(new Story('dandelion').do(0, cut('cut')).place(1, 'cold', 4).place(DAY, 'kitchen').over()).toEqual([DAY + 239, 'warm']) // prettier-ignore
    // Cut late it has what is left of its raw life.
    expect(new Story('dandelion').place(0, 'cold', 4).do(11 * DAY, cut('cut')).place(11 * DAY + 1, 'cold', 4).over()?.[1]).toBe('raw') // prettier-ignore
    // Elsewhere the record gives the whole food weeks in the cold.
    expect(new Story('acorn').do(0, cut('cut')).place(1, 'cold', 4).over()).toEqual([4 * DAY, 'cold'])
    expect(new Story('dandelion').do(HOUR, cut('cut')).life(2 * HOUR)).toMatchObject({ kind: 'moist', madeAt: at(HOUR), warm_min: HOUR }) // prettier-ignore
  })
  it('begins by a step that cuts, by oil at once, and by a soak when it is lifted out', () => {
    expect(new Story('dandelion').run(0, 5, 'lacto-ferment', 2).over()).toEqual([240, 'warm'])
    expect(new Story('ramsons').run(HOUR, 20 * DAY, 'paste under oil, kept cold', 4).over()).toEqual([5 * HOUR, 'warm'])
    expect(new Story('dandelion').run(0, HOUR, 'raw, cold soaked', 2).over()).toEqual([5 * HOUR, 'warm'])
    expect(new Story('rowan').run(0, DAY, 'vinegar soak, then boiled', 1).over()).toEqual([DAY + 240, 'warm'])
    const added = (what: Saying<'ingredient-added'>['what']): Saying => ({ type: 'ingredient-added', lot: 'A', what, name: what, mass_g: 50 }) // prettier-ignore
    expect(new Story('nettle').do(HOUR, added('oil')).over()).toEqual([5 * HOUR, 'warm'])
    expect(new Story('nettle').do(HOUR, added('salt')).over()).toEqual([2 * DAY, 'raw'])
    const strained: Saying = { type: 'weighed', lot: 'A', mass_g: 1500, after: 'straining' }
    expect(new Story('spruce').do(HOUR, strained).over()).toEqual([5 * HOUR, 'warm'])
  })
  it('does not begin for seed that is dry as it is picked', () => {
    expect(new Story('mustard').do(0, cut('pounded')).life(DAY)).toMatchObject({ kind: 'raw', warm_min: 0 })
    expect(new Story('mustard').do(0, cut('soaked')).over()).toEqual([240, 'warm'])
  })
})

describe('the clock of cooked food', () => {
  const boiled = (minutes = 3) => new Story('nettle').run(HOUR, HOUR + minutes, 'blanch and drain', 2)
  it('begins at the first load that was cooked through, whatever the time before', () => {
    expect(boiled().life(HOUR + 3)).toEqual({
      ...{ kind: 'cooked', madeAt: at(HOUR + 3), warm_min: 0, limp: 0, raw: 0, wasFrozen: false, thawedRaw: false },
      ...{ end: { at: at(HOUR + 3 + 3 * DAY), cause: { of: 'cold' } }, over: null },
    })
    expect(boiled().over()).toEqual([HOUR + 3 + 240, 'warm'])
    expect(
      boiled()
        .place(HOUR + 4, 'cold', 3)
        .over(),
    ).toEqual([HOUR + 3 + 3 * DAY, 'cold'])
    expect(
      boiled()
        .place(HOUR + 4, 'hot', 70)
        .over(),
    ).toEqual([HOUR + 3 + 3 * DAY, 'cold'])
    const begin = (mass_g: number, load: number): Saying => ({ type: 'step-begun', lot: 'A', protocol: 'blanch and drain', step: 2, load, mass_g }) // prettier-ignore
    const inTwo = new Story('nettle')
    for (const [load, minute] of [
      [1, 0],
      [2, 100],
    ] as const) {
      inTwo.do(minute, begin(500, load))
      const begun = inTwo.pen.lot().runs.at(-1)?.entry ?? ''
      inTwo.do(minute + 3, { type: 'step-done', lot: 'A', begun, outcome: 'done', minutes: 3, temp_C: 99, backToBoil_s: 40, driedTo_g: null, checked: true, water: 'thrown' }) // prettier-ignore
    }
    expect(inTwo.life(103)).toMatchObject({ kind: 'cooked', madeAt: at(3), warm_min: 100 })
    expect(inTwo.over()).toEqual([243, 'warm'])
  })
  it('half done, it is heated all the same, and keeps as the shorter of raw and cooked does', () => {
    const half = boiled(1)
    expect(half.life(HOUR + 1)).toMatchObject({ kind: 'moist', madeAt: at(HOUR + 1), warm_min: 0 })
    expect(half.over()).toEqual([HOUR + 1 + 240, 'warm'])
    expect(
      boiled(1)
        .place(HOUR + 2, 'cold', 4)
        .over(),
    ).toEqual([HOUR + 1 + 3 * DAY, 'cold'])
    const leached = new Story('acorn')
      .bath(0, 5, 8)
      .bath(8 * HOUR, 5, null)
      .run(9 * HOUR, 9 * HOUR + 16, 'cold baths', 8)
    expect(leached.life(9 * HOUR + 16)).toMatchObject({ kind: 'moist', warm_min: 0 })
    expect(leached.place(9 * HOUR + 20, 'cold', 4).over()).toEqual([9 * HOUR + 16 + 3 * DAY, 'cold'])
  })
  it('does not begin for food that was over before it', () => {
    expect(new Story('nettle').run(3 * DAY, 3 * DAY + 3, 'blanch and drain', 2).over()).toEqual([2 * DAY, 'raw'])
  })
  it('does not stand still on a fire that was forgotten', () => {
    expect(new Story('nettle').run(0, null, 'blanch and drain', 2).over()).toEqual([DAY, 'step'])
    expect(new Story('nettle').run(0, null, 'blanch and drain', 2).life(DAY).over).toBeNull()
    expect(new Story('nettle').run(0, 2 * DAY, 'blanch and drain', 2).over()).toEqual([DAY, 'step'])
  })
})

describe('the clock of dry and of soured food', () => {
  const dried = (to_g: number) =>
    new Story('nettle').run(0, 12 * HOUR, 'dried for tea or powder', 2, { driedTo_g: to_g, temp_C: 40, water: null })
  it('stands still once it is dried to its mass, and not before', () => {
    expect(dried(130).life(30 * DAY)).toMatchObject({
      kind: 'dry',
      madeAt: at(12 * HOUR),
      end: { at: '2028-05-16T20:00:00.000Z', cause: { of: 'store' } },
      over: null,
    })
    expect(dried(400).over()?.[1]).toBe('raw')
    const water: Saying = { type: 'ingredient-added', lot: 'A', what: 'water', name: 'water', mass_g: 50 }
    expect(
      dried(130)
        .do(30 * DAY, water)
        .over(),
    ).toEqual([30 * DAY + 240, 'warm'])
    expect(
      dried(130)
        .do(30 * DAY, water)
        .place(30 * DAY + 1, 'cold', 4)
        .over(),
    ).toEqual([34 * DAY, 'cold'])
    // Boiled too short, dry leaf is wet leaf.
    expect(
      dried(130)
        .run(30 * DAY, 30 * DAY + 1, 'blanch and drain', 2)
        .over(),
    ).toEqual([30 * DAY + 1 + 240, 'warm'])
    // Forgotten on the rack.
    expect(new Story('nettle').run(0, null, 'dried for tea or powder', 2).over()).toEqual([4 * DAY, 'step'])
    expect(new Story('acorn').run(0, null, 'dried in the shell for later', 1).over()).toEqual([12 * DAY, 'step'])
  })
  it('sours under its own limit, and keeps when it is sour enough', () => {
    const souring = () => new Story('dandelion').run(0, 5, 'lacto-ferment', 2)
    const salt: Saying = { type: 'ingredient-added', lot: 'A', what: 'salt', name: 'salt', mass_g: 25 }
    const sour = (value: number): Saying => ({
      type: 'reading-taken',
      lot: 'A',
      what: 'ph',
      value,
      instrument: 'meter',
    })
    const fermented = (value: number) => {
      const story = souring().do(6, salt)
      const begun = { type: 'step-begun', lot: 'A', protocol: 'lacto-ferment', step: 3, load: 1, mass_g: 1025 } as const
      story.do(7, begun)
      const id = story.pen.lot().runs.at(-1)?.entry ?? ''
      story.do(10 * DAY, sour(value))
      return story.do(10 * DAY + 1, { type: 'step-done', lot: 'A', begun: id, outcome: 'done', minutes: 10 * DAY - 6, temp_C: null, backToBoil_s: null, driedTo_g: null, checked: true, water: null }) // prettier-ignore
    }
    expect(fermented(3.9).life(60 * DAY)).toMatchObject({
      kind: 'steady',
      over: null,
      end: { at: '2028-02-26T08:01:00.000Z' },
    })
    // Nine months on record, from the making, though it never went into a jar.
    expect(fermented(3.9).over()).toEqual([286 * DAY + 1, 'store'])
    // Not sour enough it was wet food all the while, and its cold days are gone the moment it is taken out.
    expect(fermented(4.6).over()).toEqual([4 * DAY, 'cold'])
    expect(souring().run(6, null, 'lacto-ferment', 3).over()).toEqual([6 + 42 * DAY, 'step'])
    expect(new Story('spruce').run(0, null, 'in vinegar', 1).over()).toEqual([84 * DAY, 'step'])
    // Salted over everything it keeps without a ferment.
    const salted: Saying = { type: 'ingredient-added', lot: 'A', what: 'salt', name: 'salt', mass_g: 300 }
    expect(new Story('ramsons').do(HOUR, salted).life(60 * DAY)).toMatchObject({ kind: 'steady', madeAt: at(HOUR) })
  })
})

describe('the clock of a leach', () => {
  it('gives each bath its limit by its measured cold, and running water its week or what is on record', () => {
    const lying = (temp_C: number, step = 5, way = 'cold baths') => new Story('acorn').bath(0, step, temp_C, way).over()
    expect(lying(5)).toEqual([4 * DAY, 'bath'])
    expect(lying(6)).toEqual([2 * DAY, 'bath'])
    expect(lying(15)).toEqual([2 * DAY, 'bath'])
    expect(lying(16)).toEqual([DAY, 'bath'])
    expect(lying(97)).toEqual([DAY, 'bath'])
    const unmeasured: Saying = {
      type: 'bath-changed',
      lot: 'A',
      protocol: 'cold baths',
      step: 5,
      fresh: { water_mL: 4000, temp_C: null },
    }
    expect(new Story('acorn').do(0, unmeasured).over()).toEqual([DAY, 'bath'])
    expect(lying(12, 5, 'running water')).toEqual([7 * DAY, 'bath'])
    expect(lying(12, 1, 'sunk or buried for months, then hot baths')).toEqual([180 * DAY, 'bath'])
    // The cause names the bath, and how long it may be.
    expect(new Story('acorn').bath(0, 5, 8).life(3 * DAY).over?.cause).toEqual({ of: 'bath', since: at(0), atMost_min: 2 * DAY }) // prettier-ignore
    expect(new Story('acorn').bath(0, 5, 8).life(2 * DAY).over).toBeNull()
  })
  it('that was poured off in the moment it was begun is none: food does not lie in it for ever', () => {
    const poured = new Story('nettle').bath(HOUR, 2, 8, 'blanch and drain').bath(HOUR, 2, null, 'blanch and drain')
    expect(poured.life(2 * HOUR)).toMatchObject({ kind: 'moist', madeAt: at(HOUR) })
    expect(poured.over()).toEqual([5 * HOUR, 'warm'])
  })
  it('ends for a part that is split off or packed: it lies in no water any more, and the rest does', () => {
    const story = new Story('acorn').bath(0, 5, 8).do(2 * HOUR, { type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 100, why: 'x' }) // prettier-ignore
    expect(story.over('B')).toEqual([2 * HOUR + DAY, 'warm'])
    expect(story.over('A')).toEqual([2 * DAY, 'bath'])
    const stored = new Story('acorn')
      .bath(0, 5, 8)
      .pack(2 * HOUR, 'frozen')
      .open(10 * DAY)
    expect(stored.pen.lot('B').baths.map(({ endedAt }) => endedAt)).toEqual([at(2 * HOUR)])
    expect(stored.over('B')).toEqual([11 * DAY, 'warm'])
  })
  it('leaves wet meal, which bears a day of warmth before the next bath or the fire', () => {
    const out = () => new Story('acorn').bath(0, 5, 8).bath(8 * HOUR, 5, null)
    expect(out().life(10 * HOUR)).toMatchObject({
      kind: 'leached',
      madeAt: at(0),
      warm_min: 2 * HOUR,
      end: { at: at(8 * HOUR + 4 * DAY) },
    })
    expect(
      out()
        .place(9 * HOUR, 'cold', 4)
        .over(),
    ).toEqual([8 * HOUR + 4 * DAY, 'cold'])
    expect(out().over()).toEqual([8 * HOUR + DAY, 'warm'])
    expect(
      out()
        .bath(20 * HOUR, 5, 8)
        .bath(28 * HOUR, 5, null)
        .over(),
    ).toEqual([28 * HOUR + DAY, 'warm'])
    // Cooked, it lies in no water, though the pouring off was given a later time.
    const late = new Story('acorn')
      .bath(0, 5, 8)
      .run(8 * HOUR, 8 * HOUR + 16, 'cold baths', 8)
      .bath(12 * HOUR, 5, null)
    expect(late.over()).toEqual([8 * HOUR + 16 + 240, 'warm'])
    // What was over before it went in stays over.
    expect(new Story('acorn').bath(30 * DAY, 5, 8).over()).toEqual([21 * DAY, 'raw'])
  })
})

describe('the clock of a store', () => {
  const boiled = () => new Story('nettle').run(0, 3, 'blanch and drain', 2)
  const MONTHS_12 = (toMs('2028-05-16T08:03:00.000Z') - toMs(T0)) / MINUTE_ms
  it('runs from the making, first freezing excepted, and keeps what was inherited', () => {
    expect(boiled().pack(HOUR, 'frozen').packed(HOUR)).toMatchObject({ kind: 'cooked', madeAt: at(HOUR), wasFrozen: true, over: null, end: { at: '2028-05-16T09:00:00.000Z', cause: { of: 'store' } } }) // prettier-ignore
    expect(
      boiled()
        .pack(HOUR, 'chilled')
        .packed(3 * DAY + 3).over,
    ).toBeNull()
    expect(boiled().pack(HOUR, 'chilled').packed(3 * DAY + 4).over).toEqual({ at: at(3 * DAY + 3), cause: { of: 'cold' } }) // prettier-ignore
    // Packed without any way on record for it: the shortest there is for that store.
    const raw = new Story('acorn').pack(HOUR, 'chilled').packed(2 * HOUR)
    expect(raw).toMatchObject({ kind: 'raw', end: { at: at(60 * DAY), cause: { of: 'store' } } })
    expect(MONTHS_12).toBeGreaterThan(365 * DAY)
  })
  it('starts the warm minutes when it is found warm, and thaws for good when a freezer fails', () => {
    const cold = () => boiled().place(4, 'cold', 3).pack(10, 'chilled')
    expect(cold().packed(20 * HOUR).warm_min).toBe(1)
    expect(
      cold()
        .read(HOUR, 9)
        .packed(2 * HOUR).warm_min,
    ).toBe(1 + HOUR)
    expect(
      cold()
        .read(HOUR, 9)
        .read(2 * HOUR, 4)
        .packed(20 * HOUR),
    ).toMatchObject({ warm_min: 1 + HOUR, over: null })
    expect(
      cold()
        .read(HOUR, 9)
        .packed(6 * HOUR).over,
    ).toEqual({ at: at(HOUR + 239), cause: { of: 'warm' } })
    // At 4 °C on record: 4.5 is warm there.
    expect(
      cold()
        .read(HOUR, 4.5)
        .packed(2 * HOUR).warm_min,
    ).toBe(1 + HOUR)
    const frozen = () => boiled().pack(HOUR, 'frozen')
    expect(
      frozen()
        .read(DAY, -12)
        .packed(30 * DAY).over,
    ).toBeNull()
    expect(frozen().read(DAY, -11).packed(2 * DAY + 1).over).toEqual({ at: at(2 * DAY), cause: { of: 'opened', days: 1 } }) // prettier-ignore
    expect(
      frozen()
        .read(DAY, -11)
        .read(DAY + 10, -19)
        .packed(2 * DAY + 1).over,
    ).not.toBeNull()
    // A freezer at 20 °C: four hours, like any kitchen.
    expect(
      frozen()
        .read(DAY, 20)
        .packed(2 * DAY).over,
    ).toEqual({ at: at(DAY + 240 - 57), cause: { of: 'warm' } })
    const raw = new Story('ramsons').pack(HOUR, 'frozen')
    expect(frozen().packed(DAY).thawedRaw).toBe(false)
    expect(raw.read(DAY, -5).packed(DAY + 1).thawedRaw).toBe(true)
  })
  it('once opened has its own days, by its store, and none of the first freezing comes again', () => {
    const frozen = () => boiled().pack(HOUR, 'frozen').open(30 * DAY).pack(30 * DAY, 'frozen', { lot: 'B', pack: 'q', mass_g: 50 }) // prettier-ignore
    expect(frozen().life(30 * DAY, 'B')).toMatchObject({ wasFrozen: true, thawedRaw: false, end: { at: at(31 * DAY), cause: { of: 'opened', days: 1 } } }) // prettier-ignore
    const again = frozen().pen.lot('B').packs[0]
    const story = frozen()
    const lifeAgain = again && packLife(again, story.context(32 * DAY))
    expect(lifeAgain?.over).toEqual({ at: at(31 * DAY), cause: { of: 'opened', days: 1 } })
    const chilled = boiled().place(4, 'cold', 3).pack(10, 'chilled').open(HOUR)
    expect(chilled.life(HOUR, 'B').end).toEqual({ at: at(HOUR + 2 * DAY), cause: { of: 'opened', days: 2 } })
    // What stays in the pack lies open too; in the cold of its store.
    expect(chilled.packed(2 * DAY + HOUR + 1).over).toEqual({ at: at(HOUR + 2 * DAY), cause: { of: 'opened', days: 2 } }) // prettier-ignore
    expect(new Story('ramsons').pack(HOUR, 'frozen').open(DAY).life(DAY, 'B').thawedRaw).toBe(true)
    // Opened after its own time it is over.
    expect(
      boiled()
        .pack(HOUR, 'chilled')
        .open(5 * DAY)
        .over('B'),
    ).toEqual([3 * DAY + 3, 'cold'])
  })
  it('is as warm as it was last found to be', () => {
    const where = (story: Story, minute: number) => {
      const [pack] = story.pen.lot().packs
      return pack && storeWhere(pack, lotUse(pack.lotThen, story.pen.catalogue), story.context(minute))
    }
    const chilled = boiled()
      .pack(HOUR, 'chilled')
      .read(DAY, 9)
      .read(2 * DAY, 4)
    expect([HOUR, DAY, 2 * DAY].map((minute) => where(chilled, minute))).toEqual(['cold', 'warm', 'cold'])
    const frozen = boiled()
      .pack(HOUR, 'frozen')
      .read(DAY, 3)
      .read(2 * DAY, 9)
    expect([HOUR, DAY, 2 * DAY].map((minute) => where(frozen, minute))).toEqual(['frozen', 'cold', 'warm'])
  })
})

describe('a batch', () => {
  const joined = (story: Story, minute: number, ...lots: readonly string[]) =>
    story.do(minute, { type: 'joined', lot: 'J', code: 'J', parts: lots.map((lot) => ({ lot, mass_g: 300 })) })
  it('takes the worst of every part: the oldest, the warmest, the earliest end', () => {
    const two = new Story('nettle').run(0, 3, 'blanch and drain', 2).pick('nettle', 'B', 100)
    expect(joined(two, 120, 'A', 'B').life(120, 'J')).toMatchObject({
      ...{
        kind: 'moist',
        madeAt: at(3),
        warm_min: 117,
        limp: expect.closeTo(20 / DAY) as number,
        raw: expect.closeTo(10 / DAY) as number,
      },
      ...{ end: { at: at(3 * DAY + 3) }, over: null },
    })
    expect(two.over('J')).toEqual([243, 'warm'])
    const alike = new Story('nettle').pick('nettle', 'B', 100)
    expect(joined(alike, 120, 'A', 'B').life(120, 'J')).toMatchObject({
      kind: 'raw',
      madeAt: at(0),
      raw: expect.closeTo(60 / DAY) as number,
    })
    // Of two kinds the one that spoils first: ramsons 1.5 days in the kitchen and 10 cold, spruce tips 2 and 14.
    for (const lots of [
      ['A', 'B'],
      ['B', 'A'],
    ]) {
      const mixed = joined(new Story('spruce').pick('ramsons', 'B', 0), 0, ...lots)
      expect(mixed.over('J')).toEqual([1.5 * DAY, 'raw'])
      expect(mixed.life(DAY, 'J')).toMatchObject({ limp: expect.closeTo(2), raw: expect.closeTo(1 / 1.5) })
    }
    const gone = new Story('nettle').pick('nettle', 'B', 3 * DAY)
    expect(joined(gone, 3 * DAY + 10, 'B', 'A').over('J')).toEqual([2 * DAY, 'raw'])
  })
  it('keeps what is raw in it no longer than cut food, once something moist lies among it', () => {
    const way = 'stripped, boiled, seeds strained out'
    const ELDER = ['Sambucus nigra', 'fruit', 'ripe'] as const
    const cooked = new Story(ELDER).run(0, 31, way, 2).run(32, 1, way, 3).pick(ELDER, 'B', 0)
    // Boiled berries keep three days cold, raw ones two.
    const batch = joined(cooked, 40, 'A', 'B')
    expect(batch.life(40, 'J')).toMatchObject({ kind: 'moist', end: { at: at(2 * DAY + 40), cause: { of: 'cold' } } })
  })
})

describe('what is left of it', () => {
  const keeping = rawKeeping({ keepsRaw_days: { ambient: 1, chilled: 4 }, spoilsRaw_days: { ambient: 2, chilled: 8 } })
  const raw = new Story('nettle').life(0)
  const end = { at: at(3 * DAY), cause: { of: 'store' } } as const
  it('is told as if nothing changed where it is', () => {
    const left = (life: typeof raw, where: Parameters<typeof endsIf>[2]) => endsIf(life, at(0), where, keeping)
    expect(left(raw, 'warm')).toEqual({ at: addDays(at(0), 2), cause: { of: 'raw' } })
    expect(left(raw, 'cold')).toEqual({ at: addDays(at(0), 8), cause: { of: 'raw' } })
    expect(left({ ...raw, raw: 0.5 }, 'cold')?.at).toBe(addDays(at(0), 4))
    expect(left(raw, 'frozen')).toBeNull()
    expect(left({ ...raw, end }, 'cold')).toEqual(end)
    expect(left({ ...raw, kind: 'cooked', warm_min: 200 }, 'warm')).toEqual({ at: at(40), cause: { of: 'warm' } })
    expect(left({ ...raw, kind: 'cooked', warm_min: 200, end }, 'cold')).toEqual(end)
    expect(left({ ...raw, kind: 'moist', end }, 'warm')).toEqual({ at: at(240), cause: { of: 'warm' } })
    expect(left({ ...raw, kind: 'leached' }, 'warm')?.at).toBe(at(DAY))
    expect(left({ ...raw, kind: 'leached' }, 'cold')).toBeNull()
    expect(left({ ...raw, kind: 'dry' }, 'warm')).toBeNull()
    expect(left({ ...raw, over: end, end: null }, 'warm')).toEqual(end)
  })
})

describe('the clock as of a moment', () => {
  it('knows nothing of what came later, nor of what was noted for before the picking', () => {
    const cut: Saying = { type: 'cut-up', lot: 'A', how: 'cut' }
    const later = new Story('nettle')
      .place(0, 'cold', 4)
      .do(2 * HOUR, cut)
      .run(DAY, DAY + 3, 'blanch and drain', 2)
    expect(later.life(HOUR)).toMatchObject({ kind: 'raw', warm_min: 0 })
    expect(later.life(3 * HOUR)).toMatchObject({ kind: 'moist', madeAt: at(2 * HOUR) })
    expect(later.life(DAY + 2).kind).toBe('moist')
    const before = new Story('nettle')
    before.pen.force({ type: 'placed', lot: 'A', place: 'cold', temp_C: 4 }, at(-HOUR))
    expect(before.over()).toEqual([2 * DAY, 'raw'])
    const boiled = () => new Story('nettle').run(0, 3, 'blanch and drain', 2)
    // A pack asked about before it was packed is as it went in; a reading of later is no reading yet.
    expect(boiled().pack(HOUR, 'chilled').packed(10)).toMatchObject({ kind: 'cooked', warm_min: 57 })
    const read = boiled()
      .place(4, 'cold', 3)
      .pack(10, 'chilled')
      .read(2 * HOUR, 9)
    expect(read.packed(HOUR).warm_min).toBe(1)
    expect(read.packed(3 * HOUR).warm_min).toBe(1 + HOUR)
  })
})

describe('what lays food open or wets it', () => {
  /** A way of the catalogue with a step of an operation, and the part it is for. */
  const stepOf = (op: string) => {
    for (const taxon of CATALOGUE.taxa)
      for (const use of taxon.uses)
        for (const { name, steps } of use.protocols) {
          const step = steps.findIndex((each) => each.op === op)
          if (step >= 0 && (use.moisture?.high ?? 0) > 0.3) return { taxon, use, name, step }
        }
    throw new RangeError(`no way has a step to ${op}`)
  }
  it.each(['chop', 'grind', 'mill', 'juice', 'press', 'sieve', 'strain-seeds', 'peel', 'infuse-oil'])(
    'to %s, in a moment',
    (op) => {
      const { taxon, use, name, step } = stepOf(op)
      const story = new Story([taxon.scientificName, use.part, use.stage]).run(0, 30, name, step)
      expect(story.life(HOUR)).toMatchObject({ kind: 'moist', madeAt: at(0), warm_min: HOUR })
    },
  )
  it.each(['soak-cold', 'soak-acidulated', 'brine'])('%s, when it is lifted out', (op) => {
    const { taxon, use, name, step } = stepOf(op)
    const story = new Story([taxon.scientificName, use.part, use.stage]).run(0, 30, name, step)
    expect(story.life(20).kind).toBe('raw')
    expect(story.life(HOUR)).toMatchObject({ kind: 'moist', madeAt: at(30), warm_min: 30 })
  })
  it('forgotten in a leach that was noted as a load, it has the week of running water', () => {
    const { taxon, use, name, step } = stepOf('leach-hot')
    expect(new Story([taxon.scientificName, use.part, use.stage]).run(0, null, name, step).over()).toEqual([
      7 * DAY,
      'step',
    ])
  })
})

describe('frozen and thawed', () => {
  const boiled = () => new Story('nettle').run(0, 3, 'blanch and drain', 2)
  it('has one day from the first time it was found thawed, and is thawed raw only if it was frozen raw', () => {
    const twice = boiled()
      .pack(HOUR, 'frozen')
      .read(DAY, 3)
      .read(DAY + 5 * HOUR, 3)
    expect(twice.packed(3 * DAY).over).toEqual({ at: at(2 * DAY), cause: { of: 'opened', days: 1 } })
    expect(twice.packed(DAY + 6 * HOUR).thawedRaw).toBe(false)
    const cut: Saying = { type: 'cut-up', lot: 'A', how: 'pounded' }
    expect(new Story('ramsons').do(10, cut).pack(20, 'frozen').open(DAY).life(DAY, 'B')).toMatchObject({ kind: 'moist', thawedRaw: true, wasFrozen: true }) // prettier-ignore
    expect(new Story('ramsons').pack(20, 'chilled').open(DAY).life(DAY, 'B')).toMatchObject({ thawedRaw: false, wasFrozen: false }) // prettier-ignore
    // Leached and not cooked it is raw as well.
    const leached = new Story('acorn')
      .bath(0, 5, 8)
      .bath(8 * HOUR, 5, null)
      .pack(9 * HOUR, 'frozen')
      .open(DAY)
    expect(leached.life(DAY, 'B')).toMatchObject({ kind: 'leached', thawedRaw: true })
    // Frozen it stands still, but for its months.
    expect(new Story('ramsons').pack(0, 'frozen').packed(30 * DAY)).toMatchObject({ raw: 0, over: null })
    expect(new Story('ramsons').pack(0, 'frozen').packed(190 * DAY).over).toEqual({ at: '2027-11-16T08:00:00.000Z', cause: { of: 'store' } }) // prettier-ignore
  })
  it('a part thawed raw makes the whole batch so, and the earliest end is everybody’s, in whichever order they went in', () => {
    for (const lots of [
      ['B', 'C'],
      ['C', 'B'],
    ]) {
      const story = new Story('ramsons').pack(HOUR, 'frozen').open(DAY, 'B', 50).pick('ramsons', 'C', DAY)
      story.do(DAY + 10, { type: 'joined', lot: 'J', code: 'J', parts: lots.map((lot) => ({ lot, mass_g: 50 })) })
      expect(story.life(DAY + 10, 'J')).toMatchObject({ kind: 'raw', thawedRaw: true, wasFrozen: true, end: { at: at(2 * DAY) } }) // prettier-ignore
    }
    for (const lots of [
      ['B', 'A'],
      ['A', 'B'],
    ]) {
      const story = new Story('dandelion').pick('dandelion', 'B', DAY).do(DAY + 1, { type: 'cut-up', lot: 'B', how: 'cut' }) // prettier-ignore
      story.do(DAY + 2, { type: 'cut-up', lot: 'A', how: 'cut' })
      story.do(DAY + 3, { type: 'joined', lot: 'J', code: 'J', parts: lots.map((lot) => ({ lot, mass_g: 50 })) })
      expect(story.life(DAY + 4, 'J')).toMatchObject({ madeAt: at(DAY + 1), end: { at: at(5 * DAY + 1) } })
      expect(story.over('J')).toEqual([DAY + 241, 'warm'])
    }
  })
})

describe('of one moment', () => {
  it('a change of water leaves it in water; what was put away and handled stands warm; what came off the fire and was put away is cold', () => {
    expect(
      new Story('acorn')
        .bath(0, 5, 8)
        .bath(8 * HOUR, 5, 8)
        .over(),
    ).toEqual([8 * HOUR + 2 * DAY, 'bath'])
    const oil: Saying = { type: 'ingredient-added', lot: 'A', what: 'oil', name: 'oil', mass_g: 50 }
    expect(new Story('nettle').do(HOUR, oil).place(HOUR, 'cold', 4).over()).toEqual([5 * HOUR, 'warm'])
    const boiled = new Story('nettle').run(HOUR, HOUR + 3, 'blanch and drain', 2).place(HOUR + 3, 'cold', 3)
    expect(boiled.over()).toEqual([HOUR + 3 + 3 * DAY, 'cold'])
  })
  it('the last minute of a limit is within it', () => {
    const chopped = new Story('dandelion').do(0, cut('cut'))
    expect([chopped.life(240).over, chopped.life(241).over?.cause.of]).toEqual([null, 'warm'])
    const raw = new Story('nettle')
    expect([raw.life(2 * DAY).over, raw.life(2 * DAY + 1).over?.cause.of]).toEqual([null, 'raw'])
  })
})

describe('what no record knows', () => {
  const strange = () => new Story(['Ignota ficta', 'leaf', 'young'])
  it('is the strictest there is, and is told at all', () => {
    expect(strange().over()).toEqual([DAY, 'raw'])
    expect(strange().do(0, cut('cut')).over()).toEqual([240, 'warm'])
    // A minute of warmth costs three cold ones.
    expect(strange().do(0, cut('cut')).place(1, 'cold', 4).over()).toEqual([3 * DAY - 2, 'raw'])
    expect(strange().bath(0, 0, 8).over()).toEqual([2 * DAY, 'bath'])
    expect(strange().run(0, null, 'boiled', 0).over()).toEqual([DAY, 'raw'])
    const kept = strange()
      .pack(0, 'frozen')
      .open(10 * DAY)
    expect(kept.packed(9 * DAY)).toMatchObject({ wasFrozen: true, over: null })
    expect(kept.do(10 * DAY, { type: 'placed', lot: 'B', place: 'cold', temp_C: 4 }).over('B')).toEqual([
      11 * DAY,
      'opened',
    ])
  })
  it('of a step without a time on record, it has the most for its kind', () => {
    expect(new Story('mustard').run(0, null, 'ground mustard', 1).over()).toEqual([4 * DAY, 'step'])
    expect(new Story(['Plantago lanceolata', 'seed', 'ripe']).run(0, null, 'sprinkled or milled', 3).over()).toEqual([DAY, 'step']) // prettier-ignore
  })
  it('of a store that the record does not give its kind, it keeps as long as its shortest such store', () => {
    const twoMonths = new Story('nettle').run(HOUR, HOUR + 3, 'blanch and drain', 2).pack(2 * HOUR, 'dried')
    expect(twoMonths.packed(DAY).end).toEqual({ at: at(HOUR + 3 + 3 * DAY), cause: { of: 'cold' } })
    expect(new Story('nettle').pack(HOUR, 'dried').packed(DAY).end).toEqual({ at: '2028-05-16T08:00:00.000Z', cause: { of: 'store' } }) // prettier-ignore
  })
})

describe('loads', () => {
  const load = (story: Story, of_g: number, begun: number, done: number, minutes = done - begun) => {
    story.do(begun, { type: 'step-begun', lot: 'A', protocol: 'blanch and drain', step: 2, load: 1, mass_g: of_g })
    const id = story.pen.lot().runs.at(-1)?.entry ?? ''
    return { end: (): Story => story.do(done, { type: 'step-done', lot: 'A', begun: id, outcome: 'done', minutes, temp_C: 99, backToBoil_s: 40, driedTo_g: null, checked: true, water: 'thrown' }) } // prettier-ignore
  }
  it('that do not count make nothing cooked: its life begins with the first that does', () => {
    const story = new Story('nettle').run(10, 11, 'blanch and drain', 2).run(60, 63, 'blanch and drain', 2)
    expect(story.life(63)).toMatchObject({ kind: 'cooked', madeAt: at(63), warm_min: 0 })
  })
  it('in two pots at once count from the one that came out first', () => {
    const story = new Story('nettle')
    const slow = load(story, 500, 0, 30, 5)
    const quick = load(story, 500, 5, 10)
    quick.end()
    slow.end()
    expect(story.life(30)).toMatchObject({ kind: 'cooked', madeAt: at(10), warm_min: 20 })
  })
  it('of which half were done leave it heated, and not cooked', () => {
    const half = load(new Story('nettle'), 500, 0, 3).end()
    expect(half.life(3)).toMatchObject({ kind: 'moist', madeAt: at(3) })
    expect(half.over()).toEqual([243, 'warm'])
  })
})

describe('what is done to food that was opened or cooked before', () => {
  it('cut after cooking it is as old as it was, and half heated after cutting too', () => {
    const boiled = new Story('nettle').run(HOUR, HOUR + 3, 'blanch and drain', 2).do(2 * HOUR, cut('pounded'))
    expect(boiled.life(2 * HOUR)).toMatchObject({ kind: 'cooked', madeAt: at(HOUR + 3), warm_min: 57 })
    const chopped = new Story('nettle').do(0, cut('cut')).run(200, 201, 'blanch and drain', 2)
    expect(chopped.over()).toEqual([241, 'warm'])
  })
  it('thawed raw and put to dry, it has the day of what was opened', () => {
    const thawed = new Story('nettle').pack(0, 'frozen').open(10 * DAY)
    thawed.do(10 * DAY, { type: 'step-begun', lot: 'B', protocol: 'dried for tea or powder', step: 2, load: 1, mass_g: 50 }) // prettier-ignore
    expect(thawed.over('B')).toEqual([11 * DAY, 'opened'])
  })
  it('frozen, opened and packed cold, it has what opening left it, and not the cold days from its cooking', () => {
    const story = new Story('nettle')
      .run(HOUR, HOUR + 3, 'blanch and drain', 2)
      .pack(2 * HOUR, 'frozen')
      .open(60 * DAY)
    story.do(60 * DAY + 1, { type: 'packed', lot: 'B', pack: 'q', store: 'chilled', mass_g: 50, containers: 1, storeTemp_C: 3 }) // prettier-ignore
    const [pack] = story.pen.lot('B').packs
    expect(pack && packLife(pack, story.context(60 * DAY + HOUR))).toMatchObject({ over: null, end: { cause: { of: 'opened' } } }) // prettier-ignore
  })
  it('found as cold as it should be, it has not thawed; past its raw life, freezing makes it no younger', () => {
    const frozen = () => new Story('nettle').run(HOUR, HOUR + 3, 'blanch and drain', 2).pack(2 * HOUR, 'frozen')
    expect(
      frozen()
        .read(DAY, -19)
        .packed(30 * DAY),
    ).toMatchObject({ over: null, end: { cause: { of: 'store' } } })
    expect(new Story('nettle').pack(3 * DAY, 'frozen').packed(4 * DAY)).toMatchObject({ madeAt: at(0), wasFrozen: false, over: { cause: { of: 'raw' } } }) // prettier-ignore
  })
  it('salted or sugared enough, it is as old as the first measure of it, ends with its store, and is wet again with water', () => {
    const put = (what: 'salt' | 'water', mass_g: number): Saying => ({ type: 'ingredient-added', lot: 'A', what, name: what, mass_g }) // prettier-ignore
    const salted = () => new Story('ramsons').do(HOUR, put('salt', 300)).do(9 * DAY, put('salt', 20))
    expect(salted().life(10 * DAY)).toMatchObject({ kind: 'steady', madeAt: at(HOUR), end: { cause: { of: 'store' } } })
    expect(
      salted()
        .do(10 * DAY, put('water', 10))
        .over(),
    ).toEqual([10 * DAY + 240, 'warm'])
    const sweet: Saying = { type: 'reading-taken', lot: 'A', what: 'brix', value: 72, instrument: 'glass' }
    expect(new Story('spruce').do(HOUR, sweet).life(DAY)).toMatchObject({
      kind: 'steady',
      end: { cause: { of: 'store' } },
    })
  })
  it('cut with little left of its raw life, it ends with that, as it stands', () => {
    const story = new Story('nettle')
      .place(0, 'cold', 4)
      .do(7 * DAY, cut('cut'))
      .place(7 * DAY + 1, 'cold', 4)
    const { life, use } = { life: story.life(7 * DAY + 2), use: lotUse(story.pen.lot(), CATALOGUE) }
    expect(endsIf(life, at(7 * DAY + 2), 'cold', rawKeeping(use))?.cause.of).toBe('raw')
  })
})
