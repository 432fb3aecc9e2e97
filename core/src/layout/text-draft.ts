import type { Box } from '../design/geometry.js'
import type { TextLayer } from '../design/layer.js'
import { baselineOffset, type TextMeasure } from '../text/measure.js'
import type { TextStyle } from '../design/text.js'
import { layOutText, ownLineHeight, styleOfRun, textOf } from '../text/wrap.js'
import { draftNode, type Draft } from './draft.js'
import { findWidthRange, type WidthRange } from './text-width.js'

/** A text is given this much more room than its longest line needs, so that rounding does not wrap it. */
const SPARE_PX = 4

const spareRoom = ({ least, most }: WidthRange): number => Math.min(SPARE_PX, (most - least) / 2)

/**
 * Where the file knows better how wide the lines are than the fonts at hand, what it says goes for all. Lines with pieces in
 * other fonts are also wider than their letters by the room around the pieces, which no text has here.
 */
const correctRange = (
  range: WidthRange | undefined,
  { runs, box: { width: drawn } }: TextLayer,
): WidthRange | undefined => {
  if (!range || range.least === 0) return range
  if (runs.some(({ style }) => style.family !== undefined)) return range
  const share = drawn / range.least
  return { least: drawn, most: Math.max(drawn + 0.1, range.most * share) }
}

/** The widths at which a text breaks as it was drawn; undefined where the file does not say, or none does. */
export const keptWidths = (layer: TextLayer, measure: TextMeasure): WidthRange | undefined =>
  correctRange(findWidthRange(layer, measure), layer)

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

/**
 * How far a line reaches above and below its baseline: as far as the highest and the lowest of its runs, each
 * in the middle of its own line height (CSS Inline Layout 3, 4).
 */
const lineReach = (layer: TextLayer, measure: TextMeasure): { above: number; below: number } => {
  const styles = layer.runs.map((run): TextStyle => {
    const lineHeight = ownLineHeight(layer, run)
    return { ...styleOfRun(layer, run), ...(lineHeight === undefined ? {} : { lineHeight }) }
  })
  const reaches = [layer.style, ...styles].map((style) => {
    const line = measure.line(style)
    const height = style.lineHeight ?? line.normalPx
    const above = baselineOffset(line, height)
    return { above, below: height - above }
  })
  return {
    above: Math.max(...reaches.map((reach) => reach.above)),
    below: Math.max(...reaches.map((reach) => reach.below)),
  }
}

/** The box of one line with runs of several sizes, which is higher than its own size needs. */
const growLine = (layer: TextLayer, box: Box, measure: TextMeasure): Box => {
  const baseline = layer.lines?.length === 1 ? layer.lines[0]!.baseline : undefined
  if (baseline === undefined || layer.runs.every((run) => run.style.size === undefined)) return box
  const { above, below } = lineReach(layer, measure)
  return { ...box, y: box.y + baseline - above, height: above + below }
}

/** By which share of its width a line in a font that is not at hand may be longer or shorter than it is measured. */
const WIDTH_ERROR = 0.05

const doubtOf = ({ style, align }: TextLayer, width: number, measure: TextMeasure): number =>
  align === 'start' && !measure.isExact(style) ? width * WIDTH_ERROR : 0

/** A text as something that takes room. `box` is where it stands in its container. */
export const draftText = (layer: TextLayer, drawn: Box, measure: TextMeasure): Draft => {
  const box = growLine(layer, drawn, measure)
  const lineHeight = layer.style.lineHeight ?? measure.line(layer.style).normalPx
  const first = layer.lines?.[0]?.baseline
  const baseline =
    (first === undefined ? undefined : first + drawn.y - box.y) ??
    baselineOffset(measure.line(layer.style), lineHeight)
  const lines = layer.lines ?? layOutText(layer, measure)
  if (layer.lines && lines.length > 1) {
    const range = keptWidths(layer, measure)
    if (!range) {
      const node = draftNode(layer, box, {
        keepsLines: true,
        sizing: { width: 'fit', height: 'fit' },
      })
      return { node, natural: { width: box.width, height: box.height }, baseline }
    }
    const wide = widen(layer, box, range)
    const node = draftNode(layer, wide, { sizing: { width: 'stretch', height: 'fit' } })
    const width = findLongest(layer, measure)
    const spare = wide.x === box.x ? wide.width - box.width : 0
    return { node, natural: { width, height: box.height }, range, baseline, spare }
  }
  const height = layer.lines ? box.height : lines.length * lineHeight
  if (!layer.lines && layer.sizing.width !== 'fit') {
    // The file gives the box, not the lines: they break at its width.
    const node = draftNode(layer, box, { sizing: { width: 'stretch', height: 'fit' } })
    const range = { least: box.width - 0.5, most: box.width + 0.5 }
    return { node, natural: { width: findLongest(layer, measure), height }, range, baseline }
  }
  const node = draftNode(layer, box, { sizing: { width: 'fit', height: 'fit' } })
  const doubt = doubtOf(layer, box.width, measure)
  return { node, natural: { width: box.width, height }, baseline, doubt }
}
