import type { Entry } from '../log/entries'
import { compareEntries, EMPTY_LOG, inOrder, type BookLog } from '../log/fold'
import { minutesBetween, type Instant } from '../quantity/instant'
import { withPosition, type PositionsInFile } from './positions'
import { ENTRY_VERSION } from './upgrades'

export const BOOK_FORMAT = 'ellop-book'
/** The version of the file is that of the entries in it. */
export const BOOK_VERSION = ENTRY_VERSION

/** A whole book as one open document. */
export interface BookFile {
  readonly format: typeof BOOK_FORMAT
  readonly version: number
  readonly book: string
  readonly exportedAt: Instant
  readonly catalogueRevision: string
  readonly count: number
  readonly entries: readonly Entry[]
}

/** What an import would add, or one sentence that says why it adds nothing. All or nothing. */
export type ImportReading =
  | { readonly ok: true; readonly book: string; readonly fresh: readonly Entry[]; readonly known: number }
  | { readonly ok: false; readonly message: string }

/** A book file whose every entry is as it should be, before it is held against what is here. */
export interface ReadFile {
  readonly ok: true
  readonly book: string
  readonly entries: readonly Entry[]
}

/** The book as one JSON document: entries in the order of the log, struck ones included. Positions stay out of it unless asked for. */
export function writeBook(input: {
  book: string
  log: BookLog
  exportedAt: Instant
  catalogueRevision: string
  positions?: PositionsInFile
}): string {
  const entries = inOrder(input.log).map((entry) => withPosition(entry, input.positions ?? 'none'))
  const file: BookFile = {
    format: BOOK_FORMAT,
    version: BOOK_VERSION,
    book: input.book,
    exportedAt: input.exportedAt,
    catalogueRevision: input.catalogueRevision,
    count: entries.length,
    entries,
  }
  return `${JSON.stringify(file, null, 1)}\n`
}

/** The clocks of two devices of one cook may differ by this much. */
const CLOCKS_DIFFER_MINUTES = 10
const laterOf = (a: Instant, b: Instant) => (a > b ? a : b)

/** Holds a file that was read against the log it would be added to: refused when it is another book, or tells a known entry differently. */
export function freshOf(
  file: ReadFile,
  into: { readonly book: string; readonly log: BookLog; readonly now?: Instant },
): ImportReading {
  if (file.book !== into.book)
    return no(
      `The file is the book “${file.book}”; the one open here is “${into.book}”. Books are not mixed: open it beside yours.`,
    )
  const fresh = new Map<string, Entry>()
  for (const [index, entry] of file.entries.entries()) {
    const known = into.log.entries.get(entry.id)
    if (known === undefined) {
      if (into.now !== undefined && minutesBetween(into.now, laterOf(entry.at, entry.noted)) > CLOCKS_DIFFER_MINUTES)
        return no(
          `Entry ${index + 1} is dated ${laterOf(entry.at, entry.noted).slice(0, 16).replace('T', ' ')} UTC, which is still to come. Set the clock of the device that noted it, and date the entry again there.`,
        )
      fresh.set(entry.id, entry)
    }
    // A file may have left out where a patch lies, or rounded it: what is here stays.
    else if (canonical(withPosition(known, 'none')) !== canonical(withPosition(entry, 'none')))
      return no(`Entry ${index + 1} is known here and says something else.`)
  }
  return {
    ok: true,
    book: file.book,
    fresh: [...fresh.values()].sort(compareEntries),
    known: file.entries.length - fresh.size,
  }
}

/**
 * Somebody else's book, to be opened beside one's own and only read. Refused when it is one's own (that is imported) or the
 * demonstration (that is there already).
 */
export function otherBook(file: ReadFile, own: { readonly books: readonly string[] }): ImportReading {
  if (own.books.includes(file.book)) return no('This is a book of yours that is here already: import it instead.')
  return freshOf(file, { book: file.book, log: EMPTY_LOG })
}

/** Why a file adds nothing. */
export function no(message: string): { readonly ok: false; readonly message: string } {
  return { ok: false, message: `${message} Nothing was added.` }
}

/** The same text for the same content, whatever the order of its fields. */
export function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) =>
    inner !== null && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  )
}
