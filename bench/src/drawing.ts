import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import pixelmatch from 'pixelmatch'
import { PNG } from 'pngjs'
import { drawLayer, readFiles } from '@unimorph/core'

// Taller pages are compared down to here.
const TALLEST_PX = 4000

/** Share of pixels in which our drawing of each SVG file differs from the browser's drawing of the file. */
export const compareDrawings = async (
  files: readonly string[],
): Promise<readonly { readonly file: string; readonly share: number }[]> => {
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  })
  try {
    const page = await browser.newPage()
    const show = async (svg: string): Promise<PNG> => {
      await page.setContent(`<body style="margin:0"><style>svg{display:block}</style>${svg}`)
      return PNG.sync.read(await page.screenshot())
    }
    const results: { file: string; share: number }[] = []
    for (const file of files) {
      const bytes = readFileSync(file)
      const { design } = readFiles([{ name: 'design.svg', bytes }])
      if (!design) throw new Error(`${file} cannot be read`)
      const screen = design.screens[0]!
      const width = Math.ceil(screen.box.width)
      const height = Math.min(TALLEST_PX, Math.ceil(screen.box.height))
      await page.setViewportSize({ width, height })
      const source = await show(bytes.toString('utf8').replace(/^<\?xml[^>]*>/, ''))
      const drawn = await show(drawLayer(screen, { assets: design.assets }))
      const different = pixelmatch(source.data, drawn.data, undefined, width, height, {
        threshold: 0.1,
      })
      results.push({ file, share: different / (width * height) })
    }
    return results
  } finally {
    await browser.close()
  }
}
