import type { Model } from './problem'

/** Two times that differ by less are the same: fractions of a minute add up inexactly. */
export const SAME = 1e-9

interface Arc {
  readonly other: number
  readonly lag: number
}

/**
 * Earliest and latest starts of all tasks under arcs, closures and a latest end, kept consistent while arcs are added and
 * taken back. All these constraints keep the componentwise least of two solutions: the earliest starts are themselves a
 * timetable but for the capacities.
 */
export class Network {
  readonly model: Model
  earliest: Float64Array
  latest: Float64Array
  readonly #out: Arc[][]
  readonly #into: Arc[][]

  constructor(model: Model) {
    this.model = model
    this.earliest = Float64Array.from(model.release)
    this.latest = new Float64Array(model.count)
    this.#out = Array.from({ length: model.count }, () => [])
    this.#into = Array.from({ length: model.count }, () => [])
    for (const { from, to, lag } of model.arcs) this.#put(from, to, lag)
  }

  /** Everything anew under an end; false where that cannot be. */
  reset(end: number): boolean {
    const { model } = this
    this.earliest = Float64Array.from(model.release)
    for (let task = 0; task < model.count; task += 1)
      this.latest[task] = Math.min(end, model.due[task] as number) - (model.minutes[task] as number)
    return this.settleEarliest(all(model.count)) && this.settleLatest(all(model.count))
  }

  /** What a state of the search is remembered by. */
  save(): readonly [Float64Array, Float64Array] {
    return [this.earliest.slice(), this.latest.slice()]
  }

  restore([earliest, latest]: readonly [Float64Array, Float64Array]): void {
    this.earliest = earliest.slice()
    this.latest = latest.slice()
  }

  /** Adds `to` at least `lag` after `from`, and what follows from it; false where it cannot hold. The arc stays until {@link drop}. */
  add(from: number, to: number, lag: number): boolean {
    this.#put(from, to, lag)
    return this.#relaxed(from, to, lag)
  }

  drop(from: number, to: number): void {
    this.#out[from]?.pop()
    this.#into[to]?.pop()
  }

  #put(from: number, to: number, lag: number): void {
    this.#out[from]?.push({ other: to, lag })
    this.#into[to]?.push({ other: from, lag })
  }

  #relaxed(from: number, to: number, lag: number): boolean {
    const start = (this.earliest[from] as number) + lag
    if (start > (this.earliest[to] as number) + SAME) {
      this.earliest[to] = start
      if (!this.settleEarliest([to])) return false
    }
    const end = (this.latest[to] as number) - lag
    if (end < (this.latest[from] as number) - SAME) {
      this.latest[from] = end
      if (!this.settleLatest([from])) return false
    }
    return true
  }

  /** Not before; false where it cannot be. */
  notBefore(task: number, start: number): boolean {
    if (start <= (this.earliest[task] as number) + SAME) return true
    this.earliest[task] = start
    return this.settleEarliest([task])
  }

  /** Carries later earliest starts on, until nothing moves; false where one passes its latest. */
  settleEarliest(moved: number[]): boolean {
    return this.#settle(moved, true)
  }

  settleLatest(moved: number[]): boolean {
    return this.#settle(moved, false)
  }

  #settle(waiting: number[], later: boolean): boolean {
    const { earliest, latest } = this
    const starts = later ? earliest : latest
    const arcs = later ? this.#out : this.#into
    const sign = later ? 1 : -1
    const isWaiting = new Uint8Array(this.model.count)
    for (const task of waiting) isWaiting[task] = 1
    for (let task = waiting.pop(); task !== undefined; task = waiting.pop()) {
      isWaiting[task] = 0
      const start = later ? this.#nextOpen(task, starts[task] as number) : this.#lastOpen(task, starts[task] as number)
      starts[task] = start
      if ((earliest[task] as number) > (latest[task] as number) + SAME) return false
      for (const { other, lag } of arcs[task] as Arc[]) {
        const moved = start + sign * lag
        if (sign * (moved - (starts[other] as number)) <= SAME) continue
        starts[other] = moved
        if (isWaiting[other] === 0) waiting.push(other)
        isWaiting[other] = 1
      }
    }
    return true
  }

  /** The first start from here on at which the task overlaps nothing closed. */
  #nextOpen(task: number, from: number): number {
    const length = this.model.minutes[task] as number
    let start = from
    if (length <= 0) return start
    for (const [closes, opens] of this.model.closed[task] as readonly (readonly [number, number])[])
      if (start + length > closes + SAME && start < opens - SAME) start = opens
    return start
  }

  #lastOpen(task: number, from: number): number {
    const length = this.model.minutes[task] as number
    const closed = this.model.closed[task] as readonly (readonly [number, number])[]
    let start = from
    if (length <= 0) return start
    for (let index = closed.length - 1; index >= 0; index -= 1) {
      const [closes, opens] = closed[index] as readonly [number, number]
      if (start + length > closes + SAME && start < opens - SAME) start = closes - length
    }
    return start
  }

  /** When all is done, as early as this state allows. */
  get end(): number {
    const { minutes, count } = this.model
    let end = 0
    for (let task = 0; task < count; task += 1)
      end = Math.max(end, (this.earliest[task] as number) + (minutes[task] as number))
    return end
  }
}

const all = (count: number) => Array.from({ length: count }, (_, task) => task)
