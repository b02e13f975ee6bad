import { describe, expect, it } from 'vitest'
import { CATALOGUE } from './records'
import { partingTells } from '../identity/separation'
import { searchPlants } from './search'

const names = (question: string) => searchPlants(CATALOGUE, question).hits.map(({ taxon }) => taxon.scientificName)

describe('looking a plant up', () => {
  it.each([
    ['nettle', 'Urtica dioica'],
    ['Bärlauch', 'Allium ursinum'],
    ['barlauch', 'Allium ursinum'],
    ['ail des ours', 'Allium ursinum'],
    ['ramsens', 'Allium ursinum'],
    ['jack by the hedge', 'Alliaria petiolata'],
    ['fools parsley', 'Aethusa cynapium'],
    ['Ranunculus ficaria', 'Ficaria verna'],
    ['alium ursinum', 'Allium ursinum'],
    ['Weißdorn', 'Crataegus monogyna'],
  ])('finds %s', (question, scientificName) => {
    expect(names(question).slice(0, 6)).toContain(scientificName)
  })
  it('finds every plant by each of its names, scientific, older, English, German and French', () => {
    for (const taxon of CATALOGUE.taxa)
      for (const name of [
        taxon.scientificName,
        ...taxon.synonyms.filter((synonym) => /^[A-Z][a-z]+ [a-z-]+$/.test(synonym)),
        ...Object.values(taxon.commonNames).flat(),
      ])
        expect(names(name), `${taxon.scientificName} by ${name}`).toContain(taxon.scientificName)
  })
  it('says when one name means several plants, and when a plant bears another name now', () => {
    const poke = searchPlants(CATALOGUE, 'Indian poke').shared
    // The deadly one first.
    expect(poke?.taxa.map(({ scientificName }) => scientificName)).toEqual(['Veratrum viride', 'Phytolacca acinosa'])
    const lace = searchPlants(CATALOGUE, 'queen annes lace').shared?.taxa ?? []
    expect(lace.map(({ scientificName }) => scientificName).toSorted()).toEqual([
      'Anthriscus sylvestris',
      'Daucus carota',
    ])
    // What is looked at to part them, each once: the two never show the same of it.
    const [one, other] = lace
    const parting = partingTells(lace)
    expect(parting).toContain('leafSurface')
    expect(parting).not.toContain('stemSurface')
    for (const tell of parting)
      expect((one?.characters[tell] ?? []).filter((state) => other?.characters[tell]?.includes(state))).toEqual([])
    expect(searchPlants(CATALOGUE, 'hemlock').shared?.taxa.length).toBeGreaterThan(1)
    expect(searchPlants(CATALOGUE, 'stinging nettle').shared).toBeUndefined()
    expect(searchPlants(CATALOGUE, 'Tamus communis').renamed).toMatchObject({
      asked: 'Tamus communis',
      taxon: { scientificName: 'Dioscorea communis' },
    })
  })
  it('narrows by part, month and season, over the end of the year too, and finds all for an empty question', () => {
    expect(names('').length).toBe(CATALOGUE.taxa.length)
    expect(names('needles')).toEqual(expect.arrayContaining(['Picea abies', 'Pinus sylvestris']))
    expect(names('needles').length).toBeLessThan(8)
    const roots = searchPlants(CATALOGUE, 'roots in january').hits
    expect(roots.map(({ taxon }) => taxon.scientificName)).toContain('Taraxacum officinale')
    expect(roots.every(({ uses }) => uses.length > 0)).toBe(true)
    expect(names('dandelion flowers')).toEqual(['Taraxacum officinale'])
    expect(searchPlants(CATALOGUE, 'dandelion flowers').hits[0]?.uses.map(({ part }) => part)).toEqual(['flower'])
    expect(names('zzzzqq')).toEqual([])
  })
})
