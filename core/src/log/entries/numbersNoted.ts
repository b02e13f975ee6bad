import type { EntryBase, EntryDef } from '../entry'
import type { HelpNumbers, HouseState } from '../houseState'

/** The numbers to call, as the cook looked them up for this place. */
export interface NumbersNoted extends EntryBase, HelpNumbers {
  readonly type: 'numbers-noted'
}

export const numbersNoted: EntryDef<NumbersNoted, HouseState> = {
  apply: (house, { emergency, poisonCentre, doctor }) => ({ ...house, numbers: { emergency, poisonCentre, doctor } }),
}
