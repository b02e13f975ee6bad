import { chance, normals } from '../quantity/chance'
import { usualTemps, type DayTemps, type Site } from './climate'
import { dayNumber, dayOfNumber, dayOfYear, isDay, type Day } from './day'

/** One day's weather as a station tells it. */
export interface DayWeather extends DayTemps {
  readonly day: Day
  readonly rain_mm?: number
  readonly wind_km_h?: number
}

/** How long an outlook reaches. */
export const OUTLOOK_days = 10
const SEED = 1180
/** A warm day is followed by a warm one, by so much; and days differ by so much, °C: usual in temperate places. */
const KEEPS = 0.75
const DAYS_DIFFER_C = 2.2
const YEARS_DIFFER_C = 1

/**
 * The days of a made-up station at a site, always the same for the same seed: the usual temperatures, colder and warmer spells
 * on them, years that differ, rain that comes in spells. After `today` an outlook, the more like a usual day the farther ahead.
 * For the demonstration; no weather that ever was.
 */
export function standInWeather(from: Day, today: Day, site: Site, seed = SEED): readonly DayWeather[] {
  const last = dayNumber(today) + OUTLOOK_days
  // Begun a year before, so that what a day is like does not hang on which day was asked for first.
  const random = chance(seed)
  const normal = normals(random)
  const days: DayWeather[] = []
  let [anomaly, year, wet] = [0, 0, false]
  for (let day = dayNumber('2024-01-01'); day <= last; day += 1) {
    const date = dayOfNumber(day)
    if (date.endsWith('-01-01')) year = YEARS_DIFFER_C * normal()
    anomaly = KEEPS * anomaly + DAYS_DIFFER_C * normal()
    wet = random() < (wet ? 0.6 : 0.25)
    const rain_mm = wet ? round(-6 * Math.log(1 - random())) : 0
    const wind_km_h = Math.round(8 + Math.abs(10 * normal()))
    if (date < from) continue
    const ahead = Math.max(0, day - dayNumber(today))
    const off = (year + anomaly) * KEEPS ** ahead
    const { min_C, max_C } = usualTemps(site, dayOfYear(date))
    const cloud = wet ? 1.5 : 0
    days.push({ day: date, min_C: round(min_C + off + cloud), max_C: round(max_C + off - cloud), rain_mm, wind_km_h })
  }
  return days
}

function round(value: number): number {
  return Math.round(value * 10) / 10
}

export type WeatherReading =
  | { readonly ok: true; readonly days: readonly DayWeather[]; readonly missing: number }
  | { readonly ok: false; readonly message: string }

const COLUMNS: Readonly<Record<'day' | 'min_C' | 'max_C' | 'rain_mm' | 'wind_km_h', readonly string[]>> = {
  day: ['day', 'date', 'datum', 'jour'],
  min_C: ['min_c', 'min', 'tmin', 'tn', 'least'],
  max_C: ['max_c', 'max', 'tmax', 'tx', 'most'],
  rain_mm: ['rain_mm', 'rain', 'precipitation'],
  wind_km_h: ['wind_km_h', 'wind'],
}
const COLDEST_C = -60
const HOTTEST_C = 60

/**
 * Daily weather out of a table of words with a head row. All of it or nothing: the first row that cannot be so is named. Days that
 * are missing are counted; the usual temperatures stand in for them.
 */
export function readWeather(table: readonly (readonly string[])[]): WeatherReading {
  const no = (message: string): WeatherReading => ({ ok: false, message: `${message} Nothing was taken.` })
  const [head, ...rows] = table
  const at = Object.fromEntries(
    Object.entries(COLUMNS).map(([column, names]) => [
      column,
      (head ?? []).findIndex((word) => names.includes(word.trim().toLowerCase())),
    ]),
  ) as Record<keyof typeof COLUMNS, number>
  for (const column of ['day', 'min_C', 'max_C'] as const)
    if (at[column] < 0) return no(`The first row must name the columns day, min_C and max_C; ${column} is not there.`)
  const days = new Map<Day, DayWeather>()
  for (const [index, row] of rows.entries()) {
    const word = (column: keyof typeof COLUMNS) => (row[at[column]] ?? '').trim()
    const value = (column: keyof typeof COLUMNS) =>
      word(column) === '' ? NaN : Number(word(column).replace('−', '-').replace(',', '.'))
    const place = `Row ${index + 2}`
    const day = word('day')
    if (!isDay(day)) return no(`${place}: the day must be like 2027-05-16, not “${day.slice(0, 20)}”.`)
    if (days.has(day)) return no(`${place}: ${day} is there twice.`)
    const [min_C, max_C] = [value('min_C'), value('max_C')]
    // A station that was down leaves its day empty: that is a gap, not a fault.
    if (word('min_C') === '' && word('max_C') === '') continue
    for (const [name, temp] of [
      ['min_C', min_C],
      ['max_C', max_C],
    ] as const)
      if (!(temp >= COLDEST_C && temp <= HOTTEST_C))
        return no(`${place}: ${name} must be a number from −60 to 60 °C, not “${word(name).slice(0, 20)}”.`)
    if (min_C > max_C) return no(`${place}: the least, ${min_C} °C, is more than the most, ${max_C} °C.`)
    const rain = value('rain_mm')
    const wind = value('wind_km_h')
    days.set(day, {
      day,
      min_C,
      max_C,
      ...(rain >= 0 && rain < 2000 ? { rain_mm: rain } : {}),
      ...(wind >= 0 && wind < 500 ? { wind_km_h: wind } : {}),
    })
  }
  if (days.size === 0) return no('There is no day in it.')
  const sorted = [...days.values()].sort((a, b) => (a.day < b.day ? -1 : 1))
  const [first, last] = [sorted[0]?.day ?? '', sorted.at(-1)?.day ?? '']
  return { ok: true, days: sorted, missing: dayNumber(last) - dayNumber(first) + 1 - days.size }
}
