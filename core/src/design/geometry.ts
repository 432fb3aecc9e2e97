import { z } from 'zod'

/** Largest coordinate or length a design may hold, in px. Beyond it a number is a mistake, not a drawing. */
export const MAX_COORDINATE_PX = 1_000_000

export const coordinatePx = z.number().min(-MAX_COORDINATE_PX).max(MAX_COORDINATE_PX)
export const lengthPx = z.number().min(0).max(MAX_COORDINATE_PX)

/** A point in px, in the coordinates of the layer that holds it. */
export const pointSchema = z.strictObject({ x: coordinatePx, y: coordinatePx })
export type Point = z.infer<typeof pointSchema>

/** A layer's box in px; `x` and `y` are measured from its parent's top left corner. */
export const boxSchema = z.strictObject({
  x: coordinatePx,
  y: coordinatePx,
  width: lengthPx,
  height: lengthPx,
})
export type Box = z.infer<typeof boxSchema>

const fourSides = z.strictObject({
  top: lengthPx,
  right: lengthPx,
  bottom: lengthPx,
  left: lengthPx,
})
export type Sides = z.infer<typeof fourSides>

export const NO_SIDES: Sides = { top: 0, right: 0, bottom: 0, left: 0 }

/** One length for all sides, or one per side, in px. */
export const sidesSchema = z.union([lengthPx, fourSides])

const fourCorners = z.strictObject({
  topLeft: lengthPx,
  topRight: lengthPx,
  bottomRight: lengthPx,
  bottomLeft: lengthPx,
})
export type Corners = z.infer<typeof fourCorners>

/** One radius for all corners, or one per corner, in px. */
export const cornersSchema = z.union([lengthPx, fourCorners])

/** Spells a short-hand out: 4 → { top: 4, right: 4, bottom: 4, left: 4 }. */
export const resolveSides = (value: number | Sides): Sides =>
  typeof value === 'number' ? { top: value, right: value, bottom: value, left: value } : value

/** Spells a short-hand out: 4 → all four corners 4. */
export const resolveCorners = (value: number | Corners): Corners =>
  typeof value === 'number'
    ? { topLeft: value, topRight: value, bottomRight: value, bottomLeft: value }
    : value

/** The smallest box around all the given ones; an empty list gives an empty box at the origin. */
export const uniteBoxes = (boxes: readonly Box[]): Box => {
  if (boxes.length === 0) return { x: 0, y: 0, width: 0, height: 0 }
  let left = Infinity
  let top = Infinity
  let right = -Infinity
  let bottom = -Infinity
  for (const box of boxes) {
    left = Math.min(left, box.x)
    top = Math.min(top, box.y)
    right = Math.max(right, box.x + box.width)
    bottom = Math.max(bottom, box.y + box.height)
  }
  return { x: left, y: top, width: right - left, height: bottom - top }
}

/** The box with `by` px more on every side; fewer when `by` is negative. */
export const growBox = (box: Box, by: number): Box => ({
  x: box.x - by,
  y: box.y - by,
  width: box.width + 2 * by,
  height: box.height + 2 * by,
})

/** The corners of a box in whole px; round ends stay round. */
export const wholeCorners = (corners: Corners, box: Box): Corners => {
  const half = Math.min(box.width, box.height) / 2
  return mapCorners(corners, (radius) =>
    radius >= half - 0.01 ? Math.ceil(radius) : Math.round(radius),
  )
}

/** The corners of a box grown by `by` px, round about the same middle; sharp ones stay sharp. */
export const growCorners = (corners: Corners, by: number): Corners => {
  return mapCorners(corners, (radius) => (radius > 0 ? radius + by : 0))
}

/** Rounds to a hundredth of a px: finer differences cannot be seen and make noisy output. */
export const roundPx = (value: number): number => Math.round(value * 100) / 100 || 0

/** One length a side more, or fewer where they are negative. */
export const addSides = (sides: Sides, by: Sides): Sides => ({
  top: roundPx(sides.top + by.top),
  right: roundPx(sides.right + by.right),
  bottom: roundPx(sides.bottom + by.bottom),
  left: roundPx(sides.left + by.left),
})

/** What is left of lengths when others are taken from them. */
export const subtractSides = (sides: Sides, by: Sides): Sides => ({
  top: roundPx(sides.top - by.top),
  right: roundPx(sides.right - by.right),
  bottom: roundPx(sides.bottom - by.bottom),
  left: roundPx(sides.left - by.left),
})

export const roundBox = (box: Box): Box => ({
  x: roundPx(box.x),
  y: roundPx(box.y),
  width: roundPx(box.width),
  height: roundPx(box.height),
})

/** Whether two boxes are the same but for less than `tolerance` px at every measure. */
export const isSameBox = (a: Box, b: Box, tolerance: number): boolean =>
  Math.abs(a.x - b.x) < tolerance &&
  Math.abs(a.y - b.y) < tolerance &&
  Math.abs(a.width - b.width) < tolerance &&
  Math.abs(a.height - b.height) < tolerance

/** Whether a box lies inside another, or sticks out of it by no more than `tolerance` px. */
export const containsBox = (outer: Box, inner: Box, tolerance = 0): boolean =>
  inner.x >= outer.x - tolerance &&
  inner.y >= outer.y - tolerance &&
  inner.x + inner.width <= outer.x + outer.width + tolerance &&
  inner.y + inner.height <= outer.y + outer.height + tolerance

/** Whether any of a box lies on its screen; the box counts from the screen's corner. */
export const isOnScreen = (box: Box, screen: { readonly box: Box }): boolean =>
  box.x < screen.box.width &&
  box.y < screen.box.height &&
  box.x + box.width > 0 &&
  box.y + box.height > 0

/** The part of a box that lies in another; without extent where none does. */
export const intersect = (a: Box, b: Box): Box => {
  const [x, y] = [Math.max(a.x, b.x), Math.max(a.y, b.y)]
  const right = Math.min(a.x + a.width, b.x + b.width)
  const bottom = Math.min(a.y + a.height, b.y + b.height)
  return { x, y, width: Math.max(0, right - x), height: Math.max(0, bottom - y) }
}

/** Whether all corners have one radius. */
export const hasOneRadius = ({ topLeft, topRight, bottomRight, bottomLeft }: Corners): boolean =>
  topLeft === topRight && topRight === bottomRight && bottomRight === bottomLeft

/** One radius where all corners have the same. */
export const simplifyCorners = (corners: Corners): number | Corners =>
  hasOneRadius(corners) ? corners.topLeft : corners

/** Changes each corner of a box. */
export const mapCorners = (
  corners: Corners,
  change: (radius: number, corner: keyof Corners) => number,
): Corners => ({
  topLeft: change(corners.topLeft, 'topLeft'),
  topRight: change(corners.topRight, 'topRight'),
  bottomRight: change(corners.bottomRight, 'bottomRight'),
  bottomLeft: change(corners.bottomLeft, 'bottomLeft'),
})

/** Corners closer than this are one, in px. */
const SAME_CORNER_PX = 0.5

/**
 * The corners of a part of a rounded box: those that are corners of the whole stay round. Undefined where the part reaches
 * into a round corner otherwise, which no box can look like.
 */
export const cutCorners = (whole: Box, corners: Corners, part: Box): Corners | undefined => {
  const end = (box: Box, isEnd: boolean, axis: 'x' | 'y'): number =>
    isEnd ? box[axis] + box[axis === 'x' ? 'width' : 'height'] : box[axis]
  const cut = (radius: number, atRight: boolean, atBottom: boolean): number | undefined => {
    const x = Math.abs(end(whole, atRight, 'x') - end(part, atRight, 'x'))
    const y = Math.abs(end(whole, atBottom, 'y') - end(part, atBottom, 'y'))
    if (radius === 0 || x >= radius || y >= radius) return 0
    return x <= SAME_CORNER_PX && y <= SAME_CORNER_PX ? radius : undefined
  }
  const topLeft = cut(corners.topLeft, false, false)
  const topRight = cut(corners.topRight, true, false)
  const bottomRight = cut(corners.bottomRight, true, true)
  const bottomLeft = cut(corners.bottomLeft, false, true)
  if (
    topLeft === undefined ||
    topRight === undefined ||
    bottomRight === undefined ||
    bottomLeft === undefined
  )
    return undefined
  return { topLeft, topRight, bottomRight, bottomLeft }
}
