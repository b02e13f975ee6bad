import type { OwnPlant } from '../../flora/own'
import type { EntryBase, EntryDef } from '../entry'
import type { HouseState } from '../houseState'

/** A cook puts a plant on record that the catalogue does not hold; said again it is said anew. */
export interface PlantRecorded extends EntryBase {
  readonly type: 'plant-recorded'
  readonly plant: OwnPlant
}

export const plantRecorded: EntryDef<PlantRecorded, HouseState> = {
  apply: (house, { plant }) => ({
    ...house,
    ownPlants: { ...house.ownPlants, [plant.scientificName]: plant },
  }),
}
