import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { ScheduleAnswer, ScheduleInput } from './problem'
import { schedule } from './schedule'

/** What of the problem the starts that are given do not keep to, read afresh. */
function broken(problem: ScheduleInput, starts: ScheduleAnswer['starts']): string | undefined {
  const { resources } = problem
  const tasks = problem.tasks.filter(({ id }) => id in starts)
  const links = (problem.links ?? []).filter(({ from, to }) => from in starts && to in starts)
  const task = (id: string) => tasks.find((each) => each.id === id)
  const start = (id: string) => starts[id] ?? NaN
  const finish = (id: string) => start(id) + (task(id)?.minutes ?? NaN)
  for (const { id, release, due, needs = {}, minutes } of tasks) {
    if (!(start(id) >= (release ?? 0) - 1e-6)) return `${id} before its release`
    if (finish(id) > (due ?? Infinity) + 1e-6) return `${id} after its due`
    for (const { id: resource, closed = [] } of resources)
      if ((needs[resource] ?? 0) > 0 && minutes > 0)
        for (const [from, to] of closed)
          if (from < to && start(id) < to - 1e-6 && finish(id) > from + 1e-6) return `${id} while ${resource} is closed`
  }
  for (const { from, to, minLag = 0, maxLag } of links) {
    const lag = start(to) - finish(from)
    if (lag < minLag - 1e-6 || lag > (maxLag ?? Infinity) + 1e-6) return `${from} → ${to}: ${lag}`
  }
  for (const { id, capacity } of resources)
    for (const { id: at } of tasks) {
      const load = tasks
        .filter((each) => start(each.id) <= start(at) + 1e-6 && finish(each.id) > start(at) + 1e-6)
        .reduce((sum, each) => sum + (each.needs?.[id] ?? 0), 0)
      if (load > capacity + 1e-6) return `${id} overfull at ${start(at)}`
    }
  return undefined
}

/** The least makespan by trying every whole start; undefined where there is none. */
function exhaustively(input: ScheduleInput, horizon: number): number | undefined {
  const placed = new Map<string, number>()
  let best: number | undefined
  const place = (index: number) => {
    const task = input.tasks[index]
    if (task === undefined) {
      const end = Math.max(0, ...input.tasks.map(({ id, minutes }) => (placed.get(id) ?? 0) + minutes))
      if (best === undefined || end < best) best = end
      return
    }
    for (
      let start = task.release ?? 0;
      start + task.minutes <= Math.min(task.due ?? horizon, best ?? horizon);
      start += 1
    ) {
      placed.set(task.id, start)
      if (broken(input, Object.fromEntries(placed)) === undefined) place(index + 1)
    }
    placed.delete(task.id)
  }
  place(0)
  return best
}

const IDS = ['a', 'b', 'c', 'd'] as const
const smallProblem: fc.Arbitrary<ScheduleInput> = fc
  .record({
    resources: fc.tuple(
      fc.record({
        id: fc.constant('cook'),
        capacity: fc.constantFrom(1, 2),
        closed: fc.array(
          fc
            .tuple(fc.integer({ min: 0, max: 8 }), fc.integer({ min: 1, max: 4 }))
            .map(([from, long]): [number, number] => [from, from + long]),
          { maxLength: 2 },
        ),
      }),
      fc.record({ id: fc.constant('burner'), capacity: fc.constantFrom(2, 3) }),
    ),
    tasks: fc.tuple(
      ...IDS.map((id) =>
        fc.record({
          id: fc.constant(id),
          minutes: fc.integer({ min: 0, max: 4 }),
          needs: fc.record({ cook: fc.constantFrom(0, 1), burner: fc.constantFrom(0, 1, 2) }),
          release: fc.constantFrom(null, 0, 1, 3),
          due: fc.option(fc.integer({ min: 4, max: 16 }), { freq: 3 }),
        }),
      ),
    ),
    links: fc.array(
      fc
        .record({
          from: fc.constantFrom(...IDS),
          to: fc.constantFrom(...IDS),
          minLag: fc.constantFrom(0, 0, 1, 2),
          slack: fc.option(fc.integer({ min: 0, max: 3 })),
        })
        .map(({ slack, ...link }) => ({ ...link, maxLag: slack === null ? null : link.minLag + slack })),
      { maxLength: 3 },
    ),
  })
  .map((problem) => ({ ...problem, links: problem.links.filter(({ from, to }) => from !== to) }))

describe('a timetable', () => {
  it('is the shortest there is, or there is none, as trying everything says', () => {
    const seen = { optimal: 0, infeasible: 0 }
    fc.assert(
      fc.property(smallProblem, (problem) => {
        const answer = schedule(problem)
        const least = exhaustively(problem, 30)
        expect(answer.status).toBe(least === undefined ? 'infeasible' : 'optimal')
        if (least === undefined) {
          seen.infeasible += 1
          return
        }
        seen.optimal += 1
        expect(broken(problem, answer.starts)).toBeUndefined()
        expect(answer.makespan).toBe(least)
        expect(answer.lowerBound).toBe(least)
      }),
      { numRuns: 250 },
    )
    console.log(`timetables: ${JSON.stringify(seen)}`)
    expect(Math.min(seen.optimal, seen.infeasible)).toBeGreaterThan(20)
  })
  it('names links, dues and closures that cannot hold together, of which none could be left out', () => {
    let named = 0
    fc.assert(
      fc.property(smallProblem, (problem) => {
        const { status, why } = schedule(problem)
        if (status !== 'infeasible' || named >= 40) return
        named += 1
        const reasons = new Set(why)
        const relaxed = (kept: ReadonlySet<string>): ScheduleInput => ({
          resources: problem.resources.map(({ closed = [], ...rest }) => ({
            ...rest,
            closed: closed.filter(([from, to]) => kept.has(`closure of ${rest.id} ${from}–${to}`)),
          })),
          tasks: problem.tasks.map(({ due = null, ...rest }) => ({
            ...rest,
            due: kept.has(`due ${rest.id} by ${due}`) ? due : null,
          })),
          links: (problem.links ?? []).filter(({ from, to }) =>
            [...kept].some((reason) => reason.startsWith(`link ${from} → ${to}`)),
          ),
        })
        expect(exhaustively(relaxed(reasons), 30)).toBeUndefined()
        if (named > 15) return
        for (const reason of why)
          expect(exhaustively(relaxed(new Set(why.filter((each) => each !== reason))), 30)).toBeDefined()
      }),
      { numRuns: 130 },
    )
    expect(named).toBeGreaterThan(20)
    const tight: ScheduleInput = {
      resources: [{ id: 'cook', capacity: 1, closed: [[30, 90]] }],
      tasks: [
        { id: 'boil', minutes: 20, needs: { cook: 1 } },
        { id: 'drain', minutes: 15, needs: { cook: 1 }, due: 80 },
        { id: 'set', minutes: 5, due: 500 },
      ],
      links: [{ from: 'boil', to: 'drain', minLag: 0, maxLag: 5 }],
    }
    const { status, why } = schedule(tight)
    expect(status).toBe('infeasible')
    expect(why).toEqual(['link boil → drain (at most 5 min)', 'due drain by 80', 'closure of cook 30–90'])
  })
  it('finds and proves the least of a well-known shop of six jobs and six machines', () => {
    // Fisher & Thompson 1963: the least makespan is 55.
    const jobs = [
      [2, 1, 0, 3, 1, 6, 3, 7, 5, 3, 4, 6],
      [1, 8, 2, 5, 4, 10, 5, 10, 0, 10, 3, 4],
      [2, 5, 3, 4, 5, 8, 0, 9, 1, 1, 4, 7],
      [1, 5, 0, 5, 2, 5, 3, 3, 4, 8, 5, 9],
      [2, 9, 1, 3, 4, 5, 5, 4, 0, 3, 3, 1],
      [1, 3, 3, 3, 5, 9, 0, 10, 4, 4, 2, 1],
    ]
    const tasks = jobs.flatMap((job, each) =>
      Array.from({ length: 6 }, (_, step) => ({
        id: `${each}.${step}`,
        minutes: job[2 * step + 1] ?? 0,
        needs: { [`m${job[2 * step]}`]: 1 },
      })),
    )
    const problem: ScheduleInput = {
      resources: Array.from({ length: 6 }, (_, machine) => ({ id: `m${machine}`, capacity: 1 })),
      tasks,
      links: jobs.flatMap((_, each) =>
        Array.from({ length: 5 }, (__, step) => ({ from: `${each}.${step}`, to: `${each}.${step + 1}` })),
      ),
      budget_ms: 20_000,
    }
    const begun = Date.now()
    const answer = schedule(problem, () => Date.now())
    console.log(`six by six: ${answer.status}, ${answer.makespan}, ${Date.now() - begun} ms`)
    expect(broken(problem, answer.starts)).toBeUndefined()
    expect([answer.status, answer.makespan]).toEqual(['optimal', 55])
  })
  it('keeps to its budget with an evening of forty acts, with a timetable that holds and an honest bound', () => {
    const random = (seed: number) => (seed * 16807) % 2147483647
    let seed = 7
    const next = (most: number) => (seed = random(seed)) % most
    const tasks = Array.from({ length: 40 }, (_, index) => ({
      id: `t${index}`,
      minutes: 5 + next(30),
      needs: { cook: next(2), burner: 1 + next(2), sink: next(3) === 0 ? 1 : 0 },
      release: next(4) === 0 ? next(60) : null,
    }))
    const problem: ScheduleInput = {
      resources: [
        { id: 'cook', capacity: 2, closed: [[120, 150]] },
        { id: 'burner', capacity: 3 },
        { id: 'sink', capacity: 1 },
      ],
      tasks,
      links: tasks.flatMap((_, index) =>
        index % 3 === 0 && index < 39 ? [{ from: `t${index}`, to: `t${index + 1}`, minLag: 0, maxLag: 20 }] : [],
      ),
      budget_ms: 800,
    }
    const begun = Date.now()
    const answer = schedule(problem, () => Date.now())
    console.log(`forty acts: ${answer.status}, ${answer.makespan} ≥ ${answer.lowerBound}, ${Date.now() - begun} ms`)
    expect(broken(problem, answer.starts)).toBeUndefined()
    expect(answer.lowerBound).toBeLessThanOrEqual(answer.makespan ?? 0)
    expect(answer.lowerBound).toBeGreaterThan(0.7 * (answer.makespan ?? 0))
  })
  it('knows nothing to do, what is never to be had, and fractions of a minute', () => {
    expect(schedule({ resources: [], tasks: [] })).toEqual({
      status: 'optimal',
      starts: {},
      makespan: 0,
      lowerBound: 0,
      why: [],
    })
    const hungry = schedule({
      resources: [{ id: 'pot', capacity: 1 }],
      tasks: [{ id: 'a', minutes: 1, needs: { pot: 2 } }],
    })
    expect(hungry).toMatchObject({ status: 'infeasible', why: ['need of a: more than there is at any time'] })
    const halves = schedule({
      resources: [{ id: 'pot', capacity: 1 }],
      tasks: ['a', 'b', 'c'].map((id) => ({ id, minutes: 0.1, needs: { pot: 1 } })),
    })
    expect(halves).toMatchObject({ status: 'optimal', makespan: 0.3 })
  })
})
