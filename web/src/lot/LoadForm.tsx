import {
  currentStep,
  findTaxon,
  formatMass,
  formatVolume,
  loadsToGo,
  lotPlan,
  lotUse,
  plainWords,
  protocolOf,
  waterVerdict,
  type Goal,
  type JudgeContext,
  type LotState,
  type NowAct,
} from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { Choice } from '../controls/Choice'
import { NumberField, readField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'

const GOAL_WORDS: Partial<Record<Goal, string>> = {
  eat: 'to eat now',
  freeze: 'for the freezer',
  dry: 'to dry',
  tea: 'for tea',
}

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
  const taxon = findTaxon(context.catalogue, lot.weighedIn?.taxon ?? '')
  const use = taxon === undefined ? undefined : lotUse(lot, taxon)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  const plan = lotPlan(lot, context)
  const planned = plan?.steps.find(({ loads }) => loads !== undefined)
  const per = planned?.loads?.load_g
  const toGo = loadsToGo(act.left_g, per)
  const [mass, setMass] = useState(String(Math.ceil(Math.min(act.left_g, per ?? act.left_g))))
  const [typed, setTyped] = useState<string>()
  if (use === undefined || protocol === undefined || taxon === undefined) return null
  const boiling = currentStep(lot, taxon, context)?.step.limit?.measure === 'rolling-boil'
  const ways = use.protocols.filter(({ standing }) => standing !== 'contested' && standing !== 'not-advised')
  const goals = [...new Set(ways.flatMap(({ goals: each }) => each))].filter((goal) => GOAL_WORDS[goal] !== undefined)
  const choose = (goal: Goal) => {
    const way = ways.find(({ goals: each }) => each.includes(goal))
    if (way !== undefined)
      void write(
        { type: 'way-chosen', lot: lot.id, protocol: way.name, goal },
        `${way.name}, ${GOAL_WORDS[goal] ?? goal}`,
      )
  }
  const begin = () => {
    const read = readField(mass)
    setTyped('error' in read ? read.error : undefined)
    if ('value' in read)
      void write(
        {
          type: 'step-begun',
          lot: lot.id,
          protocol: protocol.name,
          step: act.step,
          load: act.load,
          mass_g: read.value,
        },
        '',
      )
  }
  return (
    <div className="form">
      {lot.runs.length === 0 && (
        <Choice
          label="What for"
          value={lot.way?.goal ?? 'eat'}
          onChange={choose}
          options={goals.map((goal) => ({ value: goal, label: GOAL_WORDS[goal] }))}
        />
      )}
      {plan?.verdict === 'refuse' && (
        <p className="refusal" role="alert">
          {plan.reasons[0]?.text} Instead: {plan.instead}.
        </p>
      )}
      {planned?.loads !== undefined && (
        <dl className="figures">
          <div>
            <dt>a load</dt>
            <dd>{formatMass(planned.loads.load_g)}</dd>
          </div>
          <div>
            <dt>in</dt>
            <dd>{formatVolume(planned.water_mL ?? 0)}</dd>
          </div>
          <div>
            <dt>boils again after</dt>
            <dd>{planned.loads.recovery_s} s</dd>
          </div>
          <div>
            <dt>{toGo === 1 ? 'load to go' : 'loads to go'}</dt>
            <dd>{toGo}</dd>
          </div>
        </dl>
      )}
      <NumberField
        label={`Load ${act.load}: put in`}
        unit="g"
        value={mass}
        onChange={setMass}
        error={typed ?? errorOf('mass_g')}
        hint={`${formatMass(act.left_g)} still to go`}
      />
      {otherError(['mass_g']) !== undefined && (
        <p className="refusal" role="alert">
          {otherError(['mass_g'])}
        </p>
      )}
      <div className="acts">
        {boiling ? (
          <HoldButton onHold={begin}>Hold when it boils again</HoldButton>
        ) : (
          <Button type="primary" size="large" onClick={begin}>
            Begin the {plainWords(protocol.steps[act.step]?.op ?? 'step')}
          </Button>
        )}
      </div>
      {boiling && <p className="told">The water. {waterVerdict(lot, context).says}</p>}
    </div>
  )
}
