import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { requireTaxon, usesOf } from '../flora/catalogue'
import type { TasteFact } from '../lot/lotState'
import { bringInKind, leachBaths, meetAll, tasteOf } from '../test/plants'
import { household, Pen } from '../test/pen'
import { judge } from '../gates/judge'
import { meanScore } from './forecast'
import { blendShare, harshness, notesOf, PALATE_NOTES, palateAdvice } from './palate'

const [greens] = usesOf(requireTaxon(CATALOGUE, 'Taraxacum officinale'), 'leaf', 'young')
const TASTE: TasteFact = {
  at: '2027-05-16T08:00:00.000Z',
  taster: 'ann',
  bitter: 0,
  astringent: 0,
  crumb: false,
  accepts: false,
  alarm: null,
}
const advise = (over: Partial<TasteFact>) => {
  if (greens === undefined) throw new RangeError('expected dandelion leaves on record')
  const boiled = greens.protocols.find(({ steps }) => steps.some(({ op }) => op === 'boil' || op === 'blanch'))
  return palateAdvice({ ...TASTE, ...over }, greens, boiled)
}

describe('what a tongue tells', () => {
  it('is every note, what lingers counted where it was worse, and the worst of it decides', () => {
    expect(notesOf({ ...TASTE, bitter: 3, aftertaste: 6, notes: { salt: 2 } })).toEqual({
      bitter: 6,
      astringent: 0,
      acrid: 0,
      sour: 0,
      salt: 2,
      sweet: 0,
      resin: 0,
    })
    expect(notesOf({ ...TASTE, astringent: 4, bitter: 1, aftertaste: 2 })).toMatchObject({ bitter: 1, astringent: 4 })
    expect(harshness({ bitter: 2, astringent: 1, aftertaste: 5 })).toBe(5)
    expect(harshness({ bitter: 2, astringent: 4 })).toBe(4)
  })
  it('is advised on from four up, the worst first; water before covering; pricking is cooked and never covered alone', () => {
    expect(advise({ bitter: 3, astringent: 3 })).toEqual([])
    const bitter = advise({ bitter: 6, notes: { salt: 5 } })
    expect(bitter.map(({ note, kind }) => `${note} ${kind}`)).toEqual([
      'bitter water',
      'bitter blend',
      'bitter cover',
      'salt water',
      'salt blend',
      'salt cover',
    ])
    expect(bitter[1]?.text).toContain('17 g of this in every 100 g')
    expect(advise({ notes: { acrid: 5 } }).map(({ kind }) => kind)).toEqual(['cook', 'cover'])
    const acorns = usesOf(requireTaxon(CATALOGUE, 'Quercus robur'), 'nut', 'ripe')[0]
    const soured =
      acorns === undefined ? [] : palateAdvice({ ...TASTE, notes: { sour: 5 } }, acorns, acorns.protocols[0])
    expect(soured.map(({ kind, text }) => [kind, text.slice(0, 14)])).toEqual([['compost', 'What lay in wa']])
    expect(
      advise({ notes: { sour: 5 } })
        .map(({ text }) => text)
        .join(' '),
    ).toContain('else it has turned')
    expect(advise({ notes: { sweet: 6 } })).toEqual([])
    expect(advise({ bitter: 9 }).at(-1)?.kind).toBe('compost')
    for (const note of PALATE_NOTES)
      for (const each of advise(
        note === 'bitter' || note === 'astringent' ? { [note]: 8 } : { notes: { [note]: 8 } },
      )) {
        expect(each.note).toBe(note)
        expect(each.text).toMatch(/\.$/)
      }
  })
  it('is brought down by blending to what was wanted, by the same response as the forecast’s', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 9.8, noNaN: true }),
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        (score, wanted) => {
          const share = blendShare(score, wanted)
          expect(share).toBeGreaterThan(0)
          expect(share).toBeLessThanOrEqual(1)
          const x = score / (10 - score)
          expect(meanScore(share * x)).toBeCloseTo(Math.min(score, wanted), 6)
        },
      ),
    )
    expect(blendShare(10, 2)).toBeGreaterThan(0)
  })
  it('ends no leach while what lingers is too much', () => {
    const pen = bringInKind(meetAll(household(new Pen())), 'acorns', 'A')
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'cold baths', goal: 'flour' })
    leachBaths(pen, 'A', { protocol: 'cold baths', step: 5, count: 6, minutes: 480, taste: null })
    tasteOf(pen, 'A', { crumb: true, accepts: false, astringent: 1, aftertaste: 4 })
    expect(judge('makeSafe', pen.lot(), pen.context).reasons).toContain(
      'Leaching: after 6 baths it still tastes 4 of 10. Another bath.',
    )
  })
})
