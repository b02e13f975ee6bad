import { chance, normals } from '../quantity/chance'
import type { InstrumentKind } from './instruments'

/** What there is to measure, as it changes: from one value towards another, evenly or as things warm through. */
export interface Truth {
  readonly from: number
  readonly to: number
  /** Seconds for the whole change; 0 when it stands. */
  readonly over_s: number
  /** Seconds since the change began. */
  readonly since_s: number
}

/** One thing a stand-in says in a second: a value, or nothing. */
export type StandInTold =
  { readonly second: number; readonly value: number } | { readonly second: number; readonly lost: true }

const LOST_FOR_s = 4
const LOST_SHARE = 0.05
/** Another seed for each thing drawn, so that none hangs on another. */
const SALT = { offset: 0x51ed, drift: 0x2c9b, lost: 0x7f4a, noise: 0x1357 } as const

/** What is really there, some seconds on. */
export function truthAt({ from, to, over_s, since_s }: Truth, second: number): number {
  if (over_s <= 0) return to
  return from + (to - from) * Math.min(1, Math.max(0, (since_s + second) / over_s))
}

/**
 * What a stand-in instrument shows in a second of its being asked: the truth behind its lag, wrong by an offset that it was made
 * with and a drift since, noisy, in its own steps, and now and then for some seconds nothing at all. The same seed says the same again.
 */
export function standInReading(kind: InstrumentKind, truth: Truth, second: number, seed: number): StandInTold {
  const block = Math.floor(second / LOST_FOR_s)
  if (second >= LOST_FOR_s && one(seed, SALT.lost, block) < LOST_SHARE) return { second, lost: true }
  const behind = truthAt(truth, second - kind.lag_s / 2)
  const offset = kind.offset * (2 * one(seed, SALT.offset, 0) - 1)
  const drift = (kind.drift_per_h * (one(seed, SALT.drift, 0) < 0.5 ? -1 : 1) * second) / 3600
  const noise = kind.noise_sd * normals(chance(mixed(seed, SALT.noise, second)))()
  const shown = Math.round((behind + offset + drift + noise) / kind.step) * kind.step
  return { second, value: Number(shown.toFixed(3)) }
}

function one(seed: number, salt: number, index: number): number {
  return chance(mixed(seed, salt, index))()
}

function mixed(seed: number, salt: number, index: number): number {
  return Math.imul(seed ^ salt, 0x9e3779b1) ^ Math.imul(index + 1, 0x85ebca6b)
}
