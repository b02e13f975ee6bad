import { ENTRY_VERSION, upgradeEntry, type DayWeather, type Entry, type Judged } from '@ellop/core'
import Dexie, { type Table } from 'dexie'
import { batchOf, copyFile, type CopyFile } from '../secondCopy/secondCopy'
import type { Batch } from '../secondCopy/copies'
import type { ClockSetting } from './clock'
import type { BookRow } from './books'
import { takeEarly, type EarlyBlock } from './early'
import { isEntryLike, readable, type SetAside } from './setAside'

interface MetaRow {
  readonly key: 'clock' | 'seeded' | 'savedAt' | 'entryVersion' | 'judged'
  readonly value: unknown
}

/** Many entries in one row, as text: reading a few large rows is many times faster than reading a hundred thousand small ones. */
interface BlockRow {
  readonly block: number
  readonly version: number
  readonly text: string
}

/** Loose entries are gathered into a block when there are so many. */
const GATHER_FROM = 1500
const BLOCK_ENTRIES = 5000

/** One book in the browser: its entries, and how its clock is set. */
class BookDb extends Dexie {
  readonly entries!: Table<Entry, string>
  readonly blocks!: Table<BlockRow, number, Omit<BlockRow, 'block'>>
  readonly meta!: Table<MetaRow, string>
  readonly weather!: Table<DayWeather, string>

  constructor(book: string) {
    // Strict: a write is told as done only when it is on the disk.
    super(`ellop-${book}`, { chromeTransactionDurability: 'strict' })
    this.version(1).stores({ entries: 'id, lot', meta: 'key' })
    this.version(2).stores({ entries: 'id', blocks: '++block', meta: 'key' })
    this.version(3).stores({ entries: 'id', blocks: '++block', meta: 'key', weather: 'day' })
  }
}

export interface StoredBook {
  readonly entries: readonly Entry[]
  readonly clock: ClockSetting | undefined
  readonly seeded: boolean
  readonly savedAt: number | undefined
  /** How many of the entries had gone from the store and were brought back from the second copy. */
  readonly broughtBack: number
  /** Rows that could not be read: the rest of the book opens. */
  readonly setAside: readonly SetAside[]
}

/** What a book's store can do; everything resolves only when it is stored, and kept a second time where the browser can. */
export interface BookStorage {
  readonly load: () => Promise<StoredBook>
  /**
   * Stores an entry if the store holds nothing that is not known: else nothing is stored, and what another tab noted meanwhile is given. Looked up inside the
   * transaction, so that two tabs cannot both serve the last of a pack.
   */
  readonly append: (entry: Entry, isKnown: (id: string) => boolean) => Promise<readonly Entry[]>
  /** All of them or none. */
  readonly appendAll: (entries: readonly Entry[], seeded?: boolean) => Promise<void>
  /** Stores what the second copy has and the store has not, as entries of today; those that are there stay. */
  readonly putBack: (batches: readonly Batch[]) => Promise<readonly Entry[]>
  readonly setClock: (clock: ClockSetting) => Promise<void>
  readonly setSavedAt: (machine_ms: number) => Promise<void>
  readonly clear: () => Promise<void>
  /** How what is in hand and in the larder was last judged; undefined: never yet. */
  readonly judged: () => Promise<Judged | undefined>
  readonly setJudged: (judged: Judged) => Promise<void>
  /** Measured days, oldest first: beside the log, not in it; nothing that judges food reads them. */
  readonly weather: () => Promise<readonly DayWeather[]>
  /** All of them or none; a day that is there already is told anew. */
  readonly putWeather: (days: readonly DayWeather[]) => Promise<void>
  /** Gathers loose entries into blocks, in one transaction. Nothing changes but the speed of the next start. */
  readonly gather: () => Promise<void>
  readonly close: () => void
}

const SEEDED: readonly MetaRow[] = [
  { key: 'seeded', value: true },
  { key: 'entryVersion', value: ENTRY_VERSION },
]

/** Opens the store of a book; somebody else's is only read, and needs no second copy. */
export function openStorage({ id: book, kind }: BookRow): BookStorage {
  const db = new BookDb(book)
  const copy: CopyFile<Batch> | undefined = kind === 'guest' ? undefined : copyFile(book)
  /** Rows that could not be read: they lie where they are and are nobody's news. */
  const unreadable = new Set<string>()
  const putBack = async (batches: readonly Batch[]) => {
    const entries: Entry[] = []
    for (const batch of batches) for (const entry of await upgraded(batch.entries, batch.version)) entries.push(entry)
    await db.transaction('rw', db.entries, db.meta, async () => {
      await db.entries.bulkPut(entries)
      await db.meta.bulkPut(SEEDED)
    })
    return entries
  }
  return {
    putBack,
    async load() {
      const lastKept = copy?.lastId()
      const { blocks, loose: rows, meta, aside: unread } = await readRows(db, book)
      const { entries: loose, aside } = readable(rows, 'entries')
      const setAside = [...unread, ...aside]
      for (const row of rows) if (!isEntryLike(row)) unreadable.add(String((row as { id?: unknown } | null)?.id))
      const value = (key: MetaRow['key']) => meta.find((row) => row.key === key)?.value
      const looseVersion = (value('entryVersion') as number | undefined) ?? 1
      const entries: Entry[] = []
      for (const block of blocks) {
        const read = readable(block.entries, `block ${block.block}`)
        setAside.push(...read.aside)
        for (const entry of await upgraded(read.entries, block.version)) entries.push(entry)
      }
      const looseNow = await upgraded(loose, looseVersion)
      for (const entry of looseNow) entries.push(entry)
      if (looseVersion !== ENTRY_VERSION) await storeUpgraded(db, looseNow)
      const seeded = value('seeded') === true
      // A browser that was killed as it wrote may throw its whole database away at the start after the next, or what it wrote last.
      const last = await lastKept
      const isWhole = seeded && (last === undefined || entries.some(({ id }) => id === last))
      const back = isWhole || copy === undefined ? [] : await beyond(db, entries, await copy.read())
      const broughtBack = back.length === 0 ? [] : await putBack(back)
      return {
        entries: [...entries, ...broughtBack],
        clock: value('clock') as ClockSetting | undefined,
        seeded,
        savedAt: value('savedAt') as number | undefined,
        broughtBack: broughtBack.length,
        setAside,
      }
    },
    async append(entry, isKnown) {
      const strange = await db.transaction('rw', db.entries, async () => {
        const unknown = (await db.entries.toCollection().primaryKeys()).filter(
          (id) => !isKnown(id) && !unreadable.has(id),
        )
        if (unknown.length === 0) await db.entries.add(entry)
        return unknown
      })
      if (strange.length > 0) return (await db.entries.bulkGet(strange)).filter((each) => each !== undefined)
      await copy?.add(batchOf([entry]))
      return []
    },
    async appendAll(entries, seeded = false) {
      await db.transaction('rw', db.entries, db.blocks, db.meta, async () => {
        if (entries.length < GATHER_FROM) await db.entries.bulkAdd(entries)
        else await db.blocks.bulkAdd(inBlocks(entries))
        if (seeded) await db.meta.bulkPut(SEEDED)
      })
      if (entries.length > 0) await copy?.add(batchOf(entries))
    },
    async setClock(clock) {
      await db.meta.put({ key: 'clock', value: clock })
    },
    async setSavedAt(machine_ms) {
      await db.meta.put({ key: 'savedAt', value: machine_ms })
    },
    judged: async () => (await db.meta.get('judged'))?.value as Judged | undefined,
    async setJudged(judged) {
      await db.meta.put({ key: 'judged', value: judged })
    },
    async clear() {
      // The copy first: what it still had would be taken for lost and brought back.
      await copy?.drop()
      await db.transaction('rw', db.entries, db.blocks, db.meta, async () => {
        await db.entries.clear()
        await db.blocks.clear()
        // An emptied book stays empty: the demonstration is not poured in again by itself.
        await db.meta.put({ key: 'seeded', value: true })
      })
    },
    async gather() {
      await db.transaction('rw', db.entries, db.blocks, async () => {
        if ((await db.entries.count()) < GATHER_FROM) return
        const loose = await db.entries.toArray()
        await db.blocks.bulkAdd(inBlocks(loose))
        await db.entries.bulkDelete(loose.map(({ id }) => id))
      })
    },
    weather: () => db.weather.orderBy('day').toArray(),
    async putWeather(days) {
      await db.transaction('rw', db.weather, () => db.weather.bulkPut(days))
    },
    close: () => db.close(),
  }
}

/**
 * All rows. What was read of them before the program came counts if the store holds just that, as entries never change; that
 * it does is looked up while it is still being read.
 */
async function readRows(db: BookDb, book: string) {
  const [early, keys] = await Promise.all([takeEarly(book), readKeys(db)])
  if (
    early !== undefined &&
    early.version === keys.meta.find(({ key }) => key === 'entryVersion')?.value &&
    sameKeys(early.loose, keys.ids, 'id') &&
    sameKeys(early.blocks, keys.numbers, 'block')
  )
    return { meta: keys.meta, blocks: early.blocks, loose: early.loose as readonly unknown[], aside: [] }
  return db.transaction('r', db.entries, db.blocks, db.meta, async () => {
    const [meta, rows, loose] = await Promise.all([db.meta.toArray(), db.blocks.toArray(), db.entries.toArray()])
    const aside: SetAside[] = []
    const blocks = rows.flatMap(({ block, version, text }): readonly EarlyBlock[] => {
      try {
        return [{ block, version, entries: JSON.parse(text) as unknown[] }]
      } catch {
        aside.push({ row: `block ${block}`, content: text })
        return []
      }
    })
    return { meta, blocks, loose: loose as readonly unknown[], aside }
  })
}

function readKeys(db: BookDb) {
  return db.transaction('r', db.entries, db.blocks, db.meta, async () => {
    const [meta, ids, numbers] = await Promise.all([
      db.meta.toArray(),
      db.entries.toCollection().primaryKeys(),
      db.blocks.toCollection().primaryKeys(),
    ])
    return { meta, ids, numbers }
  })
}

function sameKeys<Key extends string>(
  rows: readonly Readonly<Record<Key, unknown>>[],
  keys: readonly unknown[],
  field: Key,
): boolean {
  return rows.length === keys.length && rows.every((row, index) => row[field] === keys[index])
}

/** What the second copy has beyond what was read; another tab may have stored something between the two readings. */
async function beyond(db: BookDb, read: readonly Entry[], kept: readonly Batch[]): Promise<readonly Batch[]> {
  const stored = new Set<string>([...read.map(({ id }) => id), ...(await db.entries.toCollection().primaryKeys())])
  return kept.flatMap(({ version, entries }) => {
    const gone = entries.filter(({ id }) => !stored.has(id))
    return gone.length === 0 ? [] : [{ version, entries: gone }]
  })
}

/** Throws away a book's store whole. */
export async function deleteStorage(book: string): Promise<void> {
  await Dexie.delete(`ellop-${book}`)
}

function inBlocks(entries: readonly Entry[]): Omit<BlockRow, 'block'>[] {
  return Array.from({ length: Math.ceil(entries.length / BLOCK_ENTRIES) }, (_, index) => ({
    version: ENTRY_VERSION,
    text: JSON.stringify(entries.slice(index * BLOCK_ENTRIES, (index + 1) * BLOCK_ENTRIES)),
  }))
}

/** Stored entries in the shape of today. Of an older version each is held against its schema: an upgrade may have a fault. */
async function upgraded(stored: readonly unknown[], version: number): Promise<readonly Entry[]> {
  if (version === ENTRY_VERSION) return stored as readonly Entry[]
  const { readEntry } = await import('./entryShape')
  return stored.map((each) => {
    const read = readEntry(upgradeEntry(each, version))
    if (!read.ok) throw new RangeError(`a stored entry could not be brought up to date: ${read.path} ${read.message}`)
    return read.value
  })
}

async function storeUpgraded(db: BookDb, loose: readonly Entry[]): Promise<void> {
  await db.transaction('rw', db.entries, db.meta, async () => {
    await db.entries.bulkPut(loose)
    await db.meta.put({ key: 'entryVersion', value: ENTRY_VERSION })
  })
}
