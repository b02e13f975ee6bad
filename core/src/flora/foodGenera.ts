import type { Part } from './vocabulary'

/** A genus of which a part is widely eaten, and no member is known to poison by that part. */
export interface FoodGenus {
  readonly family: string
  readonly parts: readonly Part[]
}

const GREENS: readonly Part[] = ['leaf', 'leafy-top', 'shoot']

/**
 * Genera in which a cook may put a plant of their own on record as food, with the parts of which food use is documented across the genus
 * (Kunkel 1984, Plants for Human Consumption; Facciola 1998, Cornucopia II). A genus that is not here, or another part, may be noted and told,
 * never eaten. Onions, umbels, peas and nightshades are left out whole: their dead were taken for their food.
 */
export const FOOD_GENERA: Readonly<Record<string, FoodGenus>> = {
  Alliaria: { family: 'Brassicaceae', parts: ['leaf'] },
  Amaranthus: { family: 'Amaranthaceae', parts: [...GREENS, 'seed'] },
  Amelanchier: { family: 'Rosaceae', parts: ['fruit'] },
  Arctium: { family: 'Asteraceae', parts: ['root'] },
  Atriplex: { family: 'Amaranthaceae', parts: GREENS },
  Barbarea: { family: 'Brassicaceae', parts: GREENS },
  Bellis: { family: 'Asteraceae', parts: ['leaf', 'flower'] },
  Capsella: { family: 'Brassicaceae', parts: GREENS },
  Cardamine: { family: 'Brassicaceae', parts: ['leaf', 'leafy-top'] },
  Carya: { family: 'Juglandaceae', parts: ['nut'] },
  Castanea: { family: 'Fagaceae', parts: ['nut'] },
  Chamaenerion: { family: 'Onagraceae', parts: ['shoot', 'leaf'] },
  Chenopodium: { family: 'Amaranthaceae', parts: GREENS },
  Cichorium: { family: 'Asteraceae', parts: ['leaf', 'root'] },
  Claytonia: { family: 'Montiaceae', parts: ['leaf', 'leafy-top'] },
  Corylus: { family: 'Betulaceae', parts: ['nut'] },
  Crambe: { family: 'Brassicaceae', parts: GREENS },
  Crataegus: { family: 'Rosaceae', parts: ['fruit'] },
  Diplotaxis: { family: 'Brassicaceae', parts: ['leaf'] },
  Fragaria: { family: 'Rosaceae', parts: ['fruit'] },
  Helianthus: { family: 'Asteraceae', parts: ['tuber', 'seed'] },
  Humulus: { family: 'Cannabaceae', parts: ['shoot'] },
  Juglans: { family: 'Juglandaceae', parts: ['nut'] },
  Lapsana: { family: 'Asteraceae', parts: GREENS },
  Malus: { family: 'Rosaceae', parts: ['fruit'] },
  Malva: { family: 'Malvaceae', parts: ['leaf', 'leafy-top', 'flower'] },
  Melissa: { family: 'Lamiaceae', parts: ['leaf'] },
  Mentha: { family: 'Lamiaceae', parts: ['leaf'] },
  Monarda: { family: 'Lamiaceae', parts: ['leaf', 'flower'] },
  Montia: { family: 'Montiaceae', parts: ['leaf', 'leafy-top'] },
  Morus: { family: 'Moraceae', parts: ['fruit'] },
  Origanum: { family: 'Lamiaceae', parts: ['leaf', 'leafy-top'] },
  Plantago: { family: 'Plantaginaceae', parts: ['leaf'] },
  Portulaca: { family: 'Portulacaceae', parts: ['leaf', 'leafy-top'] },
  Pyrus: { family: 'Rosaceae', parts: ['fruit'] },
  Ribes: { family: 'Grossulariaceae', parts: ['fruit'] },
  Rosa: { family: 'Rosaceae', parts: ['fruit', 'flower'] },
  Rubus: { family: 'Rosaceae', parts: ['fruit'] },
  Sonchus: { family: 'Asteraceae', parts: GREENS },
  Stellaria: { family: 'Caryophyllaceae', parts: ['leafy-top', 'leaf'] },
  Taraxacum: { family: 'Asteraceae', parts: ['leaf', 'flower', 'root'] },
  Thymus: { family: 'Lamiaceae', parts: ['leaf', 'leafy-top'] },
  Tilia: { family: 'Malvaceae', parts: ['leaf', 'flower'] },
  Tragopogon: { family: 'Asteraceae', parts: ['root', 'shoot'] },
  Urtica: { family: 'Urticaceae', parts: GREENS },
  Vaccinium: { family: 'Ericaceae', parts: ['fruit'] },
}
