import type { LintKind } from '../kind.js'
import { isPaint } from '../laid-out.js'

/** Pictures at least this wide as drawn are looked at, in px; narrower than `SMALL_PX` they are not seen. */
const PICTURE_PX = 160
const SMALL_PX = 96
const SHARE = 0.4

export const tiny: LintKind = {
  title: 'Too small',
  why: 'A picture shrinks until nothing on it can be seen.',
  find: ({ all }) =>
    all.flatMap((at) => {
      const { drawn, box } = at
      if (!drawn || !isPaint(at) || drawn.width < PICTURE_PX || drawn.height < PICTURE_PX) return []
      const isTiny = box.width < SMALL_PX && box.width < SHARE * drawn.width
      return isTiny ? [{ at, amount: drawn.width - box.width }] : []
    }),
}
