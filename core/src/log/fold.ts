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
} from './entries'
import { amend, asDated, NO_AMENDMENTS, type Amendments } from './amendments'
import type { EntryId, LotId } from './entry'
import { EntryIndex } from './entryIndex'
import { EMPTY_HOUSE, type HouseState } from './houseState'
import { sharedWith } from './sharedWith'

/** All that is computed from a log before any judging. */
export interface BookState {
  readonly house: HouseState
  readonly lots: ReadonlyMap<LotId, LotState>
  /** Lots connected by splitting, joining or opening, for those that are; each list is shared by its members. */
  readonly families: ReadonlyMap<LotId, readonly LotId[]>
}

/** A log sharded by family of lots, with the state of each shard. Adding entries folds only the shards they touch. */
export interface BookLog {
  /** The entries as they were written. */
  readonly entries: EntryIndex
  readonly amendments: Amendments
  /** All entries as they happened, in order: re-dated ones at their own moment, struck ones included. */
  readonly order: readonly Entry[]
  /** Entries of each shard as they happened, in order. */
  readonly shards: ReadonlyMap<ShardId, readonly Entry[]>
  /** The household after every so many of its entries: dated back, it is folded again only from there on. */
  readonly checkpoints: readonly HouseState[]
  readonly state: BookState
}

/** The least id of the family's lots; of the household the empty text, which no lot has for a name. */
type ShardId = string
const HOUSE: ShardId = ''

export const EMPTY_LOG: BookLog = {
  entries: EntryIndex.EMPTY,
  amendments: NO_AMENDMENTS,
  order: [],
  shards: new Map(),
  checkpoints: [],
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
  const { fresh, index: entries } = log.entries.withNew(added)
  if (fresh.length === 0) return log
  const amendments = amend(log.amendments, fresh, entries)
  const { struck } = amendments
  const amended = amendedEntries(log, amendments)
  const { families, joined } = joinFamilies(log.state.families, fresh)
  const shards = new Map(log.shards)
  mergeShards(shards, joined, log.state.families, families)
  const gone = amended.moved.map(({ was }) => was)
  const dated = amendments.moments.size === 0 ? fresh : fresh.map((entry) => asDated(entry, amendments))
  // Put in order once: what goes into each shard is then in order too.
  const come = inTime(amended.moved.length === 0 ? dated : [...dated, ...amended.moved.map(({ is }) => is)])
  const grown = byShard(come, families)
  for (const [shard, left] of byShard(gone, families)) shards.set(shard, without(at(shards, shard), left))
  for (const [shard, more] of grown) shards.set(shard, withMore(at(shards, shard), more))
  const touched = new Set([...grown.keys(), ...amended.turned.map((entry) => shardOf(entry, families))])
  const turned = [...touched].filter((shard) => shard !== HOUSE)
  const lots = new Map(turned.length === 0 ? [] : log.state.lots)
  for (const shard of turned) foldShard(lots, shard, families.get(shard), at(shards, shard), struck)
  const household = touched.has(HOUSE)
    ? foldHouse(log, at(shards, HOUSE), struck, [...at(grown, HOUSE), ...amended.turned, ...gone])
    : { house: log.state.house, checkpoints: log.checkpoints }
  return {
    entries,
    amendments,
    order: withMore(without(log.order, gone), come),
    shards,
    checkpoints: household.checkpoints,
    // The same map where no lot was touched: what was reckoned from it still holds.
    state: { house: household.house, lots: turned.length === 0 ? log.state.lots : lots, families },
  }
}

/** The entries of a shard; none where there is none. */
function at(shards: ReadonlyMap<ShardId, readonly Entry[]>, shard: ShardId): readonly Entry[] {
  return shards.get(shard) ?? []
}

function byShard(entries: readonly Entry[], families: BookState['families']): ReadonlyMap<ShardId, readonly Entry[]> {
  const shards = new Map<ShardId, Entry[]>()
  let lotBefore: LotId | undefined
  let there: Entry[] = []
  for (const entry of entries) {
    const lot = isLotEntry(entry) ? entry.lot : undefined
    // Entries of one lot mostly follow each other, and looking up a shard costs more than all else here.
    if (lot === undefined || lot !== lotBefore) {
      const shard = lot === undefined ? shardOf(entry, families) : lotShard(lot, families)
      there = shards.get(shard) ?? []
      if (there.length === 0) shards.set(shard, there)
    }
    lotBefore = lot
    there.push(entry)
  }
  return shards
}

interface Amended {
  /** Entries that count no longer, or again. */
  readonly turned: readonly Entry[]
  /** Entries that happened at another moment than was known. */
  readonly moved: readonly { readonly was: Entry; readonly is: Entry }[]
}

/** What amendments change about the entries that were in the log before them. */
function amendedEntries(log: BookLog, after: Amendments): Amended {
  const before = log.amendments
  const moved = [...new Set([...before.moments.keys(), ...after.moments.keys()])].flatMap((id) => {
    const entry = before.moments.get(id) === after.moments.get(id) ? undefined : log.entries.get(id)
    if (entry === undefined) return []
    return [{ was: asDated(entry, before), is: asDated(entry, after) }]
  })
  const turned = [...after.struck, ...before.struck]
    .filter((id) => after.struck.has(id) !== before.struck.has(id))
    .flatMap((id) => {
      const entry = log.entries.get(id)
      return entry === undefined ? [] : [asDated(entry, after)]
    })
  return { turned, moved }
}

/** A log folded from scratch. */
export function foldLog(entries: readonly Entry[]): BookLog {
  return addEntries(EMPTY_LOG, entries)
}

/** All entries as they were written, in the order of what they say, struck ones included: what goes to a file. */
export function inOrder(log: BookLog): readonly Entry[] {
  return log.amendments.moments.size === 0 ? log.order : [...log.entries.values()].sort(compareEntries)
}

/** Entries in order without some of them. */
function without(ordered: readonly Entry[], gone: readonly Entry[]): readonly Entry[] {
  return gone.reduce((left, entry) => left.toSpliced(positionOf(entry, left), 1), ordered)
}

/** So few are put in their places one by one; more are merged in one pass. */
const FEW = 50

/** Entries in the order of the log: mostly they come so, and looking costs a fraction of what sorting them again does. */
function inTime(entries: readonly Entry[]): readonly Entry[] {
  let before = entries[0]
  for (const entry of entries) {
    if (before !== undefined && compareEntries(before, entry) > 0) return entries.toSorted(compareEntries)
    before = entry
  }
  return entries
}

/** Entries in order with some more, in order too, in their places. */
function withMore(ordered: readonly Entry[], more: readonly Entry[]): readonly Entry[] {
  if (ordered.length === 0) return more
  if (more.length <= FEW) {
    const all = ordered.slice()
    for (const entry of more) all.splice(positionOf(entry, all), 0, entry)
    return all
  }
  const all: Entry[] = []
  let next = 0
  for (const entry of more) {
    for (let there = ordered[next]; there !== undefined && compareEntries(there, entry) < 0; there = ordered[next]) {
      all.push(there)
      next += 1
    }
    all.push(entry)
  }
  return all.concat(ordered.slice(next))
}

function shardOf(entry: Entry, families: BookState['families']): ShardId {
  if (isLotEntry(entry)) return lotShard(entry.lot, families)
  const [lot] = lotsTouched(entry)
  return lot === undefined ? HOUSE : lotShard(lot, families)
}

function lotShard(lot: LotId, families: BookState['families']): ShardId {
  return families.get(lot)?.[0] ?? lot
}

/** Families with the lots of fresh lineage entries put together; a struck one still holds its family, which changes nothing but cost. */
function joinFamilies(
  before: BookState['families'],
  fresh: readonly Entry[],
): { readonly families: BookState['families']; readonly joined: ReadonlySet<LotId> } {
  const lineage = fresh.filter(isLineageEntry)
  const joined = new Set<LotId>()
  if (lineage.length === 0) return { families: before, joined }
  const families = new Map(before)
  for (const entry of lineage) {
    const members = [...new Set(lotsTouched(entry).flatMap((lot) => families.get(lot) ?? [lot]))].sort()
    for (const lot of members) {
      families.set(lot, members)
      joined.add(lot)
    }
  }
  return { families, joined }
}

/** Shards whose families have become one go together. */
function mergeShards(
  shards: Map<ShardId, readonly Entry[]>,
  joined: ReadonlySet<LotId>,
  before: BookState['families'],
  after: BookState['families'],
): void {
  for (const lot of joined) {
    const was = lotShard(lot, before)
    const moved = at(shards, was)
    shards.delete(was)
    const is = lotShard(lot, after)
    shards.set(is, [...at(shards, is), ...moved].sort(compareEntries))
  }
}

/** A checkpoint every so many entries of the household. */
const CHECKPOINT_EVERY = 200

/** The household, folded on from the last checkpoint before the first of its entries that changed. */
function foldHouse(
  log: BookLog,
  shard: readonly Entry[],
  struck: ReadonlySet<EntryId>,
  changed: readonly Entry[],
): { readonly house: HouseState; readonly checkpoints: readonly HouseState[] } {
  const [first] = changed.filter(isHouseEntry).toSorted(compareEntries)
  if (first === undefined) return { house: log.state.house, checkpoints: log.checkpoints }
  const from = positionOf(first, shard)
  // What comes at the end is folded on from the end.
  const isNext = from === at(log.shards, HOUSE).length
  const kept = isNext ? log.checkpoints : log.checkpoints.slice(0, Math.floor(from / CHECKPOINT_EVERY))
  const checkpoints = [...kept]
  let house = isNext ? log.state.house : (kept.at(-1) ?? EMPTY_HOUSE)
  for (let index = isNext ? from : kept.length * CHECKPOINT_EVERY; index < shard.length; index += 1) {
    const entry = shard[index]
    if (entry !== undefined && isHouseEntry(entry) && !struck.has(entry.id)) house = applyHouse(house, entry)
    if ((index + 1) % CHECKPOINT_EVERY === 0) checkpoints.push(house)
  }
  return { house: isNext ? house : sharedWith(log.state.house, house), checkpoints }
}

/** Where an entry stands in a shard, by halving. */
function positionOf(entry: Entry, shard: readonly Entry[]): number {
  let low = 0
  let high = shard.length
  while (low < high) {
    const middle = (low + high) >> 1
    const there = shard[middle]
    if (there !== undefined && compareEntries(there, entry) < 0) low = middle + 1
    else high = middle
  }
  return low
}

/** The lots of a shard folded anew; a lot that no entry speaks of any longer is gone. */
function foldShard(
  lots: Map<LotId, LotState>,
  id: ShardId,
  family: readonly LotId[] | undefined,
  shard: readonly Entry[],
  struck: ReadonlySet<EntryId>,
): void {
  const folded = family === undefined ? undefined : foldFamily(shard, struck)
  for (const lot of family ?? [id]) {
    const state = folded === undefined ? foldLot(lot, shard, struck) : folded.get(lot)
    if (state === undefined) lots.delete(lot)
    else lots.set(lot, state)
  }
}

function foldFamily(shard: readonly Entry[], struck: ReadonlySet<EntryId>): ReadonlyMap<LotId, LotState> {
  const family = new Map<LotId, LotState>()
  for (const entry of shard) {
    if (struck.has(entry.id)) continue
    if (isLotEntry(entry)) family.set(entry.lot, applyLot(family.get(entry.lot) ?? emptyLot(entry.lot), entry))
    else if (isLineageEntry(entry)) applyLineage(family, entry)
  }
  return family
}

/** A lot without family, as most are: folded without looking it up at every entry. */
function foldLot(id: LotId, shard: readonly Entry[], struck: ReadonlySet<EntryId>): LotState | undefined {
  let lot: LotState | undefined
  for (const entry of shard) if (isLotEntry(entry) && !struck.has(entry.id)) lot = applyLot(lot ?? emptyLot(id), entry)
  return lot
}
