import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { handOver } from '../lot/handover'
import { household, Pen } from '../test/pen'
import { bringInKind, KIND_NAMES, KINDS, makeSafeKind, meetAll, runStep, type Kind } from '../test/plants'
import { SERVE, timetableOf } from './ofLots'
import { schedule } from './schedule'

const kitchen = (kinds: readonly Kind[]) => {
  const pen = meetAll(household(new Pen()))
  kinds.forEach((kind, index) => bringInKind(pen, kind, `L${index}`))
  return pen
}
const lotsOf = (pen: Pen) => [...pen.log.state.lots.values()]

describe('several lots in one kitchen', () => {
  it('are timed so that hands and burners are enough, what is boiled is chilled at once, and all is ready together', () => {
    const some = fc.uniqueArray(fc.constantFrom(...KIND_NAMES), { minLength: 1, maxLength: 4 })
    fc.assert(
      fc.property(some, fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 3 }), (kinds, hands, burners) => {
        const pen = kitchen(kinds)
        const { input, acts, leftOut } = timetableOf(lotsOf(pen), pen.context, { hands, burners })
        // Every lot is in it or left out with a reason; acorns take days.
        expect(new Set([...acts.map(({ lot }) => lot), ...leftOut.map(({ lot }) => lot), ''])).toEqual(
          new Set([...kinds.map((_, index) => `L${index}`), '']),
        )
        if (kinds.length === leftOut.length) return
        let tick = 0
        const { status, starts, makespan } = schedule({ ...input, budget_ms: 300 }, () => (tick += 0.05))
        expect(['optimal', 'feasible']).toContain(status)
        const task = (id: string) => input.tasks.find((each) => each.id === id)
        const at = (id: string) => starts[id] ?? NaN
        const end = (id: string) => at(id) + (task(id)?.minutes ?? NaN)
        expect(end(SERVE)).toBe(makespan)
        for (const { from, to, maxLag } of input.links ?? []) {
          expect(at(to)).toBeGreaterThanOrEqual(end(from))
          if (typeof maxLag === 'number') expect(at(to)).toBeLessThanOrEqual(end(from) + maxLag)
        }
        for (const { id } of input.tasks) {
          const meanwhile = input.tasks.filter((each) => at(each.id) <= at(id) && end(each.id) > at(id))
          const load = (what: string) => meanwhile.reduce((sum, { needs = {} }) => sum + (needs[what] ?? 0), 0)
          expect(load('hands')).toBeLessThanOrEqual(hands)
          expect(load('burner')).toBeLessThanOrEqual(burners)
        }
        // What is in the water or on the fire last waits for the plates ten minutes at most.
        for (const lot of new Set(acts.map((act) => act.lot).filter(Boolean))) {
          const own = acts.filter((act) => act.lot === lot)
          const last = own.at(-1)
          if (last?.onFire === true) expect(at(SERVE) - end(last.task)).toBeLessThanOrEqual(10)
        }
      }),
      { numRuns: 25 },
    )
  })
  it('leave out what is not sorted, and the steps that were done', () => {
    const pen = kitchen(['beet'])
    const ops = () => timetableOf(lotsOf(pen), pen.context, { hands: 1, burners: 1 }).acts.map(({ op }) => op)
    expect(ops()).toContain('boil')
    pen.write({ type: 'way-chosen', lot: 'L0', protocol: KINDS.beet.way, goal: KINDS.beet.goal })
    runStep(pen, 'beet', 'L0')
    expect(ops()).not.toContain('boil')
    const raw = meetAll(household(new Pen()))
    const { taxon, part, stage } = KINDS.nettle
    raw.write({
      ...{ type: 'weighed-in', lot: 'A', code: 'A', taxon, part, stage },
      patch: 'wall',
      mass_g: 90,
      pickedAt: raw.now,
    })
    expect(timetableOf(lotsOf(raw), raw.context, { hands: 1, burners: 1 })).toMatchObject({
      acts: [],
      leftOut: [{ lot: 'A', why: 'it is not sorted yet' }],
    })
  })
})

describe('handing on a half-made batch', () => {
  it('says of each lot what was done last and by whom, what is due, and which checks nobody has signed', () => {
    const pen = kitchen(['beet', 'nettle'])
    const said = () => Object.fromEntries(handOver(pen.log, pen.context).map((each) => [each.lot, each]))
    expect(Object.keys(said()).toSorted()).toEqual(['L0', 'L1'])
    expect(said()['L0']).toMatchObject({
      notYetFood: true,
      last: { by: 'the cook' },
      next: { title: expect.any(String) },
    })
    expect(said()['L0']?.last?.says).toMatch(/^Sorted: /)
    expect(said()['L0']?.unsigned.map(({ gate }) => gate)).toContain('Make safe')
    makeSafeKind(pen, 'nettle', 'L1')
    pen.write({ type: 'weighed', lot: 'L1', mass_g: 700, after: 'cooking' })
    expect(said()['L1']).toMatchObject({ notYetFood: false, unsigned: [], mass_g: 700 })
    // Food that stood too long is not handed on as food, nor what was recalled.
    const later = pen.copy().wait(5 * 60)
    const stale = handOver(later.log, later.context).find(({ lot }) => lot === 'L1')
    expect(stale).toMatchObject({ notYetFood: true, unsigned: [], fresh: { state: 'over' } })
    const turned = pen.copy()
    turned.write({ type: 'food-turned', of: 'L1', pack: null, why: 'mould' })
    expect(handOver(turned.log, turned.context).find(({ lot }) => lot === 'L1')?.notYetFood).toBe(true)
    // What is struck out was not done, and nobody hands on what is used up.
    const weighed = pen.log.order.at(-1)
    pen.write({ type: 'struck', entry: weighed?.id ?? '', why: 'the wrong bowl' })
    expect(said()['L1']?.last?.says).not.toMatch(/700/)
    pen.write({ type: 'thrown-away', lot: 'L0', pack: null, mass_g: pen.lot('L0').mass_g, why: 'spilt' })
    expect(said()['L0']).toBeUndefined()
  })
})
