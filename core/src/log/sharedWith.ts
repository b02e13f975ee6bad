/**
 * A value with every part of an earlier one that is the same: what was reckoned from such a part still holds, and is known by its
 * identity. Plain objects, lists and scalars only.
 */
export function sharedWith<Value>(before: unknown, after: Value): Value {
  if (before === after || !isPlain(before) || !isPlain(after)) return after
  if (Array.isArray(before) !== Array.isArray(after)) return after
  const keys = Object.keys(after)
  const keysBefore = Object.keys(before)
  let same = keys.length === keysBefore.length
  const parts = keys.map((key, index) => {
    const part = sharedWith(before[key], after[key])
    // In the same order too: lists are made of it.
    same &&= key === keysBefore[index] && part === before[key]
    return part
  })
  if (same) return before as Value
  return (Array.isArray(after) ? parts : Object.fromEntries(keys.map((key, index) => [key, parts[index]]))) as Value
}

function isPlain(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null
}
