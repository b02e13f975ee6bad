import { SCALE_g } from '../quantity/scale'
import type { CriticalLimit, Goal, Protocol, Step, Use } from '../flora/taxon'
import { saltShares } from '../keep/steady'
import { elevationAt, type HouseState } from '../log/houseState'
import type { BathFact, LotState, StepRun } from '../lot/lotState'
import { minutesBetween, type Instant } from '../quantity/instant'
import { harshness } from '../taste/palate'
import { opNoun } from '../lot/opNoun'
import { formatMass, formatSpan, formatTemp, formatVolume } from '../quantity/format'
import { KEEP_OPS, SORT_OPS } from './batchUse'
import { dryWhen_g } from './dryMatter'
import { missedBy } from './limit'
import { isHeated } from './tongue'

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
  /** The Make safe gate waits for it. */
  readonly required: boolean
  readonly met: boolean
  /** When the last of it was done, where it is met. */
  readonly metAt: Instant | undefined
  readonly running: StepRun | undefined
  readonly missed: readonly { readonly run: StepRun; readonly why: string }[]
  /** For a taste-ended step: how many baths count, and what is still due. */
  readonly baths: BathProgress | undefined
}

export interface BathProgress {
  readonly counted: number
  readonly least: number
  readonly running: BathFact | undefined
  /** Baths that count for nothing, and why. */
  readonly uncounted: readonly { readonly bath: BathFact; readonly why: string }[]
  /** The worse of bitter and dry, 0 to 10, over every crumb tasted since the last bath; undefined before one was. */
  readonly taste: number | undefined
  readonly metAt: Instant | undefined
}

/** Assumed moisture of a fresh part where the record has none [planning value: leafy greens]. */
const FRESH_MOISTURE = 0.9

/** A bath of eight hours is one of seven hours and fifty-nine: what a click takes is let go. */
const BATH_SLACK_MINUTES = 1

/**
 * The lot held against the steps of a protocol. A step with a control is met when loads that kept its critical limit add up
 * to the whole mass that was to be treated: half a lot blanched is a lot not blanched. Missed loads count for nothing, and
 * neither does what was done before a leach that stands earlier in the order was finished.
 * Sorting is the Sort gate's, and freezing the Keep gate's.
 */
export function treatmentProgress(lot: LotState, protocol: Protocol, use: Use, house: HouseState): TreatmentProgress {
  const goal = lot.way?.goal ?? 'eat'
  const required = requiredSteps(protocol, use, goal)
  const steps: StepProgress[] = []
  for (const [index, step] of protocol.steps.entries()) {
    const since = readyAt(steps)
    const asked = { lot, protocol, index, step, use, house, since, required: required.includes(step) }
    steps.push(step.limit?.measure === 'baths' ? leachProgress(asked, step.limit) : stepProgress(asked))
  }
  return { steps, complete: steps.every((each) => each.met || !each.required) }
}

/** Later than every instant. */
const NEVER = '9999'

/** From when a step can count: all that its way asks for before it and that is measured was done by then; what is only looked at may be noted late. */
function readyAt(before: readonly StepProgress[]): { readonly at: Instant; readonly after: StepProgress | undefined } {
  return before
    .filter(({ required, step }) => required && (step.limit?.measure !== 'seen' || isHeated(step.op)))
    .reduce<{ at: Instant; after: StepProgress | undefined }>(
      (latest, each) => ((each.metAt ?? NEVER) > latest.at ? { at: each.metAt ?? NEVER, after: each } : latest),
      { at: '', after: undefined },
    )
}

interface Asked {
  readonly lot: LotState
  readonly protocol: Protocol
  readonly index: number
  readonly step: Step
  readonly use: Use
  readonly house: HouseState
  readonly since: ReturnType<typeof readyAt>
  readonly required: boolean
}

function stepProgress(asked: Asked): StepProgress {
  const { lot, protocol, index, step, required } = asked
  const runs = lot.runs.filter((run) => run.protocol === protocol.name && run.step === index)
  const judged: { readonly run: StepRun; readonly why: string | undefined }[] = []
  for (const run of runs) {
    if (run.done === null) continue
    const kept = judged.filter(({ why }) => why === undefined).map((each) => each.run)
    judged.push({
      run,
      why:
        tooSoon(run, asked) ??
        twiceAtOnce(run, kept) ??
        thinned(run, runs.slice(0, runs.indexOf(run)), step) ??
        whyMissed(run, asked),
    })
  }
  const kept = judged.filter(({ why }) => why === undefined)
  const kept_g = kept.reduce((sum, { run }) => sum + run.mass_g, 0)
  const running = runs.find((run) => run.done === null)
  const toCover_g = (kept[0]?.run ?? running)?.lotMass_g ?? lot.mass_g
  const met = kept_g > 0 && kept_g >= toCover_g - SCALE_g
  const ends = kept.flatMap(({ run }) => run.done?.at ?? []).sort()
  return {
    index,
    step,
    required,
    covered_g: kept_g,
    toCover_g,
    met,
    metAt: met ? ends.at(-1) : undefined,
    running,
    missed: judged.flatMap(({ run, why }) => (why === undefined ? [] : [{ run, why }])),
    baths: undefined,
  }
}

/** Steps count only in the order of their way: what was done before the one ahead of it was finished does not. */
function tooSoon(run: StepRun, { required, since: { at, after } }: Asked): string | undefined {
  if (!required || after === undefined || run.begunAt >= at) return undefined
  return after.baths === undefined
    ? `the ${opNoun(after.step.op)} before it was not finished`
    : 'the baths before it were not finished'
}

/** Of one lot no more can be in at once than there is of it, however many devices note a load. */
function twiceAtOnce(run: StepRun, kept: readonly StepRun[]): string | undefined {
  const beside = kept.filter(({ begunAt, done }) => begunAt <= run.begunAt && (done?.at ?? NEVER) > run.begunAt)
  const atOnce_g = beside.reduce((sum, { mass_g }) => sum + mass_g, run.mass_g)
  return beside.length > 0 && atOnce_g > run.lotMass_g + SCALE_g
    ? 'another load of the same food was in at that time'
    : undefined
}

/** The least water of the record binds for each filling: what went through it before counts along. Where no water was noted, nothing is said. */
function thinned(run: Pick<StepRun, 'water' | 'mass_g'>, earlier: readonly StepRun[], step: Step): string | undefined {
  const { water } = run
  if (water === undefined || step.waterRatio === undefined || !step.critical) return undefined
  const filled = water.fresh ? [] : earlier.slice(earlier.findLastIndex((each) => each.water?.fresh === true))
  const through_g = filled.reduce((sum, { mass_g }) => sum + mass_g, run.mass_g)
  const least_mL = step.waterRatio.least * through_g
  return water.water_mL >= least_mL * (1 - RATIO_SLACK)
    ? undefined
    : `${formatVolume(water.water_mL)} for ${formatMass(through_g)} in one water; ${formatVolume(least_mL)} is the least. Take fresh water`
}
/** Why a load that is about to go in has too little water; undefined where it has enough, or none was noted. */
export function tooThin(
  load: Pick<StepRun, 'water' | 'mass_g'>,
  { runs }: LotState,
  way: string,
  { step, index }: Pick<StepProgress, 'step' | 'index'>,
): string | undefined {
  const earlier = runs.filter((run) => run.step === index && run.protocol === way)
  return thinned(load, earlier, step)
}
/** A jug is not a balance: so much less than the least is let pass. */
const RATIO_SLACK = 0.02

function leachProgress(
  { lot, protocol, index, step, since, required }: Asked,
  limit: Extract<CriticalLimit, { measure: 'baths' }>,
): StepProgress {
  const baths = lot.baths.filter((bath) => bath.protocol === protocol.name && bath.step === index)
  const ended = baths.flatMap((bath) =>
    bath.endedAt === null
      ? []
      : [{ bath, endedAt: bath.endedAt, why: whyNotCounted(bath, bath.endedAt, step, limit, since.at) }],
  )
  const counted = ended.filter(({ why }) => why === undefined)
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
    required,
    covered_g: met ? lot.mass_g : 0,
    toCover_g: lot.mass_g,
    met,
    metAt: met ? crumbs.at(-1)?.at : undefined,
    running: undefined,
    missed: [],
    baths: {
      counted: counted.length,
      least: limit.least,
      running,
      uncounted: ended.flatMap(({ bath, why }) => (why === undefined ? [] : [{ bath, why }])),
      taste,
      metAt: met ? crumbs.at(-1)?.at : undefined,
    },
  }
}

/** Why a bath is none of those that the record asks for: too short, too warm or too cold, too little water, or before its turn. */
function whyNotCounted(
  bath: BathFact,
  endedAt: Instant,
  { op, waterRatio }: Step,
  limit: Extract<CriticalLimit, { measure: 'baths' }>,
  since: Instant,
): string | undefined {
  const { begunAt, temp_C, water_mL, lotMass_g } = bath
  if (begunAt < since) return 'what comes before it was not finished'
  const lasted_min = minutesBetween(begunAt, endedAt)
  if (lasted_min < limit.minutes - BATH_SLACK_MINUTES)
    return `${formatSpan(lasted_min)} of ${formatSpan(limit.minutes)}`
  if (limit.atMost_C !== undefined && (temp_C === null || temp_C > limit.atMost_C))
    return temp_C === null
      ? 'its warmth was not measured'
      : `${formatTemp(temp_C)}; ${formatTemp(limit.atMost_C)} is the most`
  if (op === HOT_BATH && temp_C !== null && temp_C < HOT_BATH_AT_LEAST_C) return `${formatTemp(temp_C)} is no hot bath`
  const least_mL = (waterRatio?.least ?? 0) * lotMass_g
  return water_mL < least_mL * (1 - RATIO_SLACK)
    ? `${formatVolume(water_mL)} of water; ${formatVolume(least_mL)} is the least`
    : undefined
}
const HOT_BATH = 'leach-hot'
/** Water that steams and does not boil is a hot bath still; a warm one is none [planning value]. */
const HOT_BATH_AT_LEAST_C = 60

/**
 * The steps that the Make safe gate waits for, for one goal: those that treat; and where a record says that the part is eaten cooked and none
 * of the heat in its way is critical by itself, all of the heat in it. What is on record as cooked is not eaten without.
 */
export function requiredSteps(
  { steps, storeOnly }: Protocol,
  { verdict }: Pick<Use, 'verdict'>,
  goal: Goal,
): readonly Step[] {
  const treating = steps.filter((step) => isTreating(step, goal))
  if (storeOnly === true || !EATEN_COOKED.includes(verdict) || treating.some(({ op }) => isHeated(op))) return treating
  return steps.filter(
    (step) => treating.includes(step) || (isHeated(step.op) && (step.onlyFor?.includes(goal) ?? true)),
  )
}
const EATEN_COOKED: readonly Use['verdict'][] = ['cook', 'leach-then-cook']

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

function whyMissed(run: StepRun, { step, use, house, lot, required }: Asked): string | undefined {
  const { done } = run
  if (done === null) return 'it is still running'
  // A minute noted is a minute that passed, whatever a file says.
  const passed_min = Math.min(done.minutes, minutesBetween(run.begunAt, done.at) + TIMER_SLACK_MINUTES)
  const ended = { ...done, minutes: passed_min }
  if (step.limit === undefined) {
    if (done.outcome === 'stopped') return 'it was stopped'
    const least_min = required && isHeated(step.op) ? (step.minutes?.low ?? 0) : 0
    return passed_min < least_min ? `${formatSpan(passed_min)} of ${formatSpan(least_min)}` : undefined
  }
  const elevation_m = elevationAt(house, run.begunAt)
  if (elevation_m === undefined) return 'the kitchen and its elevation are not known'
  // What is measured once the next load is in tells of that one; what was measured before something was put to it tells of neither.
  const nextBegun = lot.runs.find(({ begunAt }) => begunAt > run.begunAt)?.begunAt ?? NEVER
  const put = lot.added.filter(({ at }) => at >= run.begunAt && at < nextBegun).at(-1)?.at ?? ''
  return missedBy(step.limit, ended, {
    elevation_m,
    dryWhen_g:
      step.limit.measure === 'dried-to'
        ? dryWhen_g(run, lot, {
            recordMoisture: step.startMoisture?.high ?? use.moisture?.high ?? FRESH_MOISTURE,
            targetMoisture: step.limit.moisture,
          })
        : undefined,
    saltShare: saltShares(lot.added).findLast(({ at }) => at <= done.at)?.share ?? 0,
    readings: lot.readings.filter(({ at }) => at >= run.begunAt && at < nextBegun && at >= put),
  })
}
/** A timed minute is a minute: what a click takes is let go. */
export const TIMER_SLACK_MINUTES = 0.05
