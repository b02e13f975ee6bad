import type { InstrumentId } from '../../instruments/instruments'
import type { EntryBase, EntryDef } from '../entry'
import type { HouseState } from '../houseState'
import { countsNowhere } from './readingTaken'

/** An instrument was held against what is known, and showed so much too much. */
export interface InstrumentSetRight extends EntryBase {
  readonly type: 'instrument-set-right'
  readonly instrument: InstrumentId
  /** In the instrument's own unit; below 0 it shows too little. */
  readonly offset: number
  /** A stand-in: it counts in the demonstration's book and in no other. */
  readonly simulated?: true
}

export const instrumentSetRight: EntryDef<InstrumentSetRight, HouseState> = {
  apply: (house, entry) =>
    countsNowhere(entry)
      ? house
      : { ...house, setRight: { ...house.setRight, [entry.instrument]: { offset: entry.offset, at: entry.at } } },
}
