import type { Taxon } from '../flora/taxon'
import type { StandingTaxon } from './clear'

/**
 * Which of the plants not ruled out are worth naming: those that the record says it is taken for, first; and of all others those that
 * nothing seen so far speaks against, once something was seen. The rest is counted and not named: nobody takes ramsons for a water-lily.
 *
 * @returns the same plants, those worth naming in their order, and the number of the others.
 */
export function worthNaming<Each extends Pick<StandingTaxon, 'taxon' | 'ruledOutBy'>>(
  { lookalikes }: Pick<Taxon, 'lookalikes'>,
  standing: readonly Each[],
): { readonly named: readonly Each[]; readonly others: number } {
  const listed = new Set(lookalikes.map(({ scientificName }) => scientificName))
  const looked = standing.some(({ ruledOutBy }) => ruledOutBy.length > 0)
  const named = [
    ...standing.filter(({ taxon }) => listed.has(taxon)),
    ...standing.filter(({ taxon, ruledOutBy }) => !listed.has(taxon) && looked && ruledOutBy.length === 0),
  ]
  return { named, others: standing.length - named.length }
}
