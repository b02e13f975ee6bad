import { isPoisonous, type Taxon, type Use } from '../flora/taxon'
import { plainWords } from '../flora/vocabulary'

/** Where trimmings may go. */
export const LEFTOVERS = ['stock', 'beasts', 'compost', 'fire', 'bin', 'back-to-the-patch'] as const
export type Leftover = (typeof LEFTOVERS)[number]

/** Of what counts as poison or cannot be treated: what a portion of broth makes no worse than the dish itself, and what only tastes or pricks. */
const BEARABLE = ['nitrate', 'soluble-oxalate', 'acrid', 'bitter', 'spine', 'fibre']

export interface LeftoverChoice {
  readonly to: Leftover
  /** Why it may not go there; nothing where it may. */
  readonly against: string | undefined
}

/**
 * Where what is trimmed off a part may go (TRM-8). Into the pot only of a plant that carries no poison in any part on record, since what
 * is trimmed off is often another part; not to beasts either. What spreads by itself goes neither on the compost nor back out.
 */
export function leftoverChoices(taxon: Taxon, use: Use): readonly LeftoverChoice[] {
  const poison = poisonOf(taxon)
  const spreads = taxon.standing === 'often-invasive'
  const food =
    poison !== undefined
      ? poison
      : use.verdict === 'leach-then-cook'
        ? 'It is leached before it is food, and its trimmings were not.'
        : undefined
  const loose = spreads ? 'It spreads where it should not: burn it or bin it, no scrap of it gets away.' : undefined
  const against: Readonly<Record<Leftover, string | undefined>> = {
    stock: food,
    beasts: food,
    compost: loose,
    fire: undefined,
    bin: undefined,
    'back-to-the-patch': loose,
  }
  return LEFTOVERS.map((to) => ({ to, against: against[to] }))
}

/** What poisons in any part of it that is on record; undefined where nothing does. */
export function poisonOf({ uses, severity, role }: Taxon): string | undefined {
  if (role === 'danger' || isPoisonous({ severity }))
    return 'Parts of this plant poison: what is cut off goes in no pot.'
  const hazard = uses
    .flatMap(({ hazards }) => hazards)
    .find(({ kind, id }) => (kind === 'toxic' || kind === 'untreatable') && !BEARABLE.includes(id))
  return hazard === undefined
    ? undefined
    : `It carries ${plainWords(hazard.id)}, and what is cut off was not treated: not in a pot.`
}
