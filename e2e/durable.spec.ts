import { execFileSync } from 'node:child_process'
import { appendFileSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Entry } from '@ellop/core'
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test'
import { CHROMIUM_LAUNCH } from './browser'
import { startOwn } from './cook'

const KILLS = 50
/** From the press of the button: some of these are before it is stored and some after. */
const IMPORT_KILLS_AFTER_ms = [30, 120, 240, 1500]
const IMPORTED = 40_000
const LONGEST_ms = 700

/** Chance of the moment of a kill, from one seed. */
function chance(seed: number): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0
    return state / 4_294_967_296
  }
}

/** Ends every process of a browser at once, as a flat battery does. */
function killBrowser(profile: string): void {
  try {
    execFileSync('pkill', ['-9', '-f', profile])
  } catch {
    // None was left to kill.
  }
}

async function start(profile: string): Promise<{ context: BrowserContext; page: Page }> {
  const context = await chromium.launchPersistentContext(profile, {
    ...CHROMIUM_LAUNCH,
    baseURL: 'http://localhost:4191',
    // What keeps the program in the browser is walked in offline.spec: here each start would wait for it.
    serviceWorkers: 'block',
  })
  return { context, page: context.pages()[0] ?? (await context.newPage()) }
}

/** How many entries the store holds, loose ones and those gathered in blocks. */
async function countStored(page: Page): Promise<number> {
  return page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const asked = indexedDB.open('ellop-demo')
      asked.onsuccess = () => resolve(asked.result)
      asked.onerror = () => reject(new Error('no store'))
    })
    const all = <T>(name: string) =>
      new Promise<T[]>((resolve) => {
        const asked = db.transaction(name).objectStore(name).getAll()
        asked.onsuccess = () => resolve(asked.result as T[])
      })
    const [entries, blocks] = await Promise.all([all('entries'), all<{ text: string }>('blocks')])
    db.close()
    return entries.length + blocks.reduce((sum, { text }) => sum + (JSON.parse(text) as unknown[]).length, 0)
  })
}

/** Notes somebody else who eats. */
async function eats(page: Page, name: string): Promise<void> {
  await page.goto('/books')
  await page.getByLabel('Somebody else').fill(name)
  await page.getByRole('button', { name: 'Add them' }).click()
  await expect(page.locator('.books')).toContainText(name)
}

/** What was brought back stays, and is not told again. */
async function isWholeFromNow(page: Page): Promise<void> {
  await page.reload()
  await expect(page.locator('.place-head p').first()).toContainText('5 entries')
  await expect(page.locator('.offline-bar')).toHaveCount(0)
}

// A trace of a browser that is killed cannot be kept.
test.use({ trace: 'off' })

test(`killed ${KILLS} times while entries are being noted, the book loses none that was said to be noted`, async () => {
  test.setTimeout(900_000)
  const profile = mkdtempSync(join(tmpdir(), 'ellop-kill-'))
  const random = chance(20270516)
  let known = 0
  let noted = 0
  try {
    for (let kill = 0; kill < KILLS; kill += 1) {
      const { page } = await start(profile)
      await page.goto('/lot/27-004')
      await page.getByRole('tab', { name: 'Note something else' }).click()
      const stored = await countStored(page)
      expect(stored, `after kill ${kill}`).toBeGreaterThanOrEqual(known)
      const button = page.getByRole('button', { name: 'I met it, and was sure' })
      await button.waitFor()
      // Notes as fast as the screen says “noted”, and counts what it said, each message once.
      await page.evaluate(() => {
        const counter = window as unknown as { said: number }
        counter.said = 0
        const counted = new WeakSet<Element>()
        const find = () =>
          [...document.querySelectorAll('button')].find((each) => each.textContent === 'I met it, and was sure')
        new MutationObserver(() => {
          for (const message of document.querySelectorAll('.said p')) {
            if (counted.has(message) || message.textContent?.includes('Meeting noted') !== true) continue
            counted.add(message)
            counter.said += 1
            find()?.click()
          }
        }).observe(document.body, { childList: true, subtree: true })
        find()?.click()
      })
      const until = performance.now() + random() * LONGEST_ms
      let said = 0
      while (performance.now() < until) said = await page.evaluate(() => (window as unknown as { said: number }).said)
      killBrowser(profile)
      known = stored + said
      noted += said
    }
    const { context, page } = await start(profile)
    await page.goto('/notebook')
    const head = page.locator('.place-head p').first()
    await expect(head).toContainText('entries')
    expect(Number(((await head.textContent()) ?? '').split(' ')[0])).toBeGreaterThanOrEqual(known)
    await context.close()
    process.stdout.write(`${KILLS} kills, ${noted} entries said to be noted, none lost\n`)
    expect(noted).toBeGreaterThan(KILLS)
  } finally {
    killBrowser(profile)
    rmSync(profile, { recursive: true, force: true })
  }
})

test(`killed ${IMPORT_KILLS_AFTER_ms.length} times in the middle of an import, the book has all of it or none`, async () => {
  test.setTimeout(300_000)
  const profile = mkdtempSync(join(tmpdir(), 'ellop-import-'))
  const outcomes: string[] = []
  try {
    for (const [kill, wait_ms] of IMPORT_KILLS_AFTER_ms.entries()) {
      const { page } = await start(profile)
      await page.goto('/notebook')
      await page.getByRole('heading', { level: 1 }).waitFor()
      const before = await countStored(page)
      await page.getByLabel('A book file').setInputFiles({
        name: 'book.json',
        mimeType: 'application/json',
        buffer: Buffer.from(manyMeetings(kill)),
      })
      const add = page.getByRole('button', { name: 'Add them' })
      await add.waitFor({ timeout: 60_000 })
      void add.evaluate((button: HTMLButtonElement) => button.click()).catch(() => undefined)
      await new Promise((resolve) => setTimeout(resolve, wait_ms))
      killBrowser(profile)
      const again = await start(profile)
      await again.page.goto('/notebook')
      await again.page.getByRole('heading', { level: 1 }).waitFor()
      const after = await countStored(again.page)
      outcomes.push(after === before ? 'none' : 'all')
      expect([before, before + IMPORTED]).toContain(after)
      await again.context.close()
    }
    process.stdout.write(`imports of ${IMPORTED} entries killed: ${outcomes.join(', ')}\n`)
  } finally {
    killBrowser(profile)
    rmSync(profile, { recursive: true, force: true })
  }
})

test('a database that the browser throws away after a crash is brought back whole, list of books and all', async () => {
  test.setTimeout(120_000)
  const profile = mkdtempSync(join(tmpdir(), 'ellop-torn-'))
  try {
    const first = (await start(profile)).page
    await startOwn(first, 'Loft kitchen', 'Una')
    await eats(first, 'Vesna')
    killBrowser(profile)
    tearLog(profile)
    // All is still there, and what is noted now is written behind the torn end.
    const second = (await start(profile)).page
    await eats(second, 'Rana')
    await eats(second, 'Iven')
    killBrowser(profile)
    const { page, context } = await start(profile)
    await page.goto('/notebook')
    await expect(page.locator('.offline-bar')).toContainText('had lost 5 entries')
    await expect(page.locator('.path-bar')).toContainText('Your book')
    await expect(page.locator('.notebook')).toContainText('Iven')
    await expect(page.locator('.place-head p').first()).toContainText('5 entries')
    await isWholeFromNow(page)
    await context.close()
  } finally {
    killBrowser(profile)
    rmSync(profile, { recursive: true, force: true })
  }
})

test('what a browser loses of the end of its database is back before the book is shown', async () => {
  test.setTimeout(120_000)
  const profile = mkdtempSync(join(tmpdir(), 'ellop-tail-'))
  try {
    const first = (await start(profile)).page
    await startOwn(first, 'Loft kitchen', 'Una')
    for (const name of ['Vesna', 'Rana', 'Iven']) await eats(first, name)
    // As after a record that was torn in the middle: what was written behind it is not there.
    await first.evaluate(async () => {
      const [found] = (await indexedDB.databases()).filter(({ name }) => name?.startsWith('ellop-own') === true)
      const db = await new Promise<IDBDatabase>((resolve) => {
        const asked = indexedDB.open(found?.name ?? '')
        asked.onsuccess = () => resolve(asked.result)
      })
      const store = db.transaction('entries', 'readwrite', { durability: 'strict' }).objectStore('entries')
      const keys = await new Promise<IDBValidKey[]>((resolve) => {
        const asked = store.getAllKeys()
        asked.onsuccess = () => resolve(asked.result)
      })
      for (const key of keys.slice(-2)) store.delete(key)
      await new Promise((resolve) => store.transaction.addEventListener('complete', resolve))
      db.close()
    })
    killBrowser(profile)
    const { page, context } = await start(profile)
    await page.goto('/notebook')
    await expect(page.locator('.place-head p').first()).toContainText('5 entries', { timeout: 5000 })
    await expect(page.locator('.offline-bar')).toContainText('had lost 2 entries')
    await isWholeFromNow(page)
    await context.close()
  } finally {
    killBrowser(profile)
    rmSync(profile, { recursive: true, force: true })
  }
})

/** Leaves the head of a record at the end of the database's log and nothing behind it, as a browser does that is killed between the two. */
function tearLog(profile: string): void {
  const folder = join(profile, 'Default', 'IndexedDB', 'http_localhost_4191.indexeddb.leveldb')
  const logs = readdirSync(folder).filter((file) => file.endsWith('.log'))
  expect(logs).not.toHaveLength(0)
  for (const file of logs) appendFileSync(join(folder, file), Buffer.from([1, 2, 3, 4, 0, 1, 1]))
}

/** A file of the demonstration with many entries that it does not hold yet. */
function manyMeetings(run: number): string {
  const at = '2026-05-01T09:00:00.000Z'
  const entries: Entry[] = Array.from({ length: IMPORTED }, (_, index) => ({
    id: `bulk-${run}-${index}`,
    at,
    noted: at,
    book: 'demo',
    by: 'cook',
    device: 'elsewhere',
    type: 'plant-met',
    taxon: 'Urtica dioica',
    stage: 'young',
  }))
  return JSON.stringify({
    format: 'ellop-book',
    version: 2,
    book: 'demo',
    exportedAt: at,
    catalogueRevision: 'x',
    count: entries.length,
    entries,
  })
}
