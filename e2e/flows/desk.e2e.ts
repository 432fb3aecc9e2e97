import { AxeBuilder } from '@axe-core/playwright'
import { expect } from '@playwright/test'
import { Desk, test } from './desk.js'

// Nothing on the desk may fail in silence.
let complaints: string[]
test.beforeEach(({ page }) => {
  complaints = []
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text())
  })
  page.on('pageerror', (error) => complaints.push(error.message))
})
test.afterEach(() => expect(complaints).toEqual([]))

test(
  'one selection runs through outline, design, result and code',
  { tag: '@quick' },
  async ({ page }) => {
    const desk = await Desk.open(page, 'Tidewrack')
    const thread = desk.code.locator('.cm-thread')

    await test.step('from the design', async () => {
      const box = (await desk.design.boundingBox())!
      const scale = box.width / 1280
      await desk.design.click({ position: { x: 60 * scale, y: 152 * scale } })
      await expect(page.getByRole('row', { selected: true })).toHaveText(/Today on the shore/)
      await expect(thread.first()).toContainText('<h1')
    })
    await test.step('from the running result', async () => {
      await desk.clickInResult(desk.result.getByText('Recent sightings'))
      await expect(page.getByRole('row', { selected: true })).toHaveText(/Recent sightings/)
      await expect(thread.filter({ hasText: 'Recent sightings' }).first()).toBeVisible()
    })
    await test.step('from the outline, by keyboard', async () => {
      await page.getByRole('treegrid').focus()
      await page.keyboard.press('Home')
      await page.keyboard.press('ArrowDown')
      await expect(page.getByRole('row', { selected: true })).toHaveText(/Today header/)
      await expect(thread.first()).toContainText('<header')
    })
    await test.step('from the code', async () => {
      await desk.row('Today header').click()
      await desk.code.locator('.cm-line', { hasText: /^\s*>?Tidewrack/ }).click()
      await expect(page.getByRole('row', { selected: true })).toHaveText(/Tidewrack/)
    })
  },
)

test('the result runs at any width and follows its own layout', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  const width = (): Promise<number> => desk.result.locator('html').evaluate(() => innerWidth)
  expect(await width()).toBe(1280)
  await page.getByRole('spinbutton', { name: /Result, width/ }).fill('700')
  await expect.poll(width).toBe(700)
  const handle = page.getByRole('separator', { name: 'Width of the result' })
  await handle.focus()
  await page.keyboard.press('ArrowRight')
  await expect.poll(width).toBe(716)
  const bar = (await handle.boundingBox())!
  await page.mouse.move(bar.x + bar.width / 2, bar.y + 40)
  await page.mouse.down()
  await page.mouse.move(bar.x + 60, bar.y + 40, { steps: 4 })
  await page.mouse.up()
  await expect.poll(width).toBeGreaterThan(760)
  await page.getByRole('button', { name: 'As drawn' }).click()
  await expect.poll(width).toBe(1280)
})

for (const [target, file] of [
  ['HTML', 'index.html'],
  ['React', 'TodayOnTheShore.tsx'],
  ['Vue', 'TodayOnTheShore.vue'],
  ['Angular', 'today-on-the-shore.html'],
  ['Flutter', 'today_on_the_shore.dart'],
] as const) {
  test(`links between screens work in the running ${target}`, async ({ page }) => {
    const desk = await Desk.open(page, 'Tidewrack')
    await desk.turnInto(target)
    await expect(page.getByRole('button', { name: file })).toBeVisible()
    await page.getByRole('button', { name: 'Use', exact: true }).click()
    await desk.clickInResult(desk.result.getByRole('link', { name: 'Log a sighting' }).first())
    await expect(
      desk.result.getByRole('heading', { level: 1, name: 'Log a sighting' }),
    ).toBeVisible()
    await expect(desk.design).toHaveAccessibleName('Design of Log a sighting')
  })
}

test(
  'layers are renamed, hidden and left out, undone and redone, and stay so',
  { tag: '@quick' },
  async ({ page }) => {
    const desk = await Desk.open(page, 'Night ferry kiosk')
    await page.getByRole('searchbox').fill('Cabin for')
    await desk.row('Cabin for the night').click()
    await page.getByRole('treegrid').focus()
    const heading = desk.result.getByText('Cabin for the night')
    await page.keyboard.press('Delete')
    await expect(heading).toBeHidden()
    await page.keyboard.press('Control+z')
    await expect(heading).toBeVisible()
    await page.keyboard.press('Control+Shift+z')
    await expect(heading).toBeHidden()
    await page.reload()
    await Desk.ready(page)
    await expect(heading).toBeHidden()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(heading).toBeVisible()

    await desk.row('Night ferry').click()
    await page.getByRole('treegrid').focus()
    await page.keyboard.press('F2')
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Masthead')
    await page.keyboard.press('Enter')
    await expect(desk.row('Masthead')).toBeVisible()
    await page.keyboard.press('Control+z')
    await expect(desk.row('Masthead')).toBeHidden()
  },
)

test(
  'an edit is shown at once, and taken back with a word where it cannot be saved',
  { tag: '@quick' },
  async ({ page }) => {
    const desk = await Desk.open(page, 'Night ferry kiosk')
    await desk.row('Night ferry').click()
    await page.getByRole('treegrid').focus()
    let refuse: () => void = () => undefined
    const isAsked = new Promise<void>((asked) => {
      void page.route('**/edits', (route) => {
        refuse = () => void route.abort()
        asked()
      })
    })
    await page.keyboard.press('F2')
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Masthead')
    await page.keyboard.press('Enter')
    await isAsked
    await expect(desk.row('Masthead')).toBeVisible()
    refuse()
    await expect(desk.row('Masthead')).toBeHidden()
    await expect(page.getByText(/server does not answer/)).toBeVisible()
    await page.unroute('**/edits')
    await page.getByRole('button', { name: 'Redo' }).click()
    await expect(desk.row('Masthead')).toBeVisible()
    complaints = complaints.filter((said) => !said.includes('ERR_FAILED'))
  },
)

test('only a part is converted: the screen, or the selected layers', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await page.getByRole('searchbox').fill('Tide card')
  await desk.row('Tide card').click()
  await desk.choose(/^Convert/, 'Selected layers')
  await expect(desk.result.getByText('Recent sightings')).toBeHidden()
  await expect(desk.result.getByText('Tide at Low Saltern')).toBeVisible()
  await desk.choose(/^Convert/, 'This screen')
  await expect(page.getByRole('button', { name: 'log-a-sighting.html' })).toBeHidden()
  await expect(desk.result.getByText('Recent sightings')).toBeVisible()
})

test('lanes are folded and resized', async ({ page }) => {
  await Desk.open(page, 'Tidewrack')
  const outline = page.getByRole('region', { name: 'Outline' })
  const before = (await outline.boundingBox())!.width
  await page.getByRole('separator', { name: 'Width of the outline' }).focus()
  await page.keyboard.press('ArrowLeft')
  expect((await outline.boundingBox())!.width).toBe(before - 16)
  await page.getByRole('button', { name: 'Fold Outline' }).click()
  await expect(page.getByRole('treegrid')).toBeHidden()
  await outline.getByRole('button', { name: 'Outline' }).click()
  await expect(page.getByRole('treegrid')).toBeVisible()
})

for (const look of ['Light', 'Dark']) {
  test(`the desk has no accessibility violation, ${look.toLowerCase()}`, async ({ page }) => {
    const desk = await Desk.open(page, 'Tidewrack')
    await desk.choose(/^Look/, look)
    await desk.row('Today header').click()
    const { violations } = await new AxeBuilder({ page }).exclude('[data-testid=result]').analyze()
    expect(violations.map((v) => [v.id, v.nodes.map((n) => n.html.slice(0, 120))])).toEqual([])
  })
}

test('the generated pages have no accessibility violation', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await expect(desk.result.getByRole('heading', { level: 1 })).toHaveText('Today on the shore')
  const { violations } = await new AxeBuilder({ page }).include('[data-testid=result]').analyze()
  expect(violations.map((v) => [v.id, v.nodes.map((n) => n.html.slice(0, 120))])).toEqual([])
})

test('the tokens of a layer stand beside its code, as the target writes them', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.turnInto('React')
  await desk.clickInResult(desk.result.getByText('Recent sightings'))
  const tokens = page.getByRole('list', { name: 'Tokens of the selected layer' })
  await expect(tokens.getByRole('button')).toHaveText(['var(--text-section)', 'var(--color-ink)'])
  await desk.turnInto('Flutter')
  await expect(tokens.getByRole('button')).toHaveText(['AppType.section', 'colors.ink'])
})

test('what keeps the code from being built stands at its line, with the layer', async ({
  page,
}) => {
  // The answer of a build that failed, at the line that is the text's in the code that was sent.
  await page.route('**/api/previews', async (route) => {
    const { files } = route.request().postDataJSON() as {
      files: { path: string; content: string }[]
    }
    const file = files.find(({ content }) => content.includes('Recent sightings'))
    const at = file?.content.split('\n').findIndex((line) => line.includes('Recent sightings'))
    const errors = file ? [`${file.path}:${at! + 1}: Expected "}" but found "<"`] : ['No file']
    await route.fulfill({ json: { errors } })
  })
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.turnInto('React')
  const errors = page.getByRole('region', { name: 'Errors of the build' })
  await expect(errors).toContainText('Expected "}" but found "<"')
  await expect(errors).toContainText('Made for Recent sightings.')
  await errors.getByRole('button').click()
  await expect(desk.code.locator('.cm-problem')).toContainText('<h2')
  await expect(page.getByRole('row', { selected: true })).toHaveText(/Recent sightings/)
})
