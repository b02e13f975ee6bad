import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { plan } from './plan'
import type { PlanInput } from './planTypes'
import { drawnBy, plansUnderShortage, type Means } from './shortage'

const NETTLE = { taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', goal: 'eat', mass_g: 2000, kitchen: { pots_mL: [5000], elevation_m: 1180 } } as const // prettier-ignore
const under = (means: Means, more: Partial<PlanInput> = {}) => plansUnderShortage({ ...NETTLE, ...more }, means, CATALOGUE) // prettier-ignore
const told = (...asked: Parameters<typeof under>) => under(...asked).fits.map(({ way, mass_g, whole }) => [way, Math.round(mass_g), whole]) // prettier-ignore

/** Uses with an accepted way that eats water or fuel. */
const CASES = CATALOGUE.taxa.flatMap(({ scientificName: taxon, uses }) =>
  uses
    .filter(({ verdict }) => verdict !== 'never')
    .flatMap(({ part, stage, protocols }) =>
      [...new Set(protocols.flatMap(({ goals }) => goals))].map((goal) => ({ taxon, part, stage, goal })),
    ),
)

describe('short of water, fuel or time', () => {
  it('finds of each accepted way the most that goes through with what there is, and no random batch beats it', () => {
    let [some, none, tried] = [0, 0, 0]
    const means = fc.record(
      { water_mL: fc.double({ min: 0, max: 30_000, noNaN: true }), fuel_kWh: fc.double({ min: 0, max: 3, noNaN: true }), time_min: fc.double({ min: 5, max: 600, noNaN: true }) },
      { requiredKeys: [] },
    ) // prettier-ignore
    fc.assert(
      fc.property(fc.constantFrom(...CASES), means, fc.double({ min: 100, max: 4000, noNaN: true }), fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 6, maxLength: 6 }), (one, drawn, mass_g, shares) => {
        const input: PlanInput = { ...one, mass_g, kitchen: { pots_mL: [6000, 3000], elevation_m: 400 } }
        const { fits, missing } = plansUnderShortage(input, drawn as Means, CATALOGUE)
        const { water_mL = Infinity, fuel_kWh = Infinity, time_min = Infinity } = drawn
        for (const fit of fits) {
          expect(fit.plan.verdict).not.toBe('refuse')
          expect(fit.plan.way).toBe(fit.way)
          expect(fit.drawn.water_mL).toBeLessThanOrEqual(water_mL * 1.001 + 20)
          expect(fit.drawn.fuel_kWh).toBeLessThanOrEqual(fuel_kWh + 0.02)
          expect(fit.drawn.time_min).toBeLessThanOrEqual(time_min)
          expect(fit.mass_g).toBeLessThanOrEqual(mass_g)
          expect(fit.whole).toBe(fit.mass_g === mass_g)
          if (fit.whole) continue
          expect(missing.some(({ way }) => way === fit.way)).toBe(true)
          for (const share of shares) {
            const larger_g = fit.mass_g + 10 + share * (mass_g - fit.mass_g)
            if (larger_g > mass_g) continue
            const made = plan({ ...input, mass_g: larger_g, school: fit.way, kitchen: { ...input.kitchen, ...(water_mL < Infinity && { water_mL }), ...(fuel_kWh < Infinity && { fuel_kWh }) } }, CATALOGUE)
            const goes = made.verdict !== 'refuse' && drawnBy(larger_g, made).time_min <= time_min
            expect([fit.way, fit.mass_g, larger_g, goes]).toEqual([fit.way, fit.mass_g, larger_g, false])
            tried += 1
          }
        }
        const standings = fits.filter(({ whole }) => whole).map(({ standing }) => ['cautious', 'usual', 'minimal'].indexOf(standing))
        expect(standings).toEqual(standings.toSorted((a, b) => a - b))
        if (fits.length > 0) some += 1
        else none += 1
      }),
      { numRuns: 250 },
    ) // prettier-ignore
    expect(some).toBeGreaterThan(60)
    expect(none).toBeGreaterThan(5)
    expect(tried).toBeGreaterThan(40)
  })
  it('takes a smaller batch before a thinner bath than the record has, and the least water before none', () => {
    const [all] = under({}).fits
    expect(all).toMatchObject({ way: 'blanch and drain', whole: true, mass_g: 2000 })
    // With less than the usual washing leaves the boil its water; below the least of both the batch shrinks.
    const tight = under({ water_mL: 14_000 }).fits[0]
    expect(tight).toMatchObject({ way: 'blanch and drain', whole: true })
    expect(tight?.drawn.water_mL).toBeLessThan(all?.drawn.water_mL ?? 0)
    const ratios = tight?.plan.steps.map(({ water_mL = 0, loads }) => (water_mL * (loads?.fillings ?? 1)) / 2000)
    expect(ratios?.[1]).toBeCloseTo(5, 2)
    const small = under({ water_mL: 6000 }).fits[0]
    expect(small?.whole).toBe(false)
    expect(small?.mass_g).toBeGreaterThan(700)
    expect(told({ water_mL: 300 })).toEqual([])
    expect(told({ time_min: 1 })).toEqual([])
    expect(under({ water_mL: 300 }, { mass_g: 40 }).fits.every(({ whole }) => whole)).toBe(true)
  })
  it('says what all of it would take, of what is short alone, and why a way is shut whatever there is', () => {
    const says = (...asked: Parameters<typeof under>) => under(...asked).missing.map(({ way, says: why }) => `${way}: ${why}`) // prettier-ignore
    expect(says({})).toEqual([])
    expect(says({ water_mL: 6000 })[0]).toBe('blanch and drain: For all of 2,000 g: 13.2 L of water, and there is 6 L.')
    expect(says({ time_min: 45 })[1]).toMatch(
      /^cooked in the dish: For all of 2,000 g: \d+ min, and there is 45 min\.$/,
    )
    expect(says({ water_mL: 1000, fuel_kWh: 0.1, time_min: 10 })[0]).toMatch(
      /of water, and there is 1 L, \d\.\d\d kWh of fuel, and there is 0\.10 kWh and .* and there is 10 min\.$/,
    )
    // Elder berries are boiled at no such height.
    const elder = { taxon: 'Sambucus nigra', part: 'fruit', stage: 'ripe', kitchen: { elevation_m: 3800 } } as const
    expect(under({ water_mL: 50_000 }, elder).fits).toEqual([])
    expect(says({ water_mL: 50_000 }, elder)[0]).toMatch(/here, at 3,800 m/)
    expect(plansUnderShortage({ taxon: 'Urtica dioica', mass_g: 100, goal: 'eat' }, {}, CATALOGUE)).toEqual({ fits: [], missing: [] }) // prettier-ignore
    expect(plansUnderShortage({ ...NETTLE, taxon: 'Nothing' }, {}, CATALOGUE)).toEqual({ fits: [], missing: [] })
  })
  it('never offers what is contested, advised against or only keeps', () => {
    for (const { taxon, part, stage, goal } of CASES) {
      const { fits, missing } = plansUnderShortage({ taxon, part, stage, goal, mass_g: 300 }, {}, CATALOGUE)
      const use = CATALOGUE.taxa.find(({ scientificName }) => scientificName === taxon)?.uses.find((each) => each.part === part && each.stage === stage) // prettier-ignore
      for (const { way } of [...fits, ...missing]) {
        const school = use?.protocols.find(({ name }) => name === way)
        expect(['cautious', 'usual', 'minimal']).toContain(school?.standing)
        expect(school?.storeOnly).not.toBe(true)
      }
    }
  })
})
