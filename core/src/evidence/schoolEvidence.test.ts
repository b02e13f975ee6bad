import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readTaxon } from '../exchange/taxonSchema'
import { CATALOGUE } from '../flora/records'
import { requireTaxon } from '../flora/catalogue'
import type { Claim, Taxon, Use } from '../flora/taxon'
import { plan } from '../treatment/plan'
import type { Saying } from '../log/stamp'
import { CLEAN, Pen } from '../test/pen'
import { schoolEvidence, trialWords } from './schoolEvidence'

const milkweed = requireTaxon(CATALOGUE, 'Asclepias syriaca')
const shoot = useOf(milkweed, 'shoot')
const ONE = 'one change of water, then boiled'
const THREE = 'three changes of water, then boiled'

function useOf(taxon: Taxon, part: string): Use {
  const use = taxon.uses.find((each) => each.part === part)
  if (use === undefined) throw new RangeError(`no ${part}`)
  return use
}

const nothing = { book: new Pen().log.state, catalogue: CATALOGUE, now: '2027-06-01T08:00:00.000Z' }
const of = (use: Use, school: string, context = nothing) => {
  const found = schoolEvidence(milkweed, use, context).find((each) => each.school === school)
  if (found === undefined) throw new RangeError(school)
  return found
}

describe('who says so', () => {
  it('counts a root once however many repeat it, and what nobody can trace once in all', () => {
    expect(of(shoot, THREE)).toMatchObject({ independent: 1, roots: [{ repeatedBy: [{ id: 'later-field-books' }] }] })
    expect(of(shoot, ONE)).toMatchObject({ independent: 1, roots: [{ claim: { grounds: 'practised' } }] })
    const claim = fc.record({
      grounds: fc.constantFrom('measured', 'outbreak', 'practised', 'handed-down'),
      copies: fc.option(fc.nat(), { nil: undefined }),
      schools: fc.constantFrom([ONE], [THREE], [ONE, THREE]),
    })
    fc.assert(
      fc.property(fc.array(claim, { minLength: 1, maxLength: 12 }), (drawn) => {
        const claims = drawn.map(({ copies, ...each }, index): Claim => ({
          ...each,
          grounds: each.grounds as Claim['grounds'],
          id: `c${index}`,
          says: 'x',
          who: 'x',
          // Only what stands before can be copied.
          ...(copies === undefined || index === 0 ? {} : { copies: `c${copies % index}` }),
        }))
        for (const school of [ONE, THREE]) {
          const { roots, independent } = of({ ...shoot, claims }, school)
          const own = claims.filter(({ copies }) => copies === undefined)
          expect(roots.every(({ claim: root }) => own.includes(root))).toBe(true)
          expect(new Set(roots.map(({ claim: root }) => root)).size).toBe(roots.length)
          // Every claim for the school stands once: as a root, or under one.
          const spoken = claims.filter(({ schools }) => schools.includes(school))
          const shown = roots.flatMap(({ claim: root, repeatedBy }) => [root, ...repeatedBy])
          expect(spoken.every((each) => shown.filter((one) => one === each).length === 1)).toBe(true)
          const known = roots.filter(({ claim: root }) => root.grounds !== 'handed-down').length
          expect(independent).toBe(known + (roots.length > known ? 1 : 0))
          // Repeating adds nothing.
          const last = spoken.at(-1)
          if (last === undefined) continue
          const louder = [...claims, { ...last, id: 'again', copies: last.id }]
          expect(of({ ...shoot, claims: louder }, school).independent).toBe(independent)
        }
      }),
    )
  })
  it('counts what the cook read or heard as any other source, and a study that is awaited as none', () => {
    const pen = new Pen()
    const note = (claim: Partial<Saying<'claim-noted'>['claim']>, more: Partial<Saying<'claim-noted'>> = {}) =>
      pen.try({
        ...{ type: 'claim-noted', taxon: 'Asclepias syriaca', part: 'shoot', stage: shoot.stage },
        claim: { schools: [ONE], says: 'one is enough', who: 'a neighbour', grounds: 'practised', ...claim },
        ...more,
      })
    const own = () => of(shoot, ONE, pen.context)
    const before = of(shoot, ONE).independent
    const { entry } = note({})
    expect(own().independent).toBe(before + 1)
    note({ who: 'her sister', copies: entry.id })
    note({ who: 'a book', copies: shoot.claims?.find(({ schools }) => schools.includes(ONE))?.id ?? '' })
    expect(own().independent).toBe(before + 1)
    expect(own().roots.find(({ claim }) => claim.id === entry.id)?.repeatedBy.map(({ who }) => who)).toEqual(['her sister']) // prettier-ignore
    note({ who: 'a laboratory', awaited: true, grounds: 'measured' })
    expect(own()).toMatchObject({ independent: before + 1, awaited: [{ who: 'a laboratory' }] })
    expect(of(shoot, THREE, pen.context)).toMatchObject({ independent: 1, awaited: [] })
    // A use of which nobody traced a claim has the cook's own.
    const untraced = Object.fromEntries(Object.entries(shoot).filter(([key]) => key !== 'claims')) as unknown as Use
    expect(schoolEvidence(milkweed, untraced, nothing)).toEqual([])
    expect(of(untraced, ONE, pen.context).independent).toBe(2)
    const refused = (...asked: Parameters<typeof note>) => {
      const { proposal } = note(...asked)
      return proposal.ok ? 'taken' : proposal.field
    }
    expect([refused({ schools: ['none'] }), refused({ copies: 'none' }), refused({}, { taxon: 'Nothing' }), refused({}, { part: 'root' })]).toEqual(['schools', 'copies', 'taxon', 'part']) // prettier-ignore
    // What it repeated is struck out: it stands for itself again.
    pen.write({ type: 'struck', entry: entry.id, why: 'slip' } as Saying<'struck'>)
    expect(own().roots.some(({ claim }) => claim.who === 'her sister')).toBe(true)
  })
  it('is on record wherever schools differ in minutes or baths against one poison, and names schools that are there', () => {
    const number = (use: Use, hazard: string) =>
      use.protocols.flatMap(({ name, steps }) =>
        steps.flatMap(({ control, limit }) =>
          control.includes(hazard) && limit !== undefined && 'minutes' in limit ? [{ name, limit }] : [],
        ),
      )
    const open = CATALOGUE.taxa.flatMap(({ scientificName, uses }) =>
      uses
        .filter(({ verdict, claims }) => verdict !== 'never' && claims === undefined)
        .filter((use) =>
          use.hazards.some(({ id, kind }) => {
            const numbers = kind === 'toxic' ? number(use, id) : []
            return numbers.some(({ name, limit }) =>
              numbers.some((other) => other.name !== name && JSON.stringify(other.limit) !== JSON.stringify(limit)),
            )
          }),
        )
        .map(({ part }) => `${scientificName} ${part}`),
    )
    expect(open).toEqual([])
    const record = (claims: readonly Partial<Claim>[]) => ({
      ...milkweed,
      uses: milkweed.uses.map((use) => (use === shoot ? { ...use, claims } : use)),
    })
    const [first] = shoot.claims ?? []
    expect(readTaxon(record([first ?? {}]))).toMatchObject({ ok: true })
    for (const wrong of [{ schools: ['four waters'] }, { copies: 'nobody' }, { copies: first?.id ?? '' }])
      expect(readTaxon(record([{ ...first, ...wrong }]))).toMatchObject({
        ok: false,
        path: expect.stringContaining('uses'),
      })
  })
})

describe('this cook’s own lots', () => {
  /** So many lots that were boiled by a school, tasted and eaten. */
  const cooked = (count: number, taste: { bitter: number; accepts: boolean }, school = ONE) => {
    const pen = new Pen()
    pen.write({ type: 'ground-noted', patch: 'p', name: 'P', facts: CLEAN })
    pen.write({ type: 'eater-noted', eater: { id: 'ann', name: 'Ann', kind: 'adult', sensitivities: [] } })
    const step = shoot.protocols.find(({ name }) => name === school)?.steps.findIndex(({ op }) => op === 'boil') ?? 0
    for (let lot = 0; lot < count; lot += 1) {
      const id = `L${lot}`
      pen.force({ type: 'weighed-in', lot: id, code: id, taxon: 'Asclepias syriaca', part: 'shoot', stage: shoot.stage, patch: 'p', mass_g: 300, pickedAt: pen.now }) // prettier-ignore
      const { id: begun } = pen.force({ type: 'step-begun', lot: id, protocol: school, step, load: 1, mass_g: 300 })
      pen.force({ type: 'step-done', lot: id, begun, outcome: 'done', minutes: 8, temp_C: null, backToBoil_s: null, driedTo_g: null, checked: false, water: 'thrown' }) // prettier-ignore
      pen.force({ type: 'tasted', lot: id, taster: 'ann', astringent: 0, crumb: false, alarm: null, ...taste })
      pen.force({ type: 'served', lot: id, pack: null, dish: 'greens', portions: [{ eater: 'ann', mass_g: 100 }] })
      pen.wait(60)
    }
    return pen
  }
  const trials = (pen: Pen, school = ONE) => of(shoot, school, pen.context).own
  it('are few below three, bear a school out from there, and say so of no other school', () => {
    expect(trials(cooked(0, { bitter: 0, accepts: true })).standing).toBe('untried')
    const two = cooked(2, { bitter: 1, accepts: true })
    expect(trials(two)).toMatchObject({ lots: 2, eaten: 2, lastTastes: [1, 1], accepted: 2, standing: 'few' })
    expect(trials(two, THREE).standing).toBe('untried')
    // A picking that was split is one trial still.
    const parted = two.copy()
    parted.force({ type: 'split', lot: 'L0', into: 'P', code: 'P', mass_g: 50, why: 'x' })
    parted.force({ type: 'served', lot: 'P', pack: null, dish: 'greens', portions: [{ eater: 'ann', mass_g: 20 }] })
    expect(trials(parted)).toMatchObject({ lots: 2, eaten: 2, standing: 'few' })
    expect(trials(cooked(3, { bitter: 1, accepts: true })).standing).toBe('borne-out')
    expect(trials(cooked(3, { bitter: 7, accepts: false })).standing).toBe('not-borne-out')
    expect(trialWords(trials(two))).toBe(
      '2 lots of yours went this way; eaten of, and nobody noted feeling ill within three days. Last taste 1 of 10; 2 of 2 accepted. Few: they say little yet.',
    )
    expect(trialWords(trials(two, THREE))).toBe('You have not gone this way yet.')
  })
  it('count against it once an eater was ill within three days, and move no limit', () => {
    const pen = cooked(3, { bitter: 1, accepts: true })
    const ill = (eater: string, hours: number) => {
      const after = pen.copy()
      after.wait(hours * 60)
      after.force({ type: 'felt-ill', eater, symptoms: 'cramps' })
      return trials(after)
    }
    expect(ill('ann', 10)).toMatchObject({ followedByIllness: 3, standing: 'not-borne-out' })
    expect(trialWords(ill('ann', 10))).toContain('after 3 somebody noted feeling ill within three days: no proof')
    expect(ill('ann', 100)).toMatchObject({ followedByIllness: 0, standing: 'borne-out' })
    expect(ill('bo', 10).standing).toBe('borne-out')
    const asked = { taxon: 'Asclepias syriaca', part: 'shoot', stage: shoot.stage, mass_g: 300, goal: 'eat', school: ONE, eaters: [{ kind: 'adult', sensitivities: [] }] } as const // prettier-ignore
    const unclaimed = (use: Use): Use => ({ ...use, claims: [] })
    const silent = { ...CATALOGUE, taxa: CATALOGUE.taxa.map((each) => ({ ...each, uses: each.uses.map(unclaimed) })) }
    expect(plan(asked, silent)).toEqual(plan(asked, CATALOGUE))
  })
  it('forbid the trial of a school that is contested', () => {
    const oak = requireTaxon(CATALOGUE, 'Quercus robur')
    const buried = schoolEvidence(oak, useOf(oak, 'nut'), nothing).find(({ school }) => school.startsWith('sunk'))
    expect(buried?.own.standing).toBe('forbidden')
    expect(buried && trialWords(buried.own)).toBe('Not to be tried here: the school is contested or advised against.')
  })
})
