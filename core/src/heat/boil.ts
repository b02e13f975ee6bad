/** Pressure of the standard atmosphere at sea level, hPa (ISO 2533). */
const SEA_LEVEL_hPa = 1013.25
/** Critical point of water (Wagner & Pruß 2002). */
const CRITICAL_TEMP_K = 647.096
const CRITICAL_PRESSURE_hPa = 220_640
const ZERO_C_K = 273.15
const GAS_CONSTANT_J_mol_K = 8.3144626
const MOLAR_MASS_WATER_g = 18.015
const MOLAR_MASS_SUCROSE_g = 342.3

export interface BoilInput {
  readonly elevation_m?: number
  readonly pressure_hPa?: number
  /** Mass per cent of sucrose in the solution, 0 to 80. */
  readonly sucrose_brix?: number
  /** 0 to 360 (saturation near the boil is about 390). */
  readonly salt_g_per_kg_water?: number
}

/** Parts of the pressure: a hundred-thousandth of a millionth of a degree. */
const CLOSE_ENOUGH = 1e-13
const STEPS_AT_MOST = 60

/**
 * The boiling point of water, plain or with sugar and salt, at an elevation or an air pressure.
 *
 * Solves a_w(T) · p_sat(T) = p. Standard atmosphere from −500 to 9,000 m; saturation pressure within 0.001 °C of
 * IAPWS-IF97; sugar within 0.3 °C to 80 Brix; salt within 0.2 °C to 300 g/kg; both together multiply (Ross 1975).
 *
 * Sources: ISO 2533; Wagner & Pruß 2002; Starzak & Peacock 1997; Silvester & Pitzer 1977.
 * @throws RangeError when neither or both of elevation and pressure are given.
 * @example boilingPoint({ elevation_m: 1180 }).temp_C // 96.05, rounded
 */
export function boilingPoint(input: BoilInput): { temp_C: number } {
  const { sucrose_brix = 0, salt_g_per_kg_water = 0 } = input
  const pressure_hPa = pressureOf(input)
  const molality = salt_g_per_kg_water / 58.443
  // How far the vapour outdoes the air, in logarithms: almost a straight line, so that false position with the halving of the Illinois
  // variant (Dowell & Jarratt 1971) needs a few steps.
  const excess = (temp_C: number) =>
    Math.log(
      (sucroseWaterActivity(sucrose_brix, temp_C) * saltWaterActivity(molality, temp_C) * saturationPressure(temp_C)) /
        pressure_hPa,
    )
  let [low, high] = [20, 180]
  let [below, above] = [excess(low), excess(high)]
  if (below >= 0 || above <= 0) return { temp_C: below >= 0 ? low : high }
  let temp_C = low
  for (let step = 0; step < STEPS_AT_MOST; step++) {
    temp_C = high - (above * (high - low)) / (above - below)
    const here = excess(temp_C)
    if (Math.abs(here) < CLOSE_ENOUGH) break
    if (here * above < 0) [low, below] = [high, above]
    else below /= 2
    ;[high, above] = [temp_C, here]
  }
  return { temp_C }
}

/** Air pressure of the standard atmosphere, hPa, from −500 to 11,000 m (ISO 2533). @example standardPressure(1180) // 879.3, rounded */
export function standardPressure(elevation_m: number): number {
  return SEA_LEVEL_hPa * (1 - 2.25577e-5 * elevation_m) ** 5.25588
}

/** Saturation pressure of water, hPa, 0 to 370 °C (Wagner & Pruß 2002, auxiliary equation). */
export function saturationPressure(temp_C: number): number {
  const temp_K = temp_C + ZERO_C_K
  const theta = 1 - temp_K / CRITICAL_TEMP_K
  const sum =
    -7.85951783 * theta +
    1.84408259 * theta ** 1.5 -
    11.7866497 * theta ** 3 +
    22.6807411 * theta ** 3.5 -
    15.9618719 * theta ** 4 +
    1.80122502 * theta ** 7.5
  return CRITICAL_PRESSURE_hPa * Math.exp((CRITICAL_TEMP_K / temp_K) * sum)
}

/** Water activity over a sucrose solution, by mass per cent and temperature (Starzak & Peacock 1997). */
function sucroseWaterActivity(brix: number, temp_C: number): number {
  const sucrose_mol = brix / MOLAR_MASS_SUCROSE_g
  const water_mol = (100 - brix) / MOLAR_MASS_WATER_g
  const x = sucrose_mol / (sucrose_mol + water_mol)
  const lnGamma = (-17638 / (GAS_CONSTANT_J_mol_K * (temp_C + ZERO_C_K))) * (1 - 1.0038 * x - 0.24653 * x * x) * x * x
  return (1 - x) * Math.exp(lnGamma)
}

/** Debye–Hückel slope of the Pitzer equation, by temperature in °C (Silvester & Pitzer 1977). */
const PITZER_SLOPE: readonly (readonly [number, number])[] = [
  [0, 0.377],
  [25, 0.3915],
  [50, 0.4103],
  [75, 0.4333],
  [100, 0.4603],
  [125, 0.492],
]

/** Water activity over a sodium chloride solution, molality 0 to 6 mol/kg, 0 to 125 °C (Silvester & Pitzer 1977). */
export function saltWaterActivity(molality: number, temp_C: number): number {
  const temp_K = temp_C + ZERO_C_K
  const ref_K = 298.15
  const inverse = 1 / temp_K - 1 / ref_K
  const log = Math.log(temp_K / ref_K)
  const difference = temp_K - ref_K
  const beta0 =
    0.0765 - 777.03 * inverse - 4.4706 * log + 0.008946 * difference - 3.3158e-6 * (temp_K ** 2 - ref_K ** 2)
  const beta1 = 0.2664 + 6.1608e-5 * difference + 1.0715e-6 * (temp_K ** 2 - ref_K ** 2)
  const c = 0.00127 + 33.317 * inverse + 0.09421 * log - 4.655e-5 * difference
  const root = Math.sqrt(molality)
  const osmotic =
    1 -
    (pitzerSlope(temp_C) * root) / (1 + 1.2 * root) +
    molality * (beta0 + beta1 * Math.exp(-2 * root)) +
    molality ** 2 * c
  return Math.exp(-0.036031 * molality * osmotic)
}

function pitzerSlope(temp_C: number): number {
  const found = PITZER_SLOPE.findIndex(([at]) => at >= temp_C)
  const index = found === -1 ? PITZER_SLOPE.length - 1 : Math.max(1, found)
  const [t0, a0] = PITZER_SLOPE[index - 1] as readonly [number, number]
  const [t1, a1] = PITZER_SLOPE[index] as readonly [number, number]
  return a0 + ((a1 - a0) * (temp_C - t0)) / (t1 - t0)
}

function pressureOf({ elevation_m, pressure_hPa }: BoilInput): number {
  if ((elevation_m === undefined) === (pressure_hPa === undefined))
    throw new RangeError('boilingPoint: expected one of elevation_m and pressure_hPa')
  return pressure_hPa ?? standardPressure(elevation_m ?? 0)
}
