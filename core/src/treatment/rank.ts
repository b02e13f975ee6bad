import { capsFor } from '../meal/dayShare'
import { ordinaryPortion_g } from '../meal/portion'
import type { Goal, LookAlike, Protocol, Step, Taxon, Use, UseHazard } from '../flora/taxon'

/**
 * How much a reason weighs for whoever asks. `must`: a control, a limit or a person who must not; `mind`: it matters for somebody
 * who was not asked, or is a habit worth keeping; `know`: to be read.
 */
export const RANKS = ['must', 'mind', 'know'] as const
export type Rank = (typeof RANKS)[number]

const HEATING: readonly string[] = [
  'blanch', 'boil', 'simmer', 'steam', 'saute', 'fry', 'roast', 'bake', 'wilt', 'toast', 'pit-bake', 'cook-jam', 'infuse-water',
] // prettier-ignore
const TAKING_OFF: readonly string[] = [
  'sort', 'peel', 'trim', 'shell', 'crack', 'strain-seeds', 'sieve', 'rinse', 'wash', 'shake-out',
] // prettier-ignore
/** What is no poison and still harms whoever swallows it: taken off, never merely prepared. */
const HURTS: readonly string[] = ['spine', 'irritant-hair']
const UMBELS = 'Apiaceae'

/** More of it than a trace or a little, and poison in itself. */
function isPoison({ kind, level }: UseHazard): boolean {
  return (kind === 'toxic' || kind === 'untreatable' || kind === 'amount') && !isLight({ level })
}

function isLight({ level }: Pick<UseHazard, 'level'>): boolean {
  return level === 'trace' || level === 'low'
}

/**
 * Whether a step is more than the ordinary handling of food where it answers a hazard: water that must be thrown away, heat that ends
 * a poison and not only germs or a sting, baths that are counted, seed, hair or spine that harms, sourness that is measured. Sorting,
 * washing, shelling, peeling, stoning and cooking through are ordinary.
 */
export function isMoreThanOrdinary(step: Step, hazard: UseHazard): boolean {
  const { op, limit, water } = step
  if (!step.control.includes(hazard.id)) return false
  if (limit?.measure === 'ph' || (limit?.measure === 'baths' && hazard.kind !== 'palate')) return true
  if (HURTS.includes(hazard.id)) return TAKING_OFF.includes(op) && !isLight(hazard)
  if (!isPoison(hazard)) return false
  return water === 'discard' || HEATING.includes(op) || TAKING_OFF.includes(op) || limit !== undefined
}

/** What a hazard's reason weighs when a way is followed, by what on record answers it there. */
export function rankOfHazard(
  use: Use,
  hazard: UseHazard,
  answers: UseHazard['answers'],
  protocol: Protocol,
  goal: Goal,
): Rank {
  const kinds = answers.map(({ kind }) => kind)
  if (answers.length === 0 || kinds.includes('store') || kinds.includes('refusal')) return 'must'
  // Clean ground answers it by itself, and the ground is judged where it is picked.
  if (kinds.includes('ground') && !isGrave(hazard)) return 'mind'
  const steps = protocol.steps.filter(({ onlyFor }) => onlyFor?.includes(goal) ?? true)
  const controlled = kinds.includes('control')
  if (controlled && steps.some((step) => isMoreThanOrdinary(step, hazard))) return 'must'
  if (controlled && use.verdict === 'leach-then-cook' && !isLight(hazard) && leached(steps, hazard, use)) return 'must'
  if (controlled || !kinds.includes('amount') || (hazard.kind !== 'toxic' && hazard.kind !== 'amount')) return 'know'
  // An amount binds by its figure; where nobody gave one, at an ordinary portion a day.
  return !isGrave(hazard) && portionKeepsTo(use, protocol) ? 'mind' : 'must'
}

function isGrave({ level }: UseHazard): boolean {
  return level === 'high' || level === 'deadly'
}

/** Whether water that is poured off takes it out (grit is only rinsed), and no poison beside it that already says so. */
function leached(steps: readonly Step[], { id, kind }: UseHazard, { hazards }: Use): boolean {
  if (kind !== 'palate') return false
  return steps.some(
    ({ control, water }) =>
      water === 'discard' &&
      control.includes(id) &&
      !hazards.some((other) => isPoison(other) && control.includes(other.id)),
  )
}

/** Whether an ordinary portion keeps to the least amount a day on record for a grown eater who follows a way; false where there is none. */
function portionKeepsTo(use: Use, { name }: Protocol): boolean {
  const caps = capsFor(use, { kind: 'adult', sensitivities: null }, [], name)
  return caps.length > 0 && caps.every(({ perDay_g }) => ordinaryPortion_g(use) <= perDay_g)
}

/**
 * What a plant that it is mistaken for weighs, identity taken as certain: a deadly one that grows among the food can be in the basket
 * all the same, and an umbel, a bulb or a corm that has a deadly double is never picked without that in mind.
 */
export function rankOfDouble(taxon: Taxon, use: Use | undefined, { severity, growsAmong }: LookAlike): Rank {
  if (severity !== 'deadly') return 'know'
  if (growsAmong === true || taxon.family === UMBELS) return 'must'
  const underground = use?.part === 'bulb' || use?.part === 'corm' || taxon.lifeForm === 'bulb-geophyte'
  return underground ? 'must' : 'know'
}

/**
 * Whether a step of a way is a must where it stands: a critical one that is measured, that takes a poison or what hurts out, or that
 * sorts a deadly double out. Washing, shelling and sorting by eye are ordinary, however needful.
 */
export function isMustStep(step: Step, taxon: Taxon, use: Use): boolean {
  const { op, critical, limit } = step
  if (!critical) return false
  if (limit !== undefined && limit.measure !== 'seen') return true
  if (use.hazards.some((hazard) => isMoreThanOrdinary(step, hazard))) return true
  return op === 'sort' && taxon.lookalikes.some((double) => rankOfDouble(taxon, use, double) === 'must')
}

/** The deadly plants that whoever picks any food of this one must have in mind, each once. */
export function mustTell(taxon: Taxon): readonly LookAlike[] {
  const food = taxon.uses.filter(({ verdict }) => verdict !== 'never')
  return taxon.lookalikes.filter((double) => food.some((use) => rankOfDouble(taxon, use, double) === 'must'))
}

/** Reasons by rank, each rank in the order it was given. @example byRank([{ rank: 'know' }, { rank: 'must' }]) */
export function byRank<T extends { readonly rank: Rank }>(reasons: readonly T[]): readonly T[] {
  return RANKS.flatMap((rank) => reasons.filter((each) => each.rank === rank))
}
