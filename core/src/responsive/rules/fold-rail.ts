import { NO_SIDES, resolveSides } from '../../design/geometry.js'
import { barKeyOf } from '../../design/node-key.js'
import { draftNode, plainFrame, type LayoutNode } from '../../layout/index.js'
import { flowChildren, isInFlow } from '../../layout/flow/solver.js'
import { textsIn } from '../../layout/flow/tree.js'
import { menuButtonOf, panelColor } from './menu-button.js'
import type { Given, RuleContext } from './rule.js'
import { stack } from './stack.js'

const BAR_PX = 60
const SIDE_PX = 16
/** A sign or name of the place is no higher than this, in px. */
const BRAND_PX = 72

/** The name of the place at the top of a rail: one line of few words, or a picture. */
const findBrand = (rail: LayoutNode): LayoutNode | undefined => {
  const [first, ...others] = flowChildren(rail)
  const isBrand =
    first !== undefined &&
    others.length > 0 &&
    first.box.height <= BRAND_PX &&
    first.arrangement.kind !== 'column' &&
    textsIn(first).length <= 2
  return isBrand ? first : undefined
}

/** How far something laid over the top of a container reaches down over it, in px. */
const coveredPx = (node: LayoutNode): number =>
  Math.max(
    0,
    ...node.children.flatMap(({ placement, box }) =>
      placement.kind === 'overlay' &&
      !placement.isUnder &&
      box.y <= 0 &&
      box.width >= node.box.width / 2
        ? [box.y + box.height]
        : [],
    ),
  )

/** A column without padding at its sides, whose children keep it as margins: a bar above them goes from edge to edge. */
const withBareSides = (node: LayoutNode): LayoutNode => {
  if (node.arrangement.kind === 'free') return node
  const padding = resolveSides(node.arrangement.padding)
  const { left, right } = padding
  if (left === 0 && right === 0) return node
  return {
    ...node,
    arrangement: { ...node.arrangement, padding: { ...padding, left: 0, right: 0 } },
    children: node.children.map((child) =>
      isInFlow(child) ? { ...child, margin: { ...child.margin, left, right } } : child,
    ),
  }
}

/**
 * A rail becomes a drawer behind a button in a bar above the main part. The bar has the rail's ground, and the name
 * of the place that stood on top of the rail.
 */
export const foldRail = (
  node: LayoutNode,
  rail: LayoutNode,
  inner: number,
  context: RuleContext,
): Given | undefined => {
  const given = stack.apply(
    { ...node, children: node.children.filter((child) => child !== rail) },
    inner,
    context,
  )
  if (!given) return undefined
  const covered = Math.round(coveredPx(node))
  const height = covered + BAR_PX
  const brand = findBrand(rail)
  const box = { x: 0, y: 0, width: inner, height }
  const fills = 'fills' in rail.layer ? rail.layer.fills : []
  const isBare = fills.length === 0
  const bar = draftNode({ ...plainFrame(barKeyOf(rail.layer.key), 'Bar', box), fills }, box, {
    arrangement: {
      kind: 'row',
      gap: 12,
      padding: {
        top: 8 + covered,
        right: isBare ? 0 : SIDE_PX,
        bottom: 8,
        left: isBare ? 0 : SIDE_PX,
      },
      align: 'centre',
      distribute: 'start',
      wrap: false,
    },
    sizing: { width: 'stretch', height: 'fit' },
    children: [
      ...(brand
        ? [{ ...brand, margin: NO_SIDES, sizing: { ...brand.sizing, width: 'fit' as const } }]
        : []),
      { ...menuButtonOf(rail), isPushed: brand !== undefined },
    ],
  })
  const topPx = Math.round(context.topPx) + height
  const drawer: LayoutNode = {
    ...rail,
    folds: { topPx, color: panelColor(rail, context.ground) },
    margin: NO_SIDES,
    sizing: { width: 'stretch', height: 'fit' },
    limits: { maxWidth: Math.round(rail.box.width) },
    children: rail.children.filter((child) => child !== brand),
  }
  const folded = isBare ? given.node : withBareSides(given.node)
  return {
    value: 'folds behind a menu button',
    node: { ...folded, children: [bar, drawer, ...folded.children] },
  }
}
