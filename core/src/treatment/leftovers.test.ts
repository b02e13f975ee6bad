import { describe, expect, it } from 'vitest'
import { findUse, requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import type { Part, Stage } from '../flora/vocabulary'
import { household, Pen } from '../test/pen'
import { meetAll } from '../test/plants'
import { leftoverChoices, poisonOf } from './leftovers'
import { wrapperVerdict } from './wrapper'

const against = (name: string, part: Part, stage: Stage) => {
  const taxon = requireTaxon(CATALOGUE, name)
  const use = findUse(taxon, part, stage)
  if (use === undefined) throw new RangeError(`no such use of ${name}`)
  return Object.fromEntries(leftoverChoices(taxon, use).map((each) => [each.to, each.against]))
}

describe('what is trimmed off', () => {
  it('goes in no pot and to no beasts where any part of the plant poisons, and nowhere that it could spread from', () => {
    let [pot, refused] = [0, 0]
    for (const taxon of CATALOGUE.taxa)
      for (const use of taxon.uses.filter(({ verdict }) => verdict !== 'never')) {
        const choices = Object.fromEntries(leftoverChoices(taxon, use).map((each) => [each.to, each.against]))
        const poisons = taxon.uses
          .flatMap(({ hazards }) => hazards)
          .some(({ id }) =>
            /cyano|lectin|glycoside|thiaminase|saponin|pyrroliz|viburnin|parasorbic|anthraquinone/.test(id),
          )
        if (poisons || taxon.severity === 'toxic')
          expect([taxon.scientificName, choices['stock']]).not.toContain(undefined)
        expect(choices['beasts']).toBe(choices['stock'])
        expect(choices['compost'] === undefined).toBe(taxon.standing !== 'often-invasive')
        expect(choices['bin']).toBeUndefined()
        if (choices['stock'] === undefined) pot += 1
        else refused += 1
      }
    expect(pot).toBeGreaterThan(60)
    expect(refused).toBeGreaterThan(40)
    expect(against('Sambucus nigra', 'flower', 'flowering')['stock']).toMatch(/poison/)
    expect(against('Urtica dioica', 'leafy-top', 'young')['stock']).toBeUndefined()
    expect(against('Reynoutria japonica', 'shoot', 'emerging')['compost']).toMatch(/spreads where it should not/)
  })
  it('and no leaf lies round food whose plant poisons anywhere, or that is not food itself', () => {
    const told = { raw: 0, boiled: 0, never: 0 }
    for (const taxon of CATALOGUE.taxa) {
      const { may } = wrapperVerdict(taxon)
      told[may] += 1
      const leaf = taxon.uses.some(({ part, verdict }) => /leaf|midrib/.test(part) && verdict !== 'never')
      if (taxon.role === 'danger' || !leaf) expect([taxon.scientificName, may]).toEqual([taxon.scientificName, 'never'])
      if (may !== 'never') expect(poisonOf(taxon)).toBeUndefined()
    }
    expect(told.raw).toBeGreaterThan(10)
    expect(told.boiled).toBeGreaterThan(3)
    expect(wrapperVerdict(requireTaxon(CATALOGUE, 'Tussilago farfara')).may).toBe('never')
    expect(wrapperVerdict(requireTaxon(CATALOGUE, 'Tilia cordata')).may).toBe('raw')
  })
  it('is refused at the sorting where it may not go, and nothing is noted', () => {
    const pen = meetAll(household(new Pen()))
    const picked = { taxon: 'Sambucus nigra', part: 'fruit', stage: 'ripe', patch: 'wall', mass_g: 500 } as const
    pen.write({ type: 'weighed-in', lot: 'A', code: 'A', ...picked, pickedAt: pen.now })
    const sorted = { type: 'sorted', lot: 'A', stageSeen: 'ripe', kept_g: 400, wash: null } as const
    const before = pen.log
    expect(pen.try({ ...sorted, trimmed_g: 90, trimmedTo: 'stock' }).proposal).toMatchObject({ field: 'trimmedTo' })
    expect(pen.log).toBe(before)
    expect(pen.copy().try({ ...sorted, trimmed_g: 0, trimmedTo: 'stock' }).proposal.ok).toBe(true)
    expect(pen.try({ ...sorted, trimmed_g: 90, trimmedTo: 'compost' }).proposal.ok).toBe(true)
  })
})
