import { resolveCorners, type Box } from '../design/geometry.js'
import type { Layer } from '../design/layer.js'
import type { Paint } from '../design/paint.js'
import { element, formatNumber } from './svg-writer.js'

const radiusOf = (layer: Layer): string => {
  if (layer.type === 'ellipse') return '50%'
  const { topLeft, topRight, bottomRight, bottomLeft } = resolveCorners(
    'radius' in layer ? layer.radius : 0,
  )
  return [topLeft, topRight, bottomRight, bottomLeft].map((r) => `${formatNumber(r)}px`).join(' ')
}

/** A box of CSS inside the drawing, for what SVG itself cannot paint. `style` holds numbers and colours only. */
const drawBox = ({ width, height }: Box, style: string): string =>
  element(
    'foreignObject',
    { width, height },
    element('div', {
      xmlns: 'http://www.w3.org/1999/xhtml',
      style: `width:${formatNumber(width)}px;height:${formatNumber(height)}px;${style}`,
    }),
  )

/** A gradient that runs round a centre. */
export const drawAngular = (
  layer: Layer,
  paint: Extract<Paint, { kind: 'angular' }>,
  clip?: string,
): string => {
  const percent = (share: number): string => `${formatNumber(share * 100)}%`
  const stops = paint.stops.map((s) => `${s.color} ${percent(s.offset)}`).join(',')
  const gradient = `conic-gradient(from ${formatNumber(paint.angleDeg)}deg at ${percent(paint.centre.x)} ${percent(paint.centre.y)},${stops})`
  const box = drawBox(
    layer.box,
    `background:${gradient};opacity:${formatNumber(paint.opacity)};border-radius:${radiusOf(layer)}`,
  )
  return clip ? element('g', { 'clip-path': clip }, box) : box
}

/** What lies behind the layer, blurred. */
export const drawBackdrop = (layer: Layer, radius: number, clip?: string): string => {
  const box = drawBox(
    layer.box,
    `backdrop-filter:blur(${formatNumber(radius)}px);border-radius:${radiusOf(layer)}`,
  )
  return clip ? element('g', { 'clip-path': clip }, box) : box
}
