import { freshnessOf } from '../freshness/freshness'
import { findTaxon, findUse } from '../flora/catalogue'
import { recallsOf } from '../lot/kin'
import { illAfter } from '../meal/illHold'
import { strandsOf, USED_UP_g, type LotState } from '../lot/lotState'
import { ajarFor, closedBy, finding, openWith, worstOf, type Finding, type JudgeContext } from './verdict'

/** Opens when only the edible part at an edible stage goes on: sorted, trimmed, shaken out or washed in fit water, weighed; and none of it past its life. */
export function sortGate(lot: LotState, context: JudgeContext): Finding {
  const turned = recallsOf(lot, context.book).flatMap((recall) =>
    recall.what === 'food' ? [`It has turned bad: ${recall.why}`] : [],
  )
  const ill = illAfter(lot, context.book).map(
    ({ illness, dish }) =>
      `${context.book.house.eaters[illness.eater]?.name ?? illness.eater} felt ill after eating of the same picking (${dish}): nobody eats of it, nothing of it is stored, and none goes on, until a doctor or a poison centre says that it was not the food. Keep a sample.`,
  )
  const closed = [...turned, ...ill, ...pastItsLife(lot, context)]
  return worstOf([finding(closed, [], []), ...strandsOf(lot).map((strand) => pickingSort(strand.lot, context))])
}

/** What is left of a lot in hand when its life is over; what a pack holds has a life of its own, which Plate asks for. */
function pastItsLife(lot: LotState, context: JudgeContext): readonly string[] {
  return lot.asPack !== null || lot.mass_g < USED_UP_g ? [] : freshnessOf(lot, context).must
}

function pickingSort(lot: LotState, { catalogue }: JudgeContext): Finding {
  const { weighedIn, sorted } = lot
  const taxon = weighedIn === null ? undefined : findTaxon(catalogue, weighedIn.taxon)
  if (weighedIn === null || taxon === undefined) return closedBy('This plant is not in the catalogue.')
  const use = findUse(taxon, weighedIn.part, sorted?.stageSeen ?? weighedIn.stage)
  if (use === undefined)
    return closedBy(taxon.neverFood ?? 'Nothing is on record about eating this part at this stage.')
  if (use.verdict === 'never') return closedBy(neverReason(use.whyNever, use.instead))
  if (sorted === null) return ajarFor('Go through it piece by piece, trim it, and weigh what goes on.')
  if (sorted.wash?.water === 'chemicals')
    return closedBy('It was washed in water with chemicals in it. Nothing takes those out.')
  if (sorted.kept_g <= 0) return closedBy('Nothing edible was left after sorting.')
  return openWith()
}

/** A refusal with what is food instead. */
export function neverReason(whyNever: string | undefined, instead: string | undefined): string {
  return `${whyNever ?? 'This part at this stage is not food.'}${instead === undefined ? '' : ` Instead: ${instead}.`}`
}
