import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import {
  CATALOGUE,
  EMPTY_LOG,
  commonName,
  formatSpan,
  plainWords,
  plan,
  schoolEvidence,
  type Plan,
  type Protocol,
  type Taxon,
  type Use,
} from '@ellop/core'

/** `npm run contested`: what the schools say where they differ, and what is refused whole; `--check` only says whether it is up to date. */
const FILE = fileURLToPath(new URL('../docs/contested.md', import.meta.url))
const MASS_g = 500
const ADULT = [{ kind: 'adult', sensitivities: [] }] as const

const row = (cells: readonly string[]) => `| ${cells.map((cell) => cell.replaceAll('|', '/')).join(' | ')} |`
const table = (head: readonly string[], rows: readonly (readonly string[])[]) =>
  [row(head), row(head.map(() => '---')), ...rows.map(row)].join('\n')
const name = ({ scientificName }: Taxon) => `*${scientificName}*`
const what = ({ called, part, stage }: Use) => called ?? `${plainWords(part)}, ${plainWords(stage)}`

/** The operations that control something, with their minutes. */
function inShort({ steps }: Protocol): string {
  const controls = steps.filter(({ critical, control }) => critical && control.length > 0)
  return controls.length === 0
    ? 'nothing critical'
    : controls
        .map(({ op, minutes, limit }) =>
          limit?.measure === 'baths'
            ? `${plainWords(op)}, ${limit.least} baths at least`
            : `${plainWords(op)}${minutes === undefined ? '' : ` ${formatSpan(minutes.low)}`}`,
        )
        .join('; ')
}

function planned(taxon: Taxon, { part, stage }: Use, { name: school, goals }: Protocol): Plan {
  const [goal = 'eat'] = goals
  return plan({ taxon: taxon.scientificName, part, stage, mass_g: MASS_g, goal, school, eaters: ADULT }, CATALOGUE)
}

const NO_BOOK = { book: EMPTY_LOG.state, catalogue: CATALOGUE, now: '2027-01-01T00:00:00.000Z' }

/** How many independent sources a school has, and on what grounds; nothing where nobody traced them. */
function whoSays(taxon: Taxon, use: Use, school: string): string {
  const found = schoolEvidence(taxon, use, NO_BOOK).find((each) => each.school === school)
  if (found === undefined) return 'not traced'
  const grounds = [...new Set(found.roots.map(({ claim }) => plainWords(claim.grounds)))].join(', ')
  return found.independent === 0 ? 'nobody on record' : `${found.independent} (${grounds})`
}

const uses = CATALOGUE.taxa.flatMap((taxon) => taxon.uses.map((use) => ({ taxon, use })))
/** Schools differ where what they hold critical differs. */
const contested = uses.filter(
  ({ use }) =>
    use.verdict !== 'never' && new Set(use.protocols.map((each) => `${each.standing} ${inShort(each)}`)).size > 1,
)
const refused = uses.filter(({ use }) => use.verdict === 'never' && use.whyNever !== undefined)
let [both, one] = [0, 0]
const rows = contested.flatMap(({ taxon, use }) => {
  const plans = use.protocols.map((protocol) => ({ protocol, told: planned(taxon, use, protocol) }))
  const takes = plans.filter(({ told }) => told.verdict !== 'refuse').length
  if (takes > 1) both += 1
  else one += 1
  return plans.map(({ protocol, told }) => [
    name(taxon),
    what(use),
    protocol.name,
    protocol.standing,
    inShort(protocol),
    told.verdict === 'refuse'
      ? `refused: ${told.reasons[0]?.text ?? ''}`
      : told.verdict === 'conditional'
        ? 'planned, with conditions'
        : 'planned',
    whoSays(taxon, use, protocol.name),
    protocol.why,
  ])
})

const text = `# Where schools differ, and what is refused

Made by \`npm run contested\` from the catalogue of ${CATALOGUE.revision}; a check in \`npm run lint\` keeps it true. Each school of a use was planned
for ${MASS_g} g and one adult of whom nothing is known to be borne badly, at sea level. Where schools differ in safety the cautious one is proposed; the others
can be chosen where they are not refused. “Who says so” counts sources that are independent of each other, each once however many repeat it, with
how they know; what was handed down and nobody can trace counts once in all. Nothing here outranks local advice, a doctor or a poison centre.

${contested.length} uses on which schools differ in what they hold critical: of ${both} more than one can be planned and compared, of ${one} one alone or none, with its reason.

${table(['plant', 'what of it', 'school', 'standing', 'what is critical', 'planned', 'who says so', 'why'], rows)}

## Refused whole

${refused.length} uses that some eat and Ellop does not plan, whatever is done.

${table(
  ['plant', 'what of it', 'why', 'instead'],
  refused.map(({ taxon, use }) => [
    `${name(taxon)}, ${commonName(taxon)}`,
    what(use),
    use.whyNever ?? '',
    use.instead ?? '',
  ]),
)}
`
if (process.argv.includes('--check')) {
  if (readFileSync(FILE, 'utf8') !== text) {
    console.error('docs/contested.md is out of date: run `npm run contested`')
    process.exit(1)
  }
} else writeFileSync(FILE, text)
