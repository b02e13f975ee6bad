import { withFirstCut, type CutUpFact, type LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Raw food was cut, pounded, juiced or soaked: its flesh lies open, and it keeps like cooked food from now on. */
export interface CutUp extends EntryBase, Omit<CutUpFact, 'at'> {
  readonly type: 'cut-up'
  readonly lot: LotId
}

export const cutUp: EntryDef<CutUp, LotState> = {
  apply: (lot, { at, noted, how }) => ({ ...withFirstCut(lot, { at, noted }), cutUp: [...lot.cutUp, { at, how }] }),
}
