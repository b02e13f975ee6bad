import { lotUse } from '../treatment/batchUse'
import { protocolOf, treatmentProgress } from '../treatment/progress'
import type { StoredAs } from '../keep/storage'
import { strandsOf, type LotState } from '../lot/lotState'
import type { LifeContext } from './lifeContext'
import { wettings } from '../keep/wettings'

/** What had been done to the lot: dried within its limit and not wetted since, made safe, or neither. */
export function storedAs(lot: LotState, context: LifeContext): StoredAs {
  if (lot.joined.length > 0 && lot.runs.length === 0) {
    const each = new Set(strandsOf(lot).map((strand) => storedAs(strand.lot, context)))
    const [only] = each
    return each.size === 1 && only !== undefined && wettings(lot).length === 0 ? only : 'raw'
  }
  const use = lotUse(lot, context.catalogue)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  if (use === undefined || protocol === undefined) return 'raw'
  const { steps, complete } = treatmentProgress(lot, protocol, use, context.book.house)
  const dried = steps.some(
    ({ step, index, met }) => step.limit?.measure === 'dried-to' && met && isDrySince(lot, protocol.name, index),
  )
  if (dried) return 'dried'
  return complete && steps.some(({ required }) => required) ? 'treated' : 'raw'
}

/** Whether all that came out of a drying did so after the last water or wet thing that was put to the lot, by whatever way. */
function isDrySince(lot: LotState, way: string, step: number): boolean {
  const wet = wettings(lot)
  return lot.runs.some(
    ({ protocol, step: of, done }) =>
      protocol === way && of === step && done !== null && wet.every((at) => at < done.at),
  )
}
