import type { Goal, Store } from '../flora/taxon'
import type { Part, Stage } from '../flora/vocabulary'
import type { EaterId, EntryId, LotId, PackId, PatchId } from '../log/entry'
import type { Instant } from '../quantity/instant'

/** All that is known of one lot: the fold of its entries. Plain facts; every verdict on them is a gate's. */
export interface LotState {
  readonly id: LotId
  readonly weighedIn: WeighIn | null
  /** Mass in hand now, g. */
  readonly mass_g: number
  readonly tells: readonly TellFact[]
  /** When it was first trimmed, cut or heated: tells noted later do not count. */
  readonly firstCutAt: Instant | null
  readonly attestedAt: Instant | null
  readonly strays: {
    readonly reportedAt: Instant | null
    readonly sortedAt: Instant | null
    readonly brokenUp: boolean
  }
  readonly stand: StandFact | null
  readonly sorted: SortFact | null
  readonly way: { readonly protocol: string; readonly goal: Goal; readonly at: Instant } | null
  readonly runs: readonly StepRun[]
  readonly drained: { readonly mass_g: number; readonly at: Instant } | null
  readonly tastes: readonly TasteFact[]
  readonly packs: readonly PackState[]
  readonly servings: readonly Serving[]
  readonly flows: readonly MassFlow[]
  readonly lastAt: Instant | null
}

export interface WeighIn {
  readonly entry: EntryId
  readonly code: string
  readonly taxon: string
  readonly part: Part
  readonly stage: Stage
  readonly patch: PatchId
  readonly mass_g: number
  readonly pickedAt: Instant
}

export interface TellFact {
  readonly entry: EntryId
  readonly at: Instant
  readonly character: string
  readonly answer: 'seen' | 'not-visible' | 'could-not-tell'
  readonly states: readonly string[]
}

export interface StandFact {
  readonly at: Instant
  readonly stems: number
  readonly taken: number
  readonly wildlifeLooked: boolean
  readonly wildlifeOn: number
  readonly othersPick: boolean
  readonly school: string | null
}

export interface SortFact {
  readonly at: Instant
  readonly stageSeen: Stage
  readonly kept_g: number
  readonly trimmed_g: number
  readonly trimmedTo: string
  readonly wash: { readonly water: 'safe' | 'germs' | 'chemicals'; readonly changes: number } | null
}

/** One load going through one step of the protocol. */
export interface StepRun {
  readonly entry: EntryId
  readonly protocol: string
  readonly step: number
  readonly load: number
  readonly mass_g: number
  /** What was in hand of the lot when it began, g. */
  readonly lotMass_g: number
  readonly begunAt: Instant
  readonly done: StepDoneFact | null
}

export interface StepDoneFact {
  readonly at: Instant
  readonly outcome: 'done' | 'off-boil' | 'stopped'
  /** Minutes at the limit, from the timer or typed. */
  readonly minutes: number
  /** Of the bath or the food, where it was measured. */
  readonly temp_C: number | null
  readonly backToBoil_s: number | null
  readonly driedTo_g: number | null
  /** The sign of the step was seen. */
  readonly checked: boolean
  readonly water: 'kept' | 'thrown' | null
}

export type Alarm = 'burning' | 'numbness' | 'soap' | 'almond' | 'bitter-where-none-belongs'

export interface TasteFact {
  readonly at: Instant
  readonly taster: EaterId
  readonly bitter: number
  readonly accepts: boolean
  readonly alarm: Alarm | null
}

export interface PackState {
  readonly id: PackId
  readonly at: Instant
  readonly store: Store
  readonly packed_g: number
  readonly mass_g: number
  readonly containers: number
  readonly storeTemp_C: number | null
  /** The lot as it was when this was packed: a pack keeps the treatment it had. */
  readonly lotThen: LotState
}

export interface Serving {
  readonly entry: EntryId
  readonly at: Instant
  readonly dish: string
  readonly pack: PackId | null
  readonly portions: readonly Portion[]
  readonly lotThen: LotState
}

export interface Portion {
  readonly eater: EaterId
  readonly mass_g: number
}

/** Mass that left the lot, or (negative) came into it as water. */
export interface MassFlow {
  readonly at: Instant
  readonly what: 'trimmed' | 'lost-in-sorting' | 'cooking' | 'drying' | 'packed' | 'served' | 'thrown-away'
  readonly mass_g: number
  readonly to: string
}

/** A lot of which nothing has been noted yet. */
export function emptyLot(id: LotId): LotState {
  return {
    id,
    weighedIn: null,
    mass_g: 0,
    tells: [],
    firstCutAt: null,
    attestedAt: null,
    strays: { reportedAt: null, sortedAt: null, brokenUp: false },
    stand: null,
    sorted: null,
    way: null,
    runs: [],
    drained: null,
    tastes: [],
    packs: [],
    servings: [],
    flows: [],
    lastAt: null,
  }
}

/** A flow of mass out of the lot; what is in hand goes down by as much, never below nothing. */
export function withFlow(lot: LotState, flow: MassFlow): LotState {
  return { ...lot, mass_g: Math.max(0, lot.mass_g - flow.mass_g), flows: [...lot.flows, flow] }
}

/** The first cutting happens once. */
export function withFirstCut(lot: LotState, at: Instant): LotState {
  return lot.firstCutAt === null ? { ...lot, firstCutAt: at } : lot
}
