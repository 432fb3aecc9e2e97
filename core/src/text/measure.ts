import type { TextStyle } from '../design/text.js'
import { FONT_METRICS, MEASURED_CODES } from './font-metrics.js'

/** What layout needs to know of a font, at a given size, in px. */
export type LineMetrics = {
  /** From the baseline up and down, as browsers use it: whole px. */
  readonly ascentPx: number
  readonly descentPx: number
  /** The line height `normal` stands for. */
  readonly normalPx: number
}

type MeasuredStyle = Pick<TextStyle, 'family' | 'weight' | 'size' | 'letterSpacing' | 'case'>

/** Measures text. `core` has a table of common open fonts; a host that has the real font may do better. */
export type TextMeasure = {
  /** Advance width of one line of text, in px. */
  width(text: string, style: MeasuredStyle): number
  line(style: Pick<TextStyle, 'family' | 'size'>): LineMetrics
}

type Metrics = {
  readonly ascent: number
  readonly descent: number
  readonly lineGap: number
  readonly regular: string
  readonly bold: string
}
type Face = {
  readonly metrics: Metrics
  readonly regular: Map<number, number>
  readonly bold: Map<number, number>
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

/** A measure from the built-in table; weights between regular and bold are interpolated, kerning is not known. */
export const createTableMeasure = (): TextMeasure => {
  const faces = new Map<string, Face>()
  const byName = new Map(Object.keys(FONT_METRICS).map((name) => [name.toLowerCase(), name]))

  const faceOf = (family: string): Face => {
    const known = faces.get(family)
    if (known) return known
    const lower = family.toLowerCase()
    const name = (byName.get(lower) ??
      SUBSTITUTES[lower] ??
      'Liberation Sans') as keyof typeof FONT_METRICS
    const metrics = FONT_METRICS[name]
    const face = {
      metrics,
      regular: decodeAdvances(metrics.regular),
      bold: decodeAdvances(metrics.bold),
    }
    faces.set(family, face)
    return face
  }

  return {
    width(text, style) {
      const face = faceOf(style.family)
      const share = Math.min(1, Math.max(0, (style.weight - 400) / 300))
      let sum = 0
      let count = 0
      for (const character of applyCase(text, style)) {
        const code = character.codePointAt(0)!
        const regular = face.regular.get(code) ?? guessAdvance(code)
        sum += regular + ((face.bold.get(code) ?? regular) - regular) * share
        count++
      }
      return (sum / 1000) * style.size + count * style.letterSpacing
    },
    line({ family, size }) {
      const { ascent, descent, lineGap } = faceOf(family).metrics
      const ascentPx = Math.round((ascent / 1000) * size)
      const descentPx = Math.round((descent / 1000) * size)
      return { ascentPx, descentPx, normalPx: ascentPx + descentPx + (lineGap / 1000) * size }
    },
  }
}

/**
 * Where the first baseline lies below the top of a line box of the given height, in px. Browsers give the
 * space around the letters in halves and round the upper one down to a whole px.
 */
export const baselineOffset = (line: LineMetrics, lineHeightPx: number): number =>
  Math.floor((lineHeightPx - (line.ascentPx + line.descentPx)) / 2) + line.ascentPx
