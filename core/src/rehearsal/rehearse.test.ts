import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { requireTaxon } from '../flora/catalogue'
import { rehearsalLimits, rehearse, type Move, type RehearsalWater } from './rehearse'
import { SCENARIOS, type Scenario } from './scenarios'

const LIMITS = rehearsalLimits(requireTaxon(CATALOGUE, 'Quercus robur'))
const play = (scenario: Scenario, moves: readonly Move[], seed = 1) => rehearse(scenario, LIMITS, moves, seed)
const scenarioOf = (id: string) => {
  const found = SCENARIOS.find((each) => each.id === id)
  if (found === undefined) throw new RangeError(`expected a scenario ${id}`)
  return found
}
const bath = (water: RehearsalWater, water_mL = 3200): Move => ({
  kind: 'bath',
  water,
  water_mL,
  hours: (LIMITS.by[water]?.minutes ?? 60) / 60,
})
const repeat = (move: Move, count: number): Move[] => Array.from({ length: count }, () => move)

/** Looks, grinds fine, keeps to the record, tastes, and goes on until the crumb is mild. */
function careful(scenario: Scenario, seed: number): readonly Move[] {
  const seen = play(scenario, [{ kind: 'look' }], seed).story.at(-1)?.text ?? ''
  if (seen.includes('furred')) return [{ kind: 'look' }, { kind: 'throw-away' }]
  const water: RehearsalWater = scenario.hours < 48 || scenario.tap_C > 12 ? 'hot' : 'cold'
  const water_mL = Math.min(3200, scenario.water_mL / 9)
  const moves: Move[] = [
    { kind: 'look' },
    { kind: 'grind', size_mm: 1 },
    ...repeat(bath(water, water_mL), LIMITS.by[water]?.least ?? 0),
    { kind: 'crumb' },
  ]
  while ((play(scenario, moves, seed).crumbs.at(-1)?.score ?? 0) > LIMITS.tasteAtMost && moves.length < 60) {
    const before = play(scenario, moves, seed).water_mL
    moves.push(bath(water, water_mL), { kind: 'crumb' })
    if (play(scenario, moves, seed).water_mL === before) break
  }
  return [...moves, { kind: 'serve' }]
}

describe('a rehearsal', () => {
  it('is well or passably played by whoever looks, keeps to the record and tastes, and badly by whoever does not', () => {
    const verdicts: Record<string, number> = {}
    for (const scenario of SCENARIOS)
      for (let seed = 1; seed <= 2; seed += 1) {
        const { end } = play(scenario, careful(scenario, seed), seed)
        verdicts[end?.verdict ?? ''] = (verdicts[end?.verdict ?? ''] ?? 0) + 1
        if (end?.verdict === 'badly')
          expect([scenario.id, end.unsafe[0]]).toEqual([scenario.id, expect.stringMatching(/last crumb/)])
        for (const hasty of seed > 1
          ? []
          : [
              [],
              repeat(bath('hot'), 5),
              [{ kind: 'grind', size_mm: 1 } as const, ...repeat(bath('hot'), 3), { kind: 'crumb' } as const],
            ])
          expect(play(scenario, [...hasty, { kind: 'serve' }], seed).end).toMatchObject({ verdict: 'badly' })
      }
    console.info(`rehearsals played with care: ${JSON.stringify(verdicts)}`)
    expect(verdicts['well']).toBeGreaterThan(10)
    expect(verdicts['badly'] ?? 0).toBeLessThanOrEqual(2)
  })
  it('gives the same lot for the same seed whatever is tasted, and another for another', () => {
    const scenario = scenarioOf('an-even-tree')
    const moves = [{ kind: 'grind', size_mm: 1 } as const, ...repeat(bath('cold'), 6)]
    const end = (more: readonly Move[], seed: number) =>
      play(scenario, [...moves, ...more, { kind: 'serve' }], seed).end?.score
    expect(end([], 3)).toBe(end([{ kind: 'crumb' }, { kind: 'look' }, { kind: 'crumb' }], 3))
    expect(end([], 3)).not.toBe(end([], 4))
  })
  it('says no to what the record forbids, and nothing changes by it', () => {
    const told = (scenario: Scenario, moves: readonly Move[]) => play(scenario, moves).story.at(-1)?.text
    const plain = scenarioOf('an-even-tree')
    expect(told(plain, [{ kind: 'crumb' }])).toBe('Not yet: 5 more baths before anything is tasted.')
    expect(told(plain, [bath('running')])).toBe('There is no water here that may run.')
    expect(told(plain, [bath('cold'), { kind: 'grind', size_mm: 1 }])).toBe('Wet meal cannot be ground finer.')
    expect(told(scenarioOf('a-warm-kitchen'), [bath('cold')])).toBe(
      'The record wants water no warmer than 12 °C for this; here it comes at 21 °C.',
    )
    expect(told(scenarioOf('the-cistern'), repeat(bath('cold', 9000), 3))).toBe('There are only 4.0 L left.')
    expect(play(scenarioOf('the-cistern'), repeat(bath('cold', 9000), 5)).baths).toHaveLength(2)
    expect(told(plain, [{ ...bath('cold'), hours: 2 } as Move])).toMatch(/Too short to count\.$/)
  })
  it('tells at the end what was lost, wasted and risked, beside the best that the lot allowed', () => {
    const hot = (id: string, baths: number) =>
      play(scenarioOf(id), [
        { kind: 'grind', size_mm: 1 },
        ...repeat(bath('hot'), baths),
        { kind: 'crumb' },
        { kind: 'serve' },
      ]).end
    expect(hot('bread', 6)?.lost[0]).toMatch(/^The starch is cooked/)
    expect(hot('a-mild-tree', 12)?.lost).toContainEqual(expect.stringMatching(/^\d+ baths more than it took\.$/))
    const sound = play(scenarioOf('an-even-tree'), [bath('cold'), { kind: 'throw-away' }]).end
    expect(sound).toMatchObject({ verdict: 'badly', lost: ['It was sound and could have been made good.'] })
    expect(sound?.quickest?.hours).toBeLessThanOrEqual(sound?.thriftiest?.hours ?? 0)
    expect(sound?.thriftiest?.water_mL).toBeLessThanOrEqual(sound?.quickest?.water_mL ?? 0)
    const sack = scenarioOf('the-damp-sack')
    expect(play(sack, [{ kind: 'throw-away' }]).end).toMatchObject({ verdict: 'well', quickest: undefined })
    const soaked = play(scenarioOf('bread'), [
      { kind: 'bath', water: 'cold', water_mL: 3200, hours: 150 },
      { kind: 'look' },
    ])
    expect(soaked.story.at(-1)?.text).toMatch(/^It smells sour/)
    expect(play(scenarioOf('bread'), [bath('cold'), { kind: 'look' }]).story.at(-1)?.text).toMatch(/^Sound and clean/)
  })
})
