import { containsBox, resolveCorners, type Box } from '../design/geometry.js'
import type { Layer } from '../design/layer.js'
import { isOpaquePaint } from '../design/paint.js'
import type { Entry } from './context.js'

/** A box that touches a round corner's circle from inside keeps this share of the radius from the edges. */
const CORNER_SHARE = 1 - Math.SQRT1_2

/** Whether a layer lets nothing through that lies under it. */
export const isOpaque = (layer: Layer): boolean =>
  layer.type === 'rectangle' &&
  layer.opacity === 1 &&
  layer.blend === 'normal' &&
  layer.rotationDeg === 0 &&
  layer.fills.some(isOpaquePaint)

/** Whether an opaque layer covers a box whole; `slack` px may stick out. */
export const covers = ({ layer, box: cover }: Entry, box: Box, slack: number): boolean => {
  const corners = 'radius' in layer ? Object.values(resolveCorners(layer.radius)) : [0]
  const inset = Math.max(...corners) * CORNER_SHARE
  return containsBox(cover, box, inset > 0 ? Math.min(slack, -inset) : slack)
}
