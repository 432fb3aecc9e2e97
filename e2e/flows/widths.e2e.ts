import { spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { Desk, test } from './desk.js'

const ROOT = resolve(__dirname, '../..')
const CLI = join(ROOT, 'cli/bin/unimorph.mjs')

const openWidths = async (page: Page): Promise<Desk> => {
  const desk = await Desk.open(page, 'Tidewrack')
  await page.getByRole('tab', { name: /^Width/ }).click()
  await expect(page.getByText('Drawn at')).toBeVisible()
  return desk
}

test('the ruler leads through the widths, and the running code follows', async ({ page }) => {
  const desk = await openWidths(page)
  const ruler = page.getByRole('slider', { name: 'Width of the window' })
  await expect(ruler).toHaveAttribute('aria-valuenow', '1280')
  const nav = desk.result.getByText('How to walk')
  const menu = desk.result.getByRole('button', { name: 'Menu' })
  await expect(nav).toBeVisible()
  await expect(menu).toBeHidden()

  await ruler.focus()
  // One stop after the other, down to the narrowest that was drawn.
  while (Number(await ruler.getAttribute('aria-valuenow')) > 390)
    await page.keyboard.press('PageDown')
  await expect(ruler).toHaveAttribute('aria-valuenow', '390')
  await expect(menu).toBeVisible()
  await expect(nav).toBeHidden()
  await page.keyboard.press('ArrowRight')
  await expect(ruler).toHaveAttribute('aria-valuenow', '398')
  await page.keyboard.press('Home')
  await expect(page.getByLabel('Result, width')).toHaveValue('320')
  await expect(page.getByText('Nothing reaches out, overlaps or is cut off')).toBeVisible()

  const { violations } = await new AxeBuilder({ page }).exclude('iframe').analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])
})

test('all widths are shown at once, and one of them alone', async ({ page }) => {
  await openWidths(page)
  await page.getByRole('button', { name: /^Show Both/ }).click()
  await page.getByRole('option', { name: 'All widths' }).click()
  const strip = page.getByRole('list', { name: 'All widths' })
  for (const width of ['390 px, drawn', '768 px, drawn', '1280 px, drawn']) {
    await expect(strip.getByRole('button', { name: width })).toBeVisible()
  }
  await strip.getByRole('button', { name: '768 px, drawn' }).click()
  await expect(page.getByRole('slider', { name: 'Width of the window' })).toHaveAttribute(
    'aria-valuenow',
    '768',
  )
})

test('a layer is set at some widths only, and taken back', async ({ page }) => {
  const desk = await openWidths(page)
  const title = desk.result.getByRole('heading', { name: 'Today on the shore' })
  await page.getByRole('tab', { name: 'Layers' }).click()
  await desk.row('Today on the shore').first().click()
  await desk.clickInResult(title)
  await page.getByRole('tab', { name: /^Width/ }).click()
  const card = page.getByRole('region', { name: 'Selected layer at widths' })
  await expect(card).toContainText('Today on the shore')
  await card.getByLabel('Type size').fill('48')
  await card.getByLabel('Type size').press('Enter')
  await expect(title).toHaveCSS('font-size', '48px')
  await card.getByLabel('Shown').click()
  await expect(title).toBeHidden()
  await page.getByRole('slider', { name: 'Width of the window' }).press('Home')
  await expect(title).toBeVisible()
  await expect(title).not.toHaveCSS('font-size', '48px')
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
})

test('a layer keeps to its least and greatest size, and content is held', async ({ page }) => {
  const desk = await openWidths(page)
  const title = desk.result.getByRole('heading', { name: 'Today on the shore' })
  await desk.clickInResult(title)
  const card = page.getByRole('region', { name: 'Selected layer at widths' })
  await card.getByLabel('Max width').fill('300')
  await card.getByLabel('Max width').press('Enter')
  await expect(title).toHaveCSS('max-width', '300px')
  await card.getByLabel('Max width').fill('')
  await card.getByLabel('Max width').press('Enter')
  await expect(title).toHaveCSS('max-width', 'none')
})

test('an artboard is taken out of its screen and becomes a page of its own', async ({ page }) => {
  const desk = await openWidths(page)
  await desk.turnInto('HTML')
  const files = page.getByRole('main')
  await expect(files).not.toContainText('today-on-the-shore-tablet.html')
  const tablet = page.getByRole('listitem').filter({ hasText: 'Today on the shore, tablet' })
  await tablet.getByRole('button', { name: 'Separate' }).click()
  await expect(files).toContainText('today-on-the-shore-tablet.html')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(files).not.toContainText('today-on-the-shore-tablet.html')
})

test.describe('delivered pages', () => {
  let folder: string
  test.beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'unimorph-widths-'))
    for (const name of ['tidewrack.json', 'night-ferry-kiosk.svg']) {
      const project = join(folder, name)
      const design = join(ROOT, 'demo/designs', name)
      for (const args of [
        ['convert', design, '--target', 'html', '--out', project],
        ['build', project, '--site', `${project}.site`],
      ]) {
        const { status, stderr } = spawnSync(process.execPath, [CLI, ...args], { encoding: 'utf8' })
        expect([status, status === 0 ? '' : stderr]).toEqual([0, ''])
      }
    }
  })
  test.afterAll(() => rmSync(folder, { recursive: true, force: true }))

  const address = (name: string, file: string): string =>
    pathToFileURL(join(folder, `${name}.site`, file)).href

  for (const [name, drawnPx] of [
    ['tidewrack.json', 1280],
    ['night-ferry-kiosk.svg', 1080],
  ] as const) {
    test(`${name}: no page scrolls sideways and no text is cut, from 320 to 2560 px`, async ({
      page,
    }) => {
      test.setTimeout(120_000)
      const pages = readdirSync(join(folder, `${name}.site`)).filter((file) =>
        file.endsWith('.html'),
      )
      for (const file of pages) {
        await page.goto(address(name, file))
        const broken: string[] = []
        for (let width = 320; width <= 2560; width += 8) {
          await page.setViewportSize({ width, height: 900 })
          const px = await page.evaluate((drawn) => {
            const root = document.documentElement
            const out = [...document.querySelectorAll('p, h1, h2, h3, a')].filter((node) => {
              const { left, right, width: own } = node.getBoundingClientRect()
              // What stands outside the screen was not seen as drawn either.
              return own > 0 && left < drawn && (left < -1 || right > innerWidth + 1)
            })
            return Math.max(root.scrollWidth - innerWidth, out.length)
          }, drawnPx)
          if (px > 0) broken.push(`${file} at ${width}: ${px}`)
        }
        expect(broken).toEqual([])
      }
    })
  }

  test('the menu button shows the navigation, by keyboard too, and Escape puts it away', async ({
    page,
  }) => {
    await page.setViewportSize({ width: 390, height: 800 })
    await page.goto(address('tidewrack.json', 'index.html'))
    const link = page.getByRole('navigation').getByText('Log a sighting')
    await expect(link).toBeHidden()
    await page.getByRole('button', { name: 'Menu' }).focus()
    await page.keyboard.press('Enter')
    await expect(link).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(link).toBeHidden()
    await page.getByRole('button', { name: 'Menu' }).click()
    await link.click()
    await expect(page).toHaveURL(/log-a-sighting/)

    await page.setViewportSize({ width: 1280, height: 800 })
    await expect(page.getByRole('button', { name: 'Menu' })).toBeHidden()
    await expect(page.getByRole('link', { name: 'Today', exact: true })).toBeVisible()
  })
})
