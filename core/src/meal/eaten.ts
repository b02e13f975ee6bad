import { findTaxon, type Catalogue } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import type { EaterId } from '../log/entry'
import type { BookState } from '../log/fold'
import type { LotState, Serving } from '../lot/lotState'
import { dayOf, type Instant } from '../quantity/instant'

export interface EatenServing {
  readonly lot: LotState
  readonly serving: Serving
  readonly mass_g: number
  /** The same food as trimmed raw mass, so that dishes compare. */
  readonly raw_g: number
}

/** All that an eater ate of a plant, oldest first. */
export function eatenBy(book: BookState, catalogue: Catalogue, eater: EaterId, taxon: Taxon): readonly EatenServing[] {
  return [...book.lots.values()]
    .filter(({ weighedIn }) => weighedIn !== null && findTaxon(catalogue, weighedIn.taxon) === taxon)
    .flatMap((lot) =>
      lot.servings.flatMap((serving) =>
        serving.portions
          .filter((portion) => portion.eater === eater)
          .map(({ mass_g }) => ({ lot, serving, mass_g, raw_g: mass_g * rawPerServed(serving.lotThen) })),
      ),
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

/** Grams of trimmed raw food in a gram as served: what went into the first treatment over what was weighed after it; 1 where not weighed, never below 1. */
export function rawPerServed(lot: LotState): number {
  const before_g = lot.runs[0]?.lotMass_g
  return before_g === undefined || lot.drained === null || lot.drained.mass_g <= 0
    ? 1
    : Math.max(1, before_g / lot.drained.mass_g)
}
