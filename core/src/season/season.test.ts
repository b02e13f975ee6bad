import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { requireTaxon } from '../flora/catalogue'
import { chance, normals } from '../quantity/chance'
import { degreeDays, usualTemps, type DayTemps, type Weather } from './climate'
import { dayNumber, dayOfNumber, dayOfYear, isDay, type Day } from './day'
import { estimateOffsets } from './offsets'
import { season, type SeasonInput, type SeasonPatch, type Sighting } from './season'
import { ROUND_THE_KITCHEN } from './ofBook'
import { EMPTY_LOG } from '../log/fold'
import { household, Pen } from '../test/pen'
import { shortWindows } from './shortWindows'
import { readWeather } from './station'
import { bookWindow, yearAt } from './window'

const LOW: SeasonPatch = { id: 'low', latitude_deg: 50, elevation_m: 50 }
const HIGH: SeasonPatch = { id: 'high', latitude_deg: 50, elevation_m: 500 }
const NORTH: SeasonPatch = { id: 'north', latitude_deg: 60, elevation_m: 50 }
const SOUTH: SeasonPatch = { id: 'south', latitude_deg: -50, elevation_m: 50 }
const PATCHES = [LOW, HIGH, NORTH, SOUTH]
const nettle = requireTaxon(CATALOGUE, 'Urtica dioica')
const [tops] = nettle.uses
if (tops === undefined) throw new RangeError('no nettle tops')

const ask = (today: Day, over: Partial<SeasonInput> = {}) =>
  season({
    catalogue: CATALOGUE,
    patches: PATCHES,
    rows: [{ taxon: 'Urtica dioica', patch: 'low' }],
    sightings: [],
    today,
    ...over,
  })
const windowAt = (site: SeasonPatch, day: Day) => {
  const window = bookWindow(nettle, tops, site, yearAt(day, site))
  if (window === undefined) throw new RangeError('no window')
  return window
}

describe('degree-days', () => {
  it('are those of the single sine', () => {
    const cases: readonly (readonly [number, number, number])[] = [
      [1, 13, 3.017],
      [-2, 9, 1.066],
      [6, 18, 7],
      [-4, 4, 0],
    ]
    for (const [min_C, max_C, sum] of cases) expect(degreeDays({ min_C, max_C }, 5)).toBeCloseTo(sum, 3)
  })
})

describe('weather out of a table', () => {
  const head = ['Date', 'rain', 'TMIN', 'tmax']
  const good = ['2027-01-01', '1,5', '-2', '4']
  it('is read in any order of columns, and gaps are counted', () => {
    const read = readWeather([head, ['2027-01-04', '', '−1,5', '3'], good, ['2027-01-02', '', '', '']])
    expect(read).toEqual({
      ok: true,
      missing: 2,
      days: [
        { day: '2027-01-01', min_C: -2, max_C: 4, rain_mm: 1.5 },
        { day: '2027-01-04', min_C: -1.5, max_C: 3 },
      ],
    })
  })
  it('is all taken or nothing, and the first row at fault is named', () => {
    const faults: readonly (readonly [readonly (readonly string[])[], RegExp])[] = [
      [[], /columns day, min_C and max_C; day is not there/],
      [[['day', 'min']], /max_C is not there/],
      [[head], /There is no day in it/],
      [[head, good, ['2027-13-01', '', '1', '2']], /Row 3: the day must be like 2027-05-16, not “2027-13-01”/],
      [[head, good, good], /Row 3: 2027-01-01 is there twice/],
      [[head, ['2027-01-01', '', 'cold', '2']], /Row 2: min_C must be a number from −60 to 60 °C, not “cold”/],
      [[head, ['2027-01-01', '', '1', '99']], /Row 2: max_C must be a number/],
      [[head, ['2027-01-01', '', '9', '2']], /Row 2: the least, 9 °C, is more than the most, 2 °C/],
    ]
    for (const [table, says] of faults) {
      const read = readWeather(table)
      expect(read.ok).toBe(false)
      if (!read.ok) expect(read.message).toMatch(says)
      if (!read.ok) expect(read.message).toContain('Nothing was taken.')
    }
  })
})

describe('days', () => {
  it('know leap years and are no moments', () => {
    expect([dayOfYear('2028-03-01'), dayOfYear('2027-03-01')]).toEqual([61, 60])
    expect([isDay('2028-02-29'), isDay('2027-02-29'), isDay('2027-3-1'), isDay('soon')]).toEqual([
      true,
      false,
      false,
      false,
    ])
    expect(dayOfNumber(dayNumber('2027-03-28') + 1)).toBe('2027-03-29')
  })
})

describe('a window of the book', () => {
  it('holds where the record does, and comes later up the hill and to the north', () => {
    const low = windowAt(LOW, '2027-05-01')
    expect(dayOfNumber(Math.round(low.from)).slice(5)).toBe(tops.window?.from)
    expect(dayOfNumber(Math.round(low.to)).slice(5)).toBe(tops.window?.to)
    const up = windowAt(HIGH, '2027-05-01').from - low.from
    expect(up).toBeGreaterThan(9)
    expect(up).toBeLessThan(24)
    expect(windowAt(NORTH, '2027-05-01').from - low.from).toBeGreaterThan(20)
  })
  it('falls half a year later in the south, and a leap day moves it by no more than a day', () => {
    const south = windowAt(SOUTH, '2027-10-01').from - windowAt(LOW, '2027-05-01').from
    expect(Math.abs(south - 182)).toBeLessThan(4)
    const [plain, leap] = (['2027', '2028'] as const).map(
      (year) => windowAt(LOW, `${year}-05-01`).from - dayNumber(`${year}-01-01`),
    )
    expect(Math.abs((plain ?? 0) - (leap ?? 0))).toBeLessThan(1)
  })
  it('stays open over the new year where it crosses it', () => {
    const crossing = CATALOGUE.taxa
      .flatMap((taxon) => taxon.uses.map((use) => ({ taxon, use })))
      .filter(({ use }) => use.verdict !== 'never' && use.window !== undefined && use.window.to < use.window.from)
    expect(crossing.length).toBeGreaterThan(3)
    for (const { taxon, use } of crossing) {
      const state = (today: Day) =>
        ask(today, { rows: [{ taxon: taxon.scientificName, patch: 'low' }] }).rows.find((row) => row.use === use)?.state
      const open = ['ready', 'best', 'nearly-past']
      expect(
        [open.includes(state('2027-12-31') ?? ''), open.includes(state('2028-01-01') ?? '')],
        taxon.scientificName,
      ).toEqual([true, true])
    }
  })
  it('is told for every use of the catalogue at every place, in order', () => {
    const rows = CATALOGUE.taxa.flatMap(({ scientificName }) =>
      PATCHES.map(({ id }) => ({ taxon: scientificName, patch: id })),
    )
    for (const today of ['2028-02-29', '2027-03-28', '2027-08-15', '2027-12-31'] as const) {
      const told = ask(today, { rows }).rows
      expect(told.length).toBeGreaterThan(700)
      for (const { from, to, in_days, range_days, state, taxon } of told) {
        expect(from <= to, `${taxon.scientificName} ${from} ${to}`).toBe(true)
        expect(isDay(from) && isDay(to) && Number.isFinite(in_days)).toBe(true)
        expect(range_days[0] <= in_days && in_days <= range_days[1]).toBe(true)
        if (state === 'not-yet') expect(in_days).toBeGreaterThanOrEqual(0)
      }
    }
  })
})

describe('the state of a window', () => {
  it('goes from not yet through best to past, and comes again after cutting', () => {
    const states = Array.from(
      { length: 200 },
      (_, day) => ask(dayOfNumber(dayNumber('2027-02-01') + day)).rows.find(({ use }) => use === tops)?.state,
    )
    expect([...new Set(states)]).toEqual(['not-yet', 'ready', 'best', 'nearly-past', 'past'])
    const cut = { cuts: [{ taxon: 'Urtica dioica', patch: 'low', day: '2027-05-01' }] }
    const july = ask('2027-07-01', cut).rows.find(({ use }) => use === tops)
    expect(july?.state).toBe('second-growth')
    expect(ask('2027-07-01').rows.find(({ use }) => use === tops)?.state).toBe('past')
  })
  it('warns of short windows at patches alone, before they open and until they close, the nearest first', () => {
    const rows = CATALOGUE.taxa.flatMap(({ scientificName: taxon }) =>
      [LOW.id, HIGH.id, ROUND_THE_KITCHEN].map((patch) => ({ taxon, patch })),
    )
    const patches = [LOW, HIGH, { ...LOW, id: ROUND_THE_KITCHEN }]
    let warned = 0
    let before = new Set<string>()
    for (let day = dayNumber('2027-04-01'); day < dayNumber('2027-07-20'); day += 1) {
      const told = season({ catalogue: CATALOGUE, patches, rows, sightings: [], today: dayOfNumber(day) }).rows
      const windows = shortWindows(told, { book: EMPTY_LOG.state, catalogue: CATALOGUE, now: `${dayOfNumber(day)}T12:00:00.000Z` }) // prettier-ignore
      for (const { row, what, in_days } of windows) {
        expect(row.narrow && row.patch !== ROUND_THE_KITCHEN).toBe(true)
        if (what === 'opens') expect(in_days).toBeLessThanOrEqual(10)
        expect(what === 'opens').toBe(row.state === 'not-yet')
      }
      expect(windows.map(({ in_days }) => in_days)).toEqual(
        windows.map(({ in_days }) => in_days).toSorted((a, b) => a - b),
      )
      const name = ({ taxon, use, patch }: (typeof told)[number]) =>
        [taxon.scientificName, use.part, use.stage, use.called, patch].join()
      // No short window is open at a patch without having been told of while it was still to come.
      const open = told.filter((row) => row.narrow && row.patch !== ROUND_THE_KITCHEN && row.state === 'ready')
      if (day > dayNumber('2027-04-20')) for (const row of open) expect(before, name(row)).toContain(name(row))
      before = new Set([...before, ...windows.map(({ row }) => name(row))])
      warned += windows.length
    }
    expect(warned).toBeGreaterThan(100)
  })
  it('warns of no window where the patch rests from the plant', () => {
    const wall = { ...LOW, id: 'wall' }
    const warnedAfter = (taken: number) => {
      const pen = household(new Pen())
      pen.force({ type: 'weighed-in', lot: 'A', code: 'A', taxon: 'Picea abies', part: 'needle-tip', stage: 'young', patch: 'wall', mass_g: 300, pickedAt: pen.now }) // prettier-ignore
      pen.force({ type: 'stand-counted', lot: 'A', stems: 100, taken, wildlifeLooked: true, wildlifeOn: 0, othersPick: false, school: null }) // prettier-ignore
      const { rows } = season({ catalogue: CATALOGUE, patches: [wall], rows: [{ taxon: 'Picea abies', patch: 'wall' }], sightings: [], today: '2027-05-16' }) // prettier-ignore
      return shortWindows(rows, pen.context).length
    }
    expect([warnedAfter(2), warnedAfter(90)]).toEqual([1, 0])
  })
  it('puts what was seen too early on the list to look at again', () => {
    const sightings: readonly Sighting[] = [
      { taxon: 'Sambucus nigra', stage: 'flowering', patch: 'low', day: '2027-06-10' },
    ]
    const { lookAgain } = ask('2027-06-20', { rows: [{ taxon: 'Sambucus nigra', patch: 'low' }], sightings })
    expect(lookAgain.map(({ use, seen }) => [use.part, use.stage, seen])).toContainEqual(['fruit', 'ripe', 'flowering'])
    expect(lookAgain.every(({ from }) => from > '2027-06-20')).toBe(true)
  })
})

describe('the cook’s own sightings', () => {
  it('are trusted only where leaving one out foretells better than the book', () => {
    const at = (days: number, index: number) => ({
      taxon: `plant ${index % 3}`,
      patch: 'p',
      year: 2020 + index,
      days,
      variance: 9,
    })
    const agreed = estimateOffsets([11, 13, 12, 10, 12, 13].map(at))
    expect(agreed.trusted).toBe(true)
    expect(agreed.of('plant 0', 'p', 2030).days).toBeGreaterThan(7)
    expect(agreed.of('plant 0', 'p', 2030).sd_days).toBeLessThan(estimateOffsets([]).of('plant 0', 'p', 2030).sd_days)
    const scattered = estimateOffsets([14, -13, 12, -15, 13, -12].map(at))
    expect([scattered.trusted, scattered.of('plant 0', 'p', 2030).days]).toEqual([false, 0])
    expect(estimateOffsets([at(20, 0)]).trusted).toBe(false)
  })
  it('after two seasons foretell with less than half of the calendar’s error, over ten simulated years', () => {
    const random = chance(2027)
    const normal = normals(random)
    const plants = [
      'Urtica dioica',
      'Allium ursinum',
      'Picea abies',
      'Aegopodium podagraria',
      'Alliaria petiolata',
      'Tilia cordata',
    ]
      .flatMap((name) => CATALOGUE.taxa.find(({ scientificName }) => scientificName === name) ?? [])
      .map((taxon) => ({
        taxon,
        use: taxon.uses.find(
          ({ window, verdict }) => window !== undefined && verdict !== 'never' && window.from < '06-01',
        ),
        offset: 5 * normal(),
      }))
      .flatMap(({ taxon, use, offset }) => (use === undefined ? [] : [{ taxon, use, offset }]))
    const patches = [0, 1, 2].map((index) => ({
      id: `patch ${index}`,
      latitude_deg: 47,
      elevation_m: 400 + 250 * index,
      offset: 5 * normal(),
    }))
    const station = { latitude_deg: 47, elevation_m: 650 }
    const weather = new Map<number, DayTemps>()
    let anomaly = 0
    let ofYear = 0
    for (let day = dayNumber('2015-01-01'); day < dayNumber('2025-01-01'); day += 1) {
      const date = dayOfNumber(day)
      if (date.endsWith('01-01')) ofYear = 1.2 * normal()
      anomaly = 0.75 * anomaly + 2 * normal()
      const { min_C, max_C } = usualTemps(station, dayOfYear(date))
      weather.set(day, { min_C: min_C + ofYear + anomaly, max_C: max_C + ofYear + anomaly })
    }
    const truth = (plant: (typeof plants)[number], patch: (typeof patches)[number], year: number, known: Weather) => {
      const window = bookWindow(plant.taxon, plant.use, patch, yearAt(`${year}-05-01`, patch, known, station))
      if (window === undefined) throw new RangeError('no window')
      return window
    }
    const happened = (plant: (typeof plants)[number], patch: (typeof patches)[number], year: number) => {
      const { from, to } = truth(plant, patch, year, weather)
      return { from: from + plant.offset + patch.offset + 4, to: to + plant.offset + patch.offset + 4 }
    }
    const sightings: Sighting[] = []
    for (const year of [2015, 2016])
      for (const patch of patches)
        for (const plant of plants) {
          const { from, to } = happened(plant, patch, year)
          const day = dayOfNumber(Math.round(from + (0.2 + 0.6 * random()) * (to - from)))
          sightings.push({ taxon: plant.taxon.scientificName, stage: plant.use.stage, patch: patch.id, day })
        }
    const misses = { calendar: [] as number[], book: [] as number[], own: [] as number[] }
    for (let year = 2017; year < 2025; year += 1)
      for (const patch of patches) {
        const told = season({
          catalogue: CATALOGUE,
          patches,
          rows: plants.map(({ taxon }) => ({ taxon: taxon.scientificName, patch: patch.id })),
          sightings,
          // What is known on the day of asking, and no more.
          weather: new Map([...weather].filter(([day]) => day <= dayNumber(`${year}-03-01`))),
          station,
          today: `${year}-03-01`,
        }).rows
        for (const plant of plants) {
          const { from } = happened(plant, patch, year)
          const row = told.find(({ use }) => use === plant.use)
          misses.calendar.push(dayNumber(`${year}-${plant.use.window?.from}`) - from)
          misses.book.push(truth(plant, patch, year, weather).from - from)
          misses.own.push(dayNumber(row?.from ?? '1970-01-01') + 0.5 - from)
        }
      }
    const rms = (values: readonly number[]) =>
      Math.sqrt(values.reduce((sum, each) => sum + each * each, 0) / values.length)
    const [calendar, book, own] = [rms(misses.calendar), rms(misses.book), rms(misses.own)]
    console.info(
      `opening foretold, days of error: calendar ${calendar.toFixed(1)}, book at the place ${book.toFixed(1)}, after two seasons of sightings ${own.toFixed(1)}`,
    )
    expect(own).toBeLessThan(calendar / 2)
    expect(own).toBeLessThan(book)
  })
})
