import { childrenOf, type Layer } from '../design/layer.js'

const isUpright = (layer: Layer & { type: 'line' }): boolean =>
  layer.from.x === layer.to.x || layer.from.y === layer.to.y

/** A layer whose drawing no styled box can give: a path, or a slanted or dashed line. */
const needsDrawing = (layer: Layer): boolean =>
  layer.type === 'path' ||
  (layer.type === 'line' && (!isUpright(layer) || layer.strokes.some((s) => s.dash.length > 0)))

const VECTORS: ReadonlySet<Layer['type']> = new Set([
  'ellipse',
  'group',
  'line',
  'path',
  'rectangle',
])

const shown = (layer: Layer): readonly Layer[] => childrenOf(layer).filter((l) => l.visible)

const isVectorOnly = (layer: Layer): boolean =>
  VECTORS.has(layer.type) && shown(layer).every(isVectorOnly)

const holdsDrawing = (layer: Layer): boolean =>
  needsDrawing(layer) || shown(layer).some(holdsDrawing)

/**
 * Whether a layer is one graphic: a path, or a group of nothing but vectors of which at least one is
 * a path. It is then delivered as one SVG file.
 */
export const isGraphic = (layer: Layer): boolean =>
  layer.type === 'group' ? isVectorOnly(layer) && holdsDrawing(layer) : needsDrawing(layer)
