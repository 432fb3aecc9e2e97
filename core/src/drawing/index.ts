import { splitColor } from '../design/color.js'
import type { Asset } from '../design/design.js'
import { resolveCorners, resolveSides, type Box, type Corners } from '../design/geometry.js'
import type { GroupLayer, Layer, TextLayer } from '../design/layer.js'
import type { Paint, Stroke } from '../design/paint.js'
import { NO_FONTS, type Font } from '../text/face.js'
import { applyCase, measureWith, type TextMeasure } from '../text/measure.js'
import { layOutText } from '../text/wrap.js'
import { drawEffects, reachOf } from './effects.js'
import { drawAngular, drawBackdrop } from './html-box.js'
import { drawFontRules } from './fonts.js'
import { aspectOf, drawPaint, DrawingContext } from './paint.js'
import { element, elementOf, escapeXml, formatNumber, type Attributes } from './svg-writer.js'

export type DrawingOptions = {
  readonly assets: Readonly<Record<string, Asset>>
  /** Write each layer's key as `data-key`, so that a page can tell what was pointed at. */
  readonly keys?: boolean
  readonly measure?: TextMeasure
  /** Fonts to carry inside the drawing, for places where nothing can be loaded. */
  readonly fonts?: readonly Font[]
  /** The part to show, in the layer's own coordinates; its box when absent. */
  readonly view?: Box
}

type Pen = {
  readonly context: DrawingContext
  readonly keys: boolean
  readonly measure: TextMeasure
}

const roundedRectangle = (
  { width, height }: Box,
  corners: Corners,
): { name: string; attributes: Attributes } => {
  const most = Math.min(width, height) / 2
  const { topLeft, topRight, bottomRight, bottomLeft } = corners
  const [a, b, c, d] = [topLeft, topRight, bottomRight, bottomLeft].map((r) => Math.min(r, most))
  if (a === b && b === c && c === d) {
    return { name: 'rect', attributes: { width, height, rx: a! > 0 ? a : undefined } }
  }
  const arc = (r: number, x: number, y: number): string =>
    r > 0
      ? `A${[r, r, 0, 0, 1, x, y].map(formatNumber).join(' ')}`
      : `L${formatNumber(x)} ${formatNumber(y)}`
  const move = (x: number, y: number): string => `L${formatNumber(x)} ${formatNumber(y)}`
  return {
    name: 'path',
    attributes: {
      d:
        `M${formatNumber(a!)} 0${move(width - b!, 0)}${arc(b!, width, b!)}${move(width, height - c!)}` +
        `${arc(c!, width - c!, height)}${move(d!, height)}${arc(d!, 0, height - d!)}${move(0, a!)}${arc(a!, a!, 0)}Z`,
    },
  }
}

/** The outline of a layer, as an element without paint, in the layer's own coordinates. */
const outlineOf = (layer: Layer, grow = 0): { name: string; attributes: Attributes }[] => {
  const box = {
    ...layer.box,
    width: Math.max(0, layer.box.width + 2 * grow),
    height: Math.max(0, layer.box.height + 2 * grow),
  }
  const shift: Attributes =
    grow === 0 ? {} : { transform: `translate(${formatNumber(-grow)} ${formatNumber(-grow)})` }
  switch (layer.type) {
    case 'ellipse': {
      const { width, height } = layer.box
      return [
        {
          name: 'ellipse',
          attributes: { cx: width / 2, cy: height / 2, rx: box.width / 2, ry: box.height / 2 },
        },
      ]
    }
    case 'line':
      return [
        {
          name: 'line',
          attributes: { x1: layer.from.x, y1: layer.from.y, x2: layer.to.x, y2: layer.to.y },
        },
      ]
    case 'path':
      return layer.paths.map(({ d, rule }) => ({
        name: 'path',
        attributes: { d, 'fill-rule': rule === 'evenodd' ? rule : undefined },
      }))
    default: {
      const radius = 'radius' in layer ? resolveCorners(layer.radius) : resolveCorners(0)
      const corners =
        grow === 0 ? radius : mapCorners(radius, (r) => (r > 0 ? Math.max(0, r + grow) : 0))
      const { name, attributes } = roundedRectangle(box, corners)
      return [{ name, attributes: grow === 0 ? attributes : { ...attributes, ...shift } }]
    }
  }
}

const mapCorners = (c: Corners, change: (radius: number) => number): Corners => ({
  topLeft: change(c.topLeft),
  topRight: change(c.topRight),
  bottomRight: change(c.bottomRight),
  bottomLeft: change(c.bottomLeft),
})

const blendStyle = (blend: string): string | undefined =>
  blend === 'normal' ? undefined : `mix-blend-mode:${blend}`

/** Only paths need a clip for what is painted as a box; others are boxes with round corners. */
const clipOfPath = (pen: Pen, layer: Layer): string | undefined =>
  layer.type === 'path' ? defineClip(pen, layer) : undefined

const drawFill = (pen: Pen, layer: Layer, paint: Paint): string => {
  if (paint.kind === 'angular') return drawAngular(layer, paint, clipOfPath(pen, layer))
  return outlineOf(layer)
    .map(({ name, attributes }) =>
      elementOf(name, [
        attributes,
        drawPaint(pen.context, paint, layer.box, 'fill'),
        { style: blendStyle(paint.blend) },
      ]),
    )
    .join('')
}

const drawStroke = (pen: Pen, layer: Layer, stroke: Stroke): string => {
  const paint = drawPaint(pen.context, stroke.paint, layer.box, 'stroke')
  if (typeof stroke.width !== 'number') return drawSides(layer, stroke, paint)
  const isBox = layer.type !== 'path' && layer.type !== 'line'
  const share = stroke.align === 'centre' || !isBox ? 0 : stroke.align === 'inside' ? -0.5 : 0.5
  // A path has no second path beside it: twice the width is drawn, and one half of it cut away.
  const isHalved = layer.type === 'path' && stroke.align !== 'centre'
  const line = {
    fill: 'none',
    'stroke-width': stroke.width * (isHalved ? 2 : 1),
    'stroke-dasharray':
      stroke.dash.length > 0 ? stroke.dash.map(formatNumber).join(' ') : undefined,
    'stroke-linecap': stroke.cap === 'butt' ? undefined : stroke.cap,
    'stroke-linejoin': stroke.join === 'miter' ? undefined : stroke.join,
    style: blendStyle(stroke.paint.blend),
  }
  const drawn = outlineOf(layer, share * stroke.width)
    .map(({ name, attributes }) => elementOf(name, [attributes, paint, line]))
    .join('')
  if (!isHalved) return drawn
  const half =
    stroke.align === 'inside'
      ? { 'clip-path': defineClip(pen, layer) }
      : { mask: defineOutside(pen, layer, stroke.width) }
  return element('g', half, drawn)
}

/** Borders of different width are drawn as bars along the sides. */
const drawSides = (layer: Layer, stroke: Stroke, paint: Attributes): string => {
  const { top, right, bottom, left } = resolveSides(stroke.width)
  const { width, height } = layer.box
  const color = { fill: paint['stroke'], 'fill-opacity': paint['stroke-opacity'] }
  return [
    top > 0 ? element('rect', { width, height: top, ...color }) : '',
    bottom > 0 ? element('rect', { y: height - bottom, width, height: bottom, ...color }) : '',
    left > 0 ? element('rect', { width: left, height, ...color }) : '',
    right > 0 ? element('rect', { x: width - right, width: right, height, ...color }) : '',
  ].join('')
}

const fillOf = (color: string): Attributes => {
  const { color: fill, opacity } = splitColor(color)
  return { fill, 'fill-opacity': opacity < 1 ? opacity : undefined }
}

const drawText = (pen: Pen, layer: TextLayer): string =>
  layOutText(layer, pen.measure)
    .flatMap((line) =>
      line.pieces.map(({ text, style, x }) =>
        element(
          'text',
          {
            x,
            y: line.baseline,
            'font-family': `${style.family}, sans-serif`,
            'font-size': style.size,
            'font-weight': style.weight === 400 ? undefined : style.weight,
            'font-style': style.italic ? 'italic' : undefined,
            'letter-spacing': style.letterSpacing || undefined,
            'text-decoration': style.decoration === 'none' ? undefined : style.decoration,
            'xml:space': 'preserve',
            ...fillOf(style.color),
          },
          escapeXml(applyCase(text, style)),
        ),
      ),
    )
    .join('')

const drawPicture = (pen: Pen, layer: Layer & { type: 'image' }): string => {
  const href = pen.context.imageAddress(layer.asset)
  if (!href)
    return drawFill(pen, layer, { kind: 'solid', color: '#d9d9d9', opacity: 1, blend: 'normal' })
  const corners = resolveCorners(layer.radius)
  const isRound = Object.values(corners).some((r) => r > 0)
  const clip = isRound ? defineClip(pen, layer) : undefined
  const { width, height } = layer.box
  const image = element('image', {
    href,
    ...placePicture(layer, pen.context.assets[layer.asset]),
    preserveAspectRatio: aspectOf(layer.fit),
    'clip-path': layer.focus ? undefined : clip,
  })
  if (!layer.focus) return image
  return element('svg', { width, height, overflow: 'hidden', 'clip-path': clip }, image)
}

/** Where all of a picture lies of which a part is seen; its box where it is seen whole, or where its size is not known. */
const placePicture = (
  { box: { width, height }, fit, focus }: Layer & { type: 'image' },
  asset: Asset | undefined,
): Readonly<Record<string, number>> => {
  if (fit !== 'cover' || !focus || !asset?.width || !asset.height) return { width, height }
  const scale = Math.max(width / asset.width, height / asset.height)
  const whole = { width: asset.width * scale, height: asset.height * scale }
  return { ...whole, x: (width - whole.width) * focus.x, y: (height - whole.height) * focus.y }
}

/** A layer's outline, filled. */
const drawOutline = (layer: Layer): string =>
  outlineOf(layer)
    .map(({ name, attributes }) => element(name, attributes))
    .join('')

const defineClip = (pen: Pen, layer: Layer): string => {
  const outline = drawOutline(layer)
  return `url(#${pen.context.define((id) => element('clipPath', { id }, outline))})`
}

/** A mask that shows what lies around a layer's outline, as far as a stroke reaches. */
const defineOutside = (pen: Pen, layer: Layer, reach: number): string => {
  const { width, height } = layer.box
  const room = { x: -reach, y: -reach, width: width + 2 * reach, height: height + 2 * reach }
  const holes = outlineOf(layer).map((o) => element(o.name, { ...o.attributes, fill: '#000' }))
  const content = element('rect', { ...room, fill: '#fff' }) + holes.join('')
  return `url(#${pen.context.define((id) => element('mask', { id, maskUnits: 'userSpaceOnUse', ...room }, content))})`
}

/** What the first child of a masking group lets through, for the others. */
const defineMask = (pen: Pen, group: GroupLayer, shape: Layer): Attributes => {
  const content = drawLayerAt(pen, shape)
  // Opaque shapes in black let through what a white drawing of them would: their opacity.
  const type = group.mask === 'luminance' ? undefined : 'mask-type:alpha'
  const { x, y, width, height } = shape.box
  const reach = Math.max(width, height)
  const area = { x: x - reach, y: y - reach, width: width + 2 * reach, height: height + 2 * reach }
  const id = pen.context.define((id) =>
    element('mask', { id, maskUnits: 'userSpaceOnUse', ...area, style: type }, content),
  )
  return { mask: `url(#${id})` }
}

const drawGroup = (pen: Pen, group: GroupLayer): string => {
  const [first, ...others] = group.children
  if (!group.mask || !first) return group.children.map((c) => drawLayerAt(pen, c)).join('')
  const shown = others.map((child) => drawLayerAt(pen, child)).join('')
  return shown === '' ? '' : element('g', defineMask(pen, group, first), shown)
}

const drawContent = (pen: Pen, layer: Layer): string => {
  if (layer.type === 'group') return drawGroup(pen, layer)
  const fills =
    'fills' in layer ? layer.fills.map((paint) => drawFill(pen, layer, paint)).join('') : ''
  const strokes =
    'strokes' in layer ? layer.strokes.map((s) => drawStroke(pen, layer, s)).join('') : ''
  if (layer.type === 'text') return drawText(pen, layer)
  if (layer.type === 'image') return drawPicture(pen, layer) + strokes
  if (!('children' in layer)) return fills + strokes
  const children = layer.children.map((child) => drawLayerAt(pen, child)).join('')
  const clips = 'clip' in layer && layer.clip && children !== ''
  const inside = clips ? element('g', { 'clip-path': defineClip(pen, layer) }, children) : children
  return fills + inside + strokes
}

/** A shape without paint whose shadow is seen around it, as around a box in CSS. */
const isShadowAlone = (layer: Layer): boolean =>
  'fills' in layer &&
  layer.type !== 'frame' &&
  layer.fills.length === 0 &&
  layer.strokes.length === 0 &&
  layer.effects.some((effect) => effect.kind === 'shadow' && !effect.inset)

const drawLayerAt = (pen: Pen, layer: Layer): string => {
  if (!layer.visible) return ''
  const { x, y, width, height } = layer.box
  const turn = layer.rotationDeg
    ? ` rotate(${[layer.rotationDeg, width / 2, height / 2].map(formatNumber).join(' ')})`
    : ''
  const isMoved = x !== 0 || y !== 0 || turn !== ''
  const transform = isMoved ? `translate(${formatNumber(x)} ${formatNumber(y)})${turn}` : undefined
  const isBare = isShadowAlone(layer)
  const drawn = element(
    'g',
    {
      'data-key': pen.keys ? layer.key : undefined,
      transform,
      opacity: layer.opacity < 1 ? layer.opacity : undefined,
      filter: drawEffects(pen.context, layer.effects, layer.box),
      mask: isBare ? defineOutside(pen, layer, reachOf(layer.effects)) : undefined,
      style: blendStyle(layer.blend),
    },
    isBare ? drawOutline(layer) : drawContent(pen, layer),
  )
  const behind = layer.effects.flatMap((effect) =>
    effect.kind === 'backdrop-blur' && effect.radius > 0
      ? [drawBackdrop(layer, effect.radius, clipOfPath(pen, layer))]
      : [],
  )
  // Inside the layer's own group there would be nothing behind it to blur.
  return behind.length === 0 ? drawn : element('g', { transform }, behind.join('')) + drawn
}

/**
 * Draws a layer (a screen, or any part of one, with instances resolved) as a stand-alone SVG document
 * whose view is the layer's box. All text from the design is escaped; nothing outside is referred to.
 */
export const drawLayer = (layer: Layer, options: DrawingOptions): string => {
  const { fonts = NO_FONTS } = options
  const context = new DrawingContext(options.assets)
  const pen: Pen = {
    context,
    keys: options.keys ?? false,
    measure: options.measure ?? measureWith(fonts),
  }
  const view = options.view ?? { x: 0, y: 0, width: layer.box.width, height: layer.box.height }
  const content = drawLayerAt(pen, { ...layer, box: { ...layer.box, x: 0, y: 0 } })
  const rules = drawFontRules(layer, fonts)
  const definitions =
    context.definitions.length > 0 || rules !== ''
      ? `<defs>${rules}${context.definitions.join('')}</defs>`
      : ''
  return element(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      width: view.width,
      height: view.height,
      viewBox: [view.x, view.y, view.width, view.height].map(formatNumber).join(' '),
    },
    definitions + content,
  )
}
