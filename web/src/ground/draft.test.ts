import { GROUND_FACTS, readEntry, type GroundFacts, type GroundNote } from '@ellop/core'
import { describe, expect, it } from 'vitest'
import { emptyDraft, readGround, type GroundDraft } from './draft'
import { factLines } from './words'

const typed = (over: Partial<GroundDraft>, known?: GroundFacts) => readGround({ ...emptyDraft(known), ...over }, known)
const near = (which: 'busyRoad' | 'railway' | 'works' | 'field', metres: string) => ({
  near: { ...emptyDraft(undefined).near, [which]: 'at' as const },
  metres: { ...emptyDraft(undefined).metres, [which]: metres },
})
const soil = (lead: string, soilOn = '2026-03-01') => ({ soil: { lead, cadmium: '', arsenic: '' }, soilOn })
const day = (text: string) => `${text}T00:00:00.000Z`

/** Everything answered at once. */
const WHOLE: Partial<GroundDraft> = {
  from: ' the parish ',
  until: '2028-02-29',
  picking: 'allowed',
  digging: 'forbidden',
  sprayed: 'on',
  sprayedOn: '2024-06-14',
  waitDays: '42',
  near: { busyRoad: 'at', railway: 'none', works: 'at', field: 'at' },
  metres: { busyRoad: '12,5', railway: '', works: '800', field: '30' },
  fieldSprayed: 'on',
  fieldSprayedOn: '2026-05-01',
  pastUse: 'old-orchard',
  manured: 'unknown',
  dogs: 'many',
  grazed: 'yes',
  healthy: 'no',
  vigour: 'lush',
  water: 'still',
  upstream: ['livestock', 'drains'],
  flooded: 'on',
  floodedOn: '2025-11-02',
  ...soil('80.5'),
  access: ['mud', 'ticks'],
  leftAlone: [5, 4],
  leftAloneFor: ' nests ',
  habitat: ['meadow'],
  companions: ['Urtica dioica'],
}

describe('the ground as it is typed', () => {
  it('is read fact by fact; what was not answered is left out, which is not the same as none', () => {
    expect(typed({})).toEqual({ facts: {} })
    const read = typed(WHOLE)
    if ('error' in read) throw new RangeError(read.error)
    expect(read.facts).toEqual({
      permission: { from: 'the parish', until: day('2028-02-29') },
      law: { picking: 'allowed', digging: 'forbidden' },
      sprayed: { last: day('2024-06-14'), wait_days: 42 },
      busyRoad: { distance_m: 12.5 },
      railway: { distance_m: null },
      works: { distance_m: 800 },
      field: { distance_m: 30, lastSprayed: day('2026-05-01') },
      pastUse: 'old-orchard',
      manured: 'unknown',
      dogs: 'many',
      grazed: true,
      looksHealthy: false,
      vigour: 'lush',
      water: 'still',
      upstream: ['livestock', 'drains'],
      flood: { last: day('2025-11-02') },
      soil: [{ what: 'lead', mg_per_kg: 80.5, on: day('2026-03-01') }],
      access: ['mud', 'ticks'],
      leftAlone: { months: [4, 5], why: 'nests' },
      habitat: ['meadow'],
      companions: ['Urtica dioica'],
    } satisfies GroundNote)
    // Every fact there is can be typed, is taken by the log, and is told again in a line.
    expect(Object.keys(read.facts).sort()).toEqual([...GROUND_FACTS].sort())
    const base = { id: 'e1', at: day('2027-05-16'), noted: day('2027-05-16'), book: 'b', by: 'c', device: 'd' }
    expect(readEntry({ ...base, type: 'ground-noted', patch: 'wall', facts: read.facts })).toMatchObject({ ok: true })
    const facts = Object.fromEntries(
      Object.entries(read.facts).map(([fact, value]) => [fact, { value, at: day('2027-05-01') }]),
    ) as GroundFacts
    const lines = factLines(facts)
    expect(lines.map(({ fact }) => fact)).toEqual(GROUND_FACTS)
    expect(lines.every(({ says, label }) => says !== '' && !says.includes('undefined') && label !== '')).toBe(true)
    expect(lines.find(({ fact }) => fact === 'soil')?.says).toBe('lead 80.5 mg/kg (1 March 2026)')
    expect(lines[0]?.stale(day('2028-04-29'))).toBe(false)
    expect(lines[0]?.stale(day('2028-05-01'))).toBe(true)
  })
  it('keeps earlier soil tests beside a new one, and begins with the leave that was given', () => {
    const known: GroundFacts = {
      permission: { value: { from: 'us', until: day('2027-12-31') }, at: day('2027-01-01') },
      soil: { value: [{ what: 'lead', mg_per_kg: 40, on: day('2020-01-01') }], at: day('2020-02-01') },
    }
    expect(emptyDraft(known)).toMatchObject({ from: 'us', until: '2027-12-31' })
    const read = typed(soil('44'), known)
    expect('facts' in read && read.facts.soil?.map(({ mg_per_kg }) => mg_per_kg)).toEqual([40, 44])
  })
  it.each([
    [{ sprayed: 'on' }, 'sprayed', 'The day of the last spraying: give year-month-day, such as 2024-06-14.'],
    [
      { sprayed: 'on', sprayedOn: '2025-02-29' },
      'sprayed',
      'The day of the last spraying: give year-month-day, such as 2024-06-14.',
    ],
    [
      { sprayed: 'on', sprayedOn: '2024-06-14', waitDays: 'long' },
      'sprayed',
      'The wait on the label: give a number, such as 40.',
    ],
    [near('busyRoad', 'far'), 'busyRoad', 'The distance to the road: give a number, such as 40.'],
    [near('railway', ''), 'railway', 'The distance to the railway: give a number, such as 40.'],
    [near('works', '-5'), 'works', 'The distance to the works: give a number, such as 40.'],
    [
      { ...near('field', '9'), fieldSprayed: 'on' },
      'field',
      'The day the field was sprayed: give year-month-day, such as 2024-06-14.',
    ],
    [{ picking: 'allowed' }, 'law', 'The law there: say both, of picking and of digging.'],
    [{ flooded: 'on', floodedOn: 'spring' }, 'flood', 'The day of the flood: give year-month-day, such as 2024-06-14.'],
    [soil('much'), 'soil', 'The lead in the soil: give a number, such as 40.'],
    [soil('40', ''), 'soil', 'The day of the soil test: give year-month-day, such as 2024-06-14.'],
    [{ from: 'us', until: 'never' }, 'permission', 'The day the leave ends: give year-month-day, such as 2024-06-14.'],
  ] as [Partial<GroundDraft>, keyof GroundNote, string][])('says what would do for %o', (draft, fact, error) => {
    expect(typed(draft)).toEqual({ fact, error })
  })
})
