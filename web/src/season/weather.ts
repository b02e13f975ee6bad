import { dayNumber, readWeather, type DayWeather, type Site, type Weather, type WeatherReading } from '@ellop/core'
import { openBookStorage } from '../book/bookStore'

/** What is known of the weather for the season: measured days, or why there are none. */
export interface KnownWeather {
  readonly days: readonly DayWeather[]
  readonly weather: Weather
  /** One sentence, where something was not to be had; the usual temperatures stand in. */
  readonly trouble?: string
}

export const NOTHING_MEASURED: KnownWeather = { days: [], weather: new Map() }

/** The days a book has taken from a file. */
export async function storedWeather(): Promise<KnownWeather> {
  const days = await openBookStorage().weather()
  return { days, weather: byNumber(days) }
}

/** The demonstration's station. It may fail, as stations do: then the usual temperatures stand in, and that is said. */
export async function stationWeather(today: string, site: Site, mode = ''): Promise<KnownWeather> {
  const from = `${Number(today.slice(0, 4)) - 1}-01-01`
  const asked = new URLSearchParams({
    from,
    today,
    latitude_deg: String(site.latitude_deg),
    elevation_m: String(site.elevation_m),
    mode,
  })
  try {
    const answer = await fetch(`/station/weather?${asked.toString()}`)
    if (!answer.ok) throw new Error(answer.statusText)
    const { days } = (await answer.json()) as { days: readonly DayWeather[] }
    return { days, weather: byNumber(days) }
  } catch {
    return { ...NOTHING_MEASURED, trouble: 'The weather station does not answer: the usual temperatures stand in.' }
  }
}

/** Reads daily weather out of a file with commas, semicolons or tabs, and stores it with the book; all of it or nothing. */
export async function takeWeatherFile(content: string): Promise<WeatherReading> {
  const { default: Papa } = await import('papaparse')
  const { data } = Papa.parse<string[]>(content, { skipEmptyLines: true })
  const reading = readWeather(data)
  if (!reading.ok) return reading
  try {
    await openBookStorage().putWeather(reading.days)
  } catch {
    return { ok: false, message: 'The browser could not store it. Nothing was taken.' }
  }
  return reading
}

function byNumber(days: readonly DayWeather[]): Weather {
  return new Map(days.map((day) => [dayNumber(day.day), day]))
}
