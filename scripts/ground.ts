import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { CATALOGUE, commonName, groundVerdict, type GroundFacts, type GroundNote, type Taxon } from '@ellop/core'
import { format, resolveConfig } from 'prettier'
import { CLEAN } from '../core/src/test/pen'

/** `npm run ground`: what each fact of the ground means for which plants, into docs/ground.md; `--check` says whether it is up to date. */
const OUT = fileURLToPath(new URL('../docs/ground.md', import.meta.url))
const NOW = '2027-05-16T12:00:00.000Z'
const NAMED = 6

const CASES: readonly (readonly [string, GroundNote])[] = [
  ['nothing against it', {}],
  ['leave ended in April', { permission: { from: 'the owner', until: '2027-04-30T00:00:00.000Z' } }],
  ['weedkiller a year ago', { sprayed: { last: '2026-05-16T00:00:00.000Z' } }],
  ['weedkiller four years ago', { sprayed: { last: '2023-05-16T00:00:00.000Z' } }],
  ['busy road at 10 m', { busyRoad: { distance_m: 10 } }],
  ['busy road at 30 m', { busyRoad: { distance_m: 30 } }],
  ['busy road at 60 m', { busyRoad: { distance_m: 60 } }],
  ...(['industry', 'mine', 'tip', 'railway', 'old-orchard', 'unknown'] as const).map(
    (pastUse): readonly [string, GroundNote] => [`was: ${pastUse.replace('-', ' ')}`, { pastUse }],
  ),
  ['dunged or fertilised', { manured: 'yes' }],
  ['feeding not known', { manured: 'unknown' }],
  ['many dogs', { dogs: 'many' }],
  ['looks sick', { looksHealthy: false }],
]

const dated = (note: GroundNote): GroundFacts =>
  Object.fromEntries(Object.entries(note).map(([fact, value]) => [fact, { value, at: '2027-05-01T08:00:00.000Z' }]))

const verdicts = (taxon: Taxon) =>
  CASES.map(([, note]) => {
    const { state, closed, toAsk, remarks } = groundVerdict(taxon, dated({ ...CLEAN, ...note }), 'the patch', NOW)
    const says = [...closed, ...(toAsk.length > 0 ? [`Ask ${toAsk.join('; ')}.`] : []), ...remarks].join(' ')
    return `**${state}**${says === '' ? '' : ` ${says}`}`
  })

const foods = CATALOGUE.taxa.filter(({ uses }) => uses.some(({ verdict }) => verdict !== 'never'))
const groups = new Map<string, { readonly taxa: Taxon[]; readonly says: readonly string[] }>()
for (const taxon of foods) {
  const says = verdicts(taxon)
  const key = says.join('|')
  const group = groups.get(key)
  if (group === undefined) groups.set(key, { taxa: [taxon], says })
  else group.taxa.push(taxon)
}
const ordered = [...groups.values()].sort((a, b) => b.taxa.length - a.taxa.length)
const head = ({ taxa }: { readonly taxa: readonly Taxon[] }, index: number) =>
  `${index + 1}. ${taxa.length} plants${taxa[0]?.accumulates.length === 0 ? ' that take up nothing on record' : `; take up ${[...new Set(taxa.flatMap(({ accumulates }) => accumulates))].join(', ')}`}: ${taxa
    .slice(0, NAMED)
    .map(commonName)
    .join(', ')}${taxa.length > NAMED ? ' …' : ''}`
const text = `# Ground: what a fact means for which plants

Made by \`npm run ground\` from the catalogue of ${CATALOGUE.revision} and the ground gate; a check in \`npm run lint\` keeps it true. Each row changes one
fact of a patch of which all else is known and clean. Distances are the cautious school's. A soil test and local law outrank all of it. Facts
that the gate does not know yet: flood, livestock upstream, standing water, old paint, soil tests.

The plants, by what the ground means for them:

${ordered.map(head).join('\n')}

| fact | ${ordered.map((_, index) => `plants of group ${index + 1}`).join(' | ')} |
| --- | ${ordered.map(() => '---').join(' | ')} |
${CASES.map(([name], row) => `| ${name} | ${ordered.map(({ says }) => says[row] ?? '').join(' | ')} |`).join('\n')}
`
const after = await format(text, { ...(await resolveConfig(OUT)), parser: 'markdown' })
if (!process.argv.includes('--check')) writeFileSync(OUT, after)
else if (after !== readFileSync(OUT, 'utf8')) {
  console.error('docs/ground.md is not what the gate says now: run `npm run ground`')
  process.exitCode = 1
}
