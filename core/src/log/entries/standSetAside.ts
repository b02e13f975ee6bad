import type { SetAsideShares } from '../../take/setAside'
import type { EntryBase, EntryDef, PatchId } from '../entry'
import type { HouseState } from '../houseState'

/** A plant of a patch is shared out among what it is wanted for; the last word holds. */
export interface StandSetAside extends EntryBase {
  readonly type: 'stand-set-aside'
  readonly patch: PatchId
  readonly taxon: string
  readonly shares: SetAsideShares
}

export const standSetAside: EntryDef<StandSetAside, HouseState> = {
  apply: (house, { at, patch, taxon, shares }) => ({
    ...house,
    setAside: { ...house.setAside, [patch]: [...(house.setAside[patch] ?? []), { at, taxon, shares }] },
  }),
}
