import { SCALE_g } from '../../quantity/scale'
import { withFlow, type LotState, type PackState, type Portion } from '../../lot/lotState'
import type { Instant } from '../../quantity/instant'
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
    return pack === null
      ? withFlow(told, { at, what: 'served', mass_g, to: dish })
      : takenFromPack(told, pack, mass_g, at)
  },
}

/** What is left in the container of a pack that is not full, g; 0 where all are. */
export function broken_g({ packed_g, containers, mass_g }: PackState): number {
  const each_g = packed_g / Math.max(1, containers)
  const rest_g = mass_g - each_g * Math.floor((mass_g + SCALE_g) / each_g)
  return rest_g <= SCALE_g ? 0 : rest_g
}

/** Since when what is taken out of a pack lay open: it comes out of the open container first, and of a closed one for the rest. */
export function openedAtTaking({ openedAt }: PackState, at: Instant): Instant {
  return openedAt ?? at
}

/** What is eaten, opened or thrown away out of a pack leaves the pack, not the lot in hand; the container it was in stays open. */
export function takenFromPack(lot: LotState, pack: PackId, mass_g: number, at: Instant): LotState {
  return { ...lot, packs: lot.packs.map((each) => (each.id === pack ? withTaken(each, mass_g, at) : each)) }
}

function withTaken(pack: PackState, taken_g: number, at: Instant): PackState {
  const left = { ...pack, mass_g: Math.max(0, pack.mass_g - taken_g) }
  if (broken_g(left) === 0) return { ...left, openedAt: null }
  return { ...left, openedAt: taken_g <= broken_g(pack) + SCALE_g ? openedAtTaking(pack, at) : at }
}
