import { expect, test } from '@playwright/test'
import { hold, openDemo } from './cook'

test('a rehearsal played well, and one played badly, with the truth at the end beside the best', async ({ page }) => {
  await openDemo(page, '/rehearsal/the-damp-sack')
  await page.getByRole('button', { name: 'Look and smell closely' }).click()
  await expect(page.getByText('grey and furred inside')).toBeVisible()
  await hold(page, page.getByRole('button', { name: 'Press and hold to throw it away' }))
  await expect(page.getByRole('heading', { name: 'Well done' })).toBeVisible()

  await page.getByRole('link', { name: 'All rehearsals' }).first().click()
  await expect(page.locator('.rehearsal-card', { hasText: 'The damp sack' })).toContainText('Well done')
  // It is kept when the page is not.
  await page.reload()
  await expect(page.locator('.rehearsal-card', { hasText: 'The damp sack' })).toContainText('Well done')
  await page.locator('.rehearsal-card', { hasText: 'Guests tonight' }).click()
  await page.getByText('1 mm', { exact: true }).click()
  await page.getByText('at the boil', { exact: true }).click()
  await page.getByRole('button', { name: 'Taste a crumb' }).click()
  await expect(page.getByText('before anything is tasted')).toBeVisible()
  for (let bath = 0; bath < 2; bath += 1) {
    await page.getByRole('button', { name: /water on$/ }).click()
    await expect(page.locator('.rehearsal-story li')).toHaveCount(3 + bath)
  }
  await hold(page, page.getByRole('button', { name: 'Press and hold to serve it' }))
  await expect(page.getByRole('heading', { name: 'Not like that' })).toBeVisible()
  await expect(page.locator('.rehearsal-risks')).toContainText('fewer than the record’s least')
  await expect(page.getByRole('row', { name: /^quickest/ })).toBeVisible()
  await page.getByRole('button', { name: 'Again, with another lot' }).click()
  await expect(page.getByText('Nothing yet.')).toBeVisible()

  await page.getByText('at the boil', { exact: true }).click()
  for (let bath = 0; bath < 6; bath += 1) {
    await page.getByRole('button', { name: /water on$/ }).click()
    await expect(page.locator('.rehearsal-story li')).toHaveCount(1 + bath)
  }
  await page.getByRole('button', { name: 'Taste a crumb' }).click()
  await expect(page.getByRole('heading', { name: 'What the forecast makes of your crumbs' })).toBeVisible()
})

test('a stand-in thermometer is set right, drops out, and is taken with one key into the blanch it was read at', async ({
  page,
}) => {
  await openDemo(page, '/kitchen?fast=20')
  const probe = page.locator('.instrument', { hasText: 'Probe thermometer' })
  await probe.getByRole('button', { name: 'Set it right' }).click()
  await probe.getByRole('button', { name: 'Save calibration' }).click()
  await expect(probe).toContainText('which is taken off')
  // It is in the book, and not only on the page.
  await page.reload()
  await expect(probe).toContainText('which is taken off')
  await page.goto('/lot/27-004?fast=20&instruments=lost')
  await page.getByLabel('Food in load 3').fill('100')
  await hold(page, page.getByRole('button', { name: 'When it boils again: press and hold' }))
  await page.getByRole('button', { name: 'Read the probe thermometer' }).click()
  await expect(page.getByText('No signal. It may come back; by hand works too.')).toBeVisible()
  await page.getByRole('button', { name: 'By hand' }).click()
  await page.getByLabel('Thermometer').fill('95')

  await page.evaluate(() => history.replaceState({}, '', '/lot/27-004?fast=20'))
  await page.getByRole('button', { name: 'Read the probe thermometer' }).click()
  await expect(page.locator('.reading-value.steady')).toBeVisible()
  await page.keyboard.press('r')
  await expect(page.getByText(/°C taken/)).toBeVisible()
  const read = Number(await page.getByLabel('Thermometer').inputValue())
  expect(Math.abs(read - 96)).toBeLessThan(1)
  await page.getByRole('tab', { name: 'Story' }).click()
  await expect(page.getByText(/stand-in probe thermometer/)).toBeVisible()
})

test('lots are timed to be ready together, with a reason for what is not in it, and handed on with what nobody has signed', async ({
  page,
}) => {
  await openDemo(page, '/kitchen')
  const table = page.getByRole('region', { name: 'All ready together' })
  for (const lot of ['Nettle tops', 'Acorns']) await table.getByRole('checkbox', { name: lot }).check()
  await expect(table).toContainText('Left out of this timetable: Acorns. It takes days: see Due.')
  await expect(table).toContainText('Begun now it is on the table at', { timeout: 15_000 })
  await expect(table.locator('.timetable-list li').last()).toContainText('The table: serve')
  await table.getByRole('checkbox', { name: 'Nettle tops' }).uncheck()
  await expect(table.locator('.timetable-list')).toHaveCount(0)
  await page.getByRole('link', { name: 'Hand over this kitchen' }).click()
  const acorns = page.locator('section', { has: page.getByRole('heading', { name: /^Acorns/ }) })
  await expect(acorns).toContainText('NOT YET FOOD')
  await expect(acorns).toContainText('3 of at least 6 baths are done')
  await expect(acorns).toContainText('Last: Fresh water on it')
})
