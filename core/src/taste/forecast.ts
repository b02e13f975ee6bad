import { leach, type Bath, type LeachInput } from '../leach/leach'
import { cubic } from '../quantity/cubic'
import { normalBelow } from '../quantity/normal'

/** A quantity of which only the middle and the spread are known: log-normal. */
export interface LogNormal {
  readonly median: number
  /** Geometric standard deviation, from 1. */
  readonly gsd: number
}

/** What is held of a lot before it is tasted: independent, unless what earlier lots taught ties the two together. */
export interface LeachPrior {
  readonly diffusivity25_m2_s: LogNormal
  readonly strength: LogNormal
  /** Of the logarithms; 0 where not told. */
  readonly correlation?: number
}

export interface TasteForecastInput extends Pick<LeachInput, 'pieces' | 'heldLiquid_mL' | 'activation_kJ_mol'> {
  /** The bath that is repeated. */
  readonly bath: Bath
  readonly prior: LeachPrior
  /** Standard deviation of a taste before it is rounded, points of 10. */
  readonly noise: number
  readonly observations: readonly { readonly afterBath: number; readonly score: number }[]
  readonly target: number
  readonly maxBaths: number
}

export interface TasteForecast {
  /** Baths in all, those done included, by which the mean score first is at or below the target; maxBaths + 1: not within them. */
  readonly baths: { readonly p10: number; readonly p50: number; readonly p80: number; readonly p90: number }
  /** The chance that so many baths are enough, from none to maxBaths. */
  readonly enough: readonly number[]
  /** The score that a bath leaves on average, and where four in five lots lie. */
  readonly score: readonly {
    readonly afterBath: number
    readonly mean: number
    readonly p10: number
    readonly p90: number
  }[]
  readonly posterior: { readonly diffusivity25_m2_s: LogNormal; readonly strength: LogNormal }
  /** How likely such tastes were before any of them, over the likeliest ones: small means that something is not as assumed. */
  readonly surprise: number
}

/** Points of the grid, and how far it reaches in standard deviations of the prior. */
const RATES = 160
const STRENGTHS = 200
const REACH_sd = 5
/** The leach is solved at so many rates and told between them by a cubic. */
const SOLVED = 28
const HIGHEST = 10
/** One cook's crumb from the next, points of ten [planning value]. */
export const TASTE_NOISE = 0.8

/**
 * How many baths there will be in all, given what was tasted: the posterior of rate and strength on a dense grid. A score is the
 * rounding, clamped to 0 to 10, of a normal about 10x/(1+x), x = strength × residual (a saturating response; the residual by
 * diffusion, see `leach`). For taste alone: it says nothing of a poison, and nothing is tasted that is not safe to taste.
 */
export function tasteForecast(input: TasteForecastInput): TasteForecast {
  const { observations, maxBaths } = input
  const { rates, strengths, residuals, weights, best, sum } = posteriorOf(input)
  const enoughStrength = enoughAt(input.target)
  const enough = Array.from({ length: maxBaths + 1 }, () => 0)
  const means = Array.from({ length: maxBaths + 1 }, () => 0)
  const spread = Array.from({ length: maxBaths + 1 }, () => new Float64Array(SCORE_BINS + 1))
  const byRate = new Float64Array(rates.logs.length)
  const byStrength = new Float64Array(strengths.logs.length)
  for (let rate = 0; rate < rates.logs.length; rate += 1)
    for (let strength = 0; strength < strengths.logs.length; strength += 1) {
      const weight = (weights[rate * strengths.logs.length + strength] ?? 0) / sum
      byRate[rate] = (byRate[rate] ?? 0) + weight
      byStrength[strength] = (byStrength[strength] ?? 0) + weight
      const whole = Math.exp(strengths.logs[strength] ?? 0)
      for (let baths = 0; baths <= maxBaths; baths += 1) {
        const x = whole * (residuals[baths]?.[rate] ?? 0)
        const mean = meanScore(x)
        const bins = spread[baths] as Float64Array
        const bin = Math.round((mean / HIGHEST) * SCORE_BINS)
        bins[bin] = (bins[bin] ?? 0) + weight
        means[baths] = (means[baths] ?? 0) + weight * mean
        if (x <= enoughStrength) enough[baths] = (enough[baths] ?? 0) + weight
      }
    }
  const quantile = (share: number) => {
    const found = enough.findIndex((chance) => chance >= share)
    return found < 0 ? maxBaths + 1 : found
  }
  return {
    baths: { p10: quantile(0.1), p50: quantile(0.5), p80: quantile(0.8), p90: quantile(0.9) },
    enough,
    score: means.slice(1).map((mean, index) => ({
      afterBath: index + 1,
      mean,
      p10: scoreBelow(spread[index + 1], 0.1),
      p90: scoreBelow(spread[index + 1], 0.9),
    })),
    posterior: {
      diffusivity25_m2_s: summary(rates.logs, byRate),
      strength: summary(strengths.logs, byStrength),
    },
    surprise: surpriseOf(best, sum, observations.length),
  }
}

/** One lot as it may be, given the tastes. */
export interface LikelyLot {
  readonly diffusivity25_m2_s: number
  readonly strength: number
}

/** So many equally likely lots out of the posterior, evenly spread over it: what else than equal baths is reckoned for each of them. */
export function likelyLots(input: TasteForecastInput, count: number): readonly LikelyLot[] {
  const { rates, strengths, weights, sum } = posteriorOf(input)
  const lots: LikelyLot[] = []
  let gathered = 0
  for (const [index, weight] of weights.entries()) {
    gathered += weight / sum
    while (lots.length < count && (lots.length + 0.5) / count <= gathered)
      lots.push({
        diffusivity25_m2_s: Math.exp(rates.logs[Math.floor(index / strengths.logs.length)] ?? 0),
        strength: Math.exp(strengths.logs[index % strengths.logs.length] ?? 0),
      })
  }
  return lots
}

/** Mean and covariance of the logarithms of rate and strength after the tastes. */
export interface TasteMoments {
  readonly mean: readonly [number, number]
  readonly covariance: readonly [readonly [number, number], readonly [number, number]]
}

/** {@link TasteMoments} of the same posterior that {@link tasteForecast} counts baths by. */
export function tasteMoments(input: TasteForecastInput): TasteMoments {
  const { rates, strengths, weights, sum } = posteriorOf(input)
  let [rate, strength, rate2, strength2, both] = [0, 0, 0, 0, 0]
  // About the prior's middle, so that small variances are not lost in large squares.
  const [r0, s0] = [Math.log(input.prior.diffusivity25_m2_s.median), Math.log(input.prior.strength.median)]
  for (let row = 0; row < rates.logs.length; row += 1)
    for (let column = 0; column < strengths.logs.length; column += 1) {
      const weight = (weights[row * strengths.logs.length + column] ?? 0) / sum
      const r = (rates.logs[row] ?? 0) - r0
      const s = (strengths.logs[column] ?? 0) - s0
      rate += weight * r
      strength += weight * s
      rate2 += weight * r * r
      strength2 += weight * s * s
      both += weight * r * s
    }
  const cross = both - rate * strength
  return {
    mean: [r0 + rate, s0 + strength],
    covariance: [
      [rate2 - rate * rate, cross],
      [cross, strength2 - strength * strength],
    ],
  }
}

const SCORE_BINS = 200

function scoreBelow(bins: Float64Array | undefined, share: number): number {
  let gathered = 0
  const found = bins?.findIndex((weight) => {
    gathered += weight
    return gathered >= share
  })
  return ((found === undefined || found < 0 ? SCORE_BINS : found) * HIGHEST) / SCORE_BINS
}

/** The taste that is worth most: after which bath, and how much of what is not known about the baths needed it would tell, bits. */
export interface TasteNext {
  readonly afterBath: number
  readonly bits: number
}

/** Points of the grid lighter than this share of the heaviest change nothing. */
const NEGLIGIBLE = 1e-5
/** Baths ahead that are looked at: nobody plans a taste further on. */
const TASTES_AHEAD = 5

/**
 * After which of the next baths, from `from` on, a taste tells most about how many are needed: the mutual information of the number
 * and the score (Lindley 1956). Undefined when nothing is left to be told.
 */
export function tasteNext(input: TasteForecastInput, from: number): TasteNext | undefined {
  const { noise, maxBaths } = input
  const { rates, strengths, residuals, weights, sum } = posteriorOf(input)
  const enoughStrength = enoughAt(input.target)
  const heaviest = weights.reduce((most, weight) => Math.max(most, weight), 0)
  let best: TasteNext | undefined
  for (let bath = from; bath <= Math.min(maxBaths, from + TASTES_AHEAD - 1); bath += 1) {
    const joint = Array.from({ length: maxBaths + 2 }, () => new Float64Array(HIGHEST + 1))
    for (let rate = 0; rate < rates.logs.length; rate += 1)
      for (let strength = 0; strength < strengths.logs.length; strength += 1) {
        const weight = weights[rate * strengths.logs.length + strength] ?? 0
        if (weight < heaviest * NEGLIGIBLE) continue
        const whole = Math.exp(strengths.logs[strength] ?? 0)
        let needed = 0
        while (needed <= maxBaths && whole * (residuals[needed]?.[rate] ?? 0) > enoughStrength) needed += 1
        const mean = meanScore(whole * (residuals[bath]?.[rate] ?? 0))
        const row = joint[needed] as Float64Array
        for (let score = 0; score <= HIGHEST; score += 1)
          row[score] = (row[score] ?? 0) + (weight / sum) * likelihood(score, mean, noise)
      }
    const bits = mutualInformation(joint)
    if (bits > LEAST_BITS && (best === undefined || bits > best.bits)) best = { afterBath: bath, bits }
  }
  return best
}

const LEAST_BITS = 0.01

function mutualInformation(joint: readonly Float64Array[]): number {
  const rows = joint.map((row) => row.reduce((total, each) => total + each, 0))
  const all = rows.reduce((total, each) => total + each, 0)
  const columns = Array.from({ length: HIGHEST + 1 }, (_, score) =>
    joint.reduce((total, row) => total + (row[score] ?? 0), 0),
  )
  let bits = 0
  for (const [index, row] of joint.entries())
    for (const [score, each] of row.entries())
      if (each > 0) bits += (each / all) * Math.log2((each * all) / ((rows[index] ?? 1) * (columns[score] ?? 1)))
  return bits
}

interface Posterior {
  readonly rates: Axis
  readonly strengths: Axis
  readonly residuals: readonly Float64Array[]
  /** Of each rate and strength, row by row of the rate; they add up to `sum`. */
  readonly weights: Float64Array
  readonly sum: number
  readonly best: number
}

/** Rate and strength on a dense grid, weighed by what was tasted. */
function posteriorOf(input: TasteForecastInput): Posterior {
  const { prior, noise, observations } = input
  const rates = axis(prior.diffusivity25_m2_s, RATES)
  const strengths = axis(prior.strength, STRENGTHS)
  const residuals = residualsAt(rates.logs, input)
  const count = rates.logs.length * strengths.logs.length
  const tied = prior.correlation ?? 0
  const logs = new Float64Array(count)
  let best = -Infinity
  for (let rate = 0; rate < rates.logs.length; rate += 1)
    for (let strength = 0; strength < strengths.logs.length; strength += 1) {
      let log = (rates.logWeights[rate] ?? 0) + (strengths.logWeights[strength] ?? 0)
      if (tied !== 0) log += tie(rates.z[rate] ?? 0, strengths.z[strength] ?? 0, tied)
      const whole = Math.exp(strengths.logs[strength] ?? 0)
      for (const { afterBath, score } of observations)
        log += Math.log(likelihood(score, meanScore(whole * (residuals[afterBath]?.[rate] ?? 0)), noise))
      logs[rate * strengths.logs.length + strength] = log
      if (log > best) best = log
    }
  const weights = logs.map((log) => Math.exp(log - best))
  const sum = weights.reduce((total, weight) => total + weight, 0)
  return { rates, strengths, residuals, weights, sum, best }
}

/** The strength at which the target is tasted. */
export function enoughAt(target: number): number {
  return target >= HIGHEST ? Infinity : target / (HIGHEST - target)
}

/** Chance of a whole score about a mean, the ends taking the tails; never quite none. */
export function likelihood(score: number, mean: number, noise: number): number {
  const above = score >= HIGHEST ? 1 : normalBelow((score + 0.5 - mean) / noise)
  const below = score <= 0 ? 0 : normalBelow((score - 0.5 - mean) / noise)
  return Math.max(above - below, 1e-12)
}

/** A score as it can be noted: 0 to 10. */
export function clampScore(score: number): number {
  return Math.min(HIGHEST, Math.max(0, score))
}

/** The score that so much is tasted as, before noise. */
export function meanScore(x: number): number {
  return (HIGHEST * x) / (1 + x)
}

interface Axis {
  readonly logs: Float64Array
  /** The same in standard deviations of the prior. */
  readonly z: Float64Array
  readonly logWeights: Float64Array
}

/** A log-normal prior on evenly spaced logarithms; one point where nothing is uncertain. */
function axis({ median, gsd }: LogNormal, points: number): Axis {
  const sd = Math.log(gsd)
  if (sd < 1e-9)
    return { logs: Float64Array.of(Math.log(median)), z: Float64Array.of(0), logWeights: Float64Array.of(0) }
  const step = (2 * REACH_sd) / (points - 1)
  const z = Float64Array.from({ length: points }, (_, index) => -REACH_sd + step * index)
  const raw = z.map((each) => Math.exp((-each * each) / 2))
  const sum = raw.reduce((total, each) => total + each, 0)
  return { logs: z.map((each) => Math.log(median) + sd * each), z, logWeights: raw.map((each) => Math.log(each / sum)) }
}

/** What a correlation adds to the logarithm of two independent standard normal densities. */
function tie(a: number, b: number, correlation: number): number {
  const rest = 1 - correlation ** 2
  return (a * a + b * b) / 2 - (a * a - 2 * correlation * a * b + b * b) / (2 * rest) - Math.log(rest) / 2
}

/** The same leach is asked for with every new taste, and for the taste worth most: the last few are kept. */
const SOLVED_BEFORE = new Map<string, readonly Float64Array[]>()
const KEPT_AT_MOST = 24

function residualsAt(logs: Float64Array, input: TasteForecastInput): readonly Float64Array[] {
  const { bath, maxBaths, pieces, heldLiquid_mL, activation_kJ_mol } = input
  const key = JSON.stringify([
    logs[0],
    logs.at(-1),
    logs.length,
    bath,
    maxBaths,
    pieces,
    heldLiquid_mL,
    activation_kJ_mol,
  ])
  const known = SOLVED_BEFORE.get(key)
  if (known !== undefined) return known
  const residuals = solveResiduals(logs, input)
  if (SOLVED_BEFORE.size >= KEPT_AT_MOST) SOLVED_BEFORE.clear()
  SOLVED_BEFORE.set(key, residuals)
  return residuals
}

/** What is left after none, one, … maxBaths baths, at each rate: solved at some, told between them by a cubic of the logarithm. */
function solveResiduals(logs: Float64Array, input: TasteForecastInput): readonly Float64Array[] {
  const { bath, maxBaths } = input
  const solve = (log: number) => {
    const { residual } = leach(
      {
        pieces: input.pieces,
        heldLiquid_mL: input.heldLiquid_mL,
        activation_kJ_mol: input.activation_kJ_mol,
        diffusivity25_m2_s: Math.exp(log),
        baths: Array.from({ length: maxBaths }, () => bath),
      },
      'quick',
    )
    return [1, ...residual].map((left) => Math.log(Math.max(left, 1e-300)))
  }
  const [low, high] = [logs[0] ?? 0, logs.at(-1) ?? 0]
  if (high - low < 1e-12) {
    const only = solve(low)
    return only.map((log) => Float64Array.of(Math.exp(log)))
  }
  const step = (high - low) / (SOLVED - 1)
  const solved = Array.from({ length: SOLVED }, (_, index) => solve(low + step * index))
  return Array.from({ length: maxBaths + 1 }, (_, baths) =>
    logs.map((log) => {
      const place = (log - low) / step
      const at = Math.max(0, Math.min(SOLVED - 2, Math.floor(place)))
      const value = (index: number) => solved[Math.max(0, Math.min(SOLVED - 1, index))]?.[baths] ?? 0
      return Math.exp(cubic(value(at - 1), value(at), value(at + 1), value(at + 2), place - at))
    }),
  )
}

function summary(logs: Float64Array, weights: Float64Array): LogNormal {
  let mean = 0
  let square = 0
  for (const [index, log] of logs.entries()) {
    mean += (weights[index] ?? 0) * log
    square += (weights[index] ?? 0) * log * log
  }
  let gathered = 0
  let median = logs[0] ?? 0
  for (const [index, log] of logs.entries()) {
    const weight = weights[index] ?? 0
    if (gathered + weight >= 0.5) {
      const before = index === 0 ? log : (logs[index - 1] ?? log)
      // Within a cell the weight is taken to lie evenly about its point.
      const width = log - before
      median = log - width / 2 + (weight > 0 ? ((0.5 - gathered) / weight) * width : 0)
      break
    }
    gathered += weight
  }
  return { median: Math.exp(median), gsd: Math.exp(Math.sqrt(Math.max(0, square - mean * mean))) }
}

/** The evidence of the scores over that of as many scores that are each as likely as eleven even ones. */
function surpriseOf(best: number, sum: number, observations: number): number {
  return Math.exp(best + Math.log(sum) + observations * Math.log(11))
}
