import type { Box } from '../../design/geometry.js'
import { roundBox, roundPx, uniteBoxes } from '../../design/geometry.js'
import type { DrawnLine, TextRun, TextStyle } from '../../design/text.js'
import { baselineOffset, type TextMeasure } from '../../text/measure.js'
import { readTextColor } from './paint.js'
import { parseLength, resolveStyle, type Style } from './style.js'
import type { SvgContext } from './context.js'
import { isElement, localName, type XmlElement } from './xml.js'

/** Consecutive characters with one style; `x` and `y` where the file starts a new position. */
type Chunk = {
  text: string
  readonly style: TextStyle
  readonly x?: number
  readonly y?: number
  readonly dx: number
  readonly dy: number
  readonly anchor: string
}

/** A chunk with its place: baseline start, in the text element's own coordinates. */
type Placed = {
  readonly text: string
  readonly style: TextStyle
  readonly x: number
  readonly y: number
  readonly width: number
}

/** What a text element says, in its own coordinates (before its transform). */
export type ReadText = {
  readonly box: Box
  readonly style: TextStyle
  readonly runs: readonly TextRun[]
  readonly align: 'start' | 'centre' | 'end'
  readonly lines: readonly DrawnLine[]
}

const WEIGHTS: Readonly<Record<string, number>> = {
  normal: 400,
  bold: 700,
  lighter: 300,
  bolder: 700,
}
const CASES: Readonly<Record<string, TextStyle['case']>> = {
  uppercase: 'upper',
  lowercase: 'lower',
  capitalize: 'title',
}

const firstFamily = (list: string): string =>
  (list.split(',')[0] ?? '').trim().replace(/^["']|["']$/g, '') || 'sans-serif'

const readTextStyle = (context: SvgContext, layer: string, style: Style): TextStyle => {
  const size = parseLength(style['font-size'] ?? '16', 16)
  const weight = style['font-weight'] ?? '400'
  const spacing = parseLength(style['letter-spacing'] ?? '0')
  const decoration = style['text-decoration'] ?? ''
  return {
    family: firstFamily(style['font-family'] ?? 'sans-serif'),
    weight: WEIGHTS[weight] ?? (Number.parseFloat(weight) || 400),
    italic: /italic|oblique/.test(style['font-style'] ?? ''),
    size: Number.isFinite(size) ? size : 16,
    letterSpacing: Number.isFinite(spacing) ? spacing : 0,
    decoration: decoration.includes('underline')
      ? 'underline'
      : decoration.includes('line-through')
        ? 'line-through'
        : 'none',
    case: CASES[style['text-transform'] ?? ''] ?? 'as-typed',
    color: readTextColor(context, layer, style),
  }
}

/** The first number of a list of lengths; SVG allows one per character, exporters write one. */
const firstLength = (value: string | undefined): number | undefined => {
  if (value === undefined) return undefined
  const length = parseLength(value.trim().split(/[\s,]+/)[0]!)
  return Number.isFinite(length) ? length : undefined
}

const collectChunks = (
  context: SvgContext,
  layer: string,
  element: XmlElement,
  style: Style,
): Chunk[] => {
  const chunks: Chunk[] = []
  const visit = (current: XmlElement, currentStyle: Style): void => {
    const { attributes } = current
    const textStyle = readTextStyle(context, layer, currentStyle)
    const keepsSpaces = currentStyle['xml:space'] === 'preserve'
    let start: Pick<Chunk, 'x' | 'y' | 'dx' | 'dy'> = {
      x: firstLength(attributes['x']),
      y: firstLength(attributes['y']),
      dx: firstLength(attributes['dx']) ?? 0,
      dy: firstLength(attributes['dy']) ?? 0,
    }
    for (const child of current.children) {
      if (isElement(child)) {
        if (localName(child.name) === 'tspan') {
          const needsStart = start.x !== undefined || start.y !== undefined || start.dx || start.dy
          if (needsStart) {
            chunks.push({
              text: '',
              style: textStyle,
              ...start,
              anchor: currentStyle['text-anchor'] ?? 'start',
            })
            start = { dx: 0, dy: 0 }
          }
          visit(child, resolveStyle(child, currentStyle))
        } else context.countSkipped(`text ${localName(child.name)}`)
        continue
      }
      const text = keepsSpaces ? child.replace(/[\t\r\n]/g, ' ') : child.replace(/\s+/g, ' ')
      if (text === '') continue
      chunks.push({
        text,
        style: textStyle,
        ...start,
        anchor: currentStyle['text-anchor'] ?? 'start',
      })
      start = { dx: 0, dy: 0 }
    }
  }
  visit(element, style)
  return dropIndentation(chunks, style['xml:space'] === 'preserve')
}

/** White space between positioned pieces is the file's indentation and not part of the text. */
const dropIndentation = (chunks: readonly Chunk[], keepsSpaces: boolean): Chunk[] => {
  if (keepsSpaces) return [...chunks]
  return chunks.map((chunk, i) => {
    const next = chunks[i + 1]
    const startsLine = i === 0 || chunk.x !== undefined
    const endsLine = !next || next.x !== undefined
    let text = chunk.text
    if (startsLine || /\s$/.test(chunks[i - 1]?.text ?? '')) text = text.replace(/^ /, '')
    if (endsLine) text = text.replace(/ $/, '')
    return { ...chunk, text }
  })
}

/** Gives every chunk its baseline start, moving a pen along and applying `text-anchor` per positioned piece. */
const placeChunks = (chunks: readonly Chunk[], measure: TextMeasure): Placed[] => {
  const placed: Placed[] = []
  let x = 0
  let y = 0
  for (let i = 0; i < chunks.length;) {
    let end = i + 1
    while (end < chunks.length && chunks[end]!.x === undefined && chunks[end]!.y === undefined)
      end++
    const piece = chunks.slice(i, end)
    const widths = piece.map((c) => measure.width(c.text, c.style))
    const total = widths.reduce((sum, w) => sum + w, 0)
    const first = piece[0]!
    x = first.x ?? x
    y = first.y ?? y
    if (first.anchor === 'middle') x -= total / 2
    if (first.anchor === 'end') x -= total
    piece.forEach((chunk, j) => {
      x += chunk.dx
      y += chunk.dy
      const width = widths[j]!
      if (chunk.text !== '') placed.push({ text: chunk.text, style: chunk.style, x, y, width })
      x += width
    })
    i = end
  }
  return placed
}

const SAME_LINE_PX = 0.5

const groupLines = (placed: readonly Placed[]): Placed[][] => {
  const lines: Placed[][] = []
  for (const piece of placed) {
    const line = lines.at(-1)
    const last = line?.at(-1)
    if (line && last && Math.abs(last.y - piece.y) <= SAME_LINE_PX && piece.x >= last.x)
      line.push(piece)
    else lines.push([piece])
  }
  return lines
}

/** A gap this wide between two pieces of a line was a space before the exporter cut the text up. */
const SPACE_SHARE = 0.12

const joinLine = (line: readonly Placed[]): { text: string; style: TextStyle }[] =>
  line.map((piece, i) => {
    const before = line[i - 1]
    const gap = before ? piece.x - (before.x + before.width) : 0
    const isSpaced = before && (/\s$/.test(before.text) || /^\s/.test(piece.text))
    const needsSpace = before && !isSpaced && gap > piece.style.size * SPACE_SHARE
    return { text: needsSpace ? ` ${piece.text}` : piece.text, style: piece.style }
  })

const styleDifference = (style: TextStyle, base: TextStyle): TextRun['style'] => {
  const difference: Record<string, unknown> = {}
  for (const key of Object.keys(style) as (keyof TextStyle)[]) {
    if (style[key] !== base[key]) difference[key] = style[key]
  }
  return difference as TextRun['style']
}

const isSameStyle = (a: TextStyle, b: TextStyle): boolean =>
  (Object.keys(a) as (keyof TextStyle)[]).every((key) => a[key] === b[key])

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!

/** The style most characters have: the layer's own; the others are runs that differ. */
const findBaseStyle = (placed: readonly Placed[]): TextStyle => {
  const counts = new Map<string, { readonly style: TextStyle; characters: number }>()
  for (const { style, text } of placed) {
    const key = JSON.stringify(style)
    const count = counts.get(key) ?? { style, characters: 0 }
    count.characters += text.length
    counts.set(key, count)
  }
  return [...counts.values()].reduce((a, b) => (b.characters > a.characters ? b : a)).style
}

/** Reads a `<text>` element as one text; undefined when it holds no visible character. */
export const readText = (
  context: SvgContext,
  layer: string,
  element: XmlElement,
  style: Style,
): ReadText | undefined => {
  const { measure } = context
  const placed = placeChunks(collectChunks(context, layer, element, style), measure)
  if (!placed.some((p) => p.text.trim() !== '')) return undefined

  const base = findBaseStyle(placed)
  const lines = groupLines(placed)
  const metrics = measure.line(base)
  const steps = lines
    .slice(1)
    .map((line, i) => line[0]!.y - lines[i]![0]!.y)
    .filter((d) => d > 0)
  const lineHeight = steps.length > 0 ? roundPx(median(steps)) : metrics.normalPx

  const extents = lines.map((line): Box => {
    const last = line.at(-1)!
    const top = line[0]!.y - baselineOffset(metrics, lineHeight)
    return { x: line[0]!.x, y: top, width: last.x + last.width - line[0]!.x, height: lineHeight }
  })
  const box = uniteBoxes(extents)

  const runs: { text: string; style: TextStyle }[] = []
  const drawn: DrawnLine[] = []
  let length = 0
  lines.forEach((line) => {
    // A line break drawn by the design program is a wrap; the text itself goes on after a space.
    const last = runs.at(-1)
    if (last && !/[\s\u00ad-]$/.test(last.text)) {
      last.text += ' '
      length++
    }
    const start = length
    for (const piece of joinLine(line)) {
      const previous = runs.at(-1)
      length += piece.text.length
      if (previous && isSameStyle(previous.style, piece.style)) previous.text += piece.text
      else runs.push({ ...piece })
    }
    drawn.push({
      start,
      end: length,
      x: roundPx(line[0]!.x - box.x),
      baseline: roundPx(line[0]!.y - box.y),
    })
  })

  const anchor = style['text-anchor'] ?? element.children.find(isElement)?.attributes['text-anchor']
  return {
    box: roundBox(box),
    style: steps.length > 0 ? { ...base, lineHeight } : base,
    runs: runs.map((run) => ({ text: run.text, style: styleDifference(run.style, base) })),
    align: anchor === 'middle' ? 'centre' : anchor === 'end' ? 'end' : 'start',
    lines: drawn,
  }
}
