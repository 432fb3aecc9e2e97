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
import { buildAct } from './link.js'
import { buildText } from './text.js'
import { wrapNode } from './wrap.js'

/** A picture, also one that is the only fill of a shape with nothing in it. */
const asPicture = (node: LayoutNode): LayoutNode | undefined => {
  const { layer, children } = node
  if (layer.type === 'image') return node
  if (layer.type !== 'rectangle' || children.length > 0 || layer.fills.length !== 1)
    return undefined
  const [fill] = layer.fills
  if (fill?.kind !== 'image' || fill.fit === 'tile' || isOwnPicture(fill)) return undefined
  const { type: _type, fills: _fills, ...rest } = layer
  const { asset, fit, focus } = fill
  return { ...node, layer: { ...rest, type: 'image', asset, fit, ...(focus ? { focus } : {}) } }
}

/** Builds the node a layer becomes, with everything inside it. */
export const buildNode = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiNode => {
  const known = context.built.get(node)
  if (known && isSamePlace(known.around, around)) return known.result
  const menu = node.menu?.is === 'button' ? node.menu.key : undefined
  // Whatever is drawn on the sign of a menu, it is pressed as a whole.
  const own = menu === undefined ? context : { ...context, roles: new Map(), built: new Map() }
  const plain = withStates(own, node, around, buildPlain(own, node, around))
  const pressed = asPressed(own, node, around, plain)
  const built = menu === undefined ? pressed : asMenuButton(pressed, context.menuId(menu))
  const result: UiNode = {
    ...withBehaviour(own, node, built),
    ...(node.order ? { order: node.order } : {}),
    ...(node.isHidden ? { isHidden: true } : {}),
  }
  context.built.set(node, { around, result })
  return result
}

/** A picture that is pressed stands in a button. */
const asPressed = (
  context: BuildContext,
  { layer }: LayoutNode,
  around: Surroundings,
  node: UiNode,
): UiNode => {
  if (node.type !== 'image' || node.link || around.isInLink) return node
  const reading = context.roles.get(layer.key)
  const act = buildAct(context, layer, around)
  if (!act && reading?.role !== 'button') return node
  return wrapNode(node, {
    role: 'button',
    ...(act ? { act } : {}),
    ...(reading?.submits ? { submits: true } : {}),
    ...(node.alt === '' ? { label: context.nameOf(layer) || 'Button' } : {}),
  })
}

/** What is said of a layer beside its looks: the id by which others refer to it, when it is shown, how it moves. */
const withBehaviour = (
  { targets }: BuildContext,
  { layer: { key, hover, entrance } }: LayoutNode,
  node: UiNode,
): UiNode => {
  const target = targets.get(key)
  if (!target && !hover && !entrance) return node
  return {
    ...node,
    ...(target ? { id: target.id } : {}),
    ...(target?.when ? { when: target.when } : {}),
    ...(hover ? { hover } : {}),
    ...(entrance ? { entrance } : {}),
  }
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
