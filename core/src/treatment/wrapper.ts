import type { Taxon } from '../flora/taxon'
import { poisonOf } from './leftovers'

/** Whether a leaf of a plant may lie round food, on the fire or off it (COO-5). */
export interface Wrapper {
  readonly may: 'raw' | 'boiled' | 'never'
  readonly says: string
}

const LEAVES = ['leaf', 'leafy-top', 'midrib']

/**
 * A leaf lies round food only where it is food itself, and no part of its plant poisons: heat and fat draw out what is in it. One that is
 * boiled before it is eaten is boiled before it wraps. What is not on record wraps nothing.
 */
export function wrapperVerdict(taxon: Taxon): Wrapper {
  const poison = poisonOf(taxon)
  if (poison !== undefined) return { may: 'never', says: 'Never round food: its juice goes into what it wraps.' }
  const leaves = taxon.uses.filter(({ part, verdict }) => LEAVES.includes(part) && verdict !== 'never')
  if (leaves.some(({ verdict }) => verdict === 'raw-ok'))
    return { may: 'raw', says: 'A leaf of it that was told, from clean ground and washed, may lie round food.' }
  return leaves.some(({ verdict }) => verdict === 'cook')
    ? { may: 'boiled', says: 'A leaf of it may lie round food once it was boiled as for eating.' }
    : { may: 'never', says: 'Its leaf is not on record as food: it lies round none.' }
}
