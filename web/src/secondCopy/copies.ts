import { addLine, dropLines, readLines } from './lines'

/** Entries that were stored together: one line, so that a torn import is none. */
export interface Batch {
  readonly version: number
  readonly entries: readonly { readonly id: string }[]
}

/** What the worker of the second copy can be asked. */
export const COPIES = {
  async addLine({ file, line }: { readonly file: string; readonly line: string }) {
    await addLine(file, line)
    return 'kept' as const
  },
  readLines,
  dropLines,
  /** How a file and a book differ: which entries of the book the file lacks, and what the file has beyond the book. */
  async compare({ file, ids }: { readonly file: string; readonly ids: readonly string[] }) {
    const batches = (await readLines(file)) as readonly Batch[]
    const inBook = new Set(ids)
    const inFile = new Set(batches.flatMap(({ entries }) => entries.map(({ id }) => id)))
    return {
      lacking: ids.filter((id) => !inFile.has(id)),
      beyond: batches.flatMap(({ version, entries }): Batch[] => {
        const more = entries.filter(({ id }) => !inBook.has(id))
        return more.length === 0 ? [] : [{ version, entries: more }]
      }),
    }
  },
}
