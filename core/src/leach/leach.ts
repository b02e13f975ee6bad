const GAS_CONSTANT_J_mol_K = 8.3144626
const ZERO_C_K = 273.15
const REFERENCE_C = 25
const mm = 1e-3
const SECONDS_PER_MINUTE = 60

/** How finely a leach is followed. */
interface Fineness {
  /** Cells of the mesh, and how fine the one at the surface is, as a share of the half-thickness. */
  readonly cells: number
  readonly surfaceCell: number
  /** The first step of a bath in Fourier numbers, and how fast steps grow: a bath begins as a square root of time,
   * and every decay is followed at steps in proportion to its age. */
  readonly firstStep_Fo: number
  readonly stepGrowth: number
}

/** Exact: within 0.001. Quick: within 0.003, ten times as fast, where a leach is solved by the hundred. */
const FINENESS: Readonly<Record<'exact' | 'quick', Fineness>> = {
  exact: { cells: 100, surfaceCell: 5e-5, firstStep_Fo: 1e-9, stepGrowth: 1.2 },
  quick: { cells: 36, surfaceCell: 1e-3, firstStep_Fo: 1e-6, stepGrowth: 1.4 },
}
/** TR-BDF2's split (Bank et al. 1985): second order and L-stable, so that sharp starts do not ring. */
const GAMMA = 2 - Math.SQRT2

export type Shape = 'slab' | 'cylinder' | 'sphere'
const DIMENSIONS: Readonly<Record<Shape, 1 | 2 | 3>> = { slab: 1, cylinder: 2, sphere: 3 }

export interface Bath {
  readonly water_mL: number
  readonly minutes: number
  readonly temp_C: number
  /** Clean water in, bath water out; the bath's volume stays. */
  readonly flow_mL_min?: number
}

export interface LeachInput {
  /** Slab: full thickness, both faces wet; else the diameter. */
  readonly pieces: {
    readonly shape: Shape
    readonly size_mm: number
    /** A skin, told as how thick a layer of the flesh itself would hold back as much; absent: none. */
    readonly skinAs_mm?: number
  }
  /** Liquid held inside all the pieces together, where the solute is. */
  readonly heldLiquid_mL: number
  readonly diffusivity25_m2_s: number
  readonly activation_kJ_mol: number
  readonly baths: readonly Bath[]
}

/** One entry a bath at its end, both over what the pieces held at the start. */
export interface LeachAnswer {
  readonly residual: readonly number[]
  readonly bath: readonly number[]
}

/**
 * The solute left in pieces after one bath or several, and the strength of each bath at its end.
 *
 * Diffusion in a slab, long cylinder or sphere into a well-stirred bath that starts clean; the surface is at the bath's
 * concentration; the profile inside is carried from bath to bath. ∂c/∂Fo = ξ^(1−ν) ∂/∂ξ(ξ^(ν−1) ∂c/∂ξ);
 * α db/dFo = −ν ∂c/∂ξ|₁ − κ b, with α = water / held liquid and κ = (flow / held liquid) a²/D. Finite volumes graded to the
 * surface, TR-BDF2 in time: within 0.001 of the exact series (Crank 1975); followed quickly, within 0.003. A skin stands between
 * surface and bath as a resistance of its own, Biot number a/skin. For taste; it says nothing about a poison.
 *
 * @throws RangeError when a size, a volume or a diffusivity is not above 0: the edge should have refused it.
 * @example leach({ pieces: { shape: 'slab', size_mm: 4 }, heldLiquid_mL: 300, diffusivity25_m2_s: 3e-10, activation_kJ_mol: 25, baths: [{ water_mL: 2000, minutes: 720, temp_C: 12 }] }).residual[0] // 0.133, rounded
 */
export function leach(input: LeachInput, follow: keyof typeof FINENESS = 'exact'): LeachAnswer {
  const { pieces, heldLiquid_mL, baths } = input
  if (!(pieces.size_mm > 0 && heldLiquid_mL > 0 && input.diffusivity25_m2_s > 0))
    throw new RangeError('leach: expected size_mm, heldLiquid_mL and diffusivity25_m2_s above 0')
  const fineness = FINENESS[follow]
  const mesh = makeMesh(DIMENSIONS[pieces.shape], fineness, (2 * (pieces.skinAs_mm ?? 0)) / pieces.size_mm)
  const half_m = (pieces.size_mm * mm) / 2
  let profile: readonly number[] = mesh.weights.map(() => 1)
  const residual: number[] = []
  const strength: number[] = []
  for (const { water_mL, minutes, temp_C, flow_mL_min = 0 } of baths) {
    const rate_per_s = diffusivity(input, temp_C) / half_m ** 2
    const after = runBath(mesh, profile, fineness, {
      alpha: water_mL / heldLiquid_mL,
      kappa: flow_mL_min / SECONDS_PER_MINUTE / heldLiquid_mL / rate_per_s,
      end_Fo: rate_per_s * minutes * SECONDS_PER_MINUTE,
    })
    profile = after.profile
    residual.push(mesh.weights.reduce((sum, weight, index) => sum + weight * (profile[index] ?? 0), 0))
    strength.push(after.bath)
  }
  return { residual, bath: strength }
}

/** D(T) = D25 exp(−Ea/R (1/T − 1/298.15)), m²/s. @example 22 kJ/mol from 12 to 95 °C: times 8.10 */
export function diffusivity(
  { diffusivity25_m2_s, activation_kJ_mol }: Pick<LeachInput, 'diffusivity25_m2_s' | 'activation_kJ_mol'>,
  temp_C: number,
): number {
  return diffusivity25_m2_s * arrhenius(activation_kJ_mol, temp_C, REFERENCE_C)
}

/** exp(−Ea/R (1/T − 1/T_ref)): by what a rate is more at one temperature than at another. */
export function arrhenius(activation_kJ_mol: number, temp_C: number, reference_C: number): number {
  const inverse = 1 / (temp_C + ZERO_C_K) - 1 / (reference_C + ZERO_C_K)
  return Math.exp(((-activation_kJ_mol * 1000) / GAS_CONSTANT_J_mol_K) * inverse)
}

interface Mesh {
  /** Share of the piece's volume in each cell, from the middle outwards; together 1. */
  readonly weights: readonly number[]
  /** Conductance of the face outside each cell; the last is the surface. */
  readonly faces: readonly number[]
}

/** Cells that grow geometrically inwards from a very fine one at the surface; outside of it the skin, in half-thicknesses of flesh. */
function makeMesh(dimensions: 1 | 2 | 3, { cells, surfaceCell }: Fineness, skin: number): Mesh {
  const growth = geometricGrowth(cells, surfaceCell)
  const edges = [1]
  for (let cell = 0, width = surfaceCell; cell < cells; cell++, width *= growth) edges.push((edges.at(-1) ?? 0) - width)
  edges[cells] = 0
  edges.reverse()
  const middles = edges.slice(1).map((edge, index) => (edge + (edges[index] ?? 0)) / 2)
  const area = (edge: number) => dimensions * edge ** (dimensions - 1)
  return {
    weights: middles.map((_, index) => (edges[index + 1] ?? 0) ** dimensions - (edges[index] ?? 0) ** dimensions),
    faces: middles.map((middle, index) => {
      const edge = edges[index + 1] ?? 1
      return area(edge) / ((middles[index + 1] ?? 1 + skin) - middle)
    }),
  }
}

/** The growth with which so many cells from the one at the surface on fill the half-thickness. */
function geometricGrowth(cells: number, surfaceCell: number): number {
  let low = 1.0001
  let high = 2
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2
    if ((surfaceCell * (middle ** cells - 1)) / (middle - 1) < 1) low = middle
    else high = middle
  }
  return (low + high) / 2
}

interface BathNumbers {
  readonly alpha: number
  readonly kappa: number
  readonly end_Fo: number
}

/** One bath from a profile and clean water. The bath is the last unknown of one tridiagonal system. */
function runBath(
  mesh: Mesh,
  profile: readonly number[],
  { firstStep_Fo, stepGrowth }: Fineness,
  { alpha, kappa, end_Fo }: BathNumbers,
): { profile: readonly number[]; bath: number } {
  const system: System = {
    faces: Float64Array.from(mesh.faces),
    masses: Float64Array.from([...mesh.weights, alpha]),
    kappa,
    upper: new Float64Array(mesh.weights.length + 1),
  }
  let state = Float64Array.from([...profile, 0])
  let time_Fo = 0
  let step_Fo = firstStep_Fo
  while (time_Fo < end_Fo) {
    const taken_Fo = Math.min(step_Fo, end_Fo - time_Fo)
    state = trBdf2(system, state, taken_Fo)
    time_Fo += taken_Fo
    if (end_Fo - time_Fo < end_Fo * 1e-12) break
    step_Fo *= stepGrowth
  }
  return { profile: [...state.subarray(0, -1)], bath: state.at(-1) ?? 0 }
}

interface System {
  /** Conductance outwards of each cell; the last one to the bath. */
  readonly faces: Float64Array
  readonly masses: Float64Array
  /** What the bath loses by its flow. */
  readonly kappa: number
  /** Room for the elimination, used again at every step. */
  readonly upper: Float64Array
}

function trBdf2(system: System, state: Float64Array, step_Fo: number): Float64Array<ArrayBuffer> {
  const trapezoid = (GAMMA * step_Fo) / 2
  const middle = solve(system, trapezoid, pushed(system, state, trapezoid))
  const a = 1 / (GAMMA * (2 - GAMMA))
  const b = (1 - GAMMA) ** 2 / (GAMMA * (2 - GAMMA))
  for (let index = 0; index < middle.length; index++)
    middle[index] = (system.masses[index] ?? 0) * (a * (middle[index] ?? 0) - b * (state[index] ?? 0))
  return solve(system, ((1 - GAMMA) / (2 - GAMMA)) * step_Fo, middle)
}

/** mass · state + h · flow: cells from their neighbours, the bath from the surface less what its flow carries off. */
function pushed({ faces, masses, kappa }: System, state: Float64Array, h: number): Float64Array<ArrayBuffer> {
  const last = state.length - 1
  const right = new Float64Array(state.length)
  let inner = 0
  for (let index = 0; index <= last; index++) {
    const value = state[index] ?? 0
    const outer = index === last ? -kappa * value : (faces[index] ?? 0) * ((state[index + 1] ?? 0) - value)
    right[index] = (masses[index] ?? 0) * value + h * (inner + outer)
    inner = -outer
  }
  return right
}

/** Solves (mass − h · flow) x = right for the tridiagonal flow by elimination (Thomas), in place. */
function solve(
  { faces, masses, kappa, upper }: System,
  h: number,
  right: Float64Array<ArrayBuffer>,
): Float64Array<ArrayBuffer> {
  const last = right.length - 1
  let inner = 0
  let above = 0
  let before = 0
  for (let index = 0; index <= last; index++) {
    const outer = index === last ? h * kappa : h * (faces[index] ?? 0)
    const pivot = (masses[index] ?? 0) + inner + outer - inner * above
    above = index === last ? 0 : outer / pivot
    before = ((right[index] ?? 0) + inner * before) / pivot
    upper[index] = above
    right[index] = before
    inner = outer
  }
  for (let index = last - 1; index >= 0; index--)
    right[index] = (right[index] ?? 0) + (upper[index] ?? 0) * (right[index + 1] ?? 0)
  return right
}
