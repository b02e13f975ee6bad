import type { HouseState } from '../houseState'
import type { LotState } from '../../lot/lotState'
import type { Instant } from '../../quantity/instant'
import type { LotId } from '../entry'
import { bathChanged, type BathChanged } from './bathChanged'
import { cutUp, type CutUp } from './cutUp'
import { claimNoted, type ClaimNoted } from './claimNoted'
import { certainAttested, type CertainAttested } from './certainAttested'
import { eaterNoted, type EaterNoted } from './eaterNoted'
import { feltIll, type FeltIll } from './feltIll'
import { figureNoted, type FigureNoted } from './figureNoted'
import { foodTurned, type FoodTurned } from './foodTurned'
import { gaveBack, type GaveBack } from './gaveBack'
import { groundNoted, type GroundNoted } from './groundNoted'
import { illExplained, type IllExplained } from './illExplained'
import { ingredientAdded, type IngredientAdded } from './ingredientAdded'
import { instrumentSetRight, type InstrumentSetRight } from './instrumentSetRight'
import { joined, type Joined } from './joined'
import { kitchenSet, type KitchenSet } from './kitchenSet'
import { numbersNoted, type NumbersNoted } from './numbersNoted'
import { opened, type Opened } from './opened'
import { outingPlanned, type OutingPlanned } from './outingPlanned'
import { packed, type Packed } from './packed'
import { patchTurned, type PatchTurned } from './patchTurned'
import { placed, type Placed } from './placed'
import { plantMet, type PlantMet } from './plantMet'
import { plantRecorded, type PlantRecorded } from './plantRecorded'
import { plantsScored, type PlantsScored } from './plantsScored'
import { readingTaken, type ReadingTaken } from './readingTaken'
import type { Redated } from './redated'
import { revived, type Revived } from './revived'
import { sampleDried, type SampleDried } from './sampleDried'
import { served, type Served } from './served'
import { sorted, type Sorted } from './sorted'
import { snapped, type Snapped } from './snapped'
import { split, type Split } from './split'
import { standCounted, type StandCounted } from './standCounted'
import { standSetAside, type StandSetAside } from './standSetAside'
import { stepBegun, type StepBegun } from './stepBegun'
import { stepDone, type StepDone } from './stepDone'
import { strayReported, type StrayReported } from './strayReported'
import { storeRead, type StoreRead } from './storeRead'
import { straysSorted, type StraysSorted } from './straysSorted'
import { stopNoted, type StopNoted } from './stopNoted'
import type { Struck } from './struck'
import { tableNoted, type TableNoted } from './tableNoted'
import { tasted, type Tasted } from './tasted'
import { tellSeen, type TellSeen } from './tellSeen'
import { thrownAway, type ThrownAway } from './thrownAway'
import { trialSet, type TrialSet } from './trialSet'
import { washed, type Washed } from './washed'
import { wayChosen, type WayChosen } from './wayChosen'
import { weighed, type Weighed } from './weighed'
import { weighedIn, type WeighedIn } from './weighedIn'

/** Entries about the whole household: folded in one shard. */
export type HouseEntry =
  | KitchenSet | GroundNoted | EaterNoted | PlantMet | PlantRecorded | OutingPlanned | GaveBack | StandSetAside | StopNoted | PatchTurned | FoodTurned | FeltIll
  | IllExplained | NumbersNoted | InstrumentSetRight | TrialSet | FigureNoted | ClaimNoted // prettier-ignore

/** Entries about one lot: each lot is a shard of its own. */
export type LotEntry =
  | WeighedIn | TellSeen | CertainAttested | StrayReported | StraysSorted | StandCounted | Snapped | Sorted | WayChosen | StepBegun
  | Revived | StepDone | BathChanged | ReadingTaken | IngredientAdded | Weighed | Tasted | Packed | Served | ThrownAway
  | PlantsScored | TableNoted | Washed | Placed | CutUp | StoreRead | SampleDried // prettier-ignore

/** Entries that pass mass from lots to lots: the lots they touch are one family, folded together. */
export type LineageEntry = Split | Joined | Opened

export type Entry = HouseEntry | LotEntry | LineageEntry | Struck | Redated
export type EntryType = Entry['type']

const HOUSE_DEFS = {
  'kitchen-set': kitchenSet,
  'ground-noted': groundNoted,
  'eater-noted': eaterNoted,
  'plant-met': plantMet,
  'plant-recorded': plantRecorded,
  'outing-planned': outingPlanned,
  'gave-back': gaveBack,
  'stand-set-aside': standSetAside,
  'stop-noted': stopNoted,
  'patch-turned': patchTurned,
  'food-turned': foodTurned,
  'felt-ill': feltIll,
  'ill-explained': illExplained,
  'numbers-noted': numbersNoted,
  'instrument-set-right': instrumentSetRight,
  'trial-set': trialSet,
  'figure-noted': figureNoted,
  'claim-noted': claimNoted,
}

const LOT_DEFS = {
  'weighed-in': weighedIn,
  'tell-seen': tellSeen,
  'certain-attested': certainAttested,
  'stray-reported': strayReported,
  'strays-sorted': straysSorted,
  'stand-counted': standCounted,
  snapped,
  'plants-scored': plantsScored,
  revived,
  placed,
  'cut-up': cutUp,
  'store-read': storeRead,
  'sample-dried': sampleDried,
  sorted,
  washed,
  'way-chosen': wayChosen,
  'step-begun': stepBegun,
  'step-done': stepDone,
  'bath-changed': bathChanged,
  'reading-taken': readingTaken,
  'ingredient-added': ingredientAdded,
  weighed,
  tasted,
  packed,
  served,
  'table-noted': tableNoted,
  'thrown-away': thrownAway,
}

const LINEAGE_DEFS = { split, joined, opened }

/** Whether an entry passes mass from lots to lots. */
export function isLineageEntry(entry: Entry): entry is LineageEntry {
  return Object.hasOwn(LINEAGE_DEFS, entry.type)
}

/** The lots that an entry reads or changes; none for an entry about the household. */
export function lotsTouched(entry: Entry): readonly LotId[] {
  if (isLotEntry(entry)) return [entry.lot]
  if (!isLineageEntry(entry)) return []
  const def = LINEAGE_DEFS[entry.type] as { touches: (entry: LineageEntry) => readonly LotId[] }
  return def.touches(entry)
}

/** What a lineage entry does to the lots of its family. */
export function applyLineage(lots: Map<LotId, LotState>, entry: LineageEntry): void {
  const def = LINEAGE_DEFS[entry.type] as { apply: (lots: Map<LotId, LotState>, entry: LineageEntry) => void }
  def.apply(lots, entry)
}

/** Whether an entry is about one lot. */
export function isLotEntry(entry: Entry): entry is LotEntry {
  return Object.hasOwn(LOT_DEFS, entry.type)
}

/** Whether an entry belongs to the household's shard. */
export function isHouseEntry(entry: Entry): entry is HouseEntry {
  return Object.hasOwn(HOUSE_DEFS, entry.type)
}

/** What a household entry does. */
export function applyHouse(house: HouseState, entry: HouseEntry): HouseState {
  const def = HOUSE_DEFS[entry.type] as { apply: (state: HouseState, entry: HouseEntry) => HouseState }
  return def.apply(house, entry)
}

/** What a lot entry does. */
export function applyLot(lot: LotState, entry: LotEntry): LotState {
  const def = LOT_DEFS[entry.type] as { apply: (state: LotState, entry: LotEntry) => LotState }
  const next: LotState & { lastAt: Instant | null } = def.apply(lot, entry)
  if (next === lot) return { ...lot, lastAt: entry.at }
  // It was made just now and nobody else holds it: a hundred thousand copies are spared.
  next.lastAt = entry.at
  return next
}
