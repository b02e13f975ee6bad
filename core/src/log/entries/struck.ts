import type { EntryBase, EntryId } from '../entry'

/** A strike-out takes another entry out of account. It changes no state itself: the fold leaves the struck entry out. */
export interface Struck extends EntryBase {
  readonly type: 'struck'
  readonly entry: EntryId
  readonly why: string
}
