import { describe, expect, it } from 'vitest'
import { FAMILY_FLAGS } from '../flora/families'
import { CATALOGUE } from '../flora/records'
import type { Taxon, Use } from '../flora/taxon'
import { CHARACTERS } from '../flora/vocabulary'
import { judge } from '../gates/judge'
import { doNow } from '../lot/doNow'
import { CLEAN, Pen } from '../test/pen'
import { isHarmful } from './clear'
import { familyMarks, familyTold } from './familyMarks'
import { lotJudged } from './lotTells'

const FLAGGED = CATALOGUE.taxa
  .filter(({ family }) => FAMILY_FLAGS[family] !== undefined)
  .flatMap((taxon) => taxon.uses.filter(({ verdict }) => verdict !== 'never').map((use) => [taxon, use] as const))

/** A lot of a use, picked in the middle of its window. */
function picked(taxon: Taxon, use: Use): Pen {
  const pen = new Pen()
  const from = use.window?.from ?? '05-16'
  pen.now = `2027-${from}T08:00:00.000Z`
  pen.wait(5 * 1440)
  pen.write({ type: 'ground-noted', patch: 'p', name: 'P', facts: CLEAN })
  pen.write({
    type: 'weighed-in',
    lot: 'A',
    code: 'A',
    taxon: taxon.scientificName,
    part: use.part,
    stage: use.stage,
    patch: 'p',
    mass_g: 300,
    pickedAt: pen.now,
  })
  return pen
}

const says = (pen: Pen, character: string, answer: 'seen' | 'lay-about', states: readonly string[]) =>
  pen.write({ type: 'tell-seen', lot: 'A', character, answer, states })
const marksOf = (pen: Pen, taxon: Taxon) => familyMarks(pen.lot(), taxon, pen.context)
const reasons = (pen: Pen) => judge('identity', pen.lot(), pen.context).reasons.join(' ')
const find = (name: string) => {
  const taxon = CATALOGUE.taxa.find(({ scientificName }) => scientificName === name)
  if (taxon === undefined) throw new RangeError(name)
  return taxon
}

describe('a family that is mostly poisonous', () => {
  it.each(FLAGGED)(
    'asks an honest cook for marks that $scientificName has, and stops nobody by itself',
    (taxon, use) => {
      const pen = picked(taxon, use)
      const asked: string[] = []
      for (;;) {
        const { act } = doNow(pen.lot(), pen.context)
        if (act.kind !== 'look') break
        expect(asked).not.toContain(act.character)
        asked.push(act.character)
        says(pen, act.character, 'seen', (taxon.characters[act.character] ?? []).slice(0, 1))
      }
      const { missing, standing } = lotJudged(pen.lot(), taxon, pen.context)
      const told = missing.length === 0 && !standing.some(isHarmful)
      const { act } = doNow(pen.lot(), pen.context)
      // What its own tells cannot settle in this season stops it; what the family asks for never does.
      expect(act.kind).toBe(told ? 'attest' : 'stop')
      if (told) expect(familyTold(marksOf(pen, taxon))).toBe(true)
    },
  )
  it('counts independent marks that fit, and no smell, taste or place, however well they fit', () => {
    const wild = find('Daucus carota')
    const use = wild.uses.find(({ verdict }) => verdict !== 'never')
    if (use === undefined) throw new RangeError('expected a use')
    const pen = picked(wild, use)
    const first = (character: string) => (wild.characters[character] ?? []).slice(0, 1)
    expect(marksOf(pen, wild)).toMatchObject({ seen: 0, marks: 6 })
    for (const character of ['crushedScent', 'habitatSeen']) says(pen, character, 'seen', first(character))
    expect(marksOf(pen, wild)?.seen).toBe(0)
    says(pen, 'leafType', 'seen', first('leafType'))
    expect(marksOf(pen, wild)?.seen).toBe(1)
    expect(reasons(pen)).toContain(
      'The carrot family holds some of the deadliest plants there are, and they look like the food. Check 6 marks besides smell and taste; 1 checked so far.',
    )
    // Of the same group: the shape of a leaf and its kind are one look.
    if (wild.characters['leafShape'] !== undefined) {
      says(pen, 'leafShape', 'seen', first('leafShape'))
      expect(marksOf(pen, wild)?.seen).toBe(1)
    }
    const open = marksOf(pen, wild)?.open ?? []
    expect(open.length).toBeGreaterThan(5)
    for (const character of open) expect(['look', 'handle']).toContain(CHARACTERS[character]?.cost)
    const costs = open.map((character) => CHARACTERS[character]?.cost)
    expect(costs).toEqual([...costs].sort().reverse())
    const other = CHARACTERS['stemCore']?.states.find((state) => !(wild.characters['stemCore'] ?? []).includes(state))
    says(pen, 'stemCore', 'seen', [other ?? ''])
    expect(marksOf(pen, wild)?.seen).toBe(1)
    const nettle = find('Urtica dioica')
    const top = nettle.uses.find(({ verdict }) => verdict !== 'never') ?? use
    expect(marksOf(picked(nettle, top), nettle)).toBeUndefined()
    expect(familyTold(undefined)).toBe(true)
  })
})

describe('what lay about', () => {
  const spruce = find('Picea abies')
  const use = spruce.uses.find(({ verdict }) => verdict !== 'never')
  if (use === undefined) throw new RangeError('expected a use')
  it('was looked at and counts for nothing; of another plant it is told, until one is seen on the plant', () => {
    const pen = picked(spruce, use)
    const before = lotJudged(pen.lot(), spruce, pen.context)
    says(pen, 'cone', 'lay-about', ['hanging'])
    const after = lotJudged(pen.lot(), spruce, pen.context)
    expect([after.missing, after.standing, after.contradictions]).toEqual([before.missing, before.standing, []])
    expect(reasons(pen)).not.toContain('lying there')
    says(pen, 'cone', 'lay-about', ['upright'])
    expect(judge('identity', pen.lot(), pen.context).state).toBe('ajar')
    expect(reasons(pen)).toContain(
      'Cone lying there (upright) is not of Norway spruce: look for one on the plant, and whether another kind stands near.',
    )
    says(pen, 'cone', 'seen', ['hanging'])
    expect(reasons(pen)).not.toContain('lying there')
    says(pen, 'cone', 'seen', ['upright'])
    expect(judge('identity', pen.lot(), pen.context).state).toBe('closed')
  })
  it('is only what a plant sheds, and is said with what it was', () => {
    const pen = picked(spruce, use)
    const refused = (character: string, states: readonly string[]) => {
      const { proposal } = pen.try({ type: 'tell-seen', lot: 'A', character, answer: 'lay-about', states })
      return proposal.ok ? '' : proposal.message
    }
    expect(refused('leafTexture', ['leathery'])).toBe('Only what a plant sheds can lie about.')
    expect(refused('cone', [])).toBe('Say what you saw.')
  })
})

describe('a tell that is out of season', () => {
  it('is named with the seasons in which it shows', () => {
    const late = CATALOGUE.taxa.flatMap((taxon) =>
      taxon.uses
        .filter(({ verdict }) => verdict !== 'never')
        .flatMap((use) => taxon.keyCharacters.map((character) => ({ taxon, use, character, pen: picked(taxon, use) })))
        .filter(({ character, pen }) => reasons(pen).includes(`${CHARACTERS[character]?.label ?? ''} shows in `)),
    )
    for (const { taxon, character, pen } of late) {
      const [, seasons = ''] =
        new RegExp(`${CHARACTERS[character]?.label ?? ''} shows in ([^:]*):`).exec(reasons(pen)) ?? []
      expect(seasons.split(/, | and /).sort()).toEqual([...(taxon.visible[character] ?? [])].sort())
    }
    expect(late.length).toBeGreaterThan(0)
  })
})
