import type { Store, StoreRule, Use } from '../flora/taxon'
import { addDays, addMonths, type Instant } from '../quantity/instant'

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
