import { resolveCorners } from '../../design/geometry.js'
import type { UiMenuButton, UiNode, UiStyle } from '../nodes.js'
import { onlyChild } from '../plain-style.js'

/** The style of the only thing in a box that has all the rest: as large as the box. */
const insideStyle = (style: UiStyle): UiStyle => ({
  ...style,
  place: onlyChild('row', 'centre'),
  bleedPx: 0,
})

/** What is drawn as the sign of a menu, as the button that shows it. */
export const asMenuButton = (node: UiNode, menu: string): UiMenuButton => {
  const common = {
    type: 'menu-button',
    layer: node.layer,
    name: node.name,
    label: 'Menu',
    menu,
  } as const
  if (node.type === 'box' || node.type === 'menu-button') {
    return { ...common, style: node.style, children: node.children }
  }
  const { border: _border, ratio: _ratio, ...style } = node.style
  return {
    ...common,
    style: {
      ...style,
      fills: [],
      effects: [],
      corners: resolveCorners(0),
      arrange: {
        kind: 'row',
        gap: 0,
        padding: 0,
        align: 'centre',
        distribute: 'centre',
        wrap: false,
      },
    },
    children: [{ ...node, style: insideStyle(node.style) }],
  }
}
