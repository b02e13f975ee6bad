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

function isCut({ cutUp, runs, joined }: LotState): boolean {
  return cutUp.length > 0 || runs.length > 0 || joined.some(({ lotThen }) => isCut(lotThen))
}

export const strayReported: EntryDef<StrayReported, LotState> = {
  apply: (lot, { at, brokenUp }) => ({
    ...lot,
    strays: {
      reportedAt: at,
      sortedAt: null,
      // In food that was cut or heated nobody finds the rest of it: broken up, whatever was said.
      brokenUp: lot.strays.brokenUp || brokenUp || isCut(lot),
      pending: lot.strays.pending + 1,
    },
  }),
}
