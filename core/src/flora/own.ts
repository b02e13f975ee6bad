import { isHarmful, judgeTells } from '../identity/clear'
import { FOOD_GENERA } from './foodGenera'
import {
  isGatheredFungus,
  isPoisonousFamily,
  poisonousGenera,
  strangeIngredient,
  isPoisonousSpecies,
} from './poisonous'
import { misspelt } from './search'
import { formatList } from '../quantity/format'
import { commonName, nameInTextOf, findTaxon, type Catalogue } from './catalogue'
import { isPoisonous, severityWord, type Protocol, type Taxon, type Use } from './taxon'
import { CHARACTERS, type Part, type Stage } from './vocabulary'

/** A plant that a cook put on record by themselves: what nobody else has checked. */
export interface OwnPlant {
  readonly scientificName: string
  readonly commonName: string
  readonly family: string
  readonly lifeForm: string
  readonly habitat: readonly string[]
  readonly characters: Readonly<Record<string, readonly string[]>>
  readonly keyCharacters: readonly string[]
  /** Plants of the catalogue that it could be taken for. */
  readonly lookalikes: readonly { readonly scientificName: string; readonly why: string }[]
  readonly part: Part
  readonly stage: Stage
  /** Who says that it is food. */
  readonly source: string
}

export const LIFE_FORMS = [
  'annual', 'biennial', 'perennial-herb', 'bulb-geophyte', 'shrub', 'tree', 'vine', 'aquatic', 'lichen',
] as const // prettier-ignore

/** Key tells asked of a record of one's own, out of as many groups that do not hang together; chosen. */
export const OWN_KEY_TELLS = 4

/**
 * Why a plant may not be put on record by a cook; undefined when it may. It never stands beside or against a record of the
 * catalogue, nor in a genus of which a member harms, and its characters must tell it from every harmful plant there is.
 */
export function refuseOwnPlant(
  own: OwnPlant,
  catalogue: Catalogue,
): { readonly field: keyof OwnPlant; readonly message: string } | undefined {
  const no = (field: keyof OwnPlant, message: string) => ({ field, message })
  const known = findTaxon(catalogue, own.scientificName)
  if (known !== undefined)
    return no('scientificName', `${commonName(known)} is on record already, and its record stands.`)
  if (!/^[A-Z][a-z-]+ (x )?[a-z-]{2,}/.test(own.scientificName))
    return no('scientificName', 'Give the scientific name in full, genus and species, such as Plantago lanceolata.')
  const genus = genusOf(own.scientificName)
  const fungus = [own.scientificName, own.commonName].find(isGatheredFungus)
  if (fungus !== undefined) return no('scientificName', `${fungus}: gathered fungi are not put on record here.`)
  const kin = catalogue.taxa.find(
    ({ scientificName, severity, neverFood }) =>
      scientificName.startsWith(`${genus} `) &&
      // Of a genus of food a poison that is shut out by its own name shuts out nothing else.
      !(FOOD_GENERA[genus] !== undefined && isPoisonousSpecies(scientificName)) &&
      (neverFood !== undefined || isPoisonous({ severity })),
  )
  if (kin !== undefined)
    return no(
      'scientificName',
      `${kin.scientificName} of the same genus is ${kin.severity === 'harmless' ? 'never food' : severityWord(kin.severity)}: one cook’s word is not enough there.`,
    )
  const poisonous = likePoison(own, catalogue)
  if (poisonous !== undefined) return poisonous
  const known_family = FOOD_GENERA[genus]?.family
  if (known_family !== undefined && known_family !== own.family)
    return no('family', `${genus} belongs to the ${known_family}. Choose that.`)
  if (NO_GROUNDS.test(own.source))
    return no(
      'source',
      'That animals eat it, that it tastes good or that it looks like a food is no ground. Name the person or the book that says so.',
    )
  for (const [character, states] of Object.entries(own.characters)) {
    const wrong = states.find((state) => CHARACTERS[character]?.states.includes(state) !== true)
    if (wrong !== undefined) return no('characters', `${wrong} is not a state of ${character}.`)
  }
  const groups = new Set(own.keyCharacters.map((character) => CHARACTERS[character]?.group))
  if (own.keyCharacters.some((character) => (own.characters[character] ?? []).length === 0))
    return no('keyCharacters', 'Every key tell needs the state that the plant shows.')
  if (groups.size < OWN_KEY_TELLS)
    return no(
      'keyCharacters',
      `Choose at least ${OWN_KEY_TELLS} key tells that do not hang together; now there are ${groups.size}.`,
    )
  const strange = own.lookalikes.find(({ scientificName }) => findTaxon(catalogue, scientificName) === undefined)
  if (strange !== undefined) return no('lookalikes', `${strange.scientificName} is not in the catalogue.`)
  if (own.lookalikes.length === 0)
    return no('lookalikes', 'Name at least one plant that it could be taken for: there is always one.')
  return notTold(own, catalogue)
}

const genusOf = (name: string) => name.split(' ')[0] ?? ''

/** What is said of a plant that says nothing of whether it is food. */
const NO_GROUNDS =
  /\b(birds?|goats?|cows?|sheep|horses?|deer|rabbits?|pigs?|animals?|dogs?|insects?|slugs?|snails?|tast(e|es|ed|y)|looks? (like|similar)|resembles?|similar to)\b/i

/** A genus, a family or a name that is known to poison, or is written nearly like one that does. */
function likePoison(own: OwnPlant, catalogue: Catalogue): ReturnType<typeof refuseOwnPlant> {
  const genus = genusOf(own.scientificName)
  const genera = poisonousGenera(catalogue)
  if (genera.includes(genus))
    return {
      field: 'scientificName',
      message: `${genus} is a genus that has poisoned people: one cook’s word is not enough there.`,
    }
  if (isPoisonousSpecies(own.scientificName))
    return {
      field: 'scientificName',
      message: `${own.scientificName} has poisoned people, although others of its genus are food. It is not put on record as food.`,
    }
  const strange = strangeIngredient(own.commonName, catalogue)
  if (strange?.what === 'poison')
    return {
      field: 'commonName',
      message: `“${own.commonName}” is the name of a plant that poisons. It is not put on record as food.`,
    }
  if (FOOD_GENERA[genus] !== undefined) return undefined
  if (isPoisonousFamily(own.family))
    return { field: 'family', message: `The ${own.family} are mostly poisonous: one cook’s word is not enough there.` }
  const near = misspelt(genus, [...genera, ...catalogue.taxa.map((each) => genusOf(each.scientificName))])
  return near === undefined
    ? undefined
    : {
        field: 'scientificName',
        message: `${genus} is written nearly like ${near}. Look the name up in a flora, and choose it from the list.`,
      }
}

/** Whether the book may hold it as food: a genus of the shipped list, and a part of it that is widely eaten. */
export function isFoodOfOwn({ scientificName, part }: Pick<OwnPlant, 'scientificName' | 'part'>): boolean {
  return FOOD_GENERA[genusOf(scientificName)]?.parts.includes(part) === true
}

/** The harmful plants that even all of its key tells would not rule out. */
function notTold(own: OwnPlant, catalogue: Catalogue): ReturnType<typeof refuseOwnPlant> {
  const withOwn = { ...catalogue, taxa: [...catalogue.taxa, ownTaxon(own, catalogue)] }
  const observed = Object.fromEntries(own.keyCharacters.map((each) => [each, own.characters[each] ?? []]))
  const standing = judgeTells({ taxon: own.scientificName, observed }, withOwn).standing.filter(isHarmful)
  if (standing.length === 0) return undefined
  const named = standing.slice(0, 3).map(({ taxon }) => nameInTextOf(taxon, catalogue))
  const more = standing.length - named.length
  return {
    field: 'keyCharacters',
    message: `These tells would not rule out ${more > 0 ? `${named.join(', ')} and ${more} more` : formatList(named)}. Add tells that do.`,
  }
}

/** How carefully such a plant is treated and eaten; chosen. */
export const OWN_CARE = { boil_minutes: 10, firstTaste_g: 5, perDay_g: 50 } as const
const CAUTIOUS: Protocol = {
  name: 'boil and pour off',
  standing: 'cautious',
  goals: ['eat'],
  why: 'Nobody but you has checked this plant: it is cooked through, the water thrown away, and little of it eaten at first.',
  steps: [
    {
      op: 'sort',
      control: ['not-checked'],
      critical: true,
      limit: { measure: 'seen', sign: 'every piece looked at, back and front' },
      check: 'every piece looked at, back and front',
    },
    {
      op: 'boil',
      minutes: { low: OWN_CARE.boil_minutes, high: 2 * OWN_CARE.boil_minutes },
      waterRatio: { least: 4, usual: 6 },
      water: 'discard',
      control: ['not-checked'],
      critical: true,
      limit: {
        measure: 'rolling-boil',
        minutes: OWN_CARE.boil_minutes,
        acceptedTo_m: 2500,
        added: [{ from_m: 1000, minutes: 5 }],
      },
    },
  ],
}

const NOT_LISTED =
  'No food use of this part is on the shipped list for its genus: it is noted and told apart here, never eaten on one cook’s word.'

/** A record of the shape of all others, as careful as what nobody has checked must be. */
export function ownTaxon(own: OwnPlant, catalogue: Catalogue): Taxon {
  const use: Use = {
    part: own.part,
    stage: own.stage,
    verdict: 'cook',
    hazards: [
      {
        id: 'not-checked',
        kind: 'biological',
        level: 'moderate',
        note: `Put on record by you, after ${own.source}. Nobody else has checked it.`,
        answers: [{ kind: 'control', says: `Boil it ${OWN_CARE.boil_minutes} minutes and throw the water away.` }],
      },
    ],
    trim: [],
    protocols: [CAUTIOUS],
    firstTaste_g: OWN_CARE.firstTaste_g,
    portion_g: OWN_CARE.perDay_g,
    stores: [],
    amounts: [{ who: 'adult', perDay_g: OWN_CARE.perDay_g, why: 'A plant that nobody else has checked.' }],
    cautionFor: (['infant', 'child', 'pregnancy'] as const).map((who) => ({
      who,
      what: 'avoid',
      why: 'Nobody but one cook has checked this plant.',
    })),
    dishes: [],
  }
  const eaten = isFoodOfOwn(own)
  return {
    scientificName: own.scientificName,
    synonyms: [],
    family: own.family,
    commonNames: { en: [own.commonName], de: [], fr: [] },
    role: eaten ? 'food' : 'bystander',
    severity: 'harmless',
    ...(eaten ? {} : { neverFood: NOT_LISTED }),
    lifeForm: own.lifeForm,
    standing: 'uncommon',
    habitat: own.habitat,
    companions: [],
    accumulates: [],
    characters: own.characters,
    visible: {},
    keyCharacters: own.keyCharacters,
    lookalikes: own.lookalikes.flatMap(({ scientificName, why }) => {
      const other = findTaxon(catalogue, scientificName)
      return other === undefined ? [] : [{ scientificName, severity: other.severity, why, tells: [] }]
    }),
    uses: eaten ? [use] : [],
    sources: [`one’s own, after ${own.source}`],
    own: true,
  }
}

const MERGED = new WeakMap<Catalogue, WeakMap<OwnPlants, Catalogue>>()
type OwnPlants = Readonly<Record<string, OwnPlant>>

/** The catalogue with a book’s own plants; a record of the catalogue always stands before one’s own of that name. */
export function catalogueWith(catalogue: Catalogue, own: OwnPlants): Catalogue {
  const records = Object.values(own)
  if (records.length === 0) return catalogue
  const merged = MERGED.get(catalogue) ?? new WeakMap<OwnPlants, Catalogue>()
  MERGED.set(catalogue, merged)
  const known = merged.get(own)
  if (known !== undefined) return known
  const made: Catalogue = {
    ...catalogue,
    taxa: [
      ...catalogue.taxa,
      ...records
        .filter((each) => refuseOwnPlant(each, catalogue) === undefined)
        .map((each) => ownTaxon(each, catalogue)),
    ],
  }
  merged.set(own, made)
  return made
}
