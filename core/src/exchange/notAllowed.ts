import type { Catalogue } from '../flora/catalogue'
import { catalogueWith } from '../flora/own'
import { addEntries, EMPTY_LOG, type BookLog } from '../log/fold'
import type { Entry } from '../log/entries'
import { describeEntry } from '../log/describe'
import { propose } from '../log/propose'

/** An entry that was written down elsewhere, and why it would not have been taken here at that moment. */
export interface NotAllowed {
  readonly entry: Entry
  /** The act in words, with its lot. */
  readonly says: string
  /** One sentence, as the cook would have read it. */
  readonly message: string
}

/** What brings food to a plate, into a jar or out of one: other entries are facts, and facts are judged by the gates. */
const ACTS: readonly Entry['type'][] = ['tasted', 'served', 'packed', 'opened']

/**
 * Which acts among entries from elsewhere would not have been allowed when they were noted, oldest first. They are taken as facts all the same: who
 * ate, ate. Each is proposed to the book as it stood at the moment the act was noted, own and fresh entries together, by the catalogue of today.
 * @param own entries of the book they are added to.
 * @param fresh entries that it has not got yet.
 */
export function notAllowed(
  own: readonly Entry[],
  fresh: readonly Entry[],
  catalogue: Catalogue,
): readonly NotAllowed[] {
  const strange = new Set(fresh.map(({ id }) => id))
  const inOrder = [...own, ...fresh].sort((a, b) => (a.noted !== b.noted ? (a.noted < b.noted ? -1 : 1) : a.id < b.id ? -1 : 1)) // prettier-ignore
  const found: NotAllowed[] = []
  let log: BookLog = EMPTY_LOG
  // Added in heaps: only where an act is judged must all before it be there.
  let waiting: Entry[] = []
  for (const entry of inOrder) {
    if (strange.has(entry.id) && ACTS.includes(entry.type)) {
      log = addEntries(log, waiting)
      waiting = []
      const proposal = propose(entry, log, catalogueWith(catalogue, log.state.house.ownPlants), entry.noted)
      if (!proposal.ok) {
        const code = 'lot' in entry ? log.state.lots.get(entry.lot)?.code : undefined
        const act = describeEntry(entry, log.state, catalogue)
        found.push({ entry, says: code === undefined ? act : `Lot ${code}: ${act}`, message: proposal.message })
      }
    }
    waiting.push(entry)
  }
  return found
}
