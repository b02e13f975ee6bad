import { fileURLToPath } from 'node:url'
import { serve } from '@hono/node-server'
import { chromium, type Page } from '@playwright/test'
import { makeApp } from '@ellop/server'
import { CHROMIUM_LAUNCH } from '../e2e/browser'
import { boilLoad, hold } from '../e2e/cook'

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
  await hold(page, page.getByRole('button', { name: 'When it boils again: press and hold' }))
  await page.clock.fastForward(73_000)
  await page.waitForTimeout(500)
  await page.evaluate(() => window.scrollTo(0, 0))
}

await shoot('welcome', '/')
await shoot('basket', '/basket')
await shoot('lot-running', '/lot/27-004', DESK, running)
await shoot('tells', '/lot/27-006/tells')
await shoot('plant', '/plant/Allium%20ursinum')
await shoot('lot-leach', '/lot/27-005', DESK, async (page) => {
  const forecast = page.getByRole('region', { name: 'How many baths more' })
  await forecast.locator('canvas').waitFor()
  await forecast.evaluate((section) => section.scrollIntoView({ block: 'end' }))
  await page.evaluate(() => window.scrollBy(0, 130))
  await page.waitForTimeout(400)
})
/** One of the reckonings that are opened under a leach, once it is told. */
const opened = (summary: string, told: string) => async (page: Page) => {
  await page.getByText(summary, { exact: true }).click()
  const region = page.getByRole('region', { name: told })
  await region.waitFor({ timeout: 60_000 })
  await region.getByRole('img').or(region.getByRole('listitem')).first().waitFor({ timeout: 60_000 })
  await page.waitForTimeout(1500)
  await region.evaluate((section) => section.scrollIntoView())
  await page.evaluate(() => window.scrollBy(0, -60))
  await page.waitForTimeout(300)
}
await shoot('leach-front', '/lot/27-005', DESK, opened('Which baths serve best', 'Which baths serve best'))
await shoot('leach-ways', '/lot/27-005', DESK, opened('The ways on from here, compared', 'The ways on, compared'))
await shoot('palate', '/lot/27-004', DESK, async (page) => {
  await boilLoad(page)
  await page.getByLabel('It weighs').fill('560')
  await page.getByRole('button', { name: 'Weighed', exact: true }).click()
  const score = (note: string, steps: string) =>
    page.getByRole('group', { name: note }).getByText(steps, { exact: true }).click()
  await score('How bitter', '6')
  await score('How much it dries', '2')
  await page.getByRole('button', { name: 'Not yet' }).click()
  await page.getByText('What may be done').waitFor()
  await page.locator('.palate-told').evaluate((told) => told.scrollIntoView({ block: 'end' }))
  await page.evaluate(() => window.scrollBy(0, 110))
  await page.clock.fastForward(5000)
  await page.waitForTimeout(400)
})
await shoot('kitchen', '/kitchen?fast=10', DESK, async (page) => {
  const probe = page.locator('.instrument', { hasText: 'Probe thermometer' })
  await probe.getByRole('button', { name: 'Set it right' }).click()
  await probe.getByRole('button', { name: 'Save calibration' }).click()
  const scale = page.locator('.instrument', { hasText: 'Kitchen scale' })
  await scale.getByRole('button', { name: 'Set it right' }).click()
  await scale.locator('.steady').waitFor()
  // What was said has gone again.
  await page.locator('.said p').waitFor({ state: 'detached' })
})
await shoot('rehearsal', '/rehearsal/guests-tonight', DESK, async (page) => {
  await page.getByText('1 mm', { exact: true }).click()
  await page.getByText('at the boil', { exact: true }).click()
  for (let bath = 0; bath < 6; bath += 1) {
    await page.getByRole('button', { name: /water on$/ }).click()
    await page
      .locator('.rehearsal-story li')
      .nth(bath + 1)
      .waitFor()
  }
  await page.getByRole('button', { name: 'Taste a crumb' }).click()
  await page.getByText('What the forecast makes of your crumbs').waitFor()
  await hold(page, page.getByRole('button', { name: 'Press and hold to serve it' }))
  await page.locator('.rehearsal-end').waitFor()
  await page.waitForTimeout(800)
  await page.evaluate(() => window.scrollTo(0, 0))
})
await shoot('patch', '/patch/north-wood')
const pick = async (page: Page) => {
  for (const name of ['Nettle leafy top, young · Beck wall', 'Ramsons leaf, flowering · North wood'])
    await page.locator('.outing-list li', { hasText: name }).getByRole('checkbox').check()
  // A tick grows into its box.
  await page.clock.fastForward(500)
  await page.waitForTimeout(500)
  await page.evaluate(() => window.scrollTo(0, 0))
}
await shoot('outing-phone', '/outing', PHONE, async (page) => {
  await pick(page)
  await page.getByRole('button', { name: 'Keep this plan' }).click()
  await page.getByRole('heading', { level: 1, name: /^Outing, / }).waitFor()
  await page.clock.fastForward(5000)
  await page.waitForTimeout(700)
  await page.evaluate(() => window.scrollTo(0, 0))
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
await shoot('ill', '/ill', DESK, async (page) => {
  await page.getByText('last 30 days', { exact: true }).click()
  await page.waitForTimeout(200)
})
await browser.close()
server.close()
