import type { Entry } from '@ellop/core'
import Dexie, { type Table } from 'dexie'
import type { ClockSetting } from './clock'

interface MetaRow {
  readonly key: 'clock' | 'seeded'
  readonly value: ClockSetting | boolean
}

/** One book in the browser: its entries, and how its clock is set. */
class BookDb extends Dexie {
  readonly entries!: Table<Entry, string>
  readonly meta!: Table<MetaRow, string>

  constructor(book: string) {
    // Strict: a write is told as done only when it is on the disk.
    super(`ellop-${book}`, { chromeTransactionDurability: 'strict' })
    this.version(1).stores({ entries: 'id, lot', meta: 'key' })
  }
}

/** What a book's store can do; everything resolves only when it is stored. */
export interface BookStorage {
  readonly load: () => Promise<{ entries: Entry[]; clock: ClockSetting | undefined; seeded: boolean }>
  readonly append: (entry: Entry) => Promise<void>
  /** All of them or none. */
  readonly appendAll: (entries: readonly Entry[], seeded?: boolean) => Promise<void>
  readonly setClock: (clock: ClockSetting) => Promise<void>
  readonly clear: () => Promise<void>
}

/** Opens the store of a book. */
export function openStorage(book: string): BookStorage {
  const db = new BookDb(book)
  return {
    async load() {
      const [entries, clock, seeded] = await Promise.all([
        db.entries.toArray(),
        db.meta.get('clock'),
        db.meta.get('seeded'),
      ])
      return { entries, clock: clock?.value as ClockSetting | undefined, seeded: seeded?.value === true }
    },
    async append(entry) {
      await db.transaction('rw', db.entries, () => db.entries.add(entry))
    },
    async appendAll(entries, seeded = false) {
      await db.transaction('rw', db.entries, db.meta, async () => {
        await db.entries.bulkAdd(entries)
        if (seeded) await db.meta.put({ key: 'seeded', value: true })
      })
    },
    async setClock(clock) {
      await db.meta.put({ key: 'clock', value: clock })
    },
    async clear() {
      await db.transaction('rw', db.entries, db.meta, async () => {
        await db.entries.clear()
        // An emptied book stays empty: the demonstration is not poured in again by itself.
        await db.meta.put({ key: 'seeded', value: true })
      })
    },
  }
}
