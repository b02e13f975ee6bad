import { BOOK_VERSION, CATALOGUE } from '@ellop/core'
import { expect, test, type Page } from '@playwright/test'
import { attest, choose, follow, hold, openDemo, startOwn, tellNettle, weighIn } from './cook'

const DAY_ms = 86_400_000
const pack = (page: Page, code: string) => page.locator('.pack', { hasText: code }).first()

/** Takes so much out of the first frozen pack of last year's nettle and gives the address of what is in hand. */
async function openNettle(page: Page, grams: string): Promise<string> {
  await openDemo(page, '/larder')
  const nettle = pack(page, '26-011')
  await nettle.getByRole('button', { name: 'Open the pack' }).click()
  await nettle.getByLabel('Take out').fill(grams)
  await nettle.getByRole('button', { name: 'Open and take out' }).click()
  await expect(page).toHaveURL(/lot\/27-009/)
  return new URL(page.url()).pathname
}

async function putNutsIn(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Note something else' }).click()
  const card = page.locator('.card', { has: page.getByRole('heading', { name: 'Put something to it' }) })
  await card.getByText('other', { exact: true }).click()
  await card.getByLabel('How much').fill('30')
  await card.getByLabel('What exactly').fill('hazelnuts')
  await card.getByRole('button', { name: 'Add it' }).click()
  // A plant of the list is no “other”; of shop food its name says so.
  await expect(card).toContainText('hazelnuts is a plant of the plant list: weigh it in as a lot of its own')
  await card.getByLabel('What exactly').fill('bought walnuts')
  await expect(card).toContainText('It holds tree nuts')
  await card.getByRole('button', { name: 'Add it' }).click()
  await expect(page.locator('.said')).toContainText('Added')
}

test('a pack opened, half eaten and frozen again keeps not a day longer than what was thawed', async ({ page }) => {
  const lot = await openNettle(page, '100')
  await expect(page.locator('.fresh-line').first()).toContainText('keeps until Sun 16 May')
  await follow(page, '/table')
  await choose(page, 'What', 'fresh, lot 27-009')
  await page.getByRole('checkbox', { name: 'Oswin' }).check()
  await page.getByLabel('Portion of Oswin in grams').fill('60')
  await hold(page, page.getByRole('button', { name: 'Press and hold to serve it' }))
  await expect(page.locator('.said')).toContainText('Served')
  await follow(page, lot)
  await page.getByLabel('The store is at').fill('-19')
  await expect(page.locator('.told').last()).toContainText('Use before Mon 17 May 2027')
  await page.getByRole('button', { name: 'Pack and label it' }).click()
  await expect(page.locator('.label')).toContainText('Use before Mon 17 May 2027, then throw away')
  await page.keyboard.press('Escape')
  // What stayed in the pack is open as well.
  await expect(pack(page, '26-011')).toContainText('opened Sun 16 May 2027')
  await expect(pack(page, '26-011')).toContainText('Use before Mon 17 May 2027')
  await page.clock.fastForward(2 * DAY_ms)
  await follow(page, '/larder')
  // Of two containers the closed one keeps: only the open one is thrown away.
  const first = pack(page, '26-011')
  await hold(page, first.getByRole('button', { name: 'Press and hold to throw away the open container: 20 g' }))
  await expect(pack(page, '120 g · frozen')).toContainText('Use before Sun 12 Sept 2027')
  const over = pack(page, '27-009')
  await expect(over).toContainText('THROW AWAY')
  await expect(over.getByRole('button', { name: 'Open the pack' })).toHaveCount(0)
  await hold(page, over.getByRole('button', { name: 'Press and hold to throw away' }))
  await expect(pack(page, '27-009')).toHaveCount(0)
})

test('a puree of raw tips five days over is stopped: it says since when, and only throwing away is offered', async ({
  page,
}) => {
  await openDemo(page, '/lot/27-008')
  await page.getByRole('tab', { name: 'Note something else' }).click()
  const card = page.locator('.card', { has: page.getByRole('heading', { name: /^Cut up, pounded/ }) })
  await card.getByText('pounded or pureed').click()
  await card.getByRole('button', { name: 'Save what was done' }).click()
  await expect(page.locator('.fresh-line').first()).toContainText('Cut, wet or half cooked')
  await page.clock.fastForward(5 * DAY_ms)
  await follow(page, '/lot/27-008')
  await expect(page.locator('#now-title')).toHaveText('Stop: not food')
  await expect(page.locator('.now')).toContainText(
    /it stood warm \(5.0 to 60.0 °C\)|it stood warm \(5 to 60 °C\) for 4 h in all by Sun 16 May 18:/,
  )
  await expect(page.getByRole('tab', { name: 'Plan' })).toHaveCount(0)
  await follow(page, '/basket')
  await expect(page.locator('.lots li', { hasText: '27-008' })).toContainText('DO NOT EAT')
  await follow(page, '/lot/27-008')
  await hold(page, page.getByRole('button', { name: /^Press and hold to throw away/ }))
  await expect(page.locator('.said')).toContainText('Thrown away')
})

test('a nut in the dish: who must not have it is told at the table, the others are served', async ({ page }) => {
  await openNettle(page, '100')
  await putNutsIn(page)
  await follow(page, '/books')
  const oswin = page.locator('.book-list li', { hasText: 'Oswin' })
  await oswin.getByRole('button', { name: 'Ask again' }).click()
  await page.getByRole('checkbox', { name: 'nut allergy', exact: true }).check()
  await page.getByRole('button', { name: 'Save this one for Oswin' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await follow(page, '/table')
  await choose(page, 'What', 'fresh, lot 27-009')
  const row = page.locator('.eaters li', { hasText: 'Oswin' })
  await expect(row).toContainText('Oswin must not eat this: there is bought walnuts in it (tree nuts).')
  await expect(row.getByRole('checkbox')).toBeDisabled()
  await expect(page.locator('.eaters li', { hasText: 'Mirl' }).getByRole('checkbox')).toBeEnabled()
  // Less than was said before is asked for a second time, and said on the plate.
  await follow(page, '/books')
  await page.locator('.book-list li', { hasText: 'Oswin' }).getByRole('button', { name: 'Ask again' }).click()
  await page.getByRole('checkbox', { name: 'nut allergy', exact: true }).uncheck()
  await hold(page, page.getByRole('button', { name: 'Press and hold to save “none”' }))
  await expect(page.getByRole('dialog')).toContainText('Until now Oswin was noted with: nut allergy. Ask again')
  await hold(page, page.getByRole('button', { name: 'Press and hold: asked again, it no longer holds' }))
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await follow(page, '/table')
  await choose(page, 'What', 'fresh, lot 27-009')
  await expect(page.locator('.eaters li', { hasText: 'Oswin' })).toContainText(
    'Noted without nut allergy since Sun 16 May 2027',
  )
})

test('S-TAS-05, S-RUN-04: numbness with the first bite, with no network: the number, who has it, from which lots; the food is held, illness asks the others', async ({
  page,
}) => {
  const lot = await openNettle(page, '120')
  await follow(page, '/ill')
  await page.getByRole('textbox', { name: 'Poison centre' }).fill('000 111')
  await page.getByRole('button', { name: 'Keep these numbers' }).click()
  await follow(page, '/table')
  await choose(page, 'What', 'fresh, lot 27-009')
  for (const name of ['Oswin', 'Mirl']) {
    await page.getByRole('checkbox', { name }).check()
    await page.getByLabel(`Portion of ${name} in grams`).fill('30')
  }
  await hold(page, page.getByRole('button', { name: 'Press and hold to serve it' }))
  await expect(page.locator('.said')).toContainText('Served')
  await follow(page, `${lot}?taste=1`)
  await expect(page.locator('.alarm')).toBeVisible()
  await page.context().setOffline(true)
  await page.locator('.alarm').getByText('numb', { exact: true }).click()
  await hold(page, page.getByRole('button', { name: 'Press and hold to stop this lot' }))
  await expect(page).toHaveURL(/\/ill/)
  await expect(page.locator('.eaten')).toContainText('Oswin')
  const mirl = page.locator('.eaten tbody tr', { hasText: 'Mirl' })
  await expect(mirl.filter({ hasText: 'a taste' })).toContainText('Sun 16 May 14:05')
  const eaten = mirl.filter({ hasText: 'Nettle tops, 30 g' })
  await expect(eaten).toContainText('Sun 16 May 14:05')
  await expect(eaten).toContainText('27-009')
  await expect(eaten).toContainText('Urtica dioica')
  await expect(page.locator('.ill-numbers')).toContainText('000 111')
  await expect(page.locator('.ill-first')).toContainText('do not make anybody vomit')
  await expect(page.locator('.ill-keep')).toContainText('Keep a sample')
  await expect(page.getByRole('button', { name: 'Print this page' })).toBeEnabled()
  await follow(page, '/table')
  await expect(page.getByRole('alert').first()).toContainText(
    'What was eaten is not safe by what is known now: Nettle tops (Oswin, Mirl)',
  )
  await follow(page, '/ill')
  await choose(page, 'Who', 'Oswin')
  await page.getByLabel('What they feel, and since when').fill('cramps')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.locator('.ill-line')).toContainText('marked DO NOT EAT, for everybody. Ask')
  await expect(page.locator('.ill-line')).toContainText('Mirl')
  await page.context().setOffline(false)
  await follow(page, '/larder')
  await expect(pack(page, '26-011')).toContainText('DO NOT EAT')
})

test('two tabs cannot both serve the last of one pack, even if neither hears of the other', async ({
  page,
  context,
}) => {
  await openDemo(page, '/table')
  const other = await context.newPage()
  await other.addInitScript(() => {
    // As if the browser passed nothing on between its tabs.
    window.BroadcastChannel = class {
      close() {}
      postMessage() {}
    } as unknown as typeof BroadcastChannel
  })
  await openDemo(other, '/table')
  const serveAll = async (tab: Page) => {
    await choose(tab, 'What', 'frozen 26-011 · 240 g')
    for (const name of ['Oswin', 'Mirl']) {
      await tab.getByRole('checkbox', { name }).check()
      await tab.getByLabel(`Portion of ${name} in grams`).fill('120')
    }
  }
  await serveAll(other)
  await serveAll(page)
  await hold(page, page.getByRole('button', { name: 'Press and hold to serve it' }))
  await expect(page.locator('.said')).toContainText('Served')
  await hold(other, other.getByRole('button', { name: 'Press and hold to serve it' }))
  await expect(other.locator('.said')).toContainText('There are only 0 g left of it')
})

test('a book saved to a file is gone on with in another browser, and only after it was said to be one’s own', async ({
  page,
  browser,
}) => {
  await startOwn(page, 'Millrace kitchen', 'Ida')
  await follow(page, '/notebook')
  const saved = page.waitForEvent('download')
  await page
    .getByRole('button', { name: /Export|Save the book/ })
    .first()
    .click()
  const path = await (await saved).path()
  const elsewhere = await browser.newContext({ baseURL: test.info().project.use.baseURL ?? '' })
  const there = await elsewhere.newPage()
  await openDemo(there, '/books')
  await expect(there.getByRole('button', { name: 'Go on with my book here' })).toBeDisabled()
  await there.getByLabel('It is my own book').check()
  await there.getByLabel('The file of my own book').setInputFiles(path)
  const dialog = there.getByRole('dialog', { name: 'Go on with my book' })
  await expect(dialog).toContainText('Everything in it would have been allowed here.')
  // While the dialog still opens a press may fall beside the button.
  await expect(async () => {
    await dialog.getByRole('button', { name: 'Go on with it here' }).click({ timeout: 2000 })
    await expect(dialog).toBeHidden({ timeout: 2000 })
  }).toPass({ timeout: 20_000 })
  await expect(there.locator('.path-bar')).toContainText('Millrace kitchen')
  await follow(there, '/books')
  await there.getByLabel('Somebody else').fill('Bert')
  await there.getByRole('button', { name: 'Add them' }).click()
  await expect(there.locator('.book-list', { hasText: 'Bert' })).toBeVisible()
  await there.reload()
  await expect(there.locator('.book-list', { hasText: 'Bert' })).toBeVisible()
  await elsewhere.close()
})

test('a stored row that cannot be read is set aside by name, and the rest of the book opens', async ({ page }) => {
  await openDemo(page)
  await page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const asked = indexedDB.open('ellop-demo')
      asked.onsuccess = () => resolve(asked.result)
      asked.onerror = () => reject(new Error('no store'))
    })
    const change = db.transaction('entries', 'readwrite')
    change.objectStore('entries').put({ id: 'torn-row', at: 7 })
    await new Promise((resolve) => (change.oncomplete = resolve))
    db.close()
  })
  await page.reload()
  await expect(page.getByRole('alert')).toContainText(
    '1 stored row of this book could not be read and is left out: entries, row',
  )
  await expect(page.getByRole('alert')).toContainText('(torn-row)')
  await expect(page.locator('.place-head p')).toContainText('8 lots')
  // What is noted after that is stored as ever.
  await follow(page, '/lot/27-004')
  await page.getByRole('tab', { name: 'Note something else' }).click()
  await page.getByRole('button', { name: 'I met it, and was sure' }).click()
  await expect(page.locator('.said')).toContainText('Meeting noted')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the unreadable rows' }).click()
  expect((await download).suggestedFilename()).toBe('ellop-unreadable.json')
})

test('what a file says was eaten against a closed gate is told act by act before it is taken in, and then holds as a fact', async ({
  page,
}) => {
  await openDemo(page, '/notebook')
  const at = '2027-05-16T13:30:00.000Z'
  const served = {
    ...{ id: 'from-elsewhere', at, noted: at, book: 'demo', by: 'cook', device: 'phone', type: 'served' },
    ...{ lot: '27-006', pack: null, dish: 'salad', portions: [{ eater: 'oswin', mass_g: 40 }] },
  }
  const file = {
    format: 'ellop-book',
    version: BOOK_VERSION,
    book: 'demo',
    exportedAt: at,
    count: 1,
    entries: [served],
  }
  await page.getByLabel('A book file').setInputFiles({
    name: 'phone.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...file, catalogueRevision: CATALOGUE.revision })),
  })
  const dialog = page.getByRole('dialog', { name: 'Import' })
  await expect(dialog.getByRole('alert')).toContainText('1 act would not have been allowed here.')
  await expect(dialog.getByRole('listitem')).toContainText(/Lot 27-006: Served .*salad/)
  await dialog.getByRole('button', { name: 'Add them' }).click()
  await expect(page.locator('.said')).toContainText('1 entry added')
  await follow(page, '/table')
  await expect(page.getByRole('alert').first()).toContainText('salad (Oswin)')
})

test('who is at it is chosen in one touch: another’s meetings open nothing, and who has met it may be certain instead', async ({
  page,
}) => {
  await openDemo(page)
  await weighIn(page)
  await tellNettle(page)
  const who = page.getByRole('group', { name: 'Who are you?' })
  await who.getByText('Oswin', { exact: true }).click()
  await expect(page.locator('.path-bar')).toContainText('Oswin writes')
  await attest(page)
  await expect(page.locator('#now-title')).toHaveText('Not yet: more sure days needed')
  await expect(page.locator('.lot-head .ribbon')).toHaveAccessibleName(/Identity to do/)
  // It stays so over a reload: hands change seldom.
  await page.reload()
  await expect(page.locator('.path-bar')).toContainText('Oswin writes')
  await page.locator('.now').getByRole('button', { name: 'I met it, and was sure' }).click()
  await expect(page.locator('.said')).toContainText('Meeting noted')
  await expect(page.locator('.lot-head .ribbon')).toHaveAccessibleName(/Identity to do/)
  await page.locator('.now').getByText('the cook', { exact: true }).click()
  await attest(page)
  await expect(page.locator('.path-bar')).not.toContainText('writes')
  await expect(page.locator('.lot-head .ribbon')).toHaveAccessibleName(/Identity open/)
  await expect(page.locator('#now-title')).toHaveText('Count the plants: how many grew, how many you cut')
  await follow(page, '/notebook?find=met')
  await expect(page.locator('.notebook li').first()).toContainText('· Oswin')
})
