import { expect } from '@playwright/test'
import { Desk, test } from './desk.js'

/** One project in two windows: of one browser, which hear each other, and of two, which do not. */

test('a second window shows what the first changes, without a reload', async ({
  page,
  context,
}) => {
  const first = await Desk.open(page, 'Tidewrack')
  const second = await Desk.open(await context.newPage(), 'Tidewrack')
  await first.turnInto('Vue')
  await expect(second.page.getByRole('button', { name: /^to / })).toContainText('Vue')

  await first.row('Today header').click()
  await first.page.getByRole('treegrid').focus()
  await first.page.keyboard.press('F2')
  await first.page.getByRole('textbox', { name: 'Name', exact: true }).fill('Top of the page')
  await first.page.keyboard.press('Enter')
  await expect(second.row('Top of the page')).toBeVisible()
  await first.page.getByRole('button', { name: 'Undo' }).click()
  await expect(second.row('Top of the page')).toBeHidden()
})

test(
  'what two browsers change at once is kept; what both change is asked',
  { tag: '@quick' },
  async ({ page, browser, server }) => {
    const first = await Desk.open(page, 'Tidewrack')
    const context = await browser.newContext({ baseURL: server.address })
    const second = await Desk.open(await context.newPage(), 'Tidewrack')
    await first.turnInto('Vue')
    await first.choose(/^styled by/, 'SCSS')

    // The second knows nothing of it, and chooses another styling.
    await second.choose(/^styled by/, 'CSS modules')
    const dialog = second.page.getByRole('dialog', {
      name: 'The settings changed in another window, too',
    })
    await expect(dialog.getByRole('row', { name: /^styling/ })).toContainText('scss')
    await dialog.getByRole('button', { name: 'Keep theirs' }).click()
    await expect(second.page.getByRole('button', { name: /^styled by/ })).toContainText('SCSS')
    await expect(second.page.getByRole('button', { name: /^to / })).toContainText('Vue')
    await context.close()
  },
)

test('a removed project lies in the bin, from where it comes back or goes for good', async ({
  page,
}) => {
  await page.goto('/')
  const card = page.getByRole('listitem').filter({ hasText: 'Tidewrack' }).first()
  await card.getByRole('button', { name: 'More for Tidewrack' }).click()
  await page.getByRole('menuitem', { name: 'Duplicate' }).click()
  await page.getByRole('button', { name: 'More for Tidewrack copy' }).click()
  await page.getByRole('menuitem', { name: 'Remove' }).click()
  await page.getByRole('button', { name: 'Bin', exact: true }).click()
  const bin = page.getByRole('dialog', { name: 'Bin' })
  await bin.getByRole('button', { name: 'Restore Tidewrack copy' }).click()
  await expect(bin.getByText('The bin is empty.')).toBeVisible()
  await bin.getByRole('button', { name: 'Close' }).click()

  await page.getByRole('button', { name: 'More for Tidewrack copy' }).click()
  await page.getByRole('menuitem', { name: 'Remove' }).click()
  await page.getByRole('button', { name: 'Bin', exact: true }).click()
  await bin.getByRole('button', { name: 'Delete Tidewrack copy for good …' }).click()
  await bin.getByRole('button', { name: /this cannot be undone/ }).click()
  await expect(bin.getByText('The bin is empty.')).toBeVisible()
})
