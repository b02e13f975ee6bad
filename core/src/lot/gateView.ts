import { judge } from '../gates/judge'
import { GATES, type Gate, type GateState, type GateVerdict, type JudgeContext } from '../gates/verdict'
import { isBegun, USED_UP_g, type LotState } from './lotState'
import { onceEach } from './onceEach'

/** A gate as it is drawn: its verdict, or ahead when its turn has not come. */
export interface GateView extends Omit<GateVerdict, 'state'> {
  readonly state: GateState | 'ahead'
}

/** Gates that may be worked at in any order; the rest wait for those before them. */
const NO_QUEUE: readonly Gate[] = ['identity', 'ground', 'take']
/** The eight gates of a lot in order. Keep and Plate are passed when all of it is packed or served. */
export const gateViews: (lot: LotState, context: JudgeContext) => readonly GateView[] = onceEach(judgeAll)

function judgeAll(lot: LotState, context: JudgeContext): readonly GateView[] {
  let queueHeld = false
  return GATES.map((gate) => {
    const verdict = judge(gate, lot, context)
    const view = passed(gate, lot) ? { ...verdict, state: 'open' as const, reasons: [] } : verdict
    const waits = queueHeld && view.state === 'ajar' && !NO_QUEUE.includes(gate)
    if (view.state !== 'open' && gate !== 'keep') queueHeld = true
    return waits ? { ...view, state: 'ahead' as const } : view
  })
}

/** The first gate in order that is not open; undefined when all are. */
export function firstShut(views: readonly GateView[]): GateView | undefined {
  return views.find(({ state }) => state !== 'open')
}

/** Whether nothing of the lot is in hand any more. */
export function isUsedUp(lot: LotState): boolean {
  return isBegun(lot) && lot.mass_g < USED_UP_g
}

function passed(gate: Gate, lot: LotState): boolean {
  if (gate === 'keep') return isUsedUp(lot)
  return gate === 'plate' && lot.servings.length > 0 && isUsedUp(lot)
}
