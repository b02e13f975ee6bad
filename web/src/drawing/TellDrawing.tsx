import { plainWords, tellLabel } from '@ellop/core'
import { drawState } from './plant'
import { inUnits } from '../units/units'

/** A schematic of one state of one character; nothing where it cannot be drawn. Told in words where no words stand beside it. */
export function TellDrawing({ character, state, told = false }: { character: string; state: string; told?: boolean }) {
  const drawing = drawState(character, state)
  if (drawing === undefined) return null
  const label = `${tellLabel(character)}: ${inUnits(plainWords(state))}`
  return (
    <svg
      viewBox="0 0 80 80"
      className="tell-drawing"
      {...(told ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {drawing}
    </svg>
  )
}
