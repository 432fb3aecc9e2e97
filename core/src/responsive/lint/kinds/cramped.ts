import type { LintKind } from '../kind.js'
import { isText } from '../laid-out.js'

/** A column of words is at least this wide, in px. */
const LEAST_PX = 160
const LINES = 3

export const cramped: LintKind = {
  title: 'Cramped',
  why: 'Words break into a column that is too narrow to read.',
  find: ({ all, solver }) =>
    all.flatMap((at) => {
      if (!isText(at) || !at.drawn || at.box.width >= LEAST_PX) return []
      const { lineHeight } = solver.text(at.node)
      const lines = Math.round(at.box.height / lineHeight)
      const drawn = Math.round(at.drawn.height / lineHeight)
      return lines >= LINES && lines > drawn ? [{ at, amount: lines }] : []
    }),
}
