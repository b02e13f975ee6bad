import type { EntryBase, EntryDef } from '../entry'
import type { HouseState, TrialFact } from '../houseState'

/** One picking in several bowls that differ in one step: a trial of how much of that step the tongue wants. */
export interface TrialSet extends EntryBase, Omit<TrialFact, 'id' | 'at'> {
  readonly type: 'trial-set'
  readonly trial: string
}

export const trialSet: EntryDef<TrialSet, HouseState> = {
  apply: (house, { at, trial, taxon, part, stage, school, step, arms }) => ({
    ...house,
    trials: { ...house.trials, [trial]: { id: trial, at, taxon, part, stage, school, step, arms } },
  }),
}
