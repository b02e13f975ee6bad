import { expect, test } from '@playwright/test'
import { openDemo, OPENING_ms } from './cook'

test('a part of the program that does not come is told in its place; clocks, other places and help go on', async ({
  page,
  context,
}) => {
  await openDemo(page)
  await context.route(/assets\/(SeasonPlace|WeighIn|ShortWindows|Ill.*)-.*\.js/, (route) => route.abort())
  await page.getByRole('link', { name: 'Season' }).click()
  const told = page.getByRole('alert').filter({ hasText: 'This part could not be shown' })
  await expect(told).toContainText('the server or the network does not answer. What you noted is kept.')
  await expect(page.locator('.due-item').first()).toBeVisible()
  await page.getByRole('link', { name: 'Notebook' }).click()
  await expect(page.getByRole('heading', { name: 'The notebook' })).toBeVisible()
  await page.getByRole('link', { name: 'Basket', exact: true }).click()
  await page.getByRole('button', { name: 'Weigh in' }).click()
  await expect(told).toBeInViewport()
  await expect(page.getByRole('heading', { name: 'In the basket' })).toBeAttached()
  await page.getByRole('link', { name: 'Somebody is ill' }).click()
  await expect(page.getByText('Keep a sample')).toBeVisible()
  await context.unrouteAll()
  await page.goto('/season')
  await expect(page.getByRole('heading', { name: 'What is good when' })).toBeVisible()
})

test('a part that is long in coming says so where one went, at once, and comes', async ({ page, context }) => {
  await openDemo(page, '/ill')
  // Who is ill is helped before the book has been opened.
  await expect(page.locator('.due-item').first()).toBeVisible({ timeout: OPENING_ms })
  let come = () => {}
  const asked = new Promise<void>((resolve) => (come = resolve))
  await context.route(/assets\/SeasonPlace-.*\.js/, async (route) => {
    await asked
    await route.continue()
  })
  await page.getByRole('link', { name: 'Season' }).click()
  await expect(page.getByText('One moment: this place is being fetched.')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Season' })).toHaveAttribute('aria-current', 'page')
  await expect(page.getByRole('heading', { name: 'If somebody is ill' })).toBeHidden()
  come()
  await expect(page.getByRole('heading', { name: 'What is good when' })).toBeVisible()
})

test('a program that does not come says so and what to do if somebody is ill, and comes when it is asked again', async ({
  page,
  context,
}) => {
  for (const missing of [/assets\/catalogue-.*\.json/, /assets\/first-.*\.js/]) {
    await context.route(missing, (route) => route.abort())
    await page.goto('/basket')
    const told = page.getByRole('alert')
    await expect(told).toContainText('The program could not be loaded')
    await expect(told).toContainText('call the emergency number or the poison centre now')
    await context.unrouteAll()
    await page.getByRole('button', { name: 'Try again' }).click()
    await expect(page.getByRole('heading', { name: 'In the basket' })).toBeVisible({ timeout: OPENING_ms })
  }
})

test('a browser that gives no workers shows the lot and its gates, and says what could not be reckoned', async ({
  page,
}) => {
  await page.addInitScript(() => {
    window.Worker = function forbidden() {
      throw new DOMException('Forbidden', 'SecurityError')
    } as never
  })
  await openDemo(page, '/lot/27-005')
  await expect(page.locator('#now-title')).toHaveText('Leave it in bath 4')
  await expect(page.getByRole('region', { name: 'How many baths more' })).toContainText('could not be')
  await page.getByRole('link', { name: 'Season' }).click()
  await expect(page.getByRole('alert')).toContainText('could not be')
})

test('a book that does not open says why, once, and who is ill is helped without it', async ({ page }) => {
  await page.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('The disk is broken', 'UnknownError')
    }
  })
  await page.goto('/basket')
  await expect(page.getByRole('heading', { name: 'The book would not open' })).toBeVisible()
  await expect(page.getByText(/^The browser would not give the book out \(The disk is broken\)\./)).toBeVisible()
  await page.getByRole('link', { name: 'Somebody is ill' }).click()
  await expect(page.getByRole('heading', { name: 'If somebody is ill' })).toBeVisible()
  await expect(page.getByText('Call now. Do not wait for it to pass')).toBeVisible()
})
