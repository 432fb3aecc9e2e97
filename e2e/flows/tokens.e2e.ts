import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { Desk, dropFiles, SVG, takeIn, test } from './desk.js'

const card = (x: number, fill: string): string =>
  `<rect x="${x}" y="10" width="90" height="60" rx="8" fill="${fill}"/>`
const DESIGN = SVG(card(10, '#2c664b') + card(110, '#2d664b') + card(210, '#9c3f28'))

const open = async (page: Page): Promise<Desk> => {
  await page.goto('/')
  await dropFiles(page, [{ name: 'cards.svg', content: DESIGN }])
  await takeIn(page)
  const desk = await Desk.ready(page)
  await page.getByRole('tab', { name: 'Tokens' }).click()
  return desk
}

test(
  'tokens are proposed, accepted, renamed, merged and taken back',
  { tag: '@quick' },
  async ({ page }) => {
    const desk = await open(page)
    const proposed = page.getByRole('list', { name: 'Proposed tokens' })
    const tokens = page.getByRole('list', { name: 'Tokens of the design' })
    await expect(proposed.getByRole('listitem')).toHaveCount(2)
    await expect(proposed).toContainText('radius.8')
    await page.getByRole('button', { name: 'Accept all' }).click()
    await expect(tokens.getByRole('listitem')).toHaveCount(2)
    await expect(proposed).toBeHidden()
    await desk.turnInto('HTML')
    await expect(desk.code).toContainText('bg-green-')

    await tokens.getByRole('button', { name: /^More for color/ }).click()
    await page.getByRole('menuitem', { name: 'Rename' }).click()
    await page.getByRole('dialog').getByLabel('Name').fill('color.kelp')
    await page.getByRole('dialog').getByRole('button', { name: 'Rename' }).click()
    await expect(tokens).toContainText('color.kelp')
    await expect(desk.code).toContainText('bg-kelp')

    await tokens.getByRole('button', { name: 'More for color.kelp' }).click()
    await page.getByRole('menuitem', { name: 'Merge into' }).click()
    await expect(page.getByText('no other token of its kind')).toBeVisible()
    await page.getByRole('button', { name: 'Cancel' }).click()

    await tokens.getByRole('button', { name: 'More for radius.8' }).click()
    await page.getByRole('menuitem', { name: 'Remove' }).click()
    await expect(tokens.getByRole('listitem')).toHaveCount(1)
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Undo' }).click()
    await expect(proposed.getByRole('listitem')).toHaveCount(2)
  },
)

test('what repeats has a name in the code before any token is accepted', async ({ page }) => {
  const round = (x: number): string =>
    `<rect x="${x}" y="10" width="90" height="60" rx="5" fill="#2c664b"/>`
  await page.goto('/')
  await dropFiles(page, [{ name: 'cards.svg', content: SVG(round(10) + round(110)) }])
  await takeIn(page)
  const desk = await Desk.ready(page)
  await desk.turnInto('HTML')
  await expect(desk.code).toContainText('rounded-5 bg-green-550')
})

test('token files come in, one a mode, go out, and come in again', async ({ page }) => {
  await open(page)
  const tokens = page.getByRole('list', { name: 'Tokens of the design' })
  const file = (name: string, color: string) => ({
    name,
    mimeType: 'application/json',
    buffer: Buffer.from(
      JSON.stringify({
        color: {
          $type: 'color',
          sea: { $value: color },
          link: { $value: '{color.sea}', $description: 'Where to go' },
        },
      }),
    ),
  })
  const input = page.getByLabel('Token files')
  await input.setInputFiles([
    file('tokens.light.json', '#2c664b'),
    file('tokens.dark.json', '#8fc0a9'),
  ])
  await expect(tokens).toContainText('color.link= color.sea, #2c664b / #8fc0a9')

  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export' }).last().click()
  const path = await (await download).path()
  expect(readFileSync(path).subarray(0, 2).toString()).toBe('PK')

  await input.setInputFiles(file('tokens.json', '#123456'))
  await expect(tokens).toContainText('#123456')
  await input.setInputFiles({
    name: 'list.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"a":1}'),
  })
  await expect(page.getByText(/list.json holds no tokens/)).toBeVisible()
})

test('the style page shows every token with its code, and which colours stand on one another', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await Desk.open(page, 'Tidewrack')
  await page.getByRole('tab', { name: 'Tokens' }).click()
  await page.getByRole('button', { name: 'Style page' }).click()
  const dialog = page.getByRole('dialog', { name: 'Style page' })
  await expect(dialog.getByText('dark: #14201f')).toBeVisible()
  await dialog.getByRole('button', { name: 'bg-kelp', exact: true }).click()
  await expect(page.getByText('bg-kelp copied.')).toBeVisible()
  const row = dialog.getByRole('row', { name: /color\.quiet color\.sand/ })
  await expect(row).toContainText('5.4 : 1')
  await row.getByRole('button', { name: '3 texts' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByText('3 selected')).toBeVisible()
})
