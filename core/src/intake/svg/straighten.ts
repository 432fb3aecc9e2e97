import { roundPx, type Box, type Point } from '../../design/geometry.js'

/** A line whose ends are off by less than a px, and by less than an eighth of its length, is meant to be straight. */
const SLANT_PX = 1
const LONGER_TIMES = 8

type Drawn = { readonly box: Box; readonly from: Point; readonly to: Point }

/** A line that all but lies level, or stands upright, lies level or stands upright: nobody sees how much it slants. */
export const straighten = (line: Drawn): Drawn => {
  const { box, from, to } = line
  const slant = Math.min(box.width, box.height)
  const length = Math.max(box.width, box.height)
  if (slant === 0 || slant >= SLANT_PX || length < LONGER_TIMES * slant) return line
  return box.height < box.width
    ? {
        box: { ...box, y: roundPx(box.y + slant / 2), height: 0 },
        from: { ...from, y: 0 },
        to: { ...to, y: 0 },
      }
    : {
        box: { ...box, x: roundPx(box.x + slant / 2), width: 0 },
        from: { ...from, x: 0 },
        to: { ...to, x: 0 },
      }
}
