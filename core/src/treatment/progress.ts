import { findUse } from '../flora/catalogue'
import type { Goal, Protocol, Step, Taxon, Use } from '../flora/taxon'
import { kitchenAt, type HouseState } from '../log/houseState'
import type { LotState, StepRun } from '../lot/lotState'
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
}

/** Assumed moisture of a fresh part where the record has none [planning value: leafy greens]. */
const FRESH_MOISTURE = 0.9
/** Half a gram: what a kitchen scale rounds away. */
const SCALE_g = 0.5

/**
 * The lot held against the steps of a protocol. A step with a control is met when loads that kept its critical limit add up
 * to the whole mass that was to be treated: half a lot blanched is a lot not blanched. Missed loads count for nothing.
 * Sorting is the Sort gate's, and freezing the Keep gate's.
 */
export function treatmentProgress(lot: LotState, protocol: Protocol, use: Use, house: HouseState): TreatmentProgress {
  const steps = protocol.steps.map((step, index): StepProgress => {
    const runs = lot.runs.filter((run) => run.protocol === protocol.name && run.step === index)
    const judged = runs.flatMap((run) => (run.done === null ? [] : [{ run, why: whyMissed(run, step, use, house) }]))
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
    }
  })
  return { steps, complete: steps.every((each) => each.met || !isTreating(each.step, lot.way?.goal ?? 'eat')) }
}

/** Whether a step is one that the Make safe gate waits for: critical, needed for this goal, and not the sorting. */
export function isTreating(step: Step, goal: Goal): boolean {
  return step.critical && step.op !== 'sort' && (step.onlyFor?.includes(goal) ?? true)
}

/** The protocol that the lot follows: the chosen one, else the use's default for eating. */
export function protocolOf(lot: LotState, use: Use): Protocol | undefined {
  return use.protocols.find(({ name }) => name === lot.way?.protocol) ?? defaultProtocol(use, 'eat')
}

/** The school to follow for a goal: the cautious one, else the usual, else the minimal; never a contested one unasked. */
export function defaultProtocol(use: Use, goal: Goal): Protocol | undefined {
  const fitting = use.protocols.filter(({ goals }) => goals.includes(goal))
  return ['cautious', 'usual', 'minimal'].flatMap((standing) => fitting.filter((each) => each.standing === standing))[0]
}

/** The use that a lot comes under, at the stage seen when it was sorted or else as claimed. */
export function lotUse(lot: LotState, taxon: Taxon): Use | undefined {
  const { weighedIn } = lot
  if (weighedIn === null) return undefined
  return findUse(taxon, weighedIn.part, lot.sorted?.stageSeen ?? weighedIn.stage)
}

function whyMissed(run: StepRun, step: Step, use: Use, house: HouseState): string | undefined {
  if (run.done === null) return 'it is still running'
  if (step.limit === undefined) return run.done.outcome === 'stopped' ? 'it was stopped' : undefined
  const kitchen = kitchenAt(house, run.begunAt)
  if (kitchen === undefined) return 'the kitchen and its elevation are not known'
  return missedBy(step.limit, run.done, {
    elevation_m: kitchen.elevation_m,
    load_g: run.mass_g,
    moisture: use.moisture?.high ?? FRESH_MOISTURE,
  })
}
