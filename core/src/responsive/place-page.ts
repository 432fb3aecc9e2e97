import type { Box } from '../design/geometry.js'
import type { TextMeasure } from '../text/measure.js'
import { createSolver, shownOf } from '../layout/flow/solver.js'
import type { Step } from './spread.js'

/**
 * Lays a screen out in windows of any width: the box of each node by its key, in px from the page's corner.
 * A node that is hidden or folded at a width is not in the answer.
 */
export const createPlacing = (
  steps: readonly Step[],
  measure: TextMeasure,
): ((windowPx: number) => ReadonlyMap<string, Box>) => {
  const solver = createSolver(measure)
  return (windowPx) => {
    const step = steps.findLast(({ fromPx }) => fromPx <= windowPx)
    const shown = step ? shownOf(solver.place(step.root, windowPx)) : []
    return new Map(shown.map(({ node, box }) => [node.layer.key, box]))
  }
}
