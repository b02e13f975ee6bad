import { dayNumber, dayOfNumber, dayOfYear, type Day } from './day'

/** Where a patch or a kitchen lies, as far as seasons depend on it. */
export interface Site {
  /** South is negative. */
  readonly latitude_deg: number
  readonly elevation_m: number
}

/** Where the records' windows hold, unless they say otherwise. */
export const REFERENCE: Site = { latitude_deg: 50, elevation_m: 50 }

/** Least and most of one day. */
export interface DayTemps {
  readonly min_C: number
  readonly max_C: number
}

/** Colder by so much with each metre up (ISO 2533 lapse, rounded). */
const LAPSE_C_m = 0.006
const YEAR_days = 365.25

/**
 * The usual least and most temperature of a day of the year, °C: a yearly wave about the mean of the latitude, colder upward.
 * Planning values fitted by eye to temperate oceanic places between 35° and 65° of either half of the earth: 10 °C mean and
 * 7.5 °C half range at 50° and sea level, half a degree colder and a fifth of a degree more swing with each degree from the equator.
 * A real station goes before it.
 */
export function usualTemps({ latitude_deg, elevation_m }: Site, dayOfYear_d: number): DayTemps {
  const away = Math.abs(latitude_deg) - REFERENCE.latitude_deg
  const warmest = latitude_deg >= 0 ? 202 : 202 + YEAR_days / 2
  const swing = Math.max(1, 7.5 + 0.2 * away)
  const mean = 10 - 0.5 * away - LAPSE_C_m * elevation_m
  const now = mean + swing * Math.cos((2 * Math.PI * (dayOfYear_d - warmest)) / YEAR_days)
  return { min_C: now - 4.5, max_C: now + 4.5 }
}

/** Measured or forecast temperatures by day number; where a day is missing the usual ones stand in. */
export type Weather = ReadonlyMap<number, DayTemps>

export const NO_WEATHER: Weather = new Map()

/**
 * Degree-days of one day above a base, single sine: Baskerville & Emin 1969, Ecology; Allen 1976, Environ. Entomol.
 * Zero when it stays below the base. @example degreeDays({ min_C: 1, max_C: 13 }, 5) // 3.017
 */
export function degreeDays({ min_C, max_C }: DayTemps, base_C: number): number {
  const mean = (min_C + max_C) / 2
  const half = (max_C - min_C) / 2
  if (max_C <= base_C) return 0
  if (min_C >= base_C) return mean - base_C
  const theta = Math.asin((base_C - mean) / half)
  return ((mean - base_C) * (Math.PI / 2 - theta) + half * Math.cos(theta)) / Math.PI
}

/** First day of the growing year that a day lies in: 1 January north of the equator, 1 July south of it. */
export function growingYear(day: Day, { latitude_deg }: Pick<Site, 'latitude_deg'>): number {
  const year = Number(day.slice(0, 4))
  if (latitude_deg >= 0) return dayNumber(`${year}-01-01`)
  return dayNumber(day) >= dayNumber(`${year}-07-01`) ? dayNumber(`${year}-07-01`) : dayNumber(`${year - 1}-07-01`)
}

/** Degree-days gathered from the first day of a growing year, day by day: `sums[n]` is what had gathered before day n. */
export function gathered(
  from: number,
  base_C: number,
  site: Site,
  weather: Weather = NO_WEATHER,
  station: Site = site,
): Float64Array {
  const sums = new Float64Array(YEAR_LONG + 1)
  const firstOfYear = dayOfYear(dayOfNumber(from))
  // A station at another height is brought to this one.
  const lower = LAPSE_C_m * (site.elevation_m - station.elevation_m)
  for (let day = 0; day < YEAR_LONG; day += 1) {
    const measured = weather.get(from + day)
    const temps =
      measured === undefined
        ? usualTemps(site, firstOfYear + day)
        : { min_C: measured.min_C - lower, max_C: measured.max_C - lower }
    sums[day + 1] = (sums[day] ?? 0) + degreeDays(temps, base_C)
  }
  return sums
}

export const YEAR_LONG = 366

/** The day of a growing year, with its fraction, on which so many degree-days have gathered; its end where they never do. */
export function reachedOn(sums: Float64Array, wanted: number): number {
  let [low, high] = [0, sums.length - 1]
  if ((sums[high] ?? 0) <= wanted) return high
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if ((sums[middle] ?? 0) <= wanted) low = middle
    else high = middle
  }
  const [before, after] = [sums[low] ?? 0, sums[high] ?? 0]
  return low + (after > before ? (wanted - before) / (after - before) : 0)
}
