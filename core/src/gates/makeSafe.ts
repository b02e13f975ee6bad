import { findTaxon } from '../flora/catalogue'
import { hazardLedger } from '../treatment/ledger'
import type { LotState } from '../lot/lotState'
import { isTreating, lotUse, protocolOf, treatmentProgress } from '../treatment/progress'
import { closedBy, finding, type Finding, type JudgeContext } from './verdict'

/**
 * Opens when every hazard has its answer: a control done within its critical limit on the whole lot, a ground fact, an
 * amount, a person who must not; a refusal, or a hazard without an answer, shuts it.
 */
export function makeSafeGate(lot: LotState, { book, catalogue }: JudgeContext): Finding {
  const taxon = lot.weighedIn === null ? undefined : findTaxon(catalogue, lot.weighedIn.taxon)
  const use = taxon === undefined ? undefined : lotUse(lot, taxon)
  if (use === undefined) return closedBy('Nothing is on record about eating this part at this stage.')
  const protocol = protocolOf(lot, use)
  const ledger = hazardLedger(lot, use, protocol, book.house)
  const refused = ledger.filter(({ state }) => state === 'refused').map(({ text }) => text)
  if (refused.length > 0) return closedBy(...refused)
  if (protocol === undefined) return closedBy('The record holds no accepted way to make this safe.')
  const progress = treatmentProgress(lot, protocol, use, book.house)
  const goal = lot.way?.goal ?? 'eat'
  const undone = progress.steps.filter(({ step, met }) => isTreating(step, goal) && !met)
  const missed = undone.flatMap(({ missed: misses, step }) =>
    misses.map(({ run, why }) => `Load ${run.load} does not count for the ${step.op}: ${why}. Do it again.`),
  )
  const due = undone.map(({ step, covered_g, toCover_g }) =>
    covered_g === 0
      ? `Still to do: ${step.op}.`
      : `${step.op}: ${Math.round(covered_g)} of ${Math.round(toCover_g)} g are done.`,
  )
  const unanswered = ledger.filter(({ state }) => state === 'due').map(({ text }) => text)
  return finding(
    [],
    [...missed, ...due, ...unanswered],
    ledger.map(({ text }) => text),
  )
}
