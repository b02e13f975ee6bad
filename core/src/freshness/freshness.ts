import { stepOf } from '../flora/stepOf'
import type { StoreRule } from '../flora/taxon'
import { bestBefore, storeRule } from '../keep/storage'
import { kitchenAt } from '../log/houseState'
import type { LifeContext } from './lifeContext'
import { onceEach } from '../lot/onceEach'
import type { LotState, PackState } from '../lot/lotState'
import { formatDays, formatSpan } from '../quantity/format'
import { addDays, formatDay, fromMs, MINUTE_ms, timeOf, toMs, type Instant } from '../quantity/instant'
import { lotUse } from '../treatment/batchUse'
import { isHeated } from '../treatment/tongue'
import {
  bathAtMost,
  courseOf,
  endsIf,
  warmMost,
  packLife,
  runAtMost,
  storeWhere,
  type Course,
  type Ending,
  type Life,
} from './life'
import { COLD_AT_MOST_C, HOT_AT_LEAST_C, rawKeeping, WARM_AT_MOST_min, WILTS } from './lifeLimits'
import { opNoun } from '../lot/opNoun'
import { storedAs } from './storedAs'

/** How fresh food is and why: the one answer that gates, labels, lists and screens all tell. */
export interface Freshness {
  readonly life: Life
  /** limp: past its best, and no harm; over: not eaten, packed or cooked any more. */
  readonly state: 'fresh' | 'limp' | 'over'
  /** Until when it may be eaten, if it stays where it is; null where nothing ends it. */
  readonly until: Instant | null
  /** When it goes limp, if it stays where it is; null where it does not, or has. */
  readonly limpAt: Instant | null
  /** What is left of the time it has, 1 to 0, if it stays where it is. */
  readonly left: number
  /** One sentence: what it is, since when, and until when or why no longer. */
  readonly says: string
  /** Against eating, packing and cooking it; at most one sentence. */
  readonly must: readonly string[]
  /** Worth a look, and no harm. */
  readonly mind: readonly string[]
}

/** How fresh a lot in hand is. Of a lot of which nothing is left it says how it was when the last of it went. */
export const freshnessOf: (lot: LotState, context: LifeContext) => Freshness = onceEach((lot, context) => {
  const course = courseOf(lot, context)
  return underWay(tell(course.life, course, context), lot, course, context)
})

/** Of a lot that lies in water, on the dryer or in a jar to sour: until when it may; of one on the fire, that it is. */
function underWay(freshness: Freshness, lot: LotState, { use }: Course, context: LifeContext): Freshness {
  if (freshness.state === 'over') return freshness
  const when = whenIn(context)
  const inIt = (since: Instant, atMost_min: number, says: (until: Instant) => string): Freshness => {
    const until = fromMs(toMs(since) + atMost_min * MINUTE_ms)
    return { ...freshness, until, left: shareLeft(since, until, context.now), says: says(until) }
  }
  const run = lot.runs.find(({ done }) => done === null)
  const runMost_min = run && runAtMost(run, use)
  const op = run && stepOf(use, run)?.op
  if (run !== undefined && op !== undefined && runMost_min !== undefined) {
    const begun = `The ${opNoun(op)} was begun ${when(run.begunAt)}`
    return isHeated(op)
      ? { ...freshness, until: null, left: 1, says: `${begun}: its own minutes count.` }
      : inIt(run.begunAt, runMost_min, (until) => `${begun}. End it by ${when(until)}, or it is food no more.`)
  }
  const bath = lot.baths.find(({ endedAt }) => endedAt === null)
  return bath === undefined
    ? freshness
    : inIt(bath.begunAt, bathAtMost(bath, use), (until) => `In its water since ${when(bath.begunAt)}. In this one it keeps until ${when(until)}; change the water before.`) // prettier-ignore
}

/** How fresh what is in a pack is: from its whole lineage, its store and its opening. */
export const packFreshness: (pack: PackState, context: LifeContext) => Freshness = onceEach((pack, context) => {
  const use = lotUse(pack.lotThen, context.catalogue)
  const course = { use, keeping: rawKeeping(use), where: storeWhere(pack, use, context) }
  return tell(packLife(pack, context), course, context)
})

/** The rule by which a pack is kept, and from when it is past its best. */
export function packRule(
  pack: PackState,
  context: LifeContext,
): { readonly rule: StoreRule | undefined; readonly bestBefore: Instant | null } {
  const use = lotUse(pack.lotThen, context.catalogue)
  const rule =
    use === undefined ? undefined : storeRule(use, pack.store, storedAs(pack.lotThen, { ...context, now: pack.at }))
  return { rule, bestBefore: rule === undefined ? null : bestBefore(rule, packLife(pack, context).madeAt) }
}

function tell(life: Life, { use, where, keeping }: Omit<Course, 'life'>, context: LifeContext): Freshness {
  const { now } = context
  const when = whenIn(context)
  if (life.over !== null) {
    const says = overSays(life, life.over, when)
    return { life, state: 'over', until: life.over.at, limpAt: null, left: 0, says, must: [says], mind: [] }
  }
  const ending = endsIf(life, now, where, keeping)
  const raw = life.kind === 'raw'
  const limpDays = where === 'warm' ? keeping.limp.warm : where === 'cold' ? keeping.limp.cold : undefined
  const limp = raw && life.limp >= 1
  const wilts = use !== undefined && WILTS.includes(use.part)
  const until = ending?.at ?? null
  return {
    life,
    state: limp ? 'limp' : 'fresh',
    until,
    left: until === null ? 1 : shareLeft(life.madeAt, until, now),
    limpAt: raw && !limp && limpDays !== undefined ? addDays(now, (1 - life.limp) * limpDays) : null,
    says: freshSays(life, until, when),
    must: [],
    mind: limp ? [limpSays(wilts, until, when)] : [],
  }
}

function shareLeft(from: Instant, until: Instant, now: Instant): number {
  const whole = toMs(until) - toMs(from)
  return whole <= 0 ? 0 : Math.max(0, Math.min(1, (toMs(until) - toMs(now)) / whole))
}

type When = (at: Instant) => string

/** A moment as the kitchen's clock shows it. */
function whenIn({ book: { house }, now }: LifeContext): When {
  const timeZone = kitchenAt(house, now)?.timeZone ?? 'UTC'
  return (at) => `${formatDay(at, timeZone, at.slice(0, 4) !== now.slice(0, 4))} ${timeOf(at, timeZone)}`
}

const KIND_WORDS: Readonly<Record<Life['kind'], string>> = {
  raw: 'Raw',
  moist: 'Cut, wet or half cooked',
  leached: 'Out of its bath, not cooked yet',
  cooked: 'Cooked',
  dry: 'Dry',
  steady: 'Sour, sweet or salt enough to keep',
}
const SINCE_WORDS: Readonly<Record<Life['kind'], string>> = {
  raw: ', picked',
  moist: ' since',
  leached: '; its last bath began',
  cooked: ', made',
  dry: ', made',
  steady: ' since',
}

/** What it is and since when. @example 'Cooked, first frozen Sun 16 May 10:00' */
function bornSays(life: Life, when: When): string {
  const since = life.wasFrozen ? ', first frozen' : SINCE_WORDS[life.kind]
  return `${KIND_WORDS[life.kind]}${since} ${when(life.madeAt)}`
}

function freshSays(life: Life, until: Instant | null, when: When): string {
  const from = `${bornSays(life, when)}${life.end?.cause.of === 'opened' ? '; opened or thawed since' : ''}.`
  if (until === null)
    return `${from} ${life.kind === 'dry' || life.kind === 'steady' ? 'Keep it closed.' : 'Its time does not run where it is now.'}`
  const warm = life.warm_min >= 1 ? ` Warm for ${formatSpan(life.warm_min)} so far.` : ''
  return `${from}${warm} As it stands, keeps until ${when(until)}.`
}

/** Why it is not food any more, since when, and what can still be done with it. */
function overSays(life: Life, { at, cause }: Ending, when: When): string {
  const born = bornSays(life, when)
  const away = 'Throw the food away; it is for no pot, no pan and no stock.'
  switch (cause.of) {
    case 'raw':
      return `${born}: past its raw life since ${when(at)}. It may have rotted or grown germs. ${away}`
    case 'warm':
      return `${born}: it stood warm (${COLD_AT_MOST_C} to ${HOT_AT_LEAST_C} °C) for ${formatSpan(warmMost(life.kind) ?? WARM_AT_MOST_min)} in all by ${when(at)}, and that is the most. ${away} Next time chill or freeze it at once.`
    case 'bath':
      return `It lay in one water since ${when(cause.since)}; ${formatSpan(cause.atMost_min)} is the most for a bath as warm as that. ${away}`
    case 'step':
      return `The ${opNoun(cause.op)} was begun ${when(cause.since)} and not ended in time, by ${when(at)}. ${away}`
    case 'store':
      return `${born}: its time ended ${when(at)}. ${away}`
    case 'opened':
      return `Opened or thawed; it kept ${formatDays(cause.days)} from then, until ${when(at)}. ${away}`
    case 'cold':
      return `${born}: even cold it kept only until ${when(at)}. ${away}`
    default:
      return unknownCause(cause)
  }
}

function limpSays(wilts: boolean, until: Instant | null, when: When): string {
  const looks = wilts ? 'leaves may be limp and petals faded' : 'it may be soft'
  const cook = until === null ? '' : ` It is safe until ${when(until)}.`
  return `Past its best: ${looks}. Look at every piece and take out what is slimy, brown or mouldy.${cook}`
}

function unknownCause(cause: never): never {
  throw new RangeError(`freshness: expected a known cause, got ${JSON.stringify(cause)}`)
}
