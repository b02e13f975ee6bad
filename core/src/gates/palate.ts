import type { LotState } from '../lot/lotState'
import { ajarFor, closedBy, openWith, type Finding } from './verdict'

/** Bitterness from here up, of ten, is told even when the cook accepts it. */
const BITTER_TOLD = 6

/** Opens when the cook tasted and accepts it; the one gate that may be opened against advice. An alarm is not a taste. */
export function palateGate(lot: LotState): Finding {
  const last = lot.tastes.at(-1)
  if (lot.tastes.some(({ alarm }) => alarm !== null)) return closedBy('It tasted wrong. Stop.')
  if (last === undefined) return ajarFor('Taste it.')
  if (!last.accepts) return ajarFor(`Bitter ${last.bitter} of 10 and not accepted yet: go on, or take it as it is.`)
  return last.bitter >= BITTER_TOLD ? openWith(`Accepted at bitter ${last.bitter} of 10.`) : openWith()
}
