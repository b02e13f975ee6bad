import { blanchLoad, boilFuel, DEFAULT_WATER_C, dip } from '../heat/balance'
import { boilingPoint } from '../heat/boil'

/** A pot is filled to this share at most, or the foam goes over. */
const FILL = 0.8
/** Loads that one filling of the pot may serve before it is changed. */
const LOADS_A_FILLING = 5
/** The boil must be back within this, or the food stews. */
export const RECOVERY_s = 60
/** A handful: smaller loads are not worth planning. */
const LEAST_LOAD_g = 40
/** Fillings of the largest pot that are tried, as shares of its fullest. */
const FILLINGS_TRIED = [1, 0.85, 0.7, 0.55, 0.4, 0.3, 0.2] as const
/** Seconds of hands to lift a load out, chill and drain it, and drop the next one in [planning value]. */
const HANDLING_s = 90
/** Water comes to the boil by itself: its minutes weigh half of those with hands in them. */
const UNATTENDED_WEIGHT = 0.5

export interface BlanchKitchen {
  readonly elevation_m: number
  readonly power_W: number
  readonly efficiency: number
  readonly pots_mL: readonly number[]
  readonly waterTemp_C?: number
  /** Water and fuel there are; no limit where absent. */
  readonly water_mL?: number
  readonly fuel_kWh?: number
}

export interface BlanchPlan {
  readonly boil_C: number
  readonly pot_mL: number
  readonly bath_mL: number
  readonly load_g: number
  readonly loads: number
  readonly fillings: number
  readonly water_mL: number
  readonly toBoil_min: number
  readonly recovery_s: number
  readonly fallsTo_C: number
  readonly fuel_kWh: number
  readonly total_min: number
}

export interface BlanchShortage {
  readonly needed: { readonly water_mL: number; readonly fuel_kWh: number }
  readonly says: string
}

/**
 * How to take a mass through a boil in this kitchen: the filling of which pot, in how many even loads, so that each is
 * boiling again within a minute.
 *
 * Searches pots and fillings for the least trouble (minutes, those without hands in them at half) that keeps to the least water ratio, the water and the fuel there are; where
 * none does, says what the most frugal one would need. Ratios are litres a kilogram; foodTemp_C before it goes in.
 */
export function planBlanch(input: {
  readonly mass_g: number
  readonly minutes: number
  readonly leastRatio: number
  readonly foodTemp_C: number
  readonly kitchen: BlanchKitchen
}): { readonly fits: true; readonly plan: BlanchPlan } | { readonly fits: false; readonly shortage: BlanchShortage } {
  const { kitchen } = input
  const all = kitchen.pots_mL.flatMap((pot_mL) =>
    FILLINGS_TRIED.map((share) => blanchIn(input, pot_mL, pot_mL * FILL * share)),
  )
  const plans = all.filter((plan) => plan.load_g >= Math.min(LEAST_LOAD_g, input.mass_g))
  const water_mL = kitchen.water_mL ?? Infinity
  const fuel_kWh = kitchen.fuel_kWh ?? Infinity
  const fitting = plans.filter((plan) => plan.water_mL <= water_mL && plan.fuel_kWh <= fuel_kWh)
  const quickest = least(
    fitting,
    ({ total_min, toBoil_min, fillings }) => total_min - (1 - UNATTENDED_WEIGHT) * toBoil_min * fillings,
  )
  if (quickest !== undefined) return { fits: true, plan: quickest }
  const thriftiest = least(plans, (plan) => plan.water_mL / water_mL + plan.fuel_kWh / fuel_kWh)
  const needed = { water_mL: thriftiest?.water_mL ?? 0, fuel_kWh: thriftiest?.fuel_kWh ?? 0 }
  const short = thriftiest === undefined ? 'no pot here is large enough' : shortOf(needed, water_mL, fuel_kWh)
  return { fits: false, shortage: { needed, says: `For this boil ${short}.` } }
}

function blanchIn(input: Parameters<typeof planBlanch>[0], pot_mL: number, bath_mL: number): BlanchPlan {
  const { mass_g, minutes, leastRatio, foodTemp_C, kitchen } = input
  const { elevation_m, power_W, efficiency, waterTemp_C = DEFAULT_WATER_C } = kitchen
  const boil_C = boilingPoint({ elevation_m }).temp_C
  const most = blanchLoad({
    power_W,
    efficiency,
    elevation_m,
    water_mL: bath_mL,
    foodTemp_C,
    recovery_s: RECOVERY_s,
    waterTemp_C,
  })
  const loads = Math.max(1, Math.ceil(mass_g / Math.min(most.load_g, bath_mL / leastRatio)))
  const load_g = mass_g / loads
  const fillings = Math.ceil(loads / LOADS_A_FILLING)
  const useful_W = power_W * efficiency
  const { fallsTo_C, recovery_s } = dip({ load_g, foodTemp_C, water_mL: bath_mL, boil_C, useful_W })
  const water_mL = bath_mL * fillings
  const { fuel_kWh } = boilFuel({
    water_mL,
    waterTemp_C,
    food_g: mass_g,
    foodTemp_C,
    boil_C,
    efficiency,
    power_W,
    holding_min: minutes * loads,
  })
  const total_min = most.toBoil_min * fillings + loads * (minutes + (recovery_s + HANDLING_s) / 60)
  return {
    boil_C,
    pot_mL,
    bath_mL,
    load_g,
    loads,
    fillings,
    water_mL,
    toBoil_min: most.toBoil_min,
    recovery_s,
    fallsTo_C,
    fuel_kWh,
    total_min,
  }
}

function least<T>(items: readonly T[], measure: (item: T) => number): T | undefined {
  return items.reduce<T | undefined>(
    (best, item) => (best === undefined || measure(item) < measure(best) ? item : best),
    undefined,
  )
}

function shortOf(needed: BlanchShortage['needed'], water_mL: number, fuel_kWh: number): string {
  const parts = [
    ...(needed.water_mL > water_mL
      ? [`${(needed.water_mL / 1000).toFixed(1)} L of water are needed and there are ${(water_mL / 1000).toFixed(1)} L`]
      : []),
    ...(needed.fuel_kWh > fuel_kWh
      ? [`${needed.fuel_kWh.toFixed(2)} kWh of fuel are needed and there are ${fuel_kWh.toFixed(2)} kWh`]
      : []),
  ]
  return parts.length === 0 ? 'water and fuel together do not suffice' : parts.join(' and ')
}
