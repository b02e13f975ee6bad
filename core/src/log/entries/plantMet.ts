import type { Stage } from '../../flora/vocabulary'
import type { EntryBase, EntryDef } from '../entry'
import type { HouseState } from '../houseState'

/** The cook met a plant and was sure of it: counted by day and season, never blended with anybody else's meetings. */
export interface PlantMet extends EntryBase {
  readonly type: 'plant-met'
  readonly taxon: string
  readonly stage: Stage
}

export const plantMet: EntryDef<PlantMet, HouseState> = {
  type: 'plant-met',
  apply: (house, { taxon, at, stage }) => ({
    ...house,
    meetings: { ...house.meetings, [taxon]: [...(house.meetings[taxon] ?? []), { at, stage }] },
  }),
}
