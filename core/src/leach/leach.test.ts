import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { diffusivity, leach, type LeachInput, type Shape } from './leach'
import { tanninInputs } from './tannin'

/** One bath at 25 °C with a given Fourier number and ratio of water to held liquid. */
const one = (shape: Shape, Fo: number, alpha: number) =>
  leach({
    pieces: { shape, size_mm: 2 },
    heldLiquid_mL: 100,
    diffusivity25_m2_s: 1e-10,
    activation_kJ_mol: 20,
    baths: [{ water_mL: 100 * alpha, minutes: (Fo * 1e-6) / 1e-10 / 60, temp_C: 25 }],
  })
const ROOTS: LeachInput = {
  pieces: { shape: 'cylinder', size_mm: 7 },
  heldLiquid_mL: 420,
  diffusivity25_m2_s: 3.5e-10,
  activation_kJ_mol: 22,
  baths: [25, 25, 180].map((minutes, index) => ({ water_mL: 2100, minutes, temp_C: index < 2 ? 95 : 14 })),
}

describe('leaching', () => {
  it.each([
    ['slab', 0.02, 0.84042, 0.84529],
    ['slab', 0.1, 0.64318, 0.66676],
    ['slab', 0.4, 0.30212, 0.38932],
    ['cylinder', 0.02, 0.70144, 0.71843],
    ['cylinder', 0.1, 0.39418, 0.46264],
    ['cylinder', 0.4, 0.06843, 0.23446],
    ['sphere', 0.02, 0.58127, 0.61465],
    ['sphere', 0.1, 0.22952, 0.3417],
    ['sphere', 0.4, 0.01173, 0.20482],
  ] as const)(
    'of a %s at Fo %d is that of the series, in endless water and in four times its own',
    (shape, Fo, endless, four) => {
      expect(one(shape, Fo, 1e7).residual[0]).toBeCloseTo(endless, 3)
      expect(one(shape, Fo, 4).residual[0]).toBeCloseTo(four, 3)
    },
  )
  it('carries the profile from bath to bath, and knows running water', () => {
    const still = leach(ROOTS)
    for (const [index, expected] of [0.2844, 0.0902, 0.0302].entries())
      expect(still.residual[index]).toBeCloseTo(expected, 3)
    for (const [index, expected] of [0.1431, 0.0388, 0.012].entries())
      expect(still.bath[index]).toBeCloseTo(expected, 3)
    const running = leach({ ...ROOTS, baths: ROOTS.baths.map((bath) => ({ ...bath, flow_mL_min: 150 })) })
    for (const [index, expected] of [0.2272, 0.0653, 0.0177].entries())
      expect(running.residual[index]).toBeCloseTo(expected, 3)
  })
  it('answers the contract’s example, and warms by Arrhenius', () => {
    const answer = leach({
      pieces: { shape: 'slab', size_mm: 4 },
      heldLiquid_mL: 300,
      diffusivity25_m2_s: 3e-10,
      activation_kJ_mol: 25,
      baths: [{ water_mL: 2000, minutes: 720, temp_C: 12, flow_mL_min: 0 }],
    })
    expect(answer.residual[0]).toBeCloseTo(0.133, 3)
    expect(answer.bath[0]).toBeCloseTo(0.13, 3)
    const at = (temp_C: number) => diffusivity({ diffusivity25_m2_s: 1, activation_kJ_mol: 22 }, temp_C)
    expect(at(95) / at(12)).toBeCloseTo(8.1, 2)
    expect(() => leach({ ...ROOTS, heldLiquid_mL: 0 })).toThrow('leach: expected')
  })
  it('conserves the solute in still baths, and a longer or larger last bath never leaves more', () => {
    const bath = fc.record({
      water_mL: fc.integer({ min: 50, max: 20_000 }),
      minutes: fc.double({ min: 0.1, max: 3000, noNaN: true }),
      temp_C: fc.integer({ min: 2, max: 97 }),
    })
    const setting = fc.record({
      shape: fc.constantFrom<Shape>('slab', 'cylinder', 'sphere'),
      size_mm: fc.double({ min: 0.5, max: 30, noNaN: true }),
      baths: fc.array(bath, { minLength: 1, maxLength: 4 }),
    })
    fc.assert(
      fc.property(setting, ({ shape, size_mm, baths }) => {
        const run = (list: typeof baths) =>
          leach({
            pieces: { shape, size_mm },
            heldLiquid_mL: 300,
            diffusivity25_m2_s: 3e-10,
            activation_kJ_mol: 25,
            baths: list,
          })
        const { residual, bath: strength } = run(baths)
        for (const [index, left] of residual.entries())
          expect(left + ((baths[index]?.water_mL ?? 0) / 300) * (strength[index] ?? 0)).toBeCloseTo(
            residual[index - 1] ?? 1,
            6,
          )
        const [last] = baths.slice(-1)
        if (last === undefined) return
        const end = residual.at(-1) ?? 1
        expect(
          run([...baths.slice(0, -1), { ...last, minutes: last.minutes * 1.5 }]).residual.at(-1),
        ).toBeLessThanOrEqual(end + 1e-6)
        expect(
          run([...baths.slice(0, -1), { ...last, water_mL: last.water_mL * 2 }]).residual.at(-1),
        ).toBeLessThanOrEqual(end + 1e-6)
      }),
      { numRuns: 60 },
    )
  })
})

describe('tannin in the baths of a lot', () => {
  const bath = (begunAt: string, endedAt: string | null) => ({
    entry: 'x',
    lotMass_g: 900,
    protocol: 'cold baths',
    step: 5,
    water_mL: 3600,
    temp_C: null,
    begunAt,
    endedAt,
  })
  const [first, second] = ['2027-05-14T20:00:00.000Z', '2027-05-15T06:30:00.000Z']
  it('is a range that every further bath lowers, the one it lies in up to now', () => {
    const one = tanninInputs([bath(first, second)], 900, second)
    const two = tanninInputs([bath(first, second), bath(second, null)], 900, '2027-05-15T12:30:00.000Z')
    const left = (input: LeachInput | undefined) => (input === undefined ? 1 : (leach(input).residual.at(-1) ?? 1))
    expect(left(one?.quick)).toBeLessThan(left(one?.usual))
    expect(left(one?.usual)).toBeLessThan(left(one?.slow))
    expect(left(two?.usual)).toBeLessThan(left(one?.usual))
    expect(two?.usual.baths.map(({ minutes }) => minutes)).toEqual([630, 360])
    expect(tanninInputs([], 900, second)).toBeUndefined()
  })
})
