import { describe, expect, it } from 'vitest'
import { playMany } from '../test/randomLogs'

/** `npm run logs -- 100000` plays more of them and prints the same figures. */
const LOGS = 3_000

describe('random logs over six kinds of plant', () => {
  it(`serve and pack only behind open gates, and fold on as from scratch, over ${LOGS} logs`, () => {
    const { shares, faults } = playMany(1, LOGS)
    console.info(`${LOGS} logs: ${shares}`)
    expect(faults).toEqual([])
  }, 900_000)
})
