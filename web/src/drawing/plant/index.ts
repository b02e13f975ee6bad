import type { ReactNode } from 'react'
import { FLOWER_STATES } from './flower'
import { FRUIT_STATES } from './fruit'
import { LEAF_STATES } from './leaf'
import { STEM_STATES } from './stem'
import { UNDER_STATES } from './under'
import { WHOLE_STATES } from './whole'
import { WOODY_STATES } from './woody'

const STATES: Readonly<Record<string, Readonly<Record<string, () => ReactNode>>>> = {
  ...WHOLE_STATES,
  ...LEAF_STATES,
  ...STEM_STATES,
  ...FLOWER_STATES,
  ...FRUIT_STATES,
  ...UNDER_STATES,
  ...WOODY_STATES,
}

/** The drawing of one state of one character, 80 by 80; undefined for what cannot be drawn (scent, taste, places). */
export function drawState(character: string, state: string): ReactNode | undefined {
  return STATES[character]?.[state]?.()
}
