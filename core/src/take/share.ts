import type { Taxon } from '../flora/taxon'

export interface ShareSchool {
  readonly name: string
  readonly share: number
  readonly stems: number
}

export interface FairShare {
  /** Stems that may be cut under the school in force, rounded down, those with wildlife left out. */
  readonly stems: number
  readonly school: string
  readonly schools: readonly ShareSchool[]
  readonly text: string
}

const SCHOOLS = [
  { name: 'one in twenty', share: 1 / 20 },
  { name: 'one in ten', share: 1 / 10 },
  { name: 'a third', share: 1 / 3 },
] as const
/** Stands smaller than this are left whole. */
const LEAST_STAND_STEMS = 10
/** Years that a patch rests after more than its share was taken, by how well the plant bears cutting [planning values]. */
const REST_YEARS: Readonly<Record<string, number>> = { high: 1, medium: 2, low: 4, none: 8 }

/** Names of the schools of sharing that a cook may choose among. */
export const SHARE_SCHOOLS: readonly string[] = SCHOOLS.map(({ name }) => name)

/**
 * The fair share of tops in a stand: counted, not guessed, rounded down, stems with wildlife on them left out.
 *
 * The school in force is the named one, else by how well the plant bears cutting and how common it is: a third of an
 * abundant plant that grows back, one in ten of a common one, one in twenty of the rest. Sharing with others halves it.
 */
export function fairShare(input: {
  taxon: Taxon
  stems: number
  wildlifeOn: number
  othersPick: boolean
  school: string | null
}): FairShare {
  const { taxon, stems, wildlifeOn, othersPick } = input
  const free = Math.max(0, stems - wildlifeOn)
  const common = taxon.standing === 'abundant' || taxon.standing === 'often-invasive'
  const usual =
    taxon.harvestTolerance === 'high' && common
      ? 'a third'
      : taxon.harvestTolerance === 'low' || !['common', 'abundant', 'often-invasive'].includes(taxon.standing)
        ? 'one in twenty'
        : 'one in ten'
  const schools = SCHOOLS.map(({ name, share }) => ({
    name,
    share,
    stems: free < LEAST_STAND_STEMS ? 0 : Math.floor(free * share * (othersPick ? 0.5 : 1)),
  }))
  const chosen = schools.find(({ name }) => name === (input.school ?? usual)) ?? schools[0]
  if (!chosen) throw new RangeError('fairShare: expected at least one school')
  const why = othersPick ? ', halved because others pick here' : ''
  const spared = wildlifeOn > 0 ? `, the ${wildlifeOn} with wildlife left alone` : ''
  return {
    stems: chosen.stems,
    school: chosen.name,
    schools,
    text:
      free < LEAST_STAND_STEMS
        ? `Only ${free} stems: so small a stand is left whole.`
        : `${chosen.name} of ${free} stems is ${chosen.stems}${why}${spared}.`,
  }
}

/** Years that a patch rests after more than the share was taken. */
export function restYears(taxon: Taxon): number {
  return REST_YEARS[taxon.harvestTolerance ?? 'low'] ?? 4
}
