import type { EntryId, Part, Saying, Stage } from '@ellop/core'
import { CLEAN } from './ground'
import { later, minute, type Pen } from './pen'
import { lookAtTells } from './tells'

const RAMSONS = 'Allium ursinum'
const OAK = 'Quercus robur'
const ELDER = 'Sambucus nigra'
const BEET = 'Beta vulgaris'
const SPRUCE = 'Picea abies'
const COLD_BATHS = 'cold baths'
const LEACH_STEP = 5
const ELDER_WAY = 'stripped, boiled, seeds strained out'

interface Picking {
  readonly lot: string
  readonly taxon: string
  readonly part: Part
  readonly stage: Stage
  readonly patch: string
  readonly day: string
  readonly time: string
  readonly picked_g: number
}

function weighIn({ write }: Pen, { lot, taxon, part, stage, patch, day, time, picked_g }: Picking): void {
  write(minute(day, time), {
    type: 'weighed-in',
    lot,
    code: lot,
    taxon,
    part,
    stage,
    patch,
    mass_g: picked_g,
    pickedAt: minute(day, later(time, -40)),
  })
}

function settle(pen: Pen, picking: Picking, stand: { stems: number; taken: number }): void {
  const { lot, day, time } = picking
  lookAtTells(pen, picking)
  pen.write(minute(day, later(time, 20)), { type: 'certain-attested', lot })
  pen.write(minute(day, later(time, 21)), {
    type: 'stand-counted',
    lot,
    ...stand,
    wildlifeLooked: true,
    wildlifeOn: 0,
    othersPick: false,
    school: null,
  })
}

function sort({ write }: Pen, { lot, day, time, stage, picked_g }: Picking, kept_g: number, washed: boolean): void {
  write(minute(day, later(time, 40)), {
    type: 'sorted',
    lot,
    stageSeen: stage,
    kept_g,
    trimmed_g: picked_g - kept_g - 10,
    trimmedTo: 'compost',
    wash: washed ? { water: 'safe', changes: 2 } : null,
  })
}

function meet({ write }: Pen, taxon: string, stage: Stage, days: readonly string[], patch?: string): void {
  const where = patch === undefined ? {} : { patch }
  for (const day of days) write(minute(day, '16:00'), { type: 'plant-met', taxon, stage, ...where })
}

/** A load through a step, begun and finished. */
function load(
  { write }: Pen,
  at: { lot: string; protocol: string; step: number; mass_g: number; begin: string; end: string },
  done: Partial<Saying<'step-done'>>,
): EntryId {
  const begun = write(at.begin, {
    type: 'step-begun',
    lot: at.lot,
    protocol: at.protocol,
    step: at.step,
    load: 1,
    mass_g: at.mass_g,
  })
  return write(at.end, {
    type: 'step-done',
    lot: at.lot,
    begun,
    outcome: 'done',
    minutes: 0,
    temp_C: null,
    backToBoil_s: null,
    driedTo_g: null,
    checked: true,
    water: null,
    ...done,
  })
}

/** Elder berries boiled to syrup, some frozen raw; acorns dried in the shell. */
export function otherPlantsLastAutumn(pen: Pen): void {
  const { write } = pen
  for (const day of ['2025-04-12', '2026-04-03', '2027-04-02']) {
    write(minute(day, '09:30'), {
      type: 'ground-noted',
      patch: 'lane-hedge',
      name: 'Low lane hedge',
      elevation_m: 640,
      facts: CLEAN,
    })
    write(minute(day, '09:32'), {
      type: 'ground-noted',
      patch: 'valley-oaks',
      name: 'Valley oaks',
      elevation_m: 560,
      facts: CLEAN,
    })
  }
  meet(pen, ELDER, 'flowering', ['2025-06-20', '2026-06-14'], 'lane-hedge')
  meet(pen, ELDER, 'ripe', ['2026-09-05'], 'lane-hedge')
  meet(pen, OAK, 'ripe', ['2025-10-04', '2026-09-26'], 'valley-oaks')
  elderSyrup(pen)
  driedAcorns(pen)
}

function elderSyrup(pen: Pen): void {
  const { write } = pen
  const day = '2026-09-19'
  const lot = '26-014'
  const berries: Picking = {
    lot,
    taxon: ELDER,
    part: 'fruit',
    stage: 'ripe',
    patch: 'lane-hedge',
    day,
    time: '10:00',
    picked_g: 2600,
  }
  weighIn(pen, berries)
  settle(pen, berries, { stems: 120, taken: 34 })
  sort(pen, berries, 1900, true)
  write(minute(day, '10:50'), {
    type: 'packed',
    lot,
    pack: `${lot}-a`,
    store: 'frozen',
    mass_g: 400,
    containers: 1,
    storeTemp_C: -19,
  })
  write(minute(day, '11:00'), { type: 'way-chosen', lot, protocol: ELDER_WAY, goal: 'syrup' })
  const boil = { lot, protocol: ELDER_WAY, step: 2, mass_g: 1500 }
  load(
    pen,
    { ...boil, begin: minute(day, '11:20'), end: minute(day, '11:55') },
    { minutes: 34, temp_C: 96, water: 'kept' },
  )
  load(pen, { ...boil, step: 3, begin: minute(day, '12:00'), end: minute(day, '12:20') }, {})
  write(minute(day, '12:25'), { type: 'weighed', lot, mass_g: 980, after: 'cooking' })
  write(minute(day, '12:30'), { type: 'ingredient-added', lot, what: 'sugar', name: 'sugar', mass_g: 1250 })
  write(minute(day, '12:50'), { type: 'reading-taken', lot, what: 'brix', value: 66, instrument: 'refractometer' })
  write(minute(day, '12:55'), {
    type: 'tasted',
    lot,
    taster: 'tove',
    bitter: 0,
    astringent: 1,
    crumb: false,
    accepts: true,
    alarm: null,
  })
  write(minute(day, '13:00'), {
    type: 'packed',
    lot,
    pack: `${lot}-b`,
    store: 'frozen',
    mass_g: 1100,
    containers: 4,
    storeTemp_C: -19,
  })
  write(minute(day, '13:05'), {
    type: 'packed',
    lot,
    pack: `${lot}-c`,
    store: 'sugared',
    mass_g: 1130,
    containers: 5,
    storeTemp_C: 4,
  })
  write(minute('2026-11-08', '18:00'), {
    type: 'served',
    lot,
    pack: `${lot}-c`,
    dish: 'elder syrup on curd',
    portions: ['mirl', 'oswin', 'tove'].map((eater) => ({ eater, mass_g: 20 })),
  })
  write(minute('2026-12-19', '09:00'), {
    type: 'thrown-away',
    lot,
    pack: `${lot}-c`,
    mass_g: 1070,
    why: 'past its day',
  })
}

function driedAcorns(pen: Pen): void {
  const { write } = pen
  const lot = '26-018'
  const day = '2026-10-10'
  const nuts: Picking = {
    lot,
    taxon: OAK,
    part: 'nut',
    stage: 'ripe',
    patch: 'valley-oaks',
    day,
    time: '15:00',
    picked_g: 4200,
  }
  weighIn(pen, nuts)
  settle(pen, nuts, { stems: 1500, taken: 400 })
  sort(pen, nuts, 3300, false)
  write(minute(day, '16:00'), { type: 'way-chosen', lot, protocol: 'dried in the shell for later', goal: 'dry' })
  load(
    pen,
    {
      lot,
      protocol: 'dried in the shell for later',
      step: 1,
      mass_g: 3300,
      begin: minute(day, '16:30'),
      end: minute('2026-10-13', '17:00'),
    },
    { minutes: 4300, temp_C: 40, driedTo_g: 1800 },
  )
  write(minute('2026-10-13', '17:10'), { type: 'weighed', lot, mass_g: 1800, after: 'drying' })
  write(minute('2026-10-13', '17:15'), {
    type: 'packed',
    lot,
    pack: `${lot}-a`,
    store: 'dried',
    mass_g: 1800,
    containers: 2,
    storeTemp_C: null,
  })
}

/** Acorns in their fourth bath, ramsons not yet told, sea beet not yet counted, spruce tips on ground not yet asked about. */
export function otherPlantsThisSpring(pen: Pen): void {
  const { write } = pen
  meet(pen, RAMSONS, 'young', ['2026-04-12', '2026-04-26'])
  meet(pen, RAMSONS, 'flowering', ['2026-05-17'])
  meet(pen, SPRUCE, 'young', ['2025-05-24', '2026-05-23'])
  meet(pen, SPRUCE, 'young', ['2027-05-09'], 'hut-spruces')
  meet(pen, BEET, 'young', ['2026-05-02', '2026-09-20'])
  write(minute('2027-04-02', '09:40'), {
    type: 'ground-noted',
    patch: 'skerry-shore',
    name: 'Skerry shore',
    elevation_m: 2,
    facts: { ...CLEAN, permission: { from: 'the shore warden', until: '2027-12-31T00:00:00.000Z' } },
  })
  leachingAcorns(pen)
  const day = '2027-05-16'
  const ramsons: Picking = {
    lot: '27-006',
    taxon: RAMSONS,
    part: 'leaf',
    stage: 'young',
    patch: 'north-wood',
    day,
    time: '11:10',
    picked_g: 320,
  }
  weighIn(pen, ramsons)
  const habit = { type: 'tell-seen', lot: ramsons.lot, character: 'habit', answer: 'seen' } as const
  pen.write(minute(day, ramsons.time), { ...habit, states: ['rosette'] })
  lookAtTells(pen, ramsons, 2)
  const beet: Picking = {
    lot: '27-007',
    taxon: BEET,
    part: 'leaf',
    stage: 'young',
    patch: 'skerry-shore',
    day: '2027-05-15',
    time: '17:00',
    picked_g: 900,
  }
  weighIn(pen, beet)
  lookAtTells(pen, beet)
  write(minute('2027-05-15', '17:20'), { type: 'certain-attested', lot: beet.lot })
  const tips: Picking = {
    lot: '27-008',
    taxon: SPRUCE,
    part: 'needle-tip',
    stage: 'young',
    patch: 'hut-spruces',
    day,
    time: '12:00',
    picked_g: 260,
  }
  weighIn(pen, tips)
  settle(pen, tips, { stems: 900, taken: 120 })
}

function leachingAcorns(pen: Pen): void {
  const { write } = pen
  const lot = '27-005'
  write(minute('2027-05-14', '18:00'), {
    type: 'opened',
    lot: '26-018',
    pack: '26-018-a',
    into: lot,
    code: lot,
    mass_g: 900,
  })
  write(minute('2027-05-14', '18:05'), { type: 'way-chosen', lot, protocol: COLD_BATHS, goal: 'flour' })
  load(
    pen,
    {
      lot,
      protocol: COLD_BATHS,
      step: 2,
      mass_g: 900,
      begin: minute('2027-05-14', '18:10'),
      end: minute('2027-05-14', '19:30'),
    },
    {},
  )
  const pours = [
    minute('2027-05-14', '20:00'),
    minute('2027-05-15', '06:30'),
    minute('2027-05-15', '18:30'),
    minute('2027-05-16', '07:10'),
  ]
  for (const at of pours)
    write(at, {
      type: 'bath-changed',
      lot,
      protocol: COLD_BATHS,
      step: LEACH_STEP,
      fresh: { water_mL: 3600, temp_C: 6 },
    })
}
