import { FOOD_GATES, type JudgeContext } from '../gates/verdict'
import { judge } from '../gates/judge'
import { findTaxon } from '../flora/catalogue'
import { isHarmful, judgeTells } from '../identity/clear'
import { lotObservation } from '../identity/lotTells'
import type { LotState } from './lotState'

/** Whether a gate that speaks of the food itself is closed: then no plan, no yield, no tasting and no store is shown of it. */
export function isStopped(lot: LotState, context: JudgeContext): boolean {
  return FOOD_GATES.some((gate) => judge(gate, lot, context).state === 'closed')
}

/** Harmful plants of the catalogue that nothing seen on a lot contradicts: what it may have been, worst first. */
export function couldBe(
  lot: LotState,
  context: JudgeContext,
): readonly { readonly name: string; readonly severity: string }[] {
  const taxon = lot.weighedIn === null ? undefined : findTaxon(context.catalogue, lot.weighedIn.taxon)
  if (taxon === undefined) return []
  const observation = lotObservation(lot, taxon, context)
  if (Object.keys(observation.observed).length === 0) return []
  return judgeTells(observation, context.catalogue)
    .standing.filter((each) => isHarmful(each) && each.ruledOutBy.length === 0)
    .map(({ taxon: name, severity }) => ({ name, severity }))
}
