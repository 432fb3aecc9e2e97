import type { Surroundings } from './context.js'
import { IDENTITY, multiply, translation, type Matrix } from './matrix.js'
import { parseLength, type Style } from './style.js'
import type { XmlElement } from './xml.js'

/** The transform from a viewBox to its viewport (SVG 2, 8.2), keeping the ratio as the element says. */
export const fitViewBox = (
  viewBox: readonly number[] | undefined,
  viewport: { readonly width: number; readonly height: number },
  preserve = 'xMidYMid meet',
): Matrix => {
  if (!viewBox) return IDENTITY
  const [x = 0, y = 0, w = 0, h = 0] = viewBox
  if (!(w > 0 && h > 0)) return IDENTITY
  const [sx, sy] = [viewport.width / w, viewport.height / h]
  if (preserve.includes('none')) return [sx, 0, 0, sy, -x * sx, -y * sy]
  const s = preserve.includes('slice') ? Math.max(sx, sy) : Math.min(sx, sy)
  const share = (text: string): number => (text === 'Min' ? 0 : text === 'Max' ? 1 : 0.5)
  const [, ax = 'Mid', ay = 'Mid'] = /x(Min|Mid|Max)Y(Min|Mid|Max)/.exec(preserve) ?? []
  return [
    s,
    0,
    0,
    s,
    (viewport.width - w * s) * share(ax) - x * s,
    (viewport.height - h * s) * share(ay) - y * s,
  ]
}

/** `0 0 24 24` → numbers, when there are four. */
export const parseViewBox = (text: string | undefined): number[] | undefined => {
  const numbers = text
    ?.trim()
    .split(/[\s,]+/)
    .map(Number)
  return numbers?.length === 4 && numbers.every(Number.isFinite) ? numbers : undefined
}

/** The surroundings that the children of a container get. */
export const enter = (
  element: XmlElement,
  name: string,
  around: Surroundings,
  matrix: Matrix,
  style: Style,
): Surroundings => {
  if (name !== 'svg' && name !== 'symbol') return { ...around, matrix, style }
  const { attributes } = element
  const viewBox = parseViewBox(attributes['viewBox'])
  const length = (attribute: string, whole: number): number => {
    const value = parseLength(attributes[attribute] ?? '100%', whole)
    return Number.isFinite(value) ? value : whole
  }
  const viewport = {
    width: length('width', around.viewport.width),
    height: length('height', around.viewport.height),
  }
  const x = parseLength(attributes['x'] ?? '0') || 0
  const y = parseLength(attributes['y'] ?? '0') || 0
  const inner = multiply(
    translation(x, y),
    fitViewBox(viewBox, viewport, attributes['preserveAspectRatio']),
  )
  return {
    ...around,
    style,
    matrix: multiply(matrix, inner),
    viewport: viewBox ? { width: viewBox[2]!, height: viewBox[3]! } : viewport,
  }
}
