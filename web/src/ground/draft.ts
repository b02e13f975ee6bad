import { GROUND_FACTS, readNumber, SOIL_METALS, type GroundFacts, type GroundNote, type SoilMetal } from '@ellop/core'

/** What is being typed about the ground, before it is read. A choice that was not made is absent. */
export interface GroundDraft {
  readonly from: string
  readonly until: string
  readonly picking?: 'allowed' | 'forbidden'
  readonly digging?: 'allowed' | 'forbidden'
  readonly sprayed?: 'never' | 'on'
  readonly sprayedOn: string
  readonly waitDays: string
  readonly near: Readonly<Record<Neighbour, 'none' | 'at' | undefined>>
  readonly metres: Readonly<Record<Neighbour, string>>
  readonly fieldSprayed?: 'never' | 'on'
  readonly fieldSprayedOn: string
  readonly pastUse?: GroundNote['pastUse']
  readonly manured?: GroundNote['manured']
  readonly dogs?: GroundNote['dogs']
  readonly grazed?: 'yes' | 'no'
  readonly healthy?: 'yes' | 'no'
  readonly vigour?: GroundNote['vigour']
  readonly water?: GroundNote['water']
  readonly upstream?: GroundNote['upstream']
  readonly flooded?: 'never' | 'on'
  readonly floodedOn: string
  readonly soil: Readonly<Record<SoilMetal, string>>
  readonly soilOn: string
  readonly access?: GroundNote['access']
  /** Months in which nothing is taken; absent: not said. */
  readonly leftAlone?: readonly number[]
  readonly leftAloneFor: string
  readonly habitat?: GroundNote['habitat']
  readonly companions?: GroundNote['companions']
}

export const NEIGHBOURS = ['busyRoad', 'railway', 'works', 'field'] as const
export type Neighbour = (typeof NEIGHBOURS)[number]

/** A form with nothing typed; what rarely changes is there to be said again. */
export function emptyDraft(facts: GroundFacts | undefined): GroundDraft {
  return {
    from: facts?.permission?.value.from ?? '',
    until: facts?.permission?.value.until?.slice(0, 10) ?? '',
    sprayedOn: '',
    waitDays: '',
    near: { busyRoad: undefined, railway: undefined, works: undefined, field: undefined },
    metres: { busyRoad: '', railway: '', works: '', field: '' },
    fieldSprayedOn: '',
    floodedOn: '',
    soil: { lead: '', cadmium: '', arsenic: '' },
    soilOn: '',
    leftAloneFor: facts?.leftAlone?.value.why ?? '',
  }
}

export type ReadGround = { readonly facts: GroundNote } | { readonly fact: keyof GroundNote; readonly error: string }

class Wrong extends Error {
  readonly fact: keyof GroundNote

  constructor(fact: keyof GroundNote, sentence: string) {
    super(sentence)
    this.fact = fact
  }
}

/** The facts that were answered, or the first that cannot be read and what would do. */
export function readGround(draft: GroundDraft, known: GroundFacts | undefined): ReadGround {
  const facts: Record<string, unknown> = {}
  try {
    for (const fact of GROUND_FACTS) {
      const value = READERS[fact]?.(draft, known)
      if (value !== undefined) facts[fact] = value
    }
    return { facts }
  } catch (fault) {
    if (fault instanceof Wrong) return { fact: fault.fact, error: fault.message }
    throw fault
  }
}

type Reader<Fact extends keyof GroundNote> = (
  draft: GroundDraft,
  known: GroundFacts | undefined,
) => GroundNote[Fact] | undefined

const READERS: { readonly [Fact in keyof GroundNote]?: Reader<Fact> } = {
  permission: ({ from, until }) =>
    from.trim() === ''
      ? undefined
      : {
          from: from.trim(),
          until: until.trim() === '' ? null : dayIn('permission', until, 'The day the leave ends'),
        },
  law: ({ picking, digging }) => {
    if (picking === undefined && digging === undefined) return undefined
    if (picking === undefined || digging === undefined)
      throw new Wrong('law', 'The law there: say both, of picking and of digging.')
    return { picking, digging }
  },
  sprayed: ({ sprayed, sprayedOn, waitDays }) =>
    sprayed === undefined
      ? undefined
      : sprayed === 'never'
        ? { last: null }
        : {
            last: dayIn('sprayed', sprayedOn, 'The day of the last spraying'),
            ...(waitDays.trim() === ''
              ? {}
              : { wait_days: Math.ceil(amountIn('sprayed', waitDays, 'The wait on the label')) }),
          },
  busyRoad: (draft) => nearIn(draft, 'busyRoad', 'The distance to the road'),
  railway: (draft) => nearIn(draft, 'railway', 'The distance to the railway'),
  works: (draft) => nearIn(draft, 'works', 'The distance to the works'),
  field: (draft) => {
    const near = nearIn(draft, 'field', 'The distance to the farmed land')
    if (near === undefined) return undefined
    const on = draft.fieldSprayed === 'on' && near.distance_m !== null
    return { ...near, lastSprayed: on ? dayIn('field', draft.fieldSprayedOn, 'The day the field was sprayed') : null }
  },
  pastUse: ({ pastUse }) => pastUse,
  manured: ({ manured }) => manured,
  dogs: ({ dogs }) => dogs,
  grazed: ({ grazed }) => (grazed === undefined ? undefined : grazed === 'yes'),
  looksHealthy: ({ healthy }) => (healthy === undefined ? undefined : healthy === 'yes'),
  vigour: ({ vigour }) => vigour,
  water: ({ water }) => water,
  upstream: ({ upstream }) => upstream,
  flood: ({ flooded, floodedOn }) =>
    flooded === undefined
      ? undefined
      : { last: flooded === 'never' ? null : dayIn('flood', floodedOn, 'The day of the flood') },
  soil: ({ soil, soilOn }, known) => {
    const typed = SOIL_METALS.filter((what) => soil[what].trim() !== '')
    if (typed.length === 0) return undefined
    const on = dayIn('soil', soilOn, 'The day of the soil test')
    return [
      ...(known?.soil?.value ?? []),
      ...typed.map((what) => ({ what, mg_per_kg: amountIn('soil', soil[what], `The ${what} in the soil`), on })),
    ]
  },
  access: ({ access }) => access,
  leftAlone: ({ leftAlone, leftAloneFor }) => {
    if (leftAlone === undefined) return undefined
    if (leftAlone.length > 0 && leftAloneFor.trim() === '')
      throw new Wrong('leftAlone', 'Left alone: say for whom or what, such as nests or early bloom.')
    const months = leftAlone.toSorted((a, b) => a - b)
    return months.length === 0 ? { months } : { months, why: leftAloneFor.trim() }
  },
  habitat: ({ habitat }) => habitat,
  companions: ({ companions }) => companions,
}

function nearIn({ near, metres }: GroundDraft, which: Neighbour, name: string) {
  if (near[which] === undefined) return undefined
  return { distance_m: near[which] === 'none' ? null : amountIn(which, metres[which], name) }
}

function amountIn(fact: keyof GroundNote, text: string, name: string): number {
  const value = readNumber(text)
  if (value === undefined || value < 0) throw new Wrong(fact, `${name}: give a number, such as 40.`)
  return value
}

function dayIn(fact: keyof GroundNote, text: string, name: string): string {
  const day = text.trim()
  const instant = `${day}T00:00:00.000Z`
  const isDay =
    /^\d{4}-\d{2}-\d{2}$/.test(day) && !Number.isNaN(Date.parse(instant)) && new Date(instant).toISOString() === instant
  if (!isDay) throw new Wrong(fact, `${name}: give year-month-day, such as 2024-06-14.`)
  return instant
}
