import { playCareful, playMany } from '../core/src/test/randomLogs'

/** `npm run logs -- COUNT [FIRST_SEED]`: random logs against the second opinion and the auditor, and careful ones; exits with 1 when any has a fault. */
const [count = '100000', firstSeed = '1'] = process.argv.slice(2)
const { shares, faults, needless, needlessShare } = playMany(Number(firstSeed), Number(count))
console.log(`${count} logs from seed ${firstSeed}: ${shares}; ${faults.length} faults`)
console.log(
  `of careless logs, refused though neither opinion had anything against it: ${(100 * needlessShare).toFixed(2)} %`,
)
const careful = playCareful(Number(firstSeed), Math.ceil(Number(count) / 10))
const share = (100 * careful.refused.length) / Math.max(1, careful.acts)
console.log(
  `of careful logs: ${careful.refused.length} of ${careful.acts} servings and packs refused, ${share.toFixed(2)} %`,
)
for (const fault of faults.slice(0, 20)) console.log(fault)
for (const each of [...careful.refused, ...needless].slice(0, 12)) console.log(`refused: ${each.slice(0, 300)}`)
process.exitCode = faults.length === 0 ? 0 : 1
