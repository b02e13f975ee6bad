import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  formatCountdown,
  formatList,
  formatMass,
  formatMassRange,
  formatSpan,
  formatTemp,
  formatVolume,
} from './format'
import { addMonths, dayOf, formatDate, formatDay, isInstant, timeOf } from './instant'
import { readNumber } from './number'

describe('a number as a cook types it', () => {
  it.each([
    ['12,5', 12.5],
    ['12.5', 12.5],
    [' 1 240 ', 1240],
    ['1,240', 1240],
    ['1.240', 1240],
    ['1.240,5', 1240.5],
    ['1,240.5', 1240.5],
    ['0,125', 0.125],
    ['-19', -19],
    ['−18,5', -18.5],
    ['12,50', 12.5],
  ])('%s is read', (text, value) => expect(readNumber(text)).toBe(value))
  it.each(['', 'twelve', '12g', '1e3', '1,2,3', '--4', 'NaN', 'Infinity', '.'])('%s is not one', (text) =>
    expect(readNumber(text)).toBeUndefined(),
  )
  it('reads back what the screen writes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), (mass_g) => {
        expect(readNumber(formatMass(mass_g).replace(' g', ''))).toBe(mass_g)
      }),
    )
  })
})

describe('figures on screen', () => {
  it('carry their unit and no more digits than they deserve', () => {
    expect([formatMass(1240.4), formatVolume(5000), formatVolume(6720), formatVolume(350), formatTemp(96.049)]).toEqual(
      ['1,240 g', '5 L', '6.7 L', '350 mL', '96.0 °C'],
    )
    expect([89.6, 119.7, 239.6, 240.4].map(formatSpan)).toEqual(['1 h 30 min', '2 h', '4 h', '4 h'])
    expect([0.5, 2, 2.5, 15, 95, 720, 4320].map(formatSpan)).toEqual([
      '30 s',
      '2 min',
      '2 min 30 s',
      '15 min',
      '1 h 35 min',
      '12 h',
      '3 days',
    ])
    expect([formatCountdown(46), formatCountdown(-3), formatCountdown(120)]).toEqual(['0:46', '0:00', '2:00'])
    expect([600, 601, 3788, 5999, 35_999, 57_632, 172_800].map(formatCountdown)).toEqual(['10:00', '11 min', '64 min', '1 h 40', '10 h 00', '16 h', '2 d']) // prettier-ignore
    expect(formatMassRange({ low: 700, usual: 800, high: 900 })).toBe('about 800 g (700 to 900 g)')
    expect([formatList([]), formatList(['a']), formatList(['a', 'b', 'c'])]).toEqual(['', 'a', 'a, b and c'])
  })
})

describe('moments', () => {
  it('are told in the kitchen’s own time', () => {
    expect(timeOf('2027-05-16T23:30:00.000Z', 'Europe/Paris')).toBe('01:30')
    expect(dayOf('2027-05-16T23:30:00.000Z', 'Europe/Paris')).toBe('2027-05-17')
    expect(formatDay('2027-05-16T10:00:00.000Z', 'UTC', true)).toBe('Sun 16 May 2027')
    expect(['2027-06-14', '2027-06-14T23:59:00.000Z', '2020-01-01.1', 'x'].map(formatDate)).toEqual(['14 June 2027', '14 June 2027', '1 January 2020', 'x']) // prettier-ignore
  })
  it('move by calendar months, the last day standing for a missing one', () => {
    expect(addMonths('2027-01-31T09:00:00.000Z', 1)).toBe('2027-02-28T09:00:00.000Z')
    expect(addMonths('2026-09-12T09:00:00.000Z', 12)).toBe('2027-09-12T09:00:00.000Z')
  })
  it.each(['2027-05-16', '2027-02-30T00:00:00.000Z', '2027-05-16T14:05:00Z', 'yesterday'])(
    '%s is not an instant of the log',
    (text) => expect(isInstant(text)).toBe(false),
  )
})
