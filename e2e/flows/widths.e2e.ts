import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { demo, site } from '../sites/site.js'
import { Desk, test } from './desk.js'
import { serveSite, SITE } from './serve.js'

const openWidths = async (page: Page): Promise<Desk> => {
  const desk = await Desk.open(page, 'Tidewrack')
  await page.getByRole('tab', { name: /^Width/ }).click()
  await expect(page.getByText('Drawn at')).toBeVisible()
  return desk
}

test(
  'the ruler leads through the widths, and the running code follows',
  { tag: '@quick' },
  async ({ page }) => {
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
  },
)

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

/**
 * The widths from 320 to 2560 px at which a page scrolls sideways or cuts texts. It is shown in a frame of the page on view, whose width is set from inside: a window takes many times as long to change.
 */
const findBroken = (page: Page, address: string, drawnPx: number): Promise<readonly string[]> =>
  page.evaluate(
    async ({ address, drawn }) => {
      const frame = document.createElement('iframe')
      frame.style.cssText = 'position:absolute;left:0;top:0;width:1280px;height:900px;border:0'
      const loaded = new Promise((done) => frame.addEventListener('load', done, { once: true }))
      frame.src = address
      document.body.replaceChildren(frame)
      await loaded
      const inside = frame.contentDocument!
      await inside.fonts.ready
      const broken: string[] = []
      for (let width = 320; width <= 2560; width += 8) {
        frame.style.width = `${width}px`
        const root = inside.documentElement
        const out = [...inside.querySelectorAll('p, h1, h2, h3, a')].filter((node) => {
          const { left, right, width: own } = node.getBoundingClientRect()
          // What stands outside the screen was not seen as drawn either.
          return own > 0 && left < drawn && (left < -1 || right > width + 1)
        })
        const px = Math.max(root.scrollWidth - width, out.length)
        if (px > 0) broken.push(`${address} at ${width}: ${px}`)
      }
      return broken
    },
    { address, drawn: drawnPx },
  )

test.describe('delivered pages', () => {
  const sites = new Map<string, string>()
  test.beforeAll(async () => {
    for (const name of ['tidewrack.json', 'night-ferry-kiosk.svg']) {
      sites.set(name, (await site(demo(name), 'html')).site)
    }
  })

  const address = (name: string, file: string): string =>
    pathToFileURL(join(sites.get(name)!, file)).href

  for (const [name, drawnPx] of [
    ['tidewrack.json', 1280],
    ['night-ferry-kiosk.svg', 1080],
  ] as const) {
    test(`${name}: no page scrolls sideways and no text is cut, from 320 to 2560 px`, async ({
      page,
    }) => {
      test.setTimeout(300_000)
      const pages = readdirSync(sites.get(name)!).filter((file) => file.endsWith('.html'))
      await serveSite(page, sites.get(name)!)
      await page.setViewportSize({ width: 2600, height: 900 })
      await page.goto(SITE)
      for (const file of pages) {
        expect(await findBroken(page, `${SITE}${file}`, drawnPx)).toEqual([])
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
