import { uniteBoxes } from '../../design/geometry.js'
import type { GroupLayer, Layer, TextLayer } from '../../design/layer.js'
import { mapLayers } from '../../design/walk.js'
import { spread } from '../../math/statistics.js'
import type { TextMeasure } from '../../text/measure.js'
import { chooseHeights, findKinds, kindOf, spanOf } from './choose.js'
import { findExpected } from './expected.js'
import { bottomOf, findLines, topOf, type Edge, type Line } from './lines.js'
import { TOUCH_PX } from './price.js'

/** Line heights of texts of one kind are one when they differ by no more, in px. */
const SAME_PX = 0.51

/** By the kind of text: the line height that those have whose file says it, where they agree. */
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
      spread(heights) <= SAME_PX ? [[kind, heights[0]!]] : [],
    ),
  )
}

/** The layer with a line that high, its letters where they are. */
const withLeading = ({ layer }: Line, height: number, by: number): TextLayer => ({
  ...layer,
  // In the order in which files are read: styles that say the same are the same text.
  style: { lineHeight: height, ...layer.style },
  box: { ...layer.box, y: layer.box.y - by, height },
  lines: layer.lines!.map((line) => ({ ...line, baseline: line.baseline + by })),
})

/** A group as large as what it holds has become. */
const growGroup = (group: GroupLayer): GroupLayer => {
  const own = { ...group.box, x: 0, y: 0 }
  const union = uniteBoxes([own, ...group.children.map(({ box }) => box)])
  const move = (child: Layer): Layer => ({
    ...child,
    box: { ...child.box, x: child.box.x - union.x, y: child.box.y - union.y },
  })
  return {
    ...group,
    box: { ...union, x: group.box.x + union.x, y: group.box.y + union.y },
    children: group.children.map(move),
  }
}

/** The page with other texts; groups around them grow with them. */
const replaceTexts = (root: Layer, changed: ReadonlyMap<Layer, TextLayer>): Layer => {
  const renewed = new Set<Layer>()
  const change = (layer: Layer): Layer => {
    const isGrown = layer.type === 'group' && layer.children.some((child) => renewed.has(child))
    const next = changed.get(layer) ?? (isGrown ? growGroup(layer) : layer)
    if (next !== layer) renewed.add(next)
    return next
  }
  return mapLayers(root, change)!
}

/**
 * A file that states lines says nothing of the height of a text of one line. Texts in the same letters that have several
 * lines tell it; where there are none, it is the one that fits the distances on the page best. A line for which there
 * is no room keeps the height its font gives it. No letter moves.
 */
export const adoptLeading = (root: Layer, measure: TextMeasure): Layer => {
  const { lines, edges } = findLines(root)
  if (lines.length === 0) return root
  const kinds = findKinds(lines, measure)
  const texts = edges.flatMap(({ layer }) => (layer.type === 'text' ? [layer] : []))
  const known = findKnown(texts)
  for (const [key, height] of known) {
    const kind = kinds.get(key)
    if (kind) kind.height = height
  }
  const open = [...kinds].flatMap(([key, kind]) => (known.has(key) ? [] : [kind]))
  chooseHeights(open, kinds, findExpected(texts))

  const changed = new Map<Layer, TextLayer>()
  const spans = new Map<Line, readonly [number, number]>()
  const edgeOf = (edge: Edge, side: 0 | 1, y: number): number =>
    (edge.line && spans.get(edge.line)?.[side]) ?? y
  for (const line of lines) {
    const kind = kinds.get(kindOf(line.layer))!
    const { above, below } = line
    const span = spanOf(line, kind, kind.height)
    const fits =
      (!above || span[0] >= edgeOf(above, 1, topOf(above)) - TOUCH_PX) &&
      (!below || span[1] <= edgeOf(below, 0, bottomOf(below)) + TOUCH_PX)
    if (!fits || kind.height === kind.metrics.normalPx) continue
    spans.set(line, span)
    changed.set(line.layer, withLeading(line, kind.height, line.box.y - span[0]))
  }
  return changed.size === 0 ? root : replaceTexts(root, changed)
}
