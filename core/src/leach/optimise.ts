import { simmerFuel } from '../heat/balance'
import { boilingPoint } from '../heat/boil'
import { cubic } from '../quantity/cubic'
import { diffusivity, leach, type Shape } from './leach'

/** A solute in the tissue. */
export interface Solute {
  readonly diffusivity25_m2_s: number
  readonly activation_kJ_mol: number
}

interface Within {
  readonly least: number
  readonly most: number
}

/** What may be chosen, and what the leach is to come to. */
export interface LeachChoice {
  readonly shape: Shape
  readonly heldLiquid_mL: number
  readonly solute: Solute
  /** What one would rather keep; nothing is kept count of where absent. */
  readonly keep?: Solute
  /** Share of the solute that may be left. */
  readonly target: number
  /** What the protocol and the kitchen allow. */
  readonly baths: Within
  readonly water_mL: Within
  readonly minutes: Within
  readonly temp_C: Within
  readonly size_mm: Within
  /** As the water comes. */
  readonly tap_C: number
  /** Of the heat of a burner what reaches the pot. */
  readonly burnerEfficiency: number
  /** Pouring off and filling again. */
  readonly change_min: number
  /** Nothing above these, where they are set. */
  readonly budget?: { readonly time_min?: number; readonly water_mL?: number; readonly fuel_kJ?: number }
}

/** Equal baths, and what they cost. */
export interface LeachPlan {
  readonly baths: number
  readonly water_mL: number
  readonly minutes: number
  readonly temp_C: number
  readonly size_mm: number
  readonly total: {
    readonly time_min: number
    readonly water_mL: number
    readonly fuel_kJ: number
    /** Share kept of what one would rather keep; 1 where nothing is kept count of. */
    readonly kept: number
  }
  readonly residual: number
}

export const LEACH_AIMS = ['time', 'water', 'fuel', 'kept'] as const
export type LeachAim = (typeof LEACH_AIMS)[number]

export interface LeachFront {
  /** The best plan for each aim alone; undefined where no setting reaches the target. */
  readonly best: Readonly<Record<LeachAim, LeachPlan>> | undefined
  /** Plans of which none is as good as another in everything and better in something, by time. */
  readonly front: readonly LeachPlan[]
  /** Why nothing does, where nothing does. */
  readonly why: string
}

const KJ_PER_kWh = 3600
/** Points of the tables over water to held liquid, and of the grid over what may be chosen. */
const RATIOS = 20
const FOURIERS = 40
const FOURIER = { least: 1e-5, most: 20 } as const
const GRID = { water: 36, temp: 13, size: 7 } as const
const ROUNDS = 6
const FRONT_AT_MOST = 40
const NUDGE = 1.01
const BRACKET = 1.15
const NUDGES = 12

/**
 * Equal baths that bring a solute down to a target: the quickest, the least water, the least fuel, the most kept of something else,
 * and the front between them.
 *
 * What equal baths leave depends on their number, the ratio of water to held liquid and the Fourier number of one of them alone,
 * whatever the warmth and the cut: that is solved by the leach engine on a table, so that the search is over closed forms: a
 * grid, then for each number of baths the best of it refined, each answer solved exactly in the end. For taste alone; what a protocol
 * asks of a toxic hazard is set beforehand, as the least of what may be chosen.
 */
export function optimiseLeach(choice: LeachChoice): LeachFront {
  const model = modelOf(choice)
  const plans: Draft[] = []
  for (let baths = choice.baths.least; baths <= choice.baths.most; baths += 1)
    for (const water_mL of spaced(choice.water_mL, GRID.water, true))
      for (const temp_C of spaced(choice.temp_C, GRID.temp, false))
        for (const size_mm of spaced(choice.size_mm, GRID.size, true)) {
          const plan = model.draft({ baths, water_mL, temp_C, size_mm })
          if (plan !== undefined) plans.push(plan)
        }
  if (plans.length === 0) return { best: undefined, front: [], why: whyNothing(choice) }
  const refined = LEACH_AIMS.map((aim) => refine(aim, plans, model, choice))
  const best = Object.fromEntries(
    LEACH_AIMS.map((aim, index) => [aim, bestSolved(aim, refined[index] ?? [], model)]),
  ) as unknown as LeachFront['best']
  return {
    best,
    front: thinned(nondominated([...plans, ...refined.flatMap(([first]) => first ?? [])])).map((plan) =>
      model.solved(plan, 'quick'),
    ),
    why: '',
  }
}

/** The table may be out by so much: numbers of baths that it holds for nearly as good are each solved exactly. */
const NEARLY = 0.05
const NEARLY_AT_MOST = 3

/** Of the best drafts of the numbers of baths, best first, the one that is best when solved exactly. */
function bestSolved(aim: LeachAim, drafts: readonly Draft[], model: Model): LeachPlan | undefined {
  const [first] = drafts
  if (first === undefined) return undefined
  const limit = costOfAim(aim, first) + NEARLY * Math.abs(costOfAim(aim, first))
  const solved = drafts
    .filter((draft) => costOfAim(aim, draft) <= limit)
    .slice(0, NEARLY_AT_MOST)
    .map((draft) => solvedFor(aim, draft, model))
  return solved.reduce((best, plan) => (better(aim, plan, best) ? plan : best))
}

function solvedFor(aim: LeachAim, draft: Draft, model: Model): LeachPlan {
  switch (aim) {
    case 'time':
      return model.leastTime(draft)
    case 'water':
      return model.leastWater(draft)
    case 'fuel':
    case 'kept':
      return model.solved(draft, 'exact')
  }
}

interface Setting {
  readonly baths: number
  readonly water_mL: number
  readonly temp_C: number
  readonly size_mm: number
}
type Draft = Omit<LeachPlan, 'residual'>

interface Model {
  /** What a setting costs; undefined where it cannot reach the target within what is allowed. */
  readonly draft: (setting: Setting) => Draft | undefined
  /** The same with its minutes solved by the leach engine itself. */
  readonly solved: (draft: Draft, follow: 'exact' | 'quick') => LeachPlan
  /** The same with as much more water, finer cut or warmth as still makes it quicker. */
  readonly leastTime: (draft: Draft) => LeachPlan
  /** The same with its water solved, as little as reaches the target in its time. */
  readonly leastWater: (draft: Draft) => LeachPlan
}

function modelOf(choice: LeachChoice): Model {
  const { solute, keep, heldLiquid_mL } = choice
  const left = residualTable(choice)
  const known = new Map<string, number | undefined>()
  const needed = (baths: number, ratio: number): number | undefined => {
    const key = `${baths} ${ratio}`
    if (!known.has(key))
      known.set(
        key,
        fourierNeeded((each) => left(baths, ratio, each), choice.target),
      )
    return known.get(key)
  }
  const perFourier_min = (size_mm: number, temp_C: number) => (size_mm / 2000) ** 2 / diffusivity(solute, temp_C) / 60
  const costOf = ({ baths, water_mL, temp_C, size_mm }: Setting, minutes: number, kept: number): Draft => {
    // The food's own warming is left out: it is the same whatever is chosen but for the number of baths.
    const { fuel_kWh } = simmerFuel({
      ...{ water_mL, minutes, temp_C, food_g: 0, foodTemp_C: choice.tap_C },
      waterTemp_C: choice.tap_C,
      efficiency: choice.burnerEfficiency,
    })
    return {
      ...{ baths, water_mL, minutes, temp_C, size_mm },
      total: {
        time_min: baths * (minutes + choice.change_min),
        water_mL: baths * water_mL,
        fuel_kJ: baths * fuel_kWh * KJ_PER_kWh,
        kept,
      },
    }
  }
  const after = (
    { baths, water_mL, temp_C, size_mm }: Setting,
    minutes: number,
    of: Solute,
    follow: 'exact' | 'quick' = 'exact',
  ) =>
    leach(
      {
        ...of,
        pieces: { shape: choice.shape, size_mm },
        heldLiquid_mL,
        baths: Array.from({ length: baths }, () => ({ water_mL, minutes, temp_C })),
      },
      follow,
    ).residual.at(-1) ?? 1
  const model: Model = {
    draft(setting) {
      const { baths, water_mL, temp_C, size_mm } = setting
      const ratio = water_mL / heldLiquid_mL
      const fourier = needed(baths, ratio)
      if (fourier === undefined) return undefined
      const pace = perFourier_min(size_mm, temp_C)
      const minutes = Math.max(choice.minutes.least, fourier * pace)
      if (minutes > choice.minutes.most) return undefined
      const kept =
        keep === undefined
          ? 1
          : left(baths, ratio, ((minutes / pace) * diffusivity(keep, temp_C)) / diffusivity(solute, temp_C))
      const draft = costOf(setting, minutes, kept)
      return withinBudget(draft, choice) ? draft : undefined
    },
    solved(draft, follow) {
      // The table may be out by a little where time is all used up: then the water, the cut or the warmth gives way.
      let setting: Setting = draft
      for (
        let step = 0;
        step < NUDGES && after(setting, choice.minutes.most, solute, follow) > choice.target;
        step += 1
      )
        setting = nudged(setting, choice)
      // Residual falls with time: from the table's answer outwards until the target lies between, then halved.
      const reached = (minutes: number) => after(setting, minutes, solute, follow) <= choice.target
      let high = Math.min(choice.minutes.most, draft.minutes)
      while (high < choice.minutes.most && !reached(high)) high = Math.min(choice.minutes.most, high * BRACKET)
      let low = Math.max(choice.minutes.least, high / BRACKET)
      while (low > choice.minutes.least && reached(low)) {
        high = low
        low = Math.max(choice.minutes.least, low / BRACKET)
      }
      if (low === choice.minutes.least && reached(low)) high = low
      for (let step = 0; step < (follow === 'exact' ? 16 : 8) && high > low; step += 1) {
        const middle = (low + high) / 2
        if (reached(middle)) high = middle
        else low = middle
      }
      return {
        ...costOf(setting, high, keep === undefined ? 1 : after(setting, high, keep, follow)),
        residual: after(setting, high, solute, follow),
      }
    },
    leastTime(draft) {
      let plan = model.solved(draft, 'exact')
      for (let step = 0; step < NUDGES && plan.minutes > choice.minutes.least; step += 1) {
        const next = model.solved({ ...plan, ...nudged(plan, choice) }, 'exact')
        if (!withinBudget(next, choice) || !better('time', next, plan)) break
        plan = next
      }
      return plan
    },
    leastWater(draft) {
      const solved = model.solved(draft, 'exact')
      const reached = (water_mL: number) => after({ ...solved, water_mL }, solved.minutes, solute) <= choice.target
      let [low, high] = [choice.water_mL.least, solved.water_mL]
      if (reached(low)) high = low
      for (let step = 0; step < 16 && high - low > 1e-4 * high; step += 1) {
        const middle = (low + high) / 2
        if (reached(middle)) high = middle
        else low = middle
      }
      return model.solved({ ...solved, water_mL: high }, 'exact')
    },
  }
  return model
}

/** A setting that leaves a little less: more water, else a finer cut, else warmer. */
function nudged(setting: Setting, { water_mL, size_mm, temp_C }: LeachChoice): Setting {
  if (setting.water_mL < water_mL.most)
    return { ...setting, water_mL: Math.min(water_mL.most, setting.water_mL * NUDGE) }
  if (setting.size_mm > size_mm.least) return { ...setting, size_mm: Math.max(size_mm.least, setting.size_mm / NUDGE) }
  return { ...setting, temp_C: Math.min(temp_C.most, setting.temp_C + 1) }
}

function withinBudget({ total }: Draft, { budget = {} }: LeachChoice): boolean {
  return (
    total.time_min <= (budget.time_min ?? Infinity) &&
    total.water_mL <= (budget.water_mL ?? Infinity) &&
    total.fuel_kJ <= (budget.fuel_kJ ?? Infinity)
  )
}

/** What is left after so many equal baths, by the ratio of water to held liquid and the Fourier number of a bath. */
type ResidualTable = (baths: number, ratio: number, fourier: number) => number

/**
 * Solved at some ratios and Fourier numbers, told between by a cubic of the logarithm. One leach of many baths tells of all fewer
 * ones; and what else moves in the tissue is told by the same table at a Fourier number of its own.
 */
function residualTable({ shape, baths, water_mL, heldLiquid_mL }: LeachChoice): ResidualTable {
  const ratios = spaced({ least: water_mL.least / heldLiquid_mL, most: water_mL.most / heldLiquid_mL }, RATIOS, true)
  const fouriers = spaced(FOURIER, FOURIERS, true)
  const logs = ratios.map((ratio) =>
    fouriers.map((fourier) =>
      // A piece a metre from face to middle, in which the diffusivity is the Fourier number a minute.
      leach(
        {
          pieces: { shape, size_mm: 2000 },
          heldLiquid_mL: 1,
          diffusivity25_m2_s: fourier / 60,
          activation_kJ_mol: 0,
          baths: Array.from({ length: baths.most }, () => ({ water_mL: ratio, minutes: 1, temp_C: 25 })),
        },
        'quick',
      ).residual.map(Math.log),
    ),
  )
  return (count, ratio, fourier) => {
    const [row, column] = [placeOf(ratios, ratio), placeOf(fouriers, fourier)]
    const [r, c] = [
      Math.min(Math.floor(row), Math.max(0, ratios.length - 2)),
      Math.min(Math.floor(column), FOURIERS - 2),
    ]
    const at = (each: number, other: number) =>
      logs[within(each, ratios.length)]?.[within(other, FOURIERS)]?.[count - 1] ?? 0
    const along = (each: number) => cubic(at(each, c - 1), at(each, c), at(each, c + 1), at(each, c + 2), column - c)
    return Math.exp(cubic(along(r - 1), along(r), along(r + 1), along(r + 2), row - r))
  }
}

function within(index: number, length: number): number {
  return Math.max(0, Math.min(length - 1, index))
}

/** The least Fourier number of a bath with which no more than the target is left; undefined where rest itself leaves more. */
function fourierNeeded(left: (fourier: number) => number, target: number): number | undefined {
  let [low, high]: [number, number] = [FOURIER.least, FOURIER.most]
  if (left(high) > target) return undefined
  for (let step = 0; step < 24; step += 1) {
    const middle = Math.sqrt(low * high)
    if (left(middle) <= target) high = middle
    else low = middle
  }
  return high
}

function costOfAim(aim: LeachAim, { total }: Draft): number {
  switch (aim) {
    case 'time':
      return total.time_min
    case 'water':
      return total.water_mL
    case 'fuel':
      return total.fuel_kJ
    case 'kept':
      return -total.kept
  }
}

/** Ties are broken by time, then water: of two that need no fuel the quicker is the better. */
function better(aim: LeachAim, a: Draft, b: Draft): boolean {
  const [one, other] = [costOfAim(aim, a), costOfAim(aim, b)]
  const even = Math.abs(one - other) <= 1e-9 * Math.max(1, Math.abs(other))
  return even
    ? a.total.time_min < b.total.time_min - 1e-9 ||
        (a.total.time_min <= b.total.time_min + 1e-9 && a.total.water_mL < b.total.water_mL - 1e-9)
    : one < other
}

/** The best of the grid for each number of baths, its neighbourhood searched ever more finely; the best first. */
function refine(aim: LeachAim, plans: readonly Draft[], model: Model, choice: LeachChoice): readonly Draft[] {
  const starts = new Map<number, Draft>()
  for (const plan of plans) {
    const there = starts.get(plan.baths)
    if (there === undefined || better(aim, plan, there)) starts.set(plan.baths, plan)
  }
  const found = [...starts.values()].map((start) => refineFrom(aim, start, model, choice))
  return found.sort((a, b) => (better(aim, a, b) ? -1 : better(aim, b, a) ? 1 : 0))
}

function refineFrom(aim: LeachAim, start: Draft, model: Model, choice: LeachChoice): Draft {
  let best = start
  const factor = (range: Within, points: number) => (range.most / Math.max(range.least, 1e-9)) ** (1 / (points - 1))
  let water = factor(choice.water_mL, GRID.water)
  let size = factor(choice.size_mm, GRID.size)
  let temp = (choice.temp_C.most - choice.temp_C.least) / (GRID.temp - 1)
  for (let round = 0; round < ROUNDS; round += 1) {
    const around = best
    for (const w of [-1, -0.5, 0, 0.5, 1])
      for (const t of [-1, -0.5, 0, 0.5, 1])
        for (const s of [-1, -0.5, 0, 0.5, 1]) {
          const plan = model.draft({
            baths: around.baths,
            water_mL: clamp(around.water_mL * water ** w, choice.water_mL),
            temp_C: clamp(around.temp_C + temp * t, choice.temp_C),
            size_mm: clamp(around.size_mm * size ** s, choice.size_mm),
          })
          if (plan !== undefined && better(aim, plan, best)) best = plan
        }
    water = Math.sqrt(water)
    size = Math.sqrt(size)
    temp /= 2
  }
  return best
}

/** Those that no other equals or betters in everything. */
function nondominated(plans: readonly Draft[]): readonly Draft[] {
  const costs = (plan: Draft) => LEACH_AIMS.map((aim) => costOfAim(aim, plan))
  const sorted = plans.toSorted((a, b) => a.total.time_min - b.total.time_min || a.total.water_mL - b.total.water_mL)
  const front: { plan: Draft; costs: readonly number[] }[] = []
  for (const plan of sorted) {
    const own = costs(plan)
    if (front.some(({ costs: other }) => other.every((each, index) => each <= (own[index] ?? 0) + 1e-9))) continue
    front.push({ plan, costs: own })
  }
  return front.map(({ plan }) => plan)
}

/** Some of a front, spread over its length, both ends kept. */
function thinned(front: readonly Draft[]): readonly Draft[] {
  if (front.length <= FRONT_AT_MOST) return front
  return Array.from(
    { length: FRONT_AT_MOST },
    (_, index) => front[Math.round((index * (front.length - 1)) / (FRONT_AT_MOST - 1))] as Draft,
  )
}

function whyNothing(choice: LeachChoice): string {
  const { target, water_mL, heldLiquid_mL, baths } = choice
  if ((1 + water_mL.most / heldLiquid_mL) ** -baths.most >= target)
    return `Even ${baths.most} baths of ${Math.round(water_mL.most)} mL at rest leave more than that: it needs more water or more baths.`
  return 'No allowed setting brings it so low within the time, water and fuel that there are.'
}

/** The warmest bath that a kitchen can keep. @example warmestBath_C(1180) // 96 */
export function warmestBath_C(elevation_m: number): number {
  return Math.floor(boilingPoint({ elevation_m }).temp_C)
}

/** Evenly spaced values of a range, on the logarithm where it spans a scale; one where both ends are one. */
function spaced({ least, most }: Within, points: number, logarithmic: boolean): readonly number[] {
  if (most - least < 1e-12) return [least]
  return Array.from({ length: points }, (_, index) => {
    const share = index / (points - 1)
    return logarithmic ? least * (most / least) ** share : least + (most - least) * share
  })
}

/** Where a value lies in logarithmically spaced ones, in points. */
function placeOf(values: readonly number[], value: number): number {
  const [first = 1, last = 1] = [values[0], values.at(-1)]
  if (values.length < 2) return 0
  const place = (Math.log(value / first) / Math.log(last / first)) * (values.length - 1)
  return Math.max(0, Math.min(values.length - 1, place))
}

function clamp(value: number, { least, most }: Within): number {
  return Math.max(least, Math.min(most, value))
}
