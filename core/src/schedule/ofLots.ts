import type { JudgeContext } from '../gates/verdict'
import { lotName } from '../lot/lotName'
import { defaultGoal, lotPlan } from '../lot/lotPlan'
import type { LotState } from '../lot/lotState'
import type { LotId } from '../log/entry'
import { lotUse } from '../treatment/batchUse'
import { treatmentProgress } from '../treatment/progress'
import { planWork } from '../treatment/work'
import type { ScheduleInput, ScheduleLink, ScheduleTask } from './problem'

/** One act of the timetable: whose it is, and what it is. */
export interface TimedAct {
  readonly task: string
  readonly lot: LotId
  readonly title: string
  /** The operation, or serving. */
  readonly op: string
  /** With hands in it, or left alone. */
  readonly kind: 'hands' | 'waits'
  readonly onFire: boolean
}

/** What is to be timed, and what each of its tasks is. */
export interface Timetable {
  readonly input: ScheduleInput
  readonly acts: readonly TimedAct[]
  /** Lots that are not in it, and why. */
  readonly leftOut: readonly { readonly lot: LotId; readonly title: string; readonly why: string }[]
}

export interface TimetableAsked {
  readonly hands: number
  readonly burners: number
}

/** Operations that hold a burner as long as they last. */
const ON_FIRE = [
  ...['blanch', 'boil', 'simmer', 'steam', 'wilt', 'saute', 'fry', 'toast', 'cook-jam', 'infuse-water', 'leach-hot'],
  ...['infuse-syrup'],
]
/** What comes out of the water is chilled or drained within so many minutes: it goes on cooking until then [planning value]. */
const AT_ONCE = ['refresh', 'drain', 'press']
const AT_ONCE_min = 2
/** Warm food waits so long for the plates, and no longer [planning value]. */
const WARM_min = 10
const SERVE_min = 5
/** A lot whose treatment lasts longer is of another day: it is followed by the due list. */
const DAY_min = 10 * 60
const SORTING = ['sort', 'wash', 'rinse', 'shake-out']

/**
 * Several lots as one problem for {@link schedule}: each step of each plan that is still to be done, first with hands in it and then left
 * alone, on a burner where it is heated; drained and chilled at once; all ready within ten minutes of the plates. Whole minutes, rounded
 * up. What cannot be planned, is not sorted, or lasts for days is left out and told.
 */
export function timetableOf(
  lots: readonly LotState[],
  context: JudgeContext,
  { hands, burners }: TimetableAsked,
): Timetable {
  const tasks: ScheduleTask[] = []
  const links: ScheduleLink[] = []
  const acts: TimedAct[] = []
  const leftOut: Timetable['leftOut'][number][] = []
  const last: { readonly task: string; readonly warm: boolean }[] = []
  for (const lot of lots) {
    const { title } = lotName(lot, context)
    const ahead = stepsAhead(lot, context)
    if ('why' in ahead) {
      leftOut.push({ lot: lot.id, title, why: ahead.why })
      continue
    }
    let before: { readonly task: string; readonly op: string; readonly onFire: boolean } | undefined
    for (const [index, { op, hands_min, waiting_min, watched }] of ahead.steps.entries()) {
      const onFire = ON_FIRE.includes(op)
      for (const kind of ['hands', 'waits'] as const) {
        const minutes = Math.ceil(kind === 'hands' ? hands_min : waiting_min)
        if (minutes === 0) continue
        const task = `${lot.id} ${index} ${kind}`
        const burner = onFire && (kind === 'waits' || watched) ? { burner: 1 } : {}
        tasks.push({ id: task, minutes, needs: { ...(kind === 'hands' ? { hands: 1 } : {}), ...burner } })
        acts.push({ task, lot: lot.id, title, op, kind, onFire: 'burner' in burner })
        if (before !== undefined) {
          const atOnce = before.onFire && AT_ONCE.includes(op)
          links.push({ from: before.task, to: task, ...(atOnce ? { maxLag: AT_ONCE_min } : {}) })
        }
        before = { task, op, onFire }
      }
    }
    if (before === undefined) leftOut.push({ lot: lot.id, title, why: 'nothing is left to be done to it' })
    else last.push({ task: before.task, warm: before.onFire })
  }
  if (last.length > 0) {
    tasks.push({ id: SERVE, minutes: SERVE_min, needs: { hands: 1 } })
    acts.push({ task: SERVE, lot: '', title: 'The table', op: 'serve', kind: 'hands', onFire: false })
    for (const { task, warm } of last) links.push({ from: task, to: SERVE, ...(warm ? { maxLag: WARM_min } : {}) })
  }
  const resources = [
    { id: 'hands', capacity: hands },
    { id: 'burner', capacity: burners },
  ]
  return { input: { resources, tasks, links }, acts, leftOut }
}

/** The task at which all is ready. */
export const SERVE = 'serve'

interface StepAhead {
  readonly op: string
  readonly hands_min: number
  readonly waiting_min: number
  /** Hands stay in it: the fire burns under it all the while. */
  readonly watched: boolean
}

function stepsAhead(
  lot: LotState,
  context: JudgeContext,
): { readonly steps: readonly StepAhead[] } | { readonly why: string } {
  if (lot.sorted === null && lot.joined.length === 0 && lot.from.length === 0) return { why: 'it is not sorted yet' }
  const plan = lotPlan(lot, context)
  const use = lotUse(lot, context.catalogue)
  if (plan === undefined || use === undefined) return { why: 'there is no plan for it' }
  if (plan.verdict === 'refuse') return { why: plan.reasons[0]?.text ?? 'it is refused' }
  const protocol = use.protocols.find(({ name }) => name === plan.way)
  if (protocol === undefined) return { why: 'there is no way on record for it' }
  const progress = treatmentProgress(lot, protocol, use, context.book.house).steps
  const begun = lot.runs.filter((run) => run.protocol === protocol.name).map(({ step }) => step)
  const furthest = Math.max(
    -1,
    ...begun,
    ...lot.baths.filter((bath) => bath.protocol === protocol.name).map(({ step }) => step),
  )
  const goal = lot.way?.goal ?? defaultGoal(lot, context)
  const undone = protocol.steps
    .map((step, index) => ({ step, index }))
    .filter(({ step }) => step.onlyFor?.includes(goal) ?? true)
    // What stands before a step that was begun is done; what was begun counts as far as the record says.
    .map(({ step, index }) => ({
      done: index < furthest || (step.control.length > 0 && progress[index]?.met === true),
    }))
  const work = planWork(lot.mass_g, plan.steps)
  const steps = plan.steps.flatMap(({ op }, index): readonly StepAhead[] => {
    const each = work.steps[index]
    if (each === undefined || SORTING.includes(op) || undone[index]?.done === true) return []
    const watched = each.waiting_min === 0 && ON_FIRE.includes(op)
    return [{ op, hands_min: each.hands_min.usual, waiting_min: each.waiting_min, watched }]
  })
  const lasts_min = steps.reduce((sum, { hands_min, waiting_min }) => sum + hands_min + waiting_min, 0)
  return lasts_min > DAY_min ? { why: 'it takes days: see Due' } : { steps }
}
