import { resolveCorners, roundPx, type Box } from '../../design/geometry.js'
import type { Layer } from '../../design/layer.js'
import { walkLayers } from '../../design/walk.js'
import { drawLayer } from '../../drawing/index.js'
import type { LayoutNode } from '../../layout/index.js'
import { moveAnchor, type Anchor, type UiNode, type UiStyle } from '../nodes.js'
import type { BuildContext, Surroundings } from './context.js'
import { buildLink } from './link.js'
import { buildStyle } from './style.js'

/** The style of a picture of the drawing: its own paint is inside, and strokes make it larger by `pad`. */
const asDrawn = (style: UiStyle, box: Box, pad: number): UiStyle => {
  const move = (anchor: Anchor): Anchor => moveAnchor(anchor, -pad)
  return {
    ...style,
    place:
      style.place.kind === 'absolute'
        ? { ...style.place, x: move(style.place.x), y: move(style.place.y) }
        : style.place,
    width: { sizing: 'fixed', px: roundPx(box.width + 2 * pad) },
    height: { sizing: 'fixed', px: roundPx(box.height + 2 * pad) },
    arrange: { kind: 'none' },
    fills: [],
    corners: resolveCorners(0),
    clip: false,
    bleedPx: style.place.kind === 'flow' ? pad : 0,
  }
}

/** How far strokes reach over a graphic's box. */
const strokeReach = (layer: Layer): number => {
  let reach = 0
  walkLayers(layer, (l) => {
    if (!('strokes' in l)) return
    for (const { width, cap } of l.strokes) {
      const px =
        typeof width === 'number'
          ? width
          : Math.max(width.top, width.right, width.bottom, width.left)
      // A square cap or a sharp join reaches further than half the width.
      reach = Math.max(reach, cap === 'square' || l.type === 'path' ? px : px / 2)
    }
  })
  return Math.ceil(reach)
}

/** A drawing with texts on it: the drawing is the background of their box. */
export const drawBackground = (context: BuildContext, layer: Layer, style: UiStyle): UiStyle => {
  const { border: _drawn, ...rest } = style
  const text = drawLayer(
    { ...layer, effects: [], opacity: 1, rotationDeg: 0, blend: 'normal' } as Layer,
    {
      assets: context.collector.pictures,
      measure: context.measure,
      view: { x: 0, y: 0, width: layer.box.width, height: layer.box.height },
    },
  )
  const asset = context.collector.addDrawing(text, context.nameOf(layer))
  return { ...rest, fills: [{ kind: 'picture', asset, fit: 'fill' }], corners: resolveCorners(0) }
}

/** Vectors that are one drawing become one picture file. */
export const buildGraphic = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiNode => {
  const { layer } = node
  const pad = strokeReach(layer)
  const { border: _drawn, ...style } = buildStyle(context, node, around)
  // Its box may be larger than what is drawn, which stands in the middle of it.
  const { width, height } = node.box
  const [left, top] = [(width - layer.box.width) / 2, (height - layer.box.height) / 2]
  const bare = { ...layer, effects: [], opacity: 1, rotationDeg: 0, blend: 'normal' } as Layer
  const text = drawLayer(bare, {
    assets: context.collector.pictures,
    measure: context.measure,
    view: {
      x: roundPx(-left - pad),
      y: roundPx(-top - pad),
      width: roundPx(width + 2 * pad),
      height: roundPx(height + 2 * pad),
    },
  })
  const asset = context.collector.addDrawing(text, context.nameOf(layer))
  const link = buildLink(context, layer, around)
  return {
    type: 'image',
    layer: layer.key,
    name: context.nameOf(layer),
    asset,
    fit: 'contain',
    alt: link ? context.nameOf(layer) : '',
    ...(link ? { link } : {}),
    style: asDrawn(style, node.box, pad),
  }
}
