import { lotUse } from '../treatment/batchUse'
import type { LotState } from '../lot/lotState'
import { shutFor } from './acts'
import type { ServingIntent } from './plate'
import type { GateVerdict, JudgeContext } from './verdict'

/** Ways that a record does not stand behind are not followed on the way either. */
const STANDINGS: readonly string[] = ['usual', 'cautious', 'minimal']

/** Whether a lot is still one picking to which nothing was done but looking and sorting. */
export function isAsPicked({ weighedIn, joined, from, runs }: LotState): boolean {
  return weighedIn !== null && joined.length === 0 && from.length === 0 && runs.length === 0
}

/**
 * What stands against eating some of a picking where it grew (CAR-5): it must be told and its ground clean, and be safe raw with no
 * more done to it than looking at each piece and, where there was drinking water, rinsing it. It counts toward the day like any
 * dish. None: it may be eaten. Undefined where it is not a picking in the hand as it was picked.
 */
export function shutForNibble(
  lot: LotState,
  rinsed: boolean,
  portions: ServingIntent['portions'],
  context: JudgeContext,
): readonly GateVerdict[] | undefined {
  const { weighedIn } = lot
  if (weighedIn === null || !isAsPicked(lot)) return undefined
  const looked: LotState['sorted'] = {
    at: context.now,
    stageSeen: lot.sorted?.stageSeen ?? weighedIn.stage,
    kept_g: lot.mass_g,
    trimmed_g: 0,
    trimmedTo: '',
    wash: rinsed ? { water: 'safe', changes: 1 } : null,
  }
  const picked = { ...lot, sorted: lot.sorted ?? looked }
  const raw = (lotUse(picked, context.catalogue)?.protocols ?? []).filter(
    ({ goals, standing }) => goals.includes('eat-raw') && STANDINGS.includes(standing),
  )
  const judged = raw.map(({ name }) => {
    const asRaw: LotState = { ...picked, way: { protocol: name, goal: 'eat-raw', at: context.now } }
    return shutFor('nibble', asRaw, context, { serve: { portions, pack: null } })
  })
  return judged.find((shut) => shut.length === 0) ?? judged[0] ?? [notRaw(context)]
}

function notRaw({ now, catalogue }: JudgeContext): GateVerdict {
  return {
    gate: 'makeSafe',
    state: 'closed',
    reasons: ['Nothing of it is eaten raw.'],
    at: now,
    revision: catalogue.revision,
  }
}
