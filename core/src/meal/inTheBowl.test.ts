import { describe, expect, it } from 'vitest'
import { allergensOf } from '../flora/allergens'
import { CATALOGUE } from '../flora/records'
import { misspelt } from '../flora/search'
import { strangeIngredient } from '../flora/poisonous'
import { isFoodOfOwn, ownTaxon, refuseOwnPlant } from '../flora/own'
import { storedAs } from '../freshness/storedAs'
import { eaterVerdict } from '../gates/plate'
import { groundAt } from '../ground/ofPatch'
import { doNow } from '../lot/doNow'
import { isDrink, steepsToDrink } from '../treatment/drink'
import type { Saying } from '../log/stamp'
import { bringIn, CLEAN, cook, household, load, Pen } from '../test/pen'
import { bringInKind, creeper, makeSafeKind, meetAll, tasteOf } from '../test/plants'
import { eatenBy, plantsServed } from './eaten'

const opened = () => meetAll(household(new Pen()))
const said = ({ proposal }: ReturnType<Pen['try']>) => (proposal.ok ? 'taken' : proposal.message)
const serve = (pen: Pen, lot: string, mass_g: number, eater = 'ann', at?: string) =>
  said(pen.try({ type: 'served', lot, pack: null, dish: 'soup', portions: [{ eater, mass_g }] }, at))
const eater = (pen: Pen, over: Partial<Saying<'eater-noted'>['eater']>) =>
  pen.write({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind: 'adult', sensitivities: [], ...over } })
/** Somebody who had each of these plants before: no first taste is in the way. */
const hadBefore = (pen: Pen, lots: readonly string[], who = 'ann') => {
  for (const lot of lots)
    pen.force({ type: 'served', lot, pack: null, dish: 'long ago', portions: [{ eater: who, mass_g: 1 }] }, '2027-05-01T08:00:00.000Z') // prettier-ignore
  return pen
}
const add = (pen: Pen, name: string, over: Partial<Saying<'ingredient-added'>> = {}) =>
  pen.try({ type: 'ingredient-added', lot: 'A', what: 'other', name, mass_g: 50, ...over })

describe('amounts', () => {
  it('follow the plant: through water lost and not weighed again, drying, and what is put to it', () => {
    const raw_per_g = (pen: Pen) => plantsServed(pen.lot(), CATALOGUE)[0]?.raw_per_g ?? 0
    const unweighed = load(bringIn(opened()), 900) && bringIn(opened())
    expect(raw_per_g(unweighed)).toBe(1)
    load(unweighed, 900)
    // Not weighed again it is taken to have shrunk as far as such tops do.
    expect(raw_per_g(unweighed)).toBeCloseTo(1 / 0.6)
    const weighed = cook(opened())
    expect(raw_per_g(weighed)).toBeCloseTo(900 / 700)
    weighed.write({ type: 'ingredient-added', lot: 'A', what: 'water', name: 'water', mass_g: 700 })
    expect(raw_per_g(weighed)).toBeCloseTo(900 / 1400)
    const dried = bringIn(opened())
    dried.write({ type: 'way-chosen', lot: 'A', protocol: 'dried for tea or powder', goal: 'dry' })
    const begun = dried.write({ type: 'step-begun', lot: 'A', protocol: 'dried for tea or powder', step: 2, load: 1, mass_g: 900 }) // prettier-ignore
    const out = { type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes: 700, temp_C: 40 } as const
    dried.wait(700).write({ ...out, backToBoil_s: null, driedTo_g: 119, checked: true, water: null })
    expect(raw_per_g(dried)).toBeCloseTo(900 / 119)
  })
  it('add up over the day by plant, and by what plants share', () => {
    const pen = hadBefore(cook(opened()), ['A'])
    makeSafeKind(bringInKind(pen, 'beet', 'B'), 'beet', 'B')
    hadBefore(pen, ['B'])
    const most = (lot: string) => eaterVerdict(pen.lot(lot), pen.context, 'ann').most_g
    const alone = most('B')
    expect(serve(pen, 'A', 150)).toBe('taken')
    // Nettle and beet both hold oxalate: what was had of the one counts against the other.
    expect(most('B')).toBeLessThan(alone)
    expect(eaterVerdict(pen.lot('B'), pen.context, 'ann').reasons.join(' ')).toMatch(
      /adds up over the day: nettle held some too/,
    )
    expect(serve(pen, 'A', 60)).toMatch(/is more than/)
    expect(serve(pen.wait(1), 'A', 20)).toBe('taken')
  })
  it('of a caution to limit without a figure are one portion a day; a child’s are half an adult’s, and said to be', () => {
    const pen = cook(opened())
    eater(pen, { sensitivities: ['anticoagulant'] })
    hadBefore(pen, ['A'], 'di')
    expect(serve(pen, 'A', 90, 'di')).toMatch(/No figure is on record: one ordinary portion a day/)
    expect(serve(pen, 'A', 70, 'di')).toBe('taken')
  })
})

describe('two plants of a batch that share a hazard', () => {
  it('are measured together in one bowl, and not each by itself', () => {
    const pen = opened()
    makeSafeKind(bringInKind(pen, 'nettle', 'A'), 'nettle', 'A')
    makeSafeKind(bringInKind(pen, 'beet', 'B'), 'beet', 'B')
    hadBefore(pen, ['A', 'B'])
    const most = (lot: string) => eaterVerdict(pen.lot(lot), pen.context, 'ann').most_g
    const perServed = (lot: string) =>
      plantsServed(pen.lot(lot), CATALOGUE).reduce((sum, { raw_per_g }) => sum + raw_per_g, 0)
    const perDay = ['A', 'B'].map((lot) => most(lot) * perServed(lot))
    expect(perDay).toEqual([250, 150].map((each) => expect.closeTo(each) as number))
    pen.write({ type: 'joined', lot: 'J', code: 'J', parts: [{ lot: 'A', mass_g: 300 }, { lot: 'B', mass_g: 300 }] }) // prettier-ignore
    tasteOf(pen, 'J')
    // Both are eaten by portions of 80 g: together no more of them than of the one that allows fewer.
    const { most_g, reasons } = eaterVerdict(pen.lot('J'), pen.context, 'ann')
    expect(most_g).toBeCloseTo(150 / perServed('J'))
    expect(reasons.join(' ')).toMatch(/Nitrate adds up over the day: nettle and sea beet in this food hold some\./)
  })
})

describe('one plant of two pickings in a batch', () => {
  it('has one measure for the day, and not one for each picking', () => {
    const pen = opened()
    for (const lot of ['A', 'B']) makeSafeKind(bringInKind(pen, 'nettle', lot), 'nettle', lot)
    pen.write({ type: 'joined', lot: 'J', code: 'J', parts: [{ lot: 'A', mass_g: 400 }, { lot: 'B', mass_g: 400 }] }) // prettier-ignore
    tasteOf(pen, 'J')
    hadBefore(pen, ['J'])
    const raw_per_g = plantsServed(pen.lot('J'), CATALOGUE).reduce((sum, each) => sum + each.raw_per_g, 0)
    expect(eaterVerdict(pen.lot('J'), pen.context, 'ann').most_g).toBeCloseTo(250 / raw_per_g)
  })
})

describe('a drink', () => {
  const steeped = (pen = opened()) => {
    bringInKind(pen, 'spruce', 'T', { picked_g: 50, kept_g: 45 })
    pen.write({ type: 'way-chosen', lot: 'T', protocol: 'infusion', goal: 'tea' })
    return pen
  }
  const strained = () => {
    const pen = steeped()
    pen.write({ type: 'weighed', lot: 'T', mass_g: 1500, after: 'straining' })
    tasteOf(pen, 'T')
    return pen
  }
  it('is measured when it is strained, and each cup holds its share of what steeped in it', () => {
    const pen = steeped()
    expect(doNow(pen.lot('T'), pen.context).act).toEqual({ kind: 'weigh', after: 'straining' })
    pen.write({ type: 'weighed', lot: 'T', mass_g: 1500, after: 'straining' })
    expect(doNow(pen.lot('T'), pen.context).act).toEqual({ kind: 'taste' })
    tasteOf(pen, 'T')
    hadBefore(pen, ['T'])
    expect(serve(pen, 'T', 150)).toBe('taken')
    expect(serve(pen, 'T', 100)).toBe('taken')
    // 45 g in 1.5 L are 30 g a litre.
    const drunk = eatenBy(pen.context.book, CATALOGUE, 'ann').filter(({ serving }) => serving.dish === 'soup')
    expect(drunk.map(({ raw_g }) => raw_g)).toEqual([4.5, 3].map((each) => expect.closeTo(each) as number))
    // What is poured away takes its share of the plant with it; what is left is as strong as before.
    pen.write({ type: 'thrown-away', lot: 'T', pack: null, mass_g: 500, why: 'cold' })
    expect(plantsServed(pen.lot('T'), CATALOGUE)[0]?.raw_per_g).toBeCloseTo(0.03)
  })
  it('is a first taste by what steeped in it, as dry powder is by what it was', () => {
    const pen = strained()
    // 2 g of tips are the first taste: 67 mL of it.
    expect(eaterVerdict(pen.lot('T'), pen.context, 'ann').most_g).toBeCloseTo(2 / 0.03)
    expect(serve(pen, 'T', 60)).toBe('taken')
    expect(eaterVerdict(pen.lot('T'), pen.context, 'ann').most_g).toBeCloseTo(2 / 0.03 - 60)
  })
  it('goes the way of all moist food, and is not dry leaf any more', () => {
    const pen = strained()
    pen.wait(5 * 60)
    expect(serve(pen, 'T', 150)).toMatch(/4 h/)
    expect(storedAs(strained().lot('T'), strained().context)).not.toBe('dried')
  })
  it('stays one through a split, a pack and its opening, and through joining', () => {
    const pen = strained()
    pen.write({ type: 'split', lot: 'T', into: 'U', code: 'U', mass_g: 500, why: 'a flask' })
    pen.write({ type: 'packed', lot: 'T', pack: 't', store: 'chilled', mass_g: 400, containers: 1, storeTemp_C: 3 })
    pen.write({ type: 'opened', lot: 'T', pack: 't', into: 'V', code: 'V', mass_g: 400 })
    pen.write({ type: 'joined', lot: 'W', code: 'W', parts: [{ lot: 'U', mass_g: 200 }, { lot: 'V', mass_g: 200 }] }) // prettier-ignore
    for (const id of ['U', 'V', 'W']) {
      expect([id, isDrink(pen.lot(id)), steepsToDrink(pen.lot(id), CATALOGUE)]).toEqual([id, true, false])
      expect(plantsServed(pen.lot(id), CATALOGUE).reduce((sum, { raw_per_g }) => sum + raw_per_g, 0)).toBeCloseTo(0.03)
    }
    expect(isDrink(steeped().lot('T'))).toBe(false)
  })
  it('is strained once, of a way that steeps, and never a thousandfold', () => {
    const again = { type: 'weighed', lot: 'T', mass_g: 900, after: 'straining' } as const
    expect(said(strained().try(again))).toMatch(/and once\.$/)
    expect(said(steeped().try({ ...again, mass_g: 45_001 }))).toMatch(/^45 L from 45 g is more water/)
    expect(said(cook(opened()).try({ ...again, lot: 'A' }))).toMatch(/^Only what steeps in water/)
  })
})

describe('what is put to food', () => {
  it('carries its allergens to the table, by its name or by what the cook read on the packet', () => {
    const pen = cook(opened())
    eater(pen, { sensitivities: ['nut-allergy'] })
    expect(said(add(pen, 'bought walnuts'))).toBe('taken')
    expect(serve(pen, 'A', 5, 'di')).toMatch(/Di must not eat this: there is bought walnuts in it \(tree nuts\)/)
    expect(serve(pen, 'A', 5)).toBe('taken')
    const unknown = cook(opened())
    eater(unknown, { sensitivities: ['milk-allergy'] })
    expect(said(add(unknown, 'green sauce'))).toBe('taken')
    expect(serve(unknown, 'A', 5, 'di')).toMatch(/Di has a food allergy, and nobody said what green sauce holds/)
    expect(serve(unknown, 'A', 5)).toBe('taken')
    const told = cook(opened())
    eater(told, { sensitivities: ['milk-allergy'] })
    expect(said(add(told, 'green sauce', { allergens: ['egg'] }))).toBe('taken')
    expect(serve(told, 'A', 5, 'di')).toBe('taken')
    const honey = cook(opened())
    expect(said(add(honey, 'Honey'))).toBe('taken')
    expect(eaterVerdict(honey.lot(), honey.context, 'bo').reasons[0]).toMatch(
      /Bo must not eat this: there is Honey in it/,
    )
    expect([allergensOf('Pine nuts'), allergensOf('POTATOES'), allergensOf('nothing known')]).toEqual([['tree-nuts'], [], undefined]) // prettier-ignore
  })
  it('is known by its own name alone: an oil, a salt or a vinegar that the list does not know is asked for', () => {
    const kinds = [
      { what: 'oil', name: 'a neighbour’s pressing' },
      { what: 'oil', name: 'oil' },
      { what: 'salt', name: 'herb salt' },
      { what: 'vinegar', name: 'vinegar' },
    ] as const
    for (const { what, name } of kinds) {
      const pen = cook(opened())
      eater(pen, { sensitivities: ['nut-allergy'] })
      expect(said(add(pen, name, { what }))).toBe('taken')
      expect(serve(pen, 'A', 5, 'di')).toMatch(new RegExp(`nobody said what ${name} holds`))
      expect(serve(pen, 'A', 5)).toBe('taken')
    }
    const plain = cook(opened())
    eater(plain, { sensitivities: ['nut-allergy'] })
    expect(said(add(plain, 'salt', { what: 'salt' }))).toBe('taken')
    expect(serve(plain, 'A', 5, 'di')).toBe('taken')
  })
  it('tells peas and lentils to whom no pulse agrees with, and what miso and oyster sauce are made of', () => {
    const pen = cook(opened())
    eater(pen, { sensitivities: ['legume-allergy'] })
    expect(said(add(pen, 'red lentils'))).toBe('taken')
    expect(serve(pen, 'A', 5, 'di')).toMatch(/nobody said what red lentils holds/)
    const known = cook(opened())
    eater(known, { sensitivities: ['legume-allergy'] })
    expect(said(add(known, 'chickpeas'))).toBe('taken')
    expect(serve(known, 'A', 5, 'di')).toMatch(/Di must not eat this: there is chickpeas in it \(legume\)/)
    expect(['miso', 'oyster sauce', 'cider vinegar'].map(allergensOf)).toEqual([['soy', 'gluten'], ['molluscs', 'gluten', 'soy'], ['sulphites']]) // prettier-ignore
  })
  it('goes with the food into a batch', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    makeSafeKind(bringInKind(pen, 'nettle', 'B'), 'nettle', 'B')
    eater(pen, { sensitivities: ['nut-allergy'] })
    add(pen, 'cashews')
    pen.write({ type: 'joined', lot: 'J', code: 'J', parts: [{ lot: 'A', mass_g: 100 }, { lot: 'B', mass_g: 100 }] }) // prettier-ignore
    tasteOf(pen, 'J')
    expect(serve(pen, 'J', 5, 'di')).toMatch(/there is cashews in it/)
    expect(serve(pen, 'B', 5, 'di')).toBe('taken')
  })
  it('is no plant of the list, no poison and no gathered fungus under another name', () => {
    const against = (name: string) => said(add(cook(opened()), name))
    expect(against('Ramsons')).toMatch(/^Ramsons is a plant of the plant list: weigh it in as a lot of its own/)
    expect(against('monkshood')).toBe('monkshood poisons: it goes into no pot.')
    expect(against('Conium')).toMatch(/poisons/)
    for (const name of ['winter aconite', 'Anticlea elegans', 'pennyroyal', 'tung nuts'])
      expect(against(name)).toMatch(/poisons/)
    for (const name of ['cèpes', 'chicken of the woods', 'Steinpilze']) expect(against(name)).toMatch(/gathered fungi/)
    expect(against('chanterelles')).toMatch(/gathered fungi go into no pot here/)
    expect(against('tinned mushrooms')).toBe('taken')
    expect(against('potatoes')).toBe('taken')
    expect(strangeIngredient('hazelnuts', CATALOGUE)?.what).toBe('plant')
  })
})

describe('who tastes', () => {
  it('is somebody who may have it: no infant, nobody unasked, nobody who must not', () => {
    const taste = (taster: string, prepare: (pen: Pen) => void = () => undefined) => {
      const pen = load(bringIn(opened()), 900) && bringIn(opened())
      load(pen, 900)
      prepare(pen)
      return said(pen.try({ type: 'tasted', lot: 'A', taster, bitter: 0, astringent: 0, crumb: false, accepts: true, alarm: null })) // prettier-ignore
    }
    expect(taste('ann')).toBe('taken')
    expect(taste('bo')).toBe('Bo is an infant: an adult tastes for the others.')
    expect(taste('cy')).toBe('Cy: allergies not asked yet. Ask first, then taste.')
    expect(taste('nobody')).toMatch(/^Say who tastes/)
    expect(taste('di', (pen) => { eater(pen, { sensitivities: ['nut-allergy'] }); add(pen, 'cashews') })).toMatch(/must not eat this/) // prettier-ignore
  })
})

describe('facts', () => {
  it('of the ground are those of the picking: waiting opens nothing, and what came later closes nothing', () => {
    const pen = opened()
    pen.write({ type: 'ground-noted', patch: 'wall', facts: { sprayed: { last: '2027-05-10T08:00:00.000Z', wait_days: 14 } } }) // prettier-ignore
    bringInKind(pen, 'nettle', 'A')
    const ground = (at = pen.now) => groundAt(pen.lot().weighedIn, { house: pen.log.state.house, catalogue: CATALOGUE, now: at })?.verdict.state // prettier-ignore
    expect(ground('2035-01-01T00:00:00.000Z')).toBe('closed')
    // A patch that is clean by a later word was not clean then.
    pen.write({ type: 'ground-noted', patch: 'wall', facts: { sprayed: { last: null } } })
    expect(ground()).toBe('closed')
    const honest = bringInKind(opened(), 'nettle', 'A')
    honest.wait(60 * 24).write({ type: 'ground-noted', patch: 'wall', facts: { sprayed: { last: honest.now } } })
    expect(groundAt(honest.lot().weighedIn, { house: honest.log.state.house, catalogue: CATALOGUE, now: honest.now })?.verdict.state).toBe('open') // prettier-ignore
    expect(Object.keys(CLEAN).length).toBeGreaterThan(5)
  })
  it('of the kitchen’s height are asked again at what was boiled there, when it is set right', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    expect(serve(pen, 'A', 5)).toBe('taken')
    const kitchen = { name: 'Test kitchen', timeZone: 'UTC', burner: { power_W: 2200, efficiency: 0.55 }, pots_mL: [8000], waterTemp_C: 9, ice_g: 0 } // prettier-ignore
    pen.write({ type: 'kitchen-set', kitchen: { ...kitchen, elevation_m: 2600 } })
    expect(serve(pen, 'A', 5)).toMatch(/Make safe is to do. Load 1 does not count for the blanching: The record accepts this boil up to 2,500 m/) // prettier-ignore
    // Another kitchen is another kitchen.
    const moved = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    moved.write({ type: 'kitchen-set', kitchen: { ...kitchen, name: 'High hut', elevation_m: 2600 } })
    expect(serve(moved, 'A', 5)).toBe('taken')
  })
  it('of what was seen count by when they were written down: giving the cutting another time opens nothing', () => {
    const pen = opened()
    pen.write({ type: 'weighed-in', lot: 'A', code: 'A', taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', patch: 'wall', mass_g: 900, pickedAt: pen.now }) // prettier-ignore
    pen.wait(30)
    const cut = pen.write({ type: 'sorted', lot: 'A', stageSeen: 'young', kept_g: 800, trimmed_g: 100, trimmedTo: 'compost', wash: null }) // prettier-ignore
    const seen = pen.now
    pen.wait(10)
    pen.write({ type: 'tell-seen', lot: 'A', character: 'leafMargin', answer: 'seen', states: ['serrate'] })
    pen.wait(10)
    pen.write({ type: 'redated', entry: cut.id, to: pen.now, why: 'a wrong clock' })
    expect((pen.lot().firstCutAt ?? '') > seen).toBe(true)
    expect(pen.try({ type: 'certain-attested', lot: 'A' }).proposal.ok).toBe(true)
    expect(said(pen.try({ type: 'tasted', lot: 'A', taster: 'ann', bitter: 0, astringent: 0, crumb: false, accepts: true, alarm: null }))).toMatch(/Not seen before it was cut:.*leaf edge/) // prettier-ignore
  })
  it('of an eater that become laxer are asked for twice, and said on the plate', () => {
    const pen = cook(opened())
    eater(pen, { sensitivities: ['kidney-stone'] })
    const laxer = { type: 'eater-noted', eater: { id: 'di', name: 'Di', kind: 'adult', sensitivities: [] } } as const
    expect(said(pen.try(laxer))).toMatch(/^Until now Di was noted with: kidney stones\. Ask again/)
    pen.write({ ...laxer, laxerConfirmed: true })
    expect(eaterVerdict(pen.lot(), pen.context, 'di').reasons.at(-1)).toMatch(
      /^Di: noted without kidney stones since Sun 16 May/,
    )
    expect(said(pen.try({ ...laxer, eater: { ...laxer.eater, kind: 'child' } }))).toBe('taken')
  })
})

describe('a plant of one’s own', () => {
  const refused = (over: Parameters<typeof creeper>[0]) => refuseOwnPlant(creeper(over), CATALOGUE)?.message
  it('is no poison under its own name, nor misspelt, nor in a poisonous genus or family', () => {
    expect(refused({ scientificName: 'Delphinium novum' })).toMatch(/Delphinium is a genus that has poisoned people/)
    expect(refused({ scientificName: 'Digitaliss repens' })).toMatch(/Digitaliss is written nearly like Digitalis/)
    expect(refused({ scientificName: 'Mentha cervina', family: 'Lamiaceae' })).toMatch(
      /although others of its genus are food/,
    )
    expect(refused({ commonName: 'Water hemlock' })).toMatch(/is the name of a plant that poisons/)
    expect(refused({ family: 'Solanaceae' })).toMatch(/Solanaceae are mostly poisonous/)
    expect(refused({ scientificName: 'Cantharellus cibarius' })).toMatch(/gathered fungi are not put on record/)
    expect(refused({ source: 'the goats eat it' })).toMatch(/is no ground/)
    expect(misspelt('Urtica', ['Urtica', 'Cicuta'])).toBeUndefined()
  })
  it('is food only in a genus of the list, by a part of it that is widely eaten; others may be told, never eaten', () => {
    expect(isFoodOfOwn({ scientificName: 'Malva neglecta', part: 'leaf' })).toBe(true)
    expect(isFoodOfOwn({ scientificName: 'Malva neglecta', part: 'root' })).toBe(false)
    expect(ownTaxon(creeper(), CATALOGUE)).toMatchObject({ role: 'bystander', uses: [] })
    expect(ownTaxon(creeper({ scientificName: 'Malva neglecta', family: 'Malvaceae' }), CATALOGUE)).toMatchObject({ role: 'food', uses: [{ part: 'leaf' }] }) // prettier-ignore
    expect(refused({ scientificName: 'Malva neglecta', family: 'Rosaceae' })).toBe(
      'Malva belongs to the Malvaceae. Choose that.',
    )
  })
})
