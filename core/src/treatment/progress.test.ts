import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { Protocol, Use } from '../flora/taxon'
import { findUse, requireTaxon } from '../flora/catalogue'
import type { Saying } from '../log/stamp'
import { household, Pen } from '../test/pen'
import { bringInKind, meetAll } from '../test/plants'
import { defaultProtocol, isTreating, protocolOf, treatmentProgress } from './progress'

const acorns = findUse(requireTaxon(CATALOGUE, 'Quercus robur'), 'nut', 'ripe') as Use
const cold = acorns.protocols.find(({ name }) => name === 'cold baths') as Protocol
const STEP = 5

/** Acorns in cold baths; each bath so many minutes, of a way and a step. */
function leached(minutes: readonly number[], { protocol = cold.name, step = STEP } = {}): Pen {
  const pen = bringInKind(meetAll(household(new Pen())), 'acorns', 'A')
  pen.write({ type: 'way-chosen', lot: 'A', protocol: cold.name, goal: 'flour' })
  for (const each of minutes) {
    pen.force({ type: 'bath-changed', lot: 'A', protocol, step, fresh: { water_mL: 3000, temp_C: 8 } })
    pen.wait(each)
  }
  pen.force({ type: 'bath-changed', lot: 'A', protocol, step, fresh: null })
  return pen
}
const progress = (pen: Pen) => treatmentProgress(pen.lot(), cold, acorns, pen.log.state.house).steps[STEP]
const crumb = (pen: Pen, over: Partial<Saying<'tasted'>> = {}) =>
  pen.force({
    ...{ type: 'tasted', lot: 'A', taster: 'ann', bitter: 0, astringent: 0, crumb: true, accepts: false, alarm: null },
    ...over,
  })
const SIX = [480, 480, 480, 480, 480, 480]

describe('the baths of a leach', () => {
  it('count when they were long enough, a minute let go, of this way and this step alone', () => {
    const counted = (pen: Pen) => [progress(pen)?.baths?.counted, progress(pen)?.baths?.uncounted.length]
    expect(counted(leached([480, 479, 478, 100]))).toEqual([2, 2])
    expect(counted(leached(SIX, { protocol: 'hot baths' }))).toEqual([0, 0])
    expect(counted(leached(SIX, { step: 4 }))).toEqual([0, 0])
    const running = leached(SIX)
    running.force({
      type: 'bath-changed',
      lot: 'A',
      protocol: cold.name,
      step: STEP,
      fresh: { water_mL: 3000, temp_C: 8 },
    })
    expect(progress(running)?.baths).toMatchObject({ counted: 6, taste: undefined })
    expect(progress(running)?.baths?.running).toBeDefined()
  })
  it('are done with the least number, nothing in the water, and the worst crumb since mild enough', () => {
    const pen = leached(SIX)
    expect(progress(pen)).toMatchObject({ met: false, covered_g: 0, toCover_g: 900 })
    crumb(pen, { astringent: 3 })
    expect(progress(pen)).toMatchObject({ met: false, baths: { taste: 3, metAt: undefined } })
    crumb(pen, { bitter: 1 })
    // The milder crumb does not undo the harsher one.
    expect(progress(pen)).toMatchObject({ met: false, baths: { taste: 3 } })
    const mild = leached(SIX)
    const at = mild.now
    crumb(mild, { bitter: 1, crumb: true, accepts: false, alarm: null })
    expect(progress(mild)).toMatchObject({ met: true, covered_g: 900, baths: { taste: 1, metAt: at } })
    const five = leached(SIX.slice(1))
    crumb(five, { bitter: 0, crumb: true, accepts: false, alarm: null })
    expect(progress(five)).toMatchObject({ met: false, baths: { counted: 5, taste: 0 } })
    const wrong = leached(SIX)
    crumb(wrong, { bitter: 0, crumb: true, accepts: false, alarm: 'soap' })
    expect(progress(wrong)?.baths?.taste).toBeUndefined()
    const whole = leached(SIX)
    crumb(whole, { bitter: 0, crumb: false, accepts: true, alarm: null })
    expect(progress(whole)?.met).toBe(false)
    mild.force({
      type: 'bath-changed',
      lot: 'A',
      protocol: cold.name,
      step: STEP,
      fresh: { water_mL: 3000, temp_C: 8 },
    })
    expect(progress(mild)?.met).toBe(false)
  })
})

describe('the school that is followed', () => {
  const way = (name: string, standing: Protocol['standing'], over: Partial<Protocol> = {}): Protocol => ({
    name,
    standing,
    goals: ['eat'],
    steps: [],
    why: '',
    ...over,
  })
  const of = (...protocols: Protocol[]) => defaultProtocol({ ...acorns, protocols }, 'eat')?.name
  it('unasked is the cautious, else the usual, else the minimal one of that goal that makes food; never a contested one', () => {
    expect(of(way('m', 'minimal'), way('u', 'usual'), way('c', 'cautious'))).toBe('c')
    expect(of(way('m', 'minimal'), way('u', 'usual'))).toBe('u')
    expect(of(way('x', 'contested'), way('m', 'minimal'))).toBe('m')
    expect(of(way('x', 'contested'), way('y', 'not-advised'))).toBeUndefined()
    expect(of(way('c', 'cautious', { goals: ['dry'] }), way('u', 'usual'))).toBe('u')
    expect(of(way('c', 'cautious', { storeOnly: true }), way('u', 'usual'))).toBe('u')
    expect(of(way('c', 'cautious', { storeOnly: true }))).toBe('c')
  })
  it('is the chosen one, else the use’s own for eating, else its first that makes food', () => {
    const pen = leached([])
    const lot = pen.lot()
    expect(protocolOf(lot, acorns)?.name).toBe('cold baths')
    const unasked = { ...lot, way: null }
    const dryOnly = {
      ...acorns,
      protocols: [way('k', 'usual', { goals: ['freeze'], storeOnly: true }), way('d', 'usual', { goals: ['dry'] })],
    }
    expect(protocolOf(unasked, dryOnly)?.name).toBe('d')
    expect(protocolOf(unasked, { ...acorns, protocols: [way('e', 'usual')] })?.name).toBe('e')
    expect(isTreating({ op: 'boil', control: [], critical: true, onlyFor: ['dry'] }, 'eat')).toBe(false)
    expect(isTreating({ op: 'boil', control: [], critical: true }, 'eat')).toBe(true)
    for (const op of ['wash', 'freeze']) expect(isTreating({ op, control: [], critical: true }, 'eat')).toBe(false)
  })
})
