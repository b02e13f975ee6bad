import { dayNumber, type SeasonRow } from '@ellop/core'

export const LENS_WIDTH = 732
const HEIGHT = 40
const MIDDLE = HEIGHT / 2
const HALF = 15
const YEAR_days = 366

/** One part and stage over the year: as wide as it is good, paler where it may be, with the cook's own sightings on it. */
export function Lens({
  row,
  yearFrom,
  today,
  seen,
}: {
  row: SeasonRow
  yearFrom: number
  today: number
  /** Day numbers. */
  seen: readonly number[]
}) {
  const x = (day: number) => ((day - yearFrom) / YEAR_days) * LENS_WIDTH
  const [from, to] = [dayNumber(row.from), dayNumber(row.to)]
  const off = row.sd_days * 1.28
  return (
    <svg
      viewBox={`0 0 ${LENS_WIDTH} ${HEIGHT}`}
      className={`lens ${row.state} ${row.narrow ? 'narrow' : ''}`}
      aria-hidden="true"
    >
      {Array.from({ length: 11 }, (_, month) => {
        const at = ((month + 1) / 12) * LENS_WIDTH
        return <path key={month} d={`M${at} 4V${HEIGHT - 4}`} className="lens-month" />
      })}
      <path d={shape(x(from - off), x(to + off))} className="lens-maybe" />
      <path d={shape(x(from), x(to))} className="lens-good" />
      {seen.map((day) => (
        <circle
          key={day}
          cx={x(yearFrom + ((((day - yearFrom) % 365) + 365) % 365))}
          cy={MIDDLE}
          r={4}
          className="lens-seen"
        />
      ))}
      <path d={`M${x(today)} 0V${HEIGHT}`} className="lens-today" />
    </svg>
  )
}

/** A lens from one day to another, widest where it is best. */
function shape(left: number, right: number): string {
  const width = right - left
  const [rise, fall] = [left + width * 0.3, left + width * 0.65]
  return (
    `M${left} ${MIDDLE}C${left + width * 0.1} ${MIDDLE} ${left + width * 0.15} ${MIDDLE - HALF} ${rise} ${MIDDLE - HALF}` +
    `L${fall} ${MIDDLE - HALF}C${right - width * 0.15} ${MIDDLE - HALF} ${right - width * 0.1} ${MIDDLE} ${right} ${MIDDLE}` +
    `C${right - width * 0.1} ${MIDDLE} ${right - width * 0.15} ${MIDDLE + HALF} ${fall} ${MIDDLE + HALF}` +
    `L${rise} ${MIDDLE + HALF}C${left + width * 0.15} ${MIDDLE + HALF} ${left + width * 0.1} ${MIDDLE} ${left} ${MIDDLE}Z`
  )
}
