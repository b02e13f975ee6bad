import { expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { Part, Stage } from '../flora/vocabulary'
import type { Kit } from '../treatment/kit'
import { plan } from '../treatment/plan'
import { stepNotes } from './stepNotes'

/** The notes beside each step of a plan, by operation. */
function notes(taxon: string, part: Part, stage: Stage, kit?: readonly Kit[], school?: string) {
  const { steps } = plan(
    { taxon, part, stage, goal: 'eat', mass_g: 400, ...(kit && { kitchen: { kit } }), ...(school && { school }) },
    CATALOGUE,
  )
  return Object.fromEntries(steps.map(({ op }, at) => [op, stepNotes(steps, at)]))
}

it('says beside a step what a practised cook would: how what browns is cut, what floating means, how dry heat is timed', () => {
  const burdock = notes('Arctium lappa', 'root', 'dormant')
  expect(burdock['soak-acidulated']).toEqual([
    'It browns: make the bowl first, then peel and cut about 410 g at a time, straight into it. Never the whole lot before the bowl.',
  ])
  expect(burdock['simmer']).toEqual([])
  // Before the cracking and after it the same sign means two things.
  const whole = notes('Corylus avellana', 'nut', 'ripe', undefined, 'dried in the shell')['float-off'] ?? notes('Castanea sativa', 'nut', 'ripe')['float-off'] // prettier-ignore
  expect(whole).toEqual(['Whole, what floats is empty or wormy: throw it out. After cracking it would be shell.'])
  const bare = { critical: false, control: [] }
  for (const op of ['crack', 'shell'])
    expect(stepNotes([{ op, ...bare }, { op: 'float-off', ...bare }], 1)).toEqual(['Cracked, what floats is shell: skim it off, the kernels sink.']) // prettier-ignore
  const roast = (kit: readonly Kit[]) => notes('Allium tricoccum', 'bulb', 'mature', kit)['roast']
  expect(roast(['oven'])).toEqual([
    'By the thickness of a piece, at the least: 10 mm 6 min, 20 mm 8 min, 30 mm 11 min, 50 mm 22 min. Many pieces take no longer than one; a thermometer in the thickest has the last word.',
  ])
  for (const kit of ['embers', 'hot-stone', 'pit'] as const)
    expect(roast([kit])?.[1]).toMatch(/^Thin pieces: .* The fire rules of the place come first/)
  expect(stepNotes([], 0)).toEqual([])
})
