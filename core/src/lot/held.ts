import { shutFor } from '../gates/acts'
import { packAsLot } from '../gates/judge'
import { FOOD_GATES, type Gate, type JudgeContext } from '../gates/verdict'
import type { EaterId, EntryId, LotId, PackId } from '../log/entry'
import { addEntries, type BookLog, type BookState } from '../log/fold'
import { addDays, type Instant } from '../quantity/instant'
import type { Redated } from '../log/entries/redated'
import type { Struck } from '../log/entries/struck'
import { gateViews, type GateView } from './gateView'
import { isBegun, type LotState } from './lotState'
import { packView } from './packView'

/** Food whose gates have shut behind it: packs to hold back and people who have eaten. */
export interface HeldFood {
  readonly packs: readonly { readonly lot: LotId; readonly pack: PackId; readonly why: readonly string[] }[]
  readonly servings: readonly {
    readonly lot: LotId
    readonly entry: EntryId
    readonly dish: string
    readonly eaters: readonly EaterId[]
    readonly gates: readonly Gate[]
  }[]
}

/** Servings are looked back upon for so many days; a recall goes back without end. */
const HELD_DAYS = 60

/**
 * Every pack with something left and every serving of the last so many days whose food is not, by what is known now, behind
 * open gates. Servings stay facts: they are listed, never undone.
 */
export function heldFood(context: JudgeContext): HeldFood {
  return heldAmong([...context.book.lots.values()], context, addDays(context.now, -HELD_DAYS))
}

function heldAmong(lots: readonly LotState[], context: JudgeContext, since: Instant): HeldFood {
  return {
    packs: lots.flatMap((lot) =>
      lot.packs
        .filter(({ mass_g }) => mass_g > 0)
        .map((pack) => packView(lot, pack, context))
        .filter(({ held }) => held.length > 0)
        .map(({ pack, held }) => ({ lot: lot.id, pack: pack.id, why: held })),
    ),
    servings: lots.flatMap((lot) =>
      lot.servings.flatMap(({ entry, dish, portions, lotThen, pack, at }) => {
        if (at < since) return []
        const source = lot.packs.find(({ id }) => id === pack)
        const food =
          source === undefined
            ? {
                ...lotThen,
                tells: lot.tells,
                attestedAt: lot.attestedAt,
                attestedBy: lot.attestedBy,
                attestedStand: lot.attestedStand,
                strays: lot.strays,
                // What was told wrong of it after it was eaten concerns those who ate.
                tastes: lot.tastes.some(({ alarm }) => alarm !== null) ? lot.tastes : lotThen.tastes,
              }
            : packAsLot(lot, source)
        const shut = shutFor('serve', food, { ...context, now: at }).map(({ gate }) => gate)
        const gates = FOOD_GATES.filter((gate) => shut.includes(gate))
        return gates.length === 0
          ? []
          : [{ lot: lot.id, entry, dish, eaters: portions.map(({ eater }) => eater), gates }]
      }),
    ),
  }
}

/** What a strike-out or a re-dating would change, told before it is made. */
export interface AmendPreview {
  readonly gates: readonly {
    readonly lot: LotId
    readonly gate: Gate
    readonly from: GateView['state']
    readonly to: GateView['state']
  }[]
  readonly lotsGone: readonly LotId[]
  readonly newlyHeld: HeldFood
}

/** The book without and with an amendment, compared: gates that change, packs held and eaters concerned. */
export function amendPreview(
  log: BookLog,
  amendment: Struck | Redated,
  context: Omit<JudgeContext, 'book'>,
): AmendPreview {
  const after = addEntries(log, [amendment])
  const before = { ...context, book: log.state }
  const then = { ...context, book: after.state }
  // Only what it folds anew can change; all of it where it amends an entry of the household.
  const whole = log.state.house !== after.state.house
  const lots = [...log.state.lots.keys()].filter((id) => whole || log.state.lots.get(id) !== after.state.lots.get(id))
  const some = (state: BookState) => lots.flatMap((id) => state.lots.get(id) ?? [])
  // However long ago: whoever ate of it is told of.
  const held = heldAmong(some(after.state), then, '')
  const heldBefore = heldAmong(some(log.state), before, '')
  return {
    gates: lots.flatMap((id) => {
      const was = log.state.lots.get(id)
      const is = after.state.lots.get(id)
      if (was === undefined || is === undefined || !isBegun(was) || !isBegun(is)) return []
      const now = gateViews(is, then)
      return gateViews(was, before).flatMap(({ gate, state }, index) => {
        const to = now[index]?.state ?? state
        return to === state ? [] : [{ lot: id, gate, from: state, to }]
      })
    }),
    lotsGone: lots.filter((id) => {
      const is = after.state.lots.get(id)
      return is === undefined || !isBegun(is)
    }),
    newlyHeld: {
      packs: held.packs.filter(({ pack }) => !heldBefore.packs.some((each) => each.pack === pack)),
      servings: held.servings.filter(({ entry }) => !heldBefore.servings.some((each) => each.entry === entry)),
    },
  }
}
