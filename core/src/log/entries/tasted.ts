import type { LotState, TasteFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'
import { countsNowhere } from './readingTaken'

/** Somebody tasted. Burning, numbness, soap or almond is not a taste but an alarm. */
export interface Tasted extends EntryBase, Omit<TasteFact, 'at'> {
  readonly type: 'tasted'
  readonly lot: LotId
  /** By the stand-in tongue: it counts in the demonstration's book and in no other. */
  readonly simulated?: true
}

export const tasted: EntryDef<Tasted, LotState> = {
  apply: (lot, entry) => {
    if (countsNowhere(entry)) return lot
    const { at, taster, bitter, astringent, crumb, accepts, alarm, notes, aftertaste } = entry
    const taste = {
      ...{ at, taster, bitter, astringent, crumb, accepts, alarm },
      ...(notes === undefined ? {} : { notes }),
      ...(aftertaste === undefined ? {} : { aftertaste }),
    }
    return { ...lot, tastes: [...lot.tastes, taste] }
  },
}
