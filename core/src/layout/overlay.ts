import { roundPx, type Box } from '../design/geometry.js'
import { endOn, middleOn, startOn, type Axis } from './axis.js'
import { fitsItself, isShape, type Draft } from './draft.js'
import type { Anchor, LayoutNode } from './node.js'

const MIDDLE_PX = 1

/** Where a layer is held along one axis: at the middle if it stands there, else at the nearer edge. */
const findAnchor = (box: Box, parent: Box, axis: Axis): Anchor => {
  const before = startOn(box, axis) - startOn(parent, axis)
  const after = endOn(parent, axis) - endOn(box, axis)
  const middle = middleOn(box, axis) - middleOn(parent, axis)
  if (Math.abs(middle) <= MIDDLE_PX) return { edge: 'centre', px: 0 }
  return before <= after
    ? { edge: 'start', px: roundPx(before) }
    : { edge: 'end', px: roundPx(after) }
}

/** A layer that lies over (or under) the flow of its parent, held by the nearest corner, edge or middle. */
export const overlayNode = (draft: Draft, parent: Box, isUnder: boolean): LayoutNode => {
  const { node } = draft
  const { layer } = node
  const ownWidth = fitsItself(draft, 'width') && !isShape(node)
  const ownHeight = fitsItself(draft, 'height') && !isShape(node)
  // What is as wide as its words is not broken by where it is held.
  const keeps = layer.type === 'text' && (layer.lines !== undefined || layer.sizing.width === 'fit')
  return {
    ...node,
    keepsLines: node.keepsLines || keeps,
    placement: {
      kind: 'overlay',
      x: findAnchor(node.box, parent, 'x'),
      y: findAnchor(node.box, parent, 'y'),
      isUnder,
    },
    sizing: {
      width: ownWidth ? 'fit' : 'fixed',
      height: ownHeight || node.layer.type === 'text' ? 'fit' : 'fixed',
    },
  }
}
