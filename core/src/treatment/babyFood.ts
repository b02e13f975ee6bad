import type { Goal, Use } from '../flora/taxon'
import { formatMass } from '../quantity/format'
import type { PlanEater } from './planTypes'

/** A food that a baby may have, from which month, and how much of it in a day, g of raw, trimmed food. */
export interface BabyFood {
  readonly from_months: number
  readonly atMost_g: number
}

/** Two spoonfuls of one food [planning value, after weaning advice that begins new foods by the spoon]. */
const SPOONS_g = 30
/** Ways that are hot through and soft; jam and syrup are sugar, and tea is no food of theirs. */
const COOKED: readonly Goal[] = ['eat']

/**
 * What a baby may have of a food, where the record says from which month: ordinary fruit and roots, cooked; undefined where it has none of
 * it, where the baby is younger, or where nobody said how old it is.
 */
export function babyFood(use: Use, { kind, age_months }: PlanEater, goal: Goal): BabyFood | undefined {
  if (kind !== 'infant' || age_months === undefined || !COOKED.includes(goal)) return undefined
  // Of a mixture each plant must be a food of theirs, and the latest month holds.
  const months = use.cautionFor.filter(({ who }) => who === 'infant').map((each) => each.cookedFrom_months ?? Infinity)
  const from_months = months.length === 0 ? Infinity : Math.max(...months)
  return age_months < from_months ? undefined : { from_months, atMost_g: SPOONS_g }
}

/** How a baby is given it. @example babySays({ from_months: 6, atMost_g: 30 }) // 'from 6 months, cooked soft …' */
export function babySays({ from_months, atMost_g }: BabyFood): string {
  return `from ${from_months} months, cooked soft and sieved smooth, at most ${formatMass(atMost_g)} a day, one new food at a time.`
}
