import { uniteBoxes, type Box } from '../../design/geometry.js'
import { boundsOfParts, parsePath, printPath, transformPath } from '../../paths/index.js'
import type { Matrix } from './matrix.js'
import { parseLength } from './style.js'
import type { XmlElement } from './xml.js'

/** A shape in its own coordinates. Numbers may be NaN: the caller checks them in one place. */
export type Shape =
  | { readonly kind: 'rectangle'; readonly box: Box; readonly rx: number; readonly ry: number }
  | { readonly kind: 'ellipse'; readonly box: Box }
  | {
      readonly kind: 'line'
      readonly x1: number
      readonly y1: number
      readonly x2: number
      readonly y2: number
    }
  | { readonly kind: 'path'; readonly d: string }

type Viewport = { readonly width: number; readonly height: number }

const pathOfPoints = (points: string, closed: boolean): string => {
  const numbers = points
    .trim()
    .split(/[\s,]+/)
    .filter(Boolean)
  const pairs: string[] = []
  for (let i = 0; i + 1 < numbers.length; i += 2) pairs.push(`${numbers[i]} ${numbers[i + 1]}`)
  return pairs.length > 0 ? `M${pairs.join('L')}${closed ? 'Z' : ''}` : ''
}

/** Whether a shape is not rendered at all, whatever its paint: one without a width or a height (SVG 2, 10.2 and 10.3). */
export const isDisabled = (shape: Shape): boolean =>
  (shape.kind === 'rectangle' || shape.kind === 'ellipse') &&
  (shape.box.width === 0 || shape.box.height === 0)

/** Reads a basic shape or path; undefined for other elements. */
export const readShape = (
  name: string,
  { attributes }: XmlElement,
  viewport: Viewport,
  fontPx = 16,
): Shape | undefined => {
  const number = (attribute: string, whole: number, fallback = '0'): number =>
    parseLength(attributes[attribute] ?? fallback, whole, fontPx)
  const { width, height } = viewport
  switch (name) {
    case 'rect': {
      const rx = attributes['rx'] ?? attributes['ry'] ?? '0'
      const ry = attributes['ry'] ?? rx
      return {
        kind: 'rectangle',
        box: {
          x: number('x', width),
          y: number('y', height),
          width: number('width', width),
          height: number('height', height),
        },
        rx: parseLength(rx, width, fontPx),
        ry: parseLength(ry, height, fontPx),
      }
    }
    case 'circle':
    case 'ellipse': {
      const r = attributes['r']
      const rx = parseLength(attributes['rx'] ?? r ?? '0', width)
      const ry = parseLength(attributes['ry'] ?? r ?? '0', height)
      const x = number('cx', width) - rx
      return {
        kind: 'ellipse',
        box: { x, y: number('cy', height) - ry, width: 2 * rx, height: 2 * ry },
      }
    }
    case 'line':
      return {
        kind: 'line',
        x1: number('x1', width),
        y1: number('y1', height),
        x2: number('x2', width),
        y2: number('y2', height),
      }
    case 'polygon':
      return { kind: 'path', d: pathOfPoints(attributes['points'] ?? '', true) }
    case 'polyline':
      return { kind: 'path', d: pathOfPoints(attributes['points'] ?? '', false) }
    case 'path':
      return { kind: 'path', d: attributes['d'] ?? '' }
    default:
      return undefined
  }
}

// The Bézier handle that draws a quarter of a circle of radius 1 best.
const KAPPA = 0.5522847498

/** A shape as path data, for the places where a box cannot hold what a transform did to it. */
export const convertShapeToPath = (shape: Shape): string => {
  switch (shape.kind) {
    case 'path':
      return shape.d
    case 'line':
      return `M${shape.x1} ${shape.y1}L${shape.x2} ${shape.y2}`
    case 'rectangle': {
      const { x, y, width: w, height: h } = shape.box
      const rx = Math.min(shape.rx, w / 2)
      const ry = Math.min(shape.ry, h / 2)
      if (!(rx > 0 && ry > 0)) return `M${x} ${y}h${w}v${h}h${-w}z`
      const arc = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`
      return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}z`
    }
    case 'ellipse': {
      const { x, y, width, height } = shape.box
      const [a, b] = [width / 2, height / 2]
      const [ka, kb] = [a * KAPPA, b * KAPPA]
      const [cx, cy] = [x + a, y + b]
      return `M${cx} ${y}C${cx + ka} ${y} ${x + width} ${cy - kb} ${x + width} ${cy}C${x + width} ${cy + kb} ${cx + ka} ${y + height} ${cx} ${y + height}C${cx - ka} ${y + height} ${x} ${cy + kb} ${x} ${cy}C${x} ${cy - kb} ${cx - ka} ${y} ${cx} ${y}Z`
    }
  }
}

/** A path cut off from its place: its box on the screen, and its data from the box's corner. */
export type PlacedPath = {
  readonly box: Box
  readonly d: string
  /** The box before the transform; worked out only when it is asked for. */
  readonly own: Box
}

/** Transforms path data; undefined when it draws nothing. */
export const placePath = (d: string, matrix: Matrix): PlacedPath | undefined => {
  const path = parsePath(d)
  if (!path) return undefined
  const [a, b, c, x, e, f] = matrix
  const isMoved = a === 1 && b === 0 && c === 0 && x === 1
  const placed = isMoved ? path : transformPath(path, matrix)
  const inside = uniteBoxes(boundsOfParts(placed))
  // Cut off from its place, a path that was only moved is as it was.
  const box = isMoved ? { ...inside, x: inside.x + e, y: inside.y + f } : inside
  if (![box.x, box.y, box.width, box.height].every(Number.isFinite)) return undefined
  return {
    box,
    d: printPath(placed, -inside.x, -inside.y),
    get own() {
      return isMoved ? inside : uniteBoxes(boundsOfParts(path))
    },
  }
}
