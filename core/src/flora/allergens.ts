import { foldName } from './names'
import type { Sensitivity } from './vocabulary'

/**
 * What must be told of in food, and who must not have it: the fourteen of Regulation (EU) 1169/2011, annex II; honey, which is not given in the first
 * year of life for the spores in it; and the other pulses, for who bears none.
 */
export const ALLERGENS = [
  'gluten', 'crustaceans', 'egg', 'fish', 'peanut', 'soy', 'milk', 'tree-nuts', 'celery', 'mustard', 'sesame', 'sulphites',
  'lupin', 'molluscs', 'honey', 'legume',
] as const // prettier-ignore
export type Allergen = (typeof ALLERGENS)[number]

/** Whom each one stands against. */
export const ALLERGEN_AGAINST: Readonly<Record<Allergen, readonly Sensitivity[]>> = {
  gluten: ['gluten-intolerance'],
  crustaceans: ['crustacean-allergy'],
  egg: ['egg-allergy'],
  fish: ['fish-allergy'],
  peanut: ['peanut-allergy', 'legume-allergy'],
  soy: ['soy-allergy', 'legume-allergy'],
  milk: ['milk-allergy'],
  'tree-nuts': ['nut-allergy'],
  celery: ['celery-allergy'],
  mustard: ['mustard-allergy'],
  sesame: ['sesame-allergy'],
  sulphites: ['sulphite-intolerance'],
  lupin: ['lupin-allergy', 'legume-allergy'],
  molluscs: ['mollusc-allergy'],
  honey: ['infant'],
  legume: ['legume-allergy'],
}

/** Who must be told what is in it: anybody with an allergy to food that some allergen stands against. */
export const FOOD_ALLERGIES: readonly Sensitivity[] = [...new Set(Object.values(ALLERGEN_AGAINST).flat())]

/** Kitchen things by name, with what they hold; several names share a row. None is written as an empty row. A name that may be several things is not here: it is asked for. */
const KITCHEN: readonly (readonly [names: string, holds: readonly Allergen[]])[] = [
  ['butter, milk, cream, sour cream, yoghurt, yogurt, buttermilk, cheese, parmesan, pecorino, feta, ricotta, curd, ghee', ['milk']],
  ['egg, egg yolk, egg white', ['egg']],
  ['mayonnaise', ['egg', 'mustard']],
  ['wheat flour, flour, bread, breadcrumbs, semolina, couscous, bulgur, barley, rye, spelt, oats, seitan', ['gluten']],
  ['pasta, noodles, pastry, dumpling dough, pancake batter, batter', ['gluten', 'egg', 'milk']],
  ['beer', ['gluten']],
  ['soy sauce', ['soy', 'gluten']],
  ['tofu, tempeh, soy milk, soybean, edamame, soy oil', ['soy']],
  ['miso', ['soy', 'gluten']],
  ['peanut, peanut butter, peanut oil', ['peanut']],
  ['almond, walnut, cashew, pistachio, pecan, brazil nut, macadamia, pine nut, nut, bought hazelnut, bought walnut, bought chestnut, walnut oil, hazelnut oil, almond milk, marzipan', ['tree-nuts']],
  ['sesame, sesame seed, tahini, sesame oil', ['sesame']],
  ['mustard, mustard seed, mustard powder', ['mustard']],
  ['celery, celeriac, celery salt', ['celery']],
  ['stock cube, bouillon, vegetable stock, stock powder', ['celery', 'gluten', 'soy', 'milk']],
  ['fish, anchovy, salmon, trout, tuna, fish sauce, cod', ['fish']],
  ['worcester sauce', ['fish', 'gluten']],
  ['shrimp, prawn, crab, lobster, crayfish', ['crustaceans']],
  ['mussel, clam, oyster, squid, snail', ['molluscs']],
  ['oyster sauce', ['molluscs', 'gluten', 'soy']],
  ['lupin flour, lupin', ['lupin']],
  ['wine, white wine, red wine, wine vinegar, cider, cider vinegar, bottled lemon juice, dried apricot, raisin, sultana', ['sulphites']],
  ['honey', ['honey']],
  ['lentil, bean, pea, chickpea, chickpea flour', ['legume']],
  ['salt, sea salt, sugar, cane sugar, water, olive oil, sunflower oil, rapeseed oil, spirit vinegar, lemon, lemon juice, potato, rice, onion, garlic, tomato, pepper, black pepper, chilli, cornmeal, maize, buckwheat, mushroom bought, apple bought', []],
] // prettier-ignore

const BY_NAME: ReadonlyMap<string, readonly Allergen[]> = new Map(
  KITCHEN.flatMap(([names, holds]) => names.split(', ').map((name) => [foldName(name), holds] as const)),
)

/** What a kitchen thing holds, by its name in singular or plural; undefined where the list does not know it. */
export function allergensOf(name: string): readonly Allergen[] | undefined {
  return BY_NAME.get(foldName(name))
}
