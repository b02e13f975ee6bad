import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { format, resolveConfig } from 'prettier'

/** `npm run records`: the list of all records of the catalogue, made from the folder; `--check` only says whether it is up to date. */
const FLORA = fileURLToPath(new URL('../core/src/flora', import.meta.url))
const LIST = join(FLORA, 'records.ts')
const REVISION = /revision: '([^']+)'/

const files = readdirSync(join(FLORA, 'records')).sort()
const nameOf = (file: string) =>
  file.replace(/\.json$/, '').replace(/-(\w)/g, (_whole, letter: string) => letter.toUpperCase())
const before = readFileSync(LIST, 'utf8')
const source = `import type { Catalogue } from './catalogue'
import type { Taxon } from './taxon'
${files.map((file) => `import ${nameOf(file)} from './records/${file}' with { type: 'json' }`).join('\n')}

/** The catalogue that ships. Its records are data, checked against one schema by a test; the cast is what that test earns. */
export const CATALOGUE: Catalogue = {
  revision: '${REVISION.exec(before)?.[1] ?? ''}',
  taxa: [${files.map(nameOf).join(', ')}] as unknown as readonly Taxon[],
}
`
const after = await format(source, { ...(await resolveConfig(LIST)), parser: 'typescript' })
if (!process.argv.includes('--check')) writeFileSync(LIST, after)
else if (after !== before) {
  console.error('core/src/flora/records.ts does not list every record: run `npm run records`')
  process.exitCode = 1
}
