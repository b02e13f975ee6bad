import type { Claim, Protocol, Taxon, Use } from '../flora/taxon'
import type { JudgeContext } from '../gates/verdict'
import { strandsOf, type LotState } from '../lot/lotState'
import { formatCount } from '../quantity/format'
import type { LotId } from '../log/entry'
import { minutesBetween } from '../quantity/instant'

/** What stands behind one school of a use: sayings, and this cook's own lots. */
export interface SchoolEvidence {
  readonly school: string
  readonly roots: readonly Root[]
  /** Sources that know of themselves; all that was only handed down from nobody knows where counts as one. */
  readonly independent: number
  readonly own: OwnTrials
  /** Studies that are still to come. */
  readonly awaited: readonly Claim[]
}

/** A claim that repeats no other on record, and those that repeat it. */
export interface Root {
  readonly claim: Claim
  readonly repeatedBy: readonly Claim[]
}

/** The cook's own lots that went the way of a school; what was split, joined or opened out of one another is one trial. */
export interface OwnTrials {
  readonly lots: number
  readonly eaten: number
  /** Of those eaten: how many were followed within three days by an illness of somebody who ate of it. Not a cause. */
  readonly followedByIllness: number
  /** The last taste of each that was tasted, 0 to 10, the harsher of bitter and drying. */
  readonly lastTastes: readonly number[]
  readonly accepted: number
  readonly standing: TrialStanding
}

/**
 * `forbidden`: not to be tried, the school is contested or advised against. `few`: fewer lots than say anything. `not-borne-out`: an
 * illness followed one, or more were refused at a taste than accepted.
 */
export type TrialStanding = 'forbidden' | 'untried' | 'few' | 'borne-out' | 'not-borne-out'

const ENOUGH_LOTS = 3
const ILLNESS_WITHIN_h = 72

/**
 * For each school of a use that has claims on record: its independent roots, each counted once however many repeat it (REC-4), and
 * this cook's own lots beside them (REC-2); what the cook read or heard of it stands among the claims. It moves no limit: own records may make a cook stricter, never laxer (REC-3).
 * Empty where nobody traced the claims.
 */
export function schoolEvidence(taxon: Taxon, use: Use, context: JudgeContext): readonly SchoolEvidence[] {
  const noted = notedClaims(taxon, use, context)
  const all = [...(use.claims ?? []), ...noted]
  if (all.length === 0) return []
  const claims = all.filter(({ awaited }) => awaited !== true)
  const lots = [...context.book.lots.values()].filter((lot) => isOf(lot, taxon, use))
  return use.protocols.map((protocol) => {
    const roots = rootsOf(claims, protocol.name)
    const handedDown = roots.filter(({ claim }) => claim.grounds === 'handed-down').length
    return {
      school: protocol.name,
      roots,
      independent: roots.length - Math.max(0, handedDown - 1),
      own: ownTrials(protocol, lots, context),
      awaited: all.filter(({ awaited, schools }) => awaited === true && schools.includes(protocol.name)),
    }
  })
}

/** What the cook wrote down of this use; a repeating claim whose source was struck out stands for itself. */
function notedClaims({ scientificName, synonyms }: Taxon, use: Use, { book }: JudgeContext): readonly Claim[] {
  return [scientificName, ...synonyms]
    .flatMap((name) => book.house.claims[name] ?? [])
    .filter(({ part, stage }) => [use.part, ...(use.alsoCalled ?? [])].includes(part) && stage === use.stage)
    .map(({ claim }) => claim)
}

/** The roots of what is said for a school; a claim whose root speaks for another school only is shown under that root. */
function rootsOf(claims: readonly Claim[], school: string): readonly Root[] {
  const rootOf = (claim: Claim): Claim => {
    const before = claims.find(({ id }) => id === claim.copies)
    return before === undefined ? claim : rootOf(before)
  }
  const spoken = claims.filter(({ schools }) => schools.includes(school))
  return [...new Set(spoken.map(rootOf))].map((claim) => ({
    claim,
    repeatedBy: spoken.filter((each) => each !== claim && rootOf(each) === claim),
  }))
}

/** A lot that is all of one plant and use. */
function isOf(lot: LotState, { scientificName, synonyms }: Taxon, { part, alsoCalled, stage }: Use): boolean {
  const strands = strandsOf(lot)
  return (
    strands.length > 0 &&
    strands.every(({ lot: { weighedIn } }) => {
      if (weighedIn === null || ![scientificName, ...synonyms].includes(weighedIn.taxon)) return false
      return [part, ...(alsoCalled ?? [])].includes(weighedIn.part) && weighedIn.stage === stage
    })
  )
}

/** The school a lot was taken through, as far as something was done to it by that school. */
const schoolOf = (lot: LotState): string | undefined =>
  (lot.runs.findLast(({ done }) => done?.outcome === 'done') ?? lot.baths.findLast(({ endedAt }) => endedAt !== null))
    ?.protocol

function ownTrials({ name, standing }: Protocol, all: readonly LotState[], { book }: JudgeContext): OwnTrials {
  const families = new Map<LotId, LotState[]>()
  for (const lot of all.filter((each) => schoolOf(each) === name)) {
    const family = book.families.get(lot.id)?.[0] ?? lot.id
    families.set(family, [...(families.get(family) ?? []), lot])
  }
  const trials = [...families.values()].map((lots) => ({
    servings: lots.flatMap(({ servings }) => servings),
    last: lots
      .flatMap(({ tastes }) => tastes)
      .toSorted((a, b) => (a.at < b.at ? -1 : 1))
      .at(-1),
  }))
  const eaten = trials.filter(({ servings }) => servings.length > 0)
  const followedByIllness = eaten.filter(({ servings }) =>
    servings.some(({ at, portions }) =>
      book.house.ill.some(
        (each) =>
          portions.some(({ eater }) => eater === each.eater) &&
          each.at >= at &&
          minutesBetween(at, each.at) <= ILLNESS_WITHIN_h * 60,
      ),
    ),
  ).length
  const last = trials.flatMap((trial) => trial.last ?? [])
  const accepted = last.filter(({ accepts, alarm }) => accepts && alarm === null).length
  return {
    lots: trials.length,
    eaten: eaten.length,
    followedByIllness,
    lastTastes: last.map(({ bitter, astringent }) => Math.max(bitter, astringent)),
    accepted,
    standing:
      standing === 'contested' || standing === 'not-advised'
        ? 'forbidden'
        : trials.length === 0
          ? 'untried'
          : followedByIllness > 0 || accepted < last.length - accepted
            ? 'not-borne-out'
            : eaten.length < ENOUGH_LOTS
              ? 'few'
              : 'borne-out',
  }
}

/** What the cook's own lots say of a school, in a few sentences. */
export function trialWords({ lots, eaten, followedByIllness, lastTastes, accepted, standing }: OwnTrials): string {
  if (standing === 'forbidden') return 'Not to be tried here: the school is contested or advised against.'
  if (standing === 'untried') return 'You have not gone this way yet.'
  const harm =
    eaten === 0
      ? 'none was eaten of yet'
      : `${eaten === lots ? '' : `${eaten} of them `}eaten of, ${
          followedByIllness === 0
            ? 'and nobody noted feeling ill within three days'
            : `and after ${followedByIllness} somebody noted feeling ill within three days: no proof of a cause, and reason to stay stricter`
        }`
  const [low, high] = [Math.min(...lastTastes), Math.max(...lastTastes)]
  const tasted =
    lastTastes.length === 0
      ? ''
      : ` Last taste ${low === high ? low : `${low} to ${high}`} of 10; ${accepted} of ${lastTastes.length} accepted.`
  return `${formatCount(lots, 'lot')} of yours went this way; ${harm}.${tasted} ${STANDING_WORDS[standing]}`
}

const STANDING_WORDS: Readonly<Record<Exclude<TrialStanding, 'forbidden' | 'untried'>, string>> = {
  few: 'Few: they say little yet.',
  'borne-out': 'Borne out here.',
  'not-borne-out': 'Not borne out here.',
}
