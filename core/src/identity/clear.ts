import { findTaxon, type Catalogue } from '../flora/catalogue'
import { isPoisonous, SEVERITIES, type LookAlike, type Season, type Severity, type Taxon } from '../flora/taxon'
import { CHARACTERS, FALLS, type Part } from '../flora/vocabulary'
import { growApart } from './growth'
import { lacksOrgan } from './organs'
import { isUnmistakable } from './unmistakable'

export interface Observation {
  /** The plant that the cook claims it is. */
  readonly taxon: string
  /** States seen, by character; several where a stand shows several. */
  readonly observed: Readonly<Record<string, readonly string[]>>
  /** Looked for and not to be seen now. */
  readonly notVisible?: readonly string[]
  readonly season?: Season
  /** The part that is picked: some doubles are taken for one part only. */
  readonly part?: Part
  readonly encounters?: number
  readonly certain?: boolean
  /** Too few stand there for a plant to be dug up for a look. */
  readonly noDigging?: boolean
}

export interface Contradiction {
  readonly character: string
  readonly observed: readonly string[]
  readonly expected: readonly string[]
}

export interface StandingTaxon {
  readonly taxon: string
  readonly severity: Severity
  /** Characters that speak against it, one for each independent group. */
  readonly ruledOutBy: readonly string[]
  readonly needed: number
}

export interface Clearance {
  readonly gate: 'open' | 'ajar' | 'closed'
  readonly contradictions: readonly Contradiction[]
  readonly missing: readonly string[]
  /** Not yet ruled out, worst first. */
  readonly standing: readonly StandingTaxon[]
  readonly ruledOut: readonly StandingTaxon[]
  readonly next: readonly { readonly character: string; readonly rulesOut: readonly string[] }[]
  readonly encountersNeeded: number
}

/** Independent tells that must speak against a plant before it counts as ruled out. */
const TELLS_NEEDED: Readonly<Record<Severity, number>> = {
  deadly: 2,
  toxic: 2,
  irritant: 1,
  unpleasant: 1,
  harmless: 1,
}
/** How much a standing plant weighs when the next tell is chosen. */
const DANGER_WEIGHT: Readonly<Record<Severity, number>> = {
  deadly: 100,
  toxic: 30,
  irritant: 5,
  unpleasant: 1,
  harmless: 0.1,
}
/** Meetings with the plant before it may be eaten, by the worst plant it is mistaken for; never none where one is deadly. */
const ENCOUNTERS_NEEDED: Readonly<Record<Severity, number>> = {
  deadly: 3,
  toxic: 2,
  irritant: 1,
  unpleasant: 1,
  harmless: 1,
}
/** A missing key tell is worth asking even where it rules nothing out; and since it must be seen anyway, it comes before others. */
const KEY_TELL_WEIGHT = 0.05
const KEY_TELL_FACTOR = 3
/** Where a plant grows is circumstantial: it may contradict a claim, it never rules a danger out. */
export const CIRCUMSTANTIAL = ['habitatSeen']
const MONTH_SEASONS: readonly Season[] = [
  'winter', 'winter', 'spring', 'spring', 'spring', 'summer', 'summer', 'summer', 'autumn', 'autumn', 'autumn', 'winter',
] // prettier-ignore

/** The season of a calendar day, on the northern half of the earth where it is not said to be the southern. @example seasonOf('2027-05-16') // 'spring' */
export function seasonOf(day: string, southern = false): Season {
  const month = Number(day.slice(5, 7)) - 1
  return MONTH_SEASONS[southern ? (month + 6) % 12 : month] ?? 'winter'
}

/**
 * Holds a claimed plant against what was seen of it, over the whole catalogue.
 *
 * A character that shows a state the claimed plant never has contradicts it. Another plant is ruled out by a character
 * whose observed states it never has; characters of one group count once; deadly and toxic plants need two groups. How it
 * grows counts by itself, for plants that no record takes for each other. The next tell is the one that is expected to remove
 * most of the danger left, destructive looks last, taste only where nothing harmful stands. Order of observations does not matter.
 *
 * Without `encounters` and `certain` the gate is judged by the characters alone.
 * @throws RangeError when the claimed taxon is not in the catalogue.
 */
export function clear(observation: Observation, catalogue: Catalogue): Clearance {
  const { claimed, ...judged } = judgeTells(observation, catalogue)
  return { ...judged, next: nextTells(claimed, catalogue, observation, judged.standing, judged.missing) }
}

/** As {@link clear}, without the next tell: what a gate needs, at a fraction of the cost. */
export function judgeTells(
  observation: Observation,
  catalogue: Catalogue,
): Omit<Clearance, 'next'> & { readonly claimed: Taxon } {
  const claimed = findTaxon(catalogue, observation.taxon)
  if (!claimed) throw new RangeError(`clear: expected a taxon of the catalogue, got ${observation.taxon}`)
  const { observed, encounters, certain } = observation
  const contradictions = contradictionsOf(claimed, observed)
  const missing = claimed.keyCharacters.filter((character) => (observed[character] ?? []).length === 0)
  const { standing, ruledOut } = rivals(claimed, observed, catalogue)
  const encountersNeeded = meetingsNeeded(claimed, observation.part)
  const harmful = standing.filter(isHarmful)
  const tooNew = encounters !== undefined && encounters < encountersNeeded
  const ajar = missing.length > 0 || harmful.length > 0 || tooNew || certain === false
  return {
    gate: contradictions.length > 0 ? 'closed' : ajar ? 'ajar' : 'open',
    contradictions,
    missing,
    standing,
    ruledOut,
    claimed,
    encountersNeeded,
  }
}

type Rivals = Pick<Clearance, 'standing' | 'ruledOut'>

/** The same claims and sights are judged again and again, by every gate and for every lot of a plant. */
const JUDGED = new WeakMap<Catalogue, Map<string, Rivals>>()
const JUDGED_AT_MOST = 2000

/** Every other plant of the catalogue against what was seen, worst first. */
function rivals(claimed: Taxon, observed: Observation['observed'], catalogue: Catalogue): Rivals {
  const known = JUDGED.get(catalogue) ?? new Map<string, Rivals>()
  JUDGED.set(catalogue, known)
  const seen = Object.entries(observed).sort(([a], [b]) => (a < b ? -1 : 1))
  const key = `${claimed.scientificName}|${seen.map(([character, states]) => `${character}:${states.join()}`).join('|')}`
  const found = known.get(key)
  if (found !== undefined) return found
  const listed = new Map(claimed.lookalikes.map(({ scientificName, severity }) => [scientificName, severity]))
  const others = catalogue.taxa
    .filter((other) => other !== claimed)
    .map((other) => standingOf(claimed, listed, other, seen))
    .sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity))
  const judged = {
    standing: others.filter((other) => other.ruledOutBy.length < other.needed),
    ruledOut: others.filter((other) => other.ruledOutBy.length >= other.needed),
  }
  if (known.size >= JUDGED_AT_MOST) known.clear()
  known.set(key, judged)
  return judged
}

/** Whether eating the plant in mistake would hurt. */
export function isHarmful({ severity }: { readonly severity: Severity }): boolean {
  return isPoisonous({ severity }) || severity === 'irritant'
}

/** The plants that a part is taken for; where no part is named, those that any part is. */
export function doublesOf({ lookalikes }: Taxon, part?: Part): readonly LookAlike[] {
  return lookalikes.filter(({ ofParts }) => ofParts === undefined || (part !== undefined && ofParts.includes(part)))
}

/** Whether one of the plants it is mistaken for kills. */
export function hasDeadlyDouble(taxon: Taxon, part?: Part): boolean {
  return doublesOf(taxon, part).some(({ severity }) => severity === 'deadly')
}

/** Distinct days on which the plant must have been met before it may be eaten. */
export function meetingsNeeded(claimed: Taxon, part?: Part): number {
  const least = claimed.own === true ? ENCOUNTERS_NEEDED.deadly : 1
  return Math.max(...doublesOf(claimed, part).map(({ severity }) => ENCOUNTERS_NEEDED[severity]), least)
}

/** States seen that the claimed plant never shows. */
export function contradictionsOf(claimed: Taxon, observed: Observation['observed']): readonly Contradiction[] {
  return Object.entries(observed).flatMap(([character, states]) => {
    const expected = claimed.characters[character]
    const against = expected === undefined ? [] : states.filter((state) => !expected.includes(state))
    return against.length === 0 || expected === undefined ? [] : [{ character, observed: states, expected }]
  })
}

function standingOf(
  claimed: Taxon,
  listed: ReadonlyMap<string, Severity>,
  other: Taxon,
  seen: readonly (readonly [string, readonly string[]])[],
): StandingTaxon {
  const severity = severityOf(listed.get(other.scientificName), other)
  const groups = new Map<string, string>()
  const against = seen.filter(([character, states]) => speaksAgainst(other, character, states))
  for (const [character] of against) groups.set(CHARACTERS[character]?.group ?? character, character)
  const apart = apartness(claimed, other)
  // How it grows was seen with the claim, and is one look whether it is written down or not; but not of what may lie on the ground.
  if (apart.grown && !groups.has(GROWTH_GROUP) && !seen.every(([character]) => FALLS.includes(character)))
    groups.set(GROWTH_GROUP, 'habit')
  return {
    taxon: other.scientificName,
    severity,
    ruledOutBy: groups.size === 0 ? NOTHING : [...groups.values()].sort(),
    needed:
      apart.unlike && against.some(([character, states]) => isUnmistakable(character, states, other))
        ? 1
        : TELLS_NEEDED[severity],
  }
}

/** How far two plants are from being taken for each other, whatever was seen. */
interface Apart {
  /** Neither record takes one for the other: they are parted by how they grow, and by one mark that nobody sees by mistake. */
  readonly unlike: boolean
  readonly grown: boolean
}

/** Two records say it of each other once and for all, and every look asks again. */
const APART = new WeakMap<Taxon, WeakMap<Taxon, Apart>>()

function apartness(claimed: Taxon, other: Taxon): Apart {
  const known = APART.get(claimed) ?? new WeakMap<Taxon, Apart>()
  APART.set(claimed, known)
  const found = known.get(other)
  if (found !== undefined) return found
  const unlike = !namesAsDouble(claimed, other) && !namesAsDouble(other, claimed)
  const apart = { unlike, grown: unlike && growApart(claimed, other) }
  known.set(other, apart)
  return apart
}

function namesAsDouble({ lookalikes }: Taxon, { scientificName }: Taxon): boolean {
  return lookalikes.some((double) => double.scientificName === scientificName)
}

const NOTHING: readonly string[] = []
const GROWTH_GROUP = CHARACTERS['habit']?.group ?? 'habit'

/**
 * How bad the other would be in place of the claimed plant: what its own record says, or worse where the claimed plant's record
 * says so. Of a plant that is food itself the claimed plant's record may know better: two oaks treated alike.
 */
function severityOf(listed: Severity | undefined, other: Taxon): Severity {
  if (listed === undefined) return other.severity
  if (other.role !== 'danger') return listed
  return SEVERITIES[Math.min(SEVERITIES.indexOf(listed), SEVERITIES.indexOf(other.severity))] ?? listed
}

function speaksAgainst(other: Taxon, character: string, states: readonly string[]): boolean {
  if (CIRCUMSTANTIAL.includes(character)) return false
  const shown = other.characters[character]
  if (shown === undefined) return lacksOrgan(other, character, states)
  return states.length > 0 && states.every((state) => !shown.includes(state))
}

function nextTells(
  claimed: Taxon,
  catalogue: Catalogue,
  { observed, notVisible = [], season, noDigging = false }: Observation,
  standing: readonly StandingTaxon[],
  missing: readonly string[],
): Clearance['next'] {
  const harmStands = standing.some(isHarmful)
  const open = Object.keys(claimed.characters).filter((character) => {
    const asked = (observed[character] ?? []).length > 0 || notVisible.includes(character)
    const seasons = claimed.visible[character]
    const visible = season === undefined || seasons === undefined || seasons.includes(season)
    return (
      !asked &&
      visible &&
      !CIRCUMSTANTIAL.includes(character) &&
      !(CHARACTERS[character]?.cost === 'taste' && harmStands) &&
      !(CHARACTERS[character]?.cost === 'dig' && noDigging)
    )
  })
  const rated = open.map((character) => rate(character, claimed, catalogue, standing, missing))
  return rated
    .filter(({ worth }) => worth > 0)
    .sort((a, b) => Number(a.digs) - Number(b.digs) || b.worth - a.worth || (a.character < b.character ? -1 : 1))
    .map(({ character, rulesOut }) => ({ character, rulesOut }))
}

function rate(
  character: string,
  claimed: Taxon,
  catalogue: Catalogue,
  standing: readonly StandingTaxon[],
  missing: readonly string[],
) {
  const def = CHARACTERS[character]
  const states = claimed.characters[character] ?? []
  const key = missing.includes(character)
  let worth = key ? KEY_TELL_WEIGHT : 0
  const rulesOut: string[] = []
  for (const stands of standing) {
    const counted = stands.ruledOutBy.some((by) => CHARACTERS[by]?.group === def?.group)
    const other = counted ? undefined : findTaxon(catalogue, stands.taxon)
    if (other === undefined) continue
    // Each state of the claimed plant is taken as equally likely to be the one seen.
    const share = states.filter((state) => speaksAgainst(other, character, [state])).length / states.length
    if (share > 0) rulesOut.push(stands.taxon)
    worth += (share * DANGER_WEIGHT[stands.severity]) / (stands.needed - stands.ruledOutBy.length)
  }
  return { character, rulesOut, worth: key ? worth * KEY_TELL_FACTOR : worth, digs: def?.cost === 'dig' }
}
