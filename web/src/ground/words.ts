import {
  addDays,
  FACT_KEEPS_DAYS,
  formatDate,
  formatList,
  GROUND_FACTS,
  plainWords,
  type GroundFacts,
  type GroundNote,
  type Instant,
} from '@ellop/core'

export interface FactLine {
  readonly fact: keyof GroundNote
  readonly label: string
  readonly says: string
  readonly at: Instant
  readonly stale: (now: Instant) => boolean
}

const near = ({ distance_m }: { readonly distance_m: number | null }) =>
  distance_m === null ? 'none near' : `${distance_m} m away`
const listed = (words: readonly string[], none: string) =>
  words.length === 0 ? none : formatList(words.map((each) => plainWords(each)))

export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

const VIGOUR_WORDS = { poor: 'poorly', usual: 'as usual', lush: 'very lush' } as const

type Says = { readonly [Fact in keyof Required<GroundNote>]: (value: NonNullable<GroundNote[Fact]>) => string }

const SAYS: Says = {
  permission: ({ from, until }) => `from ${from}${until === null ? '' : `, until ${formatDate(until)}`}`,
  law: ({ picking, digging }) => `picking ${picking}, digging ${digging}`,
  sprayed: ({ last, wait_days }) =>
    last === null
      ? 'never, as known'
      : `${formatDate(last)}${wait_days === undefined ? '' : `, label: ${wait_days} days`}`,
  busyRoad: near,
  railway: near,
  works: near,
  field: (value) =>
    `${near(value)}${value.distance_m === null ? '' : value.lastSprayed === null ? ', never sprayed, as told' : `, sprayed ${formatDate(value.lastSprayed)}`}`,
  pastUse: (value) => (value === 'clean' ? 'nothing of harm' : value === 'unknown' ? 'not known' : plainWords(value)),
  manured: (value) => (value === 'unknown' ? 'not known' : value),
  dogs: (value) => value,
  grazed: (value) => (value ? 'yes' : 'no'),
  looksHealthy: (value) => (value ? 'healthy' : 'sick'),
  vigour: (value) => VIGOUR_WORDS[value],
  water: (value) => (value === 'none' ? 'no water' : `${value === 'flowing' ? 'running' : value} water`),
  upstream: (value) => (typeof value === 'string' ? 'not known' : listed(value, 'nothing found')),
  flood: ({ last }) => (last === null ? 'not in memory' : formatDate(last)),
  soil: (tests) => tests.map(({ what, mg_per_kg, on }) => `${what} ${mg_per_kg} mg/kg (${formatDate(on)})`).join(', '),
  access: (value) => listed(value, 'easy'),
  leftAlone: ({ months, why }) =>
    months.length === 0
      ? 'in no month'
      : `${formatList(months.map((month) => MONTHS[month - 1] ?? ''))}: ${why ?? 'noted so'}`,
  habitat: (value) => listed(value, 'not said'),
  companions: (value) => (value.length === 0 ? 'none noted' : value.join(', ')),
}

const LABELS: { readonly [Fact in keyof Required<GroundNote>]: string } = {
  permission: 'Leave to pick',
  law: 'The law there',
  sprayed: 'Weedkiller',
  busyRoad: 'Busy road',
  railway: 'Railway',
  works: 'Works, mine, tip',
  field: 'Farmed land',
  pastUse: 'Before it was',
  manured: 'Dung or fertiliser',
  dogs: 'Dogs',
  grazed: 'Grazed',
  looksHealthy: 'The stand looks',
  vigour: 'It grows',
  water: 'It stands in',
  upstream: 'Up the water',
  flood: 'Flooded',
  soil: 'Soil test',
  access: 'Getting there',
  leftAlone: 'Left alone',
  habitat: 'Kind of ground',
  companions: 'Seen beside it',
}

/** Every fact that is known of a ground, as a line to read. */
export function factLines(facts: GroundFacts): readonly FactLine[] {
  return GROUND_FACTS.flatMap((fact) => {
    const known = facts[fact]
    if (known === undefined) return []
    const says = (SAYS[fact] as (value: unknown) => string)(known.value)
    const { at } = known
    return [{ fact, label: LABELS[fact], says, at, stale: (now) => addDays(at, FACT_KEEPS_DAYS) <= now }]
  })
}
