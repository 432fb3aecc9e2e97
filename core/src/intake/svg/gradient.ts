import { withOpacity } from '../../design/color.js'
import type { Box, Point } from '../../design/geometry.js'
import type { GradientStop, Paint } from '../../design/paint.js'
import { notes } from '../../notes/catalogue.js'
import type { SvgContext } from './context.js'
import { parseColor, parseOpacity } from './color.js'
import { IDENTITY, multiply, parseTransform, transformPoint, type Matrix } from './matrix.js'
import { parseLength } from './style.js'
import { hrefOf, isElement, localName, type XmlElement } from './xml.js'

/** Box of the painted shape in its own coordinates, where that lies on the screen, and the way there. */
export type PaintedShape = { readonly own: Box; readonly matrix: Matrix; readonly placed: Box }

/** A gradient or pattern and the ones it takes missing parts from, nearest first. */
export const referenceChain = (context: SvgContext, element: XmlElement): XmlElement[] => {
  const chain: XmlElement[] = []
  for (let g: XmlElement | undefined = element; g && !chain.includes(g);) {
    chain.push(g)
    g = context.findReference(hrefOf(g))
  }
  return chain
}

const clampUnit = (value: number): number => Math.min(1, Math.max(0, value))

const readStops = (context: SvgContext, chain: readonly XmlElement[]): GradientStop[] => {
  const owner = chain.find((g) =>
    g.children.some((c) => isElement(c) && localName(c.name) === 'stop'),
  )
  let last = 0
  return (owner?.children ?? []).flatMap((child) => {
    if (!isElement(child) || localName(child.name) !== 'stop') return []
    const style = context.resolveStyle(child, {})
    const current = parseColor(style.color ?? '#000000')
    const color = parseColor(style['stop-color'] ?? 'black', current) ?? '#000000'
    const raw = parseLength(child.attributes['offset'] ?? '0', 1)
    last = Math.max(last, clampUnit(Number.isFinite(raw) ? raw : 0))
    return [{ offset: last, color: withOpacity(color, parseOpacity(style['stop-opacity'])) }]
  })
}

const round = (value: number): number => Math.round(value * 1e4) / 1e4 || 0

/** A place on the screen in fractions of the shape's box. */
const toFraction = (p: Point, box: Box): Point => ({
  x: round((p.x - box.x) / (box.width || 1)),
  y: round((p.y - box.y) / (box.height || 1)),
})

/**
 * The half axes of the ellipse that a transform makes of a circle, and how far they are turned: the
 * singular values of its linear part.
 */
const axesOf = ([a, b, c, d]: Matrix, r: number): { x: number; y: number; deg: number } => {
  const [e, f, g, h] = [(a + d) / 2, (a - d) / 2, (b + c) / 2, (b - c) / 2]
  const [q, s] = [Math.hypot(e, h), Math.hypot(f, g)]
  const turn = (Math.atan2(h, e) + Math.atan2(g, f)) / 2
  let deg = Math.round(((turn * 180) / Math.PI) * 100) / 100 || 0
  let [x, y] = [(q + s) * r, Math.abs(q - s) * r]
  if (Math.abs(x - y) < 1e-6) deg = 0
  // A quarter turn is the same as the axes the other way round.
  if (Math.abs(Math.abs(deg) - 90) < 0.01) [x, y, deg] = [y, x, 0]
  if (Math.abs(Math.abs(deg) - 180) < 0.01) deg = 0
  return { x, y, deg }
}

const common = { opacity: 1, blend: 'normal' } as const

/** Reads a linear or radial gradient as it falls on a shape; undefined when it has no stops. */
export const readGradient = (
  context: SvgContext,
  layer: string,
  gradient: XmlElement,
  shape: PaintedShape,
): Paint | undefined => {
  const chain = referenceChain(context, gradient)
  const attribute = (name: string): string | undefined =>
    chain.find((g) => g.attributes[name] !== undefined)?.attributes[name]
  let stops = readStops(context, chain)
  if (stops.length === 0) return undefined
  if (stops.length === 1) stops = [stops[0]!, { ...stops[0]!, offset: 1 }]
  const spread = attribute('spreadMethod') ?? 'pad'
  if (spread !== 'pad') {
    context.notes.push(notes.effectSkipped(context.file, layer, `gradient spread ${spread}`))
  }

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
  if (localName(gradient.name) === 'linearGradient') {
    const start = { x: number('x1', '0%', 'x'), y: number('y1', '0%', 'y') }
    const end = { x: number('x2', '100%', 'x'), y: number('y2', '0%', 'y') }
    const from = transformPoint(toScreen, start)
    const to = transformPoint(toScreen, end)
    // Lines of one colour stand at right angles to the gradient in its own space. A transform that skews
    // leaves them parallel but slanted; the gradient with the same lines on the screen ends elsewhere.
    const [a, b, c, d] = toScreen
    const across = { x: -(end.y - start.y), y: end.x - start.x }
    const line = { x: a * across.x + c * across.y, y: b * across.x + d * across.y }
    const normal = { x: -line.y, y: line.x }
    const length = normal.x ** 2 + normal.y ** 2
    const share =
      length === 0 ? 0 : ((to.x - from.x) * normal.x + (to.y - from.y) * normal.y) / length
    const straight = { x: from.x + normal.x * share, y: from.y + normal.y * share }
    return {
      kind: 'linear',
      from: toFraction(from, placed),
      to: toFraction(length === 0 ? to : straight, placed),
      stops,
      ...common,
    }
  }
  const centre = { x: number('cx', '50%', 'x'), y: number('cy', '50%', 'y') }
  const focus = {
    x: number('fx', attribute('cx') ?? '50%', 'x'),
    y: number('fy', attribute('cy') ?? '50%', 'y'),
  }
  const axes = axesOf(toScreen, number('r', '50%', 'x'))
  const isOffCentre = focus.x !== centre.x || focus.y !== centre.y
  return {
    kind: 'radial',
    centre: toFraction(transformPoint(toScreen, centre), placed),
    radius: { x: round(axes.x / (placed.width || 1)), y: round(axes.y / (placed.height || 1)) },
    rotationDeg: axes.deg,
    ...(isOffCentre ? { focus: toFraction(transformPoint(toScreen, focus), placed) } : {}),
    stops,
    ...common,
  }
}
