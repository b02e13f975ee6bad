import { expect, test } from '@playwright/test'
import { choose, countStand, follow, hold, openDemo, tellPlant, weighIn, attest, sortOut } from './cook'

test('ramsons under oil: refused warm, with what would do; taken cold', async ({ page }) => {
  await openDemo(page, '/lot/27-006')
  await tellPlant(page, 'Allium ursinum')
  await attest(page)
  await countStand(page)
  await sortOut(page, '300', '15')
  await page.getByRole('tab', { name: 'Note something else' }).click()
  await page.getByText('oil, cold', { exact: true }).click()
  await page.getByLabel('The store is at').fill('18')
  await page.getByRole('button', { name: 'Pack and label it' }).click()
  const refusal = page.locator('.other-notes .refusal')
  await expect(refusal).toContainText('The store is at 18.0 °C; it must be at 4.0 °C or below.')
  await expect(refusal).toContainText('can grow botulism')
  await expect(refusal).toContainText('eaten within 4 days')
  await page.getByLabel('The store is at').fill('4')
  await page.getByRole('button', { name: 'Pack and label it' }).click()
  await expect(page.locator('.label')).toContainText('NOT YET FOOD')
})

test('elder leaf is refused, with what is food instead', async ({ page }) => {
  await openDemo(page)
  await weighIn(page, { plant: 'Elder · Sambucus nigra', part: 'leaves, any', patch: 'Low lane hedge' })
  await expect(page.locator('.field.wrong .field-note')).toContainText(
    'Elder leaves and green stalks hold cyanide-forming',
  )
  await expect(page.locator('.field.wrong .field-note')).toContainText('Instead: ripe black berries, boiled')
})

test('a book of one’s own in three questions; at 2,600 m elder berries cannot be boiled safe, and it says what may be done', async ({
  page,
}) => {
  await page.clock.install()
  await page.goto('/')
  await page.getByLabel('What is your kitchen called?').fill('High hut')
  await page.getByLabel('How high does it lie?').fill('26oo')
  await page.getByLabel('Who eats there?').fill('Rana, Iven')
  await page.getByRole('button', { name: 'Start my book' }).click()
  await expect(page.locator('.field.wrong .field-note')).toContainText('“26oo” is not a number')
  await page.getByLabel('How high does it lie?').fill('2600')
  await page.getByRole('button', { name: 'Start my book' }).click()
  await expect(page.locator('.path-bar')).toContainText('Your book')
  await page.keyboard.press('w')
  const dialog = page.getByRole('dialog', { name: 'Weigh in' })
  await choose(page, 'What you say it is', 'Elder · Sambucus nigra')
  await choose(page, 'Which part, at which stage', 'berries, ripe')
  await page.getByRole('combobox', { name: 'From which patch' }).fill('Goat track')
  await page.locator('.ant-select-item-option', { hasText: 'Goat track (new patch)' }).click()
  await dialog.getByLabel('Weight as picked').fill('1500')
  await dialog.getByRole('button', { name: 'Weigh in' }).click()
  const then = page.locator('.then')
  await expect(then).toContainText(
    'The record accepts this boil up to 2,000 m; here, at 2,600 m, water boils at 91.3 °C.',
  )
  await expect(then).toContainText('Freeze the berries raw and whole, marked NOT YET FOOD')
  await follow(page, '/ill')
  await expect(page.locator('.ill-numbers')).toContainText('No number saved. Dial your country’s emergency number now.')
  await expect(page.locator('.ill')).toContainText('No meal saved in this time.')
  await page.getByRole('textbox', { name: 'Poison centre' }).fill('000 111')
  await page.getByRole('button', { name: 'Keep these numbers' }).click()
  await expect(page.locator('.ill-numbers')).toContainText('000 111')
  await follow(page, '/books')
  await page.getByRole('listitem').filter({ hasText: 'Demonstration' }).getByRole('button', { name: 'Open' }).click()
  await expect(page.locator('.place-head p')).toContainText('8 lots')
})

test('acorns stored dry as not yet food, opened, leached by the stand-in’s tongue, dried to flour and put in the larder; then simmered', async ({
  page,
}) => {
  test.setTimeout(180_000)
  const hour_ms = 3_600_000
  await openDemo(page, '/larder')
  const pack = page.locator('.pack', { hasText: 'Acorns' })
  await expect(pack).toContainText('NOT YET FOOD')
  await expect(pack).toContainText('only keeps it')
  await pack.getByRole('button', { name: 'Go on with it' }).click()
  await pack.getByRole('button', { name: 'Take it into hand' }).click()
  await expect(page.locator('#now-title')).toHaveText('Choose a way that makes it safe')
  await follow(page, '/lot/27-005')
  const title = page.locator('#now-title')
  const forecast = page.getByRole('region', { name: 'How many baths more' })
  await expect(forecast).toContainText('No crumb was tasted yet')
  for (const bath of [4, 5, 6]) {
    await expect(title).toHaveText(`Leave it in bath ${bath}`)
    await page.clock.fastForward(8 * hour_ms)
    await expect(page.getByText('Long enough. Pour it off')).toBeVisible()
    if (bath === 6) continue
    // A cold bath counts by the thermometer.
    await page.getByLabel('The water is at').fill('6')
    await hold(page, page.getByRole('button', { name: 'Press and hold: fresh water is on' }))
  }
  await page.getByRole('button', { name: 'Poured off, no fresh water' }).click()
  await expect(title).toHaveText('Taste a crumb and spit it out')
  // Nobody's tongue is led: the forecast is told again when the crumb is noted.
  await expect(forecast).toHaveCount(0)
  const crumb = async () => {
    await page.getByRole('button', { name: 'Let the stand-in taste' }).click()
    await expect(page.locator('.now')).toContainText('counts in the demonstration and nowhere else')
    const [, score = ''] = /crumb: (\d+) of 10/.exec((await page.locator('.now').textContent()) ?? '') ?? []
    await page.getByRole('button', { name: 'Spat out: note it' }).click()
    return Number(score)
  }
  let baths = 6
  for (let score = await crumb(); score > 1; score = await crumb()) {
    await expect(page.locator('.now-detail')).toHaveText(`It still tastes ${score} of 10.`)
    await expect(forecast).toContainText(/crumbs? and the baths so far/)
    await page.getByLabel('The water is at').fill('6')
    await page.getByRole('button', { name: 'Pour fresh water on' }).click()
    await page.clock.fastForward(8 * hour_ms)
    await page.getByRole('button', { name: 'Poured off, no fresh water' }).click()
    baths += 1
  }
  expect(baths).toBeGreaterThan(7)
  await expect(title).toHaveText('Press it and weigh it')
  await page.getByLabel('It weighs').fill('1380')
  await page.getByRole('button', { name: 'Weighed' }).click()
  await expect(title).toHaveText('Now: dry')
  // Pressed drier than the plant list has it: a sample dried until its weight stands tells so.
  await page.getByRole('tab', { name: 'Note something else' }).click()
  await page.getByLabel('Sample before drying').fill('20')
  await page.getByLabel('Last weighing but one').fill('9.4')
  await page.getByLabel('Last weighing', { exact: true }).fill('9.35')
  await page.getByRole('button', { name: 'Save the sample' }).click()
  await expect(page.locator('.said')).toContainText('Saved: the sample')
  for (const dry_g of ['760', '700']) {
    await page.getByRole('button', { name: 'Begin the drying' }).click()
    await page.clock.fastForward(10 * hour_ms)
    await page.getByLabel('Dry weight').fill(dry_g)
    await hold(page, page.getByRole('button', { name: 'Press and hold: dry and weighed' }))
    // Not dry enough yet, it says so in red, and how far it is to go.
    if (dry_g === '760') await expect(page.locator('.must')).toContainText('760 g dry, 717 g is dry enough')
  }
  await expect(title).toHaveText('Weigh it dry')
  await page.getByLabel('It weighs').fill('700')
  await page.getByRole('button', { name: 'Weighed' }).click()
  await expect(title).toHaveText('Pack it: NOT YET FOOD')
  await expect(page.locator('.now-detail')).toContainText('Still due before anybody eats of it: simmer')
  await page.getByRole('textbox', { name: 'Pack' }).fill('500')
  await page.getByRole('button', { name: 'Pack and label it' }).click()
  await expect(page).toHaveURL(/larder/)
  const bag = page.locator('.pack', { hasText: '27-005' })
  await expect(bag).toContainText('NOT YET FOOD')
  await expect(bag).toContainText('Still to do: simmer, against soil bacteria.')
  // What was kept back is made food now.
  await follow(page, '/lot/27-005')
  await page.getByText('Or make it food now').click()
  await hold(page, page.getByRole('button', { name: 'When it boils again: press and hold' }))
  await page.clock.fastForward(15.2 * 60_000)
  await hold(page, page.getByRole('button', { name: 'When all of it is in cold water: press and hold' }))
  await expect(title).toHaveText('Press and weigh it')
  await expect(page.locator('.lot-head .ribbon')).toHaveAttribute('aria-label', /Make safe open/)
})

test('the best baths of a leach are chosen from, and the water chosen goes into the form', async ({ page }) => {
  await openDemo(page, '/lot/27-005')
  await page.getByText('Which baths serve best').click()
  const ways = page.getByRole('group', { name: 'The best in one way each' })
  await expect(ways.getByRole('button')).toHaveCount(2, { timeout: 40_000 })
  const told = page.locator('.leach-planner .forecast-says')
  await ways.getByRole('button', { name: /^Least water/ }).click()
  const least = await told.textContent()
  await ways.getByRole('button', { name: /^Quickest/ }).click()
  await expect(told).not.toHaveText(least ?? '')
  // The limit of the record holds whatever is chosen: six baths at least, each of eight hours.
  await expect(told).toContainText(/^([6-9]|1\d|20) baths of [\d.]+ L, (8|9|1\d|2[0-4]) h/)
  const [, litres = ''] = /of ([\d.]+) L/.exec((await told.textContent()) ?? '') ?? []
  await page.getByRole('button', { name: 'Take this much water' }).click()
  const water = Number(await page.getByLabel('Fresh water').inputValue())
  expect(Math.abs(water / 1000 - Number(litres))).toBeLessThan(0.1)
  // With the least water there is for it, or none that would do.
  const litresOf = (text: string | null) => Number(/· ([\d.]+) L/.exec(text ?? '')?.[1] ?? 0)
  const quick_L = litresOf(await ways.getByRole('button', { name: /^Quickest/ }).textContent())
  const least_L = litresOf(await ways.getByRole('button', { name: /^Least water/ }).textContent())
  expect(quick_L).toBeGreaterThan(least_L)
  const planner = page.locator('.leach-planner')
  await planner.getByLabel('Water there is for it').fill('none')
  await planner.getByRole('button', { name: 'Reckon within these' }).click()
  await expect(planner.getByRole('alert')).toHaveText('“none” is not a number. Write it like 12.5 or 12,5.')
  await planner.getByLabel('Water there is for it').fill(String((quick_L + least_L) / 2))
  await planner.getByRole('button', { name: 'Reckon within these' }).click()
  await expect(planner.getByText('Reckoning the baths')).toBeVisible()
  await expect(ways.getByRole('button', { name: /^Quickest/ })).toBeVisible({ timeout: 40_000 })
  for (const way of await ways.getByRole('button').allTextContents())
    expect(litresOf(way)).toBeLessThanOrEqual((quick_L + least_L) / 2 + 0.05)
  await planner.getByLabel('Water there is for it').fill('1')
  await planner.getByRole('button', { name: 'Reckon within these' }).click()
  await expect(planner.getByText('No allowed setting brings it so low')).toBeVisible({ timeout: 40_000 })
  await page.getByText('The ways on from here, compared').click()
  const compared = page.getByRole('region', { name: 'The ways on, compared' })
  await expect(compared.getByRole('listitem')).toHaveCount(3, { timeout: 20_000 })
  await expect(compared.locator('.current')).toContainText('binds and thickens')
  await expect(compared).toContainText('Dry heat takes no tannin out')
})

test('six touches from weighing in to ready for the pot where plant and patch are known; and not where a double kills', async ({
  page,
}) => {
  await openDemo(page)
  let touches = 0
  const touch = async (act: () => Promise<void>) => {
    touches += 1
    await act()
  }
  const dialog = page.getByRole('dialog', { name: 'Weigh in' })
  await touch(() => page.getByRole('button', { name: 'Weigh in' }).click())
  await touch(() => dialog.getByRole('button', { name: 'Nettle tops, North wood' }).click())
  await touch(() => dialog.getByLabel('Weight as picked').fill('640'))
  await touch(() => dialog.getByRole('button', { name: 'Weigh in' }).click())
  await expect(page.locator('.now-detail')).toContainText('Known from this patch (lot 27-004)')
  const question = (await page.locator('#now-title').textContent()) ?? ''
  const answer = question.includes('leaves sit')
    ? 'in pairs (opposite)'
    : question.includes('leaf?')
      ? 'stinging hairs'
      : 'square'
  await touch(() => page.getByRole('group', { name: 'What you see' }).getByRole('button', { name: answer }).click())
  await touch(() => hold(page, page.getByRole('button', { name: 'Press and hold: as last time, I am certain' })))
  await expect(page.locator('#now-title')).toHaveText('Now: blanch')
  expect(touches).toBe(6)
  await follow(page, '/lot/27-006')
  await expect(page.locator('.now')).not.toContainText('Known from this patch')
})

test('a recall of a patch reaches the plate of last autumn and holds what is left', async ({ page }) => {
  await openDemo(page, '/recall')
  await page.getByRole('combobox', { name: 'Which' }).click()
  await page.locator('.ant-select-item-option', { hasText: 'Beck wall' }).click()
  await page.getByLabel('What happened').fill('the wall was sprayed on Tuesday')
  await expect(page.locator('.reach').first()).toContainText('pack 26-011-a')
  await expect(page.locator('.reach').first()).toContainText('nettle dumplings, by Mirl, Oswin, Tove and Pell')
  await hold(page, page.getByRole('button', { name: 'Press and hold to recall' }))
  await expect(page.getByRole('article')).toContainText('the wall was sprayed on Tuesday')
  await follow(page, '/larder')
  await expect(page.getByRole('alert')).toContainText('DO NOT EAT from 2 packs')
  await expect(page.locator('.pack', { hasText: 'DO NOT EAT' })).toHaveCount(2)
})

test('two lots joined and split on screen: the batch is as its worst part', async ({ page }) => {
  await openDemo(page, '/lot/27-004')
  await page.getByRole('tab', { name: 'Note something else' }).click()
  await page.getByRole('combobox', { name: 'Join with' }).click()
  await page.locator('.ant-select-item-option', { hasText: '27-008' }).click()
  await hold(page, page.getByRole('button', { name: 'Press and hold to join them' }))
  await expect(page.locator('.other-notes .refusal, .other-notes [role=alert]')).toContainText(
    'Some of its loads are done and some are not.',
  )
  await follow(page, '/lot/27-002')
  await page.getByRole('tab', { name: 'Note something else' }).click()
  await page.getByLabel('Split off').fill('80')
  await page.getByRole('button', { name: 'Split it off' }).click()
  await expect(page.locator('.lot-head')).toContainText('lot 27-009')
  await expect(page.locator('#now-title')).toHaveText('Sort, trim and weigh again')
})
