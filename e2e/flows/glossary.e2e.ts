import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { Desk, test } from './desk.js'

const openGlossary = async (page: Page, target: string): Promise<Desk> => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.turnInto(target)
  await page.getByRole('tab', { name: 'Glossary' }).click()
  return desk
}

/** Uses a codebase, with all that is proposed. */
const confirmAll = async (page: Page, desk: Desk, name: string): Promise<void> => {
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click()
  await expect(page.getByText('Shown by the design')).toBeVisible()
  for (const thing of ['Button', 'Field', 'Figure', 'Sighting']) {
    await page.getByRole('button', { name: new RegExp(`^${thing} `) }).click()
    await page.getByRole('button', { name: 'Confirm', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Remove mapping' }).first()).toBeVisible()
  }
  await desk.runs()
}

for (const [target, codebase, element] of [
  ['React', 'quayside-react', '.quay-action'],
  ['Vue', 'quayside-vue', '.push--main'],
  ['Angular', 'quayside-angular', 'pier-push-link'],
  ['HTML', 'quayside-elements', 'wharf-button'],
] as const) {
  test(`the running ${target} uses the codebase's own components`, async ({ page }) => {
    const desk = await openGlossary(page, target)
    await confirmAll(page, desk, codebase)
    const button = desk.result.locator(element).filter({ hasText: 'Log a sighting' }).first()
    await expect(button).toBeVisible()
    const { violations } = await new AxeBuilder({ page }).exclude('iframe').analyze()
    expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])
  })
}

test('a partial of a codebase is filled in where it is used, with its style sheet', async ({
  page,
}) => {
  const desk = await openGlossary(page, 'HTML')
  await confirmAll(page, desk, 'quayside-elements')
  const tile = desk.result.locator('.stat-tile').filter({ hasText: 'Walkers out' })
  await expect(tile).toHaveCSS('border-radius', '12px')
  await expect(tile.locator('strong')).toHaveText('12')
  await desk.clickInResult(tile.locator('strong'))
  await expect(desk.code).toContainText('<strong class="stat-tile__amount">12</strong>')
})

test('a prop is given something else, errors stand at its row, and the code follows', async ({
  page,
}) => {
  const desk = await openGlossary(page, 'React')
  await confirmAll(page, desk, 'quayside-react')
  await page.getByRole('button', { name: /^Button / }).click()
  const card = page.getByRole('region', { name: 'Button in the codebase' })
  // What an instance gives is shown beside its picture, one instance after the other.
  const example = card.getByLabel('The code it gives')
  await expect(example).toContainText('<Action')
  await card.getByRole('button', { name: 'Next instance' }).click()
  await expect(card.getByText(/^2 of \d/)).toBeVisible()
  await expect(example).toContainText('<Action')
  await card.getByLabel('Plain in emphasis').selectOption('strong')
  await expect(card.getByLabel('Plain in emphasis')).toHaveValue('strong')
  await card.getByLabel('Plain in emphasis').selectOption('')
  await expect(card.getByText('not told what Plain is')).toBeVisible()
  await card.getByLabel('What emphasis is given').selectOption('constant')
  await card.getByLabel('Value of emphasis', { exact: true }).selectOption('subtle')
  await expect(desk.code).toContainText('emphasis="subtle"')
  // The last change can be taken back.
  const header = page.getByRole('tabpanel', { name: 'Glossary' })
  await card.getByLabel('Value of emphasis', { exact: true }).selectOption('strong')
  await expect(desk.code).not.toContainText('emphasis="subtle"')
  await header.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(card.getByLabel('Value of emphasis', { exact: true })).toHaveValue('subtle')
  await expect(desk.code).toContainText('emphasis="subtle"')
  // What is given may depend on the instance, and be changed on its way.
  await card.getByLabel('What is made of children').selectOption('upper-case')
  await expect(desk.code).toContainText('LOG A SIGHTING')
  await card.getByLabel('What is made of children', { exact: true }).selectOption('')
  await expect(desk.code).not.toContainText('LOG A SIGHTING')
  await card.getByLabel('What emphasis is given').selectOption('condition')
  await card.getByLabel('What emphasis there is given').selectOption('constant')
  await card.getByLabel('Value of emphasis there').selectOption('subtle')
  await expect(desk.code).toContainText('emphasis="subtle"')
  await card.getByLabel('Of what emphasis depends on, the value').selectOption('Plain')
  await expect(desk.code).not.toContainText('emphasis="subtle"')
  await card.getByLabel('What emphasis is given').selectOption('constant')
  await card.getByLabel('Value of emphasis', { exact: true }).selectOption('subtle')
  await expect(desk.code).toContainText('emphasis="subtle"')
  await page.reload()
  await Desk.ready(page)
  await page.getByRole('tab', { name: 'Glossary' }).click()
  await expect(card.getByLabel('Value of emphasis', { exact: true })).toHaveValue('subtle')
})

test('a component that is renamed in the codebase is noticed at once, and so is the way back', async ({
  page,
  server,
}) => {
  await confirmAll(page, await openGlossary(page, 'React'), 'quayside-react')
  const folder = join(server.data, 'demo-codebases/react')
  const file = join(folder, 'src/kit/Action.tsx')
  const before = readFileSync(file, 'utf8')
  try {
    writeFileSync(file, before.replaceAll('emphasis', 'weight'))
    const panel = page.getByRole('tabpanel', { name: 'Glossary' })
    await expect(panel.getByText('since src/kit/Action.tsx changed')).toBeVisible()
    await expect(panel.getByText(/\d errors? in the glossary/)).toBeVisible()
    writeFileSync(file, before)
    await expect(panel.getByText(/\d errors? in the glossary/)).toBeHidden()
  } finally {
    writeFileSync(file, before)
  }
})
