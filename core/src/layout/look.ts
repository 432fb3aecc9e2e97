import { resolveCorners } from '../design/geometry.js'
import type { Layer } from '../design/layer.js'

/** What a layer is painted with, its colours aside: layers that look different are of no one kind. */
export const lookOf = (layer: Layer): string => {
  const fills = 'fills' in layer ? layer.fills.map(({ kind }) => kind) : []
  const strokes = 'strokes' in layer ? layer.strokes.length : 0
  const radius = 'radius' in layer ? resolveCorners(layer.radius) : 0
  return JSON.stringify([fills, strokes, radius])
}
