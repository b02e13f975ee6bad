import { CATALOGUE, CHARACTERS, plainWords, requireTaxon } from '@ellop/core'
import { expect, type Locator, type Page } from '@playwright/test'

/** Every place of the demonstration, with something in it. */
export const SCREENS = [
  '/season',
  '/outing',
  '/basket',
  '/kitchen',
  '/handing-on',
  '/table',
  '/larder',
  '/notebook',
  '/books',
  '/ill',
  '/recall',
  '/plants',
  '/plant/Sambucus%20nigra',
  '/plant/Aegopodium%20podagraria/card',
  '/lot/27-006/tells',
  '/lot/27-001',
  '/lot/27-002',
  '/lot/27-003',
  '/lot/27-004',
  '/lot/27-005',
  '/lot/27-006',
  '/basket?weigh=1',
  '/larder?label=27-004-raw',
  '/lot/27-004?taste=1',
  '/rehearsals',
  '/rehearsal/an-even-tree',
]

/** What a page may take to open on a machine that does much else. */
export const OPENING_ms = 30_000

/** Opens the demonstration with a machine clock that the test can move. */
export async function openDemo(page: Page, path = '/basket'): Promise<void> {
  await page.clock.install()
  await page.goto(path)
  await expect(page.getByRole('main').getByRole('heading', { level: 1 })).toBeVisible({ timeout: OPENING_ms })
}

/** Goes there as a link does: without fetching the program anew. */
export async function follow(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState({}, '', to)
    dispatchEvent(new PopStateEvent('popstate'))
  }, path)
  // A place that is still being fetched leaves the one before it standing: nothing is looked for until the new one stands.
  const { pathname } = new URL(path, 'http://localhost')
  await expect
    .poll(async () => decodeURI((await page.locator('main').getAttribute('data-place')) ?? ''))
    .toBe(decodeURI(pathname))
}

/** Presses and holds, as a hand does. */
export async function hold(page: Page, button: Locator): Promise<void> {
  await button.scrollIntoViewIfNeeded()
  await button.hover()
  await page.mouse.down()
  await page.waitForTimeout(900)
  // On a busy machine its time runs out later: the finger stays until it has.
  await expect(button.and(page.locator('.holding'))).toHaveCount(0)
  await page.mouse.up()
}

/** Chooses in a list by typing into it, and sees that it was taken: a list that is drawn anew under the finger takes something else, or nothing. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  const box = page.getByRole('combobox', { name: label })
  const taken = page.locator('.ant-select', { has: box })
  await expect(async () => {
    // A list that is open already would be shut by another click.
    if ((await box.getAttribute('aria-expanded')) !== 'true') await box.click({ timeout: 5000 })
    if (await box.isEditable()) await box.fill(option.split(' · ').at(-1) ?? option, { timeout: 5000 })
    await page
      .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: option })
      .first()
      .click({ timeout: 5000 })
    await expect(taken).toContainText(option, { timeout: 2000 })
  }).toPass({ timeout: 30_000 })
}

/** Leaves a dialog by the keyboard: a list that is still folding up in it takes the first key for itself. */
export async function leave(page: Page, dialog: Locator): Promise<void> {
  await expect(async () => {
    await page.keyboard.press('Escape')
    await expect(dialog).toBeHidden({ timeout: 2000 })
  }).toPass({ timeout: 15_000 })
}

export async function weighIn(
  page: Page,
  { plant = 'Nettle · Urtica dioica', part = 'tops, young', patch = 'Beck wall', grams = '1240' } = {},
): Promise<void> {
  await page.keyboard.press('w')
  const dialog = page.getByRole('dialog', { name: 'Weigh in' })
  await expect(dialog).toBeVisible()
  await choose(page, 'What you say it is', plant)
  await choose(page, 'Which part, at which stage', part)
  await choose(page, 'From which patch', patch)
  await dialog.getByLabel('Weight as picked').fill(grams)
  await dialog.getByRole('button', { name: 'Weigh in' }).click()
}

export const tellNettle = (page: Page) => tellPlant(page, 'Urtica dioica')

/** Looks at every tell that is asked of a plant, as its record says it looks, until certainty is asked for. */
export async function tellPlant(page: Page, scientificName: string): Promise<void> {
  const taxon = requireTaxon(CATALOGUE, scientificName)
  const title = page.locator('#now-title')
  for (let look = 0; look < 14; look++) {
    const question = (await title.textContent()) ?? ''
    const character = Object.keys(CHARACTERS).find((id) => CHARACTERS[id]?.ask === question)
    if (character === undefined) break
    const state = plainWords(taxon.characters[character]?.[0] ?? '')
    await page.getByRole('group', { name: 'What you see' }).getByRole('button', { name: state, exact: true }).click()
    await page.getByRole('button', { name: 'That is what I see' }).click()
    await expect(title).not.toHaveText(question)
  }
  await expect(title).toHaveText('Are you certain?')
}

/** Nothing else grows among it, and the cook is certain. */
export async function attest(page: Page): Promise<void> {
  await page.locator('fieldset', { hasText: 'Do other plants grow' }).getByText('No', { exact: true }).click()
  await hold(page, page.getByRole('button', { name: 'Press and hold: I am certain' }))
}

/** The stand counted and its wildlife looked for. */
export async function countStand(page: Page, stood = '4000', cut = '40'): Promise<void> {
  await page.getByRole('textbox', { name: 'You saw growing here' }).fill(stood)
  await page.getByRole('textbox', { name: 'You cut' }).fill(cut)
  await page.getByLabel('I looked for them before cutting').check()
  await page.getByRole('button', { name: 'Save the count' }).click()
}

/** Sorted and weighed: so much goes on, so much was trimmed off, in grams. */
export async function sortOut(page: Page, goesOn: string, trimmed: string): Promise<void> {
  await page.getByLabel('Kept after sorting').fill(goesOn)
  await page.getByLabel('Trimmed off').fill(trimmed)
  await page.getByRole('button', { name: 'Save the sorting' }).click()
}

/** A load into the pot, two minutes, and out. */
export async function boilLoad(page: Page, { reload = false } = {}): Promise<void> {
  await hold(page, page.getByRole('button', { name: 'When it boils again: press and hold' }))
  await expect(page.locator('#now-title')).toHaveText('Keep it at a rolling boil')
  if (reload) {
    await page.clock.fastForward(60_000)
    await page.reload()
    await expect(page.locator('.dial-figure')).toHaveText(/^0:[2-5]\d$/)
    await page.clock.fastForward(64_000)
  } else await page.clock.fastForward(124_000)
  await expect(page.locator('.dial-figure')).toHaveText(/^\+/)
  await page.getByLabel('It boiled again after').fill('52')
  await hold(page, page.getByRole('button', { name: 'When all of it is in cold water: press and hold' }))
}

/** A book of one's own, in the three questions. */
export async function startOwn(page: Page, kitchen: string, eaters: string, height_m = 300): Promise<void> {
  await page.goto('/')
  await page.getByLabel('What is your kitchen called?').fill(kitchen)
  await page.getByLabel('How high does it lie?').fill(String(height_m))
  await page.getByLabel('Who eats there?').fill(eaters)
  await page.getByRole('button', { name: 'Start my book' }).click()
  await expect(page).toHaveURL(/basket/)
}
