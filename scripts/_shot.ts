import { fileURLToPath } from 'node:url'
import { serve } from '@hono/node-server'
import { chromium } from '@playwright/test'
import { makeApp } from '@ellop/server'
import { CHROMIUM_LAUNCH } from '/work/main/e2e/browser'
const [path, out, w = '1280', h = '800', full] = process.argv.slice(2)
const server = serve({ fetch: makeApp('/work/main/web/dist').fetch, port: 4197 })
const browser = await chromium.launch(CHROMIUM_LAUNCH)
const page = await browser.newPage({ viewport: { width: +w, height: +h }, baseURL: 'http://localhost:4197' })
page.on('console', (m) => {
  if (m.type() === 'error') console.log(m.text().slice(0, 400))
})
page.on('pageerror', (e) => console.log(String(e.stack).slice(0, 600)))
await page.goto(path)
await page.waitForTimeout(+(process.env.WAIT ?? 2500))
await page.screenshot({ path: out, fullPage: full === 'full' })
await browser.close()
server.close()
