import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuilt, ensureChromium, ensureModules, ROOT, run } from './ensure.mjs'

const REPORTS = join(ROOT, 'reports')
const UNIT_REPORT = join(REPORTS, 'unit.json')
const INTERFACE_REPORT = join(REPORTS, 'interface.json')

ensureModules()
ensureChromium()
rmSync(REPORTS, { recursive: true, force: true })
mkdirSync(REPORTS, { recursive: true })

/** A check that passes or fails as a whole; its words are kept together, for several run side by side. */
function whole(name, args) {
  return new Promise((done) => {
    let said = ''
    const child = spawn('npm', args, { cwd: ROOT })
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += data))
    child.on('close', (code) => {
      console.log(`\n— ${name}\n${said.trimEnd()}`)
      done(code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 })
    })
  })
}

/** Counts out of a report; a run without one has failed. */
function counted(name, args, report, read, env = process.env) {
  console.log(`\n— ${name}`)
  const code = run('npx', args, { env })
  if (!existsSync(report)) return { passed: 0, failed: 1 }
  const { passed, failed } = read(JSON.parse(readFileSync(report, 'utf8')))
  return { passed, failed: failed === 0 && (code !== 0 || passed === 0) ? 1 : failed }
}

const parts = [
  ...(await Promise.all([whole('types', ['run', '-s', 'types']), whole('lint', ['run', '-s', 'lint'])])),
  counted(
    'unit',
    ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${UNIT_REPORT}`],
    UNIT_REPORT,
    (report) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests + report.numFailedTestSuites * (report.numFailedTests === 0 ? 1 : 0),
    }),
  ),
]
ensureBuilt({ always: true })
parts.push(
  counted(
    'interface',
    ['playwright', 'test', '--reporter=list,json'],
    INTERFACE_REPORT,
    (report) => ({
      passed: report.stats.expected,
      failed: report.stats.unexpected + report.stats.flaky + report.errors.length,
    }),
    {
      ...process.env,
      PLAYWRIGHT_JSON_OUTPUT_NAME: INTERFACE_REPORT,
    },
  ),
)
const sum = (key) => parts.reduce((total, part) => total + part[key], 0)
console.log(`\n${sum('passed')} passed, ${sum('failed')} failed`)
process.exitCode = sum('failed') === 0 ? 0 : 1
