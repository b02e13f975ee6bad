import {
  freshnessOf,
  formatSpan,
  groundAt,
  minutesBetween,
  type DoNow,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import { Link, useSearchParams } from 'react-router'
import { BathForm } from './BathForm'
import { AsLastTimeForm } from './AsLastTimeForm'
import { AttestForm } from './AttestForm'
import { GroundForm } from '../ground/GroundForm'
import { LoadForm } from './LoadForm'
import { LookForm } from './LookForm'
import { PackForm } from './PackForm'
import { RunningLoad } from './RunningLoad'
import { SeeStepForm } from './SeeStepForm'
import { SortForm } from './SortForm'
import { StandForm } from './StandForm'
import { StraysForm } from './StraysForm'
import { TasteForm } from './TasteForm'
import { mayChooseWay, WayChoice } from './WayChoice'
import { WashForm } from './WashForm'
import { MeetFirst } from './MeetForm'
import { WeighForm } from './WeighForm'
import { FreshnessLine } from '../freshness/FreshnessLine'
import { Stopped } from './Stopped'
import { inUnits } from '../units/units'

export interface ActProps {
  readonly lot: LotState
  readonly next: DoNow
  readonly context: JudgeContext
}

/** The one thing to do now: the act, its time, and what happens otherwise; with the form that does it. */
export function NowCard({ lot, next, context }: ActProps) {
  const [search] = useSearchParams()
  const { act } = next
  if (act.kind === 'running') return <RunningLoad lot={lot} context={context} act={act} next={next} />
  const left = next.by === null ? null : minutesBetween(context.now, next.by)
  const tasting = search.get('taste') !== null && act.kind !== 'stop' && act.kind !== 'done'
  return (
    <section className={`card now ${act.kind}`} aria-labelledby="now-title">
      <p className="now-kicker">
        {act.kind === 'stop' ? 'Closed' : 'Now'}
        {left !== null && (
          <span className={left < 0 ? 'over' : ''}>
            {left < 0 ? `${formatSpan(-left)} over its time` : `within ${formatSpan(left)}`}
          </span>
        )}
      </p>
      <h2 id="now-title">{tasting ? 'Taste it' : inUnits(next.title)}</h2>
      {next.missed !== undefined && (
        <p className="must" role="alert">
          {inUnits(next.missed)}
        </p>
      )}
      {next.detail !== '' && <p className="now-detail">{inUnits(next.detail)}</p>}
      {act.kind !== 'done' && act.kind !== 'stop' && <FreshnessLine freshness={freshnessOf(lot, context)} short />}
      {act.kind === 'stop' && <Stopped lot={lot} context={context} />}
      {tasting ? <TasteForm lot={lot} context={context} /> : <ActForm lot={lot} next={next} context={context} />}
      {next.otherwise !== '' && act.kind !== 'serve-or-pack' && (
        <p className="now-otherwise">If not: {inUnits(next.otherwise)}</p>
      )}
    </section>
  )
}

function LotGround({ lot, context: { book, catalogue, now } }: Omit<ActProps, 'next'>) {
  const patch = lot.weighedIn?.patch ?? ''
  const verdict = groundAt(lot.weighedIn, { house: book.house, catalogue, now })?.verdict
  return (
    <GroundForm
      patch={patch}
      known={book.house.patches[patch]}
      asked={verdict?.asked ?? []}
      toAsk={verdict?.toAsk ?? []}
    />
  )
}

function ActForm({ lot, next, context }: ActProps) {
  const { act } = next
  switch (act.kind) {
    case 'look':
      return <LookForm lot={lot} character={act.character} context={context} />
    case 'as-last-time':
      return <AsLastTimeForm lot={lot} act={act} context={context} />
    case 'attest':
      return <AttestForm lot={lot} context={context} />
    case 'sort-strays':
      return <StraysForm lot={lot} />
    case 'ask-ground':
      return <LotGround lot={lot} context={context} />
    case 'count-in-parts':
      return (
        <div className="acts">
          {act.lots.map((id) => (
            <Link key={id} className="big-link" to={`/lot/${id}`}>
              Count the stand of lot {context.book.lots.get(id)?.code ?? id}
            </Link>
          ))}
        </div>
      )
    case 'count-stand':
      return <StandForm lot={lot} context={context} />
    case 'sort':
      return <SortForm lot={lot} context={context} />
    case 'wash':
      return <WashForm lot={lot} />
    case 'begin-load':
      return <LoadForm lot={lot} context={context} act={act} />
    case 'see-step':
      return <SeeStepForm lot={lot} context={context} act={act} />
    case 'bath':
      return <BathForm key={act.counted} lot={lot} context={context} act={act} />
    case 'crumb':
      return <TasteForm lot={lot} context={context} crumb />
    case 'choose-way':
      return <WayChoice lot={lot} context={context} />
    case 'weigh':
      return (
        <>
          {act.after === 'straining' && <WayChoice lot={lot} context={context} />}
          <WeighForm lot={lot} after={act.after} context={context} />
        </>
      )
    case 'taste':
      return (
        <>
          <WayChoice lot={lot} context={context} />
          <TasteForm lot={lot} context={context} />
        </>
      )
    case 'serve-or-pack':
      return (
        <>
          <PackForm lot={lot} context={context} />
          {mayChooseWay(lot) && (
            <details className="instead">
              <summary>Or make something else of it</summary>
              <WayChoice lot={lot} context={context} />
            </details>
          )}
        </>
      )
    case 'pack-for-later':
      return (
        <>
          <PackForm lot={lot} context={context} notYetFood />
          <details className="instead">
            <summary>Or make it food now</summary>
            <LoadForm lot={lot} context={context} act={act.due} />
          </details>
        </>
      )
    case 'meet':
      return <MeetFirst lot={lot} />
    case 'running':
    case 'stop':
    case 'done':
      return null
    default:
      throw new RangeError(`NowCard: expected a known act, got ${JSON.stringify(act satisfies never)}`)
  }
}
