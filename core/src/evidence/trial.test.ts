import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findUse, requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import type { Saying } from '../log/stamp'
import { bringIn, household, Pen } from '../test/pen'
import { ARMS, cupOrder, trialBarred, trialOutcome } from './trial'

const DANDELION = { taxon: 'Taraxacum officinale', part: 'leaf', stage: 'young' } as const
const SOAK = { ...DANDELION, school: 'raw, cold soaked', step: 2 } as const
const soakAt = (requireTaxon(CATALOGUE, DANDELION.taxon).uses ?? [])
  .find(({ part, stage }) => part === 'leaf' && stage === 'young')
  ?.protocols.find(({ name }) => name === SOAK.school)
  ?.steps.findIndex(({ op }) => op === 'soak-cold')

/** One picking of dandelion in so many bowls, and a trial of their minutes in the soak. */
function bowls(minutes: readonly number[]): { pen: Pen; arms: Saying<'trial-set'>['arms'] } {
  const pen = household(new Pen())
  pen.force({ type: 'weighed-in', lot: 'L0', code: 'L0', ...DANDELION, patch: 'wall', mass_g: 600, pickedAt: pen.now })
  minutes.slice(1).forEach((_, index) => {
    pen.wait(1)
    pen.write({ type: 'split', lot: 'L0', into: `L${index + 1}`, code: `L${index + 1}`, mass_g: 100, why: 'trial' })
  })
  pen.wait(1)
  return { pen, arms: minutes.map((each, index) => ({ lot: `L${index}`, minutes: each })) }
}

function soak(pen: Pen, lot: string, minutes: number): void {
  const begun = pen.force({ type: 'step-begun', lot, protocol: SOAK.school, step: SOAK.step, load: 1, mass_g: 100 })
  pen.wait(minutes)
  pen.force({ type: 'step-done', lot, begun: begun.id, outcome: 'done', minutes, temp_C: null, backToBoil_s: null, driedTo_g: null, checked: true, water: 'thrown' }) // prettier-ignore
}

function taste(pen: Pen, lot: string, taster: string, bitter: number, more: Partial<Saying<'tasted'>> = {}): void {
  pen.force({ type: 'tasted', lot, taster, bitter, astringent: 0, crumb: false, accepts: true, alarm: null, ...more })
  pen.wait(1)
}

describe('a trial of one step', () => {
  it('is barred wherever anything but the tongue has a say, over every step of the catalogue', () => {
    let [free, barred] = [0, 0]
    for (const { uses } of CATALOGUE.taxa)
      for (const use of uses.filter(({ verdict }) => verdict !== 'never'))
        for (const protocol of use.protocols) {
          expect(trialBarred(use, protocol, protocol.steps.length)).toMatch(/no such step/)
          protocol.steps.forEach((step, at) => {
            const why = trialBarred(use, protocol, at)
            const kinds = step.control.map((id) => use.hazards.find((hazard) => hazard.id === id))
            const grave = kinds.some((hazard) => hazard === undefined || ['toxic', 'untreatable', 'biological', 'amount', 'person'].includes(hazard.kind)) // prettier-ignore
            const mustNot = grave || step.critical || step.limit !== undefined || step.control.length === 0 || ['contested', 'not-advised'].includes(protocol.standing) || protocol.storeOnly === true // prettier-ignore
            if (mustNot) expect([protocol.name, step.op, why]).not.toContain(undefined)
            if (why === undefined) {
              free += 1
              expect(['sort', 'wash', 'dry', 'refresh']).not.toContain(step.op)
            } else barred += 1
          })
        }
    expect(free).toBeGreaterThan(15)
    expect(barred).toBeGreaterThan(900)
    const nettle = findUse(requireTaxon(CATALOGUE, 'Urtica dioica'), 'leafy-top', 'young')
    const [blanch] = nettle?.protocols.filter(({ name }) => name === 'blanch and drain') ?? []
    expect(nettle && blanch && trialBarred(nettle, blanch, 2)).toBe('Blanching is critical here, whatever it tastes of: it is not tried with less.') // prettier-ignore
  })
  it('takes bowls of one picking that differ in one thing, and says which is wrong', () => {
    expect(soakAt).toBe(SOAK.step)
    const { pen, arms } = bowls([60, 30, 0])
    const set = (over: Partial<Saying<'trial-set'>>) => {
      const { proposal } = pen.copy().try({ type: 'trial-set', trial: 't', ...SOAK, arms, ...over })
      return proposal.ok ? 'taken' : `${proposal.field}: ${proposal.message}`
    }
    expect(set({})).toBe('taken')
    expect(set({ school: 'none' })).toMatch(/^school: There is no such school/)
    expect(set({ taxon: 'Nothing at all' })).toMatch(/^school/)
    expect(set({ step: 0 })).toMatch(/^step: /)
    expect(set({ arms: arms.slice(0, 1) })).toBe(`arms: A trial takes ${ARMS.least} to ${ARMS.most} bowls.`)
    expect(set({ arms: [0, 1, 2, 3, 4].map((each) => ({ lot: `L${each}`, minutes: each })) })).toMatch(/2 to 4 bowls/)
    expect(set({ arms: [{ lot: 'L0', minutes: 9 }, { lot: 'L0', minutes: 5 }] })).toMatch(/a lot of its own/) // prettier-ignore
    expect(set({ arms: [{ lot: 'L0', minutes: 9 }, { lot: 'L1', minutes: 9 }] })).toMatch(/one thing differs/) // prettier-ignore
    expect(set({ arms: [{ lot: 'L0', minutes: 9 }, { lot: 'none', minutes: 5 }] })).toMatch(/parts of one picking/) // prettier-ignore
    pen.force({ type: 'weighed-in', lot: 'M', code: 'M', ...DANDELION, patch: 'wall', mass_g: 90, pickedAt: pen.now })
    expect(set({ arms: [{ lot: 'L0', minutes: 9 }, { lot: 'M', minutes: 5 }] })).toMatch(/parts of one picking/) // prettier-ignore
    const other = bringIn(new Pen(), {})
    expect(other.try({ type: 'trial-set', trial: 't', ...SOAK, arms: [{ lot: 'A', minutes: 9 }, { lot: 'B', minutes: 5 }] }).proposal.ok).toBe(false) // prettier-ignore
    soak(pen, 'L2', 3)
    expect(set({})).toBe('arms: Lot L2 is past this step already.')
    expect(set({ arms: arms.slice(0, 2) })).toBe('taken')
    pen.write({ type: 'trial-set', trial: 't', ...SOAK, arms: arms.slice(0, 2) })
    expect(set({})).toMatch(/set already/)
    expect(set({ trial: 'u', arms: arms.slice(0, 2) })).toBe('arms: Lot L0 is in a trial already: one change at a time.') // prettier-ignore
  })
  it('hands each taster the bowls in an order of their own, each once, the same when asked again', () => {
    const firsts = new Set<number>()
    fc.assert(
      fc.property(fc.string(), fc.string(), fc.integer({ min: 2, max: 4 }), (id, taster, count) => {
        const trial = { id, arms: Array.from({ length: count }, (_, index) => ({ lot: `L${index}`, minutes: index })) }
        const order = cupOrder(trial, taster)
        expect(order.toSorted((a, b) => a - b)).toEqual(trial.arms.map((_, index) => index))
        expect(cupOrder(trial, taster)).toEqual(order)
        firsts.add(order[0] ?? -1)
      }),
    )
    expect(firsts.size).toBeGreaterThan(2)
  })

  /** What is told of a trial after each taster gave each bowl so much, most of the step first. */
  const told = (
    minutes: readonly number[],
    tastes: Readonly<Record<string, readonly (number | Partial<Saying<'tasted'>>)[]>>,
  ) => {
    // prettier-ignore
    const { pen, arms } = bowls(minutes)
    pen.write({ type: 'trial-set', trial: 't', ...SOAK, arms })
    minutes.forEach((each, index) => {
      if (each > 0) soak(pen, `L${index}`, each)
    })
    for (const [taster, scores] of Object.entries(tastes))
      scores.forEach((score, index) =>
        typeof score === 'number' ? taste(pen, `L${index}`, taster, score) : taste(pen, `L${index}`, taster, 0, score),
      )
    const [trial] = Object.values(pen.log.state.house.trials)
    if (trial === undefined) throw new RangeError('expected a trial')
    return { outcome: trialOutcome(trial, pen.context), pen, trial }
  }
  const standings = (...asked: Parameters<typeof told>) => told(...asked).outcome.arms.map(({ standing }) => standing)

  it('weighs each bowl against the one with most of the step, taster by taster', () => {
    // A harsh tongue and a mild one agree on the difference, and that is all that counts.
    expect(standings([60, 30], { ann: [8, 8], cy: [1, 1], di: [4, 4] })).toEqual(['reference', 'no-worse'])
    expect(standings([60, 30], { ann: [2, 5], cy: [1, 4] })).toEqual(['reference', 'worse'])
    expect(standings([60, 30], { ann: [2, 3], cy: [1, 2] })).toEqual(['reference', 'unsure'])
    expect(standings([60, 30], { ann: [2, 2] })).toEqual(['reference', 'few'])
    expect(standings([60, 30], { ann: [2], cy: [1] })).toEqual(['reference', 'untasted'])
    expect(standings([60, 30], { ann: [2, { accepts: false }], cy: [2, 2] })[1]).toBe('worse')
    expect(standings([60, 30], { ann: [2, { alarm: 'soap', accepts: false }], cy: [2, 2] })[1]).toBe('worse')
    // What lingers, dries or burns counts as much as the first hit.
    for (const late of [{ aftertaste: 6 }, { astringent: 6 }, { notes: { acrid: 6 } }])
      expect(standings([60, 30], { ann: [1, late], cy: [1, late] })[1]).toBe('worse')
    const spat = { crumb: true, bitter: 9 }
    expect(standings([60, 30], { ann: [2, spat], cy: [2, spat] })[1]).toBe('untasted')
  })
  it('counts only the first taste of each, after the bowls were set, and a bowl done as it was set', () => {
    const { pen, trial } = told([60, 30], { ann: [2, 2], cy: [2, 2] })
    taste(pen, 'L1', 'ann', 10)
    expect(trialOutcome(trial, pen.context).arms[1]).toMatchObject({ standing: 'no-worse', harsh: 2, tasters: 2, accepted: 2, did_min: 30 }) // prettier-ignore
    const { outcome } = told([60, 0], { ann: [2, 2], cy: [2, 2] })
    expect(outcome.arms[1]).toMatchObject({ did_min: 0, standing: 'no-worse' })
    expect(outcome.through).toEqual(['ann', 'cy'])
    const { pen: early, arms } = bowls([60, 30])
    taste(early, 'L1', 'ann', 1)
    early.write({ type: 'trial-set', trial: 't', ...SOAK, arms })
    const [set] = Object.values(early.log.state.house.trials)
    expect(set && trialOutcome(set, early.context).arms.map((arm) => [arm.tasters, arm.did_min])).toEqual([[0, undefined], [0, undefined]]) // prettier-ignore
    const off = bowls([60, 30])
    off.pen.write({ type: 'trial-set', trial: 't', ...SOAK, arms: off.arms })
    soak(off.pen, 'L0', 60)
    soak(off.pen, 'L1', 40)
    const [slipped] = Object.values(off.pen.log.state.house.trials)
    expect(slipped && trialOutcome(slipped, off.pen.context).arms[1]?.standing).toBe('not-as-set')
  })
  it('steps down to half, then to none, tries again what nobody is sure of, and says for which place it holds', () => {
    const next = (...asked: Parameters<typeof told>) => told(...asked).outcome.next_min
    const same = { ann: [2, 2], cy: [2, 2] }
    expect(next([60, 30], same)).toBe(15)
    expect(next([60, 1], same)).toBeUndefined()
    expect(next([60, 0], same)).toBeUndefined()
    expect(next([60, 30], { ann: [2, 6], cy: [2, 6] })).toBe(45)
    expect(next([60, 30, 10], { ann: [2, 2, 7], cy: [2, 2, 7] })).toBe(20)
    expect(next([60, 30], { ann: [2, 3], cy: [1, 2] })).toBe(30)
    expect(next([60, 30], { ann: [2, 2] })).toBeUndefined()
    expect(told([60, 30], same).outcome.says).toBe(
      'Against 60 min of soaking, 30 min of soaking was no worse (2 tasters). Next time, against the best of these: 15 min of soaking. True of what grows at Wall, and of these tongues; it moves no limit.',
    )
    expect(told([60, 0], { ann: [2, 6], cy: [2, 7] }).outcome.says).toMatch(
      /no soaking was worse \(2 tasters\). Next time/,
    )
    expect(told([60, 30], same).outcome.patch).toBe('wall')
  })
})
