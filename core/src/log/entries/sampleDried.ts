import type { LotState, SampleFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** A sample of the lot was dried until its weight stood: weighed twice, at least an hour apart. */
export interface SampleDried extends EntryBase, Omit<SampleFact, 'at'> {
  readonly type: 'sample-dried'
  readonly lot: LotId
  /** What it weighed before the last hour or more of drying, g. */
  readonly before_g: number
  /** Between those two weighings. */
  readonly apart_min: number
}

export const sampleDried: EntryDef<SampleDried, LotState> = {
  apply: (lot, { at, wet_g, dry_g }) => ({ ...lot, samples: [...lot.samples, { at, wet_g, dry_g }] }),
}
