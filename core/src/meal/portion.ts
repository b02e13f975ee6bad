import type { Use } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'

/** What one person ordinarily eats of a kind of food at a sitting, trimmed and raw, g [planning values, after household portions]. */
const PORTION_g: Readonly<Record<Part, number>> = {
  leaf: 80,
  'leafy-top': 80,
  shoot: 80,
  stem: 80,
  midrib: 80,
  flower: 10,
  'flower-bud': 60,
  pollen: 5,
  fruit: 80,
  seed: 30,
  nut: 30,
  root: 80,
  rhizome: 60,
  corm: 80,
  bulb: 20,
  tuber: 100,
  bark: 2,
  sap: 200,
  'needle-tip': 5,
  thallus: 20,
}
/** Of what only flavours. */
const FLAVOURING_g = 5

/** One ordinary portion, g: the record's, else that of its kind of food. */
export function ordinaryPortion_g({ portion_g, part, verdict }: Pick<Use, 'portion_g' | 'part' | 'verdict'>): number {
  return portion_g ?? (verdict === 'flavouring-only' ? Math.min(FLAVOURING_g, PORTION_g[part]) : PORTION_g[part])
}
