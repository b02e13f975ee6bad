import type { Entry } from '@ellop/core'

/** A stored row that could not be read: named, kept where it is, and saved to a file on demand. The rest of the book opens. */
export interface SetAside {
  readonly row: string
  readonly content: string
}

/** Whether a stored row has what every entry has; what lacks it would stop the whole book from being folded. */
export function isEntryLike(row: unknown): row is Entry {
  if (row === null || typeof row !== 'object') return false
  const { id, at, noted, type, book } = row as Record<string, unknown>
  return (
    [id, at, noted, type, book].every((each) => typeof each === 'string') && Number.isFinite(Date.parse(String(at)))
  )
}

/** Rows that can be read, and those that cannot. */
export function readable(
  rows: readonly unknown[],
  from: string,
): { readonly entries: unknown[]; readonly aside: SetAside[] } {
  const entries: unknown[] = []
  const aside: SetAside[] = []
  for (const [index, row] of rows.entries())
    if (isEntryLike(row)) entries.push(row)
    else aside.push({ row: `${from}, row ${index + 1}${nameOf(row)}`, content: JSON.stringify(row) ?? String(row) })
  return { entries, aside }
}

function nameOf(row: unknown): string {
  const id = row !== null && typeof row === 'object' ? (row as Record<string, unknown>)['id'] : undefined
  return typeof id === 'string' ? ` (${id})` : ''
}
