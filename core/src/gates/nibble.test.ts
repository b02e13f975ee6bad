import { describe, expect, it } from 'vitest'
import { requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import type { Saying } from '../log/stamp'
import type { GroundNote } from '../ground/facts'
import { tellsToSee } from '../identity/tellsToSee'
import { massBalance } from '../lot/story'
import { CLEAN, Pen } from '../test/pen'
import { eaterVerdict } from './plate'

const NOT_RAW = 'Make safe is closed. Nothing of it is eaten raw with no more done to it than a hand can do there.'

const KINDS = {
  serviceberry: { taxon: 'Amelanchier lamarckii', part: 'fruit', stage: 'ripe', day: '2027-07-01' },
  strawberry: { taxon: 'Fragaria vesca', part: 'fruit', stage: 'ripe', day: '2027-06-20' },
  nettle: { taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', day: '2027-05-16' },
  elderflower: { taxon: 'Sambucus nigra', part: 'flower', stage: 'flowering', day: '2027-06-10' },
  elder: { taxon: 'Sambucus nigra', part: 'fruit', stage: 'ripe', day: '2027-09-05' },
} as const

/** A picking that was told and whose stand was counted: what is left out is not yet so. */
function inTheHand(
  kind: keyof typeof KINDS,
  without: 'tells' | 'stand' | 'height' | undefined = undefined,
  ground: GroundNote = CLEAN,
  pen = new Pen(),
) {
  const { taxon: name, part, stage, day } = KINDS[kind]
  const taxon = requireTaxon(pen.catalogue, name)
  pen.now = `${day}T08:00:00.000Z`
  for (const days of [60, 40, 20, 1])
    pen.force(
      { type: 'plant-met', taxon: name, stage },
      new Date(Date.parse(pen.now) - days * 86_400_000).toISOString(),
    )
  const facts = without === 'height' ? { ...ground, dogs: 'some' as const } : ground
  pen.write({ type: 'ground-noted', patch: 'p', name: 'P', facts })
  pen.write({ type: 'eater-noted', eater: { id: 'ann', name: 'Ann', kind: 'adult', sensitivities: [] } })
  pen.write({ type: 'eater-noted', eater: { id: 'bo', name: 'Bo', kind: 'child', sensitivities: null } })
  pen.write({
    type: 'weighed-in',
    lot: 'A',
    code: 'A',
    taxon: name,
    part,
    stage,
    patch: 'p',
    mass_g: 300,
    pickedAt: pen.now,
    ...(without === 'height' ? { cutAt: { height: 'below-knee', side: 'by-the-path' } as const } : {}),
  })
  if (without !== 'tells')
    for (const character of tellsToSee(taxon, pen.catalogue))
      pen.write({
        type: 'tell-seen',
        lot: 'A',
        character,
        answer: 'seen',
        states: (taxon.characters[character] ?? []).slice(0, 1),
      })
  if (without !== 'stand')
    pen.write({
      type: 'stand-counted',
      lot: 'A',
      stems: 400,
      taken: 5,
      wildlifeLooked: true,
      wildlifeOn: 0,
      othersPick: false,
      school: null,
    })
  pen.write({ type: 'certain-attested', lot: 'A' })
  return pen
}

const dish = (mass_g: number, eater = 'ann'): Saying<'served'> => ({
  type: 'served',
  lot: 'A',
  pack: null,
  dish: 'eaten on the way',
  portions: [{ eater, mass_g }],
})
const nibble = (mass_g: number, rinsed: boolean, eater = 'ann') => ({ ...dish(mass_g, eater), onTheWay: { rinsed } })
const answer = (pen: Pen, saying: Saying<'served'>) => pen.try(saying).proposal

describe('eaten on the way', () => {
  it('is let through where the plant is told, the ground clean, and the record asks for nothing to be done to it raw', () => {
    const pen = inTheHand('serviceberry')
    expect(answer(pen, nibble(20, false))).toEqual({ ok: true })
    expect(pen.lot().servings).toHaveLength(1)
    expect(pen.lot().mass_g).toBe(280)
    // As a dish it is not: it was not sorted.
    expect(answer(pen, dish(20))).toMatchObject({ field: 'gates' })
    // What is sorted at home is what is left, and the masses add up.
    pen.write({
      type: 'sorted',
      lot: 'A',
      stageSeen: 'ripe',
      kept_g: 270,
      trimmed_g: 5,
      trimmedTo: 'compost',
      wash: null,
    })
    const { picked_g, takenUp_g, left, inHand_g } = massBalance(pen.lot())
    expect(left.reduce((sum, each) => sum + each.mass_g, inHand_g)).toBeCloseTo(picked_g + takenUp_g)
  })
  it.each([
    ['not told', ['serviceberry', 'tells'], nibble(20, true), 'Identity'],
    ['the stand not looked at', ['serviceberry', 'stand'], nibble(20, true), 'Take'],
    [
      'many dogs, and rinsing is not heat',
      ['strawberry', undefined, { ...CLEAN, dogs: 'many' }],
      nibble(20, true),
      'Make safe',
    ],
    ['to be washed, and was not', ['strawberry'], nibble(20, false), 'Make safe'],
    ['poisonous raw', ['elder'], nibble(5, true), NOT_RAW],
    ['eaten raw by a contested school only', ['nettle'], nibble(5, true), NOT_RAW],
    ['raw, but left to lie first', ['elderflower'], nibble(5, true), NOT_RAW],
    ['cut low, where dogs come by', ['strawberry', 'height'], nibble(5, true), 'Make safe is to do.'],
    ['an eater who was not asked', ['serviceberry'], nibble(5, true, 'bo'), 'Plate'],
  ] as const)('is refused: %s', (_why, held, saying, gate) => {
    const pen = inTheHand(...(held as unknown as Parameters<typeof inTheHand>))
    const before = pen.log
    expect(answer(pen, saying)).toMatchObject({ ok: false, field: 'gates', message: expect.stringContaining(gate) })
    expect(pen.log).toBe(before)
  })
  it('asks for nothing but what a hand does there', () => {
    const withStep = (op: string) => {
      const taxa = CATALOGUE.taxa.map((taxon) =>
        taxon.scientificName !== 'Amelanchier lamarckii'
          ? taxon
          : {
              ...taxon,
              uses: taxon.uses.map((use) => ({
                ...use,
                protocols: use.protocols.map((way) => ({ ...way, steps: [...way.steps, { op, control: [], critical: false }] })), // prettier-ignore
              })),
            },
      )
      return answer(inTheHand('serviceberry', undefined, CLEAN, new Pen({ ...CATALOGUE, taxa })), nibble(20, false)).ok
    }
    const byHand = ['sort', 'trim', 'shake-out', 'wash', 'rinse', 'crack', 'chop', 'crisp']
    expect(byHand.filter((op) => !withStep(op))).toEqual([])
    expect(['peel', 'grind', 'dry', 'simmer'].filter(withStep)).toEqual([])
  })
  it('is let through rinsed in drinking water where a wash is all that is asked, and counts toward the day', () => {
    const pen = inTheHand('strawberry')
    // Ann never had any: a little first, and what was nibbled is taken off it.
    const rest = () => eaterVerdict(pen.lot(), pen.context, 'ann').most_g
    const most_g = rest()
    expect(answer(pen, nibble(most_g + 5, true))).toMatchObject({
      field: 'gates',
      message: expect.stringContaining('Plate'),
    })
    expect(answer(pen, nibble(most_g - 8, true))).toEqual({ ok: true })
    expect(rest()).toBeCloseTo(8)
    expect(answer(pen, nibble(400, true))).toMatchObject({ field: 'portions' })
  })
  it('is refused once it lay in bad water, whatever of its sorting is taken back and noted anew', () => {
    const sorting = (wash: Saying<'sorted'>['wash']): Saying<'sorted'> => ({
      ...{ type: 'sorted', lot: 'A', stageSeen: 'ripe', kept_g: 290, trimmed_g: 5, trimmedTo: 'compost', wash },
    })
    const washedIn = (water: 'safe' | 'germs' | 'chemicals') => ({ water, changes: 1 }) as const
    const pen = inTheHand('serviceberry')
    const first = pen.write(sorting(null))
    pen.write({ type: 'washed', lot: 'A', wash: washedIn('chemicals') })
    expect(answer(pen, nibble(5, true))).toMatchObject({ field: 'gates' })
    pen.write({ type: 'struck', entry: first.id, why: 'the wrong lot' })
    expect(pen.lot().sorted).toBeNull()
    expect(answer(pen, nibble(5, true))).toMatchObject({
      field: 'gates',
      message: expect.stringContaining('chemicals'),
    })
    // A better water afterwards takes neither chemicals nor germs off.
    pen.force(sorting(washedIn('safe')))
    expect(pen.lot().sorted?.wash).toEqual(washedIn('chemicals'))
    const dirty = inTheHand('serviceberry')
    dirty.force(sorting(washedIn('germs')))
    dirty.force({ type: 'washed', lot: 'A', wash: washedIn('safe') })
    expect(dirty.lot().sorted?.wash).toEqual(washedIn('germs'))
    // What was never washed is as it was.
    expect(inTheHand('serviceberry').lot().washedIn).toBeNull()
  })
  it('is only of what is as it was picked', () => {
    const pen = inTheHand('serviceberry')
    pen.write({
      type: 'sorted',
      lot: 'A',
      stageSeen: 'ripe',
      kept_g: 290,
      trimmed_g: 5,
      trimmedTo: 'compost',
      wash: null,
    })
    expect(answer(pen, nibble(5, true))).toEqual({ ok: true })
    const { pickedAt } = pen.lot().weighedIn ?? { pickedAt: '' }
    const after = (hours: number) => {
      const later = pen.copy()
      later.now = new Date(Date.parse(pickedAt) + hours * 3_600_000).toISOString()
      return answer(later, nibble(5, true))
    }
    expect(after(24)).toEqual({ ok: true })
    expect(after(24.1)).toMatchObject({ field: 'onTheWay' })
    const refused = {
      field: 'onTheWay',
      message: 'Only what was picked within a day, and is as it was picked, is eaten on the way. Serve it as a dish.',
    }
    pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 50, why: 'x' })
    expect(answer(pen, { ...nibble(5, true), lot: 'B' })).toMatchObject(refused)
    expect(answer(pen, { ...nibble(5, true), pack: 'P' })).toMatchObject({ field: 'pack' })
    pen.force({ type: 'packed', lot: 'A', pack: 'P', store: 'frozen', mass_g: 50, containers: 1, storeTemp_C: -19 })
    expect(answer(pen, { ...nibble(5, true), pack: 'P' })).toMatchObject(refused)
    pen.force({ type: 'step-begun', lot: 'A', protocol: 'washed, raw', step: 1, load: 1, mass_g: 100 })
    expect(answer(pen, nibble(5, true))).toMatchObject(refused)
  })
})
