import { existsSync, mkdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { CHARACTERS } from '@ellop/core'
import { chromium } from '@playwright/test'
import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { chance } from '../core/src/quantity/chance'
import { CHROMIUM_LAUNCH } from '../e2e/browser'
import { drawState } from '../web/src/drawing/plant'

/**
 * The drawings of the tells, read without their labels. `npm run drawings -- sheets SEED FOLDER` makes pictures of all of
 * them, shuffled and numbered, each under the name of its character alone; a reader writes a line `NUMBER STATE` for each.
 * `npm run drawings -- check SEED FILE` opens the key and prints how many were right, and every confusion.
 */
const [task, seed = '', place = ''] = process.argv.slice(2)
const A_SHEET = 40
const ENOUGH = 0.9

interface Drawn {
  readonly character: string
  readonly state: string
}

const drawn = Object.entries(CHARACTERS).flatMap(([character, { states }]) =>
  states.filter((state) => drawState(character, state) !== undefined).map((state): Drawn => ({ character, state })),
)

/** Each in a place of its own by chance: what stands beside a drawing says nothing of what it is. */
function shuffled(): readonly Drawn[] {
  const random = chance(Number(seed))
  return drawn
    .map((each) => ({ each, by: random() }))
    .toSorted((a, b) => a.by - b.by)
    .map(({ each }) => each)
}

function cell({ character, state }: Drawn, number: number): string {
  const svg = createElement('svg', { viewBox: '0 0 80 80', width: 132, height: 132 }, drawState(character, state))
  return `<figure>${renderToStaticMarkup(svg)}<figcaption>${number} ${character}</figcaption></figure>`
}

const STYLE = `body { display: grid; grid-template-columns: repeat(8, 150px); gap: 4px; margin: 8px; background: #fffdf8 }
figure { margin: 0; text-align: center } figcaption { font: 600 15px sans-serif; color: #1e2c26 }`

async function makeSheets(): Promise<void> {
  mkdirSync(place, { recursive: true })
  const all = shuffled()
  const browser = await chromium.launch(CHROMIUM_LAUNCH)
  const page = await browser.newPage({ viewport: { width: 1264, height: 820 } })
  for (let from = 0; from < all.length; from += A_SHEET) {
    const cells = all.slice(from, from + A_SHEET).map((each, index) => cell(each, from + index + 1))
    await page.setContent(`<style>${STYLE}</style>${cells.join('')}`)
    await page.screenshot({ path: join(place, `sheet-${from / A_SHEET + 1}.png`), fullPage: true })
  }
  await browser.close()
  console.log(`${all.length} drawings of ${drawn.length} states in ${place}`)
}

function check(): void {
  const said = new Map<number, string>()
  for (const line of readFileSync(place, 'utf8').split('\n')) {
    const [number = '', state = ''] = line.trim().split(/\s+/)
    if (number !== '') said.set(Number(number), state)
  }
  const read = shuffled().map((each, index) => ({
    ...each,
    number: index + 1,
    said: said.get(index + 1) ?? 'not read',
  }))
  const foreign = read.filter(
    ({ character, said }) => said !== 'not read' && !CHARACTERS[character]?.states.includes(said),
  )
  for (const each of foreign) console.log(`${each.number}: ${each.character} has no state ${each.said}`)
  const confused = read.filter(({ state, said }) => said !== state)
  for (const each of confused) console.log(`${each.number} ${each.character}: ${each.state} was taken for ${each.said}`)
  const right = read.length - confused.length
  console.log(`${right} of ${read.length} right (${((100 * right) / read.length).toFixed(1)} %)`)
  process.exitCode = right >= ENOUGH * read.length ? 0 : 1
}

if (task === 'check' && !existsSync(place)) {
  console.error(`drawings: there is no file of answers called ${place}.`)
  process.exitCode = 2
} else if (!/^\d+$/.test(seed) || place === '' || (task !== 'sheets' && task !== 'check')) {
  console.error(
    'drawings: say sheets or check, then a seed (a whole number), then a folder for the sheets or the file of answers.',
  )
  process.exitCode = 2
} else if (task === 'sheets') await makeSheets()
else check()
