import { outOfWater, partOf, withFlow, withWarnings } from '../../lot/lotState'
import type { EntryBase, LineageDef, LotId } from '../entry'

/** Part of a lot goes its own way under a code of its own. It inherits all that is known of the whole. */
export interface Split extends EntryBase {
  readonly type: 'split'
  readonly lot: LotId
  readonly into: LotId
  readonly code: string
  readonly mass_g: number
  readonly why: string
}

export const split: LineageDef<Split> = {
  touches: ({ lot, into }) => [lot, into],
  apply(lots, { lot: id, into, code, mass_g, at }) {
    const lot = lots.get(id)
    if (lot === undefined) return
    const taken_g = Math.min(mass_g, lot.mass_g)
    const born = partOf(outOfWater(lot, at), into, code, { lot: id, pack: null, mass_g: taken_g, at })
    lots.set(into, { ...withWarnings(born, lots.get(into)), lastAt: at })
    lots.set(id, { ...withFlow(lot, { at, what: 'split', mass_g: taken_g, to: into }), lastAt: at })
  },
}
