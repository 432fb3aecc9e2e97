import { boxOf, constrain, type Box, type Constraints } from './box.js'

/** Something at a place from -1 to 1 on both axes, in all the room there is or in no more than it takes. */
export const aligned = (
  inside: Box,
  c: Constraints,
  [x, y]: readonly [number, number],
  isWide = Number.isFinite(c.maxWidth),
  isHigh = Number.isFinite(c.maxHeight),
): Box => {
  const size = constrain(
    {
      width: isWide ? c.maxWidth : inside.width,
      height: isHigh ? c.maxHeight : inside.height,
    },
    c,
  )
  const place = {
    x: ((size.width - inside.width) * (x + 1)) / 2,
    y: ((size.height - inside.height) * (y + 1)) / 2,
  }
  return boxOf(size, [{ ...place, box: inside }])
}
