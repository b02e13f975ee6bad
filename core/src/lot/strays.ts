import type { BookState } from '../log/fold'
import { kinOf } from './kin'
import type { LotState } from './lotState'

/** Other lots of the same picking in which a stray turned up since this one was last gone through. */
export function kinWithStrays(lot: LotState, book: BookState): readonly LotState[] {
  return kinOf(lot, book).filter(({ strays: { reportedAt } }) => isUnsorted({ strays: { ...lot.strays, reportedAt } }))
}

/** Whether a lot is to be gone through again: a stray in it, or in another part of the same picking. */
export function straysDue(lot: LotState, book: BookState): boolean {
  return isUnsorted(lot) || kinWithStrays(lot, book).length > 0
}

/** Why a lot is gone through no more. */
export const STRAY_BROKEN_UP = 'A stray is broken up in it, and no sorting finds all of it again: throw the lot away.'

/** Why nothing is done with a lot that would spread a stray in it; undefined where none is in question. */
export function strayAgainst(lot: LotState, book: BookState): string | undefined {
  if (lot.strays.brokenUp) return STRAY_BROKEN_UP
  return straysDue(lot, book)
    ? 'A stray was found: go through all of it leaf by leaf, and note the count, before anything is cut, heated or mixed.'
    : undefined
}

/** Whether a stray was reported in a lot that nobody has gone through since. */
export function isUnsorted({ strays: { reportedAt, sortedAt } }: Pick<LotState, 'strays'>): boolean {
  return reportedAt !== null && (sortedAt === null || sortedAt < reportedAt)
}
