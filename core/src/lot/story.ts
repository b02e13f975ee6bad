import { GATES, type Gate, type JudgeContext } from '../gates/verdict'
import { gateViews } from './gateView'
import { beganWith_g, type LotState, type MassFlow } from './lotState'

/** A ribbon as it is drawn: its width before and after each gate, where it stops, and what peels off. */
export interface Ribbon {
  /** Mass that came to each gate, g. */
  readonly before_g: readonly number[]
  /** Mass that goes on behind each gate, g. */
  readonly after_g: readonly number[]
  /** Index of the first gate that is not open; 8 when all are. */
  readonly stopsAt: number
  /** Hazard still in it behind each gate: 1 all, 0 none. */
  readonly hazard: readonly number[]
  readonly streams: readonly Stream[]
}

export interface Stream {
  readonly gate: Gate
  readonly what: MassFlow['what']
  readonly mass_g: number
  readonly to: string
}

const STREAM_GATE: Readonly<Record<MassFlow['what'], Gate>> = {
  trimmed: 'sort',
  'lost-in-sorting': 'sort',
  cooking: 'makeSafe',
  drying: 'makeSafe',
  pressing: 'makeSafe',
  straining: 'palate',
  packed: 'keep',
  served: 'plate',
  'thrown-away': 'plate',
  split: 'sort',
  joined: 'palate',
  added: 'palate',
}

/** What became of a lot along the eight gates. */
export function ribbonOf(lot: LotState, context: JudgeContext): Ribbon {
  const views = gateViews(lot, context)
  const stop = views.findIndex(({ state }) => state !== 'open')
  const picked_g = beganWith_g(lot)
  const before_g: number[] = []
  const after_g: number[] = []
  let mass_g = picked_g
  for (const gate of GATES) {
    before_g.push(mass_g)
    for (const flow of lot.flows) if (STREAM_GATE[flow.what] === gate) mass_g -= flow.mass_g
    after_g.push(Math.max(0, mass_g))
  }
  const safeAt = GATES.indexOf('makeSafe')
  const safe = views[safeAt]?.state === 'open'
  return {
    before_g,
    after_g,
    stopsAt: stop === -1 ? GATES.length : stop,
    hazard: GATES.map((_, index) => (safe && index >= safeAt ? 0 : 1)),
    streams: lot.flows
      .filter(({ mass_g: flowed }) => flowed > 0)
      .map((flow) => ({ gate: STREAM_GATE[flow.what], what: flow.what, mass_g: flow.mass_g, to: flow.to })),
  }
}

/** Where every gram went: what was picked, what left by which way, what is in hand. Picked plus taken up equals the rest together. */
export interface MassBalance {
  readonly picked_g: number
  readonly takenUp_g: number
  readonly left: readonly { readonly what: MassFlow['what']; readonly to: string; readonly mass_g: number }[]
  readonly inHand_g: number
}

/** The mass balance of a lot, flows of one kind to one place added up. */
export function massBalance(lot: LotState): MassBalance {
  const sums = new Map<string, { what: MassFlow['what']; to: string; mass_g: number }>()
  for (const { what, to, mass_g } of lot.flows) {
    if (mass_g <= 0) continue
    const key = `${what} ${to}`
    sums.set(key, { what, to, mass_g: (sums.get(key)?.mass_g ?? 0) + mass_g })
  }
  const takenUp_g = lot.flows.reduce((sum, { mass_g }) => sum + Math.max(0, -mass_g), 0)
  return { picked_g: beganWith_g(lot), takenUp_g, left: [...sums.values()], inHand_g: lot.mass_g }
}
