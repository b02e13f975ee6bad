import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import { Pen } from '../test/pen'
import type { Figure } from './figure'
import { figuresOf, figureWords } from './figures'

const NETTLE = requireTaxon(CATALOGUE, 'Urtica dioica')
const DRY_SHARE = NETTLE.uses.flatMap(({ part, moisture }) => (part === 'leafy-top' && moisture ? [moisture] : [])).map(({ low, high }) => ({ low: 1 - high, high: 1 - low }))[0] // prettier-ignore
const iron: Figure = { what: 'iron', value: 4, unit: 'mg', per_g: 100, basis: 'fresh', source: 'one table' }

function told(...figures: readonly Partial<Figure>[]) {
  const pen = new Pen()
  for (const figure of figures)
    pen.write({ type: 'figure-noted', taxon: 'Urtica dioica', part: 'leafy-top', figure: { ...iron, ...figure } })
  return figuresOf(NETTLE, 'leafy-top', pen.log.state.house)
}
const doubts = (...figures: readonly Partial<Figure>[]) =>
  told(...figures).flatMap(({ each }) => each.map(({ figure, doubts: why }) => [figure.source, why.join('; ')]))

describe('figures that do not agree', () => {
  it('come to one unit on one basis, whatever measure their source takes', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 20, noNaN: true }), (grams) => {
        const same: readonly Partial<Figure>[] = [
          { value: grams, unit: 'g', source: 'a' },
          { value: grams * 1000, unit: 'mg', source: 'b' },
          { value: grams * 1e6, unit: 'ug', source: 'c' },
          { value: grams * 4.536, unit: 'g', per_g: 453.6, source: 'd' },
          { value: grams, unit: 'percent', per_g: 1000, source: 'e' },
        ]
        const [of] = told(...same)
        expect(of?.sources).toBe(5)
        for (const { low, high } of of?.each ?? []) {
          expect(low).toBeCloseTo(grams, 9)
          expect(high).toBe(low)
        }
        const [dry] = told({ value: grams, unit: 'g', basis: 'dry' })
        expect(dry?.between?.low).toBeCloseTo(grams * (DRY_SHARE?.low ?? NaN), 9)
        expect(dry?.between?.high).toBeCloseTo(grams * (DRY_SHARE?.high ?? NaN), 9)
      }),
      { numRuns: 30 },
    )
    expect(told({ what: 'energy', unit: 'kJ', value: 418.4 })[0]?.between?.high).toBeCloseTo(100, 9)
  })
  it('are left out of the range where they exceed the whole, alone or together, and are never put right', () => {
    expect(doubts({ what: 'protein', unit: 'g', value: 120 })).toEqual([['one table', 'more of it than the whole weighs']]) // prettier-ignore
    expect(doubts({ what: 'energy', unit: 'kcal', value: 950 })).toEqual([['one table', 'more energy than pure fat holds']]) // prettier-ignore
    expect(doubts({ what: 'energy', unit: 'kcal', value: 900 })).toEqual([['one table', '']])
    const parts = [
      { what: 'water', unit: 'g', value: 80 },
      { what: 'protein', unit: 'g', value: 20 },
      { what: 'carbohydrate', unit: 'g', value: 30 },
    ] as const
    const over = doubts(...parts, { ...parts[1], source: 'another' })
    expect(over.filter(([, why]) => why === 'in this source water, protein and carbohydrate come to 130 g in 100 g')).toHaveLength(3) // prettier-ignore
    expect(over).toContainEqual(['another', ''])
    expect(told(...parts).every(({ between }) => between === undefined)).toBe(true)
    expect(doubts(...parts.slice(0, 2)).every(([, why]) => why === '')).toBe(true)
    const sugars = { what: 'sugars', unit: 'g', value: 8 } as const
    const carbohydrate = { what: 'carbohydrate', unit: 'g', value: 6 } as const
    expect(doubts(sugars, carbohydrate)).toEqual(Array(2).fill(['one table', 'in this source there is more sugar and starch than carbohydrate'])) // prettier-ignore
    expect(doubts(sugars, { ...carbohydrate, source: 'another' }).every(([, why]) => why === '')).toBe(true)
  })
  it('are told of one that is many times the others, which stays out of the range', () => {
    const [of] = told({ value: 4, source: 'a' }, { value: 5, source: 'b' }, { value: 45, source: 'c' })
    expect(of?.between).toEqual({ low: 0.004, high: 0.005 })
    expect(of?.sources).toBe(2)
    expect(of?.each.map(({ doubts: why }) => why.join())).toEqual([
      '',
      '',
      'about 9 times the middle of the 3 figures: a point or a unit may have slipped',
    ])
    // Of two nobody knows which is wrong.
    expect(doubts({ value: 4, source: 'a' }, { value: 40, source: 'b' })).toEqual([
      ['a', 'about one 10th of what the other source says: a point or a unit may have slipped'],
      ['b', 'about 10 times what the other source says: a point or a unit may have slipped'],
    ])
    const four = doubts(...[4, 4.4, 45, 48].map((value, index) => ({ value, source: `${index}` })))
    expect(four.filter(([, why]) => why !== '')).toHaveLength(2)
    expect(doubts({ value: 4, source: 'a' }, { value: 19, source: 'b' }).every(([, why]) => why === '')).toBe(true)
    expect(doubts({ value: 4 }, { value: 40 }).every(([, why]) => why === '')).toBe(true)
    expect(doubts({ value: 0, source: 'a' }, { value: 40, source: 'b' }).every(([, why]) => why === '')).toBe(true)
  })
  it('say what they do not say', () => {
    const [unsaid] = told({ value: 40, basis: 'unsaid' })
    expect(unsaid?.each[0]).toMatchObject({ high: 0.04, doubts: ['it does not say whether fresh or dry'] })
    expect(unsaid?.each[0]?.low).toBeCloseTo(0.04 * (DRY_SHARE?.low ?? NaN), 12)
    expect(unsaid?.between).toBeUndefined()
    const pen = new Pen()
    pen.write({ type: 'figure-noted', taxon: 'Urtica dioica', part: 'fruit', figure: { ...iron, basis: 'dry' } })
    expect(figuresOf(NETTLE, 'fruit', pen.log.state.house)[0]?.each[0]?.doubts[0]).toMatch(
      /not on record, so a dry figure/,
    )
    expect(figuresOf(NETTLE, 'leaf', pen.log.state.house)).toEqual([])
    const refused = (figure: Partial<Figure>, taxon = 'Urtica dioica') => {
      const { proposal } = new Pen().try({ type: 'figure-noted', taxon, part: 'leaf', figure: { ...iron, ...figure } })
      return proposal.ok ? 'taken' : proposal.field
    }
    expect([refused({ unit: 'kcal' }), refused({ what: 'energy' }), refused({ unit: 'percent', value: 101 }), refused({}, 'Nothing')]).toEqual(['unit', 'unit', 'value', 'taxon']) // prettier-ignore
    expect(refused({ what: 'energy', unit: 'kJ' })).toBe('taken')
  })
  it('are written to two digits and no finer', () => {
    const words = (what: Figure['what'], low: number, high = low) => figureWords(what, { low, high })
    expect(words('iron', 0.004123)).toBe('4.1 mg')
    expect(words('folate', 0.000194)).toBe('190 µg')
    expect(words('protein', 3.27, 5.11)).toBe('3.3 to 5.1 g')
    expect(words('energy', 43.9)).toBe('44 kcal')
    expect(words('iron', 0.00411, 0.00414)).toBe('4.1 mg')
  })
})
