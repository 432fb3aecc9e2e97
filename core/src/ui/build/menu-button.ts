import { drawLayer } from '../../drawing/index.js'
import type { LayoutNode } from '../../layout/index.js'
import type { UiNode } from '../nodes.js'
import type { BuildContext, Surroundings } from './context.js'
import { buildStyle } from './style.js'

/** The part of the sign that is drawn, in px from the button's corner. */
const SIGN = { x: 10, y: 10, width: 24, height: 24 }

/** The button that shows what is folded away. */
export const buildMenuButton = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiNode => {
  const text = drawLayer(node.layer, {
    assets: context.collector.pictures,
    measure: context.measure,
    view: SIGN,
  })
  const { border: _drawn, ...style } = buildStyle(context, node, around)
  return {
    type: 'menu-button',
    layer: node.layer.key,
    name: 'Menu',
    label: 'Menu',
    menu: context.menuId(node.menu!.key),
    asset: context.collector.addDrawing(text, 'menu'),
    style: {
      ...style,
      fills: [],
      arrange: {
        kind: 'row',
        gap: 0,
        padding: 0,
        align: 'centre',
        distribute: 'centre',
        wrap: false,
      },
    },
  }
}
