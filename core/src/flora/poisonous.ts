import type { Catalogue } from './catalogue'
import { isPoisonous } from './taxon'
import { FAMILY_FLAGS } from './families'
import { foldName } from './names'

/**
 * Genera with members that have killed or badly poisoned people or beasts, beside those of the catalogue (Frohne and Pfänder 2005; Nelson, Shih and Balick
 * 2007). Nothing of them is put on record as food on one cook's word, nor what is written nearly like them.
 */
export const POISONOUS_GENERA: readonly string[] = [
  'Abrus', 'Acokanthera', 'Aconitum', 'Actaea', 'Adenium', 'Adonis', 'Aesculus', 'Aethusa', 'Ageratina', 'Agrostemma', 'Amianthium',
  'Anagyris', 'Anamirta', 'Anemone', 'Anticlea', 'Apocynum', 'Aquilegia', 'Argemone', 'Arisaema', 'Aristolochia', 'Arnica', 'Arum', 'Asarum',
  'Atropa', 'Baptisia', 'Brugmansia', 'Bryonia', 'Buxus', 'Calla', 'Calotropis', 'Caltha', 'Cascabela', 'Celastrus', 'Cerbera', 'Cestrum',
  'Chaerophyllum', 'Chelidonium', 'Cicuta', 'Clematis', 'Colchicum', 'Conium', 'Consolida', 'Convallaria', 'Coriaria', 'Coronilla',
  'Corydalis', 'Crotalaria', 'Cycas', 'Cyclamen', 'Cynoglossum', 'Cytisus', 'Daphne', 'Datura', 'Delphinium', 'Dicentra', 'Dictamnus',
  'Dieffenbachia', 'Digitalis', 'Dracunculus', 'Drimia', 'Dryopteris', 'Ecballium', 'Echium', 'Eranthis', 'Euonymus', 'Eupatorium',
  'Euphorbia', 'Excoecaria', 'Ficaria', 'Frangula', 'Fritillaria', 'Galanthus', 'Galega', 'Gelsemium', 'Genista', 'Glaucium', 'Gloriosa',
  'Hedera', 'Heliotropium', 'Helleborus', 'Hepatica', 'Hippomane', 'Huperzia', 'Hyacinthoides', 'Hyacinthus', 'Hyoscyamus', 'Ilex',
  'Illicium', 'Iris', 'Jacobaea', 'Jatropha', 'Kalmia', 'Karwinskia', 'Laburnum', 'Lantana', 'Lathyrus', 'Leucojum', 'Leucothoe',
  'Ligularia', 'Ligustrum', 'Lobelia', 'Lupinus', 'Lyonia', 'Lysichiton', 'Mandragora', 'Melia', 'Menispermum', 'Mercurialis', 'Narcissus',
  'Nerium', 'Nicandra', 'Nicotiana', 'Oenanthe', 'Ornithogalum', 'Oxytropis', 'Paris', 'Peganum', 'Petasites', 'Phoradendron',
  'Physochlaina', 'Phytolacca', 'Pieris', 'Podophyllum', 'Polygonatum', 'Pteridium', 'Pulsatilla', 'Ranunculus', 'Retama', 'Rhamnus',
  'Rhododendron', 'Ricinus', 'Ruta', 'Sanguinaria', 'Schoenocaulon', 'Scilla', 'Scopolia', 'Securigera', 'Senecio', 'Solanum', 'Sophora',
  'Spartium', 'Sternbergia', 'Strychnos', 'Symphoricarpos', 'Symphytum', 'Symplocarpus', 'Tamus', 'Taxus', 'Tephrosia', 'Thermopsis',
  'Thevetia', 'Thuja', 'Toxicodendron', 'Toxicoscordion', 'Tripterygium', 'Trollius', 'Tussilago', 'Veratrum', 'Vernicia', 'Vinca',
  'Vincetoxicum', 'Viscum', 'Wisteria', 'Xanthium', 'Zamia', 'Zantedeschia', 'Zephyranthes', 'Zigadenus',
] // prettier-ignore

/** Members of genera of food that have killed or maimed all the same: pennyroyals, wormseed, the tree nettle (Nelson, Shih and Balick 2007). */
const POISONOUS_SPECIES: readonly string[] = ['Mentha pulegium', 'Mentha cervina', 'Chenopodium ambrosioides', 'Dysphania ambrosioides', 'Urtica ferox'] // prettier-ignore

/** Whether a species is known to poison although others of its genus are food; without the author of its name. */
export function isPoisonousSpecies(scientificName: string): boolean {
  const [genus = '', epithet = ''] = scientificName.split(/\s+/)
  return POISONOUS_SPECIES.includes(`${genus} ${epithet.toLowerCase()}`)
}

/** What poisons, by the names it goes by in a kitchen or a field. */
const POISONOUS_NAMES: readonly string[] = [
  'monkshood', 'wolfsbane', 'aconite', 'baneberry', 'belladonna', 'deadly nightshade', 'nightshade', 'henbane', 'jimsonweed', 'thorn apple', 'datura', 'hemlock',
  'poison hemlock', 'water hemlock', 'cowbane', 'hemlock water dropwort', 'water dropwort', 'fool s parsley', 'foxglove', 'oleander', 'yew', 'yew berry',
  'lily of the valley', 'autumn crocus', 'meadow saffron', 'daffodil', 'snowdrop', 'bluebell', 'laburnum', 'castor bean', 'castor seed', 'rosary pea',
  'false hellebore', 'hellebore', 'death camas', 'bryony', 'black bryony', 'white bryony', 'cuckoo pint', 'lord and lady', 'ragwort', 'groundsel', 'spurge', 'mezereon',
  'spurge laurel', 'holly berry', 'ivy berry', 'privet berry', 'buckthorn berry', 'pokeweed', 'pokeberry', 'dogbane', 'buttercup', 'celandine', 'larkspur', 'lupin pod',
  'moonseed', 'horse chestnut', 'conker', 'bracken', 'mistletoe', 'wisteria seed', 'rhododendron', 'comfrey', 'butterbur', 'white snakeroot', 'mandrake', 'tobacco leaf',
  'winter aconite', 'lesser celandine', 'marsh marigold', 'pennyroyal', 'tansy', 'tung nut', 'physic nut', 'wild cucumber', 'squirting cucumber', 'squill', 'star of bethlehem',
  'hyacinth', 'crown vetch', 'sweet pea', 'locoweed', 'golden chain', 'angel s trumpet', 'dumb cane', 'skunk cabbage', 'jack in the pulpit', 'wild arum',
  'giant hogweed', 'coltsfoot', 'bittersweet', 'spindle berry', 'cherry laurel', 'poison ivy', 'poison oak', 'poison sumac', 'manchineel', 'water parsnip',
] // prettier-ignore
const POISONOUS_FOLDED: ReadonlySet<string> = new Set(POISONOUS_NAMES.map(foldName))

/** Gathered fungi are none of Ellop's business, as plants or in the pot. */
const FUNGI =
  /(\b(fung(us|i|al)|mushrooms?|toadstools?|boletes?|boletus|c[eè]pes?|ceps?|porcini|death ?caps?|destroying angels?|webcaps?|blewits?|penny ?buns?|(chicken|hen) of the woods|chaga|matsutake|morilles?|chanterelles?|girolles?|morels?|truffles?|amanita|agaric(us)?|russula|lactarius|puffballs?|brackets?|ink(y|) ?caps?|milk ?caps?|honey ?fungus|cantharellus|morchella|gyromitra|cortinarius|galerina)\b|pilze?\b|pfifferlinge?\b)/i
const BOUGHT = /\b(bought|shop|cultivated|tinned|canned)\b/i

/** Whether a name is that of a fungus that somebody may have gathered. */
export function isGatheredFungus(name: string): boolean {
  return FUNGI.test(name) && !BOUGHT.test(name)
}

/** Families in which one cook's word is not enough: most of their members poison. */
export function isPoisonousFamily(family: string): boolean {
  return Object.hasOwn(FAMILY_FLAGS, family) || family === 'Liliaceae' || family === 'Taxaceae'
}

/** Every genus known to poison: the list's, and those of which the catalogue holds a deadly or poisonous member and no food. */
export function poisonousGenera({ taxa }: Catalogue): readonly string[] {
  const genusOf = (name: string) => name.split(' ')[0] ?? ''
  const food = new Set(
    taxa
      .filter(({ uses }) => uses.some(({ verdict }) => verdict !== 'never'))
      .map((each) => genusOf(each.scientificName)),
  )
  const bad = taxa
    .filter(isPoisonous)
    // One that is shut out by its own name shuts out nothing else of its genus.
    .filter(({ scientificName }) => !isPoisonousSpecies(scientificName))
    .map((each) => genusOf(each.scientificName))
  return [...new Set([...POISONOUS_GENERA, ...bad.filter((genus) => !food.has(genus))])]
}

/** What a name for something put to food means against it: a plant of the catalogue, one that poisons, or a fungus. Undefined where it is neither. */
export function strangeIngredient(
  name: string,
  catalogue: Catalogue,
): { readonly what: 'plant' | 'poison' | 'fungus'; readonly name: string } | undefined {
  if (isGatheredFungus(name)) return { what: 'fungus', name }
  if (BOUGHT.test(name)) return undefined
  const folded = foldName(name)
  const [genus = ''] = folded.split(' ')
  if (
    isPoisonousSpecies(name) ||
    POISONOUS_FOLDED.has(folded) ||
    POISONOUS_GENERA.some((each) => each.toLowerCase() === genus)
  )
    return { what: 'poison', name }
  const found = catalogue.taxa.find(({ scientificName, synonyms, commonNames: { en, de, fr }, uses }) =>
    [
      ...[scientificName, ...synonyms, ...en, ...de, ...fr],
      // What its picking is called in a kitchen: acorns, hazelnuts.
      ...uses.flatMap(({ called, part }) => [
        ...(called === undefined ? [] : [called]),
        ...en.flatMap((name) => [`${name} ${part}`, `${name}${part}`]),
      ]),
    ].some((each) => foldName(each) === folded),
  )
  if (found === undefined || found.ofShops === true) return undefined
  return {
    what: found.neverFood !== undefined || found.role === 'danger' ? 'poison' : 'plant',
    name: found.scientificName,
  }
}
