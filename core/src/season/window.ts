import type { Taxon, Use } from '../flora/taxon'
import { growthForm } from '../take/removal'
import { gathered, growingYear, NO_WEATHER, reachedOn, REFERENCE, YEAR_LONG, type Site, type Weather } from './climate'
import { dayOfNumber, dayOfYear, type Day } from './day'

/** When a part is good at a place in a year, by the book. Day numbers, with fractions. */
export interface BookWindow {
  readonly from: number
  readonly to: number
  /** Days later (or earlier, negative) than where the record's dates hold. */
  readonly shift_days: number
  readonly by: 'degree-days' | 'calendar'
}

/** A window shorter than this is told of ahead. */
export const NARROW_days = 14
/** Windows that begin later in the growing year than this follow day length and frost, not gathered warmth. */
const LATE = 245
/** Days of delay with a degree toward the pole and a metre up, early in the year; late in it things come earlier by as much. */
const HOPKINS_days = { degree: 4, metre: 0.026 }

/**
 * Warmth below which a plant does not get on, °C: planning values by where and how it grows (woodland spring 2, herbs 4,
 * shrubs, trees and fruit 5).
 */
export function baseTemp({ lifeForm, habitat }: Pick<Taxon, 'lifeForm' | 'habitat'>): number {
  const form = growthForm({ lifeForm })
  if (form === 'shrub' || form === 'tree') return 5
  return form === 'bulb' || habitat.includes('woodland') ? 2 : 4
}

/** A growing year at a place, in degree-days; kept by whoever asks for many windows. */
export interface GrowingYear {
  readonly from: number
  readonly sums: (base_C: number) => Float64Array
}

/** The growing year that a day lies in at a site, under its weather as far as there is any. */
export function yearAt(day: Day, site: Site, weather: Weather = NO_WEATHER, station: Site = site): GrowingYear {
  const from = growingYear(day, site)
  const known = new Map<number, Float64Array>()
  return {
    from,
    sums(base_C) {
      const sums = known.get(base_C) ?? gathered(from, base_C, site, weather, station)
      known.set(base_C, sums)
      return sums
    },
  }
}

/**
 * The window of a use at a site in one growing year. The record's dates are carried to the site's latitude and height in the
 * calendar (Hopkins 1920, J. Wash. Acad. Sci.; weaker upward, 22 to 34 days in a thousand metres: Vitasse, Signarbieux & Fu
 * 2018, PNAS). One that opens in the first two thirds of the growing year then waits for the degree-days that have usually
 * gathered there by that date: a warm spring brings it forward, a cold one holds it back. A later window, and one that crosses
 * the new year, keeps to the calendar: it follows day length and frost. Undefined for a use without a window.
 */
export function bookWindow(taxon: Taxon, use: Use, site: Site, year: GrowingYear): BookWindow | undefined {
  if (use.window === undefined) return undefined
  const book = recordOf(use)
  if (book.allYear) return { from: year.from, to: year.from + 365, shift_days: 0, by: 'calendar' }
  const shift = placeShift(book.from % 365, book.latitude_deg, site)
  const [from, to] = [Math.max(0, book.from + shift), book.to + shift]
  if (from > LATE || to >= YEAR_LONG)
    return { from: year.from + from, to: year.from + to, shift_days: shift, by: 'calendar' }
  const base_C = baseTemp(taxon)
  const sums = year.sums(base_C)
  const usual = usualSums(site, base_C)
  const [begins, ends] = [warmDay(sums, usual, from), warmDay(sums, usual, to)]
  return { from: year.from + begins, to: year.from + Math.max(begins + 1, ends), shift_days: shift, by: 'degree-days' }
}

/** The day of this year that is as far on as a day of a usual one; the same day where none of the warmth has come by then. */
function warmDay(sums: Float64Array, usual: Float64Array, day: number): number {
  const low = Math.floor(day)
  const wanted = (usual[low] ?? 0) + (day - low) * ((usual[low + 1] ?? 0) - (usual[low] ?? 0))
  return wanted <= 0 ? day : reachedOn(sums, wanted)
}

interface RecordWindow {
  /** Days after the start of the northern growing year; `to` goes beyond the year for one that crosses the new year. */
  readonly from: number
  readonly to: number
  readonly latitude_deg: number
  readonly allYear: boolean
}

const RECORDED = new WeakMap<Use, RecordWindow>()

function recordOf(use: Use): RecordWindow {
  const known = RECORDED.get(use)
  if (known !== undefined) return known
  const { window = { from: '01-01', to: '12-31' } } = use
  const from = monthDay(window.from)
  const to = monthDay(window.to)
  const found = {
    from,
    to: to < from ? to + 365 : to,
    latitude_deg: use.windowLatitude_deg ?? REFERENCE.latitude_deg,
    allYear: window.from === '01-01' && window.to === '12-31',
  }
  RECORDED.set(use, found)
  return found
}

/** 29 February counts as the day before 1 March: no window gains or loses a day in a leap year. */
function monthDay(text: string): number {
  return dayOfYear(`2027-${text === '02-29' ? '02-28' : text}`) - 1
}

const USUAL = new Map<string, Float64Array>()

/** What has usually gathered by each day of the growing year at a site. */
function usualSums(site: Site, base_C: number): Float64Array {
  const key = `${site.latitude_deg} ${site.elevation_m} ${base_C}`
  const known = USUAL.get(key)
  if (known !== undefined) return known
  const made = gathered(growingYear('2027-07-01', site), base_C, site)
  USUAL.set(key, made)
  return made
}

/** Days later than where the record holds; negative for earlier. */
function placeShift(dayOfYear_d: number, latitude_deg: number, site: Site): number {
  const spring =
    HOPKINS_days.degree * (Math.abs(site.latitude_deg) - Math.abs(latitude_deg)) +
    HOPKINS_days.metre * (site.elevation_m - REFERENCE.elevation_m)
  // Full delay until midsummer, none in mid-August, full advance from October: autumn comes from the pole and from above.
  const turn = Math.min(1, Math.max(-1, (225 - dayOfYear_d) / 50))
  return Math.max(-MOST_SHIFT_days, Math.min(MOST_SHIFT_days, Math.round(spring * turn)))
}

/** Farther than this from where a record holds nothing is foretold: the shift stops. */
const MOST_SHIFT_days = 60

/** The calendar day on which a window's end lies. */
export function asDay(number: number): Day {
  return dayOfNumber(Math.floor(number))
}
