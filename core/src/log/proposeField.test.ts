import { describe, expect, it } from 'vitest'
import { bringIn, CLEAN, cook, household, load, Pen, weighIn } from '../test/pen'
import { creeper } from '../test/plants'
import { catalogueWith } from '../flora/own'
import { inOrder } from './fold'
import { propose } from './propose'
import type { SetAsideShares } from '../take/setAside'
import type { Saying } from './stamp'

const says = (pen: Pen, saying: Saying, at?: string) => {
  const { proposal } = pen.try(saying, at)
  return proposal.ok ? 'taken' : `${proposal.field}: ${proposal.message}`
}

describe('what is noted before anything is picked', () => {
  it('an outing is planned for food, at patches that are there', () => {
    const pen = household(new Pen())
    const plan = (...wishes: Saying<'outing-planned'>['wishes']): Saying => ({
      ...{ type: 'outing-planned', outing: 'o', day: '2027-05-17', company: [], plates: 2 },
      wishes,
    })
    const tops = { taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', patch: 'wall' } as const
    expect(says(pen.copy(), plan(tops))).toBe('taken')
    expect(says(pen.copy(), plan())).toBe('taken')
    expect(says(pen, plan(tops, { ...tops, patch: 'none' }))).toBe('wishes: There is no patch none.')
    expect(says(pen, plan(tops, { ...tops, taxon: 'Nobody knows' }))).toBe(
      'wishes: Nobody knows: leafy top, young, is not food by its record.',
    )
    expect(says(pen, plan({ ...tops, part: 'root' }))).toBe(
      'wishes: Urtica dioica: root, young, is not food by its record.',
    )
    expect(says(pen, plan({ taxon: 'Heracleum mantegazzianum', part: 'leaf', stage: 'any', patch: 'wall' }))).toBe(
      'wishes: Heracleum mantegazzianum: leaf, any, is not food by its record.',
    )
    expect(pen.log.state.house.outings).toEqual({})
  })
  it('what is given back is of a patch and, where it grows, of a plant that may be spread', () => {
    const pen = household(new Pen())
    const gift = (what: Saying<'gave-back'>['what'], taxon?: string, patch = 'wall'): Saying => ({
      ...{ type: 'gave-back', patch, what, count: null },
      ...(taxon === undefined ? {} : { taxon }),
    })
    expect(says(pen, gift('litter-carried-out', undefined, 'none'))).toBe('patch: There is no such patch.')
    for (const what of ['crowns-replanted', 'seed-scattered', 'clump-divided'] as const) {
      expect(says(pen, gift(what))).toBe('taxon: Say of which plant.')
      expect(says(pen, gift(what, 'Nobody knows'))).toBe('taxon: This plant is not in the catalogue.')
      expect(says(pen.copy(), gift(what, 'Allium ursinum'))).toBe('taken')
      expect(says(pen, gift(what, 'Helianthus tuberosus'))).toBe(
        'taxon: It spreads and does harm: it is not replanted, sown or divided. Take its scraps home and burn or bin them.',
      )
    }
    for (const what of ['holes-filled', 'litter-carried-out', 'water-and-scraps'] as const) {
      expect(says(pen.copy(), gift(what))).toBe('taken')
      expect(says(pen.copy(), gift(what, 'Helianthus tuberosus'))).toBe('taken')
    }
  })
  it('a stand is shared out among what its plant is good for, and no more of it than there is', () => {
    const pen = household(new Pen())
    const share = (shares: SetAsideShares, taxon = 'Urtica dioica', patch = 'wall'): Saying => ({
      ...{ type: 'stand-set-aside', patch, taxon, shares },
    })
    expect(says(pen, share({}, 'Urtica dioica', 'none'))).toBe('patch: There is no such patch.')
    expect(says(pen, share({}, 'Nobody knows'))).toBe('taxon: This plant is not in the catalogue.')
    expect(says(pen, share({ sap: 0.1 }))).toBe('shares: Nothing of it is on record as sap.')
    expect(says(pen, share({ greens: 0.7, seed: 0.4 }))).toBe(
      'shares: They come to 110 % of the stand. Leave it at 100 %.',
    )
    expect(says(pen, share({ greens: 0.1, seed: 0.2, guests: 0.7, sap: 0 }))).toBe('taken')
  })
  it('tips are of a picking, and holes of what is dug', () => {
    const pen = household(new Pen())
    weighIn(pen)
    expect(says(pen.copy(), { type: 'snapped', lot: 'A', tips: [{ length_cm: 9 }] })).toBe('taken')
    const stand = { type: 'stand-counted', lot: 'A', stems: 50, taken: 5, wildlifeLooked: true, wildlifeOn: 0 } as const
    const dug = { tool: 'fork' } as const
    expect(says(pen, { ...stand, othersPick: false, school: null, dug })).toBe('dug: This part is not dug.')
    pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 10, why: 'some' })
    expect(says(pen, { type: 'snapped', lot: 'B', tips: [{ length_cm: 9 }] })).toBe(
      'lot: Tips are noted with the picking they came from.',
    )
  })
  it('a plant of one’s own may be put on record anew, and never beside a record', () => {
    const pen = household(new Pen())
    pen.write({ type: 'plant-recorded', plant: creeper() })
    expect(says(pen, { type: 'plant-recorded', plant: creeper({ scientificName: 'Conium maculatum' }) })).toMatch(
      /^scientificName: .+ on record/,
    )
    // Judged with it in the catalogue, as the book judges: it does not stand in its own way.
    const again = pen.stamp({ type: 'plant-recorded', plant: creeper({ source: 'another neighbour' }) })
    const records = catalogueWith(pen.catalogue, pen.log.state.house.ownPlants)
    expect(propose(again, pen.log, records, pen.now)).toEqual({ ok: true })
  })
  it('a meeting is anywhere, or at a patch that is there', () => {
    const pen = household(new Pen())
    const met = { type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' } as const
    expect(says(pen.copy(), met)).toBe('taken')
    expect(says(pen.copy(), { ...met, patch: 'wall' })).toBe('taken')
    expect(says(pen, { ...met, patch: 'none' })).toBe('patch: There is no such patch. Note its ground first.')
  })
})

describe('what is brought home', () => {
  it('is revived by cold water where it is green, and told what else to do where it is not', () => {
    const revive = (taxon: string, part: Saying<'weighed-in'>['part'], stage: Saying<'weighed-in'>['stage']) => {
      const pen = household(new Pen())
      pen.write({ type: 'ground-noted', patch: 'wall', name: 'Wall', facts: CLEAN })
      const picked = { type: 'weighed-in', lot: 'A', code: 'A', patch: 'wall', mass_g: 500, pickedAt: pen.now } as const
      expect(says(pen, { ...picked, taxon, part, stage })).toBe('taken')
      return says(pen, { type: 'revived', lot: 'A', minutes: 25, chilled: true, looks: 'crisp' })
    }
    expect(revive('Urtica dioica', 'leafy-top', 'young')).toBe('taken')
    expect(revive('Allium ursinum', 'leaf', 'young')).toBe('taken')
    expect(revive('Sambucus nigra', 'flower', 'flowering')).toBe(
      'lot: Cold water does not bring flower back: use it now, or dry it.',
    )
    expect(revive('Quercus robur', 'nut', 'ripe')).toMatch(/^lot: Cold water does not bring nut back/)
  })
  it('by count is weighed when it is sorted, and may be thrice what the record says, not more', () => {
    const counted = () => {
      const pen = household(new Pen())
      weighIn(pen, 100)
      const plain = inOrder(pen.log).find(({ type }) => type === 'weighed-in')
      pen.write({ type: 'struck', entry: plain?.id ?? '', why: 'x' })
      const picked = { type: 'weighed-in', lot: 'B', code: 'B', patch: 'wall', mass_g: 100, counted: 50 } as const
      pen.write({ ...picked, taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', pickedAt: pen.now })
      return pen
    }
    const sort = (kept_g: number, trimmed_g: number): Saying => ({
      ...{ type: 'sorted', lot: 'B', stageSeen: 'young', trimmedTo: 'stock', wash: null },
      kept_g,
      trimmed_g,
    })
    expect(says(counted(), sort(400, 100))).toBe('taken')
    expect(says(counted(), sort(400, 100.1))).toBe(
      'kept_g: By count it was about 100 g; 500 g is more than it can have been. Weigh again.',
    )
    const weighed = household(new Pen())
    weighIn(weighed, 100, 'B')
    expect(says(weighed, sort(90, 10.6))).toBe('kept_g: Kept and trimmed make 101 g; the lot holds 100 g.')
    expect(says(weighed, sort(90, 10.5))).toBe('taken')
  })
  it('half treated is thrown away whole or not at all', () => {
    const pen = load1()
    const away = (mass_g: number): Saying => ({ type: 'thrown-away', lot: 'A', pack: null, mass_g, why: 'x' })
    expect(says(pen.copy(), away(100))).toBe(
      'mass_g: Some of its loads are done and some are not. Finish them, or throw all of it away.',
    )
    expect(says(pen.copy(), away(pen.lot().mass_g))).toBe('taken')
    const done = cook(household(new Pen()))
    done.write({ type: 'packed', lot: 'A', pack: 'p', store: 'frozen', mass_g: 300, containers: 1, storeTemp_C: -19 })
    expect(says(done.copy(), away(100))).toBe('taken')
    expect(says(done.copy(), { ...away(100), pack: 'p' } as Saying)).toBe('taken')
  })
})

function load1(): Pen {
  const pen = bringIn(household(new Pen()))
  load(pen, 400)
  return pen
}
