import { dryTarget } from '../keep/dryTarget'
import type { LotState, StepRun } from '../lot/lotState'
import { wettings } from '../keep/wettings'

/** A load taken up again weighs what the one before it came out at, within this share [planning value: scale and crumbs]. */
const TAKEN_UP_WITHIN = 0.02

/**
 * What a load must weigh to be dry, g: dry matter is conserved from when it began to dry, less what was taken out of it meanwhile and with
 * the salt and sugar that was put to it. The moisture it began with is the record's high one, or that of a sample of this lot dried to
 * constant mass since it was last wetted.
 *
 * Undefined where something wet was put to it while it dried: how much water it holds is not known any more.
 */
export function dryWhen_g(
  run: StepRun,
  lot: LotState,
  { recordMoisture, targetMoisture }: { readonly recordMoisture: number; readonly targetMoisture: number },
): number | undefined {
  const first = firstOf(run, lot)
  const until = run.done?.at ?? first.begunAt
  const during = ({ at }: { readonly at: string }) => at > first.begunAt && at <= until
  if (wettings(lot).some((at) => during({ at }))) return undefined
  const moisture = sampledMoisture(first, lot) ?? recordMoisture
  const out_g = lot.flows
    .filter((flow) => during(flow) && LEAVES.includes(flow.what))
    .reduce((sum, { mass_g }) => sum + mass_g, 0)
  const added_g = lot.added.filter(during).reduce((sum, { mass_g }) => sum + mass_g, 0)
  const start_g = dryTarget({
    start_g: first.mass_g,
    startMoisture: moisture,
    targetMoisture: Math.min(moisture, targetMoisture),
  })
  // What was taken out is counted as if it had been as dry as can be: the rest must weigh the less.
  return Math.max(0, start_g.target_g - out_g) + added_g
}

/** Flows of food out of a lot, not of water. */
const LEAVES = ['trimmed', 'lost-in-sorting', 'packed', 'served', 'thrown-away', 'split', 'joined']

/** The load that this one goes on from: the same food was dried before, not far enough, and not wetted in between. */
function firstOf(run: StepRun, lot: LotState): StepRun {
  const before = lot.runs.findLast(
    ({ protocol, step, done, begunAt }) =>
      protocol === run.protocol &&
      step === run.step &&
      done !== null &&
      done.at <= run.begunAt &&
      begunAt < run.begunAt,
  )
  const cameOut_g = before?.done?.driedTo_g ?? null
  if (before === undefined || cameOut_g === null) return run
  // Weighed as it came out, or put back without weighing it again.
  const sameFood = [cameOut_g, before.mass_g].some(
    (mass_g) => Math.abs(mass_g - run.mass_g) <= TAKEN_UP_WITHIN * mass_g,
  )
  const wetted = wettings(lot).some((at) => at >= before.begunAt && at <= run.begunAt)
  return sameFood && !wetted ? firstOf(before, lot) : run
}

/** What of the lot was water when the load went in, by the last sample of it since it was wetted or heated; undefined where none was dried. */
function sampledMoisture({ begunAt, entry }: StepRun, lot: LotState): number | undefined {
  const changed = [
    ...wettings(lot),
    ...lot.added.map(({ at }) => at),
    ...lot.runs.flatMap(({ done, entry: other }) =>
      other === entry || done === null || done.at > begunAt ? [] : [done.at],
    ),
  ]
  const sample = lot.samples.findLast(
    ({ at }) => at <= begunAt && changed.every((each) => each > begunAt || each <= at),
  )
  return sample === undefined ? undefined : 1 - sample.dry_g / sample.wet_g
}
