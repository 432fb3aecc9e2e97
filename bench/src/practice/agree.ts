// Compares, at several widths, where a browser puts each element of a page with where our solver puts it.
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import {
  compileStyles,
  convert,
  createPlacing,
  examineWidths,
  measureWith,
  type Box,
  type Design,
  type Font,
} from '@unimorph/core'

const require = createRequire(import.meta.url)
const LIBRARY = readFileSync(require.resolve('tailwindcss/index.css'), 'utf8')

export const AGREEMENT_WIDTHS: readonly number[] = [360, 390, 560, 768, 1024, 1280, 1536]

export type Disagreement = {
  readonly widthPx: number
  readonly layer: string
  readonly browser: Box | undefined
  readonly solver: Box | undefined
  /** How far the edges are apart at most, in px. */
  readonly px: number
}

export type Agreement = { readonly compared: number; readonly apart: readonly Disagreement[] }

const apart = (a: Box, b: Box): number =>
  Math.max(
    Math.abs(a.x - b.x),
    Math.abs(a.y - b.y),
    Math.abs(a.x + a.width - b.x - b.width),
    Math.abs(a.y + a.height - b.y - b.height),
  )

type BrowserGlobals = {
  readonly document: { querySelectorAll(selector: string): Iterable<BrowserElement> }
}
type BrowserElement = {
  getAttribute(name: string): string
  getBoundingClientRect(): Box
}

export const compareBoxes = async (
  page: Page,
  design: Design,
  fonts: readonly Font[],
): Promise<Agreement> => {
  const measure = measureWith(fonts)
  const made = convert(design, [], { target: 'html', marks: true, fonts })
  if (!made.ok) throw new Error(made.notes.map(({ message }) => message).join('\n'))
  const { files, styles } = made.value
  const html = files.find(({ path }) => path.endsWith('.html'))!
  if (html.content.kind !== 'text') throw new Error('the page is no text')
  // The fonts of the system are the same files.
  const source = styles.source.replace(/@font-face\s*\{[^}]*\}/g, '')
  const css = await compileStyles(source, styles.classes, LIBRARY)
  const text = html.content.text.replace(/<link[^>]*styles\.css[^>]*>/, `<style>${css}</style>`)
  await page.setContent(text)
  const place = createPlacing(
    examineWidths(design, design.screens[0]!.key, measure)!.trees,
    measure,
  )
  let compared = 0
  const all: Disagreement[] = []
  for (const widthPx of AGREEMENT_WIDTHS) {
    await page.setViewportSize({ width: widthPx, height: 800 })
    const found = await page.evaluate(() => {
      const { document } = globalThis as unknown as BrowserGlobals
      return [...document.querySelectorAll('[data-layer]')].map((element) => {
        const { x, y, width, height } = element.getBoundingClientRect()
        return { layer: element.getAttribute('data-layer'), box: { x, y, width, height } }
      })
    })
    const browser = new Map<string, Box>()
    for (const { layer, box } of found) {
      if (!browser.has(layer) && (box.width > 0 || box.height > 0)) browser.set(layer, box)
    }
    const solver = place(widthPx)
    for (const [layer, box] of browser) {
      const own = solver.get(layer)
      compared++
      const px = own ? apart(own, box) : Infinity
      if (px > 0.5) all.push({ widthPx, layer, browser: box, solver: own, px })
    }
  }
  return { compared, apart: all }
}
