import type { LotState, StandFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** The stand the lot came from: how much stood there, how much was cut, who lives on it. */
export interface StandCounted extends EntryBase, Omit<StandFact, 'at'> {
  readonly type: 'stand-counted'
  readonly lot: LotId
}

export const standCounted: EntryDef<StandCounted, LotState> = {
  apply: (lot, { at, stems, taken, wildlifeLooked, wildlifeOn, othersPick, cutByOthers, clone, dug, school }) => ({
    ...lot,
    stand: {
      at,
      stems,
      taken,
      wildlifeLooked,
      wildlifeOn,
      othersPick,
      school,
      ...(cutByOthers === undefined ? {} : { cutByOthers }),
      ...(clone === undefined ? {} : { clone }),
      ...(dug === undefined ? {} : { dug }),
    },
  }),
}
