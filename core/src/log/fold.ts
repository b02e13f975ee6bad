import { emptyLot, type LotState } from '../lot/lotState'
import {
  applyHouse,
  applyLineage,
  applyLot,
  isHouseEntry,
  isLineageEntry,
  isLotEntry,
  lotsTouched,
  type Entry,
  type HouseEntry,
} from './entries'
import type { EntryId, LotId } from './entry'
import { EMPTY_HOUSE, type HouseState } from './houseState'

/** All that is computed from a log before any judging. */
export interface BookState {
  readonly house: HouseState
  readonly lots: ReadonlyMap<LotId, LotState>
  /** Lots connected by splitting, joining or opening, for those that are; each list is shared by its members. */
  readonly families: ReadonlyMap<LotId, readonly LotId[]>
}

/** A log sharded by family of lots, with the state of each shard. Adding entries folds only the shards they touch. */
export interface BookLog {
  readonly entries: ReadonlyMap<EntryId, Entry>
  readonly struck: ReadonlySet<EntryId>
  /** Strike-outs by what they strike. */
  readonly strikers: ReadonlyMap<EntryId, readonly EntryId[]>
  /** Entries of each shard, in order. */
  readonly shards: ReadonlyMap<ShardId, readonly Entry[]>
  readonly state: BookState
}

/** `house`, or the least id of the family's lots. */
type ShardId = string
const HOUSE = 'house'

export const EMPTY_LOG: BookLog = {
  entries: new Map(),
  struck: new Set(),
  strikers: new Map(),
  shards: new Map(),
  state: { house: EMPTY_HOUSE, lots: new Map(), families: new Map() },
}

/** The order of a log: by when it happened, then by id. Merging devices cannot change it. */
export function compareEntries(a: Entry, b: Entry): number {
  return a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0
}

/**
 * The log with entries added; one already there by its id is left as it is, so adding is idempotent, and the order of adding
 * does not matter. Only touched shards are folded again.
 */
export function addEntries(log: BookLog, added: readonly Entry[]): BookLog {
  const fresh = [...new Map(added.map((entry) => [entry.id, entry])).values()].filter(({ id }) => !log.entries.has(id))
  if (fresh.length === 0) return log
  const entries = new Map(log.entries)
  for (const entry of fresh) entries.set(entry.id, entry)
  const strikers = addStrikers(log.strikers, fresh)
  const struck = struckIds(entries, strikers)
  const changedByStrikes = [...struck, ...log.struck].filter((id) => struck.has(id) !== log.struck.has(id))
  const families = joinFamilies(log.state.families, fresh)
  const shards = new Map(log.shards)
  mergeShards(shards, log.state.families, families, fresh)
  const grown = new Map<ShardId, Entry[]>()
  for (const entry of fresh) {
    const shard = shardOf(entry, families)
    const more = grown.get(shard)
    if (more === undefined) grown.set(shard, [entry])
    else more.push(entry)
  }
  for (const [shard, more] of grown) shards.set(shard, withMore(shards.get(shard) ?? [], more))
  const touched = new Set(grown.keys())
  for (const id of changedByStrikes) {
    const entry = entries.get(id)
    if (entry !== undefined) touched.add(shardOf(entry, families))
  }
  return { entries, struck, strikers, shards, state: foldShards(log.state, families, shards, struck, touched) }
}

/** A log folded from scratch. */
export function foldLog(entries: readonly Entry[]): BookLog {
  return addEntries(EMPTY_LOG, entries)
}

/** All entries in the order of the log, struck ones included. */
export function inOrder(log: BookLog): readonly Entry[] {
  return [...log.entries.values()].sort(compareEntries)
}

/** Entries of a shard with some more, in order; those that come last are put there without sorting the rest again. */
function withMore(ordered: readonly Entry[], more: readonly Entry[]): readonly Entry[] {
  const sorted = more.toSorted(compareEntries)
  const last = ordered.at(-1)
  const first = sorted[0]
  const all = [...ordered, ...sorted]
  return last === undefined || first === undefined || compareEntries(last, first) < 0 ? all : all.sort(compareEntries)
}

function shardOf(entry: Entry, families: BookState['families']): ShardId {
  const [lot] = lotsTouched(entry)
  return lot === undefined ? HOUSE : lotShard(lot, families)
}

function lotShard(lot: LotId, families: BookState['families']): ShardId {
  return `lot:${families.get(lot)?.[0] ?? lot}`
}

/** Families with the lots of fresh lineage entries put together; a struck one still holds its family, which changes nothing but cost. */
function joinFamilies(before: BookState['families'], fresh: readonly Entry[]): BookState['families'] {
  const lineage = fresh.filter(isLineageEntry)
  if (lineage.length === 0) return before
  const families = new Map(before)
  for (const entry of lineage) {
    const members = [...new Set(lotsTouched(entry).flatMap((lot) => families.get(lot) ?? [lot]))].sort()
    for (const lot of members) families.set(lot, members)
  }
  return families
}

/** Shards whose families have become one go together. */
function mergeShards(
  shards: Map<ShardId, readonly Entry[]>,
  before: BookState['families'],
  after: BookState['families'],
  fresh: readonly Entry[],
): void {
  if (before === after) return
  const members = new Set(fresh.filter(isLineageEntry).flatMap((entry) => after.get(lotsTouched(entry)[0] ?? '') ?? []))
  for (const lot of members) {
    const was = lotShard(lot, before)
    const is = lotShard(lot, after)
    const moved = was === is ? undefined : shards.get(was)
    if (moved === undefined) continue
    shards.delete(was)
    shards.set(is, [...(shards.get(is) ?? []), ...moved].sort(compareEntries))
  }
}

function foldShards(
  before: BookState,
  families: BookState['families'],
  shards: BookLog['shards'],
  struck: ReadonlySet<EntryId>,
  touched: ReadonlySet<ShardId>,
): BookState {
  const lots = new Map(before.lots)
  let house = before.house
  for (const shard of touched) {
    const standing = (shards.get(shard) ?? []).filter((entry) => !struck.has(entry.id))
    if (shard === HOUSE)
      house = standing
        .filter(isHouseEntry)
        .reduce<HouseState>((state, entry: HouseEntry) => applyHouse(state, entry), EMPTY_HOUSE)
    else foldFamily(lots, shards.get(shard) ?? [], standing)
  }
  return { house, lots, families }
}

function foldFamily(lots: Map<LotId, LotState>, all: readonly Entry[], standing: readonly Entry[]): void {
  const family = new Map<LotId, LotState>()
  for (const entry of standing) {
    if (isLotEntry(entry)) family.set(entry.lot, applyLot(family.get(entry.lot) ?? emptyLot(entry.lot), entry))
    else if (isLineageEntry(entry)) applyLineage(family, entry)
  }
  for (const lot of new Set(all.flatMap(lotsTouched))) {
    const state = family.get(lot)
    if (state === undefined) lots.delete(lot)
    else lots.set(lot, state)
  }
}

function addStrikers(before: BookLog['strikers'], fresh: readonly Entry[]): BookLog['strikers'] {
  const strikes = fresh.filter((entry) => entry.type === 'struck')
  if (strikes.length === 0) return before
  const strikers = new Map(before)
  for (const { entry, id } of strikes) strikers.set(entry, [...(strikers.get(entry) ?? []), id].sort())
  return strikers
}

/**
 * The entries taken out of account: those named by a strike-out that itself stands. Striking out a strike-out restores.
 * A ring of strike-outs, which only a forged file can hold, takes nothing out.
 */
function struckIds(entries: ReadonlyMap<EntryId, Entry>, strikers: BookLog['strikers']): ReadonlySet<EntryId> {
  const known = new Map<EntryId, boolean>()
  const isStruck = (id: EntryId, path: ReadonlySet<EntryId>): boolean => {
    const settled = known.get(id)
    if (settled !== undefined) return settled
    if (path.has(id)) return false
    const inside = new Set([...path, id])
    const result = (strikers.get(id) ?? []).some((striker) => !inside.has(striker) && !isStruck(striker, inside))
    known.set(id, result)
    return result
  }
  return new Set([...strikers.keys()].filter((id) => entries.has(id) && isStruck(id, new Set())))
}
