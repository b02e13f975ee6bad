import type { Catalogue } from './catalogue'
import { FAMILY_FLAGS } from './families'
import { foldName } from './names'

/**
 * Genera with members that have killed or badly poisoned people or beasts, beside those of the catalogue (Frohne and Pfänder 2005; Nelson, Shih and Balick
 * 2007). Nothing of them is put on record as food on one cook's word, nor what is written nearly like them.
 */
export const POISONOUS_GENERA: readonly string[] = [
  'Abrus', 'Aconitum', 'Actaea', 'Adonis', 'Aesculus', 'Aethusa', 'Ageratina', 'Agrostemma', 'Anemone', 'Apocynum', 'Aquilegia',
  'Arisaema', 'Aristolochia', 'Arnica', 'Arum', 'Asarum', 'Atropa', 'Brugmansia', 'Bryonia', 'Buxus', 'Calla', 'Caltha', 'Cerbera',
  'Chaerophyllum', 'Chelidonium', 'Cicuta', 'Clematis', 'Colchicum', 'Conium', 'Convallaria', 'Coriaria', 'Coronilla', 'Corydalis',
  'Crotalaria', 'Cyclamen', 'Cytisus', 'Daphne', 'Datura', 'Delphinium', 'Dicentra', 'Dieffenbachia', 'Digitalis', 'Dryopteris',
  'Echium', 'Euonymus', 'Eupatorium', 'Euphorbia', 'Frangula', 'Fritillaria', 'Galanthus', 'Galega', 'Gelsemium', 'Genista', 'Glaucium',
  'Gloriosa', 'Hedera', 'Heliotropium', 'Helleborus', 'Hippomane', 'Hyacinthoides', 'Hyacinthus', 'Hyoscyamus', 'Ilex', 'Iris', 'Jacobaea',
  'Jatropha', 'Kalmia', 'Laburnum', 'Lantana', 'Lathyrus', 'Leucojum', 'Ligustrum', 'Lobelia', 'Lupinus', 'Lysichiton', 'Mandragora', 'Melia',
  'Menispermum', 'Mercurialis', 'Narcissus', 'Nerium', 'Nicotiana', 'Oenanthe', 'Ornithogalum', 'Oxytropis', 'Paris', 'Petasites',
  'Phytolacca', 'Podophyllum', 'Polygonatum', 'Pteridium', 'Pulsatilla', 'Ranunculus', 'Rhododendron', 'Rhamnus', 'Ricinus', 'Ruta',
  'Sanguinaria', 'Scopolia', 'Senecio', 'Solanum', 'Spartium', 'Strychnos', 'Symphoricarpos', 'Symphytum', 'Symplocarpus', 'Tamus',
  'Taxus', 'Thermopsis', 'Thevetia', 'Toxicodendron', 'Toxicoscordion', 'Trollius', 'Veratrum', 'Vinca', 'Vincetoxicum', 'Viscum', 'Wisteria',
  'Xanthium', 'Zantedeschia', 'Zigadenus',
] // prettier-ignore

/** What poisons, by the names it goes by in a kitchen or a field. */
const POISONOUS_NAMES: readonly string[] = [
  'monkshood', 'wolfsbane', 'aconite', 'baneberry', 'belladonna', 'deadly nightshade', 'nightshade', 'henbane', 'jimsonweed', 'thorn apple', 'datura', 'hemlock',
  'poison hemlock', 'water hemlock', 'cowbane', 'hemlock water dropwort', 'water dropwort', 'fool s parsley', 'foxglove', 'oleander', 'yew', 'yew berry',
  'lily of the valley', 'autumn crocus', 'meadow saffron', 'daffodil', 'snowdrop', 'bluebell', 'laburnum', 'castor bean', 'castor seed', 'rosary pea',
  'false hellebore', 'hellebore', 'death camas', 'bryony', 'black bryony', 'white bryony', 'cuckoo pint', 'lord and lady', 'ragwort', 'groundsel', 'spurge', 'mezereon',
  'spurge laurel', 'holly berry', 'ivy berry', 'privet berry', 'buckthorn berry', 'pokeweed', 'pokeberry', 'dogbane', 'buttercup', 'celandine', 'larkspur', 'lupin pod',
  'moonseed', 'horse chestnut', 'conker', 'bracken', 'mistletoe', 'wisteria seed', 'rhododendron', 'comfrey', 'butterbur', 'white snakeroot', 'mandrake', 'tobacco leaf',
] // prettier-ignore
const POISONOUS_FOLDED: ReadonlySet<string> = new Set(POISONOUS_NAMES.map(foldName))

/** Gathered fungi are none of Ellop's business, as plants or in the pot. */
const FUNGI =
  /\b(fung(us|i|al)|mushrooms?|toadstools?|boletes?|boletus|ceps?|porcini|chanterelles?|girolles?|morels?|truffles?|amanita|agaric(us)?|russula|lactarius|puffballs?|brackets?|inky caps?|milk ?caps?|honey ?fungus|cantharellus|morchella|gyromitra|cortinarius|galerina)\b/i
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
    .filter(({ severity }) => severity === 'deadly' || severity === 'toxic')
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
  if (POISONOUS_FOLDED.has(folded) || POISONOUS_GENERA.some((each) => each.toLowerCase() === genus))
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
  if (found === undefined) return undefined
  return {
    what: found.neverFood !== undefined || found.role === 'danger' ? 'poison' : 'plant',
    name: found.scientificName,
  }
}
