/** What a family is held to beside the tells of its plants. */
export interface FamilyFlag {
  /** The name a cook knows it by. */
  readonly name: string
  /** Why, in a sentence. */
  readonly says: string
  /** Independent marks, smell and taste left out, that must have been seen before one of it is told. */
  readonly marks: number
}

const UMBELS = 6
const MOSTLY_POISONOUS = 6
/** Known by a smell that is liked, and that stays on the hands: so many marks beside it. */
const LIKED_SMELL = 4

/**
 * Families most of whose members poison, or whose deadly members look like the food beside them. How many marks is chosen, the
 * more where the dead of the family were taken for its food; that they are to be asked for rests on the poison-plant
 * literature (Frohne and Pfänder 2005; Nelson, Shih and Balick 2007).
 */
export const FAMILY_FLAGS: Readonly<Record<string, FamilyFlag>> = {
  Apiaceae: {
    name: 'carrot family',
    says: 'holds some of the deadliest plants there are, and they look like the food',
    marks: UMBELS,
  },
  Amaryllidaceae: {
    name: 'amaryllis family',
    says: 'is poisonous for the most part, and what poisons looks like the onions',
    marks: LIKED_SMELL,
  },
  Anacardiaceae: { name: 'sumac family', says: 'holds kinds that burn the skin', marks: MOSTLY_POISONOUS },
  Apocynaceae: { name: 'dogbane family', says: 'is mostly poisonous, to the heart', marks: MOSTLY_POISONOUS },
  Araceae: { name: 'arum family', says: 'burns mouth and throat', marks: MOSTLY_POISONOUS },
  Colchicaceae: { name: 'autumn crocus family', says: 'kills within days', marks: MOSTLY_POISONOUS },
  Euphorbiaceae: { name: 'spurge family', says: 'is mostly poisonous, its milk too', marks: MOSTLY_POISONOUS },
  Fabaceae: { name: 'pea family', says: 'holds many that poison, raw most of all', marks: MOSTLY_POISONOUS },
  Melanthiaceae: { name: 'false hellebore family', says: 'is poisonous', marks: MOSTLY_POISONOUS },
  Papaveraceae: { name: 'poppy family', says: 'is mostly poisonous', marks: MOSTLY_POISONOUS },
  Ranunculaceae: { name: 'buttercup family', says: 'is poisonous, monkshood deadly', marks: MOSTLY_POISONOUS },
  Solanaceae: { name: 'nightshade family', says: 'is mostly poisonous, some of it deadly', marks: MOSTLY_POISONOUS },
  Thymelaeaceae: { name: 'mezereon family', says: 'is deadly', marks: MOSTLY_POISONOUS },
}
