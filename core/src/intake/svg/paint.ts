import { withOpacity } from '../../design/color.js'
import { roundPx, type Box } from '../../design/geometry.js'
import type { Paint, Stroke } from '../../design/paint.js'
import { notes } from '../../notes/catalogue.js'
import { parseColor, parseOpacity } from './color.js'
import type { SvgContext } from './context.js'
import { readGradient, type PaintedShape } from './gradient.js'
import { IDENTITY, scaleOf } from './matrix.js'
import { readPatternImage, toImageFill, type PatternImage } from './pattern.js'
import { parseLength, type Style } from './style.js'
import { localName } from './xml.js'

/** A picture that fills a shape in a way its box alone cannot say: cut out of a larger one. */
export type CutPicture = { readonly picture: PatternImage; readonly opacity: number }

/** Reads a `fill` or `stroke` value; undefined when nothing is painted. */
const readPaint = (
  context: SvgContext,
  layer: string,
  value: string,
  opacity: number,
  style: Style,
  shape: PaintedShape,
): Paint | CutPicture | undefined => {
  if (value === 'none' || value === 'transparent') return undefined
  if (value.startsWith('url(')) {
    const target = context.findReference(value)
    const kind = target && localName(target.name)
    if (kind === 'linearGradient' || kind === 'radialGradient') {
      const gradient = readGradient(context, layer, target!, shape)
      if (gradient) return { ...gradient, opacity }
    }
    if (kind === 'pattern') {
      const picture = readPatternImage(context, layer, target!, shape)
      if (picture) return toImageFill(picture, shape.placed, opacity) ?? { picture, opacity }
    }
    const fallback = value.replace(/^url\([^)]*\)\s*/, '')
    const color = fallback && fallback !== 'none' ? parseColor(fallback, style.color) : undefined
    if (color) return { kind: 'solid', color, opacity, blend: 'normal' }
    if (fallback !== 'none') context.notes.push(notes.paintSkipped(context.file, layer, value))
    return undefined
  }
  const color = parseColor(value, parseColor(style.color ?? '#000000'))
  if (!color) {
    context.notes.push(notes.paintSkipped(context.file, layer, value))
    return undefined
  }
  return { kind: 'solid', color, opacity, blend: 'normal' }
}

/** The fill of a shape: paints its box can hold, or a picture cut out of a larger one. */
export const readFills = (
  context: SvgContext,
  layer: string,
  style: Style,
  shape: PaintedShape,
): { readonly fills: Paint[]; readonly cut?: CutPicture } => {
  const opacity = parseOpacity(style['fill-opacity'])
  const paint = readPaint(context, layer, style.fill ?? '#000000', opacity, style, shape)
  if (!paint) return { fills: [] }
  return 'picture' in paint ? { fills: [], cut: paint } : { fills: [paint] }
}

export const readStrokes = (
  context: SvgContext,
  layer: string,
  style: Style,
  shape: PaintedShape,
): Stroke[] => {
  const value = style.stroke
  if (!value || value === 'none') return []
  const scale = style['vector-effect'] === 'non-scaling-stroke' ? 1 : scaleOf(shape.matrix)
  const width = parseLength(style['stroke-width'] ?? '1') * scale
  if (!(width > 0) || width > 10_000) return []
  const opacity = parseOpacity(style['stroke-opacity'])
  const paint = readPaint(context, layer, value, opacity, style, shape)
  if (!paint) return []
  if ('picture' in paint) {
    context.notes.push(notes.paintSkipped(context.file, layer, value))
    return []
  }
  const dash = (style['stroke-dasharray'] ?? '')
    .split(/[\s,]+/)
    .map((v) => parseLength(v) * scale)
    .filter((v) => Number.isFinite(v) && v >= 0)
    .map(roundPx)
  const cap = style['stroke-linecap']
  const join = style['stroke-linejoin']
  return [
    {
      paint,
      width: Math.round(width * 1000) / 1000,
      align: 'centre',
      dash,
      cap: cap === 'round' || cap === 'square' ? cap : 'butt',
      join: join === 'round' || join === 'bevel' ? join : 'miter',
    },
  ]
}

/** The colour that text is filled with; a gradient gives its first stop, with a note. */
export const readTextColor = (context: SvgContext, layer: string, style: Style): string => {
  const unit: Box = { x: 0, y: 0, width: 1, height: 1 }
  const nowhere: PaintedShape = { own: unit, matrix: IDENTITY, placed: unit }
  const { fills, cut } = readFills(context, layer, style, nowhere)
  const paint = fills[0]
  if (cut) context.notes.push(notes.effectSkipped(context.file, layer, 'picture in a text'))
  if (!paint) return cut ? '#000000' : '#00000000'
  if (paint.kind === 'solid') return withOpacity(paint.color, paint.opacity)
  context.notes.push(notes.effectSkipped(context.file, layer, 'gradient on text'))
  return 'stops' in paint ? withOpacity(paint.stops[0]!.color, paint.opacity) : '#000000'
}
