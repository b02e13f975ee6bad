import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import { CLEAN, Pen } from '../test/pen'
import { season } from '../season/season'
import { seasonInput } from '../season/ofBook'
import { effortFor } from './effort'
import { outingChoices, planOuting, type OutingChoice } from './outing'

const uses = CATALOGUE.taxa.flatMap(({ uses: all }) => all).filter((use) => effortFor(use, 4) !== undefined)

describe('from plates back to the basket', () => {
  it('asks more for more plates, always with a range, and room and time in the same measure', () => {
    expect(uses.length).toBeGreaterThan(150)
    fc.assert(
      fc.property(fc.constantFrom(...uses), fc.integer({ min: 1, max: 400 }), (use, plates) => {
        const effort = effortFor(use, plates)
        const more = effortFor(use, plates + 1)
        if (effort === undefined || more === undefined) throw new RangeError('no effort')
        const { low, usual, high } = effort.picked_g
        expect(low <= usual && usual <= high && low > 0).toBe(true)
        expect(more.picked_g.usual).toBeGreaterThan(usual)
        if (effort.pieces !== undefined) expect(effort.pieces.usual * (use.pieceMass_g ?? 0)).toBeCloseTo(usual, 6)
        if (effort.picking_min !== undefined)
          expect(effort.picking_min.low).toBeLessThanOrEqual(effort.picking_min.high)
      }),
      { numRuns: 300 },
    )
  })
  it('is drawn to the cook’s own weighings the more there are of them, and narrows', () => {
    const [tops] = requireTaxon(CATALOGUE, 'Urtica dioica').uses
    if (tops === undefined) throw new RangeError('no tops')
    const kept = (count: number) => effortFor(tops, 4, { kept: Array.from({ length: count }, () => 0.5) })?.kept
    const [none, one, many] = [kept(0), kept(1), kept(20)]
    expect(none?.from).toBe('book')
    expect(many?.from).toBe('own')
    expect(one?.usual).toBeLessThan(none?.usual ?? 0)
    expect(many?.usual).toBeLessThan(one?.usual ?? 0)
    expect(many?.usual).toBeCloseTo(0.5, 1)
    expect((many?.high ?? 0) / (many?.low ?? 1)).toBeLessThan((one?.high ?? 0) / (one?.low ?? 1))
  })
})

describe('an outing', () => {
  const pen = new Pen()
  pen.write({ type: 'ground-noted', patch: 'wood', name: 'Wood', facts: CLEAN })
  pen.write({
    type: 'ground-noted',
    patch: 'verge',
    name: 'Verge',
    facts: { ...CLEAN, sprayed: { last: '2027-01-02T00:00:00.000Z' } },
  })
  for (const patch of ['wood', 'verge']) pen.write({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young', patch })
  pen.write({ type: 'plant-met', taxon: 'Allium ursinum', stage: 'young', patch: 'wood' })
  const at = '2027-04-20T10:00:00.000Z'
  const context = { ...pen.context, now: at }
  const moved = { ...context, now: pen.now > at ? pen.now : at }
  const choices = outingChoices(
    season({ ...seasonInput(pen.log.state, CATALOGUE, moved.now), today: '2027-04-20' }).rows,
    moved,
  )
  it('offers what is open, and says why a patch is shut', () => {
    const wood = choices.filter(({ patch }) => patch === 'wood')
    expect(wood.map(({ taxon }) => taxon.scientificName)).toContain('Allium ursinum')
    expect(wood.every(({ against }) => against.length === 0)).toBe(true)
    const verge = choices.find(({ patch }) => patch === 'verge')
    expect(verge?.against.join(' ')).toMatch(/Weedkiller at Verge on 2027-01-02/)
  })
  it('brings what the plants ask for, keeps doubles apart, and heeds the day', () => {
    const wishes = choices
      .filter(({ against }) => against.length === 0)
      .map((choice: OutingChoice) => ({ choice, plates: 4 }))
    const { gear, stops, warnings } = planOuting(wishes, moved, {
      day: '2027-04-20',
      min_C: 4,
      max_C: 30,
      rain_mm: 9,
      wind_km_h: 60,
    })
    expect(stops.map(({ patch }) => patch)).toEqual(['wood'])
    expect(gear).toContain('thick gloves and sleeves')
    expect(gear).toContain('the field cards of the plants')
    expect(warnings.join(' ')).toMatch(/Rain: .* Wind: .* Heat: /)
    expect(planOuting([], moved, undefined)).toMatchObject({ stops: [], gear: [], warnings: [] })
  })
})
