import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sharedWith } from './sharedWith'

const value = fc.jsonValue({ maxDepth: 3 })

describe('sharedWith', () => {
  it('is the later value to the letter, and the earlier one itself in every part that is the same', () => {
    fc.assert(
      fc.property(value, value, (before, after) => {
        expect(JSON.stringify(sharedWith(before, after))).toBe(JSON.stringify(after))
        const copy = structuredClone(before)
        expect(sharedWith(before, copy)).toBe(before)
        const changed = sharedWith({ before, here: before }, { before: copy, here: after })
        expect(changed.before).toBe(before)
        expect(JSON.stringify(changed.here)).toBe(JSON.stringify(after))
      }),
      { numRuns: 500 },
    )
  })
  it.each([
    [
      { a: 1, b: 2 },
      { b: 2, a: 1 },
    ],
    [{ 0: 'x' }, ['x']],
    [['x'], { 0: 'x' }],
    [null, {}],
    [{}, null],
    [{ a: null }, { a: {} }],
    [[1, 2], [1]],
    [[1], [1, undefined]],
    [{ a: 1 }, { a: 2 }],
  ])('takes %j for something else than %j', (before, after) => {
    const shared = sharedWith(before, after)
    expect(shared).not.toBe(before)
    expect(shared).toStrictEqual(after)
    expect(JSON.stringify(shared)).toBe(JSON.stringify(after))
  })
})
