import type { EntryBase, EntryDef } from '../entry'
import type { EaterState, HouseState } from '../houseState'

/** A person at the table, or what was learnt about one. */
export interface EaterNoted extends EntryBase {
  readonly type: 'eater-noted'
  readonly eater: Omit<EaterState, 'laxer'>
  /** Said a second time, where less is to hold against them than before. */
  readonly laxerConfirmed?: true
}

/** What held against an eater and holds no more by a new note: sensitivities left out, and being a child or an infant. */
export function droppedBy(
  known: EaterState | undefined,
  { kind, sensitivities }: EaterNoted['eater'],
): readonly string[] {
  if (known === undefined) return []
  const left = (known.sensitivities ?? []).filter((each) => sensitivities?.includes(each) !== true)
  return [...left, ...(AGES.indexOf(kind) > AGES.indexOf(known.kind) ? [known.kind] : [])]
}
const AGES: readonly EaterState['kind'][] = ['infant', 'child', 'adult']

export const eaterNoted: EntryDef<EaterNoted, HouseState> = {
  apply(house, { eater, at }) {
    const known = house.eaters[eater.id]
    const dropped = droppedBy(known, eater)
    const laxer = dropped.length > 0 ? { at, dropped } : known?.laxer
    return { ...house, eaters: { ...house.eaters, [eater.id]: laxer === undefined ? eater : { ...eater, laxer } } }
  },
}
