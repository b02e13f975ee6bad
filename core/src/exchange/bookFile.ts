import Joi from 'joi'
import type { Entry } from '../log/entries'
import { compareEntries, EMPTY_LOG, inOrder, type BookLog } from '../log/fold'
import type { Instant } from '../quantity/instant'
import { check } from './check'
import { entryAlternatives, readEntry } from './entrySchema'
import { ENTRY_VERSION, upgradeEntry } from './upgrades'
import { withPosition, type PositionsInFile } from './positions'
import { count, id, instant, strictObject, text } from './shapes'

export const BOOK_FORMAT = 'ellop-book'
/** The version of the file is that of the entries in it. */
export const BOOK_VERSION = ENTRY_VERSION
export const LARGEST_FILE_BYTES = 100 * 1024 * 1024

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

const HEADER = {
  format: Joi.string().valid(BOOK_FORMAT),
  version: Joi.number().integer().min(1),
  book: id(),
  exportedAt: instant(),
  catalogueRevision: text(),
  count: count(),
}
const FORBIDDEN_KEYS = ['__proto__', 'constructor', 'prototype']

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

/** A book file whose every entry is as it should be, before it is held against what is here. */
export interface ReadFile {
  readonly ok: true
  readonly book: string
  readonly entries: readonly Entry[]
}

/**
 * Reads a book file by itself. Refused whole when it is too large, cut off, of another format or a newer version, holds a
 * malformed entry, an entry of another book, or one entry told in two ways. All the costly work is here: it may run beside
 * the screen.
 */
export function readBookFile(content: string): ReadFile | Extract<ImportReading, { ok: false }> {
  const file = openFile(content)
  if (!file.ok) return file
  const { book, version } = file.value
  const entries: Entry[] = []
  const seen = new Map<string, Entry>()
  for (const [index, document] of file.value.entries.entries()) {
    const read = readEntry(upgradeEntry(document, version))
    if (!read.ok) return no(`Entry ${index + 1}: ${read.path} ${read.message}.`)
    const entry = read.value
    if (entry.book !== book) return no(`Entry ${index + 1} belongs to the book “${entry.book}”.`)
    const twin = seen.get(entry.id)
    if (twin !== undefined && canonical(twin) !== canonical(entry))
      return no(`Entry ${index + 1} is in the file twice and says something else.`)
    seen.set(entry.id, entry)
    entries.push(entry)
  }
  return { ok: true, book, entries }
}

/** Holds a file that was read against the log it would be added to: refused when it is another book, or tells a known entry differently. */
export function freshOf(file: ReadFile, into: { readonly book: string; readonly log: BookLog }): ImportReading {
  if (file.book !== into.book)
    return no(
      `The file is the book “${file.book}”; the one open here is “${into.book}”. Books are not mixed: open it beside yours.`,
    )
  const fresh = new Map<string, Entry>()
  for (const [index, entry] of file.entries.entries()) {
    const known = into.log.entries.get(entry.id)
    if (known === undefined) fresh.set(entry.id, entry)
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

/** {@link readBookFile} and {@link freshOf} in one. */
export function readBook(content: string, into: { readonly book: string; readonly log: BookLog }): ImportReading {
  const file = readBookFile(content)
  return file.ok ? freshOf(file, into) : file
}

/**
 * Somebody else's book, to be opened beside one's own and only read. Refused when it is one's own (that is imported) or the
 * demonstration (that is there already).
 */
export function otherBook(file: ReadFile, own: { readonly books: readonly string[] }): ImportReading {
  if (own.books.includes(file.book)) return no('This is a book of yours that is here already: import it instead.')
  return freshOf(file, { book: file.book, log: EMPTY_LOG })
}

function no(message: string): { readonly ok: false; readonly message: string } {
  return { ok: false, message: `${message} Nothing was added.` }
}

function openFile(
  content: string,
): { readonly ok: true; readonly value: BookFile } | { readonly ok: false; readonly message: string } {
  // A UTF-16 unit is at least one byte of UTF-8: a file that passes here may still be refused by its size on disk.
  if (content.length > LARGEST_FILE_BYTES) return no('The file is larger than 100 MB.')
  const document = parse(content)
  if (document === undefined)
    return no('The file is not whole JSON: it may be cut off. Save it again where it came from.')
  if (document.hostile) return no('The file holds a field name that no book has.')
  const header = check<Omit<BookFile, 'entries'>>(strictObject({ ...HEADER, entries: Joi.array() }), document.value)
  if (!header.ok)
    return no(
      header.path === 'format'
        ? 'This is not a book of Ellop.'
        : `This is not a book of Ellop as it should be: ${header.path} ${header.message}.`,
    )
  const file = document.value as BookFile
  if (file.version > BOOK_VERSION)
    return no(
      `The file is of version ${file.version} and this program reads up to ${BOOK_VERSION}. Bring the program up to date first.`,
    )
  if (file.count !== file.entries.length)
    return no(`The file says ${file.count} entries and holds ${file.entries.length}: it is cut off.`)
  return { ok: true, value: file }
}

function parse(content: string): { readonly value: unknown; readonly hostile: boolean } | undefined {
  let hostile = false
  try {
    const value: unknown = JSON.parse(content, (key, inner: unknown) => {
      hostile ||= FORBIDDEN_KEYS.includes(key)
      return inner
    })
    return { value, hostile }
  } catch {
    return undefined
  }
}

/** The same text for the same content, whatever the order of its fields. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) =>
    inner !== null && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  )
}

/** The published JSON Schema of a book file. */
export function bookJsonSchema(): object {
  const schema = strictObject({ ...HEADER, entries: Joi.array().items(entryAlternatives()) })
  return { title: 'A book of Ellop', ...schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' }) }
}
