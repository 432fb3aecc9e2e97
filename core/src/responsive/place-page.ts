import type { Box } from '../design/geometry.js'
import type { TextMeasure } from '../text/measure.js'
import { createSolver } from '../layout/flow/solver.js'
import type { Step } from './spread.js'

/**
 * Lays a screen out in windows of any width; the answer has the box of each node by its key, in px from the page's corner.
 * What is not shown at a width has none.
 */
export const createPlacing = (
  steps: readonly Step[],
  measure: TextMeasure,
): ((windowPx: number) => ReadonlyMap<string, Box>) => {
  const solver = createSolver(measure)
  return (windowPx) => {
    const step = steps.findLast(({ fromPx }) => fromPx <= windowPx)
    const boxes = new Map<string, Box>()
    if (!step) return boxes
    const hidden = new Set<unknown>()
    for (const { node, parent, box } of solver.place(step.root, windowPx)) {
      if (node.isHidden || node.folds || (parent && hidden.has(parent))) hidden.add(node)
      else boxes.set(node.layer.key, box)
    }
    return boxes
  }
}
