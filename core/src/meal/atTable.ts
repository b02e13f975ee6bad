import { findTaxon } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import { median } from '../quantity/average'
import type { JudgeContext } from '../gates/verdict'
import { lotUse } from '../treatment/batchUse'
import { isBegun, strandsOf } from '../lot/lotState'
import { rawPerServed } from './eaten'

/** One dish of a plant as it went down: pleasant, filling and eaten up are three things (TAS-5). */
export interface DishAtTable {
  readonly dish: string
  /** Portions that were spoken of afterwards. */
  readonly portions: number
  /** Middle of what eaters said, 0 to 10, and how many did. */
  readonly liking: { readonly middle: number; readonly said: number } | undefined
  /** Of what was put before them: how much was eaten. */
  readonly eaten: { readonly eaten_g: number; readonly served_g: number }
  /** What an eater had from it, kcal; planning value; undefined where none is on record, and for a dish of several plants. */
  readonly energy_kcal: number | undefined
}

/** Every dish of a plant of which somebody said how it went down, the latest last. What was not spoken of is in no figure. */
export function dishesAtTable(
  taxon: Taxon,
  { book, catalogue }: Pick<JudgeContext, 'book' | 'catalogue'>,
): readonly DishAtTable[] {
  const heard = [...book.lots.values()]
    .flatMap((lot) => lot.servings.map((serving) => ({ lot, serving })))
    .filter(({ serving }) => (serving.heard ?? []).length > 0)
    .toSorted((a, b) => (a.serving.at < b.serving.at ? -1 : 1))
    .flatMap(({ lot, serving }) => {
      const food = isBegun(serving.lotThen) ? serving.lotThen : lot
      const strands = strandsOf(food)
      const of = strands.filter(
        ({ lot: { weighedIn } }) => weighedIn !== null && findTaxon(catalogue, weighedIn.taxon) === taxon,
      )
      if (of.length === 0) return []
      const kcal_per_g =
        of.length < strands.length ? undefined : (lotUse(food, catalogue)?.energy_kcal_per_100g ?? NaN) / 100
      return (serving.heard ?? []).flatMap(({ eater, eaten_g, liking }) => {
        const portion = serving.portions.find((each) => each.eater === eater)
        const raw_per_g = rawPerServed(food, catalogue)
        const kcal = kcal_per_g === undefined ? NaN : eaten_g * raw_per_g * kcal_per_g
        return portion === undefined ? [] : [{ dish: serving.dish, eaten_g, liking, served_g: portion.mass_g, kcal }]
      })
    })
  const dishes = [...new Set(heard.map(({ dish }) => dish))]
  return dishes.map((dish): DishAtTable => {
    const those = heard.filter((each) => each.dish === dish)
    const said = those.flatMap(({ liking }) => (liking === null ? [] : [liking]))
    const sum = (of: (each: (typeof those)[number]) => number) => those.reduce((total, each) => total + of(each), 0)
    const kcal = sum((each) => each.kcal) / those.length
    return {
      dish,
      portions: those.length,
      liking: said.length === 0 ? undefined : { middle: median(said), said: said.length },
      eaten: { eaten_g: sum(({ eaten_g }) => eaten_g), served_g: sum(({ served_g }) => served_g) },
      energy_kcal: Number.isFinite(kcal) ? kcal : undefined,
    }
  })
}
