import type { SoilMetal } from './facts'

/** Two schools of caution about the ground. Every figure is a planning value; a label, a soil test and local law outrank all of them. */
export const GROUND_SCHOOLS = ['cautious', 'usual'] as const
export type GroundSchool = (typeof GROUND_SCHOOLS)[number]

export interface GroundLimits {
  /** From a busy road: for leaves, stems and roots of plants known to take up metals, and for everything else. */
  readonly road_m: { readonly takers: number; readonly others: number }
  readonly railway_m: number
  readonly works_m: number
  /** From farmed land: as far as spray may drift. */
  readonly field_m: number
  /** After weedkiller on the patch itself. */
  readonly sprayWait_years: number
  /** After spray may have drifted over it. */
  readonly driftWait_days: number
  /** After a flood. */
  readonly floodWait_days: number
  /** Total content of the dry soil, mg/kg, above which no leaf, stem or root is taken. */
  readonly soil_mg_per_kg: Readonly<Record<SoilMetal, number>>
}

/**
 * What each school asks for.
 *
 * Roads: metal in roadside soil falls to background within some tens of metres (Werkenthin, Kluge & Wessolek 2014). Floods: 120 and 90 days are
 * the times between raw dung and harvest that growers keep for what does and does not touch the soil (US organic rule 7 CFR 205.203). Soil:
 * cautious: lead 80 (England, allotments, 2014), cadmium 2 and arsenic 25 (Germany, gardens and playgrounds, 1999); usual: lead 200 (United
 * States, homes, 2024), cadmium 4 and arsenic 49 (England, allotments, 2014, rounded). The other figures are chosen.
 */
export const GROUND_LIMITS: Readonly<Record<GroundSchool, GroundLimits>> = {
  cautious: {
    road_m: { takers: 50, others: 20 },
    railway_m: 25,
    works_m: 500,
    field_m: 20,
    sprayWait_years: 3,
    driftWait_days: 365,
    floodWait_days: 120,
    soil_mg_per_kg: { lead: 80, cadmium: 2, arsenic: 25 },
  },
  usual: {
    road_m: { takers: 20, others: 10 },
    railway_m: 10,
    works_m: 200,
    field_m: 5,
    sprayWait_years: 1,
    driftWait_days: 90,
    floodWait_days: 90,
    soil_mg_per_kg: { lead: 200, cadmium: 4, arsenic: 49 },
  },
}
