import { AxeBuilder } from '@axe-core/playwright'
import { expect } from '@playwright/test'
import { test } from './server.js'

test('the demo projects stand on the shelf with a picture of their first screen', async ({
  page,
}) => {
  await page.goto('/')
  for (const name of ['Tidewrack', 'Night ferry kiosk']) {
    const card = page.getByRole('listitem').filter({ hasText: name })
    await expect(card).toBeVisible()
    const width = await card.locator('img').evaluate(async (img: HTMLImageElement) => {
      await img.decode()
      return img.naturalWidth
    })
    expect(width).toBeGreaterThan(500)
  }
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])
})

test(
  'a project is duplicated, renamed, removed and brought back',
  { tag: '@quick' },
  async ({ page }) => {
    await page.goto('/')
    const card = (name: string) => page.getByRole('link', { name: new RegExp(`^${name} ?\\d`) })
    const menu = async (name: string, action: string): Promise<void> => {
      await page.getByRole('button', { name: `More for ${name}`, exact: true }).click()
      await page.getByRole('menuitem', { name: action }).click()
    }
    await menu('Night ferry kiosk', 'Duplicate')
    await expect(card('Night ferry kiosk copy')).toBeVisible()
    await menu('Night ferry kiosk copy', 'Rename')
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Morning ferry')
    await page.keyboard.press('Enter')
    await expect(card('Morning ferry')).toBeVisible()
    await menu('Morning ferry', 'Remove')
    await expect(card('Morning ferry')).toBeHidden()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(card('Morning ferry')).toBeVisible()
    await page.reload()
    await expect(card('Morning ferry')).toBeVisible()
  },
)

test('an address that is no page says so and leads back', { tag: '@quick' }, async ({ page }) => {
  await page.goto('/nowhere')
  await page.getByRole('link', { name: 'Back to the shelf' }).click()
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible()
  await page.goto('/projects/5a3d8f0e-5f5a-4b52-8a39-6a4f4f5f7c11')
  await expect(page.getByRole('alert')).toContainText('no such project')
})
