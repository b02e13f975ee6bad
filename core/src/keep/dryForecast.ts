import { dryTarget } from './dryTarget'

export interface DryForecastInput {
  readonly start_g: number
  /** Fractions of wet mass. */
  readonly startMoisture: number
  readonly targetMoisture: number
  readonly weighings: readonly { readonly minutes: number; readonly mass_g: number }[]
}

export interface DryForecast {
  readonly model: string
  /** Minutes from the start. */
  readonly finish: { readonly p10: number; readonly p50: number; readonly p90: number }
  readonly fit: { readonly rmse_g: number }
}

/** Before any weighing: a thin layer loses two thirds of its water in some hours, wide. */
const TAU_min = { median: 150, gsd: 4 }
/** Page's exponent: 0.7 to 1.5 in thin layers. */
const EXPONENT = { mean: 1.1, sd: 0.22, least: 0.6, most: 1.8 }
/** Moisture at which drying would end by itself, over dry mass. */
const EQUILIBRIUM = { median: 0.05, gsd: 1.8 }
/** A kitchen scale reads to a gram; and the model is wrong by half a per cent of what was there. */
const SCALE_g = 0.6
const MODEL_SHARE = 0.005
const POINTS = { exponent: 61, equilibrium: 24 }
/** Dry enough must be drier than what drying ends at by itself, by so much: nobody would wait for the rest. */
const NEAREST = 0.9
/** Middles of five even slices of a standard normal. */
const SLICES = [-1.4, -0.532, 0, 0.532, 1.4] as const

/**
 * When a thin layer will be dry enough, from weighings so far: Page 1949, MR = exp(−(t/τ)ⁿ), MR = (X − Xe)/(X₀ − Xe), X = water over
 * dry mass. Time, exponent and end moisture are carried together on a grid, for early weighings leave the last two open. Masses
 * are fitted, not logarithms. Weighings across a change of warmth or load break it: begin anew from the change. A forecast; only
 * the weighed target mass says that it is dry.
 */
export function dryForecast(input: DryForecastInput): DryForecast {
  const { start_g, startMoisture, targetMoisture, weighings } = input
  const { target_g } = dryTarget(input)
  const dry_g = start_g * (1 - startMoisture)
  const start = startMoisture / (1 - startMoisture)
  const end = targetMoisture / (1 - targetMoisture)
  const sd_g = Math.hypot(SCALE_g, MODEL_SHARE * start_g)
  const layers = layersOf(end).map((layer) => {
    const fitted = fitTau(layer, { weighings, start, dry_g, sd_g })
    const ratio = Math.log((start - layer.equilibrium) / (end - layer.equilibrium))
    return { ...fitted, log: fitted.log + layer.log, times: ratio <= 0 ? 0 : ratio ** (1 / layer.exponent) }
  })
  const best = layers.reduce((most, { log }) => Math.max(most, log), -Infinity)
  const finishes = layers
    .flatMap(({ log, logTau, sd, times }) =>
      SLICES.map((z) => ({ weight: Math.exp(log - best), finish: Math.exp(logTau + z * sd) * times })),
    )
    .sort((a, b) => a.finish - b.finish)
  const sum = finishes.reduce((total, { weight }) => total + weight, 0)
  const quantile = (share: number) => {
    let gathered = 0
    for (const { weight, finish } of finishes) {
      gathered += weight
      if (gathered >= share * sum) return finish
    }
    return finishes.at(-1)?.finish ?? 0
  }
  const squares = layers.reduce((least, each) => Math.min(least, each.squares), Infinity)
  // Once it was weighed at or under its target it is done, whatever the model says.
  const done = weighings.find(({ mass_g }) => mass_g <= target_g)
  const at = (share: number) =>
    Math.round(done === undefined ? quantile(share) : Math.min(quantile(share), done.minutes))
  return {
    model: 'Page thin layer, MR = exp(−(t/τ)ⁿ)',
    finish: { p10: at(0.1), p50: at(0.5), p90: at(0.9) },
    fit: { rmse_g: weighings.length === 0 ? 0 : Math.sqrt(squares / weighings.length) },
  }
}

interface Layer {
  readonly exponent: number
  readonly equilibrium: number
  /** Logarithm of the prior. */
  readonly log: number
}

interface Weighed {
  readonly weighings: DryForecastInput['weighings']
  readonly start: number
  readonly dry_g: number
  readonly sd_g: number
}

/** Exponents and end moistures, evenly spaced, each with its prior. */
function layersOf(end: number): readonly Layer[] {
  return Array.from({ length: POINTS.exponent }, (_, one) => {
    const exponent = EXPONENT.least + ((EXPONENT.most - EXPONENT.least) * one) / (POINTS.exponent - 1)
    return Array.from({ length: POINTS.equilibrium }, (_unused, other): Layer => {
      const equilibrium = (NEAREST * end * (other + 0.5)) / POINTS.equilibrium
      const zEnd = Math.log(equilibrium / EQUILIBRIUM.median) / Math.log(EQUILIBRIUM.gsd)
      const zExponent = (exponent - EXPONENT.mean) / EXPONENT.sd
      // The density of a log-normal over evenly spaced values has the value under it.
      return { exponent, equilibrium, log: -(zExponent * zExponent + zEnd * zEnd) / 2 - Math.log(equilibrium) }
    })
  }).flat()
}

/** The likeliest time constant of a layer, its spread, and how well it fits with the time integrated out (Laplace's method). */
function fitTau(
  { exponent, equilibrium }: Layer,
  { weighings, start, dry_g, sd_g }: Weighed,
): { readonly logTau: number; readonly sd: number; readonly log: number; readonly squares: number } {
  const priorSd = Math.log(TAU_min.gsd)
  const middle = Math.log(TAU_min.median)
  const at = (logTau: number) => {
    let [squares, slope, curve] = [0, 0, 0]
    for (const { minutes, mass_g } of weighings) {
      const reach = (minutes / Math.exp(logTau)) ** exponent
      const left = Math.exp(-reach)
      const miss = massOf(left, equilibrium, start, dry_g) - mass_g
      const change = dry_g * (start - equilibrium) * left * reach * exponent
      squares += miss * miss
      slope += miss * change
      curve += change * change
    }
    const z = (logTau - middle) / priorSd
    return {
      squares,
      log: -squares / (2 * sd_g * sd_g) - (z * z) / 2,
      slope: -slope / (sd_g * sd_g) - z / priorSd,
      curve: curve / (sd_g * sd_g) + 1 / (priorSd * priorSd),
    }
  }
  // Gauss–Newton from where the last weighing would lie on the curve, halving a step that does not help.
  let logTau = guessTau({ exponent, equilibrium }, { weighings, start, dry_g }) ?? middle
  let here = at(logTau)
  for (let step = 0; step < 30; step += 1) {
    let move = here.slope / here.curve
    let next = at(logTau + move)
    while (next.log < here.log && Math.abs(move) > 1e-9) {
      move /= 2
      next = at(logTau + move)
    }
    if (Math.abs(move) < 1e-9) break
    logTau += move
    here = next
  }
  const sd = 1 / Math.sqrt(here.curve)
  return { logTau, sd, log: here.log + Math.log(sd), squares: here.squares }
}

function guessTau(
  { exponent, equilibrium }: Pick<Layer, 'exponent' | 'equilibrium'>,
  { weighings, start, dry_g }: Pick<Weighed, 'weighings' | 'start' | 'dry_g'>,
): number | undefined {
  const last = weighings.findLast(({ minutes }) => minutes > 0)
  if (last === undefined) return undefined
  const ratio = (last.mass_g / dry_g - 1 - equilibrium) / (start - equilibrium)
  const reach = -Math.log(Math.min(0.999, Math.max(1e-4, ratio)))
  return Math.log(last.minutes) - Math.log(reach) / exponent
}

function massOf(left: number, equilibrium: number, start: number, dry_g: number): number {
  return dry_g * (1 + equilibrium + (start - equilibrium) * left)
}
