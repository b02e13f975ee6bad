import type { GroundNote } from '@ellop/core'

/** A patch of the made-up commons against which nothing is known. */
export const CLEAN: GroundNote = {
  permission: { from: 'the commons board', until: null },
  law: { picking: 'allowed', digging: 'allowed' },
  sprayed: { last: null },
  busyRoad: { distance_m: null },
  pastUse: 'clean',
  manured: 'no',
  dogs: 'none',
  looksHealthy: true,
}
