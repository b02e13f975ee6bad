import type { EaterId, EntryBase, EntryDef } from '../entry'
import type { HouseState } from '../houseState'

/** A doctor or a poison centre said that it was not the food: what was held for the illnesses of one eater until then is held no more. */
export interface IllExplained extends EntryBase {
  readonly type: 'ill-explained'
  readonly eater: EaterId
  /** Who said so, and what it was. */
  readonly why: string
}

export const illExplained: EntryDef<IllExplained, HouseState> = {
  apply: (house, { eater, why, at }) => ({
    ...house,
    ill: house.ill.map((each) => (each.eater === eater && each.at <= at ? { ...each, explained: why } : each)),
  }),
}
