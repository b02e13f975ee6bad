import { gzipSync } from 'node:zlib'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import {
  addEntries,
  CATALOGUE,
  clear,
  dueList,
  foldLog,
  gateViews,
  leach,
  lifeTableOf,
  plan,
  projectStand,
  schedule,
  season,
  tasteForecast,
  tasteNext,
  amendPreview,
  type BookLog,
  type Entry,
  type ScheduleInput,
  type SeasonInput,
  type Struck,
  type TasteForecastInput,
} from '@ellop/core'
import { DEMO_OPENS_AT } from '@ellop/demo'
import { benchBrowser } from './benchBrowser'
import { benchCalibration } from './benchCalibration'
import { benchOptimise } from './benchOptimise'
import { benchTells } from './benchTells'
import { demo, manyYears, renamed } from './largeBook'

const ROUNDS = 7

/** Median milliseconds of a piece of work. */
function median(work: () => unknown, rounds = ROUNDS): number {
  const times = Array.from({ length: rounds }, () => {
    const begun = performance.now()
    work()
    return performance.now() - begun
  }).sort((a, b) => a - b)
  return times[Math.floor(rounds / 2)] ?? 0
}

function there<Value>(value: Value | undefined): Value {
  if (value === undefined) throw new RangeError('bench: the demonstration lacks what is measured')
  return value
}

const large = manyYears()
const log = foldLog(large)
const context = { book: log.state, catalogue: CATALOGUE, now: DEMO_OPENS_AT }
const lot = there(log.state.lots.get('27-004'))
const tell = there(demo.find(({ type }) => type === 'tell-seen'))
const met = there(demo.find(({ type }) => type === 'plant-met'))
const strike = (entry: Entry): Struck =>
  ({ ...entry, id: 'strike', type: 'struck', entry: entry.id, why: 'x' }) as Struck
const old = '2025-04-13T08:00:00.000Z'
const eaten = demo.find(({ type }) => type === 'sorted') ?? tell
const more = large.slice(-10_000).map((entry) => JSON.parse(JSON.stringify(entry, renamed(9999))) as Entry)
const add = (entries: readonly Entry[]) => (): BookLog => addEntries(log, entries)

const SLOW_BULB = lifeTableOf({ lifeForm: 'bulb-geophyte', yearsToMaturity: 7, standing: 'common' })
/** Each future is made up anew: what was asked before is kept. */
let stand = 0
const TASTED: TasteForecastInput = {
  pieces: { shape: 'slab', size_mm: 4 },
  heldLiquid_mL: 300,
  activation_kJ_mol: 25,
  bath: { water_mL: 2000, minutes: 20, temp_C: 97 },
  prior: { diffusivity25_m2_s: { median: 3e-10, gsd: 1.8 }, strength: { median: 3, gsd: 2 } },
  noise: 0.8,
  observations: [
    { afterBath: 0, score: 8 },
    { afterBath: 1, score: 6 },
  ],
  target: 2,
  maxBaths: 12,
}
const EVENING: ScheduleInput = {
  resources: [
    { id: 'cook', capacity: 2, closed: [[90, 110]] },
    { id: 'burner', capacity: 3 },
  ],
  tasks: Array.from({ length: 12 }, (_, index) => ({
    id: `load-${index}`,
    minutes: 8 + ((index * 7) % 13),
    needs: { cook: index % 2, burner: 1 + (index % 2) },
  })),
  links: Array.from({ length: 6 }, (_, index) => ({
    from: `load-${2 * index}`,
    to: `load-${2 * index + 1}`,
    minLag: 2,
    maxLag: 15,
  })),
}
const foods = CATALOGUE.taxa.filter(({ uses }) => uses.length > 0).slice(0, 100)
const patches = Array.from({ length: 20 }, (_, index) => ({
  id: `patch-${index}`,
  latitude_deg: 47,
  elevation_m: 100 * index,
}))
const seasonAsked: SeasonInput = {
  catalogue: CATALOGUE,
  patches,
  rows: foods.flatMap(({ scientificName }) => patches.map(({ id }) => ({ taxon: scientificName, patch: id }))),
  sightings: Array.from({ length: 10 }, (_, year) =>
    foods.map(({ scientificName, uses }, index) => ({
      taxon: scientificName,
      stage: uses[0]?.stage ?? 'young',
      patch: `patch-${(index + year) % 20}`,
      day: `${2017 + year}-05-${10 + (index % 15)}`,
    })),
  ).flat(),
  today: '2027-05-16',
}

/** The reference of every figure: one pass over as many entries, sorting them as the log does. */
const referenceNow = () =>
  median(() => large.toSorted((a, b) => (a.at < b.at ? -1 : 1)).filter(({ type }) => type === 'weighed-in').length)
/** `npm run bench` prints all; `npm run bench -- tells browser` those parts alone. */
const PARTS: Readonly<Record<string, () => void | Promise<void>>> = {
  core: printRows,
  script: firstView,
  tells: benchTells,
  calibration: benchCalibration,
  optimise: benchOptimise,
  browser: () => benchBrowser(large, referenceNow),
}
const wanted = process.argv.slice(2)
const unknown = wanted.filter((part) => PARTS[part] === undefined)
if (unknown.length > 0) {
  console.error(`bench: there is no part called ${unknown.join(', ')}; the parts are ${Object.keys(PARTS).join(', ')}.`)
  process.exit(2)
}
for (const [part, print] of Object.entries(PARTS)) if (wanted.length === 0 || wanted.includes(part)) await print()

/** Compressed script that the first view loads: the page's own script and what it imports at once. */
function firstView(): void {
  const dist = fileURLToPath(new URL('../web/dist', import.meta.url))
  const page = readFileSync(join(dist, 'index.html'), 'utf8')
  const first = [...page.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map(([, file]) => file ?? '')
  const basket = readdirSync(join(dist, 'assets')).filter((file) => file.endsWith('.js'))
  const size = (files: readonly string[]) =>
    files.reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0) / 1000
  console.log(
    `first view: ${size(first).toFixed(0)} kB of compressed script (target < 400 kB); all of it ${size(basket.map((file) => `assets/${file}`)).toFixed(0)} kB`,
  )
}

function printRows(): void {
  const reference = referenceNow()
  const rows: readonly (readonly [string, number, string])[] = [
    [`fold ${large.length} entries from scratch`, median(() => foldLog(large), 3), 'cold start < 2,000 ms'],
    ['read them from stored blocks of text', median(() => JSON.parse(JSON.stringify(large)) as unknown, 3), ''],
    ['add one entry to them', median(add([{ ...tell, id: 'new' }])), '< 50 ms'],
    ['add one dated back, of a lot', median(add([{ ...tell, id: 'new', at: old }])), '< 100 ms'],
    ['add one dated back, of the household', median(add([{ ...met, id: 'new', at: old }])), '< 100 ms'],
    ['strike one out', median(add([strike(eaten)])), '< 100 ms'],
    ['show what a strike-out would change', median(() => amendPreview(log, strike(eaten), context), 3), ''],
    ['merge 10,000', median(add(more), 3), '< 2,000 ms'],
    ['judge the eight gates of a lot', median(() => gateViews(lot, { ...context })), ''],
    [`due list over ${log.state.lots.size} lots`, median(() => dueList({ ...context }), 3), ''],
    [
      'plan 840 g for the freezer',
      median(() =>
        plan({ taxon: 'Urtica dioica', part: 'leaf', stage: 'young', mass_g: 840, goal: 'freeze' }, CATALOGUE),
      ),
      '',
    ],
    [
      'clear a plant over the catalogue',
      median(() => clear({ taxon: 'Urtica dioica', observed: {} }, CATALOGUE)),
      '< 20 ms',
    ],
    ['season, 100 plants × 20 patches × 10 years', median(() => season(seasonAsked), 5), '< 200 ms'],
    [
      'a stand over thirty years, its safe take too',
      median(() => projectStand(SLOW_BULB, 0.05, (stand += 1)), 5),
      '< 50 ms',
    ],
    ['forecast from two tastes, twelve baths', median(() => tasteForecast(TASTED), 5), '< 100 ms'],
    ['the taste worth most among the next five', median(() => tasteNext(TASTED, 2), 5), ''],
    ['a timetable of twelve loads, two hands, proved', median(() => schedule(EVENING), 3), ''],
    [
      'leach, twelve baths',
      median(() =>
        leach({
          pieces: { shape: 'sphere', size_mm: 6 },
          heldLiquid_mL: 400,
          diffusivity25_m2_s: 3e-10,
          activation_kJ_mol: 25,
          baths: Array.from({ length: 12 }, () => ({ water_mL: 2000, minutes: 480, temp_C: 10, flow_mL_min: 1 })),
        }),
      ),
      '< 30 ms',
    ],
  ]
  console.log(`reference: one sorted pass over ${large.length} entries, ${reference.toFixed(2)} ms`)
  for (const [name, time, target] of rows)
    console.log(
      `${name.padEnd(44)} ${time.toFixed(2).padStart(9)} ms  ${(time / reference).toFixed(2).padStart(8)} × reference  ${target}`,
    )
}
