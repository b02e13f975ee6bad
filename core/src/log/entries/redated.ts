import type { Instant } from '../../quantity/instant'
import type { EntryBase, EntryId } from '../entry'

/**
 * Another entry happened at another moment than it says. It changes no state itself: the fold takes the entry at that moment.
 * Of several that stand, the latest counts.
 */
export interface Redated extends EntryBase {
  readonly type: 'redated'
  readonly entry: EntryId
  readonly to: Instant
  readonly why: string
}
