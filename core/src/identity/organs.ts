import type { Taxon } from '../flora/taxon'
import { growthForms } from './growth'

const OF_LEAVES_ON_STEMS = [
  'leafArrangement', 'leafMargin', 'leafBase', 'leafVeins', 'leafSurface', 'stemCore', 'leafJoint',
] // prettier-ignore
const OF_FLOWERS = [
  'flowerColour', 'flowerSymmetry', 'petals', 'inflorescence', 'fruit', 'fruitColour', 'fruitTip', 'headRays', 'headBracts', 'umbelBracts', 'umbelRays', 'rimFlowers', 'clusterSeat',
] // prettier-ignore
/** No cycad and no horsetail has flowers either. */
const FLOWERLESS = ['Cycadaceae', 'Equisetaceae']
const FERNS = ['Dryopteridaceae', 'Onocleaceae', 'Dennstaedtiaceae', 'Athyriaceae']

/** Organs that only some plants have, each with the plants that surely have none of it. */
const ORGANS: readonly {
  readonly characters: readonly string[]
  readonly lackedBy: (taxon: Taxon) => boolean
}[] = [
  { characters: OF_LEAVES_ON_STEMS, lackedBy: isLichen },
  { characters: OF_FLOWERS, lackedBy: (taxon) => isLichen(taxon) || isFern(taxon) || FLOWERLESS.includes(taxon.family) },
  { characters: ['needleSection', 'needleSeat', 'cone'], lackedBy: (taxon) => lacks(taxon, 'leafType', ['needle']) },
  { characters: ['headRays', 'headBracts'], lackedBy: (taxon) => lacks(taxon, 'petals', ['composite-head']) },
  { characters: ['umbelBracts', 'umbelRays'], lackedBy: (taxon) => lacks(taxon, 'inflorescence', ['umbel', 'compound-umbel']) },
  { characters: ['frondStalk'], lackedBy: (taxon) => !isFern(taxon) },
  { characters: ['bark'], lackedBy: (taxon) => growthForms(taxon).every((form) => form === 'herb' || form === 'afloat') },
] // prettier-ignore

/**
 * Whether a plant has not the organ of a character at all, so that whoever saw any state of it does not hold that plant: a needle on its peg is
 * no broad leaf, a petal is no fern. What a record does not say is otherwise no tell.
 */
export function lacksOrgan(taxon: Taxon, character: string, states: readonly string[]): boolean {
  if (states.length === 0 || states.includes('none')) return false
  return ORGANS.some(({ characters, lackedBy }) => characters.includes(character) && lackedBy(taxon))
}

function isLichen({ lifeForm }: Taxon): boolean {
  return lifeForm === 'lichen'
}

function isFern({ family }: Taxon): boolean {
  return FERNS.includes(family)
}

/** Whether the record says what a plant has of a character, and none of these. */
function lacks({ characters }: Taxon, character: string, states: readonly string[]): boolean {
  const shown = characters[character] ?? []
  return shown.length > 0 && !states.some((state) => shown.includes(state))
}
