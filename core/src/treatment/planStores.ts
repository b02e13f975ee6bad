import { commonName } from '../flora/catalogue'
import type { Goal, Store, StoreRule, Taxon, Use } from '../flora/taxon'
import { plainWords } from '../flora/vocabulary'
import { formatList } from '../quantity/format'
import type { PlanInput, PlanReason } from './planTypes'

/** Goals that end dry. */
export const DRY_GOALS: readonly Goal[] = ['dry', 'tea', 'flavouring', 'flour']
/** Stores that shut out air round moist, low-acid food. */
export const AIRLESS: readonly Goal[] = ['infused-oil', 'can']
/** The store that a goal means, where one is asked for. */
const GOAL_STORES: Readonly<Partial<Record<Goal, Store>>> = {
  'infused-oil': 'oiled',
  ferment: 'soured',
  pickle: 'soured',
  syrup: 'sugared',
  jam: 'sugared',
}
/** Where a goal ordinarily ends up. */
const ORDINARY_STORAGE: Readonly<Partial<Record<Goal, NonNullable<PlanInput['storage']>>>> = {
  freeze: 'frozen',
  dry: 'room',
  flour: 'room',
  'infused-oil': 'room',
  can: 'room',
  syrup: 'chilled',
  jam: 'chilled',
  ferment: 'chilled',
  pickle: 'chilled',
}

/** What is on record about keeping what a goal makes, or why it may not be kept so and what would do instead. */
export function storeReasons(
  taxon: Taxon,
  use: Use,
  { goal, storage = ORDINARY_STORAGE[goal] ?? 'none' }: PlanInput,
): { refused?: PlanReason; instead: string; reasons: readonly PlanReason[] } {
  const instead = waysOnRecord(use)
  const refused = (text: string, better = instead) => ({
    refused: { about: 'store', rank: 'must' as const, text },
    instead: better,
    reasons: [],
  })
  if (goal === 'can')
    return refused(
      `${commonName(taxon)} is moist and low in acid: shut off from air in a jar outside a tested recipe it can grow botulism, which nobody sees or smells.`,
    )
  if (goal === 'infused-oil' && (storage === 'room' || storageRule(use, goal, storage) === undefined))
    return refused(
      `${commonName(taxon)} is moist and low in acid: under oil it can grow botulism, which nobody sees or smells.`,
      storageRule(use, goal, 'chilled') === undefined
        ? instead
        : 'made fresh, kept at 4 °C or colder and eaten within 4 days; or frozen; or dried first, then put in oil',
    )
  if (storage === 'none') return { instead, reasons: [] }
  const rule = storageRule(use, goal, storage)
  if (rule !== undefined)
    return {
      instead,
      reasons: [{ about: 'store', rank: rule.limit.measure === 'ph' ? 'must' : 'know', text: rule.says }],
    }
  if (storage !== 'room') return refused(`Keeping it ${storage} is not on record for this part.`)
  const cold = storageRule(use, goal, 'chilled')
  return refused(
    cold !== undefined && GOAL_STORES[goal] !== undefined
      ? `At room warmth it is not on record. ${cold.says}`
      : 'Kept moist at room warmth it spoils, and low-acid food shut off from air can grow botulism. It keeps at room warmth only thoroughly dried.',
  )
}

/** The record's rule for a goal's product in a kind of storage. */
function storageRule(use: Use, goal: Goal, storage: 'room' | 'chilled' | 'frozen' | 'none'): StoreRule | undefined {
  const made = GOAL_STORES[goal]
  const raw = goal === 'eat-raw' || goal === 'infused-oil' || goal === 'flavouring'
  const as = DRY_GOALS.includes(goal) && goal !== 'flavouring' ? 'dried' : raw ? 'raw' : 'treated'
  if (storage === 'room')
    return use.stores.find(
      ({ store, atRoom }) =>
        (store === 'dried' && DRY_GOALS.includes(goal)) || (atRoom === true && made !== undefined && store === made),
    )
  if (storage === 'chilled' && made !== undefined) return use.stores.find(({ store }) => store === made)
  if (storage === 'none') return undefined
  const kept = use.stores.filter(({ store }) => store === storage)
  return kept.find(({ after }) => after === as) ?? (goal === 'freeze' ? kept[0] : undefined)
}

/** What this part is accepted for, in words. */
export function waysOnRecord(use: Use): string {
  const goals = [
    ...new Set(
      use.protocols
        .filter(({ standing }) => standing !== 'contested' && standing !== 'not-advised')
        .flatMap(({ goals: each }) => each),
    ),
  ]
  return goals.length === 0 ? 'another plant' : `on record for it: ${formatList(goals.map(plainWords))}`
}
