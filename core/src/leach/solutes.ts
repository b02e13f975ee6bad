import type { Range } from '../quantity/range'
import { arrhenius, leach, type Bath, type LeachInput } from './leach'

/** What leaves tissue into water. */
export const SOLUTES = [
  'salt',
  'nitrate',
  'potassium',
  'oxalate',
  'vitamin-c',
  'folate',
  'sugars',
  'bitter',
  'tannin',
] as const
export type Solute = (typeof SOLUTES)[number]

/**
 * Diffusivities in tissue whose membranes are broken, 25 °C, m²/s, and their activation [process physics, section 3; vitamin C and
 * folate by their size between its rows: planning values]. `partition`: how much more of it the tissue holds than the bath at rest.
 */
const MOVES: Readonly<
  Record<Solute, { readonly lysed25_m2_s: Range; readonly Ea_kJ_mol: number; readonly partition: Range }>
> = {
  salt: moving(5e-10, 9e-10, 1.5e-9, 20),
  nitrate: moving(4e-10, 7e-10, 1.3e-9, 20),
  potassium: moving(4e-10, 7e-10, 1.3e-9, 20),
  // The soluble share alone: the calcium salt stays.
  oxalate: moving(2e-10, 4e-10, 7e-10, 23),
  'vitamin-c': moving(2e-10, 4e-10, 6e-10, 23),
  folate: moving(1e-10, 2.5e-10, 4e-10, 24),
  sugars: moving(1e-10, 2.5e-10, 5e-10, 24),
  bitter: moving(5e-11, 2e-10, 4e-10, 27),
  tannin: moving(1e-11, 6e-11, 2e-10, 27, { low: 16, usual: 8, high: 4 }),
}

function moving(
  low: number,
  usual: number,
  high: number,
  Ea_kJ_mol: number,
  partition: Range = { low: 1, usual: 1, high: 1 },
) {
  return { lysed25_m2_s: { low, usual, high }, Ea_kJ_mol, partition }
}

/** So much slower is tissue whose membranes are whole [planning value, section 3: a fifth to a fiftieth]. */
const WHOLE_SLOWER: Range = { low: 30, usual: 10, high: 4 }
/** Membranes break at so much a minute at 60 °C, and with this activation [section 4]. */
const LYSIS_60_per_min = 0.5
const LYSIS_Ea_kJ_mol = 250

export interface SolutesInput {
  readonly pieces: LeachInput['pieces']
  /** How much the least and the most of skins hold back, as {@link LeachInput.pieces} has it, where the usual is told there. */
  readonly skinAs_mm?: Range
  readonly heldLiquid_mL: number
  /** `raw`: membranes whole, until heat breaks them. `opened`: blanched, cooked, frozen and thawed, ground. */
  readonly tissue: 'raw' | 'opened'
  readonly baths: readonly Bath[]
  readonly solutes: readonly Solute[]
}

/** Of one solute, what is left after each bath, over what there was: `low` where it moves quickly. */
export interface SoluteLeft {
  readonly solute: Solute
  readonly left: readonly Range[]
}

/**
 * Several solutes leached at once, each by the full diffusion solution of {@link leach}, from tissue that is raw until heat breaks
 * its membranes (lysed share Z = 1 − exp(−∫k dt), D = D_raw + Z (D_lysed − D_raw); González & Barrett 2010), with or without a skin. As D changes in a bath
 * by a factor alone, the bath is followed for as long as at the lysed rate comes to the same ∫D dt: exact for still baths. Ranges
 * are those of the diffusivities. For taste and for planning: it clears no poison.
 *
 * @throws RangeError as {@link leach} does.
 */
export function leachSolutes(input: SolutesInput): readonly SoluteLeft[] {
  return input.solutes.map((solute) => {
    const at = (end: keyof Range) => residuals(input, solute, end)
    const [quick, usual, slow] = [at('high'), at('usual'), at('low')]
    return {
      solute,
      left: usual.map((each, bath) => ({ low: quick[bath] ?? each, usual: each, high: slow[bath] ?? each })),
    }
  })
}

function residuals(input: SolutesInput, solute: Solute, end: keyof Range): readonly number[] {
  const { pieces, skinAs_mm, heldLiquid_mL, tissue } = input
  const { lysed25_m2_s, Ea_kJ_mol, partition } = MOVES[solute]
  // A tight skin is told as a thick one.
  const skin = skinAs_mm?.[end === 'high' ? 'low' : end === 'low' ? 'high' : 'usual'] ?? pieces.skinAs_mm
  return leach(
    {
      pieces: { ...pieces, ...(skin === undefined ? {} : { skinAs_mm: skin }) },
      heldLiquid_mL: heldLiquid_mL * partition[end],
      diffusivity25_m2_s: lysed25_m2_s[end],
      activation_kJ_mol: Ea_kJ_mol,
      baths: tissue === 'opened' ? input.baths : asLysed(input.baths, 1 / WHOLE_SLOWER[end]),
    },
    'quick',
  ).residual.map((left) => Math.max(0, left))
}

/** Baths of raw tissue as baths of lysed tissue that come to the same. */
function asLysed(baths: readonly Bath[], raw: number): readonly Bath[] {
  let whole = 1
  return baths.map((bath) => {
    const { minutes, temp_C, flow_mL_min } = bath
    const k = lysisRate(temp_C)
    const wholeAfter = whole * Math.exp(-k * minutes)
    // ∫ (1 − (1 − raw) · whole) dt
    const lasted = minutes - (1 - raw) * (k > 0 ? (whole - wholeAfter) / k : whole * minutes)
    whole = wholeAfter
    const slower = minutes > 0 ? lasted / minutes : 1
    return {
      ...bath,
      minutes: lasted,
      // As much water runs through in all.
      ...(flow_mL_min === undefined ? {} : { flow_mL_min: flow_mL_min / slower }),
    }
  })
}

/** How fast membranes break, 1/min. @example lysisRate(60) // 0.5 */
export function lysisRate(temp_C: number): number {
  return LYSIS_60_per_min * arrhenius(LYSIS_Ea_kJ_mol, temp_C, 60)
}
