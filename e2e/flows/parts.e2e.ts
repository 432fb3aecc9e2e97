import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { Desk, test } from './desk.js'

const openParts = async (page: Page): Promise<Desk> => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.turnInto('React')
  await page.getByRole('tab', { name: 'Parts' }).click()
  await expect(page.getByRole('button', { name: /^Sighting 4 places/ })).toBeVisible()
  return desk
}

test(
  'a part shows what it is given, is renamed, and the code follows',
  { tag: '@quick' },
  async ({ page }) => {
    const desk = await openParts(page)
    await page.getByRole('button', { name: /^Sighting 4 places/ }).click()
    const card = page.getByRole('region', { name: 'The chosen part' })
    await expect(card.getByRole('row', { name: /^rare yes or no/ })).toBeVisible()
    await expect(card.getByRole('textbox', { name: 'species default' })).toHaveAttribute(
      'placeholder',
      'required',
    )
    const { violations } = await new AxeBuilder({ page }).exclude('iframe').analyze()
    expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])

    const name = card.getByRole('textbox', { name: 'Name of the part' })
    await name.fill('Find of the day')
    await name.press('Enter')
    await expect(page.getByRole('button', { name: /^Find of the day 4 places/ })).toBeVisible()
    await expect(desk.code).toContainText('FindOfTheDay')
    await expect(card).toContainText('src/components/FindOfTheDay.tsx')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('button', { name: /^Sighting 4 places/ })).toBeVisible()
  },
)

test('instances are shown as they are drawn, and a person says that only the words used may be given', async ({
  page,
}) => {
  await openParts(page)
  await page.getByRole('button', { name: /^Sighting 4 places/ }).click()
  const card = page.getByRole('region', { name: 'The chosen part' })
  const pictures = card.getByRole('listitem').locator('img')
  await expect(pictures).toHaveCount(4)
  await expect
    .poll(() =>
      pictures.evaluateAll((all) => all.every((one) => (one as HTMLImageElement).naturalWidth > 0)),
    )
    .toBe(true)

  const type = card.getByRole('combobox', { name: 'What species may be' })
  await type.selectOption('choice')
  await expect(card).toContainText('| "Cuttlebone"')
  await expect(type).toHaveValue('choice')
  await type.selectOption('text')
  await expect(card).toContainText('species: string')
})

test('an instance is detached, taken back, and a layer is made a part', async ({ page }) => {
  const desk = await openParts(page)
  await page.getByRole('button', { name: /^Sighting 4 places/ }).click()
  const card = page.getByRole('region', { name: 'The chosen part' })
  await card
    .getByRole('listitem')
    .filter({ hasText: 'Cuttlebone' })
    .getByRole('button', { name: 'Detach' })
    .click()
  await expect(page.getByRole('button', { name: /^Sighting 3 places/ })).toBeVisible()
  // Two that are left beside each other are no list.
  await expect(desk.code).not.toContainText('recentSightings')
  await page.getByRole('button', { name: 'Reset' }).click()
  await expect(page.getByRole('button', { name: /^Sighting 4 places/ })).toBeVisible()

  await page.getByRole('tab', { name: 'Layers' }).click()
  await desk.row('Tide card').click()
  await page.getByRole('tab', { name: 'Parts' }).click()
  await page.getByRole('button', { name: 'Make a component' }).click()
  // It holds a button that opens a dialog of the page.
  await expect(page.getByText(/cannot be a part: something in it opens/)).toBeVisible()
  await page.getByRole('tab', { name: 'Layers' }).click()
  await desk.row('Today hero').click()
  await page.getByRole('tab', { name: 'Parts' }).click()
  await page.getByRole('button', { name: 'Make a component' }).click()
  await expect(page.getByRole('button', { name: /1 place yours/ })).toBeVisible()
  const undo = page.getByRole('button', { name: 'Undo' })
  await expect(async () => {
    if (await undo.isEnabled()) await undo.click()
    await expect(undo).toBeDisabled({ timeout: 1000 })
  }).toPass()
})

test('HTML says that it has no components', async ({ page }) => {
  const desk = await openParts(page)
  await desk.turnInto('HTML')
  await expect(page.getByText('HTML has no components')).toBeVisible()
})

test('what a component is given is renamed, asked for and given a default, and the code follows', async ({
  page,
}) => {
  const desk = await openParts(page)
  await page.getByRole('button', { name: /^Sighting 4 places/ }).click()
  const card = page.getByRole('region', { name: 'The chosen part' })
  const name = card.getByRole('textbox', { name: 'Name of rare' })
  await name.fill('is rare')
  await name.press('Enter')
  await expect(desk.code).toContainText('isRare: true')
  await card.getByRole('combobox', { name: 'isRare default' }).selectOption('else yes')
  await expect(desk.code).toContainText('isRare: false')
  await expect(card).toContainText('isRare')
  await card.getByText('src/components/Sighting.tsx').click()
  await expect(card.locator('pre')).toContainText('isRare = true')
  const place = card.getByRole('textbox', { name: 'place default' })
  await place.fill('Gannet Spit, upper wrack')
  await place.press('Enter')
  await expect(card.locator('pre')).toContainText('place = "Gannet Spit, upper wrack"')
  const undo = page.getByRole('button', { name: 'Undo' })
  for (let i = 0; i < 3; i++) await undo.click()
  await expect(undo).toBeDisabled()
  await expect(desk.code).toContainText('rare: true')
})

for (const [target, file] of [
  ['React', 'TodayOnTheShore.tsx'],
  ['Vue', 'TodayOnTheShore.vue'],
  ['Angular', 'today-on-the-shore.html'],
] as const) {
  test(`a component runs by itself in ${target}, and shows what it is given`, async ({ page }) => {
    const desk = await openParts(page)
    await desk.turnInto(target)
    await expect(page.getByRole('button', { name: file })).toBeVisible()
    await page.getByRole('button', { name: /^Sighting 4 places/ }).click()
    await page.getByRole('button', { name: 'Try it' }).click()
    const dialog = page.getByRole('dialog', { name: 'Sighting, running' })
    const running = dialog.frameLocator('iframe')
    await expect(running.getByText('Mermaid’s purse')).toBeVisible()
    await expect(running.getByText('Rare')).toBeHidden()
    await dialog.getByRole('checkbox', { name: 'rare' }).check()
    await expect(running.getByText('Rare')).toBeVisible()
    await dialog.getByRole('textbox', { name: 'species' }).fill('A boot, left foot')
    await expect(running.getByText('A boot, left foot')).toBeVisible()
    await dialog.getByRole('combobox', { name: 'As in' }).selectOption('Recent 3')
    await expect(running.getByText('Cuttlebone')).toBeVisible()
    const { violations } = await new AxeBuilder({ page }).exclude('iframe').analyze()
    expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])
    await dialog.getByRole('button', { name: 'Close' }).click()
  })
}

test('long pages are cut as finely as a person says', async ({ page }) => {
  await openParts(page)
  await page.getByRole('combobox', { name: 'Long pages' }).selectOption('split finer')
  await page.reload()
  await Desk.ready(page)
  await page.getByRole('tab', { name: 'Parts' }).click()
  await expect(page.getByRole('combobox', { name: 'Long pages' })).toHaveValue('fine')
  await page.getByRole('combobox', { name: 'Long pages' }).selectOption('split by section')
})

test('a page of all components is delivered beside the screens', async ({ page }) => {
  const desk = await openParts(page)
  await page.getByRole('checkbox', { name: /every variant/ }).check()
  await page.getByRole('button', { name: 'Components.tsx' }).click()
  await expect(desk.code).toContainText('export function Components')
  await page.getByRole('checkbox', { name: /every variant/ }).uncheck()
  await expect(page.getByRole('button', { name: 'Components.tsx' })).toBeHidden()
})

test('one of a part is split off, and merged again', async ({ page }) => {
  await openParts(page)
  await page.getByRole('button', { name: /^Log sure 3 places/ }).click()
  const card = page.getByRole('region', { name: 'The chosen part' })
  await card.getByRole('button', { name: 'Split off' }).last().click()
  await expect(page.getByRole('button', { name: /^Log sure 2 places/ })).toBeVisible()
  const own = page.getByRole('button', { name: /1 place yours/ })
  await own.click()
  await card.getByRole('combobox', { name: 'Merge into another part' }).selectOption('Log sure')
  await expect(page.getByRole('button', { name: /^Log sure 3 places/ })).toBeVisible()
  await expect(own).toBeHidden()
  const undo = page.getByRole('button', { name: 'Undo' })
  for (let i = 0; i < 2; i++) await undo.click()
  await expect(undo).toBeDisabled()
})
