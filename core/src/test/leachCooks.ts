import { leach } from '../leach/leach'
import { meanScore, type LeachPrior, type TasteForecastInput } from '../taste/forecast'
import type { EarlierLot, Likeness } from '../taste/learn'

/** A batch of slices in changed baths, as the worked case of the physics has it. */
export const SLICES: Omit<TasteForecastInput, 'observations'> = {
  pieces: { shape: 'slab', size_mm: 4 },
  heldLiquid_mL: 300,
  activation_kJ_mol: 25,
  bath: { water_mL: 2000, minutes: 20, temp_C: 97, flow_mL_min: 0 },
  prior: { diffusivity25_m2_s: { median: 3e-10, gsd: 1.8 }, strength: { median: 3, gsd: 2 } },
  noise: 0.8,
  target: 2,
  maxBaths: 12,
}

/** A batch as it truly is: what is left after each bath, and how many it needs. */
export interface TrueBatch {
  readonly left: readonly number[]
  readonly strength: number
  readonly needs: number
}

/** A batch so many standard deviations of a prior off its middle, on the logarithms. */
export function trueBatch(asked: typeof SLICES, prior: LeachPrior, rate_sd: number, strength_sd: number): TrueBatch {
  const strength = prior.strength.median * prior.strength.gsd ** strength_sd
  const { residual } = leach({
    ...asked,
    diffusivity25_m2_s: prior.diffusivity25_m2_s.median * prior.diffusivity25_m2_s.gsd ** rate_sd,
    baths: Array.from({ length: asked.maxBaths }, () => asked.bath),
  })
  const left = [1, ...residual]
  const found = left.findIndex((each) => meanScore(strength * each) <= asked.target)
  return { left, strength, needs: found < 0 ? asked.maxBaths + 1 : found }
}

/** What a cook says of it after a bath. */
export function tasted({ left, strength }: TrueBatch, afterBath: number, noise: number, normal: () => number) {
  const score = Math.round(meanScore(strength * (left[afterBath] ?? 0)) + noise * normal())
  return { afterBath, score: Math.max(0, Math.min(10, score)) }
}

/** Deviations of a cook's lots from the book, standard deviations: one for the patch, one a year, one a lot. */
export interface SimulatedCook {
  readonly lots: readonly EarlierLot[]
  readonly next: Likeness
  readonly truth: TrueBatch
}

/** A cook with a patch of its own who tasted some lots, and the next lot of that patch. */
export function simulatedCook(
  patch: { readonly rate_sd: number; readonly strength_sd: number },
  own_sd: number,
  count: number,
  tastesAfter: readonly number[],
  normal: () => number,
): SimulatedCook {
  const likeness = (year: number): Likeness => ({ taxon: 'a', patch: 'p', year, taster: 't' })
  const draw = () =>
    trueBatch(SLICES, SLICES.prior, patch.rate_sd + own_sd * normal(), patch.strength_sd + own_sd * normal())
  const lots = Array.from({ length: count }, (_, index) => {
    const batch = draw()
    const observations = tastesAfter.map((after) => tasted(batch, after, SLICES.noise, normal))
    return { ...likeness(2024 + index), asked: { ...SLICES, observations } }
  })
  return { lots, next: likeness(2024 + count), truth: draw() }
}
