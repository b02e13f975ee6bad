import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { freshnessOf } from '../freshness/freshness'
import { eaterVerdict } from '../gates/plate'
import { eatenBy } from '../meal/eaten'
import { foodReach, recallReach } from '../lot/reach'
import { heldFood } from '../lot/held'
import { isStopped } from '../lot/stopped'
import type { Saying } from '../log/stamp'
import { handOver } from '../lot/handover'
import { bringIn, CLEAN, household, Pen } from '../test/pen'
import { bringInKind, makeSafeKind, meetAll, tasteOf } from '../test/plants'

// What happens to food after its gates have opened, as cooks meet it; each title begins with the id of its scenario.

const opened = () => meetAll(household(new Pen()))
const said = ({ proposal }: ReturnType<Pen['try']>) => (proposal.ok ? 'taken' : proposal.message)
const serve = (pen: Pen, lot: string, mass_g: number, eater = 'ann') =>
  said(pen.try({ type: 'served', lot, pack: null, dish: 'soup', portions: [{ eater, mass_g }] }))
const person = (pen: Pen, over: Partial<Saying<'eater-noted'>['eater']>) =>
  pen.write({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind: 'adult', sensitivities: [], ...over } })
const hadBefore = (pen: Pen, lot: string, who: string) =>
  pen.force({ type: 'served', lot, pack: null, dish: 'long ago', portions: [{ eater: who, mass_g: 1 }] }, '2027-05-01T08:00:00.000Z') // prettier-ignore
const ramsons = (kept_g = 400) => {
  const pen = bringInKind(opened(), 'ramsons', 'R', { picked_g: kept_g + 50, kept_g })
  pen.write({ type: 'way-chosen', lot: 'R', protocol: 'raw', goal: 'eat-raw' })
  tasteOf(pen, 'R')
  return pen
}
const pack = (pen: Pen, lot: string, store: Saying<'packed'>['store'], storeTemp_C: number | null, mass_g = 100) =>
  said(pen.try({ type: 'packed', lot, pack: `${lot}-${store}`, store, mass_g, containers: 1, storeTemp_C }))

describe('a stray', () => {
  const stray = (pen: Pen, what: string, brokenUp: boolean) => pen.write({ type: 'stray-reported', lot: 'R', what, brokenUp }) // prettier-ignore
  it('S-TEL-17: one whole arum leaf in 400 g of ramsons holds them all until they were gone through and counted', () => {
    const pen = ramsons()
    expect(serve(pen.copy(), 'R', 2)).toBe('taken')
    stray(pen, 'one arum leaf, whole', false)
    const blocked = () => [
      said(pen.try({ type: 'cut-up', lot: 'R', how: 'cut' })),
      said(pen.try({ type: 'cut-up', lot: 'R', how: 'pounded' })),
      pack(pen, 'R', 'frozen', -19),
      serve(pen, 'R', 2),
    ]
    for (const each of blocked()) expect(each).toMatch(/stray|leaf by leaf/i)
    // Going through it must turn up at least what was seen.
    expect(said(pen.try({ type: 'strays-sorted', lot: 'R', found: 0 }))).toMatch(/^1 stray reported/)
    expect(said(pen.try({ type: 'strays-sorted', lot: 'R', found: 1 }))).toBe('taken')
    expect(serve(pen.wait(1), 'R', 2)).toBe('taken')
  })
  it('S-TEL-18: in a paste that is partly on plates only throwing away is left, and all that came of it is listed', () => {
    const pen = ramsons()
    expect(pack(pen, 'R', 'frozen', -19, 150)).toBe('taken')
    pen.write({ type: 'cut-up', lot: 'R', how: 'pounded' })
    expect(serve(pen, 'R', 2)).toBe('taken')
    stray(pen, 'a torn piece of autumn crocus leaf', true)
    expect(isStopped(pen.lot('R'), pen.context)).toBe(true)
    expect(foodReach(pen.lot('R'), pen.log.state)).toMatchObject({
      packs: [{ pack: 'R-frozen', mass_g: 150 }],
      servings: [{ dish: 'soup', eaters: ['ann'] }],
    })
    expect(heldFood(pen.context)).toMatchObject({ packs: [{ pack: 'R-frozen' }], servings: [{ eaters: ['ann'] }] })
    expect(said(pen.try({ type: 'strays-sorted', lot: 'R', found: 1 }))).toMatch(/[Tt]hrow/)
    expect(serve(pen, 'R', 1)).not.toBe('taken')
    expect(said(pen.try({ type: 'thrown-away', lot: 'R', pack: null, mass_g: 200, why: 'a stray in it' }))).toBe(
      'taken',
    )
  })
})

describe('a tongue', () => {
  it('S-TEL-21: tastes nothing while a deadly plant still stands, and may when only harmless ones do', () => {
    const pen = opened()
    pen.write({ type: 'weighed-in', lot: 'R', code: 'R', taxon: 'Allium ursinum', part: 'leaf', stage: 'young', patch: 'wall', mass_g: 400, pickedAt: pen.now }) // prettier-ignore
    pen.write({ type: 'tell-seen', lot: 'R', character: 'crushedScent', answer: 'seen', states: ['garlic-onion'] })
    const taste = (over: Pen) => said(over.try({ type: 'tasted', lot: 'R', taster: 'ann', bitter: 0, astringent: 0, crumb: false, accepts: true, alarm: null })) // prettier-ignore
    expect(taste(pen)).toMatch(/lily of the valley|Convallaria|autumn crocus|lords and ladies/i)
    const known = bringInKind(opened(), 'ramsons', 'R')
    known.write({ type: 'way-chosen', lot: 'R', protocol: 'raw', goal: 'eat-raw' })
    expect(taste(known)).toBe('taken')
  })
  it('S-TAS-05: numbness at the first bite locks the food, opens its name again, and names who else has it', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    person(pen, {})
    for (const who of ['ann', 'di']) hadBefore(pen, 'A', who)
    pen.write({ type: 'served', lot: 'A', pack: null, dish: 'stew', portions: [{ eater: 'ann', mass_g: 60 }, { eater: 'di', mass_g: 40 }] }) // prettier-ignore
    pen.write({ type: 'tasted', lot: 'A', taster: 'ann', bitter: 0, astringent: 0, crumb: false, accepts: false, alarm: 'numbness' }) // prettier-ignore
    const [stew] = heldFood(pen.context).servings.filter(({ dish }) => dish === 'stew')
    expect(stew).toMatchObject({ eaters: ['ann', 'di'], gates: ['identity'] })
    expect(serve(pen, 'A', 5, 'di')).toMatch(/^Identity is closed/)
    expect(pack(pen, 'A', 'frozen', -19)).toMatch(/numbness/)
  })
})

describe('water and fire', () => {
  const SPINACH = { type: 'step-begun', lot: 'A', protocol: 'blanch and drain', step: 2, load: 1 } as const
  it('S-SAF-08: three litres are water for so much leaf and no more: a thinner bath is not begun', () => {
    // Nettle asks eight of water to one of leaf: 3,000 mL for 375 g.
    const begin = (mass_g: number) => said(bringIn(opened(), { picked_g: 1400, kept_g: 1000 }).try({ ...SPINACH, mass_g, water: { water_mL: 3000, fresh: true } })) // prettier-ignore
    expect(begin(1000)).toMatch(/8 L is the least/)
    expect(begin(400)).toMatch(/is the least/)
    expect(begin(375)).toBe('taken')
  })
  it('S-COO-09: tender before its least time is not done, and the time without the sign is not either', () => {
    const boil = (minutes: number, checked: boolean) => {
      const pen = bringIn(opened())
      const begun = pen.write({ ...SPINACH, mass_g: 900 })
      pen.wait(minutes).write({
        ...{ type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes, temp_C: 96, backToBoil_s: 40 },
        ...{ driedTo_g: null, checked, water: 'thrown' },
      })
      tasteOf(pen.copy(), 'A', { accepts: false, crumb: false })
      return said(pen.try({ type: 'tasted', lot: 'A', taster: 'ann', bitter: 0, astringent: 0, crumb: false, accepts: true, alarm: null })) // prettier-ignore
    }
    expect(() => boil(1.5, true)).toThrow(/at least|2 min/)
    expect(() => boil(2.5, false)).toThrow(/its sign was not looked at/)
    expect(boil(2.5, true)).toBe('taken')
  })
})

describe('another pair of hands', () => {
  it('S-SAF-23: a bath filled at 06:40 by one is due at 14:40 to all, and ready is refused at 09:00 with what is missing', () => {
    const pen = bringInKind(opened(), 'acorns', 'Q')
    const BATHS = { type: 'bath-changed', lot: 'Q', protocol: 'cold baths', step: 5 } as const
    const fill = { water_mL: 4000, temp_C: 8 }
    pen.write({ type: 'way-chosen', lot: 'Q', protocol: 'cold baths', goal: 'eat' })
    const shell = pen.write({ type: 'step-begun', lot: 'Q', protocol: 'cold baths', step: 2, load: 1, mass_g: 900 })
    pen.wait(30)
    pen.write({ type: 'step-done', lot: 'Q', begun: shell.id, outcome: 'done', minutes: 30, temp_C: null, backToBoil_s: null, driedTo_g: null, checked: true, water: null }) // prettier-ignore
    const at = (time: string) => (pen.now = `2027-05-17T${time}:00.000Z`)
    pen.now = '2027-05-16T14:00:00.000Z'
    pen.write({ ...BATHS, fresh: fill })
    pen.now = '2027-05-16T22:20:00.000Z'
    pen.write({ ...BATHS, fresh: fill })
    at('06:40')
    pen.write({ ...BATHS, fresh: fill })
    at('09:00')
    pen.by = 'ann'
    const lies = pen.lot('Q').baths.at(-1)
    expect(lies).toMatchObject({ begunAt: '2027-05-17T06:40:00.000Z', endedAt: null })
    const sheet = JSON.stringify(handOver(pen.log, pen.context))
    expect(sheet).toMatch(/14:40/)
    expect(serve(pen, 'Q', 5)).toMatch(/^Make safe is (to do|closed).*2 of .*6/)
    expect(said(pen.try({ type: 'tasted', lot: 'Q', taster: 'ann', bitter: 0, astringent: 0, crumb: true, accepts: false, alarm: null }))).toMatch(/2 of/) // prettier-ignore
  })
})

describe('time and warmth', () => {
  it('S-SAF-26: greens rich in nitrate of yesterday, chilled in time, are for grown-ups and not for the infant; a mash 14 h at 28 °C is for nobody', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'beet', 'B'), 'beet', 'B')
    hadBefore(pen, 'B', 'ann')
    pen.write({ type: 'placed', lot: 'B', place: 'cold', temp_C: 4 })
    pen.wait(20 * 60)
    expect(serve(pen.copy(), 'B', 40)).toBe('taken')
    expect(serve(pen.copy(), 'B', 5, 'bo')).toMatch(/Bo must not eat this/)
    expect(eaterVerdict(pen.lot('B'), pen.context, 'bo').state).toBe('closed')
    // Never chilled, the same greens are for nobody.
    const warm = makeSafeKind(bringInKind(opened(), 'beet', 'B'), 'beet', 'B').wait(20 * 60)
    expect(serve(warm, 'B', 5)).toMatch(/Throw the food away/)
    const mash = makeSafeKind(bringInKind(opened(), 'acorns', 'Q'), 'acorns', 'Q')
    hadBefore(mash, 'Q', 'ann')
    mash.write({ type: 'placed', lot: 'Q', place: 'kitchen', temp_C: 28 })
    mash.wait(14 * 60)
    expect(freshnessOf(mash.lot('Q'), mash.context)).toMatchObject({ state: 'over', must: [expect.stringMatching(/for 14 h|4 h in all/)] }) // prettier-ignore
    for (const who of ['ann', 'bo']) expect(serve(mash, 'Q', 5, who)).toMatch(/Throw the food away/)
  })
  it('S-STO-10: leaves pounded under oil are no shelf store for a year: refused by name, with what would do and for how long', () => {
    const pen = ramsons()
    pen.write({ type: 'ingredient-added', lot: 'R', what: 'oil', name: 'olive oil', mass_g: 200 })
    expect(pack(pen, 'R', 'oiled', 18)).toMatch(/botulinum|botulism/i)
    expect(pack(pen, 'R', 'oiled', 18)).toMatch(/4 °C/)
    expect(pack(pen, 'R', 'oiled', 4)).toBe('taken')
    const [kept] = pen.lot('R').packs
    expect(kept?.store).toBe('oiled')
  })
})

describe('amounts and people', () => {
  it('S-SAF-16: a limit of one’s own, 3 g a day, binds a drink by what steeped in it: 150 mL refused, 100 mL once', () => {
    const pen = bringInKind(opened(), 'spruce', 'T', { picked_g: 50, kept_g: 45 })
    pen.write({ type: 'way-chosen', lot: 'T', protocol: 'infusion', goal: 'tea' })
    pen.write({ type: 'weighed', lot: 'T', mass_g: 1500, after: 'straining' })
    tasteOf(pen, 'T')
    person(pen, { ownCaps: [{ taxon: 'Picea abies', perDay_g: 3 }] })
    hadBefore(pen, 'T', 'di')
    hadBefore(pen, 'T', 'ann')
    expect(eaterVerdict(pen.lot('T'), pen.context, 'di')).toMatchObject({
      state: 'open',
      most_g: expect.closeTo(100) as number,
      reasons: ['Di: up to 100 mL now (the day’s limit is 3 g, weighed raw). By Di’s own limit.'],
    })
    expect(serve(pen, 'T', 150, 'di')).toMatch(/^Plate is closed. Di: 150 mL is more than 100 mL/)
    expect(serve(pen, 'T', 100, 'di')).toBe('taken')
    expect(eatenBy(pen.log.state, CATALOGUE, 'di').at(-1)?.raw_g).toBeCloseTo(3)
    expect(serve(pen.wait(60), 'T', 100, 'di')).toMatch(/own limit/)
    // It is theirs alone, and a day's.
    expect(serve(pen, 'T', 150, 'ann')).toBe('taken')
  })
  it('a limit of one’s own is no way round the record, is taken off only when it is said twice, and is of a plant on record', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    person(pen, { ownCaps: [{ taxon: 'Urtica dioica', perDay_g: 4000 }] })
    hadBefore(pen, 'A', 'di')
    expect(serve(pen, 'A', 400, 'di')).toMatch(/is more than/)
    const again = (perDay_g: number | null, over = {}) =>
      said(pen.try({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind: 'adult', sensitivities: [], ...(perDay_g === null ? {} : { ownCaps: [{ taxon: 'Urtica dioica', perDay_g }] }) }, ...over })) // prettier-ignore
    expect(again(10)).toBe('taken')
    expect(again(11)).toMatch(/a limit of their own for Urtica dioica, 10 g a day\. Ask again/)
    expect(again(null)).toMatch(/Ask again/)
    expect(again(null, { laxerConfirmed: true })).toBe('taken')
    expect(eaterVerdict(pen.lot('A'), pen.context, 'di').reasons.join(' ')).toMatch(/noted without a limit of their own for Urtica dioica/) // prettier-ignore
    const strange = pen.try({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind: 'adult', sensitivities: [], ownCaps: [{ taxon: 'Nemo nusquam', perDay_g: 1 }] } }) // prettier-ignore
    expect(strange.proposal).toMatchObject({ ok: false, field: 'ownCaps', message: expect.stringMatching(/^No plant on record is called Nemo nusquam/) as string }) // prettier-ignore
    // None of it at all.
    expect(again(0)).toBe('taken')
    expect(eaterVerdict(pen.lot('A'), pen.context, 'di').state).toBe('closed')
  })
})

describe('a patch that turns out bad', () => {
  it('S-REC-01: sprayed ground found out after lunch lists its lots, jars, dishes and eaters, and none of the other patch', () => {
    const pen = opened()
    pen.write({ type: 'ground-noted', patch: 'third', name: 'Third', facts: CLEAN })
    for (const [lot, patch] of [['A', 'wall'], ['B', 'wall'], ['C', 'third']] as const) makeSafeKind(bringInKind(pen, 'nettle', lot, { patch }), 'nettle', lot) // prettier-ignore
    person(pen, {})
    for (const who of ['ann', 'di']) hadBefore(pen, 'C', who)
    pen.write({ type: 'joined', lot: 'J', code: 'J', parts: [{ lot: 'A', mass_g: 200 }, { lot: 'C', mass_g: 200 }] }) // prettier-ignore
    tasteOf(pen, 'J')
    expect(serve(pen, 'J', 50)).toBe('taken')
    expect(serve(pen, 'C', 50, 'di')).toBe('taken')
    expect([pack(pen, 'B', 'frozen', -19), pack(pen, 'C', 'frozen', -19)]).toEqual(['taken', 'taken'])
    pen.write({ type: 'patch-turned', patch: 'wall', why: 'sprayed', since: null })
    const [recall] = pen.log.state.house.recalls
    if (recall === undefined) throw new RangeError('expected a recall')
    const reach = recallReach(recall, pen.log.state)
    expect(reach.inHand.map(({ lot }) => lot)).toEqual(['A', 'B', 'J'])
    expect(reach.packs.map(({ pack: id }) => id)).toEqual(['B-frozen'])
    expect(reach.servings.map(({ lot, eaters }) => [lot, eaters])).toEqual([['J', ['ann']]])
    expect(serve(pen, 'B', 10)).not.toBe('taken')
    expect(serve(pen, 'C', 10)).toBe('taken')
  })
})
