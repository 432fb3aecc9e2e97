import type { Box } from '../../design/geometry.js'
import { roundBox, roundPx, uniteBoxes } from '../../design/geometry.js'
import type { DrawnLine, TextRun, TextStyle } from '../../design/text.js'
import { baselineOffset, type TextMeasure } from '../../text/measure.js'
import { readTextColor } from './paint.js'
import {
  alignOf,
  emptyLines,
  endsParagraph,
  findIndents,
  groupLines,
  NO_BREAK_SPACE,
  stepOf,
  type LineAlign,
  type Placed,
} from './text-lines.js'
import { mean, spread } from '../../math/statistics.js'
import { inheritable, parseLength, type Style } from './style.js'
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

/** What a text element says, in its own coordinates (before its transform). */
export type ReadText = {
  readonly box: Box
  readonly style: TextStyle
  readonly runs: readonly TextRun[]
  readonly align: LineAlign
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

/** `1.5`, `24px` or `150%` of a size → px; undefined for the font's own. */
const readLineHeight = (value: string | undefined, size: number): number | undefined => {
  if (value === undefined) return undefined
  const isShare = /^[\d.]+$/.test(value)
  const px = isShare ? Number(value) * size : parseLength(value, size, size)
  return Number.isFinite(px) && px > 0 ? roundPx(px) : undefined
}

const readTextStyle = (context: SvgContext, layer: string, style: Style): TextStyle => {
  const size = parseLength(style['font-size'] ?? '16', 16)
  const weight = style['font-weight'] ?? '400'
  const spacing = parseLength(style['letter-spacing'] ?? '0', size, size)
  const lineHeight = readLineHeight(style['line-height'], size)
  const decoration = style['text-decoration'] ?? ''
  return {
    family: firstFamily(style['font-family'] ?? 'sans-serif'),
    weight: WEIGHTS[weight] ?? (Number.parseFloat(weight) || 400),
    italic: /italic|oblique/.test(style['font-style'] ?? ''),
    size: Number.isFinite(size) ? size : 16,
    letterSpacing: Number.isFinite(spacing) ? Math.round(spacing * 1000) / 1000 : 0,
    decoration: decoration.includes('underline')
      ? 'underline'
      : decoration.includes('line-through')
        ? 'line-through'
        : 'none',
    case: CASES[style['text-transform'] ?? ''] ?? 'as-typed',
    color: readTextColor(context, layer, style),
    ...(lineHeight === undefined ? {} : { lineHeight }),
  }
}

/** `10 18.5 27` → numbers; SVG allows one per character. */
const readLengths = (value: string | undefined, fontPx: number): readonly number[] => {
  if (value === undefined) return NONE
  const single = Number(value)
  if (value !== '' && Number.isFinite(single)) return [single]
  return value
    .trim()
    .split(/[\s,]+/)
    .filter(Boolean)
    .map((v) => parseLength(v, 0, fontPx))
    .filter(Number.isFinite)
}

const NONE: readonly number[] = []

/**
 * The spacing that places given for every character come to: `x="0 9 18"`, or `dx="0 1 1"`. Undefined when
 * there are none, or when they are no even spacing.
 */
const spacingOfPlaces = (
  text: string,
  xs: readonly number[],
  dxs: readonly number[],
  style: TextStyle,
  measure: TextMeasure,
): number | undefined => {
  if (xs.length < 2 && dxs.length < 2) return undefined
  const characters = [...text]
  const count = Math.min(characters.length, Math.max(xs.length, dxs.length))
  if (count < 2) return undefined
  const bare = { ...style, letterSpacing: 0 }
  const gaps: number[] = []
  for (let i = 1; i < count; i++) {
    const advance = measure.width(characters[i - 1]!, bare)
    if (xs.length >= count) gaps.push(xs[i]! - xs[i - 1]! - advance)
    else gaps.push(dxs[i]! + style.letterSpacing)
  }
  const spacing = mean(gaps)
  if (gaps.some((gap) => Math.abs(gap - spacing) > style.size * 0.4)) return undefined
  // Less than this is kerning and rounding.
  return Math.abs(spacing) < style.size * 0.01 ? 0 : Math.round(spacing * 100) / 100
}

/** How far below the given height the baseline lies, for text that is not placed by its baseline. */
const baselineShift = (style: Style, textStyle: TextStyle, measure: TextMeasure): number => {
  const { size } = textStyle
  const { ascentPx: ascent, descentPx: descent } = measure.line(textStyle)
  switch (style['dominant-baseline']) {
    case 'middle':
      return size * 0.26
    case 'central':
      return (ascent - descent) / 2
    case 'hanging':
      return ascent * 0.8
    case 'text-before-edge':
    case 'text-top':
      return ascent
    case 'text-after-edge':
    case 'text-bottom':
    case 'ideographic':
      return -descent
    default:
      return 0
  }
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
    let known: TextStyle | undefined
    // Most texts hold only spans, each with a style of its own.
    const textStyle = (): TextStyle => (known ??= readTextStyle(context, layer, currentStyle))
    const keepsSpaces = isPreserving(currentStyle)
    const anchor = currentStyle['text-anchor'] ?? 'start'
    const fontPx = Number(currentStyle['font-size'] ?? 16)
    const lengths = (name: string): readonly number[] => readLengths(attributes[name], fontPx)
    const [xs, dxs] = [lengths('x'), lengths('dx')]
    const shift = currentStyle['dominant-baseline']
      ? baselineShift(currentStyle, textStyle(), context.measure)
      : 0
    const y = lengths('y')[0]
    let start: Pick<Chunk, 'x' | 'y' | 'dx' | 'dy'> = {
      ...(xs[0] === undefined ? {} : { x: xs[0] }),
      ...(y === undefined ? {} : { y: y + shift }),
      dx: dxs[0] ?? 0,
      dy: lengths('dy')[0] ?? 0,
    }
    let passedOn: Style | undefined
    for (const child of current.children) {
      if (isElement(child)) {
        const name = localName(child.name)
        if (name === 'tspan' || name === 'a') {
          const needsStart = start.x !== undefined || start.y !== undefined || start.dx || start.dy
          if (needsStart) {
            chunks.push({ text: '', style: textStyle(), ...start, anchor })
            start = { dx: 0, dy: 0 }
          }
          passedOn ??= inheritable(currentStyle)
          visit(child, context.resolveStyle(child, passedOn))
        } else if (name !== 'title' && name !== 'desc') context.countSkipped(`text ${name}`)
        continue
      }
      const text = keepsSpaces ? child.replace(/[\t\r\n]/g, ' ') : child.replace(/\s+/g, ' ')
      if (text === '') continue
      const spacing = spacingOfPlaces(text.trim(), xs, dxs, textStyle(), context.measure)
      chunks.push({
        text,
        style: spacing === undefined ? textStyle() : { ...textStyle(), letterSpacing: spacing },
        anchor,
        ...start,
      })
      start = { dx: 0, dy: 0 }
    }
  }
  visit(element, style)
  return dropIndentation(chunks, isPreserving(style))
}

/** Whether spaces and line ends of the file belong to the text. */
const isPreserving = (style: Style): boolean =>
  style['xml:space'] === 'preserve' ||
  /^(pre|pre-wrap|break-spaces)$/.test(style['white-space'] ?? '')

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
    const total = widths.reduce((sum, w, j) => sum + w + (j > 0 ? piece[j]!.dx : 0), 0)
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

/** A gap this wide between two pieces of a line was a space before the exporter cut the text up. */
const SPACE_SHARE = 0.12
// How far the measured end of a piece may be off, in shares of its width: weights between those of the
// table, kerning, another cut of the font.
const MEASURE_ERROR = 0.02

/**
 * Whether a space stood between two pieces. Where measuring leaves it open, words are apart and closing
 * marks are not.
 */
const isApart = (before: Placed, piece: Placed): boolean => {
  const gap = piece.x - (before.x + before.width)
  const doubt = before.width * MEASURE_ERROR
  const joinsWords = /[\p{L}\p{N}]$/u.test(before.text) && /^[\p{L}\p{N}]/u.test(piece.text)
  const isClosing = /^[.,;:!?)\]}’”]/.test(piece.text)
  const lean =
    piece.style.size !== before.style.size ? 0 : joinsWords ? -doubt : isClosing ? doubt : 0
  return gap > Math.max(0, piece.style.size * SPACE_SHARE + lean)
}

/** The pieces of a line with the spaces between them, which stand in the style that does not show them. */
const joinLine = (line: readonly Placed[]): { text: string; style: TextStyle }[] => {
  const joined: { text: string; style: TextStyle }[] = []
  line.forEach(({ text, style }, i) => {
    const before = line[i - 1]
    const last = joined.at(-1)
    const isSpaced = before && (/\s$/.test(before.text) || /^\s/.test(text))
    const needsSpace = before && last && !isSpaced && isApart(before, line[i]!)
    if (needsSpace && style.decoration !== 'none') last.text += ' '
    joined.push({ text: needsSpace && style.decoration === 'none' ? ` ${text}` : text, style })
  })
  return joined
}

const styleDifference = (style: TextStyle, base: TextStyle): TextRun['style'] => {
  const difference: Record<string, unknown> = {}
  for (const key of Object.keys(style) as (keyof TextStyle)[]) {
    if (style[key] !== base[key]) difference[key] = style[key]
  }
  return difference as TextRun['style']
}

const isSameStyle = (a: TextStyle, b: TextStyle): boolean =>
  (Object.keys(a) as (keyof TextStyle)[]).every((key) => a[key] === b[key])

/** The style most characters have: the layer's own; the others are runs that differ. */
const findBaseStyle = (placed: readonly Placed[]): TextStyle => {
  if (placed.every((p) => p.style === placed[0]!.style)) return placed[0]!.style
  const counts = new Map<string, { readonly style: TextStyle; characters: number }>()
  for (const { style, text } of placed) {
    const key = JSON.stringify(style)
    const count = counts.get(key) ?? { style, characters: 0 }
    count.characters += text.length
    counts.set(key, count)
  }
  return [...counts.values()].reduce((a, b) => (b.characters > a.characters ? b : a)).style
}

// The new field stands first: adding to a spread copy is many times slower.
const withLineHeight = (style: TextStyle, lineHeight: number): TextStyle => ({
  lineHeight,
  ...(style.lineHeight === undefined ? style : { ...style, lineHeight }),
})

/** By how much the table of widths may be off. */
const MOST_WIDTH_ERROR = 0.1
/** Two lines must differ by this share of their width, or rounding tells more than the font. */
const LEAST_DIFFERENCE = 0.15

/**
 * Lines that are centred or end flush tell how wide the font really is: where each starts is stated, and
 * with the right widths all middles (or ends) fall together. `x = edge - share · k · width`, fitted by
 * least squares for the correction `k`.
 */
const correctWidths = (lines: readonly Box[], align: LineAlign): readonly Box[] => {
  if (align === 'start' || lines.length < 2) return lines
  const share = align === 'centre' ? 0.5 : 1
  const widest = Math.max(...lines.map((l) => l.width))
  const differ = spread(lines.map((l) => l.width)) / widest
  if (lines.length === 2 && differ < LEAST_DIFFERENCE) return lines
  const [meanX, meanWidth] = [mean(lines.map((l) => l.x)), mean(lines.map((l) => l.width))]
  const together = mean(lines.map((l) => (l.x - meanX) * (l.width - meanWidth)))
  const variance = mean(lines.map((l) => (l.width - meanWidth) ** 2))
  const k = variance === 0 ? 1 : -together / variance / share
  if (Math.abs(k - 1) > MOST_WIDTH_ERROR) return lines
  return lines.map((line) => ({ ...line, width: line.width * k }))
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
  const lineHeight =
    steps.length > 0 ? roundPx(stepOf(steps)) : (base.lineHeight ?? metrics.normalPx)

  const measured = lines.map((line): Box => {
    const last = line.at(-1)!
    const top = line[0]!.y - baselineOffset(metrics, lineHeight)
    return { x: line[0]!.x, y: top, width: last.x + last.width - line[0]!.x, height: lineHeight }
  })
  const anchor = style['text-anchor'] ?? element.children.find(isElement)?.attributes['text-anchor']
  const align = alignOf(anchor, measured)
  // Lines placed by their middle or end already are where their widths, right or wrong, put them; and the
  // font itself knows better than two lines do.
  const isStated = anchor === 'middle' || anchor === 'end' || measure.isExact(base)
  const extents = isStated ? measured : correctWidths(measured, align)
  const box = uniteBoxes(extents)

  const runs: { text: string; style: TextStyle }[] = []
  const drawn: DrawnLine[] = []
  let length = 0
  const indents = findIndents(extents, align, measure.width(NO_BREAK_SPACE, base))
  lines.forEach((line, i) => {
    const last = runs.at(-1)
    if (last && i > 0) {
      const y = (of: number): number => lines[of]![0]!.y
      const empty = emptyLines(y(i) - y(i - 1), lineHeight)
      for (let k = 1; k <= empty; k++) {
        last.text += '\n'
        length++
        const baseline = roundPx(y(i - 1) + k * lineHeight - box.y)
        drawn.push({ start: length, end: length, x: 0, baseline })
      }
      // Most line breaks drawn by a design program are wraps: the text goes on after a space. Where the
      // next word would still have fitted, somebody ended the line.
      const isEnded =
        empty > 0 ||
        indents !== undefined ||
        endsParagraph(extents[i - 1]!, line, box.width, measure)
      if (isEnded || !/[\s\u00ad-]$/.test(last.text)) {
        last.text += isEnded ? '\n' : ' '
        length++
      }
    }
    const start = length
    const [head, ...rest] = joinLine(line)
    const indent = NO_BREAK_SPACE.repeat(indents?.[i] ?? 0)
    for (const piece of [{ ...head!, text: indent + head!.text }, ...rest]) {
      const previous = runs.at(-1)
      length += piece.text.length
      if (previous && isSameStyle(previous.style, piece.style)) previous.text += piece.text
      else runs.push({ ...piece })
    }
    drawn.push({
      start,
      end: length,
      x: indents ? 0 : roundPx(line[0]!.x - box.x),
      baseline: roundPx(line[0]!.y - box.y),
    })
  })

  return {
    box: roundBox(box),
    style: steps.length > 0 ? withLineHeight(base, lineHeight) : base,
    runs: runs.map((run) => ({ text: run.text, style: styleDifference(run.style, base) })),
    align,
    lines: drawn,
  }
}
