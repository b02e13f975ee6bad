import { LEACH_AIMS, optimiseLeach } from '@ellop/core'
import { chance } from '../core/src/quantity/chance'
import { beatenBy, randomChoice } from '../core/src/test/leachChoices'

const CASES = 50
const SETTINGS = 1000
const SEED = 20271126

/** The best baths of made-up leaches, held against allowed settings at random: how far any of those is better, at worst. */
export function benchOptimise(): void {
  const random = chance(SEED)
  let worst = { share: 0, says: 'none was better' }
  let [solved, impossible, settings, time_ms] = [0, 0, 0, 0]
  while (solved < CASES) {
    const choice = randomChoice(random)
    const begun = performance.now()
    const { best } = optimiseLeach(choice)
    time_ms += performance.now() - begun
    if (best === undefined) {
      impossible += 1
      continue
    }
    solved += 1
    for (const aim of LEACH_AIMS) {
      const found = beatenBy(choice, aim, best[aim], SETTINGS / LEACH_AIMS.length, random)
      settings += found.settings
      if (found.worst > worst.share) worst = { share: found.worst, says: `case ${solved}, ${aim}` }
    }
  }
  console.log(
    `best baths: ${CASES} cases (${impossible} more had no answer), ${CASES * SETTINGS} settings at random, ${settings} of them reached the target; ` +
      `the worst case was beaten by ${(100 * worst.share).toFixed(2)} % (${worst.says}); ${(time_ms / (solved + impossible) / 1000).toFixed(2)} s a case`,
  )
}
