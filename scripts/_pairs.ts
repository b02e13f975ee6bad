import { CATALOGUE, CHARACTERS } from '@ellop/core'
const danger = CATALOGUE.taxa.filter((t) => t.severity === 'deadly' || t.severity === 'toxic')
const foods = CATALOGUE.taxa.filter((t) => t.uses.some((u) => u.verdict !== 'never'))
let n = 0,
  low = 0,
  listed = 0
for (const f of foods)
  for (const d of danger) {
    if (f === d) continue
    n++
    const l = f.lookalikes.find((x) => x.scientificName === d.scientificName)
    const sure = new Set<string>(),
      may = new Set<string>()
    for (const [c, s] of Object.entries(f.characters)) {
      const o = d.characters[c]
      if (!o || c === 'habitatSeen' || c === 'taste') continue
      const g = CHARACTERS[c]!.group
      if (s.every((x) => !o.includes(x))) sure.add(g)
      else if (s.some((x) => !o.includes(x))) may.add(g)
    }
    for (const g of sure) may.delete(g)
    if (l) listed++
    if (sure.size < 2) {
      low++
      console.log(
        l ? 'LISTED' : 'unlisted',
        f.scientificName,
        '|',
        d.scientificName,
        d.severity,
        [...sure].join('+'),
        '| may',
        [...may].join(','),
      )
    }
  }
console.log(n, low, listed)
