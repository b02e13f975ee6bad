import type { EntryBase, EntryDef, PatchId } from '../entry'
import type { Gift, HouseState } from '../houseState'

/** Something was given back to a patch: crowns replanted, seed scattered, holes filled, litter carried out. */
export interface GaveBack extends EntryBase, Omit<Gift, 'at'> {
  readonly type: 'gave-back'
  readonly patch: PatchId
}

export const gaveBack: EntryDef<GaveBack, HouseState> = {
  apply: (house, { at, patch, what, taxon, count }) => ({
    ...house,
    gifts: {
      ...house.gifts,
      [patch]: [...(house.gifts[patch] ?? []), { at, what, count, ...(taxon === undefined ? {} : { taxon }) }],
    },
  }),
}
