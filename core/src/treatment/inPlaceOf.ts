import { nameInText, type Catalogue } from '../flora/catalogue'
import type { Taxon, Use } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'

const STANDING: readonly Taxon['standing'][] = ['abundant', 'often-invasive', 'common']
const OFFERED = 2

/**
 * Plants to look for in place of a refused one: food of the same part that grows in the same parts of the world and is not rare, that is taken
 * for nothing deadly, and whose weeks meet those of the refused part where it has any. The commonest first; none where no part was asked for.
 */
export function inPlaceOf(refused: Taxon, part: Part | undefined, { taxa }: Catalogue): readonly string[] {
  if (part === undefined) return []
  const weeks = refused.uses.find((use) => use.part === part)?.window
  return taxa
    .filter(
      (other) =>
        other.role === 'food' &&
        STANDING.includes(other.standing) &&
        isTakenForNothingDeadly(other) &&
        sharesARegion(refused, other) &&
        other.uses.some((use) => isPlain(use, part) && meets(use.window, weeks)),
    )
    .toSorted((a, b) => STANDING.indexOf(a.standing) - STANDING.indexOf(b.standing))
    .slice(0, OFFERED)
    .map(nameInText)
}

/** Whether it may be named in place of what may not be eaten: nobody is sent from one poison to the double of another. */
export function isTakenForNothingDeadly({ lookalikes }: Taxon): boolean {
  return lookalikes.every(({ severity }) => severity !== 'deadly')
}

function isPlain({ part, alsoCalled = [], verdict }: Use, asked: Part): boolean {
  return (part === asked || alsoCalled.includes(asked)) && (verdict === 'raw-ok' || verdict === 'cook')
}

function sharesARegion({ growsIn }: Taxon, other: Taxon): boolean {
  return (
    growsIn === undefined || other.growsIn === undefined || growsIn.some((region) => other.growsIn?.includes(region))
  )
}

/** Whether two windows of month and day share a day; what has no window is there all year. */
function meets(one: Use['window'], other: Use['window']): boolean {
  if (one === undefined || other === undefined) return true
  return holds(one, other.from) || holds(other, one.from)
}

function holds({ from, to }: NonNullable<Use['window']>, day: string): boolean {
  return from <= to ? from <= day && day <= to : day >= from || day <= to
}
