import type { LotState, PlacedFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** The lot was put somewhere, or found there: how warm it was is what counts. */
export interface Placed extends EntryBase, Omit<PlacedFact, 'at'> {
  readonly type: 'placed'
  readonly lot: LotId
}

export const placed: EntryDef<Placed, LotState> = {
  apply: (lot, { at, place, temp_C }) => ({ ...lot, placed: [...lot.placed, { at, place, temp_C }] }),
}
