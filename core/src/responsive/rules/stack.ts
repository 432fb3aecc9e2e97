import { NO_SIDES } from '../../design/geometry.js'
import { type LayoutNode } from '../../layout/index.js'
import { flowChildren, isInFlow, type Solver } from '../../layout/flow/solver.js'
import type { Rule } from './rule.js'
import { sidesAsPadding } from './sides.js'

/** Things that stood side by side keep at least and at most this much between them, in px. */
const LEAST_GAP_PX = 16
const MOST_GAP_PX = 40

/** A word on a ground of its own, such as a badge or a button, is no wider than this as drawn. */
const WIDEST_SIGN_PX = 320

const isLeafShape = (node: LayoutNode): boolean =>
  node.children.length === 0 && node.layer.type !== 'text'

const isDivider = (node: LayoutNode): boolean => isLeafShape(node) && node.box.width <= 3

const isFilled = ({ layer }: LayoutNode): boolean => 'fills' in layer && layer.fills.length > 0

/** Whether a thing was given a width, by itself or as the most it takes. */
const isFixed = ({ sizing, limits, layer }: LayoutNode): boolean =>
  layer.type !== 'text' && (sizing.width === 'fixed' || limits.maxWidth !== undefined)

/** Whether more room would change nothing in it: an avatar, a sign, a line of words that fits. */
const asksNoMore = (node: LayoutNode, solver: Solver): boolean =>
  solver.widest(node) <= node.box.width + 1

/** A thing as it stands in a column that was a row. */
const asPart = (
  node: LayoutNode,
  hold: 'start' | 'centre',
  inner: number,
  solver: Solver,
): LayoutNode => {
  const { self: _self, ...bare } = node
  const isText = node.layer.type === 'text'
  // A box as large as its words, such as a button, stays so.
  const isSign =
    node.children.length === 1 &&
    node.children[0]!.layer.type === 'text' &&
    node.box.width <= WIDEST_SIGN_PX &&
    isFilled(node)
  const isOwn = isSign || (node.sizing.width === 'fit' && !isText && isFilled(node))
  const isSmall = isFixed(node) && node.box.width <= inner / 2 && asksNoMore(node, solver)
  const keepsWidth = isOwn || isSmall || (isLeafShape(node) && node.sizing.width !== 'stretch')
  const height =
    node.sizing.height === 'stretch' ? (isLeafShape(node) ? 'fixed' : 'fit') : node.sizing.height
  const { maxWidth: _most, ...limits } = node.limits
  const own = isSmall && node.sizing.width === 'stretch' ? 'fixed' : node.sizing.width
  const width = isSign ? 'fit' : keepsWidth ? own : 'stretch'
  return {
    ...bare,
    isPushed: false,
    margin: NO_SIDES,
    limits: isText || !isLeafShape(node) ? limits : node.limits,
    sizing: { width, height },
    ...(keepsWidth ? { self: hold } : {}),
    ...(isText && hold === 'centre' && (node.textAlign ?? 'start') === 'start'
      ? { textAlign: 'centre' as const }
      : {}),
  }
}

/** Gaps that were none because surfaces touch stay none. */
const gapOf = (node: LayoutNode, gap: number): number => {
  const touches =
    gap < 1 && flowChildren(node).every((c) => isFilled(c) || c.layer.type === 'image')
  return touches ? 0 : Math.min(MOST_GAP_PX, Math.max(LEAST_GAP_PX, gap))
}

/** Side columns go under, a picture over its words. */
export const stack: Rule = {
  way: 'stack',
  evidence: 'side by side each would be too narrow',
  confidence: 0.8,
  suits: () => true,
  apply(node, inner, { solver }) {
    const { arrangement } = node
    if (arrangement.kind === 'free' || arrangement.kind === 'column') return undefined
    const isRow = arrangement.kind === 'row'
    const gap = isRow ? arrangement.gap : arrangement.columnGap
    const isCentred = isRow && arrangement.distribute === 'centre'
    return {
      value: 'one under the other',
      node: {
        ...node,
        arrangement: {
          kind: 'column',
          gap: gapOf(node, gap),
          padding: sidesAsPadding(node, arrangement.padding),
          align: 'stretch',
          distribute: 'start',
          wrap: false,
        },
        children: node.children
          .filter((child) => !isDivider(child) || !isInFlow(child))
          .map((child) =>
            isInFlow(child) ? asPart(child, isCentred ? 'centre' : 'start', inner, solver) : child,
          ),
      },
    }
  },
}
