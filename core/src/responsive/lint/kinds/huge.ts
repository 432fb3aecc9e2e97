import type { LintKind } from '../kind.js'
import { isPaint, isText } from '../laid-out.js'

const DISPLAY_PX = 28
const LINES = 5
/** A picture that grew by this much and is higher than its window is wide pushes everything else away. */
const GROWTH = 1.25
const LEAST_WINDOW_PX = 600

export const huge: LintKind = {
  title: 'Too large',
  why: 'It takes so much of the window that nothing else is seen beside it.',
  find: ({ all, solver, windowPx }) =>
    all.flatMap((at) => {
      const { drawn, box, node } = at
      if (!drawn) return []
      if (isText(at)) {
        if (node.layer.type !== 'text' || node.layer.style.size < DISPLAY_PX) return []
        const { lineHeight } = solver.text(node)
        const lines = Math.round(box.height / lineHeight)
        const before = Math.round(drawn.height / lineHeight)
        return lines >= LINES && lines > before + 2 ? [{ at, amount: lines }] : []
      }
      const isGrown = box.height > GROWTH * drawn.height && box.height > windowPx
      return isPaint(at) && windowPx >= LEAST_WINDOW_PX && isGrown
        ? [{ at, amount: box.height - drawn.height }]
        : []
    }),
}
