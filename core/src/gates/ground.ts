import { findTaxon } from '../flora/catalogue'
import { groundVerdict } from '../ground/verdict'
import { recallsOf } from '../lot/kin'
import { strandsOf, type LotState } from '../lot/lotState'
import { formatList } from '../quantity/format'
import { ajarFor, closedBy, finding, worstOf, type Finding, type JudgeContext } from './verdict'

/** Opens when the patch's history, distances and permission allow this plant there; a stale fact is asked again; a recall shuts it. */
export function groundGate(lot: LotState, context: JudgeContext): Finding {
  const recalled = recallsOf(lot, context.book).flatMap((recall) =>
    recall.what === 'patch'
      ? [`${context.book.house.patches[recall.patch]?.name ?? recall.patch} is recalled: ${recall.why}`]
      : [],
  )
  return worstOf([finding(recalled, [], []), ...strandsOf(lot).map((strand) => pickingGround(strand.lot, context))])
}

function pickingGround(lot: LotState, { book, catalogue, now }: JudgeContext): Finding {
  const taxon = lot.weighedIn === null ? undefined : findTaxon(catalogue, lot.weighedIn.taxon)
  const patch = lot.weighedIn === null ? undefined : book.house.patches[lot.weighedIn.patch]
  if (taxon === undefined) return closedBy('This plant is not in the catalogue.')
  if (patch === undefined) return ajarFor('Nothing is known of this patch yet.')
  const { closed, toAsk, remarks } = groundVerdict(taxon, patch.facts, patch.name, now)
  return finding(closed, toAsk.length === 0 ? [] : [`Still to be asked: ${formatList(toAsk)}.`], remarks)
}
