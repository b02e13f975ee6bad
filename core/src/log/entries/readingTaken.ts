import type { LotState, ReadingFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Something was measured on the lot. */
export interface ReadingTaken extends EntryBase, Omit<ReadingFact, 'at'> {
  readonly type: 'reading-taken'
  readonly lot: LotId
  /** Shown by a stand-in instrument: it counts in the demonstration's book and in no other. */
  readonly simulated?: true
}

/** The book in which stand-in instruments count. */
const SIMULATED_IN = 'demo'

/** What a stand-in told, outside the book in which that counts. */
export function countsNowhere({ simulated, book }: { readonly simulated?: true; readonly book: string }): boolean {
  return simulated === true && book !== SIMULATED_IN
}

export const readingTaken: EntryDef<ReadingTaken, LotState> = {
  apply(lot, entry) {
    if (countsNowhere(entry)) return lot
    const { at, what, value, instrument } = entry
    return { ...lot, readings: [...lot.readings, { at, what, value, instrument }] }
  },
}
