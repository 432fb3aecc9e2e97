import type { TextStyle } from '../design/text.js'
import { findFace, weightDistance, type Font, type FontFace } from './face.js'
import { FONT_METRICS, MEASURED_CODES } from './font-metrics.js'

/** What layout needs to know of a font, at a given size, in px. */
export type LineMetrics = {
  /** From the baseline up and down, as browsers use it: whole px. */
  readonly ascentPx: number
  readonly descentPx: number
  /** The line height `normal` stands for. */
  readonly normalPx: number
}

type MeasuredStyle = Pick<TextStyle, 'family' | 'weight' | 'size' | 'letterSpacing' | 'case'> &
  Partial<Pick<TextStyle, 'italic'>>

/** Measures text. `core` has a table of common open fonts; a host that has the real font may do better. */
export type TextMeasure = {
  /** Advance width of one line of text, in px. */
  width(text: string, style: MeasuredStyle): number
  line(style: Pick<TextStyle, 'family' | 'size'>): LineMetrics
  /** Whether widths of this style come from its own font, not from one that stands in. */
  isExact(style: MeasuredStyle): boolean
}

type Metrics = { readonly ascent: number; readonly descent: number; readonly lineGap: number }

/** A face of one weight. Advances of ASCII stand in a list, which is much faster than a map. */
type Face = {
  readonly metrics: Metrics
  readonly ascii: readonly number[]
  advance(code: number): number
  kern?(left: number, right: number): number
}

/** Families with the same widths as one in the table, or close to it. */
const SUBSTITUTES: Readonly<Record<string, keyof typeof FONT_METRICS>> = {
  arial: 'Liberation Sans',
  courier: 'Liberation Mono',
  'courier new': 'Liberation Mono',
  georgia: 'DejaVu Serif',
  helvetica: 'Liberation Sans',
  'helvetica neue': 'Liberation Sans',
  monospace: 'Liberation Mono',
  'sans-serif': 'Liberation Sans',
  serif: 'Liberation Serif',
  times: 'Liberation Serif',
  'times new roman': 'Liberation Serif',
  verdana: 'DejaVu Sans',
}

const decodeAdvances = (list: string): Map<number, number> => {
  const values = list.split(' ')
  return new Map(MEASURED_CODES.map((code, i) => [code, Number(values[i])]))
}

/** Width of a character the table lacks: wide scripts are set on a square, others like an `n`. */
const guessAdvance = (code: number): number =>
  code >= 0x1100 && (code <= 0x11ff || (code >= 0x2e80 && code <= 0xd7ff) || code >= 0xf900)
    ? 1000
    : 560

const WORD = /\p{L}[\p{L}\p{M}'’]*/gu

/** Text as it is shown: `case` changes letters, as CSS `text-transform` does. */
export const applyCase = (text: string, style: Pick<TextStyle, 'case'>): string => {
  switch (style.case) {
    case 'as-typed':
      return text
    case 'upper':
      return text.toUpperCase()
    case 'lower':
      return text.toLowerCase()
    case 'title':
      return text.replace(WORD, (word) => word.charAt(0).toUpperCase() + word.slice(1))
  }
}

const createFace = (metrics: Metrics, advance: (code: number) => number): Face => ({
  metrics,
  advance,
  ascii: Array.from({ length: 128 }, (_, code) => advance(code)),
})

/** A face of the table, at any weight: between regular and bold, widths are interpolated. */
const createTableFace = (name: keyof typeof FONT_METRICS, weight: number): Face => {
  const metrics = FONT_METRICS[name]
  const regular = decodeAdvances(metrics.regular)
  const bold = decodeAdvances(metrics.bold)
  const share = Math.min(1, Math.max(0, (weight - 400) / 300))
  return createFace(metrics, (code) => {
    const from = regular.get(code) ?? guessAdvance(code)
    return from + ((bold.get(code) ?? from) - from) * share
  })
}

const createFontFace = (face: FontFace): Face => ({
  ...createFace(face, (code) => face.advances[code] ?? guessAdvance(code)),
  kern: (left, right) => face.kerning[`${left},${right}`] ?? 0,
})

const TABLE_NAMES = new Map(Object.keys(FONT_METRICS).map((name) => [name.toLowerCase(), name]))

const tableNameOf = (family: string): keyof typeof FONT_METRICS => {
  const lower = family.toLowerCase()
  return (TABLE_NAMES.get(lower) ??
    SUBSTITUTES[lower] ??
    'Liberation Sans') as keyof typeof FONT_METRICS
}

const sumAdvances = (face: Face, text: string): { sum: number; count: number } => {
  let sum = 0
  let count = 0
  let before = -1
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i)
    const code = unit < 128 ? unit : text.codePointAt(i)!
    if (code > 0xffff) i++
    sum += code < 128 ? face.ascii[code]! : face.advance(code)
    if (face.kern && before >= 0) sum += face.kern(before, code)
    before = code
    count++
  }
  return { sum, count }
}

/**
 * A measure from the fonts at hand, with their kerning; families that are not among them are measured by the
 * built-in table of open fonts, or by the one of its fonts that is closest.
 */
export const createMeasure = (fonts: readonly FontFace[]): TextMeasure => {
  const candidates = fonts.map((face) => ({ face }))
  const faces = new Map<string, Face>()
  const faceOf = (family: string, weight: number, italic: boolean): Face => {
    const key = `${family}|${weight}|${italic}`
    const known = faces.get(key)
    if (known) return known
    const own = findFace(candidates, family, weight, italic)
    const face = own ? createFontFace(own.face) : createTableFace(tableNameOf(family), weight)
    faces.set(key, face)
    return face
  }
  return {
    width(text, style) {
      const face = faceOf(style.family, style.weight, style.italic ?? false)
      const { sum, count } = sumAdvances(face, applyCase(text, style))
      return (sum / 1000) * style.size + count * style.letterSpacing
    },
    isExact({ family, weight, italic = false }) {
      const own = findFace(candidates, family, weight, italic)
      if (!own && !italic) {
        return TABLE_NAMES.has(family.toLowerCase()) && (weight === 400 || weight === 700)
      }
      return (
        own !== undefined && weightDistance(own.face, weight) === 0 && own.face.italic === italic
      )
    },
    line({ family, size }) {
      const { ascent, descent, lineGap } = faceOf(family, 400, false).metrics
      const ascentPx = Math.round((ascent / 1000) * size)
      const descentPx = Math.round((descent / 1000) * size)
      return { ascentPx, descentPx, normalPx: ascentPx + descentPx + (lineGap / 1000) * size }
    },
  }
}

/** A measure from the built-in table alone. */
export const createTableMeasure = (): TextMeasure => createMeasure([])

const measures = new WeakMap<readonly Font[], TextMeasure>()

/** The measure from fonts at hand, the same one for the same list: what was measured by it is known by it. */
export const measureWith = (fonts: readonly Font[]): TextMeasure => {
  const known = measures.get(fonts)
  if (known) return known
  const made = createMeasure(fonts.map(({ face }) => face))
  measures.set(fonts, made)
  return made
}

/**
 * Where the first baseline lies below the top of a line box of the given height, in px. Browsers give the
 * space around the letters in halves and round the upper one down to a whole px.
 */
export const baselineOffset = (line: LineMetrics, lineHeightPx: number): number =>
  Math.floor((lineHeightPx - (line.ascentPx + line.descentPx)) / 2) + line.ascentPx
