import { describe, expect, it } from 'vitest'
import { findUse, requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import type { Goal, Protocol, Step, Taxon, Use } from '../flora/taxon'
import { makeSafeGate } from '../gates/makeSafe'
import { currentStep } from '../lot/doNow'
import { CLEAN, Pen } from '../test/pen'
import { isForTongue, isHeated, isLeftOut, notForTongue, notLeftOut } from './tongue'

const LOT_g = 500

/** A sorted lot on clean ground, on a way. */
function sorted(taxon: Taxon, use: Use, protocol: Protocol, goal: Goal): Pen {
  const pen = new Pen()
  const burner = { power_W: 2000, efficiency: 0.5 }
  pen.force({ type: 'kitchen-set', kitchen: { name: 'K', elevation_m: 0, timeZone: 'UTC', burner, pots_mL: [9000], waterTemp_C: 9, ice_g: 0 } }) // prettier-ignore
  pen.force({ type: 'ground-noted', patch: 'p', name: 'P', facts: CLEAN })
  const { part, stage } = use
  pen.force({ type: 'weighed-in', lot: 'A', code: 'A', taxon: taxon.scientificName, part, stage, patch: 'p', mass_g: LOT_g, pickedAt: pen.now }) // prettier-ignore
  pen.force({ type: 'sorted', lot: 'A', stageSeen: stage, kept_g: LOT_g, trimmed_g: 0, trimmedTo: 'compost', wash: { water: 'safe', changes: 2 } }) // prettier-ignore
  pen.force({ type: 'way-chosen', lot: 'A', protocol: protocol.name, goal })
  return pen
}

/** Does one step as the app asks for it, well within its limit. */
function doStep(pen: Pen, protocol: Protocol, { op, limit, minutes }: Step, index: number): void {
  if (op === 'ferment' && limit?.measure === 'ph')
    pen.force({ type: 'ingredient-added', lot: 'A', what: 'salt', name: 'salt', mass_g: 20 })
  const at = { lot: 'A', protocol: protocol.name, step: index }
  if (limit?.measure === 'baths') {
    for (let bath = 0; bath < limit.least; bath += 1) {
      pen.force({ type: 'bath-changed', ...at, fresh: { water_mL: 9000, temp_C: op === 'leach-hot' ? 97 : 8 } })
      pen.wait(limit.minutes + 1)
    }
    pen.force({ type: 'bath-changed', ...at, fresh: null })
    pen.force({ type: 'tasted', lot: 'A', taster: 'ann', bitter: 0, astringent: 0, crumb: true, accepts: false, alarm: null }) // prettier-ignore
    pen.wait(1)
    return
  }
  const asked =
    limit !== undefined && 'minutes' in limit && limit.minutes !== undefined ? limit.minutes : (minutes?.low ?? 1)
  const begun = pen.force({ type: 'step-begun', ...at, load: 1, mass_g: pen.lot().mass_g })
  pen.wait(asked + 2)
  if (limit?.measure === 'ph') pen.force({ type: 'reading-taken', lot: 'A', what: 'ph', value: 3, instrument: 'm' })
  pen.force({
    ...{ type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes: asked + 2 },
    temp_C: limit?.measure === 'food-temperature' ? limit.temp_C + 1 : op === 'boil' || op === 'blanch' ? 100 : null,
    ...{ backToBoil_s: null, driedTo_g: limit?.measure === 'dried-to' ? 20 : null, checked: true, water: 'thrown' },
  })
  pen.wait(1)
}

/** Every accepted way of the catalogue that makes food, with each goal. */
const WAYS = CATALOGUE.taxa.flatMap((taxon) =>
  taxon.uses.flatMap((use) =>
    use.protocols
      .filter(({ standing, storeOnly }) => storeOnly !== true && standing !== 'contested' && standing !== 'not-advised')
      .flatMap((protocol) => protocol.goals.map((goal) => ({ taxon, use, protocol, goal }))),
  ),
)

describe('steps for the tongue', () => {
  it('of every way in the catalogue, done one after another as they are asked for, lead to food: no way ends in the dark', () => {
    let walked = 0
    for (const { taxon, use, protocol, goal } of WAYS) {
      if (use.verdict === 'never') continue
      const pen = sorted(taxon, use, protocol, goal)
      const name = `${taxon.scientificName} ${use.part}, ${protocol.name}, ${goal}`
      for (let left = 20; left > 0; left -= 1) {
        const current = currentStep(pen.lot(), pen.context)
        if (current === undefined) break
        expect([name, current.protocol.name]).toEqual([name, protocol.name])
        doStep(pen, protocol, current.step, current.progress.index)
      }
      expect([name, currentStep(pen.lot(), pen.context)?.step.op]).toEqual([name, undefined])
      const gate = makeSafeGate(pen.lot(), pen.context)
      // What has no answer at all is refused, whatever is done.
      if (gate.state !== 'closed') expect([name, gate.state, gate.reasons]).toEqual([name, 'open', gate.reasons])
      walked += 1
    }
    expect(walked).toBeGreaterThan(300)
  })
  it('may be left out, each that the record allows, and the rest of the way still leads to food; no other step may', () => {
    let [out, kept] = [0, 0]
    for (const { taxon, use, protocol, goal } of WAYS)
      for (const [index, step] of protocol.steps.entries()) {
        const why = notLeftOut(use, protocol, index)
        const grave = step.control.some((id) => {
          const kind = use.hazards.find((hazard) => hazard.id === id)?.kind
          return kind !== 'palate' && id !== 'fibre' && id !== 'mucilage'
        })
        if (step.critical || step.limit !== undefined || grave || step.control.length === 0) expect(why).toBeDefined()
        const pen = sorted(taxon, use, protocol, goal)
        const { proposal } = pen.try({ type: 'way-chosen', lot: 'A', protocol: protocol.name, goal, without: [index] })
        expect(proposal.ok).toBe(why === undefined)
        if (why !== undefined) {
          kept += 1
          continue
        }
        expect(isLeftOut(pen.lot(), protocol.name, index, pen.log.state.house)).toBe(true)
        for (let left = 20; left > 0; left -= 1) {
          const current = currentStep(pen.lot(), pen.context)
          if (current === undefined) break
          expect(current.progress.index).not.toBe(index)
          doStep(pen, protocol, current.step, current.progress.index)
        }
        const name = `${taxon.scientificName} ${use.part}, ${protocol.name}, ${goal}, without ${step.op}`
        expect([name, makeSafeGate(pen.lot(), pen.context).state]).toEqual([name, 'open'])
        // What is on record cooked only was cooked all the same.
        if (use.verdict !== 'raw-ok')
          expect([name, protocol.steps.some(({ op }, at) => at !== index && isHeated(op))]).toEqual([name, true])
        out += 1
      }
    expect(out).toBeGreaterThan(10)
    expect(kept).toBeGreaterThan(1500)
  })
  it('says why a step is no matter of taste, and why one stays', () => {
    const step = (more: Partial<Step>): Step => ({ op: 'boil', control: ['bitter'], critical: false, minutes: { low: 5, high: 9 }, ...more }) // prettier-ignore
    const hazard = (id: string, kind: Use['hazards'][number]['kind']) => ({ id, kind, level: 'low', note: '', answers: [] }) as const // prettier-ignore
    const use = { hazards: [hazard('bitter', 'palate'), hazard('fibre', 'mechanical'), hazard('spine', 'mechanical'), hazard('lectin', 'toxic')], verdict: 'cook' } as const // prettier-ignore
    const why = (more: Partial<Step>) => notForTongue(use, step(more))
    expect([why({}), why({ control: ['bitter', 'fibre'] })]).toEqual([undefined, undefined])
    expect(why({ critical: true })).toBe('Boiling is critical here, whatever it tastes of: it is not tried with less.')
    expect(why({ limit: { measure: 'seen', sign: 'soft' } })).toMatch(/critical here/)
    expect(why({ control: ['bitter', 'lectin'] })).toBe('Boiling stands against lectin, and no tongue can tell whether that is gone.') // prettier-ignore
    expect(why({ control: ['spine'] })).toMatch(/stands against spine/)
    expect(why({ control: ['unheard'] })).toMatch(/stands against unheard/)
    expect(why({ control: [] })).toBe(
      'Boiling is not on record here as a step for the tongue: it is not tried with less.',
    )
    const timeless: Step = { op: 'boil', control: ['bitter'], critical: false }
    expect(notForTongue(use, timeless)).toMatch(/not on record here as a step for the tongue/)
    expect([isForTongue(hazard('bitter', 'palate')), isForTongue(hazard('mucilage', 'mechanical')), isForTongue(hazard('spine', 'mechanical')), isForTongue(hazard('bitter', 'toxic'))]).toEqual([true, true, false, false]) // prettier-ignore
    const out = (steps: readonly Step[], more: Partial<Use> = {}, storeOnly?: true) =>
      notLeftOut({ ...use, ...more }, { steps, ...(storeOnly && { storeOnly }) }, 0)
    const ONLY =
      'It is not on record as eaten raw, and no other step of this way is sure to cook it: make this one shorter, and keep it.'
    expect(out([step({})])).toBe(ONLY)
    expect(out([step({})], { verdict: 'raw-ok' })).toBeUndefined()
    expect(out([step({}), step({ op: 'fry' })])).toBeUndefined()
    expect(out([step({}), step({ op: 'chop' })])).toBe(ONLY)
    expect(out([step({ op: 'soak-cold' })])).toBe(ONLY)
    expect(out([step({}), step({ op: 'fry', control: [] })])).toBe(ONLY)
    expect(out([step({}), step({ op: 'fry', control: [], critical: true })])).toBeUndefined()
    expect(out([step({})], { verdict: 'raw-ok' }, true)).toBe('This way only keeps it: every step of it stays.')
    expect(out([step({ critical: true })], { verdict: 'raw-ok' })).toMatch(/critical here/)
    expect(out([])).toBe('There is no such step in this school.')
    expect([isHeated('boil'), isHeated('chop')]).toEqual([true, false])
  })
  it('stays with the way it was left out of, and with the bowl of a trial that goes without', () => {
    const taxon = requireTaxon(CATALOGUE, 'Taraxacum officinale')
    const use = findUse(taxon, 'leaf', 'young')
    const [soaked, blanched] = use?.protocols ?? []
    if (use === undefined || soaked === undefined || blanched === undefined) throw new RangeError('expected two ways')
    const pen = sorted(taxon, use, soaked, 'eat-raw')
    const due = () => currentStep(pen.lot(), pen.context)?.step.op
    expect(due()).toBe('soak-cold')
    pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 100, why: 'trial' })
    pen.write({ type: 'split', lot: 'A', into: 'C', code: 'C', mass_g: 100, why: 'trial' })
    const trial = { taxon: taxon.scientificName, part: 'leaf', stage: 'young', school: soaked.name, step: 2 } as const
    pen.write({ type: 'trial-set', trial: 't', ...trial, arms: [{ lot: 'B', minutes: 30 }, { lot: 'C', minutes: 0 }] }) // prettier-ignore
    const of = (lot: string) => currentStep(pen.lot(lot), pen.context)?.step.op
    expect([due(), of('B'), of('C')]).toEqual(['soak-cold', 'soak-cold', undefined])
    pen.write({ type: 'way-chosen', lot: 'A', protocol: soaked.name, goal: 'eat-raw', without: [2] })
    expect(due()).toBeUndefined()
    expect(isLeftOut(pen.lot(), blanched.name, 2, pen.log.state.house)).toBe(false)
    expect(isLeftOut(pen.lot(), soaked.name, 1, pen.log.state.house)).toBe(false)
    pen.write({ type: 'way-chosen', lot: 'A', protocol: soaked.name, goal: 'eat-raw' })
    expect(due()).toBe('soak-cold')
    // Accepted as it is: nothing more is asked for the tongue. A crumb, or not accepted, ends nothing.
    const taste = { type: 'tasted', lot: 'A', taster: 'ann', bitter: 2, astringent: 0, alarm: null } as const
    pen.force({ ...taste, crumb: false, accepts: false })
    expect(due()).toBe('soak-cold')
    pen.force({ ...taste, crumb: false, accepts: true })
    expect(due()).toBeUndefined()
  })
})
