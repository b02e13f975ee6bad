import type { Shape } from '../leach/leach'

/** Thermal diffusivity of watery plant tissue, m²/s; 1.3 to 1.5 from raw to hot (Singh 1982, Thermal diffusivity in food processing). */
const TISSUE_m2_s = 1.4e-7
/** Zeros of the Bessel function J₀ and the values of J₁ there (Abramowitz & Stegun 1964, table 9.5). */
const J0_ZEROS = [
  2.404825557695773, 5.520078110286311, 8.653727912911013, 11.791534439014281, 14.930917708487787, 18.071063967910924,
]
const J1_THERE = [
  0.5191474972894669, -0.3402648065583681, 0.2714522999283819, -0.2324598313647224, 0.2065464331277563,
  -0.1877288030404436,
]
const TERMS = 40
/** Before this the centre knows nothing of the bath, and the series converge slowly. */
const EARLY = 0.02

/**
 * How far the centre of a piece has come from its own warmth to that of the boiling water round it, 0 to 1.
 *
 * Conduction alone, the surface at the water's warmth from the start (true within some per cent of boiling water on pieces of a
 * few millimetres and more; steam and still water are slower); exact series for a slab, a long cylinder and a sphere (Carslaw &
 * Jaeger 1959, ch. 3, 7 and 9). What begins to break down conducts a little better, so that the estimate is on the slow side.
 * @param size_mm thickness of a slab, diameter of the others, more than 0
 */
export function centreShare(shape: Shape, size_mm: number, minutes: number): number {
  const half_m = size_mm / 2000
  const fourier = (TISSUE_m2_s * minutes * 60) / half_m ** 2
  if (!(fourier > EARLY)) return 0
  const still = stillCold(shape, fourier)
  return Math.min(1, Math.max(0, 1 - still))
}

/** Share of the difference that is still there at the centre. */
function stillCold(shape: Shape, fourier: number): number {
  if (shape === 'cylinder')
    return J0_ZEROS.reduce(
      (sum, zero, index) => sum + (2 * Math.exp(-(zero ** 2) * fourier)) / (zero * (J1_THERE[index] ?? 1)),
      0,
    )
  let sum = 0
  for (let n = 0; n < TERMS; n += 1)
    sum +=
      shape === 'slab'
        ? ((4 / Math.PI) * (-1) ** n * Math.exp(-(((2 * n + 1) * Math.PI) ** 2) * (fourier / 4))) / (2 * n + 1)
        : 2 * (-1) ** n * Math.exp(-(((n + 1) * Math.PI) ** 2) * fourier)
  return sum
}

interface Warmths {
  readonly shape: Shape
  readonly start_C: number
  /** At the surface, from the start. */
  readonly water_C: number
  readonly wanted_C: number
}

export interface CentreHeat extends Warmths {
  /** By then the centre is to be as warm as wanted. */
  readonly minutes: number
}

const THINNEST_mm = 0.5
const THICKEST_mm = 300
const HALVINGS = 40

/** The thickest piece whose centre is as warm as wanted within the minutes, mm; nothing where the water is no warmer than that. */
export function thickestPiece_mm({ shape, minutes, start_C, water_C, wanted_C }: CentreHeat): number | undefined {
  if (wanted_C >= water_C || minutes <= 0) return undefined
  const wanted = (wanted_C - start_C) / (water_C - start_C)
  let [low, high] = [THINNEST_mm, THICKEST_mm]
  for (let step = 0; step < HALVINGS; step += 1) {
    const middle = Math.sqrt(low * high)
    if (centreShare(shape, middle, minutes) >= wanted) low = middle
    else high = middle
  }
  return low
}

const LONGEST_min = 24 * 60

/**
 * Minutes until the centre of a piece is as warm as wanted; nothing where the surface is no warmer than that. The surface of moist
 * food stands at the boiling point of water as long as it is wet, in embers and ovens too, and takes a while to come to it: the least it takes.
 */
export function minutesThrough(size_mm: number, { shape, start_C, water_C, wanted_C }: Warmths): number | undefined {
  if (wanted_C >= water_C) return undefined
  const wanted = (wanted_C - start_C) / (water_C - start_C)
  let [low, high] = [0, LONGEST_min]
  for (let step = 0; step < HALVINGS; step += 1) {
    const middle = (low + high) / 2
    if (centreShare(shape, size_mm, middle) >= wanted) high = middle
    else low = middle
  }
  return high
}
