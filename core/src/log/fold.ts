import { emptyLot, type LotState } from '../lot/lotState'
import { applyHouse, applyLot, isHouseEntry, isLotEntry, type Entry, type HouseEntry, type LotEntry } from './entries'
import type { EntryId, LotId } from './entry'
import { EMPTY_HOUSE, type HouseState } from './houseState'

/** All that is computed from a log before any judging. */
export interface BookState {
  readonly house: HouseState
  readonly lots: ReadonlyMap<LotId, LotState>
}

/** A log sharded by lot, with the state of each shard. Adding entries folds only the shards they touch. */
export interface BookLog {
  readonly entries: ReadonlyMap<EntryId, Entry>
  readonly struck: ReadonlySet<EntryId>
  readonly shards: ReadonlyMap<string, readonly Entry[]>
  readonly state: BookState
}

const HOUSE = 'house'

export const EMPTY_LOG: BookLog = {
  entries: new Map(),
  struck: new Set(),
  shards: new Map(),
  state: { house: EMPTY_HOUSE, lots: new Map() },
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
  const struck = struckIds(entries)
  const changedByStrikes = [...struck, ...log.struck].filter((id) => struck.has(id) !== log.struck.has(id))
  const touched = new Set([...fresh, ...changedByStrikes.map((id) => entries.get(id))].map(shardOf))
  const shards = new Map(log.shards)
  const grown = new Map<string, Entry[]>()
  for (const entry of fresh) {
    const shard = shardOf(entry)
    const more = grown.get(shard)
    if (more === undefined) grown.set(shard, [entry])
    else more.push(entry)
  }
  for (const [shard, more] of grown) shards.set(shard, [...(shards.get(shard) ?? []), ...more].sort(compareEntries))
  return { entries, struck, shards, state: foldShards(log.state, shards, struck, touched) }
}

/** A log folded from scratch. */
export function foldLog(entries: readonly Entry[]): BookLog {
  return addEntries(EMPTY_LOG, entries)
}

/** All entries in the order of the log, struck ones included. */
export function inOrder(log: BookLog): readonly Entry[] {
  return [...log.entries.values()].sort(compareEntries)
}

function shardOf(entry: Entry | undefined): string {
  return entry !== undefined && isLotEntry(entry) ? `lot:${entry.lot}` : HOUSE
}

function foldShards(
  before: BookState,
  shards: BookLog['shards'],
  struck: ReadonlySet<EntryId>,
  touched: ReadonlySet<string>,
): BookState {
  const lots = new Map(before.lots)
  let house = before.house
  for (const shard of touched) {
    const standing = (shards.get(shard) ?? []).filter((entry) => !struck.has(entry.id))
    if (shard === HOUSE)
      house = standing
        .filter(isHouseEntry)
        .reduce<HouseState>((state, entry: HouseEntry) => applyHouse(state, entry), EMPTY_HOUSE)
    else foldLot(lots, shard.slice('lot:'.length), standing.filter(isLotEntry))
  }
  return { house, lots }
}

function foldLot(lots: Map<LotId, LotState>, id: LotId, standing: readonly LotEntry[]): void {
  if (standing.length === 0) lots.delete(id)
  else
    lots.set(
      id,
      standing.reduce<LotState>((lot, entry) => applyLot(lot, entry), emptyLot(id)),
    )
}

/**
 * The entries taken out of account: those named by a strike-out that itself stands. Striking out a strike-out restores.
 * A ring of strike-outs, which only a forged file can hold, takes nothing out.
 */
export function struckIds(entries: ReadonlyMap<EntryId, Entry>): ReadonlySet<EntryId> {
  const strikersOf = new Map<EntryId, EntryId[]>()
  for (const entry of entries.values()) {
    if (entry.type !== 'struck') continue
    strikersOf.set(entry.entry, [...(strikersOf.get(entry.entry) ?? []), entry.id])
  }
  const known = new Map<EntryId, boolean>()
  const isStruck = (id: EntryId, path: ReadonlySet<EntryId>): boolean => {
    const settled = known.get(id)
    if (settled !== undefined) return settled
    if (path.has(id)) return false
    const inside = new Set([...path, id])
    const result = (strikersOf.get(id) ?? []).some((striker) => !inside.has(striker) && !isStruck(striker, inside))
    known.set(id, result)
    return result
  }
  return new Set([...strikersOf.keys()].filter((id) => entries.has(id) && isStruck(id, new Set())))
}
