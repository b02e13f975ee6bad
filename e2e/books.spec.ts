import { CATALOGUE, foldLog, stampEntry, writeBook, type Saying } from '@ellop/core'
import { expect, test, type Page } from '@playwright/test'
import { openDemo } from './cook'

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
  await page.goto('/lot/27-001')
  await page.getByRole('tab', { name: 'Note something else' }).click()
  await page.getByLabel('What it looks like').fill('a smooth leaf')
  await page.getByRole('button', { name: 'Report the stray' }).click()
  await expect(page.getByRole('alert')).toContainText('This is somebody else’s book: it is only read.')
  await page.goto('/books')
  await page.getByRole('listitem').filter({ hasText: 'Demonstration' }).getByRole('button', { name: 'Open' }).click()
  await expect(page.locator('.place-head p')).toContainText('8 lots')
  await page.goto('/notebook')
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
  await page.goto('/notebook?find=tasted')
  await expect(page.locator('.notebook li').first()).toContainText('tasted')
})
