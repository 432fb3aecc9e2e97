import type { Box } from '../design/geometry.js'
import { walkNodes, type LayoutNode } from './node.js'

/** Where every node of a layout is on its screen, in px from the screen's corner. */
export const placesOf = (root: LayoutNode): ReadonlyMap<LayoutNode, Box> => {
  const places = new Map<LayoutNode, Box>()
  walkNodes(root, (node, parent) => {
    const from = parent ? places.get(parent)! : { x: 0, y: 0 }
    const { x, y } = parent ? node.box : { x: 0, y: 0 }
    places.set(node, { ...node.box, x: from.x + x, y: from.y + y })
  })
  return places
}
