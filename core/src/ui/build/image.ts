import type { Layer } from '../../design/layer.js'
import type { Paint } from '../../design/paint.js'
import type { LayoutNode } from '../../layout/index.js'
import type { UiImage, UiNode, UiStyle } from '../nodes.js'
import type { BuildContext, Surroundings } from './context.js'
import { buildLink } from './link.js'
import { buildStyle, growByOutline } from './style.js'

/** A picture. Without a stated alternative it is decoration, unless it leads somewhere. */
export const buildImage = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiNode => {
  const layer = node.layer as Layer & { type: 'image' }
  const link = buildLink(context, layer, around)
  return {
    type: 'image',
    layer: layer.key,
    name: context.nameOf(layer),
    asset: context.collector.addPicture(layer.asset),
    fit: layer.fit,
    ...(layer.focus ? { focus: layer.focus } : {}),
    alt: layer.alt ?? (link ? context.nameOf(layer) : ''),
    ...(link ? { link } : {}),
    style: growByOutline(buildStyle(context, node, around)),
  }
}

/** A picture used as a fill becomes a real picture behind the content. */
export const buildFillImage = (
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
    name: context.nameOf(layer),
    asset: context.collector.addPicture(paint.asset),
    fit: paint.fit === 'tile' ? 'cover' : paint.fit,
    ...(paint.focus ? { focus: paint.focus } : {}),
    alt: '',
    style: {
      ...style,
      place: {
        kind: 'absolute',
        x: { edge: 'start', px: 0, hold: 'start' },
        y: { edge: 'start', px: 0, hold: 'start' },
        isUnder: true,
      },
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
