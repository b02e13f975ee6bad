import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { requireTaxon } from '../flora/catalogue'
import type { Part, Stage } from '../flora/vocabulary'
import type { Goal } from '../flora/taxon'
import { planLosses } from './losses'
import { plan } from './plan'

function lossesOf(name: string, part: Part, stage: Stage, goal: Goal, school?: string) {
  const use = requireTaxon(CATALOGUE, name).uses.find((each) => each.part === part && each.stage === stage)
  if (use === undefined) throw new RangeError(`${name}: no ${part}`)
  const { steps } = plan(
    { taxon: name, part, stage, mass_g: 500, goal, ...(school === undefined ? {} : { school }) },
    CATALOGUE,
  )
  const told = planLosses({ use, mass_g: 500, steps })
  return { ...told, kept: (what: string) => told?.losses.find((loss) => loss.what === what)?.kept }
}

describe('what water and heat take', () => {
  it('is told in ranges for every plan in the catalogue that heats or waters, of what its hazards name and what one keeps', () => {
    let planned = 0
    for (const { scientificName, uses } of CATALOGUE.taxa)
      for (const use of uses.filter(({ verdict }) => verdict !== 'never'))
        for (const { name: school, goals } of use.protocols) {
          const { part, stage } = use
          const { steps } = plan(
            { taxon: scientificName, part, stage, mass_g: 500, goal: goals[0] ?? 'eat', school },
            CATALOGUE,
          )
          const told = planLosses({ use, mass_g: 500, steps })
          for (const { kept } of told?.losses ?? []) {
            planned += 1
            const { low, usual, high } = kept
            expect(
              low >= 0 && low <= usual + 0.003 && usual <= high + 0.003 && high <= 1.001,
              `${scientificName} ${school}`,
            ).toBe(true)
          }
        }
    expect(planned).toBeGreaterThan(400)
  })
  it('takes salt and oxalate out of boiled sea beet with the vitamins, and more of all in two waters', () => {
    const beet = lossesOf('Beta vulgaris', 'leaf', 'young', 'eat')
    expect(beet.losses?.filter(({ unwanted }) => unwanted).map(({ what }) => what)).toEqual([
      'soluble oxalate',
      'nitrate',
      'salt',
    ])
    expect(beet.kept('salt')?.usual).toBeLessThan(beet.kept('soluble oxalate')?.usual ?? 0)
    expect(beet.kept('the green')?.usual).toBeLessThan(1)
    const [one, two] = ['one water', 'two waters'].map((school) =>
      lossesOf('Taraxacum officinale', 'leaf', 'mature', 'eat', school),
    )
    for (const what of ['bitterness', 'vitamin C', 'potassium'])
      expect(two?.kept(what)?.usual).toBeLessThan(one?.kept(what)?.usual ?? 0)
  })
  it('leaves the starch of cold-leached meal alone and cooks it in hot baths; raw and dried it takes nothing', () => {
    expect(lossesOf('Quercus robur', 'nut', 'ripe', 'flour', 'cold baths').starch).toBe('binds')
    expect(lossesOf('Quercus robur', 'nut', 'ripe', 'eat', 'hot baths').starch).toBe('cooked')
    expect(lossesOf('Quercus robur', 'nut', 'ripe', 'flour', 'cold baths').kept('tannin')?.usual).toBeLessThan(0.1)
    expect(lossesOf('Allium ursinum', 'leaf', 'young', 'eat-raw', 'raw').losses).toBeUndefined()
  })
})
