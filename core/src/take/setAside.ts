import { findTaxon, type Catalogue } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import type { PatchId } from '../log/entry'
import type { Instant } from '../quantity/instant'
import { removalOf, type Removal } from './removal'

/** What the plants of one stand are kept for; who is cut for the pot bears no flower, and a flower picked no fruit. */
export const PURPOSES = ['greens', 'flowers', 'fruit', 'bark', 'sap', 'digging', 'fibre', 'seed', 'guests'] as const
export type Purpose = (typeof PURPOSES)[number]

/** What each share is for, as it is told. */
export const PURPOSE_WORDS: Readonly<Record<Purpose, string>> = {
  greens: 'leaves and tops',
  flowers: 'buds and flowers',
  fruit: 'fruit and seed to eat',
  bark: 'bark',
  sap: 'sap',
  digging: 'what is dug',
  fibre: 'long fibre',
  seed: 'left to seed',
  guests: 'bees and other guests',
}

const PURPOSE_OF: Readonly<Record<Removal, Purpose>> = {
  leaf: 'greens',
  top: 'greens',
  flower: 'flowers',
  fruit: 'fruit',
  bark: 'bark',
  sap: 'sap',
  whole: 'digging',
}

/** Nothing is picked of these: they are what is left. */
const LEFT: readonly Purpose[] = ['fibre', 'seed', 'guests']

/** Shares of a stand, 0 to 1, all together at most 1; what is in none of them is for any purpose. */
export type SetAsideShares = Readonly<Partial<Record<Purpose, number>>>

/** What one plant of a patch was shared out for, from a moment on. */
export interface SetAside {
  readonly at: Instant
  readonly taxon: string
  readonly shares: SetAsideShares
}

/** What a picked part is taken for. */
export function purposeOf(part: Part): Purpose {
  return PURPOSE_OF[removalOf(part)]
}

/** The purposes a plant may be shared out among: what is eaten of it, and what is left. */
export function purposesOf({ uses }: Taxon): readonly Purpose[] {
  const eaten = new Set(uses.filter(({ verdict }) => verdict !== 'never').map(({ part }) => purposeOf(part)))
  return PURPOSES.filter((purpose) => LEFT.includes(purpose) || eaten.has(purpose))
}

/** How a plant of a patch was shared out at an instant; undefined where it never was. */
export function setAsideAt(
  {
    house,
    catalogue,
  }: {
    readonly house: { readonly setAside: Readonly<Record<PatchId, readonly SetAside[]>> }
    readonly catalogue: Catalogue
  },
  patch: PatchId,
  taxon: Taxon,
  at: Instant,
): SetAsideShares | undefined {
  return house.setAside[patch]?.findLast((each) => each.at <= at && findTaxon(catalogue, each.taxon) === taxon)?.shares
}

/**
 * So many of what stands may be taken for a part: its own share and what is set aside for nothing, rounded down.
 * @param pieces what stood there, whole pieces
 */
export function keptFor(pieces: number, shares: SetAsideShares, part: Part): number {
  const own = purposeOf(part)
  const others = PURPOSES.reduce((sum, purpose) => sum + (purpose === own ? 0 : (shares[purpose] ?? 0)), 0)
  // A hair is let go, so that a tenth of thirty is three whatever the rounding of the shares.
  return Math.floor(pieces * Math.max(0, 1 - others) + 1e-9)
}
