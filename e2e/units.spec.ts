import { expect, test, type Page } from '@playwright/test'
import { attest, countStand, follow, openDemo, SCREENS, tellNettle, weighIn } from './cook'

const showKitchenUnits = async (page: Page) => {
  await openDemo(page, '/books')
  await page.getByText('oz, cups, °F, in').click()
  await expect(page.locator('.kitchen-facts')).toContainText('3,871 ft · water boils at 204.8 °F')
}

/** Every figure in metric that can be read or is read aloud, but what the cook typed and the card that tells of both measures. */
const metricFigures = (page: Page) =>
  page.evaluate(() => {
    // A range whose low end was not turned stands before pounds.
    const mixed = /\d to \d+ lb/
    const figure = /(?<![\w/.,-])\d[\d.,]*[ \u00a0](?:kg|g|mL|L|°C|cm|mm|m|km|km\/h)(?![\w/²])/
    const read = [...document.querySelectorAll('#root *, #overlays *')]
      .filter((element) => element.closest('.units-card, style, script') === null)
      .flatMap((element) => [
        [...element.childNodes]
          .filter(({ nodeType }) => nodeType === Node.TEXT_NODE)
          .map(({ textContent }) => textContent)
          .join(''),
        ...['aria-label', 'title', 'placeholder'].map((name) => element.getAttribute(name) ?? ''),
      ])
    return [...new Set(read.filter((text) => figure.test(text) || mixed.test(text)))]
  })

test('in kitchen units no metric figure is left in any place', async ({ page }) => {
  test.setTimeout(240_000)
  await showKitchenUnits(page)
  for (const path of [
    ...SCREENS,
    '/patches',
    '/patch/beck-wall',
    '/plants/own',
    '/plant/Acer%20saccharum',
    '/plant/Quercus%20robur',
  ]) {
    await follow(page, path)
    await page.waitForTimeout(300)
    expect(await metricFigures(page), path).toEqual([])
    if (!/^\/lot\/27-00\d$/.test(path)) continue
    // A lot that is closed has no plan to open.
    for (const tab of await page.getByRole('tab').all()) {
      await tab.click()
      await page.waitForTimeout(300)
      expect(await metricFigures(page), `${path}, ${await tab.textContent()}`).toEqual([])
    }
  }
})

test('nor on an outing, where ranges and loads stand', async ({ page }) => {
  await showKitchenUnits(page)
  await follow(page, '/outing')
  const choice = page.locator('.outing-list li', { hasText: 'Nettle leafy top, young · Beck wall' })
  await choice.getByRole('checkbox').check()
  await expect(page.getByText('on the back')).toBeVisible()
  expect(await metricFigures(page)).toEqual([])
  await page.getByRole('button', { name: 'Keep this plan' }).click()
  await expect(page.locator('.need')).toContainText(/of about .* \(.* lb .* to .*\)/)
  expect(await metricFigures(page)).toEqual([])
})

test('what is typed in ounces and °F is kept exactly, shown again as typed, and stays metric in the book', async ({
  page,
}) => {
  await showKitchenUnits(page)
  await follow(page, '/basket')
  await expect(page.getByRole('heading', { level: 1, name: 'The basket' })).toBeVisible()
  await weighIn(page, { grams: '3 lbs' })
  await expect(page).toHaveURL(/\/lot\/27-009/)
  await expect(page.getByRole('main')).toContainText('3 lb')
  await tellNettle(page)
  await attest(page)
  await countStand(page)
  const goesOn = page.getByLabel('Kept after sorting')
  await goesOn.fill('2 cups')
  await expect(page.locator('.field.wrong')).toHaveText(
    /“cups” is a volume; here it is a weight that is asked for: g, kg, oz or lb\.$/,
  )
  await goesOn.fill('2 lb 4 oz')
  await expect(page.locator('.field', { hasText: 'Kept after sorting' })).toContainText('= 36 oz')
  await page.getByLabel('Trimmed off').fill('11 oz')
  await page.getByRole('button', { name: 'Save the sorting' }).click()
  await expect(page.getByRole('main')).toContainText('2 lb 4 oz')
  await page.getByRole('tab', { name: 'Story' }).click()
  await expect(page.getByRole('main')).toContainText('Sorted: kept 2 lb 4 oz; trimmed off 11 oz')
  // The other way about, the same lot in grams: what was typed is what is stored.
  await follow(page, '/books')
  // Shown in quarts the pots are rounded; noted again as they are shown they stay what they were.
  const pots = page.getByLabel('Pots')
  const shown = await pots.inputValue()
  await page.getByRole('button', { name: 'Note the kitchen' }).click()
  await expect(page.getByRole('status')).toContainText('The kitchen is noted')
  await page.getByText('g, L, °C, cm').click()
  await page.reload()
  await expect(pots).toHaveValue('8 · 5')
  expect(shown).toBe('8.45 · 5.28')
  await follow(page, '/notebook')
  await expect(page.locator('.notebook li', { hasText: 'Sorted' }).first()).toContainText(
    'Sorted: kept 1,021 g; trimmed off 312 g',
  )
  await page.reload()
  await expect(page.locator('.kitchen-facts')).toContainText('1,180 m')
})
