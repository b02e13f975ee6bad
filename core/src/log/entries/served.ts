import { withFlow, type LotState, type Portion } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId, PackId } from '../entry'

/** Food was put before people. It stays a fact whatever is struck out behind it. */
export interface Served extends EntryBase {
  readonly type: 'served'
  readonly lot: LotId
  readonly pack: PackId | null
  readonly dish: string
  /** Eaten where it grew, before it was sorted; rinsed in drinking water or not. */
  readonly onTheWay?: { readonly rinsed: boolean }
  readonly portions: readonly Portion[]
}

export const served: EntryDef<Served, LotState> = {
  apply(lot, { id, at, pack, dish, portions }) {
    const mass_g = portions.reduce((sum, portion) => sum + portion.mass_g, 0)
    const source = lot.packs.find((each) => each.id === pack)
    const serving = { entry: id, at, dish, pack, portions, lotThen: source?.lotThen ?? lot }
    const told = { ...lot, servings: [...lot.servings, serving] }
    return pack === null ? withFlow(told, { at, what: 'served', mass_g, to: dish }) : takenFromPack(told, pack, mass_g)
  },
}

/** What is eaten or thrown away out of a pack leaves the pack, not the lot in hand. */
export function takenFromPack(lot: LotState, pack: PackId, mass_g: number): LotState {
  return {
    ...lot,
    packs: lot.packs.map((each) => (each.id === pack ? { ...each, mass_g: Math.max(0, each.mass_g - mass_g) } : each)),
  }
}
