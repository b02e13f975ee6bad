import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chance, normals } from '../quantity/chance'
import { leach } from '../leach/leach'
import { likelihood, meanScore, tasteForecast, type TasteForecastInput } from './forecast'

const INPUT: TasteForecastInput = {
  pieces: { shape: 'slab', size_mm: 4 },
  heldLiquid_mL: 300,
  activation_kJ_mol: 25,
  bath: { water_mL: 2000, minutes: 20, temp_C: 97, flow_mL_min: 0 },
  prior: { diffusivity25_m2_s: { median: 3e-10, gsd: 1.8 }, strength: { median: 3, gsd: 2 } },
  noise: 0.8,
  observations: [
    { afterBath: 0, score: 8 },
    { afterBath: 1, score: 6 },
  ],
  target: 2,
  maxBaths: 12,
}

describe('the baths still to come, from what was tasted', () => {
  it('are those of the worked case, with and without the tastes', () => {
    const { baths, enough, score, posterior } = tasteForecast(INPUT)
    expect(baths).toEqual({ p10: 2, p50: 3, p80: 4, p90: 5 })
    for (const [index, share] of [0.176, 0.694, 0.898, 0.964].entries())
      expect(Math.abs((enough[index + 2] ?? 0) - share)).toBeLessThan(0.004)
    for (const [index, mean] of [5.74, 3.19, 1.6, 0.81].entries()) expect(score[index]?.mean).toBeCloseTo(mean, 1)
    expect(posterior.diffusivity25_m2_s.median / 2.32e-10).toBeCloseTo(1, 1.5)
    expect(posterior.diffusivity25_m2_s.gsd).toBeCloseTo(1.65, 1)
    expect(posterior.strength.median).toBeCloseTo(4.5, 1)
    expect(posterior.strength.gsd).toBeCloseTo(1.42, 1)
    expect(tasteForecast({ ...INPUT, observations: [] }).baths).toEqual({ p10: 2, p50: 2, p80: 3, p90: 4 })
  })
  it('know scores as rounded normals whose ends take the tails', () => {
    expect([5, 6, 7].map((score) => likelihood(score, 6.2, 0.8).toFixed(3))).toEqual(['0.174', '0.455', '0.302'])
    for (const mean of [0, 3.3, 9.9])
      expect(
        Array.from({ length: 11 }, (_, score) => likelihood(score, mean, 0.8)).reduce((a, b) => a + b),
      ).toBeCloseTo(1, 6)
  })
  it('grow with every worse taste and every stricter target, and are never fewer at a higher chance', () => {
    const tastes = fc.array(fc.record({ afterBath: fc.nat(4), score: fc.nat(10) }), { maxLength: 3 })
    fc.assert(
      fc.property(tastes, fc.integer({ min: 1, max: 8 }), fc.nat(9), (observations, target, score) => {
        const ask = (over: Partial<TasteForecastInput>) =>
          tasteForecast({ ...INPUT, maxBaths: 6, observations, target, ...over })
        const { baths, enough } = ask({})
        expect(baths.p10 <= baths.p50 && baths.p50 <= baths.p80 && baths.p80 <= baths.p90).toBe(true)
        expect(enough.every((share, index) => share >= (enough[index - 1] ?? 0) - 1e-12 && share <= 1 + 1e-9)).toBe(
          true,
        )
        expect(ask({ target: target + 1 }).baths.p50).toBeLessThanOrEqual(baths.p50)
        const tasted = (last: number) =>
          ask({ observations: [...observations, { afterBath: 1, score: last }] }).score[0]?.mean ?? 0
        expect(tasted(score + 1)).toBeGreaterThanOrEqual(tasted(score) - 1e-9)
      }),
      { numRuns: 12 },
    )
  })
  it('hold in as many simulated batches as they say, and surprise says when tastes do not fit', () => {
    const random = chance(31)
    const normal = normals(random)
    const batches = 70
    let [p50, p80, p90] = [0, 0, 0]
    for (let batch = 0; batch < batches; batch += 1) {
      const rate = 3e-10 * 1.8 ** normal()
      const strength = 3 * 2 ** normal()
      const { residual } = leach({
        ...INPUT,
        diffusivity25_m2_s: rate,
        baths: Array.from({ length: 12 }, () => INPUT.bath),
      })
      const left = [1, ...residual]
      const taste = (afterBath: number) => ({
        afterBath,
        score: Math.max(0, Math.min(10, Math.round(meanScore(strength * (left[afterBath] ?? 0)) + 0.8 * normal()))),
      })
      const found = left.findIndex((each) => meanScore(strength * each) <= 2)
      const truth = found < 0 ? 13 : found
      const { baths } = tasteForecast({ ...INPUT, observations: [taste(0), taste(1)] })
      p50 += Number(Math.abs(truth - baths.p50) <= 1)
      p80 += Number(truth <= baths.p80)
      p90 += Number(truth <= baths.p90)
    }
    expect(p80 / batches).toBeGreaterThan(0.76)
    expect(p90 / batches).toBeGreaterThan(0.86)
    expect(p50 / batches).toBeGreaterThan(0.7)
    const odd = tasteForecast({
      ...INPUT,
      observations: [
        { afterBath: 0, score: 1 },
        { afterBath: 4, score: 9 },
      ],
    })
    expect(odd.surprise).toBeLessThan(0.01)
    expect(tasteForecast(INPUT).surprise).toBeGreaterThan(1)
  })
})
