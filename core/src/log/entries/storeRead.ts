import type { LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId, PackId } from '../entry'
import { countsNowhere } from './readingTaken'

/** The store of a pack was measured: too warm, and its warm minutes run from now until it is cold again. */
export interface StoreRead extends EntryBase {
  readonly type: 'store-read'
  readonly lot: LotId
  readonly pack: PackId
  readonly temp_C: number
  /** Shown by a stand-in instrument: it counts in the demonstration's book and in no other. */
  readonly simulated?: true
}

export const storeRead: EntryDef<StoreRead, LotState> = {
  apply(lot, entry) {
    if (countsNowhere(entry)) return lot
    const { at, pack, temp_C } = entry
    const read = (readings: LotState['packs'][number]['readings']) => [...readings, { at, temp_C }]
    return {
      ...lot,
      packs: lot.packs.map((each) => (each.id === pack ? { ...each, readings: read(each.readings) } : each)),
    }
  },
}
