import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { follow, openDemo, startOwn } from './cook'

test('the season tells what is open, what comes and what to look at again; a sighting moves it; a calendar is kept', async ({
  page,
}) => {
  await openDemo(page, '/season')
  await expect(page.getByText('from a simulated station')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Outlook' }).locator('li')).toHaveCount(7)
  const open = page.getByRole('region', { name: 'Open now' })
  await expect(open).toContainText('Norway spruce')
  await expect(open.locator('.season-row', { hasText: 'Hut spruces' })).toContainText('short')
  await expect(page.getByRole('heading', { name: 'Look again' })).toBeVisible()
  await page.locator('.ant-radio-button-wrapper', { hasText: /^roots, bark, sap$/ }).click()
  await expect(page.locator('.season-row')).toHaveCount(1)
  await page.getByLabel('Find in the season').fill('nettle')
  await expect(page.getByRole('heading', { name: 'Nothing of that kind' })).toBeVisible()
  await page.locator('.ant-radio-button-wrapper', { hasText: /^all$/ }).click()
  const beck = page.locator('.season-row', { hasText: 'Beck wall' }).first()
  const seenBefore = await beck.locator('.lens-seen').count()
  await beck.getByRole('button', { name: /^I saw/ }).click()
  // The rows are drawn anew while the season is reckoned: a menu that moved under the hand is used again.
  await expect(async () => {
    await page.getByRole('menuitem', { name: 'young' }).click({ timeout: 3000 })
    await expect(page.getByText('Nettle, young: noted')).toBeVisible({ timeout: 3000 })
  }).toPass({ timeout: 20_000 })
  await expect(
    page.locator('.season-row', { hasText: 'leafy top, young · Beck wall' }).locator('.lens-seen'),
  ).toHaveCount(seenBefore + 1)
  await page.getByLabel('Find in the season').fill('')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'To a calendar' }).click(),
  ])
  const text = readFileSync(await file.path(), 'utf8')
  expect(text).toContain('BEGIN:VCALENDAR')
  expect(text.match(/BEGIN:VEVENT/g)?.length).toBeGreaterThan(10)
})

test('a station that fails is told, and the season stands on usual temperatures', async ({ page }) => {
  await openDemo(page, '/season?station=down')
  await expect(page.getByText('The weather station does not answer: the usual temperatures stand in.')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Open now' })).toBeVisible()
})

test('a book of one’s own takes weather from a file, all of it or nothing', async ({ page }) => {
  await startOwn(page, 'Reed house', 'Una', 40)
  await follow(page, '/season')
  await expect(page.getByText('no weather is in this book yet')).toBeVisible()
  const take = (name: string, content: string) =>
    page.getByLabel('A weather file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(content) })
  await take('bad.csv', 'day,min,max\n2026-05-01,4,12\n2026-05-02,9,3\n')
  await expect(page.getByText('Row 3: the least, 9 °C, is more than the most, 3 °C. Nothing was taken.')).toBeVisible()
  await expect(page.getByText('no weather is in this book yet')).toBeVisible()
  await take('good.csv', 'Datum;Tmin;Tmax\n2026-05-01;4,5;12\n2026-05-04;3;11,2\n')
  await expect(page.getByText('2 days of weather taken; 2 days missing in between')).toBeVisible()
  await expect(page.getByText('Weather: 2 days')).toBeVisible()
})

test('the stand over thirty years stands beside the share, leaves and whole plants compared', async ({ page }) => {
  await openDemo(page, '/plant/Allium%20ursinum')
  await page.getByText('How much a stand bears').click()
  const future = page.locator('.stand-future')
  await expect(future.locator('.stand-chart')).toHaveAttribute(
    'aria-label',
    /whole plants: estimate: half as many in about/,
  )
  await expect(future).toContainText('more than 4.1 % a year shrinks the average stand')
  await future.locator('.ant-radio-button-wrapper', { hasText: /^one in twenty$/ }).click()
  await expect(future).toContainText('One in twenty of the plants dug every year')
})

test('an outing: what is open at the patches, what is shut and why, how much for how many plates, and a sheet of one page', async ({
  page,
}) => {
  await openDemo(page, '/outing')
  const choose = page.getByRole('region', { name: 'What for' })
  const verge = choose.locator('li.shut', { hasText: 'Sprayed verge' }).first()
  await expect(verge).toContainText('weedkiller at Sprayed verge')
  await expect(verge.getByRole('checkbox')).toBeDisabled()
  const sheet = page.getByRole('region', { name: 'Field sheet' })
  await expect(sheet).toContainText('Tick what you want to bring home')
  await choose.locator('li', { hasText: 'leafy top, young · Beck wall' }).getByRole('checkbox').check()
  await choose.locator('li', { hasText: 'leaf, flowering · North wood' }).getByRole('checkbox').check()
  await expect(sheet).toContainText('for 4 plates')
  await expect(sheet).toContainText('sortings of your own')
  await expect(sheet).toContainText('Lily of the valley (deadly)')
  await expect(sheet).toContainText('thick gloves and sleeves · scissors · 2 loose containers')
  await page.getByLabel('How many plates').fill('none')
  await expect(page.getByText('Give a number from 1 to 500.')).toBeVisible()
  await page.getByLabel('How many plates').fill('9')
  await expect(sheet).toContainText('for 9 plates')
  await page.emulateMedia({ media: 'print' })
  const pdf = await page.pdf({ format: 'A4' })
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
})
