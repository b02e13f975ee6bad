import type { LotState, SortFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Washed after all, of a lot that was sorted dry. */
export interface Washed extends EntryBase {
  readonly type: 'washed'
  readonly lot: LotId
  readonly wash: NonNullable<SortFact['wash']>
}

export const washed: EntryDef<Washed, LotState> = {
  apply: (lot, { wash }) => (lot.sorted === null ? lot : { ...lot, sorted: { ...lot.sorted, wash } }),
}
