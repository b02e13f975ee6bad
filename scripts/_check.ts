import { CATALOGUE } from '@ellop/core'
import { readTaxon } from '../core/src/exchange/taxonSchema'
let bad = 0
for (const t of CATALOGUE.taxa) {
  const r = readTaxon(JSON.parse(JSON.stringify(t)))
  if (!r.ok) {
    bad++
    console.log(t.scientificName, r.path, r.message)
  }
}
const uses = CATALOGUE.taxa.flatMap((t) => t.uses.map((u) => [t, u] as const)).filter(([, u]) => u.verdict !== 'never')
console.log(
  CATALOGUE.taxa.length,
  'taxa',
  new Set(uses.map(([t]) => t.scientificName)).size,
  'with a use',
  uses.length,
  'uses',
  bad,
  'bad',
)
const have = new Set(CATALOGUE.taxa.map((t) => t.scientificName))
for (const t of CATALOGUE.taxa)
  for (const l of t.lookalikes)
    if (!have.has(l.scientificName) && !['harmless', 'unpleasant'].includes(l.severity))
      console.log('no record', t.scientificName, l.scientificName, l.severity)
