import { containsBox, type Box } from '../design/geometry.js'
import { childrenOf, type Layer, type TextLayer } from '../design/layer.js'
import { mapLayers, measureBoxes } from '../design/walk.js'
import type { TextMeasure } from '../text/measure.js'

/** Line heights of texts of one kind are one when they differ by no more, in px. */
const SAME_PX = 0.51
/** Boxes are looked up by the bands of this height that they reach into. */
const BAND_PX = 64
/** A box may reach over another by what rounding makes of it. */
const TOUCH_PX = 0.01

type Leaf = { readonly layer: Layer; readonly box: Box }

/** Everything that has an edge that is seen, where it stands on the page; containers that only hold things have none. */
const edgesIn = (root: Layer): readonly Leaf[] => {
  const boxes = measureBoxes(root)
  const found: Leaf[] = []
  const visit = (layer: Layer): void => {
    if (!layer.visible) return
    const inside = childrenOf(layer)
    const isBare =
      inside.length > 0 && !('fills' in layer && layer.fills.length + layer.strokes.length > 0)
    if (!isBare) found.push({ layer, box: boxes.get(layer.key)! })
    inside.forEach(visit)
  }
  visit(root)
  return found
}

const kindOf = ({ style, runs }: TextLayer): string => {
  const sizes = runs.map((run) => run.style.size).join()
  return `${style.family} ${style.size} ${style.letterSpacing} ${sizes}`
}

const isOneLine = ({ lines, runs }: TextLayer): boolean =>
  lines?.length === 1 && runs.every(({ style }) => style.size === undefined)

/** By the kind of text: the line height that those of several lines have, where they agree. */
const findLeadings = (texts: readonly TextLayer[]): ReadonlyMap<string, number> => {
  const known = new Map<string, number[]>()
  for (const text of texts) {
    const { lineHeight } = text.style
    if (lineHeight === undefined || (text.lines?.length ?? 0) < 2) continue
    const kind = kindOf(text)
    known.set(kind, [...(known.get(kind) ?? []), lineHeight])
  }
  return new Map(
    [...known].flatMap(([kind, heights]) =>
      Math.max(...heights) - Math.min(...heights) <= SAME_PX ? [[kind, heights[0]!]] : [],
    ),
  )
}

const bandsOf = ({ y, height }: Box): readonly number[] => {
  const [first, last] = [Math.floor(y / BAND_PX), Math.floor((y + height) / BAND_PX)]
  return Array.from({ length: last - first + 1 }, (_, i) => first + i)
}

const overlap = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width - TOUCH_PX &&
  b.x < a.x + a.width - TOUCH_PX &&
  a.y < b.y + b.height - TOUCH_PX &&
  b.y < a.y + a.height - TOUCH_PX

/** Whether two boxes lie to each other as two others do: one in the other, apart, or neither. */
const isSameRelation = (edge: Box, before: Box, after: Box): boolean =>
  containsBox(edge, before, TOUCH_PX)
    ? containsBox(edge, after, TOUCH_PX)
    : overlap(edge, before) || !overlap(edge, after)

/** The layer with a line that high, its letters where they are. */
const withLeading = (layer: TextLayer, height: number): TextLayer => {
  const by = (height - layer.box.height) / 2
  return {
    ...layer,
    // In the order in which files are read: styles that say the same are the same text.
    style: { lineHeight: height, ...layer.style },
    box: { ...layer.box, y: layer.box.y - by, height },
    lines: layer.lines!.map((line) => ({ ...line, baseline: line.baseline + by })),
  }
}

/**
 * A file that states lines says nothing of the height of a text of one line. Such a text gets the line height of texts in
 * the same letters that have several lines, where there is room for it: so that texts which are alike are measured alike,
 * however many lines each has. No letter moves.
 */
export const adoptLeading = (root: Layer, measure: TextMeasure): Layer => {
  const edges = edgesIn(root)
  const texts = edges.flatMap(({ layer }) => (layer.type === 'text' ? [layer] : []))
  const leadings = findLeadings(texts)
  if (leadings.size === 0) return root
  const bands = new Map<number, Leaf[]>()
  for (const edge of edges) {
    for (const band of bandsOf(edge.box)) {
      const known = bands.get(band)
      if (known) known.push(edge)
      else bands.set(band, [edge])
    }
  }
  const changed = new Map<Layer, TextLayer>()
  const taken = new Map<Layer, Box>()
  for (const { layer, box } of edges) {
    if (layer.type !== 'text' || layer.style.lineHeight !== undefined || !isOneLine(layer)) continue
    const height = leadings.get(kindOf(layer))
    if (height === undefined || height <= measure.line(layer.style).normalPx) continue
    const by = (height - box.height) / 2
    if (by <= 0) continue
    const grown = { ...box, y: box.y - by, height }
    const isFree = bandsOf(grown).every((band) =>
      (bands.get(band) ?? []).every((other) =>
        other.layer === layer
          ? true
          : isSameRelation(taken.get(other.layer) ?? other.box, box, grown),
      ),
    )
    if (!isFree) continue
    taken.set(layer, grown)
    changed.set(layer, withLeading(layer, height))
  }
  if (changed.size === 0) return root
  return mapLayers(root, (layer) => changed.get(layer) ?? layer)!
}
