import { describe, expect, it } from 'vitest'
import { chance } from '../quantity/chance'
import { beatenBy, randomChoice } from '../test/leachChoices'
import { LEACH_AIMS, optimiseLeach, type LeachChoice } from './optimise'

const MEAL: LeachChoice = {
  shape: 'sphere',
  heldLiquid_mL: 630,
  solute: { diffusivity25_m2_s: 6e-11, activation_kJ_mol: 27 },
  keep: { diffusivity25_m2_s: 1e-11, activation_kJ_mol: 40 },
  target: 0.03,
  baths: { least: 2, most: 8 },
  water_mL: { least: 1000, most: 5000 },
  minutes: { least: 5, most: 720 },
  temp_C: { least: 8, most: 96 },
  size_mm: { least: 1, most: 4 },
  tap_C: 8,
  burnerEfficiency: 0.5,
  change_min: 5,
}

describe('the best baths', () => {
  it('reach the target by the leach engine itself, within what is allowed, and none is beaten by settings at random', () => {
    const random = chance(11)
    let tried = 0
    for (let index = 0; index < 4; index += 1) {
      const choice = index === 0 ? MEAL : randomChoice(random)
      const { best, front, why } = optimiseLeach(choice)
      if (best === undefined) {
        expect(why).toMatch(/\.$/)
        continue
      }
      for (const aim of LEACH_AIMS) {
        const plan = best[aim]
        expect(plan.residual).toBeLessThanOrEqual(choice.target + 1e-9)
        for (const [value, range] of [
          [plan.baths, choice.baths],
          [plan.water_mL, choice.water_mL],
          [plan.temp_C, choice.temp_C],
          [plan.size_mm, choice.size_mm],
          [plan.minutes, choice.minutes],
        ] as const)
          expect(value >= range.least - 1e-9 && value <= range.most * 1.001 + 1e-9).toBe(true)
        const { worst, settings } = beatenBy(choice, aim, plan, 100, random)
        expect(worst, aim).toBeLessThan(0.01)
        tried += settings
      }
      // Of any two on the front each is better in something.
      const cost = ({ total }: (typeof front)[number]) => [total.time_min, total.water_mL, total.fuel_kJ, -total.kept]
      for (const a of front)
        for (const b of front)
          if (a !== b)
            expect(cost(a).every((each, at) => each < (cost(b)[at] ?? 0) - 0.02 * Math.abs(cost(b)[at] ?? 0))).toBe(
              false,
            )
    }
    expect(tried).toBeGreaterThan(300)
  })
  it('keep within a budget, and say so where none does', () => {
    const free = optimiseLeach(MEAL).best
    const dry = optimiseLeach({ ...MEAL, budget: { water_mL: 6000 } }).best
    expect(dry?.kept.total.water_mL).toBeLessThanOrEqual(6000)
    expect(dry?.kept.total.kept).toBeLessThanOrEqual((free?.kept.total.kept ?? 0) + 1e-6)
    const cold = optimiseLeach({ ...MEAL, budget: { fuel_kJ: 0 } }).best
    expect(cold?.time.total.fuel_kJ).toBe(0)
    expect(cold?.time.total.time_min).toBeGreaterThan(free?.time.total.time_min ?? Infinity)
    expect(optimiseLeach({ ...MEAL, budget: { time_min: 3 } }).why).toBe(
      'No allowed setting brings it so low within the time, water and fuel that there are.',
    )
    const little = { ...MEAL, baths: { least: 2, most: 2 }, water_mL: { least: 500, most: 600 } }
    expect(optimiseLeach(little).why).toBe(
      'Even 2 baths of 600 mL at rest leave more than that: it needs more water or more baths.',
    )
  })
})
