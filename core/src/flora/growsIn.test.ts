import { describe, expect, it } from 'vitest'
import { commonName, requireTaxon } from './catalogue'
import { rangeDoubt, regionOf } from './growsIn'
import { CATALOGUE } from './records'
import { severityWord } from './taxon'
import { REGIONS } from './vocabulary'

describe('whether a plant grows here at all', () => {
  it('is doubted where its record says so and nowhere else, with relatives that do grow there', () => {
    let doubts = 0
    for (const taxon of CATALOGUE.taxa)
      for (const region of REGIONS) {
        const doubt = rangeDoubt(taxon, CATALOGUE, region)
        expect(doubt === undefined, taxon.scientificName).toBe(taxon.growsIn?.includes(region) ?? true)
        if (doubt === undefined) continue
        doubts += 1
        for (const other of doubt.relatives) {
          expect(other).not.toBe(taxon)
          expect(other.family).toBe(taxon.family)
          expect(other.growsIn).toContain(region)
        }
        // A relative that harms is never named without saying so.
        for (const other of doubt.relatives)
          if (other.severity !== 'harmless')
            expect(doubt.says).toContain(`${commonName(other)} (${severityWord(other.severity)})`)
      }
    expect(doubts).toBeGreaterThan(200)
    expect(CATALOGUE.taxa.every(({ growsIn }) => growsIn !== undefined && growsIn.length > 0)).toBe(true)
    const ramsons = requireTaxon(CATALOGUE, 'Allium ursinum')
    expect(rangeDoubt(ramsons, CATALOGUE, undefined)).toBeUndefined()
    expect(
      rangeDoubt(ramsons, CATALOGUE, 'north-america')?.relatives.map(({ scientificName }) => scientificName),
    ).toEqual(['Allium sativum', 'Allium tricoccum', 'Allium triquetrum'])
  })
  it('is asked for the part of the world that a time zone lies in, and not where that is not told', () => {
    const places = {
      'Europe/Zurich': 'europe',
      'Atlantic/Reykjavik': 'europe',
      'America/New_York': 'north-america',
      'America/Argentina/Ushuaia': 'south-america',
      'America/Sao_Paulo': 'south-america',
      'Asia/Tokyo': 'asia',
      'Africa/Nairobi': 'africa',
      'Australia/Hobart': 'australasia',
      'Pacific/Auckland': 'australasia',
      'Pacific/Honolulu': undefined,
      'Atlantic/Stanley': undefined,
      UTC: undefined,
    } as const
    for (const [zone, region] of Object.entries(places)) expect(regionOf(zone), zone).toBe(region)
  })
})
