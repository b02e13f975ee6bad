import { ENTRY_VERSION, type BookLog, type Entry } from '@ellop/core'
import { create } from 'zustand'
import { askerOf } from '../workers/talk'
import type { Batch, COPIES } from './copies'
import { folderThereIs, readEnd } from './lines'

/** So long what was noted waits for its second copy: it is in the store already, and the copy is caught up with later. */
const WAIT_ms = 1500
/** Enough of the end of a file to hold the last id in it. */
const END_bytes = 16_384
/** So many entries are caught up with at a time. */
const CATCH_UP_ENTRIES = 5000

const ask = askerOf<typeof COPIES>(() => new Worker(new URL('./copies.worker.ts', import.meta.url), { type: 'module' }))

interface SecondCopy {
  /** Whether the second copy of the open book is as whole as its store; `impossible`: this browser keeps no such files. */
  readonly state: 'unknown' | 'whole' | 'behind' | 'impossible'
  /** How many entries of the open book had gone from its store and were brought back. */
  readonly broughtBack: number
}

/** How the second copy stands. */
export const useSecondCopy = create<SecondCopy>(() => ofOpened(0))

/** How it stands with a book that has just been opened. */
export function ofOpened(broughtBack: number): SecondCopy {
  return { state: canCopy() ? 'unknown' : 'impossible', broughtBack }
}

/** A second copy as lines in a file, beside the database that has the first. */
export interface CopyFile<Line> {
  /** Resolves when the line is kept, or when it was waited for long enough; never rejects, as the store has it too. */
  readonly add: (line: Line) => Promise<void>
  /** Everything that was ever added, oldest first. */
  readonly read: () => Promise<readonly Line[]>
  /** The id of what was added last, without reading all; undefined where nothing was, or it is not told in time. */
  readonly lastId: () => Promise<string | undefined>
  readonly drop: () => Promise<void>
}

/** The second copy that goes by a name. */
export function copyFile<Line>(name: string): CopyFile<Line> {
  const file = fileOf(name)
  return {
    async add(line) {
      if (!canCopy()) return
      const kept = ask('addLine', { file, line: JSON.stringify(line) }).answer
      const told = await Promise.race([kept, later()])
      if (told !== 'kept') useSecondCopy.setState({ state: 'behind' })
    },
    async read() {
      // Nothing is started in a browser that never kept anything.
      if (!canCopy() || (await folderThereIs().catch(() => undefined)) === undefined) return []
      return ((await ask('readLines', file).answer) ?? []) as readonly Line[]
    },
    async lastId() {
      if (!canCopy()) return undefined
      const end = await Promise.race([readEnd(file, END_bytes).catch(() => undefined), later()])
      // What follows the last line's end was torn off as it was written, and never said to be kept.
      const [line = ''] = typeof end === 'string' ? end.split('\n').slice(-2, -1) : []
      return lastIdOf(line)
    },
    async drop() {
      if (canCopy()) await ask('dropLines', file).answer
    },
  }
}

/** Entries as one line: all of them or, where it was torn, none. */
export const batchOf = (entries: readonly Entry[]): Batch => ({ version: ENTRY_VERSION, entries })

/** Adds what a book's second copy lacks, and gives what it has beyond the book. */
export async function catchUp(book: string, entries: BookLog['entries']): Promise<readonly Batch[]> {
  if (!canCopy()) return []
  const ids = [...entries.values()].map(({ id }) => id)
  const compared = await ask('compare', { file: fileOf(book), ids }).answer
  if (compared === undefined) {
    useSecondCopy.setState({ state: 'behind' })
    return []
  }
  const lacking = compared.lacking.flatMap((id) => entries.get(id) ?? [])
  useSecondCopy.setState({ state: 'whole' })
  for (let from = 0; from < lacking.length; from += CATCH_UP_ENTRIES)
    await copyFile<Batch>(book).add(batchOf(lacking.slice(from, from + CATCH_UP_ENTRIES)))
  return compared.beyond
}

/** The last entry's id in a line; of one that is longer than was read the last id of anything, which at worst has all of it compared. */
function lastIdOf(line: string): string | undefined {
  try {
    return (JSON.parse(line) as Batch).entries.at(-1)?.id
  } catch {
    return [...line.matchAll(/"id":"([^"]+)"/g)].at(-1)?.[1]
  }
}

const fileOf = (name: string) => `${name}.lines`
const later = () => new Promise<void>((resolve) => setTimeout(resolve, WAIT_ms))

function canCopy(): boolean {
  return typeof navigator.storage?.getDirectory === 'function' && 'locks' in navigator && 'Worker' in globalThis
}
