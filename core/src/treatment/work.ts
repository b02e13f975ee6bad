import { scaleRange, type Range } from '../quantity/range'
import type { PlannedStep } from './planTypes'

/** What one step of a plan asks of hands, clock and cupboard. */
export interface StepWork {
  /** Minutes with hands in it. */
  readonly hands_min: Range
  /** Minutes in which it does its work alone. */
  readonly waiting_min: number
  readonly tools: readonly string[]
}

export interface PlanWork {
  readonly steps: readonly StepWork[]
  readonly hands_min: Range
  readonly waiting_min: number
  /** Each once, in the order in which they are wanted. */
  readonly tools: readonly string[]
}

/** What an operation asks: minutes for a kilogram, for each load or bath, and whatever the amount; and its tools. */
interface Asked {
  readonly perKg_min?: number
  readonly perLoad_min?: number
  readonly once_min?: number
  /** Hands stay in it as long as it lasts. */
  readonly watched?: true
  readonly tools?: readonly string[]
}

const POT = 'a pot with a lid'
const LIFTER = 'a skimmer or sieve'
const BOWL = 'a large bowl'
const CLOTH = 'a cloth'
const KNIFE = 'a knife and a board'

/** Planning values for one pair of practised hands; a slow pair takes twice as long, see {@link SPREAD}. */
const ASKED: Readonly<Record<string, Asked>> = {
  sort: { perKg_min: 12, tools: ['a light place', 'a scale'] },
  trim: { perKg_min: 12, tools: [KNIFE] },
  'shake-out': { perKg_min: 2, tools: [] },
  wash: { perKg_min: 5, tools: [BOWL] },
  rinse: { perKg_min: 3, tools: [BOWL] },
  chop: { perKg_min: 6, tools: [KNIFE] },
  peel: { perKg_min: 25, tools: [KNIFE] },
  shell: { perKg_min: 35, tools: ['a nutcracker or a stone'] },
  crack: { perKg_min: 35, tools: ['a nutcracker or a stone'] },
  grind: { perKg_min: 12, tools: ['a mill or mortar'] },
  mill: { perKg_min: 12, tools: ['a mill or mortar'] },
  'float-off': { perKg_min: 5, tools: [BOWL] },
  press: { perKg_min: 4, tools: [CLOTH] },
  sieve: { perKg_min: 6, tools: ['a sieve', CLOTH] },
  'strain-seeds': { perKg_min: 6, tools: ['a sieve'] },
  juice: { perKg_min: 10, tools: ['a sieve', CLOTH] },
  blanch: { perLoad_min: 3, once_min: 2, tools: [POT, LIFTER] },
  boil: { perLoad_min: 3, once_min: 2, tools: [POT, LIFTER] },
  steam: { perLoad_min: 2, once_min: 2, tools: ['a steamer'] },
  simmer: { once_min: 5, tools: [POT] },
  wilt: { watched: true, tools: ['a wide pan with a lid'] },
  saute: { watched: true, tools: ['a wide pan'] },
  fry: { watched: true, tools: ['a wide pan'] },
  toast: { watched: true, tools: ['a dry pan'] },
  'cook-jam': { watched: true, tools: [POT] },
  roast: { once_min: 6, tools: ['an oven or embers'] },
  bake: { once_min: 6, tools: ['an oven or embers'] },
  'pit-bake': { once_min: 60, tools: ['a spade, stones'] },
  refresh: { perLoad_min: 2, tools: [BOWL] },
  crisp: { once_min: 4, tools: [BOWL, CLOTH] },
  'leach-static': { perLoad_min: 8, tools: [BOWL, CLOTH] },
  'leach-hot': { perLoad_min: 8, tools: [POT, CLOTH] },
  'leach-running': { once_min: 10, tools: [CLOTH, 'clean running water'] },
  'soak-cold': { once_min: 5, tools: [BOWL] },
  'soak-acidulated': { once_min: 5, tools: [BOWL] },
  dry: { perKg_min: 8, tools: ['racks or a drier', 'a scale'] },
  freeze: { perKg_min: 5, tools: ['containers with labels'] },
  'freeze-thaw': { once_min: 5, tools: ['containers with labels'] },
  ferment: { perKg_min: 8, tools: ['a jar with a weight', 'a scale'] },
  brine: { once_min: 8, tools: ['a jar with a weight', 'a scale'] },
  pickle: { once_min: 12, tools: [POT, 'jars', 'a pH meter or strips'] },
  'infuse-water': { once_min: 3, tools: [POT] },
  'infuse-syrup': { once_min: 12, tools: [POT, 'a scale'] },
  'infuse-vinegar': { once_min: 6, tools: ['a jar'] },
  'infuse-oil': { once_min: 6, tools: ['a jar', 'a refrigerator'] },
}
const UNKNOWN: Asked = { once_min: 5 }
/** Practised hands to slow ones. */
const SPREAD: Range = { low: 0.6, usual: 1, high: 2 }

/**
 * What a plan asks of hands and clock, step by step and in all, and which tools: reckoned from the mass, the loads and the baths.
 * Planning values, one pair of hands, one thing after another; several hands and burners are what `schedule` is for.
 */
export function planWork(mass_g: number, steps: readonly PlannedStep[]): PlanWork {
  const each = steps.map((step) => stepWork(mass_g, step))
  const sum = (of: (work: StepWork) => number) => each.reduce((total, work) => total + of(work), 0)
  return {
    steps: each,
    hands_min: {
      low: sum(({ hands_min }) => hands_min.low),
      usual: sum(({ hands_min }) => hands_min.usual),
      high: sum(({ hands_min }) => hands_min.high),
    },
    waiting_min: sum(({ waiting_min }) => waiting_min),
    tools: [...new Set(each.flatMap(({ tools }) => tools))],
  }
}

/** Minutes that a slow pair of hands has in a kilogram of an operation; 0 where it asks none by the kilogram. */
export function slowPerKg_min(op: string): number {
  return (ASKED[op]?.perKg_min ?? 0) * SPREAD.high
}

function stepWork(mass_g: number, step: PlannedStep): StepWork {
  const { op, minutes = 0, baths, loads, ice_g } = step
  const { perKg_min = 0, perLoad_min = 0, once_min = 0, watched, tools = [] } = ASKED[op] ?? UNKNOWN
  const times = baths?.least ?? loads?.count ?? 1
  const lasts_min = minutes * times
  const usual = (perKg_min * mass_g) / 1000 + perLoad_min * times + once_min
  const fixed = watched === true ? lasts_min : 0
  const boils_min = loads === undefined ? 0 : loads.toBoil_min * loads.fillings + (loads.recovery_s / 60) * loads.count
  return {
    hands_min: addFixed(scaleRange(SPREAD, usual), fixed),
    waiting_min: boils_min + (watched === true ? 0 : lasts_min),
    tools: ice_g === undefined || ice_g === 0 ? tools : [...tools, BOWL, 'ice'],
  }
}

function addFixed({ low, usual, high }: Range, minutes: number): Range {
  return { low: low + minutes, usual: usual + minutes, high: high + minutes }
}
