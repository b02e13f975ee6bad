import { describe, expect, it } from 'vitest'
import type { Sensitivity } from '../flora/vocabulary'
import { BLANCH, bringIn, cook, household, load, Pen } from '../test/pen'
import { bringInKind, makeSafeKind, meetAll } from '../test/plants'
import { eaterVerdict, neverFor, plateGate } from './plate'

const opened = () => meetAll(household(new Pen()))
const asked = (pen: Pen, sensitivities: readonly Sensitivity[], laxerConfirmed = false) =>
  pen.write({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind: 'adult', sensitivities }, ...(laxerConfirmed ? { laxerConfirmed } : {}) }) // prettier-ignore
const ate = (pen: Pen, lot: string, mass_g: number, who: string, at = pen.now) =>
  pen.force({ type: 'served', lot, pack: null, dish: 'soup', portions: [{ eater: who, mass_g }] }, at)
/** Somebody who knows these foods: no first taste is in the way. */
const knows = (pen: Pen, who: string, ...lots: readonly string[]) => {
  for (const lot of lots) ate(pen, lot, 1, who, '2027-05-01T08:00:00.000Z')
}
const of = (pen: Pen, who: string, lot = 'A') => {
  const { eater, name, ...said } = eaterVerdict(pen.lot(lot), pen.context, who)
  expect([eater, name]).toEqual([who, { ann: 'Ann', di: 'Di' }[who] ?? who])
  return { ...said, most_g: Math.round(said.most_g * 10) / 10 }
}

const OF_NETTLE = 'Nitrate and oxalate: about 250 g of trimmed raw tops a day, blanched (planning value).'
const VITAMIN_K = 'Leafy greens carry vitamin K: keep the weekly amount steady and ask whoever doses the medicine.'
const NO_FIGURE = `${VITAMIN_K} No figure is on record: one ordinary portion a day.`
const FIRST_TIME = 'First time with this plant: no more of it until tomorrow.'

describe('what somebody may have, and why not more', () => {
  it('is by the plant’s own day for who knows it, and none is left once that was had', () => {
    const pen = cook(opened())
    knows(pen, 'ann', 'A')
    const limit = `The day’s limit is 250 g, weighed raw. ${OF_NETTLE}`
    expect(of(pen, 'ann')).toEqual({
      ...{ state: 'open', most_g: 194.4, because: [limit], theirs: [] },
      reasons: [`Ann: up to 194 g now (the day’s limit is 250 g, weighed raw). ${OF_NETTLE}`],
    })
    ate(pen, 'A', 194.5, 'ann')
    expect(of(pen, 'ann')).toEqual({
      ...{ state: 'closed', most_g: 0, because: [], theirs: [] },
      reasons: [`Ann: no more today (the day’s limit is 250 g, weighed raw). ${OF_NETTLE}`],
    })
  })
  it('is theirs and not the plant’s where an illness is what holds it, and what else is to be minded stands beside it', () => {
    const pen = cook(opened())
    asked(pen, ['anticoagulant'])
    expect(of(pen, 'di')).toEqual({
      ...{ state: 'open', most_g: 50, because: [], theirs: [VITAMIN_K, FIRST_TIME] },
      reasons: [`Di: ${VITAMIN_K}`, 'Di’s first time with this plant: up to 50 g now, then no more until tomorrow.'], // prettier-ignore
    })
    knows(pen, 'di', 'A')
    expect(of(pen, 'di')).toEqual({
      ...{ state: 'open', most_g: 77.8, because: [], theirs: [`The day’s limit is 100 g, weighed raw. ${NO_FIGURE}`] },
      reasons: [`Di: up to 78 g now (the day’s limit is 100 g, weighed raw). ${NO_FIGURE}`],
    })
    asked(pen, ['anticoagulant', 'kidney-disease'])
    const { theirs, reasons, most_g } = of(pen, 'di')
    expect(most_g).toBe(38.9)
    expect(theirs).toEqual(['The day’s limit is 50 g, weighed raw. Potassium and some oxalate; boil, throw the water away, and ask the doctor.', VITAMIN_K]) // prettier-ignore
    expect(reasons[0]).toBe(`Di: ${VITAMIN_K}`)
  })
  it('is by what plants share where that leaves less, with what holds each of them and what they once said', () => {
    const pen = cook(opened())
    makeSafeKind(bringInKind(pen, 'beet', 'B'), 'beet', 'B')
    asked(pen, ['kidney-stone'])
    asked(pen, ['anticoagulant'], true)
    for (const who of ['ann', 'di']) {
      knows(pen, who, 'A', 'B')
      ate(pen, 'A', 50, who)
    }
    const shared = 'Soluble oxalate adds up over the day: nettle held some too.'
    const beet = 'The day’s limit is 150 g, weighed raw. Oxalate: an ordinary boiled portion a day (planning value).'
    const once = 'Di: noted without kidney stones since Sun 16 May 2027.'
    const beetK = 'Vitamin K: keep amounts steady and ask whoever doses the medicine.'
    expect(of(pen, 'ann', 'B')).toEqual({
      ...{ state: 'open', most_g: 47.1, because: [shared, beet], theirs: [] },
      reasons: [`Ann: up to 47 g now. ${shared}`],
    })
    expect(of(pen, 'di', 'B')).toEqual({
      ...{ state: 'open', most_g: 19.6, because: [shared] },
      theirs: [`The day’s limit is 100 g, weighed raw. ${beetK} No figure is on record: one ordinary portion a day.`, once], // prettier-ignore
      reasons: [`Di: ${beetK}`, `Di: up to 20 g now. ${shared}`, once],
    })
    // Two hazards that they share leave less and less: the one that leaves least is told.
    ate(pen, 'A', 500, 'ann')
    expect(of(pen, 'ann', 'B')).toEqual({
      ...{ state: 'closed', most_g: 0, because: [], theirs: [], reasons: [`Ann: no more today. ${shared}`] },
    })
  })
  it('is nothing of what no record knows, whoever asks, and opens for nobody who is not known', () => {
    const pen = opened()
    pen.force({ type: 'weighed-in', lot: 'A', code: 'A', taxon: 'Urtica dioica', part: 'tuber', stage: 'ripe', patch: 'wall', mass_g: 500, pickedAt: pen.now }) // prettier-ignore
    const nothing = { state: 'closed', most_g: 0, because: [], theirs: [] }
    expect(of(pen, 'ann')).toEqual({ ...nothing, reasons: ['Nothing is on record about eating this.'] })
    const known = cook(opened())
    expect(of(known, 'zed')).toEqual({ ...nothing, state: 'ajar', reasons: ['This eater is not known yet.'] })
    const intent = { portions: [{ eater: 'ann', mass_g: 50.5 }], pack: null }
    expect(plateGate(known.lot(), known.context, intent).state).toBe('open')
    expect(plateGate(known.lot(), known.context, { ...intent, portions: [{ eater: 'ann', mass_g: 51.1 }] }).state).toBe('closed') // prettier-ignore
  })
})

describe('a pack', () => {
  const taste = (pen: Pen, accepts: boolean, alarm: 'soap' | null = null) =>
    pen.force({ type: 'tasted', lot: 'A', taster: 'ann', bitter: accepts ? 1 : 8, astringent: 0, crumb: false, accepts, alarm }) // prettier-ignore
  const packed = () => {
    const pen = bringIn(opened())
    load(pen, 900)
    taste(pen, false)
    pen.wait(1).write({ type: 'packed', lot: 'A', pack: 'p', store: 'frozen', mass_g: 200, containers: 1, storeTemp_C: -20 }) // prettier-ignore
    return pen.wait(1)
  }
  const boilAgain = (pen: Pen) => {
    const { id } = pen.force({ type: 'step-begun', lot: 'A', ...BLANCH, load: 2, mass_g: 700 })
    pen.wait(4).force({ type: 'step-done', lot: 'A', begun: id, outcome: 'done', minutes: 3, temp_C: 96, backToBoil_s: 50, driedTo_g: null, checked: true, water: 'thrown' }) // prettier-ignore
    pen.wait(1)
  }
  const serve = (pen: Pen, pack: string | null) => {
    const { proposal } = pen.try({ type: 'served', lot: 'A', pack, dish: 'soup', portions: [{ eater: 'ann', mass_g: 5 }] }) // prettier-ignore
    return proposal.ok ? 'taken' : proposal.message
  }
  it('tastes as it did when it was packed, whatever the rest tastes like once it was boiled again', () => {
    const pen = packed()
    boilAgain(pen)
    taste(pen, true)
    pen.wait(1)
    expect(serve(pen, 'p')).toMatch(/^Taste is to do\. Bitterness 8 of 10, not accepted/)
    expect(serve(pen, null)).toBe('taken')
  })
  it('is accepted with the rest where nothing was done to that since, and held where it tasted wrong', () => {
    const pen = packed()
    taste(pen, true)
    expect(serve(pen.wait(1), 'p')).toBe('taken')
    const wrong = packed()
    boilAgain(wrong)
    taste(wrong, false, 'soap')
    expect(serve(wrong.wait(1), 'p')).toMatch(/tasted (wrong|of soap)/)
  })
  it('is not the food that salt was put to, or that was cut up, after it was packed', () => {
    for (const act of [
      { type: 'ingredient-added', lot: 'A', what: 'salt', name: 'salt', mass_g: 9 },
      { type: 'cut-up', lot: 'A', how: 'cut' },
    ] as const) {
      const pen = packed()
      pen.force(act)
      taste(pen.wait(1), true)
      expect(serve(pen.wait(1), 'p')).toMatch(/^Taste is to do/)
    }
  })
})

describe('who must never have any', () => {
  it('is judged by the way of the food in hand, and of each part of a batch without one of its own', () => {
    const weak = { id: 'di', name: 'Di', kind: 'adult', sensitivities: ['immunocompromised'] as const }
    const barred = (pen: Pen, lot = 'A') => neverFor(pen.lot(lot), weak as never, pen.context).length > 0
    const raw = { type: 'way-chosen', lot: 'A', protocol: 'raw, crushed or blended', goal: 'eat-raw' } as const
    const pen = bringIn(opened())
    // No way chosen yet is to be cooked.
    expect(barred(pen)).toBe(false)
    pen.force(raw)
    expect(barred(pen)).toBe(true)
    bringIn(pen, { lot: 'B' })
    pen.force({ type: 'joined', lot: 'J', code: 'J', parts: [{ lot: 'A', mass_g: 100 }, { lot: 'B', mass_g: 100 }] }) // prettier-ignore
    expect(barred(pen, 'J')).toBe(true)
    pen.force({ type: 'way-chosen', lot: 'J', protocol: 'blanch and drain', goal: 'eat' })
    expect(barred(pen, 'J')).toBe(false)
  })
})
