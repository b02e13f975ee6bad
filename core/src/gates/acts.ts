import type { LotState } from '../lot/lotState'
import { judge, type Intent } from './judge'
import type { Gate, GateVerdict, JudgeContext } from './verdict'

/** The acts that a gate can stop. */
export type Act = 'taste' | 'crumb' | 'add' | 'serve' | 'nibble' | 'pack'

/**
 * Which gates an act needs. Serving needs all but Keep; packing does not need Make safe (the pack then says NOT YET FOOD);
 * tasting needs the food to be safe and, of course, known; a crumb of a leach, chewed and spat out, comes before it is safe;
 * nothing is put to what is not known. Eaten on the way it is its own first taste.
 */
export const ACT_GATES: Readonly<Record<Act, readonly Gate[]>> = {
  taste: ['identity', 'ground', 'sort', 'makeSafe'],
  crumb: ['identity', 'ground', 'sort'],
  add: ['identity', 'ground', 'sort'],
  serve: ['identity', 'ground', 'take', 'sort', 'makeSafe', 'palate', 'plate'],
  nibble: ['identity', 'ground', 'take', 'sort', 'makeSafe', 'plate'],
  pack: ['identity', 'ground', 'sort', 'keep'],
}

/** The gates that an act needs and that are not open, in the order of the work; none means that it may be done. */
export function shutFor(act: Act, lot: LotState, context: JudgeContext, intent: Intent = {}): readonly GateVerdict[] {
  return ACT_GATES[act].map((gate) => judge(gate, lot, context, intent)).filter(({ state }) => state !== 'open')
}
