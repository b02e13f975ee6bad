import { saltWaterActivity } from '../heat/boil'

export interface WaterActivityInput {
  readonly water_g: number
  readonly sucrose_g: number
  /** Fructose counts the same. */
  readonly glucose_g: number
  readonly salt_g: number
  readonly temp_C: number
}

export interface WaterActivity {
  readonly aw: number
  /** Solutes of which there is more than dissolves: the rest lies at the bottom as crystals and lowers nothing. */
  readonly saturated: readonly ('sucrose' | 'glucose' | 'salt')[]
}

const MOLAR_MASS_g = { sucrose: 342.3, glucose: 180.16, salt: 58.44 }
const MOLES_OF_WATER_IN_1_kg = 55.51
/** Norrish's constants at 25 °C: Chirife, Favetto & Ferro Fontán 1980. */
const NORRISH = { sucrose: 6.47, glucose: 2.25 }
/** Robinson & Stokes fitted sucrose to saturation at 25 °C. */
const ROBINSON_STOKES_TO_mol_kg = 6.05

/**
 * The water activity of a solution of sugars and salt, 0 to 1. Sucrose by Robinson & Stokes 1961 (J. Phys. Chem.), hotter and stronger
 * ones and glucose by Norrish 1966 (J. Food Technol.), salt by Pitzer (Silvester & Pitzer 1977), together by Ross 1975 (Food Technology):
 * the product of each alone in all of the water. Within 0.01 for one solute up to saturation, 0.02 for mixtures above 0.80. From a
 * recipe, not from the jar: protein, fibre and acid are not counted, and it proves no store safe.
 */
export function waterActivity({ water_g, sucrose_g, glucose_g, salt_g, temp_C }: WaterActivityInput): WaterActivity {
  const kg = water_g / 1000
  const most = solubleIn1kg(temp_C)
  const asked = {
    sucrose: sucrose_g / MOLAR_MASS_g.sucrose / kg,
    glucose: glucose_g / MOLAR_MASS_g.glucose / kg,
    salt: salt_g / MOLAR_MASS_g.salt / kg,
  }
  const held = {
    sucrose: Math.min(asked.sucrose, most.sucrose),
    glucose: Math.min(asked.glucose, most.glucose),
    salt: Math.min(asked.salt, most.salt),
  }
  return {
    aw: sucrose(held.sucrose) * norrish(held.glucose, NORRISH.glucose) * saltWaterActivity(held.salt, temp_C),
    saturated: (['sucrose', 'glucose', 'salt'] as const).filter((solute) => asked[solute] > most[solute]),
  }
}

function sucrose(m: number): number {
  if (m > ROBINSON_STOKES_TO_mol_kg) return norrish(m, NORRISH.sucrose)
  const osmotic = 1 + 0.07028 * m + 0.01847 * m ** 2 - 0.004045 * m ** 3 + 0.000228 * m ** 4
  return Math.exp(-0.018015 * m * osmotic)
}

function norrish(m: number, constant: number): number {
  const x = m / (m + MOLES_OF_WATER_IN_1_kg)
  return (1 - x) * Math.exp(-constant * x * x)
}

/** What a kilogram of water dissolves, mol. Sucrose: Vavrinecz 1962; glucose and salt: standard tables, straight lines between. */
function solubleIn1kg(temp_C: number): Readonly<Record<'sucrose' | 'glucose' | 'salt', number>> {
  const t = Math.max(0, Math.min(100, temp_C))
  const brix = 64.397 + 0.07251 * t + 0.0020569 * t ** 2 - 9.035e-6 * t ** 3
  const glucose = between(t, [[0, 35], [25, 51], [50, 70.9], [70, 78], [100, 85]]) // prettier-ignore
  const salt_g = between(t, [[0, 357], [25, 360], [50, 368], [100, 392]]) // prettier-ignore
  const mol = (percent: number, molar: number) => ((percent / (100 - percent)) * 1000) / molar
  return {
    sucrose: mol(brix, MOLAR_MASS_g.sucrose),
    glucose: mol(glucose, MOLAR_MASS_g.glucose),
    salt: salt_g / MOLAR_MASS_g.salt,
  }
}

function between(at: number, table: readonly (readonly [number, number])[]): number {
  const next = Math.max(
    1,
    table.findIndex(([x]) => x >= at),
  )
  const [x0, y0] = table[next - 1] as readonly [number, number]
  const [x1, y1] = table[next] as readonly [number, number]
  return y0 + ((y1 - y0) * (at - x0)) / (x1 - x0)
}
