import type { Catalogue } from '../flora/catalogue'
import { strandsOf, type LotState } from '../lot/lotState'
import { lotUse } from './batchUse'
import { formatMass, formatVolume } from '../quantity/format'
import { protocolOf } from './progress'

/**
 * Whether the lot is steeped to be drunk and has not been strained yet: its way was chosen for tea and has a step that steeps it in water. What is
 * drunk is then weighed, and the plant in it counts by each cup's share.
 */
export function steepsToDrink(lot: LotState, catalogue: Catalogue): boolean {
  const use = lot.way?.goal === 'tea' ? lotUse(lot, catalogue) : undefined
  const steps = use === undefined ? [] : (protocolOf(lot, use)?.steps ?? [])
  return steps.some(({ op }) => op === 'infuse-water') && !isDrink(lot)
}

/** So much of a food as it is served: a drink is poured, and a gram of it taken as a millilitre. @example formatServed(tea, 150) // '150 mL' */
export function formatServed(lot: LotState, served_g: number): string {
  return isDrink(lot) ? formatVolume(served_g) : formatMass(served_g)
}

/** Whether what is in hand is a drink that was strained off. */
export function isDrink(lot: LotState): boolean {
  return lot.strainedAt !== null || strandsOf(lot).every((strand) => strand.lot.strainedAt !== null)
}
