import type { LotState, TellFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** The cook looked at one character of this lot. Not visible, could not tell, and several states seen are different answers. */
export interface TellSeen extends EntryBase, Omit<TellFact, 'entry' | 'at' | 'noted'> {
  readonly type: 'tell-seen'
  readonly lot: LotId
}

export const tellSeen: EntryDef<TellSeen, LotState> = {
  apply: (lot, { id, at, noted, character, answer, states }) => ({
    ...lot,
    tells: [...lot.tells, { entry: id, at, noted, character, answer, states }],
  }),
}
