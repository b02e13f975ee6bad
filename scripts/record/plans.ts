import { CATALOGUE, GOALS, plan, type PlanEater } from '@ellop/core'
import { hashOf } from './hash'

const EATERS: readonly (readonly [string, readonly PlanEater[] | undefined])[] = [
  ['nobody asked', undefined],
  ['asked, nothing', [{ kind: 'adult', sensitivities: [] }]],
  ['child', [{ kind: 'child', sensitivities: [] }]],
  ['pregnant, kidneys', [{ kind: 'adult', sensitivities: ['pregnancy', 'kidney-disease'] }]],
]
const KITCHENS = {
  hut: { elevation_m: 1180, power_W: 2200, efficiency: 0.55, pots_mL: [8000], waterTemp_C: 9 },
  high: { elevation_m: 3400, power_W: 1200, efficiency: 0.4, pots_mL: [1500], waterTemp_C: 4 },
} as const

/** A line a plan: every part, stage and goal of every plant on record, for several eaters in two kitchens. */
export function recordPlans(): readonly string[] {
  return CATALOGUE.taxa.flatMap(({ scientificName: taxon, uses }) =>
    uses.flatMap(({ part, stage }) =>
      GOALS.flatMap((goal) =>
        EATERS.flatMap(([who, eaters]) =>
          Object.entries(KITCHENS).map(([where, kitchen]) => {
            const made = plan({ taxon, part, stage, goal, mass_g: 600, kitchen: { ...kitchen, pots_mL: [...kitchen.pots_mL] }, ...(eaters === undefined ? {} : { eaters: [...eaters] }) }, CATALOGUE) // prettier-ignore
            return `plan ${taxon}, ${part}, ${stage}, ${goal}, ${who}, ${where} ${made.verdict}:${hashOf(made)}`
          }),
        ),
      ),
    ),
  )
}
