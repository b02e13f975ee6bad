import type { Store } from '../flora/taxon'
import type { EaterId } from '../log/entry'
import { isBegun, type LotState } from '../lot/lotState'
import type { Instant } from '../quantity/instant'

/** What a taste of food is called where what people ate is listed. */
export const A_TASTE = 'a taste'
/** A bite of plants where they grew. */
export const A_BITE = 'a bite where it grew'

/** One time that people had some of a lot in the mouth, a crumb that was spat out included. */
export interface Had {
  readonly at: Instant
  readonly eaters: readonly EaterId[]
  /** The dish at the table, or what else it was. */
  readonly dish: string
  /** The food as it was then. */
  readonly food: LotState
  /** Every store that any of it came out of. */
  readonly stores: readonly Store[]
}

/** Every time that somebody had some of a lot: at the table, as a taste, or as a bite along the stand. */
export function hadOf(lot: LotState): readonly Had[] {
  const had = (at: Instant, eaters: readonly EaterId[], dish: string, food: LotState, pack: string | null): Had => {
    const packed = lot.packs.find(({ id }) => id === pack)
    return { at, eaters, dish, food, stores: [...storesOf(food), ...(packed === undefined ? [] : [packed.store])] }
  }
  return [
    ...lot.servings.map(({ at, dish, pack, portions, lotThen }) => {
      // A serving dated back to before its lot was weighed in is still of that lot.
      const food = isBegun(lotThen) ? lotThen : lot
      return had(at, portions.map(({ eater }) => eater), dish, food, pack) // prettier-ignore
    }),
    ...lot.tastes.map(({ at, taster }) => had(at, [taster], A_TASTE, lot, null)),
    ...lot.scores.map(({ at, taster }) => had(at, [taster], A_BITE, lot, null)),
  ]
}

function storesOf({ stays, joined }: LotState): readonly Store[] {
  return [...stays.map(({ store }) => store), ...joined.flatMap(({ lotThen }) => storesOf(lotThen))]
}
