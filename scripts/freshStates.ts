import { DEMO_OPENS_AT } from '@ellop/demo'
import type { Entry } from '@ellop/core'
import type { Saying } from '../core/src/log/stamp'
import { household, Pen } from '../core/src/test/pen'
import { bringInKind, makeSafeKind, meetAll } from '../core/src/test/plants'
import { cut, DAY, HOUR, Story } from '../core/src/test/story'

const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/
/** What is called something in one state is another thing in the next; who ate and tasted too. */
const OWN_NAMES = ['lot', 'into', 'begun', 'entry', 'pack', 'code', 'eater', 'taster']
const LEFT_OUT = ['kitchen-set', 'eater-noted']

/** Nettle that every gate is open for, boiled about an hour after its picking; and what is done with it. */
const safe = (after: (pen: Pen) => unknown) => {
  const pen = makeSafeKind(bringInKind(meetAll(household(new Pen())), 'nettle', 'A'), 'nettle', 'A')
  after(pen)
  return { entries: pen.log.order, now: pen.now }
}
/** A lot told and sorted, and what is done with it, unasked. */
const toldLot = (kind: 'nettle' | 'ramsons' | 'acorns', wait_min: number, ...after: readonly Saying[]) => {
  const pen = bringInKind(meetAll(household(new Pen())), kind, 'A')
  for (const saying of after) pen.force(saying)
  pen.wait(wait_min)
  return { entries: pen.log.order, now: pen.now }
}
const bath = (temp_C: number | null): Saying => ({ type: 'bath-changed', lot: 'A', protocol: 'cold baths', step: 5, fresh: temp_C === null ? null : { water_mL: 4000, temp_C } }) // prettier-ignore
const told = (story: Story, minute: number) => ({ entries: story.pen.log.order, now: story.context(minute).now })
const packed = (pen: Pen, store: 'frozen' | 'chilled', storeTemp_C: number, containers = 2) =>
  pen.write({ type: 'packed', lot: 'A', pack: 'P', store, mass_g: 200, containers, storeTemp_C })
const nettle = () => new Story('nettle')

/** Food in each state of freshness, by the name that its lot or pack goes under. */
const STATES: Readonly<Record<string, { readonly entries: readonly Entry[]; readonly now: string }>> = {
  fresh: told(nettle(), HOUR),
  limp: toldLot('nettle', 30 * HOUR),
  rotten: told(nettle(), 3 * DAY),
  cut: toldLot('ramsons', 3 * HOUR, cut('pounded')),
  bath: toldLot('acorns', HOUR, { type: 'way-chosen', lot: 'A', protocol: 'cold baths', goal: 'eat' }, bath(8)),
  leached: toldLot(
    'acorns',
    HOUR,
    { type: 'way-chosen', lot: 'A', protocol: 'cold baths', goal: 'eat' },
    bath(8),
    bath(null),
  ),
  drying: toldLot(
    'nettle',
    DAY,
    { type: 'way-chosen', lot: 'A', protocol: 'dried for tea or powder', goal: 'dry' },
    { type: 'step-begun', lot: 'A', protocol: 'dried for tea or powder', step: 2, load: 1, mass_g: 900 },
  ),
  cooked: safe((pen) => pen.wait(2 * HOUR)),
  'cooked-cold': safe((pen) => pen.write({ type: 'placed', lot: 'A', place: 'cold', temp_C: 4 }) && pen.wait(2 * DAY)),
  'cooked-over': safe((pen) => pen.wait(6 * HOUR)),
  frozen: safe((pen) => packed(pen, 'frozen', -19) && pen.wait(30 * DAY)),
  'frozen-over': safe((pen) => packed(pen, 'frozen', -19) && pen.wait(400 * DAY)),
  thawing: safe((pen) => {
    packed(pen, 'frozen', -19)
    pen.wait(3 * DAY).write({ type: 'store-read', lot: 'A', pack: 'P', temp_C: 3 })
    pen.wait(5 * HOUR)
  }),
  chilled: safe((pen) => packed(pen, 'chilled', 3) && pen.wait(2 * DAY)),
  'store-too-warm': safe((pen) => {
    packed(pen, 'chilled', 3)
    pen.wait(DAY).write({ type: 'store-read', lot: 'A', pack: 'P', temp_C: 11 })
    pen.wait(2 * HOUR)
  }),
  held: safe((pen) => {
    packed(pen, 'frozen', -19)
    pen.write({ type: 'served', lot: 'A', pack: null, dish: 'soup', portions: [{ eater: 'ann', mass_g: 20 }] })
    pen.wait(3 * HOUR).write({ type: 'felt-ill', eater: 'ann', symptoms: 'cramps' })
  }),
}

/** Entries of one book with all of it, as it is when the demonstration opens. */
export function freshBook(): readonly Entry[] {
  return Object.entries(STATES).flatMap(([name, { entries, now }]) => {
    const by_ms = Date.parse(DEMO_OPENS_AT) - Date.parse(now)
    const own = (key: string, value: unknown) => {
      if (typeof value !== 'string') return value
      if (key === 'book') return 'demo'
      if (INSTANT.test(value)) return new Date(Date.parse(value) + by_ms).toISOString()
      return OWN_NAMES.includes(key) ? `${value}-${name}` : value
    }
    return entries
      .filter(({ type }) => !LEFT_OUT.includes(type) || name === 'held')
      .map((entry) => JSON.parse(JSON.stringify(entry, own)) as Entry)
      .map((entry) => ({ ...entry, id: `${entry.id}-${name}` }))
  })
}
