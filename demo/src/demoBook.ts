import type { Entry, GroundNote, Instant, Saying, Stage } from '@ellop/core'
import { CLEAN } from './ground'
import { lastSpring, readInTables } from './lastSpring'
import { otherPlantsLastAutumn, otherPlantsThisSpring } from './otherPlants'
import { makePen, minute, type Pen } from './pen'
import { lookAtTells } from './tells'

/** Its clock opens here: five past two on a Sunday in mid-May, in the kitchen's own time. */
export const DEMO_OPENS_AT: Instant = '2027-05-16T14:05:00.000Z'

const NETTLE = 'Urtica dioica'
const SMALL_NETTLE = 'Urtica urens'
const BLANCH = 'blanch and drain'
const BLANCH_STEP = 2

/** The demonstration book: two springs and an autumn of a made-up mountain hut, the same from the same seed every time. */
export function makeDemoBook(): readonly Entry[] {
  const pen = makePen()
  household(pen)
  meetings(pen)
  firstTastes(pen)
  lastSpring(pen)
  lastAutumn(pen)
  otherPlantsLastAutumn(pen)
  lastTea(pen)
  readInTables(pen)
  yesterdayEvening(pen)
  thisMorning(pen)
  otherPlantsThisSpring(pen)
  stops(pen)
  return pen.entries()
}

function household({ write }: Pen): void {
  const at = '2025-04-12T09:00:00.000Z'
  write(at, {
    type: 'kitchen-set',
    kitchen: {
      name: 'Ostrell hut kitchen',
      elevation_m: 1180,
      latitude_deg: 47,
      timeZone: 'UTC',
      burner: { power_W: 2200, efficiency: 0.55 },
      pots_mL: [8000, 5000],
      waterTemp_C: 9,
      ice_g: 2500,
    },
  })
  const eater = (
    id: string,
    name: string,
    kind: 'adult' | 'child' | 'infant',
    sensitivities: Saying<'eater-noted'>['eater']['sensitivities'],
  ) => write(at, { type: 'eater-noted', eater: { id, name, kind, sensitivities } })
  eater('mirl', 'Mirl', 'adult', [])
  eater('oswin', 'Oswin', 'adult', [])
  eater('tove', 'Tove', 'adult', [])
  eater('jorun', 'Jorun', 'adult', ['anticoagulant'])
  eater('kester', 'Kester', 'adult', ['kidney-stone'])
  eater('lune', 'Lune', 'adult', ['pregnancy'])
  eater('pell', 'Pell', 'child', [])
  eater('wim', 'Wim', 'infant', [])
  eater('hanne', 'Hanne', 'adult', null)
  const patch = (id: string, name: string, facts: GroundNote, notedAt: Instant = at) =>
    write(notedAt, { type: 'ground-noted', patch: id, name, elevation_m: HEIGHTS_m[id] ?? 1180, facts })
  for (const notedAt of [at, '2026-04-03T08:00:00.000Z', '2027-04-02T08:00:00.000Z']) {
    patch('beck-wall', 'Beck wall', { ...CLEAN, habitat: ['meadow', 'riverside', 'disturbed'] }, notedAt)
    patch('north-wood', 'North wood', { ...CLEAN, dogs: 'some', habitat: ['woodland'] }, notedAt)
  }
  patch(
    'tarn-shore',
    'Tarn shore',
    {
      ...CLEAN,
      manured: 'yes',
      water: 'still',
      upstream: ['livestock'],
      access: ['mud'],
      habitat: ['meadow', 'still-water', 'bog'],
    },
    '2027-04-02T08:10:00.000Z',
  )
  patch(
    'hut-garden',
    'Hut garden',
    { ...CLEAN, permission: { from: 'ourselves', until: null }, manured: 'yes' },
    '2027-04-02T08:12:00.000Z',
  )
  patch(
    'hut-spruces',
    'Hut spruces',
    { permission: { from: 'the commons board', until: null } },
    '2027-04-02T08:14:00.000Z',
  )
  patch(
    'sprayed-verge',
    'Sprayed verge',
    { ...CLEAN, sprayed: { last: '2024-06-14T00:00:00.000Z' } },
    '2027-04-02T08:16:00.000Z',
  )
}

/** How high the patches round the hut lie. */
const HEIGHTS_m: Readonly<Record<string, number>> = {
  'beck-wall': 1120,
  'north-wood': 1150,
  'tarn-shore': 1260,
  'hut-spruces': 1210,
  'sprayed-verge': 1040,
}

function meetings({ write }: Pen): void {
  const met = (at: Instant, taxon: string, stage: Stage) =>
    write(at, { type: 'plant-met', taxon, stage, patch: 'north-wood' })
  met('2025-04-12T10:00:00.000Z', NETTLE, 'emerging')
  met('2025-04-27T15:20:00.000Z', NETTLE, 'young')
  met('2025-05-10T09:10:00.000Z', NETTLE, 'young')
  met('2025-07-19T17:00:00.000Z', NETTLE, 'flowering')
  met('2025-09-06T11:00:00.000Z', NETTLE, 'seeding')
  met('2026-04-18T08:30:00.000Z', NETTLE, 'young')
  met('2026-06-21T18:00:00.000Z', SMALL_NETTLE, 'young')
  met('2026-08-02T18:00:00.000Z', SMALL_NETTLE, 'flowering')
  met('2027-05-01T16:40:00.000Z', SMALL_NETTLE, 'young')
}

/** Looked round on the way past, with nothing cut. */
function stops({ write }: Pen): void {
  write('2027-05-14T17:20:00.000Z', {
    type: 'stop-noted',
    patch: 'north-wood',
    finds: [
      { taxon: NETTLE, part: 'leafy-top', state: 'ready' },
      { taxon: 'Allium ursinum', part: 'leaf', state: 'past' },
      { taxon: 'Allium ursinum', part: 'flower', state: 'ready' },
    ],
  })
  write('2027-05-15T07:40:00.000Z', {
    type: 'stop-noted',
    patch: 'lane-hedge',
    finds: [
      { taxon: 'Sambucus nigra', part: 'flower', state: 'too-early' },
      { taxon: 'Urtica dioica', part: 'leafy-top', state: 'not-enough' },
    ],
  })
}

/** A lot from weighing in to sorting, with the tells that clear it; picked at twenty to the hour given. */
function bringIn(
  pen: Pen,
  lot: string,
  day: string,
  from: {
    patch: string
    taxon?: string
    picked_g: number
    kept_g: number
    stems: number
    taken: number
    hour?: number
  },
): void {
  const { patch, taxon = NETTLE, picked_g, kept_g, stems, taken, hour = 8 } = from
  const { write } = pen
  const two = (hours: number) => String(hours).padStart(2, '0')
  const at = (minutes: string) => minute(day, `${two(hour + 1)}:${minutes}`)
  const pickedAt = minute(day, `${two(hour)}:40`)
  write(at('30'), {
    type: 'weighed-in',
    lot,
    code: lot,
    taxon,
    part: 'leafy-top',
    stage: 'young',
    patch,
    mass_g: picked_g,
    pickedAt,
  })
  lookAtTells(pen, { lot, taxon, day, time: `${two(hour + 1)}:30` })
  write(at('45'), { type: 'certain-attested', lot })
  write(at('46'), {
    type: 'stand-counted',
    lot,
    stems,
    taken,
    wildlifeLooked: true,
    wildlifeOn: 0,
    othersPick: false,
    school: null,
  })
  if (kept_g > 0) sortLot(pen, lot, minute(day, `${two(hour + 2)}:00`), picked_g, kept_g)
}

function sortLot({ write }: Pen, lot: string, at: Instant, picked_g: number, kept_g: number): void {
  const trimmed_g = picked_g - kept_g - 10
  write(at, {
    type: 'sorted',
    lot,
    stageSeen: 'young',
    kept_g,
    trimmed_g,
    trimmedTo: 'stock',
    wash: { water: 'safe', changes: 2 },
  })
}

/** Loads through the boil, one after another; the last one given may be left out by naming fewer loads. */
function blanch({ write }: Pen, lot: string, day: string, loads: readonly { at: string; mass_g: number }[]): void {
  for (const [index, { at, mass_g }] of loads.entries()) {
    const begun = write(`${day}T${at}:00.000Z`, {
      type: 'step-begun',
      lot,
      protocol: BLANCH,
      step: BLANCH_STEP,
      load: index + 1,
      mass_g,
    })
    const [hour = '0', min = '0'] = at.split(':')
    const out = `${hour}:${String(Number(min) + 2).padStart(2, '0')}`
    write(`${day}T${out}:10.000Z`, {
      type: 'step-done',
      lot,
      begun,
      outcome: 'done',
      minutes: 2.1,
      temp_C: 96,
      backToBoil_s: 48 + 3 * index,
      driedTo_g: null,
      checked: true,
      water: 'thrown',
    })
  }
}

const GUESTS = ['mirl', 'oswin', 'tove', 'jorun', 'kester', 'pell']

function firstTastes(pen: Pen): void {
  const day = '2025-05-10'
  bringIn(pen, '25-002', day, { patch: 'beck-wall', picked_g: 520, kept_g: 400, stems: 900, taken: 200 })
  blanch(pen, '25-002', day, [
    { at: '10:20', mass_g: 200 },
    { at: '10:26', mass_g: 200 },
  ])
  pen.write(minute(day, '10:40'), { type: 'weighed', lot: '25-002', mass_g: 310, after: 'cooking' })
  pen.write(minute(day, '10:45'), {
    type: 'tasted',
    lot: '25-002',
    taster: 'mirl',
    bitter: 1,
    astringent: 0,
    crumb: false,
    accepts: true,
    alarm: null,
  })
  pen.write(minute(day, '12:30'), {
    type: 'served',
    lot: '25-002',
    pack: null,
    dish: 'first taste with butter',
    portions: GUESTS.map((eater) => ({ eater, mass_g: 40 })),
  })
  pen.write(minute(day, '14:00'), { type: 'thrown-away', lot: '25-002', pack: null, mass_g: 70, why: 'stood too long' })
}

function lastAutumn(pen: Pen): void {
  const day = '2026-09-12'
  const lot = '26-011'
  bringIn(pen, lot, day, { patch: 'beck-wall', picked_g: 1180, kept_g: 840, stems: 2400, taken: 460 })
  pen.write(minute(day, '10:05'), { type: 'way-chosen', lot, protocol: BLANCH, goal: 'freeze' })
  blanch(pen, lot, day, [
    { at: '10:20', mass_g: 210 },
    { at: '10:26', mass_g: 210 },
    { at: '10:32', mass_g: 210 },
    { at: '10:38', mass_g: 210 },
  ])
  pen.write(minute(day, '11:00'), { type: 'weighed', lot, mass_g: 640, after: 'cooking' })
  pen.write(minute(day, '11:05'), {
    type: 'tasted',
    lot,
    taster: 'oswin',
    bitter: 1,
    astringent: 0,
    crumb: false,
    accepts: true,
    alarm: null,
  })
  pen.write(minute(day, '11:20'), {
    type: 'packed',
    lot,
    pack: `${lot}-a`,
    store: 'frozen',
    mass_g: 240,
    containers: 2,
    storeTemp_C: -19,
  })
  pen.write(minute(day, '11:24'), {
    type: 'packed',
    lot,
    pack: `${lot}-b`,
    store: 'frozen',
    mass_g: 240,
    containers: 2,
    storeTemp_C: -19,
  })
  pen.write(minute(day, '12:40'), {
    type: 'served',
    lot,
    pack: null,
    dish: 'nettle dumplings',
    portions: ['mirl', 'oswin', 'tove', 'pell'].map((eater) => ({ eater, mass_g: 40 })),
  })
}

function lastTea(pen: Pen): void {
  const day = '2026-09-13'
  const lot = '26-012'
  bringIn(pen, lot, day, { patch: 'north-wood', picked_g: 610, kept_g: 450, stems: 1500, taken: 240 })
  pen.write(minute(day, '10:05'), { type: 'way-chosen', lot, protocol: 'dried for tea or powder', goal: 'dry' })
  const begun = pen.write(minute(day, '10:30'), {
    type: 'step-begun',
    lot,
    protocol: 'dried for tea or powder',
    step: 2,
    load: 1,
    mass_g: 450,
  })
  pen.write(minute('2026-09-14', '08:30'), {
    type: 'step-done',
    lot,
    begun,
    outcome: 'done',
    minutes: 1320,
    temp_C: 40,
    backToBoil_s: null,
    driedTo_g: 58,
    checked: true,
    water: null,
  })
  pen.write(minute('2026-09-14', '08:40'), { type: 'weighed', lot, mass_g: 58, after: 'drying' })
  pen.write(minute('2026-09-14', '08:50'), {
    type: 'packed',
    lot,
    pack: `${lot}-a`,
    store: 'dried',
    mass_g: 58,
    containers: 1,
    storeTemp_C: null,
  })
}

function thisMorning(pen: Pen): void {
  const { write } = pen
  const sunday = '2027-05-16'
  const wood = '27-004'
  bringIn(pen, wood, sunday, { patch: 'north-wood', picked_g: 880, kept_g: 620, stems: 1600, taken: 350 })
  write(minute(sunday, '10:10'), {
    type: 'packed',
    lot: wood,
    pack: `${wood}-raw`,
    store: 'chilled',
    mass_g: 120,
    containers: 1,
    storeTemp_C: 4,
  })
  blanch(pen, wood, sunday, [
    { at: '13:50', mass_g: 200 },
    { at: '13:56', mass_g: 200 },
  ])
}

function yesterdayEvening(pen: Pen): void {
  const { write } = pen
  const day = '2027-05-15'
  bringIn(pen, '27-001', day, { patch: 'sprayed-verge', picked_g: 760, kept_g: 0, stems: 1800, taken: 300 })
  bringIn(pen, '27-002', day, {
    patch: 'hut-garden',
    taxon: SMALL_NETTLE,
    picked_g: 210,
    kept_g: 0,
    stems: 60,
    taken: 44,
    hour: 18,
  })
  const lot = '27-003'
  write(minute(day, '20:40'), {
    type: 'weighed-in',
    lot,
    code: lot,
    taxon: NETTLE,
    part: 'leafy-top',
    stage: 'young',
    patch: 'tarn-shore',
    mass_g: 430,
    pickedAt: minute(day, '20:10'),
  })
  lookAtTells(pen, { lot, taxon: NETTLE, day, time: '20:41' }, 2)
  write(minute(day, '20:46'), {
    type: 'stand-counted',
    lot,
    stems: 700,
    taken: 170,
    wildlifeLooked: true,
    wildlifeOn: 12,
    othersPick: false,
    school: null,
  })
}
