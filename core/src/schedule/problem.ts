/** Several acts, few hands: what is to be timed. All times in minutes from the start. */
export interface ScheduleInput {
  readonly resources: readonly ScheduleResource[]
  readonly tasks: readonly ScheduleTask[]
  readonly links?: readonly ScheduleLink[]
  /** How long may be sought, ms. */
  readonly budget_ms?: number
}

export interface ScheduleResource {
  readonly id: string
  readonly capacity: number
  /** Intervals in which none of it is to be had. */
  readonly closed?: readonly (readonly [number, number])[]
}

export interface ScheduleTask {
  readonly id: string
  readonly minutes: number
  readonly needs?: Readonly<Record<string, number>>
  /** Not before. */
  readonly release?: number | null
  /** Finished by. */
  readonly due?: number | null
}

/** From the finish of one to the start of another. */
export interface ScheduleLink {
  readonly from: string
  readonly to: string
  readonly minLag?: number
  readonly maxLag?: number | null
}

export interface ScheduleAnswer {
  readonly status: 'optimal' | 'feasible' | 'infeasible' | 'unknown'
  readonly starts: Readonly<Record<string, number>>
  readonly makespan: number | null
  /** No timetable ends sooner. */
  readonly lowerBound: number
  /** For `infeasible`: links, dues and closures that cannot hold together, none of which could be left out. */
  readonly why: readonly string[]
}

/** A constraint of the problem that may be named as a reason. */
export type Reason =
  | { readonly kind: 'link'; readonly index: number }
  | { readonly kind: 'due'; readonly task: number }
  | { readonly kind: 'closure'; readonly resource: number; readonly index: number }

/** The problem by numbers. */
export interface Model {
  readonly count: number
  readonly minutes: readonly number[]
  readonly release: readonly number[]
  readonly due: readonly number[]
  /** needs[resource][task]. */
  readonly needs: readonly (readonly number[])[]
  readonly capacity: readonly number[]
  /** Closed intervals of each task: of all that it needs, merged and in order. */
  readonly closed: readonly (readonly (readonly [number, number])[])[]
  /** start of `to` at least start of `from` plus `lag`. */
  readonly arcs: readonly { readonly from: number; readonly to: number; readonly lag: number }[]
  /** All times are whole numbers: then the best timetable is too. */
  readonly whole: boolean
  /** Whatever can be timed at all can be timed by then. */
  readonly horizon: number
}

/** The problem with some of its reasons left out. */
export function modelOf(input: ScheduleInput, without: ReadonlySet<string> = new Set()): Model {
  const { tasks, resources, links = [] } = input
  const index = new Map(tasks.map(({ id }, each) => [id, each]))
  const kept = (reason: Reason) => !without.has(keyOf(reason))
  const minutes = tasks.map((task) => task.minutes)
  const release = tasks.map((task) => task.release ?? 0)
  const closures = resources.map(({ closed = [] }, resource) =>
    closed.filter((_, each) => kept({ kind: 'closure', resource, index: each })),
  )
  const arcs = links.flatMap(({ from, to, minLag = 0, maxLag = null }, each) => {
    if (!kept({ kind: 'link', index: each })) return []
    const [a, b] = [index.get(from) ?? 0, index.get(to) ?? 0]
    const length = minutes[a] ?? 0
    return [
      { from: a, to: b, lag: length + minLag },
      ...(maxLag === null ? [] : [{ from: b, to: a, lag: -(length + maxLag) }]),
    ]
  })
  const numbers = [
    ...minutes,
    ...release,
    ...tasks.flatMap(({ due }) => due ?? []),
    ...links.flatMap(({ minLag = 0, maxLag }) => [minLag, maxLag ?? 0]),
    ...resources.flatMap(({ closed = [] }) => closed.flat()),
  ]
  const longestLag = arcs.map(({ lag }) => Math.abs(lag)).reduce((sum, lag) => sum + lag, 0)
  const horizon =
    Math.max(0, ...release, ...closures.flat().map(([, end]) => end)) +
    minutes.reduce((sum, each) => sum + each, 0) +
    longestLag
  return {
    count: tasks.length,
    minutes,
    release,
    due: tasks.map((task, each) => (kept({ kind: 'due', task: each }) ? (task.due ?? Infinity) : Infinity)),
    needs: resources.map(({ id }) => tasks.map((task) => task.needs?.[id] ?? 0)),
    capacity: resources.map(({ capacity }) => capacity),
    closed: tasks.map((task) =>
      merged(resources.flatMap(({ id }, each) => ((task.needs?.[id] ?? 0) > 0 ? (closures[each] ?? []) : []))),
    ),
    arcs,
    whole: numbers.every(Number.isInteger),
    horizon,
  }
}

export function keyOf(reason: Reason): string {
  return Object.values(reason).join(' ')
}

/** Every constraint that could be a reason, in the order of the input: links, dues, closures. */
export function reasonsOf({ tasks, resources, links = [] }: ScheduleInput): readonly Reason[] {
  return [
    ...links.map((_, index): Reason => ({ kind: 'link', index })),
    ...tasks.flatMap(({ due }, task): Reason[] => (typeof due === 'number' ? [{ kind: 'due', task }] : [])),
    ...resources.flatMap(({ closed = [] }, resource) =>
      closed.map((_, index): Reason => ({ kind: 'closure', resource, index })),
    ),
  ]
}

/** A reason in the words of the input. */
export function tellReason(reason: Reason, { tasks, resources, links = [] }: ScheduleInput): string {
  switch (reason.kind) {
    case 'link': {
      const link = links[reason.index]
      const lags = [
        (link?.minLag ?? 0) === 0 ? '' : `at least ${link?.minLag}`,
        typeof link?.maxLag === 'number' ? `at most ${link.maxLag}` : '',
      ].filter(Boolean)
      return `link ${link?.from} → ${link?.to}${lags.length === 0 ? '' : ` (${lags.join(', ')} min)`}`
    }
    case 'due':
      return `due ${tasks[reason.task]?.id} by ${tasks[reason.task]?.due}`
    case 'closure': {
      const resource = resources[reason.resource]
      const [from, to] = resource?.closed?.[reason.index] ?? [0, 0]
      return `closure of ${resource?.id} ${from}–${to}`
    }
  }
}

function merged(intervals: readonly (readonly [number, number])[]): readonly (readonly [number, number])[] {
  const out: [number, number][] = []
  for (const [from, to] of intervals.toSorted((a, b) => a[0] - b[0])) {
    const last = out.at(-1)
    if (to <= from) continue
    if (last !== undefined && from <= last[1]) last[1] = Math.max(last[1], to)
    else out.push([from, to])
  }
  return out
}
