import { describe, expect, it } from 'vitest'
import type { Taxon } from '../flora/taxon'
import { CATALOGUE } from '../flora/records'
import { isHarmful } from '../identity/clear'
import type { GroundNote } from '../ground/facts'
import type { Saying } from '../log/stamp'
import { BLANCH, bringIn, CLEAN, cook, FITTING_TELLS, household, load, Pen, tell, weighIn } from '../test/pen'
import { ACT_GATES, shutFor } from './acts'
import { bringInKind, leachBaths, meetAll, runStep } from '../test/plants'
import { judge, packAsLot, type Intent } from './judge'
import { eaterVerdict } from './plate'
import { doNow } from '../lot/doNow'
import { lotUse } from '../treatment/batchUse'
import { storedAs } from '../freshness/storedAs'
import { GATE_NAMES, GATES, type Gate } from './verdict'

const see = (pen: Pen, gate: Gate, intent: Intent = {}) => {
  const { state, reasons } = judge(gate, pen.lot(), pen.context, intent)
  return { state, reasons }
}
const opened = () => household(new Pen())
/** A catalogue in which a record is changed. */
const catalogueWith = (name: string, change: Partial<Taxon>) => ({
  ...CATALOGUE,
  taxa: CATALOGUE.taxa.map((taxon) => (taxon.scientificName === name ? { ...taxon, ...change } : taxon)),
})

describe('every verdict', () => {
  it('stores its gate, the instant and the catalogue’s revision', () => {
    const pen = cook(opened())
    for (const gate of GATES)
      expect(judge(gate, pen.lot(), pen.context)).toMatchObject({ gate, at: pen.now, revision: CATALOGUE.revision })
    expect(Object.values(GATE_NAMES)).toEqual([
      'Identity',
      'Ground',
      'Take',
      'Sort',
      'Make safe',
      'Taste',
      'Keep',
      'Plate',
    ])
    expect(() => judge('attic' as Gate, pen.lot(), pen.context)).toThrow(
      'judge: expected one of the eight gates, got attic',
    )
  })
  it('is closed for a plant that is not in the catalogue, and never thrown', () => {
    const pen = opened()
    pen.force({
      type: 'weighed-in',
      lot: 'A',
      code: 'A',
      taxon: 'Planta ignota',
      part: 'leaf',
      stage: 'young',
      patch: 'wall',
      mass_g: 10,
      pickedAt: pen.now,
    })
    const gone = 'This plant is not in the catalogue.'
    expect(see(pen, 'identity')).toEqual({
      state: 'closed',
      reasons: ['This plant is not in the catalogue, so nothing can be checked.'],
    })
    for (const gate of ['ground', 'take', 'sort'] as const)
      expect(see(pen, gate)).toEqual({ state: 'closed', reasons: [gone] })
    expect(see(pen, 'makeSafe')).toEqual({
      state: 'closed',
      reasons: ['Nothing is on record about eating this part at this stage.'],
    })
    expect(see(pen, 'keep')).toEqual({ state: 'closed', reasons: ['No way of keeping this is on record.'] })
    expect(eaterVerdict(pen.lot(), pen.context, 'ann')).toMatchObject({
      state: 'closed',
      reasons: ['Nothing is on record about eating this.'],
    })
    expect(storedAs(pen.lot(), pen.context)).toBe('raw')
  })
  it('is closed or ajar for a lot whose weighing in was struck out', () => {
    const pen = opened()
    pen.force({ type: 'certain-attested', lot: 'A' })
    for (const gate of GATES) expect(see(pen, gate).state).not.toBe('open')
  })
})

/** Plants of the catalogue that would harm whoever ate them for nettle. */
const HARMFUL = CATALOGUE.taxa.filter(isHarmful).length

describe('Identity', () => {
  it('asks for every key tell, every harmful double ruled out, and certainty', () => {
    const pen = opened()
    weighIn(pen)
    expect(see(pen, 'identity')).toEqual({
      state: 'ajar',
      reasons: [
        'Still to be looked at: how the leaves sit, leaf edge, leaf surface and stem, cut across.',
        'White snakeroot (poisonous): not ruled out. 2 more marks needed.',
        "Dog's mercury (poisonous): not ruled out. 2 more marks needed.",
        'Common figwort (irritant): not ruled out. 1 more mark needed.',
        `${HARMFUL - 3} more harmful plants not ruled out yet.`,
        'You have not yet said that you are certain.',
      ],
    })
    tell(pen, 'leafSurface', 'stinging-hairs')
    expect(see(pen, 'identity').reasons).toContain("Dog's mercury (poisonous): not ruled out. 1 more mark needed.")
    expect(see(pen, 'identity').reasons).not.toContain('Common figwort (irritant): not ruled out. 1 more mark needed.')
    expect(see(pen, 'identity').reasons.length).toBeLessThan(8)
    for (const [character, state] of FITTING_TELLS) tell(pen, character, state)
    expect(see(pen, 'identity').reasons).toEqual(['You have not yet said that you are certain.'])
    pen.write({ type: 'certain-attested', lot: 'A' })
    expect(see(pen, 'identity')).toEqual({
      state: 'open',
      reasons: [`Every key tell fits; ${HARMFUL} harmful plants are ruled out.`],
    })
  })
  it('is closed by one contradiction, in words that name both states', () => {
    const pen = bringIn(opened())
    expect(see(pen, 'identity').state).toBe('open')
    const other = opened()
    weighIn(other)
    for (const [character, state] of FITTING_TELLS) tell(other, character, state)
    other.write({ type: 'certain-attested', lot: 'A' })
    tell(other, 'leafArrangement', 'alternate')
    expect(see(other, 'identity')).toEqual({
      state: 'closed',
      reasons: [
        'How the leaves sit: you saw in pairs (opposite) and one by one (alternate); on nettle it is in pairs (opposite). It is not this plant, or not only this plant.',
      ],
    })
  })
  it('takes “not visible” and “could not tell” for no answer', () => {
    const pen = opened()
    weighIn(pen)
    for (const [character] of FITTING_TELLS)
      pen.write({ type: 'tell-seen', lot: 'A', character, answer: 'not-visible', states: [] })
    pen.write({
      type: 'tell-seen',
      lot: 'A',
      character: 'leafSurface',
      answer: 'could-not-tell',
      states: ['stinging-hairs'],
    })
    expect(see(pen, 'identity').reasons[0]).toContain('leaf surface')
  })
  it('does not count a tell noted after the first cutting', () => {
    const pen = opened()
    weighIn(pen)
    for (const [character, state] of FITTING_TELLS.slice(1)) tell(pen, character, state)
    pen.write({ type: 'certain-attested', lot: 'A' })
    pen.write({
      type: 'sorted',
      lot: 'A',
      stageSeen: 'young',
      kept_g: 900,
      trimmed_g: 300,
      trimmedTo: 'stock',
      wash: null,
    })
    tell(pen, 'leafArrangement', 'opposite')
    expect(see(pen, 'identity')).toEqual({
      state: 'ajar',
      reasons: ['Not seen before it was cut: how the leaves sit. What is noted after the cutting does not count.'],
    })
  })
  it('does not count a tell noted at the very moment of the cutting', () => {
    const pen = opened()
    weighIn(pen)
    for (const [character, state] of FITTING_TELLS.slice(1)) tell(pen, character, state)
    pen.write({ type: 'certain-attested', lot: 'A' })
    const at = pen.now
    pen.write(
      { type: 'sorted', lot: 'A', stageSeen: 'young', kept_g: 900, trimmed_g: 300, trimmedTo: 'stock', wash: null },
      at,
    )
    pen.write({ type: 'tell-seen', lot: 'A', character: 'leafArrangement', answer: 'seen', states: ['opposite'] }, at)
    expect(see(pen, 'identity').state).toBe('ajar')
  })
  it('counts distinct days of meeting, of this plant, by any of its names, up to now', () => {
    const met = (...meetings: [string, string][]) => {
      const pen = new Pen()
      household(pen)
      const strike = [...pen.log.entries.values()].filter(({ type }) => type === 'plant-met')
      for (const { id } of strike) pen.write({ type: 'struck', entry: id, why: 'test' })
      for (const [taxon, at] of meetings) pen.force({ type: 'plant-met', taxon, stage: 'young' }, at)
      bringIn(pen)
      return see(pen, 'identity')
    }
    const short = (days: number) => ({
      state: 'ajar',
      reasons: [`Sure days with nettle: ${days} of 2. Do not eat nettle yet.`],
    })
    expect(met()).toEqual(short(0))
    expect(met(['Urtica dioica', '2026-05-01T08:00:00.000Z'], ['Urtica dioica', '2026-05-01T18:00:00.000Z'])).toEqual(
      short(1),
    )
    expect(met(['Urtica dioica', '2026-05-01T08:00:00.000Z'], ['Urtica urens', '2026-05-02T18:00:00.000Z'])).toEqual(
      short(1),
    )
    expect(met(['Urtica dioica', '2026-05-01T08:00:00.000Z'], ['Urtica dioica', '2028-05-02T18:00:00.000Z'])).toEqual(
      short(1),
    )
    expect(
      met(['Urtica dioica', '2026-05-01T08:00:00.000Z'], ['Urtica galeopsifolia', '2026-05-02T18:00:00.000Z']).state,
    ).toBe('open')
  })
  it('is reopened by a stray until all was gone through again, and closed when it was broken up', () => {
    const pen = bringIn(opened())
    pen.write({ type: 'stray-reported', lot: 'A', what: 'a smooth leaf', brokenUp: false })
    expect(see(pen, 'identity')).toEqual({
      state: 'ajar',
      reasons: ['A stray was reported: go through the whole lot again, piece by piece.'],
    })
    pen.write({ type: 'strays-sorted', lot: 'A', found: 2 })
    expect(see(pen, 'identity').state).toBe('open')
    pen.write({ type: 'stray-reported', lot: 'A', what: 'another', brokenUp: false })
    expect(see(pen, 'identity').reasons[0]).toMatch(/^A stray was reported: go through the whole lot again/)
    // Going through it must turn up at least what was reported.
    expect(pen.try({ type: 'strays-sorted', lot: 'A', found: 0 }).proposal).toMatchObject({ field: 'found' })
    pen.write({ type: 'strays-sorted', lot: 'A', found: 1 })
    pen.write({ type: 'stray-reported', lot: 'A', what: 'chopped', brokenUp: true })
    expect(pen.try({ type: 'strays-sorted', lot: 'A', found: 1 }).proposal).toMatchObject({
      field: 'lot',
      message: 'A stray is broken up in it, and no sorting finds all of it again: throw the lot away.',
    })
    pen.force({ type: 'strays-sorted', lot: 'A', found: 1 })
    expect(see(pen, 'identity')).toEqual({
      state: 'closed',
      reasons: ['A stray is broken up in it, and it may have been dog\'s mercury, white snakeroot or common figwort: throw away the lot and everything made of it.'], // prettier-ignore
    })
    const harmless = new Pen(catalogueWith('Urtica dioica', { lookalikes: [] }))
    bringIn(household(harmless))
    harmless.write({ type: 'stray-reported', lot: 'A', what: 'chopped', brokenUp: true })
    harmless.force({ type: 'strays-sorted', lot: 'A', found: 1 })
    // What it was nobody knows, whatever else the plant is taken for.
    expect(see(harmless, 'identity')).toEqual({
      state: 'closed',
      reasons: ['A stray is broken up in it, and nobody knows what it was: throw away the lot and everything made of it.'], // prettier-ignore
    })
  })
  it('asks again where what lay about is not of this plant, unless it was seen on the plant too', () => {
    const lay = (character: string, state: string, seen?: string) => {
      const pen = opened()
      weighIn(pen)
      for (const [each, is] of FITTING_TELLS) if (each !== character || seen !== undefined) tell(pen, each, is)
      pen.write({ type: 'certain-attested', lot: 'A' })
      pen.force({ type: 'tell-seen', lot: 'A', character, answer: 'lay-about', states: [state] })
      return see(pen, 'identity').reasons.filter((reason) => reason.includes('lying there'))
    }
    expect(lay('fruit', 'pod')).toEqual(['Fruit lying there (pod) is not of nettle: look for one on the plant, and whether another kind stands near.']) // prettier-ignore
    expect(lay('fruit', 'nutlet')).toEqual([])
    expect(lay('leafMargin', 'entire', 'serrate')).toEqual([])
    expect(lay('cone', 'hanging')).toEqual([])
  })
  it('of a mixed stand wants ten stems looked at, or all where fewer were cut', () => {
    const attested = (stemsSeen: number, taken: number | null, mixed = true) => {
      const pen = bringIn(opened())
      if (taken !== null)
        pen.write({
          type: 'stand-counted',
          lot: 'A',
          stems: 2000,
          taken,
          wildlifeLooked: true,
          wildlifeOn: 0,
          othersPick: false,
          school: null,
        })
      pen.write({ type: 'certain-attested', lot: 'A', stand: { mixed, stemsSeen } })
      return see(pen, 'identity')
    }
    expect(attested(9, 500)).toEqual({
      state: 'ajar',
      reasons: [
        'Other plants grow among it and you looked at 9 of its stems: look at 10, then say again that you are certain.',
      ],
    })
    expect(attested(5, 6).reasons[0]).toContain('look at 6,')
    for (const fit of [attested(10, 500), attested(9, 9), attested(10, null), attested(0, 500, false)])
      expect(fit).toEqual({ state: 'open', reasons: [expect.stringContaining('Every key tell fits')] })
    const uncounted = opened()
    weighIn(uncounted)
    for (const [character, state] of FITTING_TELLS) tell(uncounted, character, state)
    uncounted.write({ type: 'certain-attested', lot: 'A', stand: { mixed: true, stemsSeen: 9 } })
    expect(see(uncounted, 'identity').reasons[0]).toContain('look at 10,')
  })
  it('says whose word a plant of one’s own rests on', () => {
    const pen = bringIn(household(new Pen(catalogueWith('Urtica dioica', { own: true }))))
    pen.write({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' })
    expect(see(pen, 'identity').reasons.at(-1)).toBe(
      'On record by your own word: nobody but you has checked what it could be taken for.',
    )
    expect(see(bringIn(opened()), 'identity').reasons).toHaveLength(1)
  })
  it('of a part is open again only once the last stray of its picking was gone through here too', () => {
    const pen = bringIn(opened())
    pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 300, why: 'another dish' })
    const stray = () => pen.write({ type: 'stray-reported', lot: 'B', what: 'a smooth leaf', brokenUp: false })
    stray()
    pen.force({ type: 'strays-sorted', lot: 'A', found: 0 })
    pen.wait(1)
    expect(see(pen, 'identity').state).toBe('open')
    stray()
    expect(see(pen, 'identity')).toEqual({
      state: 'ajar',
      reasons: ['A stray was found in lot B, of the same picking: go through this one too.'],
    })
    // At the moment of the report itself it was gone through with it in mind.
    pen.force({ type: 'strays-sorted', lot: 'A', found: 0 }, pen.lot('B').strays.reportedAt ?? '')
    expect(see(pen, 'identity').state).toBe('open')
  })
  it('is closed by a taste that is an alarm', () => {
    const pen = cook(opened())
    pen.write({
      type: 'tasted',
      lot: 'A',
      taster: 'ann',
      bitter: 0,
      astringent: 0,
      crumb: false,
      accepts: true,
      alarm: 'bitter-where-none-belongs',
    })
    expect(see(pen, 'identity')).toEqual({
      state: 'closed',
      reasons: [
        'It tasted of bitter where none belongs: stop. Eat no more of it, keep a sample, and look again at what it is.',
      ],
    })
  })
})

describe('Ground', () => {
  const verdict = (facts: GroundNote, at = '2027-05-01T00:00:00.000Z', now?: string) => {
    const pen = household(new Pen())
    pen.write({ type: 'ground-noted', patch: 'other', name: 'Other', facts }, at)
    if (now !== undefined) pen.now = now
    pen.force({
      type: 'weighed-in',
      lot: 'A',
      code: 'A',
      taxon: 'Urtica dioica',
      part: 'leafy-top',
      stage: 'young',
      patch: 'other',
      mass_g: 100,
      pickedAt: pen.now,
    })
    return see(pen, 'ground')
  }
  const without = (fact: keyof GroundNote) =>
    Object.fromEntries(Object.entries(CLEAN).filter(([name]) => name !== fact)) as GroundNote
  it('opens on clean ground', () => expect(verdict(CLEAN)).toEqual({ state: 'open', reasons: [] }))
  it.each([
    ['permission', 'who gave leave to pick here'],
    ['sprayed', 'when it was last sprayed'],
    ['busyRoad', 'how far the next busy road is'],
    ['pastUse', 'what this land was before'],
    ['manured', 'whether it is dunged or fertilised'],
    ['dogs', 'how many dogs come by'],
    ['looksHealthy', 'whether the plants look healthy'],
  ] as const)('asks for %s when it was never asked', (fact, question) => {
    expect(verdict(without(fact))).toEqual({ state: 'ajar', reasons: [`Still to be asked: ${question}.`] })
  })
  it('asks again after a year, to the day', () => {
    expect(verdict(CLEAN, '2026-05-16T08:30:00.000Z', '2027-05-16T08:20:00.000Z').state).toBe('open')
    const stale = verdict(CLEAN, '2026-05-16T08:00:00.000Z', '2027-05-16T08:00:00.000Z')
    expect(stale.state).toBe('ajar')
    expect(stale.reasons[0]).toContain('who gave leave to pick here (last asked over a year ago)')
  })
  it.each([
    [
      { permission: { from: 'the board', until: '2027-05-15T00:00:00.000Z' } },
      'Leave from the board ended on 15 May 2027. Ask again before picking.',
    ],
    [
      { sprayed: { last: '2024-06-14T00:00:00.000Z' } },
      'NOT FOOD if picked before 14 June 2027: weedkiller at Other on 14 June 2024; your wait is 3 years. No washing removes it.',
    ],
    [
      { pastUse: 'mine' },
      'This was a mine: the plant takes up metals, and no washing or cooking takes them out. Only a soil test clears it.',
    ],
    [
      { pastUse: 'industry' },
      'This was an old works: what lies there no one test finds, and no washing or cooking takes it out.',
    ],
    [{ pastUse: 'tip' }, 'This was a tip: what lies there no one test finds, and no washing or cooking takes it out.'],
    [
      { pastUse: 'railway' },
      'This was a railway: the plant takes up metals, and no washing or cooking takes them out. Only a soil test clears it.',
    ],
    [
      { pastUse: 'old-orchard' },
      'This was an old orchard, where lead and arsenic were sprayed: the plant takes up metals, and no washing or cooking takes them out. Only a soil test clears it.',
    ],
    [
      { busyRoad: { distance_m: 30 } },
      '30 m from a busy road; 50 m is the careful distance (the usual school says 20 m). Dust rinses off, metal in the leaf does not.',
    ],
    [
      { looksHealthy: false },
      'The stand looks sick: twisted, yellow in strips or dying. Find out why before anything is eaten from it.',
    ],
  ] as [GroundNote, string][])('is closed by %o', (fact, reason) =>
    expect(verdict({ ...CLEAN, ...fact })).toEqual({ state: 'closed', reasons: [reason] }),
  )
  it('opens at the limits themselves', () => {
    expect(verdict({ ...CLEAN, busyRoad: { distance_m: 50 } }).state).toBe('open')
    expect(verdict({ ...CLEAN, sprayed: { last: '2024-05-15T00:00:00.000Z' } }).state).toBe('open')
    expect(verdict({ ...CLEAN, permission: { from: 'us', until: '2027-05-17T00:00:00.000Z' } }).state).toBe('open')
  })
  it('keeps a spraying in mind though the fact has gone stale', () => {
    const stale = verdict({ ...CLEAN, sprayed: { last: '2025-06-14T00:00:00.000Z' } }, '2026-01-01T00:00:00.000Z')
    expect(stale.state).toBe('closed')
    expect(stale.reasons[0]).toContain('NOT FOOD if picked before 14 June 2028')
  })
  it('does not pass the unknown as clean, and says what is worth knowing', () => {
    expect(verdict({ ...CLEAN, pastUse: 'unknown' })).toEqual({
      state: 'ajar',
      reasons: ['Still to be asked: what this land was before: not known is not clean.'],
    })
    expect(verdict({ ...CLEAN, manured: 'yes', dogs: 'many' })).toEqual({
      state: 'open',
      reasons: [
        'Fed ground: more nitrate. Blanch it and throw the water away.',
        'Many dogs: take tops above the knee, from the far side, and cook them.',
      ],
    })
    expect(verdict({ ...CLEAN, manured: 'unknown' }).reasons).toEqual([
      'Manure: not known. Treated as manured: blanch and throw the water away.',
    ])
  })
  it('is stricter to a plant that takes up metals, and passes no other where nothing is known of it', () => {
    const ground = (facts: GroundNote) => {
      const pen = household(new Pen(catalogueWith('Urtica dioica', { accumulates: [] })))
      pen.write({ type: 'ground-noted', patch: 'wall', facts })
      weighIn(pen)
      return see(pen, 'ground')
    }
    expect(ground({ busyRoad: { distance_m: 20 }, manured: 'yes', pastUse: 'unknown' })).toEqual({
      state: 'open',
      reasons: ['Nobody knows what this land was before.'],
    })
    expect(ground({ busyRoad: { distance_m: 19 } }).reasons).toEqual([
      '19 m from a busy road; 20 m is the careful distance (the usual school says 10 m). Dust and soot lie on all of it.',
    ])
    expect(ground({ pastUse: 'mine' })).toEqual({
      state: 'ajar',
      reasons: [
        'Still to be asked: a soil test for lead, cadmium and arsenic, for this was a mine, and what this plant takes up is not on record.',
      ],
    })
  })
  it('stays ajar for a patch of which nothing is known', () => {
    const pen = opened()
    pen.write({
      type: 'weighed-in',
      lot: 'A',
      code: 'A',
      taxon: 'Urtica dioica',
      part: 'leaf',
      stage: 'young',
      patch: 'nowhere',
      mass_g: 10,
      pickedAt: pen.now,
    })
    expect(see(pen, 'ground')).toEqual({ state: 'ajar', reasons: ['Nothing is known of this patch yet.'] })
  })
})

describe('Take', () => {
  const stand = (over: Partial<Saying<'stand-counted'>> = {}) => {
    const pen = opened()
    weighIn(pen)
    pen.write({
      type: 'stand-counted',
      lot: 'A',
      stems: 2000,
      taken: 500,
      wildlifeLooked: true,
      wildlifeOn: 0,
      othersPick: false,
      school: null,
      ...over,
    })
    return see(pen, 'take')
  }
  it('asks for the count, then for the wildlife', () => {
    const pen = opened()
    weighIn(pen)
    expect(see(pen, 'take')).toEqual({
      state: 'ajar',
      reasons: ['Say how many plants there were and how many you cut.'],
    })
    expect(stand({ wildlifeLooked: false })).toEqual({
      state: 'ajar',
      reasons: ['Check the plants for insects, eggs and nests.'],
    })
  })
  it('opens within the share, and beyond it too: too much is written down and does not make food unfit', () => {
    expect(stand()).toEqual({ state: 'open', reasons: ['You cut 500. Fair share: 666 (a third of 2,000 stems).'] })
    expect(stand({ taken: 666 }).reasons[0]).not.toContain('rests')
    expect(stand({ taken: 667 })).toEqual({
      state: 'open',
      reasons: [
        'You cut 667; 666 was fair. Fair share: 666 (a third of 2,000 stems). The food is not affected. Pick no more there until it has grown back.',
      ],
    })
  })
  it('does not ask for wildlife where the record names none, and is closed for a protected plant', () => {
    const { wildlifeHost, ...bare } = CATALOGUE.taxa.find(
      ({ scientificName }) => scientificName === 'Urtica dioica',
    ) as Taxon
    expect(wildlifeHost).toContain('peacock')
    const pen = household(
      new Pen({
        ...CATALOGUE,
        taxa: [...CATALOGUE.taxa.filter(({ scientificName }) => scientificName !== 'Urtica dioica'), bare],
      }),
    )
    weighIn(pen)
    pen.write({
      type: 'stand-counted',
      lot: 'A',
      stems: 2000,
      taken: 5,
      wildlifeLooked: false,
      wildlifeOn: 0,
      othersPick: false,
      school: null,
    })
    expect(see(pen, 'take').state).toBe('open')
    const rare = household(new Pen(catalogueWith('Urtica dioica', { standing: 'protected' })))
    weighIn(rare)
    expect(see(rare, 'take')).toEqual({ state: 'closed', reasons: ['It is protected: it is not picked.'] })
  })
})

describe('Sort', () => {
  it('opens when only the edible part at an edible stage goes on, washed in fit water', () => {
    const pen = opened()
    weighIn(pen)
    expect(see(pen, 'sort')).toEqual({
      state: 'ajar',
      reasons: ['Go through it piece by piece, trim it, and weigh what goes on.'],
    })
    expect(see(bringIn(opened()), 'sort')).toEqual({ state: 'open', reasons: [] })
  })
  const forced = (over: Partial<Saying<'sorted'>>) => {
    const pen = opened()
    weighIn(pen)
    pen.force({
      type: 'sorted',
      lot: 'A',
      stageSeen: 'young',
      kept_g: 900,
      trimmed_g: 300,
      trimmedTo: 'stock',
      wash: null,
      ...over,
    })
    return see(pen, 'sort')
  }
  it('is closed by what sorting found', () => {
    expect(forced({ wash: { water: 'chemicals', changes: 1 } })).toEqual({
      state: 'closed',
      reasons: ['It was washed in water with chemicals in it. Nothing takes those out.'],
    })
    expect(forced({ kept_g: 0 })).toEqual({ state: 'closed', reasons: ['Nothing edible was left after sorting.'] })
    expect(forced({ wash: { water: 'germs', changes: 1 } }).state).toBe('open')
    const flowering = forced({ stageSeen: 'flowering' })
    expect(flowering.state).toBe('closed')
    expect(flowering.reasons[0]).toMatch(
      /gritty with mineral bodies.*Instead: young tops from a stand mown in early summer/,
    )
    expect(forced({ stageSeen: 'dormant' })).toEqual({
      state: 'closed',
      reasons: ['Nothing is on record about eating this part at this stage.'],
    })
  })
  it('is closed for a plant that is never food', () => {
    const pen = opened()
    pen.force({
      type: 'weighed-in',
      lot: 'A',
      code: 'A',
      taxon: 'Mercurialis perennis',
      part: 'leafy-top',
      stage: 'young',
      patch: 'wall',
      mass_g: 10,
      pickedAt: pen.now,
    })
    expect(see(pen, 'sort').reasons[0]).toContain('People have eaten it as a pot herb and fallen ill')
    expect(see(pen, 'makeSafe')).toEqual({
      state: 'closed',
      reasons: ['Mercurialis irritants: No kitchen treatment is accepted for this plant.'],
    })
    const tuber = opened()
    tuber.force({
      type: 'weighed-in',
      lot: 'A',
      code: 'A',
      taxon: 'Mercurialis perennis',
      part: 'tuber',
      stage: 'young',
      patch: 'wall',
      mass_g: 10,
      pickedAt: tuber.now,
    })
    expect(see(tuber, 'sort').reasons[0]).toContain('Irritant substances that also harm the blood')
  })
})

describe('Make safe', () => {
  it('says what is still due, hazard by hazard', () => {
    expect(see(bringIn(opened()), 'makeSafe')).toEqual({
      state: 'ajar',
      reasons: ['Still to do: blanch, against sting and soil bacteria.'],
    })
  })
  it('opens when every gram went through the limit, and lists every answer', () => {
    const pen = bringIn(opened())
    load(pen, 400)
    expect(see(pen, 'makeSafe').reasons[0]).toBe('Blanching: 400 of 900 g are done.')
    load(pen, 499)
    expect(see(pen, 'makeSafe').state).toBe('ajar')
    load(pen, 1)
    const done = see(pen, 'makeSafe')
    expect(done.state).toBe('open')
    expect(done.reasons).toHaveLength(6)
    expect(done.reasons[0]).toBe('Sting: Boiling, thorough drying or crushing ends the sting. Done.')
    expect(done.reasons[1]).toBe('Nitrate: Ground without dung or fertiliser keeps nitrate moderate.')
  })
  it.each([
    [{ outcome: 'off-boil' }, 'it went off the boil'],
    [{ outcome: 'stopped' }, 'it was stopped'],
    [{ checked: false }, 'its sign was not looked at'],
    [{ minutes: 1.9 }, '1 min 54 s of 2 min'],
    [{ temp_C: 94 }, '94.0 °C is not a rolling boil here'],
  ] as [Partial<Saying<'step-done'>>, string][])('does not count a load with %o', (over, why) => {
    const pen = bringIn(opened())
    load(pen, 900, over)
    expect(see(pen, 'makeSafe').reasons[0]).toBe(`Load 1 does not count for the blanching: ${why}. Do it again.`)
    load(pen, 900)
    expect(see(pen, 'makeSafe').state).toBe('open')
  })
  it('does not count a load still in the pot', () => {
    const pen = bringIn(opened())
    pen.write({ type: 'step-begun', lot: 'A', ...BLANCH, load: 1, mass_g: 900 })
    expect(see(pen, 'makeSafe').state).toBe('ajar')
  })
  it('takes the minutes that the record adds with height, and refuses above what it accepts', () => {
    const high = bringIn(household(new Pen(), { elevation_m: 1600 }))
    load(high, 900, { temp_C: null })
    expect(see(high, 'makeSafe').reasons[0]).toContain('2 min 12 s of 3 min')
    const higher = bringIn(household(new Pen(), { elevation_m: 2600 }))
    load(higher, 900, { temp_C: null })
    expect(see(higher, 'makeSafe').reasons[0]).toContain(
      'The record accepts this boil up to 2,500 m; here, at 2,600 m, water boils at 91.3 °C.',
    )
  })
  it('on fed ground lets the nitrate go only with water that is thrown away', () => {
    const fed = () => {
      const pen = opened()
      pen.write({ type: 'ground-noted', patch: 'wall', facts: { manured: 'yes' } })
      return bringIn(pen)
    }
    const kept = fed()
    load(kept, 900, { water: 'kept' })
    expect(see(kept, 'makeSafe')).toEqual({
      state: 'ajar',
      reasons: ['Nitrate: A blanch whose water is thrown away takes part of the nitrate out.'],
    })
    const thrown = fed()
    load(thrown, 900)
    expect(see(thrown, 'makeSafe').reasons[1]).toBe(
      'Nitrate: A blanch whose water is thrown away takes part of the nitrate out. Done.',
    )
  })
  it('of a batch is no safer than its parts were, by a way that asks for nothing and that nobody chose', () => {
    const pen = meetAll(household(new Pen()))
    bringInKind(pen, 'ramsons', 'A')
    bringInKind(pen, 'spruce', 'B')
    const parts = ['A', 'B'].map((lot) => ({ lot, mass_g: 400 }))
    pen.write({ type: 'joined', lot: 'J', code: 'J', parts })
    const raw = judge('makeSafe', pen.lot('A'), pen.context)
    expect(raw.state).toBe('ajar')
    expect(judge('makeSafe', pen.lot('J'), pen.context)).toEqual(raw)
    expect(doNow(pen.lot('J'), pen.context)).toMatchObject({
      act: { kind: 'choose-way' },
      title: 'Choose a way for all of it',
    })
    // Chosen, the raw way is a school like another.
    const [way] = lotUse(pen.lot('J'), pen.catalogue)?.protocols ?? []
    pen.write({ type: 'way-chosen', lot: 'J', protocol: way?.name ?? '', goal: way?.goals[0] ?? 'eat' })
    expect(judge('makeSafe', pen.lot('J'), pen.context).state).toBe('open')
  })
  it('of a batch is closed where one part of it is refused or no one way would do, whoever joined it', () => {
    const joinedFrom = (second: 'beet' | 'acorns' | 'leaf') => {
      const pen = meetAll(opened())
      bringInKind(pen, 'beet', 'A')
      if (second === 'leaf')
        pen.force({
          type: 'weighed-in',
          lot: 'B',
          code: 'B',
          taxon: 'Sambucus nigra',
          part: 'leaf',
          stage: 'young',
          patch: 'wall',
          mass_g: 900,
          pickedAt: pen.now,
        })
      else bringInKind(pen, second, 'B')
      pen.wait(1).force({
        type: 'joined',
        lot: 'J',
        code: 'J',
        parts: ['A', 'B'].map((lot) => ({ lot, mass_g: 900 })),
      })
      const { state, reasons } = judge('makeSafe', pen.lot('J'), pen.context)
      return { state, reasons }
    }
    expect(joinedFrom('beet').state).toBe('ajar')
    expect(joinedFrom('acorns')).toEqual({
      state: 'closed',
      reasons: ['What was joined here needs different treatment: there is no one way for all of it.'],
    })
    expect(joinedFrom('leaf')).toEqual({
      state: 'closed',
      reasons: ['Cyanogenic: No kitchen treatment is accepted.'],
    })
  })
  it('of a leach says where it stands: too few, in the water, and tasted', () => {
    const pen = bringInKind(meetAll(opened()), 'acorns', 'A')
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'hot baths', goal: 'eat' })
    runStep(pen, 'acorns', 'A', 2)
    const baths = { protocol: 'hot baths', step: 5, minutes: 16 }
    leachBaths(pen, 'A', { ...baths, count: 1, taste: null })
    const says = () => see(pen, 'makeSafe').reasons[0]
    expect(says()).toMatch(/^Leaching: 1 of at least \d baths are done\.$/)
    leachBaths(pen, 'A', { ...baths, count: 4, taste: null })
    pen.write({ type: 'bath-changed', lot: 'A', protocol: 'hot baths', step: 5, fresh: { water_mL: 4000, temp_C: 8 } })
    expect(says()).toBe('Leaching: 5 baths are done, and it lies in another.')
  })
  it('is closed where the record holds no way', () => {
    const uses =
      CATALOGUE.taxa
        .find(({ scientificName }) => scientificName === 'Urtica dioica')
        ?.uses.map((use) => ({ ...use, protocols: [] })) ?? []
    const pen = household(new Pen(catalogueWith('Urtica dioica', { uses })))
    weighIn(pen)
    expect(see(pen, 'makeSafe')).toEqual({
      state: 'closed',
      reasons: ['The record holds no accepted way to make this safe.'],
    })
  })
})

describe('Palate', () => {
  it('opens on acceptance alone, even against advice, and never on an alarm', () => {
    const pen = bringIn(opened())
    expect(see(pen, 'palate')).toEqual({ state: 'ajar', reasons: ['Taste it.'] })
    load(pen, 900)
    const taste = (bitter: number, accepts: boolean) =>
      pen.write({ type: 'tasted', lot: 'A', taster: 'ann', bitter, astringent: 0, crumb: false, accepts, alarm: null })
    taste(4, false)
    expect(see(pen, 'palate')).toEqual({
      state: 'ajar',
      reasons: ['Bitterness 4 of 10, not accepted. Give the food another bath or boil, or accept the taste.'],
    })
    taste(5, true)
    expect(see(pen, 'palate')).toEqual({ state: 'open', reasons: [] })
    taste(6, true)
    expect(see(pen, 'palate')).toEqual({ state: 'open', reasons: ['Accepted at bitter 6 of 10.'] })
    pen.write({
      type: 'tasted',
      lot: 'A',
      taster: 'ann',
      bitter: 0,
      astringent: 0,
      crumb: false,
      accepts: true,
      alarm: 'soap',
    })
    pen.force({
      type: 'tasted',
      lot: 'A',
      taster: 'ann',
      bitter: 0,
      astringent: 0,
      crumb: false,
      accepts: true,
      alarm: null,
    })
    expect(see(pen, 'palate')).toEqual({ state: 'closed', reasons: ['It tasted wrong. Stop.'] })
  })
})

describe('moments', () => {
  it('are counted as days of the kitchen’s own time zone', () => {
    const pen = new Pen()
    pen.write({
      type: 'kitchen-set',
      kitchen: {
        name: 'Far away',
        elevation_m: 100,
        timeZone: 'Pacific/Auckland',
        burner: { power_W: 2000, efficiency: 0.5 },
        pots_mL: [5000],
        waterTemp_C: 12,
        ice_g: 0,
      },
    })
    pen.write({ type: 'ground-noted', patch: 'wall', facts: CLEAN })
    pen.write({ type: 'eater-noted', eater: { id: 'ann', name: 'Ann', kind: 'adult', sensitivities: [] } })
    pen.force({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }, '2026-05-01T11:00:00.000Z')
    pen.force({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }, '2026-05-01T13:00:00.000Z')
    bringIn(pen)
    expect(see(pen, 'identity').state).toBe('open')
    load(pen, 900)
    pen.write({ type: 'weighed', lot: 'A', mass_g: 900, after: 'cooking' })
    pen.force(
      {
        type: 'served',
        lot: 'A',
        pack: null,
        dish: 'after midnight there',
        portions: [{ eater: 'ann', mass_g: 100 }],
      },
      '2027-05-16T12:30:00.000Z',
    )
    const left = (now: string) => eaterVerdict(pen.lot(), { ...pen.context, now }, 'ann').most_g
    expect(left('2027-05-16T12:45:00.000Z')).toBe(0)
    expect(left('2027-05-17T11:45:00.000Z')).toBe(150)
    expect(left('2027-05-17T12:15:00.000Z')).toBe(250)
  })
  it('count a meeting at this very moment, and a re-sorting at the moment of the report', () => {
    const pen = household(new Pen())
    const [first] = [...pen.log.entries.values()].filter(({ type }) => type === 'plant-met')
    pen.write({ type: 'struck', entry: first?.id ?? '', why: 'test' })
    bringIn(pen)
    pen.force({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' })
    expect(see(pen, 'identity').state).toBe('open')
    pen.force({ type: 'stray-reported', lot: 'A', what: 'a leaf', brokenUp: false })
    pen.force({ type: 'strays-sorted', lot: 'A', found: 1 })
    expect(see(pen, 'identity').state).toBe('open')
  })
  it('without any kitchen keep the time of all clocks, and no load counts', () => {
    const pen = new Pen()
    pen.write({ type: 'ground-noted', patch: 'wall', facts: CLEAN })
    pen.write({ type: 'eater-noted', eater: { id: 'ann', name: 'Ann', kind: 'adult', sensitivities: [] } })
    pen.force({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }, '2026-05-01T11:00:00.000Z')
    pen.force({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }, '2026-05-01T23:00:00.000Z')
    bringIn(pen)
    expect(see(pen, 'identity').reasons).toEqual(['Sure days with nettle: 1 of 2. Do not eat nettle yet.'])
    load(pen, 900)
    expect(see(pen, 'makeSafe').reasons[0]).toBe(
      'Load 1 does not count for the blanching: the kitchen and its elevation are not known. Do it again.',
    )
    expect(eaterVerdict(pen.lot(), pen.context, 'ann').most_g).toBe(50)
  })
})

describe('Keep', () => {
  it('is closed for cooked food that has stood, not for raw or dried', () => {
    const cold: Intent = { keep: { store: 'chilled', storeTemp_C: 3 } }
    const pen = cook(opened())
    const cookedAt = Date.parse(pen.lot().runs[0]?.done?.at ?? '')
    const after = (minutes: number) =>
      judge('keep', pen.lot(), { ...pen.context, now: new Date(cookedAt + minutes * 60_000).toISOString() }, cold)
    expect(after(240).state).toBe('open')
    expect(after(300)).toMatchObject({
      state: 'closed',
      reasons: [expect.stringMatching(/^Cooked, made .*: it stood warm \(5 to 60 °C\) for 4 h in all by /)],
    })
    const missed = bringIn(opened())
    load(missed, 900, { outcome: 'off-boil' })
    expect(storedAs(missed.lot(), missed.context)).toBe('raw')
    expect(see(missed, 'keep', cold).state).toBe('open')
    // Wilted in hot water and not cooked through: its hours count like those of what was cut.
    missed.wait(600)
    expect(see(missed, 'keep', cold)).toMatchObject({
      state: 'closed',
      reasons: [expect.stringMatching(/^Cut, wet or half cooked since .*: it stood warm/)],
    })
  })
  const frozen = (storeTemp_C: number | null): Intent => ({ keep: { store: 'frozen', storeTemp_C } })
  it('wants a store on record and its limit measured', () => {
    const pen = cook(opened())
    expect(see(pen, 'keep')).toEqual({ state: 'ajar', reasons: ['Choose a store for what is not eaten now.'] })
    expect(see(pen, 'keep', frozen(null))).toEqual({
      state: 'ajar',
      reasons: ['Measure the store: it must be at −18.0 °C or below.'],
    })
    expect(see(pen, 'keep', frozen(-17.9))).toEqual({
      state: 'closed',
      reasons: ['The store is at −17.9 °C; it must be at −18.0 °C or below.'],
    })
    expect(see(pen, 'keep', frozen(-18))).toEqual({
      state: 'open',
      reasons: ['Best within 8 to 12 months at −18 °C: quality, not safety. Once thawed, use within a day, kept cold.'],
    })
    expect(see(pen, 'keep', { keep: { store: 'dried', storeTemp_C: null } })).toEqual({
      state: 'closed',
      reasons: ['The record does not keep it dried as it is (treated). It allows: frozen, chilled.'],
    })
  })
  it('tells raw, treated and dried apart', () => {
    const pen = bringIn(opened())
    expect(see(pen, 'keep', frozen(-18)).reasons[0]).toContain('Unblanched greens')
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'dried for tea or powder', goal: 'dry' })
    const begun = pen.write({
      type: 'step-begun',
      lot: 'A',
      protocol: 'dried for tea or powder',
      step: 2,
      load: 1,
      mass_g: 900,
    })
    pen.wait(1000)
    pen.write({
      type: 'step-done',
      lot: 'A',
      begun: begun.id,
      outcome: 'done',
      minutes: 900,
      temp_C: 40,
      backToBoil_s: null,
      driedTo_g: 121,
      checked: true,
      water: null,
    })
    expect(see(pen, 'makeSafe').reasons[0]).toBe(
      'Load 1 does not count for the drying: 121 g dry, 120 g is dry enough (began drier? dry a sample until its weight stands, and note it). Do it again.',
    )
    const again = pen.write({
      type: 'step-begun',
      lot: 'A',
      protocol: 'dried for tea or powder',
      step: 2,
      load: 2,
      mass_g: 900,
    })
    pen.wait(1000)
    pen.write({
      type: 'step-done',
      lot: 'A',
      begun: again.id,
      outcome: 'done',
      minutes: 900,
      temp_C: 40,
      backToBoil_s: null,
      driedTo_g: 120,
      checked: true,
      water: null,
    })
    expect(storedAs(pen.lot(), pen.context)).toBe('dried')
    expect(see(pen, 'keep', { keep: { store: 'dried', storeTemp_C: null } })).toEqual({
      state: 'open',
      reasons: ['Dark, dry and closed: about a year.'],
    })
    expect(see(pen, 'keep', frozen(-18)).reasons[0]).toBe(
      'The record does not keep it frozen as it is (dried). It allows: dried.',
    )
  })
  it('is closed where nothing is on record', () => {
    const uses =
      CATALOGUE.taxa
        .find(({ scientificName }) => scientificName === 'Urtica dioica')
        ?.uses.map((use) => ({ ...use, stores: [] })) ?? []
    const pen = household(new Pen(catalogueWith('Urtica dioica', { uses })))
    weighIn(pen)
    expect(see(pen, 'keep', frozen(-20))).toEqual({
      state: 'closed',
      reasons: ['No way of keeping this is on record.'],
    })
    const rawOnly = household(
      new Pen(
        catalogueWith('Urtica dioica', {
          uses: uses.map((use) => ({
            ...use,
            stores: [
              {
                store: 'chilled',
                after: 'treated',
                limit: { measure: 'store-temperature', atMost_C: 4 },
                keeps: { low: 1, high: 2, unit: 'days' },
                says: 'Cold.',
              },
            ],
          })),
        }),
      ),
    )
    weighIn(rawOnly)
    expect(see(rawOnly, 'keep', frozen(-20)).reasons[0]).toBe(
      'The record does not keep it frozen as it is (raw). It allows: nothing as it is.',
    )
  })
})

describe('Plate', () => {
  const serve = (pen: Pen, eater: string, mass_g: number) =>
    see(pen, 'plate', { serve: { portions: [{ eater, mass_g }], pack: null } })
  it('is ajar until somebody is named and was asked', () => {
    const pen = cook(opened())
    const none = { state: 'ajar', reasons: ['Choose who eats it.'] }
    expect(see(pen, 'plate')).toEqual(none)
    expect(see(pen, 'plate', { serve: { portions: [], pack: null } })).toEqual(none)
    expect(serve(pen, 'cy', 20)).toEqual({
      state: 'ajar',
      reasons: ['Cy: allergies and illnesses not asked. Ask before you serve.'],
    })
    expect(serve(pen, 'nobody', 20)).toEqual({ state: 'ajar', reasons: ['This eater is not known yet.'] })
  })
  it('is closed for those who must not', () => {
    const pen = cook(opened())
    expect(serve(pen, 'bo', 5)).toEqual({
      state: 'closed',
      reasons: ['Bo must not eat this: Babies tolerate almost no nitrate, and undercooked nettle stings.'],
    })
    expect(eaterVerdict(pen.lot(), pen.context, 'bo').most_g).toBe(0)
  })
  it('lets a first taste be small, the next not before a night has passed', () => {
    const pen = cook(opened())
    const taste = '’s first time with this plant: up to 50 g now, then no more until tomorrow.'
    expect(serve(pen, 'ann', 50)).toEqual({ state: 'open', reasons: [`Ann${taste}`] })
    expect(serve(pen, 'ann', 50.6)).toEqual({
      state: 'closed',
      reasons: [`Ann: 51 g is more than 50 g. Ann${taste}`],
    })
    pen.write({ type: 'served', lot: 'A', pack: null, dish: 'soup', portions: [{ eater: 'ann', mass_g: 30 }] })
    expect(eaterVerdict(pen.lot(), pen.context, 'ann').most_g).toBe(20)
    pen.write({ type: 'served', lot: 'A', pack: null, dish: 'soup', portions: [{ eater: 'ann', mass_g: 20 }] })
    expect(serve(pen, 'ann', 1).state).toBe('closed')
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'chilled', mass_g: 600, containers: 1, storeTemp_C: 3 })
    const [pack] = pen.lot().packs
    if (pack === undefined) throw new RangeError('no pack')
    const later = (minutes: number) =>
      eaterVerdict(
        packAsLot(pen.lot(), pack),
        { ...pen.context, now: new Date(Date.parse(pen.lot().servings[0]?.at ?? '') + minutes * 60_000).toISOString() },
        'ann',
      ).most_g
    expect(later(719)).toBe(0)
    expect(later(720)).toBeGreaterThan(100)
  })
  it('adds up what was eaten of the plant that day, as raw mass, against the day’s amount', () => {
    const pen = cook(opened())
    pen.write({ type: 'served', lot: 'A', pack: null, dish: 'taste', portions: [{ eater: 'ann', mass_g: 30 }] })
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'chilled', mass_g: 600, containers: 1, storeTemp_C: 3 })
    pen.wait(24 * 60)
    const [pack] = pen.lot().packs
    const room = () => eaterVerdict(packAsLot(pen.lot(), pack as NonNullable<typeof pack>), pen.context, 'ann').most_g
    // 250 g a day of raw tops; 900 g of them became 700 g.
    expect(room()).toBeCloseTo(250 / (900 / 700), 6)
    pen.write({ type: 'served', lot: 'A', pack: 'p', dish: 'soup', portions: [{ eater: 'ann', mass_g: 100 }] })
    expect(room()).toBeCloseTo(250 / (900 / 700) - 100, 6)
    expect(eaterVerdict(packAsLot(pen.lot(), pack as NonNullable<typeof pack>), pen.context, 'ann').reasons).toEqual([
      'Ann: up to 94 g now (the day’s limit is 250 g, weighed raw). Nitrate and oxalate: about 250 g of trimmed raw tops a day, blanched (planning value).',
    ])
  })
  it('holds the smaller amounts of children and of those who must limit it', () => {
    const most = (kind: 'adult' | 'child', sensitivities: Saying<'eater-noted'>['eater']['sensitivities']) => {
      const pen = opened()
      pen.write({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind, sensitivities } })
      cook(pen)
      pen.force(
        { type: 'served', lot: 'A', pack: null, dish: 'long ago', portions: [{ eater: 'di', mass_g: 10 }] },
        '2026-05-01T08:00:00.000Z',
      )
      return eaterVerdict(pen.lot(), pen.context, 'di')
    }
    const factor = 900 / 700
    // A caution to limit without a figure binds at one ordinary portion a day.
    expect(most('adult', ['anticoagulant']).most_g).toBeCloseTo(100 / factor)
    expect(most('adult', ['anticoagulant']).reasons[0]).toBe(
      'Di: up to 78 g now (the day’s limit is 100 g, weighed raw). Leafy greens carry vitamin K: keep the weekly amount steady and ask whoever doses the medicine. No figure is on record: one ordinary portion a day.',
    )
    // Theirs, however many have it: never folded away with what holds for everybody.
    const { because, theirs } = most('adult', ['anticoagulant'])
    expect(because).toEqual([])
    expect(theirs[0]).toMatch(/^The day’s limit is 100 g, weighed raw\. Leafy greens carry vitamin K/)
    expect(most('adult', []).because[0]).toMatch(/^The day’s limit is 250 g, weighed raw\./)
    expect(most('adult', ['kidney-stone']).most_g).toBeCloseTo(100 / factor)
    expect(most('adult', ['kidney-disease']).most_g).toBeCloseTo(50 / factor)
    expect(most('adult', ['kidney-disease']).reasons).toHaveLength(1)
    expect(most('child', []).most_g).toBeCloseTo(100 / factor)
  })
  it('gives a child without a figure half an adult’s, an infant none, and anybody without any cap what there is', () => {
    const uses = (amounts: readonly { perDay_g: number; who: 'adult'; why: string }[]) =>
      CATALOGUE.taxa
        .find(({ scientificName }) => scientificName === 'Urtica dioica')
        ?.uses.map((use) => {
          const { firstTaste_g, ...rest } = use
          return firstTaste_g === 0 ? use : { ...rest, amounts, cautionFor: [] }
        }) ?? []
    const most = (
      kind: 'adult' | 'child' | 'infant',
      amounts: readonly { perDay_g: number; who: 'adult'; why: string }[],
    ) => {
      const pen = household(new Pen(catalogueWith('Urtica dioica', { uses: uses(amounts) })))
      pen.write({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind, sensitivities: [] } })
      return eaterVerdict(cook(pen).lot(), pen.context, 'di')
    }
    const cap = [{ perDay_g: 90, who: 'adult' as const, why: 'A cap.' }]
    expect(most('child', cap)).toMatchObject({
      state: 'open',
      reasons: [
        'Di: up to 35 g now (the day’s limit is 45 g, weighed raw). A cap. No figure for children is on record: half of an adult’s.',
      ],
    })
    expect(most('infant', cap)).toMatchObject({ state: 'closed', most_g: 0 })
    expect(most('adult', [])).toMatchObject({ state: 'open', most_g: Infinity, reasons: [] })
  })
  it('joins several reasons in words, and lets the smallest amount decide whatever its place', () => {
    const pen = opened()
    pen.write({
      type: 'eater-noted',
      eater: { id: 'di', name: 'Di', kind: 'infant', sensitivities: ['anticoagulant', 'pregnancy'] },
    })
    pen.write({
      type: 'eater-noted',
      eater: {
        id: 'ed',
        name: 'Ed',
        kind: 'adult',
        sensitivities: ['anticoagulant', 'kidney-disease', 'kidney-stone'],
      },
    })
    cook(pen)
    pen.force(
      { type: 'served', lot: 'A', pack: null, dish: 'long ago', portions: [{ eater: 'ed', mass_g: 10 }] },
      '2026-05-01T08:00:00.000Z',
    )
    expect(eaterVerdict(pen.lot(), pen.context, 'ed').most_g).toBeCloseTo(50 / (900 / 700))
    expect(serve(pen, 'ed', 45).reasons[0]).toMatch(
      /^Ed: 45 g is more than 39 g\. Ed: Leafy greens .* medicine\. Ed: Some oxalate/,
    )
    expect(serve(pen, 'di', 5).reasons).toEqual([
      'Di must not eat this: Babies tolerate almost no nitrate, and undercooked nettle stings.',
    ])
  })
  it('does not count what is served later than the moment it judges', () => {
    const pen = cook(opened())
    pen.force(
      { type: 'served', lot: 'A', pack: null, dish: 'tomorrow', portions: [{ eater: 'ann', mass_g: 30 }] },
      '2027-05-17T08:00:00.000Z',
    )
    expect(eaterVerdict(pen.lot(), pen.context, 'ann').most_g).toBe(50)
    pen.force({ type: 'served', lot: 'A', pack: null, dish: 'now', portions: [{ eater: 'ann', mass_g: 20 }] })
    expect(eaterVerdict(pen.lot(), pen.context, 'ann').most_g).toBe(30)
  })
  it('lets dried food stand', () => {
    const pen = bringIn(opened())
    pen.write({ type: 'way-chosen', lot: 'A', protocol: 'dried for tea or powder', goal: 'dry' })
    const begun = pen.write({
      type: 'step-begun',
      lot: 'A',
      protocol: 'dried for tea or powder',
      step: 2,
      load: 1,
      mass_g: 900,
    })
    pen.wait(1000)
    pen.write({
      type: 'step-done',
      lot: 'A',
      begun: begun.id,
      outcome: 'done',
      minutes: 900,
      temp_C: 40,
      backToBoil_s: null,
      driedTo_g: 110,
      checked: true,
      water: null,
    })
    pen.wait(10_000)
    expect(serve(pen, 'ann', 5).state).toBe('open')
    expect(see(pen, 'makeSafe').state).toBe('open')
    const tea = bringIn(opened())
    tea.write({ type: 'way-chosen', lot: 'A', protocol: 'dried for tea or powder', goal: 'tea' })
    const steeping = tea.write({
      type: 'step-begun',
      lot: 'A',
      protocol: 'dried for tea or powder',
      step: 2,
      load: 1,
      mass_g: 900,
    })
    tea.wait(1000)
    tea.write({
      type: 'step-done',
      lot: 'A',
      begun: steeping.id,
      outcome: 'done',
      minutes: 900,
      temp_C: 40,
      backToBoil_s: null,
      driedTo_g: 110,
      checked: true,
      water: null,
    })
    expect(see(tea, 'makeSafe').reasons).toEqual(['Still to do: infuse water, against soil bacteria.'])
  })
  it('is closed for cooked food that stood, not for raw or dried, and for packs past their day', () => {
    const pen = cook(opened())
    pen.wait(235)
    expect(serve(pen, 'ann', 20).state).toBe('open')
    pen.wait(20)
    expect(serve(pen, 'ann', 20)).toEqual({
      state: 'closed',
      reasons: [expect.stringMatching(/^Cooked, made .*: it stood warm \(5 to 60 °C\) for 4 h in all by /)],
    })
    const packed = cook(opened())
    packed.write({ type: 'packed', lot: 'A', pack: 'p', store: 'chilled', mass_g: 600, containers: 1, storeTemp_C: 3 })
    const [pack] = packed.lot().packs
    const fromPack = () =>
      see(packed, 'plate', { serve: { portions: [{ eater: 'ann', mass_g: 20 }], pack: pack ?? null } })
    // Three days from when it was cooked, not from when it was put away.
    packed.wait(3 * 1440 - 10)
    expect(fromPack().state).toBe('open')
    packed.wait(10)
    expect(fromPack()).toEqual({
      state: 'closed',
      reasons: [expect.stringMatching(/^Cooked, made Sun 16 May .*: even cold it kept only until Wed 19 May /)],
    })
    const wrong = pack === undefined ? null : { ...pack, store: 'dried' as const }
    expect(see(packed, 'plate', { serve: { portions: [{ eater: 'ann', mass_g: 20 }], pack: wrong } }).reasons[0]).toBe(
      'The record does not allow the way this pack was kept.',
    )
  })
})

describe('the acts', () => {
  it('need the gates of the table', () => {
    expect(ACT_GATES).toEqual({
      taste: ['identity', 'ground', 'sort', 'makeSafe'],
      crumb: ['identity', 'ground', 'sort'],
      add: ['identity', 'ground', 'sort'],
      serve: ['identity', 'ground', 'take', 'sort', 'makeSafe', 'palate', 'plate'],
      nibble: ['identity', 'ground', 'take', 'sort', 'makeSafe', 'plate'],
      pack: ['identity', 'ground', 'sort', 'keep'],
    })
    const pen = bringIn(opened())
    expect(shutFor('serve', pen.lot(), pen.context).map(({ gate }) => gate)).toEqual(['makeSafe', 'palate', 'plate'])
    expect(shutFor('pack', pen.lot(), pen.context, { keep: { store: 'chilled', storeTemp_C: 4 } })).toEqual([])
    expect(shutFor('taste', cook(opened()).lot(), pen.context)).toEqual([])
  })
})
