import {
  boilingPoint,
  currentStep,
  dryTarget,
  loadsToGo,
  lotPlan,
  formatSpan,
  kitchenAt,
  MINUTE_ms,
  toMs,
  waterVerdict,
  type CurrentStep,
  type DoNow,
  type JudgeContext,
  type LotState,
  type NowAct,
} from '@ellop/core'
import { Button, Checkbox } from 'antd'
import { useState } from 'react'
import { useBook } from '../book/bookStore'
import { NumberField, readField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { Dial } from '../drawing/Dial'
import { ReadOff } from '../instruments/ReadOff'
import { formatMass, formatTemp, inUnits } from '../units/units'

const FIELDS = ['temp_C', 'backToBoil_s', 'driedTo_g', 'minutes']

/** What of the step has not been in yet, besides the load that is. */
function leftToGo_g({ progress: { toCover_g, covered_g, running } }: CurrentStep): number {
  return Math.max(0, toCover_g - covered_g - (running?.mass_g ?? 0))
}

/** A load in the step: the time left, computed from when it began, so that closing the browser loses nothing. */
export function RunningLoad({
  lot,
  context,
  act,
  next,
}: {
  lot: LotState
  context: JudgeContext
  act: Extract<NowAct, { kind: 'running' }>
  next: DoNow
}) {
  const second = useBook((book) => book.second)
  const { write, errorOf, otherError } = useNote()
  const water = waterVerdict(lot, context, act.run)
  const current = currentStep(lot, context)
  const measure = current?.step.limit?.measure
  const drying = measure === 'dried-to'
  const [temp, setTemp] = useState('')
  const [back, setBack] = useState('')
  const [dried, setDried] = useState('')
  const [kept, setKept] = useState(water?.keep ?? false)
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const left_s = (toMs(act.endsAt) - toMs(second)) / 1000
  const per = lotPlan(lot, context)?.steps.find((each) => each.loads !== undefined)?.loads?.load_g
  const loads = act.run.load - 1 + loadsToGo(act.run.mass_g + (current === undefined ? 0 : leftToGo_g(current)), per)
  const kitchen = kitchenAt(context.book.house, context.now)
  const boil_C = boilingPoint({ elevation_m: kitchen?.elevation_m ?? 0 }).temp_C
  const target =
    drying && current?.step.limit?.measure === 'dried-to'
      ? dryTarget({
          start_g: act.run.mass_g,
          startMoisture: current.step.startMoisture?.high ?? current.use.moisture?.high ?? 0.9,
          targetMoisture: current.step.limit.moisture,
        })
      : undefined
  const end = (outcome: 'done' | 'off-boil' | 'stopped') => {
    const optional = (text: string) => (text.trim() === '' ? { value: null } : readField(text))
    const read = { temp_C: optional(temp), backToBoil_s: optional(back), driedTo_g: optional(dried) }
    setFaults(
      Object.fromEntries(
        Object.entries(read).flatMap(([field, each]) => ('error' in each ? [[field, each.error]] : [])),
      ),
    )
    if (!('value' in read.temp_C) || !('value' in read.backToBoil_s) || !('value' in read.driedTo_g)) return
    const minutes = Math.max(0, (toMs(useBook.getState().second) - toMs(act.run.begunAt)) / MINUTE_ms)
    void write(
      {
        type: 'step-done',
        lot: lot.id,
        begun: act.run.entry,
        outcome,
        minutes,
        temp_C: read.temp_C.value,
        backToBoil_s: read.backToBoil_s.value,
        driedTo_g: read.driedTo_g.value,
        checked: outcome === 'done',
        water: drying ? null : kept ? 'kept' : 'thrown',
      },
      outcome === 'done' && minutes >= act.minutes
        ? `Saved: load ${act.run.load} is out`
        : `Saved: load ${act.run.load} does not count`,
    )
  }
  const title = measure === 'rolling-boil' ? 'Keep it at a rolling boil' : next.title
  return (
    <section className="card now running" aria-labelledby="now-title">
      <div className="run">
        <Dial
          left_s={left_s}
          of_s={Math.max(1, act.minutes * 60)}
          caption={`left of ${formatSpan(act.minutes)}`}
          above={drying ? `${formatMass(act.run.mass_g)} in` : formatTemp(boil_C)}
        />
        <div className="run-words">
          <p className="now-kicker">Now · load {act.run.load}</p>
          <h2 id="now-title">{title}</h2>
          <p className="run-load">
            {formatMass(act.run.mass_g)} in it. Look for: {inUnits(next.detail)}.
          </p>
          <p className="run-limit">{inUnits(next.otherwise)}</p>
          {left_s > 0 && (
            <p className="must">
              Taken out now, load {act.run.load}
              {loads > 1 && ` of ${loads}`} does not count: {formatSpan(Math.max(0, act.minutes - left_s / 60))} of{' '}
              {formatSpan(act.minutes)}.
            </p>
          )}
          {target !== undefined && (
            <p className="run-load">
              MUST: {formatMass(target.target_g)} or less, weighed dry. A weight that stands still is not enough. Did it
              begin drier than the plant list says? Dry a sample (under “Note something else”).
            </p>
          )}
        </div>
      </div>
      <div className="acts run-acts">
        <HoldButton onHold={() => end('done')} tone={left_s > 0 ? 'early' : 'go'}>
          {left_s > 0
            ? 'Will not count: press and hold to stop early'
            : drying
              ? 'Press and hold: dry and weighed'
              : 'When all of it is in cold water: press and hold'}
        </HoldButton>
        {measure === 'rolling-boil' && (
          <Button size="large" onClick={() => end('off-boil')}>
            The boil stopped
          </Button>
        )}
        <Button size="large" onClick={() => end('stopped')}>
          Stop
        </Button>
      </div>
      {otherError(FIELDS) !== undefined || errorOf('minutes') !== undefined ? (
        <p className="refusal" role="alert">
          {errorOf('minutes') ?? otherError(FIELDS)}
        </p>
      ) : null}
      <div className="form three">
        {drying ? (
          <NumberField
            label="Dry weight"
            unit="g"
            value={dried}
            onChange={setDried}
            error={faults['driedTo_g'] ?? errorOf('driedTo_g')}
          />
        ) : (
          <>
            <NumberField
              label={measure === 'food-temperature' ? 'Food measured at' : 'Thermometer'}
              unit="°C"
              value={temp}
              onChange={setTemp}
              error={faults['temp_C'] ?? errorOf('temp_C')}
            />
            <NumberField
              label="It boiled again after"
              unit="s"
              value={back}
              onChange={setBack}
              hint="up to 60 s is good"
              error={faults['backToBoil_s'] ?? errorOf('backToBoil_s')}
            />
            {water !== undefined && (
              <Checkbox checked={kept} onChange={(event) => setKept(event.target.checked)}>
                {water.keep ? 'Keep the water for soup' : 'The water was kept all the same'}
              </Checkbox>
            )}
          </>
        )}
      </div>
      <ReadOff id={drying ? 'scale' : 'thermometer'} lot={lot} context={context} onTake={drying ? setDried : setTemp} />
      {!drying && water !== undefined && <p className="told">The water. {inUnits(water.says)}</p>}
    </section>
  )
}
