import { spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { Instrumenter } from '@stryker-mutator/instrumenter'

/**
 * `npm run mutation -- [FILE_OR_FOLDER ...]`: changes the code in every small way and says which changes no test finds; the clock, the
 * gates and the log where nothing is named. Exits with 1 where fewer than nine in ten are found. All of it runs in one process: the
 * code holds every mutant, switched on one after another.
 */
const LEAST = 0.9
const ROOT = fileURLToPath(new URL('..', import.meta.url))
const AT = join(ROOT, '.mutation')
const asked = process.argv.slice(2)
const places = asked.length > 0 ? asked : ['core/src/freshness', 'core/src/gates', 'core/src/log']

const files = places
  .flatMap((place) =>
    statSync(join(ROOT, place)).isDirectory()
      ? readdirSync(join(ROOT, place), { recursive: true, encoding: 'utf8' }).map((file) => join(place, file))
      : [place],
  )
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
rmSync(AT, { recursive: true, force: true })
mkdirSync(AT)
cpSync(join(ROOT, 'tsconfig.base.json'), join(AT, 'tsconfig.base.json'))
cpSync(join(ROOT, 'core'), join(AT, 'core'), { recursive: true })
cpSync(join(ROOT, 'scripts/mutation'), join(AT, 'mutation'), { recursive: true })

const nothing = (): void => undefined
const no = (): boolean => false
const silent = { trace: nothing, debug: nothing, info: nothing, warn: nothing, error: nothing, fatal: nothing, isTraceEnabled: no, isDebugEnabled: no, isInfoEnabled: no, isWarnEnabled: no, isErrorEnabled: no, isFatalEnabled: no } // prettier-ignore
const { files: mutated, mutants } = await new Instrumenter(silent).instrument(
  files.map((name) => ({ name, mutate: true, content: readFileSync(join(ROOT, name), 'utf8') })),
  { plugins: null, excludedMutations: [], ignorers: [] },
)
for (const { name, content } of mutated) writeFileSync(join(AT, name), content)
writeFileSync(join(AT, 'mutation/mutants.json'), JSON.stringify(mutants.map(({ id }) => id)))
writeFileSync(
  join(AT, 'vitest.config.ts'),
  `import { join } from 'node:path'
import { defineConfig } from 'vitest/config'
const root = ${JSON.stringify(AT)}
const cases = { name: 'cases', enforce: 'pre', resolveId: (of, from) => of === 'vitest' && /core.src.*[.]test[.]ts$/.test(from ?? '') ? join(root, 'mutation/cases.ts') : undefined }
export default defineConfig({ root, plugins: [cases], test: { include: ['mutation/tryAll.test.ts'], setupFiles: ['core/src/test/seed.ts'], disableConsoleIntercept: true } })
`,
)
console.log(`${mutants.length} mutants in ${files.length} file${files.length === 1 ? '' : 's'}`)
const TRIED = join(AT, 'mutation/tried.jsonl')
writeFileSync(TRIED, '')
const { status } = spawnSync('npx', ['vitest', 'run', '--config', join(AT, 'vitest.config.ts'), '--reporter=dot'], { cwd: AT, stdio: 'inherit' }) // prettier-ignore
if (status !== 0) process.exit(2)

const states = new Map(
  readFileSync(TRIED, 'utf8')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { readonly id: string; readonly state: string })
    .map(({ id, state }) => [id, state]),
)
const shareOf = (of: typeof mutants) =>
  of.filter(({ id }) => states.get(id) === 'killed').length / Math.max(1, of.length)
const told = (share: number) => `${(100 * share).toFixed(1)} %`
for (const { id, fileName, location, replacement } of mutants) {
  const state = states.get(id)
  if (state === 'killed') continue
  const line = readFileSync(join(ROOT, fileName), 'utf8').split('\n')[location.start.line] ?? ''
  const was = line.slice(location.start.column, location.end.line === location.start.line ? location.end.column : undefined) // prettier-ignore
  console.log(`${state}: ${relative(ROOT, fileName)}:${location.start.line + 1} ${was} → ${replacement.split('\n')[0]}`)
}
for (const place of places) {
  const of = mutants.filter(({ fileName }) => fileName.startsWith(place))
  console.log(`${place}: ${told(shareOf(of))} of ${of.length}`)
}
console.log(`${told(shareOf(mutants))} of ${mutants.length} mutants found`)
process.exitCode = shareOf(mutants) < LEAST ? 1 : 0
