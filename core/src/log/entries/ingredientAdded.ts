import { withFlow, type AddedFact, type LotState } from '../../lot/lotState'
import type { EntryBase, EntryDef, LotId } from '../entry'

/** Salt, sugar, vinegar, oil, water or something else is put to the lot. */
export interface IngredientAdded extends EntryBase, Omit<AddedFact, 'at' | 'whole_g'> {
  readonly type: 'ingredient-added'
  readonly lot: LotId
}

export const ingredientAdded: EntryDef<IngredientAdded, LotState> = {
  apply: (lot, { at, what, name, mass_g, allergens }) => ({
    ...withFlow(lot, { at, what: 'added', mass_g: -mass_g, to: name }),
    added: [
      ...lot.added,
      { at, what, name, mass_g, ...(allergens === undefined ? {} : { allergens }), whole_g: lot.mass_g + mass_g },
    ],
  }),
}
