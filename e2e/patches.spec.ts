import { expect, test } from '@playwright/test'

test('a patch tells what its ground is fit for, by the school that was chosen, and its place leaves in no file', async ({
  page,
}) => {
  await page.goto('/patches')
  await expect(page.locator('.patches li', { hasText: 'Sprayed verge' })).toContainText('weedkiller at Sprayed verge')
  await page.getByRole('link', { name: 'Tarn shore' }).click()
  await page.getByRole('button', { name: 'Note the ground' }).first().click()
  await page.locator('fieldset', { hasText: 'Busy road' }).getByText('at …').click()
  await page.getByLabel('Distance to the road').fill('ten')
  await page.getByRole('button', { name: 'Note the ground' }).last().click()
  await expect(page.getByRole('alert')).toHaveText('The distance to the road: give a number, such as 40.')
  await page.getByLabel('Distance to the road').fill('30')
  await page.getByLabel('Where it lies, north').fill('46.5123')
  await page.getByLabel('East').fill('9.8765')
  await page.getByRole('button', { name: 'Note the ground' }).last().click()
  await expect(page.locator('.grounds')).toContainText('30 m from a busy road; 50 m is the careful distance')
  await page.getByRole('link', { name: 'change it' }).click()
  await page.getByText('the usual school', { exact: true }).click()
  await page.getByRole('button', { name: 'Note the kitchen' }).click()
  await expect(page.getByText('every limit is computed again')).toBeVisible()
  await page.goBack()
  await expect(page.locator('.grounds')).not.toContainText('busy road')
  await page.goto('/notebook')
  await page.getByRole('button', { name: 'Export the book' }).click()
  const saved = async (choice: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: choice }).click(),
    ])
    return (await (await file.createReadStream()).toArray()).join('')
  }
  expect(await saved('Leave them out')).not.toContain('46.5')
  await page.getByRole('button', { name: 'Export the book' }).click()
  expect(await saved('As they are')).toContain('46.5123')
})
