import type { Protocol, Step, Use } from '../flora/taxon'
import { plainWords } from '../flora/vocabulary'
import type { HouseState } from '../log/houseState'
import type { LotState } from '../lot/lotState'
import { opNoun } from '../lot/opNoun'
import { formatList, withCapital } from '../quantity/format'
import { doneWith, KIT } from './kit'

/** Of what hurts or hinders, what a tongue can judge. */
const CHEWED: readonly string[] = ['fibre', 'mucilage']

/** Whether a hazard is one that the tongue is judge of: bad to eat, and no harm. */
export function isForTongue({ id, kind }: { readonly id: string; readonly kind: string }): boolean {
  return kind === 'palate' || CHEWED.includes(id)
}

/**
 * Why a step is no matter of taste; undefined where only the tongue has a say (SAF-2). It is not wherever the step is critical, has a
 * limit, or is not on record as standing against taste or texture alone.
 */
export function notForTongue({ hazards }: Pick<Use, 'hazards'>, step: Step): string | undefined {
  const doing = withCapital(opNoun(step.op))
  if (step.critical || step.limit !== undefined)
    return `${doing} is critical here, whatever it tastes of: it is not tried with less.`
  const grave = step.control.filter(
    (id) => !isForTongue(hazards.find((hazard) => hazard.id === id) ?? { id, kind: '' }),
  )
  if (grave.length > 0)
    return `${doing} stands against ${formatList(grave.map(plainWords))}, and no tongue can tell whether that is gone.`
  if (step.control.length === 0 || step.minutes === undefined)
    return `${doing} is not on record here as a step for the tongue: it is not tried with less.`
  return undefined
}

/** Whether an operation brings heat to the food. */
export function isHeated(op: string): boolean {
  return doneWith(op, KIT) !== 'none'
}

/**
 * Why a step for the tongue may not be left out; undefined where it may. What is not on record as eaten raw is cooked by some other step
 * that the way insists on, or this one stays, however short.
 */
export function notLeftOut(
  use: Pick<Use, 'hazards' | 'verdict'>,
  { steps, storeOnly }: Pick<Protocol, 'steps' | 'storeOnly'>,
  at: number,
): string | undefined {
  const step = steps[at]
  if (step === undefined) return 'There is no such step in this school.'
  if (storeOnly === true) return 'This way only keeps it: every step of it stays.'
  const barred = notForTongue(use, step)
  if (barred !== undefined) return barred
  return use.verdict === 'raw-ok' ||
    steps.some(({ op, critical, control }, other) => other !== at && isHeated(op) && (critical || control.length > 0))
    ? undefined
    : 'It is not on record as eaten raw, and no other step of this way is sure to cook it: make this one shorter, and keep it.'
}

/** Whether the cook left a step of the way out: by choice, or as a bowl of a trial that goes without. */
export function isLeftOut(
  lot: LotState,
  protocol: string,
  at: number,
  { trials }: Pick<HouseState, 'trials'>,
): boolean {
  const chosen = lot.way?.protocol === protocol && lot.way.without?.includes(at) === true
  return (
    chosen ||
    Object.values(trials).some(
      ({ school, step, arms }) =>
        school === protocol && step === at && arms.some((arm) => arm.lot === lot.id && arm.minutes === 0),
    )
  )
}
