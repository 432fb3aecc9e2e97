import { expect } from '@playwright/test'
import { AxeBuilder } from '@axe-core/playwright'
import { Desk, dropFiles, SVG, takeIn, test } from './desk.js'

const words = (text: string, family = 'Inter'): string =>
  `<text x="10" y="40" font-family="${family}" font-size="20" fill="#2c664b">${text}</text>`
const wide = (inside: string): string => SVG(inside).replace('320', '1280')

test('what is in the files is shown before it is taken in', { tag: '@quick' }, async ({ page }) => {
  await page.goto('/')
  await dropFiles(page, [
    { name: 'tide desktop.svg', content: wide(words('Wide')) },
    { name: 'tide phone.svg', content: SVG(words('Narrow', 'Strandline')) },
    { name: 'rota.svg', content: SVG(`${words('Rota')}<text>x<textPath>y</textPath></text>`) },
    { name: 'broken.svg', content: '<svg><g></svg>' },
  ])
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('heading', { name: '3 screens' })).toBeVisible()
  await expect(dialog.getByText('1280 × 200 · 2 layers')).toBeVisible()
  // The two that look like one screen are proposed as one.
  await expect(dialog.getByLabel(/^tide phone: a screen/)).toHaveValue(/.+/)
  await expect(dialog.getByLabel(/^tide desktop: a screen/)).toHaveValue('')
  await expect(dialog.getByRole('region', { name: 'Fonts' })).toContainText('at hand')
  await expect(dialog.getByText('missing, sans-serif for it')).toBeVisible()
  await expect(dialog.getByText(/#2c664b, used 3 times/)).toBeAttached()
  await expect(dialog.getByText(/"broken.svg" is broken at line 1/)).toBeVisible()
  await expect(dialog.getByText(/One <text textPath> element was left out/)).toBeVisible()
  const { violations } = await new AxeBuilder({ page }).include('[role=dialog]').analyze()
  expect(violations).toEqual([])

  await dialog.getByRole('checkbox', { name: /^rota/ }).uncheck()
  await dialog.getByLabel('Name').fill('Tides at two widths')
  await dialog.getByRole('button', { name: 'Import 2 screens' }).click()
  await Desk.ready(page)
  await expect(page.getByRole('heading', { name: 'Tides at two widths' })).toBeVisible()
  // They are one page now.
  await page.getByRole('tab', { name: /^Width/ }).click()
  for (const name of ['1280 tide desktop', '320 tide phone']) {
    await expect(page.getByRole('button', { name })).toBeVisible()
  }
  await page.getByRole('button', { name: /^Notes/ }).click()
  await expect(page.getByText(/The font Strandline \(400\) is not at hand/)).toBeVisible()
})

test('cancelling leaves the shelf as it was', async ({ page }) => {
  await page.goto('/')
  const cards = page.getByRole('listitem')
  await expect(cards.first()).toBeVisible()
  const count = await cards.count()
  await dropFiles(page, [{ name: 'a.svg', content: SVG(words('A')) }])
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.reload()
  await expect(cards).toHaveCount(count)
})

test('on the desk, files may become a new edition of the project', async ({ page }) => {
  await page.goto('/')
  await dropFiles(page, [{ name: 'harbour wall.svg', content: SVG(words('Before')) }])
  await takeIn(page)
  const desk = await Desk.ready(page)
  await expect(desk.result.getByText('Before')).toBeVisible()
  await dropFiles(page, [{ name: 'harbour wall.svg', content: SVG(words('After')) }])
  await page.getByRole('button', { name: /^Import as/ }).click()
  await page.getByRole('option', { name: 'edition 2 of Harbour wall' }).click()
  await takeIn(page)
  await expect(desk.result.getByText('After')).toBeVisible()
  await expect(page.getByText('edition 2')).toBeVisible()
})

test('fonts can be added and removed; designs that need them say so no longer', async ({
  page,
}) => {
  await page.goto('/')
  const font = await (await page.request.get('/api/fonts/lora-400')).json()
  await page.getByRole('button', { name: 'Fonts' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('Inter', { exact: true })).toBeVisible()
  await dialog.getByLabel('Font files').setInputFiles({
    name: 'Lora.woff2',
    mimeType: 'font/woff2',
    buffer: Buffer.from(font.base64, 'base64'),
  })
  const remove = dialog.getByRole('button', { name: 'Remove Lora 400' })
  await expect(remove).toBeVisible()
  await remove.click()
  await expect(remove).toBeHidden()
  await dialog.getByLabel('Font files').setInputFiles({
    name: 'notes.ttf',
    mimeType: 'font/ttf',
    buffer: Buffer.from('hello'),
  })
  await expect(page.getByText(/"notes.ttf" cannot be used as a font/)).toBeVisible()
})
