import { leach, tasteForecast, type LeachPrior } from '@ellop/core'
import { chance, normals } from '../core/src/quantity/chance'
import { likelihood, meanScore } from '../core/src/taste/forecast'
import { SLICES, tasted, trueBatch } from '../core/src/test/leachCooks'

const BATCHES = 500
const SEED = 20271125
/** After which baths a crumb is tasted, the first ones first. */
const TASTES_AFTER = [0, 2, 4]
const PRIORS: Readonly<Record<string, LeachPrior>> = {
  'wide prior': { diffusivity25_m2_s: { median: 2e-10, gsd: 2.5 }, strength: { median: 6, gsd: 2.5 } },
  'tight prior': { diffusivity25_m2_s: { median: 2e-10, gsd: 1.4 }, strength: { median: 6, gsd: 1.4 } },
}
const GRID = 260
const REACH_sd = 5

/**
 * How the forecast of baths holds on simulated batches drawn from its own prior, beside an exact posterior: a grid of its own, each
 * rate of it solved exactly, nothing told between points.
 */
export function benchCalibration(): void {
  console.log(`calibration on ${BATCHES} batches a line; a median is good when it is within one bath of the truth`)
  for (const [name, prior] of Object.entries(PRIORS)) {
    const exact = exactPosterior(prior)
    const normal = normals(chance(SEED))
    const asked = { ...SLICES, prior }
    const batches = Array.from({ length: BATCHES }, () => {
      const batch = trueBatch(SLICES, prior, normal(), normal())
      return { batch, tastes: TASTES_AFTER.map((after) => tasted(batch, after, SLICES.noise, normal)) }
    })
    const book = tasteForecast({ ...asked, observations: [] }).baths.p50
    for (let count = 0; count <= TASTES_AFTER.length; count += 1) {
      const rows = batches.map(({ batch: { needs }, tastes }) => {
        const observations = tastes.slice(0, count)
        const { baths, enough } = tasteForecast({ ...asked, observations })
        const own = exact(observations)
        return {
          median: Math.abs(baths.p50 - needs) <= 1,
          exactMedian: Math.abs(own.p50 - needs) <= 1,
          book: Math.abs(book - needs) <= 1,
          p80: needs <= baths.p80,
          p90: needs <= baths.p90,
          expected80: enough[baths.p80] ?? 1,
          expected90: enough[baths.p90] ?? 1,
        }
      })
      const share = (of: (row: (typeof rows)[number]) => boolean | number) =>
        `${((100 * rows.reduce((sum, row) => sum + Number(of(row)), 0)) / BATCHES).toFixed(1)} %`
      console.log(
        `${name}, ${count} tastes: median good ${share((row) => row.median)} (exact ${share((row) => row.exactMedian)}, the book alone ${share((row) => row.book)}); ` +
          `truth at or below p80 ${share((row) => row.p80)} (expected ${share((row) => row.expected80)}), p90 ${share((row) => row.p90)} (expected ${share((row) => row.expected90)})`,
      )
    }
  }
}

function exactPosterior(prior: LeachPrior) {
  const z = Array.from({ length: GRID }, (_, index) => -REACH_sd + (2 * REACH_sd * index) / (GRID - 1))
  const lefts = z.map((sd) => [
    1,
    ...leach({
      ...SLICES,
      diffusivity25_m2_s: prior.diffusivity25_m2_s.median * prior.diffusivity25_m2_s.gsd ** sd,
      baths: Array.from({ length: SLICES.maxBaths }, () => SLICES.bath),
    }).residual,
  ])
  const strengths = z.map((sd) => prior.strength.median * prior.strength.gsd ** sd)
  const needs = lefts.map((left) =>
    strengths.map((strength) => {
      const found = left.findIndex((each) => meanScore(strength * each) <= SLICES.target)
      return found < 0 ? SLICES.maxBaths + 1 : found
    }),
  )
  return (observations: readonly { readonly afterBath: number; readonly score: number }[]) => {
    const chances = new Float64Array(SLICES.maxBaths + 2)
    for (const [row, left] of lefts.entries())
      for (const [column, strength] of strengths.entries()) {
        let weight = Math.exp(-((z[row] ?? 0) ** 2 + (z[column] ?? 0) ** 2) / 2)
        if (weight < 1e-9) continue
        for (const { afterBath, score } of observations)
          weight *= likelihood(score, meanScore(strength * (left[afterBath] ?? 0)), SLICES.noise)
        const at = needs[row]?.[column] ?? 0
        chances[at] = (chances[at] ?? 0) + weight
      }
    const sum = chances.reduce((total, each) => total + each, 0)
    let gathered = 0
    const p50 = chances.findIndex((each) => (gathered += each / sum) >= 0.5)
    return { p50 }
  }
}
