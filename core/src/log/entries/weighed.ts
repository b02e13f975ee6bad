import { withFlow, type LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

export type WeighedAfter = 'cooking' | 'drying' | 'pressing' | 'straining'

/**
 * The lot was weighed after cooking or drying, pressed out of a leach, or strained off what had steeped in water: the difference is water gone or
 * taken up. Of a drink everything counts that steeped in it.
 */
export interface Weighed extends EntryBase {
  readonly type: 'weighed'
  readonly lot: LotId
  readonly mass_g: number
  readonly after: WeighedAfter
}

export const weighed: EntryDef<Weighed, LotState> = {
  apply(lot, { at, mass_g, after }) {
    const to = { cooking: 'cooking water', drying: 'the air', pressing: 'the baths', straining: 'the drink' }[after]
    const flowed = withFlow(lot, { at, what: after, mass_g: lot.mass_g - mass_g, to })
    return { ...flowed, drained: { mass_g, at }, strainedAt: after === 'straining' ? at : lot.strainedAt }
  },
}
