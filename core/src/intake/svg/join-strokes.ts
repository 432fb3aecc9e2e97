import { growBox, isSameBox, resolveCorners } from '../../design/geometry.js'
import type { EllipseLayer, Layer, RectangleLayer } from '../../design/layer.js'
import type { Stroke } from '../../design/paint.js'

type Shape = RectangleLayer | EllipseLayer

const isShape = (layer: Layer): layer is Shape =>
  layer.type === 'rectangle' || layer.type === 'ellipse'

/** A shape that only draws a line. */
const strokeOf = (layer: Layer): Stroke | undefined =>
  isShape(layer) &&
  layer.fills.length === 0 &&
  layer.strokes.length === 1 &&
  layer.effects.length === 0 &&
  layer.opacity === 1 &&
  layer.blend === 'normal' &&
  layer.visible &&
  layer.rotationDeg === 0 &&
  layer.link === undefined
    ? layer.strokes[0]
    : undefined

const isBare = (layer: Layer): layer is Shape =>
  isShape(layer) &&
  layer.fills.length > 0 &&
  layer.strokes.length === 0 &&
  layer.rotationDeg === 0 &&
  layer.opacity === 1 &&
  layer.visible

const near = (a: number, b: number): boolean => Math.abs(a - b) < 0.02

const radiusOf = (layer: Shape): number =>
  layer.type === 'rectangle' ? resolveCorners(layer.radius).topLeft : 0

const SHIFTS = [
  { align: 'inside', share: -0.5 },
  { align: 'centre', share: 0 },
  { align: 'outside', share: 0.5 },
] as const

/** Where a line lies on the edge of the shape under it; undefined when it does not follow that edge. */
const alignOn = (under: Shape, line: Shape, width: number): Stroke['align'] | undefined =>
  SHIFTS.find(({ share }) => {
    const by = share * width
    if (!isSameBox(growBox(under.box, by), line.box, 0.02)) return false
    const radius = radiusOf(under)
    return near(radiusOf(line), radius === 0 ? 0 : Math.max(0, radius + by))
  })?.align

/**
 * SVG strokes only along the middle of an edge. A stroke inside or outside of a box is therefore exported
 * as a second shape, smaller or larger by half the stroke; both together are one layer. Takes siblings in
 * paint order.
 */
export const joinStrokes = (layers: readonly Layer[]): Layer[] => {
  const joined: Layer[] = []
  for (const layer of layers) {
    const under = joined.at(-1)
    const stroke = strokeOf(layer)
    const align =
      stroke && under && isBare(under) && isShape(layer) && under.type === layer.type
        ? alignOn(under, layer, typeof stroke.width === 'number' ? stroke.width : NaN)
        : undefined
    if (align && under && isBare(under)) {
      joined[joined.length - 1] = { ...under, strokes: [{ ...stroke!, align }] }
    } else joined.push(layer)
  }
  return joined
}
