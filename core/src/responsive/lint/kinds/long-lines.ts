import { textOf } from '../../../text/wrap.js'
import type { LintKind } from '../kind.js'

/** Lines of running text have no more characters than this (WCAG 2.2, 1.4.8), with some leeway. */
const MOST_CHARACTERS = 90
const GROWTH = 1.1

export const longLines: LintKind = {
  title: 'Long lines',
  why: 'Lines of more than 80 characters are hard to follow.',
  find: ({ all, solver }) =>
    all.flatMap((at) => {
      const { layer } = at.node
      if (layer.type !== 'text' || !at.drawn || at.box.width <= GROWTH * at.drawn.width) return []
      const { widest, lineHeight } = solver.text(at.node)
      if (at.box.height < 1.5 * lineHeight) return []
      const characters = Math.round((at.box.width / widest) * textOf(layer).length)
      return characters > MOST_CHARACTERS ? [{ at, amount: characters }] : []
    }),
}
