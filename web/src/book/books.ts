import type { Units } from '@ellop/core'
import Dexie, { type Table } from 'dexie'
import { copyFile } from '../secondCopy/secondCopy'

/** The demonstration's name; it and everything in it stay apart from every cook's own book. */
export const DEMO_BOOK = 'demo'

/** A book that this browser holds. */
export interface BookRow {
  readonly id: string
  readonly name: string
  /** Somebody else's is only read. */
  readonly kind: 'demo' | 'own' | 'guest'
}

/** A file on the cook's disk that a book is saved to on its own. */
export interface FileRow {
  readonly book: string
  readonly file: FileSystemFileHandle
}

/** What was chosen last in this browser. */
type Choice =
  | { readonly key: 'current'; readonly book: string }
  | { readonly key: 'units'; readonly units: Units }
  | { readonly key: 'writers'; readonly of: Readonly<Record<string, string>> }

class BooksDb extends Dexie {
  readonly books!: Table<BookRow, string>
  readonly choice!: Table<Choice, Choice['key']>
  readonly files!: Table<FileRow, string>

  constructor() {
    super('ellop-books', { chromeTransactionDurability: 'strict' })
    this.version(1).stores({ books: 'id', choice: 'key' })
    this.version(2).stores({ books: 'id', choice: 'key', files: 'book' })
  }
}

const db = new BooksDb()

async function currentBook(): Promise<string | undefined> {
  const row = await db.choice.get('current')
  return row?.key === 'current' ? row.book : undefined
}

const DEMO: BookRow = { id: DEMO_BOOK, name: 'Demonstration', kind: 'demo' }

/** The books that there are, the demonstration first; and the one that was open last, if any was chosen. */
export async function listBooks(): Promise<{
  readonly books: readonly BookRow[]
  readonly current: string | undefined
}> {
  const [books, current] = await Promise.all([db.books.toArray(), currentBook()])
  if (books.length > 0 || current !== undefined) return { books: [DEMO, ...books], current }
  const kept = (await LIST_COPY.read()).at(-1)
  if (kept === undefined) return { books: [DEMO], current: undefined }
  // Somebody else's book is not kept twice.
  const own = kept.books.filter(({ kind }) => kind === 'own')
  const last = [DEMO, ...own].find(({ id }) => id === kept.current) ?? own[0] ?? DEMO
  await db.transaction('rw', db.books, db.choice, async () => {
    await db.books.bulkPut(own)
    await db.choice.put({ key: 'current', book: last.id })
  })
  return { books: [DEMO, ...own], current: last.id }
}

/** The list in the second copy; the last line counts. */
const LIST_COPY = copyFile<{ readonly books: readonly BookRow[]; readonly current: string | undefined }>('books')

async function copyList(): Promise<void> {
  const [books, current] = await Promise.all([db.books.toArray(), currentBook()])
  await LIST_COPY.add({ books, current })
}

/** Adds a book to the list and makes it the one that opens. */
export async function addBook(book: BookRow): Promise<void> {
  await db.transaction('rw', db.books, db.choice, async () => {
    await db.books.put(book)
    await db.choice.put({ key: 'current', book: book.id })
  })
  await copyList()
}

export async function chooseBook(id: string): Promise<void> {
  await db.choice.put({ key: 'current', book: id })
  await copyList()
}

export async function forgetBook(id: string): Promise<void> {
  await db.transaction('rw', db.books, db.choice, async () => {
    await db.books.delete(id)
    await db.choice.put({ key: 'current', book: DEMO_BOOK })
  })
  await copyList()
}

/** The file that a book is saved to on its own; undefined where none was chosen. */
export async function fileOf(book: string): Promise<FileSystemFileHandle | undefined> {
  return (await db.files.get(book))?.file
}

export async function rememberFile(book: string, file: FileSystemFileHandle): Promise<void> {
  await db.files.put({ book, file })
}

export async function forgetFile(book: string): Promise<void> {
  await db.files.delete(book)
}

/** The measures that this browser shows; metric before any were chosen. */
export async function chosenUnits(): Promise<Units> {
  const row = await db.choice.get('units')
  return row?.key === 'units' ? row.units : 'metric'
}

export async function chooseUnits(units: Units): Promise<void> {
  await db.choice.put({ key: 'units', units })
}

/** Who was at it last in a book, by this browser; undefined where nobody but the cook was. */
export async function chosenWriter(book: string): Promise<string | undefined> {
  const row = await db.choice.get('writers')
  return row?.key === 'writers' ? row.of[book] : undefined
}

export async function chooseWriter(book: string, writer: string): Promise<void> {
  await db.transaction('rw', db.choice, async () => {
    const row = await db.choice.get('writers')
    await db.choice.put({ key: 'writers', of: { ...(row?.key === 'writers' ? row.of : {}), [book]: writer } })
  })
}
