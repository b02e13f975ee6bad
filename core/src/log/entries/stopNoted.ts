import type { EntryBase, EntryDef, PatchId } from '../entry'
import type { Find, HouseState } from '../houseState'

/** The cook stopped at a patch and named what grows there that could be eaten, each with how it stands. No meeting: nothing is sure of it. */
export interface StopNoted extends EntryBase {
  readonly type: 'stop-noted'
  readonly patch: PatchId
  readonly finds: readonly Find[]
}

export const stopNoted: EntryDef<StopNoted, HouseState> = {
  apply: (house, { at, patch, finds }) => ({
    ...house,
    stops: { ...house.stops, [patch]: [...(house.stops[patch] ?? []), { at, finds }] },
  }),
}
