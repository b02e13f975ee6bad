import type { Taxon } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'

/** What is taken off a plant, by what it costs the plant. */
export type Removal = 'leaf' | 'top' | 'flower' | 'fruit' | 'bark' | 'sap' | 'whole'

const REMOVAL_OF: Readonly<Record<Part, Removal>> = {
  leaf: 'leaf',
  midrib: 'leaf',
  'needle-tip': 'top',
  'leafy-top': 'top',
  shoot: 'top',
  stem: 'top',
  flower: 'flower',
  'flower-bud': 'flower',
  pollen: 'flower',
  fruit: 'fruit',
  seed: 'fruit',
  nut: 'fruit',
  bark: 'bark',
  sap: 'sap',
  root: 'whole',
  rhizome: 'whole',
  corm: 'whole',
  bulb: 'whole',
  tuber: 'whole',
  // A lichen has no part that grows back in a picker's time.
  thallus: 'whole',
}

/** What taking a part is for the plant. */
export function removalOf(part: Part): Removal {
  return REMOVAL_OF[part]
}

export type GrowthForm = 'annual' | 'biennial' | 'herb' | 'bulb' | 'shrub' | 'tree' | 'lichen'

const FORM_OF: Readonly<Record<string, GrowthForm>> = {
  annual: 'annual',
  biennial: 'biennial',
  'perennial-herb': 'herb',
  aquatic: 'herb',
  'bulb-geophyte': 'bulb',
  shrub: 'shrub',
  vine: 'shrub',
  tree: 'tree',
  lichen: 'lichen',
}

/** How a plant lives, as far as its bearing of loss depends on it. */
export function growthForm({ lifeForm }: Pick<Taxon, 'lifeForm'>): GrowthForm {
  return FORM_OF[lifeForm] ?? 'herb'
}

/** Pieces of a kind that one grown plant bears at a time, and how many of them taken cost as much as the plant itself. */
export interface Bearing {
  readonly pieces: number
  /** A whole number, so that no rounding makes a whole plant cheaper than its leaves. */
  readonly perPlant: number
}

const WHOLE: Bearing = { pieces: 1, perPlant: 1 }

/**
 * Planning values: what a plant bears, and the loss of how many pieces harms it as much as its death does. That a bulb may lose
 * one leaf of two or three yearly at far less cost than being dug: Rock, Beckage & Gross 2004; that it is a twenty-fourth of it is
 * chosen so that a leaf in ten costs what the stand can bear. The rest has no source but the habits of careful pickers.
 */
const BEARING: Readonly<Record<GrowthForm, Readonly<Partial<Record<Removal, Bearing>>>>> = {
  annual: {
    leaf: { pieces: 8, perPlant: 16 },
    top: { pieces: 1, perPlant: 3 },
    flower: { pieces: 5, perPlant: 10 },
    fruit: { pieces: 10, perPlant: 12 },
  },
  biennial: {
    leaf: { pieces: 8, perPlant: 12 },
    top: { pieces: 1, perPlant: 2 },
    flower: { pieces: 3, perPlant: 6 },
    fruit: { pieces: 5, perPlant: 8 },
  },
  herb: {
    leaf: { pieces: 10, perPlant: 16 },
    top: { pieces: 1, perPlant: 4 },
    flower: { pieces: 3, perPlant: 15 },
    fruit: { pieces: 5, perPlant: 20 },
  },
  bulb: {
    leaf: { pieces: 3, perPlant: 24 },
    top: { pieces: 1, perPlant: 3 },
    flower: { pieces: 1, perPlant: 5 },
    fruit: { pieces: 1, perPlant: 4 },
  },
  shrub: {
    leaf: { pieces: 300, perPlant: 600 },
    top: { pieces: 40, perPlant: 200 },
    flower: { pieces: 60, perPlant: 300 },
    fruit: { pieces: 60, perPlant: 300 },
    bark: { pieces: 5, perPlant: 15 },
    sap: { pieces: 1, perPlant: 10 },
  },
  tree: {
    leaf: { pieces: 5000, perPlant: 10_000 },
    top: { pieces: 200, perPlant: 1000 },
    flower: { pieces: 500, perPlant: 5000 },
    fruit: { pieces: 500, perPlant: 5000 },
    bark: { pieces: 20, perPlant: 100 },
    sap: { pieces: 1, perPlant: 10 },
  },
  lichen: {},
}

/** How much more, or less, of it a plant bears losing, by how well its record says it bears cutting; whole plants apart. */
const TOLERANCE: Readonly<Record<string, number>> = { high: 2, medium: 1, low: 0.75, none: 0.5 }

/** What one plant bears of a kind of piece, and how many of them taken harm as much as taking the plant. Planning values. */
export function bearingOf(taxon: Pick<Taxon, 'lifeForm' | 'harvestTolerance'>, removal: Removal): Bearing {
  const bearing = BEARING[growthForm(taxon)][removal]
  if (bearing === undefined) return WHOLE
  const { pieces, perPlant } = bearing
  return { pieces, perPlant: Math.max(1, Math.round(perPlant * (TOLERANCE[taxon.harvestTolerance ?? 'medium'] ?? 1))) }
}
