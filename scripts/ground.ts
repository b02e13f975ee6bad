import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import {
  CATALOGUE,
  commonName,
  groundVerdict,
  PAST_USES,
  plainWords,
  UPSTREAM,
  type GroundFacts,
  type GroundNote,
  type Part,
  type SoilMetal,
  type Taxon,
} from '@ellop/core'
import { format, resolveConfig } from 'prettier'
import { CLEAN } from '../core/src/test/pen'

/** `npm run ground`: what each fact of the ground means for which plants, into docs/ground.md; `--check` says whether it is up to date. */
const OUT = fileURLToPath(new URL('../docs/ground.md', import.meta.url))
const NOW = '2027-05-16T12:00:00.000Z'
const NAMED = 6

const tested = (lead: number, cadmium: number, arsenic: number) =>
  Object.entries({ lead, cadmium, arsenic }).map(([what, mg_per_kg]) => ({
    what: what as SoilMetal,
    mg_per_kg,
    on: '2027-02-01T00:00:00.000Z',
  }))

const CASES: readonly (readonly [string, GroundNote])[] = [
  ['nothing against it', {}],
  ['leave ended in April', { permission: { from: 'the owner', until: '2027-04-30T00:00:00.000Z' } }],
  ['weedkiller a year ago', { sprayed: { last: '2026-05-16T00:00:00.000Z' } }],
  ['weedkiller four years ago', { sprayed: { last: '2023-05-16T00:00:00.000Z' } }],
  ['busy road at 10 m', { busyRoad: { distance_m: 10 } }],
  ['busy road at 30 m', { busyRoad: { distance_m: 30 } }],
  ['busy road at 60 m', { busyRoad: { distance_m: 60 } }],
  ...PAST_USES.filter((pastUse) => pastUse !== 'clean').map((pastUse): readonly [string, GroundNote] => [
    `was: ${pastUse.replace('-', ' ')}`,
    { pastUse },
  ]),
  ['was: a mine; soil tested, all low', { pastUse: 'mine', soil: tested(20, 0.3, 8) }],
  ['soil tested: much lead', { soil: tested(240, 0.3, 8) }],
  ['railway at 15 m', { railway: { distance_m: 15 } }],
  ['works at 300 m', { works: { distance_m: 300 } }],
  ['field at 10 m, sprayed last month', { field: { distance_m: 10, lastSprayed: '2027-04-16T00:00:00.000Z' } }],
  ['dunged or fertilised', { manured: 'yes' }],
  ['feeding not known', { manured: 'unknown' }],
  ['many dogs', { dogs: 'many' }],
  ['grazed', { grazed: true }],
  ['looks sick', { looksHealthy: false }],
  ['stands very lush', { vigour: 'lush' }],
  ['stands in still water', { water: 'still' }],
  ['stands in foul water', { water: 'foul' }],
  ...UPSTREAM.map((what): readonly [string, GroundNote] => [
    `up the water: ${what.replaceAll('-', ' ')}`,
    { upstream: [what] },
  ]),
  ['up the water: not known', { upstream: 'unknown' }],
  ['flooded two months ago', { flood: { last: '2027-03-16T00:00:00.000Z' } }],
  ['digging forbidden', { law: { picking: 'allowed', digging: 'forbidden' } }],
  ['picking forbidden', { law: { picking: 'forbidden', digging: 'forbidden' } }],
]

const dated = (note: GroundNote): GroundFacts =>
  Object.fromEntries(Object.entries(note).map(([fact, value]) => [fact, { value, at: '2027-05-01T08:00:00.000Z' }]))

const verdicts = (taxon: Taxon, part: Part) =>
  CASES.map(([, note]) => {
    const { state, closed, toAsk, living, remarks } = groundVerdict({
      taxon,
      part,
      facts: dated({ ...CLEAN, ...note }),
      patchName: 'the patch',
      now: NOW,
    })
    const says = [
      ...closed,
      ...(toAsk.length > 0 ? [`Ask ${toAsk.join('; ')}.`] : []),
      ...living.map((each) => `*Only cooked right through.* ${each}`),
      ...remarks,
    ].join(' ')
    return `**${state}**${says === '' ? '' : ` ${says}`}`
  })

interface Group {
  readonly pickings: string[]
  readonly says: readonly string[]
}

const groups = new Map<string, Group>()
for (const taxon of CATALOGUE.taxa) {
  const parts = new Set(taxon.uses.filter(({ verdict }) => verdict !== 'never').map(({ part }) => part))
  for (const part of parts) {
    const says = verdicts(taxon, part)
    const key = says.join('|')
    const group = groups.get(key) ?? { pickings: [], says }
    groups.set(key, group)
    group.pickings.push(`${commonName(taxon)}, ${plainWords(part)}`)
  }
}
const ordered = [...groups.values()].sort((a, b) => b.pickings.length - a.pickings.length)
const head = ({ pickings }: Group, index: number) =>
  `${index + 1}. ${pickings.length}: ${pickings.slice(0, NAMED).join('; ')}${pickings.length > NAMED ? ' …' : ''}`
/** What a fact comes to: each answer, and the groups that get it. */
const outcomes = (row: number) => {
  const groupsOf = new Map<string, number[]>()
  for (const [index, { says }] of ordered.entries()) {
    const answer = says[row] ?? ''
    groupsOf.set(answer, [...(groupsOf.get(answer) ?? []), index + 1])
  }
  return [...groupsOf].map(([answer, numbers]) => `- ${answer} (${numbers.join(', ')})`).join('\n')
}
const text = `# Ground: what a fact means for which plants

Made by \`npm run ground\` from the catalogue of ${CATALOGUE.revision} and the ground gate; a check in \`npm run lint\` keeps it true. Each heading changes one
fact of a patch of which all else is known and clean. Distances, waits and limits are the cautious school's (\`core/src/ground/schools.ts\` has
both, with where they come from); a label, a soil test and local law outrank all of it. The numbers in brackets are the groups.

The parts of plants, by what the ground means for them:

${ordered.map(head).join('\n')}

${CASES.map(([name], row) => `## ${name}\n\n${outcomes(row)}`).join('\n\n')}
`
const after = await format(text, { ...(await resolveConfig(OUT)), parser: 'markdown' })
if (!process.argv.includes('--check')) writeFileSync(OUT, after)
else if (after !== readFileSync(OUT, 'utf8')) {
  console.error('docs/ground.md is not what the gate says now: run `npm run ground`')
  process.exitCode = 1
}
