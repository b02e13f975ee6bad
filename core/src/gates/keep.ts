import type { Store, StoreRule } from '../flora/taxon'
import { STANDS_AT_MOST_MINUTES, stoodMinutes, stoodReason, storeRule, type StoredAs } from '../keep/storage'
import { strandsOf, type LotState } from '../lot/lotState'
import { formatTemp } from '../quantity/format'
import { lotUse } from '../treatment/batchUse'
import { isTreating, protocolOf, treatmentProgress } from '../treatment/progress'
import { ajarFor, closedBy, openWith, type Finding, type JudgeContext } from './verdict'

/** How a cook means to keep part of a lot. */
export interface KeepIntent {
  readonly store: Store
  readonly storeTemp_C: number | null
}

/** Opens when the record allows this store for this part, its limit was measured, and so it has a discard-by moment. */
export function keepGate(lot: LotState, context: JudgeContext, intent: KeepIntent | undefined): Finding {
  const use = lotUse(lot, context.catalogue)
  if (use === undefined || use.stores.length === 0) return closedBy('No way of keeping this is on record.')
  if (intent === undefined) return ajarFor('Choose a store for what is not eaten now.')
  const as = storedAs(lot, context)
  const rule = storeRule(use, intent.store, as)
  if (rule === undefined) {
    const ways = use.stores.filter(({ after }) => after === as).map(({ store }) => store)
    return closedBy(
      `The record does not keep it ${intent.store} as it is (${as}). It allows: ${ways.join(', ') || 'nothing as it is'}.`,
    )
  }
  const stood = as === 'treated' ? stoodMinutes(lot, context.now) : 0
  if (stood > STANDS_AT_MOST_MINUTES) return closedBy(stoodReason(stood))
  return limitFinding(rule, lot, intent.storeTemp_C)
}

/** A store's limit, held against what was measured. */
function limitFinding({ limit, says, store }: StoreRule, lot: LotState, storeTemp_C: number | null): Finding {
  switch (limit.measure) {
    case 'dried-to':
      return openWith(says)
    case 'store-temperature': {
      const most = formatTemp(limit.atMost_C)
      // Under oil the reason is the danger, not the taste: it is told with the no.
      const why = store === 'oiled' ? ` ${says}` : ''
      if (storeTemp_C === null) return ajarFor(`Measure the store: it must be at ${most} or below.${why}`)
      return storeTemp_C > limit.atMost_C
        ? closedBy(`The store is at ${formatTemp(storeTemp_C)}; it must be at ${most} or below.${why}`)
        : openWith(says)
    }
    case 'ph': {
      const read = lastReading(lot, 'ph')
      if (read === undefined)
        return ajarFor(`Measure the pH in the middle of the largest piece: ${limit.atMost} or below.`)
      return read > limit.atMost ? closedBy(`pH ${read}; it must be ${limit.atMost} or below.`) : openWith(says)
    }
    case 'sugar': {
      const read = lastReading(lot, 'brix')
      if (read === undefined) return ajarFor(`Measure the sugar: ${limit.atLeast_brix} Brix or more.`)
      return read < limit.atLeast_brix
        ? closedBy(
            `${read} Brix; it must be ${limit.atLeast_brix} or more. Boil it down, or keep it cold and eat it soon.`,
          )
        : openWith(says)
    }
    case 'salt-share': {
      const share = saltShare(lot)
      const least = `${Math.round(limit.atLeast * 100)} % of the whole`
      if (share === 0) return ajarFor(`Weigh in the salt: at least ${least}.`)
      return share < limit.atLeast
        ? closedBy(`Salt is ${Math.round(share * 100)} % of the whole; it must be at least ${least}.`)
        : openWith(says)
    }
    default:
      throw new RangeError(`keep: expected a known measure, got ${JSON.stringify(limit satisfies never)}`)
  }
}

function lastReading(lot: LotState, kind: 'ph' | 'brix'): number | undefined {
  return lot.readings.filter(({ what }) => what === kind).at(-1)?.value
}

/** Salt over everything, addition by addition: what is taken out in between takes its share along. */
function saltShare(lot: LotState): number {
  return lot.added.reduce(
    (share, { what, mass_g, whole_g }) => (share * (whole_g - mass_g) + (what === 'salt' ? mass_g : 0)) / whole_g,
    0,
  )
}

/** What had been done to the lot: dried within its limit and not wetted since, made safe, or neither. */
export function storedAs(lot: LotState, context: JudgeContext): StoredAs {
  if (lot.joined.length > 0 && lot.runs.length === 0) {
    const each = new Set(strandsOf(lot).map((strand) => storedAs(strand.lot, context)))
    const [only] = each
    return each.size === 1 && only !== undefined ? only : 'raw'
  }
  const use = lotUse(lot, context.catalogue)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  if (use === undefined || protocol === undefined) return 'raw'
  const { steps, complete } = treatmentProgress(lot, protocol, use, context.book.house)
  const dried = steps.some(
    ({ step, index, met }) => step.limit?.measure === 'dried-to' && met && isDrySince(lot, protocol.name, index),
  )
  if (dried) return 'dried'
  return complete && steps.some(({ step }) => isTreating(step, lot.way?.goal ?? 'eat')) ? 'treated' : 'raw'
}

/** Whether a load came out of a drying after the last water that the lot lay in, by whatever way. */
function isDrySince(lot: LotState, way: string, step: number): boolean {
  const wetUntil = lot.baths.map(({ begunAt, endedAt }) => endedAt ?? begunAt)
  return lot.runs.some(
    ({ protocol, step: of, done }) =>
      protocol === way && of === step && done !== null && wetUntil.every((at) => at < done.at),
  )
}
