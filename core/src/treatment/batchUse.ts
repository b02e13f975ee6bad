import { findTaxon, findUse, type Catalogue } from '../flora/catalogue'
import { rawKeeping, type RawKeeping } from '../freshness/lifeLimits'
import type { CriticalLimit, HazardLevel, Protocol, Step, StoreRule, Use, UseHazard } from '../flora/taxon'
import type { Range } from '../quantity/range'
import { strandsOf, type LotState } from '../lot/lotState'

/**
 * The use that a lot comes under, at the stage seen when it was sorted or else as claimed; for a batch, the uses of its
 * constituents taken together. Undefined when nothing is on record about any one of them.
 */
export function lotUse(lot: LotState, catalogue: Catalogue): Use | undefined {
  const uses = strandsOf(lot).map(({ lot: { weighedIn, sorted } }) => {
    const taxon = weighedIn === null ? undefined : findTaxon(catalogue, weighedIn.taxon)
    return weighedIn === null || taxon === undefined
      ? undefined
      : findUse(taxon, weighedIn.part, sorted?.stageSeen ?? weighedIn.stage)
  })
  const [first, ...rest] = uses
  return rest.reduce<Use | undefined>(
    (whole, use) => (whole === undefined || use === undefined ? undefined : joinUses(whole, use)),
    first,
  )
}

/**
 * Two uses in one pot: all hazards, only stores and ways that both allow, the strictest limit of each. Ways whose treating
 * steps differ cannot be carried out together and are left out: then it takes separate pots.
 */
export function joinUses(a: Use, b: Use): Use {
  if (a === b) return a
  const never = [a, b].find(({ verdict }) => verdict === 'never')
  if (never !== undefined) return never
  return {
    ...a,
    ...joinRanges(a, b),
    ...shorterRaw(a, b),
    verdict: VERDICTS[Math.max(VERDICTS.indexOf(a.verdict), VERDICTS.indexOf(b.verdict))] ?? b.verdict,
    hazards: joinHazards(a.hazards, b.hazards),
    trim: [...new Set([...a.trim, ...b.trim])],
    protocols: a.protocols.flatMap((way) => b.protocols.flatMap((other) => joinProtocols(way, other) ?? [])),
    stores: a.stores.flatMap((rule) => b.stores.flatMap((other) => joinStores(rule, other) ?? [])),
    // Amounts are told constituent by constituent: each counts by its own share of the batch.
    amounts: [],
    cautionFor: [...a.cautionFor, ...b.cautionFor],
    dishes: a.dishes.filter((dish) => b.dishes.includes(dish)),
  }
}

/** From the laxest: a mixture is eaten as the strictest part of it. */
const VERDICTS: readonly Use['verdict'][] = ['raw-ok', 'flavouring-only', 'cook', 'leach-then-cook', 'never']

/** Raw, a mixture keeps as long as what of it spoils first, by each figure; of what the record does not say, as the most tender greens. */
function shorterRaw(a: Use, b: Use): Required<Pick<Use, 'keepsRaw_days' | 'spoilsRaw_days'>> {
  const [one, other] = [rawKeeping(a), rawKeeping(b)]
  const least = (of: keyof RawKeeping) => ({
    ambient: Math.min(one[of].warm, other[of].warm),
    chilled: Math.min(one[of].cold, other[of].cold),
  })
  return { keepsRaw_days: least('limp'), spoilsRaw_days: least('unsafe') }
}

/** Estimates for the mixture: as wide as the two together. */
function joinRanges(a: Use, b: Use): Partial<Pick<Use, 'cookedYield' | 'moisture'>> {
  const wide = (one: Range | undefined, other: Range | undefined): Range | undefined =>
    one === undefined || other === undefined
      ? undefined
      : {
          low: Math.min(one.low, other.low),
          usual: (one.usual + other.usual) / 2,
          high: Math.max(one.high, other.high),
        }
  const cookedYield = wide(a.cookedYield, b.cookedYield)
  const moisture = wide(a.moisture, b.moisture)
  return { ...(cookedYield === undefined ? {} : { cookedYield }), ...(moisture === undefined ? {} : { moisture }) }
}

const LEVELS: readonly HazardLevel[] = ['trace', 'low', 'moderate', 'high', 'deadly']

function joinHazards(a: readonly UseHazard[], b: readonly UseHazard[]): readonly UseHazard[] {
  return [...new Set([...a, ...b].map(({ id }) => id))].flatMap((id) => {
    const same = [...a, ...b].filter((hazard) => hazard.id === id)
    // The worse of the two speaks; where it is the same hazard twice, its answers are the same too.
    const worst = same.toSorted((x, y) => LEVELS.indexOf(y.level) - LEVELS.indexOf(x.level))[0]
    return worst === undefined ? [] : [worst]
  })
}

/** One way that does for both, or undefined when their treating steps are not the same. */
function joinProtocols(a: Protocol, b: Protocol): Protocol | undefined {
  const goals = a.goals.filter((goal) => b.goals.includes(goal))
  if (goals.length === 0 || (a.storeOnly ?? false) !== (b.storeOnly ?? false)) return undefined
  const treatingA = a.steps.filter(treats)
  const treatingB = b.steps.filter(treats)
  if (treatingA.length !== treatingB.length) return undefined
  const merged = new Map<Step, Step>()
  for (const [index, step] of treatingA.entries()) {
    const other = treatingB[index]
    const one = other === undefined ? undefined : joinSteps(step, other)
    if (one === undefined) return undefined
    merged.set(step, one)
  }
  const cautious = [a, b].some(({ standing }) => standing === 'contested') ? 'contested' : a.standing
  return {
    ...a,
    name: a.name === b.name ? a.name : `${a.name} + ${b.name}`,
    standing: cautious,
    goals,
    steps: a.steps.map((step) => merged.get(step) ?? joinCleaning(step, b)),
    why: a.why === b.why ? a.why : `${a.why} ${b.why}`,
  }
}

function treats({ critical, op }: Step): boolean {
  return critical && !SORT_OPS.includes(op) && !KEEP_OPS.includes(op)
}

/** Operations that are the Sort gate's. */
export const SORT_OPS: readonly string[] = ['sort', 'wash', 'rinse', 'shake-out', 'trim']

/** Operations that are the Keep gate's. */
export const KEEP_OPS: readonly string[] = ['infuse-oil', 'freeze']

/** Cleaning for both: what either washes out, in the larger ratio. */
function joinCleaning(step: Step, other: Protocol): Step {
  const same = other.steps.find(({ op }) => op === step.op)
  return same === undefined ? step : { ...step, control: [...new Set([...step.control, ...same.control])] }
}

function joinSteps(a: Step, b: Step): Step | undefined {
  if (a.op !== b.op || a.limit === undefined || b.limit === undefined) return undefined
  const limit = stricterLimit(a.limit, b.limit)
  if (limit === undefined) return undefined
  return {
    ...a,
    control: [...new Set([...a.control, ...b.control])],
    limit,
    ...(a.waterRatio === undefined || b.waterRatio === undefined
      ? {}
      : {
          waterRatio: {
            least: Math.max(a.waterRatio.least, b.waterRatio.least),
            usual: Math.max(a.waterRatio.usual, b.waterRatio.usual),
          },
        }),
    ...(a.water === 'discard' || b.water === 'discard' ? { water: 'discard' as const } : {}),
  }
}

/** The stricter of two limits of one measure; undefined when they measure different things. */
function stricterLimit(a: CriticalLimit, b: CriticalLimit): CriticalLimit | undefined {
  if (a.measure === 'rolling-boil' && b.measure === 'rolling-boil')
    return {
      measure: 'rolling-boil',
      minutes: Math.max(a.minutes, b.minutes),
      acceptedTo_m: Math.min(a.acceptedTo_m, b.acceptedTo_m),
      added: [...a.added, ...b.added],
    }
  if (a.measure === 'food-temperature' && b.measure === 'food-temperature')
    return {
      measure: 'food-temperature',
      temp_C: Math.max(a.temp_C, b.temp_C),
      minutes: Math.max(a.minutes, b.minutes),
    }
  if (a.measure === 'dried-to' && b.measure === 'dried-to')
    return { measure: 'dried-to', moisture: Math.min(a.moisture, b.moisture) }
  if (a.measure === 'ph' && b.measure === 'ph') {
    const minutes = Math.max(a.minutes ?? 0, b.minutes ?? 0)
    const saltAtLeast = Math.max(a.saltAtLeast ?? 0, b.saltAtLeast ?? 0)
    return {
      measure: 'ph',
      atMost: Math.min(a.atMost, b.atMost),
      ...(minutes > 0 ? { minutes } : {}),
      ...(saltAtLeast > 0 ? { saltAtLeast } : {}),
    }
  }
  if (a.measure === 'seen' && b.measure === 'seen')
    return { measure: 'seen', sign: a.sign === b.sign ? a.sign : `${a.sign}; ${b.sign}` }
  if (a.measure === 'baths' && b.measure === 'baths')
    return {
      measure: 'baths',
      least: Math.max(a.least, b.least),
      minutes: Math.max(a.minutes, b.minutes),
      tasteAtMost: Math.min(a.tasteAtMost, b.tasteAtMost),
      ...(a.atMost_C === undefined && b.atMost_C === undefined
        ? {}
        : { atMost_C: Math.min(a.atMost_C ?? Infinity, b.atMost_C ?? Infinity) }),
    }
  return undefined
}

function joinStores(a: StoreRule, b: StoreRule): StoreRule | undefined {
  if (a.store !== b.store || a.after !== b.after || a.keeps.unit !== b.keeps.unit) return undefined
  const limit = stricterStore(a.limit, b.limit)
  return limit === undefined
    ? undefined
    : {
        ...a,
        limit,
        keeps: {
          low: Math.min(a.keeps.low, b.keeps.low),
          high: Math.min(a.keeps.high, b.keeps.high),
          unit: a.keeps.unit,
        },
        says: a.says === b.says ? a.says : `${a.says} ${b.says}`,
      }
}

function stricterStore(a: StoreRule['limit'], b: StoreRule['limit']): StoreRule['limit'] | undefined {
  if (a.measure === 'store-temperature' && b.measure === 'store-temperature')
    return { measure: 'store-temperature', atMost_C: Math.min(a.atMost_C, b.atMost_C) }
  if (a.measure === 'dried-to' && b.measure === 'dried-to')
    return { measure: 'dried-to', moisture: Math.min(a.moisture, b.moisture) }
  if (a.measure === 'ph' && b.measure === 'ph') return { measure: 'ph', atMost: Math.min(a.atMost, b.atMost) }
  if (a.measure === 'sugar' && b.measure === 'sugar')
    return { measure: 'sugar', atLeast_brix: Math.max(a.atLeast_brix, b.atLeast_brix) }
  if (a.measure === 'salt-share' && b.measure === 'salt-share')
    return { measure: 'salt-share', atLeast: Math.max(a.atLeast, b.atLeast) }
  return undefined
}
