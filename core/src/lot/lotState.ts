import { SCALE_g } from '../quantity/scale'
import type { Allergen } from '../flora/allergens'
import type { Goal, Store } from '../flora/taxon'
import type { Part, Stage } from '../flora/vocabulary'
import type { CutAt } from '../ground/facts'
import type { EaterId, EntryId, LotId, PackId, PatchId } from '../log/entry'
import type { Instant } from '../quantity/instant'

/** All that is known of one lot: the fold of its entries. Plain facts; every verdict on them is a gate's. */
export interface LotState {
  readonly id: LotId
  /** What the cook calls it: two digits of the year and a running number. */
  readonly code: string
  readonly weighedIn: WeighIn | null
  /** Mass in hand now, g. */
  readonly mass_g: number
  /** The plant in it as trimmed raw mass, g: what was lost or taken up as water, and what was put to it, changes nothing of it. */
  readonly plant_g: number
  readonly tells: readonly TellFact[]
  /** When it was first trimmed, cut or heated: tells noted later do not count. */
  readonly firstCutAt: Instant | null
  /** When the first of what cut it was written down: giving the cutting another time makes no later note an earlier one. */
  readonly firstCutNoted: Instant | null
  readonly attestedAt: Instant | null
  /** Who was certain: an eater's id, or the cook who keeps the book. */
  readonly attestedBy: string | null
  /** When it was strained off to a drink. */
  readonly strainedAt: Instant | null
  /** The stand as it was when certainty was attested; null where it was not asked. */
  readonly attestedStand: { readonly mixed: boolean; readonly stemsSeen: number } | null
  readonly strays: {
    readonly reportedAt: Instant | null
    readonly sortedAt: Instant | null
    readonly brokenUp: boolean
    /** Reported and not found again yet: going through the lot must turn up as many. */
    readonly pending: number
  }
  readonly stand: StandFact | null
  /** Tips that were snapped to find where it is tender. */
  readonly snaps: readonly SnapFact[]
  /** Bites along the stand it came from, oldest first. */
  readonly scores: readonly ScoreFact[]
  readonly revived: RevivedFact | null
  readonly sorted: SortFact | null
  /** The worst water that it was washed in: it stays known where the sorting before it is struck out. */
  readonly washedIn: SortFact['wash']
  readonly way: {
    readonly protocol: string
    readonly goal: Goal
    readonly at: Instant
    /** Steps for the tongue that were left out, by their place. */
    readonly without?: readonly number[]
  } | null
  readonly runs: readonly StepRun[]
  readonly baths: readonly BathFact[]
  readonly readings: readonly ReadingFact[]
  readonly samples: readonly SampleFact[]
  readonly added: readonly AddedFact[]
  readonly drained: { readonly mass_g: number; readonly at: Instant } | null
  readonly tastes: readonly TasteFact[]
  readonly packs: readonly PackState[]
  readonly servings: readonly Serving[]
  readonly flows: readonly MassFlow[]
  /** The lots (or packs) that this one came out of; empty for a picking. */
  readonly from: readonly Origin[]
  /** A batch: the lots that were joined in it, as they were then. A batch has no weighing in of its own. */
  readonly joined: readonly JoinedLot[]
  /** The pack that the gates are looking at, where this is one as they see it. */
  readonly asPack: PackId | null
  /** Where it was put, and found to be, oldest first; not put anywhere is the kitchen. */
  readonly placed: readonly PlacedFact[]
  /** What opened its flesh: cut, pounded, juiced or soaked, before any heat. */
  readonly cutUp: readonly CutUpFact[]
  /** The stores that it lay in and came out of again, oldest first. */
  readonly stays: readonly Stay[]
  readonly lastAt: Instant | null
}

/** Where a part of a lot came from. */
export interface Origin {
  readonly lot: LotId
  readonly pack: PackId | null
  readonly mass_g: number
  readonly at: Instant
}

export const PLACES = ['kitchen', 'cold', 'hot'] as const

/** Where a lot was put, and how warm it was found to be there. */
export interface PlacedFact {
  readonly at: Instant
  readonly place: (typeof PLACES)[number]
  /** null: not measured. Then a cold place counts as warm, and so does a hot one. */
  readonly temp_C: number | null
}

export const CUTTINGS = ['cut', 'pounded', 'juiced', 'soaked'] as const

/** Flesh laid open: what grows on it grows from then on. */
export interface CutUpFact {
  readonly at: Instant
  readonly how: (typeof CUTTINGS)[number]
}

/** How warm a store was found to be. */
export interface StoreReading {
  readonly at: Instant
  readonly temp_C: number
}

/** A time in store, from packing to the opening that brought it back into hand. */
export interface Stay {
  readonly pack: PackId
  readonly store: Store
  readonly from: Instant
  readonly until: Instant
  /** When its container was first opened; the same moment where nobody had been at it before. */
  readonly openedAt: Instant
  readonly readings: readonly StoreReading[]
  readonly lotThen: LotState
}

/** One constituent of a batch. */
export interface JoinedLot {
  readonly lotThen: LotState
  readonly mass_g: number
  readonly at: Instant
}

/** One body of water that the lot lay in, from pouring it on to pouring it off. */
export interface BathFact {
  readonly entry: EntryId
  readonly protocol: string
  readonly step: number
  readonly water_mL: number
  /** Of running water, where it was timed. */
  readonly flow_mL_min?: number
  readonly temp_C: number | null
  /** What of the lot lay in it, g. */
  readonly lotMass_g: number
  readonly begunAt: Instant
  /** null while it lies in it. */
  readonly endedAt: Instant | null
}

export const READINGS = ['temp_C', 'ph', 'brix', 'salinity', 'mass_g'] as const
export type ReadingKind = (typeof READINGS)[number]

/** Something measured on the lot, with the instrument. */
export interface ReadingFact {
  readonly at: Instant
  readonly what: ReadingKind
  readonly value: number
  readonly instrument: string
}

export const INGREDIENTS = ['salt', 'sugar', 'vinegar', 'oil', 'water', 'other'] as const
export type Ingredient = (typeof INGREDIENTS)[number]

/** Something put to the lot. */
export interface AddedFact {
  readonly at: Instant
  readonly what: Ingredient
  readonly name: string
  readonly mass_g: number
  /** What of the things that must be told it holds, as the cook said; where that was not asked, what its name tells, if anything. */
  readonly allergens?: readonly Allergen[]
  /** All of the lot with it, g. */
  readonly whole_g: number
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
  /** Pieces that were counted instead of weighed: the mass is an estimate until the lot is sorted and weighed. */
  readonly counted?: number
  /** Minutes that the picking took, where the cook timed it: what a next one is reckoned by. */
  readonly took_min?: number
  /** Where on the stand it was cut, where the cook said so. */
  readonly cutAt?: CutAt
  /** The outing it was brought home from. */
  readonly outing?: string
}

export interface TellFact {
  readonly entry: EntryId
  readonly at: Instant
  readonly noted: Instant
  readonly character: string
  /** `lay-about`: seen, but on the ground and not on the plant. It may have come from the neighbour. */
  readonly answer: 'seen' | 'not-visible' | 'could-not-tell' | 'lay-about'
  readonly states: readonly string[]
}

export interface StandFact {
  readonly at: Instant
  readonly stems: number
  readonly taken: number
  readonly wildlifeLooked: boolean
  readonly wildlifeOn: number
  readonly othersPick: boolean
  /** Stumps of others seen there: they draw on the same share. */
  readonly cutByOthers?: number
  /** All of it one creeping plant, as far as can be told; not asked is not one. */
  readonly clone?: boolean
  readonly dug?: Dug
  readonly school: string | null
}

/** What holes are dug with. */
export const DIG_TOOLS = ['hands', 'digging-stick', 'trowel', 'fork', 'spade'] as const

/** How something was dug: with what, how deep it sat. */
export interface Dug {
  readonly tool: (typeof DIG_TOOLS)[number]
  readonly depth_cm?: number
}

/** One tip bent until it snapped: how long the piece is, how many joints it has, what it weighs. */
export interface SnapFact {
  readonly length_cm: number
  readonly joints?: number
  readonly mass_g?: number
}

/** One plant of a stand: what a bite of it was worth, and how much of the part it can give. */
export interface PlantScore {
  /** How the cook knows it again: "third from the gate". */
  readonly plant: string
  /** 0 to 10: how good it is. */
  readonly liking: number
  readonly gives?: number
  readonly light?: (typeof LIGHTS)[number]
}
export const LIGHTS = ['sun', 'half-shade', 'shade'] as const

export interface ScoreFact extends PlantScore {
  readonly at: Instant
  readonly taster: EaterId
}

export const LOOKS = ['crisp', 'better', 'same', 'worse'] as const

/** Cut greens set in cold water and put away. */
export interface RevivedFact {
  readonly at: Instant
  readonly minutes: number
  /** Wrapped so that they hold their moisture, and into the cold. */
  readonly chilled: boolean
  readonly looks: (typeof LOOKS)[number]
}

export interface SortFact {
  readonly at: Instant
  readonly stageSeen: Stage
  readonly kept_g: number
  readonly trimmed_g: number
  readonly trimmedTo: string
  readonly wash: { readonly water: 'safe' | 'germs' | 'chemicals'; readonly changes: number } | null
}

const WATERS: readonly NonNullable<SortFact['wash']>['water'][] = ['safe', 'germs', 'chemicals']

/** Of two washings the one in the worse water: neither germs nor chemicals come off in a better one. */
export function worseWash(a: SortFact['wash'], b: SortFact['wash']): SortFact['wash'] {
  if (a === null || b === null) return a ?? b
  return WATERS.indexOf(a.water) > WATERS.indexOf(b.water) ? a : b
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
  /** What it went into, where that was noted: a filling of so much, fresh or the water of the load before. */
  readonly water?: LoadWater
  readonly begunAt: Instant
  readonly done: StepDoneFact | null
}

/** The water of one load. */
export interface LoadWater {
  readonly water_mL: number
  /** false: the water that the load before it came out of. */
  readonly fresh: boolean
}

/** A small part of the lot dried until its weight stands: how much of the lot is water. */
export interface SampleFact {
  readonly at: Instant
  readonly wet_g: number
  readonly dry_g: number
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
  /** How much it dries the mouth, 0 to 10. */
  readonly astringent: number
  /** A crumb chewed and spat out, to see whether a leach is done. */
  readonly crumb: boolean
  readonly accepts: boolean
  readonly alarm: Alarm | null
  /** What else was tasted, 0 to 10; what is not told was not asked. */
  readonly notes?: Readonly<Partial<Record<Exclude<PalateNote, 'bitter' | 'astringent'>, number>>>
  /** How harsh it was half a minute later, 0 to 10. */
  readonly aftertaste?: number
}

export type PalateNote = 'bitter' | 'astringent' | 'acrid' | 'sour' | 'salt' | 'sweet' | 'resin'

export interface PackState {
  readonly id: PackId
  readonly at: Instant
  readonly store: Store
  readonly packed_g: number
  readonly mass_g: number
  readonly containers: number
  readonly storeTemp_C: number | null
  /** How warm its store was found to be since. */
  readonly readings: readonly StoreReading[]
  /** When the container that is not full any more was opened; null while every one is closed. */
  readonly openedAt: Instant | null
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
  /** How it went down, of those who said so. */
  readonly heard?: readonly HeardAtTable[]
}

/** How a dish went down with one eater. */
export interface HeardAtTable {
  readonly eater: EaterId
  readonly eaten_g: number
  /** 0 to 10; null where it was not said. */
  readonly liking: number | null
}

export interface Portion {
  readonly eater: EaterId
  readonly mass_g: number
}

/** Mass that left the lot, or (negative) came into it as water. */
export interface MassFlow {
  readonly at: Instant
  readonly what:
    | 'trimmed'
    | 'lost-in-sorting'
    | 'cooking'
    | 'pressing'
    | 'drying'
    | 'straining'
    | 'packed'
    | 'served'
    | 'thrown-away'
    | 'split'
    | 'joined'
    | 'added'

  readonly mass_g: number
  readonly to: string
}

/** Less than this is used up: what a scale rounds away. */
export const USED_UP_g = 0.5

/** A lot of which nothing has been noted yet. */
export function emptyLot(id: LotId): LotState {
  return {
    id,
    code: '',
    weighedIn: null,
    mass_g: 0,
    plant_g: 0,
    tells: [],
    firstCutAt: null,
    firstCutNoted: null,
    attestedAt: null,
    attestedBy: null,
    strainedAt: null,
    attestedStand: null,
    strays: { reportedAt: null, sortedAt: null, brokenUp: false, pending: 0 },
    stand: null,
    snaps: [],
    scores: [],
    revived: null,
    sorted: null,
    washedIn: null,
    way: null,
    runs: [],
    baths: [],
    readings: [],
    samples: [],
    added: [],
    drained: null,
    tastes: [],
    packs: [],
    servings: [],
    flows: [],
    from: [],
    joined: [],
    asPack: null,
    placed: [],
    cutUp: [],
    stays: [],
    lastAt: null,
  }
}

/** Whether anything was ever weighed in, split off or joined under this id; joining what was struck out later joins nothing. */
export function isBegun(lot: LotState): boolean {
  return lot.weighedIn !== null || lot.joined.some(({ mass_g }) => mass_g > 0)
}

/** What went through a step, in the share of a part: what was weighed dry too. */
function shareOf(run: StepRun, share: number): StepRun {
  const { done } = run
  const dry_g = done?.driedTo_g ?? null
  return {
    ...run,
    mass_g: run.mass_g * share,
    lotMass_g: run.lotMass_g * share,
    done: done === null || dry_g === null ? done : { ...done, driedTo_g: dry_g * share },
  }
}

/** A part of a lot under an id of its own: all that is known of the whole holds for the part; what left it and its stores stay behind. */
export function partOf(lot: LotState, id: LotId, code: string, origin: Origin): LotState {
  const { mass_g } = origin
  const share = lot.mass_g > 0 ? mass_g / lot.mass_g : 1
  return {
    ...lot,
    id,
    code,
    mass_g,
    plant_g: lot.plant_g * share,
    // What went through a step went through it in this part too, in its share.
    runs: lot.runs.map((run) => shareOf(run, share)),
    drained: lot.drained === null ? null : { ...lot.drained, mass_g: lot.drained.mass_g * share },
    packs: [],
    servings: [],
    flows: [],
    from: [origin],
  }
}

/** The lot lifted out of the water that it lay in, if it lay in any. */
export function outOfWater(lot: LotState, at: Instant): LotState {
  return lot.baths.some(({ endedAt }) => endedAt === null)
    ? { ...lot, baths: lot.baths.map((bath) => (bath.endedAt === null ? { ...bath, endedAt: at } : bath)) }
    : lot
}

/** When a lot last came out of a store; null where it never was in one. */
export function outOfStoreAt({ stays }: LotState): Instant | null {
  return stays.at(-1)?.until ?? null
}

/** The pickings in a lot, each with its share of the mass: itself, or what a batch was joined from. */
export function strandsOf(lot: LotState): readonly { readonly lot: LotState; readonly share: number }[] {
  if (lot.joined.length === 0) return [{ lot, share: 1 }]
  const whole_g = lot.joined.reduce((sum, { mass_g }) => sum + mass_g, 0)
  return lot.joined.flatMap(({ lotThen, mass_g }) =>
    strandsOf(lotThen).map((strand) => ({
      lot: strand.lot,
      share: whole_g > 0 ? (strand.share * mass_g) / whole_g : 0,
    })),
  )
}

/** The pickings in a lot, each as trimmed raw plant mass, g: what is in hand of it, however much water went or came. */
export function plantsIn(lot: LotState): readonly { readonly lot: LotState; readonly plant_g: number }[] {
  if (lot.joined.length === 0) return [{ lot, plant_g: lot.plant_g }]
  const parts = lot.joined.flatMap(({ lotThen, mass_g }) =>
    plantsIn(lotThen).map(({ lot: strand, plant_g }) => ({
      lot: strand,
      plant_g: lotThen.mass_g > 0 ? (plant_g * mass_g) / lotThen.mass_g : 0,
    })),
  )
  const joined_g = parts.reduce((sum, { plant_g }) => sum + plant_g, 0)
  return parts.map((part) => ({ ...part, plant_g: joined_g > 0 ? (part.plant_g * lot.plant_g) / joined_g : 0 }))
}

/**
 * A lot that has come to be, with what was said of it before: by a clock that was behind, or by an entry dated again. What warns is
 * never lost: strays, wrong tastes, and tells that may contradict.
 */
export function withWarnings(born: LotState, early: LotState | undefined): LotState {
  if (early === undefined) return born
  const reports = [born.strays.reportedAt, early.strays.reportedAt].filter((at) => at !== null).sort()
  return {
    ...born,
    tells: [...early.tells, ...born.tells],
    tastes: [...early.tastes.filter(({ alarm }) => alarm !== null), ...born.tastes],
    strays: {
      reportedAt: reports.at(-1) ?? null,
      sortedAt: born.strays.sortedAt,
      brokenUp: born.strays.brokenUp || early.strays.brokenUp,
      pending: born.strays.pending + early.strays.pending,
    },
  }
}

/** What a lot began with, g: as picked, as split off, or as joined. */
export function beganWith_g(lot: LotState): number {
  if (lot.from.length > 0) return lot.from.reduce((sum, { mass_g }) => sum + mass_g, 0)
  return lot.weighedIn?.mass_g ?? 0
}

/** Whether nothing has been weighed of it yet: it was counted when it was picked, and is all of one picking. */
export function isOnlyCounted({ weighedIn, sorted, from }: LotState): boolean {
  return weighedIn?.counted !== undefined && sorted === null && from.length === 0
}

/** Flows of water, and of what was put to it: the plant in it stays. */
const WATER_FLOWS: readonly MassFlow['what'][] = ['cooking', 'pressing', 'drying', 'straining', 'added']

/** A flow of mass out of the lot; what is in hand goes down by as much, never below nothing. */
export function withFlow(lot: LotState, flow: MassFlow): LotState {
  const mass_g = Math.max(0, lot.mass_g - flow.mass_g)
  const taken = lot.mass_g > 0 ? Math.min(1, flow.mass_g / lot.mass_g) : 0
  const plant_g = WATER_FLOWS.includes(flow.what) ? lot.plant_g : lot.plant_g * (1 - taken)
  // The last of it, weighed out a little more than there was by the scale's rounding, is what there was.
  const rounded = flow.mass_g > lot.mass_g && flow.mass_g <= lot.mass_g + SCALE_g
  return { ...lot, mass_g, plant_g, flows: [...lot.flows, rounded ? { ...flow, mass_g: lot.mass_g } : flow] }
}

/** The first cutting happens once; it is known since the first of all cuttings was written down. */
export function withFirstCut(
  lot: LotState,
  { at, noted }: { readonly at: Instant; readonly noted: Instant },
): LotState {
  const { firstCutAt, firstCutNoted } = lot
  if (firstCutAt !== null && firstCutNoted !== null && firstCutNoted <= noted) return lot
  return {
    ...lot,
    firstCutAt: firstCutAt ?? at,
    firstCutNoted: firstCutNoted === null || noted < firstCutNoted ? noted : firstCutNoted,
  }
}
