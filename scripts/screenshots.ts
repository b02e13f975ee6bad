import { fileURLToPath } from 'node:url'
import { serve } from '@hono/node-server'
import { chromium, type Page } from '@playwright/test'
import { makeApp } from '@ellop/server'
import { CHROMIUM_LAUNCH } from '../e2e/browser'
import { hold } from '../e2e/cook'

/** Pictures of each main view, from the demonstration, into docs/screenshots. */
const OUT = fileURLToPath(new URL('../docs/screenshots', import.meta.url))
const PORT = 4193
const DESK = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

const server = serve({ fetch: makeApp(fileURLToPath(new URL('../web/dist', import.meta.url))).fetch, port: PORT })
const browser = await chromium.launch(CHROMIUM_LAUNCH)

async function shoot(
  name: string,
  path: string,
  viewport = DESK,
  before?: (page: Page) => Promise<void>,
): Promise<void> {
  const page = await browser.newPage({ viewport, baseURL: `http://localhost:${PORT}` })
  await page.clock.install({ time: new Date('2026-11-24T12:00:00Z') })
  await page.goto(path)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
  await page.waitForTimeout(600)
  await before?.(page)
  await page.screenshot({ path: `${OUT}/${name}.png` })
  await page.close()
}

/** The last load of the lot from North wood, so many seconds into its two minutes. */
const running = async (page: Page) => {
  await hold(page, page.getByRole('button', { name: 'Hold when it boils again' }))
  await page.clock.fastForward(73_000)
  await page.waitForTimeout(500)
  await page.evaluate(() => window.scrollTo(0, 0))
}

await shoot('welcome', '/')
await shoot('basket', '/basket')
await shoot('lot-running', '/lot/27-004', DESK, running)
await shoot('tells', '/lot/27-006/tells')
await shoot('plant', '/plant/Allium%20ursinum')
await shoot('plants', '/plants?find=hemlock')
await shoot('field-card', '/plant/Aegopodium%20podagraria/card')
await shoot('lot-leach', '/lot/27-005')
await shoot('lot-story', '/lot/26-014', DESK, async (page) => {
  await page.getByRole('tab', { name: 'Story' }).click()
  await page.evaluate(() => window.scrollTo(0, 150))
  await page.waitForTimeout(300)
})
await shoot('season', '/season')
await shoot('stand', '/plant/Allium%20ursinum', DESK, async (page) => {
  const reason = page.getByText('How much a stand bears')
  await reason.click()
  await page.locator('.stand-chart canvas').waitFor()
  await reason.evaluate((summary) => summary.scrollIntoView())
  await page.evaluate(() => window.scrollBy(0, -90))
  await page.waitForTimeout(400)
})
await shoot('larder', '/larder')
await shoot('table', '/table', DESK, async (page) => {
  for (const name of ['Mirl', 'Oswin', 'Tove', 'Pell']) await page.getByRole('checkbox', { name }).check()
  await page.evaluate(() => window.scrollTo(0, 0))
})
await shoot('notebook', '/notebook')
await shoot('recall', '/recall', DESK, async (page) => {
  await page.getByRole('combobox', { name: 'Which' }).click()
  await page.locator('.ant-select-item-option', { hasText: 'Beck wall' }).click()
  await page.getByLabel('What came out').fill('the wall was sprayed on Tuesday')
  await page.waitForTimeout(300)
})
await shoot('ill', '/ill', DESK, async (page) => {
  await page.getByText('last 30 days', { exact: true }).click()
  await page.waitForTimeout(200)
})
await shoot('basket-phone', '/basket', PHONE)
await shoot('lot-phone', '/lot/27-003', PHONE)
await shoot('lot-running-phone', '/lot/27-004', PHONE, running)
await browser.close()
server.close()
