import { judge, packAsLot } from '../gates/judge'
import { FOOD_GATES, GATE_NAMES, GATE_STATE_WORDS, type GateState, type JudgeContext } from '../gates/verdict'
import { kitchenAt } from '../log/houseState'
import type { LotId, PackId } from '../log/entry'
import { formatDay, type Instant } from '../quantity/instant'
import { isBegun, USED_UP_g, type LotState, type PackState } from './lotState'
import { packFreshness } from '../freshness/freshness'

/** How one lot or pack was judged. */
interface FoodJudged {
  readonly lot: LotId
  readonly pack: PackId | null
  /** In the order of the work: Identity, Ground, Sort, Make safe. */
  readonly states: readonly GateState[]
  /** Of a pack, when it is to be thrown away; null where its store is not allowed, and of a lot. */
  readonly discardBy: Instant | null
}

/** How all that is in hand and in the larder was judged, by which revision of the catalogue and when: to be kept beside the book. */
export interface Judged {
  readonly revision: string
  readonly at: Instant
  readonly foods: readonly FoodJudged[]
}

/** What a later revision of the catalogue holds against something that an earlier one let through. */
export interface Stricter {
  readonly lot: LotId
  readonly pack: PackId | null
  /** One sentence for each gate or store: the first of its reasons, the lot's own page has them all. */
  readonly says: readonly string[]
}

/** Judges all that is in hand and in the larder. */
export function judgedNow(context: JudgeContext): Judged {
  const foods = foodsOf(context).map(({ lot, pack }) => judgeFood(lot, pack, context))
  return { revision: context.catalogue.revision, at: context.now, foods }
}

/**
 * What has become stricter since for what there still is: judged anew by the catalogue of now as of the moment when it was
 * judged before, so that no passing of time is taken for the catalogue's doing. Nothing where the revision is the same.
 */
export function becameStricter(before: Judged, now: JudgeContext): readonly Stricter[] {
  if (before.revision === now.catalogue.revision) return []
  const then = { ...now, now: before.at }
  const known = new Map(before.foods.map((food) => [keyOf(food), food]))
  return foodsOf(now).flatMap(({ lot, pack }) => {
    const was = known.get(keyOf({ lot: lot.id, pack: pack?.id ?? null }))
    if (was === undefined) return []
    const food = pack === null ? lot : packAsLot(lot, pack)
    const shut = FOOD_GATES.flatMap((gate, index) => {
      const from = was.states[index] ?? 'closed'
      const { state, reasons } = judge(gate, food, then)
      return RANK[state] > RANK[from]
        ? [`${GATE_NAMES[gate]} was ${GATE_STATE_WORDS[from]} and is ${GATE_STATE_WORDS[state]}: ${reasons[0] ?? ''}`]
        : []
    })
    const says = [...shut, ...shorterKept(pack, was.discardBy, then)]
    return says.length === 0 ? [] : [{ lot: lot.id, pack: pack?.id ?? null, says }]
  })
}

const RANK: Readonly<Record<GateState, number>> = { open: 0, ajar: 1, closed: 2 }

const keyOf = ({ lot, pack }: Pick<FoodJudged, 'lot' | 'pack'>) => `${lot} ${pack ?? ''}`

function foodsOf({ book }: JudgeContext): readonly { readonly lot: LotState; readonly pack: PackState | null }[] {
  return [...book.lots.values()].flatMap((lot) => [
    ...(isBegun(lot) && lot.mass_g >= USED_UP_g ? [{ lot, pack: null }] : []),
    ...lot.packs.filter(({ mass_g }) => mass_g > 0).map((pack) => ({ lot, pack })),
  ])
}

function judgeFood(lot: LotState, pack: PackState | null, context: JudgeContext): FoodJudged {
  const food = pack === null ? lot : packAsLot(lot, pack)
  return {
    lot: lot.id,
    pack: pack?.id ?? null,
    states: FOOD_GATES.map((gate) => judge(gate, food, context).state),
    discardBy: pack === null ? null : packFreshness(pack, context).until,
  }
}

function shorterKept(pack: PackState | null, was: Instant | null, then: JudgeContext): readonly string[] {
  if (pack === null || was === null) return []
  const { until: discardBy } = packFreshness(pack, then)
  if (discardBy === null) return ['Its store is no longer allowed: use it up or throw it away.']
  if (discardBy >= was) return []
  const timeZone = kitchenAt(then.book.house, then.now)?.timeZone ?? 'UTC'
  const day = (at: Instant) => formatDay(at, timeZone, true)
  return [`It is to be thrown away by ${day(discardBy)}, and no longer by ${day(was)}.`]
}
