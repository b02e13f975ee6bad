import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { SEVERITIES } from '../flora/taxon'
import { CHARACTERS } from '../flora/vocabulary'
import { separationOf } from './separation'
import { clear, isHarmful, meetingsNeeded, seasonOf } from './clear'

const see = (observed: Record<string, string[]>, over = {}) =>
  clear({ taxon: 'Urtica dioica', observed, ...over }, CATALOGUE)
const FULL = {
  leafArrangement: ['opposite'],
  leafMargin: ['serrate'],
  leafSurface: ['stinging-hairs'],
  stemSection: ['square'],
  habit: ['erect'],
}
const FOOD = CATALOGUE.taxa.filter(
  ({ uses, neverFood }) => neverFood === undefined && uses.some(({ verdict }) => verdict !== 'never'),
)
const HARMFUL = CATALOGUE.taxa.filter(({ severity }) => severity === 'deadly' || severity === 'toxic')
const DANGER = CATALOGUE.taxa.filter(({ role }) => role === 'danger')

describe('clearing a plant', () => {
  it('opens on all key tells with every harmful double ruled out, and not before', () => {
    expect(see(FULL)).toMatchObject({ gate: 'open', contradictions: [], missing: [] })
    for (const left of Object.keys(FULL)) {
      const rest = Object.fromEntries(Object.entries(FULL).filter(([character]) => character !== left))
      // How it grows was seen with the claim: written down or not, it is one look.
      expect(see(rest)).toMatchObject(left === 'habit' ? { gate: 'open' } : { gate: 'ajar', missing: [left] })
    }
    expect(see(FULL, { encounters: 1 }).gate).toBe('ajar')
    expect(see(FULL, { encounters: 2, certain: true }).gate).toBe('open')
    expect(see(FULL, { certain: false }).gate).toBe('ajar')
  })
  it('counts sting of leaf and stem as one tell', () => {
    const mercury = see({ leafSurface: ['stinging-hairs'], stemSurface: ['stinging'] }).standing.find(
      ({ taxon }) => taxon === 'Mercurialis perennis',
    )
    expect(mercury).toMatchObject({ severity: 'toxic', needed: 2 })
    expect(mercury?.ruledOutBy).toHaveLength(1)
  })
  it('takes the missing sting for neutral, since stingless forms exist, and so lets the toxic double stand', () => {
    const stingless = see({ ...FULL, leafSurface: ['hairy-both'] })
    expect(stingless.contradictions).toEqual([])
    expect(stingless.standing.filter(isHarmful).map(({ taxon }) => taxon)).toContain('Mercurialis perennis')
    expect(stingless.gate).toBe('ajar')
  })
  it('lists the worst first, and asks next for what removes most danger, what is visible and what does not dig first', () => {
    const { standing, next } = see({}, { season: 'spring' })
    const order = standing.map(({ severity }) => SEVERITIES.indexOf(severity))
    expect(order).toEqual(order.toSorted((a, b) => a - b))
    expect(standing).toHaveLength(CATALOGUE.taxa.length - 1)
    expect(next[0]?.character).toBe('leafSurface')
    expect(next.at(-1)?.character).toBe('underground')
    expect(next.map(({ character }) => character)).not.toContain('flowerColour')
    expect(see({}, { season: 'summer' }).next.map(({ character }) => character)).toContain('flowerColour')
    expect(see({}, { notVisible: ['leafSurface'] }).next.map(({ character }) => character)).not.toContain('leafSurface')
    expect(see({}).next.map(({ character }) => character)).not.toContain('taste')
  })
  it('is closed by one contradiction', () => {
    expect(see({ ...FULL, leafArrangement: ['opposite', 'alternate'] })).toMatchObject({
      gate: 'closed',
      contradictions: [{ character: 'leafArrangement', observed: ['opposite', 'alternate'], expected: ['opposite'] }],
    })
    expect(() => clear({ taxon: 'Planta ignota', observed: {} }, CATALOGUE)).toThrow(
      'clear: expected a taxon of the catalogue, got Planta ignota',
    )
  })
  it('knows the seasons and how often a plant must be met', () => {
    expect(['2027-01-10', '2027-03-01', '2027-08-31', '2027-11-30', '2027-12-01'].map((day) => seasonOf(day))).toEqual([
      'winter',
      'spring',
      'summer',
      'autumn',
      'winter',
    ])
    expect(['2027-01-10', '2027-07-10'].map((day) => seasonOf(day, true))).toEqual(['summer', 'winter'])
    expect(CATALOGUE.taxa.map((taxon) => [taxon.scientificName, meetingsNeeded(taxon)])).toContainEqual([
      'Urtica dioica',
      2,
    ])
  })
})

describe('over the whole catalogue', () => {
  /** Everything an honest observer can see of one plant: one state of each character. */
  const honest = (taxon: (typeof CATALOGUE.taxa)[number]) =>
    fc.record(
      Object.fromEntries(
        Object.entries(taxon.characters).map(([character, states]) => [
          character,
          fc.constantFrom(...states).map((state) => [state]),
        ]),
      ),
    )
  it('full honest observations of a dangerous plant never open a food gate', () => {
    for (const danger of DANGER)
      fc.assert(
        fc.property(honest(danger), fc.constantFrom(...FOOD), (observed, food) => {
          expect(clear({ taxon: food.scientificName, observed }, CATALOGUE).gate).not.toBe('open')
        }),
        { numRuns: 40 },
      )
  })
  it('any honest and full observation of a food opens its gate: two sure tells part it from all that harms, one from what irritates', () => {
    for (const food of FOOD) {
      // Oaks are treated alike, and say so of each other.
      const treatedAlike = food.lookalikes.filter((double) => !isHarmful(double)).map((double) => double.scientificName)
      for (const other of CATALOGUE.taxa) {
        if (other === food || !isHarmful(other) || treatedAlike.includes(other.scientificName)) continue
        expect(separationOf(food, other).sure.length, `${food.scientificName} | ${other.scientificName}`)
          .toBeGreaterThanOrEqual(other.severity === 'irritant' ? 1 : 2) // prettier-ignore
      }
      fc.assert(
        fc.property(honest(food), (observed) => {
          const { gate, contradictions, missing } = clear({ taxon: food.scientificName, observed }, CATALOGUE)
          expect({ gate, contradictions, missing }).toEqual({ gate: 'open', contradictions: [], missing: [] })
        }),
        { numRuns: 10 },
      )
    }
  })
  it('one wrong answer about a listed double never opens the gate that it should shut', () => {
    const pairs = FOOD.flatMap((food) =>
      food.lookalikes.flatMap(({ scientificName }) => {
        const double = HARMFUL.find((each) => each.scientificName === scientificName)
        return double === undefined ? [] : [{ food, double }]
      }),
    )
    expect(pairs.length).toBeGreaterThan(200)
    for (const { food, double } of pairs)
      fc.assert(
        fc.property(honest(double), honest(food), fc.nat(), (truth, claim, which) => {
          const wrong = Object.keys(claim)[which % Object.keys(claim).length] ?? ''
          const observed = { ...truth, [wrong]: claim[wrong] ?? [] }
          expect(clear({ taxon: food.scientificName, observed }, CATALOGUE).gate, `${wrong}`).not.toBe('open')
        }),
        { numRuns: 20 },
      )
  })
  it('the typical plant opens its own gate: every food record has a set of states that clears it', () => {
    for (const food of FOOD) {
      const first = Object.fromEntries(
        Object.entries(food.characters).map(([character, states]) => [character, [states[0] ?? '']]),
      )
      expect(clear({ taxon: food.scientificName, observed: first }, CATALOGUE).gate, food.scientificName).toBe('open')
    }
  })
  it('a further contradiction never opens a gate, and order does not matter', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FOOD).chain((food) => fc.tuple(fc.constant(food), honest(food))),
        ([food, observed]) => {
          const open = clear({ taxon: food.scientificName, observed }, CATALOGUE)
          const reversed = clear(
            { taxon: food.scientificName, observed: Object.fromEntries(Object.entries(observed).toReversed()) },
            CATALOGUE,
          )
          expect({ ...reversed, standing: [], ruledOut: [], contradictions: [] }).toEqual({
            ...open,
            standing: [],
            ruledOut: [],
            contradictions: [],
          })
          const [character, states] = Object.entries(food.characters).find(([id]) => id === 'leafArrangement') ?? [
            'leafType',
            food.characters['leafType'] ?? [],
          ]
          const never = CHARACTERS[character]?.states.find((state) => !states.includes(state)) ?? ''
          const wrong = { ...observed, [character]: [never] }
          expect(clear({ taxon: food.scientificName, observed: wrong }, CATALOGUE).gate).toBe('closed')
        },
      ),
    )
  })
})
