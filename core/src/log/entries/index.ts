import type { HouseState } from '../houseState'
import type { LotState } from '../../lot/lotState'
import { certainAttested, type CertainAttested } from './certainAttested'
import { eaterNoted, type EaterNoted } from './eaterNoted'
import { groundNoted, type GroundNoted } from './groundNoted'
import { kitchenSet, type KitchenSet } from './kitchenSet'
import { packed, type Packed } from './packed'
import { plantMet, type PlantMet } from './plantMet'
import { served, type Served } from './served'
import { sorted, type Sorted } from './sorted'
import { standCounted, type StandCounted } from './standCounted'
import { stepBegun, type StepBegun } from './stepBegun'
import { stepDone, type StepDone } from './stepDone'
import { strayReported, type StrayReported } from './strayReported'
import { straysSorted, type StraysSorted } from './straysSorted'
import type { Struck } from './struck'
import { tasted, type Tasted } from './tasted'
import { tellSeen, type TellSeen } from './tellSeen'
import { thrownAway, type ThrownAway } from './thrownAway'
import { wayChosen, type WayChosen } from './wayChosen'
import { weighed, type Weighed } from './weighed'
import { weighedIn, type WeighedIn } from './weighedIn'

/** Entries about the whole household: folded in one shard. */
export type HouseEntry = KitchenSet | GroundNoted | EaterNoted | PlantMet

/** Entries about one lot: each lot is a shard of its own. */
export type LotEntry =
  | WeighedIn | TellSeen | CertainAttested | StrayReported | StraysSorted | StandCounted | Sorted | WayChosen | StepBegun
  | StepDone | Weighed | Tasted | Packed | Served | ThrownAway // prettier-ignore

export type Entry = HouseEntry | LotEntry | Struck
export type EntryType = Entry['type']

const HOUSE_DEFS = {
  'kitchen-set': kitchenSet,
  'ground-noted': groundNoted,
  'eater-noted': eaterNoted,
  'plant-met': plantMet,
}

const LOT_DEFS = {
  'weighed-in': weighedIn,
  'tell-seen': tellSeen,
  'certain-attested': certainAttested,
  'stray-reported': strayReported,
  'strays-sorted': straysSorted,
  'stand-counted': standCounted,
  sorted,
  'way-chosen': wayChosen,
  'step-begun': stepBegun,
  'step-done': stepDone,
  weighed,
  tasted,
  packed,
  served,
  'thrown-away': thrownAway,
}

/** Whether an entry belongs to a lot's shard. */
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
  return { ...def.apply(lot, entry), lastAt: entry.at }
}
