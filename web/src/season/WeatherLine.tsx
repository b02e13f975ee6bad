import { formatCount, formatDay } from '@ellop/core'
import { Button } from 'antd'
import { useRef } from 'react'
import { useBook } from '../book/bookStore'
import { FileInput } from '../controls/FileInput'
import { say, sayRefused } from '../controls/said'
import { takeWeatherFile, type KnownWeather } from './weather'
import { inUnits } from '../units/units'

/** Whose weather the season goes by, and what the coming days mean for a walk. */
export function WeatherLine({ known, onTaken }: { known: KnownWeather | undefined; onTaken: () => void }) {
  const today = useBook(({ minute }) => minute.slice(0, 10))
  const isDemo = useBook(({ book }) => book.kind === 'demo')
  const input = useRef<HTMLInputElement>(null)
  const take = async (file: File | undefined) => {
    if (file === undefined) return
    const reading = await takeWeatherFile(await file.text())
    if (!reading.ok) return sayRefused(reading.message)
    const gaps = reading.missing === 0 ? '' : `; ${formatCount(reading.missing, 'day')} missing in between`
    say(`${formatCount(reading.days.length, 'day')} of weather taken${gaps}`)
    onTaken()
  }
  const ahead = known?.days.filter(({ day }) => day > today) ?? []
  const measured = (known?.days.length ?? 0) - ahead.length
  return (
    <div
      className={known?.trouble === undefined ? 'weather-line' : 'weather-line troubled'}
      role={known?.trouble === undefined ? undefined : 'status'}
    >
      <p>
        {known === undefined
          ? 'Asking for the weather …'
          : (known.trouble ??
            (known.days.length === 0
              ? 'Usual temperatures: no weather is in this book yet.'
              : `Weather: ${formatCount(measured, 'day')}${isDemo ? ' from a simulated station' : ''}, up to ${formatDay(`${known.days[measured - 1]?.day ?? today}T12:00:00.000Z`, 'UTC')}.`))}
      </p>
      {ahead.length > 0 && (
        // On a phone it is pushed along by hand or with the keys.
        <ol className="outlook" aria-label="Outlook" tabIndex={0}>
          {ahead.slice(0, 7).map(({ day, min_C, max_C, rain_mm = 0, wind_km_h = 0 }) => (
            <li key={day} className={rain_mm > 5 ? 'wet' : wind_km_h > 30 ? 'windy' : ''}>
              <strong>{formatDay(`${day}T12:00:00.000Z`, 'UTC').split(' ').slice(0, 2).join(' ')}</strong>
              <span>{inUnits(`${Math.round(min_C)} to ${Math.round(max_C)} °C`)}</span>
              <span>
                {inUnits(
                  rain_mm > 0.5 ? `${Math.round(rain_mm)} mm rain` : wind_km_h > 30 ? `wind ${wind_km_h} km/h` : 'dry',
                )}
              </span>
            </li>
          ))}
        </ol>
      )}
      {!isDemo && (
        <Button size="large" onClick={() => input.current?.click()}>
          Weather from a file
        </Button>
      )}
      <FileInput input={input} label="A weather file" accept=".csv,.txt,text/csv" onFile={(file) => void take(file)} />
    </div>
  )
}
