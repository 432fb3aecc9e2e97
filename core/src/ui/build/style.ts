import { resolveCorners, roundPx } from '../../design/geometry.js'
import type { Layer } from '../../design/layer.js'
import type { LayoutNode } from '../../layout/index.js'
import type { UiArrangement, UiPlace, UiStyle } from '../nodes.js'
import { buildBorder } from './border.js'
import type { BuildContext, Surroundings } from './context.js'

const placeOf = (node: LayoutNode, around: Surroundings): UiPlace => {
  if (!around.parent) return { kind: 'root' }
  const { layer, placement } = node
  if (placement.kind === 'flow') {
    const { columns = 1, rows = 1 } = layer.span ?? {}
    return { kind: 'flow', parent: placement.parent, columns, rows }
  }
  const inset = around.border?.kind === 'border' ? around.border.widths : undefined
  return {
    kind: 'absolute',
    x: { from: 'start', px: roundPx(placement.x - (inset?.left ?? 0)) },
    y: { from: 'start', px: roundPx(placement.y - (inset?.top ?? 0)) },
  }
}

const isSizedByContent = (node: LayoutNode): boolean => node.arrangement.kind !== 'free'

/** Style sheets know no turned ellipses and no second centre. */
const noteGradients = ({ account }: BuildContext, layer: Layer): void => {
  for (const fill of 'fills' in layer ? layer.fills : []) {
    if (fill.kind !== 'radial') continue
    const { x, y } = fill.radius
    const isTurned =
      fill.rotationDeg !== 0 && Math.abs(x * layer.box.width - y * layer.box.height) > 1
    if (isTurned) account.approximated(layer.key, 'fill', 'the turned ellipse is drawn upright')
    if (fill.focus) account.approximated(layer.key, 'fill', 'the gradient begins at its centre')
  }
}

/** The style of a layer, whatever it becomes. */
export const buildStyle = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiStyle => {
  const { layer } = node
  const arrange: UiArrangement =
    node.children.length === 0 && node.arrangement.kind === 'free'
      ? { kind: 'none' }
      : node.arrangement
  // A box without auto layout has no content to fit: its drawn size is all there is.
  const fitOr = (sizing: UiStyle['width']['sizing']): UiStyle['width']['sizing'] =>
    sizing === 'fit' && !isSizedByContent(node) && layer.type !== 'text' ? 'fixed' : sizing
  noteGradients(context, layer)
  const border = layer.type === 'text' ? undefined : buildBorder(context.account, layer)
  return {
    place: placeOf(node, around),
    width: { sizing: fitOr(layer.sizing.width), px: layer.box.width },
    height: { sizing: fitOr(layer.sizing.height), px: layer.box.height },
    limits: layer.limits ?? {},
    arrange,
    fills: 'fills' in layer ? layer.fills.filter((p) => p.kind !== 'image') : [],
    ...(border ? { border } : {}),
    corners:
      layer.type === 'ellipse'
        ? resolveCorners(9999)
        : resolveCorners('radius' in layer ? layer.radius : 0),
    effects: layer.effects,
    opacity: layer.opacity,
    blend: layer.blend,
    rotationDeg: layer.rotationDeg,
    clip: 'clip' in layer && layer.clip,
    bleedPx: 0,
    tokens: layer.tokens ?? {},
  }
}

/** A stroke that reaches outside a leaf is a border of a larger box: crisper than an outline. */
export const growByOutline = (style: UiStyle): UiStyle => {
  const { border, place } = style
  if (border?.kind !== 'outline' || place.kind !== 'absolute') return style
  const by = border.widths.top + border.offsetPx
  const { topLeft, topRight, bottomRight, bottomLeft } = style.corners
  const grow = (radius: number): number => (radius > 0 ? radius + by : 0)
  return {
    ...style,
    place: {
      kind: 'absolute',
      x: { ...place.x, px: roundPx(place.x.px - by) },
      y: { ...place.y, px: roundPx(place.y.px - by) },
    },
    width: { ...style.width, px: roundPx(style.width.px + 2 * by) },
    height: { ...style.height, px: roundPx(style.height.px + 2 * by) },
    corners: {
      topLeft: grow(topLeft),
      topRight: grow(topRight),
      bottomRight: grow(bottomRight),
      bottomLeft: grow(bottomLeft),
    },
    border: { ...border, kind: 'border', offsetPx: 0 },
  }
}
