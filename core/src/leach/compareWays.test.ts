import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { requireTaxon, usesOf } from '../flora/catalogue'
import { tasteForecast, type TasteForecastInput } from '../taste/forecast'
import { compareWays, type CompareWaysInput, type WayOn } from './compareWays'
import { tanninForecast, tanninWays } from './tannin'

const [acorns] = usesOf(requireTaxon(CATALOGUE, 'Quercus robur'), 'nut', 'ripe')
const KITCHEN = {
  name: 'K',
  elevation_m: 1180,
  timeZone: 'UTC',
  burner: { power_W: 2000, efficiency: 0.5 },
  pots_mL: [9000],
  waterTemp_C: 9,
  ice_g: 0,
  at: '2027-09-01T00:00:00.000Z',
}
const LIMIT = { least: 6, minutes: 480, tasteAtMost: 1 }
const at = (hours: number) => new Date(Date.UTC(2027, 9, 1) + hours * 3.6e6).toISOString()
const bathsOf = (count: number, protocol = 'cold baths') =>
  Array.from({ length: count }, (_, index) => ({
    entry: `b${index}`,
    lotMass_g: 900,
    protocol,
    step: 5,
    water_mL: 3200,
    temp_C: 9,
    begunAt: at(8 * index),
    endedAt: at(8 * (index + 1)),
  }))
const crumb = (hours: number, astringent: number) => ({
  at: at(hours),
  bitter: 0,
  astringent,
  crumb: true,
  alarm: null,
})

function compared(count: number, crumbs: readonly ReturnType<typeof crumb>[] = []) {
  if (acorns === undefined) throw new RangeError('expected acorns on record')
  const baths = bathsOf(count)
  const asked = tanninForecast(baths, crumbs, 800, LIMIT)
  if (asked === undefined) throw new RangeError('expected a forecast')
  const { input, not } = tanninWays(acorns, { baths, mass_g: 800 }, asked, KITCHEN)
  const told = compareWays(input)
  return { asked, input, not, told, of: (name: string) => told.find((way) => way.name === name) }
}

describe('the ways on from where a lot stands', () => {
  it('are those on record, each with its least number of baths; the rest is told with a reason', () => {
    const { told, not, of } = compared(4)
    expect(told.map(({ name }) => name).sort()).toEqual(['cold baths', 'hot baths', 'running water'])
    expect(of('cold baths')?.baths.p10).toBeGreaterThanOrEqual(2)
    expect(of('hot baths')?.baths.p10).toBeGreaterThanOrEqual(5)
    expect(of('hot baths')?.starch).toBe('cooked')
    expect(of('cold baths')).toMatchObject({ starch: 'binds', fuel_kWh: 0 })
    expect(of('hot baths')?.fuel_kWh).toBeGreaterThan(0)
    expect(of('running water')?.water_mL).toBeGreaterThan(of('cold baths')?.water_mL ?? Infinity)
    expect(not.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['sunk or buried for months, then hot baths', 'roasting', 'ash or lye']),
    )
    const warm = tanninWays(acorns as NonNullable<typeof acorns>, { baths: [], mass_g: 800 }, compared(1).asked, {
      ...KITCHEN,
      waterTemp_C: 15,
    })
    expect(warm.not[0]).toEqual({
      name: 'cold baths',
      why: 'It wants water no warmer than 12 °C; here it comes at 15 °C.',
    })
  })
  it('agree with the forecast for the way it goes now, and follow the tastes', () => {
    for (const crumbs of [[], [crumb(33, 7)], [crumb(33, 3)]]) {
      const { asked, of } = compared(4, crumbs)
      const { baths } = tasteForecast({ ...asked, maxBaths: 28 })
      const more = (total: number) => Math.max(LIMIT.least, total) - 4
      expect(Math.abs((of('cold baths')?.baths.p50 ?? 0) - Math.min(25, more(baths.p50)))).toBeLessThanOrEqual(1)
    }
    const [bitter, mild] = [compared(4, [crumb(33, 8)]), compared(4, [crumb(33, 2)])]
    for (const { name, minutes } of bitter.told)
      expect(minutes.p50).toBeGreaterThanOrEqual(mild.of(name)?.minutes.p50 ?? 0)
  })
  it('go as diffusion goes: warmer, more water or a longer bath never takes more baths; a sure lot has no range', () => {
    const { input } = compared(2, [crumb(17, 6)])
    const way = (over: Partial<WayOn['bath']>): WayOn => ({
      name: JSON.stringify(over),
      op: 'leach-static',
      least: 0,
      bath: { water_mL: 3200, minutes: 240, temp_C: 12, ...over },
      change_min: 8,
    })
    const on = (ways: readonly WayOn[], over: Partial<TasteForecastInput> = {}) =>
      compareWays({ ...input, asked: { ...input.asked, ...over }, ways } satisfies CompareWaysInput)
    const [plain, warm, much, long] = on([way({}), way({ temp_C: 40 }), way({ water_mL: 9000 }), way({ minutes: 700 })])
    for (const better of [warm, much, long]) {
      expect(better?.baths.p50).toBeLessThanOrEqual(plain?.baths.p50 ?? 0)
      expect(better?.baths.p90).toBeLessThanOrEqual(plain?.baths.p90 ?? 0)
    }
    expect(plain?.sugarKept).toBeGreaterThan(0)
    expect(plain?.sugarKept).toBeLessThan(1)
    const [sure] = on([way({})], {
      prior: { diffusivity25_m2_s: { median: 6e-11, gsd: 1 }, strength: { median: 6, gsd: 1 } },
      observations: [],
    })
    expect(sure?.baths.p10).toBe(sure?.baths.p90)
    const [hopeless] = on([way({ minutes: 1, water_mL: 10 })])
    expect(hopeless).toMatchObject({ never: 1, baths: { p50: 25 } })
  })
})
