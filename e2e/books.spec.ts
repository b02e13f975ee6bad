import { CATALOGUE, foldLog, stampEntry, writeBook, type Saying } from '@ellop/core'
import { expect, test, type Page } from '@playwright/test'
import { follow, hold, openDemo, startOwn } from './cook'

/** A friend's book as a file: a kitchen, a patch and a lot of theirs. */
function friendsBook(): string {
  const at = '2027-05-10T08:00:00.000Z'
  const sayings: readonly Saying[] = [
    {
      type: 'kitchen-set',
      kitchen: {
        name: 'Millrace kitchen',
        elevation_m: 210,
        timeZone: 'UTC',
        burner: { power_W: 1800, efficiency: 0.5 },
        pots_mL: [4000],
        waterTemp_C: 12,
        ice_g: 0,
      },
    },
    { type: 'ground-noted', patch: 'race', name: 'Millrace bank', facts: {} },
    {
      type: 'weighed-in',
      lot: '27-001',
      code: '27-001',
      taxon: 'Urtica dioica',
      part: 'leafy-top',
      stage: 'young',
      patch: 'race',
      mass_g: 310,
      pickedAt: at,
    },
  ]
  const entries = sayings.map((saying, index) =>
    stampEntry(saying, { book: 'own-friend', by: 'friend', device: 'theirs' }, { id: `f${index}`, at, noted: at }),
  )
  return writeBook({ book: 'own-friend', log: foldLog(entries), exportedAt: at, catalogueRevision: CATALOGUE.revision })
}

const give = (page: Page, label: string, name: string, content: string) =>
  page.getByLabel(label).setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })

test('a friend’s book is read beside one’s own, and nothing of it can be changed or counted', async ({ page }) => {
  await openDemo(page, '/books')
  await give(page, 'A friend’s book file', 'friend.json', friendsBook())
  await expect(page.locator('.path-bar')).toContainText('Somebody else’s, only read')
  await expect(page.locator('.notebook')).toContainText('Weighed in 310 g of nettle')
  await follow(page, '/lot/27-001')
  await page.getByRole('tab', { name: 'Note something else' }).click()
  await page.getByLabel('What it looks like').fill('a smooth leaf')
  await page.getByRole('button', { name: 'Report the stray' }).click()
  await expect(page.getByRole('alert')).toContainText('This is somebody else’s book: it is only read.')
  await follow(page, '/books')
  await page.getByRole('listitem').filter({ hasText: 'Demonstration' }).getByRole('button', { name: 'Open' }).click()
  await expect(page.locator('.place-head p')).toContainText('8 lots')
  await follow(page, '/notebook')
  await give(page, 'A book file', 'friend.json', friendsBook())
  await expect(page.locator('.refusal')).toContainText('Books are not mixed: open it beside yours. Nothing was added.')
})

test('two tabs of one book stay in step', async ({ page, context }) => {
  await openDemo(page, '/lot/27-004')
  const other = await context.newPage()
  await other.goto('/notebook')
  await expect(other.locator('.place-head p').first()).toContainText('entries')
  const before = Number((await other.locator('.place-head p').first().textContent())?.split(' ')[0])
  await page.getByRole('tab', { name: 'Note something else' }).click()
  await page.getByRole('button', { name: 'I met it, and was sure' }).click()
  await expect(other.locator('.place-head p').first()).toContainText(`${before + 1} entries`)
  // A third one has read the store and still waits for the program, while an entry is noted in the first.
  const third = await context.newPage()
  await third.route('**/assets/first-*.js', async (route) => {
    await third.waitForFunction(async () => (await indexedDB.databases()).some(({ name }) => name === 'ellop-demo'))
    await page.getByRole('button', { name: 'I met it, and was sure' }).click()
    await expect(other.locator('.place-head p').first()).toContainText(`${before + 2} entries`)
    await route.continue()
  })
  await third.goto('/notebook')
  await expect(third.locator('.place-head p').first()).toContainText(`${before + 2} entries`)
})

test('a book stored by an earlier version is brought up to date when it is opened', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('heading', { level: 1 }).waitFor()
  // What version 1 stored: no dryness, no crumb, no version.
  await page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const asked = indexedDB.open('ellop-demo')
      asked.onsuccess = () => resolve(asked.result)
      asked.onerror = () => reject(new Error('no store'))
    })
    const change = db.transaction(['entries', 'meta'], 'readwrite')
    const entries = change.objectStore('entries')
    change.objectStore('meta').delete('entryVersion')
    const all = await new Promise<Record<string, unknown>[]>((resolve) => {
      const asked = entries.getAll()
      asked.onsuccess = () => resolve(asked.result as Record<string, unknown>[])
    })
    for (const entry of all) {
      if (entry['type'] !== 'tasted') continue
      const old = { ...entry }
      delete old['astringent']
      delete old['crumb']
      entries.put(old)
    }
    await new Promise((resolve) => (change.oncomplete = resolve))
    db.close()
  })
  await page.reload()
  await expect(page.locator('.place-head p')).toContainText('8 lots')
  await follow(page, '/notebook?find=tasted')
  await expect(page.locator('.notebook li').first()).toContainText('tasted')
})

test('an entry is given its real time: what it would change is shown first, and the first time stays legible', async ({
  page,
}) => {
  await openDemo(page, '/notebook?find=27-004')
  const before = await page.locator('.notebook li').count()
  await page
    .getByRole('button', { name: /^Change the time: Sorted/ })
    .first()
    .click()
  const dialog = page.getByRole('dialog', { name: 'Change when it happened' })
  const change = dialog.getByRole('button', { name: 'Press and hold to change the time' })
  await dialog.getByLabel('Why').fill('the clock was wrong')
  await expect(change).toBeDisabled()
  await dialog.getByLabel('Day').fill('2020-01-01')
  await expect(dialog.getByRole('heading', { name: 'What it would change' })).toBeVisible()
  await hold(page, change)
  await expect(dialog.getByRole('alert')).toHaveText('That is before it was picked.')
  await dialog.getByLabel('Day').fill('2027-05-16')
  await dialog.getByLabel('Time').fill('13:20')
  await hold(page, change)
  await expect(dialog).toBeHidden()
  await expect(page.locator('.notebook li').filter({ hasText: 'time changed' })).toContainText('13:20')
  expect(await page.locator('.notebook li').count()).toBeGreaterThanOrEqual(before)
})

test('a book of one’s own: its kitchen and its eaters are noted on screen, and it is saved on its own to a chosen file', async ({
  page,
}) => {
  await page.addInitScript(() => {
    // The picker needs a hand; the file that it would give is a real one in the browser's own folder.
    Object.assign(window, {
      showSaveFilePicker: async () =>
        (await navigator.storage.getDirectory()).getFileHandle('book.json', { create: true }),
    })
  })
  await startOwn(page, 'Weir kitchen', 'Una')
  await follow(page, '/books')
  await page.getByRole('button', { name: 'Save on its own to a file' }).click()
  await expect(page.getByText('after every entry, to book.json')).toBeVisible()
  await page.getByLabel('Height').fill('high')
  await page.getByRole('button', { name: 'Note the kitchen' }).click()
  await expect(page.locator('.kitchen-form').getByRole('alert')).toContainText('“high” is not a number.')
  await page.getByLabel('Height').fill('1500')
  await expect(page.getByText('Water boils at 95.0 °C there.')).toBeVisible()
  await page.getByLabel('Pots').fill('3 7.5')
  await page.getByRole('button', { name: 'Note the kitchen' }).click()
  await expect(page.locator('.kitchen-facts')).toContainText('1,500 m')
  await page.getByLabel('Somebody else').fill('una')
  await expect(page.getByText('There is somebody of that name.')).toBeVisible()
  await page.getByLabel('Somebody else').fill('Vesna')
  await page.getByText('under a year').click()
  await page.getByRole('button', { name: 'Add them' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: 'Vesna' })).toContainText('under a year · not asked yet')
  const saved = () =>
    page.evaluate(async () => {
      const folder = await navigator.storage.getDirectory()
      // It may just be replaced by the browser.
      return (await (await folder.getFileHandle('book.json')).getFile()).text().catch(() => '')
    })
  await expect.poll(async () => (await saved()).includes('Vesna')).toBe(true)
  const book = JSON.parse(await saved()) as { count: number; entries: { type: string; kitchen?: object }[] }
  expect(book.entries).toHaveLength(book.count)
  expect(book.entries.findLast(({ type }) => type === 'kitchen-set')?.kitchen).toMatchObject({
    elevation_m: 1500,
    pots_mL: [3000, 7500],
  })
})

test('500 hostile files change nothing and hang nothing', async ({ page }) => {
  test.setTimeout(300_000)
  await openDemo(page, '/notebook')
  const good = await page.evaluate(() => location.href)
  expect(good).toContain('/notebook')
  const head = page.locator('.place-head p').first()
  const count = await head.textContent()
  const whole = friendsBook().replaceAll('own-friend', 'demo')
  const answer = page.locator('.ant-modal-body')
  const dialog = page.getByRole('dialog', { name: 'Import' })
  for (let file = 0; file < 500; file += 1) {
    await give(page, 'A book file', `${file}.json`, hostile(file, whole))
    await expect(answer).toContainText('Nothing was added.')
  }
  // The page still reads a good one, and this one is another's.
  await give(page, 'A book file', 'friend.json', friendsBook())
  await expect(answer).toContainText('Books are not mixed')
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(head).toHaveText(count ?? '')
  expect(await page.evaluate(() => ({}) as Record<string, unknown>)).toEqual({})
  expect(await page.evaluate(() => (Object.prototype as Record<string, unknown>)['polluted'])).toBeUndefined()
  await page.reload()
  await expect(head).toHaveText(count ?? '')
})

test('a newer catalogue says what it holds against what the one before it let through', async ({ page }) => {
  await openDemo(page)
  const kept = () => page.evaluate(judgedBefore, false)
  const rest = async () => {
    await expect(page.locator('.due-item').first()).toBeVisible()
    await page.clock.fastForward(6000)
    await expect.poll(kept).toMatch(/^20/)
  }
  await rest()
  // As an earlier revision had left it, by which the ramsons were told already.
  await page.evaluate(judgedBefore, true)
  await page.reload()
  const told = page
    .getByRole('alert')
    .filter({ hasText: 'is stricter now than that of 1 January 2020 for what you have' })
  await expect(told.getByRole('listitem')).toHaveCount(1)
  await expect(told).toContainText('Ramsons leaves, lot 27-006: Identity was open and is to do: Still to be looked at')
  // Not seen, it is told again.
  await page.reload()
  await told.getByRole('button', { name: 'I have read it' }).click()
  await expect(told).toBeHidden()
  await rest()
  await expect.poll(kept).not.toBe('2020-01-01.1')
  await page.reload()
  await expect(page.locator('.due-item').first()).toBeVisible()
  await expect(told).toBeHidden()
})

/** The revision by which the demonstration was last judged; made an old one that let the ramsons through, where asked. */
function judgedBefore(aged: boolean): Promise<string> {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open('ellop-demo')
    opening.onerror = () => reject(new Error('not opened'))
    opening.onsuccess = () => {
      const meta = opening.result.transaction('meta', 'readwrite').objectStore('meta')
      const asked = meta.get('judged')
      asked.onsuccess = () => {
        const row = asked.result as
          { key: string; value: { revision: string; foods: { lot: string; states: string[] }[] } } | undefined
        if (aged && row !== undefined) {
          row.value.revision = '2020-01-01.1'
          for (const food of row.value.foods) if (food.lot.includes('27-006')) food.states[0] = 'open'
          meta.put(row)
        }
        meta.transaction.oncomplete = () => {
          opening.result.close()
          resolve(row?.value.revision ?? '')
        }
      }
    }
  })
}

/** A file that no cook wrote: cut, nested, huge, of wrong types, of another version, with a field name that would do harm. */
function hostile(number: number, whole: string): string {
  const cut = 1 + ((number * 7919) % (whole.length - 2))
  const kinds: readonly (() => string)[] = [
    () => whole.slice(0, cut),
    () => whole.slice(cut),
    () => `${'{"a":'.repeat(1000 + 40 * number)}1${'}'.repeat(1000 + 40 * number)}`,
    () => whole.replace('"name": "Millrace kitchen"', `"name": "${'x'.repeat(1000 * (number + 1))}"`),
    () => whole.replace('"entries"', `"__proto__": {"polluted": ${number}}, "entries"`),
    () => whole.replace('"kitchen": {', `"kitchen": {"constructor": {"prototype": {"polluted": ${number}}},`),
    () => whole.replace(/"version": \d+/, `"version": ${[99, -1, 1.5, '"2"', 'null'][number % 5]}`),
    () => whole.replace(/"mass_g": \d+/, `"mass_g": ${['"310"', '-1', '1e999', '[310]', '{}'][number % 5]}`),
    () =>
      whole.replace('"type": "weighed-in"', `"type": "${['magic', '<script>', '../..', '', 'struck'][number % 5]}"`),
    () => ['', 'null', '[]', '0', '"book"', 'true', '{}', '\u0000'][number % 8] ?? '',
  ]
  return (kinds[number % kinds.length] ?? (() => ''))()
}
