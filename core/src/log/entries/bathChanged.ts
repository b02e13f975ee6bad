import { outOfWater, withFirstCut, type LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Water poured off, and fresh water poured on (or not, at the last). The first one begins the first bath. */
export interface BathChanged extends EntryBase {
  readonly type: 'bath-changed'
  readonly lot: LotId
  readonly protocol: string
  readonly step: number
  /** null: poured off for good. Of running water what stands in the basin, and how fast it runs where that was timed. */
  readonly fresh: { readonly water_mL: number; readonly temp_C: number | null; readonly flow_mL_min?: number } | null
}

export const bathChanged: EntryDef<BathChanged, LotState> = {
  apply(lot, { id, at, noted, protocol, step, fresh }) {
    const out = outOfWater(lot, at)
    const begun =
      fresh === null ? [] : [{ entry: id, protocol, step, ...fresh, lotMass_g: lot.mass_g, begunAt: at, endedAt: null }]
    return { ...withFirstCut(out, { at, noted }), baths: [...out.baths, ...begun] }
  },
}
