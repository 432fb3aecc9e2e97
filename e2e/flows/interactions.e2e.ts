import { join, resolve } from 'node:path'
import { AxeBuilder } from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { site } from '../sites/site.js'
import { serveSite, SITE } from './serve.js'

const FIXTURES = resolve(import.meta.dirname, '../../core/fixtures/emit/interactions')
/** Opens a fixture as the site that its own tools build. */
const open = async (page: Page, name: string, target: string): Promise<void> => {
  const made = await site(join(FIXTURES, name, 'input.json'), target)
  await serveSite(page, made.site)
  await page.goto(SITE)
}

const checkAccess = async (page: Page): Promise<void> => {
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])
}

const WIDTHS = [1280, 768, 390] as const

for (const target of ['html', 'react', 'vue', 'angular']) {
  test.describe(`delivered ${target}`, () => {
    test('dialogs, drawers and overlays open and close, by mouse and by keyboard, at three widths', async ({
      page,
    }) => {
      await open(page, 'what-is-pressed-opens-shows-and-leads', target)
      for (const width of WIDTHS) {
        await page.setViewportSize({ width, height: 800 })
        await page.goto(SITE)
        for (const [button, panel] of [
          ['Rules', 'House rules'],
          ['Filter', 'Filter'],
        ] as const) {
          const dialog = page.getByRole('dialog', { name: panel })
          await page.getByRole('button', { name: button }).click()
          await expect(dialog).toBeVisible()
          const box = (await dialog.boundingBox())!
          expect(box.x + box.width).toBeLessThanOrEqual(width)
          await dialog.getByRole('button', { name: 'Done' }).click()
          await expect(dialog).toBeHidden()
          await page.getByRole('button', { name: button }).focus()
          await page.keyboard.press('Enter')
          await expect(dialog).toBeVisible()
          await page.keyboard.press('Escape')
          await expect(dialog).toBeHidden()
          await expect(page.getByRole('button', { name: button })).toBeFocused()
        }
        const overlay = page.getByRole('group', { name: 'Help' })
        await page.getByRole('button', { name: 'Help' }).click()
        await expect(overlay).toBeVisible()
        await overlay.getByRole('button', { name: 'Done' }).click()
        await expect(overlay).toBeHidden()
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width)
      }
      await checkAccess(page)
      await page.getByRole('button', { name: 'Rules' }).click()
      await checkAccess(page)
    })

    test('parts are shown and hidden, tabs are changed with the arrow keys, links lead to a part', async ({
      page,
    }) => {
      await open(page, 'what-is-pressed-opens-shows-and-leads', target)
      const more = page.getByRole('button', { name: 'More' })
      const details = page.getByText('Times are for the slipway.')
      await expect(details).toBeHidden()
      await expect(more).toHaveAttribute('aria-expanded', 'false')
      await more.press('Space')
      await expect(details).toBeVisible()
      await expect(more).toHaveAttribute('aria-expanded', 'true')
      await more.click()
      await expect(details).toBeHidden()

      await expect(page.getByRole('tabpanel', { name: 'Day' })).toBeVisible()
      await page.getByRole('tab', { name: 'Day' }).focus()
      await page.keyboard.press('ArrowRight')
      await expect(page.getByRole('tab', { name: 'Week' })).toBeFocused()
      await expect(page.getByRole('tab', { name: 'Week' })).toHaveAttribute('aria-selected', 'true')
      await expect(page.getByRole('tabpanel', { name: 'Week' })).toBeVisible()
      await expect(page.getByText('High water 08:04')).toBeHidden()
      await page.getByRole('tab', { name: 'Day' }).click()
      await expect(page.getByText('High water 08:04')).toBeVisible()

      await page.setViewportSize({ width: 640, height: 300 })
      await page.getByRole('link', { name: 'To the map' }).click()
      await expect(page.getByRole('heading', { name: 'Map of the shore' })).toBeInViewport()
    })

    test('numbers are counted, tabs chosen and rows opened, by mouse and by keyboard, at three widths', async ({
      page,
    }) => {
      await open(page, 'parts-are-what-they-look-like', target)
      for (const width of WIDTHS) {
        await page.setViewportSize({ width, height: 900 })
        await page.goto(SITE)
        const walkers = page.getByLabel('Walkers')
        await page.getByRole('button', { name: 'More', exact: true }).click()
        await expect(walkers).toHaveValue('3')
        await page.getByRole('button', { name: 'Less' }).press('Enter')
        await page.getByRole('button', { name: 'Less' }).press('Space')
        await expect(walkers).toHaveValue('1')
        await walkers.press('ArrowUp')
        await expect(walkers).toHaveValue('2')
        // There are no fewer than none.
        for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Less' }).click()
        await expect(walkers).toHaveValue('0')

        await page.getByRole('tab', { name: 'Evening' }).click()
        await expect(page.getByRole('tab', { selected: true })).toHaveText('Evening')
        await page.keyboard.press('ArrowRight')
        await expect(page.getByRole('tab', { name: 'Morning' })).toBeFocused()
        await expect(page.getByRole('tab', { selected: true })).toHaveText('Morning')

        const answer = page.getByText('Boots, a jacket and something warm to drink.')
        await expect(answer).toBeVisible()
        await page.getByText('What do I bring?').click()
        await expect(answer).toBeHidden()
        const asks = page.locator('summary', { hasText: 'What do I bring?' })
        await asks.press('Enter')
        await expect(answer).toBeVisible()
        await page.locator('summary', { hasText: 'What if it rains?' }).press('Space')
        await expect(answer).toBeHidden()

        const chooser = page.waitForEvent('filechooser')
        await page.getByText('Drop a picture here or choose a file').click()
        await (
          await chooser
        ).setFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.of() })
        await expect(page.locator('input[type=file]')).toHaveValue(/a\.png$/)
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width)
        await checkAccess(page)
      }
    })

    test('a menu opens at its button, and is walked through with the arrow keys', async ({
      page,
    }) => {
      await open(page, 'parts-are-what-they-look-like', target)
      for (const width of WIDTHS) {
        await page.setViewportSize({ width, height: 800 })
        await page.goto(SITE)
        const button = page.getByRole('button', { name: 'More ways' })
        const menu = page.getByRole('menu', { name: 'Ways' })
        const item = (name: string) => page.getByRole('menuitem', { name })
        await button.press('Enter')
        await expect(item('By boat')).toBeFocused()
        const [at, shown] = [(await button.boundingBox())!, (await menu.boundingBox())!]
        expect(Math.abs(shown.y - at.y - at.height)).toBeLessThanOrEqual(1)
        expect(shown.x + shown.width).toBeLessThanOrEqual(width)
        await checkAccess(page)
        await page.keyboard.press('ArrowDown')
        await expect(item('By the path')).toBeFocused()
        await page.keyboard.press('End')
        await expect(item('Not today')).toBeFocused()
        await page.keyboard.press('ArrowDown')
        await expect(item('By boat')).toBeFocused()
        await page.keyboard.press('Escape')
        await expect(menu).toBeHidden()
        await expect(button).toBeFocused()
        await button.click()
        await item('Not today').click()
        await expect(menu).toBeHidden()
      }
    })

    test('what comes in does so once, and not for who wants less motion', async ({ page }) => {
      await open(page, 'what-is-pressed-opens-shows-and-leads', target)
      await page.setViewportSize({ width: 640, height: 200 })
      await page.goto(SITE)
      const card = page.locator('[data-enter]')
      await expect(card).toHaveAttribute('data-enter', 'waiting')
      await expect(card).toHaveCSS('opacity', '0')
      await card.scrollIntoViewIfNeeded()
      await expect(card).toHaveCSS('opacity', '1')
      await card.hover()
      await expect.poll(() => card.evaluate((e) => getComputedStyle(e).translate)).toBe('0px -4px')
      await page.emulateMedia({ reducedMotion: 'reduce' })
      await page.goto(SITE)
      await expect(card).toHaveCSS('opacity', '1')
    })

    test('a form tells what is missing, accepts what is right and thanks', async ({ page }) => {
      await open(page, 'a-form-tells-what-is-missing-and-calls-a-function', target)
      const said: string[] = []
      page.on('console', (message) => said.push(message.text()))
      await page.goto(SITE)
      await page.getByRole('button', { name: 'Sign up' }).click()
      await expect(page.getByRole('alert')).toContainText('Your name: please fill this in.')
      await expect(page.getByLabel('Your name *')).toBeFocused()
      await expect(page.getByLabel('Your name *')).toHaveAttribute('aria-invalid', 'true')
      await checkAccess(page)
      await page.getByLabel('Your name *').fill('Marit')
      await page.getByLabel('Email *').fill('no address')
      await page.keyboard.press('Enter')
      await expect(page.getByRole('alert')).toHaveText('Email: this does not look right.')
      await page.getByLabel('Email *').fill('marit@tidewrack.example')
      await page.keyboard.press('Enter')
      await expect(page.getByRole('status')).toHaveText('Thank you. Your answers were sent.')
      await expect(page.getByLabel('Your name *')).toHaveValue('')
      expect(said.join(' ')).toContain('sign-up-for-a-stretch')
    })

    test('a form is sent to its address, tells when that fails, and leads on when it does not', async ({
      page,
    }) => {
      await open(page, 'a-form-is-sent-to-an-address-and-leads-on', target)
      const sent: unknown[] = []
      let status = 503
      await page.route('https://tidewrack.example/answers', (route) => {
        const headers = { 'access-control-allow-origin': '*', 'access-control-allow-headers': '*' }
        if (route.request().method() !== 'POST') return route.fulfill({ status: 204, headers })
        sent.push(route.request().postDataJSON())
        return route.fulfill({ status, headers, body: '{}' })
      })
      await page.goto(SITE)
      await page.getByLabel('Your name *').fill('Marit')
      await page.getByLabel('Email *').fill('marit@tidewrack.example')
      await page.keyboard.press('Enter')
      await expect(page.getByRole('status')).toContainText('The harbour office does not answer.')
      await expect(page.getByLabel('Your name *')).toHaveValue('Marit')
      status = 201
      await page.getByRole('button', { name: 'Sign up' }).click()
      await expect(page.getByRole('heading', { name: 'See you at low water' })).toBeVisible()
      expect(sent).toEqual([
        { 'your-name': 'Marit', email: 'marit@tidewrack.example' },
        { 'your-name': 'Marit', email: 'marit@tidewrack.example' },
      ])
    })
  })
}
