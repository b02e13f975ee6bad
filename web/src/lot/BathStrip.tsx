import { formatSpan, minutesBetween, type Instant, type LotState } from '@ellop/core'

/** The baths so far as a row of bowls, filled by how long each lasted; the least number as empty ones. */
export function BathStrip({
  lot,
  step,
  least,
  minutes,
  now,
}: {
  lot: LotState
  step: number
  least: number
  minutes: number
  now: Instant
}) {
  const baths = lot.baths.filter((bath) => bath.step === step)
  const shown = Math.max(least, baths.length)
  return (
    <ol className="bath-strip" aria-label={`Baths: ${baths.length} begun, ${least} at least`}>
      {Array.from({ length: shown }, (_, index) => {
        const bath = baths[index]
        const lasted = bath === undefined ? 0 : minutesBetween(bath.begunAt, bath.endedAt ?? now)
        const share = Math.min(1, lasted / minutes)
        const state = bath === undefined ? 'ahead' : bath.endedAt === null ? 'in' : share >= 1 ? 'done' : 'short'
        return (
          <li key={index} className={`bowl ${state}`} title={bath === undefined ? 'to come' : formatSpan(lasted)}>
            <svg viewBox="0 0 40 26" aria-hidden="true">
              <clipPath id={`bowl-${index}`}>
                <path d="M3 3 C3 20 12 24 20 24 C28 24 37 20 37 3 Z" />
              </clipPath>
              <rect
                x="0"
                y={24 - 20 * share}
                width="40"
                height={20 * share + 2}
                clipPath={`url(#bowl-${index})`}
                className="bath-water"
              />
              <path d="M3 3 C3 20 12 24 20 24 C28 24 37 20 37 3" fill="none" stroke="currentColor" strokeWidth="2" />
            </svg>
            <span className="visually-hidden">
              Bath {index + 1}:{' '}
              {state === 'ahead' ? 'to come' : `${formatSpan(lasted)}${state === 'short' ? ', too short' : ''}`}
            </span>
          </li>
        )
      })}
    </ol>
  )
}
