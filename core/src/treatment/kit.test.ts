import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { Part, Stage } from '../flora/vocabulary'
import { centreShare, minutesThrough } from '../heat/centre'
import { byPiece, cutTo_mm } from './cutTo'
import { DRY_HEAT_OPS, doneWith, KIT, needWater, wantsWords, type Kit } from './kit'
import { plan } from './plan'
import type { PlanInput } from './planTypes'
import type { Protocol, UseHazard } from '../flora/taxon'

const ask = (taxon: string, part: Part, stage: Stage, kit: readonly Kit[] | undefined, more: Partial<PlanInput> = {}) =>
  plan(
    { taxon, part, stage, mass_g: 600, goal: 'eat', ...(kit === undefined ? {} : { kitchen: { kit } }), ...more },
    CATALOGUE,
  )
const HEATS = /boil|blanch|simmer|steam|wilt|saute|fry|toast|roast|bake|leach-hot|infuse-(water|syrup)|jam|pickle/

describe('a cook without a kitchen', () => {
  it('does each heated step of the catalogue with the handiest thing there is, and knows what would do', () => {
    const ops = new Set(CATALOGUE.taxa.flatMap(({ uses }) => uses.flatMap(({ protocols }) => protocols.flatMap(({ steps }) => steps.map(({ op }) => op))))) // prettier-ignore
    for (const op of ops) {
      expect([op, doneWith(op, KIT) === 'none']).toEqual([op, !HEATS.test(op)])
      expect([op, doneWith(op, [])]).toEqual([op, HEATS.test(op) ? 'missing' : 'none'])
    }
    // Written down apart: each thing alone does for these and for no other step.
    const alone: Readonly<Record<Kit, RegExp>> = {
      pot: /^(boil|blanch|simmer|leach-hot|infuse-water|infuse-syrup|cook-jam|pickle|wilt|saute|fry)$/,
      pan: /^(wilt|saute|fry|toast)$/,
      steamer: /^steam$/,
      oven: /^(toast|roast|bake)$/,
      embers: /^(roast|bake)$/,
      'hot-stone': /^(wilt|toast|roast|bake)$/,
      pit: /^(roast|bake|pit-bake)$/,
    }
    for (const op of ops)
      for (const thing of KIT)
        expect([op, thing, doneWith(op, [thing]) === thing]).toEqual([op, thing, alone[thing].test(op)])
    expect(DRY_HEAT_OPS.toSorted()).toEqual(['bake', 'fry', 'pit-bake', 'roast', 'saute', 'toast', 'wilt'])
    const told = (op: string, ...kit: readonly Kit[]) => doneWith(op, kit)
    expect([told('roast', 'pit', 'embers'), told('roast', 'pot', 'pan'), told('wilt', 'hot-stone')]).toEqual(['embers', 'missing', 'hot-stone']) // prettier-ignore
    expect([told('steam', 'pot'), told('saute', 'pot'), told('toast', 'oven'), told('boil', 'pot')]).toEqual(['missing', 'pot', 'oven', 'pot']) // prettier-ignore
    expect(wantsWords('bake')).toBe('an oven, embers, a pit or a hot stone')
    expect([wantsWords('boil'), wantsWords('steam'), wantsWords('fry')]).toEqual(['a pot', 'a steamer', 'a pan or a pot']) // prettier-ignore
    expect(wantsWords('sort')).toBe('')
  })
  it('is told what dry heat does not answer, and why there is no way without a pot', () => {
    const acorns = ask('Quercus robur', 'nut', 'ripe', ['embers', 'hot-stone'], { school: 'hot baths' })
    expect(acorns.verdict).toBe('refuse')
    expect(acorns.reasons.map(({ about, text }) => `${about}: ${text}`).slice(0, 2)).toEqual([
      'kitchen: hot baths: leaching takes a pot, and there is none here.',
      'tannin-load: Dry heat is no answer on record to tannin load: it takes water. A fire without a pot washes nothing out.',
    ])
    expect(acorns.instead).toBe('to keep it until there is what it takes to cook it')
    let [wet, dry] = [0, 0]
    for (const { uses } of CATALOGUE.taxa)
      for (const use of uses) {
        const told = needWater(use).map(({ id }) => id)
        for (const { id, kind, level } of use.hazards) {
          const ops = use.protocols
            .filter(({ standing }) => !['contested', 'not-advised'].includes(standing))
            .flatMap(({ steps }) => steps.filter(({ control }) => control.includes(id)).map(({ op }) => op))
          const met = ops.some((op) => DRY_HEAT_OPS.includes(op))
          if (met || ops.length === 0 || level === 'trace' || !['palate', 'toxic', 'biological'].includes(kind))
            expect(told).not.toContain(id)
          else if (ops.some((op) => /^(boil|simmer|leach|infuse-water|blanch)/.test(op))) expect(told).toContain(id)
          if (met) dry += 1
        }
        wet += told.length
      }
    const way = (op: string, standing: Protocol['standing'] = 'usual'): Protocol => ({ name: op, standing, goals: ['eat'], why: '', steps: [{ op, control: ['bitter'], critical: true }] }) // prettier-ignore
    const bitter = (kind: UseHazard['kind'], level: UseHazard['level'], ...protocols: readonly Protocol[]) =>
      needWater({ hazards: [{ id: 'bitter', kind, level, note: '', answers: [] }], protocols }).map(({ says }) => says)
    const SAYS = ['Dry heat is no answer on record to bitter: it takes water. A fire without a pot washes nothing out.']
    for (const kind of ['palate', 'toxic', 'biological'] as const)
      expect(bitter(kind, 'low', way('boil'))).toEqual(SAYS)
    for (const kind of ['mechanical', 'person', 'amount', 'untreatable'] as const) expect(bitter(kind, 'low', way('boil'))).toEqual([]) // prettier-ignore
    for (const op of ['boil', 'leach-static', 'leach-running', 'soak-cold', 'infuse-water']) expect(bitter('toxic', 'high', way(op))).toEqual(SAYS) // prettier-ignore
    for (const op of ['dry', 'freeze', 'peel', 'steam']) expect(bitter('toxic', 'high', way(op))).toEqual([])
    expect([bitter('toxic', 'trace', way('boil')), bitter('toxic', 'high'), bitter('toxic', 'high', way('boil'), way('roast'))]).toEqual([[], [], []]) // prettier-ignore
    // What only a contested school roasts is not taken to be answered by roasting.
    for (const standing of ['contested', 'not-advised'] as const) {
      expect(bitter('toxic', 'high', way('boil'), way('roast', standing))).toEqual(SAYS)
      expect(bitter('toxic', 'high', way('boil', standing))).toEqual([])
    }
    expect(wet).toBeGreaterThan(50)
    expect(dry).toBeGreaterThan(10)
  })
  it('goes another accepted way where the kit allows it, and names the thing at each step only when the kit is told', () => {
    const roasted = ask('Allium tricoccum', 'bulb', 'mature', ['embers'])
    expect(roasted.verdict).not.toBe('refuse')
    expect(roasted.steps.map(({ op, on }) => [op, on])).toEqual([
      ['sort', undefined],
      ['wash', undefined],
      ['roast', 'embers'],
    ])
    expect(ask('Allium tricoccum', 'bulb', 'mature', undefined).steps.every(({ on }) => on === undefined)).toBe(true)
    expect(ask('Urtica dioica', 'leafy-top', 'young', []).verdict).toBe('refuse')
  })
  it('times a roast by the thickness of a piece, and by its limit: the middle hot, then held', () => {
    const roast = ask('Allium tricoccum', 'bulb', 'mature', ['embers']).steps.at(-1)
    const [thin, , , thick] = roast?.byPiece ?? []
    // A sphere of 10 mm from 15 to 80 °C in a surface of 100 °C: 1 − share 0.235, 2·exp(−π²·Fo) = 0.235, Fo = 0.217.
    expect(thin).toEqual({ size_mm: 10, atLeast_min: Math.ceil((0.217 * 0.005 ** 2) / 1.4e-7 / 60 + 5) })
    expect(thick?.size_mm).toBe(50)
    fc.assert(
      fc.property(fc.constantFrom('slab', 'cylinder', 'sphere'), fc.double({ min: 3, max: 60, noNaN: true }), fc.double({ min: 30, max: 95, noNaN: true }), (shape, mm, wanted_C) => {
        const minutes = minutesThrough(mm, { shape, start_C: 15, water_C: 100, wanted_C })
        expect(centreShare(shape, mm, minutes ?? 0)).toBeCloseTo((wanted_C - 15) / 85, 4)
        const held = { start_C: 15, boil_C: 100 }
        const limit = { measure: 'food-temperature', temp_C: wanted_C, minutes: 3 } as const
        const times = byPiece('root', { op: 'bake', limit }, held) ?? []
        expect(times.every(({ atLeast_min }, index) => atLeast_min > (times[index - 1]?.atLeast_min ?? 3))).toBe(true)
        expect(times.map(({ size_mm }) => size_mm)).toEqual([10, 20, 30, 50])
      }), { numRuns: 60 },
    ) // prettier-ignore
    expect(minutesThrough(20, { shape: 'slab', start_C: 15, water_C: 95, wanted_C: 95 })).toBeUndefined()
    const at = { start_C: 15, boil_C: 96 }
    expect(byPiece('leaf', { op: 'roast' }, at)).toBeUndefined()
    expect(byPiece('root', { op: 'boil' }, at)).toBeUndefined()
    const until = minutesThrough(20, { shape: 'slab', start_C: 15, water_C: 96, wanted_C: 88 })
    for (const op of ['roast', 'bake', 'pit-bake'])
      expect(byPiece('root', { op }, at)?.[1]).toEqual({ size_mm: 20, atLeast_min: Math.ceil(until ?? 0) })
    // Washed-out starch and meal come in no pieces.
    const starch = ask('Typha latifolia', 'rhizome', 'dormant', ['oven'])
    expect(starch.steps.find(({ op }) => op === 'bake')).toBeDefined()
    expect(starch.steps.every((step) => step.byPiece === undefined)).toBe(true)
  })
  it('takes each part for the shape it is cut to', () => {
    const within = { minutes: 30, start_C: 15, water_C: 100 }
    const mm = (part: Part, op = 'boil') => cutTo_mm(part, { op }, within)
    for (const op of ['boil', 'blanch', 'simmer']) expect(mm('root', op)).toBe(mm('root'))
    expect(new Set((['root', 'rhizome', 'stem', 'midrib'] as const).map((part) => mm(part)))).toEqual(new Set([mm('root')])) // prettier-ignore
    expect(new Set((['corm', 'bulb', 'tuber'] as const).map((part) => mm(part)))).toEqual(new Set([mm('bulb')]))
    expect(mm('root')).toBeLessThan(mm('shoot') ?? 0)
    expect(mm('shoot')).toBeLessThan(mm('bulb') ?? 0)
    expect((['leaf', 'fruit', 'nut', 'seed', 'flower'] as const).map((part) => mm(part))).toEqual(Array(5).fill(undefined)) // prettier-ignore
  })
  it('cuts what browns little by little, straight into the soured bowl', () => {
    const open = (...asked: Parameters<typeof ask>) =>
      ask(...asked).steps.flatMap(({ atATime_g }) => (atATime_g === undefined ? [] : [atATime_g]))
    // Slow hands chop a kilogram in 12 minutes, and peel one in 50; five minutes stand open.
    expect(open('Arctium lappa', 'root', 'dormant', undefined)).toEqual([410])
    expect(open('Silybum marianum', 'stem', 'young', undefined)).toEqual([100])
    expect(open('Urtica dioica', 'leafy-top', 'young', undefined)).toEqual([])
    // Berries lie whole in sour water.
    expect(open('Sorbus aucuparia', 'fruit', 'ripe', undefined, { school: 'vinegar soak, then boiled' })).toEqual([])
  })
})
