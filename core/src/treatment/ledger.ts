import type { Protocol, Use, UseHazard } from '../flora/taxon'
import type { Surroundings } from '../ground/ofPatch'
import { plainWords } from '../flora/vocabulary'
import type { HouseState } from '../log/houseState'
import { strandsOf, type LotState } from '../lot/lotState'
import { SORT_OPS } from './batchUse'
import { groundGerms, isHotThrough } from './groundGerms'
import { treatmentProgress, type StepProgress } from './progress'
import { isForTongue, isHeated } from './tongue'
import { withCapital } from '../quantity/format'

/** One hazard of the lot and how it stands. */
export interface LedgerLine {
  readonly hazard: string
  readonly kind: UseHazard['kind']
  readonly level: UseHazard['level']
  /** answered; due: its control is still to be done; at-palate: left to the tongue; at-plate: by amount or person; at-store: by the Keep gate; refused: it has no answer. */
  readonly state: 'answered' | 'due' | 'at-palate' | 'at-plate' | 'at-store' | 'refused'
  readonly text: string
}

/** Operations that carry germs and grit off with water. */
const WASHING_OPS = ['wash', 'rinse']
/** Toxic hazards that heat or air ends, whatever becomes of the water. All others are taken to leave with it. */
const ENDED_WITHOUT_WATER = ['lectin', 'cyanogenic', 'protoanemonin', 'thiaminase', 'mould-toxins']

/** Every hazard of a use, with its answer on this lot. A hazard whose only answers are missing is never passed over. */
export function hazardLedger(
  lot: LotState,
  use: Use,
  protocol: Protocol | undefined,
  surroundings: Surroundings,
): readonly LedgerLine[] {
  const { house } = surroundings
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
  const goal = lot.way?.goal ?? 'eat'
  const arising = use.hazards.filter(({ onlyFor }) => onlyFor?.includes(goal) ?? true)
  return [
    ...arising.map((hazard) => ({
      hazard: hazard.id,
      kind: hazard.kind,
      level: hazard.level,
      ...answer(hazard, { lot, use, steps, house, protocol }),
    })),
    ...germsLine(groundGerms(lot, surroundings), steps),
  ]
}

/** What the ground adds to the hazards of the plant: heat right through is its only answer. */
function germsLine(germs: readonly string[], steps: readonly StepProgress[]): readonly LedgerLine[] {
  if (germs.length === 0) return []
  const hot = steps.filter(isHotThrough)
  const done = hot.some(({ met }) => met)
  const todo =
    hot.length === 0 ? 'Nothing of it raw: choose a way that cooks it right through.' : 'Cook it right through.'
  return [
    {
      hazard: 'germs-from-the-ground',
      kind: 'biological',
      level: 'moderate',
      state: done ? 'answered' : 'due',
      text: `${germs.join(' ')} ${done ? 'Cooked right through.' : todo}`,
    },
  ]
}

/** What the answers to a hazard are held against. */
interface Answering {
  readonly lot: LotState
  readonly use: Use
  readonly steps: readonly StepProgress[]
  readonly house: HouseState
  readonly protocol: Protocol | undefined
}

/** Whether what is on record cooked only was cooked, or will be before it is food: a critical step is waited for elsewhere. */
function isCooked({ verdict }: Use, steps: readonly StepProgress[]): boolean {
  return verdict === 'raw-ok' || steps.some(({ step, met }) => isHeated(step.op) && (step.critical || met))
}

function answer(
  hazard: UseHazard,
  { lot, use, steps, house, protocol }: Answering,
): Pick<LedgerLine, 'state' | 'text'> {
  const name = plainWords(hazard.id)
  const said = (text: string) => `${withCapital(name)}: ${text}`
  const refusal = hazard.answers.find(({ kind }) => kind === 'refusal')
  if (refusal !== undefined || hazard.answers.length === 0)
    return { state: 'refused', text: said(refusal?.says ?? 'no answer is on record.') }
  const ground = hazard.answers.find((each) => each.kind === 'ground')
  if (
    ground !== undefined &&
    strandsOf(lot).every(
      ({ lot: { weighedIn } }) =>
        weighedIn !== null && house.patches[weighedIn.patch]?.facts[ground.fact]?.value === ground.mustBe,
    )
  )
    return { state: 'answered', text: said(ground.says) }
  const small = hazard.answers.find((each) => each.kind === 'amount' && each.schools?.includes(protocol?.name ?? ''))
  if (small !== undefined) return { state: 'at-plate', text: said(small.says) }
  const control = hazard.answers.find(({ kind }) => kind === 'control')
  if (control !== undefined) {
    const goal = lot.way?.goal ?? 'eat'
    const own = steps.filter(({ step }) => step.control.includes(hazard.id) && (step.onlyFor?.includes(goal) ?? true))
    const critical = own.filter(({ step }) => step.critical)
    // Every critical step that the hazard hangs on; where none is critical, any one of them.
    const done =
      critical.length > 0
        ? critical.every((progress) => controls(progress, hazard, lot))
        : own.some((progress) => controls(progress, hazard, lot))
    if (done) return { state: 'answered', text: said(`${control.says} Done.`) }
    return isForTongue(hazard) && own.length > 0 && critical.length === 0 && isCooked(use, steps)
      ? { state: 'at-palate', text: said(`${control.says} Not done. It changes taste, not safety.`) }
      : { state: 'due', text: said(control.says) }
  }
  if (ground !== undefined) return { state: 'due', text: said(ground.says) }
  const store = hazard.answers.find(({ kind }) => kind === 'store')
  if (store !== undefined) return { state: 'at-store', text: said(store.says) }
  return { state: 'at-plate', text: said(hazard.answers.map(({ says }) => says).join(' ')) }
}

/** Grit leaves in any water; germs only in water that brings none. */
function washesOff({ kind }: UseHazard, wash: NonNullable<LotState['sorted']>['wash']): boolean {
  return wash !== null && (wash.water === 'safe' || (kind === 'mechanical' && wash.water === 'germs'))
}

/** Whether a step has taken this hazard out of the whole lot. What leaves with the water has left only if the water was thrown away. */
function controls({ step, index, met, baths }: StepProgress, hazard: UseHazard, lot: LotState): boolean {
  if (SORT_OPS.includes(step.op)) {
    const sorted = strandsOf(lot).map((strand) => strand.lot.sorted)
    return sorted.every((each) => each !== null && (!WASHING_OPS.includes(step.op) || washesOff(hazard, each.wash)))
  }
  if (hazard.kind !== 'toxic' || baths !== undefined || ENDED_WITHOUT_WATER.includes(hazard.id)) return met
  return (
    met &&
    lot.runs
      .filter((run) => run.step === index && run.done?.outcome === 'done')
      .every((run) => run.done?.water === 'thrown')
  )
}
