import type { Figure } from '../../evidence/figure'
import type { Part } from '../../flora/vocabulary'
import type { EntryBase, EntryDef } from '../entry'
import type { HouseState } from '../houseState'

/** What one source says is in a part of a plant. */
export interface FigureNoted extends EntryBase {
  readonly type: 'figure-noted'
  readonly taxon: string
  readonly part: Part
  readonly figure: Figure
}

export const figureNoted: EntryDef<FigureNoted, HouseState> = {
  apply: (house, { taxon, part, figure }) => ({
    ...house,
    figures: { ...house.figures, [taxon]: [...(house.figures[taxon] ?? []), { part, ...figure }] },
  }),
}
