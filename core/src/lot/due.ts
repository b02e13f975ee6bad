import type { JudgeContext } from '../gates/verdict'
import type { LotId, PackId } from '../log/entry'
import { fromMs, HOUR_ms, toMs, type Instant } from '../quantity/instant'
import { doNow } from './doNow'
import { isUsedUp } from './gateView'
import { lotName } from './lotName'
import { isBegun } from './lotState'
import { packEnd } from './packView'

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

/** What the next twelve hours ask of the cook, overdue first, then by time. */
export function dueList(context: JudgeContext, aheadHours = DUE_AHEAD_HOURS): readonly DueItem[] {
  const { book, now } = context
  const horizon = fromMs(toMs(now) + aheadHours * HOUR_ms)
  const items = [...book.lots.values()].flatMap((lot): DueItem[] => {
    if (!isBegun(lot) || (isUsedUp(lot) && lot.packs.every(({ mass_g }) => mass_g <= 0))) return []
    const name = lotName(lot, context).title
    const packs = lot.packs
      .filter(({ mass_g }) => mass_g > 0)
      .flatMap((pack) => {
        const { discardBy } = packEnd(pack, context)
        return discardBy === null ? [] : [item(discardBy, `${name}: throw away`, pack.id, false)]
      })
    const next = isUsedUp(lot) ? undefined : doNow(lot, context)
    const own = next?.by
      ? [item(next.by, `${name}: ${shortAct(next.act.kind)}`, null, next.act.kind === 'running')]
      : []
    return [...own, ...packs]
    function item(at: Instant, act: string, pack: PackId | null, running: boolean): DueItem {
      return { at, act, lot: lot.id, pack, overdue: at < now, running }
    }
  })
  return items
    .filter(({ at }) => at <= horizon)
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.act < b.act ? -1 : 1))
}

function shortAct(kind: ReturnType<typeof doNow>['act']['kind']): string {
  switch (kind) {
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
      return 'make safe'
    case 'sort':
      return 'sort'
    default:
      return 'go on with it'
  }
}
