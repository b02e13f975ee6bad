import { playMany } from '../core/src/test/randomLogs'

/** `npm run logs -- COUNT [FIRST_SEED]`: random logs against the second opinion; exits with 1 when any has a fault. */
const [count = '100000', firstSeed = '1'] = process.argv.slice(2)
const { shares, faults } = playMany(Number(firstSeed), Number(count))
console.log(`${count} logs from seed ${firstSeed}: ${shares}; ${faults.length} faults`)
for (const fault of faults.slice(0, 20)) console.log(fault)
process.exitCode = faults.length === 0 ? 0 : 1
