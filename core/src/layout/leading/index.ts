import type { Layer, TextLayer } from '../../design/layer.js'
import { mapLayers } from '../../design/walk.js'
import { baselineOffset, type TextMeasure } from '../../text/measure.js'
import { chooseHeights, findKinds, kindOf, TOUCH_PX, type Kind } from './choose.js'
import { findLines, type Edge, type Line } from './lines.js'

/** Line heights of texts of one kind are one when they differ by no more, in px. */
const SAME_PX = 0.51

/** By the kind of text: the line height that those of several lines have, where they agree. */
const findKnown = (texts: readonly TextLayer[]): ReadonlyMap<string, number> => {
  const known = new Map<string, number[]>()
  for (const text of texts) {
    const { lineHeight } = text.style
    if (lineHeight === undefined) continue
    const kind = kindOf(text)
    known.set(kind, [...(known.get(kind) ?? []), lineHeight])
  }
  return new Map(
    [...known].flatMap(([kind, heights]) =>
      Math.max(...heights) - Math.min(...heights) <= SAME_PX ? [[kind, heights[0]!]] : [],
    ),
  )
}

/** The layer with a line that high, its letters where they are. */
const withLeading = ({ layer, box, baseline }: Line, height: number, by: number): TextLayer => ({
  ...layer,
  // In the order in which files are read: styles that say the same are the same text.
  style: { lineHeight: height, ...layer.style },
  box: { ...layer.box, y: layer.box.y - by, height },
  lines: layer.lines!.map((line) => ({ ...line, baseline: baseline - box.y + by })),
})

/** Texts are large from this share of the usual size on. */
const LARGE = 1.2
/** What most style sheets give text, and large text. */
const USUAL = { text: 1.5, large: 1.2 }

const mostCommon = (values: readonly number[]): number | undefined => {
  const counts = new Map<number, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0]?.[0]
}

const findExpected = (texts: readonly TextLayer[]) => {
  const usual = mostCommon(
    texts.flatMap((l) => Array.from({ length: l.lines?.length ?? 1 }, () => l.style.size)),
  )!
  const isLarge = (size: number): boolean => size >= usual * LARGE
  const ratiosOf = (large: boolean): readonly number[] =>
    texts.flatMap(({ style: { lineHeight, size } }) =>
      lineHeight === undefined || isLarge(size) !== large
        ? []
        : [Math.round((lineHeight / size) * 200) / 200],
    )
  const text = mostCommon(ratiosOf(false)) ?? USUAL.text
  const large = mostCommon(ratiosOf(true)) ?? USUAL.large
  return {
    expected: ({ size, weight }: TextLayer['style']): number =>
      isLarge(size) && weight >= 500 ? large : text,
    ratios: [...new Set([...ratiosOf(false), ...ratiosOf(true)])],
  }
}

export const adoptLeading = (root: Layer, measure: TextMeasure): Layer => {
  const { lines, edges } = findLines(root)
  if (lines.length === 0) return root
  const kinds = findKinds(lines, measure)
  const texts = edges.flatMap(({ layer }) => (layer.type === 'text' ? [layer] : []))
  const known = findKnown(texts)
  const fixed = new Set<Kind>()
  for (const [key, height] of known) {
    const kind = kinds.get(key)
    if (!kind) continue
    kind.height = height
    fixed.add(kind)
  }
  const { expected, ratios } = findExpected(texts)
  chooseHeights(kinds, fixed, expected, ratios)
  const changed = new Map<Layer, TextLayer>()
  const tops = new Map<Line, readonly [number, number]>()
  const spanOf = ({ line, box }: Edge): readonly [number, number] =>
    (line && tops.get(line)) ?? [box.y, box.y + box.height]
  for (const line of lines) {
    const kind = kinds.get(kindOf(line.layer))!
    if (kind.height === kind.metrics.normalPx) continue
    const top = line.baseline - baselineOffset(kind.metrics, kind.height)
    const { above, below } = line
    const fits =
      (!above || top >= spanOf(above)[above.holds ? 0 : 1] - TOUCH_PX) &&
      (!below || top + kind.height <= spanOf(below)[below.holds ? 1 : 0] + TOUCH_PX)
    if (!fits) continue
    tops.set(line, [top, top + kind.height])
    changed.set(line.layer, withLeading(line, kind.height, line.box.y - top))
  }
  if (changed.size === 0) return root
  return mapLayers(root, (layer) => changed.get(layer) ?? layer)!
}
