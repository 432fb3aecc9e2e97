import { resolveSides, type Sides } from '../../design/geometry.js'
import type { LayoutNode } from '../../layout/index.js'
import { flowChildren } from '../../layout/flow/solver.js'

/** Room at the sides of a page that is left of what there was, in px. */
const LEAST_SIDE_PX = 16
const MOST_SIDE_PX = 24

/**
 * The padding of a line of things that becomes several lines or columns: the room at both of its ends is padding then,
 * as far as a narrow window has some.
 */
export const sidesAsPadding = (node: LayoutNode, padding: number | Sides): number | Sides => {
  const sides = resolveSides(padding)
  const boxes = flowChildren(node).map(({ box }) => box)
  const before = Math.min(...boxes.map(({ x }) => x))
  const after = node.box.width - Math.max(...boxes.map(({ x, width }) => x + width))
  const side = Math.min(MOST_SIDE_PX, Math.floor(Math.min(before, after)))
  if (boxes.length === 0 || side < LEAST_SIDE_PX || side <= Math.min(sides.left, sides.right))
    return padding
  return { ...sides, left: Math.max(sides.left, side), right: Math.max(sides.right, side) }
}
