import { CASES, tryPlans } from '../core/src/test/randomPlans'

/** `npm run plans -- COUNT [FIRST_SEED]`: random plans carried out, against the bare record; exits with 1 when any has a fault. */
const [count = '50000', firstSeed = '1'] = process.argv.slice(2)
const { shares, faults } = tryPlans(Number(firstSeed), Number(count))
console.log(
  `${count} plans over ${CASES.length} uses × schools × goals from seed ${firstSeed}: ${shares}; ${faults.length} faults`,
)
for (const fault of faults.slice(0, 40)) console.log(fault)
process.exitCode = faults.length === 0 ? 0 : 1
