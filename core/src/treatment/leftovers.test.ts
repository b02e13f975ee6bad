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
  it('is told why, by what on record forbids it', () => {
    const nettle = requireTaxon(CATALOGUE, 'Urtica dioica')
    const [use] = nettle.uses
    if (use === undefined) throw new RangeError('expected a use')
    const hazard = (id: string, kind: 'toxic' | 'untreatable' | 'palate' | 'person') => ({ id, kind, level: 'low', note: '', answers: [] }) as const // prettier-ignore
    const poison = (more: Partial<typeof nettle>) => poisonOf({ ...nettle, severity: 'harmless', ...more })
    const withHazard = (...hazards: ReturnType<typeof hazard>[]) => poison({ uses: [{ ...use, hazards }] })
    const PARTS = 'Parts of this plant poison: what is cut off goes in no pot.'
    expect([poison({ role: 'danger' }), poison({ severity: 'deadly' }), poison({ severity: 'toxic' })]).toEqual([PARTS, PARTS, PARTS]) // prettier-ignore
    expect([poison({ severity: 'irritant' }), poison({ uses: [] })]).toEqual([undefined, undefined])
    for (const id of ['nitrate', 'soluble-oxalate', 'acrid', 'bitter', 'spine', 'fibre'])
      expect([id, withHazard(hazard(id, 'toxic')), withHazard(hazard(id, 'untreatable'))]).toEqual([id, undefined, undefined]) // prettier-ignore
    expect(withHazard(hazard('lectin', 'palate'), hazard('pollen', 'person'))).toBeUndefined()
    for (const kind of ['toxic', 'untreatable'] as const)
      expect(withHazard(hazard('bitter', 'palate'), hazard('cyanogenic-glycoside', kind))).toBe(
        'It carries cyanogenic glycoside, and what is cut off was not treated: not in a pot.',
      )
    const to = (more: Partial<typeof nettle>, verdict: typeof use.verdict = 'cook') =>
      leftoverChoices({ ...nettle, severity: 'harmless', standing: 'common', uses: [], ...more }, { ...use, verdict })
    const may = (choices: ReturnType<typeof to>) => choices.filter(({ against: why }) => why === undefined).map((each) => each.to) // prettier-ignore
    expect(may(to({}))).toEqual(['stock', 'beasts', 'compost', 'fire', 'bin', 'back-to-the-patch'])
    expect(may(to({ standing: 'often-invasive' }))).toEqual(['stock', 'beasts', 'fire', 'bin'])
    expect(to({ standing: 'often-invasive' })[2]?.against).toBe('It spreads where it should not: burn it or bin it, no scrap of it gets away.') // prettier-ignore
    expect(may(to({}, 'leach-then-cook'))).toEqual(['compost', 'fire', 'bin', 'back-to-the-patch'])
    expect(to({}, 'leach-then-cook')[0]?.against).toBe('It is leached before it is food, and its trimmings were not.')
    expect(to({ role: 'danger' }, 'leach-then-cook')[0]?.against).toBe(PARTS)
    const wraps = (more: Partial<typeof nettle>) => wrapperVerdict({ ...nettle, severity: 'harmless', uses: [], ...more }) // prettier-ignore
    const NO_FOOD = { may: 'never', says: 'Its leaf is not on record as food: it lies round none.' }
    const RAW = { may: 'raw', says: 'A leaf of it that was told, from clean ground and washed, may lie round food.' }
    const BOILED = { may: 'boiled', says: 'A leaf of it may lie round food once it was boiled as for eating.' }
    const leaf = (part: Part, verdict: typeof use.verdict) => ({ ...use, part, verdict, hazards: [] })
    for (const part of ['leaf', 'leafy-top', 'midrib'] as const) {
      expect(wraps({ uses: [leaf(part, 'cook'), leaf(part, 'raw-ok')] })).toEqual(RAW)
      expect(wraps({ uses: [leaf(part, 'cook')] })).toEqual(BOILED)
      for (const verdict of ['never', 'leach-then-cook', 'flavouring-only'] as const)
        expect(wraps({ uses: [leaf(part, verdict)] })).toEqual(NO_FOOD)
    }
    expect(wraps({ uses: [leaf('root', 'raw-ok')] })).toEqual(NO_FOOD)
    expect(wraps({ severity: 'toxic', uses: [leaf('leaf', 'raw-ok')] })).toEqual({ may: 'never', says: 'Never round food: its juice goes into what it wraps.' }) // prettier-ignore
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
