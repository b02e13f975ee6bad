import type { Goal } from '../../flora/taxon'
import type { LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** The cook chose a school and what the lot is for. */
export interface WayChosen extends EntryBase {
  readonly type: 'way-chosen'
  readonly lot: LotId
  readonly protocol: string
  readonly goal: Goal
  /** Steps for the tongue that this cook leaves out, by their place. */
  readonly without?: readonly number[]
}

export const wayChosen: EntryDef<WayChosen, LotState> = {
  apply: (lot, { protocol, goal, at, without }) => ({
    ...lot,
    way: { protocol, goal, at, ...(without === undefined ? {} : { without }) },
  }),
}
