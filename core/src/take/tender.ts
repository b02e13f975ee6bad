import { findTaxon } from '../flora/catalogue'
import type { Taxon, Use } from '../flora/taxon'
import type { JudgeContext } from '../gates/verdict'
import { EIGHTY } from '../outing/effort'
import { mean } from '../quantity/average'
import type { Range } from '../quantity/range'

/** Where a cook's own tips snapped, and what one gives when it is broken at each joint. */
export interface OwnTender {
  /** Four of five tips lie in the range. */
  readonly length_cm: Range
  readonly tips: number
  readonly pickings: number
  /** From the tip down: what a tip weighs that is broken below so many joints, of so many that were weighed. */
  readonly byJoint: readonly { readonly joints: number; readonly each_g: number; readonly tips: number }[]
}

/** Before many tips of one's own: they differ by a quarter, as sure as three tips would make it [planning values]. */
const PRIOR_SPREAD = 0.25
const PRIOR_TIPS = 3

/**
 * The length at which tips of a plant snap for this cook, from all tips noted of that part at that stage: mean, and the middle four
 * fifths of a normal spread whose variance is drawn from a planning value to the tips' own. Undefined before the first tip.
 */
export function ownTender(
  taxon: Taxon,
  { part, stage }: Pick<Use, 'part' | 'stage'>,
  { book, catalogue }: Pick<JudgeContext, 'book' | 'catalogue'>,
): OwnTender | undefined {
  const pickings = [...book.lots.values()].filter(
    ({ weighedIn, from, snaps }) =>
      snaps.length > 0 &&
      from.length === 0 &&
      weighedIn?.part === part &&
      weighedIn.stage === stage &&
      findTaxon(catalogue, weighedIn.taxon) === taxon,
  )
  const tips = pickings.flatMap(({ snaps }) => snaps)
  if (tips.length === 0) return undefined
  const usual = mean(tips.map(({ length_cm }) => length_cm))
  const squares = tips.reduce((sum, { length_cm }) => sum + (length_cm - usual) ** 2, 0)
  const sd = Math.sqrt((PRIOR_TIPS * (PRIOR_SPREAD * usual) ** 2 + squares) / (PRIOR_TIPS + tips.length - 1))
  const joints = [...new Set(tips.flatMap((tip) => (tip.joints === undefined ? [] : [tip.joints])))]
  return {
    length_cm: { low: Math.max(0, usual - EIGHTY * sd), usual, high: usual + EIGHTY * sd },
    tips: tips.length,
    pickings: pickings.length,
    byJoint: joints
      .toSorted((a, b) => a - b)
      .flatMap((count) => {
        const weights = tips.flatMap((tip) => (tip.joints === count && tip.mass_g !== undefined ? [tip.mass_g] : []))
        return weights.length === 0 ? [] : [{ joints: count, each_g: mean(weights), tips: weights.length }]
      }),
  }
}
