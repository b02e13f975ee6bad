import { ALLERGEN_AGAINST, allergensOf, FOOD_ALLERGIES, type Allergen } from '../flora/allergens'
import { plainWords, type Sensitivity } from '../flora/vocabulary'
import type { EaterState } from '../log/houseState'
import type { AddedFact, LotState } from '../lot/lotState'
import { formatList } from '../quantity/format'

/** What is in the bowl besides the plants: everything put to a lot, or to any lot that went into it. */
export function addedTo(lot: LotState): readonly AddedFact[] {
  return [...lot.added, ...lot.joined.flatMap(({ lotThen }) => addedTo(lotThen))]
}

/** What an ingredient holds that must be told of: what its name tells and what the cook said, together; undefined where nobody knows. */
export function holds({ name, allergens }: Pick<AddedFact, 'name' | 'allergens'>): readonly Allergen[] | undefined {
  const byName = allergensOf(name)
  return byName === undefined && allergens === undefined
    ? undefined
    : [...new Set([...(byName ?? []), ...(allergens ?? [])])]
}

/** What of what was put to it stands against an eater, and what nobody has said of it. */
export function bowlAgainst(
  lot: LotState,
  { name, kind, sensitivities }: EaterState,
): { readonly closed: readonly string[]; readonly toAsk: readonly string[] } {
  const own: readonly Sensitivity[] = [...(sensitivities ?? []), ...(kind === 'adult' ? [] : [kind])]
  const added = addedTo(lot)
  const closed = added.flatMap((each) => {
    const against = (holds(each) ?? []).filter((allergen) =>
      ALLERGEN_AGAINST[allergen].some((who) => own.includes(who)),
    )
    return against.length === 0
      ? []
      : [`${name} must not eat this: there is ${each.name} in it (${formatList(against.map(plainWords))}).`]
  })
  const minds = own.some((each) => FOOD_ALLERGIES.includes(each) && each !== 'infant')
  const unknown = minds ? added.filter((each) => holds(each) === undefined).map((each) => each.name) : []
  return {
    closed: [...new Set(closed)],
    toAsk:
      unknown.length === 0
        ? []
        : [
            `${name} has a food allergy, and nobody said what ${formatList([...new Set(unknown)])} holds. Read the packet and note it.`,
          ],
  }
}
