import { roundPx, type Box } from '../design/geometry.js'
import type { Constraint } from '../design/layout.js'
import { endOn, middleOn, sizeOn, startOn, type Axis } from './axis.js'
import { fitsItself, isHeldByContent, isShape, type Draft } from './draft.js'
import type { Anchor, LayoutNode } from './node.js'

const MIDDLE_PX = 1

/** Holds a layer along one axis as its constraint says. */
const statedAnchor = (constraint: Constraint, box: Box, parent: Box, axis: Axis): Anchor => {
  const before = roundPx(startOn(box, axis) - startOn(parent, axis))
  const after = roundPx(endOn(parent, axis) - endOn(box, axis))
  const size = sizeOn(parent, axis)
  switch (constraint) {
    case 'start':
      return { edge: 'start', px: before }
    case 'end':
      return { edge: 'end', px: after }
    case 'centre':
      return { edge: 'centre', px: roundPx(middleOn(box, axis) - middleOn(parent, axis)) }
    case 'both':
      return { edge: 'both', before, after }
    case 'scale':
      return size > 0
        ? { edge: 'scale', at: before / size, size: sizeOn(box, axis) / size }
        : { edge: 'start', px: before }
  }
}

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
  const ownWidth = fitsItself(draft, 'width') && isHeldByContent(draft)
  const ownHeight = fitsItself(draft, 'height') && !isShape(node)
  // What is as wide as its words is not broken by where it is held.
  const keeps = layer.type === 'text' && (layer.lines !== undefined || layer.sizing.width === 'fit')
  const anchor = (axis: Axis, constraint: Constraint | undefined): Anchor =>
    constraint
      ? statedAnchor(constraint, node.box, parent, axis)
      : findAnchor(node.box, parent, axis)
  return {
    ...node,
    keepsLines: node.keepsLines || keeps,
    placement: {
      kind: 'overlay',
      x: anchor('x', layer.constraints?.horizontal),
      y: anchor('y', layer.constraints?.vertical),
      isUnder,
    },
    sizing: {
      width: ownWidth ? 'fit' : 'fixed',
      height: ownHeight || node.layer.type === 'text' ? 'fit' : 'fixed',
    },
  }
}
