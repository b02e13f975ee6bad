import type { LotState, StepDoneFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, EntryId, LotId } from '../entry'

/** A load came out of a step, with what was measured. A load that went off the boil or was stopped has not met its limit. */
export interface StepDone extends EntryBase, Omit<StepDoneFact, 'at'> {
  readonly type: 'step-done'
  readonly lot: LotId
  /** The entry that began it. */
  readonly begun: EntryId
}

export const stepDone: EntryDef<StepDone, LotState> = {
  apply: (lot, { at, begun, outcome, minutes, temp_C, backToBoil_s, driedTo_g, checked, water }) => ({
    ...lot,
    runs: lot.runs.map((run) =>
      run.entry === begun && run.done === null
        ? { ...run, done: { at, outcome, minutes, temp_C, backToBoil_s, driedTo_g, checked, water } }
        : run,
    ),
  }),
}
