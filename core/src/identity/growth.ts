import type { Taxon } from '../flora/taxon'

/** Ways to grow that nobody takes for one another: a soft plant from the ground, one that climbs, one of wood, one afloat, a lichen. */
export type GrowthForm = 'herb' | 'climber' | 'woody' | 'afloat' | 'lichen'

const FORM_OF: Readonly<Record<string, GrowthForm>> = {
  prostrate: 'herb',
  mat: 'herb',
  rosette: 'herb',
  erect: 'herb',
  emergent: 'herb',
  climbing: 'climber',
  shrub: 'woody',
  tree: 'woody',
  floating: 'afloat',
}

/**
 * Every form in which a plant grows, by the habits on its record; none where the record is silent. What creeps and is woody is both, so
 * that it is parted from neither.
 */
export function growthForms({ characters: { habit = [] }, lifeForm }: Taxon): readonly GrowthForm[] {
  if (lifeForm === 'lichen') return ['lichen']
  return [...new Set(habit.flatMap((state) => FORM_OF[state] ?? []))]
}

/** Whether two plants grow so differently that whoever stood before one has told it from the other: a trunk of two metres is no lily. */
export function growApart(claimed: Taxon, other: Taxon): boolean {
  const own = growthForms(claimed)
  const others = growthForms(other)
  return own.length > 0 && others.length > 0 && !own.some((form) => others.includes(form))
}
