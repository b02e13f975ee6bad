import { describe, expect, it } from 'vitest'
import { searchAll } from '../test/boundedSearch'
import { playCareful, playMany } from '../test/randomLogs'

/** `npm run logs -- 100000` plays more of them and prints the same figures; `npm run search -- 6` searches deeper. */
const LOGS = 1_500
const CAREFUL = 400
const DEPTH = 4
/** Of what a careful cook serves and packs no more than this is refused. */
const NEEDLESS_AT_MOST = 0.005

describe('random logs over six kinds of plant', () => {
  it(`serve and pack only behind open gates and what an auditor lets through, and fold on as from scratch, over ${LOGS} logs`, () => {
    const { shares, faults } = playMany(1, LOGS)
    console.info(`${LOGS} logs: ${shares}`)
    expect(faults).toEqual([])
  }, 900_000)
  it(`of a careful cook are not refused, over ${CAREFUL} logs`, () => {
    const { acts, refused } = playCareful(1, CAREFUL)
    console.info(`${CAREFUL} careful logs: ${refused.length} of ${acts} servings and packs refused`)
    expect(acts).toBeGreaterThan(CAREFUL / 2)
    expect(refused.length / acts).toBeLessThanOrEqual(NEEDLESS_AT_MOST)
  }, 300_000)
  it(`of every sequence of up to ${DEPTH} acts in a small world hold nothing that an auditor has anything against`, () => {
    const { states, servings, wrong } = searchAll(DEPTH)
    console.info(`${states} states, ${servings} servings and packs audited`)
    expect(wrong).toEqual([])
  }, 300_000)
})
