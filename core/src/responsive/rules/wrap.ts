import { areAlike } from '../../meaning/structure/alike.js'
import { flowChildren } from '../../layout/flow/solver.js'
import { keepDistance } from '../../layout/flow/tree.js'
import type { Rule } from './rule.js'

/** Small things are no higher than this, in px. */
const SMALL_PX = 72
const LEAST_GAP_PX = 8
/** More than this is free room, which a line that wraps does not have. */
const MOST_GAP_PX = 32

/** Buttons, chips, links and figures go on in the next line. */
export const wrap: Rule = {
  way: 'wrap',
  evidence: 'they are small, and keep their size',
  confidence: 0.85,
  suits(node, inner, { solver }) {
    const children = flowChildren(node)
    const isSmall = children.every(
      (child) =>
        child.box.height <= SMALL_PX &&
        child.sizing.width !== 'stretch' &&
        solver.least(child) <= inner,
    )
    const areLabels = children.every((child) => solver.widest(child) <= inner)
    return node.arrangement.kind === 'row' && isSmall && (areLabels || areAlike(children))
  },
  apply(node) {
    const { arrangement } = node
    if (arrangement.kind !== 'row') return undefined
    const isPushing = node.children.some((child) => child.isPushed)
    const gap = Math.min(MOST_GAP_PX, Math.max(LEAST_GAP_PX, arrangement.gap))
    return {
      value: 'goes on in the next line',
      node: {
        ...node,
        arrangement: {
          ...arrangement,
          wrap: true,
          gap,
          lineGap: Math.min(gap, 16),
          distribute: isPushing ? 'between' : arrangement.distribute,
        },
        children: keepDistance(node.children, 'left', {
          before: arrangement.gap,
          now: gap,
        }).map((child) => (child.isPushed ? { ...child, isPushed: false } : child)),
      },
    }
  },
}
