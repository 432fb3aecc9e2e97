import { childrenOf, type Layer } from '../design/layer.js'

const isUpright = (layer: Layer & { type: 'line' }): boolean =>
  layer.from.x === layer.to.x || layer.from.y === layer.to.y

/** A layer whose drawing no styled box can give: a path, a slanted or dashed line, or a masked group. */
const needsDrawing = (layer: Layer): boolean =>
  layer.type === 'path' ||
  (layer.type === 'group' && layer.mask !== undefined) ||
  (layer.type === 'line' && (!isUpright(layer) || layer.strokes.some((s) => s.dash.length > 0)))

const VECTORS: ReadonlySet<Layer['type']> = new Set([
  'ellipse',
  'group',
  'line',
  'path',
  'rectangle',
])

/** A frame that does nothing but cut off what reaches out of it. */
const isBareClip = (layer: Layer): boolean =>
  layer.type === 'frame' &&
  layer.clip &&
  !layer.layout &&
  layer.fills.length === 0 &&
  layer.strokes.length === 0 &&
  layer.children.length > 0

type Contents = {
  readonly isVector: boolean
  readonly hasDrawing: boolean
  readonly hasText: boolean
}

/**
 * The layers in a tree that are one graphic each: a path, a group of nothing but vectors of which at least
 * one is a path, or a masked group without text. Such a layer is delivered as one SVG file. Looks at every
 * layer once.
 */
export const findGraphics = (root: Layer): ReadonlySet<Layer> => {
  const graphics = new Set<Layer>()
  const visit = (layer: Layer): Contents => {
    const isClip = isBareClip(layer)
    let isVector = VECTORS.has(layer.type) || isClip
    let isInsideVector = true
    let hasDrawing = needsDrawing(layer)
    let hasText = layer.type === 'text'
    for (const child of childrenOf(layer)) {
      const inside = visit(child)
      if (!child.visible) continue
      isVector &&= inside.isVector
      isInsideVector &&= inside.isVector
      hasDrawing ||= inside.hasDrawing
      hasText ||= inside.hasText
    }
    const isSaid = layer.type === 'group' && layer.isGraphic === true
    const isMasked = layer.type === 'group' && layer.mask !== undefined
    const isOne = isSaid
      ? true
      : isMasked
        ? !hasText
        : layer.type === 'group'
          ? isVector && hasDrawing
          : isClip
            ? isInsideVector && hasDrawing
            : needsDrawing(layer)
    if (isOne) graphics.add(layer)
    return { isVector, hasDrawing, hasText }
  }
  visit(root)
  return graphics
}
