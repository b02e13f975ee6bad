import {
  GRAINS_mm,
  rehearsalForecast,
  rehearsalLimits,
  requireTaxon,
  SCENARIOS,
  type RehearsalState,
  type RehearsalWater,
  type Scenario,
} from '@ellop/core'
import { Button, Spin } from 'antd'
import { lazy, useEffect, useMemo, useState } from 'react'
import { Link, useParams } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { NumberField, readField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useEngine } from '../workers/useEngine'
import { gameOf, useGames } from './games'
import { RehearsalEndCard } from './RehearsalEndCard'
import '../app/rehearsal.css'
import { OnDemand } from '../controls/OnDemand'
import { NotThere } from '../controls/NotThere'
import { formatVolume, inUnits } from '../units/units'

const ForecastChart = lazy(() => import('../lot/ForecastChart'))

const WATERS: readonly { readonly value: RehearsalWater; readonly label: string }[] = [
  { value: 'cold', label: 'cold water' },
  { value: 'hot', label: 'at the boil' },
  { value: 'running', label: 'running water' },
]
const TIMES = [1, 1.5, 2, 3] as const

/** One rehearsal: what is known of the lot, one thing to do after another, and the truth at the end. */
export default function RehearsalPlace() {
  const { id = '' } = useParams()
  const scenario = SCENARIOS.find((each) => each.id === id)
  if (scenario === undefined)
    return <NotThere what="No rehearsal of that name" to="/rehearsals" onward="To the rehearsals" />
  return <Rehearsal key={id} scenario={scenario} />
}

function Rehearsal({ scenario }: { scenario: Scenario }) {
  const { catalogue } = useJudgeContext()
  const limits = useMemo(() => rehearsalLimits(requireTaxon(catalogue, 'Quercus robur')), [catalogue])
  const game = useGames(({ games }) => gameOf(games, scenario.id))
  const { move, again, ended } = useGames.getState()
  const state = useEngine(
    'rehearsal',
    useMemo(() => ({ scenario, limits, ...game }), [scenario, limits, game]),
  )
  const verdict = state === 'failed' ? undefined : state?.end?.verdict
  useEffect(() => {
    if (verdict !== undefined) ended(scenario.id, verdict)
  }, [verdict, scenario.id, ended])
  if (state === undefined) return <Spin />
  if (state === 'failed')
    return (
      <section className="empty" role="alert">
        <h1>The rehearsal could not be followed</h1>
        <p>The part of the program that does it did not answer, or a move of it is not one any more.</p>
        <Button type="primary" size="large" onClick={() => window.location.reload()}>
          Try again
        </Button>
        <Button size="large" onClick={() => again(scenario.id)}>
          Begin with another lot
        </Button>
      </section>
    )
  const { end } = state
  return (
    <div className="rehearsal">
      <div className="place-head">
        <h1>{scenario.name}</h1>
        <p>
          {inUnits(scenario.tells)} <Link to="/rehearsals">All rehearsals</Link>
        </p>
      </div>
      <div className="rehearsal-grid">
        <section className="card rehearsal-now" aria-label="What to do">
          <Stand scenario={scenario} state={state} />
          {end === undefined ? (
            <Moves scenario={scenario} state={state} limits={limits} onMove={(made) => move(scenario.id, made)} />
          ) : (
            <RehearsalEndCard
              scenario={scenario}
              state={state}
              end={end}
              tasteAtMost={limits.tasteAtMost}
              onAgain={() => again(scenario.id)}
            />
          )}
        </section>
        <section className="card" aria-label="What happened">
          <h2>So far</h2>
          {state.story.length === 0 && <p className="soft">Nothing yet. Looking closely costs nothing.</p>}
          <ol className="rehearsal-story">
            {state.story.map(({ hours, text }, index) => (
              <li key={index}>
                <span className="soft">{clock(hours)}</span>
                <span>{inUnits(text)}</span>
              </li>
            ))}
          </ol>
          {state.crumbs.length > 0 && <Forecast scenario={scenario} state={state} limits={limits} />}
        </section>
      </div>
      <p className="caution">
        A rehearsal teaches the hand, not the plant: no lot of your own is safer for it. Only your own crumb, after the
        record’s least number of baths, ends a leach.
      </p>
    </div>
  )
}

/** The bowl, and what is left of time and water. */
function Stand({ scenario, state }: { scenario: Scenario; state: RehearsalState }) {
  const strength = state.baths.at(-1)?.strength ?? 0
  const tint = Math.min(1, Math.sqrt(strength))
  const water =
    state.baths.length === 0 ? 'transparent' : `hsl(${52 - 24 * tint} ${30 + 35 * tint}% ${84 - 46 * tint}%)`
  return (
    <div className="rehearsal-stand">
      <svg
        viewBox="0 0 200 120"
        className="rehearsal-bowl"
        role="img"
        aria-label={`${state.baths.length} baths so far`}
      >
        <clipPath id="rehearsal-bowl">
          <path d="M14 14 C14 84 62 108 100 108 C138 108 186 84 186 14 Z" />
        </clipPath>
        <rect x="0" y="34" width="200" height="90" fill={water} clipPath="url(#rehearsal-bowl)" />
        <path d="M40 84 Q100 60 160 84 L150 108 L50 108 Z" className="meal" clipPath="url(#rehearsal-bowl)" />
        <path d="M14 14 C14 84 62 108 100 108 C138 108 186 84 186 14" className="rim" />
      </svg>
      <dl>
        <Gauge name="time" value={clock(state.hours)} of={clock(scenario.hours)} share={state.hours / scenario.hours} />
        <Gauge
          name="water"
          value={formatVolume(state.water_mL)}
          of={formatVolume(scenario.water_mL)}
          share={state.water_mL / scenario.water_mL}
        />
        <div>
          <dt>the lot</dt>
          <dd>
            {inUnits(`${scenario.mass_g} g, grains of ${state.size_mm} mm`)} ·{' '}
            {scenario.wants === 'flour' ? 'for flour that binds' : 'to eat'}
          </dd>
        </div>
        <div>
          <dt>water comes at</dt>
          <dd>{inUnits(`${scenario.tap_C} °C`)}</dd>
        </div>
      </dl>
    </div>
  )
}

function Gauge({ name, value, of, share }: { name: string; value: string; of: string; share: number }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        {value} <span className="soft">of {of}</span>
        <span className="gauge" aria-hidden="true">
          <span className={share > 1 ? 'over' : undefined} style={{ width: `${Math.min(100, 100 * share)}%` }} />
        </span>
      </dd>
    </div>
  )
}

function Moves({
  scenario,
  state,
  limits,
  onMove,
}: {
  scenario: Scenario
  state: RehearsalState
  limits: ReturnType<typeof rehearsalLimits>
  onMove: (move: Parameters<ReturnType<typeof useGames.getState>['move']>[1]) => void
}) {
  const [kind, setKind] = useState<RehearsalWater>('cold')
  const [litres, setLitres] = useState('3.2')
  const [times, setTimes] = useState(1)
  const [fault, setFault] = useState('')
  const waters = WATERS.filter(
    ({ value }) => limits.by[value] !== undefined && (value !== 'running' || scenario.running),
  )
  const minutes = limits.by[kind]?.minutes ?? 60
  const pour = () => {
    const read = readField(litres)
    if ('error' in read) return setFault(read.error)
    if (read.value < 0.4 || read.value > 20) return setFault('Between 0.4 and 20 L: what a pot holds.')
    setFault('')
    onMove({ kind: 'bath', water: kind, water_mL: Math.round(1000 * read.value), hours: (minutes * times) / 60 })
  }
  return (
    <div className="form">
      {state.baths.length === 0 && (
        <Choice
          label="Grind it to"
          value={String(state.size_mm)}
          onChange={(size) => onMove({ kind: 'grind', size_mm: Number(size) })}
          options={GRAINS_mm.map((value) => ({
            value: String(value),
            label: inUnits(value === 8 ? 'cracked, 8 mm' : `${value} mm`),
          }))}
        />
      )}
      <div className="rehearsal-bath">
        <Choice label="Water" value={kind} onChange={setKind} options={waters} />
        <Choice
          label="For how long"
          value={String(times)}
          onChange={(chosen) => setTimes(Number(chosen))}
          options={TIMES.map((value) => ({ value: String(value), label: clock((minutes * value) / 60) }))}
        />
        <NumberField label="Water a bath" unit="L" value={litres} onChange={setLitres} error={fault} />
      </div>
      <div className="acts">
        <Button type="primary" size="large" onClick={pour}>
          {state.baths.length === 0 ? 'Pour the water on' : 'Pour off, fresh water on'}
        </Button>
        <Button size="large" onClick={() => onMove({ kind: 'crumb' })}>
          Taste a crumb
        </Button>
        <Button size="large" onClick={() => onMove({ kind: 'look' })}>
          Look and smell closely
        </Button>
      </div>
      <div className="acts">
        <HoldButton tone="go" onHold={() => onMove({ kind: 'serve' })}>
          Press and hold to serve it
        </HoldButton>
        <HoldButton tone="early" onHold={() => onMove({ kind: 'throw-away' })}>
          Press and hold to throw it away
        </HoldButton>
      </div>
    </div>
  )
}

function Forecast({
  scenario,
  state,
  limits,
}: {
  scenario: Scenario
  state: RehearsalState
  limits: ReturnType<typeof rehearsalLimits>
}) {
  const asked = useMemo(() => rehearsalForecast(state, scenario, limits), [state, scenario, limits])
  const told = useEngine(
    'leachForecast',
    useMemo(() => asked && { asked, from: state.baths.length, lessons: undefined }, [asked, state.baths.length]),
  )
  if (asked === undefined || told === undefined || told === 'failed') return null
  const { forecast } = told
  return (
    <>
      <h3>What the forecast makes of your crumbs</h3>
      <OnDemand>
        <ForecastChart
          forecast={forecast}
          crumbs={asked.observations}
          done={state.baths.length}
          least={limits.by[state.baths.at(-1)?.kind ?? 'cold']?.least ?? 1}
          target={limits.tasteAtMost}
          shown={Math.min(asked.maxBaths, Math.max(forecast.baths.p90 + 1, state.baths.length + 3))}
        />
      </OnDemand>
      <p className="soft">As if all baths had been like the last.</p>
    </>
  )
}

function clock(hours: number): string {
  if (hours < 1) return `${Math.round(60 * hours)} min`
  if (hours < 48) return `${Math.round(10 * hours) / 10} h`
  return `${Math.round(hours / 2.4) / 10} days`
}
