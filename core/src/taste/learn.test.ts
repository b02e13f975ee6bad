import { describe, expect, it } from 'vitest'
import { chance, normals } from '../quantity/chance'
import { simulatedCook, SLICES } from '../test/leachCooks'
import { tasteForecast, type LeachPrior } from './forecast'
import { learnedPrior, type EarlierLot } from './learn'

const NEXT = { taxon: 'a', patch: 'p', year: 2027, taster: 't' }
const lot = (over: Partial<EarlierLot>, scores: readonly number[] = [9, 8, 6]): EarlierLot => ({
  ...NEXT,
  year: 2026,
  ...over,
  asked: { ...SLICES, observations: scores.map((score, index) => ({ afterBath: 2 * index, score })) },
})
const spread = ({ diffusivity25_m2_s, strength }: LeachPrior) => [diffusivity25_m2_s.gsd, strength.gsd]

describe('what earlier lots teach', () => {
  it('is nothing where none was tasted', () => {
    expect(learnedPrior(SLICES.prior, [], NEXT)).toEqual({ prior: SLICES.prior, lots: 0, samePatch: 0 })
    expect(learnedPrior(SLICES.prior, [lot({}, [])], NEXT).prior).toBe(SLICES.prior)
  })
  it('moves and narrows the prior more the more alike they are and the more of them there are', () => {
    const learn = (...lots: readonly EarlierLot[]) => learnedPrior(SLICES.prior, lots, NEXT).prior
    const strangers = learn(lot({ taxon: 'b', patch: 'q', taster: 'u' }))
    expect(strangers.strength.median).toBeCloseTo(SLICES.prior.strength.median, 9)
    expect(strangers.diffusivity25_m2_s.gsd).toBeCloseTo(SLICES.prior.diffusivity25_m2_s.gsd, 9)
    // Bitter lots that stayed bitter: each thing in common carries more of it over.
    const steps = [
      strangers,
      learn(lot({ patch: 'q', taster: 'u' })),
      learn(lot({ taster: 'u' })),
      learn(lot({})),
      learn(lot({ year: 2027 })),
    ]
    for (const [index, prior] of steps.slice(1).entries()) {
      const before = steps[index]
      expect(prior.strength.median).toBeGreaterThan(before?.strength.median ?? 0)
      expect(prior.strength.gsd).toBeLessThan(before?.strength.gsd ?? 0)
    }
    const [one, three] = [learn(lot({})), learn(lot({}), lot({ year: 2025 }), lot({ year: 2024 }))]
    for (const [index, gsd] of spread(three).entries()) expect(gsd).toBeLessThan(spread(one)[index] ?? 0)
    // However many there are, years and lots go on differing.
    const many = learn(...Array.from({ length: 12 }, (_, index) => lot({ year: 2000 + index })))
    for (const gsd of spread(many)) expect(gsd).toBeGreaterThan(1.25)
    expect(learnedPrior(SLICES.prior, [lot({}), lot({ patch: 'q' }), lot({}, [])], NEXT)).toMatchObject({
      lots: 2,
      samePatch: 1,
    })
  })
  it('halves the error before any taste after three lots of a patch that differs from the book', () => {
    const normal = normals(chance(7))
    const patches = [
      { rate_sd: -1.2, strength_sd: 1.2 },
      { rate_sd: -2, strength_sd: 0.5 },
      { rate_sd: -0.8, strength_sd: 1.5 },
    ]
    const without = tasteForecast({ ...SLICES, observations: [] }).baths.p50
    const cooks = patches.flatMap((patch) =>
      Array.from({ length: 8 }, () => {
        const { lots, next, truth } = simulatedCook(patch, 0.39, 3, [0, 2, 4], normal)
        const { prior } = learnedPrior(SLICES.prior, lots, next)
        const { p50 } = tasteForecast({ ...SLICES, prior, observations: [] }).baths
        return { book: Math.abs(without - truth.needs), learned: Math.abs(p50 - truth.needs) }
      }),
    )
    const mean = (of: 'book' | 'learned') => cooks.reduce((sum, each) => sum + each[of], 0) / cooks.length
    process.stdout.write(
      `baths foretold before any taste, mean error: the book ${mean('book').toFixed(2)}, after three lots ${mean('learned').toFixed(2)}\n`,
    )
    expect(mean('learned')).toBeLessThanOrEqual(mean('book') / 2)
  })
  it('ties rate and strength together as a correlated prior says, and an untied one is the same as none', () => {
    const ask = (correlation: number | undefined) =>
      tasteForecast({
        ...SLICES,
        prior: { ...SLICES.prior, ...(correlation === undefined ? {} : { correlation }) },
        observations: [{ afterBath: 0, score: 9 }],
      }).posterior
    expect(ask(0)).toEqual(ask(undefined))
    // A strong lot: where the strong ones are the slow ones it is told as slow, and the other way round.
    const [slow, plain, quick] = [ask(-0.7), ask(0), ask(0.7)].map(
      ({ diffusivity25_m2_s }) => diffusivity25_m2_s.median,
    )
    expect(slow).toBeLessThan((plain ?? 0) * 0.9)
    expect(quick).toBeGreaterThan((plain ?? 0) * 1.1)
  })
})
