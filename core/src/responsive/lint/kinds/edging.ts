import type { LintKind } from '../kind.js'
import { isText, type Seen } from '../laid-out.js'

/** Words keep at least this from the sides of a window, in px. */
const LEAST_PX = 8
const DRAWN_PX = 16

const isInScroll = ({ node, parent }: Seen): boolean =>
  node.scrolls === true || (parent !== undefined && isInScroll(parent))

export const edging: LintKind = {
  title: 'Runs to the edge',
  why: 'Words touch the side of the window that stood clear of it as drawn.',
  find: ({ all, windowPx, drawnPx }) =>
    all.flatMap((at) => {
      const { box, drawn } = at
      if (!isText(at) || !drawn || isInScroll(at)) return []
      const side = Math.min(box.x, windowPx - box.x - box.width)
      const before = Math.min(drawn.x, drawnPx - drawn.x - drawn.width)
      return side < LEAST_PX && before >= DRAWN_PX ? [{ at, amount: before - side }] : []
    }),
}
