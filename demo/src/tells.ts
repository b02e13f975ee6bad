import { CATALOGUE, requireTaxon, seasonOf, tellsToSee, type LotId } from '@ellop/core'
import { later, minute, type Pen } from './pen'

/** Looks at one tell after another, as the core asks for them, until the plant is cleared; or only at the first few. */
export function lookAtTells(
  pen: Pen,
  { lot, taxon: name, day, time }: { lot: LotId; taxon: string; day: string; time: string },
  atMost = Infinity,
): void {
  const taxon = requireTaxon(CATALOGUE, name)
  for (const [index, character] of tellsToSee(taxon, CATALOGUE, seasonOf(day)).slice(0, atMost).entries()) {
    const states = (taxon.characters[character] ?? []).slice(0, 1)
    pen.write(minute(day, later(time, 1 + index)), { type: 'tell-seen', lot, character, answer: 'seen', states })
  }
}
