import { describe, expect, it } from 'vitest'
import { requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import { clear, isHarmful, type Observation } from './clear'
import { worthNaming } from './mistakable'

const RAMSONS = requireTaxon(CATALOGUE, 'Allium ursinum')
const named = (observed: Observation['observed']) => {
  const { standing } = clear({ taxon: 'Allium ursinum', part: 'leaf', observed }, CATALOGUE)
  return worthNaming(RAMSONS, standing.filter(isHarmful))
}

describe('what is named of the plants not ruled out', () => {
  it('is first what the plant is taken for, and of all others none before a look', () => {
    const { named: first, others } = named({})
    const listed = RAMSONS.lookalikes.map(({ scientificName }) => scientificName)
    expect(first.length).toBeGreaterThan(5)
    expect(first.every(({ taxon }) => listed.includes(taxon))).toBe(true)
    expect(others).toBeGreaterThan(100)
  })
  it('is never a water-lily, a palm or a fern beside a leaf that smells of garlic', () => {
    const seen = named({ habit: ['rosette'], crushedScent: ['garlic-onion'], leafBase: ['stalked'] })
    expect(seen.named.map(({ taxon }) => taxon)).toEqual(['Arum maculatum'])
    expect(seen.others).toBeGreaterThan(10)
  })
  it('is whatever nothing seen speaks against, though no record lists it', () => {
    // Dull and without a smell: what else has such a leaf is named too.
    const seen = named({ leafBase: ['stalked'] })
    expect(seen.named.map(({ taxon }) => taxon)).toContain('Digitalis purpurea')
    const listed = RAMSONS.lookalikes.map(({ scientificName }) => scientificName)
    expect(seen.named.every(({ ruledOutBy, taxon }) => listed.includes(taxon) || ruledOutBy.length === 0)).toBe(true)
  })
})
