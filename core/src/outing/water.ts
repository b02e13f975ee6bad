import type { JudgeContext } from '../gates/verdict'
import { kitchenAt } from '../log/houseState'
import { goalOf, planKitchen } from '../lot/lotPlan'
import { plan } from '../treatment/plan'
import type { OutingLine } from './outing'

/** What making safe and good takes of one thing wished, where it is all done out there. */
export interface WaterNeed {
  readonly line: OutingLine
  /** Washing, baths and boils together, mL. */
  readonly water_mL: number
  /** It lies in running water, which nobody carries. */
  readonly running: boolean
}

/** Water for all that is wished; what is drunk comes on top. */
export interface OutingWater {
  readonly needs: readonly WaterNeed[]
  readonly total_mL: number
  /** What to leave at home so that the rest can be done with the water there is; undefined where that was not said or is enough. */
  readonly leaveOut: readonly WaterNeed[] | undefined
}

/**
 * The water that an outing takes if everything is made ready where there is only what one carries, by the plan of each thing in
 * this kitchen: a litre is a kilogram on the back. Things whose portion is unknown or that nobody may eat are left out of it.
 *
 * What does not fit is left out from the thirstiest down, which keeps the most things. Planning values.
 */
export function outingWater(
  lines: readonly OutingLine[],
  context: JudgeContext,
  carried_mL: number | undefined,
): OutingWater {
  const kitchen = kitchenAt(context.book.house, context.now)
  const needs = lines
    .flatMap((line): readonly WaterNeed[] => {
      const { taxon, use } = line.choice
      if (line.effort === undefined) return []
      const { steps, verdict } = plan(
        {
          taxon: taxon.scientificName,
          part: use.part,
          stage: use.stage,
          mass_g: line.effort.picked_g.usual * line.effort.kept.usual,
          goal: goalOf(use),
          ...(kitchen === undefined ? {} : { kitchen: planKitchen(kitchen) }),
        },
        context.catalogue,
      )
      if (verdict === 'refuse') return []
      return [
        {
          line,
          water_mL: steps.reduce((sum, { water_mL = 0, loads }) => sum + water_mL * (loads?.fillings ?? 1), 0),
          running: steps.some(({ op }) => op === 'leach-running'),
        },
      ]
    })
    .toSorted((a, b) => b.water_mL - a.water_mL)
  const total_mL = needs.reduce((sum, { water_mL }) => sum + water_mL, 0)
  return { needs, total_mL, leaveOut: tooMuch(needs, total_mL, carried_mL) }
}

function tooMuch(
  needs: readonly WaterNeed[],
  total_mL: number,
  carried_mL: number | undefined,
): OutingWater['leaveOut'] {
  if (carried_mL === undefined || total_mL <= carried_mL) return undefined
  let left_mL = total_mL
  const out: WaterNeed[] = []
  for (const need of needs) {
    if (left_mL <= carried_mL) break
    left_mL -= need.water_mL
    out.push(need)
  }
  return out
}
