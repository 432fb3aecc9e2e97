import type { LayoutNode } from '../../layout/index.js'
import type { UiNode } from '../nodes.js'
import { buildBox } from './box.js'
import { buildControl, isControl } from './control.js'
import { isSamePlace, type BuildContext, type Surroundings } from './context.js'
import { buildGraphic } from './graphic.js'
import { buildImage } from './image.js'
import { buildLine } from './line.js'
import { isOwnPicture } from './style.js'
import { asMenuButton } from './menu-button.js'
import { withStates } from './states.js'
import { buildText } from './text.js'

/** A picture, also one that is the only fill of a shape with nothing in it. */
const asPicture = (node: LayoutNode): LayoutNode | undefined => {
  const { layer, children } = node
  if (layer.type === 'image') return node
  if (layer.type !== 'rectangle' || children.length > 0 || layer.fills.length !== 1)
    return undefined
  const [fill] = layer.fills
  if (fill?.kind !== 'image' || fill.fit === 'tile' || isOwnPicture(fill)) return undefined
  const { type: _type, fills: _fills, ...rest } = layer
  return { ...node, layer: { ...rest, type: 'image', asset: fill.asset, fit: fill.fit } }
}

/** Builds the node a layer becomes, with everything inside it. */
export const buildNode = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiNode => {
  const known = context.built.get(node)
  if (known && isSamePlace(known.around, around)) return known.result
  const plain = withStates(context, node, around, buildPlain(context, node, around))
  const built =
    node.menu?.is === 'button' ? asMenuButton(plain, context.menuId(node.menu.key)) : plain
  const result: UiNode = {
    ...built,
    ...(node.order ? { order: node.order } : {}),
    ...(node.isHidden ? { isHidden: true } : {}),
  }
  context.built.set(node, { around, result })
  return result
}

const buildPlain = (context: BuildContext, node: LayoutNode, around: Surroundings): UiNode => {
  const { layer } = node
  const reading = context.roles.get(layer.key)
  if (isControl(reading) && !around.isInLink) {
    return buildControl(context, node, around, reading, buildNode)
  }
  if (node.isGraphic && node.children.length === 0) return buildGraphic(context, node, around)
  if (layer.type === 'line') return buildLine(context, node, around)
  if (layer.type === 'text') return buildText(context, node, around)
  const picture = asPicture(node)
  if (picture) return buildImage(context, picture, around)
  return buildBox(context, node, around, buildNode)
}

export { OUTSIDE, type BuildContext } from './context.js'
