import { boilingPoint } from './boil'

/** Specific heat of water, J/(g K). */
export const WATER_J_gK = 4.186
/** Specific heat of wet vegetables, J/(g K): the contract's value; Siebel 1892 gives 3.85 at 90 % water. */
export const FOOD_J_gK = 3.9
/** Heat of fusion of ice, J/g. */
export const FUSION_J_g = 334
/** Heat of vaporisation of water near 100 °C, J/g. */
export const VAPORISATION_J_g = 2257
const SECONDS_PER_MINUTE = 60
const J_PER_kWh = 3.6e6

export interface ChillInput {
  readonly food_g: number
  readonly foodTemp_C: number
  readonly water_mL: number
  readonly waterTemp_C: number
  readonly target_C: number
}

/**
 * The ice at 0 °C that brings food and water together to a target, all of it melted when the target is reached.
 *
 * Heat balance, no loss to the room; 0 where none is needed. Target 0 °C or above, below the melting of nothing else.
 * @example chillIce({ food_g: 500, foodTemp_C: 98, water_mL: 2000, waterTemp_C: 14, target_C: 5 }).ice_g // 723, rounded
 */
export function chillIce({ food_g, foodTemp_C, water_mL, waterTemp_C, target_C }: ChillInput): { ice_g: number } {
  const heat_J = food_g * FOOD_J_gK * (foodTemp_C - target_C) + water_mL * WATER_J_gK * (waterTemp_C - target_C)
  return { ice_g: Math.max(0, heat_J / (FUSION_J_g + WATER_J_gK * target_C)) }
}

export interface BlanchLoadInput {
  readonly power_W: number
  /** Useful share of the burner's power, 0 to 1: gas 0.35–0.5, electric plate 0.6–0.75, induction 0.75–0.9. */
  readonly efficiency: number
  readonly elevation_m: number
  readonly water_mL: number
  readonly foodTemp_C: number
  readonly recovery_s: number
  /** Of the water before it is heated; 18 unless given. */
  readonly waterTemp_C?: number
}

export interface BlanchLoad {
  readonly load_g: number
  readonly toBoil_min: number
  readonly from_C: number
}

export const DEFAULT_WATER_C = 18

/**
 * The most food that a rolling boil takes and is boiling again within `recovery_s`, and the time to bring the water to the boil.
 *
 * load = η P · recovery / (c_food (T_b − T_food)); time = m c (T_b − T₀) / (η P). Density of water 1; evaporation left out.
 * @example blanchLoad({ power_W: 2000, efficiency: 0.55, elevation_m: 0, water_mL: 4000, foodTemp_C: 15, recovery_s: 60 }).load_g // 199, rounded
 */
export function blanchLoad(input: BlanchLoadInput): BlanchLoad {
  const { power_W, efficiency, elevation_m, water_mL, foodTemp_C, recovery_s, waterTemp_C = DEFAULT_WATER_C } = input
  const boil_C = boilingPoint({ elevation_m }).temp_C
  const useful_W = power_W * efficiency
  return {
    load_g: (useful_W * recovery_s) / (FOOD_J_gK * (boil_C - foodTemp_C)),
    toBoil_min: (water_mL * WATER_J_gK * (boil_C - waterTemp_C)) / useful_W / SECONDS_PER_MINUTE,
    from_C: waterTemp_C,
  }
}

/**
 * Seconds until a load is boiling again, and how far the bath falls when it goes in.
 *
 * @example dip({ load_g: 600, foodTemp_C: 12, water_mL: 6000, boil_C: 96.05, useful_W: 1210 }).fallsTo_C // 88.9, rounded
 */
export function dip(input: {
  load_g: number
  foodTemp_C: number
  water_mL: number
  boil_C: number
  useful_W: number
}): {
  fallsTo_C: number
  recovery_s: number
} {
  const { load_g, foodTemp_C, water_mL, boil_C, useful_W } = input
  const bath_J_K = water_mL * WATER_J_gK
  const food_J_K = load_g * FOOD_J_gK
  return {
    fallsTo_C: (bath_J_K * boil_C + food_J_K * foodTemp_C) / (bath_J_K + food_J_K),
    recovery_s: (food_J_K * (boil_C - foodTemp_C)) / useful_W,
  }
}

/**
 * Fuel or current for heating water, food put into it, and keeping it boiling, kWh at the burner (before its efficiency is lost).
 *
 * Holding the boil is counted as the whole useful power for those minutes (a burner left open), the upper bound.
 */
export function boilFuel(input: {
  water_mL: number
  waterTemp_C: number
  food_g: number
  foodTemp_C: number
  boil_C: number
  efficiency: number
  power_W: number
  holding_min: number
}): { fuel_kWh: number } {
  const { water_mL, waterTemp_C, food_g, foodTemp_C, boil_C, efficiency, power_W, holding_min } = input
  const heat_J = water_mL * WATER_J_gK * (boil_C - waterTemp_C) + food_g * FOOD_J_gK * (boil_C - foodTemp_C)
  return { fuel_kWh: heat_J / efficiency / J_PER_kWh + (power_W * holding_min * SECONDS_PER_MINUTE) / J_PER_kWh }
}

/** What a lidded pot loses to the room, W a litre in it and kelvin above the room [planning value]. */
export const POT_LOSS_W_L_K = 1.1
export const ROOM_C = 20

/**
 * Fuel or current for bringing food and water to a warmth in a lidded pot and keeping it there on as small a flame as does, kWh at
 * the burner. Warmth above the room's costs what the pot loses; up to 4 h, a pot of 1 to 20 L.
 */
export function simmerFuel({
  water_mL,
  waterTemp_C,
  food_g,
  foodTemp_C,
  temp_C,
  efficiency,
  minutes,
}: {
  water_mL: number
  waterTemp_C: number
  food_g: number
  foodTemp_C: number
  temp_C: number
  efficiency: number
  minutes: number
}): { fuel_kWh: number } {
  const warming_J =
    water_mL * WATER_J_gK * Math.max(0, temp_C - waterTemp_C) + food_g * FOOD_J_gK * Math.max(0, temp_C - foodTemp_C)
  const loss_W = (POT_LOSS_W_L_K * (water_mL + food_g) * Math.max(0, temp_C - ROOM_C)) / 1000
  return { fuel_kWh: (warming_J + loss_W * minutes * SECONDS_PER_MINUTE) / efficiency / J_PER_kWh }
}
