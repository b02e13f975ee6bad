import { hazardLedger, type LedgerLine } from '../treatment/ledger'
import { plainWords } from '../flora/vocabulary'
import { opNoun } from '../lot/opNoun'
import { formatCount, formatList, withCapital } from '../quantity/format'
import type { LotState } from '../lot/lotState'
import { lotUse } from '../treatment/batchUse'
import { protocolOf, requiredSteps, treatmentProgress, type StepProgress } from '../treatment/progress'
import { ajarFor, closedBy, finding, openWith, worstOf, type Finding, type JudgeContext } from './verdict'

/**
 * Opens when every hazard has its answer: a control done within its critical limit on the whole lot, a ground fact, an
 * amount, a person who must not; a refusal, or a hazard without an answer, shuts it. A batch is safe when every one of its
 * constituents was, or when the whole of it has gone through the strictest treatment since.
 */
export function makeSafeGate(lot: LotState, context: JudgeContext): Finding {
  if (lot.joined.length > 0) {
    const constituents = lot.joined.map(({ lotThen }) => makeSafeGate(lotThen, context))
    const closed = constituents.find(({ state }) => state === 'closed')
    if (closed !== undefined) return closed
    if (constituents.every(({ state }) => state === 'open'))
      return openWith(...new Set(constituents.flatMap(({ reasons }) => reasons)))
    // A way that asks for nothing, and that nobody chose, makes none of them safer than it was.
    if (lot.way === null && !asksForTreatment(lot, context)) return worstOf(constituents)
  }
  return treatedInOne(lot, context)
}

/** Whether the way that the lot follows has something to be done for it; so, too, where there is no way. */
function asksForTreatment(lot: LotState, { catalogue }: JudgeContext): boolean {
  const use = lotUse(lot, catalogue)
  const protocol = use && protocolOf(lot, use)
  return use === undefined || protocol === undefined || requiredSteps(protocol, use, 'eat').length > 0
}

function treatedInOne(lot: LotState, { book, catalogue, now }: JudgeContext): Finding {
  const use = lotUse(lot, catalogue)
  if (use === undefined) return closedBy('Nothing is on record about eating this part at this stage.')
  const protocol = protocolOf(lot, use)
  const ledger = hazardLedger(lot, use, protocol, { house: book.house, catalogue, now })
  const refused = ledger.filter(({ state }) => state === 'refused').map(({ text }) => text)
  if (refused.length > 0) return closedBy(...refused)
  if (protocol === undefined)
    return closedBy(
      lot.joined.length > 0
        ? 'What was joined here needs different treatment: there is no one way for all of it.'
        : 'The record holds no accepted way to make this safe.',
    )
  if (protocol.storeOnly === true)
    return ajarFor(`Not yet food: “${protocol.name}” only keeps it. Choose a way that makes it safe.`)
  const progress = treatmentProgress(lot, protocol, use, book.house)
  const undone = progress.steps.filter(({ required, met }) => required && !met)
  const missed = undone.flatMap(({ missed: misses, step }) =>
    misses.map(({ run, why }) => `Load ${run.load} does not count for the ${opNoun(step.op)}: ${why}. Do it again.`),
  )
  const due = ledger.filter(({ state }) => state === 'due')
  const answeredBy = ({ step }: StepProgress) => due.filter(({ hazard }) => step.control.includes(hazard))
  const named = new Set(undone.filter(isUnbegun).flatMap((each) => answeredBy(each).map(({ hazard }) => hazard)))
  return finding(
    [],
    [
      ...missed,
      ...undone.map((each) => dueText(each, answeredBy(each))),
      ...due.filter(({ hazard }) => !named.has(hazard)).map(({ text }) => text),
    ],
    ledger.map(({ text }) => text),
  )
}

function isUnbegun({ covered_g, baths }: StepProgress): boolean {
  return baths === undefined && covered_g === 0
}

/** What a step still asks; not begun, also which hazards it answers, so that they need no lines of their own. */
function dueText(progress: StepProgress, against: readonly LedgerLine[]): string {
  const { step, covered_g, toCover_g, baths } = progress
  if (baths !== undefined) return bathText(withCapital(opNoun(step.op)), baths)
  const hazards = formatList(against.map(({ hazard }) => plainWords(hazard)))
  return isUnbegun(progress)
    ? `Still to do: ${plainWords(step.op)}${hazards === '' ? '' : `, against ${hazards}`}.`
    : `${withCapital(opNoun(step.op))}: ${Math.round(covered_g)} of ${Math.round(toCover_g)} g are done.`
}

function bathText(
  doing: string,
  { counted, least, running, taste, uncounted }: NonNullable<StepProgress['baths']>,
): string {
  const last = uncounted.at(-1)
  const short =
    last === undefined ? '' : ` ${formatCount(uncounted.length, 'bath')} did not count, the last because: ${last.why}.`
  if (counted < least) return `${doing}: ${counted} of at least ${least} baths are done.${short}`
  if (running !== undefined) return `${doing}: ${counted} baths are done, and it lies in another.`
  return taste === undefined
    ? `${doing}: ${counted} baths are done. Taste a crumb and spit it out.`
    : `${doing}: after ${counted} baths it still tastes ${taste} of 10. Another bath.`
}
