import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judge } from '../gates/judge'
import { clear, judgeTells } from '../identity/clear'
import { isPoisonousSpecies } from './poisonous'
import { CATALOGUE } from './records'
import { household, Pen } from '../test/pen'
import { findTaxon } from './catalogue'
import { catalogueWith, ownTaxon, refuseOwnPlant, type OwnPlant } from './own'
import { CREEPER, creeper } from '../test/plants'

const refused = (over: Partial<OwnPlant>) => refuseOwnPlant(creeper(over), CATALOGUE)

describe('a plant of one’s own', () => {
  it('is taken when its key tells rule out every harmful plant on record', () => {
    expect(refused({})).toBeUndefined()
  })
  it('never stands beside a record, nor in a genus that harms', () => {
    for (const taxon of CATALOGUE.taxa)
      for (const name of [taxon.scientificName, ...taxon.synonyms])
        expect(refused({ scientificName: name })).toMatchObject({ field: 'scientificName' })
    const harmful = CATALOGUE.taxa.filter(
      ({ severity, scientificName }) =>
        (severity === 'deadly' || severity === 'toxic') && !isPoisonousSpecies(scientificName),
    )
    for (const { scientificName } of harmful)
      expect(refused({ scientificName: `${scientificName.split(' ')[0]} novissima` })?.message).toMatch(
        /of the same genus|on record already/,
      )
    expect(refused({ scientificName: 'creeper' })?.message).toMatch(/^Give the scientific name in full/)
  })
  it('is refused in one sentence that names the field and what would do', () => {
    expect(refused({ characters: { habit: ['flying'] }, keyCharacters: ['habit'] })?.message).toBe(
      'flying is not a state of habit.',
    )
    expect(refused({ keyCharacters: ['petals'] })?.message).toBe('Every key tell needs the state that the plant shows.')
    expect(refused({ keyCharacters: ['habit', 'leafArrangement'] })?.message).toBe(
      'Choose at least 4 key tells that do not hang together; now there are 2.',
    )
    expect(refused({ lookalikes: [] })?.message).toMatch(/^Name at least one/)
    expect(refused({ lookalikes: [{ scientificName: 'Nulla planta', why: 'x' }] })?.message).toBe(
      'Nulla planta is not in the catalogue.',
    )
    const plain = { habit: ['erect'], leafArrangement: ['opposite'], leafMargin: ['serrate'], stemSection: ['square'] }
    expect(refused({ characters: plain, keyCharacters: Object.keys(plain) })?.message).toMatch(
      /^These tells would not rule out .* Add tells that do\.$/,
    )
  })
  it('opens no gate on anything harmful, and changes no verdict on a record', () => {
    const catalogue = catalogueWith(CATALOGUE, { [CREEPER.scientificName]: creeper() })
    expect(catalogue.taxa).toHaveLength(CATALOGUE.taxa.length + 1)
    for (const taxon of CATALOGUE.taxa) {
      if (taxon.severity === 'harmless') continue
      const { gate } = judgeTells({ taxon: CREEPER.scientificName, observed: taxon.characters }, catalogue)
      expect(gate).not.toBe('open')
    }
    expect(clear({ taxon: CREEPER.scientificName, observed: creeper().characters }, catalogue).gate).toBe('open')
    const foods = CATALOGUE.taxa.filter(({ role }) => role === 'food')
    fc.assert(
      fc.property(fc.constantFrom(...foods), fc.constantFrom(...CATALOGUE.taxa), (food, seen) => {
        const asked = { taxon: food.scientificName, observed: seen.characters }
        expect(judgeTells(asked, catalogue).gate).toBe(judgeTells(asked, CATALOGUE).gate)
      }),
      { numRuns: 300 },
    )
  })
  it('gives way to a record of the catalogue that comes later, and to a refusal', () => {
    const later = {
      ...CATALOGUE,
      taxa: [...CATALOGUE.taxa, { ...ownTaxon(creeper(), CATALOGUE), neverFood: 'It harms.' }],
    }
    const merged = catalogueWith(later, { [CREEPER.scientificName]: creeper() })
    expect(merged.taxa).toHaveLength(later.taxa.length)
    expect(findTaxon(merged, CREEPER.scientificName)?.neverFood).toBe('It harms.')
  })
  it('is put on record in the log, and its Identity gate says whose word it is', () => {
    const pen = household(new Pen())
    pen.write({ type: 'plant-recorded', plant: creeper() })
    expect(
      pen.try({ type: 'plant-recorded', plant: creeper({ scientificName: 'Conium maculatum' }) }).proposal,
    ).toMatchObject({
      field: 'scientificName',
    })
    const context = { ...pen.context, catalogue: catalogueWith(CATALOGUE, pen.log.state.house.ownPlants) }
    pen.force({
      type: 'weighed-in',
      lot: 'A',
      code: 'A',
      taxon: CREEPER.scientificName,
      part: 'leaf',
      stage: 'young',
      patch: 'wall',
      mass_g: 100,
      pickedAt: pen.now,
    })
    for (const [character, states] of Object.entries(creeper().characters))
      pen.force({ type: 'tell-seen', lot: 'A', character, answer: 'seen', states })
    pen.force({ type: 'certain-attested', lot: 'A' })
    const identity = () => judge('identity', pen.lot(), { ...context, book: pen.log.state, now: pen.now })
    expect(identity().reasons.join(' ')).toContain('0 of 3. Do not eat')
    for (const day of ['01', '02', '03'])
      pen.force(
        { type: 'plant-met', taxon: CREEPER.scientificName, stage: 'young', mentor: 'Ida' },
        `2027-05-${day}T08:00:00.000Z`,
      )
    expect(identity().state).toBe('open')
    expect(identity().reasons).toContain(
      'On record by your own word: nobody but you has checked what it could be taken for.',
    )
  })
})

describe('a stand', () => {
  const mixed = (stemsSeen: number, mixedStand = true) => {
    const pen = household(new Pen())
    pen.force({
      type: 'weighed-in',
      lot: 'A',
      code: 'A',
      taxon: 'Urtica dioica',
      part: 'leafy-top',
      stage: 'young',
      patch: 'wall',
      mass_g: 100,
      pickedAt: pen.now,
    })
    pen.force({ type: 'certain-attested', lot: 'A', stand: { mixed: mixedStand, stemsSeen } })
    return judge('identity', pen.lot(), pen.context).reasons.some((says) => says.includes('Other plants grow among it'))
  }
  it('in which other plants grow is looked through stem by stem', () => {
    expect([mixed(9), mixed(10), mixed(0, false)]).toEqual([true, false, false])
  })
  it('of a few is not dug up to be looked at', () => {
    const next = (noDigging: boolean) =>
      clear({ taxon: 'Allium ursinum', observed: {}, noDigging }, CATALOGUE).next.map(({ character }) => character)
    expect(next(false)).toContain('underground')
    expect(next(true)).not.toContain('underground')
  })
})
