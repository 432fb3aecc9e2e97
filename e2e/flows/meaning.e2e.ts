import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { Desk } from './desk.js'

const openMeaning = async (page: Page): Promise<Desk> => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.choose(/^to /, 'HTML')
  await page.getByRole('tab', { name: 'Meaning' }).click()
  await expect(page.getByRole('button', { name: /Log a sighting/ }).first()).toBeVisible()
  return desk
}

test('a layer is said to be something else, by typing, and taken back', async ({ page }) => {
  const desk = await openMeaning(page)
  const title = desk.result.getByText('Today on the shore')
  await desk.clickInResult(title)
  const card = page.getByRole('region', { name: 'Role of the chosen layer' })
  await expect(card).toContainText('it is larger than the text')
  const role = card.getByRole('combobox', { name: 'It is a' })
  await expect(role).toHaveValue('heading')
  await role.fill('paragr')
  await page.getByRole('option', { name: 'paragraph' }).click()
  await expect(desk.result.getByRole('heading', { name: 'Today on the shore' })).toHaveCount(0)
  await expect(card).toContainText('said by hand')
  const { violations } = await new AxeBuilder({ page }).exclude('iframe').analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])
  await card.getByRole('button', { name: 'As read' }).click()
  await expect(desk.result.getByRole('heading', { name: 'Today on the shore' })).toHaveCount(1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
})

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
