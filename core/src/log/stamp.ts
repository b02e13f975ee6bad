import type { Instant } from '../quantity/instant'
import type { Entry, EntryType } from './entries'
import type { EntryBase, EntryId } from './entry'

/** An entry type without what the stamp adds: what a form, a script or a test says. */
export type Saying<T extends EntryType = EntryType> = T extends EntryType
  ? Omit<Extract<Entry, { type: T }>, keyof EntryBase>
  : never

/** Who writes, in which book, on which device. */
export type Writer = Pick<EntryBase, 'book' | 'by' | 'device'>

/** A saying made into an entry: with its id (a UUIDv7 of the writing device), its moment, and when it was written down. */
export function stampEntry(
  saying: Saying,
  writer: Writer,
  moment: { id: EntryId; at: Instant; noted: Instant },
): Entry {
  return { ...moment, ...writer, ...saying } as Entry
}
