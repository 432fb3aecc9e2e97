import { NO_SIDES } from '../../design/geometry.js'
import type { LayoutNode } from '../../layout/index.js'
import { flowChildren, isInFlow } from '../../layout/flow/solver.js'
import { keepDistance } from '../../layout/flow/tree.js'
import { foldRail } from './fold-rail.js'
import { menuButtonOf, panelColor } from './menu-button.js'
import type { Rule } from './rule.js'

const SIDE_PX = 24
/** Between the name of the place and the button. */
const MOST_GAP_PX = 12

const isPanel = (node: LayoutNode): boolean => node.menu?.is === 'panel'

const asEntry = (node: LayoutNode): LayoutNode => {
  const { self: _self, ...bare } = node
  return {
    ...bare,
    isPushed: false,
    margin: NO_SIDES,
    sizing: { ...node.sizing, width: node.layer.type === 'text' ? 'stretch' : node.sizing.width },
  }
}

/** Navigation is shown on demand, below the head of the page. */
export const fold: Rule = {
  way: 'fold',
  evidence: 'it is navigation in the head or at the side of the page',
  confidence: 0.9,
  suits: (node) => node.arrangement.kind === 'row' && flowChildren(node).some(isPanel),
  apply(node, inner, context) {
    const { arrangement } = node
    const { topPx, ground } = context
    const panel = flowChildren(node).find(isPanel)
    if (panel?.arrangement.kind === 'column') return foldRail(node, panel, inner, context)
    if (panel?.arrangement.kind !== 'row' || arrangement.kind !== 'row') return undefined
    const folded: LayoutNode = {
      ...panel,
      folds: { topPx: Math.round(topPx + node.box.height), color: panelColor(panel, ground) },
      isPushed: false,
      margin: NO_SIDES,
      arrangement: {
        kind: 'column',
        gap: 20,
        padding: SIDE_PX,
        align: 'start',
        distribute: 'start',
        wrap: false,
      },
      children: panel.children.map((child) => (isInFlow(child) ? asEntry(child) : child)),
    }
    const gap = Math.min(arrangement.gap, MOST_GAP_PX)
    const distance = { before: arrangement.gap, now: gap }
    return {
      value: 'folds behind a menu button',
      node: {
        ...node,
        arrangement: { ...arrangement, gap },
        children: keepDistance(node.children, 'left', distance).flatMap((child, i) =>
          node.children[i] === panel ? [menuButtonOf(panel), folded] : [child],
        ),
      },
    }
  },
}
