import { execFileSync, spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { run } from './main'

const ROOT = fileURLToPath(new URL('../..', import.meta.url))
const ask = (verb: string, input: unknown, ...flags: string[]) =>
  run([verb, ...flags], () => (typeof input === 'string' ? input : JSON.stringify(input)))

describe('the command line', () => {
  it.each([
    ['boil', { elevation_m: 1180 }, 'temp_C', 96.05, 1],
    ['chill', { food_g: 500, foodTemp_C: 98, water_mL: 2000, waterTemp_C: 14, target_C: 5 }, 'ice_g', 723, 0],
    [
      'blanch-load',
      { power_W: 2000, efficiency: 0.55, elevation_m: 0, water_mL: 4000, foodTemp_C: 15, recovery_s: 60 },
      'load_g',
      199,
      0,
    ],
    ['dry-target', { start_g: 500, startMoisture: 0.86, targetMoisture: 0.1 }, 'target_g', 77.8, 1],
  ] as const)('%s answers by the contract', (verb, input, field, figure, digits) => {
    const { exit, out, err } = ask(verb, input)
    expect([exit, err]).toEqual([0, ''])
    expect((JSON.parse(out) as Record<string, number>)[field]).toBeCloseTo(figure, digits)
  })
  it('refuses with exit 2, one line naming the field, and nothing on standard output', () => {
    expect(ask('boil', { elevation_m: 'high' })).toEqual({ exit: 2, out: '', err: 'elevation_m: must be a number\n' })
    expect(ask('boil', '{"elevation_m": 11')).toEqual({
      exit: 2,
      out: '',
      err: '(document): is not JSON; give one whole document\n',
    })
    expect(ask('fry', {})).toMatchObject({
      exit: 2,
      out: '',
      err: 'fry: is not a verb; there are leach, taste-forecast, schedule, boil, water-activity, chill, blanch-load, dry-target, dry-forecast, clear, plan, take, catalogue\n',
    })
    expect(ask('boil', {}, '--loud').err).toBe('--loud: is not an option; there are --schema and --lines\n')
  })
  it('answers line by line, each for itself, in order', () => {
    const { exit, out } = ask(
      'boil',
      '{"elevation_m":0}\n{"elevation_m":-1e9}\nnonsense\n\n{"pressure_hPa":850}\n',
      '--lines',
    )
    const lines = out
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { temp_C?: number; error?: { path: string; message: string } })
    expect(exit).toBe(0)
    expect(lines.map(({ error }) => error?.path)).toEqual([undefined, 'elevation_m', '(document)', undefined])
    expect(lines[1]?.error?.message).toBe('must be greater than or equal to -430')
    expect(lines[3]?.temp_C).toBeCloseTo(95.14, 1)
    expect(ask('boil', '', '--lines')).toEqual({ exit: 0, out: '', err: '' })
  })
  it('lists its verbs alone, and prints a JSON Schema that names every field', () => {
    expect(run([], () => '').out.split('\n')[3]).toBe(
      'boil            the boiling point at an elevation or pressure, with sugar and salt',
    )
    const schema = JSON.parse(ask('plan', '', '--schema').out) as { properties: object }
    expect(Object.keys(schema.properties)).toEqual([
      'taxon',
      'part',
      'stage',
      'mass_g',
      'goal',
      'storage',
      'perDay_g',
      'eaters',
      'kitchen',
      'school',
    ])
  })
  it('runs as npm run -s core, clean streams and exit codes included', () => {
    const out = execFileSync('npm', ['run', '-s', 'core', '--', 'catalogue'], {
      cwd: ROOT,
      input: '',
      encoding: 'utf8',
      maxBuffer: 50_000_000,
      stdio: ['pipe', 'pipe', 'ignore'],
    })
    expect((JSON.parse(out) as unknown[]).length).toBeGreaterThanOrEqual(170)
    const refused = spawnSync('npm', ['run', '-s', 'core', '--', 'plan'], {
      cwd: ROOT,
      input: '{"taxon":"Urtica dioica"}',
      encoding: 'utf8',
    })
    expect([refused.status, refused.stdout]).toEqual([2, ''])
    expect(refused.stderr.trim().split('\n').at(-1)).toBe('mass_g: is missing; give it')
  })
  it.each([
    [{ tasks: [] }, 'resources: '],
    [{ resources: [], tasks: [{ id: 'a', minutes: -1 }] }, 'tasks.0.minutes: must be greater than or equal to 0'],
    [
      { resources: [], tasks: [{ id: 'a', minutes: 5, needs: { pot: 1 } }] },
      'tasks.0.needs.pot: is not a resource; name one that is listed',
    ],
    [
      { resources: [], tasks: [{ id: 'a', minutes: 5 }], links: [{ from: 'a', to: 'b' }] },
      'links.0.to: b is not a task; name one that is listed',
    ],
    [
      { resources: [], tasks: [{ id: 'a', minutes: 5 }], links: [{ from: 'a', to: 'a' }] },
      'links.0.to: must be another task than from',
    ],
    [
      { resources: [{ id: 'pot', capacity: 1, closed: [[9, 3]] }], tasks: [] },
      'resources.0.closed.0: must end no sooner than it begins',
    ],
    [
      {
        resources: [],
        tasks: [
          { id: 'a', minutes: 5 },
          { id: 'a', minutes: 6 },
        ],
      },
      'tasks.1: ',
    ],
  ])('schedule refuses %o in one line that names the field', (input, line) => {
    const { exit, out, err } = ask('schedule', input)
    expect([exit, out]).toEqual([2, ''])
    expect(err.startsWith(line)).toBe(true)
    expect(err.trim().split('\n')).toHaveLength(1)
  })
  it('schedule answers by the contract', () => {
    const { out } = ask('schedule', {
      resources: [
        { id: 'cook', capacity: 1, closed: [[960, 1440]] },
        { id: 'burner', capacity: 2 },
      ],
      tasks: [
        { id: 'boil-1', minutes: 20, needs: { burner: 1 }, release: 0, due: null },
        { id: 'drain-1', minutes: 4, needs: { cook: 1 } },
        { id: 'boil-2', minutes: 30, needs: { burner: 2 } },
      ],
      links: [{ from: 'boil-1', to: 'drain-1', minLag: 0, maxLag: 5 }],
      budget_ms: 2000,
    })
    expect(JSON.parse(out)).toEqual({
      status: 'optimal',
      starts: expect.objectContaining({ 'boil-1': expect.any(Number) }) as object,
      makespan: 50,
      lowerBound: 50,
      why: [],
    })
  })
})
