import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { PNG } from 'pngjs'
import { Desk, dropFiles, SVG, takeIn, test } from './desk.js'

const LOOSE = SVG(
  '<rect id="sheet" x="10" y="10" width="240" height="70" rx="8" fill="#eef1ee"/>' +
    '<text x="24" y="40" font-family="Inter" font-size="16" fill="#112233">Gull</text>' +
    '<text x="24" y="64" font-family="Inter" font-size="16" fill="#112233">Seen at ten</text>' +
    '<rect id="rest" x="400" y="900" width="20" height="20" fill="#9c3f28"/>',
)

/** The greatest difference of two pictures in any colour of any pixel, of 255. */
const differenceOf = (one: Buffer, other: Buffer): number => {
  const [a, b] = [PNG.sync.read(one), PNG.sync.read(other)]
  expect([a.width, a.height]).toEqual([b.width, b.height])
  return a.data.reduce((most, value, at) => Math.max(most, Math.abs(value - b.data[at]!)), 0)
}

const openStructure = async (page: Page): Promise<Desk> => {
  const desk = await Desk.ready(page)
  await page.getByRole('tab', { name: /^Structure/ }).click()
  return desk
}

test('the messy kiosk is mended at once, looks the same, and goes back', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: /^Night ferry kiosk/ }).click()
  const desk = await openStructure(page)
  const grade = page.getByRole('region', { name: 'Grade' })
  await expect(grade).toContainText(/^[CDE]/)
  await expect(desk.code).toContainText('<main')
  const before = await page.getByTestId('design').screenshot()

  await page.getByRole('button', { name: 'Mend all safe' }).click()
  await expect(grade).toContainText(/^A/)
  await expect(grade).toContainText('at the start')
  await expect(page.getByRole('button', { name: 'Mend all safe' })).toBeDisabled()
  const after = await page.getByTestId('design').screenshot()
  // What comes to stand in a layer with a shadow is blended with it first: edges of curves may round otherwise.
  expect(differenceOf(before, after)).toBeLessThanOrEqual(8)
  const { violations } = await new AxeBuilder({ page }).exclude('iframe').analyze()
  expect(violations.map((v) => v.id)).toEqual([])

  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(grade).toContainText(/^[CDE]/)
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(grade).toContainText(/^A/)
  await page.getByRole('button', { name: 'Undo' }).click()
})

test(
  'a finding shows where it is, what its remedy changes, and is mended alone',
  { tag: '@quick' },
  async ({ page }) => {
    await page.goto('/')
    await dropFiles(page, [{ name: 'loose.svg', content: LOOSE }])
    await takeIn(page)
    const desk = await openStructure(page)
    const outside = page.getByRole('region', { name: 'Layer outside its screen' })
    const background = page.getByRole('region', { name: /^Rectangle used as a background/ })
    await expect(outside).toContainText('stands outside the screen')

    await background.getByRole('button', { name: /lies under 2 things/ }).click()
    await expect(page.getByTestId('evidence')).toHaveCount(1)
    await expect(background).toContainText('looks the same afterwards')
    await background.getByRole('button', { name: 'Before and after' }).click()
    const dialog = page.getByRole('dialog')
    await expect(dialog.getByLabel('After', { exact: true })).toContainText('<main')
    await dialog.getByRole('button', { name: 'Layers' }).click()
    await expect(dialog.getByLabel('Before', { exact: true })).toContainText('(rectangle)')
    await dialog.getByLabel('Edge between before and after').fill('90')
    await dialog.getByRole('button', { name: 'Apply' }).click()
    await expect(background).toBeHidden()
    await expect(outside).toBeVisible()

    await page.getByRole('button', { name: 'Show layout' }).click()
    await expect(page.getByTestId('arranged').first()).toBeAttached()
    await outside.getByRole('button', { name: 'Mend it' }).click()
    await expect(outside).toBeHidden()
    await desk.turnInto('HTML')
    await expect(desk.code).toContainText('Seen at ten')
  },
)

test('layers are arranged by hand, with the keyboard, and a warning where they overlap', async ({
  page,
}) => {
  await page.goto('/')
  await dropFiles(page, [{ name: 'loose.svg', content: LOOSE }])
  await takeIn(page)
  await Desk.ready(page)
  const outline = page.getByRole('treegrid', { name: 'Layers' })
  const rowOf = (name: string) => outline.getByRole('row', { name: new RegExp(`^\\S*\\s*${name}`) })
  await rowOf('Gull').click()
  await rowOf('Seen at ten').click({ modifiers: ['Control'] })
  await outline.press('c')
  await expect(rowOf('Column')).toBeVisible()

  await rowOf('Column').click()
  await outline.press('u')
  await expect(rowOf('Column')).toBeHidden()

  await rowOf('sheet').click()
  await rowOf('Gull').click({ modifiers: ['Control'] })
  await page.getByRole('button', { name: 'Arrange the selected layers' }).click()
  await page.getByRole('menuitem', { name: 'Group as row' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('lie over each other')
  await dialog.getByRole('button', { name: 'Group as row anyway' }).click()
  await expect(rowOf('Row')).toBeVisible()

  await rowOf('Row').click()
  await page.getByRole('button', { name: 'Arrange the selected layers' }).click()
  await page.getByRole('menuitem', { name: 'Make one picture' }).click()
  const desk = new Desk(page)
  await expect(desk.code).toContainText('assets/row.png')
  await page.getByRole('button', { name: 'Arrange the selected layers' }).click()
  await page.getByRole('menuitem', { name: 'Set the box' }).click()
  await dialog.getByLabel('Width').fill('120')
  await dialog.getByRole('button', { name: 'Set' }).click()
  await expect(rowOf('Row')).toContainText('120 × 70')
})
