import type { TextLayer } from '../../design/layer.js'
import { baselineOffset, type TextMeasure } from '../../text/measure.js'
import { remember } from '../../text/remember.js'
import { styleOfRun } from '../../text/wrap.js'

/** How a text takes room at any width, in px. */
export type TextFlow = {
  /** As wide as its longest line when nothing breaks it but itself. */
  readonly widest: number
  /** As wide as its longest word. */
  readonly least: number
  readonly lineHeight: number
  /** Where the first line's letters stand, from the top. */
  readonly baseline: number
  /** How many lines it has at a width. */
  lines(width: number): number
}

type Word = { readonly width: number; readonly space: number; readonly endsLine: boolean }

/** Words as a line can be broken between them: at spaces, and after hyphens (Unicode Annex 14, for Latin text). */
const splitWords = (layer: TextLayer, measure: TextMeasure): Word[] => {
  const words: Word[] = []
  for (const run of layer.runs) {
    const style = styleOfRun(layer, run)
    for (const piece of run.text.match(/[^\s-]*-+|[^\s-]+|\n|[^\S\n]+/g) ?? []) {
      const last = words.at(-1)
      if (piece === '\n') {
        if (last && !last.endsLine) words[words.length - 1] = { ...last, endsLine: true }
        else words.push({ width: 0, space: 0, endsLine: true })
      } else if (/^\s/.test(piece)) {
        const space = measure.width(' ', style)
        if (last && !last.endsLine) words[words.length - 1] = { ...last, space: last.space + space }
      } else words.push({ width: measure.width(piece, style), space: 0, endsLine: false })
    }
  }
  return words
}

/** Widths are given to a hundredth of a px; a line that is wider by more than that breaks. */
const ROUNDING_PX = 0.02

const countLines = (words: readonly Word[], width: number): number => {
  let lines = 1
  let x = 0
  words.forEach((word, i) => {
    if (x > 0 && x + word.width > width + ROUNDING_PX) {
      lines++
      x = 0
    }
    x += word.width + word.space
    if (word.endsLine && i < words.length - 1) {
      lines++
      x = 0
    }
  })
  return lines
}

const findWidest = (words: readonly Word[]): number => {
  let [widest, x] = [0, 0]
  for (const word of words) {
    widest = Math.max(widest, x + word.width)
    x = word.endsLine ? 0 : x + word.width + word.space
  }
  return widest
}

/** Measures a text once, so that it can be laid out at many widths. */
export const createTextFlow = remember((layer: TextLayer, measure: TextMeasure): TextFlow => {
  const words = splitWords(layer, measure)
  const line = measure.line(layer.style)
  const lineHeight = layer.style.lineHeight ?? line.normalPx
  return {
    widest: findWidest(words),
    least: Math.max(0, ...words.map((word) => word.width)),
    lineHeight,
    baseline: baselineOffset(line, lineHeight),
    lines: (width) => countLines(words, width),
  }
})
