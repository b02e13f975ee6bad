import type { EntryBase, EntryDef } from '../entry'
import type { HouseState, OutingFact } from '../houseState'

/** An outing is planned: the day, who comes, what is wished from which patches. Planned again it is planned anew. */
export interface OutingPlanned extends EntryBase, Omit<OutingFact, 'id' | 'at'> {
  readonly type: 'outing-planned'
  readonly outing: string
}

export const outingPlanned: EntryDef<OutingPlanned, HouseState> = {
  apply: (house, { outing, at, day, company, plates, wishes }) => ({
    ...house,
    outings: { ...house.outings, [outing]: { id: outing, at, day, company, plates, wishes } },
  }),
}
