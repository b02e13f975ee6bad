import { findTaxon, type Catalogue } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import type { EaterId } from '../log/entry'
import type { BookState } from '../log/fold'
import { isBegun, strandsOf, type LotState, type Serving } from '../lot/lotState'
import { dayOf, type Instant } from '../quantity/instant'

export interface EatenServing {
  readonly lot: LotState
  readonly serving: Serving
  readonly mass_g: number
  /** The same food as trimmed raw mass, so that dishes compare. */
  readonly raw_g: number
}

/** All that an eater ate of a plant, oldest first. Of a batch, only what of it was that plant. */
export function eatenBy(book: BookState, catalogue: Catalogue, eater: EaterId, taxon: Taxon): readonly EatenServing[] {
  return [...book.lots.values()]
    .filter(({ servings }) => servings.length > 0)
    .flatMap((lot) =>
      lot.servings.flatMap((serving) => {
        // A serving dated back to before its lot was weighed in is still of that lot.
        const food = isBegun(serving.lotThen) ? serving.lotThen : lot
        const strands = strandsOf(food).filter(
          ({ lot: { weighedIn } }) => weighedIn !== null && findTaxon(catalogue, weighedIn.taxon) === taxon,
        )
        const share = strands.reduce((sum, strand) => sum + strand.share, 0)
        return share === 0
          ? []
          : serving.portions
              .filter((portion) => portion.eater === eater)
              .map(({ mass_g }) => ({
                lot,
                serving,
                mass_g: mass_g * share,
                raw_g: mass_g * share * rawPerServed(serving.lotThen),
              }))
      }),
    )
    .sort((a, b) => (a.serving.at < b.serving.at ? -1 : 1))
}

/** What an eater ate of a plant on one calendar day, as trimmed raw mass, g. */
export function rawEatenOn(input: {
  book: BookState
  catalogue: Catalogue
  eater: EaterId
  taxon: Taxon
  at: Instant
  timeZone: string
}): number {
  const { book, catalogue, eater, taxon, at, timeZone } = input
  return eatenBy(book, catalogue, eater, taxon)
    .filter(({ serving }) => dayOf(serving.at, timeZone) === dayOf(at, timeZone))
    .reduce((sum, { raw_g }) => sum + raw_g, 0)
}

/** Grams of trimmed raw food in a gram as served: what went into the first treatment over what was weighed after it; 1 where not weighed, never below 1. A batch is as its most shrunken constituent, and then its own. */
export function rawPerServed(lot: LotState): number {
  const before_g = lot.runs[0]?.lotMass_g
  const own =
    before_g === undefined || lot.drained === null || lot.drained.mass_g <= 0
      ? 1
      : Math.max(1, before_g / lot.drained.mass_g)
  return own * Math.max(1, ...lot.joined.map(({ lotThen }) => rawPerServed(lotThen)))
}
