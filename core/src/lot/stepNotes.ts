import { formatMass, formatSpan } from '../quantity/format'
import type { Kit } from '../treatment/kit'
import type { PlannedStep } from '../treatment/planTypes'

const CRACKING = ['crack', 'shell']
const IN_THE_OPEN: readonly Kit[] = ['embers', 'hot-stone', 'pit']

/**
 * What a practised cook says beside a step, from what stands before it and what it is done with: how what browns is cut, what floating
 * means, how dry heat is timed. Planning values; what the record says of the step outranks them.
 */
export function stepNotes(steps: readonly PlannedStep[], at: number): readonly string[] {
  const step = steps[at]
  if (step === undefined) return []
  const { op, atATime_g, byPiece, on } = step
  const before = steps.slice(0, at)
  const notes: string[] = []
  if (atATime_g !== undefined)
    notes.push(
      `It browns: make the bowl first, then peel and cut about ${formatMass(atATime_g)} at a time, straight into it. Never the whole lot before the bowl.`,
    )
  if (op === 'float-off') {
    const cracked = before.some((each) => CRACKING.includes(each.op))
    notes.push(
      cracked
        ? 'Cracked, what floats is shell: skim it off, the kernels sink.'
        : 'Whole, what floats is empty or wormy: throw it out. After cracking it would be shell.',
    )
  }
  if (byPiece !== undefined && byPiece.length > 0)
    notes.push(
      `By the thickness of a piece, at the least: ${byPiece
        .map(({ size_mm, atLeast_min }) => `${size_mm} mm ${formatSpan(atLeast_min)}`)
        .join(', ')}. Many pieces take no longer than one; a thermometer in the thickest has the last word.`,
    )
  if (on !== undefined && IN_THE_OPEN.includes(on))
    notes.push(
      'Thin pieces: thick ones char outside before the middle is hot. The fire rules of the place come first, and the fire is out and cold before you go.',
    )
  return notes
}
