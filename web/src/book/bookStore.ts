import {
  addEntries,
  CATALOGUE,
  catalogueWith,
  COOK,
  EMPTY_LOG,
  foldLog,
  fromMs,
  minutesBetween,
  propose,
  freshOf,
  otherBook,
  stampEntry,
  toMs,
  writeBook,
  writersOf,
  writeEntriesCsv,
  type BookLog,
  type Entry,
  type ImportReading,
  type Instant,
  type JudgeContext,
  type PositionsInFile,
  type Redated,
  type Saying,
  type Struck,
} from '@ellop/core'
import { v7 } from 'uuid'
import { create } from 'zustand'
import {
  addBook,
  chooseBook,
  chosenWriter,
  chooseWriter,
  DEMO_BOOK,
  forgetBook,
  listBooks,
  type BookRow,
} from './books'
import { bookNow, machineMs, setClock, type ClockSetting } from './clock'
import { readUnits } from '../units/units'
import { askEngine } from '../workers/ask'
import { whenIdle } from './whenIdle'
import { deleteStorage, openStorage, type BookStorage } from './db'
import type { SetAside } from './setAside'
import { catchUp, ofOpened, useSecondCopy } from '../secondCopy/secondCopy'

const TICK_ms = 1000
const IDLE_WITHIN_ms = 2000

/** What came of noting something: noted, or the field and one sentence. What was typed stays in the form. */
export type Noted =
  | { readonly ok: true; readonly entry: Entry }
  | { readonly ok: false; readonly field: string; readonly message: string }

export interface NewBook {
  readonly kitchen: string
  readonly elevation_m: number
  readonly eaters: readonly string[]
  readonly timeZone: string
}

interface BookStore {
  readonly status: 'loading' | 'choosing' | 'ready' | 'failed'
  readonly failure: string
  readonly book: BookRow
  readonly books: readonly BookRow[]
  readonly log: BookLog
  readonly clock: ClockSetting
  /** Who is at it: an eater, or the cook who keeps the book. What is noted is theirs, meetings and certainty too. */
  readonly writer: string
  /** When it was last saved to a file, on the machine's clock; undefined: never. */
  readonly savedAt: number | undefined
  /** Stored rows that could not be read. */
  readonly setAside: readonly SetAside[]
  /** The machine's clock went back behind what is noted. */
  readonly clockBehind: boolean
  /** The moment that screens judge by: renewed every minute and after every entry. */
  readonly minute: Instant
  /** The moment to the second, for countdowns. */
  readonly second: Instant
  /** Opens the wanted book, else the one open last, else the fallback; without any of them the cook chooses. */
  readonly open: (wanted?: string, fallback?: string) => Promise<void>
  readonly startOwn: (answers: NewBook) => Promise<void>
  readonly closeGuest: () => Promise<void>
  readonly note: (saying: Saying, at?: Instant) => Promise<Noted>
  readonly writeAs: (writer: string) => Promise<void>
  readonly windTo: (instant: Instant) => Promise<void>
  /** The book as a file; where patches lie stays out of it unless asked. */
  readonly exportText: (positions?: PositionsInFile) => string
  readonly exportCsv: () => string
  readonly noteSaved: () => Promise<void>
  /** Reads a file in a worker, then holds it against this book. */
  readonly readImport: (content: string) => Promise<ImportReading>
  readonly readGuest: (content: string) => Promise<ImportReading>
  /** Goes on here with a book of one's own that was saved to a file elsewhere. */
  readonly carryOn: (book: string, entries: readonly Entry[]) => Promise<void>
  readonly openGuest: (book: string, entries: readonly Entry[]) => Promise<void>
  readonly takeImport: (entries: readonly Entry[]) => Promise<Noted>
  readonly clearBook: () => Promise<void>
  /** Adds the demonstration's entries that are not there. */
  readonly pourDemo: () => Promise<Noted>
}

let storage: BookStorage | undefined
let channel: BroadcastChannel | undefined
let ticking = false
/** How often the open book was emptied: what was read of it before that is not brought back. */
let clearings = 0
const requireStorage = (): BookStorage => {
  if (storage === undefined) throw new RangeError('bookStore: expected the book to be open')
  return storage
}

const CANNOT_STORE =
  'The browser could not store it, so it is not noted. What you typed is still here: make room, or try again.'
const NOT_WHOLE =
  'A part of the program that checks entries could not be loaded, so it is not noted. What you typed is still here: try again where the server answers.'
const ONLY_READ = 'This is somebody else’s book: it is only read. Go back to your own to note something.'

const DEMO_ROW: BookRow = { id: DEMO_BOOK, name: 'Demonstration', kind: 'demo' }

/** The book on screen: one way only, from entry to log to fold to selectors to screen. */
export const useBook = create<BookStore>((set, get) => ({
  status: 'loading',
  failure: '',
  book: DEMO_ROW,
  books: [DEMO_ROW],
  log: EMPTY_LOG,
  clock: { book_ms: 0, machine_ms: 0 },
  savedAt: undefined,
  setAside: [],
  clockBehind: false,
  writer: COOK,
  minute: fromMs(0),
  second: fromMs(0),
  async open(wanted, fallback) {
    try {
      const [{ books, current }] = await Promise.all([listBooks(), readUnits()])
      const id = wanted ?? current ?? fallback
      const book = books.find((each) => each.id === id)
      set({ books })
      if (book === undefined) return set({ status: 'choosing' })
      if (wanted !== undefined) await chooseBook(book.id)
      await openBook(book, set, get)
    } catch (fault) {
      set({ status: 'failed', failure: couldNot(fault) })
    }
  },
  async startOwn({ kitchen, elevation_m, eaters, timeZone }) {
    const book: BookRow = { id: `own-${v7().slice(-12)}`, name: kitchen, kind: 'own' }
    const now = fromMs(machineMs())
    const stamp = (saying: Saying) => stampEntry(saying, writerOf(book), { id: v7(), at: now, noted: now })
    const first = [
      stamp({
        type: 'kitchen-set',
        kitchen: {
          name: kitchen,
          elevation_m,
          timeZone,
          burner: { power_W: 2000, efficiency: 0.55 },
          pots_mL: [5000],
          waterTemp_C: 12,
          ice_g: 0,
        },
      }),
      ...eaters.map((name, index) =>
        stamp({ type: 'eater-noted', eater: { id: `eater-${index + 1}`, name, kind: 'adult', sensitivities: null } }),
      ),
    ]
    const made = openStorage(book)
    await made.appendAll(first, true)
    made.close()
    await addBook(book)
    await get().open(book.id)
  },
  async closeGuest() {
    const { book, books } = get()
    if (book.kind !== 'guest') return
    await forgetBook(book.id)
    storage?.close()
    await deleteStorage(book.id)
    await get().open(books.find(({ kind }) => kind === 'own')?.id ?? DEMO_BOOK)
  },
  async note(saying, at) {
    const { clock, book } = get()
    if (book.kind === 'guest') return { ok: false, field: '', message: ONLY_READ }
    const now = nowOf(get().log, clock)
    const entry = stampEntry(saying, writerOf(book, get().writer), {
      id: v7({ msecs: toMs(now) }),
      at: at ?? now,
      noted: now,
    })
    const shape = await loadEntryShape()
    if (shape === undefined) return { ok: false, field: '', message: NOT_WHOLE }
    const read = shape.readEntry(entry)
    if (!read.ok)
      return {
        ok: false,
        field: read.path.split('.').at(-1) ?? read.path,
        message: `${sentence(read.path)} ${read.message}.`,
      }
    return oneAtATime(book.id, async (): Promise<Noted> => {
      // Whatever another tab has noted meanwhile is taken in, and the act judged again by it.
      for (;;) {
        const { log } = get()
        const proposal = propose(entry, log, recordsOf(log), now)
        if (!proposal.ok) return proposal
        let news: readonly Entry[]
        try {
          news = await requireStorage().append(entry, (id) => get().log.entries.has(id))
        } catch {
          return { ok: false, field: '', message: CANNOT_STORE }
        }
        if (news.length > 0) {
          set({ log: addEntries(get().log, news) })
          continue
        }
        tellOtherTabs([entry])
        // Another entry may have been noted while this one was being stored.
        set({ log: addEntries(get().log, [entry]), minute: now, second: now })
        return { ok: true, entry }
      }
    })
  },
  async writeAs(writer) {
    set({ writer })
    // It holds for this tab also where the browser cannot keep it.
    await chooseWriter(get().book.id, writer).catch(() => undefined)
  },
  async windTo(instant) {
    if (get().book.kind !== 'demo') return
    const clock = setClock(toMs(instant))
    await requireStorage().setClock(clock)
    set({ clock, minute: instant, second: instant })
  },
  exportText(positions = 'none') {
    const { log, clock, book } = get()
    return writeBook({
      book: book.id,
      log,
      exportedAt: bookNow(clock),
      catalogueRevision: CATALOGUE.revision,
      positions,
    })
  },
  exportCsv: () => writeEntriesCsv(get().log, recordsOf(get().log)),
  async noteSaved() {
    const savedAt = machineMs()
    await requireStorage().setSavedAt(savedAt)
    set({ savedAt })
  },
  async readImport(content) {
    const file = await readInWorker(content)
    const { book, log, clock } = get()
    return file.ok ? freshOf(file, { book: book.id, log, now: nowOf(log, clock) }) : file
  },
  async readGuest(content) {
    const file = await readInWorker(content)
    const own = [DEMO_BOOK, ...get().books.flatMap(({ id, kind }) => (kind === 'own' ? [id] : []))]
    return file.ok ? otherBook(file, { books: own }) : file
  },
  async carryOn(id, entries) {
    await storeWhole({ id, kind: 'own' }, entries, 'My kitchen')
    await get().open(id)
  },
  async openGuest(id, entries) {
    await storeWhole({ id, kind: 'guest' }, entries, 'a kitchen without a name')
    await get().open(id)
  },
  async takeImport(entries) {
    const [first] = entries
    if (first === undefined) return { ok: false, field: '', message: 'There is nothing new in it.' }
    if (get().book.kind === 'guest') return { ok: false, field: '', message: ONLY_READ }
    try {
      await requireStorage().appendAll(entries)
    } catch {
      return { ok: false, field: '', message: CANNOT_STORE }
    }
    tellOtherTabs(entries)
    set({ log: addEntries(get().log, entries), minute: bookNow(get().clock) })
    return { ok: true, entry: first }
  },
  async clearBook() {
    clearings += 1
    await requireStorage().clear()
    set({ log: EMPTY_LOG, minute: bookNow(get().clock) })
    channel?.postMessage({ cleared: true })
  },
  async pourDemo() {
    const { makeDemoBook } = await import('@ellop/demo')
    return get().takeImport(missingFrom([...get().log.entries.values()], makeDemoBook()))
  },
}))

const loadEntryShape = () => import('./entryShape').catch(() => undefined)

/** A book stored whole from entries read elsewhere, in place of what stood under its id, named after its last kitchen. */
async function storeWhole(as: Pick<BookRow, 'id' | 'kind'>, entries: readonly Entry[], unnamed: string): Promise<void> {
  const book: BookRow = { ...as, name: foldLog(entries).state.house.kitchens.at(-1)?.name ?? unnamed }
  await deleteStorage(book.id)
  const made = openStorage(book)
  await made.appendAll(entries, true)
  made.close()
  await addBook(book)
}

async function readInWorker(content: string) {
  const file = await askEngine('readBookFile', content).answer
  return file ?? { ok: false as const, message: 'The file could not be read. Nothing was added.' }
}

type Set = (part: Partial<BookStore>) => void

/** One lock a book over all tabs, where the browser has locks; the store looks again inside its own transaction. */
function oneAtATime<Result>(book: string, work: () => Promise<Result>): Promise<Result> {
  const { locks } = navigator as { locks?: LockManager }
  return locks === undefined ? work() : (locks.request(`ellop-note-${book}`, work) as Promise<Result>)
}

/** Now: the machine's clock, or the latest time in the book where that clock went back behind it. */
function nowOf(log: BookLog, clock: ClockSetting): Instant {
  return laterOf(bookNow(clock), log.entries.latestNoted)
}

/** So far behind the book a clock is wrong and not only another one. */
const BEHIND_MINUTES = 1

/** Opens one book: its store, its clock, the other tabs. */
async function openBook(book: BookRow, set: Set, get: () => BookStore): Promise<void> {
  set({ status: 'loading' })
  storage?.close()
  channel?.close()
  storage = openStorage(book)
  const startListening = hearOtherTabs(book, set, get)
  const [found, last] = await Promise.all([storage.load(), chosenWriter(book.id)])
  const demo =
    book.kind === 'demo' && !(found.seeded && found.clock !== undefined) ? await import('@ellop/demo') : undefined
  // Brought back from the second copy, it has lost its clock: it goes on from what was noted last.
  const opensAt = () => found.entries.reduce((at, { noted }) => laterOf(at, noted), demo?.DEMO_OPENS_AT ?? fromMs(0))
  const clock = book.kind === 'demo' ? (found.clock ?? setClock(toMs(opensAt()))) : setClock(machineMs())
  if (book.kind === 'demo' && found.clock === undefined) await storage.setClock(clock)
  const fresh = found.seeded || demo === undefined ? [] : missingFrom(found.entries, demo.makeDemoBook())
  if (!found.seeded) await storage.appendAll(fresh, true)
  const now = bookNow(clock)
  const log = foldLog([...found.entries, ...fresh])
  set({
    status: 'ready',
    book,
    log,
    clock,
    writer: writersOf(log.state.house.eaters).some(({ id }) => id === last) ? (last ?? COOK) : COOK,
    savedAt: found.savedAt,
    setAside: found.setAside,
    clockBehind: false,
    minute: now,
    second: now,
  })
  startListening()
  if (!ticking) setInterval(() => tick(set, get), TICK_ms)
  ticking = true
  // Fetched while nobody waits: the first entry finds it there, with or without a network.
  whenIdle(() => void loadEntryShape(), IDLE_WITHIN_ms)
  void storage.gather().catch(() => undefined)
  useSecondCopy.setState(ofOpened(found.broughtBack))
  const opened = storage
  setTimeout(() => whenIdle(() => void keepTwice(opened, set, get), IDLE_WITHIN_ms), COMPARED_AFTER_ms)
}

/** Not while a cook who has just opened the book waits for anything: a large one takes a worker some seconds. */
const COMPARED_AFTER_ms = 10_000

const laterOf = (a: Instant, b: Instant) => (a > b ? a : b)

/** So long after a difference was seen it counts: another tab may have kept an entry that it has not told of yet. */
const OTHER_TABS_TELL_ms = 2000

/** Brings the second copy of the open book up to it, and back into the book what only the copy has. */
async function keepTwice(opened: BookStorage, set: Set, get: () => BookStore): Promise<void> {
  if (opened !== storage || get().book.kind === 'guest') return
  const clearing = clearings
  const beyond = await catchUp(get().book.id, get().log.entries)
  if (beyond.length === 0) return
  await new Promise((resolve) => setTimeout(resolve, OTHER_TABS_TELL_ms))
  const lost = beyond.flatMap(({ version, entries }) => {
    const gone = entries.filter(({ id }) => !get().log.entries.has(id))
    return gone.length === 0 ? [] : [{ version, entries: gone }]
  })
  if (lost.length === 0 || opened !== storage || clearing !== clearings) return
  const back = await opened.putBack(lost)
  set({ log: addEntries(get().log, back), minute: bookNow(get().clock) })
  useSecondCopy.setState(({ broughtBack }) => ({ broughtBack: broughtBack + back.length }))
}

interface FromOtherTab {
  readonly entries?: readonly Entry[]
  readonly cleared?: boolean
}

/**
 * Two tabs of one book stay in step: each tells the other which entries it has stored. What is told while the book is still
 * being read waits until the reading is done, which the function given says.
 */
function hearOtherTabs(book: BookRow, set: Set, get: () => BookStore): () => void {
  const take = ({ cleared, entries }: FromOtherTab) => {
    if (cleared === true) {
      clearings += 1
      set({ log: EMPTY_LOG })
    } else if (entries !== undefined) set({ log: addEntries(get().log, entries), minute: bookNow(get().clock) })
  }
  const waiting: FromOtherTab[] = []
  const opened = new BroadcastChannel(`ellop-${book.id}`)
  opened.onmessage = ({ data }: MessageEvent<FromOtherTab>) => waiting.push(data)
  channel = opened
  return () => {
    opened.onmessage = ({ data }: MessageEvent<FromOtherTab>) => take(data)
    waiting.forEach(take)
  }
}

function tellOtherTabs(entries: readonly Entry[]): void {
  channel?.postMessage({ entries })
}

function writerOf({ id }: BookRow, by = COOK) {
  return { book: id, by, device: 'this-browser' }
}

function couldNot(fault: unknown): string {
  return `The browser would not give the book out (${browsersWords(fault as Wrapped)}). Nothing in it was changed. ${WHAT_HELPS}`
}

const WHAT_HELPS =
  'Make room on the disk, close other windows of this browser, then try again. A book that was saved to a file opens in any browser.'

interface Wrapped extends Error {
  readonly inner?: Wrapped | null
}

/** The store's library wraps what the browser said, and says it again each time; innermost it stands once. */
function browsersWords({ message, inner }: Wrapped): string {
  return inner === undefined || inner === null ? message : browsersWords(inner)
}

function missingFrom(stored: readonly Entry[], wanted: readonly Entry[]): readonly Entry[] {
  const known = new Set(stored.map(({ id }) => id))
  return wanted.filter(({ id }) => !known.has(id))
}

function tick(set: Set, get: () => BookStore): void {
  const { log, clock } = get()
  const second = nowOf(log, clock)
  const clockBehind = get().book.kind === 'own' && minutesBetween(bookNow(clock), second) > BEHIND_MINUTES
  if (clockBehind !== get().clockBehind) set({ clockBehind })
  const turned = second.slice(0, 16) !== get().minute.slice(0, 16)
  set(turned ? { second, minute: second } : { second })
}

function sentence(path: string): string {
  const last = path.split('.').at(-1) ?? path
  return FIELD_WORDS[last] ?? last.replace(/_g$|_C$|_s$/, '')
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
  mass_g: 'The weight',
  took_min: 'The minutes it took',
  kept_g: 'The weight that goes on',
  trimmed_g: 'The weight trimmed off',
  driedTo_g: 'The dry weight',
  temp_C: 'The temperature',
  storeTemp_C: 'The temperature of the store',
  backToBoil_s: 'The time until it boiled again',
  stems: 'The number of stems',
  taken: 'The number cut',
  cutByOthers: 'The number cut by others',
  wildlifeOn: 'The number with wildlife',
  containers: 'The number of containers',
  water_mL: 'The water',
  flow_mL_min: 'How fast it runs',
  value: 'The reading',
  latitude_deg: 'The latitude',
  efficiency: 'The share of the heat',
  symptoms: 'What they feel',
}

let context: JudgeContext = { book: EMPTY_LOG.state, catalogue: CATALOGUE, now: fromMs(0) }

/** The records that a book is judged by: the catalogue, and what its cook put on record. */
const recordsOf = (log: BookLog) => catalogueWith(CATALOGUE, log.state.house.ownPlants)

/** The store of the book that is open, for what lies beside its log. */
export function openBookStorage(): BookStorage {
  return requireStorage()
}

/** What the gates judge by, renewed with the log and the minute; one for all of the screen, so that each lot is judged once. */
export function useJudgeContext(): JudgeContext {
  return useBook(contextOf)
}

/** The same for once, without being told of what comes after. */
export const judgeContext = (): JudgeContext => contextOf(useBook.getState())

function contextOf({ log, minute, writer }: Pick<BookStore, 'log' | 'minute' | 'writer'>): JudgeContext {
  if (context.book !== log.state || context.now !== minute || context.writer !== writer)
    context = { book: log.state, catalogue: recordsOf(log), now: minute, writer }
  return context
}

/** An amendment as it would be written now, for showing what it would change. */
export function draftAmendment(saying: Saying<'struck'> | Saying<'redated'>, now: Instant): Struck | Redated {
  return {
    ...writerOf(useBook.getState().book, useBook.getState().writer),
    id: 'draft',
    at: now,
    noted: now,
    ...saying,
  }
}
