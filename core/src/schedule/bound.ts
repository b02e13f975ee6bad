import { Network } from './network'
import type { Model } from './problem'
import { search } from './search'

/**
 * A time before which nothing can be done: the longest chain; for each resource, all that is still to come from a moment on, put
 * in as work, and the shortest tail after it; then, by halving, the first end that does not lead to a contradiction by
 * derivation alone (destructive bound, Klein & Scholl 1999).
 */
export function lowerBound(model: Model, isOver: () => boolean): number {
  const network = new Network(model)
  if (!network.reset(model.horizon)) return 0
  // A due shortens the time there is and not the way to the end: tails are measured without any.
  const free = new Network({ ...model, due: model.due.map(() => Infinity) })
  free.reset(model.horizon)
  const simple = Math.max(network.end, ...model.capacity.map((_, resource) => workBound(model, free, resource)))
  let [low, high] = [simple, model.horizon]
  const refuted = (end: number) => search(model, end, { isOver, deadEnds: 0 }).kind === 'none'
  if (!refuted(low)) return low
  const step = model.whole ? 1 : 1e-3
  while (high - low > step && !isOver()) {
    const middle = model.whole ? Math.floor((low + high) / 2) : (low + high) / 2
    if (refuted(middle)) low = middle
    else high = middle
  }
  return model.whole ? low + 1 : low
}

/** Work of the tasks that cannot begin before some moment, over the capacity that is open from then on, and the least tail. */
function workBound(model: Model, network: Network, resource: number): number {
  const needs = model.needs[resource] as readonly number[]
  const capacity = model.capacity[resource] as number
  const tasks = needs.flatMap((need, task) => (need > 0 && (model.minutes[task] as number) > 0 ? [task] : []))
  const tail = (task: number) => model.horizon - (network.latest[task] as number) - (model.minutes[task] as number)
  let bound = 0
  for (const { from } of tasks.map((task) => ({ from: network.earliest[task] as number }))) {
    const later = tasks.filter((task) => (network.earliest[task] as number) >= from)
    for (const least of new Set(later.map(tail))) {
      const with_ = later.filter((task) => tail(task) >= least)
      const work = with_.reduce((sum, task) => sum + (needs[task] as number) * (model.minutes[task] as number), 0)
      bound = Math.max(
        bound,
        openAfter(model.closed[with_[0] as number] ?? [], with_, model, from, work / capacity) + least,
      )
    }
  }
  return bound
}

/** The moment by which so many open minutes have passed; closures count only where they close it for all of these tasks. */
function openAfter(
  closed: readonly (readonly [number, number])[],
  tasks: readonly number[],
  model: Model,
  from: number,
  minutes: number,
): number {
  const shared = closed.filter(([a, b]) =>
    tasks.every((task) => model.closed[task]?.some(([c, d]) => c <= a && d >= b) === true),
  )
  let at = from
  let left = minutes
  for (const [closes, opens] of shared) {
    if (opens <= at) continue
    if (at + left <= closes) break
    left -= Math.max(0, closes - at)
    at = opens
  }
  return at + left
}
