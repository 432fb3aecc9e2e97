import { containsBox, uniteBoxes, type Box } from '../design/geometry.js'
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

const FIELD = { leastWidthPx: 60, leastHeightPx: 20, slender: 3, signShare: 0.15 } as const

/** Where something is seen of a layer, from the corner of what holds it: bare containers show what is in them. */
const seenIn = (layer: Layer): Box => {
  const isBare = layer.type === 'group' || isBareClip(layer)
  const inside = isBare ? childrenOf(layer).filter((child) => child.visible) : []
  if (inside.length === 0) return layer.box
  const { x, y, ...size } = uniteBoxes(inside.map(seenIn))
  return { x: layer.box.x + x, y: layer.box.y + y, ...size }
}

/** A long box with a small sign in it, such as a field that was checked: the box is no part of the drawing. */
const isBoxWithSign = (layer: Layer): boolean => {
  const { width, height } = layer.box
  const isLong =
    width >= FIELD.leastWidthPx && height >= FIELD.leastHeightPx && width >= height * FIELD.slender
  if (!isLong) return false
  const parts = childrenOf(layer).filter((child) => child.visible)
  const isWhole = (part: Layer): boolean =>
    part.type === 'rectangle' && part.box.width >= width - 4 && part.box.height >= height - 4
  const signs = parts.filter((part) => !isWhole(part)).map(seenIn)
  const covered = signs.reduce((sum, sign) => sum + sign.width * sign.height, 0)
  const isSmall = signs.length > 0 && covered <= width * height * FIELD.signShare
  // What cuts nothing off is no part of the drawing either.
  const bounds = { x: 0, y: 0, width, height }
  return (
    isSmall &&
    (layer.type === 'frame'
      ? signs.every((sign) => containsBox(bounds, sign, 0))
      : signs.length < parts.length)
  )
}

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
          ? isVector && hasDrawing && !isBoxWithSign(layer)
          : isClip
            ? isInsideVector && hasDrawing && !isBoxWithSign(layer)
            : needsDrawing(layer)
    if (isOne) graphics.add(layer)
    return { isVector, hasDrawing, hasText }
  }
  visit(root)
  return graphics
}
