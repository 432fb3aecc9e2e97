import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test, type Page } from '@playwright/test'
import { drawLayer, readFiles } from '@unimorph/core'
import pixelmatch from 'pixelmatch'
import { PNG } from 'pngjs'

// What design programs write, one file a subject: our own drawing of each must look as the browser draws
// the file itself.
const FOLDER = join(__dirname, '../drawings')
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
