import type { LotState, SnapFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Where tips of a picking snapped by themselves. */
export interface Snapped extends EntryBase {
  readonly type: 'snapped'
  readonly lot: LotId
  readonly tips: readonly SnapFact[]
}

export const snapped: EntryDef<Snapped, LotState> = {
  apply: (lot, { tips }) => ({ ...lot, snaps: [...lot.snaps, ...tips] }),
}
