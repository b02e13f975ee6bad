import type { Taxon } from '../flora/taxon'

/**
 * States that nobody sees by mistake: an organ of its own kind, not a shade, a shape or a smell. One of them is enough against a plant that
 * no record takes for the claimed one; against a double of either record two independent tells are needed all the same.
 */
const UNMISTAKABLE: Readonly<Record<string, readonly string[]>> = {
  leafArrangement: ['whorled', 'bundled', 'fan-flat'],
  leafType: ['needle', 'scale', 'round-peltate'],
  leafVeins: ['parallel'],
  leafMargin: ['backward-toothed', 'spiny'],
  leafSurface: ['stinging-hairs', 'spiny-midrib', 'mealy'],
  leafJoint: ['papery-sheath'],
  stemSurface: ['stinging', 'hooked-bristles', 'one-line-of-hairs', 'prickly', 'thorny'],
  sap: ['milky', 'yellow-orange'],
  petals: ['composite-head', '5-deeply-split'],
  inflorescence: ['cigar-spike', 'catkin'],
  fruit: ['nut-in-cup', 'burr', 'hip', 'berry-compound', 'winged'],
  needleSeat: ['peg', 'flush-disc', 'bundle-sheath'],
  cone: ['hanging', 'upright', 'three-pronged-bracts'],
  bark: ['papery'],
}
const DIVIDED = ['palmate', 'pinnate', 'ternate', 'twice-divided', 'feathery']

/** Whether what was seen of a character, which the other plant never shows, is such a state; a leaf in parts is one against whole leaves, and the other way round. */
export function isUnmistakable(character: string, states: readonly string[], other: Taxon): boolean {
  if (states.length > 0 && states.every((state) => UNMISTAKABLE[character]?.includes(state) === true)) return true
  if (character !== 'leafType') return false
  const shown = other.characters['leafType'] ?? []
  const divided = (each: string) => DIVIDED.includes(each)
  const allSeen = states.every(divided) ? 'divided' : states.some(divided) ? 'both' : 'whole'
  const allShown = shown.every(divided) ? 'divided' : shown.some(divided) ? 'both' : 'whole'
  return allSeen !== 'both' && allShown !== 'both' && allSeen !== allShown
}
