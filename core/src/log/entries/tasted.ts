import type { LotState, TasteFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Somebody tasted. Burning, numbness, soap or almond is not a taste but an alarm. */
export interface Tasted extends EntryBase, Omit<TasteFact, 'at'> {
  readonly type: 'tasted'
  readonly lot: LotId
}

export const tasted: EntryDef<Tasted, LotState> = {
  apply: (lot, { at, taster, bitter, astringent, crumb, accepts, alarm, notes, aftertaste }) => ({
    ...lot,
    tastes: [
      ...lot.tastes,
      {
        ...{ at, taster, bitter, astringent, crumb, accepts, alarm },
        ...(notes === undefined ? {} : { notes }),
        ...(aftertaste === undefined ? {} : { aftertaste }),
      },
    ],
  }),
}
