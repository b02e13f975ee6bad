/** How many plants stand somewhere: counted, or estimated from quadrats. */
export type Stand =
  | { readonly plants: number }
  | {
      readonly area_m2: number
      /** Plants counted in each quadrat. */
      readonly counts: readonly number[]
      readonly quadrat_m2: number
    }

export interface StandEstimate {
  readonly plants: number
  /** Nine of ten such counts lie between; the same as `plants` where all were counted. */
  readonly low: number
  readonly high: number
  readonly counted: boolean
}

/** Student's t, one side 5 %, by degrees of freedom from 1; beyond the list that of the normal (Student 1908). */
const T_95 = [6.31, 2.92, 2.35, 2.13, 2.02, 1.94, 1.89, 1.86, 1.83, 1.81, 1.8, 1.78, 1.77, 1.76, 1.75]
const T_MANY = 1.645

/**
 * The plants of a stand with a range that nine of ten such counts hit: mean count by area, its error from how the quadrats
 * differ (at least what chance alone makes of a count, Poisson). One quadrat tells little: the range is wide, and never below
 * what was seen.
 */
export function estimateStand(stand: Stand): StandEstimate {
  if ('plants' in stand) {
    const plants = Math.floor(stand.plants)
    return { plants, low: plants, high: plants, counted: true }
  }
  const { area_m2, counts, quadrat_m2 } = stand
  const seen = counts.reduce((sum, count) => sum + count, 0)
  const mean = seen / counts.length
  const squares = counts.reduce((sum, count) => sum + (count - mean) ** 2, 0)
  const variance = Math.max(counts.length > 1 ? squares / (counts.length - 1) : 0, mean)
  const t = counts.length > 1 ? (T_95[counts.length - 2] ?? T_MANY) : (T_95[0] ?? T_MANY)
  const error = t * Math.sqrt(variance / counts.length)
  const whole = area_m2 / quadrat_m2
  // What was counted stands there; the rest of the area is what is not known.
  const least = Math.min(seen, Math.round(mean * whole))
  return {
    plants: Math.round(mean * whole),
    low: Math.max(least, Math.floor((mean - error) * whole)),
    high: Math.ceil((mean + error) * whole),
    counted: false,
  }
}
