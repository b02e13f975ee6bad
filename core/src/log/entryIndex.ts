import { fromMs, type Instant } from '../quantity/instant'
import type { Entry } from './entries'
import type { EntryId } from './entry'

/** So many entries are kept beside the large map before a new large one is made. */
const RECENT_AT_MOST = 2000

/**
 * Entries by id, added to without copying all of them: a large map that is shared between versions and never changed, and a
 * small one of what came since. An older version stays as it was.
 */
export class EntryIndex {
  static readonly EMPTY = new EntryIndex(new Map(), new Map(), fromMs(0))
  readonly #settled: ReadonlyMap<EntryId, Entry>
  readonly #recent: ReadonlyMap<EntryId, Entry>
  /** The latest moment at which any of them was noted; 1970 where there is none. */
  readonly latestNoted: Instant

  private constructor(settled: ReadonlyMap<EntryId, Entry>, recent: ReadonlyMap<EntryId, Entry>, latestNoted: Instant) {
    this.#settled = settled
    this.#recent = recent
    this.latestNoted = latestNoted
  }

  get size(): number {
    return this.#settled.size + this.#recent.size
  }

  has(id: EntryId): boolean {
    return this.#recent.has(id) || this.#settled.has(id)
  }

  get(id: EntryId): Entry | undefined {
    return this.#recent.get(id) ?? this.#settled.get(id)
  }

  *values(): IterableIterator<Entry> {
    yield* this.#settled.values()
    yield* this.#recent.values()
  }

  /** With what of some entries is not in it yet, each once; and which those are. */
  withNew(added: readonly Entry[]): { readonly fresh: readonly Entry[]; readonly index: EntryIndex } {
    if (this.size === 0) {
      // A whole book at once is the index as it stands, if no id comes twice; asking for each first costs as much again.
      const whole = new Map<EntryId, Entry>()
      for (const entry of added) whole.set(entry.id, entry)
      if (whole.size === added.length)
        return { fresh: added, index: new EntryIndex(whole, new Map(), latestOf(fromMs(0), added)) }
    }
    const fresh = new Map<EntryId, Entry>()
    for (const entry of added) if (!fresh.has(entry.id) && !this.has(entry.id)) fresh.set(entry.id, entry)
    const all = fresh.size === added.length ? added : [...fresh.values()]
    return { fresh: all, index: this.with(all) }
  }

  /** With entries that are not in it yet. */
  with(fresh: readonly Entry[]): EntryIndex {
    const few = this.#recent.size + fresh.length <= RECENT_AT_MOST
    const grown = new Map(few ? this.#recent : [...this.#settled, ...this.#recent])
    for (const entry of fresh) grown.set(entry.id, entry)
    const latest = latestOf(this.latestNoted, fresh)
    return few ? new EntryIndex(this.#settled, grown, latest) : new EntryIndex(grown, new Map(), latest)
  }
}

function latestOf(latest: Instant, entries: readonly Entry[]): Instant {
  for (const { noted } of entries) if (noted > latest) latest = noted
  return latest
}
