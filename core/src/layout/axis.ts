import type { Box } from '../design/geometry.js'

export type Axis = 'x' | 'y'

export const sizeOn = (box: Box, axis: Axis): number => (axis === 'x' ? box.width : box.height)
export const startOn = (box: Box, axis: Axis): number => (axis === 'x' ? box.x : box.y)
export const endOn = (box: Box, axis: Axis): number =>
  axis === 'x' ? box.x + box.width : box.y + box.height
export const middleOn = (box: Box, axis: Axis): number => startOn(box, axis) + sizeOn(box, axis) / 2
export const overlapOn = (a: Box, b: Box, axis: Axis): number =>
  Math.min(endOn(a, axis), endOn(b, axis)) - Math.max(startOn(a, axis), startOn(b, axis))
export const areaOf = (box: Box): number => box.width * box.height
