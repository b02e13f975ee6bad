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
  /** Minutes for a kilogram, for a load, whatever the amount; and what it is done with: the list as it hangs on the wall. */
  it.each(
    `
      sort 12 0 0: a light place, a scale
      trim 12 0 0: a knife and a board
      shake-out 2 0 0: 
      wash 5 0 0: a large bowl
      rinse 3 0 0: a large bowl
      chop 6 0 0: a knife and a board
      peel 25 0 0: a knife and a board
      shell 35 0 0: a nutcracker or a stone
      crack 35 0 0: a nutcracker or a stone
      grind 12 0 0: a mill or mortar
      mill 12 0 0: a mill or mortar
      float-off 5 0 0: a large bowl
      press 4 0 0: a cloth
      sieve 6 0 0: a sieve, a cloth
      strain-seeds 6 0 0: a sieve
      juice 10 0 0: a sieve, a cloth
      blanch 0 3 2: a pot with a lid, a skimmer or sieve
      boil 0 3 2: a pot with a lid, a skimmer or sieve
      steam 0 2 2: a steamer
      simmer 0 0 5: a pot with a lid
      wilt 0 0 0 watched: a wide pan with a lid
      saute 0 0 0 watched: a wide pan
      fry 0 0 0 watched: a wide pan
      toast 0 0 0 watched: a dry pan
      cook-jam 0 0 0 watched: a pot with a lid
      roast 0 0 6: an oven or embers
      bake 0 0 6: an oven or embers
      pit-bake 0 0 60: a spade, stones
      refresh 0 2 0: a large bowl
      crisp 0 0 4: a large bowl, a cloth
      leach-static 0 8 0: a large bowl, a cloth
      leach-hot 0 8 0: a pot with a lid, a cloth
      leach-running 0 0 10: a cloth, clean running water
      soak-cold 0 0 5: a large bowl
      soak-acidulated 0 0 5: a large bowl
      dry 8 0 0: racks or a drier, a scale
      freeze 5 0 0: containers with labels
      freeze-thaw 0 0 5: containers with labels
      ferment 8 0 0: a jar with a weight, a scale
      brine 0 0 8: a jar with a weight, a scale
      pickle 0 0 12: a pot with a lid, jars, a pH meter or strips
      infuse-water 0 0 3: a pot with a lid
      infuse-syrup 0 0 12: a pot with a lid, a scale
      infuse-vinegar 0 0 6: a jar
      infuse-oil 0 0 6: a jar, a refrigerator
    `
      .split('\n')
      .filter((line) => line.trim() !== '')
      .map((line) => line.trim().match(/^(\S+) (\d+) (\d+) (\d+)( watched)?: ?(.*)$/) ?? [])
      .map(([, op = '', perKg = '', perLoad = '', once = '', watched, tools = '']) => ({
        op,
        perKg,
        perLoad,
        once,
        watched,
        tools,
      })),
  )('of $op is by the list', ({ op, perKg, perLoad, once, watched, tools }) => {
    const step = { op, minutes: 7, critical: false, control: [], baths: { least: 3 } }
    const { steps, hands_min, waiting_min } = planWork(2000, [step])
    const usual = 2 * Number(perKg) + 3 * Number(perLoad) + Number(once)
    const pan = watched === undefined ? 0 : 21
    expect(hands_min.low).toBeCloseTo(0.6 * usual + pan, 9)
    expect(hands_min.usual).toBeCloseTo(usual + pan, 9)
    expect(hands_min.high).toBeCloseTo(2 * usual + pan, 9)
    expect(waiting_min).toBe(watched === undefined ? 21 : 0)
    expect(steps[0]?.tools.join(', ')).toBe(tools)
  })
  it('is five minutes for what is not on the list, without tools; ice wants a bowl of its own', () => {
    const step = { op: 'hum over it', critical: false, control: [] }
    expect(planWork(900, [step])).toMatchObject({
      hands_min: { low: 3, usual: 5, high: 10 },
      waiting_min: 0,
      tools: [],
    })
    const iced = (ice_g: number) => planWork(900, [{ ...step, ice_g }]).tools
    expect([iced(0), iced(1)]).toEqual([[], ['a large bowl', 'ice']])
    const two = planWork(900, [
      { ...step, op: 'wash' },
      { ...step, op: 'rinse', minutes: 4 },
    ])
    expect([two.tools, two.waiting_min]).toEqual([['a large bowl'], 4])
    expect(two.hands_min.low).toBeCloseTo(0.6 * 0.9 * 8, 9)
  })
})
