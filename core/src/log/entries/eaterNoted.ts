import type { EntryBase, EntryDef } from '../entry'
import type { EaterState, HouseState } from '../houseState'

/** A person at the table, or what was learnt about one. */
export interface EaterNoted extends EntryBase {
  readonly type: 'eater-noted'
  readonly eater: EaterState
}

export const eaterNoted: EntryDef<EaterNoted, HouseState> = {
  apply: (house, entry) => ({ ...house, eaters: { ...house.eaters, [entry.eater.id]: entry.eater } }),
}
