import { formatMass } from '../../quantity/format'
import type { EntryBase, EntryDef } from '../entry'
import type { EaterState, HouseState, OwnCap } from '../houseState'

/** A person at the table, or what was learnt about one. */
export interface EaterNoted extends EntryBase {
  readonly type: 'eater-noted'
  readonly eater: Omit<EaterState, 'laxer'>
  /** Said a second time, where less is to hold against them than before. */
  readonly laxerConfirmed?: true
}

/** What held against an eater and holds no more by a new note: sensitivities left out, being a child or an infant, and limits of their own taken off or raised. */
export function droppedBy(
  known: EaterState | undefined,
  { kind, sensitivities, ownCaps, bornOn }: EaterNoted['eater'],
): readonly string[] {
  if (known === undefined) return []
  const left = (known.sensitivities ?? []).filter((each) => sensitivities?.includes(each) !== true)
  const caps = (known.ownCaps ?? []).filter(
    ({ taxon, perDay_g }) => ownCaps?.some((cap) => cap.taxon === taxon && cap.perDay_g <= perDay_g) !== true,
  )
  const older = known.bornOn !== undefined && bornOn !== undefined && bornOn < known.bornOn
  return [
    ...left,
    ...caps.map(capWords),
    ...(older ? ['a later day of birth'] : []),
    ...(AGES.indexOf(kind) > AGES.indexOf(known.kind) ? [known.kind] : []),
  ]
}
/** @example capWords({ taxon: 'Picea abies', perDay_g: 3 }) // 'a limit of their own for Picea abies, 3 g a day' */
export function capWords({ taxon, perDay_g }: OwnCap): string {
  return `a limit of their own for ${taxon}, ${formatMass(perDay_g)} a day`
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
