import { stepOf } from '../flora/stepOf'
import type { Use } from '../flora/taxon'
import type { LotState } from '../lot/lotState'
import type { Instant } from '../quantity/instant'

/**
 * The moments at which a lot was found sour, sweet or salt enough for a store on its record. Each counts until something wet is put to it:
 * a reading holds for what was measured. A way that ferments is judged by its own step, with its days and its salt.
 */
export function steadyTimes({ readings, added, runs }: LotState, use: Use): readonly Instant[] {
  const ferments = runs.some((run) => stepOf(use, run)?.op === 'ferment')
  return use.stores.flatMap(({ limit }): readonly Instant[] => {
    switch (limit.measure) {
      case 'ph':
        return ferments
          ? []
          : readings.flatMap(({ what, value, at }) => (what === 'ph' && value <= limit.atMost ? [at] : []))
      case 'sugar':
        return readings.flatMap(({ what, value, at }) => (what === 'brix' && value >= limit.atLeast_brix ? [at] : []))
      case 'salt-share':
        return saltShares(added).flatMap(({ at, share }) => (share >= limit.atLeast ? [at] : []))
      default:
        return []
    }
  })
}

/** Salt over everything after each addition: what is taken out in between takes its share along. */
export function saltShares(added: LotState['added']): readonly { readonly at: Instant; readonly share: number }[] {
  let share = 0
  return added.map(({ at, what, mass_g, whole_g }) => {
    share = (share * (whole_g - mass_g) + (what === 'salt' ? mass_g : 0)) / whole_g
    return { at, share }
  })
}

/** Salt over everything as it is now, 0 to 1. */
export function saltShare(lot: Pick<LotState, 'added'>): number {
  return saltShares(lot.added).at(-1)?.share ?? 0
}
