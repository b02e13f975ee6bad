import type { NotedFigure } from '../evidence/figure'
import type { OwnPlant } from '../flora/own'
import type { Claim } from '../flora/taxon'
import type { GroundFacts, GroundNote } from '../ground/facts'
import type { GroundSchool } from '../ground/schools'
import type { Wind } from '../heat/wind'
import type { InstrumentId } from '../instruments/instruments'
import type { Position } from '../quantity/position'
import type { Day } from '../season/day'
import type { Part, Sensitivity, Stage } from '../flora/vocabulary'
import type { Instant } from '../quantity/instant'
import type { SetAside } from '../take/setAside'
import type { Kit } from '../treatment/kit'
import type { EaterId, LotId, PackId, PatchId } from './entry'

/** What holds for the whole book and not for one lot: kitchens, patches, eaters, meetings with plants. */
export interface HouseState {
  /** Oldest first; the last is the one in force. */
  readonly kitchens: readonly KitchenFact[]
  readonly patches: Readonly<Record<PatchId, PatchState>>
  readonly eaters: Readonly<Record<EaterId, EaterState>>
  /** Days on which a plant was met, by the name it was noted under. */
  readonly meetings: Readonly<Record<string, readonly Meeting[]>>
  /** What was given back, by patch. */
  readonly gifts: Readonly<Record<PatchId, readonly Gift[]>>
  /** What each plant of a patch was shared out for, oldest first. */
  readonly setAside: Readonly<Record<PatchId, readonly SetAside[]>>
  /** Stops at a patch, with all that was named there, oldest first. */
  readonly stops: Readonly<Record<PatchId, readonly Stop[]>>
  /** Plants that the cook put on record, by scientific name. */
  readonly ownPlants: Readonly<Record<string, OwnPlant>>
  readonly outings: Readonly<Record<string, OutingFact>>
  /** Trials of a step, by id. */
  readonly trials: Readonly<Record<string, TrialFact>>
  /** What sources say is in a plant, and what they say of its treatment, by scientific name. */
  readonly figures: Readonly<Record<string, readonly NotedFigure[]>>
  readonly claims: Readonly<Record<string, readonly NotedClaim[]>>
  readonly recalls: readonly Recall[]
  readonly ill: readonly Illness[]
  readonly numbers: HelpNumbers | null
  /** How far each instrument was last found to be off, of those that were held against what is known. */
  readonly setRight: Readonly<Partial<Record<InstrumentId, SetRight>>>
}

/** Somebody felt ill; `explained` where a doctor or a poison centre said that it was not the food. */
export interface Illness {
  readonly eater: EaterId
  readonly symptoms: string
  readonly at: Instant
  readonly explained?: string
}

/** What an instrument shows too much, in its own unit, and when that was found. */
export interface SetRight {
  readonly offset: number
  readonly at: Instant
}

/** A plant met, and where, if that was told. */
export interface Meeting {
  readonly at: Instant
  /** Who met it: an eater's id, or the cook who keeps the book. */
  readonly by: string
  readonly stage: Stage
  readonly patch?: PatchId
  readonly mentor?: string
}

/** An outing as it was planned. */
export interface OutingFact {
  readonly id: string
  readonly at: Instant
  readonly day: Day
  /** Who comes, by name. */
  readonly company: readonly string[]
  readonly plates: number
  readonly wishes: readonly PickingWish[]
}

/** What is wished from where. */
export interface PickingWish {
  readonly taxon: string
  readonly part: Part
  readonly stage: Stage
  readonly patch: PatchId
}

export const GIFTS = [
  'crowns-replanted', 'seed-scattered', 'clump-divided', 'holes-filled', 'litter-carried-out', 'water-and-scraps',
] as const // prettier-ignore

/** Something given back to a patch. */
export interface Gift {
  readonly at: Instant
  readonly what: (typeof GIFTS)[number]
  readonly taxon?: string
  /** How many, where that was counted. */
  readonly count: number | null
}

/** How something stands that was found. */
export const FIND_STATES = ['ready', 'too-early', 'not-enough', 'past', 'unsure'] as const

/** One kind of thing found at a stop. */
export interface Find {
  readonly taxon: string
  readonly part: Part
  readonly state: (typeof FIND_STATES)[number]
}

/** What was named at one stop. */
export interface Stop {
  readonly at: Instant
  readonly finds: readonly Find[]
}

/** One picking in several bowls that differ in one step. */
export interface TrialFact {
  readonly id: string
  readonly at: Instant
  readonly taxon: string
  readonly part: Part
  readonly stage: Stage
  readonly school: string
  /** Its place in the school. */
  readonly step: number
  readonly arms: readonly TrialArm[]
}

/** One bowl, and for how long it has the step; none where it is left out. */
export interface TrialArm {
  readonly lot: LotId
  readonly minutes: number
}

/** A claim as the cook noted it, with the part it speaks of. */
export interface NotedClaim {
  readonly part: Part
  readonly stage: Stage
  readonly claim: Claim
}

/** Something that came out later about a patch, a lot or a pack. */
export type Recall =
  | {
      readonly what: 'patch'
      readonly patch: PatchId
      readonly since: Instant | null
      readonly why: string
      readonly at: Instant
    }
  | {
      readonly what: 'food'
      readonly lot: LotId
      readonly pack: PackId | null
      readonly why: string
      readonly at: Instant
    }

/** Whom to call, as the cook entered it; empty where not entered. */
export interface HelpNumbers {
  readonly emergency: string
  readonly poisonCentre: string
  readonly doctor: string
}

export interface KitchenFact {
  readonly at: Instant
  readonly name: string
  readonly elevation_m: number
  /** For the season; where it was never told, that of the records. */
  readonly latitude_deg?: number
  readonly timeZone: string
  /** In still air; in a wind less of it reaches the pot. */
  readonly burner: { readonly power_W: number; readonly efficiency: number; readonly wind?: Wind }
  readonly pots_mL: readonly number[]
  readonly waterTemp_C: number
  readonly ice_g: number
  /** What there is to bring heat to food with; everything where it was never told. */
  readonly kit?: readonly Kit[]
  /** The school of caution about the ground; the cautious one where none was chosen. */
  readonly groundSchool?: GroundSchool
}

export interface PatchState {
  readonly id: PatchId
  readonly name: string
  /** For the season; the kitchen's where it was never told. */
  readonly elevation_m?: number
  /** Where it is, for the cook alone: it leaves in no file unless asked. */
  readonly position?: Position
  /** Each fact as it was last noted. */
  readonly facts: GroundFacts
  /** Every note of it, oldest first: a picking is judged by what held when it was picked. */
  readonly notes: readonly GroundNotedAt[]
}

/** What was noted of a ground at one time. */
export interface GroundNotedAt {
  readonly at: Instant
  readonly facts: GroundNote
}

export interface EaterState {
  readonly id: EaterId
  readonly name: string
  readonly kind: 'adult' | 'child' | 'infant'
  /** null: not asked yet, which is not the same as none. */
  readonly sensitivities: readonly Sensitivity[] | null
  /** Limits of their own, by choice or by a doctor's word; none where absent. */
  readonly ownCaps?: readonly OwnCap[]
  /** Day of birth, where it matters in months; babies have nothing that asks for one without it. */
  readonly bornOn?: string
  /** The last time that less was said to hold against them than before: what was dropped, and when. The plate says so. */
  readonly laxer?: { readonly at: Instant; readonly dropped: readonly string[] }
}

/** What somebody lets themselves have of a plant in a day. It holds beside what is on record, and never in place of it. */
export interface OwnCap {
  /** Scientific name. */
  readonly taxon: string
  /** Trimmed and raw; 0 is none of it. */
  readonly perDay_g: number
}

export const EMPTY_HOUSE: HouseState = {
  kitchens: [],
  patches: {},
  eaters: {},
  meetings: {},
  gifts: {},
  setAside: {},
  stops: {},
  ownPlants: {},
  outings: {},
  trials: {},
  figures: {},
  claims: {},
  recalls: [],
  ill: [],
  numbers: null,
  setRight: {},
}

/**
 * How high the kitchen of an instant lies, m: as it was noted then, or as the same kitchen was set right to since, whichever is stricter (higher).
 * So what was boiled there before a correction is asked again. Undefined when no kitchen was ever noted.
 */
export function elevationAt(house: HouseState, at: Instant): number | undefined {
  const kitchen = kitchenAt(house, at)
  if (kitchen === undefined) return undefined
  const later = house.kitchens.filter((each) => each.at > at && each.name === kitchen.name)
  return Math.max(kitchen.elevation_m, ...later.map(({ elevation_m }) => elevation_m))
}

/** The kitchen as it was at an instant; the first one for earlier instants, undefined when none was ever noted. */
export function kitchenAt(house: HouseState, at: Instant): KitchenFact | undefined {
  return house.kitchens.findLast((kitchen) => kitchen.at <= at) ?? house.kitchens[0]
}
