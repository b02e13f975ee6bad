import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judge } from '../gates/judge'
import { boilingPoint } from '../heat/boil'
import { bringIn, household, load, Pen, BLANCH } from '../test/pen'
import { bringInKind, leachBaths, meetAll } from '../test/plants'
import { standInCrumb } from './standInTongue'
import { instrument, INSTRUMENTS, isSteady } from './instruments'
import { parseInstrumentLine } from './parseLine'
import { potTruth } from './potTruth'
import { standInReading, truthAt, type Truth } from './standIn'

const STILL: Truth = { from: 96, to: 96, over_s: 0, since_s: 0 }
const thermometer = instrument('thermometer')
const valuesOf = (truth: Truth, seed: number, seconds: number, kind = thermometer) =>
  Array.from({ length: seconds }, (_, second) => standInReading(kind, truth, second, seed))

describe('a stand-in instrument', () => {
  it('says the same again for the same seed, in its own steps, near the truth but for an offset that setting right takes away', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...INSTRUMENTS),
        fc.integer({ min: 1, max: 1e6 }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        (kind, seed, value) => {
          const truth = { ...STILL, from: value, to: value }
          const told = valuesOf(truth, seed, 40, kind)
          expect(valuesOf(truth, seed, 40, kind)).toEqual(told)
          const values = told.flatMap((each) => ('value' in each ? [each.value] : []))
          expect(values.length).toBeGreaterThan(8)
          for (const each of values)
            expect(Math.abs(each / kind.step - Math.round(each / kind.step))).toBeLessThan(1e-6)
          const mean = values.reduce((sum, each) => sum + each, 0) / values.length
          const slack = 3 * kind.noise_sd + kind.step
          expect(Math.abs(mean - value)).toBeLessThan(kind.offset + slack)
          // Set right against one thing, it is right for another.
          const other = valuesOf({ ...truth, from: value + 5, to: value + 5 }, seed, 40, kind).flatMap((each) =>
            'value' in each ? [each.value] : [],
          )
          const again = other.reduce((sum, each) => sum + each, 0) / other.length - (mean - value)
          expect(Math.abs(again - value - 5)).toBeLessThan(slack)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('loses its signal for some seconds now and then, follows a change behind its lag, and settles after it', () => {
    const lost = Array.from({ length: 60 }, (_, seed) => valuesOf(STILL, seed, 100))
      .flat()
      .filter((each) => 'lost' in each)
    expect(lost.length / 6000).toBeGreaterThan(0.03)
    expect(lost.length / 6000).toBeLessThan(0.07)
    const rising: Truth = { from: 80, to: 96, over_s: 60, since_s: 0 }
    expect([truthAt(rising, 0), truthAt(rising, 30), truthAt(rising, 90), truthAt(STILL, 5)]).toEqual([80, 88, 96, 96])
    const told = valuesOf(rising, 7, 100)
    const between = (from: number, to: number) =>
      told.slice(from, to).flatMap((each) => ('value' in each ? [each.value] : []))
    expect(isSteady(between(10, 20), thermometer)).toBe(false)
    expect(isSteady(between(80, 90), thermometer)).toBe(true)
    expect(isSteady([96, 96, 96], thermometer)).toBe(false)
    expect(() => instrument('nose')).toThrow('instrument: expected scale, thermometer')
  })
  it('finds in the pot what was noted of it', () => {
    const pen = bringIn(household(new Pen()))
    const truth = (id: Parameters<typeof potTruth>[0]) => potTruth(id, pen.lot(), pen.context, pen.now)
    expect([truth('thermometer').to, truth('scale').to, truth('ph').to]).toEqual([20, 900, 5.9])
    pen.write({ type: 'step-begun', lot: 'A', ...BLANCH, load: 1, mass_g: 900 })
    expect(truth('thermometer').to).toBeCloseTo(boilingPoint({ elevation_m: 1180 }).temp_C, 6)
    const done = load(bringIn(household(new Pen())), 900)
    expect(done.type).toBe('step-done')
    const cooked = bringIn(household(new Pen()))
    load(cooked, 900)
    expect(potTruth('scale', cooked.lot(), cooked.context, cooked.now).to).toBeLessThan(900)
    cooked.write({ type: 'ingredient-added', lot: 'A', what: 'salt', name: 'salt', mass_g: 90 })
    expect(potTruth('salinity', cooked.lot(), cooked.context, cooked.now).to).toBeCloseTo(9.09, 1)
  })
  it('meets no limit in a cook’s own book, whoever brings its reading', () => {
    const reading = {
      type: 'reading-taken',
      lot: 'A',
      what: 'ph',
      value: 3.5,
      instrument: 'stand-in pH meter',
      simulated: true,
    } as const
    const pen = bringIn(household(new Pen()))
    expect(pen.try(reading).proposal).toEqual({
      ok: false,
      field: 'instrument',
      message: 'A stand-in instrument measures nothing. Read a real one, and note it by hand.',
    })
    pen.force(reading)
    expect(pen.lot().readings).toEqual([])
    pen.write({ ...reading, simulated: undefined as never })
    expect(pen.lot().readings).toHaveLength(1)
    expect(judge('keep', pen.lot(), pen.context).state).toBe('ajar')
  })
  it('is set right in the book by what it was found to be off; what is far off is broken, and a stand-in counts nowhere else', () => {
    const found = { type: 'instrument-set-right', instrument: 'thermometer', offset: 0.7 } as const
    const pen = household(new Pen())
    pen.write(found)
    const { at } = pen.write({ ...found, offset: -0.4 })
    expect(pen.log.state.house.setRight).toEqual({ thermometer: { offset: -0.4, at } })
    expect(pen.try({ ...found, offset: 12 }).proposal).toEqual({
      ok: false,
      field: 'offset',
      message: 'The probe thermometer is off by 12 °C: that is not set right, it is broken. Read another.',
    })
    expect(pen.try({ ...found, simulated: true }).proposal).toMatchObject({ ok: false, field: 'instrument' })
    pen.force({ ...found, simulated: true })
    expect(pen.log.state.house.setRight.thermometer?.offset).toBe(-0.4)
  })
  it('for the tongue: nothing before a bath is poured off; the same lot tastes the same again, and less with each bath', () => {
    const pen = bringInKind(meetAll(household(new Pen())), 'acorns', 'A')
    expect(standInCrumb(pen.lot())).toBeUndefined()
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'cold baths', goal: 'flour' })
    const scores: number[] = []
    for (let bath = 0; bath < 24; bath += 1) {
      leachBaths(pen, 'A', { protocol: 'cold baths', step: 5, count: 1, minutes: 500, taste: null })
      const score = standInCrumb(pen.lot()) ?? NaN
      expect(standInCrumb(pen.lot())).toBe(score)
      scores.push(score)
    }
    const third = (from: number) => scores.slice(from, from + 8).reduce((sum, each) => sum + each, 0) / 8
    expect(third(0)).toBeGreaterThan(third(8) + 1)
    expect(third(16)).toBeLessThan(1)
    const crumb = {
      type: 'tasted',
      lot: 'A',
      taster: 'stand-in',
      bitter: 0,
      astringent: 0,
      crumb: true,
      accepts: false,
    } as const
    expect(pen.try({ ...crumb, alarm: null, simulated: true }).proposal).toMatchObject({ ok: false, field: 'taster' })
    pen.force({ ...crumb, alarm: null, simulated: true })
    expect(pen.lot().tastes).toEqual([])
  })
})

describe('a line of a device', () => {
  it.each([
    ['ST,GS,+  123.4 g', 'scale', 123.4],
    ['1.250 kg', 'scale', 1250],
    ['96,1 C', 'thermometer', 96.1],
    ['205.0 F', 'thermometer', 96.11],
    ['pH 4.02', 'ph', 4.02],
    ['-2.5 °C', 'thermometer', -2.5],
    ['12.3 %Brix', 'refractometer', 12.3],
    ['35 g/L', 'salinity', 3.5],
  ])('%s', (line, id, value) => {
    const read = parseInstrumentLine(line)
    expect(read?.kind.id).toBe(id)
    expect(read?.value).toBeCloseTo(value, 2)
  })
  it.each(['US,GS,+  123.4 g', 'ready', '42', 'SD 12 g', '12 ducks', ''])('says nothing in “%s”', (line) => {
    expect(parseInstrumentLine(line)).toBeUndefined()
  })
})
