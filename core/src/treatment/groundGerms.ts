import { groundAt, type Surroundings } from '../ground/ofPatch'
import { strandsOf, type LotState } from '../lot/lotState'
import type { StepProgress } from './progress'

const FOUL_WASH = 'The water it was washed in carries germs.'

/** What lives on the ground a lot came from, or in the water that it was washed in, and heat kills, over all its strands. */
export function groundGerms(lot: LotState, surroundings: Surroundings): readonly string[] {
  const all = strandsOf(lot).flatMap(({ lot: { weighedIn, sorted } }) => [
    ...(groundAt(weighedIn, surroundings)?.verdict.living ?? []),
    ...(sorted?.wash?.water === 'germs' ? [FOUL_WASH] : []),
  ])
  return [...new Set(all)]
}

/** Wet or dry heat that goes right through what is in it. */
const HOT_THROUGH = ['boil', 'simmer', 'steam', 'pit-bake', 'bake', 'roast', 'fry', 'saute']
const KILLS_C = 70

/** Whether a step heats the food right through. */
export function isHotThrough({ step: { op, limit } }: StepProgress): boolean {
  if (limit?.measure === 'rolling-boil') return true
  if (limit?.measure === 'food-temperature') return limit.temp_C >= KILLS_C
  return HOT_THROUGH.includes(op)
}
