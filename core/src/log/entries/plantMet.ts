import type { Stage } from '../../flora/vocabulary'
import type { EntryBase, EntryDef, PatchId } from '../entry'
import type { HouseState } from '../houseState'

/** Whoever writes met a plant and was sure of it: counted by day and season, never blended with anybody else's meetings. */
export interface PlantMet extends EntryBase {
  readonly type: 'plant-met'
  readonly taxon: string
  readonly stage: Stage
  /** Where, if that is told: what the season is learnt from. */
  readonly patch?: PatchId
  /** Who showed it: told beside the meeting, never instead of a tell. */
  readonly mentor?: string
}

export const plantMet: EntryDef<PlantMet, HouseState> = {
  apply(house, { taxon, at, by, stage, patch, mentor }) {
    const meeting = {
      at,
      by,
      stage,
      ...(patch === undefined ? {} : { patch }),
      ...(mentor === undefined ? {} : { mentor }),
    }
    const met = house.meetings[taxon] ?? []
    const last = met.at(-1)
    // The same moment noted twice is one meeting.
    return last?.at === at && last.by === by
      ? house
      : {
          ...house,
          meetings: { ...house.meetings, [taxon]: [...met, meeting] },
        }
  },
}
