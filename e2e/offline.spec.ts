import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { makeApp } from '@ellop/server'
import { serve } from '@hono/node-server'
import { expect, test } from '@playwright/test'
import { allKept } from './browser'
import { hold } from './cook'

const PORT = 4193
const dist = fileURLToPath(new URL('../web/dist', import.meta.url))

test.use({ serviceWorkers: 'allow', baseURL: `http://localhost:${PORT}` })

test('with the server stopped a reload opens the application and the book, and it says that there is no network', async ({
  page,
  context,
}) => {
  const server = serve({ fetch: makeApp(dist).fetch, port: PORT })
  try {
    await page.goto('/basket')
    await expect(page.getByRole('heading', { name: 'In the basket' })).toBeVisible({ timeout: 30_000 })
    await allKept(page)
    // Nothing of what follows comes from a server.
    await new Promise((done) => server.close(done))
    await page.reload()
    await expect(page.getByRole('heading', { name: 'In the basket' })).toBeVisible({ timeout: 30_000 })
    await page.goto('/season')
    await expect(page.getByText('The weather station does not answer')).toBeVisible()
    await page.goto('/lot/27-004')
    await page.getByRole('tab', { name: 'Note something else' }).click()
    await page.getByRole('button', { name: 'I met it, and was sure' }).click()
    await expect(page.getByText('Meeting noted')).toBeVisible()
    await context.setOffline(true)
    await expect(page.getByText('No network: everything works but the weather')).toBeVisible()
    await context.setOffline(false)
    await page.goto('/notebook')
    await expect(page.locator('.notebook li').first()).toContainText('Met nettle')
  } finally {
    server.close()
  }
})

test('a newer version is offered, and not while something runs', async ({ page }) => {
  const copy = mkdtempSync(join(tmpdir(), 'ellop-newer-'))
  cpSync(dist, copy, { recursive: true })
  const server = serve({ fetch: makeApp(copy).fetch, port: PORT + 1 })
  try {
    await page.goto(`http://localhost:${PORT + 1}/basket`)
    await expect(page.getByRole('heading', { name: 'In the basket' })).toBeVisible({ timeout: 30_000 })
    await allKept(page)
    appendFileSync(join(copy, 'sw.js'), '\n// another version\n')
    await page.reload()
    await expect(page.getByRole('button', { name: 'Take it now' })).toBeVisible({ timeout: 20_000 })
    await page
      .getByRole('link', { name: /Nettle tops/ })
      .first()
      .click()
    await hold(page, page.getByRole('button', { name: 'When it boils again: press and hold' }))
    await expect(page.getByText('It is offered again when what is running is done')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Take it now' })).toHaveCount(0)
  } finally {
    server.close()
    rmSync(copy, { recursive: true, force: true })
  }
})
