import type { Catalogue } from '../flora/catalogue'
import type { Season, Taxon } from '../flora/taxon'
import { plainWords, tellLabel } from '../flora/vocabulary'
import type { BookState } from '../log/fold'
import { kitchenAt, type EaterState, type HouseState } from '../log/houseState'
import type { LotState, TellFact } from '../lot/lotState'
import { formatList } from '../quantity/format'
import { isSouthern } from '../quantity/hemisphere'
import { dayOf, type Instant } from '../quantity/instant'
import { removalOf } from '../take/removal'
import { clear, contradictionsOf, judgeTells, seasonOf, type Clearance, type Observation } from './clear'
import { substitutesFor } from './substitutes'

/** What a lot's tells are held against. */
export interface Moment {
  readonly book: BookState
  readonly catalogue: Catalogue
  readonly now: Instant
  /** Who is at it, where that is not the cook who keeps the book. */
  readonly writer?: string
}

/** Whoever keeps the book: all that was written before anybody else was chosen is theirs. */
export const COOK = 'cook'

/** Who of those who eat may write in the book: the grown up. */
export function writersOf(eaters: HouseState['eaters']): readonly EaterState[] {
  return Object.values(eaters).filter(({ kind }) => kind === 'adult')
}

/** What whoever wrote is called: by the name of an eater, or as the cook who keeps the book. */
export function writerName(by: string, eaters: HouseState['eaters']): string {
  return eaters[by]?.name ?? 'the cook'
}

/** Whose meetings and certainty count for a lot: those of who was certain of it, before that those of who is at it. */
export function tellerOf({ attestedBy }: Pick<LotState, 'attestedBy'>, { writer }: Pick<Moment, 'writer'>): string {
  return attestedBy ?? writer ?? COOK
}

/** The lot's tells, as far as they count, held against the catalogue; what stands in for a tell out of season is asked for too. */
export const lotClearance = ofTells((observation, taxon, catalogue): Clearance => {
  const { next, ...judged } = withoutStoodIn(clear(observation, catalogue), observation, taxon, catalogue)
  const asked = new Set([...Object.keys(observation.observed), ...next.map(({ character }) => character)])
  const substitutes = judged.missing.flatMap((key) => standIns(key, observation, taxon, catalogue) ?? [])
  const more = [...new Set(substitutes)].filter((character) => !asked.has(character))
  return { ...judged, next: [...next, ...more.map((character) => ({ character, rulesOut: [] }))] }
})

/** As {@link lotClearance}, without the next tell: for the gates. */
export const lotJudged = ofTells((observation, taxon, catalogue): Omit<Clearance, 'next'> =>
  withoutStoodIn(judgeTells(observation, catalogue), observation, taxon, catalogue),
)

/** A key tell is not missing where what stands in for it in this season was all seen. */
function withoutStoodIn<Held extends Pick<Clearance, 'missing'>>(
  held: Held,
  observation: Observation,
  taxon: Taxon,
  catalogue: Catalogue,
): Held {
  const { observed } = observation
  const missing = held.missing.filter(
    (key) =>
      standIns(key, observation, taxon, catalogue)?.every((character) => (observed[character] ?? []).length > 0) !==
      true,
  )
  return missing.length === held.missing.length ? held : { ...held, missing }
}

function standIns(key: string, observation: Observation, taxon: Taxon, catalogue: Catalogue) {
  const { season, notVisible = [] } = observation
  return season === undefined
    ? undefined
    : substitutesFor(key, taxon, { ...observation, season, notVisible }, catalogue)
}

/** Holding tells against the catalogue is dear, and a lot's tells change less often than what else is noted. */
function ofTells<Held>(hold: (observation: Observation, taxon: Taxon, catalogue: Catalogue) => Held) {
  const known = new WeakMap<
    LotState,
    {
      readonly catalogue: Catalogue
      readonly taxon: Taxon
      readonly season: Observation['season']
      readonly held: Held
    }
  >()
  return (lot: LotState, taxon: Taxon, context: Moment): Held => {
    const { catalogue } = context
    const observation = lotObservation(lot, taxon, context)
    const { season } = observation
    const there = known.get(lot)
    if (there?.catalogue === catalogue && there.taxon === taxon && there.season === season) return there.held
    const held = hold(observation, taxon, catalogue)
    known.set(lot, { catalogue, taxon, season, held })
    return held
  }
}

/** Only what contradicts the claim. */
export function lotContradictions(lot: LotState, taxon: Taxon, context: Moment): Clearance['contradictions'] {
  return contradictionsOf(taxon, lotObservation(lot, taxon, context).observed)
}

/** What was seen of a lot before it was first cut, as far as it counts: what only lay about was looked at and counts for nothing. */
export function lotObservation(lot: LotState, taxon: Taxon, context: Moment): Observation {
  const tells = countingTells(lot)
  const observed: Record<string, readonly string[]> = {}
  // Two notes of one character are two looks at the stand: every state ever noted counts until it is struck out.
  for (const { character, answer, states } of tells)
    if (answer === 'seen') observed[character] = [...new Set([...(observed[character] ?? []), ...states])]
  const { house } = context.book
  const kitchen = kitchenAt(house, context.now)
  const timeZone = kitchen?.timeZone ?? 'UTC'
  const latitude_deg = house.patches[lot.weighedIn?.patch ?? '']?.position?.latitude_deg ?? kitchen?.latitude_deg
  return {
    taxon: taxon.scientificName,
    observed,
    notVisible: tells.filter(({ answer }) => answer !== 'seen').map(({ character }) => character),
    noDigging: standsAlone(lot),
    ...(lot.weighedIn === null ? {} : { part: lot.weighedIn.part }),
    season: seasonOf(dayOf(lot.weighedIn?.pickedAt ?? context.now, timeZone), isSouthern(latitude_deg, timeZone)),
  }
}

/** Fewer stems than these and none is dug up to be looked at; chosen. */
const FEW_STEMS = 10

/** Whether too few stand there to dig one up for a look; where the root itself is taken, looking costs nothing more. */
function standsAlone({ stand, weighedIn }: LotState): boolean {
  return stand !== null && stand.stems < FEW_STEMS && weighedIn !== null && removalOf(weighedIn.part) !== 'whole'
}

/** Tells noted on the whole lot, before the first cutting. */
export function countingTells(lot: LotState): readonly TellFact[] {
  const { firstCutAt, firstCutNoted } = lot
  return firstCutAt === null
    ? lot.tells
    : lot.tells.filter(({ at, noted }) => at < firstCutAt && noted <= (firstCutNoted ?? noted))
}

/** A key tell that does not show in the season of the picking. */
export interface ShownLater {
  readonly character: string
  /** When it shows. */
  readonly seasons: readonly Season[]
  /** What may be looked at in its place; undefined where nothing will do. */
  readonly instead: readonly string[] | undefined
}

/** Those of some characters that do not show in the season of the picking. */
export function shownLater(
  characters: readonly string[],
  lot: LotState,
  taxon: Taxon,
  context: Moment,
): readonly ShownLater[] {
  const observation = lotObservation(lot, taxon, context)
  const { season } = observation
  return characters.flatMap((character) => {
    const seasons = taxon.visible[character]
    if (season === undefined || seasons === undefined || seasons.includes(season)) return []
    return [{ character, seasons, instead: standIns(character, observation, taxon, context.catalogue) }]
  })
}

/** What a key tell out of season asks for, in words. */
export function laterWords({ character, seasons, instead }: ShownLater): string {
  const shows = `${tellLabel(character)} shows in ${formatList(seasons)}`
  return instead === undefined
    ? `${shows}: without it this plant is not told.`
    : `${shows}: ${formatList(instead.map((each) => tellLabel(each).toLowerCase()))} may be looked at in its place.`
}

/** What was answered, in words. */
export function tellWords({ answer, states }: Pick<TellFact, 'answer' | 'states'>): string {
  const seen = formatList(states.map(plainWords))
  return {
    seen,
    'lay-about': `${seen}, lying about: it counts for nothing by itself`,
    'not-visible': 'not to be seen now',
    'could-not-tell': 'could not tell',
  }[answer]
}

/** One empty list, so that its days are kept too. */
const NEVER: Meetings = []

type Meetings = HouseState['meetings'][string]

interface DaysMet {
  readonly timeZone: string
  /** The first meeting of each day. */
  readonly days: ReadonlyMap<string, Instant>
  readonly last: Instant
}

/** A list of meetings never changes, and every gate asks for its days. */
const DAYS = new WeakMap<Meetings, Map<string, DaysMet>>()

function daysOf(meetings: Meetings, timeZone: string, who: string): DaysMet {
  const known = DAYS.get(meetings) ?? new Map<string, DaysMet>()
  DAYS.set(meetings, known)
  const found = known.get(who)
  if (found?.timeZone === timeZone) return found
  const days = new Map<string, Instant>()
  let last: Instant = ''
  for (const meeting of meetings) {
    if (meeting.by !== who) continue
    const day = dayOfMeeting(meeting, timeZone)
    if (!days.has(day)) days.set(day, meeting.at)
    last = meeting.at
  }
  const met = { timeZone, days, last }
  known.set(who, met)
  return met
}

/** Making a calendar day is dear, and a meeting stays the same in the lists it is in. */
const DAY = new WeakMap<object, { readonly timeZone: string; readonly day: string }>()

function dayOfMeeting(meeting: { readonly at: Instant }, timeZone: string): string {
  const known = DAY.get(meeting)
  if (known?.timeZone === timeZone) return known.day
  const day = dayOf(meeting.at, timeZone)
  DAY.set(meeting, { timeZone, day })
  return day
}

/** Distinct days on which somebody met the plant, up to now; without a name, who is at it. */
export function meetingDays(
  taxon: Taxon,
  { book, now, writer }: Pick<Moment, 'book' | 'now' | 'writer'>,
  who = writer ?? COOK,
): number {
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const lists = [taxon.scientificName, ...taxon.synonyms]
    .map((name) => daysOf(book.house.meetings[name] ?? NEVER, timeZone, who))
    .filter(({ days }) => days.size > 0)
  const [only] = lists
  // Noted under one name, and nothing of it still to come: its days are counted already.
  if (only !== undefined && lists.length === 1 && only.last <= now) return only.days.size
  return new Set(lists.flatMap(({ days }) => [...days].filter(([, at]) => at <= now).map(([day]) => day))).size
}
