import type { EaterId, EntryBase, EntryDef } from '../entry'
import type { HouseState } from '../houseState'

/** Somebody feels ill. Written down as said; Ellop draws no conclusion from it. */
export interface FeltIll extends EntryBase {
  readonly type: 'felt-ill'
  readonly eater: EaterId
  readonly symptoms: string
}

export const feltIll: EntryDef<FeltIll, HouseState> = {
  apply: (house, { eater, symptoms, at }) => ({ ...house, ill: [...house.ill, { eater, symptoms, at }] }),
}
