import { createCounter, COLORS, WORDS } from './counter.js'

type Json = Record<string, unknown>

/** How the cards lie on a page: its width, their columns, from one to the next, and the room at its left, in px. */
export type Page = {
  readonly width: number
  readonly columns: number
  readonly stride: number
  readonly left: number
}

const DESKTOP: Page = { width: 1280, columns: 3, stride: 410, left: 40 }

/** The same content on pages of three widths. */
export const PAGES: readonly Page[] = [
  DESKTOP,
  { width: 768, columns: 2, stride: 350, left: 40 },
  { width: 390, columns: 1, stride: 350, left: 20 },
]

/** A made-up screen of `count` loose layers: cards of rectangles, lines, texts and curves, in no container. */
export const generateFlat = (
  count: number,
  { width: pageWidth, columns, stride, left }: Page = DESKTOP,
): Json => {
  const prefix = pageWidth === DESKTOP.width ? '' : `${pageWidth}-`
  const next = createCounter(count)
  const children: Json[] = []
  const add = (type: string, name: string, x: number, y: number, rest: Json): void => {
    const { width, height, ...own } = rest as { width: number; height: number }
    children.push({
      type,
      key: `${prefix}l${children.length}`,
      name,
      box: { x, y, width, height },
      ...own,
    })
  }
  const fill = (): Json[] => [{ kind: 'solid', color: COLORS[next(COLORS.length)] }]
  const text = (x: number, y: number, words: number, size: number): void => {
    const content = Array.from({ length: words }, () => WORDS[next(WORDS.length)]).join(' ')
    add('text', content, x, y, {
      width: Math.round(content.length * size * 0.52),
      height: size * 1.5,
      style: { family: 'Inter', size, lineHeight: size * 1.5, color: '#223322' },
      runs: [{ text: content }],
      sizing: { width: 'fit', height: 'fit' },
    })
  }
  let y = 24
  while (children.length < count) {
    for (let column = 0; column < columns; column++) {
      const x = left + column * stride
      add('rectangle', 'Rectangle', x, y, {
        width: stride - 20,
        height: 200,
        radius: 8,
        fills: fill(),
      })
      const d = `M0 0L16 ${next(16)}L0 16Z`
      add('path', 'Vector', x + 24, y + 24, {
        width: 16,
        height: 16,
        paths: [{ d }],
        fills: fill(),
      })
      text(x + 52, y + 20, 2, 18)
      text(x + 24, y + 58, 4, 16)
      text(x + 24, y + 90, 3, 16)
      const stroke = [{ paint: { kind: 'solid', color: '#d9d2c3' } }]
      add('line', 'Line', x + 24, y + 128, {
        width: stride - 68,
        height: 0,
        from: { x: 0, y: 0 },
        to: { x: stride - 68, y: 0 },
        strokes: stroke,
      })
      text(x + 24, y + 150, 2, 14)
      text(x + stride - 160, y + 150, 1, 14)
    }
    y += 224
  }
  return {
    format: 'unimorph-design',
    version: 2,
    name: 'Loose layers',
    screens: [
      {
        type: 'frame',
        key: `${prefix}screen`,
        name: 'Screen',
        box: { x: 0, y: 0, width: pageWidth, height: y },
        fills: [{ kind: 'solid', color: '#ffffff' }],
        children: children.slice(0, count),
      },
    ],
  }
}
