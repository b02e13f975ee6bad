import { searchAll } from '../core/src/test/boundedSearch'

/** `npm run search -- [DEPTH] [MOST_STATES]`: every sequence of so many acts in a small world, audited; exits with 1 when any is wrong. */
const [depth = '6', most = '2000000'] = process.argv.slice(2)
const { states, servings, wrong, whole } = searchAll(Number(depth), Number(most))
console.log(
  `sequences of up to ${depth} acts: ${states} states, ${servings} servings and packs audited, ${wrong.length} wrong${whole ? '' : ' (stopped at the most states)'}`,
)
for (const each of wrong.slice(0, 20)) console.log(each)
process.exitCode = wrong.length === 0 ? 0 : 1
