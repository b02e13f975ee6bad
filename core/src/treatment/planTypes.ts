import type { Goal } from '../flora/taxon'
import type { Part, Sensitivity, Stage } from '../flora/vocabulary'
import type { Range } from '../quantity/range'
import type { PieceTime } from './cutTo'
import type { Kit } from './kit'
import type { Rank } from './rank'

export interface PlanInput {
  readonly taxon: string
  readonly part?: Part
  readonly stage?: Stage
  /** Trimmed, as it goes into the treatment. */
  readonly mass_g: number
  readonly goal: Goal
  readonly storage?: 'none' | 'room' | 'chilled' | 'frozen'
  readonly perDay_g?: number
  readonly eaters?: readonly PlanEater[]
  readonly kitchen?: PlanKitchen
  readonly school?: string
}

export interface PlanEater {
  readonly kind: 'adult' | 'child' | 'infant'
  /** Absent where nobody asked; empty where they were asked and have none. */
  readonly sensitivities?: readonly Sensitivity[]
  /** An infant's, where it is known: 0 to 36. */
  readonly age_months?: number
}

export interface PlanKitchen {
  readonly elevation_m?: number
  readonly power_W?: number
  readonly efficiency?: number
  readonly pots_mL?: readonly number[]
  readonly water_mL?: number
  readonly waterTemp_C?: number
  readonly fuel_kWh?: number
  readonly ice_g?: number
  /** What there is to bring heat to food with; everything where it is not said. */
  readonly kit?: readonly Kit[]
  readonly washWater?: 'safe' | 'germs' | 'chemicals'
}

export interface PlanReason {
  readonly about: string
  readonly rank: Rank
  readonly text: string
}

export interface PlannedStep {
  readonly op: string
  readonly minutes?: number
  readonly temp_C?: number
  /** Pieces no thicker than this are hot in the middle for half of the minutes, mm. */
  readonly cutTo_mm?: number
  /** In dry heat: the least minutes by the thickness of a piece. */
  readonly byPiece?: readonly PieceTime[]
  /** What of the kit it is done with, where the kit is told. */
  readonly on?: Kit
  /** Of what browns: so much is cut at a time, straight into the bowl. */
  readonly atATime_g?: number
  readonly water_mL?: number
  readonly critical: boolean
  readonly control: readonly string[]
  readonly limit?: string
  readonly check?: string
  readonly ice_g?: number
  /** Citric acid for the bowl that cut pieces lie in. */
  readonly acid_g?: number
  /** Dry salt for a lactic ferment of all that goes in. */
  readonly salt_g?: number
  /** Discard, or may be kept by ground and eater. */
  readonly water?: 'discard' | 'may-keep'
  readonly loads?: {
    readonly count: number
    readonly load_g: number
    readonly recovery_s: number
    readonly toBoil_min: number
    readonly fillings: number
  }
  readonly fuel_kWh?: number
  /** For a taste-ended leach: the least number of baths, and the water of each. */
  readonly baths?: { readonly least: number; readonly each_mL?: number }
}

export interface Plan {
  readonly verdict: 'allow' | 'conditional' | 'refuse'
  readonly reasons: readonly PlanReason[]
  readonly steps: readonly PlannedStep[]
  readonly yield_g?: Range
  readonly instead?: string
  readonly way?: string
  readonly otherWays?: readonly { readonly name: string; readonly standing: string; readonly why: string }[]
}
