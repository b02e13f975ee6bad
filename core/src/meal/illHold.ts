import type { Store } from '../flora/taxon'
import type { BookState } from '../log/fold'
import type { Illness } from '../log/houseState'
import type { EaterId } from '../log/entry'
import { rootsOf } from '../lot/kin'
import type { LotState } from '../lot/lotState'
import { minutesBetween, type Instant } from '../quantity/instant'
import { hadOf, type Had } from './hadOf'

/** Food may make ill so long after it was eaten: what was eaten in these hours is held [planning value: most poisons of plants and most germs of food show by then]. */
export const ILL_AFTER_AT_MOST_h = 72
/** What was kept moist may hold a poison that shows only after ten days (World Health Organization, 2023, fact sheet "Botulism": 4 h to 8 days; a planning value above it). */
export const ILL_AFTER_STORE_AT_MOST_h = 240
const KEEP_IT_MOIST: readonly Store[] = ['chilled', 'oiled', 'salted', 'soured', 'sugared']

/** An illness, and what the ill one had of the same food before it. */
export interface IllAfter {
  readonly illness: Illness
  readonly dish: string
  readonly eatenAt: Instant
}

/** Illnesses that nobody has explained, of people who ate of the same pickings in the hours before: the lot, its kin and all made of them. */
export function illAfter(lot: LotState, book: BookState): readonly IllAfter[] {
  const open = book.house.ill.filter(({ explained }) => explained === undefined)
  if (open.length === 0) return []
  const roots = rootsOf(lot)
  return open.flatMap((illness): readonly IllAfter[] => {
    const [first] = eatenBefore(illness, book).filter(({ from }) => from.some((root) => roots.includes(root)))
    return first === undefined ? [] : [{ illness, dish: first.dish, eatenAt: first.at }]
  })
}

/** What the ill one had in the time before, latest first, with the pickings it came from. */
function eatenBefore({ eater, at }: Illness, { lots }: BookState) {
  return [...lots.values()]
    .flatMap((lot) =>
      hadOf(lot)
        .filter((had) => {
          const before_h = minutesBetween(had.at, at) / 60
          return had.eaters.includes(eater) && before_h >= 0 && before_h <= illWithin_h(had)
        })
        .map((had) => ({ dish: had.dish, at: had.at, from: rootsOf(had.food) })),
    )
    .sort((a, b) => (a.at < b.at ? 1 : -1))
}

const illWithin_h = ({ stores }: Had) =>
  stores.some((store) => KEEP_IT_MOIST.includes(store)) ? ILL_AFTER_STORE_AT_MOST_h : ILL_AFTER_AT_MOST_h

/** Everybody else who had of the same pickings as somebody who is ill, whenever: each is to be asked. */
export function alsoAte(illness: Illness, book: BookState): readonly EaterId[] {
  const suspect = new Set(eatenBefore(illness, book).flatMap(({ from }) => from))
  const eaters = [...book.lots.values()]
    .flatMap(hadOf)
    .filter(({ food }) => rootsOf(food).some((root) => suspect.has(root)))
    .flatMap((had) => had.eaters)
  return [...new Set(eaters)].filter((eater) => eater !== illness.eater)
}
