import type { Protocol, Use, UseHazard } from '../flora/taxon'
import { plainWords } from '../flora/vocabulary'
import type { HouseState } from '../log/houseState'
import type { LotState } from '../lot/lotState'
import { treatmentProgress, type StepProgress } from './progress'

/** One hazard of the lot and how it stands. */
export interface LedgerLine {
  readonly hazard: string
  readonly kind: UseHazard['kind']
  readonly level: UseHazard['level']
  /** answered; due: its control is still to be done; at-plate: by amount or person; refused: it has no answer. */
  readonly state: 'answered' | 'due' | 'at-plate' | 'refused'
  readonly text: string
}

const CLEANING_OPS = ['wash', 'rinse', 'shake-out']

/** Every hazard of a use, with its answer on this lot. A hazard whose only answers are missing is never passed over. */
export function hazardLedger(
  lot: LotState,
  use: Use,
  protocol: Protocol | undefined,
  house: HouseState,
): readonly LedgerLine[] {
  if (use.hazards.length === 0 && use.verdict === 'never')
    return [
      {
        hazard: 'refused',
        kind: 'untreatable',
        level: 'high',
        state: 'refused',
        text: use.whyNever ?? 'This is not food.',
      },
    ]
  const steps = protocol === undefined ? [] : treatmentProgress(lot, protocol, use, house).steps
  return use.hazards.map((hazard) => ({
    hazard: hazard.id,
    kind: hazard.kind,
    level: hazard.level,
    ...answer(hazard, lot, steps, house),
  }))
}

function answer(
  hazard: UseHazard,
  lot: LotState,
  steps: readonly StepProgress[],
  house: HouseState,
): Pick<LedgerLine, 'state' | 'text'> {
  const name = plainWords(hazard.id)
  const said = (text: string) => `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${text}`
  const refusal = hazard.answers.find(({ kind }) => kind === 'refusal')
  if (refusal !== undefined || hazard.answers.length === 0)
    return { state: 'refused', text: said(refusal?.says ?? 'no answer is on record.') }
  const ground = hazard.answers.find((each) => each.kind === 'ground')
  const patch = lot.weighedIn === null ? undefined : house.patches[lot.weighedIn.patch]
  if (ground !== undefined && patch?.facts[ground.fact]?.value === ground.mustBe)
    return { state: 'answered', text: said(ground.says) }
  const control = hazard.answers.find(({ kind }) => kind === 'control')
  if (control !== undefined) {
    const done = steps.some((progress) => progress.step.control.includes(hazard.id) && controls(progress, hazard, lot))
    return done
      ? { state: 'answered', text: said(`${control.says} Done.`) }
      : { state: 'due', text: said(control.says) }
  }
  if (ground !== undefined) return { state: 'due', text: said(ground.says) }
  return { state: 'at-plate', text: said(hazard.answers.map(({ says }) => says).join(' ')) }
}

/** Whether a step has taken this hazard out of the whole lot. What leaves with the water has left only if the water was thrown away. */
function controls({ step, index, met }: StepProgress, hazard: UseHazard, lot: LotState): boolean {
  if (CLEANING_OPS.includes(step.op))
    return lot.sorted !== null && (step.op === 'shake-out' || lot.sorted.wash?.water === 'safe')
  if (hazard.kind !== 'toxic') return met
  return (
    met &&
    lot.runs
      .filter((run) => run.step === index && run.done?.outcome === 'done')
      .every((run) => run.done?.water === 'thrown')
  )
}
