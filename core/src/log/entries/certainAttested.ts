import type { LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Whoever writes attests to being certain of the plant, all or nothing: from then on that person's meetings count for the lot. */
export interface CertainAttested extends EntryBase {
  readonly type: 'certain-attested'
  readonly lot: LotId
  /** What else grew in the stand, and how many stems were looked at one by one; absent where it was not asked. */
  readonly stand?: { readonly mixed: boolean; readonly stemsSeen: number }
}

export const certainAttested: EntryDef<CertainAttested, LotState> = {
  apply: (lot, { at, by, stand }) => ({ ...lot, attestedAt: at, attestedBy: by, attestedStand: stand ?? null }),
}
