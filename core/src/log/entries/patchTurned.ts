import type { EntryBase, EntryDef, PatchId } from '../entry'
import type { HouseState } from '../houseState'

/** It has come out that something was wrong with a patch: all that was picked there from a day on is held. */
export interface PatchTurned extends EntryBase {
  readonly type: 'patch-turned'
  readonly patch: PatchId
  readonly why: string
  /** Pickings from this moment on are concerned; null: all. */
  readonly since: string | null
}

export const patchTurned: EntryDef<PatchTurned, HouseState> = {
  apply: (house, { patch, why, since, at }) => ({
    ...house,
    recalls: [...house.recalls, { what: 'patch', patch, since, why, at }],
  }),
}
