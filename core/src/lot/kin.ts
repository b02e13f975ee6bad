import type { BookState } from '../log/fold'
import type { Recall } from '../log/houseState'
import { strandsOf, type LotState } from './lotState'

/** Other lots that hold something of the same picking: what turns up in one concerns them all. */
export function kinOf(lot: LotState, book: BookState): readonly LotState[] {
  const family = book.families.get(lot.id)
  if (family === undefined) return []
  const roots = rootsOf(lot)
  return family.flatMap((id) => {
    const other = book.lots.get(id)
    return other === undefined || id === lot.id || !rootsOf(other).some((root) => roots.includes(root)) ? [] : [other]
  })
}

/** The weighings-in that a lot goes back to. */
export function rootsOf(lot: LotState): readonly string[] {
  return strandsOf(lot).flatMap(({ lot: { weighedIn } }) => (weighedIn === null ? [] : [weighedIn.entry]))
}

/** Recalls that reach this lot: of its patch, of itself, or of any lot or pack that it came out of. */
export function recallsOf(lot: LotState, book: BookState): readonly Recall[] {
  return book.house.recalls.length === 0 ? [] : book.house.recalls.filter((recall) => recallReaches(recall, lot, book))
}

/** Whether a recall reaches a lot, or the pack of it that `asPack` names. */
export function recallReaches(recall: Recall, lot: LotState, book: BookState): boolean {
  return reaches(recall, lot, book, new Set())
}

function reaches(recall: Recall, lot: LotState, book: BookState, seen: Set<string>): boolean {
  if (recall.what === 'patch')
    return strandsOf(lot).some(
      ({ lot: { weighedIn } }) =>
        weighedIn?.patch === recall.patch && (recall.since === null || weighedIn.pickedAt >= recall.since),
    )
  if (lot.id === recall.lot && (recall.pack === null || lot.asPack === recall.pack)) return true
  // A ring of origins can stand only in a forged file.
  if (seen.has(lot.id)) return false
  seen.add(lot.id)
  return lot.from.some((origin) => {
    if (origin.lot === recall.lot && (recall.pack === null || origin.pack === recall.pack)) return true
    const source = book.lots.get(origin.lot)
    return source !== undefined && reaches(recall, { ...source, asPack: origin.pack }, book, seen)
  })
}
