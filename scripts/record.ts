import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { recordLog } from './record/logs'
import { recordPlans } from './record/plans'
import { recordScreens } from './record/screens'

/**
 * `npm run record -- FOLDER [logs|plans|screens] [COUNT]`: writes down what Ellop says today, to be held against what it says after
 * code was moved: every verdict, proposal, sentence, Now card and due list over random logs (20,000), every plan of the catalogue, and
 * the text and picture of every screen of the demonstration. `npm run record -- FOLDER against OTHER` names what differs; exits with 1
 * when anything does.
 */
const [folder, what = 'all', more = '20000'] = process.argv.slice(2)
if (folder === undefined) throw new RangeError('record: give a folder to write to.')
const PARTS = ['logs', 'plans', 'screens'] as const
const SHOWN = 40

function linesOf(at: string, part: string): ReadonlyMap<string, string> {
  const file = join(at, `${part}.txt`)
  if (!existsSync(file)) return new Map()
  const lines = readFileSync(file, 'utf8').trim().split('\n')
  // What was recorded is named by all but its hashes.
  return new Map(lines.map((line) => [line.replaceAll(/ \S+:[\w-]{10}(?=\s|$)/g, ''), line]))
}

function against(other: string): number {
  const differing = PARTS.flatMap((part) => {
    const [is, was] = [linesOf(folder ?? '', part), linesOf(other, part)]
    if (is.size === 0 || was.size === 0) return []
    const names = [...new Set([...is.keys(), ...was.keys()])]
    const differ = names.filter((name) => is.get(name) !== was.get(name))
    console.log(`${part}: ${names.length} compared, ${differ.length} differ`)
    return differ.map((name) => `- ${was.get(name) ?? `${name} (was not there)`}\n+ ${is.get(name) ?? `${name} (is not there)`}`) // prettier-ignore
  })
  for (const each of differing.slice(0, SHOWN)) console.log(each)
  return differing.length
}

if (what === 'against') process.exitCode = against(more) === 0 ? 0 : 1
else {
  mkdirSync(folder, { recursive: true })
  const keep = (part: string, lines: readonly string[]) => {
    writeFileSync(join(folder, `${part}.txt`), `${lines.join('\n')}\n`)
    console.log(`${part}: ${lines.length} lines`)
  }
  if (what === 'all' || what === 'plans') keep('plans', recordPlans())
  if (what === 'all' || what === 'screens') keep('screens', await recordScreens(join(folder, 'screens')))
  if (what === 'all' || what === 'logs')
    keep('logs', Array.from({ length: Number(more) }, (_, index) => recordLog(510_000_001 + index))) // prettier-ignore
}
