import type { Saying } from '@ellop/core'
import { later, minute, type Pen } from './pen'
import { lookAtTells } from './tells'

const LIME = 'Tilia cordata'
const DANDELION = 'Taraxacum officinale'
const SOAK = { protocol: 'raw, cold soaked', step: 2 } as const

/** Bites along the limes of the wood, and dandelion in three bowls that were soaked for longer, less and not at all. */
export function lastSpring(pen: Pen): void {
  for (const day of ['2025-05-03', '2025-05-11', '2026-04-26'])
    pen.write(minute(day, '16:00'), { type: 'plant-met', taxon: LIME, stage: 'young', patch: 'north-wood' })
  for (const day of ['2025-04-20', '2025-05-04', '2026-04-11'])
    pen.write(minute(day, '16:10'), { type: 'plant-met', taxon: DANDELION, stage: 'young', patch: 'beck-wall' })
  bowls(pen)
  limes(pen)
}

function bringIn(
  pen: Pen,
  lot: string,
  from: { taxon: string; patch: string; day: string; picked_g: number; stems: number; taken: number },
): void {
  const { taxon, patch, day, picked_g, stems, taken } = from
  const time = '10:00'
  const pickedAt = minute(day, later(time, -30))
  const what = { taxon, part: 'leaf', stage: 'young', patch, mass_g: picked_g, pickedAt } as const
  pen.write(minute(day, time), { type: 'weighed-in', lot, code: lot, ...what })
  lookAtTells(pen, { lot, taxon, day, time })
  pen.write(minute(day, later(time, 20)), { type: 'certain-attested', lot })
  pen.write(minute(day, later(time, 21)), {
    ...{ type: 'stand-counted', lot, stems, taken, wildlifeLooked: true, wildlifeOn: 0 },
    ...{ othersPick: false, school: null },
  })
}

function limes(pen: Pen): void {
  const day = '2026-05-03'
  const lot = '26-004'
  bringIn(pen, lot, { taxon: LIME, patch: 'north-wood', day, picked_g: 90, stems: 9000, taken: 250 })
  const bite = (time: string, taster: string, plants: Saying<'plants-scored'>['plants']) =>
    pen.write(minute(day, time), { type: 'plants-scored', lot, taster, rinsed: true, plants })
  bite('10:25', 'mirl', [
    { plant: 'by the spring', liking: 8, gives: 900, light: 'half-shade' },
    { plant: 'split trunk', liking: 6, gives: 2000, light: 'sun' },
    { plant: 'at the stile', liking: 3, gives: 1500, light: 'sun' },
  ])
  bite('10:32', 'oswin', [
    { plant: 'by the spring', liking: 9, gives: 900, light: 'half-shade' },
    { plant: 'split trunk', liking: 5, gives: 2000, light: 'sun' },
  ])
  pen.write(minute(day, '10:40'), {
    ...{ type: 'served', lot, pack: null, dish: 'eaten on the way', onTheWay: { rinsed: true } },
    portions: ['mirl', 'oswin'].map((eater) => ({ eater, mass_g: 8 })),
  })
  pen.write(minute(day, '18:00'), { type: 'thrown-away', lot, pack: null, mass_g: 74, why: 'wilted' })
}

function bowls(pen: Pen): void {
  const { write } = pen
  const day = '2026-04-18'
  const lot = '26-001'
  bringIn(pen, lot, { taxon: DANDELION, patch: 'beck-wall', day, picked_g: 330, stems: 900, taken: 120 })
  write(minute(day, '10:40'), {
    ...{ type: 'sorted', lot, stageSeen: 'young', kept_g: 270, trimmed_g: 55, trimmedTo: 'compost' },
    wash: { water: 'safe', changes: 2 },
  })
  write(minute(day, '10:42'), { type: 'way-chosen', lot, protocol: SOAK.protocol, goal: 'eat-raw' })
  for (const into of ['26-002', '26-003'])
    write(minute(day, '10:44'), { type: 'split', lot, into, code: into, mass_g: 90, why: 'trial' })
  const arms = [
    { lot, minutes: 60 },
    { lot: '26-002', minutes: 30 },
    { lot: '26-003', minutes: 0 },
  ]
  write(minute(day, '10:46'), {
    ...{ type: 'trial-set', trial: 'dandelion-soak', taxon: DANDELION, part: 'leaf', stage: 'young' },
    ...{ school: SOAK.protocol, step: SOAK.step, arms },
  })
  for (const [index, arm] of arms.entries()) {
    if (arm.minutes === 0) continue
    const begun = write(minute(day, later('10:48', index)), {
      ...{ type: 'step-begun', lot: arm.lot, ...SOAK, load: 1, mass_g: 90 },
    })
    write(minute(day, later(later('10:48', index), arm.minutes)), {
      ...{ type: 'step-done', lot: arm.lot, begun, outcome: 'done', minutes: arm.minutes, temp_C: null },
      ...{ backToBoil_s: null, driedTo_g: null, checked: true, water: 'thrown' },
    })
  }
  const cups: readonly (readonly [string, readonly [number, number, number]])[] = [
    ['mirl', [2, 2, 5]],
    ['oswin', [3, 4, 6]],
    ['tove', [1, 1, 5]],
  ]
  for (const [place, [taster, bitter]] of cups.entries())
    for (const [index, arm] of arms.entries())
      write(minute(day, later('12:00', 10 * place + 2 * index)), {
        ...{ type: 'tasted', lot: arm.lot, taster, bitter: bitter[index] ?? 0, astringent: 0, crumb: false },
        ...{ accepts: index < 2, alarm: null },
      })
  const portions = ['mirl', 'oswin', 'tove'].map((eater) => ({ eater, mass_g: 18 }))
  const serving = write(minute(day, '13:00'), { type: 'served', lot, pack: null, dish: 'spring salad', portions })
  write(minute(day, '13:40'), {
    ...{ type: 'table-noted', lot, serving },
    heard: [
      { eater: 'mirl', eaten_g: 18, liking: 7 },
      { eater: 'oswin', eaten_g: 12, liking: 5 },
      { eater: 'tove', eaten_g: 18, liking: 8 },
    ],
  })
  const left = [
    [lot, 36],
    ['26-002', 90],
    ['26-003', 90],
  ] as const
  for (const [each, mass_g] of left)
    write(minute(day, '19:00'), { type: 'thrown-away', lot: each, pack: null, mass_g, why: 'wilted' })
}

/** What three tables say of nettle, one of them with a point that slipped; and what was heard of it. */
export function readInTables({ write }: Pen): void {
  const at = '2026-11-20T19:00:00.000Z'
  const figure = { what: 'iron', unit: 'mg', per_g: 100 } as const
  const of = { type: 'figure-noted', taxon: 'Urtica dioica', part: 'leafy-top' } as const
  write(at, { ...of, figure: { ...figure, value: 4.1, basis: 'fresh', source: 'a school kitchen’s table' } })
  write(at, { ...of, figure: { ...figure, value: 23, basis: 'dry', source: 'a herbal of 1971' } })
  write(at, { ...of, figure: { ...figure, value: 41, basis: 'fresh', source: 'a leaflet' } })
  write(at, { ...of, figure: { what: 'protein', value: 0.9, unit: 'g', per_g: 28.349523125, basis: 'fresh', source: 'a leaflet' } }) // prettier-ignore
}
