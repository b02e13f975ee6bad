import type { Range } from '../quantity/range'
import type { Part, Region, Sensitivity, Stage } from './vocabulary'

/** How bad it is to eat one plant for another. */
export type Severity = 'deadly' | 'toxic' | 'irritant' | 'unpleasant' | 'harmless'
export const SEVERITIES: readonly Severity[] = ['deadly', 'toxic', 'irritant', 'unpleasant', 'harmless']

/** A severity as it is said. @example severityWord('toxic') // 'poisonous' */
export const severityWord = (severity: string): string => (severity === 'toxic' ? 'poisonous' : severity)

/** Whether it kills or poisons, wholly or in some part. @example isPoisonous({ severity: 'irritant' }) // false */
export function isPoisonous({ severity }: { readonly severity: Severity }): boolean {
  return severity === 'deadly' || severity === 'toxic'
}

/** One accepted species: the facts of the catalogue. Unknown stays absent. */
export interface Taxon {
  readonly scientificName: string
  readonly synonyms: readonly string[]
  readonly family: string
  readonly commonNames: {
    readonly en: readonly string[]
    readonly de: readonly string[]
    readonly fr: readonly string[]
  }
  readonly role: 'food' | 'restricted' | 'danger' | 'bystander'
  /** How bad it is to eat it in mistake for something else. */
  readonly severity: Severity
  readonly neverFood?: string
  readonly lifeForm: string
  readonly harvestTolerance?: 'high' | 'medium' | 'low' | 'none'
  readonly yearsToMaturity?: number
  readonly standing: 'often-invasive' | 'abundant' | 'common' | 'uncommon' | 'at-risk' | 'protected'
  readonly habitat: readonly string[]
  readonly companions: readonly string[]
  readonly accumulates: readonly string[]
  readonly wildlifeHost?: string
  /** Parts of the world in which it grows wild, native or not; absent where nobody said. */
  readonly growsIn?: readonly Region[]
  /** Plants with which it is known to cross where both stand: a cross shows marks of both (Stace, Preston and Pearman 2015; Flora of North America). */
  readonly crossesWith?: readonly string[]
  readonly characters: Readonly<Record<string, readonly string[]>>
  readonly visible: Readonly<Record<string, readonly Season[]>>
  readonly keyCharacters: readonly string[]
  readonly lookalikes: readonly LookAlike[]
  readonly uses: readonly Use[]
  readonly sources: readonly string[]
  /** Grown and sold everywhere: its bare name among ingredients means food from a shop. */
  readonly ofShops?: true
  /** Put on record by the cook: nobody else has checked its look-alikes. */
  readonly own?: true
}

export type Season = 'spring' | 'summer' | 'autumn' | 'winter'

export interface LookAlike {
  readonly scientificName: string
  readonly severity: Severity
  /** It grows among the food, or climbs through it: a handful can hold both, however surely the food is known. */
  readonly growsAmong?: true
  /** The parts that are taken for it; all where absent (a root in the mud, not the heads above). */
  readonly ofParts?: readonly Part[]
  readonly why: string
  readonly tells: readonly string[]
}

/** One part at one stage, and what may be made of it. */
export interface Use {
  readonly part: Part
  /** Parts by which a cook may call the same picking (the leaf of a leafy top). */
  readonly alsoCalled?: readonly Part[]
  /** What the picking is called in the kitchen, where that is not the plant's name (acorns). */
  readonly called?: string
  readonly stage: Stage
  readonly verdict: 'raw-ok' | 'cook' | 'leach-then-cook' | 'flavouring-only' | 'never'
  /** For `never`: the reason, and what is food instead. */
  readonly whyNever?: string
  readonly instead?: string
  /** Month and day, near sea level at `windowLatitude_deg` (50° N where absent); it may cross the new year. */
  readonly window?: { readonly from: string; readonly to: string }
  /** How long it is good on any one plant, where that is short. */
  readonly windowDays?: number
  readonly windowLatitude_deg?: number
  readonly tenderness?: string
  readonly cut?: string
  readonly hazards: readonly UseHazard[]
  readonly trim: readonly string[]
  readonly protocols: readonly Protocol[]
  /** Who says the numbers on which its schools differ, and whom they have it from; absent where nobody traced them. */
  readonly claims?: readonly Claim[]
  readonly edibleFraction?: Range
  readonly cookedYield?: Range
  readonly moisture?: Range
  readonly bulk_g_per_L?: number
  /** One piece as picked. */
  readonly pieceMass_g?: number
  readonly pickRate_g_per_h?: { readonly low: number; readonly high: number }
  readonly portion_g?: number
  /** Of what is eaten of it, raw, as it is weighed then: planning value. */
  readonly energy_kcal_per_100g?: number
  /** Of the plant as served; thinned to a drink or dried to a powder, of what it was raw. */
  readonly firstTaste_g?: number
  /** What may be done with it where a kitchen cannot reach a limit. */
  readonly ifUnreachable?: string
  /** Until it is limp or dull, in a kitchen and cold: a matter of how it eats. */
  readonly keepsRaw_days?: { readonly ambient: number; readonly chilled: number }
  /** Until it is eaten raw, packed or cooked no more, in a kitchen and cold: planning values, read by kind of part. */
  readonly spoilsRaw_days?: { readonly ambient: number; readonly chilled: number }
  readonly stores: readonly StoreRule[]
  readonly amounts: readonly AmountCap[]
  readonly cautionFor: readonly Caution[]
  readonly dishes: readonly string[]
}

export type HazardLevel = 'trace' | 'low' | 'moderate' | 'high' | 'deadly'
export type HazardKind = 'mechanical' | 'palate' | 'toxic' | 'untreatable' | 'amount' | 'biological' | 'person'

export interface UseHazard {
  readonly id: string
  readonly kind: HazardKind
  readonly level: HazardLevel
  readonly note: string
  /** Goals for which alone the hazard arises (a closed jar, oil); all where absent. */
  readonly onlyFor?: readonly Goal[]
  /** Any one of the controls, ground facts or refusals will do; amounts, stores and persons always hold as well. */
  readonly answers: readonly HazardAnswer[]
}

/** What makes a hazard harmless, or says no. */
export type HazardAnswer =
  | { readonly kind: 'control'; readonly says: string }
  | { readonly kind: 'ground'; readonly fact: 'manured'; readonly mustBe: 'no'; readonly says: string }
  | {
      readonly kind: 'amount'
      /** Schools under which the amount alone is the answer, no control being part of them. */
      readonly schools?: readonly string[]
      readonly says: string
    }
  /** The Keep gate's limit for the store is the answer. */
  | { readonly kind: 'store'; readonly says: string }
  | { readonly kind: 'person'; readonly who: readonly Sensitivity[]; readonly says: string }
  | { readonly kind: 'refusal'; readonly says: string }

/** A school: one accepted way, complete and in order. */
export interface Protocol {
  readonly name: string
  readonly standing: 'usual' | 'cautious' | 'minimal' | 'contested' | 'not-advised'
  readonly goals: readonly Goal[]
  readonly steps: readonly Step[]
  readonly why: string
  /** It only keeps the food until there is time to make it safe: what comes out is NOT YET FOOD. */
  readonly storeOnly?: boolean
}

/** How whoever says it knows: measured, learnt where people fell ill, done and eaten for long, or written down after others. */
export const GROUNDS = ['measured', 'outbreak', 'practised', 'handed-down'] as const
export type Grounds = (typeof GROUNDS)[number]

/** One saying that a school rests on. */
export interface Claim {
  readonly id: string
  /** The schools, by name, for whose numbers it speaks. */
  readonly schools: readonly string[]
  readonly says: string
  /** What kind of source; never a page to be trusted by its name. */
  readonly who: string
  readonly grounds: Grounds
  /** The claim of the same use that it repeats. */
  readonly copies?: string
  /** A study that is still to come: it says nothing yet, and counts as no source. */
  readonly awaited?: true
}

export const GOALS = [
  'eat-raw', 'eat', 'tea', 'flavouring', 'dry', 'freeze', 'flour', 'ferment', 'pickle', 'syrup', 'jam', 'infused-oil',
  'infused-vinegar', 'can',
] as const // prettier-ignore
export type Goal = (typeof GOALS)[number]

/** What a cook does for a goal, after “to”. @example GOAL_DEEDS.tea // 'make tea of it' */
export const GOAL_DEEDS: Readonly<Record<Goal, string>> = {
  'eat-raw': 'eat it raw',
  eat: 'cook it',
  tea: 'make tea of it',
  flavouring: 'season with it',
  dry: 'dry it',
  freeze: 'freeze it',
  flour: 'mill it to flour',
  ferment: 'ferment it',
  pickle: 'pickle it',
  syrup: 'make syrup of it',
  jam: 'make jam of it',
  'infused-oil': 'put it in oil',
  'infused-vinegar': 'put it in vinegar',
  can: 'can it',
}

export interface Step {
  readonly op: string
  readonly minutes?: { readonly low: number; readonly high: number }
  readonly temp_C?: number
  /** Litres of water to a kilogram of food. */
  readonly waterRatio?: { readonly least: number; readonly usual: number }
  readonly water?: 'discard' | 'may-keep'
  readonly control: readonly string[]
  readonly critical: boolean
  readonly limit?: CriticalLimit
  /** What of it is water when the step begins, where that is not the fresh part's moisture. */
  readonly startMoisture?: Range
  readonly check?: string
  /** Goals for which the step is needed; all where absent. */
  readonly onlyFor?: readonly Goal[]
}

/** A critical limit always states its measure. */
export type CriticalLimit =
  | {
      readonly measure: 'rolling-boil'
      readonly minutes: number
      /** The highest elevation for which the record accepts the limit. */
      readonly acceptedTo_m: number
      /** Minutes added from an elevation up; looked up, never computed. */
      readonly added: readonly { readonly from_m: number; readonly minutes: number }[]
    }
  | { readonly measure: 'food-temperature'; readonly temp_C: number; readonly minutes: number }
  | { readonly measure: 'dried-to'; readonly moisture: number }
  | { readonly measure: 'seen'; readonly sign: string }
  /** Acid, measured in the middle of the largest piece; of a ferment its days and its salt over everything as well. */
  | { readonly measure: 'ph'; readonly atMost: number; readonly minutes?: number; readonly saltAtLeast?: number }
  /** Taste-ended: at least so many baths of so many minutes each, then a crumb that tastes of so little (0 to 10), spat out. */
  | {
      readonly measure: 'baths'
      readonly least: number
      readonly minutes: number
      readonly tasteAtMost: number
      readonly atMost_C?: number
    }

export interface StoreRule {
  readonly store: Store
  /** What must have been done to the food first. */
  readonly after: 'raw' | 'treated' | 'dried'
  readonly limit:
    | { readonly measure: 'store-temperature'; readonly atMost_C: number }
    | { readonly measure: 'dried-to'; readonly moisture: number }
    | { readonly measure: 'ph'; readonly atMost: number }
    | { readonly measure: 'sugar'; readonly atLeast_brix: number }
    /** Salt over the mass of everything. */
    | { readonly measure: 'salt-share'; readonly atLeast: number }
  readonly keeps: { readonly low: number; readonly high: number; readonly unit: 'days' | 'months' }
  /** Once a container was opened; where absent, the figure for the store. */
  readonly onceOpened_days?: number
  /** It may stand at room warmth. */
  readonly atRoom?: boolean
  readonly says: string
}

export const STORES = ['frozen', 'chilled', 'dried', 'oiled', 'salted', 'soured', 'sugared'] as const
export type Store = (typeof STORES)[number]

export interface AmountCap {
  readonly perDay_g: number
  readonly who: 'adult' | 'child' | 'infant'
  /** The school under which it holds; every one where absent. */
  readonly school?: string
  readonly why: string
}

export interface Caution {
  readonly who: Sensitivity
  readonly what: 'avoid' | 'limit'
  /** Goals for which alone it holds (raw); all where absent. */
  readonly onlyFor?: readonly Goal[]
  readonly perDay_g?: number
  /** Of a baby's: the month from which it may have the food cooked soft, where nothing but want of data held it back. */
  readonly cookedFrom_months?: number
  readonly why: string
}
