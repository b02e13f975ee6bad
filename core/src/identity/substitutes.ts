import type { Catalogue } from '../flora/catalogue'
import type { Season, Taxon } from '../flora/taxon'
import { CHARACTERS, type Part } from '../flora/vocabulary'
import { CIRCUMSTANTIAL, hasDeadlyDouble } from './clear'
import { parts } from './separation'

/** More looks than these in place of one, and waiting for the season is the better advice; chosen. */
const LOOKS_AT_MOST = 3

/** What is there to be looked at. */
export interface Sight {
  readonly season: Season
  /** What was seen, by character: it is taken first, and counts as it was seen. */
  readonly observed: Readonly<Record<string, readonly string[]>>
  /** Characters that could not be seen: they stand in for nothing. */
  readonly notVisible: readonly string[]
  readonly noDigging?: boolean
  readonly part?: Part
}

/**
 * The fewest characters that stand in for a key tell which does not show in this season (a hip hangs on a bare bush): with the key
 * tells that do show they part the plant surely from every plant on record, harmful or not, that the key tell parts it from. Each
 * is looked at besides those, and counts for a group of its own. Undefined where the key tell shows, where nothing is its equal, and
 * where a plant it is mistaken for kills: there the tell itself is waited for.
 */
export function substitutesFor(
  key: string,
  taxon: Taxon,
  { season, observed, notVisible, noDigging = false, part }: Sight,
  catalogue: Catalogue,
): readonly string[] | undefined {
  const shows = (character: string) => taxon.visible[character]?.includes(season) ?? true
  if (shows(key) || hasDeadlyDouble(taxon, part)) return undefined
  /** Whether the other plant never shows what was seen of this one, or what this one always shows. */
  const partsFrom = (character: string, other: Taxon) =>
    parts(observed[character] ?? taxon.characters[character] ?? [], other.characters[character])
  const shown = taxon.keyCharacters.filter(shows)
  const partedByKey = catalogue.taxa.filter(
    (other) => other !== taxon && partsFrom(key, other) && !shown.some((each) => partsFrom(each, other)),
  )
  const taken = new Set(taxon.keyCharacters.map(groupOf))
  const candidates = Object.keys(taxon.characters)
    .filter((character) => {
      const cost = CHARACTERS[character]?.cost
      const costly = cost === 'taste' || (cost === 'dig' && noDigging)
      return !taken.has(groupOf(character)) && shows(character) && !notVisible.includes(character) && !costly
    })
    .filter((character) => !CIRCUMSTANTIAL.includes(character))
    // What was seen comes first, what must be dug up last.
    .toSorted((a, b) => rank(a, observed) - rank(b, observed))
    .map((character) => ({ character, parts: partedByKey.map((other) => partsFrom(character, other)) }))
  for (let looks = 1; looks <= LOOKS_AT_MOST; looks += 1) {
    const found = cover(candidates, partedByKey.length, looks, [])
    if (found !== undefined) return found
  }
  return undefined
}

function rank(character: string, observed: Sight['observed']): number {
  return observed[character] !== undefined ? 0 : CHARACTERS[character]?.cost === 'dig' ? 2 : 1
}

function groupOf(character: string): string {
  return CHARACTERS[character]?.group ?? character
}

interface Candidate {
  readonly character: string
  readonly parts: readonly boolean[]
}

/** The first so many candidates, each of another group, that between them part all. */
function cover(
  candidates: readonly Candidate[],
  of: number,
  looks: number,
  chosen: readonly Candidate[],
): readonly string[] | undefined {
  if (looks === 0) {
    const all = Array.from({ length: of }, (_, index) => chosen.some(({ parts }) => parts[index] === true))
    return all.every(Boolean) ? chosen.map(({ character }) => character) : undefined
  }
  for (const [index, candidate] of candidates.entries()) {
    if (chosen.some(({ character }) => groupOf(character) === groupOf(candidate.character))) continue
    const found = cover(candidates.slice(index + 1), of, looks - 1, [...chosen, candidate])
    if (found !== undefined) return found
  }
  return undefined
}
