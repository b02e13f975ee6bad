import type { Catalogue } from '../flora/catalogue'
import type { BookState } from '../log/fold'
import type { Instant } from '../quantity/instant'

/** The eight gates, in the order of the work. */
export const GATES = ['identity', 'ground', 'take', 'sort', 'makeSafe', 'palate', 'keep', 'plate'] as const
export type Gate = (typeof GATES)[number]

/** Gates that speak of the food itself, not of a tongue, a store or a table: those that can shut behind what was done with it. */
export const FOOD_GATES = ['identity', 'ground', 'sort', 'makeSafe'] as const satisfies readonly Gate[]

export const GATE_NAMES: Readonly<Record<Gate, string>> = {
  identity: 'Identity',
  ground: 'Ground',
  take: 'Take',
  sort: 'Sort',
  makeSafe: 'Make safe',
  palate: 'Taste',
  keep: 'Keep',
  plate: 'Plate',
}

/** open; ajar: something still to be seen or done; closed: no, and why. */
export type GateState = 'open' | 'ajar' | 'closed'

/** A gate's state as it is said; one whose turn has not come is `ahead`. */
export const GATE_STATE_WORDS: Readonly<Record<GateState | 'ahead', string>> = {
  open: 'open',
  ajar: 'to do',
  closed: 'closed',
  ahead: 'later',
}

/** What a gate finds, before it is stamped. Never thrown: the world saying no is a value. */
export interface Finding {
  readonly state: GateState
  /** One plain sentence each; for an open gate, what is worth knowing. */
  readonly reasons: readonly string[]
}

/** A gate is a pure function of the log, the catalogue's revision and the instant; its verdict stores all three. */
export interface GateVerdict extends Finding {
  readonly gate: Gate
  readonly at: Instant
  readonly revision: string
}

/** What the gates judge by. */
export interface JudgeContext {
  readonly book: BookState
  readonly catalogue: Catalogue
  readonly now: Instant
  /** Who is at it, where that is not the cook who keeps the book: meetings and certainty count for one person alone. */
  readonly writer?: string
}

/** No, and why. */
export function closedBy(...reasons: readonly string[]): Finding {
  return { state: 'closed', reasons }
}

/** Something still to be seen or done; it says what. */
export function ajarFor(...reasons: readonly string[]): Finding {
  return { state: 'ajar', reasons }
}

/** Open; with what is worth knowing. */
export function openWith(...remarks: readonly string[]): Finding {
  return { state: 'open', reasons: remarks }
}

/** Closed beats ajar beats open; no reasons against means open. */
export function finding(closed: readonly string[], ajar: readonly string[], remarks: readonly string[]): Finding {
  if (closed.length > 0) return closedBy(...closed)
  return ajar.length > 0 ? ajarFor(...ajar) : openWith(...remarks)
}

/** The worst of several findings, with everybody's reasons against; what is worth knowing only where all are open. */
export function worstOf(findings: readonly Finding[]): Finding {
  const reasons = (state: GateState) => [
    ...new Set(findings.filter((each) => each.state === state).flatMap((each) => each.reasons)),
  ]
  if (findings.some(({ state }) => state === 'closed')) return closedBy(...reasons('closed'))
  return findings.some(({ state }) => state === 'ajar') ? ajarFor(...reasons('ajar')) : openWith(...reasons('open'))
}
