import { kitchenAt, type HouseState } from '../log/houseState'
import type { PatchId } from '../log/entry'
import { dayOf, type Instant } from '../quantity/instant'

/** Why a patch is left alone in the month of an instant, as the kitchen's clock has it; undefined where it is not. */
export function leftAlone(house: HouseState, patch: PatchId, at: Instant): string | undefined {
  const { name, facts } = house.patches[patch] ?? {}
  const alone = facts?.leftAlone?.value
  const month = Number(dayOf(at, kitchenAt(house, at)?.timeZone ?? 'UTC').slice(5, 7))
  return alone?.months.includes(month) === true
    ? `${name ?? patch} is left alone this month: ${alone.why ?? 'noted so'}.`
    : undefined
}
