import type { LogNormal } from '../taste/forecast'

/** What a rehearsal is about: a lot of acorns as it may come into a kitchen, and what is wanted of it. */
export interface Scenario {
  readonly id: string
  readonly name: string
  /** From 1, easy, to 5, treacherous. */
  readonly difficulty: 1 | 2 | 3 | 4 | 5
  readonly tells: string
  readonly mass_g: number
  /** Flour must still bind; what is eaten now need not. */
  readonly wants: 'flour' | 'eat'
  readonly tap_C: number
  readonly elevation_m: number
  readonly water_mL: number
  /** When it must be on the table. */
  readonly hours: number
  /** A brook or a tap that may run. */
  readonly running: boolean
  readonly truth: {
    readonly diffusivity25_m2_s: LogNormal
    readonly strength: LogNormal
    /** How much worse this cook's tongue finds it than others do, points of ten. */
    readonly tongue: number
    /** What no water mends, and what looking closely shows of it. */
    readonly spoiled?: string
  }
}

const USUAL = {
  diffusivity25_m2_s: { median: 6e-11, gsd: 1.3 },
  strength: { median: 6, gsd: 1.15 },
  tongue: 0,
} as const
const BASE = {
  mass_g: 800,
  wants: 'eat',
  tap_C: 9,
  elevation_m: 300,
  water_mL: 60_000,
  hours: 120,
  running: false,
  truth: USUAL,
} as const

/** From easy to treacherous. Made up, each for one thing that cooks get wrong. */
export const SCENARIOS: readonly Scenario[] = [
  {
    ...BASE,
    id: 'an-even-tree',
    name: 'An even tree',
    difficulty: 1,
    tells: 'Acorns of a tree like the book’s middle one, cold water enough and five days. Make them good.',
  },
  {
    ...BASE,
    id: 'a-mild-tree',
    name: 'A mild tree',
    difficulty: 1,
    tells: 'A tree that children eat from, they say. Do what must be done, and no more than that.',
    truth: { ...USUAL, strength: { median: 1.2, gsd: 1.15 } },
  },
  {
    ...BASE,
    id: 'bread',
    name: 'Flour that binds',
    difficulty: 2,
    tells: 'It is to be baked tomorrow week, and the dough must hold together.',
    wants: 'flour',
    hours: 160,
    running: true,
  },
  {
    ...BASE,
    id: 'guests-tonight',
    name: 'Guests tonight',
    difficulty: 2,
    tells: 'Eight hours until they sit down. It need not bind; it must be good.',
    hours: 8,
  },
  {
    ...BASE,
    id: 'a-bitter-tree',
    name: 'A bitter tree',
    difficulty: 3,
    tells: 'From the dry slope. The book says six baths; the book has not tasted this tree.',
    hours: 240,
    water_mL: 90_000,
    truth: { ...USUAL, strength: { median: 22, gsd: 1.2 } },
  },
  {
    ...BASE,
    id: 'the-cistern',
    name: 'The cistern is low',
    difficulty: 3,
    tells: 'Twenty-two litres until the rain comes. Every bath counts, and none may be left out.',
    water_mL: 22_000,
    hours: 200,
  },
  {
    ...BASE,
    id: 'a-sore-tongue',
    name: 'A tongue that shouts',
    difficulty: 4,
    tells: 'You have a cold, and all tastes harsh to you today. The others at the table are well.',
    hours: 200,
    truth: { ...USUAL, tongue: 1.6 },
  },
  {
    ...BASE,
    id: 'a-warm-kitchen',
    name: 'A warm kitchen',
    difficulty: 4,
    tells: 'August: water comes at 21 °C, and there is no cellar. Wet meal sours while you sleep.',
    tap_C: 21,
    hours: 60,
  },
  {
    ...BASE,
    id: 'the-damp-sack',
    name: 'The damp sack',
    difficulty: 5,
    tells: 'A neighbour’s sack, some weeks in the shed. A fine big lot, and the table is laid.',
    hours: 100,
    truth: {
      ...USUAL,
      spoiled:
        'One kernel in three is grey and furred inside and smells of cellar. What moulds leave in it no water and no heat takes out.',
    },
  },
]
