import type { Store } from '../../flora/taxon'
import { outOfWater, withFlow, type LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId, PackId } from '../entry'

/** Part of the lot goes into store. The pack keeps the treatment that the lot had at that moment. */
export interface Packed extends EntryBase {
  readonly type: 'packed'
  readonly lot: LotId
  readonly pack: PackId
  readonly store: Store
  readonly mass_g: number
  readonly containers: number
  readonly storeTemp_C: number | null
}

export const packed: EntryDef<Packed, LotState> = {
  apply(lot, { at, pack, store, mass_g, containers, storeTemp_C }) {
    const rest = withFlow(lot, { at, what: 'packed', mass_g, to: store })
    const made = { id: pack, at, store, packed_g: mass_g, mass_g, containers, storeTemp_C }
    return { ...rest, packs: [...lot.packs, { ...made, readings: [], openedAt: null, lotThen: outOfWater(lot, at) }] }
  },
}
