import { isOnlyCounted, withFirstCut, withFlow, worseWash, type LotState, type SortFact } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Sorted, trimmed, washed and weighed again: only the edible part at an edible stage goes on. */
export interface Sorted extends EntryBase, Omit<SortFact, 'at'> {
  readonly type: 'sorted'
  readonly lot: LotId
}

export const sorted: EntryDef<Sorted, LotState> = {
  apply(before, { at, noted, stageSeen, kept_g, trimmed_g, trimmedTo, wash }) {
    const lot = weighedAtLast(before, kept_g + trimmed_g)
    const lost_g = lot.mass_g - kept_g - trimmed_g
    const trimmed = withFlow(withFirstCut(lot, { at, noted }), {
      at,
      what: 'trimmed',
      mass_g: trimmed_g,
      to: trimmedTo,
    })
    const rest = withFlow(trimmed, { at, what: 'lost-in-sorting', mass_g: lost_g, to: 'drips and dust' })
    const washedIn = worseWash(lot.washedIn, wash)
    return { ...rest, washedIn, sorted: { at, stageSeen, kept_g, trimmed_g, trimmedTo, wash: washedIn } }
  },
}

/** A lot that was counted in the field has its first weighing here: what was picked is what is there and what left it before. */
function weighedAtLast(lot: LotState, there_g: number): LotState {
  const { weighedIn } = lot
  if (!isOnlyCounted(lot) || weighedIn === null) return lot
  const picked_g = weighedIn.mass_g + there_g - lot.mass_g
  return { ...lot, weighedIn: { ...weighedIn, mass_g: picked_g }, mass_g: there_g, plant_g: there_g }
}
