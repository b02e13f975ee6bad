import type { LotState, PackState } from '../lot/lotState'
import type { Instant } from '../quantity/instant'
import { groundGate } from './ground'
import { identityGate } from './identity'
import { keepGate, type KeepIntent } from './keep'
import { makeSafeGate } from './makeSafe'
import { palateGate } from './palate'
import { plateGate, type ServingIntent } from './plate'
import { sortGate } from './sort'
import { takeGate } from './take'
import type { Finding, Gate, GateVerdict, JudgeContext } from './verdict'

/** What the cook means to do, as far as a gate must know it. */
export interface Intent {
  readonly keep?: KeepIntent
  readonly serve?: ServingIntent
}

/** The verdict of one gate on one lot, with the instant and the catalogue's revision it was judged by. */
export function judge(gate: Gate, lot: LotState, context: JudgeContext, intent: Intent = {}): GateVerdict {
  return { gate, ...find(gate, lot, context, intent), at: context.now, revision: context.catalogue.revision }
}

function find(gate: Gate, lot: LotState, context: JudgeContext, intent: Intent): Finding {
  switch (gate) {
    case 'identity':
      return identityGate(lot, context)
    case 'ground':
      return groundGate(lot, context)
    case 'take':
      return takeGate(lot, context)
    case 'sort':
      return sortGate(lot, context)
    case 'makeSafe':
      return makeSafeGate(lot, context)
    case 'palate':
      return palateGate(lot)
    case 'keep':
      return keepGate(lot, context, intent.keep)
    case 'plate':
      return plateGate(lot, context, intent.serve)
    default:
      return unknownGate(gate)
  }
}

/**
 * A pack as the gates see it: the treatment it had when it was packed, and all that has been learnt of its lot since. How the lot tasted once
 * more was done to it says nothing of the pack; that it tasted wrong does.
 */
export function packAsLot(lot: LotState, pack: PackState): LotState {
  const { tells, firstCutAt, firstCutNoted, attestedAt, attestedBy, strays, stand, sorted } = lot
  const changed = changedSince(lot, pack)
  const tastes = lot.tastes.filter(({ at, alarm }) => alarm !== null || changed === undefined || at < changed)
  const learnt = { tells, firstCutAt, firstCutNoted, attestedAt, attestedBy, strays, stand, sorted, tastes }
  return { ...pack.lotThen, ...learnt, asPack: pack.id }
}

/** When the rest of a lot was first no longer the food that a pack of it holds; undefined while it still is. */
function changedSince({ runs, baths, added, cutUp }: LotState, { at, lotThen }: PackState): Instant | undefined {
  const ended = new Set([
    ...lotThen.runs.filter(({ done }) => done !== null).map(({ entry }) => entry),
    ...lotThen.baths.filter(({ endedAt }) => endedAt !== null).map(({ entry }) => entry),
  ])
  const treated = [...runs, ...baths].filter(({ entry }) => !ended.has(entry)).map(({ begunAt }) => begunAt)
  const put = [...added, ...cutUp].map((each) => each.at).filter((each) => each > at)
  return [...treated, ...put].map((each) => (each > at ? each : at)).sort()[0]
}

function unknownGate(gate: never): never {
  throw new RangeError(`judge: expected one of the eight gates, got ${String(gate)}`)
}
