import {
  formatSpan,
  kitchenAt,
  lotPlan,
  lotUse,
  minutesBetween,
  protocolOf,
  toMs,
  type JudgeContext,
  type LotState,
  type NowAct,
} from '@ellop/core'
import { Button } from 'antd'
import { lazy, useMemo, useState } from 'react'
import { useBook } from '../book/bookStore'
import { NumberField, readField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { whenWords } from '../controls/whenWords'
import { Dial } from '../drawing/Dial'
import { ReadOff } from '../instruments/ReadOff'
import { BathStrip } from './BathStrip'
import { LeachEstimate } from './LeachEstimate'
import { LeachForecast } from './LeachForecast'
import { WayChoice } from './WayChoice'
import { Refusal } from '../controls/Refusal'
import { OnDemand } from '../controls/OnDemand'
import { formatVolume, formatTemp } from '../units/units'

const WaysCompared = lazy(() => import('./WaysCompared'))
const LeachPlanner = lazy(() => import('./LeachPlanner'))

const A_LITRE_A_SECOND_mL_min = 60_000

/** In how many seconds a litre runs. */
function readPace(text: string): ReturnType<typeof readField> {
  const read = readField(text)
  return 'value' in read && read.value <= 0 ? { error: 'Count the seconds: more than none.' } : read
}

/** A leach: fresh water on it, the wait, pouring off. The timer is computed from when the bath began. */
export function BathForm({
  lot,
  context,
  act,
}: {
  lot: LotState
  context: JudgeContext
  act: Extract<NowAct, { kind: 'bath' }>
}) {
  const second = useBook((book) => book.second)
  const { write, errorOf, otherError } = useNote()
  const use = lotUse(lot, context.catalogue)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  const planned = lotPlan(lot, context)?.steps.find(({ baths }) => baths !== undefined)
  const [water, setWater] = useState(String(planned?.baths?.each_mL ?? Math.round(lot.mass_g * 4)))
  const [temp, setTemp] = useState('')
  const [litre, setLitre] = useState('')
  const [planning, setPlanning] = useState(false)
  const [comparing, setComparing] = useState(false)
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const { running, endsAt } = act
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  const step = protocol?.steps[act.step]
  const limit = step?.limit
  const atMost_C = limit?.measure === 'baths' ? limit.atMost_C : undefined
  const flows = step?.op === 'leach-running'
  // Running water has no ratio, and equal baths say nothing of it.
  const ratio = step?.waterRatio
  // The model knows how tannin moves, and no other taste.
  const tannin = step?.control.some((hazard) => hazard.includes('tannin')) === true
  const baths = useMemo(() => lot.baths.filter((bath) => bath.step === act.step), [lot.baths, act.step])
  const left_min = endsAt === null ? 0 : minutesBetween(second, endsAt)
  const early = running !== null && left_min > 0
  const pour = (fresh: boolean) => {
    const read = {
      water_mL: readField(water),
      temp_C:
        temp.trim() !== ''
          ? readField(temp)
          : atMost_C === undefined
            ? { value: null }
            : { error: `Measure the water: a bath counts at ${formatTemp(atMost_C)} or below.` },
      litre_s: !flows || litre.trim() === '' ? { value: null } : readPace(litre),
    }
    const wrong = Object.entries(read).flatMap(([field, each]) => ('error' in each ? [[field, each.error]] : []))
    setFaults(Object.fromEntries(wrong))
    if (fresh && wrong.length > 0) return
    void write(
      {
        type: 'bath-changed',
        lot: lot.id,
        protocol: protocol?.name ?? '',
        step: act.step,
        fresh:
          fresh && 'value' in read.water_mL && 'value' in read.temp_C && 'value' in read.litre_s
            ? {
                water_mL: read.water_mL.value,
                temp_C: read.temp_C.value,
                ...(read.litre_s.value === null ? {} : { flow_mL_min: A_LITRE_A_SECOND_mL_min / read.litre_s.value }),
              }
            : null,
      },
      fresh ? 'Fresh water on it' : 'Poured off',
    )
  }
  const waterField = (
    <NumberField
      label={flows ? 'Water in the basin' : 'Fresh water'}
      unit="mL"
      value={water}
      onChange={setWater}
      error={faults['water_mL'] ?? errorOf('fresh')}
    />
  )
  const tempField = (
    <NumberField
      label="The water is at"
      unit="°C"
      value={temp}
      onChange={setTemp}
      hint={atMost_C === undefined ? 'may be left empty' : `MUST: ${formatTemp(atMost_C)} or below`}
      error={faults['temp_C']}
    />
  )
  const flowField = flows && (
    <NumberField
      label="A litre runs by in"
      unit="s"
      value={litre}
      onChange={setLitre}
      hint="Time one litre with a jug. Empty means still water."
      error={faults['litre_s']}
    />
  )
  return (
    <div className="form">
      <WayChoice lot={lot} context={context} />
      <BathStrip lot={lot} step={act.step} least={act.least} minutes={act.minutes} now={context.now} />
      {running !== null && endsAt !== null ? (
        <div className="run">
          <Dial
            left_s={(toMs(endsAt) - toMs(second)) / 1000}
            of_s={Math.max(1, act.minutes * 60)}
            caption={early ? `left of ${formatSpan(act.minutes)}` : `since ${formatSpan(act.minutes)} were over`}
            above={formatVolume(running.water_mL)}
          />
          <div className="bath-words">
            <p className="run-load">
              {early
                ? `If you pour it off before ${whenWords(endsAt, second, timeZone)}, this bath does not count. Stir now and then: still water is slower.`
                : 'Long enough. Pour it off: the water is bitter and no use for soup.'}
            </p>
            <div className="form two">
              {waterField}
              {tempField}
              {flowField}
            </div>
            <div className="acts">
              <HoldButton tone={early ? 'early' : 'go'} onHold={() => pour(true)}>
                {early ? 'Will not count: press and hold to end it early' : 'Press and hold: fresh water is on'}
              </HoldButton>
              <Button size="large" onClick={() => pour(false)}>
                Poured off, no fresh water
              </Button>
            </div>
          </div>
        </div>
      ) : (
        <>
          <div className="form two">
            {waterField}
            {tempField}
            {flowField}
          </div>
          <div className="acts">
            <Button type="primary" size="large" onClick={() => pour(true)}>
              {act.counted === 0 ? 'Pour the first water on' : 'Pour fresh water on'}
            </Button>
          </div>
        </>
      )}
      {running !== null && <ReadOff id="thermometer" lot={lot} context={context} onTake={setTemp} />}
      <Refusal sentence={otherError(['fresh'])} />
      {tannin && <LeachEstimate baths={baths} mass_g={lot.mass_g} now={context.now} />}
      {tannin && limit?.measure === 'baths' && (
        <LeachForecast lot={lot} baths={baths} limit={limit} context={context} />
      )}
      {tannin && limit?.measure === 'baths' && ratio !== undefined && (
        <details className="planner" onToggle={(event) => setPlanning(event.currentTarget.open)}>
          <summary>Which baths serve best</summary>
          {planning && (
            <OnDemand>
              <LeachPlanner
                mass_g={lot.mass_g}
                limit={limit}
                step={{ ...step, waterRatio: ratio }}
                context={context}
                onWater={(water_mL) => setWater(String(water_mL))}
              />
            </OnDemand>
          )}
        </details>
      )}
      {tannin && limit?.measure === 'baths' && (
        <details className="planner" onToggle={(event) => setComparing(event.currentTarget.open)}>
          <summary>The ways on from here, compared</summary>
          {comparing && (
            <OnDemand>
              <WaysCompared lot={lot} baths={baths} limit={limit} context={context} />
            </OnDemand>
          )}
        </details>
      )}
      <p className="caution">
        Drinking water only, no warmer than the limit says: warm meal sours. Sour, fizzy or slimy: throw it away, do not
        taste it.
      </p>
    </div>
  )
}
