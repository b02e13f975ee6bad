import { withFirstCut, type LoadWater, type LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** A load goes into a step; for a boil, the moment it boils again. The timer on screen is computed from this. */
export interface StepBegun extends EntryBase {
  readonly type: 'step-begun'
  readonly lot: LotId
  readonly protocol: string
  readonly step: number
  readonly load: number
  readonly mass_g: number
  /** What it goes into; absent where it was not noted, or takes none. */
  readonly water?: LoadWater
}

export const stepBegun: EntryDef<StepBegun, LotState> = {
  apply: (lot, { id, at, noted, protocol, step, load, mass_g, water }) => ({
    ...withFirstCut(lot, { at, noted }),
    runs: [
      ...lot.runs,
      {
        ...{ entry: id, protocol, step, load, mass_g, lotMass_g: lot.mass_g, begunAt: at, done: null },
        ...(water === undefined ? {} : { water }),
      },
    ],
  }),
}
