import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import type { PlantScore } from '../lot/lotState'
import { household, Pen } from '../test/pen'
import { tellsToSee } from '../identity/tellsToSee'
import { fairShare } from './share'
import { alongStand, rankStand, shareByRank, type RankedPlant } from './alongStand'

const LIME = requireTaxon(CATALOGUE, 'Tilia cordata')
const WHERE = { patch: 'wall', taxon: LIME, part: 'leaf' } as const

/** A picking of young lime leaves, told and on clean ground, as it was picked. */
function picked(pen: Pen, lot: string, { patch = 'wall', told = true } = {}): void {
  const leaf = LIME.uses.find(({ part, verdict }) => part === 'leaf' && verdict === 'raw-ok')
  pen.force({ type: 'weighed-in', lot, code: lot, taxon: LIME.scientificName, part: 'leaf', stage: leaf?.stage ?? 'young', patch, mass_g: 60, pickedAt: pen.now }) // prettier-ignore
  if (!told) return
  for (const character of tellsToSee(LIME, CATALOGUE))
    pen.force({ type: 'tell-seen', lot, character, answer: 'seen', states: (LIME.characters[character] ?? []).slice(0, 1) }) // prettier-ignore
  pen.force({ type: 'certain-attested', lot })
}

function stand(): Pen {
  const pen = household(new Pen())
  for (const month of ['03', '04', '05', '06'])
    pen.force({ type: 'plant-met', taxon: LIME.scientificName, stage: 'young' }, `2026-${month}-02T09:00:00.000Z`)
  return pen
}
const score = (pen: Pen, lot: string, ...plants: readonly PlantScore[]) =>
  pen.force({ type: 'plants-scored', lot, taster: 'ann', rinsed: true, plants })

describe('along the stand', () => {
  it('is bitten of only as a nibble may be: told, on clean ground, raw, of the day, each plant once', () => {
    const pen = stand()
    picked(pen, 'A')
    pen.wait(5)
    const plants = [{ plant: 'by the gate', liking: 7 }]
    const tried = (from: Pen, lot: string, more: readonly PlantScore[] = plants, taster = 'ann') => {
      const { proposal } = from.copy().try({ type: 'plants-scored', lot, taster, rinsed: true, plants: more })
      return proposal.ok ? 'taken' : proposal.field
    }
    expect(tried(pen, 'A')).toBe('taken')
    // One who was never asked what to avoid, and one whom nobody knows.
    expect(tried(pen, 'A', plants, 'cy')).toBe('gates')
    expect(tried(pen, 'A', plants, 'nobody')).toBe('gates')
    expect(tried(pen, 'A', [...plants, { plant: ' By the  Gate', liking: 2 }])).toBe('plants')
    picked(pen, 'B', { told: false })
    expect(tried(pen, 'B')).toBe('gates')
    picked(pen, 'C', { patch: 'nowhere' })
    expect(tried(pen, 'C')).toBe('gates')
    pen.force({ type: 'weighed-in', lot: 'N', code: 'N', taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', patch: 'wall', mass_g: 60, pickedAt: pen.now }) // prettier-ignore
    expect(tried(pen, 'N')).toBe('gates')
    pen.wait(25 * 60)
    expect(tried(pen, 'A')).toBe('lot')
  })
  it('ranks the best first, few bites nearer to the middle, last year’s at half, each stand by itself', () => {
    const pen = stand()
    picked(pen, 'A')
    score(pen, 'A', { plant: 'Oak side', liking: 9, gives: 40, light: 'shade' }, { plant: 'gate', liking: 3, gives: 50 }, { plant: 'ditch', liking: 6 }) // prettier-ignore
    pen.wait(10)
    score(pen, 'A', { plant: 'oak  side', liking: 9, gives: 30 })
    picked(pen, 'B', { patch: 'other' })
    score(pen, 'B', { plant: 'elsewhere', liking: 10 })
    const ranked = rankStand(WHERE, pen.context)
    expect(ranked.map(({ plant }) => plant)).toEqual(['oak  side', 'ditch', 'gate'])
    // Mean of all four bites 6.75; two of 9 and one at the middle, one of 3 and one at the middle.
    expect(ranked[0]).toMatchObject({ bites: 2, remembered: 0, gives: 30, light: 'shade' })
    expect(ranked.map(({ liking }) => liking)).toEqual([(18 + 6.75) / 3, (6 + 6.75) / 2, (3 + 6.75) / 2])
    pen.wait(330 * 24 * 60)
    const remembered = rankStand(WHERE, pen.context)
    expect(remembered.map(({ plant, remembered: old, gives }) => [plant, old, gives])).toEqual([['oak  side', 2, undefined], ['ditch', 1, undefined], ['gate', 1, undefined]]) // prettier-ignore
    expect(remembered[0]?.liking).toBeLessThan(ranked[0]?.liking ?? 0)
    expect(shareByRank(remembered, 100, 1)).toEqual([])
    expect(rankStand({ ...WHERE, part: 'flower' }, pen.context)).toEqual([])
    expect(rankStand(WHERE, { ...pen.context, now: '2020-01-01T00:00:00.000Z' })).toEqual([])
  })
  it('shares an allowance out by rank: never more than it, nor than each may give, nothing of what nobody likes', () => {
    const plant = fc.record({ plant: fc.string(), liking: fc.double({ min: 0, max: 10, noNaN: true }), gives: fc.option(fc.nat(200), { nil: undefined }) }) // prettier-ignore
    fc.assert(
      fc.property(fc.array(plant, { maxLength: 12 }), fc.integer({ min: -5, max: 400 }), fc.double({ min: 0, max: 1, noNaN: true }), (plants, left, share) => {
        const ranked = plants.map((each, index): RankedPlant => ({ ...each, plant: `${index}`, bites: 1, remembered: 0, light: undefined, lastAt: '' })).toSorted((a, b) => b.liking - a.liking) // prettier-ignore
        const shared = shareByRank(ranked, left, share)
        const total = shared.reduce((sum, { pieces }) => sum + pieces, 0)
        expect(total).toBeLessThanOrEqual(Math.max(0, left))
        for (const { plant: name, pieces } of shared) {
          const of = ranked.find((each) => each.plant === name)
          expect(pieces).toBeGreaterThan(0)
          expect(pieces).toBeLessThanOrEqual((of?.gives ?? 0) * share)
          expect(of?.liking).toBeGreaterThanOrEqual(4)
        }
        // Nobody gives less than it may while a worse one gives.
        const may = ranked.filter(({ gives, liking }) => gives !== undefined && liking >= 4 && Math.floor(gives * share) > 0)
        expect(shared.map((each) => each.plant)).toEqual(may.slice(0, shared.length).map((each) => each.plant))
        for (const each of shared.slice(0, -1)) expect(each.pieces).toBe(Math.floor((may.find((one) => one.plant === each.plant)?.gives ?? 0) * share)) // prettier-ignore
        if (shared.length < may.length) expect(total).toBe(Math.max(0, left))
      }),
    ) // prettier-ignore
  })
  it('goes by the last count of the stand: what was cut has drawn on it, and nobody counted is nobody’s share', () => {
    const pen = stand()
    picked(pen, 'A')
    score(pen, 'A', { plant: 'oak side', liking: 9, gives: 400 }, { plant: 'gate', liking: 8, gives: 1000 })
    expect(alongStand(WHERE, pen.context)).toMatchObject({ shared: undefined, ranked: [{ plant: 'oak side' }, { plant: 'gate' }] }) // prettier-ignore
    pen.force({ type: 'stand-counted', lot: 'A', stems: 2000, taken: 100, wildlifeLooked: true, wildlifeOn: 0, othersPick: false, school: null }) // prettier-ignore
    pen.wait(60)
    const { shared } = alongStand(WHERE, pen.context)
    const share = fairShare({ taxon: LIME, part: 'leaf', stand: { pieces: 2000 }, wildlifeOn: 0, othersPick: false, clone: false }) // prettier-ignore
    expect(shared?.left).toBe(share.pieces - 100)
    const mayGive = Math.floor((400 * share.pieces) / 2000)
    expect(shared?.by).toEqual([{ plant: 'oak side', pieces: mayGive }, { plant: 'gate', pieces: Math.min(share.pieces - 100 - mayGive, Math.floor((1000 * share.pieces) / 2000)) }]) // prettier-ignore
  })
})
