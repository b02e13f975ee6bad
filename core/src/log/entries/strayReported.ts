import type { LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Something that is not the plant was found in the lot. */
export interface StrayReported extends EntryBase {
  readonly type: 'stray-reported'
  readonly lot: LotId
  readonly what: string
  /** It was already chopped, blended or cooked with the rest. */
  readonly brokenUp: boolean
}

export const strayReported: EntryDef<StrayReported, LotState> = {
  apply: (lot, { at, brokenUp }) => ({
    ...lot,
    strays: { reportedAt: at, sortedAt: null, brokenUp: lot.strays.brokenUp || brokenUp },
  }),
}
