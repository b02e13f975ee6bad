import type { Goal, Protocol, Step, Use } from '../flora/taxon'
import { kitchenAt, type HouseState } from '../log/houseState'
import type { BathFact, LotState, StepRun } from '../lot/lotState'
import { minutesBetween, type Instant } from '../quantity/instant'
import { harshness } from '../taste/palate'
import { KEEP_OPS, SORT_OPS } from './batchUse'
import { missedBy } from './limit'

/** How far a lot has come along the steps of its protocol. */
export interface TreatmentProgress {
  readonly steps: readonly StepProgress[]
  /** Every critical step has taken the whole lot through its limit. */
  readonly complete: boolean
}

export interface StepProgress {
  readonly index: number
  readonly step: Step
  /** Mass that went through within the limit, g. */
  readonly covered_g: number
  readonly toCover_g: number
  readonly met: boolean
  readonly running: StepRun | undefined
  readonly missed: readonly { readonly run: StepRun; readonly why: string }[]
  /** For a taste-ended step: how many baths count, and what is still due. */
  readonly baths: BathProgress | undefined
}

export interface BathProgress {
  readonly counted: number
  readonly least: number
  readonly running: BathFact | undefined
  /** Baths that were too short to count. */
  readonly tooShort: number
  /** The worse of bitter and dry, 0 to 10, over every crumb tasted since the last bath; undefined before one was. */
  readonly taste: number | undefined
  readonly metAt: Instant | undefined
}

/** Assumed moisture of a fresh part where the record has none [planning value: leafy greens]. */
const FRESH_MOISTURE = 0.9
/** Half a gram: what a kitchen scale rounds away. */
const SCALE_g = 0.5

/** A bath of eight hours is one of seven hours and fifty-nine: what a click takes is let go. */
const BATH_SLACK_MINUTES = 1

/**
 * The lot held against the steps of a protocol. A step with a control is met when loads that kept its critical limit add up
 * to the whole mass that was to be treated: half a lot blanched is a lot not blanched. Missed loads count for nothing, and
 * neither does what was done before a leach that stands earlier in the order was finished.
 * Sorting is the Sort gate's, and freezing the Keep gate's.
 */
export function treatmentProgress(lot: LotState, protocol: Protocol, use: Use, house: HouseState): TreatmentProgress {
  const steps: StepProgress[] = []
  for (const [index, step] of protocol.steps.entries()) {
    const leach = steps.filter(({ baths }) => baths !== undefined).at(-1)?.baths
    const since = leach === undefined ? '' : (leach.metAt ?? NEVER)
    steps.push(
      step.limit?.measure === 'baths'
        ? leachProgress(lot, protocol, index, step, step.limit)
        : stepProgress(lot, protocol, index, step, use, house, since),
    )
  }
  return { steps, complete: steps.every((each) => each.met || !isTreating(each.step, lot.way?.goal ?? 'eat')) }
}

/** Later than every instant. */
const NEVER = '9999'

function stepProgress(
  lot: LotState,
  protocol: Protocol,
  index: number,
  step: Step,
  use: Use,
  house: HouseState,
  since: Instant,
): StepProgress {
  const runs = lot.runs.filter((run) => run.protocol === protocol.name && run.step === index)
  const judged = runs.flatMap((run) =>
    run.done === null
      ? []
      : [
          {
            run,
            why: run.begunAt < since ? 'the baths before it were not finished' : whyMissed(run, step, use, house, lot),
          },
        ],
  )
  const kept = judged.filter(({ why }) => why === undefined)
  const kept_g = kept.reduce((sum, { run }) => sum + run.mass_g, 0)
  const running = runs.find((run) => run.done === null)
  const toCover_g = (kept[0]?.run ?? running)?.lotMass_g ?? lot.mass_g
  return {
    index,
    step,
    covered_g: kept_g,
    toCover_g,
    met: kept_g > 0 && kept_g >= toCover_g - SCALE_g,
    running,
    missed: judged.flatMap(({ run, why }) => (why === undefined ? [] : [{ run, why }])),
    baths: undefined,
  }
}

function leachProgress(
  lot: LotState,
  protocol: Protocol,
  index: number,
  step: Step,
  limit: { readonly least: number; readonly minutes: number; readonly tasteAtMost: number },
): StepProgress {
  const baths = lot.baths.filter((bath) => bath.protocol === protocol.name && bath.step === index)
  const ended = baths.flatMap(({ begunAt, endedAt }) =>
    endedAt === null ? [] : [{ endedAt, long: minutesBetween(begunAt, endedAt) >= limit.minutes - BATH_SLACK_MINUTES }],
  )
  const counted = ended.filter(({ long }) => long)
  const lastEnd = ended.at(-1)?.endedAt
  const crumbs =
    lastEnd === undefined ? [] : lot.tastes.filter(({ crumb, alarm, at }) => crumb && alarm === null && at >= lastEnd)
  const taste = crumbs.length === 0 ? undefined : Math.max(...crumbs.map(harshness))
  const running = baths.find(({ endedAt }) => endedAt === null)
  const met =
    running === undefined && counted.length >= limit.least && taste !== undefined && taste <= limit.tasteAtMost
  return {
    index,
    step,
    covered_g: met ? lot.mass_g : 0,
    toCover_g: lot.mass_g,
    met,
    running: undefined,
    missed: [],
    baths: {
      counted: counted.length,
      least: limit.least,
      running,
      tooShort: ended.length - counted.length,
      taste,
      metAt: met ? crumbs.at(-1)?.at : undefined,
    },
  }
}

/** Whether a step is one that the Make safe gate waits for: critical, needed for this goal, and neither the Sort gate's nor the Keep gate's. */
export function isTreating(step: Step, goal: Goal): boolean {
  return (
    step.critical &&
    !SORT_OPS.includes(step.op) &&
    !KEEP_OPS.includes(step.op) &&
    (step.onlyFor?.includes(goal) ?? true)
  )
}

/** The protocol that the lot follows: the chosen one, else the use's default for eating, else the first that is accepted. */
export function protocolOf(lot: LotState, use: Use): Protocol | undefined {
  return (
    use.protocols.find(({ name }) => name === lot.way?.protocol) ??
    defaultProtocol(use, lot.way?.goal ?? 'eat') ??
    defaultProtocol(use, use.protocols.find(({ storeOnly }) => storeOnly !== true)?.goals[0] ?? 'eat')
  )
}

/** The school to follow for a goal: the cautious one, else the usual, else the minimal; never a contested one unasked. */
export function defaultProtocol(use: Use, goal: Goal): Protocol | undefined {
  const fitting = use.protocols.filter(({ goals }) => goals.includes(goal))
  const ordered = ['cautious', 'usual', 'minimal'].flatMap((standing) =>
    fitting.filter((each) => each.standing === standing),
  )
  // A way that only keeps the food is not followed unasked where one makes it safe.
  return ordered.find(({ storeOnly }) => storeOnly !== true) ?? ordered[0]
}

function whyMissed(run: StepRun, step: Step, use: Use, house: HouseState, lot: LotState): string | undefined {
  if (run.done === null) return 'it is still running'
  if (step.limit === undefined) return run.done.outcome === 'stopped' ? 'it was stopped' : undefined
  // What is measured once the next load is in tells of that one.
  const nextBegun = lot.runs.find(({ begunAt }) => begunAt > run.begunAt)?.begunAt ?? NEVER
  const kitchen = kitchenAt(house, run.begunAt)
  if (kitchen === undefined) return 'the kitchen and its elevation are not known'
  return missedBy(step.limit, run.done, {
    elevation_m: kitchen.elevation_m,
    load_g: run.mass_g,
    moisture: step.startMoisture?.high ?? use.moisture?.high ?? FRESH_MOISTURE,
    readings: lot.readings.filter(({ at }) => at >= run.begunAt && at < nextBegun),
  })
}
