import type { LayoutNode } from '../../layout/index.js'
import type { UiNode } from '../nodes.js'
import type { BuildContext, Surroundings } from './context.js'
import { buildFillImage } from './image.js'
import { buildLink } from './link.js'
import { drawBackground } from './graphic.js'
import { buildStyle, growByOutline, isOwnPicture } from './style.js'

type BuildChild = (context: BuildContext, node: LayoutNode, around: Surroundings) => UiNode

const hasText = (node: UiNode): boolean =>
  node.type === 'text' ||
  (node.type === 'image' && node.alt !== '') ||
  (node.type === 'box' && node.children.some(hasText))

/** A frame, group or shape as a box with what is inside it; `buildChild` builds that. */
export const buildBox = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
  buildChild: BuildChild,
): UiNode => {
  const { layer } = node
  if (layer.type === 'group' && layer.mask) {
    const why = 'the text inside stays text, and a box cannot be masked; all of it is shown'
    context.account.lost(layer.key, 'mask', why)
  }
  const link = buildLink(context, layer, around)
  const own = buildStyle(context, node, around)
  const base = node.isGraphic ? drawBackground(context, layer, own) : own
  const images =
    'fills' in layer ? layer.fills.filter((p) => p.kind === 'image').filter(isOwnPicture) : []
  const isLeaf = node.children.length === 0 && images.length === 0
  const style = isLeaf ? growByOutline(base) : base
  const inside: Surroundings = {
    parent: node,
    border: style.border,
    isInLink: around.isInLink || link !== undefined,
  }
  const children = [
    ...images.map((paint) => {
      const { border: _b, ...bare } = style
      return buildFillImage(context, layer, paint, bare)
    }),
    ...node.children.map((child) => buildChild(context, child, inside)),
  ]
  return {
    type: 'box',
    layer: layer.key,
    name: layer.name,
    ...(link ? { link } : {}),
    ...(node.menu?.is === 'panel' ? { menu: context.menuId(node.menu.key) } : {}),
    ...(link && !children.some(hasText) ? { label: layer.name || 'Link' } : {}),
    style:
      images.length > 0 && style.arrange.kind === 'none'
        ? { ...style, arrange: { kind: 'free' } }
        : style,
    children,
  }
}
