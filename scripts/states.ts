import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { serve } from '@hono/node-server'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { makeApp } from '@ellop/server'
import { CHROMIUM_LAUNCH } from '../e2e/browser'
import { startOwn } from '../e2e/cook'
import { freshBook } from './freshStates'
import { demo, HOUSE_TYPES, renamed } from './largeBook'

/**
 * Every place in every state, four to a picture: `npm run states -- FOLDER [STATE]`. To be looked at, never committed.
 */
const [folder = 'states', only] = process.argv.slice(2)
const PORT = 4194
const DESK = { width: 1280, height: 800 }
const PLACES = ['/basket', '/kitchen', '/table', '/larder', '/season', '/outing', '/notebook', '/books', '/recall', '/ill', '/plants'] as const // prettier-ignore
const LOTS = ['/lot/27-001', '/lot/27-003', '/lot/27-006', '/lot/27-006/tells', '/lot/none', '/patch/north-wood']
const FRESH_LOTS = [
  'limp',
  'rotten',
  'cut',
  'bath',
  'leached',
  'drying',
  'cooked',
  'cooked-cold',
  'cooked-over',
  'held',
].map((name) => `/lot/A-${name}`)
/** So many times the demonstration's lots, all of them in hand: more than sixty. */
const COPIES = 8

const full = Array.from({ length: COPIES }, (_, copy) =>
  demo
    .filter(({ type }) => !HOUSE_TYPES.includes(type))
    .map((entry) => JSON.parse(JSON.stringify(entry, renamed(copy + 1))) as unknown),
).flat()

/** Puts entries into the demonstration's book, as a file of it would. */
async function takeIn(page: Page, entries: readonly unknown[]): Promise<void> {
  await page.goto('/notebook')
  const content = { format: 'ellop-book', version: 2, book: 'demo', exportedAt: '2027-05-16T12:00:00.000Z', catalogueRevision: 'x', count: entries.length, entries } // prettier-ignore
  const buffer = Buffer.from(JSON.stringify(content))
  await page.getByLabel('A book file').setInputFiles({ name: 'b.json', mimeType: 'application/json', buffer })
  await page.getByRole('button', { name: 'Add them' }).click({ timeout: 60_000 })
  await page
    .locator('.place-head p', { hasText: `${(demo.length + entries.length).toLocaleString('en')} entries` })
    .waitFor()
}

interface State {
  readonly places: readonly string[]
  readonly before?: (page: Page, context: BrowserContext) => Promise<unknown>
}

const STATES: Readonly<Record<string, State>> = {
  plants: { places: [...PLACES, ...LOTS] },
  empty: { places: [...PLACES, '/lot/none'], before: (page) => startOwn(page, 'Loft kitchen', 'Una') },
  full: {
    places: [...PLACES, '/lot/27-006'],
    before: (page) => takeIn(page, full),
  },
  freshness: {
    places: ['/basket', '/larder', '/kitchen', '/handing-on', '/table', ...FRESH_LOTS],
    before: (page) => takeIn(page, freshBook()),
  },
  loading: {
    places: [...PLACES.slice(0, 10), '/lot/27-006', '/lot/27-006/tells'],
    before: (page) => page.addInitScript(() => (indexedDB.open = () => ({}) as IDBOpenDBRequest)),
  },
  failing: {
    places: ['/basket', '/ill', '/recall', '/lot/27-006'],
    before: (page) =>
      page.addInitScript(() => {
        indexedDB.open = () => {
          throw new DOMException('The disk is broken', 'UnknownError')
        }
      }),
  },
  withoutWorkers: {
    places: ['/lot/27-005', '/season', '/outing', '/plant/Allium%20ursinum'],
    before: (page) =>
      page.addInitScript(() => {
        window.Worker = function forbidden() {
          throw new DOMException('Forbidden', 'SecurityError')
        } as never
      }),
  },
  withoutParts: {
    places: [...PLACES.slice(0, 10), '/lot/27-006', '/lot/27-006/tells'],
    before: (_, context) => context.route(/assets\/[A-Z]\w*(Place|Form)-.*\.js/, (route) => route.abort()),
  },
}

if (only !== undefined && STATES[only] === undefined) {
  console.error(`states: there is no state called ${only}; the states are ${Object.keys(STATES).join(', ')}.`)
  process.exit(2)
}
const server = serve({ fetch: makeApp(fileURLToPath(new URL('../web/dist', import.meta.url))).fetch, port: PORT })
const browser = await chromium.launch(CHROMIUM_LAUNCH)
mkdirSync(folder, { recursive: true })

async function shoot(name: string, viewport: { width: number; height: number }, across: number, down: number) {
  const { places, before } = STATES[name] as State
  const context = await browser.newContext({ viewport, baseURL: `http://localhost:${PORT}`, serviceWorkers: 'block' })
  const page = await context.newPage()
  await before?.(page, context)
  const taken: string[] = []
  for (const place of places) {
    await page.goto(place)
    await page.waitForTimeout(2500)
    taken.push((await page.screenshot()).toString('base64'))
  }
  await context.close()
  const width_px = Math.floor(1560 / across)
  const sheet = await browser.newPage({ viewport: { width: 1560, height: 900 } })
  for (let from = 0; from < taken.length; from += across * down) {
    const pictures = taken
      .slice(from, from + across * down)
      .map((data) => `<img src="data:image/png;base64,${data}" width="${width_px - 6}" style="border:1px solid #888">`)
    await sheet.setContent(`<body style="margin:0;display:flex;flex-wrap:wrap;gap:4px">${pictures.join('')}`)
    await sheet.screenshot({
      path: join(folder, `${name}-${viewport.width}-${from / (across * down) + 1}.png`),
      fullPage: true,
    })
  }
  await sheet.close()
}

for (const name of Object.keys(STATES).filter((each) => only === undefined || each === only)) {
  await shoot(name, DESK, 2, 2)
  await shoot(name, { width: 390, height: 844 }, 6, 1)
}
await browser.close()
server.close()
