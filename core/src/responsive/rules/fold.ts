import { NO_SIDES } from '../../design/geometry.js'
import { INFERRED } from '../../design/node-key.js'
import type { PathLayer } from '../../design/layer.js'
import { PLAIN_LAYER } from '../../design/plain-layer.js'
import { draftNode, type LayoutNode } from '../../layout/index.js'
import { flowChildren, isInFlow } from '../../layout/flow/solver.js'
import { keepDistance } from '../../layout/flow/tree.js'
import type { Rule } from './rule.js'

/** Large enough to be touched (WCAG 2.2, 2.5.8 asks for 24; this is comfortable). */
const BUTTON_PX = 44
const SIDE_PX = 24
/** Between the name of the place and the button. */
const MOST_GAP_PX = 12
const INK = '#1c1917'

const isPanel = (node: LayoutNode): boolean => node.menu?.is === 'panel'

/** The colour of the first text inside. */
const inkOf = (node: LayoutNode): string => {
  if (node.layer.type === 'text') return node.layer.style.color
  for (const child of node.children) {
    const color = inkOf(child)
    if (color !== INK) return color
  }
  return INK
}

/** Three lines, as high as letters: the sign for a menu. */
const buttonOf = (panel: LayoutNode): LayoutNode => {
  const box = { x: 0, y: 0, width: BUTTON_PX, height: BUTTON_PX }
  const line = (y: number): string => `M10 ${y}H34`
  const layer: PathLayer = {
    type: 'path',
    key: `${panel.layer.key}${INFERRED}menu`,
    name: 'Menu',
    box,
    ...PLAIN_LAYER,
    fills: [],
    strokes: [
      {
        paint: { kind: 'solid', color: inkOf(panel).slice(0, 7), opacity: 1, blend: 'normal' },
        width: 2,
        align: 'centre',
        dash: [],
        cap: 'round',
        join: 'round',
      },
    ],
    paths: [{ d: [15, 22, 29].map(line).join(''), rule: 'nonzero' }],
  }
  return draftNode(layer, box, {
    self: 'centre',
    isPushed: true,
    isGraphic: true,
    menu: { is: 'button', key: panel.menu!.key },
  })
}

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
  evidence: 'it is a run of links in the head of the page',
  confidence: 0.9,
  suits: (node) => node.arrangement.kind === 'row' && flowChildren(node).some(isPanel),
  apply(node, _inner, { topPx, ground }) {
    const { arrangement } = node
    const panel = flowChildren(node).find(isPanel)
    if (panel?.arrangement.kind !== 'row' || arrangement.kind !== 'row') return undefined
    const color =
      'fills' in panel.layer && panel.layer.fills[0]?.kind === 'solid'
        ? panel.layer.fills[0].color
        : ground
    const folded: LayoutNode = {
      ...panel,
      folds: { topPx: Math.round(topPx + node.box.height), color },
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
          node.children[i] === panel ? [buttonOf(panel), folded] : [child],
        ),
      },
    }
  },
}
