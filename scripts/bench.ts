import { addEntries, CATALOGUE, dueList, foldLog, gateViews, plan, type Entry } from '@ellop/core'
import { DEMO_OPENS_AT, makeDemoBook } from '@ellop/demo'

const ROUNDS = 7

/** Median milliseconds of a piece of work. */
function median(work: () => unknown): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const begun = performance.now()
    work()
    return performance.now() - begun
  }).sort((a, b) => a - b)
  return times[Math.floor(ROUNDS / 2)] ?? 0
}

const demo = makeDemoBook()
/** The demonstration's lots a hundred times over, as other lots. */
const large: Entry[] = Array.from({ length: 100 }, (_, copy) =>
  demo.map((entry) =>
    'lot' in entry
      ? { ...entry, id: `${entry.id}-${copy}`, lot: `${entry.lot}-${copy}` }
      : { ...entry, id: `${entry.id}-${copy}` },
  ),
).flat()
const log = foldLog(large)
const context = { book: log.state, catalogue: CATALOGUE, now: DEMO_OPENS_AT }
const [lot] = [...log.state.lots.values()]
const [entry] = demo.filter(({ type }) => type === 'tell-seen')
if (lot === undefined || entry === undefined) throw new RangeError('bench: expected lots in the demonstration')

/** The reference of every figure: one pass over as many entries, sorting them as the log does. */
const reference = median(
  () => large.toSorted((a, b) => (a.at < b.at ? -1 : 1)).filter(({ type }) => type === 'weighed-in').length,
)
const rows: [string, number][] = [
  [`fold ${large.length} entries from scratch`, median(() => foldLog(large))],
  ['add one entry to them', median(() => addEntries(log, [{ ...entry, id: 'new' }]))],
  ['judge the eight gates of a lot', median(() => gateViews(lot, context))],
  [`due list over ${log.state.lots.size} lots`, median(() => dueList(context))],
  [
    'plan 840 g for the freezer',
    median(() =>
      plan({ taxon: 'Urtica dioica', part: 'leaf', stage: 'young', mass_g: 840, goal: 'freeze' }, CATALOGUE),
    ),
  ],
]
console.log(`reference: one sorted pass over ${large.length} entries, ${reference.toFixed(2)} ms`)
for (const [name, time] of rows)
  console.log(
    `${name.padEnd(44)} ${time.toFixed(2).padStart(9)} ms  ${(time / reference).toFixed(2).padStart(8)} × reference`,
  )
