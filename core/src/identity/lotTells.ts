import type { Catalogue } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import type { BookState } from '../log/fold'
import { kitchenAt } from '../log/houseState'
import type { LotState, TellFact } from '../lot/lotState'
import { dayOf, type Instant } from '../quantity/instant'
import { clear, contradictionsOf, judgeTells, seasonOf, type Clearance, type Observation } from './clear'

/** What a lot's tells are held against. */
interface Moment {
  readonly book: BookState
  readonly catalogue: Catalogue
  readonly now: Instant
}

/** The lot's tells, as far as they count, held against the catalogue. */
export function lotClearance(lot: LotState, taxon: Taxon, context: Moment): Clearance {
  return clear(lotObservation(lot, taxon, context), context.catalogue)
}

/** As {@link lotClearance}, without the next tell: for the gates. */
export function lotJudged(lot: LotState, taxon: Taxon, context: Moment): Omit<Clearance, 'next'> {
  return judgeTells(lotObservation(lot, taxon, context), context.catalogue)
}

/** Only what contradicts the claim. */
export function lotContradictions(lot: LotState, taxon: Taxon, context: Moment): Clearance['contradictions'] {
  return contradictionsOf(taxon, lotObservation(lot, taxon, context).observed)
}

function lotObservation(lot: LotState, taxon: Taxon, context: Moment): Observation {
  const tells = countingTells(lot)
  const observed: Record<string, readonly string[]> = {}
  // Two notes of one character are two looks at the stand: every state ever noted counts until it is struck out.
  for (const { character, answer, states } of tells)
    if (answer === 'seen') observed[character] = [...new Set([...(observed[character] ?? []), ...states])]
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  return {
    taxon: taxon.scientificName,
    observed,
    notVisible: tells.filter(({ answer }) => answer !== 'seen').map(({ character }) => character),
    season: seasonOf(dayOf(lot.weighedIn?.pickedAt ?? context.now, timeZone)),
  }
}

/** Tells noted on the whole lot, before the first cutting. */
export function countingTells(lot: LotState): readonly TellFact[] {
  const { firstCutAt } = lot
  return firstCutAt === null ? lot.tells : lot.tells.filter(({ at }) => at < firstCutAt)
}

type Meetings = readonly { readonly at: Instant }[]

/** The calendar days of a list of meetings in a time zone; the list never changes, and the same one is asked for by every gate. */
const DAYS = new WeakMap<Meetings, Map<string, readonly string[]>>()

function daysOf(meetings: Meetings, timeZone: string): readonly string[] {
  const known = DAYS.get(meetings) ?? new Map<string, readonly string[]>()
  DAYS.set(meetings, known)
  const days = known.get(timeZone) ?? meetings.map(({ at }) => dayOf(at, timeZone))
  known.set(timeZone, days)
  return days
}

/** Distinct days on which the cook met the plant, up to now. */
export function meetingDays(taxon: Taxon, { book, now }: Pick<Moment, 'book' | 'now'>): number {
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const met = new Set<string>()
  for (const name of [taxon.scientificName, ...taxon.synonyms]) {
    const meetings = book.house.meetings[name] ?? []
    const days = daysOf(meetings, timeZone)
    for (const [index, { at }] of meetings.entries()) if (at <= now) met.add(days[index] ?? '')
  }
  return met.size
}
