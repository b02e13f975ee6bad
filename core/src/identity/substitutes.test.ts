import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { Season, Taxon } from '../flora/taxon'
import { judge } from '../gates/judge'
import { doNow } from '../lot/doNow'
import { CLEAN, Pen } from '../test/pen'
import { hasDeadlyDouble, isHarmful } from './clear'
import { lotJudged } from './lotTells'
import { substitutesFor } from './substitutes'

const DAY: Readonly<Record<Season, string>> = {
  spring: '2027-04-20',
  summer: '2027-07-20',
  autumn: '2027-10-20',
  winter: '2027-01-20',
}
const SEASONS = Object.keys(DAY) as readonly Season[]
const FOOD = CATALOGUE.taxa.filter(({ uses }) => uses.some(({ verdict }) => verdict !== 'never'))
const find = (name: string): Taxon => {
  const taxon = CATALOGUE.taxa.find(({ scientificName }) => scientificName === name)
  if (taxon === undefined) throw new RangeError(name)
  return taxon
}
const shows = (taxon: Taxon, character: string, season: Season) => taxon.visible[character]?.includes(season) ?? true
const hidden = (taxon: Taxon, season: Season) => taxon.keyCharacters.filter((key) => !shows(taxon, key, season))
const offered = (taxon: Taxon, key: string, season: Season) =>
  substitutesFor(key, taxon, { season, observed: {}, notVisible: [] }, CATALOGUE)
/** Food whose every key tell out of season has something to stand in for it. */
const STOOD_IN = FOOD.flatMap((taxon) =>
  SEASONS.filter((season) => {
    const keys = hidden(taxon, season)
    return keys.length > 0 && keys.every((key) => offered(taxon, key, season) !== undefined)
  }).map((season) => [taxon, season] as const),
)

function picked(taxon: Taxon, season: Season): Pen {
  const pen = new Pen()
  const [use] = taxon.uses.filter(({ verdict }) => verdict !== 'never')
  pen.now = `${DAY[season]}T08:00:00.000Z`
  pen.force({ type: 'ground-noted', patch: 'p', name: 'P', facts: CLEAN })
  pen.force({
    type: 'weighed-in',
    lot: 'A',
    code: 'A',
    taxon: taxon.scientificName,
    part: use?.part ?? 'leaf',
    stage: use?.stage ?? 'any',
    patch: 'p',
    mass_g: 300,
    pickedAt: pen.now,
  })
  return pen.wait(1)
}
const see = (pen: Pen, character: string, states: readonly string[]) =>
  pen.force({ type: 'tell-seen', lot: 'A', character, answer: 'seen', states })

describe('a key tell that does not show today', () => {
  it('is stood in for by what parts all that it parts, and never where a plant it is mistaken for kills', () => {
    const parts = (taxon: Taxon, character: string, other: Taxon) =>
      (taxon.characters[character] ?? []).every((state) => !(other.characters[character] ?? [state]).includes(state))
    for (const taxon of FOOD)
      for (const season of SEASONS)
        for (const key of taxon.keyCharacters) {
          const found = offered(taxon, key, season)
          if (hasDeadlyDouble(taxon) || shows(taxon, key, season)) expect(found, taxon.scientificName).toBeUndefined()
          if (found === undefined) continue
          expect(found.length).toBeGreaterThan(0)
          expect(found.filter((each) => taxon.keyCharacters.includes(each) || !shows(taxon, each, season))).toEqual([])
          const looked = [...taxon.keyCharacters.filter((each) => shows(taxon, each, season)), ...found]
          for (const other of CATALOGUE.taxa)
            if (other !== taxon && parts(taxon, key, other))
              expect(
                looked.some((each) => parts(taxon, each, other)),
                `${taxon.scientificName}, ${other.scientificName}`,
              ).toBe(true)
        }
    expect(STOOD_IN.map(([taxon, season]) => `${taxon.scientificName}, ${season}`)).toContain('Typha latifolia, winter')
  })
  it('leads a cook in January by last year’s heads to a bulrush, whose sap shows from spring', () => {
    const taxon = find('Typha latifolia')
    const pen = picked(taxon, 'winter')
    const said = () => judge('identity', pen.lot(), pen.context).reasons.join(' ')
    expect(said()).toContain('Sap shows in spring, summer and autumn: kind of leaf and how the flowers stand may be')
    const asked: string[] = []
    for (;;) {
      const { act, detail } = doNow(pen.lot(), pen.context)
      if (act.kind !== 'look') break
      expect(asked).not.toContain(act.character)
      asked.push(act.character)
      if (act.rulesOut.length === 0 && !taxon.keyCharacters.includes(act.character))
        expect(detail).toContain('in its place')
      see(pen, act.character, (taxon.characters[act.character] ?? []).slice(0, 1))
      pen.wait(1)
    }
    expect(asked).toEqual(expect.arrayContaining(['leafType', 'inflorescence']))
    expect(asked).not.toContain('sap')
    expect(lotJudged(pen.lot(), taxon, pen.context).missing).toEqual([])
    expect(doNow(pen.lot(), pen.context).act.kind).toBe('attest')
    // Where the heads are gone, what else there is stands in, or nothing does.
    const bare = picked(taxon, 'winter')
    bare.write({ type: 'tell-seen', lot: 'A', character: 'inflorescence', answer: 'not-visible', states: [] })
    const [sentence = ''] = judge('identity', bare.lot(), bare.context).reasons.filter((each) => each.includes('Sap'))
    expect(sentence).not.toContain('how the flowers stand')
    // In summer the tell itself is asked for.
    expect(judge('identity', picked(taxon, 'summer').lot(), pen.context).reasons.join(' ')).not.toContain(
      'in its place',
    )
  })
  it('knows that January is summer in the south: by where the patch or the kitchen lies, or by its time zone', () => {
    const later = (timeZone: string, kitchen_deg?: number, patch_deg?: number) => {
      const pen = picked(find('Typha latifolia'), 'winter')
      pen.force({
        type: 'kitchen-set',
        kitchen: {
          name: 'K',
          elevation_m: 10,
          timeZone,
          pots_mL: [5000],
          waterTemp_C: 10,
          ice_g: 0,
          burner: { power_W: 2000, efficiency: 0.5 },
          ...(kitchen_deg === undefined ? {} : { latitude_deg: kitchen_deg }),
        },
      })
      if (patch_deg !== undefined)
        pen.force({
          type: 'ground-noted',
          patch: 'p',
          facts: {},
          position: { latitude_deg: patch_deg, longitude_deg: 0 },
        })
      return judge('identity', pen.lot(), pen.context).reasons.join(' ').includes('Sap shows')
    }
    expect([later('UTC'), later('Europe/Vienna', 48)]).toEqual([true, true])
    expect([later('Pacific/Auckland'), later('UTC', -41), later('UTC', 48, -41)]).toEqual([false, false, false])
    expect([later('Pacific/Auckland', 35), later('UTC', -41, 48)]).toEqual([true, true])
  })
  it('says of a wild carrot in winter when it will show, and that nothing else will do', () => {
    const pen = picked(find('Daucus carota'), 'winter')
    expect(judge('identity', pen.lot(), pen.context).reasons.join(' ')).toContain(
      'Stem surface shows in summer and autumn: without it this plant is not told.',
    )
  })
  it('takes a tell as it was seen: a tuber parts what a rhizome might not', () => {
    const pen = picked(find('Helianthus tuberosus'), 'winter')
    const said = () =>
      judge('identity', pen.lot(), pen.context).reasons.find((each) => each.includes('Leaf surface shows'))
    expect(said()).toContain('without it this plant is not told')
    see(pen, 'underground', ['tuber'])
    expect(said()).toContain('in its place')
  })
  it('lets no harmful plant through: whatever is honestly seen of one in that season', () => {
    expect(STOOD_IN.length).toBeGreaterThan(2)
    const honest = (of: Taxon, taxon: Taxon, season: Season) =>
      fc.record(
        Object.fromEntries(
          Object.entries(of.characters)
            .filter(([character]) => shows(taxon, character, season))
            .map(([character, states]) => [character, fc.constantFrom(...states).map((state) => [state])]),
        ),
      )
    for (const [taxon, season] of STOOD_IN)
      for (const danger of CATALOGUE.taxa.filter((other) => other.role === 'danger' && isHarmful(other)))
        fc.assert(
          fc.property(honest(danger, taxon, season), (observed) => {
            const pen = picked(taxon, season)
            for (const [character, states] of Object.entries(observed)) see(pen, character, states)
            const { missing, standing, contradictions } = lotJudged(pen.lot(), taxon, pen.context)
            const told = missing.length === 0 && !standing.some(isHarmful) && contradictions.length === 0
            expect(told, `${danger.scientificName} as ${taxon.scientificName}`).toBe(false)
          }),
          { numRuns: 1 },
        )
  })
})
