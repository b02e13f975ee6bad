import type { LotState } from '../lot/lotState'
import { ajarFor, closedBy, openWith, worstOf, type Finding } from './verdict'

/** Bitterness from here up, of ten, is told even when the cook accepts it. */
const BITTER_TOLD = 6

/**
 * Opens when the cook tasted and accepts it; the one gate that may be opened against advice. An alarm is not a taste, and a
 * crumb spat out is not one either. A batch not yet tasted is as its worst constituent.
 */
export function palateGate(lot: LotState): Finding {
  if (lot.tastes.some(({ alarm }) => alarm !== null)) return closedBy('It tasted wrong. Stop.')
  const last = lot.tastes.filter(({ crumb }) => !crumb).at(-1)
  if (last === undefined && lot.joined.length > 0) return worstOf(lot.joined.map(({ lotThen }) => palateGate(lotThen)))
  if (last === undefined) return ajarFor('Taste it.')
  if (!last.accepts)
    return ajarFor(
      `Bitterness ${last.bitter} of 10, not accepted. Give the food another bath or boil, or accept the taste.`,
    )
  return last.bitter >= BITTER_TOLD ? openWith(`Accepted at bitter ${last.bitter} of 10.`) : openWith()
}
