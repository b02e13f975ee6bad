import type { HeardAtTable, LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, EntryId, LotId } from '../entry'

/** How a dish went down with each eater: what was really eaten, and how it was liked. The last word on an eater holds. */
export interface TableNoted extends EntryBase {
  readonly type: 'table-noted'
  readonly lot: LotId
  readonly serving: EntryId
  readonly heard: readonly HeardAtTable[]
}

export const tableNoted: EntryDef<TableNoted, LotState> = {
  apply: (lot, { serving, heard }) => ({
    ...lot,
    servings: lot.servings.map((each) =>
      each.entry === serving
        ? {
            ...each,
            heard: [...(each.heard ?? []).filter(({ eater }) => !heard.some((said) => said.eater === eater)), ...heard],
          }
        : each,
    ),
  }),
}
