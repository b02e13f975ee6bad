import { describe, expect, it } from 'vitest'
import { chance, normals } from '../quantity/chance'
import { dryForecast } from './dryForecast'
import { waterActivity } from './waterActivity'

describe('water activity', () => {
  const aw = (sucrose_g: number, glucose_g: number, salt_g: number, temp_C = 25) =>
    waterActivity({ water_g: 100, sucrose_g, glucose_g, salt_g, temp_C })
  it('is that of the worked solutions, and of saturated ones', () => {
    const cases: readonly (readonly [number, number, number, number])[] = [
      [0, 0, 0, 1],
      [120, 0, 0, 0.9192],
      [0, 0, 12, 0.9296],
      [0, 60, 0, 0.9366],
      [50, 0, 6, 0.9376],
      // Isopiestic data: sodium chloride 1.5, 3.5 and 5.5 mol/kg; a saturated salt solution about 0.75.
      [0, 0, 8.766, 0.9495],
      [0, 0, 20.454, 0.8727],
      [0, 0, 32.142, 0.7834],
      [0, 0, 80, 0.752],
    ]
    for (const [sucrose, glucose, salt, expected] of cases)
      expect(Math.abs(aw(sucrose, glucose, salt).aw - expected), `${sucrose} ${glucose} ${salt}`).toBeLessThan(0.001)
    expect(aw(500, 0, 0).saturated).toEqual(['sucrose'])
    expect(Math.abs(aw(500, 0, 0).aw - 0.85)).toBeLessThan(0.01)
  })
  it('falls with everything that is dissolved, and not below a saturated solution', () => {
    for (let more = 10; more < 400; more += 10) {
      expect(aw(more, 0, 0).aw).toBeLessThanOrEqual(aw(more - 10, 0, 0).aw)
      expect(aw(more, 20, 5).aw).toBeLessThan(aw(more, 20, 0).aw)
    }
  })
})

describe('when it will be dry', () => {
  const [start_g, startMoisture, targetMoisture] = [640, 0.84, 0.09]
  const over = (moisture: number) => moisture / (1 - moisture)
  const [start, end, dry_g] = [over(startMoisture), over(targetMoisture), start_g * (1 - startMoisture)]
  const massAt = (minutes: number, tau: number, n: number, xe: number) =>
    dry_g * (1 + xe + (start - xe) * Math.exp(-((minutes / tau) ** n)))
  const endOf = (tau: number, n: number, xe: number) => tau * Math.log((start - xe) / (end - xe)) ** (1 / n)
  it('is foretold within its range as often as it says, and closer with more weighings', () => {
    const normal = normals(chance(5))
    const off: number[] = []
    for (const count of [1, 3, 6]) {
      let [inside, all, miss] = [0, 0, 0]
      for (let batch = 0; batch < 80; batch += 1) {
        const tau = 150 * 4 ** (0.6 * normal())
        const n = Math.min(1.5, Math.max(0.7, 1.1 + 0.2 * normal()))
        const xe = 0.05 * 1.8 ** normal()
        if (xe > 0.85 * end) continue
        const truth = endOf(tau, n, xe)
        const weighings = Array.from({ length: count }, (_, index) => {
          const minutes = (truth * 0.6 * (index + 1)) / count
          return { minutes, mass_g: Math.round(massAt(minutes, tau, n, xe) + 0.5 * normal()) }
        })
        const { finish, fit } = dryForecast({ start_g, startMoisture, targetMoisture, weighings })
        inside += Number(finish.p10 <= truth && truth <= finish.p90)
        miss += Math.abs(finish.p50 / truth - 1)
        all += 1
        expect(fit.rmse_g).toBeLessThan(3)
      }
      expect(inside / all, `${count} weighings`).toBeGreaterThan(0.72)
      off.push(miss / all)
    }
    expect(off[0]).toBeLessThan(0.15)
    expect(off[2]).toBeLessThan(0.06)
  })
  it('is when it was weighed so, whatever the model says', () => {
    const weighings = [{ minutes: 90, mass_g: 112 }]
    expect(dryForecast({ start_g, startMoisture, targetMoisture, weighings }).finish.p90).toBe(90)
    const { p10, p50, p90 } = dryForecast({ start_g, startMoisture, targetMoisture, weighings: [] }).finish
    expect(p10 < p50 && p50 < p90 && p90 > 3 * p10).toBe(true)
  })
})
