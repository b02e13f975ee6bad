import {
  severityWord,
  findTaxon,
  formatCount,
  isHarmful,
  type Catalogue,
  type Clearance,
  type Taxon,
} from '@ellop/core'
import type { Rival } from './SideBySide'

const SHOWN = 3

/** The plants to see beside the claimed one: what its record is mistaken for first, and of all others what still stands and would harm. */
export function rivalsOf(claimed: Taxon, clearance: Clearance, catalogue: Catalogue): readonly Rival[] {
  const listed = new Set(claimed.lookalikes.map(({ scientificName }) => scientificName))
  const all = [
    ...clearance.standing.map((each) => ({ ...each, out: false })),
    ...clearance.ruledOut.map((each) => ({ ...each, out: true })),
  ].filter((each) => listed.has(each.taxon) || (isHarmful(each) && each.ruledOutBy.length === 0))
  const worth = (each: (typeof all)[number]) =>
    (listed.has(each.taxon) ? 4 : 0) + (each.out ? 0 : 3) + (each.severity === 'deadly' ? 1 : 0)
  return all
    .toSorted((a, b) => worth(b) - worth(a))
    .slice(0, SHOWN)
    .flatMap(({ taxon: name, severity, ruledOutBy, needed, out }): readonly Rival[] => {
      const taxon = findTaxon(catalogue, name)
      if (taxon === undefined) return []
      const times = `not ruled out, ${formatCount(needed - ruledOutBy.length, 'more mark')} needed`
      return [{ taxon, out, says: out ? 'ruled out' : `${severityWord(severity)}: ${times}` }]
    })
}
