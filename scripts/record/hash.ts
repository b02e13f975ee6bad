import { createHash } from 'node:crypto'

/** A short hash of a value that does not depend on the order in which its fields were written. */
export function hashOf(value: unknown): string {
  return createHash('sha256').update(JSON.stringify(value, sortedFields)).digest('base64url').slice(0, 10)
}

function sortedFields(_key: string, value: unknown): unknown {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return value
  if (value instanceof Map) return sortedFields('', Object.fromEntries(value))
  return Object.fromEntries(Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1)))
}
