import { findTaxon } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import type { PatchId } from '../log/entry'
import type { JudgeContext } from '../gates/verdict'
import type { ScoreFact } from '../lot/lotState'
import { addDays, type Instant } from '../quantity/instant'
import { allowanceFor } from './rest'

/** One plant of a stand, by all that was ever bitten of it. */
export interface RankedPlant {
  readonly plant: string
  /** Of this season and of earlier ones together, 0 to 10; few bites are drawn to the middle. */
  readonly liking: number
  readonly bites: number
  /** Of them from earlier seasons. */
  readonly remembered: number
  readonly gives: number | undefined
  readonly light: ScoreFact['light']
  readonly lastAt: Instant
}

/** A bite of an earlier season counts half: trees keep their nature, and years and weather differ [planning value]. */
const REMEMBERED = 0.5
const SEASON_days = 240
/** Before any bite a plant is as good as its stand's middle, as sure as one bite makes it. */
const PRIOR_BITES = 1

/**
 * The plants of a stand that were bitten of, the best first (TAS-1): mean liking, shrunk to the stand's own mean by how few bites there
 * are; last year's bites count half. What one plant tastes of says nothing of its neighbour, and nothing of what it is.
 */
export function rankStand(
  where: { readonly patch: PatchId; readonly taxon: Taxon; readonly part: Part },
  { book, catalogue, now }: JudgeContext,
): readonly RankedPlant[] {
  const scores = [...book.lots.values()]
    .filter(
      ({ weighedIn, from }) =>
        weighedIn !== null &&
        from.length === 0 &&
        weighedIn.patch === where.patch &&
        weighedIn.part === where.part &&
        findTaxon(catalogue, weighedIn.taxon) === where.taxon,
    )
    .flatMap((lot) => lot.scores)
    .filter(({ at }) => at <= now)
    .toSorted((a, b) => (a.at < b.at ? -1 : 1))
  const seasonFrom = addDays(now, -SEASON_days)
  const weight = ({ at }: ScoreFact) => (at >= seasonFrom ? 1 : REMEMBERED)
  const total = (some: readonly ScoreFact[]) => some.reduce((sum, each) => sum + weight(each), 0)
  const liked = (some: readonly ScoreFact[]) => some.reduce((sum, each) => sum + weight(each) * each.liking, 0)
  const middle = scores.length === 0 ? 0 : liked(scores) / total(scores)
  const byPlant = new Map<string, ScoreFact[]>()
  for (const score of scores) {
    const key = plantKey(score.plant)
    byPlant.set(key, [...(byPlant.get(key) ?? []), score])
  }
  return [...byPlant.values()]
    .map((bites): RankedPlant => {
      const last = bites.at(-1) as ScoreFact
      return {
        plant: last.plant,
        liking: (liked(bites) + PRIOR_BITES * middle) / (total(bites) + PRIOR_BITES),
        bites: bites.length,
        remembered: bites.filter(({ at }) => at < seasonFrom).length,
        gives: bites.findLast(({ gives, at }) => gives !== undefined && at >= seasonFrom)?.gives,
        light: bites.findLast(({ light }) => light !== undefined)?.light,
        lastAt: last.at,
      }
    })
    .toSorted((a, b) => b.liking - a.liking || (plantKey(a.plant) < plantKey(b.plant) ? -1 : 1))
}

/** "Third from the gate" and "third  from the gate" are one plant. */
export function plantKey(plant: string): string {
  return plant.trim().toLowerCase().replace(/\s+/g, ' ')
}

/** Not worth carrying home while there is better. */
const WORTH_IT = 4

/**
 * What a stand allows, shared out by rank: the best gives what it can, within its fair share, then the next, until the allowance is
 * spent or only what nobody likes is left. A plant whose gift was not told this season is passed by.
 * @param left pieces that the whole stand still allows
 * @param shareOf of what one plant carries, how much may be cut, 0 to 1
 */
export function shareByRank(
  ranked: readonly RankedPlant[],
  left: number,
  shareOf: number,
): readonly { readonly plant: string; readonly pieces: number }[] {
  // prettier-ignore
  let spare = Math.max(0, Math.floor(left))
  return ranked.flatMap(({ plant, gives, liking }) => {
    if (gives === undefined || liking < WORTH_IT || spare === 0) return []
    const pieces = Math.min(spare, Math.floor(gives * Math.min(1, Math.max(0, shareOf))))
    spare -= pieces
    return pieces === 0 ? [] : [{ plant, pieces }]
  })
}

export interface AlongStand {
  readonly ranked: readonly RankedPlant[]
  /** What the stand still allows, shared out by rank; undefined where nobody counted it. */
  readonly shared: { readonly left: number; readonly by: ReturnType<typeof shareByRank> } | undefined
}

/** The plants of a stand by rank, and what it still allows shared out among them, as it was last counted there. */
export function alongStand(
  where: { readonly patch: PatchId; readonly taxon: Taxon; readonly part: Part },
  context: JudgeContext,
): AlongStand {
  const { book, catalogue, now } = context
  const ranked = rankStand(where, context)
  const counted = [...book.lots.values()]
    .filter(
      ({ weighedIn, stand }) =>
        stand !== null &&
        stand.at <= now &&
        weighedIn?.patch === where.patch &&
        weighedIn.part === where.part &&
        findTaxon(catalogue, weighedIn.taxon) === where.taxon,
    )
    .flatMap(({ stand }) => stand ?? [])
    .toSorted((a, b) => (a.at < b.at ? -1 : 1))
    .at(-1)
  if (counted === undefined) return { ranked, shared: undefined }
  const stems = Math.max(0, counted.stems - counted.taken)
  const { left, before, share } = allowanceFor(
    { lot: null, ...where, at: now, byOthers: 0 },
    { ...counted, stems },
    { lots: book.lots, house: book.house, catalogue },
  )
  const stood = stems + before
  return { ranked, shared: { left, by: shareByRank(ranked, left, stood === 0 ? 0 : share.pieces / stood) } }
}
