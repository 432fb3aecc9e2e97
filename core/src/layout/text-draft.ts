import type { Box } from '../design/geometry.js'
import type { TextLayer } from '../design/layer.js'
import { baselineOffset, type TextMeasure } from '../text/measure.js'
import { layOutText, textOf } from '../text/wrap.js'
import { draftNode, type Draft } from './draft.js'
import { findWidthRange, type WidthRange } from './text-width.js'

/** A text is given this much more room than its longest line needs, so that rounding does not wrap it. */
const SPARE_PX = 4

const spareRoom = ({ least, most }: WidthRange): number => Math.min(SPARE_PX, (most - least) / 2)

/** Where the file knows better how wide the lines are than the fonts at hand, what it says goes for all. */
const correctRange = (range: WidthRange | undefined, drawn: number): WidthRange | undefined => {
  if (!range || range.least === 0) return range
  const share = drawn / range.least
  return { least: drawn, most: Math.max(drawn + 0.1, range.most * share) }
}

/** The box of a text of several lines with room to spare on the side its lines end. */
const widen = (layer: TextLayer, box: Box, range: WidthRange): Box => {
  const width = Math.max(box.width, range.least + spareRoom(range))
  const by = width - box.width
  const share = layer.align === 'centre' ? 0.5 : layer.align === 'end' ? 1 : 0
  return { ...box, x: box.x - by * share, width }
}

/** The widest a text can be: everything up to the next line end on one line. */
const findLongest = (layer: TextLayer, measure: TextMeasure): number =>
  Math.max(
    ...textOf(layer)
      .split('\n')
      .map((line) => measure.width(line, layer.style)),
  )

/** A text as something that takes room. `box` is where it stands in its container. */
export const draftText = (layer: TextLayer, box: Box, measure: TextMeasure): Draft => {
  const lineHeight = layer.style.lineHeight ?? measure.line(layer.style).normalPx
  const baseline =
    layer.lines?.[0]?.baseline ?? baselineOffset(measure.line(layer.style), lineHeight)
  const lines = layer.lines ?? layOutText(layer, measure)
  if (layer.lines && lines.length > 1) {
    const range = correctRange(findWidthRange(layer, measure), layer.box.width)
    if (!range) {
      const node = draftNode(layer, box, {
        keepsLines: true,
        sizing: { width: 'fit', height: 'fit' },
      })
      return { node, natural: { width: box.width, height: box.height }, baseline }
    }
    const node = draftNode(layer, widen(layer, box, range), {
      sizing: { width: 'stretch', height: 'fit' },
    })
    const width = findLongest(layer, measure)
    return { node, natural: { width, height: box.height }, range, baseline }
  }
  const height = layer.lines ? box.height : lines.length * lineHeight
  if (!layer.lines && layer.sizing.width !== 'fit') {
    // The file gives the box, not the lines: they break at its width.
    const node = draftNode(layer, box, { sizing: { width: 'stretch', height: 'fit' } })
    const range = { least: box.width - 0.5, most: box.width + 0.5 }
    return { node, natural: { width: findLongest(layer, measure), height }, range, baseline }
  }
  const node = draftNode(layer, box, { sizing: { width: 'fit', height: 'fit' } })
  return { node, natural: { width: box.width, height }, baseline }
}
