import { boxOf, clamp, type Box, type Constraints, type Piece, type TextLine } from './box.js'
import { colorOf, numberOf } from './read-values.js'
import { isMade, nameIn, NotKnown, type Made, type Value } from './values.js'

/** How letters look, as CSS, and how far their lines stand apart, in px; undefined: as the font has it. */
export type LetterStyle = {
  readonly css: Readonly<Record<string, string>>
  readonly size: number
  readonly lineHeight: number | undefined
}

/** Tells how wide a text is, and how far its letters reach above and below the baseline, in px. */
export type Measure = (
  text: string,
  css: Readonly<Record<string, string>>,
) => { readonly width: number; readonly ascent: number; readonly descent: number }

const DECORATIONS: Readonly<Record<string, string>> = {
  underline: 'underline',
  lineThrough: 'line-through',
  none: 'none',
}

/** A style over another. */
export const letterStyle = (value: Value | undefined, base: LetterStyle): LetterStyle => {
  if (!isMade(value)) return base
  const { named } = value
  const size = numberOf(named['fontSize'], base.size)
  const height = named['height']
  const ink = colorOf(named['color'])
  const decoration = nameIn(named['decoration'])
  const weight = nameIn(named['fontWeight'])
  const style = nameIn(named['fontStyle'])
  return {
    size,
    lineHeight: typeof height === 'number' ? height * size : base.lineHeight,
    css: {
      ...base.css,
      'font-size': `${String(size)}px`,
      ...(typeof named['fontFamily'] === 'string'
        ? {
            'font-family': `"${named['fontFamily'].replace(/[^\p{L}\p{N} _.-]/gu, '')}", sans-serif`,
          }
        : {}),
      ...(weight ? { 'font-weight': weight.slice(1) } : {}),
      ...(style ? { 'font-style': style } : {}),
      ...(typeof named['letterSpacing'] === 'number'
        ? { 'letter-spacing': `${String(named['letterSpacing'])}px` }
        : {}),
      ...(ink ? { color: ink } : {}),
      ...(decoration ? { 'text-decoration': DECORATIONS[decoration] ?? 'none' } : {}),
    },
  }
}

type Run = { readonly text: string; readonly style: LetterStyle }

const runsOf = (span: Value | undefined, base: LetterStyle): readonly Run[] => {
  if (!isMade(span)) return []
  if (span.name !== 'TextSpan') throw new NotKnown(`${span.name} is no span that is known.`)
  const style = letterStyle(span.named['style'], base)
  const own = typeof span.named['text'] === 'string' ? [{ text: span.named['text'], style }] : []
  const children = Array.isArray(span.named['children'])
    ? (span.named['children'] as readonly Value[])
    : []
  return [...own, ...children.flatMap((child) => runsOf(child, style))]
}

type Word = {
  readonly text: string
  readonly style: LetterStyle
  readonly width: number
  readonly isSpace: boolean
}

/** The pieces between which a line may break: spaces, words, and line ends. */
const wordsOf = (runs: readonly Run[], measure: Measure): readonly (Word | 'break')[] =>
  runs.flatMap(({ text, style }) =>
    text.split(/(\n| +|(?<=[-–—]))/).flatMap((part): (Word | 'break')[] => {
      if (part === '') return []
      if (part === '\n') return ['break']
      return [
        { text: part, style, width: measure(part, style.css).width, isSpace: /^ +$/.test(part) },
      ]
    }),
  )

const breakLines = (
  words: readonly (Word | 'break')[],
  room: number,
  wraps: boolean,
): readonly (readonly Word[])[] => {
  const lines: Word[][] = [[]]
  let width = 0
  const begin = (): void => {
    lines.push([])
    width = 0
  }
  for (const word of words) {
    if (word === 'break') {
      begin()
      continue
    }
    // Spaces at the end of a line take no room.
    if (wraps && !word.isSpace && width > 0 && width + word.width > room + 0.01) begin()
    const line = lines.at(-1)!
    if (word.isSpace && line.length === 0 && lines.length > 1) continue
    line.push(word)
    width += word.width
  }
  return lines.map((line) => {
    const last = line.findLastIndex(({ isSpace }) => !isSpace)
    return line.slice(0, last + 1)
  })
}

const widthOf = (line: readonly Word[]): number => line.reduce((sum, { width }) => sum + width, 0)

/** Lays a text out: its lines, as wide as the room lets them be. */
export const layOutText = (
  widget: Made,
  c: Constraints,
  base: LetterStyle,
  measure: Measure,
): Box => {
  const { named, positional, name } = widget
  const style = letterStyle(named['style'], base)
  const runs =
    name === 'Text.rich'
      ? runsOf(positional[0], style)
      : [{ text: String(positional[0] ?? ''), style }]
  const wraps = named['softWrap'] !== false
  const lines = breakLines(wordsOf(runs, measure), c.maxWidth, wraps)
  const natural = Math.max(0, ...lines.map(widthOf))
  const width = clamp(natural, c.minWidth, c.maxWidth)
  const align = nameIn(named['textAlign'])
  let y = 0
  let baseline: number | undefined
  const laid = lines.map((words): TextLine => {
    const own = words[0]?.style ?? style
    const { ascent, descent } = measure('x', own.css)
    const height = own.lineHeight ?? ascent + descent
    baseline ??= y + (height - ascent - descent) / 2 + ascent
    const free = width - widthOf(words)
    let x = align === 'center' ? free / 2 : align === 'end' || align === 'right' ? free : 0
    const pieces = words.reduce<Piece[]>((all, { text, style: { css }, width: w }) => {
      const last = all.at(-1)
      // Words of one style are drawn together.
      if (last && last.style === css) all[all.length - 1] = { ...last, text: last.text + text }
      else all.push({ text, style: css, x })
      x += w
      return all
    }, [])
    const line = { y, height, pieces }
    y += height
    return line
  })
  const size = { width, height: clamp(y, c.minHeight, c.maxHeight) }
  return { ...boxOf(size, [], { lines: laid }), ...(baseline === undefined ? {} : { baseline }) }
}
