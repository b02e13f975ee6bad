import fc from 'fast-check'
import { EigenvalueDecomposition, Matrix } from 'ml-matrix'
import { describe, expect, it } from 'vitest'
import { requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import type { Taxon } from '../flora/taxon'
import { growthRate, largestTake, lifeTableOf, projectStand, safeTake } from './projection'
import { growthForm } from './removal'
import { fairShare, SHARE_SCHOOLS, type ShareInput, type Standing } from './share'
import { estimateStand } from './standEstimate'
import { startsFrom } from './starts'
import { START } from '../test/pen'

const STANDINGS: readonly Standing[] = ['often-invasive', 'abundant', 'common', 'uncommon', 'at-risk', 'protected']
const PARTS = [
  'leaf',
  'leafy-top',
  'shoot',
  'flower',
  'fruit',
  'seed',
  'bark',
  'sap',
  'root',
  'rhizome',
  'bulb',
] as const
const foods = CATALOGUE.taxa.filter(({ uses }) => uses.length > 0)

const stands = fc.oneof(
  fc.record({ plants: fc.nat(5000) }),
  fc.record({
    area_m2: fc.integer({ min: 4, max: 2000 }),
    counts: fc.array(fc.nat(60), { minLength: 1, maxLength: 12 }),
    quadrat_m2: fc.constantFrom(0.25, 1, 4),
  }),
)
const asked: fc.Arbitrary<ShareInput> = fc.record({
  taxon: fc.constantFrom(...foods),
  part: fc.constantFrom(...PARTS),
  stand: stands,
  standing: fc.constantFrom(...STANDINGS),
  othersPick: fc.boolean(),
  clone: fc.boolean(),
  wildlifeOn: fc.nat(40),
  school: fc.constantFrom(...SHARE_SCHOOLS),
})
const harm = (input: ShareInput) => fairShare(input).plantEquivalents
/** The school left to the record. */
const bySchoolOfRecord = (input: ShareInput): ShareInput => {
  const { taxon, part, stand, standing, othersPick, clone, wildlifeOn } = input
  return { taxon, part, stand, othersPick, clone, wildlifeOn, ...(standing === undefined ? {} : { standing }) }
}
const both = (input: ShareInput) => [input, bySchoolOfRecord(input)]

describe('what a length gives to be grown on', () => {
  it('never more pieces than it is long, all together no longer than it, none of a plague or of what is protected', () => {
    const length = fc.double({ min: 0.5, max: 300, noNaN: true })
    fc.assert(
      fc.property(
        fc.constantFrom(...CATALOGUE.taxa),
        length,
        length,
        fc.integer({ min: 1, max: 3 }),
        (taxon, ...of) => {
          const [length_cm, joint_cm, jointsAPiece] = of
          const starts = startsFrom(taxon, { length_cm, joint_cm, jointsAPiece }, START)
          const blocked = taxon.standing === 'often-invasive' || taxon.standing === 'protected'
          expect('refused' in starts).toBe(blocked)
          if ('refused' in starts) return
          expect(starts.pieces * starts.piece_cm).toBeLessThanOrEqual(length_cm * 1.000001)
          expect((starts.pieces + 1) * starts.piece_cm + joint_cm).toBeGreaterThan(length_cm)
          expect(starts.careDays.map(({ on }) => on)).toEqual(starts.careDays.map(({ on }) => on).toSorted())
        },
      ),
    )
    const nettle = { ...requireTaxon(CATALOGUE, 'Urtica dioica'), standing: 'common' as const }
    expect(startsFrom(nettle, { length_cm: 60, joint_cm: 5, jointsAPiece: 2 }, START)).toMatchObject({
      pieces: 6,
      piece_cm: 10,
    })
  })
})

describe('a fair take', () => {
  it('is never more harm in whole plants than in leaves, in rarer plants, or where others pick; and none of a protected one', () => {
    fc.assert(
      fc.property(asked, fc.nat(STANDINGS.length - 1), (input, rarer) => {
        for (const each of both(input)) {
          expect(harm({ ...each, part: 'bulb' })).toBeLessThanOrEqual(harm({ ...each, part: 'leaf' }))
          const rank = Math.max(rarer, STANDINGS.indexOf(input.standing ?? 'common'))
          expect(harm({ ...each, standing: STANDINGS[rank] as Standing })).toBeLessThanOrEqual(harm(each))
          expect(harm({ ...each, othersPick: true })).toBeLessThanOrEqual(harm({ ...each, othersPick: false }))
          expect(harm({ ...each, standing: 'protected' })).toBe(0)
          const { pieces, schools, reasons, plantEquivalents } = fairShare(each)
          expect([...schools.map((school) => school.pieces), pieces].every(Number.isSafeInteger)).toBe(true)
          expect(reasons.length).toBeGreaterThan(0)
          expect(plantEquivalents >= 0 && plantEquivalents <= estimateOf(each)).toBe(true)
        }
      }),
      { numRuns: 800 },
    )
  })
  it('grows with the stand, and shrinks with the guests on it', () => {
    fc.assert(
      fc.property(asked, fc.nat(2000), fc.nat(50), (input, plants, more) => {
        const at = (stand: { plants: number }, wildlifeOn = 0) => fairShare({ ...input, stand, wildlifeOn }).pieces
        expect(at({ plants: plants + more })).toBeGreaterThanOrEqual(at({ plants }))
        expect(at({ plants }, more)).toBeLessThanOrEqual(at({ plants }))
      }),
      { numRuns: 500 },
    )
  })
  it('leaves a slow bulb in the ground, a clone alone, and gives a plague no ceiling', () => {
    const ramsons = foods.find(({ scientificName }) => scientificName === 'Allium ursinum') as Taxon
    const ask = (over: Partial<ShareInput>) =>
      fairShare({
        taxon: ramsons,
        part: 'leaf',
        stand: { plants: 400 },
        othersPick: false,
        clone: false,
        wildlifeOn: 0,
        ...over,
      })
    expect(ask({}).pieces).toBe(120)
    expect(ask({}).perPlant).toBe(1)
    const slow = ask({ part: 'bulb' })
    expect(slow.pieces).toBe(3)
    expect(slow.reasons.map(({ rule }) => rule)).toContain('life-history')
    expect(ask({ part: 'bulb', clone: true }).text).toBe('It may be all one plant: none of it is dug.')
    expect(ask({ part: 'bulb', clone: true, standing: 'often-invasive' }).pieces).toBe(400)
    expect(() => ask({ school: 'as I like' })).toThrow(/expected a school/)
  })
})

function estimateOf({ stand }: ShareInput): number {
  return 'pieces' in stand ? stand.pieces : estimateStand(stand).low
}

describe('a stand told from quadrats', () => {
  it('is counted exactly when it was counted, and its range holds the truth nine times of ten', () => {
    expect(estimateStand({ plants: 12 })).toEqual({ plants: 12, low: 12, high: 12, counted: true })
    expect(estimateStand({ area_m2: 40, counts: [5, 7, 4], quadrat_m2: 1 })).toEqual({
      plants: 213,
      low: 57,
      high: 370,
      counted: false,
    })
    let seed = 7
    const random = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647
    const poisson = (mean: number) => {
      const left = Math.exp(-mean)
      let count = 0
      for (let product = random(); product > left; product *= random()) count += 1
      return count
    }
    const trials = 2000
    const hits = Array.from({ length: trials }, () => {
      const counts = Array.from({ length: 8 }, () => poisson(6))
      const { low, high } = estimateStand({ area_m2: 100, counts, quadrat_m2: 1 })
      return low <= 600 && 600 <= high
    }).filter(Boolean).length
    expect(hits / trials).toBeGreaterThan(0.88)
  })
})

describe('a stand over thirty years', () => {
  const bulb = lifeTableOf({ lifeForm: 'bulb-geophyte', yearsToMaturity: 7, standing: 'common' })
  it('grows by the dominant eigenvalue of its life table, as a library finds it', () => {
    for (const taxon of foods)
      for (const take of [0, 0.02, 0.1, 0.4]) {
        const table = lifeTableOf(taxon)
        const rates = table.rates.map((row) =>
          row.map((rate, from) => rate * (table.taken.includes(from) ? 1 - take : 1)),
        )
        const { realEigenvalues } = new EigenvalueDecomposition(new Matrix(rates))
        expect(Math.abs(growthRate(table, take) - Math.max(...realEigenvalues)), taxon.scientificName).toBeLessThan(
          1e-9,
        )
      }
  })
  it('of a slow woodland bulb bears a few plants in a hundred a year, as published', () => {
    expect(growthRate(bulb)).toBeCloseTo(1.0339, 4)
    expect([0.02, 0.03, 0.05, 0.1].map((take) => growthRate(bulb, take).toFixed(4))).toEqual([
      '1.0174',
      '1.0092',
      '0.9928',
      '0.9521',
    ])
    expect(largestTake(bulb)).toBeCloseTo(0.041, 3)
    expect(safeTake(bulb)).toBeGreaterThan(0.005)
    expect(safeTake(bulb)).toBeLessThan(largestTake(bulb) / 2)
    const futures = [0, 0.02, 0.05, 0.1].map((take) => projectStand(bulb, take))
    const near = [2.4, 1.5, 0.72, 0.2]
    futures.forEach(({ years }, index) => expect((years[30]?.middle ?? 0) / (near[index] ?? 1)).toBeCloseTo(1, 0.7))
    expect(futures.map(({ halved }) => Math.round(100 * halved))).toEqual([0, 2, 25, 92])
  })
  it('shrinks the more the more is taken, and never grows for a plant that takes longer to flower', () => {
    for (const taxon of foods.filter((_, index) => index % 5 === 0)) {
      const table = lifeTableOf(taxon)
      const middles = [0, 0.05, 0.2, 0.5].map((take) => projectStand(table, take).years.at(-1)?.middle ?? 0)
      expect(middles.toSorted((a, b) => b - a)).toEqual(middles)
      expect(safeTake(table)).toBeLessThanOrEqual(largestTake(table) + 1e-3)
      if (growthForm(taxon) === 'tree' && taxon.standing !== 'often-invasive') expect(safeTake(table)).toBeLessThan(0.1)
    }
  })
})
