import { describe, expect, it } from 'vitest'
import { CASES, tryPlans } from '../test/randomPlans'

describe('random plans over the whole catalogue', () => {
  // `npm run plans -- 60000` tries more of them and prints the same figures.
  it('open Make safe only with every hazard answered and every limit kept, and refuse nothing that a school allows', () => {
    const { shares, faults } = tryPlans(1, CASES.length)
    console.info(`${CASES.length} plans: ${shares}`)
    expect(faults).toEqual([])
  })
})
