import type { Instant } from '../quantity/instant'
import type { Entry } from './entries'
import type { Redated } from './entries/redated'
import type { Struck } from './entries/struck'
import type { EntryId } from './entry'
import type { EntryIndex } from './entryIndex'

/** What later entries say of earlier ones: which no longer count, and which happened at another moment. */
export interface Amendments {
  /** Strike-outs by what they strike. */
  readonly strikers: ReadonlyMap<EntryId, readonly EntryId[]>
  /** Re-datings by what they date, the latest last. */
  readonly redatings: ReadonlyMap<EntryId, readonly Redated[]>
  readonly struck: ReadonlySet<EntryId>
  /** The moments of entries that happened at another one than they say. */
  readonly moments: ReadonlyMap<EntryId, Instant>
}

export const NO_AMENDMENTS: Amendments = {
  strikers: new Map(),
  redatings: new Map(),
  struck: new Set(),
  moments: new Map(),
}

/** The amendments with fresh entries in the index; the same object where they amend nothing. */
export function amend(before: Amendments, fresh: readonly Entry[], entries: EntryIndex): Amendments {
  const spoken = fresh.filter(isAmendment)
  if (spoken.length === 0 && before.strikers.size === 0) return before
  const strikeOuts = spoken.filter((entry) => entry.type === 'struck')
  const strikers = addTo(
    before.strikers,
    strikeOuts.map(({ entry, id }) => [entry, id] as const),
    (ids) => ids.sort(),
  )
  const redatings = addTo(
    before.redatings,
    spoken.filter((entry) => entry.type === 'redated').map((entry) => [entry.entry, entry] as const),
    (all) => all.sort(byWriting),
  )
  const struckAnew = strikers.size > 0 && (strikeOuts.length > 0 || fresh.some(({ id }) => strikers.has(id)))
  if (!struckAnew && redatings === before.redatings) return before
  const struck = struckAnew ? struckIds(entries, strikers) : before.struck
  return { strikers, redatings, struck, moments: momentsOf(redatings, struck) }
}

/** An entry as it happened: at the moment that a standing re-dating gives it. */
export function asDated<E extends Entry>(entry: E, { moments }: Pick<Amendments, 'moments'>): E {
  const at = moments.get(entry.id)
  return at === undefined || at === entry.at || isAmendment(entry) ? entry : { ...entry, at }
}

/** Whether an entry only speaks of another one. */
export function isAmendment(entry: Entry): entry is Struck | Redated {
  return entry.type === 'struck' || entry.type === 'redated'
}

/** By when they were written down, so that a later correction counts; then by id. */
function byWriting(a: Redated, b: Redated): number {
  return a.noted < b.noted ? -1 : a.noted > b.noted ? 1 : a.id < b.id ? -1 : 1
}

function addTo<Value>(
  before: ReadonlyMap<EntryId, readonly Value[]>,
  pairs: readonly (readonly [EntryId, Value])[],
  ordered: (values: Value[]) => Value[],
): ReadonlyMap<EntryId, readonly Value[]> {
  if (pairs.length === 0) return before
  const all = new Map(before)
  for (const [of, value] of pairs) all.set(of, ordered([...(all.get(of) ?? []), value]))
  return all
}

function momentsOf(redatings: Amendments['redatings'], struck: ReadonlySet<EntryId>): Amendments['moments'] {
  return new Map(
    [...redatings].flatMap(([of, all]) => {
      const last = all.findLast(({ id }) => !struck.has(id))
      return last === undefined ? [] : [[of, last.to] as const]
    }),
  )
}

/**
 * The entries taken out of account: those named by a strike-out that itself stands. Striking out a strike-out restores.
 * A ring of strike-outs, which only a forged file can hold, takes nothing out.
 */
function struckIds(entries: EntryIndex, strikers: Amendments['strikers']): ReadonlySet<EntryId> {
  const known = new Map<EntryId, boolean>()
  const isStruck = (id: EntryId, path: ReadonlySet<EntryId>): boolean => {
    const settled = known.get(id)
    if (settled !== undefined) return settled
    const inside = new Set([...path, id])
    const result = (strikers.get(id) ?? []).some((striker) => !inside.has(striker) && !isStruck(striker, inside))
    known.set(id, result)
    return result
  }
  return new Set([...strikers.keys()].filter((id) => entries.has(id) && isStruck(id, new Set())))
}
