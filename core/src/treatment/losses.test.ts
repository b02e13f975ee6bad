import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { requireTaxon } from '../flora/catalogue'
import type { Part, Stage } from '../flora/vocabulary'
import type { Goal } from '../flora/taxon'
import { planLosses } from './losses'
import { plan } from './plan'
import type { PlannedStep } from './planTypes'

function lossesOf(name: string, part: Part, stage: Stage, goal: Goal, school?: string) {
  const use = requireTaxon(CATALOGUE, name).uses.find((each) => each.part === part && each.stage === stage)
  if (use === undefined) throw new RangeError(`${name}: no ${part}`)
  const { steps } = plan(
    { taxon: name, part, stage, mass_g: 500, goal, ...(school === undefined ? {} : { school }) },
    CATALOGUE,
  )
  const told = planLosses({ use, mass_g: 500, steps })
  return { ...told, kept: (what: string) => told?.losses.find((loss) => loss.what === what)?.kept }
}

describe('what water and heat take', () => {
  it('is told in ranges for every plan in the catalogue that heats or waters, of what its hazards name and what one keeps', () => {
    let planned = 0
    for (const { scientificName, uses } of CATALOGUE.taxa)
      for (const use of uses.filter(({ verdict }) => verdict !== 'never'))
        for (const { name: school, goals } of use.protocols) {
          const { part, stage } = use
          const { steps } = plan(
            { taxon: scientificName, part, stage, mass_g: 500, goal: goals[0] ?? 'eat', school },
            CATALOGUE,
          )
          const told = planLosses({ use, mass_g: 500, steps })
          for (const { kept } of told?.losses ?? []) {
            planned += 1
            const { low, usual, high } = kept
            expect(
              low >= 0 && low <= usual + 0.003 && usual <= high + 0.003 && high <= 1.001,
              `${scientificName} ${school}`,
            ).toBe(true)
          }
        }
    expect(planned).toBeGreaterThan(400)
  })
  it('is set against what is really eaten: as much as in so many grams raw, where a portion and its shrinking are on record', () => {
    const use = {
      part: 'leaf',
      hazards: [{ id: 'bitter', kind: 'palate', level: 'low', note: '', answers: [] }],
    } as const
    const steps: readonly PlannedStep[] = [{ op: 'boil', minutes: 5, water: 'discard', water_mL: 4000, critical: false, control: [] }] // prettier-ignore
    const yields = { low: 0.4, usual: 0.5, high: 0.6 }
    const told = planLosses({ use: { ...use, portion_g: 100, cookedYield: yields }, mass_g: 500, steps })
    expect(told?.portion_g).toBe(100)
    for (const { what, unwanted, kept, asRaw_g } of told?.losses ?? [])
      expect([what, asRaw_g]).toEqual([
        what,
        unwanted ? undefined : { low: 200 * kept.low, usual: 200 * kept.usual, high: 200 * kept.high },
      ])
    for (const known of [{}, { portion_g: 100 }, { cookedYield: yields }]) {
      const bare = planLosses({ use: { ...use, ...known }, mass_g: 500, steps })
      expect(bare).not.toHaveProperty('portion_g')
      expect(bare?.losses.every((loss) => !('asRaw_g' in loss))).toBe(true)
    }
  })
  it('takes salt and oxalate out of boiled sea beet with the vitamins, and more of all in two waters', () => {
    const beet = lossesOf('Beta vulgaris', 'leaf', 'young', 'eat')
    expect(beet.losses?.filter(({ unwanted }) => unwanted).map(({ what }) => what)).toEqual([
      'soluble oxalate',
      'nitrate',
      'salt',
    ])
    expect(beet.kept('salt')?.usual).toBeLessThan(beet.kept('soluble oxalate')?.usual ?? 0)
    expect(beet.kept('the green')?.usual).toBeLessThan(1)
    const [one, two] = ['one water', 'two waters'].map((school) =>
      lossesOf('Taraxacum officinale', 'leaf', 'mature', 'eat', school),
    )
    for (const what of ['bitterness', 'vitamin C', 'potassium'])
      expect(two?.kept(what)?.usual).toBeLessThan(one?.kept(what)?.usual ?? 0)
  })
  it('leaves the starch of cold-leached meal alone and cooks it in hot baths; raw and dried it takes nothing', () => {
    expect(lossesOf('Quercus robur', 'nut', 'ripe', 'flour', 'cold baths').starch).toBe('binds')
    expect(lossesOf('Quercus robur', 'nut', 'ripe', 'eat', 'hot baths').starch).toBe('cooked')
    expect(lossesOf('Quercus robur', 'nut', 'ripe', 'flour', 'cold baths').kept('tannin')?.usual).toBeLessThan(0.1)
    expect(lossesOf('Allium ursinum', 'leaf', 'young', 'eat-raw', 'raw').losses).toBeUndefined()
  })
})

/** A plan of made-up steps for a made-up part. */
const told = (part: Part, hazards: readonly string[], ...steps: readonly Partial<PlannedStep>[]) =>
  planLosses({
    use: { part, hazards: hazards.map((id) => ({ id }) as never) },
    mass_g: 500,
    steps: steps.map((step) => ({ op: 'boil', critical: false, control: [], ...step })),
  })
const of = (what: string, ...asked: Parameters<typeof told>) =>
  told(...asked)?.losses.find((each) => each.what === what)?.kept
const COLD = { op: 'soak-cold', minutes: 60, water: 'discard', water_mL: 2500, temp_C: 12 } as const

describe('what is reckoned of a plan', () => {
  it('is nothing where nothing is heated or watered, or there is none of it', () => {
    expect(told('leaf', [], { op: 'chop' }, { op: 'wash', water: 'discard' })).toBeUndefined()
    expect(told('leaf', [], { op: 'soak-cold' })).toBeUndefined()
    expect(told('leaf', [], { op: 'roast' })).toBeDefined()
    expect(told('leaf', [], COLD)).toBeDefined()
    expect(
      planLosses({ use: { part: 'leaf', hazards: [] }, mass_g: 0, steps: [{ ...COLD, critical: false, control: [] }] }),
    ).toBeUndefined()
  })
  it('is what heat lets perish: nine tenths in D minutes, ten times as slow for thirty degrees less, each step after the other', () => {
    const perished = (D_min: number, minutes: number, temp_C: number) =>
      10 ** (-minutes / (D_min * 10 ** ((100 - temp_C) / 30)))
    for (const op of [
      'boil',
      'blanch',
      'simmer',
      'wilt',
      'saute',
      'roast',
      'bake',
      'fry',
      'leach-hot',
      'cook-jam',
      'pit-bake',
    ]) {
      expect([op, of('the green', 'leaf', [], { op, minutes: 20, temp_C: 85 })]).toEqual([
        op,
        {
          low: expect.closeTo(perished(10, 20, 85)),
          usual: expect.closeTo(perished(25, 20, 85)),
          high: expect.closeTo(perished(60, 20, 85)),
        },
      ])
      expect(of('vitamin C', 'leaf', [], { op, minutes: 20, temp_C: 85 })?.usual).toBeCloseTo(perished(500, 20, 85), 9)
    }
    expect(
      of('the green', 'leaf', [], { op: 'roast', minutes: 9 }, { op: 'fry', minutes: 4, temp_C: 180 })?.usual,
    ).toBeCloseTo(perished(25, 9, 95) * perished(25, 4, 100), 9)
    expect(of('the green', 'leaf', [], { op: 'leach-hot', minutes: 9, baths: { least: 3 } })?.usual).toBeCloseTo(
      perished(25, 27, 95),
      9,
    )
    expect(of('the green', 'leaf', [], COLD)).toBeUndefined()
  })
  it('is what steam takes, beside what perishes', () => {
    const steam = { op: 'steam', minutes: 10, temp_C: 100 }
    expect(of('potassium', 'leaf', [], steam)).toEqual({ low: 0.85, usual: 0.93, high: 1 })
    expect(of('folate', 'leaf', [], steam)).toEqual({ low: 0.75, usual: 0.9, high: 1 })
    expect(of('soluble oxalate', 'leaf', ['soluble-oxalate'], steam)).toEqual({ low: 0.47, usual: 0.75, high: 0.95 })
    expect(of('nitrate', 'leaf', ['nitrate'], steam)).toEqual({ low: 0.7, usual: 0.85, high: 1 })
    expect(of('bitterness', 'leaf', ['bitter'], steam)).toEqual({ low: 1, usual: 1, high: 1 })
    expect(of('vitamin C', 'leaf', [], steam)?.usual).toBeCloseTo(0.75 * 10 ** (-10 / 500), 9)
    expect(of('vitamin C', 'leaf', [], steam)?.low).toBeCloseTo(0.6 * 10 ** (-10 / 200), 9)
  })
  it.each([
    ['leaf', 0.4, false, true, undefined],
    ['leafy-top', 0.4, false, true, undefined],
    ['flower', 0.4, false, false, undefined],
    ['flower-bud', 6, false, true, undefined],
    ['needle-tip', 1.5, false, true, undefined],
    ['shoot', 8, false, true, undefined],
    ['stem', 8, false, true, undefined],
    ['midrib', 8, false, true, undefined],
    ['fruit', 8, false, false, undefined],
    ['seed', 2, false, false, 'binds'],
    ['nut', 8, true, false, 'binds'],
    ['root', 8, true, false, 'binds'],
    ['rhizome', 8, true, false, 'binds'],
    ['tuber', 8, true, false, 'binds'],
    ['corm', 8, true, false, 'binds'],
    ['bulb', 8, true, false, undefined],
  ] as const)('is for the usual pieces of a %s, with what one keeps of it', (part, pieces_mm, cut, green, starch) => {
    expect(told(part, [], COLD)).toMatchObject({ pieces_mm, cut, waterMayBeKept: false })
    expect(told(part, [], COLD)?.starch).toBe(starch)
    const names = told(part, [], { op: 'roast', minutes: 5 })?.losses.map(({ what }) => what)
    const vitamins = ['vitamin C', 'folate', 'potassium']
    expect(names).toEqual(green ? [...vitamins, 'the green'] : [...(part === 'fruit' ? vitamins : []), 'sugars'])
  })
  it('takes more out of what has no skin, is peeled, ground or opened by frost, runs, or lies warmer', () => {
    const kept = (part: Part, ...steps: readonly Partial<PlannedStep>[]) =>
      of('tannin', part, ['tannin-load'], ...steps)?.usual ??
      of('tannin', part, ['astringent-tannin'], ...steps)?.usual ??
      NaN
    for (const part of ['leaf', 'stem', 'shoot', 'midrib', 'flower-bud', 'needle-tip', 'fruit', 'seed'] as const)
      expect([part, kept(part, { op: 'peel' }, COLD) < kept(part, COLD) - 1e-4]).toEqual([part, true])
    for (const part of ['nut', 'root', 'bulb'] as const) expect(kept(part, { op: 'peel' }, COLD)).toBe(kept(part, COLD))
    for (const op of ['grind', 'mill']) {
      expect(kept('nut', { op }, COLD)).toBeLessThan(kept('nut', COLD))
      expect(kept('nut', { op }, { op: 'peel' }, COLD)).toBe(kept('nut', { op }, COLD))
      expect(told('nut', [], { op }, COLD)).toMatchObject({ pieces_mm: 2, cut: false })
    }
    expect(kept('root', { op: 'freeze-thaw' }, COLD)).toBeLessThan(kept('root', COLD))
    expect(kept('root', { ...COLD, op: 'leach-running', minutes: 900, water_mL: 500 })).toBeLessThan(
      kept('root', { ...COLD, op: 'leach-static', minutes: 900, water_mL: 500 }),
    )
    expect(kept('root', { ...COLD, temp_C: 30 })).toBeLessThan(kept('root', COLD))
    for (const op of ['leach-static', 'leach-hot', 'leach-running', 'soak-cold', 'boil', 'blanch', 'simmer'])
      expect([op, kept('root', { ...COLD, op }) < 1]).toEqual([op, true])
    // What is not said: five times its mass of cold water for a minute; at the pot nearly the boil; a bath once.
    const same = (a: Partial<PlannedStep>, b: Partial<PlannedStep>) =>
      expect(kept('root', a)).toBeCloseTo(kept('root', b), 9)
    same({ op: 'soak-cold', water: 'discard' }, { ...COLD, minutes: 1 })
    same(
      { op: 'boil', water: 'discard', minutes: 9 },
      { op: 'boil', water: 'discard', minutes: 9, temp_C: 95, water_mL: 2500, baths: { least: 1 } },
    )
    same(
      { ...COLD, baths: { least: 2, each_mL: 1000 }, water_mL: 9000 },
      { ...COLD, baths: { least: 2 }, water_mL: 1000 },
    )
    expect(kept('root', { ...COLD, baths: { least: 2 } })).toBeLessThan(kept('root', COLD))
  })
  it('names what the hazards name, whole names alone, and whether the water may be kept and the starch is cooked', () => {
    const names = (...ids: readonly string[]) =>
      told('root', ids, COLD)
        ?.losses.filter(({ unwanted }) => unwanted)
        .map(({ what }) => what)
    expect(names('bitter', 'salt', 'nitrate', 'soluble-oxalate', 'tannin-load')).toEqual([
      'soluble oxalate',
      'nitrate',
      'salt',
      'bitterness',
      'tannin',
    ])
    expect(
      names(
        'bitterest',
        'unbitter',
        'salty',
        'unsalt',
        'nitrates',
        'no-nitrate',
        'soluble-oxalates',
        'insoluble-oxalate',
        'soluble',
      ),
    ).toEqual([])
    const kept = { ...COLD, water: 'may-keep' } as const
    expect(told('root', [], COLD, kept)?.waterMayBeKept).toBe(true)
    expect(told('root', [], COLD)?.waterMayBeKept).toBe(false)
    const starch = (...temps: readonly number[]) =>
      told('root', [], ...temps.map((temp_C) => ({ ...COLD, temp_C })))?.starch
    expect([starch(50), starch(50.1), starch(12, 90), starch(90, 12)]).toEqual(['binds', 'cooked', 'cooked', 'cooked'])
    const wet = planLosses({
      use: { part: 'root', hazards: [{ id: 'salt' } as never], moisture: { low: 0.3, usual: 0.4, high: 0.5 } },
      mass_g: 500,
      steps: [{ ...COLD, minutes: 2000, critical: false, control: [] }],
    })
    // Less juice in it shares itself between more water.
    expect(wet?.losses[0]?.kept.usual).toBeLessThan(
      of('salt', 'root', ['salt'], { ...COLD, minutes: 2000 })?.usual ?? 0,
    )
  })
})
