import type { Catalogue } from '../flora/catalogue'
import type { Season, Taxon } from '../flora/taxon'
import { clear } from './clear'
import { marksAmong } from './familyMarks'

/**
 * The tells that a cook is asked for when everything looks as the record's typical plant does, in the order of asking: what a
 * field card shows. First what parts it from its doubles, then what its family is held to. Stops where the gate would open, or where nothing
 * is left to ask.
 */
export function tellsToSee(taxon: Taxon, catalogue: Catalogue, season?: Season): readonly string[] {
  const observed: Record<string, readonly string[]> = {}
  const when = season === undefined ? {} : { season }
  for (;;) {
    const { gate, next } = clear({ taxon: taxon.scientificName, observed, ...when }, catalogue)
    const character = gate === 'open' ? marksAmong(taxon, { observed, ...when })?.open[0] : next[0]?.character
    if (character === undefined) return Object.keys(observed)
    observed[character] = (taxon.characters[character] ?? []).slice(0, 1)
  }
}
