import { doNow, formatSpan, INSTRUMENTS, isBegun, isUsedUp, lotName, minutesBetween, kitchenAt } from '@ellop/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { whenWords } from '../controls/whenWords'
import { InstrumentCard } from '../instruments/InstrumentCard'
import { Timetable } from './Timetable'
import '../app/instruments.css'

/** What is on the burner and in the water now, the instruments, and lots to practise on. */
export default function KitchenPlace() {
  const context = useJudgeContext()
  const { book, now } = context
  const kitchen = kitchenAt(book.house, now)
  const running = useMemo(
    () =>
      [...book.lots.values()]
        .filter((lot) => isBegun(lot) && !isUsedUp(lot) && isRunning(lot))
        .map((lot) => ({ lot, next: doNow(lot, context), name: lotName(lot, context).title }))
        .sort((a, b) => ((a.next.by ?? '9') < (b.next.by ?? '9') ? -1 : 1)),
    [book.lots, context],
  )
  return (
    <>
      <div className="place-head">
        <div>
          <h1>Kitchen</h1>
          <p>{kitchen === undefined ? 'No kitchen is noted yet.' : kitchen.name}</p>
        </div>
        <div className="place-acts">
          <Link className="big-link" to="/handing-on">
            Hand over this kitchen
          </Link>
        </div>
      </div>
      <section className="card" aria-labelledby="running-title">
        <h2 id="running-title">On the burner and in the water</h2>
        {running.length === 0 && (
          <p className="soft">
            Nothing is running. A load or a bath that is begun at a lot is shown here with its clock.
          </p>
        )}
        <ul className="kitchen-running">
          {running.map(({ lot, next, name }) => (
            <li key={lot.id}>
              <Link to={`/lot/${lot.id}`}>
                <span>
                  <strong>{name}</strong> <small>{lot.code}</small>
                </span>
                <span>{next.title}</span>
                <span className={next.by !== null && next.by < now ? 'kitchen-by over' : 'kitchen-by'}>
                  {next.by === null
                    ? ''
                    : `${whenWords(next.by, now, kitchen?.timeZone ?? 'UTC')} · ${
                        next.by < now
                          ? `${formatSpan(minutesBetween(next.by, now))} late`
                          : `in ${formatSpan(minutesBetween(now, next.by))}`
                      }`}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </section>
      <Timetable />
      <section aria-labelledby="instruments-title">
        <h2 id="instruments-title" className="section-title">
          Instruments
        </h2>
        <p className="soft">
          Every instrument drifts. Calibrate it, then read it at the lot: the value is saved in the step with the
          instrument’s name.
        </p>
        <ul className="instruments">
          {INSTRUMENTS.map((kind) => (
            <InstrumentCard
              key={kind.id}
              kind={kind}
              elevation_m={kitchen?.elevation_m ?? 0}
              timeZone={kitchen?.timeZone ?? 'UTC'}
            />
          ))}
        </ul>
      </section>
      <section className="card kitchen-rehearse">
        <h2>Rehearse</h2>
        <p>Nine made-up lots of acorns to leach, from easy to treacherous. No harm done, nothing noted.</p>
        <Link to="/rehearsals">To the rehearsals</Link>
      </section>
    </>
  )
}

function isRunning({ runs, baths }: Parameters<typeof doNow>[0]): boolean {
  return runs.some(({ done }) => done === null) || baths.some(({ endedAt }) => endedAt === null)
}
