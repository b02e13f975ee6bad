import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import { massBalance } from '../lot/story'
import type { Dug } from '../lot/lotState'
import { ownTender } from '../take/tender'
import { CLEAN, household, Pen, START, weighIn } from '../test/pen'
import { season } from '../season/season'
import { seasonInput } from '../season/ofBook'
import { EIGHTY, effortFor } from './effort'
import { diggingFor } from './enough'
import { fieldView } from './field'
import { outingChoices, planOuting, type OutingChoice } from './outing'
import { outingWater, type WaterNeed } from './water'

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
    const kept = (count: number) =>
      effortFor(tops, 4, { kept: Array.from({ length: count }, () => 0.5), rates_g_per_h: [] })?.kept
    const [none, one, many] = [kept(0), kept(1), kept(20)]
    expect(none?.from).toBe('book')
    expect(many?.from).toBe('own')
    expect(one?.usual).toBeLessThan(none?.usual ?? 0)
    expect(many?.usual).toBeLessThan(one?.usual ?? 0)
    expect(many?.usual).toBeCloseTo(0.5, 1)
    expect((many?.high ?? 0) / (many?.low ?? 1)).toBeLessThan((one?.high ?? 0) / (one?.low ?? 1))
  })
  it('tells the food energy that an hour brings where both it and the speed are known, with its range', () => {
    const nuts = requireTaxon(CATALOGUE, 'Corylus avellana').uses.find(({ stage }) => stage === 'ripe')
    if (nuts === undefined) throw new RangeError('no nuts')
    const { kept, rate, energy_kcal_per_h: energy } = effortFor(nuts, 4) ?? {}
    expect(energy?.usual).toBeCloseTo(
      ((rate?.usual ?? 0) * (kept?.usual ?? 0) * (nuts.energy_kcal_per_100g ?? 0)) / 100,
    )
    expect((energy?.high ?? 0) / (energy?.low ?? 1)).toBeGreaterThan((rate?.high ?? 0) / (rate?.low ?? 1))
    const unknown = uses.find((use) => use.energy_kcal_per_100g === undefined && use.pickRate_g_per_h !== undefined)
    expect(unknown && effortFor(unknown, 4)?.energy_kcal_per_h).toBeUndefined()
    // Greens and sap hold little, kernels much: a figure of another order would be a slip of the pen.
    for (const { part, energy_kcal_per_100g: held } of uses)
      if (held !== undefined) {
        const [least, most] = part === 'nut' || (part === 'seed' && held > 200) ? [200, 700] : [3, 200]
        expect([held >= least, held <= most], `${part} ${held}`).toEqual([true, true])
      }
  })
  it('is timed by the cook’s own pickings, also where the record knows no speed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...uses),
        fc.double({ min: 50, max: 5000, noNaN: true }),
        fc.integer({ min: 1, max: 40 }),
        (use, rate, times) => {
          const book = effortFor(use, 4)?.rate
          const own = effortFor(use, 4, { kept: [], rates_g_per_h: Array.from({ length: times }, () => rate) })
          if (own?.rate === undefined || own.picking_min === undefined) throw new RangeError('no rate of its own')
          expect(book === undefined).toBe(use.pickRate_g_per_h === undefined)
          expect(own.rate.pickings).toBe(times)
          // Between the book's speed and the cook's, and never told as one figure.
          const least = Math.min(rate, book?.usual ?? rate)
          expect(own.rate.usual).toBeGreaterThanOrEqual(least * 0.999)
          expect(own.rate.usual).toBeLessThanOrEqual(Math.max(rate, book?.usual ?? rate) * 1.001)
          expect(own.rate.high).toBeGreaterThan(own.rate.low * 1.5)
          expect((own.picking_min.usual / 60) * own.rate.usual).toBeCloseTo(own.picked_g.usual, 3)
          expect((own.picking_min.usual / 60) * own.rate.portions.usual).toBeCloseTo(4, 6)
        },
      ),
      { numRuns: 200 },
    )
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
    expect(verge?.against.join(' ')).toMatch(/weedkiller at Verge on 2 January 2027/)
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

describe('the water of an outing', () => {
  const context = { book: new Pen().log.state, catalogue: CATALOGUE, now: START }
  const choiceOf = (name: string, part: string): OutingChoice => {
    const taxon = requireTaxon(CATALOGUE, name)
    const use = taxon.uses.find((each) => each.part === part && each.verdict !== 'never')
    if (use === undefined) throw new RangeError(name)
    const base = { patch: 'p', state: 'ready', narrow: false, against: [], toAsk: [], living: [], doubles: [] } as const
    return { ...base, taxon, use }
  }
  const lines = [
    ['Urtica dioica', 'leafy-top'],
    ['Quercus robur', 'nut'],
    ['Beta vulgaris', 'leaf'],
  ] as const
  const of = (plates: number, which: readonly (readonly [string, string])[] = lines) =>
    planOuting(
      which.map(([name, part]) => ({ choice: choiceOf(name, part), plates })),
      context,
      undefined,
    ).stops.flatMap((stop) => stop.lines)
  it('is what each plan takes of it, the thirstiest first, and what each alone takes', () => {
    const { needs, total_mL, leaveOut } = outingWater(of(4), context, undefined)
    const each_mL = needs.map(({ water_mL }) => water_mL)
    expect(each_mL).toEqual([...each_mL].sort((a, b) => b - a))
    expect(needs).toHaveLength(lines.length)
    expect(total_mL).toBeCloseTo(
      lines.reduce((sum, line) => sum + outingWater(of(4, [line]), context, undefined).total_mL, 0),
      6,
    )
    expect(leaveOut).toBeUndefined()
    // Six baths of four litres to the kilogram that is left after shelling, at the least; washing on top for the greens.
    const acorns = needs.find(({ line }) => line.choice.taxon.scientificName === 'Quercus robur')
    const shelled_g = (acorns?.line.effort?.picked_g.usual ?? 0) * (acorns?.line.effort?.kept.usual ?? 0)
    expect(acorns?.water_mL).toBeGreaterThan(6 * 3 * shelled_g)
    expect(outingWater([], context, 0)).toEqual({ needs: [], total_mL: 0, leaveOut: undefined })
  })
  it('fits what is carried when what is named is left out, and would not with one thing less left out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 120_000 }), (plates, carried_mL) => {
        const { total_mL, leaveOut } = outingWater(of(plates), context, carried_mL)
        expect(leaveOut === undefined).toBe(total_mL <= carried_mL)
        if (leaveOut === undefined) return
        const spared = (some: readonly WaterNeed[]) => some.reduce((sum, { water_mL }) => sum + water_mL, 0)
        expect(total_mL - spared(leaveOut)).toBeLessThanOrEqual(carried_mL + 1e-6)
        expect(total_mL - spared(leaveOut.slice(0, -1))).toBeGreaterThan(carried_mL)
      }),
    )
  })
})

describe('an outing that was kept', () => {
  const wish = { taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', patch: 'wall' } as const
  const plan = (pen: Pen, wishes: readonly (typeof wish | Record<string, string>)[]) =>
    pen.try({
      type: 'outing-planned',
      outing: 'o1',
      day: '2027-05-16',
      company: ['Ann'],
      plates: 4,
      wishes: wishes as (typeof wish)[],
    }).proposal
  const bring = (pen: Pen, lot: string, mass_g: number, counted?: number) =>
    pen.write({
      type: 'weighed-in',
      lot,
      code: lot,
      ...wish,
      mass_g,
      pickedAt: pen.now,
      outing: 'o1',
      ...(counted === undefined ? {} : { counted }),
    })
  it('tells on the way what is still to pick, what is enough and what is shut', () => {
    const pen = household(new Pen())
    expect(plan(pen, [{ ...wish, patch: 'none' }])).toMatchObject({
      field: 'wishes',
      message: 'There is no patch none.',
    })
    expect(plan(pen, [{ ...wish, part: 'root' }])).toMatchObject({ field: 'wishes' })
    expect(plan(pen, [wish])).toEqual({ ok: true })
    const line = () => fieldView('o1', pen.context)?.stops[0]?.lines[0]
    expect(line()).toMatchObject({ picked_g: 0, enough: false, against: [] })
    const need = line()?.effort?.picked_g.usual ?? 0
    bring(pen, 'A', need / 2)
    expect(line()).toMatchObject({ picked_g: need / 2, enough: false })
    bring(pen, 'B', need / 2)
    expect(line()?.enough).toBe(true)
    expect(fieldView('o1', pen.context)?.lots.map(({ id }) => id)).toEqual(['A', 'B'])
    pen.write({ type: 'ground-noted', patch: 'wall', facts: { sprayed: { last: START } } })
    expect(line()?.against).toHaveLength(1)
    expect(fieldView('o2', pen.context)).toBeUndefined()
  })
  it('says what ends the picking first, and when, at today’s pace once there is one', () => {
    const pen = household(new Pen())
    plan(pen, [wish])
    const stop = () => fieldView('o1', pen.context)?.stops[0]?.lines[0]?.stop
    const need = stop()?.left_g ?? 0
    expect(stop()).toMatchObject({ first: 'need', leftOfShare: undefined, pace: 'before' })
    const bringTimed = (lot: string, mass_g: number, took_min: number, stems: number, taken: number) => {
      pen.write({ type: 'weighed-in', lot, code: lot, ...wish, mass_g, pickedAt: pen.now, outing: 'o1', took_min })
      pen.write({
        ...{ type: 'stand-counted', lot, stems, taken, wildlifeLooked: true, wildlifeOn: 0, othersPick: false },
        school: null,
      } as const)
    }
    // A tenth of what is wished in five minutes: the rest takes nine times that.
    bringTimed('A', need / 10, 5, 4000, 40)
    expect(stop()).toMatchObject({ first: 'need', pace: 'today' })
    expect(stop()?.left_min?.usual).toBeCloseTo(45, 6)
    // The stand is small: what is left of its share, weighed as the pieces cut weighed, ends it.
    bringTimed('B', need / 10, 5, 200, 10)
    const { leftOfShare = 0, left_g = 0, left_min } = stop() ?? {}
    expect(stop()?.first).toBe('share')
    expect(left_g).toBeCloseTo((leftOfShare * (need / 5)) / 50, 6)
    expect(left_min?.low).toBeLessThan(left_min?.usual ?? 0)
    bringTimed('C', need, 5, 4000, 40)
    expect(stop()).toBeUndefined()
  })
  it('asks for more holes the more broke off, and for none where nothing is dug', () => {
    const taxon = requireTaxon(CATALOGUE, 'Arctium lappa')
    const root = taxon.uses.find(({ part, verdict }) => part === 'root' && verdict !== 'never')
    if (root === undefined) throw new RangeError('no root')
    fc.assert(
      fc.property(fc.array(fc.nat(12), { maxLength: 12 }), fc.integer({ min: 1, max: 60 }), (wholes, pieces) => {
        const pen = household(new Pen())
        for (const [index, whole] of wholes.entries()) {
          const lot = `L${index}`
          const picked = { taxon: taxon.scientificName, part: 'root', stage: root.stage, patch: 'wall' } as const
          const counted = { mass_g: 90, counted: Math.max(1, whole), pickedAt: pen.now }
          pen.write({ type: 'weighed-in', lot, code: lot, ...picked, ...counted })
          pen.write({
            ...{ type: 'stand-counted', lot, stems: 400, taken: 12, wildlifeLooked: true, wildlifeOn: 0 },
            ...{ othersPick: false, school: null },
          } as const)
        }
        const digging = diggingFor(taxon, root, pieces, pen.context)
        if (digging === undefined) throw new RangeError('not dug')
        const { holes, dug, whole } = digging
        expect([dug, whole]).toEqual([wholes.length * 12, wholes.reduce((sum, each) => sum + Math.max(1, each), 0)])
        expect(pieces <= holes.low && holes.low <= holes.usual && holes.usual <= holes.high).toBe(true)
        // Between the planning value and the cook's own share, whichever side that lies on.
        const shares = [0.8, dug === 0 ? 0.8 : whole / dug].toSorted()
        expect(holes.usual).toBeGreaterThanOrEqual(pieces / (shares[1] ?? 1))
        expect(holes.usual).toBeLessThanOrEqual(Math.ceil(pieces / (shares[0] ?? 1)))
      }),
      { numRuns: 60 },
    )
    const [tops] = requireTaxon(CATALOGUE, 'Urtica dioica').uses
    expect(tops && diggingFor(taxon, tops, 5, household(new Pen()).context)).toBeUndefined()
  })
  it('counts holes dug alike for more: the same tool, the same depth', () => {
    const taxon = requireTaxon(CATALOGUE, 'Arctium lappa')
    const root = taxon.uses.find(({ part, verdict }) => part === 'root' && verdict !== 'never')
    if (root === undefined) throw new RangeError('no root')
    const pen = household(new Pen())
    const dig = (lot: string, whole: number, dug: Dug | undefined) => {
      const picked = { taxon: taxon.scientificName, part: 'root', stage: root.stage, patch: 'wall' } as const
      pen.write({ ...{ type: 'weighed-in', lot, code: lot, ...picked }, mass_g: 90, counted: whole, pickedAt: pen.now })
      const stand = { type: 'stand-counted', lot, stems: 400, taken: 12, wildlifeLooked: true, wildlifeOn: 0 } as const
      pen.write({ ...stand, othersPick: false, school: null, ...(dug === undefined ? {} : { dug }) })
    }
    const holes = (meant?: Partial<Dug>) => diggingFor(taxon, root, 20, pen.context, meant)?.holes.usual ?? 0
    dig('A', 12, { tool: 'fork', depth_cm: 20 })
    dig('B', 2, { tool: 'digging-stick', depth_cm: 50 })
    expect(holes({ tool: 'fork' })).toBeLessThan(holes())
    expect(holes({ tool: 'digging-stick' })).toBeGreaterThan(holes())
    expect(holes({ tool: 'fork', depth_cm: 50 })).toBeGreaterThan(holes({ tool: 'fork', depth_cm: 20 }))
    // What was not said of a hole counts for more than that it was dug otherwise, and for less than that it was dug so.
    const before = holes({ tool: 'fork' })
    dig('C', 1, undefined)
    expect(holes({ tool: 'fork' })).toBeGreaterThan(before)
    expect(diggingFor(taxon, root, 20, pen.context, { tool: 'fork' })).toMatchObject({ dug: 36, whole: 15 })
  })
  it('knows where one’s own tips snap: the middle of them, wide while they are few, and what each joint gives', () => {
    const length = fc.double({ min: 1, max: 60, noNaN: true })
    const use = { part: 'leafy-top', stage: 'young' } as const
    const nettle = requireTaxon(CATALOGUE, 'Urtica dioica')
    fc.assert(
      fc.property(fc.array(length, { minLength: 1, maxLength: 30 }), (lengths) => {
        const pen = household(new Pen())
        expect(ownTender(nettle, use, pen.context)).toBeUndefined()
        weighIn(pen)
        pen.write({ type: 'snapped', lot: 'A', tips: lengths.map((length_cm) => ({ length_cm })) })
        const { length_cm, tips, pickings } = ownTender(nettle, use, pen.context) ?? {}
        expect([tips, pickings]).toEqual([lengths.length, 1])
        const { low = 0, usual = 0, high = 0 } = length_cm ?? {}
        expect(usual).toBeCloseTo(lengths.reduce((sum, each) => sum + each, 0) / lengths.length, 6)
        expect(low < usual && usual < high).toBe(true)
        // So many alike as may be: never surer than the prior's share allows.
        const least = (EIGHTY * 0.25 * usual * Math.sqrt(3)) / Math.sqrt(2 + lengths.length)
        expect(high - usual).toBeGreaterThanOrEqual(least - 1e-9)
      }),
      { numRuns: 50 },
    )
    const pen = household(new Pen())
    weighIn(pen)
    const tips = [
      { length_cm: 8, joints: 3, mass_g: 4 },
      { length_cm: 10, joints: 3, mass_g: 6 },
      { length_cm: 6, joints: 2, mass_g: 2 },
      { length_cm: 6, joints: 4 },
    ]
    pen.write({ type: 'snapped', lot: 'A', tips })
    expect(ownTender(nettle, use, pen.context)?.byJoint).toEqual([
      { joints: 2, each_g: 2, tips: 1 },
      { joints: 3, each_g: 5, tips: 2 },
    ])
    expect(ownTender(nettle, { ...use, stage: 'flowering' }, pen.context)).toBeUndefined()
    expect(ownTender(requireTaxon(CATALOGUE, 'Allium ursinum'), use, pen.context)).toBeUndefined()
  })
  it('leaves a patch alone in its months, and says for whom', () => {
    const pen = household(new Pen())
    plan(pen, [wish])
    const against = () => fieldView('o1', pen.context)?.stops[0]?.lines[0]?.against
    const month = Number(START.slice(5, 7))
    pen.write({ type: 'ground-noted', patch: 'wall', facts: { leftAlone: { months: [month], why: 'nests' } } })
    expect(against()).toEqual(['Wall is left alone this month: nests.'])
    pen.write({
      type: 'ground-noted',
      patch: 'wall',
      facts: { leftAlone: { months: [(month % 12) + 1], why: 'nests' } },
    })
    expect(against()).toEqual([])
  })
  it('weighs at home what was counted in the field, and no mass is lost or made by it', () => {
    const sort = (kept_g: number, trimmed_g: number) =>
      ({
        type: 'sorted',
        lot: 'A',
        stageSeen: 'young',
        kept_g,
        trimmed_g,
        trimmedTo: 'compost',
        wash: null,
      }) as const
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.double({ min: 0.3, max: 4.5, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        (count, off, away) => {
          const pen = household(new Pen())
          bring(pen, 'A', count * 3, count)
          pen.write({ type: 'thrown-away', lot: 'A', pack: null, mass_g: count * 3 * away, why: 'dropped' })
          const there_g = pen.lot().mass_g * off
          pen.write(sort(there_g * 0.8, there_g * 0.2))
          const { picked_g, takenUp_g, left, inHand_g } = massBalance(pen.lot())
          const left_g = left.reduce((sum, { mass_g }) => sum + mass_g, 0)
          expect(picked_g + takenUp_g).toBeCloseTo(left_g + inHand_g, 6)
          expect(picked_g).toBeCloseTo(count * 3 * away + there_g, 6)
        },
      ),
      { numRuns: 100 },
    )
    const pen = household(new Pen())
    bring(pen, 'A', 100, 30)
    expect(pen.try(sort(450, 60)).proposal).toMatchObject({
      field: 'kept_g',
      message: 'By count it was about 100 g; 510 g is more than it can have been. Weigh again.',
    })
  })
})
