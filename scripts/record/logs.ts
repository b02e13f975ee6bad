import {
  describeEntry,
  doNow,
  dueList,
  freshnessOf,
  gateViews,
  handOver,
  heldFood,
  isBegun,
  packFreshness,
  propose,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import type { Pen } from '../../core/src/test/pen'
import { playRandomLog } from '../../core/src/test/randomLogs'
import type { Saying } from '../../core/src/log/stamp'
import { hashOf } from './hash'

/** What is asked of each lot that a log left, whether it would be taken and what is said if not. */
const asked = (lot: string): readonly Saying[] => [
  { type: 'served', lot, pack: null, dish: 'soup', portions: [{ eater: 'ann', mass_g: 40 }] },
  { type: 'served', lot, pack: null, dish: 'soup', portions: [{ eater: 'eve', mass_g: 400 }] },
  { type: 'packed', lot, pack: `${lot}-new`, store: 'frozen', mass_g: 50, containers: 1, storeTemp_C: -19 },
  { type: 'packed', lot, pack: `${lot}-new`, store: 'chilled', mass_g: 50, containers: 1, storeTemp_C: 4 },
  { type: 'sorted', lot, kept_g: 50, trimmed_g: 0, trimmedTo: 'compost', stageSeen: 'young', wash: null },
  { type: 'split', lot, into: `${lot}-b`, code: `${lot}-b`, mass_g: 20, why: 'more' },
  { type: 'cut-up', lot, how: 'pounded' },
  { type: 'tasted', lot, taster: 'ann', crumb: false, bitter: 1, astringent: 0, alarm: null, accepts: true },
  { type: 'thrown-away', lot, pack: null, mass_g: 10, why: 'old' },
  { type: 'certain-attested', lot },
]

/** One line a random log: what every part of the core says of the book it ends with, each part as a hash. */
export function recordLog(seed: number): string {
  const { pen } = playRandomLog(seed)
  const { context } = pen
  const lots = [...context.book.lots.values()].filter(isBegun)
  const parts = {
    verdicts: lots.map((lot) => gateViews(lot, context).map(({ gate, state, reasons }) => [gate, state, reasons])),
    cards: lots.map((lot) => card(lot, context)),
    fresh: lots.map((lot) => [
      says(freshnessOf(lot, context)),
      lot.packs.map((pack) => says(packFreshness(pack, context))),
    ]),
    proposals: lots.map(({ id }) => proposals(pen, id)),
    due: dueList(context).map(({ at, act, lot, pack }) => [at, act, lot, pack]),
    handed: handOver(pen.log, context),
    held: heldFood(context),
    told: pen.log.order.map((entry) => describeEntry(entry, context.book, context.catalogue)),
  }
  return `log ${seed} ${Object.entries(parts)
    .map(([name, part]) => `${name}:${hashOf(part)}`)
    .join(' ')}`
}

function card(lot: LotState, context: JudgeContext) {
  const { act, title, detail, by, otherwise, missed } = doNow(lot, context)
  return [act.kind, title, detail, by, otherwise, missed]
}

function says({ state, until, says: said, must, mind }: ReturnType<typeof freshnessOf>) {
  return [state, until, said, must, mind]
}

function proposals(pen: Pen, lot: string): readonly string[] {
  const { log, catalogue, now } = pen
  return asked(lot).map((saying) => {
    const proposal = propose(pen.stamp(saying), log, catalogue, now)
    return proposal.ok ? 'taken' : `${proposal.field}: ${proposal.message}`
  })
}
