import {
  formatCount,
  formatSpan,
  leachLessons,
  tanninForecast,
  type BathFact,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import { lazy, useMemo } from 'react'
import { useEngine } from '../workers/useEngine'
import { OnDemand } from '../controls/OnDemand'

const ForecastChart = lazy(() => import('./ForecastChart'))

/** Tastes a hundred times less likely than eleven even scores do not fit what was noted. */
const UNLIKELY = 0.01

interface Limit {
  readonly least: number
  readonly minutes: number
  readonly tasteAtMost: number
}

/** How many baths more, from the crumbs so far: the chance for each number, the fan of the taste, and which taste is worth most. */
export function LeachForecast({
  lot,
  baths,
  limit,
  context,
}: {
  lot: LotState
  baths: readonly BathFact[]
  limit: Limit
  context: JudgeContext
}) {
  const asked = useMemo(
    () => tanninForecast(baths, lot.tastes, lot.mass_g, limit),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the limit is the record's and stays
    [baths, lot.tastes, lot.mass_g],
  )
  const done = baths.filter(({ endedAt }) => endedAt !== null).length
  const question = useMemo(
    () =>
      asked && {
        asked,
        from: Math.max(limit.least, done + (baths.length > done ? 1 : 0)),
        lessons: leachLessons(lot, context),
      },
    // eslint-disable-next-line react-hooks/exhaustive-deps -- asked anew when what is known changes
    [asked],
  )
  const told = useEngine('leachForecast', question)
  if (asked === undefined || told === undefined) return null
  if (told === 'failed')
    return (
      <section className="leach-forecast" aria-label="How many baths more">
        <p className="refusal">
          How many baths more could not be reckoned. The crumb ends the leach all the same; open this again to have it
          reckoned.
        </p>
      </section>
    )
  const { forecast, next, lots, samePatch } = told
  const crumbs = asked.observations.filter(({ afterBath }) => afterBath > 0)
  const least = (count: number) => Math.max(limit.least, count)
  const beyond = (count: number) => (count > asked.maxBaths ? `more than ${asked.maxBaths}` : String(least(count)))
  const { p10, p50, p90 } = forecast.baths
  const { flow_mL_min, minutes } = asked.bath
  const spells = flow_mL_min === undefined ? 'baths' : `spells of ${formatSpan(minutes)} in running water`
  const worsened = crumbs.some((crumb, index) => crumb.score > (crumbs[index - 1]?.score ?? 10) + 1)
  return (
    <section className="leach-forecast" aria-label="How many baths more">
      <p className="forecast-says">
        By taste alone, about <strong>{beyond(p50)}</strong> {spells} in all ({beyond(p10)} to {beyond(p90)}). {done}{' '}
        done. <span className="soft">An estimate: only the crumb ends it.</span>
      </p>
      <OnDemand>
        <ForecastChart
          forecast={forecast}
          crumbs={crumbs}
          done={done}
          least={limit.least}
          target={limit.tasteAtMost}
          shown={Math.min(asked.maxBaths, Math.max(p90 + 1, limit.least + 2, done + 3))}
        />
      </OnDemand>
      {!worsened && forecast.surprise < UNLIKELY && (
        <p className="told">
          Such tastes are unlikely from baths like these. Is the meal coarser, the water warmer, a bath not noted? The
          forecast holds only for what was noted.
        </p>
      )}
      {worsened && (
        <p className="told">
          A crumb tasted worse than one before it. Was it another taster, another grain, a mouth not rinsed? Taste again
          before you trust the forecast.
        </p>
      )}
      <p className="soft">
        {crumbs.length === 0
          ? lots === 0
            ? 'No crumb was tasted yet: this is the book’s guess, and it is wide. '
            : 'No crumb of it was tasted yet. '
          : `From ${crumbs.length === 1 ? 'one crumb' : `${crumbs.length} crumbs`} and the baths so far. `}
        {lots > 0 &&
          `${formatCount(lots, 'earlier lot')} of your own taught it, ${samePatch === 0 ? 'none' : samePatch === lots ? (lots === 1 ? 'of this patch' : 'all of this patch') : `${samePatch} of this patch`}. `}
        {next !== undefined && `A crumb after bath ${next.afterBath} would tell most. `}
        For taste alone, if the baths to come are like those so far; only the crumb, spat out, ends the leach.
      </p>
    </section>
  )
}
