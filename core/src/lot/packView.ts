import { packAsLot, judge } from '../gates/judge'
import { packFreshness, packRule, type Freshness } from '../freshness/freshness'
import type { Gate, JudgeContext } from '../gates/verdict'
import type { Protocol, Use } from '../flora/taxon'
import { minutesBetween, type Instant } from '../quantity/instant'
import { formatList, formatSpan } from '../quantity/format'
import { broken_g } from '../log/entries/served'
import { lotUse } from '../treatment/batchUse'
import { protocolOf, treatmentProgress } from '../treatment/progress'
import { lotName } from './lotName'
import { opNoun } from './opNoun'
import type { LotState, PackState } from './lotState'

/** A pack as its label and its place in the larder tell it. */
export interface PackView {
  readonly pack: PackState
  readonly lot: LotState
  readonly label: string
  readonly scientificName: string
  readonly patch: string
  readonly code: string
  readonly done: string
  /** What is still due before it is food; empty when nothing is. */
  readonly due: readonly string[]
  readonly notYetFood: boolean
  readonly bestBefore: Instant | null
  readonly discardBy: Instant | null
  /** Since when one of its containers is open. */
  readonly opened: Instant | null
  /** What is in the container that is open, g, where others of the pack are closed; 0 else. */
  readonly open_g: number
  readonly fresh: Freshness
  /** soon: opened, thawed, or of its last day. */
  readonly state: 'good' | 'soon' | 'past-best' | 'discard'
  /** The state in a few words. */
  readonly stateSays: string
  /** Gates that have shut behind it: it is held. */
  readonly held: readonly string[]
  readonly storeSays: string
}

const PACK_GATES: readonly Gate[] = ['identity', 'ground', 'sort']

/** All that a label, the larder and the table must know of a pack. */
export function packView(lot: LotState, pack: PackState, context: JudgeContext): PackView {
  const { catalogue, now } = context
  const use = lotUse(pack.lotThen, catalogue)
  const name = lotName(lot, context)
  const food = packAsLot(lot, pack)
  const safe = judge('makeSafe', food, context)
  const { rule, bestBefore: best } = packRule(pack, context)
  const fresh = packFreshness(pack, context)
  const protocol = use === undefined ? undefined : protocolOf(pack.lotThen, use)
  const held = PACK_GATES.map((gate) => judge(gate, food, context))
    .filter(({ state }) => state !== 'open')
    .flatMap(({ reasons }) => reasons)
  return {
    pack,
    lot,
    label: name.title,
    scientificName: name.scientificName,
    patch: name.patch,
    code: lot.code,
    done: safe.state === 'open' ? (protocol?.name ?? '') : doneSoFar(pack, use, protocol, context),
    due: safe.state === 'open' ? [] : safe.reasons,
    notYetFood: safe.state !== 'open',
    bestBefore: best,
    discardBy: rule === undefined ? null : fresh.until,
    opened: pack.openedAt,
    open_g: pack.openedAt === null || broken_g(pack) >= pack.mass_g ? 0 : broken_g(pack),
    fresh,
    ...stateOf(pack, fresh, best !== null && best <= now, now),
    held,
    storeSays: rule?.says ?? 'The record does not allow this store: use it up or throw it away.',
  }
}

/** How far a pack has come in its time, and what that asks. */
function stateOf(
  pack: PackState,
  { state, until, life }: Freshness,
  pastBest: boolean,
  now: Instant,
): Pick<PackView, 'state' | 'stateSays'> {
  if (state === 'over') return { state: 'discard', stateSays: 'THROW AWAY' }
  const left_min = until === null ? Infinity : minutesBetween(now, until)
  if (left_min <= LAST_DAY_min) return { state: 'soon', stateSays: `Use it within ${formatSpan(left_min)}` }
  if (life.end?.cause.of === 'opened')
    return { state: 'soon', stateSays: pack.openedAt === null ? 'Thawed: use it soon' : 'Opened: use it soon' }
  return pastBest ? { state: 'past-best', stateSays: 'Past its best' } : { state: 'good', stateSays: 'Keeps' }
}
const LAST_DAY_min = 1440

/** Of the steps that make it safe those that it has gone through, for a bag that is not yet food. */
function doneSoFar(
  { lotThen }: PackState,
  use: Use | undefined,
  protocol: Protocol | undefined,
  { book }: JudgeContext,
): string {
  if (use === undefined || protocol === undefined || protocol.storeOnly === true) return NOTHING_YET
  const { steps } = treatmentProgress(lotThen, protocol, use, book.house)
  const met = steps.filter((each) => each.met && each.required)
  return formatList(met.map(({ step }) => opNoun(step.op))) || NOTHING_YET
}

const NOTHING_YET = 'nothing yet'
