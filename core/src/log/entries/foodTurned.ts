import type { EntryBase, EntryDef, LotId, PackId } from '../entry'
import type { HouseState } from '../houseState'

/** A lot or a pack has turned bad: it and all that came of it is held. */
export interface FoodTurned extends EntryBase {
  readonly type: 'food-turned'
  readonly of: LotId
  readonly pack: PackId | null
  readonly why: string
}

export const foodTurned: EntryDef<FoodTurned, HouseState> = {
  apply: (house, { of, pack, why, at }) => ({
    ...house,
    recalls: [...house.recalls, { what: 'food', lot: of, pack, why, at }],
  }),
}
