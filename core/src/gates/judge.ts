import type { LotState, PackState } from '../lot/lotState'
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

/** A pack as the gates see it: the treatment it had when it was packed, and all that has been learnt of its lot since. */
export function packAsLot(lot: LotState, pack: PackState): LotState {
  const { tells, firstCutAt, firstCutNoted, attestedAt, attestedBy, strays, stand, sorted, tastes } = lot
  const learnt = { tells, firstCutAt, firstCutNoted, attestedAt, attestedBy, strays, stand, sorted, tastes }
  return { ...pack.lotThen, ...learnt, asPack: pack.id }
}

function unknownGate(gate: never): never {
  throw new RangeError(`judge: expected one of the eight gates, got ${String(gate)}`)
}
