import type { BookState } from '../log/fold'
import type { Illness } from '../log/houseState'
import type { EaterId } from '../log/entry'
import { rootsOf } from '../lot/kin'
import { isBegun, type LotState } from '../lot/lotState'
import { minutesBetween, type Instant } from '../quantity/instant'

/** Food may make ill so long after it was eaten: what was eaten in these hours is held [planning value: most poisons of plants and most germs of food show by then]. */
export const ILL_AFTER_AT_MOST_h = 72

/** An illness, and a dish of the same food that the ill one had before it. */
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

/** What the ill one ate in the hours before, latest first, with the pickings it came from and who else had of it. */
function eatenBefore({ eater, at }: Illness, { lots }: BookState) {
  return [...lots.values()]
    .flatMap((lot) =>
      lot.servings
        .filter((serving) => {
          const before_h = minutesBetween(serving.at, at) / 60
          return (
            before_h >= 0 && before_h <= ILL_AFTER_AT_MOST_h && serving.portions.some((each) => each.eater === eater)
          )
        })
        .map((serving) => ({
          dish: serving.dish,
          at: serving.at,
          from: rootsOf(isBegun(serving.lotThen) ? serving.lotThen : lot),
        })),
    )
    .sort((a, b) => (a.at < b.at ? 1 : -1))
}

/** Everybody else who ate of the same pickings as somebody who is ill, whenever: each is to be asked. */
export function alsoAte(illness: Illness, book: BookState): readonly EaterId[] {
  const suspect = new Set(eatenBefore(illness, book).flatMap(({ from }) => from))
  const eaters = [...book.lots.values()].flatMap((lot) =>
    lot.servings
      .filter(({ lotThen }) => rootsOf(isBegun(lotThen) ? lotThen : lot).some((root) => suspect.has(root)))
      .flatMap(({ portions }) => portions.map(({ eater }) => eater)),
  )
  return [...new Set(eaters)].filter((eater) => eater !== illness.eater)
}
