import type { Store, StoreRule } from '../flora/taxon'
import { freshnessOf } from '../freshness/freshness'
import { saltShare } from '../keep/steady'
import { storedAs } from '../freshness/storedAs'
import { wettings } from '../keep/wettings'
import { storeRule } from '../keep/storage'
import type { LotState } from '../lot/lotState'
import { formatTemp } from '../quantity/format'
import { lotUse } from '../treatment/batchUse'
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
  const { must, life } = freshnessOf(lot, context)
  if (must.length > 0) return closedBy(...must)
  if (intent.store === 'frozen' && life.thawedRaw && as === 'raw')
    return closedBy('It was frozen raw and has thawed: it is not frozen raw again. Cook it first, or eat it today.')
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

/** The last reading that holds still: what was measured before something was put to it tells of what it was. */
function lastReading(lot: LotState, kind: 'ph' | 'brix'): number | undefined {
  const put = [...lot.added.map(({ at }) => at), ...wettings(lot)].sort().at(-1) ?? ''
  return lot.readings.filter(({ what, at }) => what === kind && at >= put).at(-1)?.value
}
