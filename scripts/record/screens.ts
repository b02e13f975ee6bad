import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { serve } from '@hono/node-server'
import { chromium } from '@playwright/test'
import { makeApp } from '@ellop/server'
import { CHROMIUM_LAUNCH } from '../../e2e/browser'
import { SCREENS } from '../../e2e/cook'
import { hashOf } from './hash'

const PORT = 4199
/** The demonstration stands still at its own moment; the browser's clock is set so that nothing else moves either. */
const NOW = new Date('2026-11-24T12:00:00Z')
const TABS = ['Gates', 'Plan', 'Story', 'Note something else']

/** A line a screen and tab: a hash of its text and of its picture below the header; both are kept in the folder, to be compared. */
export async function recordScreens(folder: string): Promise<readonly string[]> {
  mkdirSync(folder, { recursive: true })
  const dist = fileURLToPath(new URL('../../web/dist', import.meta.url))
  const server = serve({ fetch: makeApp(dist).fetch, port: PORT })
  const browser = await chromium.launch(CHROMIUM_LAUNCH)
  const lines: string[] = []
  for (const path of SCREENS) {
    const page = await browser.newPage({
      viewport: { width: 1280, height: 800 },
      baseURL: `http://localhost:${PORT}`,
      reducedMotion: 'reduce',
    })
    // The clock stands; timers run.
    await page.clock.setFixedTime(NOW)
    await page.goto(path)
    await page.locator('main[data-place] h1').first().waitFor({ timeout: 60_000 })
    await page.waitForTimeout(2500)
    const tabs = path.startsWith('/lot/27-00') && !path.endsWith('/tells') ? TABS : ['']
    for (const tab of tabs) {
      if (tab !== '') {
        const link = page.getByRole('tab', { name: tab })
        if ((await link.count()) === 0) continue
        await link.first().click()
        await page.waitForTimeout(800)
      }
      const name = `${path}${tab === '' ? '' : ` ${tab}`}`.replaceAll(/[^\w-]+/g, '_')
      const text = await page.locator('main').innerText()
      const picture = await page.locator('main').screenshot({ animations: 'disabled' })
      writeFileSync(join(folder, `${name}.txt`), text)
      writeFileSync(join(folder, `${name}.png`), picture)
      lines.push(`screen ${name} text:${hashOf(text)} picture:${hashOf(picture.toString('base64'))}`)
    }
    await page.close()
  }
  await browser.close()
  server.close()
  return lines
}
