import type { Store, StoreRule, Use } from '../flora/taxon'
import type { LotState } from '../lot/lotState'
import { addDays, addMonths, minutesBetween, type Instant } from '../quantity/instant'

/** What had been done to food when it went into store. */
export type StoredAs = 'raw' | 'treated' | 'dried'

/** The record's rule for a store and what was done before it; undefined when the record allows no such store. */
export function storeRule(use: Use, store: Store, storedAs: StoredAs): StoreRule | undefined {
  return use.stores.find((rule) => rule.store === store && rule.after === storedAs)
}

/** Until when a pack may be eaten: the end of the range on record, in whole days or calendar months. */
export function discardBy(rule: StoreRule, packedAt: Instant): Instant {
  return rule.keeps.unit === 'days' ? addDays(packedAt, rule.keeps.high) : addMonths(packedAt, rule.keeps.high)
}

/** From when a pack is past its best, though not yet to be thrown away. */
export function bestBefore(rule: StoreRule, packedAt: Instant): Instant {
  return rule.keeps.unit === 'days' ? addDays(packedAt, rule.keeps.low) : addMonths(packedAt, rule.keeps.low)
}

/** Cooked food in hand is served or packed within this; then it has stood too long (two hours warm, with the meal itself). */
export const STANDS_AT_MOST_MINUTES = 240

/** When the last load came out; undefined when nothing was heated yet. */
export function cookedAt(lot: LotState): Instant | undefined {
  return [
    ...lot.runs.flatMap(({ done }) => (done === null ? [] : [done.at])),
    ...lot.joined.flatMap(({ lotThen }) => cookedAt(lotThen) ?? []),
  ]
    .sort()
    .at(-1)
}

/** Since when food has stood: its last load came out then, or it came out of its store; undefined when nothing was heated. */
export function stoodSince(lot: LotState): Instant | undefined {
  const since = cookedAt(lot)
  return since !== undefined && lot.outOfStoreAt !== null && lot.outOfStoreAt > since ? lot.outOfStoreAt : since
}

/** Minutes that food has stood; 0 when nothing was heated. */
export function stoodMinutes(lot: LotState, now: Instant): number {
  const since = stoodSince(lot)
  return since === undefined ? 0 : minutesBetween(since, now)
}

/** Why food that stood is not eaten or packed any more. */
export function stoodReason(stood_min: number): string {
  return `It has stood for ${Math.round(stood_min / 60)} hours since it was cooked. Throw it away; next time chill or freeze it at once.`
}
