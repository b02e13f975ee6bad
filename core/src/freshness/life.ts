import { stepOf } from '../flora/stepOf'
import type { StoreRule, Use } from '../flora/taxon'
import { discardBy, storeRule } from '../keep/storage'
import type { BathFact, LotState, PackState, Stay, StepRun, StoreReading } from '../lot/lotState'
import { addDays, fromMs, MINUTE_ms, minutesBetween, toMs, type Instant } from '../quantity/instant'
import { lotUse } from '../treatment/batchUse'
import { isHeated } from '../treatment/tongue'
import { treatmentProgress } from '../treatment/progress'
import {
  CUT_KEEPS_days,
  COLD_AT_MOST_C,
  COLD_KEEPS_days,
  FROZEN_AT_MOST_C,
  HOT_AT_LEAST_C,
  LEACHED_AT_MOST_min,
  ONCE_OPENED_days,
  rawKeeping,
  RUNNING_AT_MOST_min,
  stillBathAtMost_min,
  STEP_LEAST_min,
  STEP_OVERRUN,
  WARM_AT_MOST_min,
  type RawKeeping,
} from './lifeLimits'
import { steadyTimes } from '../keep/steady'
import type { LifeContext } from './lifeContext'
import { storedAs } from './storedAs'
import { isWet } from '../keep/wettings'

/** raw: whole, as picked; moist: its flesh laid open or wetted, never heated since; leached: out of a bath, and still to be cooked or dried; steady: sour, sweet or salt enough, by measure. */
export type LifeKind = 'raw' | 'moist' | 'leached' | 'cooked' | 'dry' | 'steady'

/** Why food is past its life. */
export type Cause =
  | { readonly of: 'raw' }
  | { readonly of: 'warm' }
  | { readonly of: 'bath'; readonly since: Instant; readonly atMost_min: number }
  | { readonly of: 'step'; readonly op: string; readonly since: Instant }
  | { readonly of: 'store' }
  | { readonly of: 'opened'; readonly days: number }
  | { readonly of: 'cold' }

export interface Ending {
  readonly at: Instant
  readonly cause: Cause
}

/** How far the life of food has come: one clock over its whole lineage. */
export interface Life {
  readonly kind: LifeKind
  /** When this life began: picked, cut open, cooked, dried, soured or first frozen. */
  readonly madeAt: Instant
  /** Minutes between 5 and 60 °C since then, over splits, joins, stores and openings. */
  readonly warm_min: number
  /** Shares of its raw life gone by: to limp and to unsafe. */
  readonly limp: number
  readonly raw: number
  /** The earliest moment by which it must be gone, of all that went into it. */
  readonly end: Ending | null
  /** It was frozen since it was last cooked: freezing it again makes nothing younger. */
  readonly wasFrozen: boolean
  /** It was frozen raw and has thawed: it is cooked now, and not frozen raw again. */
  readonly thawedRaw: boolean
  readonly over: Ending | null
}

/** Where food is, as far as its clock cares. `still`: in a bath or a step, which have limits of their own. */
export type Where = 'warm' | 'cold' | 'hot' | 'frozen' | 'still'

/** The life of a lot in hand as of now. */
export function lifeOf(lot: LotState, context: LifeContext): Life {
  return courseOf(lot, context).life
}

/** The life of what is in a pack, as of now, were it taken out now. */
export function packLife(pack: PackState, context: LifeContext): Life {
  const before = courseOf(pack.lotThen, { ...context, now: pack.at })
  return throughStore(before.life, { ...pack, from: pack.at, until: context.now }, before, context)
}

export interface Course {
  readonly life: Life
  readonly where: Where
  readonly use: Use | undefined
  readonly keeping: RawKeeping
}

/** The life of a lot and where it is now. Each thing that happened to it is taken in turn, its batches' parts first. */
export function courseOf(lot: LotState, context: LifeContext): Course {
  const { now } = context
  const use = lotUse(lot, context.catalogue)
  const keeping = rawKeeping(use)
  const start = together(lot, context) ?? picked(lot, now)
  let life = start.life
  let at = start.at
  let place: Where = 'warm'
  let ground: Where = place
  const happenings = happeningsOf(lot, use, context).filter((each) => each.at <= now && each.at >= start.at)
  const inside: { bath: boolean; steps: number } = { bath: false, steps: 0 }
  const passTo = (to: Instant) => {
    life = passed(life, at, to, ground, keeping)
    if (to > at) at = to
  }
  for (const happening of happenings) {
    passTo(happening.at)
    // What is past its life stays past it, whatever is done to it.
    if (life.over !== null) break
    switch (happening.what) {
      case 'placed':
        place = happening.where
        break
      case 'bath-begun':
        life = leached(life, happening.at)
        inside.bath = true
        break
      case 'bath-ended':
        life = outOfBath(life, happening.at, use)
        inside.bath = false
        place = 'warm'
        break
      case 'step-begun':
        // On the fire it lies in no bath, whatever time was given afterwards to pouring that off.
        inside.bath = false
        inside.steps += 1
        break
      case 'step-ended':
        inside.steps -= 1
        place = 'warm'
        break
      case 'handled':
        place = 'warm'
        break
      case 'overrun':
        life = ended(life, { at: happening.at, cause: happening.cause })
        break
      case 'cut':
        life = isDryAsPicked(use) ? life : opened(life, happening.at, use, 'cut')
        place = 'warm'
        break
      case 'heated':
        life = halfHeated(life, happening.at, use)
        break
      case 'wetted':
        life = wetted(life, happening.at, use)
        place = 'warm'
        break
      case 'made':
        life = made(life, happening, use)
        break
      case 'stay':
        life = throughStore(life, happening.stay, { use, keeping }, context)
        at = happening.stay.until
        place = 'warm'
        break
      default:
        return unknownHappening(happening)
    }
    ground = inside.bath || inside.steps > 0 ? 'still' : place
  }
  passTo(now)
  return { life, where: ground, use, keeping }
}

/** A picking begins at its picking. */
function picked({ weighedIn }: LotState, now: Instant): { readonly life: Life; readonly at: Instant } {
  const at = weighedIn?.pickedAt ?? now
  return { life: { ...NEW, kind: 'raw', madeAt: at }, at }
}

const NEW = { warm_min: 0, limp: 0, raw: 0, end: null, wasFrozen: false, thawedRaw: false, over: null } as const

/** A batch is as far gone as the furthest of its parts, as they were when they were joined; undefined for what is no batch. */
function together(lot: LotState, context: LifeContext): { readonly life: Life; readonly at: Instant } | undefined {
  const parts = lot.joined.map(({ lotThen, at }) => ({ lotThen, at, life: lifeOf(lotThen, { ...context, now: at }) }))
  const mixed = new Set(parts.map(({ life }) => life.kind)).size > 1
  // What keeps by being whole, dry, sour or sweet keeps no longer with something moist among it.
  const lives = parts.map(({ lotThen, at, life }) =>
    mixed ? wetted(life, at, lotUse(lotThen, context.catalogue)) : life,
  )
  const [first] = lives
  if (first === undefined) return undefined
  const kind: LifeKind = mixed ? 'moist' : first.kind
  const earliest = (endings: readonly (Ending | null)[]) =>
    endings.reduce((a, b) => (a === null ? b : b === null ? a : b.at < a.at ? b : a), null)
  return {
    at: parts.reduce((latest, { at }) => (at > latest ? at : latest), first.madeAt),
    life: {
      kind,
      madeAt: lives.reduce((earliest, { madeAt }) => (madeAt < earliest ? madeAt : earliest), first.madeAt),
      warm_min: Math.max(...lives.map(({ warm_min }) => warm_min)),
      limp: Math.max(...lives.map(({ limp }) => limp)),
      raw: Math.max(...lives.map(({ raw }) => raw)),
      end: earliest(lives.map(({ end }) => end)),
      wasFrozen: lives.some(({ wasFrozen }) => wasFrozen),
      thawedRaw: lives.some(({ thawedRaw }) => thawedRaw),
      over: earliest(lives.map(({ over }) => over)),
    },
  }
}

type Happening = { readonly at: Instant } & (
  | { readonly what: 'placed'; readonly where: Where }
  | {
      readonly what: 'bath-begun' | 'bath-ended' | 'step-begun' | 'step-ended' | 'handled' | 'cut' | 'heated' | 'wetted'
    }
  | { readonly what: 'overrun'; readonly cause: Cause }
  | { readonly what: 'stay'; readonly stay: Stay }
  | Making
)

/** A treatment on record that was finished: if the food was still within its life when the last of it went in, a new life begins. */
interface Making {
  readonly what: 'made'
  readonly at: Instant
  readonly kind: LifeKind
  /** When the first of it was done: it has stood since. */
  readonly since: Instant
}

/** All that happened to a lot, in order. Of one moment it is taken to have been put away first and then handled: so it stands warm. */
function happeningsOf(lot: LotState, use: Use | undefined, context: LifeContext): readonly Happening[] {
  const all: Happening[] = [
    ...placings(lot),
    ...lot.cutUp.map(({ at, how }): Happening => ({ what: how === 'soaked' ? 'wetted' : 'cut', at })),
    ...lot.added.filter(isWet).map(({ at }): Happening => ({ what: 'wetted', at })),
    ...(lot.strainedAt === null ? [] : [{ what: 'wetted', at: lot.strainedAt } as const]),
    ...lot.baths.flatMap((bath) => bathHappenings(bath, context.now, use)),
    ...lot.runs.flatMap((run) => runHappenings(run, context.now, use)),
    ...lot.stays.map((stay): Happening => ({ what: 'stay', at: stay.from, stay })),
    ...makings(lot, use, context),
  ]
  return all.sort((a, b) => (a.at !== b.at ? (a.at < b.at ? -1 : 1) : ORDER.indexOf(a.what) - ORDER.indexOf(b.what)))
}

const ORDER: readonly Happening['what'][] = [
  'step-ended', 'bath-ended', 'overrun', 'made', 'placed', 'handled', 'heated', 'cut', 'wetted', 'bath-begun', 'step-begun', 'stay',
] // prettier-ignore

/** Where it was put; out of the cold for whatever was done to it, and not put back unless somebody says so. */
function placings({ placed, revived, sorted, drained }: LotState): readonly Happening[] {
  const handled = [sorted?.at, drained?.at].flatMap((at) => at ?? [])
  return [
    ...handled.map((at): Happening => ({ what: 'handled', at })),
    ...(revived?.chilled === true && ['crisp', 'better'].includes(revived.looks)
      ? [{ what: 'placed', at: revived.at, where: 'cold' } as const]
      : []),
    ...placed.map(({ at, place, temp_C }): Happening => ({ what: 'placed', at, where: whereAt(place, temp_C) })),
  ]
}

function whereAt(place: LotState['placed'][number]['place'], temp_C: number | null): Where {
  if (place === 'kitchen' || temp_C === null) return 'warm'
  return temp_C <= COLD_AT_MOST_C ? 'cold' : temp_C >= HOT_AT_LEAST_C ? 'hot' : 'warm'
}

function bathHappenings(bath: BathFact, now: Instant, use: Use | undefined): readonly Happening[] {
  const { begunAt, endedAt } = bath
  // Poured off in the moment it was begun, or by its dates before it, it was no bath, and wetted the food all the same.
  if (endedAt !== null && endedAt <= begunAt) return [{ what: 'wetted', at: begunAt }]
  const atMost_min = bathAtMost(bath, use)
  const lasted_min = minutesBetween(begunAt, endedAt ?? now)
  const over = plusMinutes(begunAt, atMost_min)
  return [
    { what: 'bath-begun', at: begunAt },
    ...(endedAt === null ? [] : [{ what: 'bath-ended', at: endedAt } as const]),
    ...(lasted_min > atMost_min
      ? [{ what: 'overrun', at: over, cause: { of: 'bath', since: begunAt, atMost_min } } as const]
      : []),
  ]
}

/** How long food may lie in a bath: each one has a limit of its own. */
export function bathAtMost(bath: BathFact, use: Use | undefined): number {
  const step = stepOf(use, bath)
  return step?.op === 'leach-running'
    ? Math.max(RUNNING_AT_MOST_min, step.minutes?.high ?? 0)
    : stillBathAtMost_min(bath.temp_C)
}

function runHappenings(run: StepRun, now: Instant, use: Use | undefined): readonly Happening[] {
  const op = stepOf(use, run)?.op ?? ''
  const atMost_min = runAtMost(run, use)
  // What is done by hand in a moment is no time apart: the food stands in the kitchen.
  if (atMost_min === undefined)
    return [{ what: CUTS.includes(op) ? 'cut' : WETS.includes(op) ? 'wetted' : 'handled', at: run.begunAt }]
  const until = run.done?.at ?? now
  return [
    { what: 'step-begun', at: run.begunAt },
    ...(run.done === null ? [] : [{ what: 'step-ended', at: run.done.at } as const]),
    ...(run.done !== null && SOAKS.includes(op) ? [{ what: 'wetted', at: run.done.at } as const] : []),
    ...(minutesBetween(run.begunAt, until) > atMost_min
      ? [
          {
            what: 'overrun',
            at: plusMinutes(run.begunAt, atMost_min),
            cause: { of: 'step', op, since: run.begunAt },
          } as const,
        ]
      : []),
  ]
}

/** Operations that lay the flesh open, those that wet it in a moment, and those that wet it while they last. */
const CUTS: readonly string[] = ['chop', 'grind', 'mill', 'juice', 'press', 'sieve', 'strain-seeds', 'peel']
const WETS: readonly string[] = ['infuse-oil']
const SOAKS: readonly string[] = ['soak-cold', 'soak-acidulated', 'brine']
/** What sours as it stands: it takes weeks, and its own acid keeps it meanwhile. Oil keeps nothing. */
const SOURS: readonly string[] = ['ferment', 'infuse-vinegar']

/** A seed as ripe as this holds too little water for anything to grow when it is milled [planning value: below a fifth]. */
const DRY_MOISTURE = 0.2
function isDryAsPicked(use: Use | undefined): boolean {
  return (use?.moisture?.high ?? 1) <= DRY_MOISTURE
}

/** The least that is let pass before a step that takes its time counts as forgotten; undefined for what is done in a moment. */
function ownTime(op: string): number | undefined {
  if (op === 'dry') return STEP_LEAST_min.dry
  if (op.startsWith('leach')) return RUNNING_AT_MOST_min
  if (SOURS.includes(op)) return STEP_LEAST_min.sour
  return isHeated(op) || SOAKS.includes(op) ? STEP_LEAST_min.heat : undefined
}

/** How long a load may be in a step, min: so many times what is on record; where nothing is, or less than a day, the least for its kind. Undefined for what is done in a moment. */
export function runAtMost(run: Pick<StepRun, 'protocol' | 'step'>, use: Use | undefined): number | undefined {
  const step = stepOf(use, run)
  const least_min = step && ownTime(step.op)
  if (step?.minutes === undefined || least_min === undefined) return least_min
  return Math.max(STEP_OVERRUN * step.minutes.high, SOURS.includes(step.op) ? STEP_LEAST_min.heat : least_min)
}

/** Treatments that were finished, each step of each way once: doing it again to the same food makes it no younger. */
function makings(lot: LotState, use: Use | undefined, context: LifeContext): readonly Happening[] {
  if (use === undefined) return []
  const names = new Set(lot.runs.map(({ protocol }) => protocol))
  const steps = use.protocols
    .filter(({ name }) => names.has(name))
    .flatMap((protocol) =>
      treatmentProgress(lot, protocol, use, context.book.house).steps.map((each) => ({ ...each, protocol })),
    )
  const byStep = steps.flatMap(({ protocol, step, index, met, missed }): readonly Happening[] => {
    const bad = new Set(missed.map(({ run }) => run.entry))
    const good = lot.runs.filter((run) => run.protocol === protocol.name && run.step === index && !bad.has(run.entry))
    const ends = good.flatMap(endOf).sort()
    const [first] = ends
    // Half done it was heated all the same: wilted, wet and not made safe, it keeps no better than what was cut.
    const halfDone = isHeated(step.op)
      ? missed.flatMap(({ run }) => endOf(run)).map((at): Happening => ({ what: 'heated', at }))
      : []
    if (first === undefined) return halfDone
    const last = ends.at(-1) ?? first
    if (isHeated(step.op))
      return [
        ...halfDone,
        met ? { what: 'made', at: last, kind: 'cooked', since: first } : { what: 'heated', at: first },
      ]
    if (step.limit?.measure === 'dried-to' && met) return [{ what: 'made', at: last, kind: 'dry', since: first }]
    if (step.op === 'ferment' && step.limit?.measure === 'ph' && met)
      return [{ what: 'made', at: last, kind: 'steady', since: last }]
    return []
  })
  const steady = steadyTimes(lot, use).map((at): Happening => ({ what: 'made', at, kind: 'steady', since: at }))
  return [...byStep, ...steady]
}

/** When a load came out; none while it is in. */
function endOf({ done }: StepRun): readonly Instant[] {
  return done === null ? [] : [done.at]
}

/** Time passes: minutes, days and ends are held against what there is of life. */
function passed(life: Life, from: Instant, to: Instant, where: Where, keeping: RawKeeping): Life {
  if (life.over !== null || to <= from) return life
  const min = minutesBetween(from, to)
  const most_min = warmMost(life.kind)
  const rate = (days: { readonly warm: number; readonly cold: number }) =>
    where === 'warm' ? 1 / days.warm : where === 'cold' ? 1 / days.cold : 0
  const fresh = life.kind === 'raw' || life.kind === 'moist'
  const [rawPerMin, limpPerMin] = fresh ? [rate(keeping.unsafe) / 1440, rate(keeping.limp) / 1440] : [0, 0]
  const next: Life = {
    ...life,
    warm_min: life.warm_min + (where === 'warm' && most_min !== undefined ? min : 0),
    raw: life.raw + rawPerMin * min,
    limp: life.limp + limpPerMin * min,
  }
  const crossed = [
    ...(most_min !== undefined && next.warm_min > most_min
      ? [{ at: plusMinutes(from, most_min - life.warm_min), cause: { of: 'warm' } as const }]
      : []),
    ...(next.raw > 1 ? [{ at: plusMinutes(from, (1 - life.raw) / rawPerMin), cause: { of: 'raw' } as const }] : []),
    // What lies in a ferment or on the drier is not kept cold: its step has a limit of its own.
    ...(life.end !== null && life.end.at < to && !(where === 'still' && life.end.cause.of === 'cold')
      ? [life.end]
      : []),
  ].sort((a, b) => (a.at < b.at ? -1 : 1))
  return crossed[0] === undefined ? next : { ...next, over: crossed[0] }
}

/** How much of life is left if nothing changes; null where nothing ends it. */
export function endsIf(life: Life, from: Instant, where: Where, keeping: RawKeeping): Ending | null {
  if (life.over !== null) return life.over
  const ends: Ending[] = life.end === null ? [] : [life.end]
  const most_min = where === 'warm' ? warmMost(life.kind) : undefined
  if (most_min !== undefined) ends.push({ at: plusMinutes(from, most_min - life.warm_min), cause: { of: 'warm' } })
  const days = where === 'warm' ? keeping.unsafe.warm : where === 'cold' ? keeping.unsafe.cold : undefined
  if (days !== undefined && (life.kind === 'raw' || life.kind === 'moist'))
    ends.push({ at: addDays(from, (1 - life.raw) * days), cause: { of: 'raw' } })
  return ends.sort((a, b) => (a.at < b.at ? -1 : 1))[0] ?? null
}

function ended(life: Life, ending: Ending): Life {
  return life.over === null ? { ...life, over: ending } : life
}

/** The earlier of an end that stands and another. */
function endingBy(life: Life, end: Ending): Life {
  return life.end !== null && life.end.at <= end.at ? life : { ...life, end }
}

/** Its flesh was laid open: what was whole keeps like cooked food from here on, and no longer than raw. */
function opened(life: Life, at: Instant, use: Use | undefined, as: 'cut' | 'half-heated'): Life {
  return life.kind === 'raw' ? endingBy({ ...life, kind: 'moist', madeAt: at }, coldEnd(at, use, as)) : life
}

/** Heated and not made safe by it: what was whole lies open, what was dry is wet, and what was leached keeps no longer like wet meal but like cooked food. */
function halfHeated(life: Life, at: Instant, use: Use | undefined): Life {
  return life.kind === 'leached'
    ? endingBy({ ...life, kind: 'moist', madeAt: at, warm_min: 0 }, coldEnd(at, use, 'half-heated'))
    : wetted(life, at, use, 'half-heated')
}

/** In a bath that its way asks for: each bath has its own limit, and what lay in none may wait a day for the next, or for the fire. */
function leached(life: Life, at: Instant): Life {
  return { ...life, kind: 'leached', madeAt: at, warm_min: 0, end: null }
}

/** Out of its water, wet meal keeps in the cold like anything cut; the next bath begins anew. */
function outOfBath(life: Life, at: Instant, use: Use | undefined): Life {
  return life.kind === 'leached' ? endingBy(life, coldEnd(at, use, 'cut')) : life
}

/** The minutes of warmth that a kind of food bears in all; undefined where warmth does it nothing by the hour. */
export function warmMost(kind: LifeKind): number | undefined {
  if (kind === 'leached') return LEACHED_AT_MOST_min
  return kind === 'moist' || kind === 'cooked' ? WARM_AT_MOST_min : undefined
}

/** Cut, or with something wet put to it: what kept by being dry, sour or sweet keeps no more until it is measured again. */
function wetted(life: Life, at: Instant, use: Use | undefined, as: 'cut' | 'half-heated' = 'cut'): Life {
  if (life.kind === 'dry' || life.kind === 'steady')
    return endingBy({ ...life, kind: 'moist', madeAt: at, warm_min: 0, raw: 0, limp: 0 }, coldEnd(at, use, as))
  return opened(life, at, use, as)
}

/** Moist food keeps so long cold, whatever else. What a record says of whole raw food (a nut in its shell, a root) is no figure for it laid open or half heated. */
function coldEnd(at: Instant, use: Use | undefined, as: 'cut' | 'half-heated' | 'treated'): Ending {
  const recorded = (after: 'raw' | 'treated') => {
    const rule = use === undefined ? undefined : storeRule(use, 'chilled', after)
    return rule?.keeps.unit === 'days' ? rule.keeps.high : COLD_KEEPS_days
  }
  const days = {
    cut: Math.min(recorded('raw'), CUT_KEEPS_days),
    'half-heated': Math.min(recorded('raw'), recorded('treated')),
    treated: recorded('treated'),
  }
  return { at: addDays(at, days[as]), cause: { of: 'cold' } }
}

/** A treatment was finished: what was dried, soured or cooked within its life begins a new one. */
function made(life: Life, { kind, since, at }: Making, use: Use | undefined): Life {
  // Measured again it is as old as it was.
  if (kind === 'steady' && life.kind === 'steady') return life
  const fresh: Life = { ...NEW, kind, madeAt: since }
  if (kind === 'cooked') return { ...fresh, warm_min: minutesBetween(since, at), end: coldEnd(since, use, 'treated') }
  const ends = storesOf(kind, use).map((rule) => discardBy(rule, since))
  const [first] = ends.toSorted()
  return first === undefined ? fresh : { ...fresh, end: { at: first, cause: { of: 'store' } } }
}

/** What the record says of keeping such food: in a jar or still in hand, its months run from its making. */
function storesOf(kind: LifeKind, use: Use | undefined): readonly StoreRule[] {
  const stores = use?.stores ?? []
  return kind === 'dry'
    ? stores.filter(({ store }) => store === 'dried')
    : stores.filter(({ limit: { measure } }) => STEADY_BY.includes(measure))
}
const STEADY_BY: readonly StoreRule['limit']['measure'][] = ['ph', 'sugar', 'salt-share']

/** Through a store: its life runs from the making, what is inherited stays the earliest, and opening makes it shorter. */
function throughStore(
  life: Life,
  stay: Pick<Stay, 'store' | 'from' | 'until' | 'readings' | 'lotThen'> & { readonly openedAt: Instant | null },
  { use, keeping }: Pick<Course, 'use' | 'keeping'>,
  context: LifeContext,
): Life {
  const { store, from, until, openedAt, lotThen } = stay
  if (life.over !== null) return life
  const rule = use === undefined ? undefined : ruleOf(use, stay, storedAs(lotThen, { ...context, now: from }))
  const first = store === 'frozen' && !life.wasFrozen
  const runsFrom = first ? from : life.madeAt
  let inside: Life = first ? { ...life, madeAt: from, end: null } : life
  inside = { ...inside, wasFrozen: inside.wasFrozen || store === 'frozen' }
  // Thawed and kept cold it has what opening left it, and a frozen store's months no more.
  if (rule !== undefined && (first || !life.wasFrozen || store === 'frozen'))
    inside = endingBy(inside, { at: discardBy(rule, runsFrom), cause: { of: 'store' } })
  let at = from
  let where: Where = atStore(stay, null, rule)
  for (const reading of stay.readings) {
    inside = passed(inside, at, reading.at, where, keeping)
    const now = atStore(stay, reading, rule)
    if (where === 'frozen' && now !== 'frozen') inside = thawed(inside, reading.at, rule, store)
    at = reading.at
    where = now
  }
  inside = passed(inside, at, until, where, keeping)
  if (openedAt !== null) {
    inside = onceOpened(inside, openedAt, rule, store)
    if (inside.end !== null && inside.end.at < until) inside = ended(inside, inside.end)
  }
  return store === 'frozen' ? { ...inside, thawedRaw: inside.thawedRaw || isRaw(inside) } : inside
}

/** Not cooked, dried or soured: out of a leach it is raw as well. */
const isRaw = ({ kind }: Life) => kind === 'raw' || kind === 'moist' || kind === 'leached'

function onceOpened(life: Life, at: Instant, rule: StoreRule | undefined, store: PackState['store']): Life {
  const days = rule?.onceOpened_days ?? ONCE_OPENED_days[store]
  return endingBy(life, { at: addDays(at, days), cause: { of: 'opened', days } })
}

function thawed(life: Life, at: Instant, rule: StoreRule | undefined, store: PackState['store']): Life {
  return { ...onceOpened(life, at, rule, store), thawedRaw: life.thawedRaw || isRaw(life) }
}

/** The rule by which a pack was kept: for what it was; where none is, the shortest that there is for that store. */
function ruleOf(use: Use, { store }: Pick<Stay, 'store'>, as: ReturnType<typeof storedAs>): StoreRule | undefined {
  const own = storeRule(use, store, as)
  return own ?? use.stores.filter((rule) => rule.store === store).toSorted((a, b) => a.keeps.high - b.keeps.high)[0]
}

/** How warm it is for food in a store: as it was when it was packed, until somebody measures otherwise. */
function atStore({ store }: Pick<Stay, 'store'>, reading: StoreReading | null, rule: StoreRule | undefined): Where {
  if (store === 'frozen' && (reading === null || reading.temp_C <= FROZEN_AT_MOST_C)) return 'frozen'
  const atMost_C =
    store !== 'frozen' && rule?.limit.measure === 'store-temperature' ? rule.limit.atMost_C : COLD_AT_MOST_C
  return reading === null || reading.temp_C <= atMost_C ? 'cold' : 'warm'
}

/** How warm it is now for what is in a pack. */
export function storeWhere(pack: PackState, use: Use | undefined, context: LifeContext): Where {
  const rule = use === undefined ? undefined : ruleOf(use, pack, storedAs(pack.lotThen, { ...context, now: pack.at }))
  return atStore(pack, pack.readings.filter(({ at }) => at <= context.now).at(-1) ?? null, rule)
}

function plusMinutes(at: Instant, minutes: number): Instant {
  return fromMs(toMs(at) + Math.round(minutes * MINUTE_ms))
}

function unknownHappening(happening: never): never {
  throw new RangeError(`life: expected a known happening, got ${JSON.stringify(happening)}`)
}
