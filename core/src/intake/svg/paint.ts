import { formatHex, formatHex8, parse } from 'culori'
import { withOpacity } from '../../design/color.js'
import { notes } from '../../notes/catalogue.js'
import type { Box } from '../../design/geometry.js'
import type { GradientStop, Paint, Stroke } from '../../design/paint.js'
import {
  multiply,
  parseTransform,
  scaleOf,
  transformPoint,
  IDENTITY,
  type Matrix,
} from './matrix.js'
import { parseLength, resolveStyle, type Style } from './style.js'
import type { SvgContext } from './context.js'
import { isElement, localName, type XmlElement } from './xml.js'

const HEX_6 = /^#[0-9a-f]{6}$/

/** A CSS colour as `#rrggbb` or `#rrggbbaa`; undefined when it is none. */
export const parseColor = (text: string, current = '#000000'): string | undefined => {
  const value = text.trim().toLowerCase()
  if (HEX_6.test(value)) return value
  if (value === 'currentcolor') return current
  const color = parse(value)
  if (!color) return undefined
  return (color.alpha ?? 1) < 1 ? formatHex8(color) : formatHex(color)
}

const clampUnit = (value: number): number => Math.min(1, Math.max(0, value))

const parseOpacity = (text: string | undefined): number => {
  if (text === undefined) return 1
  const value = text.trim().endsWith('%') ? Number.parseFloat(text) / 100 : Number.parseFloat(text)
  return Number.isFinite(value) ? clampUnit(value) : 1
}

const common = { opacity: 1, blend: 'normal' } as const

const hrefOf = (element: XmlElement): string | undefined =>
  element.attributes['href'] ?? element.attributes['xlink:href']

/** A gradient and the ones it takes missing parts from, nearest first. */
const gradientChain = (context: SvgContext, gradient: XmlElement): XmlElement[] => {
  const chain: XmlElement[] = []
  for (let g: XmlElement | undefined = gradient; g && !chain.includes(g);) {
    chain.push(g)
    g = context.findReference(hrefOf(g))
  }
  return chain
}

const readStops = (chain: readonly XmlElement[]): GradientStop[] => {
  const owner = chain.find((g) =>
    g.children.some((c) => isElement(c) && localName(c.name) === 'stop'),
  )
  let last = 0
  return (owner?.children ?? []).flatMap((child) => {
    if (!isElement(child) || localName(child.name) !== 'stop') return []
    const style = resolveStyle(child, {})
    const color = parseColor(style['stop-color'] ?? 'black', style.color) ?? '#000000'
    const raw = parseLength(child.attributes['offset'] ?? '0', 1)
    last = Math.max(last, clampUnit(Number.isFinite(raw) ? raw : 0))
    return [{ offset: last, color: withOpacity(color, parseOpacity(style['stop-opacity'])) }]
  })
}

/** Box of the painted shape in its own coordinates, and the transform from there to the screen. */
export type PaintedShape = { readonly own: Box; readonly matrix: Matrix; readonly placed: Box }

const readGradient = (
  context: SvgContext,
  gradient: XmlElement,
  shape: PaintedShape,
): Paint | undefined => {
  const chain = gradientChain(context, gradient)
  const attribute = (name: string): string | undefined =>
    chain.find((g) => g.attributes[name] !== undefined)?.attributes[name]
  let stops = readStops(chain)
  if (stops.length === 0) return undefined
  if (stops.length === 1) stops = [stops[0]!, { ...stops[0]!, offset: 1 }]

  const { own, placed } = shape
  const inUserSpace = attribute('gradientUnits') === 'userSpaceOnUse'
  const toUser: Matrix = inUserSpace ? IDENTITY : [own.width, 0, 0, own.height, own.x, own.y]
  const transform = parseTransform(attribute('gradientTransform') ?? '') ?? IDENTITY
  const toScreen = multiply(shape.matrix, multiply(toUser, transform))
  const whole = inUserSpace ? { x: own.width, y: own.height } : { x: 1, y: 1 }
  const number = (name: string, fallback: string, axis: 'x' | 'y'): number => {
    const value = parseLength(attribute(name) ?? fallback, whole[axis])
    return Number.isFinite(value) ? value : 0
  }
  const toUnit = (x: number, y: number) => {
    const p = transformPoint(toScreen, { x, y })
    return {
      x: Math.round(((p.x - placed.x) / (placed.width || 1)) * 1e4) / 1e4,
      y: Math.round(((p.y - placed.y) / (placed.height || 1)) * 1e4) / 1e4,
    }
  }
  if (localName(gradient.name) === 'linearGradient') {
    return {
      kind: 'linear',
      from: toUnit(number('x1', '0%', 'x'), number('y1', '0%', 'y')),
      to: toUnit(number('x2', '100%', 'x'), number('y2', '0%', 'y')),
      stops,
      ...common,
    }
  }
  const cx = number('cx', '50%', 'x')
  const cy = number('cy', '50%', 'y')
  const r = number('r', '50%', 'x')
  const centre = toUnit(cx, cy)
  const right = toUnit(cx + r, cy)
  const bottom = toUnit(cx, cy + r)
  return {
    kind: 'radial',
    centre,
    radius: {
      x: Math.hypot(
        right.x - centre.x,
        ((right.y - centre.y) * placed.height) / (placed.width || 1),
      ),
      y: Math.hypot(
        bottom.y - centre.y,
        ((bottom.x - centre.x) * placed.width) / (placed.height || 1),
      ),
    },
    stops,
    ...common,
  }
}

/** Reads a `fill` or `stroke` value; undefined when nothing is painted. */
const readPaint = (
  context: SvgContext,
  layer: string,
  value: string,
  opacity: number,
  style: Style,
  shape: PaintedShape,
): Paint | undefined => {
  if (value === 'none' || value === 'transparent') return undefined
  if (value.startsWith('url(')) {
    const target = context.findReference(value)
    const kind = target && localName(target.name)
    const gradient =
      kind === 'linearGradient' || kind === 'radialGradient'
        ? readGradient(context, target!, shape)
        : undefined
    if (gradient) return { ...gradient, opacity }
    const fallback = value.replace(/^url\([^)]*\)\s*/, '')
    const color = fallback && fallback !== 'none' ? parseColor(fallback, style.color) : undefined
    if (color) return { kind: 'solid', color, ...common, opacity }
    if (fallback !== 'none') context.notes.push(notes.paintSkipped(context.file, layer, value))
    return undefined
  }
  const color = parseColor(value, parseColor(style.color ?? '#000000'))
  if (!color) {
    context.notes.push(notes.paintSkipped(context.file, layer, value))
    return undefined
  }
  return { kind: 'solid', color, ...common, opacity }
}

export const readFills = (
  context: SvgContext,
  layer: string,
  style: Style,
  shape: PaintedShape,
): Paint[] => {
  const opacity = parseOpacity(style['fill-opacity'])
  const paint = readPaint(context, layer, style.fill ?? '#000000', opacity, style, shape)
  return paint ? [paint] : []
}

export const readStrokes = (
  context: SvgContext,
  layer: string,
  style: Style,
  shape: PaintedShape,
): Stroke[] => {
  const value = style.stroke
  if (!value || value === 'none') return []
  const scale = scaleOf(shape.matrix)
  const width = parseLength(style['stroke-width'] ?? '1') * scale
  if (!(width > 0) || width > 10_000) return []
  const opacity = parseOpacity(style['stroke-opacity'])
  const paint = readPaint(context, layer, value, opacity, style, shape)
  if (!paint) return []
  const dash = (style['stroke-dasharray'] ?? '')
    .split(/[\s,]+/)
    .map((v) => parseLength(v) * scale)
    .filter((v) => Number.isFinite(v) && v >= 0)
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

export const readOpacity = (style: Style): number => parseOpacity(style.opacity)

/** The colour that text is filled with; a gradient gives its first stop, with a note. */
export const readTextColor = (context: SvgContext, layer: string, style: Style): string => {
  const nowhere: PaintedShape = {
    own: { x: 0, y: 0, width: 1, height: 1 },
    matrix: IDENTITY,
    placed: { x: 0, y: 0, width: 1, height: 1 },
  }
  const paint = readFills(context, layer, style, nowhere)[0]
  if (!paint) return '#00000000'
  if (paint.kind === 'solid') return withOpacity(paint.color, paint.opacity)
  context.notes.push(notes.effectSkipped(context.file, layer, 'gradient on text'))
  return 'stops' in paint ? withOpacity(paint.stops[0]!.color, paint.opacity) : '#000000'
}
