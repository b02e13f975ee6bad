import { leach } from '../leach/leach'
import { MEAL, tanninInputs } from '../leach/tannin'
import type { LotState } from '../lot/lotState'
import { chance, normals } from '../quantity/chance'
import { clampScore, meanScore, TASTE_NOISE, type LogNormal } from '../taste/forecast'

/**
 * How a crumb of a lot's meal tastes to the stand-in of the demonstration, 0 to 10: rate and strength hidden from the cook, drawn
 * from the book's prior by the lot's own name; the baths as they were, by the leach engine; a tongue's noise, another with each
 * bath and each crumb. The same lot tastes the same again. Undefined before the first bath is poured off.
 */
export function standInCrumb(lot: LotState): number | undefined {
  const done = lot.baths.filter(({ endedAt }) => endedAt !== null)
  const until = done.at(-1)?.endedAt
  const asked = until === undefined || until === null ? undefined : tanninInputs(done, lot.mass_g, until)
  if (asked === undefined) return undefined
  const hidden = normals(chance(seedOf(`tongue ${lot.code || lot.id}`)))
  const drawn = ({ median, gsd }: LogNormal) => median * gsd ** hidden()
  const diffusivity25_m2_s = drawn(MEAL.prior.diffusivity25_m2_s)
  const strength = drawn(MEAL.prior.strength)
  const left = leach({ ...asked.usual, diffusivity25_m2_s }).residual.at(-1) ?? 1
  const noise = normals(chance(seedOf(`${lot.id} ${done.length} ${lot.tastes.length}`)))()
  return clampScore(Math.round(meanScore(strength * left) + TASTE_NOISE * noise))
}

/** A seed out of a name (FNV-1a). */
function seedOf(name: string): number {
  let seed = 0x811c9dc5
  for (const character of name) seed = Math.imul(seed ^ (character.codePointAt(0) ?? 0), 0x01000193)
  return seed >>> 0
}
