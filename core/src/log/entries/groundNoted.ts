import { GROUND_FACTS, type GroundFacts, type GroundNote } from '../../ground/facts'
import type { Position } from '../../quantity/position'
import type { EntryBase, EntryDef, PatchId } from '../entry'
import type { HouseState } from '../houseState'

/** A patch is named, or facts of its ground are noted; each fact carries its own date. */
export interface GroundNoted extends EntryBase {
  readonly type: 'ground-noted'
  readonly patch: PatchId
  readonly name?: string
  readonly elevation_m?: number
  readonly position?: Position
  readonly facts: GroundNote
}

export const groundNoted: EntryDef<GroundNoted, HouseState> = {
  apply(house, entry) {
    const known = house.patches[entry.patch] ?? { id: entry.patch, name: entry.patch, facts: {}, notes: [] }
    const fresh = GROUND_FACTS.filter((fact) => entry.facts[fact] !== undefined).map((fact) => [
      fact,
      { value: entry.facts[fact], at: entry.at },
    ])
    const facts: GroundFacts = { ...known.facts, ...Object.fromEntries(fresh) }
    const lies = {
      ...(entry.elevation_m === undefined ? {} : { elevation_m: entry.elevation_m }),
      ...(entry.position === undefined ? {} : { position: entry.position }),
    }
    return {
      ...house,
      patches: {
        ...house.patches,
        [entry.patch]: {
          ...known,
          ...lies,
          name: entry.name ?? known.name,
          facts,
          notes: [...known.notes, { at: entry.at, facts: entry.facts }],
        },
      },
    }
  },
}
