import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { formatMass, formatTemp, formatVolume } from './format'
import { inKitchenUnits, numberText, readTyped, shownText, shownUnit } from './kitchenUnits'
import { readNumber } from './number'

const FIELDS = ['g', 'L', 'mL', 'cm', 'm above the sea', 'km', '°C'] as const
const field = fc.constantFrom(...FIELDS)

describe('what is typed into a field', () => {
  it.each([
    ['8 oz', 'g', 226.796185],
    ['1 lb 4 oz', 'g', 566.9904625],
    ['1½ lb', 'g', 680.388555],
    ['.5 lb', 'g', 226.796185],
    ['1 1/2 cups', 'mL', 354.88235475],
    ['¾ qt', 'L', 0.7097647095],
    ['16 fl. oz', 'mL', 473.176473],
    ['145.4 °F', '°C', 63],
    ['-10F', '°C', -23.3333333333],
    ['5′ 3″', 'm above the sea', 1.6002],
    ['5,000 ft', 'm', 1524],
    ['2,5 kg', 'g', 2500],
    ['1.250 kg', 'g', 1250],
    ['1,250 kg', 'g', 1250],
    ['1.500 L', 'mL', 1500],
    ['1,250 g', 'g', 1250],
  ])('%s for %s', (typed, unit, value) => {
    const read = readTyped(typed, unit, 'metric')
    expect([readNumber(read.stored), read.turned]).toEqual([value, true])
  })
  it.each([
    ['2 cups', 'g', '“cups” is a volume; here it is a weight that is asked for: g, kg, oz or lb.'],
    ['2 lb', '°C', '“lb” is a weight; here it is a temperature that is asked for: °C or °F.'],
    ['1 lb 2 cups', 'g', '“cups” is a volume; here it is a weight that is asked for: g, kg, oz or lb.'],
  ])('%s for %s is refused with what would do', (typed, unit, refused) =>
    expect(readTyped(typed, unit, 'kitchen')).toEqual({ stored: typed, turned: false, refused }),
  )
  it.each(['8 ozz', '1 2', '1.5.5 oz', 'oz', '1 lb -4 oz', '1.5 1/2 lb', '1/0 lb', ''])(
    '“%s” is left for the form to name',
    (typed) => expect(readTyped(typed, 'g', 'kitchen')).toEqual({ stored: typed, turned: false }),
  )
  it('keeps a bare metric number letter by letter, and what no kitchen unit stands for', () => {
    expect(readTyped('12,5', 'g', 'metric')).toEqual({ stored: '12,5', turned: false })
    expect([readTyped('3', 'days', 'kitchen').stored, shownUnit('days', 'kitchen')]).toEqual(['3', 'days'])
    expect(shownUnit('m above the sea', 'kitchen')).toBe('ft above the sea')
  })
  it('is shown again as it was typed: nothing drifts', () => {
    fc.assert(
      fc.property(field, fc.integer({ min: 0, max: 99_999 }), (unit, tenths) => {
        const typed = String(tenths / 10)
        expect(shownText(readTyped(typed, unit, 'kitchen').stored, unit, 'kitchen')).toBe(typed)
      }),
    )
  })
  it('shown, typed anew and shown again stands still from the first time on, near what was stored', () => {
    fc.assert(
      fc.property(field, fc.double({ min: 0.5, max: 5000, noNaN: true }), (unit, value) => {
        const shown = shownText(numberText(value), unit, 'kitchen')
        const again = readTyped(shown, unit, 'kitchen').stored
        expect(shownText(again, unit, 'kitchen')).toBe(shown)
        expect(Math.abs((readNumber(again) ?? NaN) - value)).toBeLessThan(unit === 'g' || unit === 'mL' ? 0.15 : 0.05)
      }),
    )
  })
  it('adds up: the parts of a lot typed in ounces are the lot', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4000 }), fc.integer({ min: 1, max: 4000 }), (kept, off) => {
        const grams = (tenths: number) => readNumber(readTyped(String(tenths / 10), 'g', 'kitchen').stored) ?? NaN
        expect(Math.abs(grams(kept) + grams(off) - grams(kept + off))).toBeLessThan(1e-6)
      }),
    )
  })
  it('goes through text unharmed, also where it has three places or is tiny', () => {
    expect([numberText(1.524), numberText(1e-7), numberText(1524)]).toEqual(['1.5240', '0.0000001', '1524'])
    fc.assert(
      fc.property(fc.double({ min: 1e-6, max: 1e6, noNaN: true }), (value) => {
        expect(readNumber(numberText(value))).toBeCloseTo(value, 12)
      }),
    )
  })
})

describe('a sentence in kitchen units', () => {
  it.each([
    ['Bring 5 L to the boil.', 'Bring 5¼ qt to the boil.'],
    ['about 800 g (700 to 900 g)', 'about 1 lb 12.2 oz (24.7 to 31.7 oz)'],
    ['about 3 kg (400 to 4,540 g)', 'about 6 lb 9.8 oz (14.1 oz to 10 lb)'],
    ['453.6 g of 1,240 g', '1 lb of 2 lb 11.7 oz'],
    ['2 × 250 g, 1.2 L, 200 mL, 50 mL', '2 × 8.82 oz, 5 cups, 6¾ fl oz, 1.69 fl oz'],
    ['At −18 °C; from 96.1 °C, between 4 and 6 °C', 'At −0.4 °F; from 205 °F, between 39.2 and 42.8 °F'],
    ['Done at 4 °C above the boiling point', 'Done at 7.2 °F above the boiling point'],
    ['it may be off by 0.9\u00a0°C: it shows 0.5 °C too little', 'it may be off by 1.6 °F: it shows 0.9 °F too little'],
    ['Blanching: 400 of 500 g are done.', 'Blanching: 14.1 of 17.6 oz are done.'],
    ['pieces of 3 to 6 mm, 8–10 cm long, seed 1 mm', 'pieces of ⅛ to ¼ in, 3¼–4 in long, seed 0.04 in'],
    ['15 to 60 cm, 2 m, 50 m, 2,600 m', '6 to 23½ in, 6.6 ft, 164 ft, 8,530 ft'],
    ['wind 30 km/h, 7 mm rain, 10 km', 'wind 19 mph, 0.28 in rain, 6.2 mi'],
    ['lot 12 and 500 g', 'lot 12 and 1 lb 1.6 oz'],
  ])('%s', (metric, kitchen) => expect(inKitchenUnits(metric)).toBe(kitchen))
  it.each(['30 mg/kg', '5 g/100 g', '50 m²', '12 min', 'lot 6-001', 'a pH of 4.2', '3 grams', '2 mL_min'])(
    '%s stays as it is',
    (text) => expect(inKitchenUnits(text)).toBe(text),
  )
  it('says what the metric one says, to a part in thirty, and is said in one step', () => {
    const ways = [
      [formatMass, 'g'],
      [formatVolume, 'mL'],
      [formatTemp, '°C'],
    ] as const
    fc.assert(
      fc.property(fc.constantFrom(...ways), fc.integer({ min: 40, max: 99_999 }), ([format, unit], value) => {
        const kitchen = inKitchenUnits(format(value))
        const read = readNumber(readTyped(kitchen, unit, 'metric').stored) ?? NaN
        expect(Math.abs(read - value) / value).toBeLessThan(1 / 30)
        expect(inKitchenUnits(kitchen)).toBe(kitchen)
      }),
    )
  })
  it('a limit in whole degrees loses nothing by it', () => {
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 130 }), (limit_C) => {
        const kitchen = inKitchenUnits(formatTemp(limit_C))
        expect(readNumber(readTyped(kitchen, '°C', 'metric').stored)).toBe(limit_C)
      }),
    )
  })
  it('leaves no metric figure in any sentence of the catalogue', () => {
    const sentences = JSON.stringify(CATALOGUE).split(/(?<=[.;"])\s/)
    const left = sentences.map(inKitchenUnits).filter((each) => /\d (?:g|kg|mL|L|°C|cm|mm|m|km)\b(?!\/)/.test(each))
    expect(left).toEqual([])
  })
})
