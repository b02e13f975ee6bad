import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chance, normals } from '../quantity/chance'
import { tanninForecast } from '../leach/tannin'
import type { BathFact } from '../lot/lotState'
import { SLICES, tasted, trueBatch } from '../test/leachCooks'
import { likelihood, tasteForecast, tasteNext, type TasteForecastInput } from './forecast'

const INPUT: TasteForecastInput = {
  ...SLICES,
  observations: [
    { afterBath: 0, score: 8 },
    { afterBath: 1, score: 6 },
  ],
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
      const made = trueBatch(SLICES, SLICES.prior, normal(), normal())
      const observations = [0, 1].map((after) => tasted(made, after, SLICES.noise, normal))
      const truth = made.needs
      const { baths } = tasteForecast({ ...SLICES, observations })
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

describe('the taste that is worth most', () => {
  it('tells more than any other of the next ones: what simulated tastes leave unknown is least after it', () => {
    const next = tasteNext(INPUT, 2)
    if (next === undefined) throw new RangeError('expected a taste worth having')
    // What is left unknown of the number of baths, averaged over what may be tasted, by asking the forecast itself.
    const before = tasteForecast(INPUT)
    const unknown = (enough: readonly number[]) =>
      [...enough, 1].reduce((bits, share, index) => {
        const only = share - (index === 0 ? 0 : ([...enough, 1][index - 1] ?? 0))
        return only > 1e-12 ? bits - only * Math.log2(only) : bits
      }, 0)
    const told = (bath: number) => {
      const mean = before.score[bath - 1]
      if (mean === undefined) throw new RangeError('no such bath')
      // The predictive chance of each score: the posterior mean of its likelihood, by the forecast's own fan, is not given out; it
      // is had from the change of evidence when the score is added.
      const evidence = Array.from({ length: 11 }, (_, score) => {
        const after = tasteForecast({ ...INPUT, observations: [...INPUT.observations, { afterBath: bath, score }] })
        return { weight: after.surprise / 11 / before.surprise, left: unknown(after.enough) }
      })
      const all = evidence.reduce((sum, { weight }) => sum + weight, 0)
      expect(all).toBeCloseTo(1, 2)
      return unknown(before.enough) - evidence.reduce((sum, { weight, left }) => sum + (weight / all) * left, 0)
    }
    const bits = [2, 3, 4, 5].map((bath) => ({ bath, bits: told(bath) }))
    const best = bits.reduce((a, b) => (b.bits > a.bits ? b : a))
    expect(next.afterBath).toBe(best.bath)
    expect(Math.abs(next.bits - best.bits)).toBeLessThan(0.02)
  })
  it('is none where nothing is left to be told', () => {
    const sure = { median: 3e-10, gsd: 1 }
    expect(
      tasteNext({ ...INPUT, prior: { diffusivity25_m2_s: sure, strength: { median: 3, gsd: 1 } } }, 2),
    ).toBeUndefined()
  })
  it('lies in a fan that narrows with every taste and holds its mean', () => {
    const wide = tasteForecast({ ...INPUT, observations: [] }).score
    const narrow = tasteForecast(INPUT).score
    for (const each of [...wide, ...narrow])
      expect(each.p10 <= each.mean + 0.1 && each.mean <= each.p90 + 0.1).toBe(true)
    // A single bath may be told less surely when the middle moves; all of them together are not.
    const width = (score: typeof wide) => score.reduce((sum, { p10, p90 }) => sum + p90 - p10, 0)
    expect(width(narrow)).toBeLessThan(width(wide))
  })
})

describe('what the forecast is asked of a lot', () => {
  const bath = (index: number, ended = true): BathFact => ({
    entry: `b${index}`,
    lotMass_g: 900,
    protocol: 'cold leach',
    step: 1,
    water_mL: 3000 + 100 * index,
    temp_C: index === 0 ? null : 8,
    begunAt: `2027-05-1${index}T08:00:00.000Z`,
    endedAt: ended ? `2027-05-1${index}T20:00:00.000Z` : null,
  })
  const crumb = (at: string, bitter: number, astringent: number) => ({
    at,
    bitter,
    astringent,
    crumb: true,
    alarm: null,
  })
  const LIMIT = { least: 6, minutes: 480, tasteAtMost: 1 }
  it('counts each crumb after the baths that were poured off by then, the worse of bitter and dry; nothing before the first', () => {
    expect(tanninForecast([bath(0, false)], [], 900, LIMIT)).toBeUndefined()
    expect(tanninForecast([bath(0)], [], 0, LIMIT)).toBeUndefined()
    const asked = tanninForecast(
      [bath(0), bath(1), bath(2, false)],
      [
        crumb('2027-05-10T21:00:00.000Z', 7, 8),
        crumb('2027-05-12T07:00:00.000Z', 5, 2),
        { ...crumb('2027-05-12T07:10:00.000Z', 1, 1), crumb: false },
        { ...crumb('2027-05-12T07:20:00.000Z', 1, 1), alarm: 'soap' as const },
      ],
      900,
      LIMIT,
    )
    expect(asked?.observations).toEqual([
      { afterBath: 1, score: 8 },
      { afterBath: 2, score: 5 },
    ])
    expect(asked?.bath).toEqual({ water_mL: 3100, minutes: 720, temp_C: 8 })
    const running = [bath(0), bath(1), bath(2)].map((each) => ({ ...each, flow_mL_min: 1000 }))
    const flowing = tanninForecast(running, [], 900, LIMIT)
    expect(flowing?.bath).toMatchObject({ flow_mL_min: 1000 })
    const still = tanninForecast([bath(0), bath(1), bath(2)], [], 900, LIMIT)
    const most = (input: TasteForecastInput | undefined) => tasteForecast(input as TasteForecastInput).baths.p50
    expect(most(flowing)).toBeLessThan(most(still))
    expect(asked?.target).toBe(1)
    expect(asked?.maxBaths).toBeGreaterThan(LIMIT.least)
    const worse = tasteForecast(asked as TasteForecastInput).baths.p50
    const better = tasteForecast({ ...(asked as TasteForecastInput), observations: [{ afterBath: 2, score: 2 }] }).baths
      .p50
    expect(worse).toBeGreaterThan(better)
  })
})
