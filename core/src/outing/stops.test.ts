import { describe, expect, it } from 'vitest'
import { regionOf } from '../flora/growsIn'
import { CATALOGUE } from '../flora/records'
import { describeEntry } from '../log/describe'
import { CLEAN, Pen } from '../test/pen'
import { lastFound, stopKinds } from './stops'

const DAY_min = 1440

function atThePatch(now = '2027-05-16T08:00:00.000Z'): Pen {
  const pen = new Pen()
  pen.now = now
  pen.write({
    type: 'kitchen-set',
    kitchen: {
      name: 'K',
      elevation_m: 300,
      latitude_deg: 50,
      timeZone: 'Europe/Vienna',
      burner: { power_W: 2000, efficiency: 0.5 },
      pots_mL: [5000],
      waterTemp_C: 10,
      ice_g: 0,
    },
  })
  for (const patch of ['wood', 'wall']) pen.write({ type: 'ground-noted', patch, name: `The ${patch}`, facts: CLEAN })
  return pen
}
const names = (pen: Pen, patch: string) =>
  stopKinds(patch, pen.context).map(({ taxon, part }) => `${taxon.scientificName} ${part}`)
const standing = (pen: Pen, patch?: string) =>
  lastFound(pen.context, patch).map(({ taxon, part, state, patch: at, days }) => [
    taxon.scientificName,
    part,
    state,
    at,
    days,
  ])

describe('a stop', () => {
  it('asks for what is near its time here: known plants first, nothing that is never food or grows elsewhere', () => {
    const pen = atThePatch()
    pen.write({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young', patch: 'wood' })
    pen.write({ type: 'plant-met', taxon: 'Allium ursinum', stage: 'flowering', patch: 'wall' })
    pen.write({ type: 'plant-met', taxon: 'Quercus robur', stage: 'ripe' })
    const kinds = stopKinds('wood', pen.context)
    expect(kinds[0]).toMatchObject({ taxon: { scientificName: 'Urtica dioica' }, why: 'known' })
    expect(kinds.find(({ taxon }) => taxon.scientificName === 'Allium ursinum')?.why).toMatch(/met|may-grow/)
    // Acorns are far off in May, tops of nettles in October are not of their time.
    expect(names(pen, 'wood').filter((name) => name.startsWith('Quercus robur'))).toEqual([])
    const autumn = atThePatch('2027-10-10T08:00:00.000Z')
    autumn.write({ type: 'plant-met', taxon: 'Quercus robur', stage: 'ripe', patch: 'wood' })
    expect(names(autumn, 'wood')).toContain('Quercus robur nut')
    for (const { taxon, part } of [...kinds, ...stopKinds('wood', autumn.context)]) {
      expect(taxon.uses.some((use) => use.part === part && use.verdict !== 'never')).toBe(true)
      expect(taxon.growsIn?.includes(regionOf('Europe/Vienna') ?? 'europe') ?? true).toBe(true)
    }
    expect(new Set(names(pen, 'wood')).size).toBe(kinds.length)
    expect(stopKinds('nowhere', pen.context)).toEqual([])
  })
  it('is remembered by the last look at each thing, ready first; struck, it never was', () => {
    const pen = atThePatch()
    const stop = (
      patch: string,
      ...finds: readonly (readonly [string, 'leaf' | 'leafy-top', 'ready' | 'past' | 'too-early' | 'unsure'])[]
    ) => pen.write({ type: 'stop-noted', patch, finds: finds.map(([taxon, part, state]) => ({ taxon, part, state })) })
    stop('wood', ['Urtica dioica', 'leafy-top', 'too-early'], ['Allium ursinum', 'leaf', 'past'])
    pen.wait(3 * DAY_min)
    // By its older name it is the same plant.
    const synonym = CATALOGUE.taxa.find(({ scientificName }) => scientificName === 'Urtica dioica')?.synonyms[0] ?? ''
    const later = stop('wood', [synonym, 'leafy-top', 'ready'])
    stop('wall', ['Beta vulgaris', 'leaf', 'unsure'])
    expect(standing(pen, 'wood')).toEqual([
      ['Urtica dioica', 'leafy-top', 'ready', 'wood', 0],
      ['Allium ursinum', 'leaf', 'past', 'wood', 3],
    ])
    expect(standing(pen).map(([, , state]) => state)).toEqual(['ready', 'past', 'unsure'])
    expect(describeEntry(later, pen.log.state, pen.catalogue)).toBe('Stopped at The wood: nettle leafy top ready.')
    expect(pen.log.state.house.meetings).toEqual({})
    pen.write({ type: 'struck', entry: later.id, why: 'another place' })
    expect(standing(pen, 'wood')[0]).toEqual(['Urtica dioica', 'leafy-top', 'too-early', 'wood', 3])
    // An evening and the next morning are a day apart, though not a day's hours.
    pen.now = '2027-05-20T05:00:00.000Z'
    expect(standing(pen, 'wall')[0]?.[4]).toBe(1)
    const before = { ...pen.context, now: '2027-05-16T07:00:00.000Z' }
    expect(lastFound(before)).toEqual([])
  })
  it('names each thing once, of the catalogue, at a patch there is', () => {
    const pen = atThePatch()
    const find = { taxon: 'Urtica dioica', part: 'leafy-top', state: 'ready' } as const
    const refused = (patch: string, finds: readonly { taxon: string; part: 'leafy-top'; state: 'ready' }[]) => {
      const { proposal } = pen.try({ type: 'stop-noted', patch, finds })
      return proposal.ok ? '' : `${proposal.field}: ${proposal.message}`
    }
    expect(refused('nowhere', [find])).toBe('patch: There is no such patch.')
    expect(refused('wood', [{ ...find, taxon: 'Planta ignota' }])).toBe('finds: Planta ignota is not in the catalogue.')
    expect(refused('wood', [find, find])).toBe('finds: Each part of a plant is named once at a stop.')
    expect(refused('wood', [find])).toBe('')
  })
})
