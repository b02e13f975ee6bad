import {
  addEntries,
  CATALOGUE,
  EMPTY_LOG,
  fromMs,
  propose,
  readBook,
  readEntry,
  stampEntry,
  toMs,
  writeBook,
  type BookLog,
  type Entry,
  type ImportReading,
  type Instant,
  type JudgeContext,
  type Saying,
  type Struck,
} from '@ellop/core'
import { v7 } from 'uuid'
import { useMemo } from 'react'
import { create } from 'zustand'
import { bookNow, setClock, type ClockSetting } from './clock'
import { openStorage, type BookStorage } from './db'

/** The only book that there is for now: the demonstration. */
const BOOK = 'demo'
const WRITER = { book: BOOK, by: 'cook', device: 'this-browser' }
const TICK_ms = 1000

/** What came of noting something: noted, or the field and one sentence. What was typed stays in the form. */
export type Noted =
  | { readonly ok: true; readonly entry: Entry }
  | { readonly ok: false; readonly field: string; readonly message: string }

interface BookStore {
  readonly status: 'loading' | 'ready' | 'failed'
  readonly failure: string
  readonly log: BookLog
  readonly clock: ClockSetting
  /** The moment that screens judge by: renewed every minute and after every entry. */
  readonly minute: Instant
  /** The moment to the second, for countdowns. */
  readonly second: Instant
  readonly open: () => Promise<void>
  readonly note: (saying: Saying, at?: Instant) => Promise<Noted>
  readonly windTo: (instant: Instant) => Promise<void>
  readonly exportText: () => string
  readonly readImport: (content: string) => ImportReading
  readonly takeImport: (entries: readonly Entry[]) => Promise<Noted>
  readonly clearBook: () => Promise<void>
  /** Adds the demonstration's entries that are not there. */
  readonly pourDemo: () => Promise<Noted>
}

let storage: BookStorage | undefined
const requireStorage = (): BookStorage => {
  if (storage === undefined) throw new RangeError('bookStore: expected the book to be open')
  return storage
}

const CANNOT_STORE =
  'The browser could not store it, so it is not noted. What you typed is still here: make room, or try again.'

/** The book on screen: one way only, from entry to log to fold to selectors to screen. */
export const useBook = create<BookStore>((set, get) => ({
  status: 'loading',
  failure: '',
  log: EMPTY_LOG,
  clock: { book_ms: 0, machine_ms: 0 },
  minute: fromMs(0),
  second: fromMs(0),

  async open() {
    try {
      storage = openStorage(BOOK)
      const found = await storage.load()
      const demo = found.seeded && found.clock !== undefined ? undefined : await import('@ellop/demo')
      const clock = found.clock ?? setClock(toMs(demo?.DEMO_OPENS_AT ?? fromMs(0)))
      if (found.clock === undefined) await storage.setClock(clock)
      const fresh = found.seeded || demo === undefined ? [] : missingFrom(found.entries, demo.makeDemoBook())
      if (!found.seeded) await storage.appendAll(fresh, true)
      const now = bookNow(clock)
      set({
        status: 'ready',
        log: addEntries(EMPTY_LOG, [...found.entries, ...fresh]),
        clock,
        minute: now,
        second: now,
      })
      setInterval(() => tick(set, get), TICK_ms)
    } catch (fault) {
      set({
        status: 'failed',
        failure: `The book could not be opened: ${fault instanceof Error ? fault.message : String(fault)}. Nothing in it was changed.`,
      })
    }
  },

  async note(saying, at) {
    const { clock, log } = get()
    const now = bookNow(clock)
    const entry = stampEntry(saying, WRITER, { id: v7({ msecs: toMs(now) }), at: at ?? now, noted: now })
    const read = readEntry(entry)
    if (!read.ok)
      return {
        ok: false,
        field: read.path.split('.').at(-1) ?? read.path,
        message: `${sentence(read.path)} ${read.message}.`,
      }
    const proposal = propose(entry, log, CATALOGUE, now)
    if (!proposal.ok) return proposal
    try {
      await requireStorage().append(entry)
    } catch {
      return { ok: false, field: '', message: CANNOT_STORE }
    }
    // Another entry may have been noted while this one was being stored.
    set({ log: addEntries(get().log, [entry]), minute: now, second: now })
    return { ok: true, entry }
  },

  async windTo(instant) {
    const clock = setClock(toMs(instant))
    await requireStorage().setClock(clock)
    set({ clock, minute: instant, second: instant })
  },

  exportText() {
    const { log, clock } = get()
    return writeBook({ book: BOOK, log, exportedAt: bookNow(clock), catalogueRevision: CATALOGUE.revision })
  },

  readImport: (content) => readBook(content, { book: BOOK, log: get().log }),

  async takeImport(entries) {
    const [first] = entries
    if (first === undefined) return { ok: false, field: '', message: 'There is nothing new in it.' }
    try {
      await requireStorage().appendAll(entries)
    } catch {
      return { ok: false, field: '', message: CANNOT_STORE }
    }
    set({ log: addEntries(get().log, entries), minute: bookNow(get().clock) })
    return { ok: true, entry: first }
  },

  async clearBook() {
    await requireStorage().clear()
    set({ log: EMPTY_LOG, minute: bookNow(get().clock) })
  },

  async pourDemo() {
    const { makeDemoBook } = await import('@ellop/demo')
    return get().takeImport(missingFrom([...get().log.entries.values()], makeDemoBook()))
  },
}))

function missingFrom(stored: readonly Entry[], wanted: readonly Entry[]): readonly Entry[] {
  const known = new Set(stored.map(({ id }) => id))
  return wanted.filter(({ id }) => !known.has(id))
}

function tick(set: (part: Partial<BookStore>) => void, get: () => BookStore): void {
  const second = bookNow(get().clock)
  const turned = second.slice(0, 16) !== get().minute.slice(0, 16)
  set(turned ? { second, minute: second } : { second })
}

function sentence(path: string): string {
  const last = path.split('.').at(-1) ?? path
  return FIELD_WORDS[last] ?? last.replace(/_g$|_C$|_s$/, '')
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
  mass_g: 'The weight',
  kept_g: 'The weight that goes on',
  trimmed_g: 'The weight trimmed off',
  driedTo_g: 'The dry weight',
  temp_C: 'The temperature',
  storeTemp_C: 'The temperature of the store',
  backToBoil_s: 'The time until it boiled again',
  stems: 'The number of stems',
  taken: 'The number cut',
  wildlifeOn: 'The number with wildlife',
  containers: 'The number of containers',
}

/** What the gates judge by, renewed with the log and the minute. */
export function useJudgeContext(): JudgeContext {
  const book = useBook(({ log }) => log.state)
  const now = useBook(({ minute }) => minute)
  return useMemo(() => ({ book, catalogue: CATALOGUE, now }), [book, now])
}

/** A strike-out as it would be written now, for showing what it would change. */
export function draftStrike(entry: string, now: Instant): Struck {
  return { ...WRITER, id: 'draft', at: now, noted: now, type: 'struck', entry, why: 'draft' }
}
