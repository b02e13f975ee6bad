import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { CATALOGUE, separationOf, type Taxon } from '@ellop/core'

/** `npm run pairs`: the table of every food against every deadly and toxic plant; `--check` only says whether it is up to date. */
const FILE = fileURLToPath(new URL('../docs/pairs.md', import.meta.url))
const FEW = 3

const foods = CATALOGUE.taxa.filter(({ uses }) => uses.some(({ verdict }) => verdict !== 'never'))
const harmful = CATALOGUE.taxa.filter(({ severity }) => severity === 'deadly' || severity === 'toxic')
const pairs = foods.flatMap((food) =>
  harmful
    .filter((other) => other !== food)
    .map((other) => ({
      food,
      other,
      ...separationOf(food, other),
      listed: food.lookalikes.some(({ scientificName }) => scientificName === other.scientificName),
    })),
)
const name = ({ scientificName }: Taxon) => `*${scientificName}*`
const row = (cells: readonly (string | number)[]) => `| ${cells.join(' | ')} |`
const table = (head: readonly string[], rows: readonly (readonly (string | number)[])[]) =>
  [row(head), row(head.map(() => '---')), ...rows.map(row)].join('\n')
const groupBy = <T>(items: readonly T[], key: (item: T) => number) => {
  const groups = new Map<number, T[]>()
  for (const item of items) groups.set(key(item), [...(groups.get(key(item)) ?? []), item])
  return groups
}
const byCount = groupBy(pairs, ({ sure }) => Math.min(sure.length, 10))

const text = `# Every food against every deadly and toxic plant

Made by \`npm run pairs\` from the catalogue of ${CATALOGUE.revision}; a check in \`npm run lint\` keeps it true. A tell is sure where the two
plants never show the same state of it; characters of one group (leaf and stem surface, needle seat and section) count once. The
gate asks for two independent tells against every deadly and toxic plant of the catalogue, listed or not.

${foods.length} foods × ${harmful.length} harmful plants: ${pairs.length} pairs, ${pairs.filter(({ listed }) => listed).length} of them listed as look-alikes.

## How many sure tells part a pair

${table(
  ['sure tells', 'pairs', 'of them listed'],
  [...byCount]
    .sort(([a], [b]) => a - b)
    .map(([count, some]) => [
      count === 10 ? '10 or more' : count,
      some.length,
      some.filter(({ listed }) => listed).length,
    ]),
)}

## Fewer than ${FEW}

${table(
  ['food', 'harmful', 'severity', 'listed', 'sure', 'in some states'],
  pairs
    .filter(({ sure }) => sure.length < FEW)
    .map(({ food, other, sure, sometimes, listed }) => [
      name(food),
      name(other),
      other.severity,
      listed ? 'yes' : '',
      sure.join(', '),
      sometimes.join(', '),
    ]),
)}

## Every listed pair

${table(
  ['food', 'taken for', 'severity', 'sure tells'],
  pairs
    .filter(({ listed }) => listed)
    .map(({ food, other, sure }) => [name(food), name(other), other.severity, `${sure.length}: ${sure.join(', ')}`]),
)}
`
if (!process.argv.includes('--check')) writeFileSync(FILE, text)
else if (readFileSync(FILE, 'utf8') !== text) {
  console.error('docs/pairs.md is out of date: run `npm run pairs`')
  process.exitCode = 1
}
