import { roundPx } from '../../design/geometry.js'
import type { Layer } from '../../design/layer.js'
import type { LayoutNode } from '../../layout/index.js'
import type { UiNode, UiPlace } from '../nodes.js'
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
  const half = roundPx(width / 2)
  const { border: _border, place, ...rest } = style
  const shifted: UiPlace =
    place.kind === 'absolute'
      ? {
          kind: 'absolute',
          x: isFlat ? place.x : { ...place.x, px: roundPx(place.x.px - half) },
          y: isFlat ? { ...place.y, px: roundPx(place.y.px - half) } : place.y,
        }
      : place
  return {
    type: 'box',
    layer: layer.key,
    name: layer.name,
    style: {
      ...rest,
      place: shifted,
      fills: stroke ? [stroke.paint] : [],
      width: isFlat ? style.width : { sizing: 'fixed', px: width },
      height: isFlat ? { sizing: 'fixed', px: width } : style.height,
    },
    children: [],
  }
}
