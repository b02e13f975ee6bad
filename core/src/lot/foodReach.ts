import type { BookState } from '../log/fold'
import type { EaterId, EntryId, LotId, PackId } from '../log/entry'
import type { Instant } from '../quantity/instant'
import { rootsOf } from './kin'
import { isBegun, type LotState } from './lotState'

/** Everything that holds something of the same pickings: other lots in hand, packs, dishes that were eaten, and trimmings that went to stock. */
export interface FoodReach {
  readonly inHand: readonly { readonly id: LotId; readonly code: string; readonly mass_g: number }[]
  readonly packs: readonly { readonly id: PackId; readonly lot: LotId; readonly mass_g: number }[]
  readonly servings: readonly {
    readonly entry: EntryId
    readonly at: Instant
    readonly dish: string
    readonly eaters: readonly EaterId[]
  }[]
  readonly stock: readonly { readonly at: Instant; readonly mass_g: number }[]
}

/** What was made, eaten and sent to stock of the pickings in a lot, however long ago. */
export function foodReach(lot: LotState, book: BookState): FoodReach {
  const roots = rootsOf(lot)
  const kin = [...book.lots.values()].filter(
    (each) => isBegun(each) && rootsOf(each).some((root) => roots.includes(root)),
  )
  return {
    inHand: kin
      .filter(({ id, mass_g }) => id !== lot.id && mass_g > 0)
      .map(({ id, code, mass_g }) => ({ id, code, mass_g })),
    packs: kin.flatMap(({ id: of, packs }) =>
      packs.filter(({ mass_g }) => mass_g > 0).map(({ id, mass_g }) => ({ id, lot: of, mass_g })),
    ),
    servings: kin.flatMap(({ servings }) =>
      servings.map(({ entry, at, dish, portions }) => ({
        entry,
        at,
        dish,
        eaters: portions.map(({ eater }) => eater),
      })),
    ),
    stock: kin.flatMap(({ flows }) =>
      flows
        .filter(({ what, to, mass_g }) => what === 'trimmed' && to === 'stock' && mass_g > 0)
        .map(({ at, mass_g }) => ({ at, mass_g })),
    ),
  }
}
