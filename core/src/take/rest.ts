import { findTaxon, type Catalogue } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import type { PatchId } from '../log/entry'
import type { BookState } from '../log/fold'
import type { StandFact } from '../lot/lotState'
import { addDays, type Instant } from '../quantity/instant'
import { fairShare, restYears } from './share'

export interface Picking {
  readonly over: boolean
  readonly fair: number
  readonly text: string
}

/** A picking held against the fair share of its stand. */
export function pickingOf(taxon: Taxon, part: Part, stand: StandFact): Picking {
  const { stems, taken, wildlifeOn, othersPick, clone = false, school } = stand
  const share = fairShare({
    taxon,
    part,
    stand: { pieces: stems },
    wildlifeOn,
    othersPick,
    clone,
    ...(school === null ? {} : { school }),
  })
  const over = taken > share.pieces
  const excess = `${taken} cut, ${share.pieces} was fair (${share.text}) Food, yes; the patch rests.`
  return { over, fair: share.pieces, text: over ? excess : `${taken} cut. ${share.text}` }
}

/** Until when a patch rests from a plant after more than its share was taken; undefined when it does not rest. */
export function restsUntil(
  book: BookState,
  catalogue: Catalogue,
  patch: PatchId,
  taxonName: string,
): Instant | undefined {
  const taxon = findTaxon(catalogue, taxonName)
  if (taxon === undefined) return undefined
  const ends = [...book.lots.values()].flatMap(({ weighedIn, stand, from }) => {
    // A part split off was picked once, as the whole.
    const same = from.length === 0 && weighedIn?.patch === patch && findTaxon(catalogue, weighedIn.taxon) === taxon
    return same && stand !== null && pickingOf(taxon, weighedIn.part, stand).over
      ? [addDays(stand.at, Math.round(restYears(taxon) * 365.25))]
      : []
  })
  return ends.sort().at(-1)
}
