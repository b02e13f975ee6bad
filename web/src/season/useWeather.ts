import { useEffect, useState } from 'react'
import { useBook } from '../book/bookStore'
import { NOTHING_MEASURED, stationWeather, storedWeather, type KnownWeather } from './weather'

/** The weather of the open book: the demonstration's station, or what was taken from a file; and how to ask anew. */
export function useWeather(
  today: string,
  latitude_deg: number,
  elevation_m: number,
  mode: string,
): [KnownWeather | undefined, () => void] {
  const isDemo = useBook(({ book }) => book.kind === 'demo')
  const [known, setKnown] = useState<KnownWeather>()
  const [round, setRound] = useState(0)
  useEffect(() => {
    let gone = false
    const asked = isDemo ? stationWeather(today, { latitude_deg, elevation_m }, mode) : storedWeather()
    asked
      .catch(() => ({
        ...NOTHING_MEASURED,
        trouble: 'The stored weather could not be read: the usual temperatures stand in.',
      }))
      .then((found) => {
        if (!gone) setKnown(found)
      })
      .catch(() => undefined)
    return () => {
      gone = true
    }
  }, [isDemo, today, latitude_deg, elevation_m, mode, round])
  return [known, () => setRound(round + 1)]
}
