import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { bookJsonSchema } from '@ellop/core'

/** The published JSON Schema of a book file: `npm run schema` writes it; with `--check` it only says whether it is up to date. */
const FILE = fileURLToPath(new URL('../docs/book.schema.json', import.meta.url))
const text = `${JSON.stringify(bookJsonSchema(), null, 2)}\n`

if (!process.argv.includes('--check')) writeFileSync(FILE, text)
else if (readFileSync(FILE, 'utf8') !== text) {
  console.error('docs/book.schema.json is out of date: run `npm run schema`')
  process.exitCode = 1
}
