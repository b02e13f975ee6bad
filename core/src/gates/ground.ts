import { groundAt } from '../ground/ofPatch'
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

function pickingGround({ weighedIn }: LotState, { book, catalogue, now }: JudgeContext): Finding {
  const ground = groundAt(weighedIn, { house: book.house, catalogue, now })
  if (ground === undefined) return closedBy('This plant is not in the catalogue.')
  if (ground.patch === undefined) return ajarFor('Nothing is known of this patch yet.')
  const { closed, toAsk, living, remarks } = ground.verdict
  return finding(closed, toAsk.length === 0 ? [] : [`Still to be asked: ${formatList(toAsk)}.`], [
    ...remarks,
    ...living,
  ])
}
