import { fileURLToPath } from 'node:url'
import { makeApp } from '@ellop/server'
import { serve } from '@hono/node-server'
import { expect, test } from '@playwright/test'
import { allKept } from './browser'
import { choose } from './cook'

const PORT = 4192
const dist = fileURLToPath(new URL('../web/dist', import.meta.url))

test.use({ serviceWorkers: 'allow', baseURL: `http://localhost:${PORT}` })

test('an outing is planned on the desk, done on a phone with the network cut, and judged in the basket', async ({
  page,
  context,
}) => {
  const server = serve({ fetch: makeApp(dist).fetch, port: PORT })
  try {
    // What the stand is wanted for, before anything is cut.
    await page.goto('/patch/beck-wall')
    const nettles = page.locator('.patch-plants > li', { hasText: 'Nettle' }).first()
    await expect(nettles).toBeVisible({ timeout: 30_000 })
    await nettles.getByText('What this stand is for').click()
    await nettles.getByLabel('Left to seed').fill('70')
    await nettles.getByLabel('Bees and other guests').fill('40')
    await nettles.getByRole('button', { name: 'Share it out' }).click()
    await expect(nettles.getByRole('alert')).toHaveText('They come to 110 % of the stand. Leave it at 100 %.')
    await nettles.getByLabel('Bees and other guests').fill('20')
    await nettles.getByRole('button', { name: 'Share it out' }).click()
    await expect(nettles).toContainText('Shared out: 70 % left to seed and 20 % bees and other guests.')

    await page.goto('/outing')
    await expect(page.getByRole('heading', { name: 'An outing' })).toBeVisible({ timeout: 30_000 })
    await allKept(page)
    await page
      .locator('.outing-list li', { hasText: 'Nettle leafy top, young · Beck wall' })
      .getByRole('checkbox')
      .check()
    await page.getByLabel('Who comes').fill('Mirl, Tove')
    await page.getByRole('button', { name: 'Keep this plan' }).click()
    await expect(page.getByText('1 picking to go of 1, for 4 plates · with Mirl and Tove')).toBeVisible()

    await page.setViewportSize({ width: 390, height: 844 })
    await new Promise((done) => server.close(done))
    await context.setOffline(true)
    await page.reload()
    await expect(page.getByRole('heading', { name: /^Outing, / })).toBeVisible({ timeout: 30_000 })
    await expect(page.getByText('Dog’s mercury').or(page.getByText("Dog's mercury"))).toBeVisible()
    await page.getByRole('button', { name: 'Cut and weigh in' }).click()
    await page.getByLabel('You saw growing here').fill('4000')
    await expect(page.getByText(/ are kept for leaves and tops; the rest for what else/)).toBeVisible()
    await page.getByLabel('I looked for who lives on it before cutting').check()
    await page.getByLabel('You cut').fill('60')
    await page.getByRole('button', { name: 'Into the basket' }).click()
    // Nothing is noted of a form that is not whole, and it says which field.
    await expect(page.getByRole('alert')).toHaveText(/^Weight: /)
    await page.getByLabel('It weighs').fill('760')
    await page.getByRole('button', { name: 'Into the basket' }).click()
    await expect(page.getByText('All that was wished is in the basket.')).toBeVisible()
    await page.getByRole('button', { name: 'Litter taken along' }).click()
    await expect(page.getByRole('button', { name: 'Litter taken along' })).toBeDisabled()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)

    const code = (await page.locator('.field-basket a').first().textContent()) ?? ''
    await page.locator('.field-basket a').first().click()
    await expect(page.locator('#now-title')).toBeVisible()
    await page.getByRole('tab', { name: 'Gates' }).click()
    const gate = (name: string) => page.locator('.gate-list li', { hasText: name }).first()
    await expect(gate('Identity')).toHaveClass(/ajar/)
    await expect(gate('Ground')).toHaveClass(/open/)
    await expect(gate('Take')).toHaveClass(/open/)

    await page.getByRole('tab', { name: 'Note something else' }).click()
    const limp = page.locator('section', { has: page.getByRole('heading', { name: 'Limp: bring them back' }) })
    await limp.getByRole('button', { name: 'Note it' }).click()
    await expect(limp.getByRole('alert')).toHaveText('Say what they look like after.')
    await limp.getByText('crisp', { exact: true }).click()
    await limp.getByLabel('Wrapped, and into the cold').check()
    await limp.getByRole('button', { name: 'Note it' }).click()
    await expect(page.locator('.said', { hasText: 'Noted' })).toBeVisible()
    const snaps = page.locator('section', { has: page.getByRole('heading', { name: 'Where it snaps' }) })
    await snaps.getByLabel('Joints on it').fill('3')
    await snaps.getByRole('button', { name: 'And another' }).click()
    await expect(snaps.getByRole('alert')).toHaveText(/^Snapped at: /)
    await snaps.getByLabel('Snapped at').fill('11')
    await snaps.getByLabel('It weighs').fill('4')
    await snaps.getByRole('button', { name: 'And another' }).click()
    await snaps.getByLabel('Snapped at').fill('13')
    await snaps.getByRole('button', { name: 'Note where it snapped' }).click()
    await expect(snaps).toContainText('By your own 2 tips it snaps at about 12 cm')
    await expect(snaps).toContainText('A tip weighs: 3 joints 4 g.')
    const eaten = page.locator('section', { has: page.getByRole('heading', { name: 'Eaten on the way' }) })
    await choose(page, 'Who', 'Mirl')
    await eaten.getByLabel('About how much').fill('5')
    await eaten.getByRole('button', { name: 'Note it' }).click()
    await expect(eaten.getByRole('alert')).toHaveText(/^Make safe is closed\. Nothing of it is eaten raw/)

    // Standing still on the way home: all that is here, and how it stands.
    await page.goto('/patch/beck-wall')
    await page.getByRole('button', { name: 'What is here now' }).click()
    const here = page.getByRole('group', { name: 'Nettle leafy top is', exact: true })
    await expect(page.getByRole('button', { name: 'Say how something stands' })).toBeDisabled()
    await here.getByText('not enough', { exact: true }).click()
    await page.getByRole('button', { name: 'Note this stop (1)' }).click()
    await expect(page.locator('.found tr', { hasText: 'Nettle' })).toContainText('not enoughtoday')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)

    await page.setViewportSize({ width: 1280, height: 800 })
    await page.goto('/basket')
    await expect(page.locator('main')).toContainText(code)
    await page.goto('/patch/beck-wall')
    await expect(page.getByText('litter carried out')).toBeVisible()
    await expect(page.locator('.takes', { hasText: code })).toContainText('60 of 4000 cut')
  } finally {
    await context.setOffline(false)
    server.close()
  }
})
