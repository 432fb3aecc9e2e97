import { NO_MARGIN, type LayoutNode } from '../../layout/node.js'
import { INFERRED } from '../../layout/node.js'
import { PLAIN_LAYER } from '../../design/plain-layer.js'
import { flowChildren } from '../solver.js'
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
const buttonOf = (panel: LayoutNode, isPushed: boolean): LayoutNode => {
  const box = { x: 0, y: 0, width: BUTTON_PX, height: BUTTON_PX }
  const line = (y: number): string => `M10 ${y}H34`
  return {
    layer: {
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
    },
    absorbed: [],
    box,
    placement: { kind: 'flow' },
    arrangement: { kind: 'free' },
    sizing: { width: 'fixed', height: 'fixed' },
    limits: {},
    margin: NO_MARGIN,
    self: 'centre',
    isPushed,
    keepsLines: false,
    isGraphic: true,
    menu: { is: 'button', key: panel.menu!.key },
    children: [],
  }
}

const asEntry = (node: LayoutNode): LayoutNode => {
  const { self: _self, ...bare } = node
  return {
    ...bare,
    isPushed: false,
    margin: NO_MARGIN,
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
    const panel = flowChildren(node).find(isPanel)
    if (!panel || panel.arrangement.kind !== 'row') return undefined
    const color =
      'fills' in panel.layer && panel.layer.fills[0]?.kind === 'solid'
        ? panel.layer.fills[0].color
        : ground
    const folded: LayoutNode = {
      ...panel,
      folds: { topPx: Math.round(topPx + node.box.height), color },
      isPushed: false,
      margin: NO_MARGIN,
      arrangement: {
        kind: 'column',
        gap: 20,
        padding: SIDE_PX,
        align: 'start',
        distribute: 'start',
        wrap: false,
      },
      children: panel.children.map((child) =>
        child.placement.kind === 'overlay' ? child : asEntry(child),
      ),
    }
    return {
      value: 'folds behind a menu button',
      node: {
        ...node,
        arrangement: {
          ...node.arrangement,
          ...(node.arrangement.kind === 'row'
            ? { gap: Math.min(node.arrangement.gap, MOST_GAP_PX) }
            : {}),
        } as LayoutNode['arrangement'],
        children: node.children.flatMap((child) =>
          child === panel ? [buttonOf(panel, true), folded] : [child],
        ),
      },
    }
  },
}
