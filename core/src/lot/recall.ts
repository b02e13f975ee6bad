import type { BookState } from '../log/fold'
import type { Recall } from '../log/houseState'
import type { EaterId, LotId, PackId } from '../log/entry'
import type { Instant } from '../quantity/instant'
import { recallReaches } from './kin'

/** Everything downstream of a recall, however long ago: what is in hand, in the larder, and who ate of it. */
export interface RecallReach {
  readonly recall: Recall
  readonly inHand: readonly { readonly lot: LotId; readonly code: string; readonly mass_g: number }[]
  readonly packs: readonly { readonly lot: LotId; readonly pack: PackId; readonly mass_g: number }[]
  readonly servings: readonly {
    readonly lot: LotId
    readonly at: Instant
    readonly dish: string
    readonly eaters: readonly EaterId[]
  }[]
}

/** A walk over lineage to every lot, pack and plate that a recall reaches. */
export function recallReach(recall: Recall, book: BookState): RecallReach {
  const lots = [...book.lots.values()]
  return {
    recall,
    inHand: lots
      .filter((lot) => lot.mass_g > 0 && recallReaches(recall, lot, book))
      .map(({ id, code, mass_g }) => ({ lot: id, code, mass_g })),
    packs: lots.flatMap((lot) =>
      lot.packs
        .filter(({ id, mass_g }) => mass_g > 0 && recallReaches(recall, { ...lot, asPack: id }, book))
        .map(({ id, mass_g }) => ({ lot: lot.id, pack: id, mass_g })),
    ),
    servings: lots.flatMap((lot) =>
      lot.servings
        .filter(({ pack }) => recallReaches(recall, { ...lot, asPack: pack }, book))
        .map(({ at, dish, portions }) => ({ lot: lot.id, at, dish, eaters: portions.map(({ eater }) => eater) })),
    ),
  }
}
