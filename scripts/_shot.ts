import { chromium } from '/work/main/node_modules/@playwright/test/index.mjs'
import { CHROMIUM_LAUNCH } from '/work/main/e2e/browser'
const b = await chromium.launch(CHROMIUM_LAUNCH)
const [w, h] = (process.argv[2] ?? '1280x800').split('x').map(Number)
const page = await b.newPage({ viewport: { width: w!, height: h! } })
page.on('console', (m) => {
  if (m.type() === 'error' || m.type() === 'warning') console.log('console', m.text().slice(0, 400))
})
page.on('pageerror', (e) => console.log('pageerror', e.message))
await page.goto('http://localhost:4180/basket')
await page.waitForTimeout(1500)
for (const arg of process.argv.slice(3)) {
  const [path, out] = arg.split('=>')
  await page.goto('http://localhost:4180' + path)
  await page.waitForTimeout(900)
  await page.screenshot({ path: out! })
}
await b.close()
