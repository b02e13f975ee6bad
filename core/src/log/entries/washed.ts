import { worseWash, type LotState, type SortFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Washed after all, of a lot that was sorted dry. */
export interface Washed extends EntryBase {
  readonly type: 'washed'
  readonly lot: LotId
  readonly wash: NonNullable<SortFact['wash']>
}

export const washed: EntryDef<Washed, LotState> = {
  apply(lot, { wash }) {
    const washedIn = worseWash(lot.washedIn, wash)
    return { ...lot, washedIn, sorted: lot.sorted === null ? null : { ...lot.sorted, wash: washedIn } }
  },
}
