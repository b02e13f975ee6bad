import type { Taxon } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import { SOIL_METALS } from './facts'

/** How a part meets the ground: in it; low over it; or high above it, on a tree or shrub. */
export type Exposure = 'underground' | 'low' | 'high'

const UNDERGROUND: readonly Part[] = ['root', 'rhizome', 'corm', 'bulb', 'tuber']
/** Parts with a skin of their own that is whole until the knife. */
const SEALED: readonly Part[] = [...UNDERGROUND, 'nut', 'seed']
const KNEE_HIGH: readonly string[] = ['under-15cm', '15-60cm']
const METALS: readonly string[] = SOIL_METALS
const FROM_WATER: readonly string[] = ['pathogens-from-water', 'liver-fluke']
const STANDS_IN_WATER: readonly string[] = ['floating', 'emergent']
const WET: readonly string[] = ['still-water', 'saltmarsh', 'riverside', 'bog']

/** How a part of a plant meets the ground. Bark and sap of trees count as high; what a knee-high shrub bears is low. */
export function exposureOf({ lifeForm, characters }: Pick<Taxon, 'lifeForm' | 'characters'>, part: Part): Exposure {
  if (UNDERGROUND.includes(part)) return 'underground'
  const woody = lifeForm === 'tree' || lifeForm === 'shrub'
  const heights = characters['height'] ?? []
  const dwarf = heights.length > 0 && heights.every((height) => KNEE_HIGH.includes(height))
  return woody && !dwarf ? 'high' : 'low'
}

export function takesUpMetals({ accumulates }: Pick<Taxon, 'accumulates'>): boolean {
  return accumulates.some((what) => METALS.includes(what))
}

export function isSealed(part: Part): boolean {
  return SEALED.includes(part)
}

/** Whether the plant lives in or by water and takes from it: then the water is asked about. */
export function isWaterside({
  accumulates,
  habitat,
  characters,
}: Pick<Taxon, 'accumulates' | 'habitat' | 'characters'>): boolean {
  return (
    (characters['habit'] ?? []).some((habit) => STANDS_IN_WATER.includes(habit)) ||
    (accumulates.some((what) => FROM_WATER.includes(what)) && habitat.some((where) => WET.includes(where)))
  )
}
