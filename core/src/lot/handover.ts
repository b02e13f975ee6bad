import { writerName } from '../identity/lotTells'
import { describeEntry } from '../log/describe'
import { lotsTouched } from '../log/entries'
import type { LotId } from '../log/entry'
import type { BookLog } from '../log/fold'
import { GATE_NAMES, type Gate, type JudgeContext } from '../gates/verdict'
import { ACT_GATES } from '../gates/acts'
import { freshnessOf, type Freshness } from '../freshness/freshness'
import type { Instant } from '../quantity/instant'
import { doNow } from './doNow'
import { gateViews, isUsedUp } from './gateView'
import { lotName } from './lotName'
import { isBegun } from './lotState'

/** What the next person must know of one lot in hand. */
export interface HandedOver {
  readonly lot: LotId
  readonly code: string
  readonly title: string
  readonly mass_g: number
  /** Nothing of it is eaten yet: a bowl of water is not a finished one. */
  readonly notYetFood: boolean
  readonly fresh: Freshness
  /** Gates that are not open, each with what is still to be signed. */
  readonly unsigned: readonly { readonly gate: string; readonly why: string }[]
  readonly last: { readonly says: string; readonly at: Instant; readonly by: string } | undefined
  readonly next: { readonly title: string; readonly by: Instant | null; readonly stopped: boolean }
}

/**
 * All that stands in a kitchen, for whoever takes over: where each lot stands, what was done last, when and by whom, what is due next,
 * and which checks nobody has signed. Most urgent first. A lot is food only when every gate that a serving needs is open but those
 * of who eats it; what is past its life is stopped at Sort.
 */
export function handOver(log: BookLog, context: JudgeContext): readonly HandedOver[] {
  const { struck } = log.amendments
  const lastOf = new Map(
    log.order
      .filter((entry) => entry.at <= context.now && !struck.has(entry.id))
      .flatMap((entry) => lotsTouched(entry).map((lot) => [lot, entry] as const)),
  )
  return [...context.book.lots.values()]
    .filter((lot) => isBegun(lot) && !isUsedUp(lot) && lot.mass_g > 0)
    .map((lot): HandedOver => {
      const needed = ACT_GATES.serve.filter((gate): gate is Gate => gate !== 'plate')
      const shut = gateViews(lot, context).filter(({ gate, state }) => needed.includes(gate) && state !== 'open')
      const entry = lastOf.get(lot.id)
      const { title, by, act } = doNow(lot, context)
      const fresh = freshnessOf(lot, context)
      return {
        lot: lot.id,
        code: lot.code,
        title: lotName(lot, context).title,
        mass_g: lot.mass_g,
        fresh,
        notYetFood: shut.length > 0,
        // Of what is thrown away nothing is still to be signed: its one sentence stands alone.
        unsigned:
          fresh.state === 'over'
            ? []
            : shut.map(({ gate, reasons }) => ({ gate: GATE_NAMES[gate], why: reasons.join(' ') })),
        last: entry && {
          says: describeEntry(entry, context.book, context.catalogue),
          at: entry.at,
          by: writerName(entry.by, context.book.house.eaters),
        },
        next: { title, by, stopped: act.kind === 'stop' },
      }
    })
    .toSorted((a, b) => ((a.next.by ?? LATER) < (b.next.by ?? LATER) ? -1 : 1))
}

const LATER = '9999'
