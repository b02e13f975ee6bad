import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { plan } from './plan'
import { planWork } from './work'

describe('what a plan asks of hands and clock', () => {
  it('knows every operation on record but the few that are done in a moment, and asks more of more food, never less', () => {
    const unknown = new Set<string>()
    let planned = 0
    for (const { scientificName, uses } of CATALOGUE.taxa)
      for (const { part, stage, verdict, protocols } of uses)
        for (const { name: school, goals } of verdict === 'never' ? [] : protocols) {
          const ask = (mass_g: number) =>
            planWork(
              mass_g,
              plan({ taxon: scientificName, part, stage, mass_g, goal: goals[0] ?? 'eat', school }, CATALOGUE).steps,
            )
          const [little, much] = [ask(300), ask(1200)]
          planned += 1
          if (little.steps.length === 0 || much.steps.length !== little.steps.length) continue
          const { low, usual, high } = much.hands_min
          expect(low <= usual && usual <= high && little.hands_min.usual <= usual + 1e-9, scientificName).toBe(true)
          expect(new Set(much.tools).size).toBe(much.tools.length)
          for (const { tools, hands_min } of much.steps)
            if (tools.length === 0 && hands_min.usual === 5) unknown.add(scientificName)
        }
    expect(planned).toBeGreaterThan(300)
    expect([...unknown]).toEqual([])
  })
  it('parts hands from waiting: loads at the pot, baths that lie, a pan that is watched', () => {
    const nettle = plan(
      { taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', mass_g: 600, goal: 'eat' },
      CATALOGUE,
    )
    const blanch = nettle.steps.findIndex(({ op }) => op === 'blanch')
    const { loads, minutes = 0 } = nettle.steps[blanch] ?? {}
    const work = planWork(600, nettle.steps).steps[blanch]
    expect(work?.hands_min.usual).toBeCloseTo(3 * (loads?.count ?? 0) + 2)
    expect(work?.waiting_min).toBeCloseTo(
      minutes * (loads?.count ?? 0) + (loads?.toBoil_min ?? 0) + ((loads?.recovery_s ?? 0) / 60) * (loads?.count ?? 0),
    )
    const acorns = plan({ taxon: 'Quercus robur', part: 'nut', stage: 'ripe', mass_g: 500, goal: 'flour', school: 'cold baths' }, CATALOGUE) // prettier-ignore
    const leach = planWork(500, acorns.steps)
    expect(leach.waiting_min).toBeGreaterThan(6 * 480)
    expect(leach.tools).toContain('a mill or mortar')
    const fried = planWork(400, [{ op: 'fry', minutes: 6, critical: false, control: [] }])
    expect(fried).toMatchObject({ waiting_min: 0, hands_min: { low: 6, usual: 6, high: 6 } })
    const iced = planWork(400, [{ op: 'refresh', ice_g: 500, critical: false, control: [] }])
    expect(iced.tools).toEqual(['a large bowl', 'ice'])
  })
})
