import { dueList, reckonDue, type DueItem, type DueReckoning, type JudgeContext } from '@ellop/core'

let reckoned: DueReckoning | undefined

/** {@link dueList} of the book that is open, reckoned on from when it was last asked for. */
export function dueNow(context: JudgeContext): readonly DueItem[] {
  reckoned = reckonDue(context, reckoned)
  return dueList(context, undefined, reckoned)
}
