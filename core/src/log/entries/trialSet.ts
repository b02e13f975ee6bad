import type { Part, Stage } from '../../flora/vocabulary'
import type { EntryBase, EntryDef, LotId } from '../entry'
import type { HouseState } from '../houseState'

/** One picking in several bowls that differ in one step: a trial of how much of that step the tongue wants. */
export interface TrialSet extends EntryBase {
  readonly type: 'trial-set'
  readonly trial: string
  readonly taxon: string
  readonly part: Part
  readonly stage: Stage
  readonly school: string
  /** Its place in the school. */
  readonly step: number
  readonly arms: readonly TrialArm[]
}

/** One bowl, and for how long it has the step; none where it is left out. */
export interface TrialArm {
  readonly lot: LotId
  readonly minutes: number
}

export const trialSet: EntryDef<TrialSet, HouseState> = {
  apply: (house, { at, trial, taxon, part, stage, school, step, arms }) => ({
    ...house,
    trials: { ...house.trials, [trial]: { id: trial, at, taxon, part, stage, school, step, arms } },
  }),
}
