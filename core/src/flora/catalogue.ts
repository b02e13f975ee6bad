import type { Taxon, Use } from './taxon'
import type { Part, Stage } from './vocabulary'
import { withCapital } from '../quantity/format'

/** All records at one revision. A verdict stores the revision it was judged by. */
export interface Catalogue {
  readonly revision: string
  readonly taxa: readonly Taxon[]
}

/** The record by its accepted name or a synonym, letter case aside; undefined when the catalogue has none. */
export function findTaxon(catalogue: Catalogue, name: string): Taxon | undefined {
  let names = NAMES.get(catalogue)
  if (names === undefined) {
    names = new Map(
      catalogue.taxa.flatMap((taxon) =>
        [taxon.scientificName, ...taxon.synonyms].map((each) => [each.toLowerCase(), taxon] as const),
      ),
    )
    NAMES.set(catalogue, names)
  }
  return names.get(name.trim().toLowerCase())
}

/** Names looked up once a catalogue: every gate asks for its taxon. */
const NAMES = new WeakMap<Catalogue, ReadonlyMap<string, Taxon>>()

/** As {@link findTaxon}. @throws RangeError when the catalogue has no such record: the edge should have refused it. */
export function requireTaxon(catalogue: Catalogue, name: string): Taxon {
  const taxon = findTaxon(catalogue, name)
  if (!taxon) throw new RangeError(`requireTaxon: expected a taxon of the catalogue, got ${name}`)
  return taxon
}

/** Records whose names, in any language, or family hold every word of a query; all of them for an empty one. */
export function searchCatalogue(catalogue: Catalogue, query = ''): readonly Taxon[] {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean)
  return catalogue.taxa.filter((taxon) => {
    const names = [taxon.scientificName, ...taxon.synonyms, taxon.family, ...Object.values(taxon.commonNames).flat()]
    const text = names.join(' ').toLowerCase()
    return words.every((word) => text.includes(word))
  })
}

/** The uses of a taxon that a picking of this part at this stage comes under; all parts or stages where one is left out. */
export function usesOf(taxon: Taxon, part?: Part, stage?: Stage): readonly Use[] {
  return taxon.uses.filter(
    (use) =>
      (part === undefined || use.part === part || (use.alsoCalled ?? []).includes(part)) &&
      (stage === undefined || stage === 'any' || use.stage === stage || use.stage === 'any'),
  )
}

/** The one use of this part at this stage, the refused one first where several fit. */
export function findUse(taxon: Taxon, part: Part, stage: Stage): Use | undefined {
  const uses = usesOf(taxon, part, stage)
  return uses.find((use) => use.verdict === 'never') ?? uses[0]
}

/** The name a cook would say first, as it stands inside a sentence: `nettle`, `Norway spruce`. */
export function nameInText(taxon: Taxon): string {
  return taxon.commonNames.en[0] ?? taxon.scientificName
}

/** The name a cook would say for a scientific one, inside a sentence; the scientific one where it is not on record. */
export function nameInTextOf(scientificName: string, catalogue: Catalogue): string {
  const taxon = findTaxon(catalogue, scientificName)
  return taxon === undefined ? scientificName : nameInText(taxon)
}

/** The name a cook would say first, and the part: `Nettle tops`. */
export function commonName(taxon: Taxon): string {
  return withCapital(nameInText(taxon))
}
