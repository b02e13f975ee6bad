import { expect, test } from '@playwright/test'
import { attest, choose, countStand, follow, hold, openDemo, tellPlant, weighIn, sortOut } from './cook'

test('S-SAF-16: a limit of one’s own, 3 g a day, binds a drink by what steeped in it: 150 mL refused, 100 mL once', async ({
  page,
}) => {
  await openDemo(page)
  await weighIn(page, { plant: 'Norway spruce · Picea abies', part: 'young', patch: 'Beck wall', grams: '50' })
  await expect(page).toHaveURL(/\/lot\/27-009-\w+$/)
  const lot = new URL(page.url()).pathname
  await tellPlant(page, 'Picea abies')
  await attest(page)
  await countStand(page, '900', '40')
  await sortOut(page, '45', '5')
  await expect(page.locator('#now-title')).toHaveText('Taste it')
  await page.getByText('for tea', { exact: true }).click()
  await expect(page.locator('#now-title')).toHaveText('Strain it and measure the drink')
  await page.getByLabel('The drink measures').fill('1500')
  await page.getByRole('button', { name: 'Strained and measured' }).click()
  await expect(page.locator('#now-title')).toHaveText('Taste it')
  await choose(page, 'Who tastes', 'Mirl')
  await hold(page, page.getByRole('button', { name: /Good as it is/ }))
  const table = `/table?lot=${lot.split('/').at(-1)}`
  await follow(page, table)
  const oswin = page.locator('.eaters li', { hasText: 'Oswin' })
  await oswin.getByRole('button', { name: 'Ask again' }).click()
  const asked = page.getByRole('dialog', { name: 'Does any of these apply to Oswin?' })
  await choose(page, 'Of which plant', 'Norway spruce · Picea abies')
  await asked.getByLabel('At most in a day').fill('3')
  await asked.getByRole('button', { name: 'Set this limit' }).click()
  await expect(asked).toContainText('Norway spruceat most 3 g a day')
  await hold(page, asked.getByRole('button', { name: 'Press and hold to save “none” and the limits' }))
  await expect(asked).toBeHidden()
  const pour = async (mL: string) => {
    await oswin.getByRole('checkbox').check()
    await page.getByLabel('Portion of Oswin in millilitres').fill(mL)
    await hold(page, page.getByRole('button', { name: 'Hold: serve it' }))
  }
  // The first time a little is enough: 2 g are 67 mL of it. It is kept cold for the day after.
  await expect(oswin).toContainText('Oswin’s first time with this plant: up to 67 mL now, then wait until tomorrow')
  await pour('50')
  await expect(page.locator('.said')).toContainText('Served')
  await follow(page, lot)
  await page.getByRole('tab', { name: 'Note something else' }).click()
  const stands = page.locator('.card', { has: page.getByRole('heading', { name: 'Where the food stands' }) })
  await stands.getByLabel('The place is at').fill('4')
  await stands.getByRole('button', { name: 'Save where it stands' }).click()
  await expect(page.locator('.said')).toContainText('Saved: where it stands')
  await page.clock.fastForward(22 * 3_600_000)
  await follow(page, table)
  await expect(oswin).toContainText('Up to 100 mL now (the day’s limit is 3 g, weighed raw). By Oswin’s own limit.')
  await expect(page.locator('.told')).toHaveText('A litre holds 30 g of the plant, as it was raw.')
  await pour('150')
  await expect(page.locator('.said')).toContainText('Oswin: 150 mL is more than 100 mL')
  await pour('100')
  await expect(page.locator('.said')).toContainText('Served')
  await expect(oswin.getByRole('checkbox')).toBeDisabled()
  await expect(oswin).toContainText('No more today (the day’s limit is 3 g, weighed raw). By Oswin’s own limit.')
  // Nobody else is held by it.
  await expect(page.locator('.eaters li', { hasText: 'Mirl' })).not.toContainText('own limit')
})
