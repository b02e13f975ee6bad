import type { Part } from '../flora/vocabulary'
import type { Store, Use } from '../flora/taxon'

/** Between these food is warm: germs grow, and the minutes are counted (FDA Food Code 2022, 3-501.16: 5 °C and 57 °C; 60 °C leaves room for a thermometer). */
export const COLD_AT_MOST_C = 5
export const HOT_AT_LEAST_C = 60

/**
 * So many minutes between 5 and 60 °C, all added up, and moist food is thrown away, cooked or not. It is the longest time for which
 * food may be held without any cooling (FDA Food Code 2022, 3-501.19 B: four hours, cut leafy greens among them). One figure for all.
 */
export const WARM_AT_MOST_min = 240

/** What came out of a leach bears so many warm minutes before the next bath, the fire or the drying: wet meal sours within a day [planning value]. */
export const LEACHED_AT_MOST_min = 1440

/** Moist food in the cold, where the record has no figure of its own, days from its making [planning value: cooked leftovers]. */
export const COLD_KEEPS_days = 3

/** The most for food cut, pounded, juiced or wetted and never heated, cold, days from then [planning value: as long as a paste under oil; FDA Food Code 2022, 3-501.17 has seven for food made ready]. */
export const CUT_KEEPS_days = 4

/** Above this a frozen pack counts as thawed (the most that quick-frozen food may be found at in a shop by Directive 89/108/EEC and its tolerances). */
export const FROZEN_AT_MOST_C = -12

/**
 * The longest that food may lie in one still bath, min, by how cold it was measured; a bath not measured counts as warm. The water of a
 * bath sours and grows germs like food, and each fresh one begins anew [planning values].
 */
export function stillBathAtMost_min(temp_C: number | null): number {
  if (temp_C === null || temp_C > COOL_BATH_AT_MOST_C) return 1440
  return temp_C > COLD_AT_MOST_C ? 2 * 1440 : 4 * 1440
}
const COOL_BATH_AT_MOST_C = 15
/** Running water carries off what grows; a week of it is the most, where the record has no longer [planning value]. */
export const RUNNING_AT_MOST_min = 7 * 1440

/** How long a step may take before what lies in it counts as forgotten: so many times the longest on record, and never less than this; souring, where nothing is on record [planning values]. */
export const STEP_OVERRUN = 3
export const STEP_LEAST_min: Readonly<Record<'dry' | 'sour' | 'heat', number>> = {
  dry: 4 * 1440,
  sour: 30 * 1440,
  heat: 1440,
}

/** How long an opened container may still be eaten from, days, where the record has no figure of its own; cold where the store is cold [planning values]. */
export const ONCE_OPENED_days: Readonly<Record<Store, number>> = {
  frozen: 1,
  chilled: 2,
  dried: 60,
  oiled: 2,
  salted: 30,
  soured: 14,
  sugared: 28,
}

/** Until when raw food is not limp and until when it is safe, in days from picking, in the warmth of a kitchen and cold. */
export interface RawKeeping {
  readonly limp: { readonly warm: number; readonly cold: number }
  readonly unsafe: { readonly warm: number; readonly cold: number }
}

/** Where a record says nothing: one day warm, three cold, as for the most tender greens [planning values]. */
const UNKNOWN_RAW = { ambient: 1, chilled: 3 }

/** The record's figures; where it has none, the strictest. */
export function rawKeeping(use: Pick<Use, 'keepsRaw_days' | 'spoilsRaw_days'> = {}): RawKeeping {
  const { keepsRaw_days = UNKNOWN_RAW, spoilsRaw_days } = use
  const unsafe = spoilsRaw_days ?? keepsRaw_days
  return {
    limp: { warm: keepsRaw_days.ambient, cold: keepsRaw_days.chilled },
    unsafe: { warm: unsafe.ambient, cold: unsafe.chilled },
  }
}

/** Parts whose loss of freshness shows as wilting; the rest soften. */
export const WILTS: readonly Part[] = ['leaf', 'leafy-top', 'shoot', 'stem', 'midrib', 'flower', 'flower-bud']
