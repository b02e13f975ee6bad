import { DAY_ms, isDay, standInWeather } from '@ellop/core'
import { Hono } from 'hono'

const LEAST_LATITUDE = -72
const MOST_LATITUDE = 72
/** No more than this is worked out at once: what asks for more is refused before anything is done. */
const MOST_DAYS = 1500

/**
 * The stand-in weather station of the demonstration: `GET /weather?from=…&today=…&latitude_deg=…&elevation_m=…`. With `mode=down` it
 * fails as a station does; with `mode=gaps` it leaves days out.
 */
export const station = new Hono().get('/weather', (context) => {
  const { from = '', today = '', latitude_deg = '', elevation_m = '', mode = '' } = context.req.query()
  if (mode === 'down') return context.json({ message: 'The station does not answer.' }, 503)
  if (!isDay(from) || !isDay(today) || from > today)
    return context.json({ message: 'from and today must be days such as 2027-05-16, in order.' }, 400)
  if ((Date.parse(today) - Date.parse(from)) / DAY_ms > MOST_DAYS)
    return context.json(
      { message: `from and today may be ${MOST_DAYS} days apart at most. Ask for less at once.` },
      400,
    )
  const [latitude, elevation] = [Number(latitude_deg), Number(elevation_m)]
  if (!(latitude >= LEAST_LATITUDE && latitude <= MOST_LATITUDE))
    return context.json({ message: 'latitude_deg must be a number from −72 to 72.' }, 400)
  if (elevation_m === '' || !Number.isFinite(elevation))
    return context.json({ message: 'elevation_m must be a number.' }, 400)
  const days = standInWeather(from, today, { latitude_deg: latitude, elevation_m: elevation }).filter(
    (_, index) => mode !== 'gaps' || index % 7 !== 3,
  )
  return context.json({ station: 'stand-in', days })
})
