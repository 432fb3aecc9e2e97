import type { Layer } from '../../design/layer.js'
import type { LayoutNode } from '../../layout/index.js'
import type { UiNode } from '../nodes.js'
import type { BuildContext, Surroundings } from './context.js'
import { buildStyle } from './style.js'

/** An upright line is a thin filled box. */
export const buildLine = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiNode => {
  const layer = node.layer as Layer & { type: 'line' }
  const style = buildStyle(context, node, around)
  const stroke = layer.strokes.at(-1)
  const width = stroke ? Math.max(...Object.values(style.border?.widths ?? { top: 0 })) : 0
  const isFlat = layer.box.height <= layer.box.width
  const { border: _border, ...rest } = style
  return {
    type: 'box',
    layer: layer.key,
    name: context.nameOf(layer),
    style: {
      ...rest,
      fills: stroke && stroke.paint.kind !== 'image' ? [stroke.paint] : [],
      width: isFlat ? style.width : { sizing: 'fixed', px: width },
      height: isFlat ? { sizing: 'fixed', px: width } : style.height,
    },
    children: [],
  }
}
