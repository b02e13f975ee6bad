import { addDays, foldLog, type Entry } from '@ellop/core'
import { DEMO_OPENS_AT, makeDemoBook } from '@ellop/demo'

export const ENTRIES = 100_000
/** Of the copies of the demonstration only one has its kitchen, patches and eaters noted anew: a household is noted once. */
export const HOUSE_TYPES = ['kitchen-set', 'ground-noted', 'eater-noted']

export const demo = makeDemoBook()
const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/
/** Each copy lies so many days before the one after it: a hundred thousand entries are some twenty years. */
const DAYS_APART = 12

/** Gives a copy of an entry names and a time of its own. */
export const renamed = (copy: number) => (key: string, value: unknown) => {
  if (typeof value !== 'string') return value
  if (INSTANT.test(value)) return addDays(value, -copy * DAYS_APART)
  return ['id', 'lot', 'into', 'begun', 'entry', 'pack'].includes(key) ? `${value}-${copy}` : value
}

/** The demonstration's lots over and over as other lots of earlier years, all but the last used up: a book of many years. */
export function manyYears(): readonly Entry[] {
  const entries: Entry[] = [...demo]
  for (let copy = 1; entries.length < ENTRIES; copy += 1) {
    const lots = demo.filter(({ type }) => !HOUSE_TYPES.includes(type) && !(type === 'plant-met' && copy % 4 !== 0))
    const made = lots.map((entry) => JSON.parse(JSON.stringify(entry, renamed(copy))) as Entry)
    entries.push(...made, ...usedUp(made, copy))
  }
  return entries.slice(0, ENTRIES)
}

/** What a copy leaves in hand and in the larder was eaten or thrown away since. */
function usedUp(made: readonly Entry[], copy: number): readonly Entry[] {
  const { lots } = foldLog(made).state
  const at = DEMO_OPENS_AT
  const base = { at, noted: at, book: 'demo', by: 'cook', device: 'hut', type: 'thrown-away' as const, why: 'past' }
  return [...lots.values()].flatMap((lot) => [
    ...(lot.mass_g > 0 ? [{ ...base, id: `t-${copy}-${lot.id}`, lot: lot.id, pack: null, mass_g: lot.mass_g }] : []),
    ...lot.packs
      .filter(({ mass_g }) => mass_g > 0)
      .map(({ id, mass_g }) => ({ ...base, id: `t-${copy}-${id}`, lot: lot.id, pack: id, mass_g })),
  ])
}
