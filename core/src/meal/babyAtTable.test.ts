import { describe, expect, it } from 'vitest'
import { eaterVerdict, neverFor } from '../gates/plate'
import { household, Pen } from '../test/pen'
import type { Goal, Use } from '../flora/taxon'
import { babyFood } from '../treatment/babyFood'
import { bornMonthsBefore, monthsOld } from './age'

const DAY = '2027-05-16'

/** Blackberries on their way to a baby born so many months ago. */
function forBaby(months: number | undefined, goal: Goal = 'eat', taxon = 'Rubus fruticosus') {
  const pen = household(new Pen(), { elevation_m: 0 })
  const bornOn = months === undefined ? {} : { bornOn: bornMonthsBefore(DAY, months) }
  pen.write({ type: 'eater-noted', eater: { id: 'bab', name: 'Bab', kind: 'infant', sensitivities: [], ...bornOn } })
  pen.force({ type: 'weighed-in', lot: 'A', code: 'A', taxon, part: 'fruit', stage: 'ripe', patch: 'wall', mass_g: 300, pickedAt: pen.now }) // prettier-ignore
  pen.force({ type: 'way-chosen', lot: 'A', protocol: goal === 'eat' ? 'cooked' : 'washed, raw', goal })
  const { state, most_g, reasons } = eaterVerdict(pen.lot(), pen.context, 'bab')
  const never = neverFor(pen.lot(), pen.context.book.house.eaters['bab'] as never, pen.context)
  return { state, most_g: Math.round(most_g), said: reasons.join(' '), never: never.length, pen }
}

describe('a baby at the table', () => {
  it('has ordinary fruit cooked from the month of the record, a spoonful or two a day, and nothing else', () => {
    const eight = forBaby(8)
    expect(eight).toMatchObject({ state: 'open', never: 0 })
    // 30 g of raw fruit, as it is weighed then; its first taste is smaller still.
    expect(eight.most_g).toBeGreaterThan(0)
    expect(eight.most_g).toBeLessThanOrEqual(30)
    for (const refused of [forBaby(5), forBaby(undefined), forBaby(8, 'eat-raw'), forBaby(8, 'eat', 'Sambucus nigra')])
      expect(refused).toMatchObject({ state: 'closed', most_g: 0 })
    expect(forBaby(5).said).toContain('not before 6 months')
  })
  it('is as old as it is on the day, and an earlier birth than was said is asked for twice', () => {
    const { pen } = forBaby(5)
    pen.now = '2027-06-20T08:00:00.000Z'
    const cooked = { ...pen.lot(), weighedIn: { ...pen.lot().weighedIn, pickedAt: pen.now } } as ReturnType<Pen['lot']>
    expect(eaterVerdict(cooked, pen.context, 'bab').state).toBe('open')
    const older = { id: 'bab', name: 'Bab', kind: 'infant', sensitivities: [], bornOn: '2026-01-01' } as const
    expect(pen.try({ type: 'eater-noted', eater: older }).proposal).toMatchObject({
      ok: false,
      field: 'laxerConfirmed',
      message: expect.stringContaining('Until now Bab was noted with: a later day of birth.') as string,
    })
    expect(pen.try({ type: 'eater-noted', eater: { ...older, bornOn: '2027-12-01' } }).proposal).toMatchObject({
      ok: false,
      field: 'bornOn',
    })
  })
  it('is offered nothing of a mixture of which one plant is no food of theirs', () => {
    const caution = (cookedFrom_months?: number) =>
      ({
        who: 'infant',
        what: 'avoid',
        why: 'x',
        ...(cookedFrom_months === undefined ? {} : { cookedFrom_months }),
      }) as const
    const of = (...cautionFor: Use['cautionFor']) =>
      babyFood({ cautionFor } as unknown as Use, { kind: 'infant', age_months: 8 }, 'eat')
    expect(of(caution(6))).toMatchObject({ from_months: 6 })
    expect([of(caution(6), caution()), of(caution(), caution(6)), of(caution(6), caution(10)), of()]).toEqual([undefined, undefined, undefined, undefined]) // prettier-ignore
  })
  it('counts months by the calendar', () => {
    expect(monthsOld('2026-09-20', DAY)).toBe(7)
    expect(monthsOld('2026-09-16', DAY)).toBe(8)
    expect(bornMonthsBefore('2027-03-31', 1)).toBe('2027-02-28')
    expect(bornMonthsBefore('2027-01-10', 2)).toBe('2026-11-10')
  })
})
