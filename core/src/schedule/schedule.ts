import { chance } from '../quantity/chance'
import { lowerBound } from './bound'
import { keyOf, modelOf, reasonsOf, tellReason, type Model, type ScheduleAnswer, type ScheduleInput } from './problem'
import { search, type Order } from './search'

export const BUDGET_ms = 2000
const SEED = 20_270_516
/** Shares of the budget: for a first timetable, for bettering it, and the rest for proving. */
const FIRST_SHARE = 0.35
const BETTER_SHARE = 0.7
const FIRST_DEAD_ENDS = 60
const BETTER_DEAD_ENDS = 40
const FRACTION = 1e-6

/**
 * A timetable of least makespan for tasks that need hands, burners and vessels, with links from finish to start, closed hours,
 * releases and dues. Tasks are not interrupted.
 *
 * A bound from below by derivation; timetables by branch and bound with restarts; bettered by keeping most of the best one's
 * order and searching the rest anew; at last the whole tree, until there is nothing better (`optimal`) or time is up
 * (`feasible`). Where no timetable exists, a set of links, dues and closures of which none can be left out. The time is read from
 * `now_ms`; without one it searches to the end. Chance comes from one seed.
 */
export function schedule(input: ScheduleInput, now_ms?: () => number): ScheduleAnswer {
  const model = modelOf(input)
  const budget = input.budget_ms ?? BUDGET_ms
  const begun = now_ms?.() ?? 0
  const overAt = (share: number) => () => now_ms !== undefined && now_ms() - begun > budget * share
  const isOver = overAt(1)
  const tooHungry = input.tasks.find(({ needs = {} }) =>
    input.resources.some(({ id, capacity }) => (needs[id] ?? 0) > capacity),
  )
  if (tooHungry !== undefined) return infeasible([`need of ${tooHungry.id}: more than there is at any time`])
  if (model.count === 0) return { status: 'optimal', starts: {}, makespan: 0, lowerBound: 0, why: [] }
  const quick = search(model, model.horizon, { isOver, deadEnds: 0 })
  if (quick.kind === 'none') return infeasible(explain(input, overAt(EXPLAIN_SHARE)))
  const bound = lowerBound(model, overAt(FIRST_SHARE))
  let best: Found | undefined = quick.kind === 'found' ? quick : undefined
  const random = chance(SEED)
  for (let round = 0; best === undefined && !overAt(FIRST_SHARE)(); round += 1) {
    const limits = { isOver: overAt(FIRST_SHARE), deadEnds: FIRST_DEAD_ENDS * (1 + round) }
    const found = search(model, model.horizon, round === 0 ? limits : { ...limits, random })
    if (found.kind === 'none') return infeasible(explain(input, overAt(EXPLAIN_SHARE)))
    if (found.kind === 'found') best = found
    else if (round > MOST_ROUNDS) break
  }
  if (best !== undefined) best = bettered(model, best, bound, random, overAt(BETTER_SHARE))
  // The whole tree, from the best that is known downwards.
  let proved = best !== undefined && best.end <= bound + FRACTION
  while (!proved) {
    const end = best === undefined ? model.horizon : below(best.end, model)
    const found = search(model, end, { isOver, deadEnds: Infinity })
    if (found.kind === 'gave-up') break
    if (found.kind === 'none') proved = true
    else best = found
    if (best === undefined) return infeasible(explain(input, overAt(EXPLAIN_SHARE)))
    if (best.end <= bound + FRACTION) proved = true
  }
  if (best === undefined) return { status: 'unknown', starts: {}, makespan: null, lowerBound: tidy(bound), why: [] }
  return {
    status: proved ? 'optimal' : 'feasible',
    starts: Object.fromEntries(input.tasks.map(({ id }, task) => [id, tidy(best.starts[task] as number)])),
    makespan: tidy(best.end),
    lowerBound: tidy(proved ? best.end : Math.min(bound, best.end)),
    why: [],
  }
}

const MOST_ROUNDS = 400

interface Found {
  readonly starts: Float64Array
  readonly end: number
}

/** Keeps most of the order of the best timetable, frees a stretch of time or a handful of tasks, and looks for a shorter one. */
function bettered(model: Model, first: Found, bound: number, random: () => number, isOver: () => boolean): Found {
  let best = first
  let freed = Math.min(model.count, 6)
  for (let idle = 0; best.end > bound + FRACTION && idle < IDLE_AT_MOST && !isOver();) {
    const free = pickFree(model, best, freed, random)
    const found = search(
      model,
      below(best.end, model),
      { isOver, deadEnds: BETTER_DEAD_ENDS, random },
      ordersOf(model, best, free),
    )
    if (found.kind === 'found') {
      best = found
      idle = 0
      freed = Math.min(model.count, 6)
    } else {
      idle += 1
      if (idle % 8 === 0) freed = Math.min(model.count, freed + 1)
    }
  }
  return best
}

const IDLE_AT_MOST = 120

function pickFree(model: Model, { starts, end }: Found, many: number, random: () => number): ReadonlySet<number> {
  const all = Array.from({ length: model.count }, (_, task) => task)
  if (random() < 0.5) {
    const centre = random() * end
    const near = (task: number) => Math.abs((starts[task] as number) + (model.minutes[task] as number) / 2 - centre)
    return new Set(all.toSorted((a, b) => near(a) - near(b)).slice(0, many))
  }
  const free = new Set<number>()
  while (free.size < many) free.add(Math.floor(random() * model.count))
  return free
}

/** Of tasks that share a resource, who went before whom, the free ones apart. */
function ordersOf(model: Model, { starts }: Found, free: ReadonlySet<number>): readonly Order[] {
  const orders: Order[] = []
  for (let a = 0; a < model.count; a += 1)
    for (let b = 0; b < model.count; b += 1) {
      if (a === b || free.has(a) || free.has(b)) continue
      const before = (starts[a] as number) + (model.minutes[a] as number) <= (starts[b] as number) + FRACTION
      const share = model.needs.some((needs) => (needs[a] as number) > 0 && (needs[b] as number) > 0)
      // Tasks of no length stand before and after each other: held both ways they would be tied to one moment.
      if (before && share && ((starts[a] as number) < (starts[b] as number) || a < b)) orders.push([a, b])
    }
  return orders
}

function below(end: number, { whole }: Model): number {
  return whole ? end - 1 : end - FRACTION
}

/** Dead ends of each trial, and by how much the budget may be overdrawn for a short answer. */
const EXPLAIN_DEAD_ENDS = 400
const EXPLAIN_SHARE = 1.5

/** A set of reasons that cannot hold together, of which none can be left out: each is tried without (deletion filter). */
function explain(input: ScheduleInput, isOver: () => boolean): readonly string[] {
  const left = new Set<string>()
  const reasons = reasonsOf(input)
  const impossible = (without: ReadonlySet<string>) => {
    const model = modelOf(input, without)
    return search(model, model.horizon, { isOver: () => false, deadEnds: EXPLAIN_DEAD_ENDS }).kind === 'none'
  }
  for (const reason of reasons) {
    if (isOver()) break
    const without = new Set([...left, keyOf(reason)])
    if (impossible(without)) left.add(keyOf(reason))
  }
  return reasons.filter((reason) => !left.has(keyOf(reason))).map((reason) => tellReason(reason, input))
}

function infeasible(why: readonly string[]): ScheduleAnswer {
  return { status: 'infeasible', starts: {}, makespan: null, lowerBound: 0, why }
}

/** Sums of fractions without their dust. */
function tidy(value: number): number {
  return Math.round(value * 1e6) / 1e6
}
