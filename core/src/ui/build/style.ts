import {
  growCorners,
  resolveCorners,
  roundPx,
  wholeCorners,
  type Corners,
} from '../../design/geometry.js'
import type { Layer } from '../../design/layer.js'
import type { LayoutNode } from '../../layout/index.js'
import type { Anchor as PlacedAnchor } from '../../layout/index.js'
import type { Paint } from '../../design/paint.js'
import {
  moveAnchor,
  type Anchor,
  type UiArrangement,
  type UiFill,
  type UiPlace,
  type UiStyle,
} from '../nodes.js'
import { buildBorder } from './border.js'
import type { BuildContext, Surroundings } from './context.js'

/** Whether a node that is as large as its content would look different stretched across its parent. */
const staysSmall = ({ layer, sizing, textAlign }: LayoutNode, parent: string): boolean => {
  // Words that begin at the start of a larger box stand where they would in their own.
  if (parent !== 'column') return layer.type !== 'text' && sizing.height === 'fit'
  return sizing.width === 'fit' && (layer.type !== 'text' || (textAlign ?? layer.align) !== 'start')
}

const placeOf = (node: LayoutNode, around: Surroundings): UiPlace => {
  if (!around.parent) return { kind: 'root' }
  const { layer, placement, self, margin, isPushed } = node
  const { arrangement } = around.parent
  if (placement.kind !== 'overlay') {
    const { columns = 1, rows = 1 } = layer.span ?? {}
    const parent = arrangement.kind === 'free' ? 'column' : arrangement.kind
    const align = arrangement.kind === 'free' ? 'start' : arrangement.align
    const own = self ?? (align === 'stretch' && staysSmall(node, parent) ? 'start' : undefined)
    const other = own ? { self: own } : {}
    return { kind: 'flow', parent, columns, rows, align, ...other, margin, isPushed }
  }
  const inset = around.border?.kind === 'border' ? around.border.widths : undefined
  const within = (anchor: PlacedAnchor, start: number, end: number): Anchor => {
    if (anchor.edge === 'scale') return anchor
    if (anchor.edge === 'both') {
      const { before, after } = anchor
      return { edge: 'both', before: roundPx(before - start), after: roundPx(after - end) }
    }
    const by = anchor.edge === 'start' ? start : anchor.edge === 'end' ? end : 0
    return { edge: anchor.edge, px: roundPx(anchor.px - by), hold: 'start' }
  }
  return {
    kind: 'absolute',
    x: within(placement.x, inset?.left ?? 0, inset?.right ?? 0),
    y: within(placement.y, inset?.top ?? 0, inset?.bottom ?? 0),
    isUnder: placement.isUnder,
  }
}

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

/** A picture that no background can give, because it is half seen through or blended. */
export const isOwnPicture = (paint: Extract<Paint, { kind: 'image' }>): boolean =>
  paint.opacity !== 1 || paint.blend !== 'normal'

const buildFills = ({ collector }: BuildContext, layer: Layer): UiFill[] =>
  ('fills' in layer ? layer.fills : []).flatMap((paint): UiFill[] => {
    if (paint.kind !== 'image') return [paint]
    if (isOwnPicture(paint)) return []
    const { fit, tile, focus } = paint
    return [{ kind: 'picture', asset: collector.addPicture(paint.asset), fit, tile, focus }]
  })

/** Corners in whole px, which look the same, unless a token says how round they are. */
const cornersOf = (layer: Layer): Corners => {
  if (layer.type === 'ellipse') return resolveCorners(9999)
  const corners = resolveCorners('radius' in layer ? layer.radius : 0)
  return layer.tokens?.['radius'] === undefined ? wholeCorners(corners, layer.box) : corners
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
  noteGradients(context, layer)
  const border = layer.type === 'text' ? undefined : buildBorder(context.account, layer)
  return {
    place: placeOf(node, around),
    width: { sizing: node.sizing.width, px: roundPx(node.box.width) },
    height: { sizing: node.sizing.height, px: roundPx(node.box.height) },
    limits: node.limits,
    arrange,
    ...(node.contentMax === undefined ? {} : { contentMax: node.contentMax }),
    ...(node.scrolls ? { scrolls: true } : {}),
    ...(node.fitsParent ? { fitsParent: node.fitsParent } : {}),
    ...(node.folds ? { folds: node.folds } : {}),
    ...(node.ratio === undefined ? {} : { ratio: node.ratio }),
    fills: buildFills(context, layer),
    ...(border ? { border } : {}),
    corners: cornersOf(layer),
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
  const move = (anchor: Anchor): Anchor => moveAnchor(anchor, -by)
  return {
    ...style,
    place: {
      ...place,
      x: move(place.x),
      y: move(place.y),
    },
    width: { ...style.width, px: roundPx(style.width.px + 2 * by) },
    height: { ...style.height, px: roundPx(style.height.px + 2 * by) },
    corners: growCorners(style.corners, by),
    border: { ...border, kind: 'border', offsetPx: 0 },
  }
}
