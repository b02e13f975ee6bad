import type { LotState, WeighIn } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** A lot begins: what the cook claims it is, where it is from, and what it weighs as picked. */
export interface WeighedIn extends EntryBase, Omit<WeighIn, 'entry'> {
  readonly type: 'weighed-in'
  readonly lot: LotId
}

export const weighedIn: EntryDef<WeighedIn, LotState> = {
  apply: (lot, { id, code, taxon, part, stage, patch, mass_g, pickedAt, counted, took_min, cutAt, outing }) => ({
    ...lot,
    code,
    weighedIn: {
      ...{ entry: id, code, taxon, part, stage, patch, mass_g, pickedAt },
      ...(counted === undefined ? {} : { counted }),
      ...(took_min === undefined ? {} : { took_min }),
      ...(cutAt === undefined ? {} : { cutAt }),
      ...(outing === undefined ? {} : { outing }),
    },
    mass_g: lot.mass_g + mass_g,
    plant_g: lot.plant_g + mass_g,
  }),
}
