import type { LintKind } from '../kind.js'
import { inLines, wereInLine } from '../laid-out.js'

/** Signs, tools and short words are no larger than this as drawn, in px. */
const WIDE_PX = 200
const HIGH_PX = 72
const LEAST = 3

export const strewn: LintKind = {
  title: 'Small things one a line',
  why: 'They stood in one line, and several of them would fit in a line here.',
  find: ({ all, solver }) =>
    all.flatMap((at) => {
      const { children, box } = at
      if (children.length < LEAST || !wereInLine(children)) return []
      const small = children.filter(
        ({ drawn }) => drawn!.width <= WIDE_PX && drawn!.height <= HIGH_PX,
      )
      if (small.length < LEAST) return []
      const lines = inLines(small).length
      if (lines < small.length) return []
      const widths = small.map(({ node }) => solver.widest(node)).sort((a, b) => b - a)
      return widths[0]! + widths[1]! + 16 <= box.width ? [{ at, amount: lines }] : []
    }),
}
