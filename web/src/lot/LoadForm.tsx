import {
  currentStep,
  defaultGoal,
  loadsToGo,
  lotPlan,
  lotUse,
  notLeftOut,
  opNoun,
  protocolOf,
  waterVerdict,
  type JudgeContext,
  type LotState,
  type NowAct,
} from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { NumberField, readField } from '../controls/Field'
import { Choice } from '../controls/Choice'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { WayChoice } from './WayChoice'
import { Refusal } from '../controls/Refusal'
import { formatMass, formatVolume, inUnits } from '../units/units'

const WATERS = [
  { value: 'fresh', label: 'fresh water' },
  { value: 'same', label: 'the water of the load before' },
] as const

/** The next load into the pot: what for, how much, and the moment it boils again. */
export function LoadForm({
  lot,
  context,
  act,
}: {
  lot: LotState
  context: JudgeContext
  act: Extract<NowAct, { kind: 'begin-load' }>
}) {
  const { write, errorOf, otherError } = useNote()
  const use = lotUse(lot, context.catalogue)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  const plan = lotPlan(lot, context)
  const planned = plan?.steps.find(({ loads }) => loads !== undefined)
  const per = planned?.loads?.load_g
  const toGo = loadsToGo(act.left_g, per)
  const [mass, setMass] = useState(String(Math.ceil(Math.min(act.left_g, per ?? act.left_g))))
  const [typed, setTyped] = useState<string>()
  const asked = protocol?.steps[act.step]
  const ratio = asked?.critical === true ? asked.waterRatio : undefined
  const before = lot.runs.filter(({ step, protocol: of }) => step === act.step && of === protocol?.name).at(-1)
  const [water_mL, setWater] = useState(
    String(
      Math.round(planned?.water_mL ?? before?.water?.water_mL ?? 1000 * (ratio?.usual ?? 0) * (Number(mass) / 1000)),
    ),
  )
  const [fresh, setFresh] = useState<'fresh' | 'same'>('fresh')
  const [typedWater, setTypedWater] = useState<string>()
  if (use === undefined || protocol === undefined) return null
  const water = waterVerdict(lot, context, { protocol: protocol?.name, step: act.step })
  const forTongue = notLeftOut(use, protocol, act.step) === undefined
  const leaveOut = () =>
    void write(
      {
        type: 'way-chosen',
        lot: lot.id,
        protocol: protocol.name,
        goal: lot.way?.goal ?? defaultGoal(lot, context),
        without: [...(lot.way?.without ?? []), act.step],
      },
      'Left out: the tongue decides',
    )
  const boiling = currentStep(lot, context)?.step.limit?.measure === 'rolling-boil'
  const begin = () => {
    const read = readField(mass)
    const filled = ratio === undefined ? undefined : readField(water_mL)
    setTyped('error' in read ? read.error : undefined)
    setTypedWater(filled !== undefined && 'error' in filled ? filled.error : undefined)
    if ('value' in read && (filled === undefined || 'value' in filled))
      void write(
        {
          type: 'step-begun',
          lot: lot.id,
          protocol: protocol.name,
          step: act.step,
          load: act.load,
          mass_g: read.value,
          ...(filled === undefined ? {} : { water: { water_mL: filled.value, fresh: fresh === 'fresh' } }),
        },
        '',
      )
  }
  return (
    <div className="form">
      <WayChoice lot={lot} context={context} />
      {plan?.verdict === 'refuse' && (
        <p className="refusal" role="alert">
          {inUnits(plan.reasons[0]?.text ?? '')} Instead: {inUnits(plan.instead ?? '')}.
        </p>
      )}
      {planned?.loads !== undefined && (
        <dl className="figures">
          <div>
            <dt>One load</dt>
            <dd>{formatMass(planned.loads.load_g)}</dd>
          </div>
          <div>
            <dt>Water for one load</dt>
            <dd>{formatVolume(planned.water_mL ?? 0)}</dd>
          </div>
          <div>
            <dt>Back to the boil in</dt>
            <dd>{planned.loads.recovery_s} s</dd>
          </div>
          <div>
            <dt>{toGo === 1 ? 'load left' : 'loads left'}</dt>
            <dd>{toGo}</dd>
          </div>
        </dl>
      )}
      <NumberField
        label={`Food in load ${act.load}`}
        unit="g"
        value={mass}
        onChange={setMass}
        error={typed ?? errorOf('mass_g')}
        hint={`${formatMass(act.left_g)} still to go`}
      />
      {ratio !== undefined && (
        <>
          <NumberField
            label="Water in the pot"
            unit="mL"
            value={water_mL}
            onChange={setWater}
            hint={`MUST: ${ratio.least} L or more to each kilogram that goes through one water`}
            error={typedWater ?? errorOf('water')}
          />
          {before !== undefined && <Choice label="The water" value={fresh} onChange={setFresh} options={WATERS} />}
        </>
      )}
      <Refusal sentence={otherError(['mass_g', 'water'])} />
      <div className="acts">
        {boiling ? (
          <HoldButton onHold={begin}>When it boils again: press and hold</HoldButton>
        ) : (
          <Button type="primary" size="large" onClick={begin}>
            Begin the {opNoun(protocol.steps[act.step]?.op ?? 'step')}
          </Button>
        )}
        {forTongue && (
          <Button size="large" onClick={leaveOut}>
            Leave it out, and taste
          </Button>
        )}
      </div>
      {boiling && water !== undefined && <p className="told">The water. {inUnits(water.says)}</p>}
    </div>
  )
}
