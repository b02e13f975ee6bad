import type { Instant } from '../quantity/instant'

/** One fact of the ground with the moment it was noted: facts go stale. */
export interface Dated<T> {
  readonly value: T
  readonly at: Instant
}

/** What is known of a patch. A fact that was never asked is absent, which is not the same as none. */
export interface GroundFacts {
  readonly permission?: Dated<{ readonly from: string; readonly until: string | null }>
  readonly sprayed?: Dated<{ readonly last: string | null }>
  readonly busyRoad?: Dated<{ readonly distance_m: number | null }>
  readonly pastUse?: Dated<'clean' | 'industry' | 'mine' | 'tip' | 'railway' | 'old-orchard' | 'unknown'>
  readonly manured?: Dated<'no' | 'yes' | 'unknown'>
  readonly dogs?: Dated<'none' | 'some' | 'many'>
  readonly looksHealthy?: Dated<boolean>
}

/** The same facts as a cook notes them, without the moment. */
export type GroundNote = { readonly [Fact in keyof GroundFacts]?: NonNullable<GroundFacts[Fact]>['value'] }

export const GROUND_FACTS: readonly (keyof GroundFacts)[] = [
  'permission',
  'sprayed',
  'busyRoad',
  'pastUse',
  'manured',
  'dogs',
  'looksHealthy',
]
