import type { Taxon } from '../flora/taxon'
import { CHARACTERS } from '../flora/vocabulary'

/** The independent tells that part two plants. Characters of one group count once. */
export interface Separation {
  /** Groups in which the two never show the same state: whoever looks, sees the difference. */
  readonly sure: readonly string[]
  /** Groups in which they differ in some states only. */
  readonly sometimes: readonly string[]
}

/** Where a plant grows is no tell, and nothing is tasted to tell it. */
const NO_TELLS = ['habitatSeen', 'taste']

/**
 * Independent tells between a plant and one it could be taken for, over all that both records say. A character that one record
 * does not hold parts nothing.
 */
export function separationOf(claimed: Taxon, other: Taxon): Separation {
  const sure = new Set<string>()
  const sometimes = new Set<string>()
  for (const [character, states] of Object.entries(claimed.characters)) {
    const others = other.characters[character]
    const group = CHARACTERS[character]?.group
    if (others === undefined || group === undefined || NO_TELLS.includes(character)) continue
    const differing = states.filter((state) => !others.includes(state)).length
    if (differing === states.length) sure.add(group)
    else if (differing > 0) sometimes.add(group)
  }
  return { sure: [...sure], sometimes: [...sometimes].filter((group) => !sure.has(group)) }
}

/** Pairs that fewer than two sure tells part, and why the plant may be cleared all the same. */
export const SEPARATION_EXCEPTIONS: Readonly<Record<string, string>> = {
  'Urtica dioica | Mercurialis perennis':
    'Stingless and round-stemmed shoots of nettle exist, so that no single tell is sure. A nettle that stings and is square is cleared; one that does not sting is not, and stays on the ground.',
  'Heracleum sphondylium | Heracleum mantegazzianum':
    'Young leaves of the two are told by the hairs of the leaf surely, and by rounded against sharp lobes where they are typical. A shoot whose lobes are sharp, or whose stem is blotched purple, is not cleared.',
}
