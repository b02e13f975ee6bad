import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { writeBook } from '../exchange/bookFile'
import { readBook } from '../exchange/readBookFile'
import { writeEntriesCsv } from '../exchange/csv'
import { CATALOGUE } from '../flora/records'
import type { Part } from '../flora/vocabulary'
import { requireTaxon } from '../flora/catalogue'
import { judge } from '../gates/judge'
import { roundedPosition } from '../quantity/position'
import { CLEAN, household, Pen, START } from '../test/pen'
import { addDays } from '../quantity/instant'
import { exposureOf } from './exposure'
import {
  ACCESS,
  GROUND_FACTS,
  PAST_USES,
  SOIL_METALS,
  UPSTREAM,
  VIGOURS,
  WATERS,
  type CutAt,
  type GroundFacts,
  type GroundNote,
} from './facts'
import { patchView } from './patchView'
import { groundVerdict, type GroundVerdict } from './verdict'

const PICKINGS = CATALOGUE.taxa.flatMap((taxon) =>
  [...new Set(taxon.uses.filter(({ verdict }) => verdict !== 'never').map(({ part }) => part))].map((part) => ({
    taxon,
    part,
  })),
)
const dated = (note: GroundNote, at: string): GroundFacts =>
  Object.fromEntries(Object.entries(note).map(([fact, value]) => [fact, { value, at }]))
const verdict = (
  picking: { readonly taxon: string; readonly part: Part },
  note: GroundNote,
  more: { readonly at?: string; readonly groundSchool?: 'cautious' | 'usual' } = {},
): GroundVerdict =>
  groundVerdict({
    taxon: requireTaxon(CATALOGUE, picking.taxon),
    part: picking.part,
    facts: dated({ ...CLEAN, ...note }, more.at ?? '2027-05-01T00:00:00.000Z'),
    patchName: 'the patch',
    now: START,
    groundSchool: more.groundSchool,
  })

const day = fc.integer({ min: 0, max: 1500 }).map((ago) => addDays(START, -ago))
const nearness = fc.record({ distance_m: fc.option(fc.integer({ min: 0, max: 800 })) })
const anyGround: fc.Arbitrary<GroundNote> = fc.record(
  {
    permission: fc.record({ from: fc.constant('us'), until: fc.option(day) }),
    law: fc.record({
      picking: fc.constantFrom('allowed', 'forbidden'),
      digging: fc.constantFrom('allowed', 'forbidden'),
    }),
    sprayed: fc.record({ last: fc.option(day) }),
    busyRoad: nearness,
    railway: nearness,
    works: nearness,
    field: fc.record({ distance_m: fc.option(fc.integer({ min: 0, max: 60 })), lastSprayed: fc.option(day) }),
    pastUse: fc.constantFrom(...PAST_USES),
    manured: fc.constantFrom('no', 'yes', 'unknown'),
    dogs: fc.constantFrom('none', 'some', 'many'),
    grazed: fc.boolean(),
    looksHealthy: fc.boolean(),
    vigour: fc.constantFrom(...VIGOURS),
    water: fc.constantFrom(...WATERS),
    upstream: fc.oneof(fc.constant('unknown' as const), fc.uniqueArray(fc.constantFrom(...UPSTREAM))),
    flood: fc.record({ last: fc.option(day) }),
    soil: fc.array(
      fc.record({ what: fc.constantFrom(...SOIL_METALS), mg_per_kg: fc.integer({ min: 0, max: 300 }), on: day }),
      { maxLength: 5 },
    ),
    access: fc.uniqueArray(fc.constantFrom(...ACCESS)),
    leftAlone: fc.record({ months: fc.uniqueArray(fc.integer({ min: 1, max: 12 })), why: fc.constant('nests') }),
  },
  { requiredKeys: [] },
)
/** Clean ground with a few facts as they may be. */
const fewWrong = fc
  .tuple(anyGround, fc.shuffledSubarray([...GROUND_FACTS], { maxLength: 4 }))
  .map(([ground, facts]): GroundNote => ({
    ...CLEAN,
    ...Object.fromEntries(facts.flatMap((fact) => (ground[fact] === undefined ? [] : [[fact, ground[fact]]]))),
  }))
const STRICTNESS = { open: 0, ajar: 1, closed: 2 } as const

describe('the ground', () => {
  it('is never passed for want of an answer, nor by growing old, nor by the careful school where the usual one refuses', () => {
    const seen = { open: 0, ajar: 0, closed: 0 }
    fc.assert(
      fc.property(fc.constantFrom(...PICKINGS), fewWrong, day, ({ taxon, part }, note, at) => {
        const judged = (facts: GroundFacts, groundSchool: 'cautious' | 'usual' = 'cautious') =>
          groundVerdict({ taxon, part, facts, patchName: 'x', now: START, groundSchool })
        const fresh = dated(note, START)
        const careful = judged(fresh)
        seen[careful.state] += 1
        // An unasked fact is asked: with everything it asks left out it is not open.
        const empty = judged({})
        expect(empty.state).toBe('ajar')
        for (const fact of empty.asked) {
          const without = Object.fromEntries(Object.entries(fresh).filter(([each]) => each !== fact))
          expect(judged(without).state).not.toBe('open')
        }
        // What closes goes on closing when it has gone stale; only health may have passed by itself.
        const old = judged(
          dated({ ...note, looksHealthy: true }, at < addDays(START, -400) ? at : addDays(START, -400)),
        )
        const young = judged(dated({ ...note, looksHealthy: true }, START))
        expect(STRICTNESS[old.state]).toBeGreaterThanOrEqual(STRICTNESS[young.state])
        expect(STRICTNESS[careful.state]).toBeGreaterThanOrEqual(STRICTNESS[judged(fresh, 'usual').state])
        for (const says of [...careful.closed, ...careful.living, ...careful.remarks])
          expect(says).toMatch(/^[A-Z0-9].*[.]$/)
      }),
      { numRuns: 2000 },
    )
    console.log(`ground verdicts: ${JSON.stringify(seen)}`)
    expect(Math.min(...Object.values(seen))).toBeGreaterThan(20)
  })
  it('means less to what hangs on a tree than to leaf and root', () => {
    const at = (name: string, part: Part) => exposureOf(requireTaxon(CATALOGUE, name), part)
    expect([
      at('Urtica dioica', 'leafy-top'),
      at('Taraxacum officinale', 'root'),
      at('Sambucus nigra', 'fruit'),
      at('Vaccinium myrtillus', 'fruit'),
      at('Humulus lupulus', 'shoot'),
    ]).toEqual(['low', 'underground', 'high', 'low', 'low'])
    const orchard = { pastUse: 'old-orchard' } as const
    expect(verdict({ taxon: 'Taraxacum officinale', part: 'root' }, orchard).state).toBe('closed')
    expect(verdict({ taxon: 'Sambucus nigra', part: 'fruit' }, orchard).state).toBe('open')
  })
  it('takes a soil test for an answer where one can be, until a flood brings other soil', () => {
    const tested = (lead: number, on = '2027-01-01T00:00:00.000Z') => ({
      soil: [
        { what: 'lead', mg_per_kg: lead, on },
        { what: 'cadmium', mg_per_kg: 0.2, on },
        { what: 'arsenic', mg_per_kg: 9, on },
      ] as const,
    })
    const dandelion = { taxon: 'Taraxacum officinale', part: 'leaf' } as const
    const mine = { pastUse: 'mine' } as const
    expect(verdict(dandelion, { ...mine, ...tested(80) }).state).toBe('open')
    expect(verdict(dandelion, { ...mine, ...tested(81) }).closed).toContainEqual(
      expect.stringContaining('lead 81 mg/kg; the careful limit is 80'),
    )
    expect(verdict(dandelion, { ...mine, ...tested(81) }, { groundSchool: 'usual' }).state).toBe('open')
    expect(
      verdict(dandelion, { ...mine, ...tested(20), flood: { last: '2027-01-02T00:00:00.000Z' } }).closed,
    ).toContainEqual(expect.stringContaining('Only a soil test clears it'))
    // No test of three metals clears works or a tip.
    expect(verdict(dandelion, { pastUse: 'tip', ...tested(5) }).state).toBe('closed')
    // Clean soil does not take the soot off a leaf at the kerb.
    expect(verdict(dandelion, { busyRoad: { distance_m: 30 }, ...tested(5) }).state).toBe('open')
    expect(verdict(dandelion, { busyRoad: { distance_m: 19 }, ...tested(5) }).state).toBe('closed')
  })
  it('tells what lives in water from what is dissolved in it', () => {
    const cress = { taxon: 'Nasturtium officinale', part: 'leafy-top' } as const
    const cattail = { taxon: 'Typha latifolia', part: 'rhizome' } as const
    expect(verdict(cress, { upstream: ['livestock'] })).toMatchObject({
      state: 'open',
      living: [expect.stringContaining('liver fluke')],
    })
    for (const upstream of ['drains', 'mine-or-works'] as const)
      for (const groundSchool of ['cautious', 'usual'] as const)
        expect(verdict(cattail, { upstream: [upstream] }, { groundSchool }).state).toBe('closed')
    expect(verdict(cattail, { water: 'foul' }).state).toBe('closed')
    expect(verdict(cattail, { water: 'foul' }, { groundSchool: 'usual' }).living).toHaveLength(1)
    expect(verdict(cress, { water: 'foul' }, { groundSchool: 'usual' }).state).toBe('closed')
    expect(verdict(cress, { upstream: 'unknown' }).toAsk).toEqual(['what lies up the water: not known is not clean'])
    expect(verdict({ taxon: 'Allium ursinum', part: 'leaf' }, { upstream: ['drains'], water: 'foul' }).state).toBe(
      'open',
    )
  })
  it('reads a very lush stand as fed ground, and asks by what where nobody is said to have fed it', () => {
    const lush = (taxon: string, part: Part, manured: 'no' | 'yes' | 'unknown', vigour: 'usual' | 'lush') =>
      verdict({ taxon, part }, { manured, vigour })
    for (const manured of ['no', 'yes', 'unknown'] as const) {
      const usual = lush('Urtica dioica', 'leafy-top', manured, 'usual')
      const fed = lush('Urtica dioica', 'leafy-top', manured, 'lush')
      expect(usual.state).toBe('open')
      expect(fed.state).toBe(manured === 'no' ? 'ajar' : 'open')
      expect(fed.remarks.join(' ')).toMatch(/the ground is fed/)
      expect(fed.remarks.join(' ')).toMatch(/nitrate|Treated as manured/)
    }
    // What hoards no nitrate is only told.
    expect(lush('Sambucus nigra', 'fruit', 'no', 'lush')).toMatchObject({ state: 'open', toAsk: [] })
  })
  it('handles digging apart from picking', () => {
    const law = { law: { picking: 'allowed', digging: 'forbidden' } } as const
    expect(verdict({ taxon: 'Taraxacum officinale', part: 'root' }, law).closed).toEqual([
      'Digging is forbidden there, picking is not.',
    ])
    expect(verdict({ taxon: 'Taraxacum officinale', part: 'leaf' }, law).state).toBe('open')
  })
  it('keeps what lives on it out of a raw dish, and lets it into a cooked one', () => {
    const makeSafe = (protocol: string, goal: 'eat-raw' | 'eat', dogs: 'none' | 'some' | 'many', cutAt?: CutAt) => {
      const pen = household(new Pen())
      pen.write({ type: 'ground-noted', patch: 'wall', facts: { dogs } })
      pen.force({
        type: 'weighed-in',
        lot: 'A',
        code: 'A',
        taxon: 'Stellaria media',
        part: 'leafy-top',
        stage: 'young',
        patch: 'wall',
        mass_g: 100,
        pickedAt: pen.now,
        ...(cutAt === undefined ? {} : { cutAt }),
      })
      pen.force({ type: 'way-chosen', lot: 'A', protocol, goal })
      return { ground: judge('ground', pen.lot(), pen.context), safe: judge('makeSafe', pen.lot(), pen.context) }
    }
    const ways = requireTaxon(CATALOGUE, 'Stellaria media').uses[0]?.protocols ?? []
    const raw = ways.find(({ goals }) => goals.includes('eat-raw'))?.name ?? ''
    expect(makeSafe(raw, 'eat-raw', 'many').ground.state).toBe('open')
    expect(makeSafe(raw, 'eat-raw', 'many').safe.reasons).toContainEqual(
      expect.stringContaining('Nothing of it raw: choose a way that cooks it right through.'),
    )
    expect(makeSafe(raw, 'eat-raw', 'none').safe.reasons).not.toContainEqual(expect.stringContaining('Nothing raw'))
    // Where on the stand it was cut only ever makes it stricter, and low by the path it does.
    const low = { height: 'below-knee', side: 'by-the-path' } as const
    expect(makeSafe(raw, 'eat-raw', 'many', low).ground).toMatchObject({
      state: 'closed',
      reasons: [expect.stringContaining('cut low by the path')],
    })
    const fouled = 'Cut low by the path, where dogs come by: throw out what is fouled, and cook the rest.'
    expect(makeSafe(raw, 'eat-raw', 'some', low).ground).toMatchObject({ state: 'open', reasons: [fouled] })
    expect(makeSafe(raw, 'eat-raw', 'some', low).safe.reasons.join(' ')).toContain('Nothing of it raw')
    for (const dogs of ['none', 'some', 'many'] as const)
      for (const cutAt of [
        { ...low, side: 'away' },
        { ...low, height: 'above-knee' },
      ] as const)
        expect(makeSafe(raw, 'eat-raw', dogs, cutAt)).toEqual(makeSafe(raw, 'eat-raw', dogs))
    expect(makeSafe(raw, 'eat-raw', 'none', low)).toEqual(makeSafe(raw, 'eat-raw', 'none'))
  })
})

describe('where a patch lies', () => {
  const placed = () => {
    const pen = household(new Pen())
    pen.write({
      type: 'ground-noted',
      patch: 'wall',
      position: { latitude_deg: 46.51234, longitude_deg: 9.87654 },
      facts: {},
    })
    return pen
  }
  it('leaves in no file unless asked, and then as coarse as asked', () => {
    const { log } = placed()
    const file = (positions?: 'exact' | { grid_km: number }) =>
      writeBook({
        book: 'test',
        log,
        exportedAt: START,
        catalogueRevision: CATALOGUE.revision,
        ...(positions === undefined ? {} : { positions }),
      })
    expect(file()).not.toContain('46.5')
    expect(file({ grid_km: 10 })).not.toContain('46.51234')
    expect(file('exact')).toContain('46.51234')
    expect(writeEntriesCsv(log, CATALOGUE)).not.toContain('46.5')
    for (const each of [file(), file({ grid_km: 1 }), file('exact')])
      expect(readBook(each, { book: 'test', log })).toMatchObject({ ok: true, fresh: [] })
  })
  it('is moved by rounding no further than half the diagonal of the grid', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -72, max: 72, noNaN: true }),
        fc.double({ min: -179, max: 179, noNaN: true }),
        fc.constantFrom(1, 10, 50),
        (latitude_deg, longitude_deg, grid_km) => {
          const rounded = roundedPosition({ latitude_deg, longitude_deg }, grid_km)
          const north_km = 111.2 * (rounded.latitude_deg - latitude_deg)
          const east_km =
            111.2 * (rounded.longitude_deg - longitude_deg) * Math.cos((rounded.latitude_deg * Math.PI) / 180)
          expect(Math.abs(north_km)).toBeLessThan(grid_km / 2 + 0.02)
          expect(Math.abs(east_km)).toBeLessThan(grid_km / 2 + 0.02)
        },
      ),
    )
  })
})

describe('a patch', () => {
  it('tells what was seen, taken and given there, a stand that shrinks, and what else might grow', () => {
    const pen = household(new Pen())
    pen.write({
      type: 'ground-noted',
      patch: 'wall',
      facts: { habitat: ['woodland'], companions: ['Anemonoides nemorosa'] },
    })
    const pick = (lot: string, at: string, stems: number, taken: number) => {
      pen.force(
        {
          type: 'weighed-in',
          lot,
          code: lot,
          taxon: 'Urtica dioica',
          part: 'leafy-top',
          stage: 'young',
          patch: 'wall',
          mass_g: 500,
          pickedAt: at,
        },
        at,
      )
      pen.force(
        {
          type: 'stand-counted',
          lot,
          stems,
          taken,
          wildlifeLooked: true,
          wildlifeOn: 0,
          othersPick: false,
          school: null,
        },
        at,
      )
    }
    pick('A', '2026-05-01T08:00:00.000Z', 400, 40)
    pick('B', '2027-05-01T08:00:00.000Z', 270, 200)
    pen.write({ type: 'gave-back', patch: 'wall', what: 'seed-scattered', taxon: 'Urtica dioica', count: null })
    pen.write({ type: 'patch-turned', patch: 'wall', why: 'sprayed by night', since: null })
    const view = patchView('wall', pen.context)
    expect(view?.plants).toHaveLength(1)
    expect(view?.plants[0]).toMatchObject({
      declines: { from: 400, to: 270 },
      takes: [
        { code: 'A', held: { over: false } },
        { code: 'B', held: { over: true } },
      ],
    })
    expect(view?.plants[0]?.restsUntil).toBeDefined()
    expect(view?.gifts).toHaveLength(1)
    expect(view?.recalled).toEqual(['sprayed by night'])
    expect(view?.mayGrow.length).toBeGreaterThan(5)
    for (const { matched, taxon } of view?.mayGrow ?? []) {
      expect(matched).toEqual(['woodland'])
      expect(taxon.scientificName).not.toBe('Urtica dioica')
    }
    expect(patchView('nowhere', pen.context)).toBeUndefined()
    // Nothing that grows in another part of the world alone.
    const strangers = () => patchView('wall', pen.context)?.mayGrow.filter(({ taxon }) => taxon.growsIn?.includes('europe') === false) ?? [] // prettier-ignore
    expect(strangers().length).toBeGreaterThan(0)
    pen.write({ type: 'kitchen-set', kitchen: { name: 'Test kitchen', elevation_m: 1180, timeZone: 'Europe/Paris', burner: { power_W: 2200, efficiency: 0.55 }, pots_mL: [8000], waterTemp_C: 9, ice_g: 2000 } }) // prettier-ignore
    expect(strangers()).toEqual([])
  })
  it('is given nothing that spreads by itself and does harm', () => {
    const pen = household(new Pen())
    const give = (over: object) =>
      pen.try({ type: 'gave-back', patch: 'wall', what: 'seed-scattered', count: null, ...over }).proposal
    expect(give({})).toEqual({ ok: false, field: 'taxon', message: 'Say of which plant.' })
    expect(give({ patch: 'none' })).toMatchObject({ field: 'patch' })
    expect(give({ taxon: 'Nulla planta' })).toMatchObject({ message: 'This plant is not in the catalogue.' })
    expect(give({ taxon: 'Reynoutria japonica' })).toMatchObject({ message: expect.stringContaining('spreads') })
    expect(give({ taxon: 'Reynoutria japonica', what: 'holes-filled' })).toEqual({ ok: true })
  })
})
