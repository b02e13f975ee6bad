import { formatDay, handOver, kitchenAt, timeOf } from '@ellop/core'
import { Button } from 'antd'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useBook, useJudgeContext } from '../book/bookStore'
import { formatMass, inUnits } from '../units/units'
import { FreshnessLine } from '../freshness/FreshnessLine'
import '../app/instruments.css'

/** What stands in this kitchen, for whoever takes over: no bowl of water is mistaken for a finished one. */
export default function HandOver() {
  const context = useJudgeContext()
  const log = useBook((book) => book.log)
  const { book, now } = context
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const lots = useMemo(() => handOver(log, context), [log, context])
  const when = (at: string) => `${formatDay(at, timeZone)} ${timeOf(at, timeZone)}`
  return (
    <article className="hand-over">
      <div className="place-head">
        <div>
          <h1>Handing on</h1>
          <p>
            {kitchenAt(book.house, now)?.name ?? 'This kitchen'} as it stands, {when(now)}
          </p>
        </div>
        <div className="place-acts">
          <Button type="primary" size="large" onClick={() => print()}>
            Print it
          </Button>
          <Link className="big-link" to="/kitchen">
            Back to the kitchen
          </Link>
        </div>
      </div>
      {lots.length === 0 && <p className="card">Nothing is in hand. There is nothing to hand on.</p>}
      {lots.map(({ lot, code, title, mass_g, notYetFood, unsigned, last, next, fresh }) => (
        <section key={lot} className="card">
          <h2>
            <Link to={`/lot/${lot}`}>{title}</Link>{' '}
            <span className="soft">
              {code} · {formatMass(mass_g)}
            </span>
          </h2>
          <p className={notYetFood ? 'not-yet' : 'is-food'}>
            {fresh.state === 'over' || next.stopped
              ? `DO NOT EAT. Do not cook lot ${code}.`
              : notYetFood
                ? 'NOT YET FOOD'
                : 'All gates open. Ready to serve.'}
          </p>
          <FreshnessLine freshness={fresh} />
          <p className="hand-next">
            {next.stopped ? '' : 'Next: '}
            <strong>{inUnits(next.title)}</strong>
            {next.by !== null && `, by ${when(next.by)}`}
          </p>
          {last !== undefined && (
            <p className="soft">
              Last: {inUnits(last.says)} {when(last.at)}, {last.by}.
            </p>
          )}
          {unsigned.length > 0 && (
            <ul className="unsigned">
              {unsigned.map(({ gate, why }) => (
                <li key={gate}>
                  <strong>{gate}</strong> {inUnits(why)}
                </li>
              ))}
            </ul>
          )}
        </section>
      ))}
    </article>
  )
}
