import {
  findTaxon,
  formatSpan,
  isMustStep,
  lotPlan,
  lotUse,
  plainWords,
  waterVerdict,
  type JudgeContext,
  type Kit,
  type LotState,
  type PlannedStep,
} from '@ellop/core'
import { formatMass, formatMassRange, formatTemp, formatVolume, inUnits } from '../units/units'

/** Steps that the Sort gate has behind it. */
const SORTING_OPS = ['sort', 'wash', 'rinse', 'shake-out']

/** What comes after: the steps of the plan with their numbers, and what may be done with the water. */
export function ThenCard({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const plan = lotPlan(lot, context)
  if (plan === undefined || lot.drained !== null) return null
  const water = waterVerdict(lot, context, { protocol: plan?.way })
  const [taxon, use] = [findTaxon(context.catalogue, lot.weighedIn?.taxon ?? ''), lotUse(lot, context.catalogue)]
  const way = use?.protocols.find(({ name }) => name === plan.way)
  const isMust = ({ op, critical }: PlannedStep) => {
    const step = way?.steps.find((each) => each.op === op && each.critical)
    return critical && (taxon === undefined || use === undefined || step === undefined || isMustStep(step, taxon, use))
  }
  const ahead = lot.sorted === null ? plan.steps : plan.steps.filter(({ op }) => !SORTING_OPS.includes(op))
  return (
    <aside className="card then" aria-label="Then">
      <h2>{plan.verdict === 'refuse' ? 'Not as asked' : 'Then'}</h2>
      {plan.verdict === 'refuse' ? (
        <p>
          {inUnits(plan.reasons[0]?.text ?? '')} Instead: {inUnits(plan.instead ?? '')}.
        </p>
      ) : (
        <ol>
          {ahead.map((step, index) => (
            <li key={`${step.op}${index}`}>
              <strong>
                {plainWords(step.op)} {isMust(step) && <span className="tag">MUST</span>}
              </strong>
              <StepFigures step={step} />
            </li>
          ))}
          {plan.yield_g !== undefined && (
            <li>
              <strong>comes out</strong>
              <span>{formatMassRange(plan.yield_g)}</span>
            </li>
          )}
        </ol>
      )}
      {plan.verdict !== 'refuse' && water !== undefined && <p className="water-box">{inUnits(water.says)}</p>}
    </aside>
  )
}

const OUTDOORS: Readonly<Partial<Record<Kit, string>>> = {
  embers: 'in the embers',
  'hot-stone': 'on a hot stone',
  pit: 'in a pit',
}

/** The figures of a step, each kept together with its unit; none where only its sign says what it is. */
export function figuresOf(step: PlannedStep): readonly string[] {
  const { loads } = step
  return [
    ...(loads === undefined
      ? []
      : [
          loads.count === 1
            ? `one load of ${formatMass(loads.load_g)}`
            : `${loads.count} loads of ${formatMass(loads.load_g)}`,
        ]),
    ...(step.on === undefined || OUTDOORS[step.on] === undefined ? [] : [OUTDOORS[step.on] ?? '']),
    ...(step.atATime_g === undefined ? [] : [`cut ${formatMass(step.atATime_g)} at a time`]),
    ...(step.cutTo_mm === undefined ? [] : [`pieces up to ${step.cutTo_mm} mm thick`]),
    ...(step.minutes === undefined
      ? []
      : [`${formatSpan(step.minutes)}${step.temp_C === undefined ? '' : ` at ${formatTemp(step.temp_C)}`}`]),
    ...(step.minutes !== undefined || step.temp_C === undefined ? [] : [`at ${formatTemp(step.temp_C)}`]),
    ...(step.water_mL === undefined
      ? []
      : [
          `${(loads?.fillings ?? 1) > 1 ? `${loads?.fillings ?? 1} fillings of ` : ''}${formatVolume(step.water_mL)} water`,
        ]),
    ...(step.acid_g === undefined ? [] : [`${formatMass(step.acid_g)} citric acid, or vinegar until it is sour`]),
    ...(step.salt_g === undefined ? [] : [`${formatMass(step.salt_g)} salt`]),
    ...(step.ice_g === undefined ? [] : [`${formatMass(step.ice_g)} ice`]),
    ...(loads === undefined ? [] : [`${formatSpan(loads.toBoil_min)} to bring it to the boil`]),
  ]
}

export function StepFigures({ step }: { step: PlannedStep }) {
  const parts = figuresOf(step)
  if (parts.length === 0) return <span>{inUnits(step.check ?? '')}</span>
  return (
    <span className="step-figures">
      {parts.map((part, index) => (
        <span key={part}>
          {inUnits(part)}
          {index < parts.length - 1 && ', '}
        </span>
      ))}
    </span>
  )
}
