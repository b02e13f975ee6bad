import { slowPerKg_min } from './work'

/** A cut face shows it after so long in the air [planning value]. */
const OPEN_min = 5
const CUTTING_OPS = ['peel', 'chop', 'trim']
const TO_10_g = 10
const MOST_g = 1000

/**
 * How much of what browns is peeled and cut at a time before it drops into the soured bowl, g: what slow hands do of it in the minutes
 * before a cut face shows. Never the whole lot peeled first. Undefined where nothing was cut: what lies whole in sour water does not brown.
 * @param before the operations before the bowl
 */
export function atATime_g(before: readonly string[]): number | undefined {
  const perKg_min = before.filter((op) => CUTTING_OPS.includes(op)).reduce((sum, op) => sum + slowPerKg_min(op), 0)
  if (perKg_min === 0) return undefined
  const open_g = (1000 * OPEN_min) / perKg_min
  return Math.min(MOST_g, Math.max(TO_10_g, TO_10_g * Math.floor(open_g / TO_10_g)))
}
