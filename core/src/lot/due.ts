import { findTaxon, type Catalogue } from '../flora/catalogue'
import type { JudgeContext } from '../gates/verdict'
import type { LotId, PackId } from '../log/entry'
import { fromMs, HOUR_ms, MINUTE_ms, toMs, type Instant } from '../quantity/instant'
import { plainWords } from '../flora/vocabulary'
import { currentStep, doNow, type NowAct } from './doNow'
import { isUsedUp } from './gateView'
import { lotName } from './lotName'
import { isBegun, strandsOf, type LotState } from './lotState'
import { freshnessOf, packFreshness } from '../freshness/freshness'

/** One thing that the next hours ask. */
export interface DueItem {
  readonly at: Instant
  readonly act: string
  readonly lot: LotId
  readonly pack: PackId | null
  readonly overdue: boolean
  readonly running: boolean
}

/** The due list looks this far ahead. */
export const DUE_AHEAD_HOURS = 12

/** What each lot that is not over asks and until when, whenever that is; to be reckoned on from. */
export interface DueReckoning {
  readonly context: JudgeContext
  readonly coming: ReadonlyMap<LotId, readonly Coming[]>
}

type Coming = Omit<DueItem, 'overdue'>

/** What the next twelve hours ask of the cook, overdue first, then by time. */
export function dueList(
  context: JudgeContext,
  aheadHours = DUE_AHEAD_HOURS,
  reckoned = reckonDue(context),
): readonly DueItem[] {
  const { now } = context
  const horizon = fromMs(toMs(now) + aheadHours * HOUR_ms)
  return [...reckoned.coming.values()]
    .flat()
    .filter(({ at }) => at <= horizon)
    .map((each) => ({ ...each, overdue: each.at < now }))
    .sort((a, b) => (orderOf(a) < orderOf(b) ? -1 : 1))
}

const orderOf = ({ at, act, lot, pack }: Coming) => `${at} ${act} ${lot} ${pack ?? ''}`

/**
 * What each lot asks, judged as at the end of this minute. From an earlier reckoning of the same minute only those lots are
 * judged again that the change of the book can reach: a lot's own family, what else came from its patches, and for a meeting
 * with a plant the lots of that plant. Gives what reckoning from nothing gives.
 */
export function reckonDue({ book, catalogue, now }: JudgeContext, before?: DueReckoning): DueReckoning {
  const context = { book, catalogue, now: fromMs(Math.floor(toMs(now) / MINUTE_ms) * MINUTE_ms + MINUTE_ms - 1) }
  const change = before === undefined ? undefined : changeOf(before.context, context)
  const coming = new Map<LotId, readonly Coming[]>()
  if (before === undefined || change === undefined) {
    for (const lot of book.lots.values()) if (!asksNothing(lot)) coming.set(lot.id, comingOf(lot, context))
    return { context, coming }
  }
  for (const [id, known] of before.coming) {
    const lot = book.lots.get(id)
    if (lot === undefined || asksNothing(lot)) continue
    const isReached = ties(lot, context).some((tie) => change.reached.has(tie))
    coming.set(id, isReached ? comingOf(lot, context) : known)
  }
  for (const lot of change.lots)
    if (!coming.has(lot.id) && !asksNothing(lot)) coming.set(lot.id, comingOf(lot, context))
  return { context, coming }
}

/** Of the many lots of a book most are over, by what they are themselves. */
function asksNothing(lot: LotState): boolean {
  return !isBegun(lot) || (isUsedUp(lot) && lot.packs.every(({ mass_g }) => mass_g <= 0))
}

/** What ties a lot to others: its family, the patches it grew at, and its plants. */
function ties(lot: LotState, { book, catalogue }: JudgeContext): readonly string[] {
  const grown = strandsOf(lot).flatMap(({ lot: { weighedIn } }) =>
    weighedIn === null ? [] : [`patch ${weighedIn.patch}`, plantTie(weighedIn.taxon, catalogue)],
  )
  return [`family ${book.families.get(lot.id)?.[0] ?? lot.id}`, ...grown]
}

function plantTie(name: string, catalogue: Catalogue): string {
  return `plant ${findTaxon(catalogue, name)?.scientificName ?? name}`
}

interface Change {
  /** The lots that are another than they were. */
  readonly lots: readonly LotState[]
  /** The ties along which that is felt. */
  readonly reached: ReadonlySet<string>
}

/** What is another than before; undefined where everything must be judged again. */
function changeOf(before: JudgeContext, after: JudgeContext): Change | undefined {
  const { meetings: metBefore, ...houseBefore } = before.book.house
  const { meetings, ...house } = after.book.house
  const sameHouse = (Object.keys(house) as (keyof typeof house)[]).every((key) => house[key] === houseBefore[key])
  const sameHands = before.catalogue === after.catalogue && before.writer === after.writer
  if (!sameHouse || !sameHands || before.now !== after.now) return undefined
  const reached = new Set<string>()
  for (const name of new Set([...Object.keys(metBefore), ...Object.keys(meetings)]))
    if (metBefore[name] !== meetings[name]) reached.add(plantTie(name, after.catalogue))
  const { lots } = after.book
  const there = before.book.lots
  if (there === lots) return { lots: [], reached }
  const changed = [...lots.values()].filter((lot) => there.get(lot.id) !== lot)
  const stay = lots.size - changed.filter(({ id }) => !there.has(id)).length
  const gone = stay === there.size ? [] : [...there.values()].filter(({ id }) => !lots.has(id))
  for (const lot of [...changed, ...gone])
    for (const context of [before, after])
      for (const tie of ties(context.book.lots.get(lot.id) ?? lot, context))
        if (!tie.startsWith('plant ')) reached.add(tie)
  return { lots: changed, reached }
}

function comingOf(lot: LotState, context: JudgeContext): readonly Coming[] {
  const name = lotName(lot, context).title
  const item = (at: Instant, act: string, pack: PackId | null, running: boolean) => ({
    at,
    act,
    lot: lot.id,
    pack,
    running,
  })
  const packs = lot.packs
    .filter(({ mass_g }) => mass_g > 0)
    .flatMap((pack) => {
      const { until } = packFreshness(pack, context)
      return until === null ? [] : [item(until, `${name}: throw away`, pack.id, false)]
    })
  const next = isUsedUp(lot) ? undefined : doNow(lot, context)
  const { life } = freshnessOf(lot, context)
  if (next !== undefined && life.over !== null)
    return [item(life.over.at, `${name}: throw away`, null, false), ...packs]
  const own = next?.by
    ? [item(next.by, `${name}: ${shortAct(next.act, lot, context)}`, null, next.act.kind === 'running')]
    : []
  return [...own, ...packs]
}

function shortAct(act: NowAct, lot: LotState, context: JudgeContext): string {
  switch (act.kind) {
    case 'running':
      return 'take it out'
    case 'taste':
      return 'taste'
    case 'weigh':
      return 'press, weigh'
    case 'serve-or-pack':
      return 'serve or pack'
    case 'bath':
      return 'change the water'
    case 'crumb':
      return 'taste a crumb'
    case 'see-step':
    case 'begin-load':
      return plainWords(currentStep(lot, context)?.step.op ?? 'make-safe')
    case 'sort':
      return 'sort'
    case 'look':
    case 'as-last-time':
      return 'check a mark'
    case 'attest':
      return 'say if certain'
    case 'count-stand':
    case 'count-in-parts':
      return 'count the plants'
    case 'choose-way':
      return 'choose a way'
    case 'wash':
      return 'wash'
    case 'sort-strays':
      return 'sort again'
    default:
      return 'go on with it'
  }
}
