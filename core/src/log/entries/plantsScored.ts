import type { LotState, PlantScore } from '../../lot/lotState'
import type { EaterId, EntryBase, EntryDef, LotId } from '../entry'

/** A bite of several plants along the stand that a picking came from, each scored by itself. */
export interface PlantsScored extends EntryBase {
  readonly type: 'plants-scored'
  readonly lot: LotId
  readonly taster: EaterId
  readonly rinsed: boolean
  readonly plants: readonly PlantScore[]
}

export const plantsScored: EntryDef<PlantsScored, LotState> = {
  apply: (lot, { at, taster, plants }) => ({
    ...lot,
    scores: [...lot.scores, ...plants.map((plant) => ({ ...plant, at, taster }))],
  }),
}
