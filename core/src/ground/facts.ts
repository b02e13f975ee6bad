import type { Instant } from '../quantity/instant'

/** One fact of the ground with the moment it was noted: facts go stale. */
export interface Dated<T> {
  readonly value: T
  readonly at: Instant
}

export const PAST_USES = [
  'clean', 'industry', 'mine', 'tip', 'railway', 'old-orchard', 'rubble', 'unknown',
] as const // prettier-ignore
export type PastUse = (typeof PAST_USES)[number]

export const VIGOURS = ['poor', 'usual', 'lush'] as const

/** What the plants stand in; `foul`: it smells, foams, is slimy or has a film on it. */
export const WATERS = ['none', 'flowing', 'still', 'foul'] as const
/** What lies up the water or up the slope. */
export const UPSTREAM = ['livestock', 'drains', 'mine-or-works', 'sprayed-fields'] as const
export type Upstream = (typeof UPSTREAM)[number]

export const SOIL_METALS = ['lead', 'cadmium', 'arsenic'] as const
export type SoilMetal = (typeof SOIL_METALS)[number]

/** A laboratory's result, total content of the dry soil. */
export interface SoilTest {
  readonly what: SoilMetal
  readonly mg_per_kg: number
  readonly on: Instant
}

/** What makes getting there hard, or hurts. */
export const ACCESS = ['thorns', 'mud', 'steep', 'surf', 'ice', 'ticks'] as const
export type Access = (typeof ACCESS)[number]

interface Nearness {
  /** null: none near. */
  readonly distance_m: number | null
}

/** Facts of the ground as a cook notes them. A fact that was never asked is absent, which is not the same as none. */
export interface GroundNote {
  readonly permission?: { readonly from: string; readonly until: string | null }
  /** What the law there says, as somebody entered it; nothing is known of a law that nobody entered. */
  readonly law?: { readonly picking: 'allowed' | 'forbidden'; readonly digging: 'allowed' | 'forbidden' }
  /** The last weedkiller on the patch; `wait_days` is what its label asks for. */
  readonly sprayed?: { readonly last: Instant | null; readonly wait_days?: number }
  readonly busyRoad?: Nearness
  readonly railway?: Nearness
  /** Works, mines and tips, running or not. */
  readonly works?: Nearness
  /** Farmed land, and when it was last sprayed; null: never, as told. */
  readonly field?: Nearness & { readonly lastSprayed: Instant | null }
  readonly pastUse?: PastUse
  readonly manured?: 'no' | 'yes' | 'unknown'
  readonly dogs?: 'none' | 'some' | 'many'
  readonly grazed?: boolean
  readonly looksHealthy?: boolean
  /** How it grows: very lush tells of feeding, wanted or not. */
  readonly vigour?: (typeof VIGOURS)[number]
  readonly water?: (typeof WATERS)[number]
  /** `unknown`, or what there is; an empty list: somebody went and looked. */
  readonly upstream?: readonly Upstream[] | 'unknown'
  /** When water last stood or ran over it; null: not in anybody's memory. */
  readonly flood?: { readonly last: Instant | null }
  readonly soil?: readonly SoilTest[]
  readonly access?: readonly Access[]
  /** What kind of ground it is, in the words of the catalogue. */
  readonly habitat?: readonly string[]
  /** Months, 1 to 12, in which nothing is taken there, and for whom: nests, spawning fish, early bloom. None: never again. */
  readonly leftAlone?: { readonly months: readonly number[]; readonly why?: string }
  /** Plants seen growing there, by scientific name. */
  readonly companions?: readonly string[]
}

/** What is known of a patch, each fact with its own date. */
export type GroundFacts = { readonly [Fact in keyof GroundNote]?: Dated<NonNullable<GroundNote[Fact]>> }

export const GROUND_FACTS: readonly (keyof GroundNote)[] = [
  'permission', 'law', 'sprayed', 'busyRoad', 'railway', 'works', 'field', 'pastUse', 'manured', 'dogs', 'grazed',
  'looksHealthy', 'vigour', 'water', 'upstream', 'flood', 'soil', 'access', 'leftAlone', 'habitat', 'companions',
] // prettier-ignore

/** How high a part was cut, against what dogs reach. */
export const CUT_HEIGHTS = ['below-knee', 'above-knee'] as const
/** On which side of the stand. */
export const CUT_SIDES = ['by-the-path', 'away'] as const

/** Where on the stand a picking was cut, as far as the cook says so. */
export interface CutAt {
  readonly height: (typeof CUT_HEIGHTS)[number]
  readonly side: (typeof CUT_SIDES)[number]
}
