import { expect } from '@playwright/test'
import { Desk, test } from './desk.js'

test(
  'code follows the style of the house, and so do the names of files',
  { tag: '@quick' },
  async ({ page }) => {
    const desk = await Desk.open(page, 'Tidewrack')
    await desk.choose(/^to/, 'React')
    await expect(desk.code).toContainText('import { useRef } from "react";')

    await page.getByRole('button', { name: 'House style' }).click()
    const dialog = page.getByRole('dialog', { name: 'House style' })
    await dialog.getByLabel('Quotes').selectOption('single')
    await dialog.getByLabel('Semicolons').selectOption('only where needed')
    await dialog.getByLabel('Written in').selectOption('JavaScript')
    await dialog.getByLabel('Names').selectOption('tide-table')
    await dialog.getByText('Folder names').click()
    const components = dialog.getByLabel('components', { exact: true })
    await components.fill('../outside')
    await expect(components).toHaveAttribute('aria-invalid', 'true')
    await components.fill('ui')
    await components.press('Tab')
    await dialog.getByLabel('Tests for components').check()
    await dialog.getByRole('button', { name: 'Done' }).click()

    const files = page.getByRole('navigation', { name: 'Files' })
    await expect(files).toContainText('src/ui/')
    await files.getByRole('button', { name: 'button-link.test.jsx' }).click()
    await expect(desk.code).toContainText("import { ButtonLink } from './button-link'")
    await files.getByRole('button', { name: 'button-link.jsx' }).click()
    await expect(desk.code).toContainText("import { Link } from 'react-router'/**")
    await expect(desk.code).toContainText('@typedef {object} ButtonLinkProps')
    // What runs on the stage is the same as before.
    await expect(desk.result.getByRole('heading', { level: 1 })).toHaveText('Today on the shore')

    await page.reload()
    await Desk.ready(page)
    await expect(files).toContainText('button-link.jsx')

    await page.getByRole('button', { name: 'House style' }).click()
    await dialog.getByRole('button', { name: 'Reset to defaults' }).click()
    await dialog.getByRole('button', { name: 'Done' }).click()
    await expect(files.getByRole('button', { name: 'ButtonLink.tsx' })).toBeVisible()
  },
)

test('templates of Angular stand in the class where a house wants that, joined to the design', async ({
  page,
}) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.turnInto('Angular')
  const files = page.getByRole('navigation', { name: 'Files' })
  await expect(files).toContainText('today-on-the-shore.html')
  await page.getByRole('button', { name: 'House style' }).click()
  const dialog = page.getByRole('dialog', { name: 'House style' })
  await dialog.getByLabel('Templates').selectOption('inline')
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(files).not.toContainText('today-on-the-shore.html')
  await expect(desk.code).toContainText('template: `')
  await page
    .getByRole('row', { name: /^Today hero/ })
    .first()
    .click()
  await expect(desk.code.locator('.cm-line', { hasText: 'flex flex-col' }).first()).toBeVisible()
  await expect(desk.result.getByRole('heading', { level: 1 })).toHaveText('Today on the shore')
})

test('rules of the house hold for every element, and what runs looks the same', async ({
  page,
}) => {
  const desk = await Desk.open(page, 'Night ferry kiosk')
  await desk.turnInto('React')
  const price = desk.result.getByRole('heading', { level: 1 })
  const before = await price.boundingBox()
  await expect(desk.code).toContainText('-[')
  await page.getByRole('button', { name: 'House style' }).click()
  const dialog = page.getByRole('dialog', { name: 'House style' })
  const add = dialog.getByLabel('Add a rule')
  await add.selectOption('no-arbitrary-values')
  await add.selectOption('add-attribute')
  await dialog.getByLabel('Attribute', { exact: true }).fill('onerror')
  await dialog.getByLabel('Attribute', { exact: true }).press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('Not saved')
  await dialog.getByLabel('Attribute', { exact: true }).fill('decoding')
  await dialog.getByLabel('Attribute', { exact: true }).press('Enter')
  await dialog.getByLabel('Value of the attribute').fill('async')
  await dialog.getByLabel('Value of the attribute').press('Enter')
  await dialog.getByRole('combobox', { name: 'Pictures' }).selectOption('public')
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(desk.code).not.toContainText('-[')
  await desk.runs()
  expect(await price.boundingBox()).toEqual(before)
  await expect(price).toHaveCSS('font-size', '56px')
  await expect(page.getByRole('navigation', { name: 'Files' })).toContainText('public/assets/')
})

test('a file is renamed and moved, and imports follow', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.choose(/^to/, 'React')
  const files = page.getByRole('navigation', { name: 'Files' })
  const button = files.getByRole('button', { name: 'ButtonLink.tsx' })
  await button.click()
  await button.press('F2')
  const dialog = page.getByRole('dialog', { name: 'Rename or move file' })
  const path = dialog.getByLabel('Path in the project')
  await expect(path).toHaveValue('src/components/ButtonLink.tsx')
  await path.fill('src/components/Field.tsx')
  await expect(dialog.getByRole('alert')).toHaveText('src/components/Field.tsx is there already.')
  await path.fill('src/components/ButtonLink.css')
  await expect(dialog.getByRole('alert')).toContainText('has to end in .tsx')
  await path.fill('src/links/LinkButton.tsx')
  await dialog.getByRole('button', { name: 'Rename' }).click()
  await expect(files).toContainText('src/links/')
  await files.getByRole('button', { name: 'TodayOnTheShore.tsx' }).click()
  await expect(desk.code).toContainText('from "../links/LinkButton";')

  await page.getByRole('button', { name: 'House style' }).click()
  await page.getByRole('button', { name: 'Reset', exact: true }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(desk.code).toContainText('from "../components/ButtonLink";')
  // What tools look for by name is offered no other name.
  await files.getByRole('button', { name: 'package.json' }).click()
  await expect(files.getByRole('button', { name: 'Rename' })).toHaveCount(0)
})

test('the code of two targets stands side by side, and targets are a key press apart', async ({
  page,
}) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await page.getByRole('combobox', { name: 'beside' }).selectOption('Vue')
  const beside = page.getByRole('region', { name: 'Vue, beside' })
  await expect(beside).toContainText('src/screens/TodayOnTheShore.vue')
  await expect(beside.getByTestId('code')).toContainText('<script setup lang="ts">')

  // A layer is selected in both.
  await desk.row('Today hero').click()
  await expect(beside.locator('.cm-thread').first()).toBeVisible()
  await expect(desk.code.first().locator('.cm-thread').first()).toBeVisible()

  // The code of the selected layer is copied by itself, with the rules it needs.
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write'])
  await desk.choose(/^styled by/, 'plain CSS')
  await expect(desk.code.first()).toContainText('class="today-on-the-shore__')
  await page.getByRole('button', { name: 'Copy layer' }).click()
  await expect
    .poll(() => page.evaluate(() => navigator.clipboard.readText()))
    .toMatch(
      /^<div class="today-on-the-shore__hero[\s\S]*\/\* CSS \*\/\n\n\.today-on-the-shore__hero/,
    )
  await desk.choose(/^styled by/, 'Tailwind')

  await page.keyboard.press('Alt+2')
  await expect(page.getByRole('button', { name: /^to / })).toContainText('React')
  await expect(desk.code.first()).toContainText('import { useRef } from "react";')
  await expect(beside).toBeVisible()
  // Beside itself a target has nothing to show.
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('button', { name: /^to / })).toContainText('Vue')
  await expect(page.getByRole('combobox', { name: 'beside' })).toHaveValue('')
})
