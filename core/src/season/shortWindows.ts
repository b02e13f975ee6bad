import type { JudgeContext } from '../gates/verdict'
import { restsUntil } from '../take/rest'
import { ROUND_THE_KITCHEN } from './ofBook'
import type { SeasonRow, SeasonState } from './season'

/** A window at a patch of the cook's own that is short, or in which each plant is good for a short while only: about to open, or open. */
export interface ShortWindow {
  readonly row: SeasonRow
  readonly what: 'opens' | 'closes'
  readonly in_days: number
}

/** A short window is told of so many days before it opens; chosen: a free day lies in any ten. */
const AHEAD_days = 10
const OPEN: readonly SeasonState[] = ['ready', 'best', 'nearly-past']

/**
 * The short windows (under a fortnight) that a cook would miss by not looking: the nearest end first. Only at patches, since
 * what has no patch cannot be gone to; and nothing where the patch rests from the plant.
 */
export function shortWindows(
  rows: readonly SeasonRow[],
  { book, catalogue, now }: Pick<JudgeContext, 'book' | 'catalogue' | 'now'>,
): readonly ShortWindow[] {
  return rows
    .flatMap((row): readonly ShortWindow[] => {
      if (!row.narrow || row.patch === ROUND_THE_KITCHEN) return []
      const { in_days } = row
      if (OPEN.includes(row.state)) return [{ row, what: 'closes', in_days }]
      return row.state === 'not-yet' && in_days <= AHEAD_days ? [{ row, what: 'opens', in_days }] : []
    })
    .filter(({ row }) => (restsUntil(book, catalogue, row.patch, row.taxon.scientificName) ?? '') <= now)
    .toSorted((a, b) => a.in_days - b.in_days)
}
