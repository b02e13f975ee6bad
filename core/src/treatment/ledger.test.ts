import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { HazardAnswer, Protocol, Use, UseHazard } from '../flora/taxon'
import { judge } from '../gates/judge'
import type { Saying } from '../log/stamp'
import { bringIn, household, load, Pen } from '../test/pen'
import { bringInKind, leachBaths, meetAll, runStep } from '../test/plants'
import { isHotThrough } from './groundGerms'
import { hazardLedger } from './ledger'
import type { StepProgress } from './progress'

const control: HazardAnswer = { kind: 'control', says: 'Boil it.' }
const hazard = (answers: readonly HazardAnswer[], over: Partial<UseHazard> = {}): UseHazard => ({
  id: 'lectin',
  kind: 'toxic',
  level: 'high',
  note: '',
  answers,
  ...over,
})
const BLANCH: Protocol = {
  name: 'blanch and drain',
  standing: 'usual',
  goals: ['eat'],
  why: '',
  steps: [
    { op: 'sort', control: ['strays'], critical: true, limit: { measure: 'seen', sign: 'clean' } },
    { op: 'wash', control: ['grit'], critical: false },
    {
      op: 'blanch',
      control: ['lectin', 'saponin'],
      critical: true,
      limit: { measure: 'rolling-boil', minutes: 2, acceptedTo_m: 3000, added: [] },
    },
    { op: 'chop', control: ['bitter'], critical: false },
    { op: 'mash', control: ['bitter', 'lectin'], critical: false },
  ],
}
const lines = (
  pen: Pen,
  hazards: readonly UseHazard[],
  over: Partial<Use> = {},
  protocol: Protocol | 'none' = BLANCH,
) => {
  const use: Use = {
    ...({
      part: 'leafy-top',
      stage: 'young',
      verdict: 'cook',
      trim: [],
      stores: [],
      amounts: [],
      cautionFor: [],
      dishes: [],
    } as const),
    hazards,
    protocols: [BLANCH],
    ...over,
  }
  const surroundings = { house: pen.log.state.house, catalogue: CATALOGUE, now: pen.now }
  return hazardLedger(pen.lot(), use, protocol === 'none' ? undefined : protocol, surroundings).map(
    ({ hazard: id, kind, level, state, text }) => [id, kind, level, state, text],
  )
}
const sorted = () => bringIn(household(new Pen()))
const blanched = (water: 'thrown' | 'kept' = 'thrown', mass_g = 900) => {
  const pen = sorted()
  load(pen, mass_g, { water })
  return pen
}

describe('the hazards of a lot', () => {
  it('are refused where nothing answers them, whatever was done', () => {
    expect(lines(blanched(), [hazard([])])).toEqual([
      ['lectin', 'toxic', 'high', 'refused', 'Lectin: no answer is on record.'],
    ])
    expect(lines(blanched(), [hazard([control, { kind: 'refusal', says: 'Never.' }])])[0]).toEqual([
      'lectin',
      'toxic',
      'high',
      'refused',
      'Lectin: Never.',
    ])
    const none = { hazards: [], verdict: 'never' as const }
    expect(lines(sorted(), [], none)).toEqual([['refused', 'untreatable', 'high', 'refused', 'This is not food.']])
    expect(lines(sorted(), [], { ...none, whyNever: 'Deadly.' })[0]?.[4]).toBe('Deadly.')
    expect(lines(sorted(), [])).toEqual([])
  })
  it('by a control wait for it on all of the lot, and where they leave with the water, for that to be thrown away', () => {
    const state = (pen: Pen, over: Partial<UseHazard> = {}) => lines(pen, [hazard([control], over)])[0]?.slice(3)
    expect(state(sorted())).toEqual(['due', 'Lectin: Boil it.'])
    expect(state(blanched())).toEqual(['answered', 'Lectin: Boil it. Done.'])
    expect(state(blanched('thrown', 400))?.[0]).toBe('due')
    for (const id of ['lectin', 'cyanogenic', 'protoanemonin', 'thiaminase', 'mould-toxins'])
      expect(state(blanched('kept'), { id: 'lectin' })?.[0], id).toBe('answered')
    expect(state(blanched('kept'), { id: 'saponin' })?.[0]).toBe('due')
    expect(state(blanched('kept'), { id: 'saponin', kind: 'palate' })?.[0]).toBe('answered')
    expect(state(blanched(), { id: 'saponin' })?.[0]).toBe('answered')
    // One load in water that was kept spoils the answer; a load that was stopped does not.
    const two = sorted()
    load(two, 450)
    load(two, 450, { water: 'kept' })
    expect(state(two, { id: 'saponin' })?.[0]).toBe('due')
    const stopped = sorted()
    load(stopped, 450, { outcome: 'stopped', water: 'kept' })
    load(stopped, 900)
    expect(state(stopped, { id: 'saponin' })?.[0]).toBe('answered')
    expect(state(blanched(), { id: 'nothing-controls-it' })?.[0]).toBe('due')
    // Where no critical step controls it any one of them will do.
    expect(state(sorted(), { id: 'bitter' })?.[0]).toBe('due')
    // Bitter or tough is left to the tongue once a critical step cooks it, and raw where it may be eaten raw; never where nothing does.
    for (const more of [
      { id: 'bitter', kind: 'palate' },
      { id: 'bitter', kind: 'mechanical' },
    ] as const)
      expect(state(sorted(), more)?.[0]).toBe(more.kind === 'palate' ? 'at-palate' : 'due')
    const bitter = (over: Partial<Use>, protocol: Protocol = BLANCH) =>
      lines(sorted(), [hazard([control], { id: 'bitter', kind: 'palate' })], over, protocol)[0]?.slice(3)
    const loose = (heat: 'simmer' | 'press'): Protocol => ({ ...BLANCH, steps: [{ op: 'chop', control: ['bitter'], critical: false }, { op: heat, control: [], critical: false }] }) // prettier-ignore
    expect(bitter({})).toEqual(['at-palate', 'Bitter: Boil it. Not done. It changes taste, not safety.'])
    expect([bitter({}, loose('simmer'))?.[0], bitter({}, loose('press'))?.[0]]).toEqual(['due', 'due'])
    expect(bitter({ verdict: 'raw-ok' }, loose('press'))?.[0]).toBe('at-palate')
    expect(bitter({ verdict: 'raw-ok' }, { ...BLANCH, steps: [{ op: 'chop', control: [], critical: false }] })?.[0]).toBe('due') // prettier-ignore
    expect(bitter({}, { ...BLANCH, steps: [{ op: 'boil', control: ['bitter'], critical: true }] })?.[0]).toBe('due')
    const chopped = sorted()
    const begun = chopped.write({ type: 'step-begun', lot: 'A', protocol: BLANCH.name, step: 3, load: 1, mass_g: 900 })
    const rest = { temp_C: null, backToBoil_s: null, driedTo_g: null, checked: true, water: null }
    chopped.force({ type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes: 1, ...rest })
    expect(state(chopped, { id: 'bitter', kind: 'palate' })?.[0]).toBe('answered')
  })
  it('by sorting and washing wait for that, and washing wants water that is fit', () => {
    const unsorted = household(new Pen())
    unsorted.force({
      ...{ type: 'weighed-in', lot: 'A', code: 'A', taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young' },
      ...{ patch: 'wall', mass_g: 900, pickedAt: unsorted.now },
    })
    const states = (pen: Pen) =>
      (['strays', 'grit', 'germs'] as const).map((id) => {
        // The washing that stands against grit stands against germs as well, were the water fit.
        const kind = id === 'germs' ? 'biological' : 'mechanical'
        return lines(pen, [hazard([control], { id: id === 'germs' ? 'grit' : id, kind })])[0]?.[3]
      })
    expect(states(unsorted)).toEqual(['due', 'due', 'due'])
    expect(states(sorted())).toEqual(['answered', 'answered', 'answered'])
    for (const [wash, ...second] of [
      [null, 'due', 'due'],
      [{ water: 'germs', changes: 1 }, 'answered', 'due'],
      [{ water: 'chemicals', changes: 1 }, 'due', 'due'],
    ] as const) {
      const pen = unsorted.copy()
      pen.wait(1).force({
        ...{ type: 'sorted', lot: 'A', stageSeen: 'young', kept_g: 900, trimmed_g: 0, trimmedTo: 'compost' },
        wash,
      })
      expect(states(pen)).toEqual(['answered', ...second])
    }
  })
  it('by the ground, an amount, a store or a person are told where they are answered', () => {
    const ground: HazardAnswer = { kind: 'ground', fact: 'manured', mustBe: 'no', says: 'Not on fed ground.' }
    const amount: HazardAnswer = { kind: 'amount', says: 'A handful.' }
    const first = (answers: readonly HazardAnswer[], pen = sorted(), protocol: Protocol | 'none' = BLANCH) =>
      lines(pen, [hazard(answers)], {}, protocol)[0]?.slice(3)
    expect(first([ground])).toEqual(['answered', 'Lectin: Not on fed ground.'])
    const fed = sorted()
    fed.write({ type: 'ground-noted', patch: 'wall', facts: { manured: 'yes' } })
    expect(first([ground], fed)).toEqual(['due', 'Lectin: Not on fed ground.'])
    expect(first([ground, control], fed)).toEqual(['due', 'Lectin: Boil it.'])
    expect(first([amount])).toEqual(['at-plate', 'Lectin: A handful.'])
    const small: HazardAnswer = { ...amount, kind: 'amount', schools: ['blanch and drain'] }
    expect(first([small, control])).toEqual(['at-plate', 'Lectin: A handful.'])
    expect(first([{ ...small, schools: ['other'] }, control])?.[0]).toBe('due')
    expect(first([small, control], sorted(), 'none')?.[0]).toBe('due')
    expect(first([{ kind: 'store', says: 'Keep it cold.' }])).toEqual(['at-store', 'Lectin: Keep it cold.'])
    expect(first([amount, { kind: 'person', who: ['pregnancy'], says: 'Not for some.' }])).toEqual([
      'at-plate',
      'Lectin: A handful. Not for some.',
    ])
    const only = lines(sorted(), [
      hazard([control], { onlyFor: ['can'] }),
      hazard([control], { id: 'saponin', onlyFor: ['eat', 'can'] }),
    ])
    expect(only.map(([id]) => id)).toEqual(['saponin'])
  })
  it('of tannin leave by baths and a crumb, and no water need be thrown by hand', () => {
    const pen = bringInKind(meetAll(household(new Pen())), 'acorns', 'A')
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'hot baths', goal: 'eat' })
    runStep(pen, 'acorns', 'A', 2)
    const tannin = () => judge('makeSafe', pen.lot(), pen.context).reasons.find((each) => each.startsWith('Tannin'))
    expect(tannin()).not.toMatch(/Done\.$/)
    leachBaths(pen, 'A', { protocol: 'hot baths', step: 5, count: 5, minutes: 16, taste: 1 })
    runStep(pen, 'acorns', 'A')
    expect(tannin()).toMatch(/Done\.$/)
  })
  it('grow by what lives on the ground: raw is not enough there, and heat right through is', () => {
    const wet = new Pen()
    household(wet)
    wet.write({ type: 'ground-noted', patch: 'wall', facts: { water: 'still', upstream: ['livestock'] } })
    wet.force({
      ...{ type: 'weighed-in', lot: 'A', code: 'A', taxon: 'Nasturtium officinale', part: 'leafy-top', stage: 'young' },
      ...{ patch: 'wall', mass_g: 900, pickedAt: wet.now },
    })
    const germs = (protocol: Protocol) => lines(wet, [], {}, protocol)[0]
    expect(germs({ ...BLANCH, steps: [] })).toEqual([
      'germs-from-the-ground',
      'biological',
      'moderate',
      'due',
      expect.stringMatching(/Nothing of it raw: choose a way that cooks it right through\.$/),
    ])
    expect(germs(BLANCH)?.[4]).toMatch(/Cook it right through\.$/)
    wet.wait(1).force({ type: 'step-begun', lot: 'A', protocol: BLANCH.name, step: 2, load: 1, mass_g: 900 })
    const begun = wet.log.order.at(-1)?.id ?? ''
    wet.wait(5).force({
      ...{ type: 'step-done', lot: 'A', begun, outcome: 'done', minutes: 3, temp_C: null, backToBoil_s: null },
      ...{ driedTo_g: null, checked: true, water: 'thrown' },
    })
    expect(germs(BLANCH)?.slice(3)).toEqual(['answered', expect.stringMatching(/Cooked right through\.$/)])
  })
  it('grow by the water it was washed in: its germs wait for heat, and clean water brings none', () => {
    const washedIn = (wash: Saying<'sorted'>['wash']) => {
      const pen = household(new Pen())
      pen.force({
        ...{ type: 'weighed-in', lot: 'A', code: 'A', taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young' },
        ...{ patch: 'wall', mass_g: 900, pickedAt: pen.now },
      })
      pen.wait(1).force({
        ...{ type: 'sorted', lot: 'A', stageSeen: 'young', kept_g: 900, trimmed_g: 0, trimmedTo: 'compost' },
        wash,
      })
      return pen
    }
    const told = (pen: Pen, protocol: Protocol = BLANCH) => lines(pen, [], {}, protocol).map(([, , , state, text]) => [state, text]) // prettier-ignore
    expect(told(washedIn(null))).toEqual([])
    expect(told(washedIn({ water: 'safe', changes: 2 }))).toEqual([])
    const open = washedIn({ water: 'germs', changes: 2 })
    expect(told(open)).toEqual([['due', 'The water it was washed in carries germs. Cook it right through.']])
    expect(told(open, { ...BLANCH, steps: [] })).toEqual([['due', 'The water it was washed in carries germs. Nothing of it raw: choose a way that cooks it right through.']]) // prettier-ignore
    load(open, 900)
    expect(told(open)).toEqual([['answered', 'The water it was washed in carries germs. Cooked right through.']])
  })
  it('are killed by heat right through, whatever limit the step has, and by no other', () => {
    const hot = (op: string, limit?: Protocol['steps'][number]['limit']) =>
      isHotThrough({
        step: { op, control: [], critical: true, ...(limit === undefined ? {} : { limit }) },
      } as unknown as StepProgress)
    for (const op of ['boil', 'simmer', 'steam', 'pit-bake', 'bake', 'roast', 'fry', 'saute'])
      expect(hot(op), op).toBe(true)
    for (const op of ['wash', 'dry', 'wilt', 'infuse-water', 'leach-static']) expect(hot(op), op).toBe(false)
    expect(hot('blanch', { measure: 'rolling-boil', minutes: 1, acceptedTo_m: 0, added: [] })).toBe(true)
    const warm = (temp_C: number) => hot('infuse-water', { measure: 'food-temperature', temp_C, minutes: 1 })
    expect([warm(69), warm(70), warm(90)]).toEqual([false, true, true])
    expect(hot('wash', { measure: 'seen', sign: 'clean' })).toBe(false)
  })
})
