import { expect, test } from '@playwright/test'
import { boilLoad, hold, leave, openDemo, tellNettle, weighIn } from './cook'

test('bad input gets one clear sentence, keeps what was typed and changes nothing stored', async ({ page }) => {
  await openDemo(page, '/notebook')
  const entries = page.locator('.place-head p').first()
  const stored = await entries.textContent()
  const refusal = page.locator('.field.wrong .field-note, .refusal')

  await weighIn(page, { grams: '-5' })
  await expect(refusal).toHaveText('The weight must be greater than 0.')
  const dialog = page.getByRole('dialog', { name: 'Weigh in' })
  await dialog.getByLabel('Weight as picked').fill('a basketful')
  await dialog.getByRole('button', { name: 'Weigh in' }).click()
  await expect(refusal).toHaveText('“a basketful” is not a number. Write it like 12.5 or 12,5.')
  await expect(dialog.getByLabel('Weight as picked')).toHaveValue('a basketful')
  await leave(page, dialog)

  await weighIn(page, { part: 'tops, flowering' })
  await expect(refusal).toContainText('Once the flower strings hang the leaves are gritty')
  await expect(refusal).toContainText('Instead: young tops from a stand mown in early summer')
  await leave(page, dialog)
  await weighIn(page, { plant: "Dog's mercury", part: 'tops, any' })
  await expect(refusal).toContainText('Mercurialis perennis is not food.')
  await leave(page, dialog)
  await page.keyboard.press('7')
  await expect(entries).toHaveText(stored ?? '')

  const file = (content: string) =>
    page
      .locator('input[type=file]')
      .setInputFiles({ name: 'b.json', mimeType: 'application/json', buffer: Buffer.from(content) })
  await file('{"format":"ellop-book","version":1,"entr')
  await expect(refusal).toHaveText(
    'The file is not whole JSON: it may be cut off. Save it again where it came from. Nothing was added.',
  )
  await expect(entries).toHaveText(stored ?? '')
})

test('at the pot: more than the lot holds, 300 °C, out early and off the boil', async ({ page }) => {
  await openDemo(page, '/lot/27-004')
  const refusal = page.locator('.field.wrong .field-note, .refusal')
  await page.getByLabel('Food in load 3').fill('5000')
  await hold(page, page.getByRole('button', { name: 'When it boils again: press and hold' }))
  await expect(refusal).toHaveText('There are only 100 g left of it. Give that or less.')
  await page.getByLabel('Food in load 3').fill('100')
  await hold(page, page.getByRole('button', { name: 'When it boils again: press and hold' }))

  await page.getByLabel('Thermometer').fill('300')
  await hold(page, page.getByRole('button', { name: 'Will not count: press and hold to stop early' }))
  await expect(refusal).toHaveText('The temperature must be at most 130 °C: nothing in a pot is hotter.')
  await page.getByLabel('Thermometer').fill('96,0')
  await page.getByRole('button', { name: 'The boil stopped' }).click()
  await expect(page.locator('#now-title')).toHaveText('Next load: blanch')
  await page.getByRole('tab', { name: 'Gates' }).click()
  await expect(page.locator('.gate-list')).toContainText(
    'Load 3 does not count for the blanching: it went off the boil. Do it again.',
  )
  await boilLoad(page)
  await expect(page.locator('#now-title')).toHaveText('Press and weigh it')
})

test('a splash is not a hold; a stray shuts what was open', async ({ page }) => {
  await openDemo(page)
  await weighIn(page)
  await tellNettle(page)
  await page.getByRole('button', { name: 'Press and hold: I am certain' }).click()
  await expect(page.locator('#now-title')).toHaveText('Are you certain?')
  await page.locator('fieldset', { hasText: 'Do other plants grow' }).getByText('No', { exact: true }).click()
  await page.getByRole('button', { name: 'Press and hold: I am certain' }).focus()
  await page.keyboard.down('Enter')
  await page.waitForTimeout(900)
  await page.keyboard.up('Enter')
  await expect(page.locator('#now-title')).toHaveText('Count the plants: how many grew, how many you cut')
  await page.getByRole('tab', { name: 'Note something else' }).click()
  await page.getByLabel('What it looks like').fill('a smooth leaf')
  await page.getByRole('button', { name: 'Report the stray' }).click()
  await expect(page.locator('#now-title')).toHaveText('Go through all of it again')
})

test('a full store is told, and what was typed stays', async ({ page }) => {
  await openDemo(page)
  await page.evaluate(() => {
    const fail = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    IDBObjectStore.prototype.add = fail
  })
  await weighIn(page)
  await expect(page.locator('.refusal')).toHaveText(
    'The browser could not store it, so it is not noted. What you typed is still here: make room, or try again.',
  )
  await expect(page.getByLabel('Weight as picked')).toHaveValue('1240')
  await page.reload()
  await expect(page.locator('.place-head p')).toContainText('8 lots')
})
