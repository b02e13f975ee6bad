import { withFlow, type LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId, PackId } from '../entry'
import { takenFromPack } from './served'

/** Part of a lot or a pack was thrown away. */
export interface ThrownAway extends EntryBase {
  readonly type: 'thrown-away'
  readonly lot: LotId
  readonly pack: PackId | null
  readonly mass_g: number
  readonly why: string
}

export const thrownAway: EntryDef<ThrownAway, LotState> = {
  apply: (lot, { at, pack, mass_g, why }) =>
    pack === null ? withFlow(lot, { at, what: 'thrown-away', mass_g, to: why }) : takenFromPack(lot, pack, mass_g, at),
}
