import type { LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** The cook attests to being certain of the plant: all or nothing. */
export interface CertainAttested extends EntryBase {
  readonly type: 'certain-attested'
  readonly lot: LotId
}

export const certainAttested: EntryDef<CertainAttested, LotState> = {
  apply: (lot, entry) => ({ ...lot, attestedAt: entry.at }),
}
