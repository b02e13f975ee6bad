import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { Entry } from '../log/entries'
import { addEntries, EMPTY_LOG } from '../log/fold'
import { chance } from '../quantity/chance'
import { fromMs, toMs, type Instant } from '../quantity/instant'
import { playRandomLog } from '../test/randomLogs'
import { dueList, reckonDue, type DueReckoning } from './due'

const LOGS = 30
const YEAR_h = 24 * 366

describe('the due list, reckoned on', () => {
  it('is what it is from nothing, whatever was added, struck out or dated back in between', () => {
    const random = chance(20270516)
    let items = 0
    let [kept, lots] = [0, 0]
    for (let seed = 1; seed <= LOGS; seed += 1) {
      const { log } = playRandomLog(seed).pen
      // Every other one in any order and all from one patch: what comes late must reach the lots that were judged without it.
      const noted = [...log.entries.values()]
      const left = seed % 2 === 0 ? noted : shuffled(noted.map(fromOnePatch), random)
      const end = left.reduce<Instant>((latest, { noted }) => (noted > latest ? noted : latest), fromMs(0))
      let grown = EMPTY_LOG
      let reckoned: DueReckoning | undefined
      while (left.length > 0) {
        grown = addEntries(grown, left.splice(0, 1 + Math.floor(random() * 4)))
        // A minute passes now and then.
        const now = random() < 0.1 ? fromMs(toMs(end) + Math.floor(random() * 300_000)) : end
        const context = { book: grown.state, catalogue: CATALOGUE, now }
        const before = reckoned
        reckoned = reckonDue(context, before)
        const list = dueList(context, YEAR_h, reckoned)
        expect(list, `seed ${seed}`).toEqual(dueList(context, YEAR_h))
        items += list.length
        for (const [lot, coming] of reckoned.coming) {
          lots += 1
          if (before?.coming.get(lot) === coming) kept += 1
        }
      }
    }
    // Or there was nothing to get wrong, and nothing was spared.
    expect(items).toBeGreaterThan(LOGS * 20)
    expect(kept / lots).toBeGreaterThan(0.1)
  })
})

function fromOnePatch(entry: Entry): Entry {
  return entry.type === 'weighed-in' ? { ...entry, patch: 'wall' } : entry
}

function shuffled(entries: readonly Entry[], random: () => number): Entry[] {
  return entries
    .map((entry) => ({ entry, turn: random() }))
    .sort((a, b) => a.turn - b.turn)
    .map(({ entry }) => entry)
}
