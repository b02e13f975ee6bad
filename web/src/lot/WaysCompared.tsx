import {
  BATHS_FOLLOWED,
  formatSpan,
  kitchenAt,
  leachLessons,
  lotUse,
  protocolOf,
  tanninForecast,
  tanninWays,
  type BathFact,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import { Spin } from 'antd'
import { useMemo } from 'react'
import { useEngine } from '../workers/useEngine'
import { formatVolume, inUnits } from '../units/units'

const STARCH_WORDS = {
  binds: 'binds and thickens',
  undecided: 'may or may not bind',
  cooked: 'is cooked: no longer binds',
} as const

const GOES_WRONG: Readonly<Record<string, string>> = {
  'leach-static': 'Warm meal sours: change it twice a day at least, or keep it cold.',
  'leach-hot': 'Hot water cooks the starch for good, and a part of the meal goes down the drain.',
  'leach-running': 'Grit, beasts and what lies up the water; fine meal washes out of the cloth.',
}

/** The ways on that the record has for this lot, side by side from where it stands; and those that are none, with the reason. */
export default function WaysCompared({
  lot,
  baths,
  limit,
  context,
}: {
  lot: LotState
  baths: readonly BathFact[]
  limit: { readonly least: number; readonly minutes: number; readonly tasteAtMost: number }
  context: JudgeContext
}) {
  const use = lotUse(lot, context.catalogue)
  const kitchen = kitchenAt(context.book.house, context.now)
  const asked = useMemo(() => {
    const forecast = tanninForecast(baths, lot.tastes, lot.mass_g, limit)
    if (use === undefined || kitchen === undefined || forecast === undefined) return undefined
    const { input, not } = tanninWays(use, { baths: lot.baths, mass_g: lot.mass_g }, forecast, kitchen)
    return { question: { input, lessons: leachLessons(lot, context) }, not }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- use and limit are the record's and stay
  }, [baths, lot.baths, lot.tastes, lot.mass_g, kitchen])
  const told = useEngine('compareWays', asked?.question)
  if (asked === undefined) return <p className="told">The ways are compared once the first bath is poured off.</p>
  if (told === undefined)
    return (
      <p className="told" aria-busy="true">
        <Spin size="small" /> Following each way …
      </p>
    )
  if (told === 'failed') return <p className="refusal">The ways could not be reckoned. Open this again.</p>
  const current = use === undefined ? undefined : protocolOf(lot, use)?.name
  const rows = told.toSorted((a, b) => a.minutes.p50 - b.minutes.p50)
  const opOf = (name: string) => asked.question.input.ways.find((way) => way.name === name)?.op ?? ''
  return (
    <section className="ways-compared" aria-label="The ways on, compared">
      <ul className="way-rows">
        {rows.map((row) => (
          <li key={row.name} className={row.name === current ? 'current' : undefined}>
            <h4>
              {row.name}
              {row.name === current && <span className="soft"> · as it goes now</span>}
            </h4>
            <p className="way-when">
              <strong>{row.never > 0.5 ? `not within ${BATHS_FOLLOWED} baths` : formatSpan(row.minutes.p50)}</strong>{' '}
              more
              {row.minutes.p10 < row.minutes.p90 && (
                <span className="soft">
                  {' '}
                  ({formatSpan(row.minutes.p10)} to {formatSpan(row.minutes.p90)})
                </span>
              )}
            </p>
            <dl>
              <div>
                <dt>baths</dt>
                <dd>
                  {row.baths.p10 === row.baths.p90
                    ? count(row.baths.p50)
                    : `${row.baths.p10} to ${count(row.baths.p90)}`}
                </dd>
              </div>
              <div>
                <dt>water</dt>
                <dd>{formatVolume(row.water_mL > 1e5 ? Math.round(row.water_mL / 1e4) * 1e4 : row.water_mL)}</dd>
              </div>
              <div>
                <dt>fuel</dt>
                <dd>{row.fuel_kWh === 0 ? 'none' : `${row.fuel_kWh.toFixed(1)} kWh`}</dd>
              </div>
              <div>
                <dt>hands</dt>
                <dd>{formatSpan(row.hands_min)}</dd>
              </div>
              <div>
                <dt>sugars kept</dt>
                <dd>{row.sugarKept < 0.01 ? 'under 1' : Math.round(100 * row.sugarKept)} %</dd>
              </div>
              <div>
                <dt>starch</dt>
                <dd>{STARCH_WORDS[row.starch]}</dd>
              </div>
            </dl>
            <p className="soft">{GOES_WRONG[opOf(row.name)]}</p>
          </li>
        ))}
      </ul>
      <dl className="way-not">
        {asked.not.map(({ name, why }) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{inUnits(why)}</dd>
          </div>
        ))}
      </dl>
      <p className="caution">
        For taste alone, for lots as likely as your tastes leave them. Baths of one way do not count towards the least
        number of another, and its steps before the leach are asked for again. Only the crumb, spat out, ends it.
      </p>
    </section>
  )
}

function count(baths: number): string {
  return baths > BATHS_FOLLOWED ? `more than ${BATHS_FOLLOWED}` : String(baths)
}
