import type { LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** The whole lot was gone through again, piece by piece, and so many strays were taken out. */
export interface StraysSorted extends EntryBase {
  readonly type: 'strays-sorted'
  readonly lot: LotId
  readonly found: number
}

export const straysSorted: EntryDef<StraysSorted, LotState> = {
  apply: (lot, { at }) => ({ ...lot, strays: { ...lot.strays, sortedAt: at, pending: 0 } }),
}
