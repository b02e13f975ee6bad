import { partOf, withWarnings, type Stay } from '../../lot/lotState'
import type { EntryBase, LineageDef, LotId, PackId } from '../entry'
import { openedAtTaking, takenFromPack } from './served'

/** A pack, or part of it, comes out of the larder and into hand again, under a code of its own. */
export interface Opened extends EntryBase {
  readonly type: 'opened'
  readonly lot: LotId
  readonly pack: PackId
  readonly into: LotId
  readonly code: string
  readonly mass_g: number
}

export const opened: LineageDef<Opened> = {
  touches: ({ lot, into }) => [lot, into],
  apply(lots, { lot: id, pack: packId, into, code, mass_g, at }) {
    const lot = lots.get(id)
    const pack = lot?.packs.find((each) => each.id === packId)
    if (lot === undefined || pack === undefined) return
    const taken_g = Math.min(mass_g, pack.mass_g)
    const { tells, attestedAt, attestedBy, attestedStand, strays, stand, sorted } = lot
    const food = { ...pack.lotThen, tells, attestedAt, attestedBy, attestedStand, strays, stand, sorted }
    const stay: Stay = {
      pack: packId,
      store: pack.store,
      from: pack.at,
      until: at,
      openedAt: openedAtTaking(pack, at),
      readings: pack.readings,
      lotThen: pack.lotThen,
    }
    const born = partOf(food, into, code, { lot: id, pack: packId, mass_g: taken_g, at })
    lots.set(into, {
      ...withWarnings(born, lots.get(into)),
      // What it went through before it was packed stands; being opened makes nothing younger.
      stays: [...born.stays, stay],
      lastAt: at,
    })
    lots.set(id, { ...takenFromPack(lot, packId, taken_g, at), lastAt: at })
  },
}
