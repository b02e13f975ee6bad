import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { follow, openDemo, SCREENS } from './cook'

async function seriousFaults(page: Page): Promise<string[]> {
  // There are no frames to look into, so it need not open a page of its own to gather what it found.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .analyze()
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => String(target)).join(' ')}`)
}

for (const viewport of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
])
  test(`no serious or critical fault, and nothing wider than the screen, at ${viewport.width} px`, async ({ page }) => {
    test.setTimeout(300_000)
    await page.setViewportSize(viewport)
    await openDemo(page)
    for (const path of SCREENS) {
      await follow(page, path)
      await page.waitForTimeout(400)
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
      expect(await seriousFaults(page), path).toEqual([])
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
        `${path} overflows`,
      ).toBeLessThanOrEqual(0)
    }
    for (const tab of ['Plan', 'Story', 'Note something else']) {
      await follow(page, '/lot/27-004')
      await page.getByRole('tab', { name: tab }).click()
      if (tab === 'Plan')
        await expect(page.getByRole('region', { name: 'What water and heat take' })).toContainText('Vitamin C')
      expect(await seriousFaults(page), tab).toEqual([])
    }
  })

test('every place by its key; the list of keys; what is due next', async ({ page }) => {
  await openDemo(page)
  for (const [index, place] of ['season', 'outing', 'basket', 'kitchen', 'table', 'larder', 'notebook'].entries()) {
    await page.keyboard.press(String(index + 1))
    await expect(page).toHaveURL(new RegExp(`/${place}$`))
  }
  await expect(page.getByLabel('Find in the notebook')).toBeVisible()
  await page.keyboard.press('/')
  await expect(page.getByLabel('Find in the notebook')).toBeFocused()
  await page.keyboard.type('sprayed')
  await expect(page.locator('.notebook li').first()).toContainText('Sprayed verge')
  await page.getByLabel('Find in the notebook').blur()
  await page.keyboard.press('n')
  await expect(page).toHaveURL(/\/lot\/27-005$/)
  await page.keyboard.press('t')
  await expect(page.locator('#now-title')).toHaveText('Taste it')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('what is due next')
})

test('by keyboard alone: weigh in, look at a tell, strike an entry out', async ({ page }) => {
  await openDemo(page)
  await page.keyboard.press('w')
  const tabTo = async (name: string) => {
    for (let presses = 0; presses < 60; presses++) {
      const label = await page.evaluate(() => {
        const active = document.activeElement as HTMLInputElement | null
        if (active === document.body || active?.id === 'place') return ''
        return `${active?.getAttribute('aria-label') ?? ''} ${active?.labels?.[0]?.textContent ?? ''} ${active?.textContent ?? ''}`
      })
      if (label.includes(name)) return
      await page.keyboard.press('Tab')
    }
    throw new Error(`the keyboard does not reach ${name}`)
  }
  const pick = async (name: string, text: string) => {
    await tabTo(name)
    await page.keyboard.press('ArrowDown')
    if (text !== '') await page.keyboard.type(text)
    await page.keyboard.press('Enter')
  }
  await expect(page.getByRole('dialog')).toBeVisible()
  await pick('What you say it is', 'grande ortie')
  await pick('Which part', '')
  await pick('From which patch', 'Beck')
  await tabTo('Weight as picked')
  await page.keyboard.type('500')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/lot\/27-009-\w+$/)
  await tabTo('stinging hairs')
  await page.keyboard.press('Space')
  await tabTo('That is what I see')
  await page.keyboard.press('Enter')
  await expect(page.locator('#now-title')).not.toHaveText('What is on the leaf?')
  await page.keyboard.press('7')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The notebook')
  await tabTo('Strike out')
  await page.keyboard.press('Enter')
  await tabTo('Why')
  await page.keyboard.type('a slip')
  await tabTo('Press and hold to cross out')
  await page.keyboard.down('Space')
  await page.waitForTimeout(900)
  // On a busy machine its time runs out later: the finger stays until it has.
  await expect(page.locator('.holding')).toHaveCount(0)
  await page.keyboard.up('Space')
  await expect(page.locator('.notebook .struck')).toHaveCount(1)
})

test('the clock is wound forward, and what was good goes over its time', async ({ page }) => {
  await openDemo(page)
  // The list grows out of the clock: a click while it does may miss it.
  await expect(async () => {
    const next = page.getByText('To the next thing due (15:10)')
    if (!(await next.isVisible())) await page.getByRole('button', { name: /clock/ }).click({ timeout: 2000 })
    await next.click({ timeout: 2000 })
    await expect(page.locator('.due-clock')).toContainText('15:10', { timeout: 2000 })
  }).toPass({ timeout: 20_000 })
  await page.clock.fastForward(120_000)
  await expect(page.locator('.due-item').first()).toHaveClass(/overdue/)
  await page.reload()
  await expect(page.locator('.due-clock')).toContainText(/15:12|15:13/)
})
