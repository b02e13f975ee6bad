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
export const SIMULATED_IN = 'demo'

export const readingTaken: EntryDef<ReadingTaken, LotState> = {
  apply: (lot, { at, what, value, instrument, simulated, book }) =>
    simulated === true && book !== SIMULATED_IN
      ? lot
      : { ...lot, readings: [...lot.readings, { at, what, value, instrument }] },
}
