import { expect, test } from '@playwright/test'
import { choose, follow, openDemo } from './cook'

test('a plant is found by a misspelling and an older name; one name for several is said, and an unknown one too', async ({
  page,
}) => {
  await openDemo(page, '/plants')
  const find = page.getByLabel('Find a plant')
  await find.fill('ramsens')
  await expect(page.locator('.plant-list li').first()).toContainText('Allium ursinum')
  await find.fill('Tamus communis')
  await expect(page.getByText('bears another name now')).toContainText('Dioscorea communis')
  await find.fill('hemlock')
  const shared = page.getByRole('region', { name: 'One name, several plants' })
  await expect(shared).toContainText('“hemlock” means')
  await expect(shared.getByRole('group', { name: 'What parts the plants called hemlock' })).toContainText('Underground')
  await expect(shared.locator('li')).toHaveCount(3)
  await find.fill('roots in january')
  await expect(page.locator('.plant-list')).toContainText('Dandelion')
  await find.fill('qqzz')
  await expect(page.getByRole('heading', { name: 'No plant called “qqzz” is on record' })).toBeVisible()
  await follow(page, '/plant/Planta%20ignota')
  await expect(page.getByText('Do not eat it by that name, not even a little to try')).toBeVisible()
  // What to look at, and what whoever is at it surely knows in its weeks: nothing that is only on record, or that the deadly are taken for.
  await expect(page.locator('.looks li')).toHaveCount(9)
  await expect(page.locator('.known-now li')).toContainText(['Dandelion: leaf', 'Nettle: leafy top'])
  await expect(page.locator('.known-now')).not.toContainText(/Elder|Ramsons|spruce/)
})

test('a plant’s page says what of it is food, what it is taken for and what one’s own book says; its card fits one page', async ({
  page,
}) => {
  await openDemo(page, '/plant/Sambucus%20nigra')
  await expect(page.locator('.verdicts tr.never').first()).toContainText('never')
  await expect(page.locator('.taken-for')).toContainText('Sambucus ebulus')
  await expect(page.getByRole('heading', { name: 'In your book' })).toBeVisible()
  await expect(page.locator('.own-lots li').first()).toBeVisible()
  await follow(page, '/plant/Asclepias%20syriaca')
  const said = page.locator('.school', { hasText: 'three changes of water' }).first().locator('.who-says')
  await expect(said).toContainText('1 independent source')
  await expect(said).toContainText('Repeated by most field books after them')
  await expect(said).toContainText('You have not gone this way yet.')
  await follow(page, '/plant/Conium%20maculatum')
  await expect(page.locator('.plant-head .refusal')).toHaveText(/^Never food \(deadly\)\./)
  await follow(page, '/plant/Aegopodium%20podagraria/card')
  await expect(page.locator('.side-by-side thead')).toContainText('Poison hemlock')
  expect(await page.locator('.side-by-side .tell-drawing').count()).toBeGreaterThan(8)
  await page.emulateMedia({ media: 'print' })
  const pdf = await page.pdf({ format: 'A4', landscape: true })
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
})

test('a plant among which deadly ones grow says so before anything else; of a poison one part is food, and every other is named', async ({
  page,
}) => {
  await openDemo(page, '/plant/Allium%20ursinum')
  await expect(page.locator('.plant-head .refusal')).toHaveText(
    'Deadly, and taken for it: autumn crocus, lily of the valley and white hellebore. Look at every piece by itself.',
  )
  await follow(page, '/plant/Podophyllum%20peltatum')
  await expect(page.locator('.plant-head .refusal')).toContainText('Other parts and stages of it are deadly.')
  await expect(page.locator('.verdicts tr.never').last()).toContainText(
    'leaf, root, rhizome, stem, shoot, leafy top, seed, flower',
  )
  await follow(page, '/plant/Urtica%20dioica')
  await expect(page.locator('.plant-head .refusal')).toHaveCount(0)
})

test('telling: each state is drawn, nobody’s marks lead the answer, a wrong state shuts the gate, and the reason is beside it', async ({
  page,
}) => {
  await openDemo(page, '/lot/27-006/tells')
  await expect(page.getByRole('heading', { name: 'Is it ramsons?' })).toBeVisible()
  const gate = page.locator('.gate-card')
  await expect(gate).toContainText('To do')
  const question = page.locator('.tells-next h2')
  const asked = (await question.textContent()) ?? ''
  const label = asked.includes('join the stem') ? 'Leaf base' : 'nothing'
  // What is being asked stands in no row beside it.
  await expect(page.locator('.side-by-side tbody')).not.toContainText(label)
  await expect(page.locator('.tells-next .tile svg').first()).toBeVisible()
  await page
    .getByRole('group', { name: 'What you see' })
    .getByRole('button', { name: 'a sheath round the stem', exact: true })
    .click()
  await page.getByRole('button', { name: 'That is what I see' }).click()
  await expect(gate).toContainText('Closed: it is not this plant')
  await expect(gate).toContainText('you saw a sheath round the stem; on ramsons it is stalked')
  await expect(page.locator('.side-by-side tbody')).toContainText('Leaf base')
  await expect(page.getByRole('img', { name: 'speaks against it' }).first()).toBeVisible()
})

test('a plant of one’s own: never beside a record, told from all that harms, and marked as nobody else’s word', async ({
  page,
}) => {
  await openDemo(page, '/plants/own')
  const record = page.getByRole('button', { name: 'Put it on record' })
  await choose(page, 'Genus', 'another genus: told, never eaten')
  await page.getByLabel('Which genus').fill('Conium')
  await page.getByLabel('Species').fill('maculatum')
  await page.getByLabel('What you call it').fill('hedge pennies')
  await choose(page, 'Family', 'Malvaceae')
  await page.getByLabel('Who says that it is food').fill('a neighbour')
  await record.click()
  await expect(page.getByText('is on record already, and its record stands.')).toBeVisible()
  // A poison under another spelling is none the less one.
  await page.getByLabel('Which genus').fill('Digitaliss')
  await page.getByLabel('Species').fill('repens')
  await record.click()
  await expect(page.getByText('Digitaliss is written nearly like Digitalis.')).toBeVisible()
  await choose(page, 'Genus', 'Malva · Malvaceae')
  await page.getByLabel('Species').fill('repens')
  const show = async (character: string, state: string) => {
    await choose(page, 'A character', character)
    await page.getByRole('group', { name: character }).getByRole('button', { name: state, exact: true }).click()
    await page.locator('.own-tells li').last().getByRole('checkbox').check()
  }
  await show('How the leaves sit', 'in rings (whorled)')
  await record.click()
  await expect(page.getByRole('alert')).toHaveText(
    'Choose at least 4 key tells that do not hang together; now there are 1.',
  )
  await show('Leaf shape', 'kidney-shaped')
  await show('Leaf surface', 'mealy')
  await show('Stem, cut across', 'three angled')
  await show('Crushed scent', 'cucumber')
  await show('Sap', 'slimy')
  await choose(page, 'Plants it could be taken for', 'Chickweed · Stellaria media')
  await page.keyboard.press('Escape')
  await record.click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Hedge pennies')
  await expect(page.getByText('your own record')).toBeVisible()
  await follow(page, '/plants?find=hedge%20pennies')
  await expect(page.getByRole('link', { name: /Hedge pennies/ }).first()).toBeVisible()
})
