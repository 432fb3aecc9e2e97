import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { Desk, test } from './desk.js'

const openMeaning = async (page: Page): Promise<Desk> => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.turnInto('HTML')
  await page.getByRole('tab', { name: 'Meaning' }).click()
  await expect(page.getByRole('button', { name: /Log a sighting/ }).first()).toBeVisible()
  return desk
}

test(
  'a layer is said to be something else, by typing, and taken back',
  { tag: '@quick' },
  async ({ page }) => {
    const desk = await openMeaning(page)
    const title = desk.result.getByText('Today on the shore')
    await desk.clickInResult(title)
    const card = page.getByRole('region', { name: 'Role of the chosen layer' })
    await expect(card).toContainText('it is larger than the text')
    const role = card.getByRole('combobox', { name: 'Role' })
    await expect(role).toHaveValue('heading')
    await role.fill('paragr')
    await page.getByRole('option', { name: 'paragraph' }).click()
    await expect(desk.result.getByRole('heading', { name: 'Today on the shore' })).toHaveCount(0)
    await expect(card).toContainText('said by hand')
    const { violations } = await new AxeBuilder({ page }).exclude('iframe').analyze()
    expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])
    await card.getByRole('button', { name: 'Reset' }).click()
    await expect(desk.result.getByRole('heading', { name: 'Today on the shore' })).toHaveCount(1)
    await page.getByRole('button', { name: 'Undo' }).click()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
  },
)

test('the running form is filled in by keyboard, each control by its label', async ({ page }) => {
  const desk = await openMeaning(page)
  await desk.choose(/^Screen/, 'Log a sighting 1280')
  await page.getByRole('button', { name: 'Use', exact: true }).click()
  const find = desk.result.getByLabel('What did you find?')
  await find.fill('Mermaid’s purse')
  await expect(find).toHaveValue('Mermaid’s purse')
  const tick = desk.result.getByLabel('I measured it')
  await tick.focus()
  await page.keyboard.press('Space')
  await expect(tick).toBeChecked()
  await desk.clickInResult(desk.result.getByText('Someone else saw it'))
  await expect(desk.result.getByLabel('Someone else saw it')).toBeChecked()
  await expect(desk.result.getByLabel('Time')).toHaveAccessibleDescription(/no such time/)
})

test('what pressing a layer does is said once, runs, and is drawn on the map', async ({ page }) => {
  const desk = await openMeaning(page)
  await desk.clickInResult(desk.result.getByText('Recent sightings'))
  const card = page.getByRole('region', { name: 'Role of the chosen layer' })
  await desk.choose('On press nothing', 'show screen over the page')
  await desk.choose(/^Which screen/, 'What these times mean')
  await expect(card).toContainText('what pressing it does is said')
  await page.getByRole('button', { name: 'Use', exact: true }).click()
  await desk.clickInResult(desk.result.getByRole('button', { name: 'Recent sightings' }))
  const dialog = desk.result.getByRole('dialog', { name: 'What these times mean' })
  await expect(dialog).toBeVisible()
  await desk.clickInResult(dialog.getByRole('button', { name: 'Close' }))
  await expect(dialog).toBeHidden()
  await page.getByRole('button', { name: 'Use', exact: true }).click()

  await page.getByRole('button', { name: 'Map of the screens' }).click()
  const map = page.getByRole('dialog', { name: 'Map of the screens' })
  await expect(map.getByText('Today on the shore shows What these times mean')).toBeVisible()
  await expect(map.getByText('2 layers').first()).toBeVisible()
  const { violations } = await new AxeBuilder({ page }).exclude('iframe').analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])
  await map
    .getByRole('button', { name: /^Log a sighting/ })
    .first()
    .click()
  await expect(desk.design).toHaveAccessibleName('Design of Log a sighting')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
})

test('answers of the running form are kept for trying out, and taken away as a table', async ({
  page,
}) => {
  const desk = await openMeaning(page)
  await desk.choose(/^Screen/, 'Log a sighting 1280')
  await page
    .getByRole('button', { name: /form\b.*%/ })
    .first()
    .click()
  await desk.choose(/^go to/, 'this server, to try it out')
  await expect(page.getByRole('button', { name: /^go to this server/ })).toBeVisible()
  // A result that is still on its way would take the place of what is filled in.
  await expect(desk.result.locator('form[data-endpoint*="/answers/"]')).toBeAttached()
  await page.getByRole('button', { name: 'Use', exact: true }).click()
  const find = desk.result.getByLabel('What did you find?')
  await find.fill('=Sea beans')
  await desk.clickInResult(desk.result.getByRole('button', { name: 'Save sighting' }))
  await expect(desk.result.getByRole('status')).toHaveText('Thank you. Your answers were sent.')
  await page.getByRole('button', { name: /^Answers 1/ }).click()
  const answers = page.getByRole('dialog', { name: /^Answers of/ })
  await expect(answers.getByRole('cell', { name: '=Sea beans' })).toBeVisible()
  const download = page.waitForEvent('download')
  await answers.getByRole('link', { name: 'Download CSV' }).click()
  const stream = await (await download).createReadStream()
  const chunks: Buffer[] = []
  for await (const chunk of stream) chunks.push(chunk as Buffer)
  expect(Buffer.concat(chunks).toString()).toContain("'=Sea beans")
  await answers.getByRole('button', { name: 'Delete all' }).click()
  await expect(answers).toContainText('No answers yet.')
  await answers.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
})

test('states that are not drawn can be switched off', async ({ page }) => {
  const desk = await openMeaning(page)
  await expect(desk.code).toContainText('hover:underline')
  await page.getByRole('checkbox', { name: 'Add hover and active styles' }).uncheck()
  await expect(desk.code).not.toContainText('hover:underline')
  await page.getByRole('checkbox', { name: 'Add hover and active styles' }).check()
  await expect(desk.code).toContainText('hover:underline')
})
