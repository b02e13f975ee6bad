import { describe, expect, it } from 'vitest'
import { rawKeeping } from '../freshness/lifeLimits'
import { CATALOGUE } from './records'
import type { Protocol, Taxon, Use } from './taxon'
import type { Sensitivity } from './vocabulary'

/** What one line of a record says, another may not take back: a class of slips that no schema sees. */
interface Case {
  readonly taxon: Taxon
  readonly use: Use
  readonly title: string
}
const USES: readonly Case[] = CATALOGUE.taxa.flatMap((taxon) =>
  taxon.uses
    .filter(({ verdict }) => verdict !== 'never')
    .map((use) => ({ taxon, use, title: `${taxon.scientificName}, ${use.part} ${use.stage}` })),
)

const bars = (use: Use, who: Sensitivity) =>
  use.cautionFor.some((caution) => caution.who === who && caution.what === 'avoid')

/** What ends germs, or is dried and then no salad. */
const NOT_RAW = [
  'boil', 'simmer', 'steam', 'fry', 'roast', 'bake', 'blanch', 'saute', 'wilt', 'toast', 'dry', 'infuse-water', 'infuse-vinegar', 'infuse-syrup', 'pickle', 'ferment',
] as const // prettier-ignore
const HEATED = ['boil', 'simmer', 'steam', 'fry', 'roast', 'bake', 'blanch', 'saute', 'wilt', 'infuse-water']
const isRaw = ({ goals, steps }: Protocol) =>
  goals.some((goal) => goal === 'eat-raw' || goal === 'flavouring') &&
  !steps.some(({ op }) => (NOT_RAW as readonly string[]).includes(op))

const isLeftRaw = ({ steps }: Protocol) => !steps.some(({ op }) => HEATED.includes(op))

const GREEN = ['leaf', 'leafy-top', 'shoot', 'stem', 'midrib']
const isWoody = ({ lifeForm }: Taxon) => lifeForm === 'tree' || lifeForm === 'shrub' || lifeForm === 'vine'
/** Greens of every plant, flowers of herbs: what was stood over, dripped on and walked on. Flowers and tips from a branch are shaken out. */
const RAW = USES.filter(
  ({ taxon, use }) =>
    use.protocols.some(isRaw) &&
    (GREEN.includes(use.part) || (!isWoody(taxon) && (use.part === 'flower' || use.part === 'flower-bud'))),
)

const OF_FAMILY: Readonly<Record<string, Sensitivity>> = {
  Brassicaceae: 'mustard-allergy',
  Asteraceae: 'aster-allergy',
  Fabaceae: 'legume-allergy',
  Apiaceae: 'celery-allergy',
}

describe('a record agrees with itself', () => {
  it('bars from every food of a family whoever is allergic to that family', () => {
    const open = USES.filter(({ taxon, use }) => {
      const allergy = OF_FAMILY[taxon.family]
      return allergy !== undefined && !bars(use, allergy)
    })
    expect(open.map(({ title }) => title)).toEqual([])
  })

  it('bars whomever one of its own hazards says it is not for', () => {
    const open = USES.flatMap(({ use, title }) =>
      use.hazards.flatMap(({ id, answers }) =>
        answers
          .flatMap((answer) => (answer.kind === 'person' && /^(Not|Must not)/.test(answer.says) ? answer.who : []))
          .filter((who) => !bars(use, who))
          .map((who) => `${title}: ${id}, ${who}`),
      ),
    )
    expect(open).toEqual([])
  })

  it('answers germs wherever green or flower is eaten raw, by a wash that a cook must do, and keeps it from who has low defences', () => {
    expect(RAW.length).toBeGreaterThan(60)
    const open = RAW.flatMap(({ use, title }) => {
      const germs = use.hazards.some(({ id }) => id === 'soil-bacteria' || id === 'water-pathogens')
      const washed = use.protocols
        .filter(isRaw)
        .every(({ steps }) => steps.some(({ op, critical }) => critical && (op === 'wash' || op === 'peel')))
      return [
        ...(germs ? [] : [`${title}: no germs`]),
        ...(washed ? [] : [`${title}: not washed`]),
        ...(bars(use, 'immunocompromised') ? [] : [`${title}: low defences`]),
      ]
    })
    expect(open).toEqual([])
  })

  it('knows the tapeworm of foxes where greens of low plants are eaten raw in the north', () => {
    // Cut above a fox's height, or peeled to the pith.
    const TALL = ['Urtica dioica', 'Urtica urens', 'Chamaenerion angustifolium', 'Monarda punctata']
    const open = RAW.filter(
      ({ taxon, use }) =>
        GREEN.includes(use.part) &&
        !isWoody(taxon) &&
        !TALL.includes(taxon.scientificName) &&
        (taxon.growsIn ?? []).some((place) => place === 'europe' || place === 'asia' || place === 'north-america') &&
        !use.hazards.some(({ id }) => id === 'fox-tapeworm' || id === 'water-pathogens'),
    )
    expect(open.map(({ title }) => title)).toEqual([])
  })

  it('lets neither vinegar nor salt answer the eggs of the tapeworm', () => {
    const open = USES.flatMap(({ use, title }) =>
      use.protocols.flatMap(({ name, steps }) =>
        steps
          .filter(({ op, control }) => control.includes('fox-tapeworm') && (op === 'pickle' || op === 'ferment'))
          .map(({ op }) => `${title}, ${name}: ${op}`),
      ),
    )
    expect(open).toEqual([])
  })

  it('measures the heat that ends a lectin, and never judges it by colour', () => {
    const open = USES.flatMap(({ use, title }) =>
      use.protocols.flatMap(({ name, steps }) =>
        steps
          .filter(
            ({ op, control, limit }) =>
              control.includes('lectin') && HEATED.includes(op) && (limit === undefined || limit.measure === 'seen'),
          )
          .map(({ op }) => `${title}, ${name}: ${op}`),
      ),
    )
    expect(open).toEqual([])
  })

  it('keeps amounts where they are enforced: no step tells grams a person', () => {
    const open = USES.flatMap(({ use, title }) =>
      use.protocols.flatMap(({ name, steps }) =>
        steps
          .filter(({ check = '', limit }) =>
            /\d+ g (a|each|per|in|of|fresh)\b/.test(`${check} ${limit?.measure === 'seen' ? limit.sign : ''}`),
          )
          .map(({ check }) => `${title}, ${name}: ${check ?? ''}`),
      ),
    )
    expect(open).toEqual([])
  })

  it('keeps nothing raw in the cold for longer than it is safe there', () => {
    const DAYS = { days: 1, weeks: 7, months: 30, years: 365 } as const
    const longer = USES.filter(({ use }) =>
      use.stores.some(
        ({ store, after, keeps }) =>
          store === 'chilled' && after === 'raw' && keeps.high * DAYS[keeps.unit] > rawKeeping(use).unsafe.cold,
      ),
    )
    expect(longer.map(({ title }) => title)).toEqual([])
  })

  it('says “may be eaten raw” only where a way leaves it raw', () => {
    const cooked = USES.filter(({ use }) => use.verdict === 'raw-ok' && !use.protocols.some(isLeftRaw))
    expect(cooked.map(({ title }) => title)).toEqual([])
  })

  it('says nothing twice, and does not call small portions what must not be eaten', () => {
    const open = USES.flatMap(({ use, title }) => [
      ...use.protocols.flatMap(({ name, steps }) =>
        steps
          .filter(({ control }) => new Set(control).size < control.length)
          .map(({ op }) => `${title}, ${name}: ${op} twice`),
      ),
      ...use.cautionFor
        .filter(
          ({ who, what, onlyFor, why }, index, all) =>
            (what === 'avoid' && /small portions|a little is/.test(why)) ||
            all.findIndex(
              (other) =>
                other.who === who && other.what === what && String(other.onlyFor ?? '') === String(onlyFor ?? ''),
            ) < index,
        )
        .map(({ who, why }) => `${title}: ${who}, ${why}`),
    ])
    expect(open).toEqual([])
  })
})
