import { Network, SAME } from './network'
import type { Model } from './problem'

export interface SearchLimits {
  /** Whether time is up. */
  readonly isOver: () => boolean
  /** Dead ends before it gives up. */
  readonly deadEnds: number
  /** For trying in another order; none: the most promising first. */
  readonly random?: () => number
}

export type Outcome =
  | { readonly kind: 'found'; readonly starts: Float64Array; readonly end: number }
  | { readonly kind: 'none' }
  | { readonly kind: 'gave-up' }

/** A precedence that is held fixed: the second begins when the first is done. */
export type Order = readonly [first: number, second: number]

/**
 * A timetable that ends by `end`, or that there is none, or that it gave up. Branch and bound on resource conflicts: where the
 * earliest starts ask more of a resource than it has, one task of the conflict must be done before another begins (De Reyck &
 * Herroelen 1998); each choice rules out the ones tried before it. Between choices what must follow is derived: pairs that
 * cannot overlap, and what surely runs at a time (time-table reasoning).
 */
export function search(model: Model, end: number, limits: SearchLimits, orders: readonly Order[] = []): Outcome {
  const network = new Network(model)
  if (!network.reset(end)) return { kind: 'none' }
  for (const [first, second] of orders)
    if (!network.add(first, second, model.minutes[first] as number)) return { kind: 'none' }
  const rivals = rivalsOf(model)
  let deadEnds = 0
  let visits = 0

  const dive = (depth: number): Outcome => {
    visits += 1
    if (visits % CHECK_EVERY === 0 && limits.isOver()) return { kind: 'gave-up' }
    const added: Order[] = []
    const back = () => {
      for (const [from, to] of added.reverse()) network.drop(from, to)
    }
    if (!derive(network, rivals, added)) {
      back()
      deadEnds += 1
      // At the root it is a proof, however few dead ends are allowed.
      return depth > 0 && deadEnds > limits.deadEnds ? { kind: 'gave-up' } : { kind: 'none' }
    }
    const conflict = conflictOf(network)
    if (conflict === undefined) {
      const found: Outcome = { kind: 'found', starts: network.earliest.slice(), end: network.end }
      back()
      return found
    }
    const here = network.save()
    const choices = choicesOf(network, conflict, limits.random)
    let outcome: Outcome = { kind: 'none' }
    const ruledOut: Order[] = []
    for (const [first, second] of choices) {
      const length = model.minutes[first] as number
      let holds = network.add(first, second, length)
      if (holds) {
        const below = dive(depth + 1)
        if (below.kind !== 'none') outcome = below
      }
      network.drop(first, second)
      network.restore(here)
      if (outcome.kind !== 'none') break
      if (!model.whole) continue
      // Tried in full: from here on the second begins before the first is done. The branches do not overlap.
      holds = network.add(second, first, 1 - length)
      ruledOut.push([second, first])
      if (!holds) break
      here[0].set(network.earliest)
      here[1].set(network.latest)
    }
    for (const [from, to] of ruledOut.reverse()) network.drop(from, to)
    back()
    return outcome
  }
  return dive(0)
}

const CHECK_EVERY = 32

/** Pairs that cannot run at once, by what they need together. */
function rivalsOf({ count, needs, capacity, minutes }: Model): readonly Order[] {
  const pairs: Order[] = []
  for (let a = 0; a < count; a += 1)
    for (let b = a + 1; b < count; b += 1) {
      if ((minutes[a] as number) <= 0 || (minutes[b] as number) <= 0) continue
      if (needs.some((each, resource) => (each[a] as number) + (each[b] as number) > (capacity[resource] as number)))
        pairs.push([a, b])
    }
  return pairs
}

/** Derives what must follow until nothing more does; the arcs it adds are given out. False: a dead end. */
function derive(network: Network, rivals: readonly Order[], added: Order[]): boolean {
  const { minutes } = network.model
  for (let moved = true; moved;) {
    moved = false
    for (const [a, b] of rivals) {
      const [lengthA, lengthB] = [minutes[a] as number, minutes[b] as number]
      const [fromA, fromB] = [network.earliest[a] as number, network.earliest[b] as number]
      const [toA, toB] = [network.latest[a] as number, network.latest[b] as number]
      const aFirst = fromA + lengthA <= toB + SAME
      const bFirst = fromB + lengthB <= toA + SAME
      if (!aFirst && !bFirst) return false
      if (aFirst && bFirst) continue
      const [first, second, length] = aFirst ? [a, b, lengthA] : [b, a, lengthB]
      // Said already by where they lie.
      if ((network.latest[first] as number) + length <= (network.earliest[second] as number) + SAME) continue
      const before = (network.earliest[second] as number) - (network.latest[first] as number)
      added.push([first, second])
      if (!network.add(first, second, length)) return false
      if ((network.earliest[second] as number) - (network.latest[first] as number) > before + SAME) moved = true
      else {
        network.drop(first, second)
        added.pop()
      }
    }
    const shifted = timeTable(network)
    if (shifted === 'dead-end') return false
    if (shifted === 'moved') moved = true
  }
  return true
}

/** What surely runs (between the latest start and the earliest finish) fills the resources; others are pushed past it. */
function timeTable(network: Network): 'moved' | 'still' | 'dead-end' {
  const { model } = network
  let moved = false
  for (let resource = 0; resource < model.capacity.length; resource += 1) {
    const needs = model.needs[resource] as readonly number[]
    const capacity = model.capacity[resource] as number
    const sure: { from: number; to: number; task: number; need: number }[] = []
    for (let task = 0; task < model.count; task += 1) {
      const need = needs[task] as number
      const from = network.latest[task] as number
      const to = (network.earliest[task] as number) + (model.minutes[task] as number)
      if (need > 0 && from < to - SAME) sure.push({ from, to, task, need })
    }
    if (sure.length === 0) continue
    sure.sort((a, b) => a.from - b.from)
    for (const { from } of sure) {
      let load = 0
      for (const other of sure) if (other.from <= from + SAME && other.to > from + SAME) load += other.need
      if (load > capacity + SAME) return 'dead-end'
    }
    for (let task = 0; task < model.count; task += 1) {
      const need = needs[task] as number
      const length = model.minutes[task] as number
      if (need <= 0 || length <= 0) continue
      let start = network.earliest[task] as number
      for (let again = true; again;) {
        again = false
        for (const { from } of sure) {
          const at = Math.max(from, start)
          if (at >= start + length - SAME) continue
          let load = 0
          let until = Infinity
          for (const other of sure)
            if (other.task !== task && other.from <= at + SAME && other.to > at + SAME) {
              load += other.need
              until = Math.min(until, other.to)
            }
          if (load + need > capacity + SAME && until < Infinity) {
            start = until
            again = true
          }
        }
      }
      if (start > (network.earliest[task] as number) + SAME) {
        if (!network.notBefore(task, start)) return 'dead-end'
        moved = true
      }
    }
  }
  return moved ? 'moved' : 'still'
}

/** A least set of tasks that at one moment ask more than there is; the one with the fewest ways out. */
function conflictOf(network: Network): readonly number[] | undefined {
  const { model, earliest, latest } = network
  let best: { readonly tasks: readonly number[]; readonly ways: number; readonly at: number } | undefined
  for (let resource = 0; resource < model.capacity.length; resource += 1) {
    const needs = model.needs[resource] as readonly number[]
    const capacity = model.capacity[resource] as number
    for (let task = 0; task < model.count; task += 1) {
      if ((needs[task] as number) <= 0 || (model.minutes[task] as number) <= 0) continue
      const at = earliest[task] as number
      const running: number[] = []
      let load = 0
      for (let other = 0; other < model.count; other += 1) {
        const from = earliest[other] as number
        if ((needs[other] as number) <= 0 || from > at + SAME) continue
        if (from + (model.minutes[other] as number) <= at + SAME) continue
        running.push(other)
        load += needs[other] as number
      }
      if (load <= capacity + SAME) continue
      const tasks = leastOver(running, needs, capacity)
      const ways = tasks.reduce(
        (sum, a) =>
          sum +
          tasks.filter(
            (b) => a !== b && (earliest[a] as number) + (model.minutes[a] as number) <= (latest[b] as number) + SAME,
          ).length,
        0,
      )
      if (best === undefined || ways < best.ways || (ways === best.ways && at < best.at)) best = { tasks, ways, at }
    }
  }
  return best?.tasks
}

/** A subset that is over the capacity, of which none could be left out: the hungriest first. */
function leastOver(running: readonly number[], needs: readonly number[], capacity: number): readonly number[] {
  const byNeed = running.toSorted((a, b) => (needs[b] as number) - (needs[a] as number))
  const taken: number[] = []
  let load = 0
  for (const task of byNeed) {
    if (load > capacity + SAME) break
    taken.push(task)
    load += needs[task] as number
  }
  return taken.filter((task) => {
    if (load - (needs[task] as number) <= capacity + SAME) return true
    load -= needs[task] as number
    return false
  })
}

/** Who goes before whom, in the order of trying: what delays least first, then what leaves most room. */
function choicesOf(network: Network, conflict: readonly number[], random?: () => number): readonly Order[] {
  const { earliest, latest, model } = network
  const rated = conflict.flatMap((first) =>
    conflict.flatMap((second) => {
      if (first === second) return []
      const done = (earliest[first] as number) + (model.minutes[first] as number)
      const room = (latest[second] as number) - done
      if (room < -SAME) return []
      const delay = done - (earliest[second] as number)
      const shaken = random === undefined ? 1 : 0.6 + 0.8 * random()
      return [{ order: [first, second] as const, room, delay: delay * shaken }]
    }),
  )
  return rated
    .sort((a, b) => a.delay - b.delay || b.room - a.room || a.order[0] - b.order[0] || a.order[1] - b.order[1])
    .map(({ order }) => order)
}
