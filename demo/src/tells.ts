import { CATALOGUE, clear, requireTaxon, seasonOf, type LotId } from '@ellop/core'
import { later, minute, type Pen } from './pen'

/** Looks at one tell after another, as the core asks for them, until the plant is cleared; or only at the first few. */
export function lookAtTells(
  pen: Pen,
  { lot, taxon, day, time }: { lot: LotId; taxon: string; day: string; time: string },
  atMost = Infinity,
): void {
  const { characters } = requireTaxon(CATALOGUE, taxon)
  const observed: Record<string, readonly string[]> = {}
  for (let count = 0; count < atMost; count += 1) {
    const { gate, next } = clear({ taxon, observed, season: seasonOf(day) }, CATALOGUE)
    const character = next[0]?.character
    if (gate === 'open' || character === undefined) break
    const states = characters[character]?.slice(0, 1) ?? []
    observed[character] = states
    pen.write(minute(day, later(time, 1 + count)), { type: 'tell-seen', lot, character, answer: 'seen', states })
  }
}
