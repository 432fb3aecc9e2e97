import type { LayoutNode } from '../../layout/index.js'
import type { UiNode } from '../nodes.js'
import { buildBox } from './box.js'
import type { BuildContext, Surroundings } from './context.js'
import { buildGraphic } from './graphic.js'
import { buildImage } from './image.js'
import { buildLine } from './line.js'
import { buildText } from './text.js'

/** Builds the node a layer becomes, with everything inside it. */
export const buildNode = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiNode => {
  const { layer } = node
  if (node.isGraphic && node.children.length === 0) return buildGraphic(context, node, around)
  if (layer.type === 'line') return buildLine(context, node, around)
  if (layer.type === 'text') return buildText(context, node, around)
  if (layer.type === 'image') return buildImage(context, node, around)
  return buildBox(context, node, around, buildNode)
}

export { OUTSIDE, type BuildContext } from './context.js'
