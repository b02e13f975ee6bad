import type { LotState, ReadingFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Something was measured on the lot. */
export interface ReadingTaken extends EntryBase, Omit<ReadingFact, 'at'> {
  readonly type: 'reading-taken'
  readonly lot: LotId
}

export const readingTaken: EntryDef<ReadingTaken, LotState> = {
  apply: (lot, { at, what, value, instrument }) => ({
    ...lot,
    readings: [...lot.readings, { at, what, value, instrument }],
  }),
}
