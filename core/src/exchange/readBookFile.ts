import Joi from 'joi'
import type { Entry } from '../log/entries'
import type { BookLog } from '../log/fold'
import {
  BOOK_FORMAT,
  BOOK_VERSION,
  canonical,
  freshOf,
  no,
  type BookFile,
  type ImportReading,
  type ReadFile,
} from './bookFile'
import { check } from './check'
import { entryAlternatives, readEntry } from './entrySchema'
import { count, id, instant, strictObject, text } from './shapes'
import { upgradeEntry } from './upgrades'

export const LARGEST_FILE_BYTES = 100 * 1024 * 1024

const HEADER = {
  format: Joi.string().valid(BOOK_FORMAT),
  version: Joi.number().integer().min(1),
  book: id(),
  exportedAt: instant(),
  catalogueRevision: text(),
  count: count(),
}
const FORBIDDEN_KEYS = ['__proto__', 'constructor', 'prototype']

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

/** {@link readBookFile} and {@link freshOf} in one. */
export function readBook(content: string, into: { readonly book: string; readonly log: BookLog }): ImportReading {
  const file = readBookFile(content)
  return file.ok ? freshOf(file, into) : file
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

/** The published JSON Schema of a book file. */
export function bookJsonSchema(): object {
  const schema = strictObject({ ...HEADER, entries: Joi.array().items(entryAlternatives()) })
  return { title: 'A book of Ellop', ...schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' }) }
}
