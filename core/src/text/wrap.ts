import type { TextLayer } from '../design/layer.js'
import type { TextRun, TextStyle } from '../design/text.js'
import { baselineOffset, type TextMeasure } from './measure.js'
import { remember } from './remember.js'

/** A piece of a line in one style, from its start in px. */
export type LinePiece = { readonly text: string; readonly style: TextStyle; readonly x: number }
export type TextLine = { readonly pieces: readonly LinePiece[]; readonly baseline: number }

/** A run's full style: the layer's with the run's differences. */
export const styleOfRun = (layer: TextLayer, run: TextRun): TextStyle => ({
  ...layer.style,
  ...run.style,
})

/**
 * The line height of a run that is no larger than its text and set in another font or size: that of its letters. With that of
 * the text they would stand at another height in it, and make the line higher than it was drawn (CSS Inline Layout 3, 4).
 */
export const ownLineHeight = (layer: TextLayer, { style }: TextRun): number | undefined => {
  const { size = layer.style.size, family = layer.style.family } = style
  const isOther = size !== layer.style.size || family !== layer.style.family
  return isOther && size <= layer.style.size ? size : undefined
}

export const textOf = (layer: TextLayer): string => layer.runs.map((run) => run.text).join('')

type Word = { text: string; style: TextStyle; width: number; breaksAfter: boolean }

/** `one two` → words that keep their trailing space, so that joined they give the text again. */
const splitWords = (layer: TextLayer, measure: TextMeasure): Word[] =>
  layer.runs.flatMap((run) => {
    const style = styleOfRun(layer, run)
    return (run.text.match(/[^\s]*[^\S\n]*\n|[^\s]+[^\S\n]*|[^\S\n]+/g) ?? []).map((text): Word => {
      const shown = text.replace(/\s+$/, '')
      return {
        text: text.replace(/\n/g, ''),
        style,
        width: measure.width(shown, style),
        breaksAfter: text.endsWith('\n'),
      }
    })
  })

const wrapWords = (words: readonly Word[], widthPx: number, measure: TextMeasure): Word[][] => {
  const lines: Word[][] = [[]]
  let x = 0
  for (const word of words) {
    // Half a px of tolerance: the box was measured with the real font, the words with a table.
    if (x > 0 && x + word.width > widthPx + 0.5) {
      lines.push([])
      x = 0
    }
    lines.at(-1)!.push(word)
    x += measure.width(word.text, word.style)
    if (word.breaksAfter) {
      lines.push([])
      x = 0
    }
  }
  return lines
}

const placeLine = (words: readonly Word[], layer: TextLayer, measure: TextMeasure): LinePiece[] => {
  const pieces: { text: string; style: TextStyle; x: number }[] = []
  let x = 0
  for (const word of words) {
    const last = pieces.at(-1)
    if (last && last.style === word.style) last.text += word.text
    else pieces.push({ text: word.text, style: word.style, x })
    x += measure.width(word.text, word.style)
  }
  const last = pieces.at(-1)
  if (last) {
    const trimmed = last.text.trimEnd()
    x -= measure.width(last.text, last.style) - measure.width(trimmed, last.style)
    last.text = trimmed
  }
  const free = layer.box.width - x
  const shift = layer.align === 'centre' ? free / 2 : layer.align === 'end' ? free : 0
  return pieces.map((piece) => ({ ...piece, x: piece.x + shift }))
}

/** Cuts the runs at the ends of the lines the file states. */
const placeDrawnLines = (layer: TextLayer, measure: TextMeasure): TextLine[] =>
  layer.lines!.map((line) => {
    const pieces: LinePiece[] = []
    let position = 0
    let x = line.x
    for (const run of layer.runs) {
      const from = Math.max(line.start, position)
      const to = Math.min(line.end, position + run.text.length)
      if (from < to) {
        const text = run.text.slice(from - position, to - position)
        const style = styleOfRun(layer, run)
        pieces.push({ text, style, x })
        x += measure.width(text, style)
      }
      position += run.text.length
    }
    return { pieces, baseline: line.baseline }
  })

/**
 * The lines of a text layer with the place of each piece, in px from the layer's corner: the lines the
 * file states, or the text wrapped at the width of its box (at its content's width when it fits itself).
 */
export const layOutText = remember(
  (layer: TextLayer, measure: TextMeasure): readonly TextLine[] => {
    if (layer.lines) return placeDrawnLines(layer, measure)
    const line = measure.line(layer.style)
    const lineHeight = layer.style.lineHeight ?? line.normalPx
    const width = layer.sizing.width === 'fit' ? Infinity : layer.box.width
    return wrapWords(splitWords(layer, measure), width, measure).map((words, i) => ({
      pieces: placeLine(words, layer, measure),
      baseline: i * lineHeight + baselineOffset(line, lineHeight),
    }))
  },
)
