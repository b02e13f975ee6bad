import type { Catalogue } from '../flora/catalogue'
import type { Season, Taxon } from '../flora/taxon'
import { clear } from './clear'

/**
 * The tells that a cook is asked for when everything looks as the record's typical plant does, in the order of asking: what a
 * field card shows. Stops where the gate would open, or where nothing is left to ask.
 */
export function tellsToSee(taxon: Taxon, catalogue: Catalogue, season?: Season): readonly string[] {
  const observed: Record<string, readonly string[]> = {}
  for (;;) {
    const { gate, next } = clear(
      { taxon: taxon.scientificName, observed, ...(season === undefined ? {} : { season }) },
      catalogue,
    )
    const character = next[0]?.character
    if (gate === 'open' || character === undefined) return Object.keys(observed)
    observed[character] = (taxon.characters[character] ?? []).slice(0, 1)
  }
}
