import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test, type Page } from '@playwright/test'
import { createSheetDrawer, drawLayer, readDesign, readFiles } from '@unimorph/core'
import pixelmatch from 'pixelmatch'
import { PNG } from 'pngjs'

// What design programs write, one file a subject: our own drawing of each must look as the browser draws
// the file itself.
const FOLDER = join(import.meta.dirname, '../drawings')
const MOST_DIFFERENT = 0.003

const show = async (page: Page, svg: string): Promise<PNG> => {
  await page.setContent(`<body style="margin:0"><style>svg{display:block}</style>${svg}`)
  return PNG.sync.read(await page.screenshot())
}

for (const name of readdirSync(FOLDER)) {
  test(`${name} is drawn as the browser draws it`, async ({ page }) => {
    const bytes = readFileSync(join(FOLDER, name))
    const { design, notes } = readFiles([{ name, bytes }])
    expect(notes).toEqual([])
    const screen = design!.screens[0]!
    const { width, height } = screen.box
    await page.setViewportSize({ width, height })
    const [source, drawn] = [
      await show(page, bytes.toString()),
      await show(page, drawLayer(screen, { assets: design!.assets })),
    ]
    const different = pixelmatch(source.data, drawn.data, undefined, width, height, {
      threshold: 0.1,
    })
    expect(different / (width * height)).toBeLessThan(MOST_DIFFERENT)
  })
}

/** A screen of several hundred layers, in containers that are moved, turned, round, cut off, bordered and faded. */
const large = (): unknown => {
  const solid = (color: string) => [{ kind: 'solid', color }]
  const tile = (key: string, i: number) => ({
    type: i % 3 === 0 ? 'ellipse' : 'rectangle',
    key,
    box: { x: (i % 10) * 31 - 8, y: Math.floor(i / 10) * 17.5, width: 26, height: 14 },
    fills: solid(i % 2 === 0 ? '#2a6340' : '#b5532e'),
    opacity: i % 7 === 0 ? 0.5 : 1,
  })
  const words = (key: string, i: number) => ({
    type: 'text',
    key,
    box: { x: 4, y: i * 21, width: 280, height: 20 },
    style: { family: 'Inter', size: 15, color: '#23211c' },
    runs: [{ text: `Low water at Gannet Spit, day ${i}` }],
  })
  const frame = (name: string, y: number, rest: object) => ({
    type: 'frame',
    key: name,
    box: { x: 20, y, width: 300, height: 130 },
    fills: solid('#efe9dc'),
    children: [
      ...Array.from({ length: 110 }, (_, i) => tile(`${name}-t${i}`, i)),
      ...Array.from({ length: 8 }, (_, i) => words(`${name}-w${i}`, i)),
    ],
    ...rest,
  })
  const line = { paint: { kind: 'solid', color: '#123456' }, width: 3, align: 'inside' }
  const all = {
    type: 'frame',
    key: 'all',
    box: { x: 10.5, y: 6, width: 420, height: 560 },
    radius: 40,
    fills: solid('#d9e4dd'),
    strokes: [line],
    children: [
      frame('plain', 10, { clip: false }),
      frame('round', 150, { radius: 24, strokes: [line] }),
      frame('turned', 290, { rotationDeg: 12 }),
      frame('faded', 430, { opacity: 0.6 }),
    ],
  }
  return {
    format: 'unimorph-design',
    version: 1,
    screens: [
      {
        type: 'frame',
        key: 'home',
        box: { x: 0, y: 0, width: 440, height: 600 },
        fills: solid('#fffdf8'),
        children: [all, words('foot', 27)],
      },
    ],
  }
}

test('sheets over each other look like the drawing of the whole', async ({ page }) => {
  const read = readDesign(large())
  if (!read.ok) throw new Error(read.notes.map(({ message }) => message).join(' '))
  const { screens, assets } = read.value
  const sheets = createSheetDrawer()(screens[0]!, { assets })
  expect(sheets.length).toBeGreaterThan(3)
  // As on the stage: as pictures, at any scale.
  const [width, height] = [396, 540]
  await page.setViewportSize({ width, height })
  const shown = async (drawings: readonly string[]): Promise<PNG> => {
    const pictures = drawings.map(
      (svg) =>
        `<img style="position:absolute;inset:0;width:${width}px;height:${height}px" src="data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}">`,
    )
    await page.setContent(`<body style="margin:0">${pictures.join('')}`)
    await page.evaluate(() => Promise.all([...document.images].map((image) => image.decode())))
    return PNG.sync.read(await page.screenshot())
  }
  const whole = await shown([drawLayer(screens[0]!, { assets })])
  const apart = await shown(sheets)
  const different = pixelmatch(whole.data, apart.data, undefined, width, height, {
    threshold: 0.02,
  })
  // Where edges of round corners lie over each other, each is smoothed by itself.
  expect(different / (width * height)).toBeLessThan(0.001)
})
