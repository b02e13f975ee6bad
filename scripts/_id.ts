import { CATALOGUE, clear, judgeTells } from '@ellop/core'
const foods = CATALOGUE.taxa.filter(
  (t) => t.role !== 'danger' && t.role !== 'bystander' && t.uses.some((u) => u.verdict !== 'never'),
)
console.log(CATALOGUE.taxa.length, foods.length)
for (const t of foods) {
  // full honest: only characters; worst case over states: pick first state of each
  const observed = Object.fromEntries(
    Object.entries(t.characters)
      .filter(([c]) => c !== 'taste')
      .map(([c, s]) => [c, [s[0]!]]),
  )
  const r = judgeTells({ taxon: t.scientificName, observed }, CATALOGUE)
  // worst case: for each danger, min separators over choice of states = groups where state sets disjoint
  const harm = r.standing.filter((s) => ['deadly', 'toxic', 'irritant'].includes(s.severity))
  let o: Record<string, string[]> = {}
  let n = 0
  for (;;) {
    const c = clear({ taxon: t.scientificName, observed: o }, CATALOGUE)
    const x = c.next[0]?.character
    if (c.gate === 'open' || !x) break
    o = { ...o, [x]: [t.characters[x]![0]!] }
    n++
  }
  const end = judgeTells({ taxon: t.scientificName, observed: o }, CATALOGUE)
  console.log(
    t.scientificName,
    r.gate,
    'asked',
    n,
    end.gate,
    Object.keys(o).join(','),
    'missing',
    r.missing.join(),
    'stand:',
    harm.map((h) => `${h.taxon}(${h.severity[0]},${h.ruledOutBy.join('+')})`).join(' '),
  )
}
