import { findTaxon, type Catalogue } from '../flora/catalogue'
import type { Taxon, Use } from '../flora/taxon'
import type { Stage } from '../flora/vocabulary'
import { removalOf } from '../take/removal'
import { NO_WEATHER, reachedOn, type Site, type Weather } from './climate'
import { dayNumber, dayOfNumber, type Day } from './day'
import { estimateOffsets, type Offsets, type Residual } from './offsets'
import { asDay, baseTemp, bookWindow, NARROW_days, yearAt, type BookWindow, type GrowingYear } from './window'

/** A stage seen on a day at a patch. */
export interface Sighting {
  readonly taxon: string
  readonly stage: Stage
  readonly patch: string
  readonly day: Day
}

export interface SeasonPatch extends Site {
  readonly id: string
}

export interface SeasonInput {
  readonly catalogue: Catalogue
  /** Plants and where: what to tell of. */
  readonly rows: readonly { readonly taxon: string; readonly patch: string }[]
  readonly patches: readonly SeasonPatch[]
  readonly sightings: readonly Sighting[]
  /** Days on which a plant was cut at a patch. */
  readonly cuts?: readonly { readonly taxon: string; readonly patch: string; readonly day: Day }[]
  readonly weather?: Weather
  /** Where the weather was measured. */
  readonly station?: Site
  readonly today: Day
}

export type SeasonState = 'not-yet' | 'ready' | 'best' | 'nearly-past' | 'past' | 'second-growth'

/** One part and stage of a plant at a patch, this growing year. */
export interface SeasonRow {
  readonly taxon: Taxon
  readonly use: Use
  readonly patch: string
  readonly from: Day
  readonly to: Day
  /** One standard deviation of both ends. */
  readonly sd_days: number
  readonly state: SeasonState
  /** Until it opens; for one that is open, until it closes; with the range that four of five such guesses hit. */
  readonly in_days: number
  readonly range_days: readonly [number, number]
  readonly narrow: boolean
  /** From what the window comes. */
  readonly by: BookWindow['by']
  readonly shift_days: number
  /** What the cook's own sightings moved it by; undefined where they do not bear it. */
  readonly own_days: number | undefined
}

/** What is at the wrong stage now but worth coming back for. */
export interface LookAgain {
  readonly taxon: Taxon
  readonly patch: string
  readonly seen: Stage
  readonly seenOn: Day
  readonly use: Use
  readonly from: Day
}

export interface SeasonTold {
  readonly rows: readonly SeasonRow[]
  readonly lookAgain: readonly LookAgain[]
  readonly offsets: Omit<Offsets, 'of'>
}

/** Shares of an open window: first ready, then best, then nearly past. */
const BEST_FROM = 0.2
const BEST_TO = 0.7
/** Tender growth comes again so many degree-days after cutting, of plants that bear it well: planning value. */
const REGROWTH_degreeDays = 250
const EIGHTY = 1.28
/** A stage seen tells where in its window the plant was only so well. */
const SIGHTING_SD_days = 4
const FAR_OFF_days = 40
/** What was seen this many days ago is still worth coming back for. */
const LOOK_BACK_days = 90

/** The stages in the order in which a plant passes through them. */
const STAGE_ORDER: readonly Stage[] = [
  'dormant',
  'emerging',
  'young',
  'mature',
  'in-bud',
  'flowering',
  'unripe',
  'ripe',
  'seeding',
]

/**
 * When each part of the asked plants is good at the asked patches, as it stands today: the book's windows carried to the patch's
 * latitude and height by degree-days or the calendar, moved by what the cook's own sightings bear. Estimates: the plant in
 * front of the cook goes before them.
 */
export function season(input: SeasonInput): SeasonTold {
  const { catalogue, rows, patches, sightings, cuts = [], weather = NO_WEATHER, today } = input
  const sites = new Map(patches.map((patch) => [patch.id, patch]))
  const years = new Map<string, GrowingYear>()
  const yearOf = (day: Day, site: SeasonPatch): GrowingYear => {
    const made = yearAt(day, site, weather, input.station ?? site)
    const key = `${site.latitude_deg} ${site.elevation_m} ${made.from}`
    const known = years.get(key) ?? made
    years.set(key, known)
    return known
  }
  const offsets = estimateOffsets(sightings.flatMap((sighting) => residualOf(sighting, catalogue, sites, yearOf)))
  const now = dayNumber(today)
  const told = rows.flatMap((row): SeasonRow[] => {
    const taxon = findTaxon(catalogue, row.taxon)
    const site = sites.get(row.patch)
    if (taxon === undefined || site === undefined) return []
    const year = yearOf(today, site)
    const own = offsets.of(taxon.scientificName, site.id, year.from)
    const cut = cuts
      .filter(({ taxon: name, patch }) => patch === site.id && findTaxon(catalogue, name) === taxon)
      .reduce<Day | undefined>((last, { day }) => (last === undefined || day > last ? day : last), undefined)
    return taxon.uses.flatMap((use) => {
      const window = use.verdict === 'never' ? undefined : nearest(taxon, use, site, year, own.days, now, yearOf)
      return window === undefined
        ? []
        : [rowOf(taxon, use, site.id, window, own, offsets, now, regrown(taxon, use, year, cut, now))]
    })
  })
  return { rows: told, lookAgain: lookAgainOf(sightings, told, now), offsets }
}

/** The window that is open or comes next; of one that has just closed, that one, until the next is nearer. */
function nearest(
  taxon: Taxon,
  use: Use,
  site: SeasonPatch,
  year: GrowingYear,
  own_days: number,
  now: number,
  yearOf: (day: Day, site: SeasonPatch) => GrowingYear,
): BookWindow | undefined {
  const here = bookWindow(taxon, use, site, year)
  if (here === undefined) return undefined
  // A window that crosses the turn of the growing year may still be open from the year before.
  if (here.to - year.from > 365 || here.from - year.from > 200) {
    const before = bookWindow(taxon, use, site, yearOf(dayOfNumber(year.from - 1), site))
    if (before !== undefined && now <= before.to + own_days) return before
  }
  return here
}

function rowOf(
  taxon: Taxon,
  use: Use,
  patch: string,
  window: BookWindow,
  own: { readonly days: number; readonly sd_days: number },
  offsets: Offsets,
  now: number,
  regrown: boolean,
): SeasonRow {
  const from = window.from + own.days
  const to = window.to + own.days
  const gone = (now - from) / Math.max(1, to - from)
  const open = stateOf(gone)
  const state = regrown && (open === 'past' || open === 'nearly-past') ? 'second-growth' : open
  const in_days = Math.round((gone < 0 ? from : to) - now)
  const off = Math.round(EIGHTY * own.sd_days)
  return {
    taxon,
    use,
    patch,
    from: asDay(from),
    to: asDay(to),
    sd_days: own.sd_days,
    state,
    in_days,
    range_days: [in_days - off, in_days + off],
    narrow: Math.min(to - from, use.windowDays ?? Infinity) < NARROW_days,
    by: window.by,
    shift_days: Math.round(window.shift_days),
    own_days: offsets.trusted ? Math.round(own.days) : undefined,
  }
}

function stateOf(gone: number): SeasonState {
  if (gone < 0) return 'not-yet'
  if (gone < BEST_FROM) return 'ready'
  if (gone <= BEST_TO) return 'best'
  return gone <= 1 ? 'nearly-past' : 'past'
}

/** Whether a plant that was cut has had the warmth to grow tender leaves again. */
function regrown(taxon: Taxon, use: Use, year: GrowingYear, cut: Day | undefined, now: number): boolean {
  const removal = removalOf(use.part)
  if (cut === undefined || taxon.harvestTolerance !== 'high' || (removal !== 'leaf' && removal !== 'top')) return false
  const sums = year.sums(baseTemp(taxon))
  const at = dayNumber(cut) - year.from
  if (at < 0 || at >= sums.length) return false
  return now - year.from >= reachedOn(sums, (sums[at] ?? 0) + REGROWTH_degreeDays)
}

/** A sighting against the middle of the windows of its stage. */
function residualOf(
  { taxon: name, stage, patch, day }: Sighting,
  catalogue: Catalogue,
  sites: ReadonlyMap<string, SeasonPatch>,
  yearOf: (day: Day, site: SeasonPatch) => GrowingYear,
): readonly Residual[] {
  const taxon = findTaxon(catalogue, name)
  const site = sites.get(patch)
  if (taxon === undefined || site === undefined) return []
  const year = yearOf(day, site)
  const windows = taxon.uses
    .filter((use) => use.stage === stage && use.verdict !== 'never')
    .flatMap((use) => bookWindow(taxon, use, site, year) ?? [])
    .filter(({ from, to }) => to - from < 120)
  const [first] = windows.toSorted((a, b) => a.to - a.from - (b.to - b.from))
  if (first === undefined) return []
  const length = first.to - first.from
  const days = dayNumber(day) - (first.from + first.to) / 2
  // Young leaves in autumn are a second growth, and tell nothing of the spring.
  if (Math.abs(days) > length / 2 + FAR_OFF_days) return []
  const variance = length ** 2 / 12 + SIGHTING_SD_days ** 2
  return [{ taxon: taxon.scientificName, patch, year: year.from, days, variance }]
}

function lookAgainOf(sightings: readonly Sighting[], rows: readonly SeasonRow[], now: number): readonly LookAgain[] {
  const latest = new Map<string, Sighting>()
  for (const sighting of sightings) {
    const key = `${sighting.taxon} ${sighting.patch}`
    const known = latest.get(key)
    if (dayNumber(sighting.day) <= now && (known === undefined || known.day < sighting.day)) latest.set(key, sighting)
  }
  return rows
    .flatMap((row): LookAgain[] => {
      const seen = [row.taxon.scientificName, ...row.taxon.synonyms].flatMap(
        (name) => latest.get(`${name} ${row.patch}`) ?? [],
      )[0]
      if (seen === undefined || row.state !== 'not-yet' || now - dayNumber(seen.day) > LOOK_BACK_days) return []
      return STAGE_ORDER.indexOf(row.use.stage) > STAGE_ORDER.indexOf(seen.stage)
        ? [{ taxon: row.taxon, patch: row.patch, seen: seen.stage, seenOn: seen.day, use: row.use, from: row.from }]
        : []
    })
    .toSorted((a, b) => (a.from < b.from ? -1 : 1))
}
