import type { Taxon } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import { formatCount, grouped, withoutCapital } from '../quantity/format'
import { lifeTableOf, safeTake } from './projection'
import { bearingOf, growthForm, removalOf, type GrowthForm, type Removal } from './removal'
import { estimateStand, type Stand } from './standEstimate'

export type Standing = Taxon['standing']

export interface ShareInput {
  readonly taxon: Taxon
  readonly part: Part
  /** What stood there: plants, or the pieces themselves (stems, clusters) as they were counted. */
  readonly stand: Stand | { readonly pieces: number }
  /** Of the region; the record's where not told. */
  readonly standing?: Standing
  readonly othersPick: boolean
  /** The stand is, or may be, one root: for digging it is one plant. */
  readonly clone: boolean
  /** Plants, or pieces where pieces were counted, with somebody living on them. */
  readonly wildlifeOn: number
  /** The school of sharing; the more careful usual one where not told. */
  readonly school?: string
}

export interface ShareReason {
  readonly rule:
    | 'protected'
    | 'at-risk'
    | 'spreading'
    | 'school'
    | 'small-stand'
    | 'others'
    | 'wildlife'
    | 'clone'
    | 'life-history'
    | 'estimate'
    | 'per-plant'
    | 'law'
  readonly text: string
}

export interface FairShare {
  /** How many pieces may be taken, rounded down. */
  readonly pieces: number
  /** The harm of taking them, in whole plants. */
  readonly plantEquivalents: number
  /** At most so many of one plant. */
  readonly perPlant: number
  readonly school: string
  readonly schools: readonly { readonly name: string; readonly pieces: number }[]
  readonly reasons: readonly ShareReason[]
  readonly text: string
}

const SCHOOLS = [
  { name: 'none of this one', share: 0 },
  { name: 'one in twenty', share: 1 / 20 },
  { name: 'one in ten', share: 1 / 10 },
  { name: 'a third', share: 1 / 3 },
] as const
/** No more of one plant than this share of what it bears. */
const OF_ONE_PLANT = 1 / 3
/** Of what stands in this way in a region no school takes more. */
const MOST: Readonly<Record<Standing, number>> = {
  'often-invasive': 1,
  abundant: 1 / 3,
  common: 1 / 3,
  uncommon: 1 / 10,
  'at-risk': 1 / 20,
  protected: 0,
}
/** Stands smaller than this, in plants, are left whole; and in pieces, ten. */
const LEAST_PLANTS: Readonly<Record<GrowthForm, number>> = {
  annual: 10,
  biennial: 10,
  herb: 10,
  bulb: 10,
  lichen: 10,
  shrub: 1,
  tree: 1,
}
const LEAST_PIECES = 10
/** Years that a patch rests after more than its share was taken, by how well the plant bears cutting [planning values]. */
const REST_YEARS: Readonly<Record<string, number>> = { high: 1, medium: 2, low: 4, none: 8 }

/** Names of the schools of sharing that a cook may choose among. */
export const SHARE_SCHOOLS: readonly string[] = SCHOOLS.map(({ name }) => name)

/** What is counted of a part when a picking is noted: stems, or whole plants. */
export function countedAs(part: Part): 'stems' | 'plants' {
  return removalOf(part) === 'whole' ? 'plants' : 'stems'
}

/**
 * The fair share of a stand, counted, not guessed, rounded down, what has wildlife on it left out.
 *
 * The school in force is the named one, else by how well the plant bears cutting and how common it is: a third of an abundant
 * plant that grows back, one in ten of a common one, one in twenty of the rest; sharing with others halves it. Of whole plants no
 * more than keeps the stand in nine of ten futures (see `projectStand`), and no more harm than the same school allows in leaves.
 * A plague has no ceiling. Planning values: local law and the ground's owner go before them.
 */
export function fairShare(input: ShareInput): FairShare {
  const standing = input.standing ?? input.taxon.standing
  const usual = usualSchool(input.taxon, standing)
  const school = SCHOOLS.find(({ name }) => name === (input.school ?? usual))
  if (school === undefined) throw new RangeError(`fairShare: expected a school of sharing, got ${String(input.school)}`)
  const stood = standOf(input, standing)
  const chosen = allowed(input, standing, stood, school.share)
  const schools = SCHOOLS.map(({ name, share }) => ({ name, pieces: allowed(input, standing, stood, share).pieces }))
  return {
    pieces: chosen.pieces,
    // Stripped of all its leaves a plant is one plant, and no more of them stood there.
    plantEquivalents: Math.min(chosen.pieces / stood.bearing.perPlant, stood.range?.low ?? Infinity),
    perPlant: standing === 'protected' ? 0 : perPlant(stood.bearing.pieces, standing),
    school: school.name,
    schools,
    reasons: reasonsOf(input, standing, stood, school.name, chosen),
    text: textOf(input, standing, stood, school.name, chosen),
  }
}

/** Years that a patch rests after more than the share was taken. */
export function restYears(taxon: Taxon): number {
  return REST_YEARS[taxon.harvestTolerance ?? 'low'] ?? 4
}

function usualSchool(taxon: Taxon, standing: Standing): string {
  const plenty = standing === 'abundant' || standing === 'often-invasive'
  if (taxon.harvestTolerance === 'none' && standing !== 'often-invasive') return 'none of this one'
  if (taxon.harvestTolerance === 'high' && plenty) return 'a third'
  if (taxon.harvestTolerance === 'low' || MOST[standing] <= MOST.uncommon) return 'one in twenty'
  return 'one in ten'
}

interface Stood {
  readonly removal: Removal
  readonly bearing: ReturnType<typeof bearingOf>
  /** Without those with wildlife on them. */
  readonly plants: number
  readonly pieces: number
  readonly small: boolean
  readonly range: ReturnType<typeof estimateStand> | undefined
}

function standOf({ taxon, part, stand, wildlifeOn, clone }: ShareInput, standing: Standing): Stood {
  const removal = removalOf(part)
  const bearing = bearingOf(taxon, removal)
  const range = 'pieces' in stand ? undefined : estimateStand(stand)
  const counted = 'pieces' in stand ? stand.pieces : (range?.low ?? 0)
  const free = Math.max(0, counted - wildlifeOn)
  const bears = 'pieces' in stand ? 1 : bearing.pieces
  const pieces = free * bears
  const single = clone && removal === 'whole'
  const plants =
    single && standing !== 'often-invasive' ? Math.min(1, free) : 'pieces' in stand ? free / bearing.pieces : free
  const few = 'pieces' in stand ? free < LEAST_PIECES : free < LEAST_PLANTS[growthForm(taxon)]
  return { removal, bearing, plants, pieces, small: few || single, range }
}

interface Allowed {
  readonly pieces: number
  /** What the life of the plant allows, where that is less than the school. */
  readonly byLife: number | undefined
}

function allowed(input: ShareInput, standing: Standing, stood: Stood, share: number): Allowed {
  if (standing === 'protected' || share === 0) return { pieces: 0, byLife: undefined }
  if (standing === 'often-invasive') return { pieces: ceilingless(input, stood), byLife: undefined }
  if (stood.small) return { pieces: 0, byLife: undefined }
  const part = Math.min(share, MOST[standing]) * (input.othersPick ? 0.5 : 1)
  const school = Math.floor(stood.pieces * part)
  if (stood.removal !== 'whole') return { pieces: school, byLife: undefined }
  const { taxon } = input
  const leaf = bearingOf(taxon, 'leaf')
  const inLeaves = Math.floor(stood.plants * leaf.pieces * part) / leaf.perPlant
  const life = Math.floor(stood.plants * safeTake(lifeTableOf({ ...taxon, standing })) * (input.othersPick ? 0.5 : 1))
  const pieces = Math.min(school, life, Math.floor(inLeaves))
  return { pieces: standing === 'at-risk' ? 0 : pieces, byLife: pieces < school ? pieces : undefined }
}

/** Of a plague all may go, and what grows back goes again, until it costs the plants themselves. */
function ceilingless({ stand }: ShareInput, { pieces, plants, bearing }: Stood): number {
  return Math.floor('pieces' in stand ? pieces : Math.max(pieces, plants * bearing.perPlant))
}

function perPlant(bears: number, standing: Standing): number {
  return standing === 'often-invasive' ? bears : Math.max(1, Math.floor(bears * OF_ONE_PLANT))
}

function word({ removal }: Stood, stand: ShareInput['stand']): string {
  if (removal === 'whole') return 'plants'
  return 'pieces' in stand ? 'stems' : PIECE_WORDS[removal]
}

const PIECE_WORDS: Readonly<Record<Exclude<Removal, 'whole'>, string>> = {
  leaf: 'leaves',
  top: 'tops',
  flower: 'flowers',
  fruit: 'fruits',
  bark: 'twigs',
  sap: 'taps',
}

function textOf(
  input: ShareInput,
  standing: Standing,
  stood: Stood,
  school: string,
  { pieces, byLife }: Allowed,
): string {
  const free = Math.floor(stood.pieces)
  const things = word(stood, input.stand)
  if (standing === 'protected') return 'It is protected: none of it is taken.'
  if (standing === 'often-invasive')
    return `It spreads where it should not: all ${grouped(free)} ${things} may be taken.`
  if (stood.small)
    return stood.removal === 'whole' && input.clone
      ? 'It may be all one plant: none of it is dug.'
      : `Only ${free} ${things}: so small a stand is left whole.`
  if (byLife !== undefined)
    return `${school} would be more, but it grows so slowly that ${pieces} of ${grouped(free)} ${things} is the most.`
  const why = input.othersPick ? ', halved because others pick here' : ''
  const spared = input.wildlifeOn > 0 ? `, the ${input.wildlifeOn} with insects or nests left` : ''
  return `Fair share: ${grouped(pieces)} (${school} of ${grouped(free)} ${things}${why}${spared}).`
}

function reasonsOf(
  input: ShareInput,
  standing: Standing,
  stood: Stood,
  school: string,
  chosen: Allowed,
): readonly ShareReason[] {
  const { taxon, othersPick, wildlifeOn, clone, stand } = input
  const things = word(stood, stand)
  const law: ShareReason = { rule: 'law', text: 'The law of the place and whoever owns the ground go before this.' }
  if (standing === 'protected') return [{ rule: 'protected', text: 'It is protected: none of it is taken.' }, law]
  const range = stood.range
  const most = perPlant(stood.bearing.pieces, standing)
  const all: readonly (ShareReason | false)[] = [
    standing === 'often-invasive' && {
      rule: 'spreading',
      text: 'It spreads where it should not: no ceiling. Let no scrap of root or seed get away, and ask whether it was sprayed.',
    },
    standing === 'at-risk' && {
      rule: 'at-risk',
      text: 'It is at risk here: at most one in twenty, and no whole plant.',
    },
    stood.small && {
      rule: clone && stood.removal === 'whole' ? 'clone' : 'small-stand',
      text: textOf(input, standing, stood, school, chosen),
    },
    range !== undefined &&
      !range.counted && {
        rule: 'estimate',
        text: `About ${grouped(range.plants)} plants stand there (${grouped(range.low)} to ${grouped(range.high)}); the low end is used.`,
      },
    standing !== 'often-invasive' &&
      !stood.small && {
        rule: 'school',
        text: `The school in force: ${school} of ${grouped(Math.floor(stood.pieces))} ${things}.`,
      },
    chosen.byLife !== undefined && {
      rule: 'life-history',
      text: `It grows slowly: more than ${formatCount(chosen.byLife, 'plant')} a year and the stand shrinks, or it costs more than the leaves would.`,
    },
    stood.removal !== 'whole' && {
      rule: 'per-plant',
      text: `No more than ${grouped(most)} of any one plant${usualCut(taxon, input.part)}.`,
    },
    othersPick && { rule: 'others', text: 'Others pick here: half is theirs.' },
    wildlifeOn > 0 && { rule: 'wildlife', text: `Leave the ${wildlifeOn} with insects, eggs or nests.` },
    law,
  ]
  return all.filter((each) => each !== false)
}

function usualCut({ uses }: Taxon, part: Part): string {
  const cut = uses.find((use) => use.part === part)?.cut
  return cut === undefined ? '' : `: ${withoutCapital(cut).replace(/\.$/, '')}`
}
