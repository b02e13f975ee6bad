import { simmerFuel } from '../heat/balance'
import { enoughAt, likelyLots, type TasteForecastInput } from '../taste/forecast'
import { leach, type Bath } from './leach'

/** One way on of a lot that lies in its leach, as the record and the kitchen have it. */
export interface WayOn {
  readonly name: string
  readonly op: 'leach-static' | 'leach-hot' | 'leach-running'
  /** The least number of baths of this way, those already done of it taken off. */
  readonly least: number
  readonly bath: Bath
  /** Hands at each change. */
  readonly change_min: number
}

export interface CompareWaysInput {
  /** What is known of the lot: the prior, the tastes, the baths so far taken as alike. */
  readonly asked: TasteForecastInput
  /** Baths done so far. */
  readonly done: number
  readonly ways: readonly WayOn[]
  readonly tap_C: number
  readonly efficiency: number
  /** Sugars: what one would rather keep. They do not bind, so the food's own liquid alone holds them. */
  readonly keep: {
    readonly diffusivity25_m2_s: number
    readonly activation_kJ_mol: number
    readonly heldLiquid_mL: number
  }
}

/** Whether meal from this leach still thickens and binds. */
export type Starch = 'binds' | 'undecided' | 'cooked'

/** What a way on comes to: the middle lot, and where eight lots of ten lie. */
export interface WayOutlook {
  readonly name: string
  readonly baths: { readonly p10: number; readonly p50: number; readonly p90: number }
  readonly minutes: { readonly p10: number; readonly p50: number; readonly p90: number }
  readonly water_mL: number
  readonly fuel_kWh: number
  readonly hands_min: number
  /** Share of the sugars that were there at the start. */
  readonly sugarKept: number
  readonly starch: Starch
  /** Share of lots that would not come down to the target in as many baths as anybody changes. */
  readonly never: number
}

/** Lots drawn from what is known. */
const LOTS = 60
/** More baths than anybody changes; running water is followed in as many pieces of its least time. */
export const BATHS_FOLLOWED = 24
/** Starch swells from 50 °C on; below 45 it does not [process physics, section 5]. */
const STARCH_WHOLE_C = 45
const STARCH_COOKED_C = 50

/**
 * The ways on from where a lot stands now, side by side. Each is followed by the leach engine for lots drawn from what the tastes so far leave
 * open, the profile carried over from the baths that were done; the number of baths is the first at or above the way's least with which the
 * mean score is at or below the target. For taste alone.
 */
export function compareWays(input: CompareWaysInput): readonly WayOutlook[] {
  const { asked, done, ways } = input
  const lots = likelyLots(asked, LOTS)
  return ways.map((way): WayOutlook => {
    const needed = lots.map((lot) => bathsNeeded(way, lot, asked, done)).sort((a, b) => a - b)
    const at = (share: number) => needed[Math.min(needed.length - 1, Math.floor(share * needed.length))] ?? way.least
    const baths = { p10: at(0.1), p50: at(0.5), p90: at(0.9) }
    const each_min = way.bath.minutes + way.change_min
    const drawn_mL = way.bath.water_mL + (way.bath.flow_mL_min ?? 0) * way.bath.minutes
    const { fuel_kWh } = simmerFuel({
      water_mL: way.bath.water_mL,
      waterTemp_C: input.tap_C,
      food_g: 0,
      foodTemp_C: input.tap_C,
      temp_C: way.bath.temp_C,
      efficiency: input.efficiency,
      minutes: way.bath.minutes,
    })
    return {
      name: way.name,
      baths,
      minutes: { p10: baths.p10 * each_min, p50: baths.p50 * each_min, p90: baths.p90 * each_min },
      water_mL: baths.p50 * drawn_mL,
      fuel_kWh: way.op === 'leach-hot' ? baths.p50 * fuel_kWh : 0,
      hands_min: (way.op === 'leach-running' ? 1 : baths.p50) * way.change_min,
      sugarKept: sugarLeft(way, baths.p50, input),
      starch: starchAfter(Math.max(way.bath.temp_C, done > 0 ? asked.bath.temp_C : 0)),
      never: needed.filter((count) => count > BATHS_FOLLOWED).length / Math.max(1, needed.length),
    }
  })
}

/** Baths of a way that one lot still needs; one more than anybody changes where those do not do. */
function bathsNeeded(
  { least, bath }: WayOn,
  { diffusivity25_m2_s, strength }: ReturnType<typeof likelyLots>[number],
  { bath: before, pieces, heldLiquid_mL, activation_kJ_mol, target }: TasteForecastInput,
  done: number,
): number {
  const { residual } = leach(
    {
      ...{ pieces, heldLiquid_mL, activation_kJ_mol, diffusivity25_m2_s },
      baths: [...alike(before, done), ...alike(bath, BATHS_FOLLOWED)],
    },
    'quick',
  )
  const enough = enoughAt(target)
  for (let more = least; more <= BATHS_FOLLOWED; more += 1) {
    const left = done + more === 0 ? 1 : (residual[done + more - 1] ?? 1)
    if (strength * left <= enough) return more
  }
  return BATHS_FOLLOWED + 1
}

function sugarLeft({ bath }: WayOn, count: number, { asked, done, keep }: CompareWaysInput): number {
  const baths = [...alike(asked.bath, done), ...alike(bath, count)]
  if (baths.length === 0) return 1
  return leach({ ...keep, pieces: asked.pieces, baths }, 'quick').residual.at(-1) ?? 1
}

/** Whether meal still binds after water so warm. */
export function starchAfter(warmest_C: number): Starch {
  if (warmest_C > STARCH_COOKED_C) return 'cooked'
  return warmest_C > STARCH_WHOLE_C ? 'undecided' : 'binds'
}

function alike(bath: Bath, count: number): readonly Bath[] {
  return Array.from({ length: count }, () => bath)
}
