import {
  formatCount,
  formatSpan,
  fromMs,
  isBegun,
  isStopped,
  isUsedUp,
  kitchenAt,
  lotName,
  MINUTE_ms,
  plainWords,
  SERVE,
  timeOf,
  timetableOf,
  toMs,
  withCapital,
  type ScheduleAnswer,
  type Timetable as Problem,
} from '@ellop/core'
import { Checkbox } from 'antd'
import { useMemo, useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { inUnits } from '../units/units'
import { useEngine } from '../workers/useEngine'

const BUDGET_ms = 1500
const COUNTS = ['1', '2', '3', '4'] as const
type Count = (typeof COUNTS)[number]

/** Several lots cooked so that all is ready together: when each act begins, with the hands and burners there are. */
export function Timetable() {
  const context = useJudgeContext()
  const { book, now } = context
  const [chosen, setChosen] = useState<readonly string[]>([])
  const [hands, setHands] = useState<Count>('1')
  const [burners, setBurners] = useState<Count>('2')
  const lots = useMemo(
    () =>
      [...book.lots.values()].filter(
        (lot) => isBegun(lot) && !isUsedUp(lot) && lot.sorted !== null && !isStopped(lot, context),
      ),
    [book.lots, context],
  )
  const problem = useMemo(
    () =>
      chosen.length === 0
        ? undefined
        : timetableOf(
            lots.filter(({ id }) => chosen.includes(id)),
            context,
            { hands: Number(hands), burners: Number(burners) },
          ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the plan hangs on the book, not on the minute
    [chosen, lots, hands, burners],
  )
  const asked = useMemo(
    () =>
      problem === undefined || problem.input.tasks.length === 0
        ? undefined
        : { ...problem.input, budget_ms: BUDGET_ms },
    [problem],
  )
  const answer = useEngine('timetable', asked)
  return (
    <section className="card timetable" aria-labelledby="timetable-title">
      <h2 id="timetable-title">All ready together</h2>
      {lots.length === 0 ? (
        <p className="soft">No sorted lots yet. Sort a lot to time it here.</p>
      ) : (
        <>
          <p>Choose what goes on the table; each begins when it must, so that nothing waits and nothing goes cold.</p>
          <div className="timetable-lots" role="group" aria-label="Lots to time">
            {lots.map((lot) => (
              <Checkbox
                key={lot.id}
                checked={chosen.includes(lot.id)}
                onChange={({ target }) =>
                  setChosen(target.checked ? [...chosen, lot.id] : chosen.filter((each) => each !== lot.id))
                }
              >
                {lotName(lot, context).title} <small className="soft">{lot.code}</small>
              </Checkbox>
            ))}
          </div>
          <div className="timetable-means">
            <Choice label="People" value={hands} onChange={setHands} options={asOptions} />
            <Choice label="Burners" value={burners} onChange={setBurners} options={asOptions} />
          </div>
        </>
      )}
      {problem?.leftOut.map(({ lot, title, why }) => (
        <p key={lot} className="told">
          Left out of this timetable: {title}. {withCapital(inUnits(why))}.
        </p>
      ))}
      {asked !== undefined && problem !== undefined && (
        <Answer
          problem={problem}
          answer={answer}
          begin={now}
          timeZone={kitchenAt(book.house, now)?.timeZone ?? 'UTC'}
        />
      )}
    </section>
  )
}

const asOptions = COUNTS.map((value) => ({ value, label: value }))

function Answer({
  problem,
  answer,
  begin,
  timeZone,
}: {
  problem: Problem
  answer: ScheduleAnswer | 'failed' | undefined
  begin: string
  timeZone: string
}) {
  if (answer === undefined) return <p className="soft">Reckoning …</p>
  if (answer === 'failed') return <p className="refusal">The timetable could not be reckoned. Try fewer lots.</p>
  const { starts, makespan } = answer
  if (makespan === null)
    return (
      <p className="refusal">
        With so few hands or burners it cannot be done: {sayWhy(answer.why, problem)}. Take one more, or one dish fewer.
      </p>
    )
  const minutesOf = (task: string) => problem.input.tasks.find(({ id }) => id === task)?.minutes ?? 0
  const at = (minute: number) => timeOf(fromMs(toMs(begin) + minute * MINUTE_ms), timeZone)
  const rows = problem.acts
    .map((act) => ({ ...act, start: starts[act.task] ?? 0, minutes: minutesOf(act.task) }))
    .toSorted((a, b) => a.start - b.start || (a.task < b.task ? -1 : 1))
  // Two lots may be called alike.
  const lanes = [...new Map(problem.acts.map(({ lot, title }) => [lot, title]))]
  return (
    <>
      <p className="timetable-sum">
        Begun now it is on the table at <strong>{at(makespan)}</strong>, after {formatSpan(makespan)}.{' '}
        {answer.status === 'optimal'
          ? 'It cannot be done sooner.'
          : `No timetable is quicker than ${formatSpan(Math.ceil(answer.lowerBound))}.`}
      </p>
      <div
        className="timetable-chart"
        role="img"
        aria-label={`${formatCount(lanes.length - 1, 'lot')} over ${formatSpan(makespan)}`}
      >
        {lanes.map(([lot, title]) => (
          <div key={lot} className="timetable-row">
            <span>{title}</span>
            <div className="timetable-track">
              {rows
                .filter((row) => row.lot === lot)
                .map(({ task, start, minutes, kind, onFire }) => (
                  <i
                    key={task}
                    className={`${kind}${onFire ? ' fire' : ''}`}
                    style={{ left: `${(100 * start) / makespan}%`, width: `${(100 * minutes) / makespan}%` }}
                  />
                ))}
            </div>
          </div>
        ))}
      </div>
      <ul className="timetable-key soft">
        <li>
          <i className="hands" /> hands in it
        </li>
        <li>
          <i className="waits fire" /> on the fire
        </li>
        <li>
          <i className="waits" /> left alone
        </li>
      </ul>
      <ol className="timetable-list">
        {rows.map(({ task, title, op, kind, start, minutes }) => (
          <li key={task}>
            <time>{at(start)}</time>{' '}
            <strong>
              {title}: {plainWords(op)}
              {kind === 'waits' ? ' goes on' : ''}
            </strong>{' '}
            <span className="soft">{formatSpan(minutes)}</span>
          </li>
        ))}
      </ol>
      <p className="caution">
        Planning values for practised hands. A limit counts from when it boils again, whatever the timetable says.
      </p>
      <p className="must">MUST: eat warm food now, or cool it at once.</p>
    </>
  )
}

/** What clashes, by the names of the lots and not of the tasks. */
function sayWhy(why: readonly string[], { acts }: Problem): string {
  const named = acts.filter(({ task }) => task !== SERVE && why.some((each) => each.includes(task)))
  const said = [...new Set(named.map(({ title, op }) => `${title}, ${plainWords(op)}`))]
  return said.length === 0 ? why.join('; ') : said.join('; ')
}
