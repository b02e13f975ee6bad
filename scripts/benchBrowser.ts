import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { CATALOGUE, foldLog, writeBook, type Entry } from '@ellop/core'
import { DEMO_OPENS_AT } from '@ellop/demo'
import { serve } from '@hono/node-server'
import { chromium, type Locator, type Page } from '@playwright/test'
import { makeApp } from '@ellop/server'
import { CHROMIUM_LAUNCH } from '../e2e/browser'

const PORT = 4195
const LONG_ms = 120_000
/** So long after an act the page has drawn all that it changes. */
const SETTLED_ms = 1500
const OPENINGS = 7
const AMENDED = 5

/**
 * The large book in a real browser: how long it takes to open from the store, and what the screen computes for one entry. The
 * reference is measured anew beside each figure: a shared machine is twice as slow a minute later.
 */
export async function benchBrowser(large: readonly Entry[], referenceNow: () => number): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'ellop-bench-'))
  const file = join(folder, 'large.json')
  const log = foldLog(large)
  writeFileSync(
    file,
    writeBook({ book: 'demo', log, exportedAt: DEMO_OPENS_AT, catalogueRevision: CATALOGUE.revision }),
  )
  const dist = fileURLToPath(new URL('../web/dist', import.meta.url))
  const server = serve({ fetch: makeApp(dist).fetch, port: PORT })
  const context = await chromium.launchPersistentContext(join(folder, 'profile'), {
    ...CHROMIUM_LAUNCH,
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  })
  const page = context.pages()[0] ?? (await context.newPage())
  page.setDefaultTimeout(LONG_ms)
  const print = (what: string, ms: number, target: string) => {
    const reference = referenceNow()
    const ratio = (ms / reference).toFixed(2)
    console.log(
      `${what.padEnd(44)} ${ms.toFixed(2).padStart(9)} ms  ${ratio.padStart(8)} × reference (now ${reference.toFixed(2)} ms)  ${target}`,
    )
  }
  try {
    await page.goto('/notebook')
    await page.getByLabel('A book file').setInputFiles(file)
    print(
      'browser: import them, scripting',
      await scripting(page, () => page.getByRole('button', { name: 'Add them' }).click(), 'added'),
      '',
    )
    await page.close()
    const opened: number[] = []
    for (let round = 0; round < OPENINGS; round += 1) {
      const fresh = await context.newPage()
      const begun = performance.now()
      await fresh.goto('/basket')
      await fresh.getByRole('heading', { level: 1, name: 'basket' }).waitFor({ timeout: LONG_ms })
      opened.push(performance.now() - begun)
      await fresh.close()
    }
    print('browser: open the book from the store', median(opened), '< 2,000 ms, median of seven')
    const desk = await context.newPage()
    desk.setDefaultTimeout(LONG_ms)
    await desk.goto('/lot/27-004')
    await desk.getByRole('tab', { name: 'Note something else' }).click()
    const meet = desk.getByRole('button', { name: 'I met it, and was sure' })
    await meet.click()
    await desk.locator('.said', { hasText: 'Meeting noted' }).waitFor()
    await desk.waitForTimeout(2500)
    const noted: number[] = []
    // The program is compiled as it runs: the first notes of a session cost more than any after them.
    for (let round = 0; round < 7; round += 1) {
      noted.push(await scripting(desk, () => meet.click(), 'Meeting noted'))
      await desk.waitForTimeout(SETTLED_ms)
    }
    print('browser: note one entry, scripting', noted[0] ?? 0, 'the first of a session')
    print('browser: note one entry, scripting', median(noted), '< 50 ms, median of seven')
    await desk.goto('/notebook?find=sorted')
    const dialog = desk.getByRole('dialog')
    const redated: number[] = []
    const struck: number[] = []
    for (let round = 0; round < AMENDED; round += 1) {
      await desk
        .getByRole('button', { name: /^Change the time: Sorted/ })
        .first()
        .click()
      await dialog.getByLabel('Day').fill('2027-05-16')
      await dialog.getByLabel('Time').fill(`14:0${round + 1}`)
      await dialog.getByLabel('Why').fill('the clock was wrong')
      const redate = desk.getByRole('button', { name: 'Press and hold to change the time' })
      redated.push(await scripting(desk, await pressed(desk, redate), 'Time changed'))
      await desk
        .getByRole('button', { name: /^Strike out: Sorted/ })
        .first()
        .click()
      await dialog.getByLabel('Why').fill('not so')
      const strike = desk.getByRole('button', { name: 'Press and hold to cross out' })
      struck.push(await scripting(desk, await pressed(desk, strike), 'Struck out;'))
    }
    print('browser: date one back, scripting', redated[0] ?? 0, 'the first of a session')
    print('browser: date one back, scripting', median(redated), '< 100 ms, median of five')
    print('browser: strike one out, scripting', struck[0] ?? 0, 'the first of a session')
    print('browser: strike one out, scripting', median(struck), '< 100 ms, median of five')
  } finally {
    await context.close()
    server.close()
    rmSync(folder, { recursive: true, force: true })
  }
}

function median(figures: readonly number[]): number {
  return figures.toSorted((a, b) => a - b)[figures.length >> 1] ?? 0
}

/** Presses a button that acts when held, and gives what is left to do: what the finger costs is not what the book costs. */
async function pressed(page: Page, button: Locator): Promise<() => Promise<void>> {
  // Not before it stands still: a dialog comes in moving.
  await button.hover()
  await page.mouse.down()
  return () => page.waitForTimeout(700)
}

/** Milliseconds of script that a page runs from an act until it has settled; then it must say so. */
async function scripting(page: Page, act: () => Promise<void>, says: string): Promise<number> {
  const client = await page.context().newCDPSession(page)
  await client.send('Performance.enable')
  const total = async () => {
    const { metrics } = await client.send('Performance.getMetrics')
    return 1000 * (metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? 0)
  }
  const before = await total()
  await act()
  // Nothing asks the page until it is done: looking for a text would run script of its own in it.
  await page.waitForTimeout(SETTLED_ms)
  const after = await total()
  await client.detach()
  await page.locator('.said', { hasText: says }).waitFor()
  return after - before
}
