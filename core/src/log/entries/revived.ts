import type { LotState, RevivedFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Limp greens were stood in cold water, drained and put away: how long, and what they looked like after. */
export interface Revived extends EntryBase, Omit<RevivedFact, 'at'> {
  readonly type: 'revived'
  readonly lot: LotId
}

export const revived: EntryDef<Revived, LotState> = {
  apply: (lot, { at, minutes, chilled, looks }) => ({ ...lot, revived: { at, minutes, chilled, looks } }),
}
