import { roundPx } from '../design/geometry.js'
import type { TextLayer } from '../design/layer.js'
import type { TextMeasure } from '../text/measure.js'
import { styleOfRun, textOf } from '../text/wrap.js'
import type { Draft } from './draft.js'
import type { LayoutNode, Limits } from './node.js'

/** Widths in px, from `least` up to but without `most`, at which a text breaks into the lines drawn. */
export type WidthRange = { readonly least: number; readonly most: number }

const widthOf = (layer: TextLayer, from: number, to: number, measure: TextMeasure): number => {
  let width = 0
  let position = 0
  for (const run of layer.runs) {
    const start = Math.max(from, position)
    const end = Math.min(to, position + run.text.length)
    if (start < end) {
      width += measure.width(
        run.text.slice(start - position, end - position),
        styleOfRun(layer, run),
      )
    }
    position += run.text.length
  }
  return width
}

const trimEnd = (text: string, from: number, to: number): number => {
  let end = to
  while (end > from && /\s/.test(text[end - 1]!)) end--
  return end
}

const trimStart = (text: string, from: number, to: number): number => {
  let start = from
  while (start < to && /\s/.test(text[start]!)) start++
  return start
}

/** Where a line may break next (Unicode Annex 14, as far as Latin text needs it): at a space, after a hyphen. */
const endOfWord = (text: string, from: number): number => {
  for (let i = from; i < text.length; i++) {
    if (/\s/.test(text[i]!)) return i
    if (/[-\u2010\u00ad]/.test(text[i]!) && i > from) return i + 1
  }
  return text.length
}

/**
 * The widths at which a browser, filling lines as far as words fit, breaks the text as the file drew it;
 * undefined when no width does.
 */
export const findWidthRange = (layer: TextLayer, measure: TextMeasure): WidthRange | undefined => {
  const { lines } = layer
  if (!lines) return undefined
  const text = textOf(layer)
  let least = 0
  let most = Infinity
  for (const [i, line] of lines.entries()) {
    const from = trimStart(text, line.start, line.end)
    const end = trimEnd(text, from, line.end)
    const width = widthOf(layer, from, end, measure)
    least = Math.max(least, width)
    const next = lines[i + 1]
    if (!next || text.slice(end, next.start + 1).includes('\n')) continue
    const start = trimStart(text, next.start, next.end)
    const gap = text.slice(end, start)
    const isBreak = /\s/.test(gap) || /[-\u2010\u00ad]$/.test(text.slice(0, end))
    if (!isBreak) return undefined
    most = Math.min(most, widthOf(layer, from, endOfWord(text, start), measure))
  }
  return least < most ? { least, most } : undefined
}

const NICE_STEP_PX = 4
/** Wide enough for another cut of the font, without reaching into the neighbours. */
const MOST_SPARE_PX = 48

/** A width from the middle of the range, where other fonts break the lines alike; a multiple of 4 px if one fits. */
export const chooseWidth = ({ least, most }: WidthRange): number => {
  const middle = least + Math.min(MOST_SPARE_PX, (most - least) / 2)
  const nice = Math.round(middle / NICE_STEP_PX) * NICE_STEP_PX
  return nice > least + 1 && nice < most - 1 ? nice : roundPx(middle)
}

/** Whether a text that gets this much room breaks into other lines than drawn. */
export const breaksElsewhere = ({ least, most }: WidthRange, room: number): boolean =>
  room <= least || room >= most

/** Keeps a text's lines where the room it gets would break them elsewhere. */
export const limitText = (range: WidthRange, room: number): Limits =>
  breaksElsewhere(range, room) ? { maxWidth: chooseWidth(range) } : {}

/** A line of text with less room to spare than this may break by the rounding of another font engine. */
const SPARE_PX = 4

/** Keeps a text of one line from breaking where it fills its room so nearly that it might, in a font measured inexactly. */
export const holdLine = ({ node, range, doubt = 0 }: Draft, room: number): Partial<LayoutNode> =>
  !range && room - node.box.width < SPARE_PX + doubt ? { keepsLines: true } : {}
