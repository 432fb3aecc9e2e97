import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { Desk, dropFiles, takeIn, test } from './desk.js'

/** A place on the design in shares of its size. */
const at = async (desk: Desk, x: number, y: number) => {
  const box = (await desk.design.boundingBox())!
  return { x: box.x + box.width * x, y: box.y + box.height * y }
}
const card = (page: Page) => page.getByRole('region', { name: 'Selected layer' })

test('a layer is picked with a click, several with a frame', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  const title = await at(desk, 0.1, 0.165)
  await page.mouse.click(title.x, title.y)
  await expect(card(page).getByRole('heading', { name: 'Today on the shore' })).toBeVisible()
  await expect(card(page)).toContainText('Inter · 700 · 32/40')
  await expect(card(page)).toContainText('302 × 40')
  await expect(page.getByTestId('measures').locator('text')).not.toHaveCount(0)
  await expect(page.getByTestId('measures')).not.toContainText('×')

  const from = await at(desk, 0.01, 0.3)
  const to = await at(desk, 0.99, 0.49)
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(to.x, to.y, { steps: 4 })
  await page.mouse.up()
  await expect(card(page).getByRole('heading', { name: 'Today figures' })).toBeVisible()
})

test(
  'pointing outlines a layer; holding a key shows it alone',
  { tag: '@quick' },
  async ({ page }) => {
    const desk = await Desk.open(page, 'Tidewrack')
    const pointed = page.getByTestId('pointed')
    const alone = page.getByTestId('alone')
    // Where the pointer came to rest before, another layer may still be outlined for a moment.
    const share = async (mark: typeof pointed): Promise<number> =>
      (await mark.boundingBox())!.width / (await desk.design.boundingBox())!.width
    await desk.row('Today figures').hover()
    await expect.poll(() => share(pointed)).toBeCloseTo(1200 / 1280, 1)
    await expect(alone).toBeHidden()
    await page.keyboard.down('a')
    await expect.poll(() => share(alone)).toBeCloseTo(1200 / 1280, 1)
    await expect(pointed).toBeHidden()
    await page.keyboard.up('a')
    await expect(alone).toBeHidden()
    const title = await at(desk, 0.1, 0.165)
    await page.mouse.move(title.x, title.y)
    await expect.poll(() => share(pointed)).toBeCloseTo(302 / 1280, 1)
    await page.mouse.move(5, 5)
    await expect(pointed).toBeHidden()
  },
)

test(
  'the thread joins the row, the boxes and the code of the selected layer',
  { tag: '@quick' },
  async ({ page }) => {
    const desk = await Desk.open(page, 'Tidewrack')
    await expect(page.getByTestId('thread')).toBeHidden()
    await desk.row('Today figures').click()
    const stretches = async (): Promise<number> => {
      const d = await page.getByTestId('thread').locator('path').first().getAttribute('d')
      return d!.split('M').length - 1
    }
    await expect.poll(stretches).toBe(2)
    await expect(page.getByTestId('result-selection').locator('path')).not.toHaveCount(0)
    // Without the outline there is no row to lead from.
    await page.getByRole('button', { name: 'Fold Outline' }).click()
    await expect.poll(stretches).toBe(1)
  },
)

test('the words of the design can be selected and copied, line by line', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await page.getByRole('button', { name: 'Text', exact: true }).click()
  await expect(page.getByTestId('design-text')).toContainText('Today on the shore')
  await page.evaluate(() => {
    getSelection()!.selectAllChildren(document.querySelector('[data-testid=design-text]')!)
  })
  const text = await page.evaluate(() => getSelection()!.toString())
  expect(text).toContain('Today on the shore\nLow water is at 14:32.')
  await page.getByRole('button', { name: 'Text', exact: true }).click()
  await expect(page.getByTestId('design-text')).toBeHidden()
  await expect(desk.design).toBeVisible()
})

test('the stage is zoomed with keys and wheel, and fits again', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  const stage = page.getByRole('region', { name: 'Design and result' })
  const width = async (): Promise<number> => Math.round((await desk.design.boundingBox())!.width)
  await stage.focus()
  await page.keyboard.press('1')
  await expect.poll(width).toBe(1280)
  await page.keyboard.press('-')
  await expect.poll(width).toBe(960)
  const middle = (await stage.boundingBox())!
  await page.mouse.move(middle.x + 100, middle.y + 100)
  await page.keyboard.down('Control')
  await page.mouse.wheel(0, -200)
  await page.keyboard.up('Control')
  await expect.poll(width).toBeGreaterThan(1100)
  await page.keyboard.press('0')
  await expect.poll(async () => (await desk.design.boundingBox())!.height).toBeLessThan(720)
})

test('rows are narrowed by kind and by what is hidden', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await page.getByLabel('Kind of layers').selectOption('image')
  await expect(desk.row('Today picture')).toBeVisible()
  await expect(desk.row('Today figures')).toBeHidden()
  await page.getByRole('button', { name: 'Hidden' }).click()
  await expect(page.getByText('No layer matches')).toBeVisible()
})

test('values are copied and files taken from the selected layer', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  const desk = await Desk.open(page, 'Tidewrack')
  const picture = await at(desk, 0.8, 0.2)
  await page.mouse.click(picture.x, picture.y)
  await card(page).getByRole('button', { name: '360', exact: true }).click()
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('360')
  const download = page.waitForEvent('download')
  await card(page).getByRole('button', { name: 'Picture' }).click()
  const bytes = readFileSync(await (await download).path())
  expect(bytes.subarray(1, 4).toString()).toBe('PNG')
})

test('the design is exported with its edits, and opens again as it was', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.row('Today figures').click()
  await page.keyboard.press('h')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Design as JSON' }).click()
  const text = readFileSync(await (await download).path(), 'utf8')
  const design = JSON.parse(text) as { version: number; screens: unknown[] }
  expect(design.version).toBe(2)
  expect(text).toContain('"visible": false')
  await page.getByRole('button', { name: 'Undo' }).click()

  await dropFiles(page, [{ name: 'again.json', content: text }])
  await takeIn(page)
  await expect(page.getByText('edition 1')).toBeVisible()
  await page.getByRole('button', { name: 'Hidden' }).click()
  await expect(desk.row('Today figures')).toBeVisible()
})

test('the settings of the desk are exported for the command line', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.turnInto('HTML')
  await desk.choose(/^styled by/, 'plain CSS')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Settings' }).click()
  const file = await download
  expect(file.suggestedFilename()).toBe('unimorph.config.json')
  expect(JSON.parse(readFileSync(await file.path(), 'utf8'))).toMatchObject({
    target: 'html',
    styling: 'css',
  })
  await desk.choose(/^styled by/, 'Tailwind')
})
