import type { EntryBase, EntryDef } from '../entry'
import type { HouseState, KitchenFact } from '../houseState'

/** The kitchen's place, burner, vessels, water and cold, as they are from now on. */
export interface KitchenSet extends EntryBase {
  readonly type: 'kitchen-set'
  readonly kitchen: Omit<KitchenFact, 'at'>
}

export const kitchenSet: EntryDef<KitchenSet, HouseState> = {
  apply: (house, entry) => ({ ...house, kitchens: [...house.kitchens, { ...entry.kitchen, at: entry.at }] }),
}
