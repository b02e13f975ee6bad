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

/** Whether whoever looks sees the difference: the other never shows any of these states. What is not on record parts nothing. */
export function parts(states: readonly string[], others: readonly string[] | undefined): boolean {
  return others !== undefined && states.every((state) => !others.includes(state))
}

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

/** Characters that surely part some of a few plants from each other, those first that part most pairs of them; one a group. */
export function partingTells(taxa: readonly Taxon[]): readonly string[] {
  const pairs = taxa.flatMap((one, index) => taxa.slice(index + 1).map((other) => [one, other] as const))
  const groups = new Set<string>()
  return Object.entries(CHARACTERS)
    .filter(([character]) => !NO_TELLS.includes(character))
    .map(([character, { group }]) => {
      const parted = pairs.filter(([one, other]) => {
        const own = one.characters[character]
        return own !== undefined && parts(own, other.characters[character])
      })
      return { character, group, count: parted.length }
    })
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count)
    .filter(({ group }) => !groups.has(group) && groups.add(group))
    .map(({ character }) => character)
}

/**
 * Whether a character speaks for neither of two plants: what was seen of it is of both or, before it is looked at, all that the
 * claimed plant shows the other shows too.
 */
export function isShared(claimed: Taxon, other: Taxon, character: string, seen?: readonly string[]): boolean {
  const own = seen ?? claimed.characters[character] ?? []
  return own.length > 0 && own.every((state) => other.characters[character]?.includes(state) === true)
}
