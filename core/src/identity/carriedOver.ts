import { findTaxon } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import type { BookState } from '../log/fold'
import { kitchenAt } from '../log/houseState'
import { kinOf } from '../lot/kin'
import type { LotState, WeighIn } from '../lot/lotState'
import { addDays, dayOf } from '../quantity/instant'
import { hasDeadlyDouble, isHarmful } from './clear'
import { familyMarks, familyTold } from './familyMarks'
import { countingTells, lotJudged, tellerOf, type Moment } from './lotTells'

const LONGEST_YEAR_days = 367

/** What an earlier lot spares this one. */
export interface CarriedOver {
  readonly fromCode: string
  /** What must be looked at live all the same; empty once it was. */
  readonly due: readonly string[]
}

/**
 * Whether tells are carried over from an earlier lot: computed, never chosen. The plant has no deadly double; the same plant,
 * part and stage was weighed in from the same patch this year, all its doubles ruled out by tells seen then; no stray was
 * reported and nothing tasted wrong there since. One key tell is still looked at live on each day of picking, and it must fit.
 */
export function carriedOver(lot: LotState, taxon: Taxon, context: Moment): CarriedOver | undefined {
  const { weighedIn } = lot
  const { book, catalogue } = context
  if (weighedIn === null || hasDeadlyDouble(taxon, weighedIn.part)) return undefined
  const timeZone = kitchenAt(book.house, weighedIn.pickedAt)?.timeZone ?? 'UTC'
  const day = dayOf(weighedIn.pickedAt, timeZone)
  const yearBefore = addDays(weighedIn.pickedAt, -LONGEST_YEAR_days)
  const same = (pickingsOf(book).get(sameKind(weighedIn)) ?? []).filter(
    (other) =>
      other.id !== lot.id &&
      other.weighedIn !== null &&
      other.weighedIn.pickedAt < weighedIn.pickedAt &&
      // Making a calendar day is dear: only for what can be of the same year at all.
      other.weighedIn.pickedAt > yearBefore &&
      dayOf(other.weighedIn.pickedAt, timeZone).slice(0, 4) === day.slice(0, 4) &&
      findTaxon(catalogue, other.weighedIn.taxon) === taxon,
  )
  // A stray or a wrong taste on this ground this season cancels it for good, in whatever part or batch it turned up.
  const concerned = same.flatMap((other) => [other, ...kinOf(other, book)])
  if (concerned.some(({ strays, tastes }) => strays.reportedAt !== null || tastes.some(({ alarm }) => alarm !== null)))
    return undefined
  if (lot.strays.reportedAt !== null) return undefined
  const shown = same.findLast((other) => {
    const { missing, standing, contradictions } = lotJudged(other, taxon, context)
    return (
      other.attestedBy === tellerOf(lot, context) &&
      missing.length === 0 &&
      contradictions.length === 0 &&
      !standing.some(isHarmful) &&
      familyTold(familyMarks(other, taxon, context))
    )
  })
  if (shown === undefined) return undefined
  const live = [...same, lot].some(
    (each) =>
      each.weighedIn !== null &&
      dayOf(each.weighedIn.pickedAt, timeZone) === day &&
      countingTells(each).some(({ character, answer }) => answer === 'seen' && taxon.keyCharacters.includes(character)),
  )
  return { fromCode: shown.code, due: live ? [] : ['Known from this patch this season: look at one key tell today.'] }
}

/** The pickings of a book by patch, part and stage; kept, since each lot asks for them and a book's state never changes. */
const PICKINGS = new WeakMap<BookState['lots'], ReadonlyMap<string, readonly LotState[]>>()

function pickingsOf({ lots }: BookState): ReadonlyMap<string, readonly LotState[]> {
  const known = PICKINGS.get(lots)
  if (known !== undefined) return known
  const pickings = new Map<string, LotState[]>()
  for (const lot of lots.values()) {
    if (lot.weighedIn === null || lot.from.length > 0) continue
    const kind = sameKind(lot.weighedIn)
    const there = pickings.get(kind)
    if (there === undefined) pickings.set(kind, [lot])
    else there.push(lot)
  }
  PICKINGS.set(lots, pickings)
  return pickings
}

function sameKind({ patch, part, stage }: WeighIn): string {
  return `${part} ${stage} ${patch}`
}
