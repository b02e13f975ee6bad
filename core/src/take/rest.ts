import { grouped } from '../quantity/format'
import { findTaxon, type Catalogue } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import type { LotId, PatchId } from '../log/entry'
import type { BookState } from '../log/fold'
import type { LotState, StandFact } from '../lot/lotState'
import { addDays, addMonths, type Instant } from '../quantity/instant'
import { removalOf, type Removal } from './removal'
import { keptFor, PURPOSE_WORDS, purposeOf, setAsideAt } from './setAside'
import { fairShare, restYears, type FairShare } from './share'

export interface Picking {
  /** More than the fair share: the patch rests. */
  readonly over: boolean
  /** What was left for it when it was picked: of the share, and of what the stand was set aside for. */
  readonly fair: number
  readonly text: string
}

/** What a picking is judged by: the book's lots and patches, and the catalogue. */
export interface TakeSurroundings {
  readonly lots: BookState['lots']
  readonly house: BookState['house']
  readonly catalogue: Catalogue
}

/** Leaves and tops of what bears cutting grow again within the season; all else is counted for the year [planning values]. */
const REGROWN_days: Readonly<Record<string, number>> = { high: 45, medium: 120 }
const YEAR_days = 330

/** A stand as it is counted for a picking: all of it but what was cut. */
export type Counted = Omit<StandFact, 'at' | 'taken' | 'wildlifeLooked' | 'dug'>

/** What of a stand may be cut now, and why no more. */
export interface Allowance {
  readonly share: FairShare
  /** Cut there before since it last grew back: it has drawn on the share, and stood there when the share was reckoned. */
  readonly before: number
  /** Of the share that is left. */
  readonly ofShare: number
  /** What is left of the part of the stand kept for this; undefined where it was not shared out. */
  readonly ofPurpose: number | undefined
  /** The lesser of both. */
  readonly left: number
  /** Why the purpose leaves less than the share; empty where it does not. */
  readonly purposeSays: string
}

/**
 * What a stand allows a picking. The share is common: what was cut there before, by the same cook or by others, has drawn on it. What the
 * stand was set aside for is the cook's own word: it lowers what is left and rests no patch.
 */
export function allowanceFor(draw: Draw, stand: Counted, surroundings: TakeSurroundings): Allowance {
  const { taxon, part, patch, at } = draw
  const { stems, wildlifeOn, othersPick, clone = false, school } = stand
  const before = cutBefore(draw, surroundings)
  const share = fairShare({
    taxon,
    part,
    stand: { pieces: stems + before },
    wildlifeOn,
    othersPick,
    clone,
    ...(school === null ? {} : { school }),
  })
  const ofShare = Math.max(0, share.pieces - before)
  const shares = setAsideAt(surroundings, patch, taxon, at)
  const kept = shares && keptFor(stems + before, shares, part)
  const ofPurpose = kept === undefined ? undefined : Math.max(0, kept - before)
  const less = ofPurpose !== undefined && ofPurpose < ofShare
  return {
    ...{ share, before, ofShare, ofPurpose },
    left: less ? ofPurpose : ofShare,
    purposeSays: less
      ? `Of this stand ${kept ?? 0} of ${stems + before} are kept for ${PURPOSE_WORDS[purposeOf(part)]}; the rest for what else is wanted of it.`
      : '',
  }
}

function pickingOf(draw: Draw, stand: StandFact, surroundings: TakeSurroundings): Picking {
  const { share, before, ofShare, left, purposeSays } = allowanceFor(draw, stand, surroundings)
  const { taken } = stand
  const over = taken > ofShare
  const after = before === 0 ? '' : `, after ${grouped(before)} cut there before`
  const excess = `You cut ${grouped(taken)}${after}; ${grouped(ofShare)} was fair. ${share.text} The food is not affected. Pick no more there until it has grown back.`
  const asked = taken > left && purposeSays !== '' ? ` ${purposeSays} That is ${taken - left} too many of them.` : ''
  return { over, fair: left, text: `${over ? excess : `You cut ${grouped(taken)}${after}. ${share.text}`}${asked}` }
}

/** A picking as it draws on its stand. */
export interface Draw {
  /** The lot it is or will be; none as long as it is only meant. */
  readonly lot: LotId | null
  readonly taxon: Taxon
  readonly part: Part
  readonly patch: PatchId
  readonly at: Instant
  /** Stumps of others seen there. */
  readonly byOthers: number
}

/** What had been cut of a stand before a picking, since it last grew back: by the same cook as noted, by others as seen. */
export function cutBefore(
  { lot, taxon, part, patch, at, byOthers }: Draw,
  { lots, catalogue }: Pick<TakeSurroundings, 'lots' | 'catalogue'>,
): number {
  const removal = removalOf(part)
  const since = addDays(at, -regrownAfter_days(taxon, removal))
  return standsAt(lots, patch)
    .filter(
      (other) =>
        other.lot !== lot &&
        (other.stand.at < at || (other.stand.at === at && (lot === null || other.lot < lot))) &&
        other.stand.at > since &&
        removalOf(other.part) === removal &&
        findTaxon(catalogue, other.taxon) === taxon,
    )
    .reduce((sum, other) => sum + other.stand.taken, byOthers)
}

/** A lot's picking held against what was left of the share of its stand; undefined where the stand was not counted. */
export function pickingOfLot(
  { id, stand, weighedIn }: LotState,
  taxon: Taxon,
  surroundings: TakeSurroundings,
): Picking | undefined {
  if (stand === null || weighedIn === null) return undefined
  const { part, patch } = weighedIn
  const draw = { lot: id, taxon, part, patch, at: stand.at, byOthers: stand.cutByOthers ?? 0 }
  return pickingOf(draw, stand, surroundings)
}

function regrownAfter_days({ harvestTolerance = 'low' }: Taxon, removal: Removal): number {
  const greens = removal === 'leaf' || removal === 'top'
  return greens ? (REGROWN_days[harvestTolerance] ?? YEAR_days) : YEAR_days
}

interface CountedStand {
  readonly lot: LotId
  readonly taxon: string
  readonly part: Part
  readonly stand: StandFact
}

/** Counted stands by patch; kept, since each lot of a patch asks for them and a book's state never changes. */
const STANDS = new WeakMap<BookState['lots'], ReadonlyMap<PatchId, readonly CountedStand[]>>()

function standsAt(lots: BookState['lots'], patch: PatchId): readonly CountedStand[] {
  const known = STANDS.get(lots) ?? standsByPatch(lots)
  STANDS.set(lots, known)
  return known.get(patch) ?? []
}

function standsByPatch(lots: BookState['lots']): ReadonlyMap<PatchId, readonly CountedStand[]> {
  const stands = new Map<PatchId, CountedStand[]>()
  for (const { id, stand, weighedIn, from } of lots.values()) {
    // A part split off was picked once, as the whole.
    if (stand === null || weighedIn === null || from.length > 0) continue
    const counted = { lot: id, taxon: weighedIn.taxon, part: weighedIn.part, stand }
    const there = stands.get(weighedIn.patch)
    if (there === undefined) stands.set(weighedIn.patch, [counted])
    else there.push(counted)
  }
  return stands
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
  const ends = [...book.lots.values()].flatMap((lot) => {
    const { weighedIn, stand, from } = lot
    // A part split off was picked once, as the whole.
    const same = from.length === 0 && weighedIn?.patch === patch && findTaxon(catalogue, weighedIn.taxon) === taxon
    return same && stand !== null && pickingOfLot(lot, taxon, { ...book, catalogue })?.over === true
      ? [addMonths(stand.at, Math.round(12 * restYears(taxon)))]
      : []
  })
  return ends.sort().at(-1)
}
