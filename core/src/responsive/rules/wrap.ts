import { areAlike } from '../../meaning/structure/alike.js'
import type { LayoutNode } from '../../layout/index.js'
import { flowChildren, isInFlow } from '../../layout/flow/solver.js'
import { keepDistance } from '../../layout/flow/tree.js'
import type { Rule } from './rule.js'

/** Small things are no higher than this, in px. */
const SMALL_PX = 72
const LEAST_GAP_PX = 8
/** More than this is free room, which a line that wraps does not have. */
const MOST_GAP_PX = 32
/** A search field in a head is no wider than this as drawn, in px. */
const WIDEST_FIELD_PX = 360

/** A grid of two is a term with what is said of it. */
const LEAST_CELLS = 3

/** One line of things: a row, or a grid that has no second line. */
const isLine = (node: LayoutNode): boolean => {
  const { arrangement } = node
  if (arrangement.kind === 'row') return !arrangement.wrap
  const { length } = flowChildren(node)
  return arrangement.kind === 'grid' && length >= LEAST_CELLS && arrangement.columns >= length
}

/** Whether a thing has a width of its own: it takes no free room, or only up to that width. */
const isOwnWidth = (node: LayoutNode): boolean =>
  node.sizing.width !== 'stretch' ||
  node.limits.maxWidth !== undefined ||
  node.box.width <= WIDEST_FIELD_PX

/** A thing in a line that may go on: as wide as drawn, and no wider than the line. */
const inLine = (node: LayoutNode): LayoutNode => {
  const { maxWidth: _most, ...limits } = node.limits
  const isStretched = node.sizing.width === 'stretch'
  const isText = node.layer.type === 'text'
  return {
    ...node,
    isPushed: false,
    // Room that was free in one line is none in several.
    margin: node.margin.left > MOST_GAP_PX ? { ...node.margin, left: 0 } : node.margin,
    ...(isStretched
      ? {
          limits,
          sizing: { ...node.sizing, width: isText ? ('fit' as const) : ('fixed' as const) },
          ...(isText ? {} : { fitsParent: true }),
        }
      : {}),
  }
}

/** Buttons, chips, links and figures go on in the next line. */
export const wrap: Rule = {
  way: 'wrap',
  evidence: 'they are small, and keep their size',
  confidence: 0.85,
  suits(node, inner, { solver }) {
    const children = flowChildren(node)
    const isSmall = children.every(
      (child) => child.box.height <= SMALL_PX && isOwnWidth(child) && solver.least(child) <= inner,
    )
    const areLabels = children.every((child) => solver.widest(child) <= inner)
    return isLine(node) && isSmall && (areLabels || areAlike(children))
  },
  apply(node) {
    const { arrangement } = node
    if (!isLine(node) || arrangement.kind === 'free' || arrangement.kind === 'column')
      return undefined
    const isRow = arrangement.kind === 'row'
    const isPushing = node.children.some((child) => child.isPushed)
    const before = isRow ? arrangement.gap : arrangement.columnGap
    const gap = Math.min(MOST_GAP_PX, Math.max(LEAST_GAP_PX, before))
    return {
      value: 'goes on in the next line',
      node: {
        ...node,
        arrangement: {
          kind: 'row',
          padding: arrangement.padding,
          align: arrangement.align,
          wrap: true,
          gap,
          lineGap: Math.min(gap, 16),
          distribute: isPushing ? 'between' : isRow ? arrangement.distribute : 'start',
        },
        children: keepDistance(node.children, 'left', { before, now: gap }).map((child) =>
          isInFlow(child) ? inLine(child) : child,
        ),
      },
    }
  },
}
