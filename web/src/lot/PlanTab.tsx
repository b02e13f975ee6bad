import {
  formatList,
  formatSpan,
  lotPlan,
  lotUse,
  plainWords,
  planWork,
  stepNotes,
  withCapital,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import { PlanLosses } from './PlanLosses'
import { PlanReasons } from './PlanReasons'
import { ShortOf } from './ShortOf'
import { TryWithLess } from './TryWithLess'
import { figuresOf, StepFigures } from './ThenCard'
import { formatMass, inUnits } from '../units/units'

/** The whole plan: every step with its figures, limit and sign; why; and what the other schools would do. */
export function PlanTab({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const plan = lotPlan(lot, context)
  if (plan === undefined)
    return (
      <>
        <p>There is nothing left of it to plan for.</p>
        <TryWithLess lot={lot} context={context} />
      </>
    )
  const use = lotUse(lot, context.catalogue)
  const loads = plan.steps.find((step) => step.loads !== undefined)?.loads
  const mass_g = loads === undefined ? lot.mass_g : loads.count * loads.load_g
  const work = planWork(mass_g, plan.steps)
  return (
    <div className="plan-tab">
      <div>
        <h3>{plan.way === undefined ? 'No way' : withCapital(plan.way)}</h3>
        {plan.steps.length > 0 && (
          <p className="plan-work">
            Hands about <strong>{formatSpan(Math.round(work.hands_min.usual))}</strong> (
            {formatSpan(Math.round(work.hands_min.low))} to {formatSpan(Math.round(work.hands_min.high))}), waiting{' '}
            <strong>{formatSpan(Math.round(work.waiting_min))}</strong>. To have ready: {formatList(work.tools)}.
          </p>
        )}
        <ol className="plan-steps">
          {plan.steps.map((step, index) => (
            <li key={`${step.op}${index}`} className={step.critical ? 'critical' : ''}>
              <h4>
                {plainWords(step.op)}{' '}
                {step.control.length > 0 && (
                  <span className="controls">against {step.control.map(plainWords).join(', ')}</span>
                )}
              </h4>
              <p className="plan-figures">
                <StepFigures step={step} />
              </p>
              {step.limit !== undefined && <p className="run-limit">Limit: {inUnits(step.limit)}.</p>}
              {step.check !== undefined && figuresOf(step).length > 0 && (
                <p>Look for: {inUnits(step.check.replace(/\.$/, ''))}.</p>
              )}
              {stepNotes(plan.steps, index).map((note) => (
                <p key={note}>{inUnits(note)}</p>
              ))}
            </li>
          ))}
        </ol>
        {plan.otherWays !== undefined && plan.otherWays.length > 0 && (
          <>
            <h3>What other schools do</h3>
            <ul>
              {plan.otherWays.map(({ name, standing, why }) => (
                <li key={name}>
                  <strong>{name}</strong> ({standing}): {inUnits(why)}
                  <HandsFor lot={lot} context={context} school={name} />
                </li>
              ))}
            </ul>
          </>
        )}
        <TryWithLess lot={lot} context={context} />
      </div>
      <div>
        <h3>Why, and for whom</h3>
        <PlanReasons reasons={plan.reasons} />
        <ShortOf lot={lot} context={context} />
        {use !== undefined && <PlanLosses use={use} mass_g={mass_g} steps={plan.steps} />}
        <p className="caution">
          Estimates are for planning. A doctor or poison centre outranks this for anyone with an illness, in pregnancy
          and for infants.
        </p>
      </div>
    </div>
  )
}

/** What a hundred grams ready to eat cost in minutes of hands by another way; nothing where it cannot be planned here. */
function HandsFor({ lot, context, school }: { lot: LotState; context: JudgeContext; school: string }) {
  const other = lotPlan(lot, context, { school })
  if (other === undefined || other.verdict === 'refuse' || other.yield_g === undefined) return null
  const { hands_min } = planWork(lot.mass_g, other.steps)
  return (
    <span className="soft">
      {' '}
      Hands about {formatSpan(Math.round((100 * hands_min.usual) / other.yield_g.usual))} for {formatMass(100)} ready.
    </span>
  )
}
