import type { Part, Stage } from '../flora/vocabulary'
import type { OwnPlant } from '../flora/own'
import { CATALOGUE } from '../flora/records'
import { requireTaxon } from '../flora/catalogue'
import { tellsToSee } from '../identity/tellsToSee'
import type { Saying } from '../log/stamp'
import { CLEAN, type Pen } from './pen'

/** The kinds of plant that the tests carry from the patch to the plate, and how each is treated. */
export const KINDS = {
  nettle: { taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', way: 'blanch and drain', goal: 'eat', step: 2 },
  ramsons: { taxon: 'Allium ursinum', part: 'leaf', stage: 'young', way: 'cooked', goal: 'eat', step: 2 },
  acorns: { taxon: 'Quercus robur', part: 'nut', stage: 'ripe', way: 'hot baths', goal: 'eat', step: 6 },
  elder: {
    taxon: 'Sambucus nigra',
    part: 'fruit',
    stage: 'ripe',
    way: 'stripped, boiled, seeds strained out',
    goal: 'eat',
    step: 2,
  },
  beet: {
    taxon: 'Beta vulgaris',
    part: 'leaf',
    stage: 'young',
    way: 'boiled in plenty of water',
    goal: 'eat',
    step: 2,
  },
  spruce: {
    taxon: 'Picea abies',
    part: 'needle-tip',
    stage: 'young',
    way: 'chopped raw as seasoning',
    goal: 'flavouring',
    step: 0,
  },
} as const satisfies Record<
  string,
  { taxon: string; part: Part; stage: Stage; way: string; goal: Saying<'way-chosen'>['goal']; step: number }
>

export type Kind = keyof typeof KINDS
export const KIND_NAMES = Object.keys(KINDS) as readonly Kind[]

/** The tells that clear a kind, as the core would ask for them, with the first state of each; worked out once. */
export const TELLS: Readonly<Record<Kind, readonly (readonly [string, string])[]>> = Object.fromEntries(
  KIND_NAMES.map((kind) => [kind, tellsOf(KINDS[kind].taxon)]),
) as unknown as Readonly<Record<Kind, readonly (readonly [string, string])[]>>

function tellsOf(name: string): readonly (readonly [string, string])[] {
  const taxon = requireTaxon(CATALOGUE, name)
  return tellsToSee(taxon, CATALOGUE).map((character) => [character, taxon.characters[character]?.[0] ?? ''])
}

/** Days on which each kind was met, so often that none is too new; and a second clean patch. */
export function meetAll(pen: Pen): Pen {
  pen.write({ type: 'ground-noted', patch: 'other', name: 'Other', facts: CLEAN })
  for (const { taxon, stage } of Object.values(KINDS))
    for (const month of ['04', '05', '06'])
      pen.write({ type: 'plant-met', taxon, stage }, `2026-${month}-02T09:00:00.000Z`)
  return pen
}

/** A large stand of which little was cut, wildlife looked for. */
export const fairStand = (lot: string): Saying<'stand-counted'> => ({
  ...{ type: 'stand-counted', lot, stems: 4000, taken: 50, wildlifeLooked: true, wildlifeOn: 0 },
  ...{ othersPick: false, school: null },
})

/** A lot of a kind from weighing in to sorting. */
export function bringInKind(
  pen: Pen,
  kind: Kind,
  lot: string,
  { picked_g = 1000, kept_g = 900, patch = 'wall' } = {},
): Pen {
  const { taxon, part, stage } = KINDS[kind]
  pen.write({ type: 'weighed-in', lot, code: lot, taxon, part, stage, patch, mass_g: picked_g, pickedAt: pen.now })
  for (const [character, state] of TELLS[kind])
    pen.write({ type: 'tell-seen', lot, character, answer: 'seen', states: [state] })
  pen.write({ type: 'certain-attested', lot })
  pen.write(fairStand(lot))
  pen.write({
    type: 'sorted',
    lot,
    stageSeen: stage,
    kept_g,
    trimmed_g: picked_g - kept_g,
    trimmedTo: 'compost',
    wash: { water: 'safe', changes: 3 },
  })
  return pen
}

/** A load through one step of a kind's way, kept to its limit. */
export function runStep(
  pen: Pen,
  kind: Kind,
  lot: string,
  step: number = KINDS[kind].step,
  over: Partial<Saying<'step-done'>> = {},
): void {
  const begun = pen.write({
    type: 'step-begun',
    lot,
    protocol: KINDS[kind].way,
    step,
    load: 1,
    mass_g: pen.lot(lot).mass_g,
  })
  pen.wait(over.minutes ?? 35)
  pen.write({
    type: 'step-done',
    lot,
    begun: begun.id,
    outcome: 'done',
    minutes: over.minutes ?? 35,
    temp_C: null,
    backToBoil_s: null,
    driedTo_g: null,
    checked: true,
    water: 'thrown',
    ...over,
  })
}

/** So many baths, each of so many minutes, the last poured off; then a crumb. */
export function leachBaths(
  pen: Pen,
  lot: string,
  {
    protocol,
    step,
    count,
    minutes,
    taste,
  }: { protocol: string; step: number; count: number; minutes: number; taste: number | null },
): void {
  for (let bath = 0; bath <= count; bath += 1) {
    pen.write({
      type: 'bath-changed',
      lot,
      protocol,
      step,
      fresh: bath === count ? null : { water_mL: 4000, temp_C: protocol.endsWith('hot baths') ? 97 : 8 },
    })
    pen.wait(minutes)
  }
  if (taste !== null) tasteOf(pen, lot, { crumb: true, accepts: false, astringent: taste })
}

export function tasteOf(pen: Pen, lot: string, over: Partial<Saying<'tasted'>> = {}): void {
  pen.write({
    type: 'tasted',
    lot,
    taster: 'ann',
    bitter: 0,
    astringent: 0,
    crumb: false,
    accepts: true,
    alarm: null,
    ...over,
  })
}

/** A sorted lot of a kind made safe, weighed where it was heated, and tasted. */
export function makeSafeKind(pen: Pen, kind: Kind, lot: string): Pen {
  const { way, goal, step } = KINDS[kind]
  pen.write({ type: 'way-chosen', lot, protocol: way, goal })
  if (kind === 'acorns') {
    runStep(pen, kind, lot, 2)
    leachBaths(pen, lot, { protocol: way, step: 5, count: 5, minutes: 16, taste: 1 })
    runStep(pen, kind, lot, step)
  } else if (kind === 'elder') {
    runStep(pen, kind, lot)
    runStep(pen, kind, lot, 3)
  } else if (kind !== 'spruce') runStep(pen, kind, lot, step, { minutes: 5 })
  tasteOf(pen, lot)
  return pen
}

/** A made-up creeper that nothing on record looks like. */
export const CREEPER: OwnPlant = {
  scientificName: 'Hirtulia repens',
  commonName: 'hedge pennies',
  family: 'Hirtuliaceae',
  lifeForm: 'perennial-herb',
  habitat: ['hedge'],
  characters: {
    habit: ['mat'],
    leafArrangement: ['whorled'],
    leafShape: ['kidney'],
    leafMargin: ['crenate'],
    leafSurface: ['mealy'],
    stemSection: ['three-angled'],
    sap: ['slimy'],
    crushedScent: ['cucumber'],
    flowerColour: ['orange'],
    inflorescence: ['axillary-cluster'],
    fruit: ['burr'],
    underground: ['fibrous'],
    leafJoint: ['swollen'],
  },
  keyCharacters: ['leafArrangement', 'leafShape', 'leafSurface', 'stemSection', 'crushedScent', 'sap'],
  lookalikes: [{ scientificName: 'Glechoma hederacea', why: 'It creeps too.' }],
  part: 'leaf',
  stage: 'young',
  source: 'a neighbour',
}
const KNOWN = CATALOGUE.taxa.find(({ severity }) => severity === 'harmless')?.scientificName ?? ''
/** It, with some of it otherwise. */
export const creeper = (over: Partial<OwnPlant> = {}): OwnPlant => ({
  ...CREEPER,
  lookalikes: [{ scientificName: KNOWN, why: 'It creeps too.' }],
  ...over,
})
