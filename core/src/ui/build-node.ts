import { resolveCorners, roundPx, type Box } from '../design/geometry.js'
import type { Layer, TextLayer } from '../design/layer.js'
import type { Paint } from '../design/paint.js'
import { walkLayers } from '../design/walk.js'
import { drawLayer } from '../drawing/index.js'
import type { LayoutNode } from '../layout/index.js'
import { notes } from '../notes/catalogue.js'
import type { TextMeasure } from '../text/measure.js'
import type { Account } from './account.js'
import type { AssetCollector } from './asset-collector.js'
import { buildBorder } from './build-border.js'
import { buildRuns } from './build-text.js'
import { findSafeAddress } from './check-link.js'
import type { UiArrangement, UiBorder, UiImage, UiLink, UiNode, UiPlace, UiStyle } from './nodes.js'

/** What building the nodes of one page needs to know and collects. */
export type BuildContext = {
  readonly account: Account
  readonly collector: AssetCollector
  readonly measure: TextMeasure
  /** Keys of the screens that become pages. */
  readonly pages: ReadonlySet<string>
  /** Key of the text that is the page's title. */
  readonly title: string | undefined
}

type Surroundings = {
  readonly parent: Box | undefined
  /** Width of the parent's border: coordinates are counted from inside it. */
  readonly border: UiBorder | undefined
  readonly isInLink: boolean
}

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

const buildStyle = (context: BuildContext, node: LayoutNode, around: Surroundings): UiStyle => {
  const { layer } = node
  const arrange: UiArrangement =
    node.children.length === 0 && node.arrangement.kind === 'free'
      ? { kind: 'none' }
      : node.arrangement
  // A box without auto layout has no content to fit: its drawn size is all there is.
  const fitOr = (sizing: UiStyle['width']['sizing']): UiStyle['width']['sizing'] =>
    sizing === 'fit' && !isSizedByContent(node) && layer.type !== 'text' ? 'fixed' : sizing
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
const growByOutline = (style: UiStyle): UiStyle => {
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

const buildLink = (
  context: BuildContext,
  layer: Layer,
  around: Surroundings,
): UiLink | undefined => {
  const { link } = layer
  if (!link) return undefined
  if (around.isInLink) {
    context.account.lost(layer.key, 'link', 'a link cannot stand inside another link')
    return undefined
  }
  if (link.kind === 'screen') {
    if (context.pages.has(link.screen)) return { kind: 'page', page: link.screen }
    context.account.lost(layer.key, 'link', 'the screen it leads to is not part of this conversion')
    return undefined
  }
  const url = findSafeAddress(link.url)
  if (url) return { kind: 'address', url }
  context.account.add(notes.linkRefused(layer.key, link.url))
  return undefined
}

const asDrawn = (style: UiStyle, box: Box, pad: number): UiStyle => {
  const move = (anchor: { from: 'start' | 'centre' | 'end'; px: number }) => ({
    ...anchor,
    px: roundPx(anchor.px - pad),
  })
  return {
    ...style,
    place:
      style.place.kind === 'absolute'
        ? { kind: 'absolute', x: move(style.place.x), y: move(style.place.y) }
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

const buildGraphic = (context: BuildContext, node: LayoutNode, around: Surroundings): UiNode => {
  const { layer } = node
  const pad = strokeReach(layer)
  const { border: _drawn, ...style } = buildStyle(context, node, around)
  const { width, height } = layer.box
  const bare = { ...layer, effects: [], opacity: 1, rotationDeg: 0, blend: 'normal' } as Layer
  const text = drawLayer(bare, {
    assets: {},
    measure: context.measure,
    view: { x: -pad, y: -pad, width: width + 2 * pad, height: height + 2 * pad },
  })
  const asset = context.collector.addDrawing(text, layer.name)
  const link = buildLink(context, layer, around)
  return {
    type: 'image',
    layer: layer.key,
    name: layer.name,
    asset,
    fit: 'contain',
    alt: link ? layer.name : '',
    ...(link ? { link } : {}),
    style: asDrawn(style, layer.box, pad),
  }
}

/** An upright line is a thin filled box. */
const buildLine = (context: BuildContext, node: LayoutNode, around: Surroundings): UiNode => {
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

const anchorText = (layer: TextLayer, place: UiPlace): UiPlace => {
  if (place.kind !== 'absolute') return place
  const shift =
    layer.align === 'centre' ? layer.box.width / 2 : layer.align === 'end' ? layer.box.width : 0
  const from = layer.align === 'centre' || layer.align === 'end' ? layer.align : 'start'
  return { ...place, x: { from, px: roundPx(place.x.px + shift) } }
}

const buildText = (context: BuildContext, node: LayoutNode, around: Surroundings): UiNode => {
  const layer = node.layer as TextLayer
  const style = buildStyle(context, node, around)
  // Text placed by coordinates keeps its drawn lines; one that is as wide as its content has only one.
  const isPlaced = style.place.kind === 'absolute' || style.place.kind === 'root'
  const wraps = layer.lines ? !isPlaced : layer.sizing.width !== 'fit'
  const link = buildLink(context, layer, around)
  const fitted: UiStyle = {
    ...style,
    height: { ...style.height, sizing: style.height.sizing === 'stretch' ? 'stretch' : 'fit' },
    ...(wraps
      ? {}
      : {
          place: anchorText(layer, style.place),
          width: { ...style.width, sizing: 'fit' as const },
        }),
  }
  return {
    type: 'text',
    layer: layer.key,
    name: layer.name,
    ...(layer.key === context.title ? { level: 1 } : {}),
    ...(link ? { link } : {}),
    textStyle: layer.style,
    align: layer.align,
    wraps,
    runs: buildRuns(layer, !wraps),
    style: fitted,
  }
}

const buildImage = (context: BuildContext, node: LayoutNode, around: Surroundings): UiNode => {
  const layer = node.layer as Layer & { type: 'image' }
  const link = buildLink(context, layer, around)
  return {
    type: 'image',
    layer: layer.key,
    name: layer.name,
    asset: context.collector.addPicture(layer.asset),
    fit: layer.fit,
    alt: layer.alt ?? (link ? layer.name : ''),
    ...(link ? { link } : {}),
    style: growByOutline(buildStyle(context, node, around)),
  }
}

/** A picture used as a fill becomes a real picture behind the content. */
const buildFillImage = (
  context: BuildContext,
  layer: Layer,
  paint: Extract<Paint, { kind: 'image' }>,
  style: UiStyle,
): UiImage => {
  if (paint.fit === 'tile') {
    context.account.approximated(
      layer.key,
      'fill',
      'the repeated picture is shown once, as a cover',
    )
  }
  return {
    type: 'image',
    layer: layer.key,
    name: layer.name,
    asset: context.collector.addPicture(paint.asset),
    fit: paint.fit === 'tile' ? 'cover' : paint.fit,
    alt: '',
    style: {
      ...style,
      place: { kind: 'absolute', x: { from: 'start', px: 0 }, y: { from: 'start', px: 0 } },
      width: { sizing: 'stretch', px: layer.box.width },
      height: { sizing: 'stretch', px: layer.box.height },
      limits: {},
      arrange: { kind: 'none' },
      fills: [],
      effects: [],
      opacity: paint.opacity,
      blend: paint.blend,
      rotationDeg: 0,
      clip: false,
      tokens: {},
    },
  }
}

const hasText = (node: UiNode): boolean =>
  node.type === 'text' ||
  (node.type === 'image' && node.alt !== '') ||
  (node.type === 'box' && node.children.some(hasText))

const buildBox = (context: BuildContext, node: LayoutNode, around: Surroundings): UiNode => {
  const { layer } = node
  const link = buildLink(context, layer, around)
  const base = buildStyle(context, node, around)
  const images = 'fills' in layer ? layer.fills.filter((p) => p.kind === 'image') : []
  const isLeaf = node.children.length === 0 && images.length === 0
  const style = isLeaf ? growByOutline(base) : base
  const inside: Surroundings = {
    parent: layer.box,
    border: style.border,
    isInLink: around.isInLink || link !== undefined,
  }
  const children = [
    ...images.map((paint) => {
      const { border: _b, ...bare } = style
      return buildFillImage(context, layer, paint, bare)
    }),
    ...node.children.map((child) => buildNode(context, child, inside)),
  ]
  return {
    type: 'box',
    layer: layer.key,
    name: layer.name,
    ...(link ? { link } : {}),
    ...(link && !children.some(hasText) ? { label: layer.name || 'Link' } : {}),
    style:
      images.length > 0 && style.arrange.kind === 'none'
        ? { ...style, arrange: { kind: 'free' } }
        : style,
    children,
  }
}

/** Builds the node a layer becomes, with everything inside it. */
export const buildNode = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiNode => {
  const { layer } = node
  if (node.isGraphic) return buildGraphic(context, node, around)
  if (layer.type === 'line') return buildLine(context, node, around)
  if (layer.type === 'text') return buildText(context, node, around)
  if (layer.type === 'image') return buildImage(context, node, around)
  return buildBox(context, node, around)
}

/** Surroundings of the outermost layer of a page. */
export const OUTSIDE: Surroundings = { parent: undefined, border: undefined, isInLink: false }
