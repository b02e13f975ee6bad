import type { BookState } from '../log/fold'
import type { Recall } from '../log/houseState'
import type { EaterId, EntryId, LotId, PackId } from '../log/entry'
import type { Instant } from '../quantity/instant'
import { recallReaches, rootsOf } from './kin'
import { isBegun, type LotState } from './lotState'

/** Everything that some food came to, however long ago: what is in hand, in the larder, who ate of it, and trimmings that went to stock. */
export interface Reach {
  readonly inHand: readonly { readonly lot: LotId; readonly code: string; readonly mass_g: number }[]
  readonly packs: readonly { readonly lot: LotId; readonly pack: PackId; readonly mass_g: number }[]
  readonly servings: readonly {
    readonly entry: EntryId
    readonly lot: LotId
    readonly at: Instant
    readonly dish: string
    readonly eaters: readonly EaterId[]
  }[]
  readonly stock: readonly { readonly at: Instant; readonly mass_g: number }[]
}

/** A walk over every lot, pack and plate, with what is asked of each. */
function reachOf({ lots }: BookState, reaches: (food: LotState) => boolean): Reach {
  const all = [...lots.values()].filter(isBegun)
  return {
    inHand: all
      .filter((lot) => lot.mass_g > 0 && reaches(lot))
      .map(({ id, code, mass_g }) => ({ lot: id, code, mass_g })),
    packs: all.flatMap((lot) =>
      lot.packs
        .filter(({ id, mass_g }) => mass_g > 0 && reaches({ ...lot, asPack: id }))
        .map(({ id, mass_g }) => ({ lot: lot.id, pack: id, mass_g })),
    ),
    servings: all.flatMap((lot) =>
      lot.servings
        .filter(({ pack }) => reaches({ ...lot, asPack: pack }))
        .map(({ entry, at, dish, portions }) => ({
          ...{ entry, at, dish, lot: lot.id },
          eaters: portions.map(({ eater }) => eater),
        })),
    ),
    stock: all.flatMap((lot) =>
      lot.flows
        .filter(({ what, to, mass_g }) => what === 'trimmed' && to === 'stock' && mass_g > 0 && reaches(lot))
        .map(({ at, mass_g }) => ({ at, mass_g })),
    ),
  }
}

/** What was made, eaten and sent to stock of the pickings in a lot; of what is in hand, the other lots. */
export function foodReach(lot: LotState, book: BookState): Reach {
  const roots = rootsOf(lot)
  const reach = reachOf(book, (each) => rootsOf(each).some((root) => roots.includes(root)))
  return { ...reach, inHand: reach.inHand.filter((each) => each.lot !== lot.id) }
}

/** Everything downstream of a recall. */
export function recallReach(recall: Recall, book: BookState): Reach {
  return reachOf(book, (food) => recallReaches(recall, food, book))
}
