import type { LotState, WeighIn } from '../lot/lotState'
import { minutesBetween, type Instant } from '../quantity/instant'
import { lotUse } from '../treatment/batchUse'
import { defaultProtocol } from '../treatment/progress'
import { notLeftOut } from '../treatment/tongue'
import { shutFor } from './acts'
import type { ServingIntent } from './plate'
import type { GateVerdict, JudgeContext } from './verdict'

/** What a hand does where the plant grew; a way that asks for more is for the kitchen, even where it is not critical, but for what serves the tongue. */
const DONE_BY_HAND: readonly string[] = ['sort', 'trim', 'shake-out', 'wash', 'rinse', 'crack', 'chop', 'crisp']

/** So long after picking it is still on the way: later it is sorted and served as a dish. */
const WAY_AT_MOST_h = 24

/** Whether a lot is still one picking, of the last day, to which nothing was done but looking and sorting. */
export function isAsPicked(lot: LotState, now: Instant): lot is LotState & { readonly weighedIn: WeighIn } {
  return (
    lot.weighedIn !== null &&
    lot.from.length === 0 &&
    lot.runs.length === 0 &&
    minutesBetween(lot.weighedIn.pickedAt, now) <= WAY_AT_MOST_h * 60
  )
}

/**
 * What stands against eating some of a picking where it grew (CAR-5): it must be told and its ground clean, and be safe raw with no
 * more done to it than looking at each piece and, where there was drinking water, rinsing it. It counts toward the day like any
 * dish. None: it may be eaten. Undefined where it is not a picking in the hand as it was picked within a day.
 */
export function shutForNibble(
  lot: LotState,
  rinsed: boolean,
  portions: ServingIntent['portions'],
  context: JudgeContext,
): readonly GateVerdict[] | undefined {
  const at = context.now
  if (!isAsPicked(lot, at)) return undefined
  const looked = { at, stageSeen: lot.weighedIn.stage, kept_g: lot.mass_g, trimmed_g: 0, trimmedTo: '' }
  const wash = lot.washedIn ?? (rinsed ? ({ water: 'safe', changes: 1 } as const) : null)
  const picked: LotState = {
    ...lot,
    // What was sorted dry may still be rinsed in the hand.
    sorted: lot.sorted === null ? { ...looked, wash } : { ...lot.sorted, wash: lot.sorted.wash ?? wash },
  }
  const use = lotUse(picked, context.catalogue)
  const way = use && defaultProtocol(use, 'eat-raw')
  // What is there for the tongue alone may be left out where it grows, too.
  if (!use || !way?.steps.every(({ op }, at) => DONE_BY_HAND.includes(op) || notLeftOut(use, way, at) === undefined))
    return [notRaw(context)]
  const asRaw: LotState = { ...picked, way: { protocol: way.name, goal: 'eat-raw', at } }
  return shutFor('nibble', asRaw, context, { serve: { portions, pack: null } })
}

function notRaw({ now, catalogue }: JudgeContext): GateVerdict {
  const reasons = ['Nothing of it is eaten raw with no more done to it than a hand can do there.']
  return { gate: 'makeSafe', state: 'closed', reasons, at: now, revision: catalogue.revision }
}
