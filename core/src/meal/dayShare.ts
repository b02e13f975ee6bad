import type { Caution, Goal, Taxon, Use } from '../flora/taxon'
import type { Sensitivity } from '../flora/vocabulary'
import type { EaterState } from '../log/houseState'
import { lotUse } from '../treatment/batchUse'
import { formatList, withCapital } from '../quantity/format'
import { plainWords } from '../flora/vocabulary'
import { nameInText, type Catalogue } from '../flora/catalogue'
import type { EatenServing } from './eaten'
import { ordinaryPortion_g } from './portion'

/** A daily cap in trimmed raw grams. */
export interface DayCap {
  readonly perDay_g: number
  readonly why: string
}

/** What adds up in a body over a day, whatever plants it came in. */
export const SHARED_HAZARDS: readonly string[] = [
  'soluble-oxalate', 'nitrate', 'methyl-salicylate', 'glucosinolate', 'tannin-load', 'vitamin-K', 'essential-oil', 'furocoumarin',
] // prettier-ignore
/** Of these only who is sensitive has a day's share. */
const ONLY_FOR: Readonly<Record<string, Sensitivity>> = { 'vitamin-K': 'anticoagulant' }

/** The cautions of a use that concern an eater; of those that hold for some goals alone, where a goal is named, the ones for that goal. */
export function cautionsFor(
  use: Use,
  eater: Pick<EaterState, 'kind' | 'sensitivities'>,
  goal?: Goal,
): readonly Caution[] {
  const own: readonly Sensitivity[] = [...(eater.sensitivities ?? []), ...(eater.kind === 'adult' ? [] : [eater.kind])]
  return use.cautionFor.filter(
    ({ who, onlyFor }) => own.includes(who) && (goal === undefined || (onlyFor?.includes(goal) ?? true)),
  )
}

/** A child without a figure of its own has half of an adult's; an infant without one has none. */
export const CHILD_SHARE = 0.5

/**
 * Daily caps of one plant for an eater, in trimmed raw grams. A figure for their age, or an adult's scaled and said to be so; and every caution
 * that says "limit": by its figure, or at one ordinary portion a day.
 */
export function capsFor(
  use: Use,
  eater: Pick<EaterState, 'kind' | 'sensitivities'>,
  cautions: readonly Caution[],
  school: string | undefined,
): readonly DayCap[] {
  const amounts = use.amounts.filter((each) => each.school === undefined || each.school === school)
  const own = amounts.filter(({ who }) => who === eater.kind)
  const adult = amounts.filter(({ who }) => who === 'adult')
  const scaled = adult.map(({ perDay_g, why }) =>
    eater.kind === 'infant'
      ? { perDay_g: 0, why: `${why} No figure for infants is on record, so none.` }
      : { perDay_g: perDay_g * CHILD_SHARE, why: `${why} No figure for children is on record: half of an adult’s.` },
  )
  const limited = cautions
    .filter(({ what }) => what === 'limit')
    .map(({ perDay_g, why }) => ({
      perDay_g: perDay_g ?? ordinaryPortion_g(use),
      why: perDay_g === undefined ? `${why} No figure is on record: one ordinary portion a day.` : why,
    }))
  return [...(own.length > 0 || eater.kind === 'adult' ? own : scaled), ...limited]
}

/** What an eater lets themselves have of a plant in a day: it holds beside what is on record. */
export function ownCapsFor({ scientificName, synonyms }: Taxon, { name, ownCaps = [] }: EaterState): readonly DayCap[] {
  return ownCaps
    .filter(({ taxon }) => taxon === scientificName || synonyms.includes(taxon))
    .map(({ perDay_g }) => ({ perDay_g, why: `By ${name}’s own limit.` }))
}

/** A plant in food that somebody is about to eat, and what holds it for them. */
export interface PlantHeld {
  readonly use: Use
  readonly taxon: Taxon
  readonly caps: readonly DayCap[]
  /** Grams of it, trimmed and raw, in a gram as served. */
  readonly raw_per_g: number
}

/**
 * How much of a food as served, g, its shared hazards leave an eater today, and why: what they ate before and all that is in the bowl
 * add up, each plant in portions of its own. Empty where no more than one plant has any of a hazard: by itself it is held by its own cap.
 */
export function sharedLeft(input: {
  readonly bowl: readonly PlantHeld[]
  readonly eater: EaterState
  readonly eaten: readonly EatenServing[]
  readonly catalogue: Catalogue
}): readonly { readonly left_g: number; readonly why: string }[] {
  const { bowl, eater, eaten, catalogue } = input
  const hazards = [...new Set(bowl.flatMap(({ use }) => sharedOf(use, eater)))]
  return hazards.flatMap((hazard) => {
    const inBowl = bowl
      .filter(({ use }) => sharedOf(use, eater).includes(hazard))
      .map(({ use, taxon, caps, raw_per_g }) => ({ taxon, raw_per_g, ...partOf(use, caps) }))
    const before = eaten.flatMap(({ strand, taxon, raw_g }) => {
      const use = lotUse(strand, catalogue)
      return use === undefined || !sharedOf(use, eater).includes(hazard)
        ? []
        : [{ taxon, raw_g, ...partOf(use, capsFor(use, eater, cautionsFor(use, eater), undefined)) }]
    })
    if (new Set([...inBowl, ...before].map(({ taxon }) => taxon)).size < 2) return []
    const most = Math.min(...[...inBowl, ...before].map(({ portions }) => portions))
    if (!Number.isFinite(most)) return []
    const had = before.reduce((sum, { raw_g, perPortion_g }) => sum + raw_g / perPortion_g, 0)
    const perServed_g = inBowl.reduce((sum, { raw_per_g, perPortion_g }) => sum + raw_per_g / perPortion_g, 0)
    const here = new Set(inBowl.map(({ taxon }) => taxon))
    const together = here.size > 1 ? `${formatList([...here].map(nameInText))} in this food hold some` : undefined
    const earlier = [...new Set(before.filter(({ taxon }) => here.size > 1 || !here.has(taxon)).map(({ taxon }) => nameInText(taxon)))] // prettier-ignore
    const told = earlier.length > 0 ? `${formatList(earlier)} held some too` : undefined
    return [
      {
        left_g: Math.max(0, most - had) / perServed_g,
        why: `${withCapital(plainWords(hazard))} adds up over the day: ${[together, told].filter((each) => each !== undefined).join('; ')}.`,
      },
    ]
  })
}

/** How many portions of a plant make a day, and what one of them is: by its cap where there is one. */
function partOf(use: Use, caps: readonly DayCap[]): { readonly portions: number; readonly perPortion_g: number } {
  const perPortion_g = ordinaryPortion_g(use)
  const cap_g = Math.min(Infinity, ...caps.map(({ perDay_g }) => perDay_g))
  return { portions: cap_g / perPortion_g, perPortion_g }
}

function sharedOf({ hazards }: Use, { sensitivities }: EaterState): readonly string[] {
  return hazards
    .filter(({ id, level }) => {
      const only = ONLY_FOR[id]
      return SHARED_HAZARDS.includes(id) && level !== 'trace' && (only === undefined || sensitivities?.includes(only))
    })
    .map(({ id }) => id)
}
