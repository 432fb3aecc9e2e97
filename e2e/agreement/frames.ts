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
} from '@unimorph/core'

const require = createRequire(import.meta.url)
const LIBRARY = readFileSync(require.resolve('tailwindcss/index.css'), 'utf8')
const MEASURE = measureWith([])

/** The table of widths knows no kerning. */
const PLAIN_TYPE = '*{font-kerning:none;font-variant-ligatures:none}'

/** A page as one document, with its style sheet in it. */
export const documentOf = async (design: Design): Promise<string> => {
  const made = convert(design, [], { target: 'html', marks: true, derivesStates: false })
  if (!made.ok) throw new Error(made.notes.map(({ message }) => message).join('\n'))
  const { files, styles } = made.value
  const page = files.find(({ path }) => path.endsWith('.html'))
  if (page?.content.kind !== 'text') throw new Error('no page was delivered')
  const css = await compileStyles(styles.source, styles.classes, LIBRARY)
  return page.content.text
    .replace(/<link[^>]*styles\.css[^>]*>/, () => `<style>${css}${PLAIN_TYPE}</style>`)
    .replace(/<script[^>]*><\/script>/g, '')
    .replace(/src="[^"]*"/g, `src="data:image/png;base64,${design.assets['grey']?.data ?? ''}"`)
}

/** Where our solver puts everything, by key, for windows of some widths. */
export const solve = (
  design: Design,
  widths: readonly number[],
): readonly ReadonlyMap<string, Box>[] => {
  const examined = examineWidths(design, design.screens[0]!.key, MEASURE)
  if (!examined) throw new Error('the design has no screen')
  const place = createPlacing(examined.trees, MEASURE)
  return widths.map(place)
}

/** Where an element is; of words also where they are in it, since a box without a look may be wider than it has to be. */
export type FoundBox = Box & {
  readonly words?: Pick<Box, 'x' | 'width' | 'height'> & { readonly align: string }
}
export type Found = Readonly<Record<string, FoundBox>>

/** Where the browser puts everything: each document in a frame of its own, at all widths in one call. */
export const layOut = (
  page: Page,
  documents: readonly string[],
  widths: readonly number[],
): Promise<readonly (readonly Found[])[]> =>
  page.evaluate(
    async ({ htmls, sizes }) => {
      document.body.replaceChildren()
      const frames = htmls.map((html) => {
        const frame = document.createElement('iframe')
        frame.style.cssText = 'border:0;height:800px;position:absolute'
        frame.srcdoc = html
        document.body.append(frame)
        return frame
      })
      await Promise.all(frames.map((frame) => new Promise((done) => (frame.onload = done))))
      return frames.map((frame) =>
        sizes.map((width) => {
          frame.style.width = `${width}px`
          const boxes: Record<string, FoundBox> = {}
          for (const element of frame.contentDocument!.querySelectorAll('[data-layer]')) {
            const key = element.getAttribute('data-layer')!
            const { x, y, width: w, height: h } = element.getBoundingClientRect()
            if (key in boxes || (w === 0 && h === 0)) continue
            const box = { x, y, width: w, height: h }
            const hasWords = [...element.childNodes].some(
              (child) => child.nodeType === 3 && child.textContent!.trim() !== '',
            )
            if (!hasWords) boxes[key] = box
            else {
              const range = element.ownerDocument.createRange()
              range.selectNodeContents(element)
              const inked = range.getBoundingClientRect()
              const align = getComputedStyle(element).textAlign
              const { x: left, width: wide, height: high } = inked
              boxes[key] = { ...box, words: { x: left, width: wide, height: high, align } }
            }
          }
          return boxes
        }),
      )
    },
    { htmls: documents, sizes: widths },
  )

/** Letters are lower than their line, by less than another line. */
const LESS_THAN_A_LINE_PX = 16

/** How far what the browser shows is from where the solver has it, in px. */
export const distance = (solved: Box, { words, ...found }: FoundBox): number => {
  const top = Math.abs(solved.y - found.y)
  const bottom = Math.abs(solved.y + solved.height - found.y - found.height)
  // A text may be higher than its lines, which begin at its top: their number is what counts.
  const isLines = words && Math.abs(words.height - solved.height) < LESS_THAN_A_LINE_PX
  const down = isLines && found.height > solved.height ? top : Math.max(top, bottom)
  if (words) {
    // Words that reach out of their box stand where its own width puts them.
    if (words.width > found.width + 1) return down
    const free = solved.width - words.width
    const share = words.align === 'center' ? 0.5 : words.align === 'end' ? 1 : 0
    return Math.max(down, Math.abs(solved.x + free * share - words.x))
  }
  const left = Math.abs(solved.x - found.x)
  const right = Math.abs(solved.x + solved.width - found.x - found.width)
  return Math.max(down, left, right)
}
