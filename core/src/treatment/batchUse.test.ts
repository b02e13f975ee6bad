import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { CriticalLimit, Protocol, Step, StoreRule, Use, UseHazard } from '../flora/taxon'
import { joinUses } from './batchUse'

const BASE: Use = {
  part: 'leaf',
  stage: 'young',
  verdict: 'cook',
  hazards: [],
  trim: ['stalks'],
  protocols: [],
  stores: [],
  amounts: [],
  cautionFor: [],
  dishes: ['soup', 'pie'],
}
const step = (limit: CriticalLimit | undefined, over: Partial<Step> = {}): Step => ({
  op: 'boil',
  control: ['a'],
  critical: true,
  ...(limit === undefined ? {} : { limit }),
  ...over,
})
const way = (steps: readonly Step[], over: Partial<Protocol> = {}): Protocol => ({
  name: 'boiled',
  standing: 'usual',
  goals: ['eat', 'freeze'],
  steps,
  why: 'It is so.',
  ...over,
})
const use = (over: Partial<Use>): Use => ({ ...BASE, ...over })
const joined = (a: Protocol, b: Protocol) =>
  joinUses(use({ protocols: [a] }), use({ protocols: [b], part: 'top' as never })).protocols
const boil = (minutes: number, acceptedTo_m = 2000): CriticalLimit => ({
  measure: 'rolling-boil',
  minutes,
  acceptedTo_m,
  added: [{ from_m: 300 * minutes, minutes: 1 }],
})
const baths = (least: number, minutes: number, tasteAtMost: number, atMost_C?: number): CriticalLimit => ({
  measure: 'baths',
  least,
  minutes,
  tasteAtMost,
  ...(atMost_C === undefined ? {} : { atMost_C }),
})
const hazard = (id: string, level: UseHazard['level'], note: string): UseHazard => ({
  id,
  kind: 'toxic',
  level,
  note,
  answers: [],
})
const store = (limit: StoreRule['limit'], over: Partial<StoreRule> = {}): StoreRule => ({
  store: 'frozen',
  after: 'treated',
  limit,
  keeps: { low: 6, high: 12, unit: 'months' },
  says: 'Cold.',
  ...over,
})

describe('two uses in one pot', () => {
  it.each<[string, CriticalLimit, CriticalLimit, CriticalLimit | undefined]>([
    [
      'boils',
      boil(2),
      boil(3, 1500),
      {
        ...boil(3, 1500),
        added: [
          { from_m: 600, minutes: 1 },
          { from_m: 900, minutes: 1 },
        ],
      } as CriticalLimit,
    ],
    [
      'heat right through',
      { measure: 'food-temperature', temp_C: 80, minutes: 10 },
      { measure: 'food-temperature', temp_C: 85, minutes: 5 },
      { measure: 'food-temperature', temp_C: 85, minutes: 10 },
    ],
    [
      'dryings',
      { measure: 'dried-to', moisture: 0.1 },
      { measure: 'dried-to', moisture: 0.08 },
      { measure: 'dried-to', moisture: 0.08 },
    ],
    ['acids', { measure: 'ph', atMost: 4.2 }, { measure: 'ph', atMost: 3.9 }, { measure: 'ph', atMost: 3.9 }],
    [
      'signs',
      { measure: 'seen', sign: 'soft' },
      { measure: 'seen', sign: 'green' },
      { measure: 'seen', sign: 'soft; green' },
    ],
    [
      'one sign',
      { measure: 'seen', sign: 'soft' },
      { measure: 'seen', sign: 'soft' },
      { measure: 'seen', sign: 'soft' },
    ],
    ['baths', baths(3, 360, 1), baths(6, 240, 2), baths(6, 360, 1)],
    ['baths of which one is cold', baths(3, 360, 1, 12), baths(6, 240, 2), baths(6, 360, 1, 12)],
    ['baths, the colder', baths(3, 360, 1), baths(6, 240, 2, 9), baths(6, 360, 1, 9)],
    ['a boil and a sign', boil(2), { measure: 'seen', sign: 'soft' }, undefined],
    ['an acid and a drying', { measure: 'ph', atMost: 4 }, { measure: 'dried-to', moisture: 0.1 }, undefined],
    ['heat and baths', { measure: 'food-temperature', temp_C: 80, minutes: 10 }, baths(1, 1, 1), undefined],
  ])('take the stricter of %s', (_what, a, b, both) => {
    expect(joined(way([step(a)]), way([step(b)])).map(({ steps }) => steps[0]?.limit)).toEqual(
      both === undefined ? [] : [both],
    )
  })
  it('go one way only where the treating steps are the same, in the larger ratio, the water thrown away if either’s is', () => {
    const a = way(
      [
        step(undefined, { op: 'wash', critical: false, control: ['grit'] }),
        step(undefined, { op: 'sort', control: ['strays'] }),
        step(boil(2), { waterRatio: { least: 5, usual: 8 }, control: ['a', 'x'] }),
        step(undefined, { op: 'freeze', control: ['f'] }),
      ],
      { name: 'one', why: 'One.' },
    )
    const b = way(
      [
        step(undefined, { op: 'wash', critical: false, control: ['grit', 'germs'] }),
        step(boil(1), { waterRatio: { least: 6, usual: 7 }, control: ['x', 'b'], water: 'discard' }),
      ],
      { name: 'other', why: 'Other.', goals: ['eat', 'syrup'], standing: 'contested' },
    )
    const [both] = joined(a, b)
    expect(both).toMatchObject({ name: 'one + other', why: 'One. Other.', goals: ['eat'], standing: 'contested' })
    expect(both?.steps.map(({ op }) => op)).toEqual(['wash', 'sort', 'boil', 'freeze'])
    expect(both?.steps[0]?.control).toEqual(['grit', 'germs'])
    expect(both?.steps[1]?.control).toEqual(['strays'])
    expect(both?.steps[2]).toMatchObject({
      waterRatio: { least: 6, usual: 8 },
      control: ['a', 'x', 'b'],
      water: 'discard',
    })
    expect(joined(b, a)[0]?.standing).toBe('contested')
    const same = joined(way([step(boil(2))]), way([step(boil(2), { waterRatio: { least: 5, usual: 8 } })]))[0]
    expect(same).toMatchObject({ name: 'boiled', why: 'It is so.', standing: 'usual' })
    expect(same?.steps[0]).not.toHaveProperty('waterRatio')
    expect(same?.steps[0]).not.toHaveProperty('water')
    for (const [one, other] of [
      [way([step(boil(2))]), way([step(boil(2))], { goals: ['syrup'] })],
      [way([step(boil(2))]), way([step(boil(2))], { storeOnly: true })],
      [way([step(boil(2))]), way([step(boil(2)), step(boil(2))])],
      [way([step(boil(2)), step(boil(2))]), way([step(boil(2))])],
      [way([step(boil(2))]), way([step(boil(2), { op: 'steam' })])],
      [way([step(boil(2))]), way([step(undefined)])],
      [way([step(undefined)]), way([step(boil(2))])],
    ] as const)
      expect(joined(one, other)).toEqual([])
    expect(joined(way([step(boil(2))], { storeOnly: false }), way([step(boil(2))]))).toHaveLength(1)
    const optional = way([step(boil(2)), step(boil(9), { op: 'steam', critical: false })])
    expect(joined(optional, way([step(boil(2))]))).toHaveLength(1)
  })
  it('keep only in stores that both have, by the stricter limit and the shorter time', () => {
    const both = (a: StoreRule, b: StoreRule) => joinUses(use({ stores: [a] }), use({ stores: [b], dishes: [] })).stores
    const pairs: readonly [StoreRule['limit'], StoreRule['limit'], StoreRule['limit']][] = [
      [
        { measure: 'store-temperature', atMost_C: 5 },
        { measure: 'store-temperature', atMost_C: 3 },
        { measure: 'store-temperature', atMost_C: 3 },
      ],
      [
        { measure: 'dried-to', moisture: 0.1 },
        { measure: 'dried-to', moisture: 0.12 },
        { measure: 'dried-to', moisture: 0.1 },
      ],
      [
        { measure: 'ph', atMost: 4 },
        { measure: 'ph', atMost: 4.2 },
        { measure: 'ph', atMost: 4 },
      ],
      [
        { measure: 'sugar', atLeast_brix: 60 },
        { measure: 'sugar', atLeast_brix: 65 },
        { measure: 'sugar', atLeast_brix: 65 },
      ],
      [
        { measure: 'salt-share', atLeast: 0.2 },
        { measure: 'salt-share', atLeast: 0.15 },
        { measure: 'salt-share', atLeast: 0.2 },
      ],
    ]
    for (const [a, , stricter] of pairs)
      for (const [, b] of pairs)
        expect(both(store(a), store(b)).map((rule) => rule.limit)).toEqual(a.measure === b.measure ? [stricter] : [])
    const keeps = (low: number, high: number) => ({ keeps: { low, high, unit: 'months' as const } })
    const cold = { measure: 'store-temperature', atMost_C: 5 } as const
    expect(both(store(cold, keeps(3, 12)), store(cold, { ...keeps(4, 9), says: 'Colder.' }))).toEqual([
      store(cold, { ...keeps(3, 9), says: 'Cold. Colder.' }),
    ])
    expect(both(store(cold), store(cold))).toEqual([store(cold)])
    for (const other of [
      { store: 'chilled' as const },
      { after: 'raw' as const },
      { keeps: { low: 1, high: 2, unit: 'days' as const } },
    ])
      expect(both(store(cold), store(cold, other))).toEqual([])
  })
  it('have all hazards, each at its worse, all cautions and trimmings, the dishes of both, and estimates as wide as both', () => {
    const range = (low: number, usual: number, high: number) => ({ low, usual, high })
    const a = use({
      hazards: [hazard('x', 'low', 'of a'), hazard('y', 'high', 'of a')],
      trim: ['stalks', 'ribs'],
      dishes: ['soup', 'pie'],
      cookedYield: range(0.5, 0.6, 0.7),
      moisture: range(0.8, 0.85, 0.9),
      amounts: [{ perDay_g: 50, who: 'adult', why: 'so' }],
      cautionFor: [{ who: 'pregnancy', what: 'avoid', why: 'a' }],
    })
    const b = use({
      hazards: [hazard('x', 'deadly', 'of b'), hazard('z', 'trace', 'of b')],
      trim: ['roots', 'stalks'],
      dishes: ['pie'],
      cookedYield: range(0.4, 0.5, 0.9),
      cautionFor: [{ who: 'kidney-stone', what: 'limit', why: 'b' }],
    })
    const both = joinUses(a, b)
    expect(both.hazards.map(({ id, level, note }) => [id, level, note])).toEqual([
      ['x', 'deadly', 'of b'],
      ['y', 'high', 'of a'],
      ['z', 'trace', 'of b'],
    ])
    expect(both).toMatchObject({
      trim: ['stalks', 'ribs', 'roots'],
      dishes: ['pie'],
      amounts: [],
      cookedYield: range(0.4, 0.55, 0.9),
    })
    expect(both.cautionFor.map(({ why }) => why)).toEqual(['a', 'b'])
    expect(joinUses(b, a).hazards[0]?.level).toBe('deadly')
    expect(joinUses(use({}), b)).not.toHaveProperty('cookedYield')
    expect(joinUses(a, a)).toBe(a)
    const never = use({ verdict: 'never' })
    expect([joinUses(a, never), joinUses(never, a)]).toEqual([never, never])
  })
  it('are eaten as the stricter one is, and keep raw as long as the one that spoils first, by each figure', () => {
    const raw = (ambient: number, chilled: number, verdict: Use['verdict']) =>
      use({
        verdict,
        keepsRaw_days: { ambient: ambient / 2, chilled: chilled / 2 },
        spoilsRaw_days: { ambient, chilled },
      })
    const pair = [raw(1, 14, 'raw-ok'), raw(2, 6, 'cook')] as const
    for (const [a, b] of [pair, [pair[1], pair[0]]] as const)
      expect(joinUses(a, b)).toMatchObject({
        verdict: 'cook',
        keepsRaw_days: { ambient: 0.5, chilled: 3 },
        spoilsRaw_days: { ambient: 1, chilled: 6 },
      })
    // Where one record does not say, it is taken for the most tender greens.
    expect(joinUses(raw(4, 20, 'cook'), use({})).spoilsRaw_days).toEqual({ ambient: 1, chilled: 3 })
    expect(joinUses(raw(0.4, 20, 'leach-then-cook'), use({}))).toMatchObject({ verdict: 'leach-then-cook', spoilsRaw_days: { ambient: 0.4, chilled: 3 } }) // prettier-ignore
  })
  it('of the catalogue never allow what one of them does not', () => {
    const uses = CATALOGUE.taxa.flatMap((taxon) => taxon.uses)
    fc.assert(
      fc.property(fc.constantFrom(...uses), fc.constantFrom(...uses), (a, b) => {
        const both = joinUses(a, b)
        const other = joinUses(b, a)
        if ([a, b].some(({ verdict }) => verdict === 'never')) {
          expect(both.verdict).toBe('never')
          return
        }
        expect(new Set(both.hazards.map(({ id }) => id))).toEqual(
          new Set([...a.hazards, ...b.hazards].map(({ id }) => id)),
        )
        expect(both.protocols).toHaveLength(other.protocols.length)
        for (const { goals } of both.protocols)
          for (const goal of goals)
            for (const each of [a, b]) expect(each.protocols.some((one) => one.goals.includes(goal))).toBe(true)
        for (const rule of both.stores)
          for (const each of [a, b])
            expect(each.stores.some(({ store: kind, after }) => kind === rule.store && after === rule.after)).toBe(true)
      }),
      { numRuns: 400 },
    )
  })
})
