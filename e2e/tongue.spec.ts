import { expect, test } from '@playwright/test'
import { attest, choose, countStand, follow, openDemo, tellPlant, weighIn } from './cook'

test('dandelion along the stand, in two bowls tasted blind, and at the table: the tongue decides what is for the tongue alone', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await openDemo(page)
  await weighIn(page, {
    plant: 'Dandelion · Taraxacum officinale',
    part: 'leaves, young',
    patch: 'Beck wall',
    grams: '330',
  })
  const title = page.locator('#now-title')
  await tellPlant(page, 'Taraxacum officinale')
  const other = page.getByRole('tab', { name: 'Note something else' })
  await other.click()
  const along = page.locator('section', { has: page.getByRole('heading', { name: 'Along the stand' }) })
  const bite = async (plant: string, score: string, gives: string) => {
    await along.getByLabel('Which plant').fill(plant)
    await along.getByRole('group', { name: 'How good' }).getByText(score, { exact: true }).click()
    await along.getByLabel('It can give').fill(gives)
    await along.getByRole('button', { name: 'Note the bite' }).click()
  }
  await along.getByRole('combobox', { name: 'Bitten by' }).click()
  await page.locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: 'Mirl' }).click()
  // Nobody bites of what is not told yet, and what was typed stays.
  await bite('by the steps', '8', '30')
  await expect(along.getByRole('alert')).toContainText('Identity is to do')
  await expect(along.getByLabel('Which plant')).toHaveValue('by the steps')
  await attest(page)
  await along.getByRole('button', { name: 'Note the bite' }).click()
  await expect(along.getByRole('alert')).toContainText('Washed piece by piece in safe water')
  await along.getByLabel('Rinsed in drinking water').check()
  await along.getByRole('button', { name: 'Note the bite' }).click()
  await expect(along).toContainText('by the steps 8')
  await bite('in the nettles', '3', '90')
  await expect(along).toContainText('in the nettles 3')
  await countStand(page, '900', '60')
  await page.getByLabel('Kept after sorting').fill('280')
  await page.getByLabel('Trimmed off').fill('50')
  await page.getByText('shaken out only').click()
  await page.getByRole('button', { name: 'Save the sorting' }).click()
  // The way wants water, and says so before anything else.
  await expect(title).toHaveText('Wash it first')
  await page.getByRole('button', { name: 'Washed' }).click()
  await page.getByText('to eat raw', { exact: true }).click()
  await expect(title).toHaveText('Now: soak cold')
  await expect(page.locator('.now')).toContainText('The food is as safe; only its taste stays')
  await page.getByRole('tab', { name: 'Plan' }).click()
  await page.getByText('Try a step with less').click()
  await page.getByLabel('Bowl 2: take out').fill('400')
  await page.getByRole('button', { name: 'Set the bowls' }).click()
  await expect(page.locator('.trial').getByRole('alert')).toContainText('leave some in this one')
  await page.getByLabel('Bowl 2: take out').fill('100')
  await page.getByLabel('Bowl 2: minutes').fill('0')
  await page.getByRole('button', { name: 'Set the bowls' }).click()
  const trial = page.locator('.trial')
  await expect(trial).toContainText('A trial of 2 bowls')
  // The one bowl is soaked, the other goes without.
  await page.getByRole('button', { name: 'Begin the soaking' }).click()
  await page.clock.fastForward(61 * 60_000)
  await page
    .getByRole('button', { name: /cold water|out|Done|done/ })
    .first()
    .click()
  for (const taster of ['Mirl', 'Oswin']) {
    await choose(page, 'Who tastes', taster)
    const cups = page.getByRole('list', { name: `Cups for ${taster}` })
    await expect(cups.getByRole('listitem')).toHaveCount(2)
    // Also not to the second, though the first knows by now.
    await expect(trial).toContainText('Which bowl is which is told when whoever tastes has had them all')
    for (const cup of [1, 2]) await page.getByRole('button', { name: `Cup ${cup}: good`, exact: true }).click()
    await expect(trial).toContainText(`${taster} has tasted them all.`)
  }
  await expect(trial).toContainText('no soaking was no worse (2 tasters)')
  await expect(trial).toContainText('True of what grows at Beck wall')
  // On the patch the best stands first, with what it may give.
  await follow(page, '/patch/beck-wall')
  const ranking = page.getByRole('region', { name: 'Plants by taste, leaf' })
  await expect(ranking.getByRole('listitem').first()).toContainText('by the steps')
  await expect(ranking).toContainText(/The stand still allows \d+/)
})

test('figures that contradict themselves are left out; a saying that repeats another adds no source; a cook without a pot is told what waits', async ({
  page,
}) => {
  await openDemo(page, '/plant/Urtica%20dioica')
  const figures = page.locator('.tables-say')
  await expect(figures).toContainText('Left out: a leaflet, 41 mg: about 10 times')
  await figures.getByText('Write a figure down').click()
  await choose(page, 'What', 'protein')
  await figures.getByLabel('How much').fill('120')
  await choose(page, 'Unit', 'g')
  await figures.getByLabel('Who says so').fill('a poster')
  await figures.getByRole('button', { name: 'Write it down' }).click()
  await expect(figures).toContainText('a poster, 120 g: more of it than the whole weighs')
  await follow(page, '/plant/Asclepias%20syriaca')
  // Until it is drawn the plant that was left stands there, with the same words on it.
  await expect(page.getByRole('main')).toContainText('Asclepias syriaca')
  const use = page.locator('.card.use').first()
  await use.getByText('You read or heard something of it').click()
  await use.getByLabel('It says', { exact: true }).fill('one water is plenty')
  await use.getByLabel('Who says it').fill('a neighbour')
  await use.getByRole('button', { name: 'Write it down' }).click()
  await expect(use).toContainText('“one water is plenty” a neighbour: handed down')
  await follow(page, '/lot/27-004')
  await page.getByRole('tab', { name: 'Plan' }).click()
  await page.getByText('Short of water, fuel or time?').click()
  await page.getByRole('button', { name: 'Find what fits' }).click()
  await expect(page.locator('.short-of').getByRole('alert')).toContainText('Say how much there is of one of them.')
  await page.getByLabel('Water there is').fill('3')
  await page.getByRole('button', { name: 'Find what fits' }).click()
  const fits = page.getByRole('region', { name: 'What fits' })
  await expect(fits.getByRole('listitem').first()).toContainText(
    /^blanch and drain usual \d+ g of it now: 3 L of water/,
  )
  await expect(fits).toContainText('For all of 500 g:')
  await follow(page, '/books')
  await page.getByRole('checkbox', { name: 'a pot' }).uncheck()
  await page.getByRole('button', { name: 'Note the kitchen' }).click()
  await expect(page.locator('.said')).toContainText('The kitchen is noted')
  await follow(page, '/lot/27-004')
  await expect(page.getByRole('alert').first()).toContainText('blanching takes a pot, and there is none here')
})
