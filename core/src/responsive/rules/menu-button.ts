import { INFERRED } from '../../design/node-key.js'
import type { PathLayer } from '../../design/layer.js'
import { PLAIN_LAYER } from '../../design/plain-layer.js'
import { draftNode, type LayoutNode } from '../../layout/index.js'

/** Large enough to be touched (WCAG 2.2, 2.5.8 asks for 24; this is comfortable). */
const BUTTON_PX = 44
const INK = '#1c1917'

/** The colour of the first text inside. */
const inkOf = (node: LayoutNode): string => {
  if (node.layer.type === 'text') return node.layer.style.color
  for (const child of node.children) {
    const color = inkOf(child)
    if (color !== INK) return color
  }
  return INK
}

/** The button that shows a panel of navigation: three lines, as high as letters. */
export const menuButtonOf = (panel: LayoutNode): LayoutNode => {
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

/** The colour of a panel that lies over the page: its own, else that behind it. */
export const panelColor = ({ layer }: LayoutNode, ground: string): string =>
  'fills' in layer && layer.fills[0]?.kind === 'solid' ? layer.fills[0].color : ground
