import { findTaxon } from '../flora/catalogue'
import type { Store } from '../flora/taxon'
import { STANDS_AT_MOST_MINUTES, stoodMinutes, stoodReason, storeRule, type StoredAs } from '../keep/storage'
import type { LotState } from '../lot/lotState'
import { formatTemp } from '../quantity/format'
import { isTreating, lotUse, protocolOf, treatmentProgress } from '../treatment/progress'
import { ajarFor, closedBy, openWith, type Finding, type JudgeContext } from './verdict'

/** How a cook means to keep part of a lot. */
export interface KeepIntent {
  readonly store: Store
  readonly storeTemp_C: number | null
}

/** Opens when the record allows this store for this part, its limit was measured, and so it has a discard-by moment. */
export function keepGate(lot: LotState, context: JudgeContext, intent: KeepIntent | undefined): Finding {
  const use = keepUse(lot, context)
  if (use === undefined || use.stores.length === 0) return closedBy('No way of keeping this is on record.')
  if (intent === undefined) return ajarFor('Choose a store for what is not eaten now.')
  const as = storedAs(lot, context)
  const rule = storeRule(use, intent.store, as)
  if (rule === undefined) {
    const ways = use.stores.filter(({ after }) => after === as).map(({ store }) => store)
    return closedBy(
      `The record does not keep it ${intent.store} as it is (${as}). It allows: ${ways.join(', ') || 'nothing as it is'}.`,
    )
  }
  const stood = as === 'treated' ? stoodMinutes(lot, context.now) : 0
  if (stood > STANDS_AT_MOST_MINUTES) return closedBy(stoodReason(stood))
  if (rule.limit.measure === 'dried-to') return openWith(rule.says)
  const most = formatTemp(rule.limit.atMost_C)
  if (intent.storeTemp_C === null) return ajarFor(`Measure the store: it must be at ${most} or below.`)
  if (intent.storeTemp_C > rule.limit.atMost_C)
    return closedBy(`The store is at ${formatTemp(intent.storeTemp_C)}; it must be at ${most} or below.`)
  return openWith(rule.says)
}

/** What had been done to the lot: dried within its limit, made safe, or neither. */
export function storedAs(lot: LotState, context: JudgeContext): StoredAs {
  const use = keepUse(lot, context)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  if (use === undefined || protocol === undefined) return 'raw'
  const { steps, complete } = treatmentProgress(lot, protocol, use, context.book.house)
  if (steps.some(({ step, met }) => step.op === 'dry' && met)) return 'dried'
  return complete && steps.some(({ step }) => isTreating(step, lot.way?.goal ?? 'eat')) ? 'treated' : 'raw'
}

function keepUse(lot: LotState, { catalogue }: JudgeContext) {
  const taxon = lot.weighedIn === null ? undefined : findTaxon(catalogue, lot.weighedIn.taxon)
  return taxon === undefined ? undefined : lotUse(lot, taxon)
}
