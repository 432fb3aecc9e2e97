import type { Box, Point } from '../../design/geometry.js'

/** An affine transform: x' = a·x + c·y + e, y' = b·x + d·y + f (as in SVG's `matrix()`). */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number]

export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0]

/** First `inner`, then `outer`. */
export const multiply = (outer: Matrix, inner: Matrix): Matrix => {
  const [a, b, c, d, e, f] = outer
  const [a2, b2, c2, d2, e2, f2] = inner
  return [
    a * a2 + c * b2,
    b * a2 + d * b2,
    a * c2 + c * d2,
    b * c2 + d * d2,
    a * e2 + c * f2 + e,
    b * e2 + d * f2 + f,
  ]
}

export const translation = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y]

export const transformPoint = ([a, b, c, d, e, f]: Matrix, { x, y }: Point): Point => ({
  x: a * x + c * y + e,
  y: b * x + d * y + f,
})

/** How much lengths grow: the square root of how much areas grow. */
export const scaleOf = ([a, b, c, d]: Matrix): number => Math.sqrt(Math.abs(a * d - b * c))

const near = (value: number): boolean => Math.abs(value) < 1e-6

/**
 * What a transform does to a box:
 * - `aligned`: it stays upright; - `rotated`: it is turned but keeps right angles; - `skewed`: neither.
 */
export type Placement =
  | {
      readonly kind: 'aligned'
      /** Turned left to right or upside down, which shows in texts and pictures. */
      readonly isMirrored: boolean
      readonly box: Box
      readonly scaleX: number
      readonly scaleY: number
    }
  | {
      readonly kind: 'rotated'
      readonly box: Box
      readonly rotationDeg: number
      readonly scaleX: number
      readonly scaleY: number
    }
  | { readonly kind: 'skewed' }

export const placeBox = (matrix: Matrix, box: Box): Placement => {
  const [a, b, c, d] = matrix
  if (near(b) && near(c) && (a > 0 || d > 0)) {
    const p = transformPoint(matrix, box)
    const width = box.width * a
    const height = box.height * d
    return {
      kind: 'aligned',
      isMirrored: a < 0 || d < 0,
      box: {
        x: Math.min(p.x, p.x + width),
        y: Math.min(p.y, p.y + height),
        width: Math.abs(width),
        height: Math.abs(height),
      },
      scaleX: Math.abs(a),
      scaleY: Math.abs(d),
    }
  }
  const scaleX = Math.hypot(a, b)
  const scaleY = Math.hypot(c, d)
  const isRightAngled = near((a * c + b * d) / (scaleX * scaleY || 1))
  if (!isRightAngled || a * d - b * c <= 0) return { kind: 'skewed' }
  const centre = transformPoint(matrix, { x: box.x + box.width / 2, y: box.y + box.height / 2 })
  const width = box.width * scaleX
  const height = box.height * scaleY
  return {
    kind: 'rotated',
    box: { x: centre.x - width / 2, y: centre.y - height / 2, width, height },
    rotationDeg: Math.round(((Math.atan2(b, a) * 180) / Math.PI) * 1000) / 1000,
    scaleX,
    scaleY,
  }
}

const RADIANS_PER_DEGREE = Math.PI / 180

const FUNCTIONS: Readonly<Record<string, (v: readonly number[]) => Matrix | undefined>> = {
  matrix: (v) => (v.length === 6 ? [v[0]!, v[1]!, v[2]!, v[3]!, v[4]!, v[5]!] : undefined),
  translate: ([x = 0, y = 0]) => translation(x, y),
  scale: ([x = 1, y = x]) => [x, 0, 0, y, 0, 0],
  rotate: ([degrees = 0, x = 0, y = 0]) => {
    const cos = Math.cos(degrees * RADIANS_PER_DEGREE)
    const sin = Math.sin(degrees * RADIANS_PER_DEGREE)
    const turn: Matrix = [cos, sin, -sin, cos, 0, 0]
    return multiply(multiply(translation(x, y), turn), translation(-x, -y))
  },
  skewX: ([degrees = 0]) => [1, 0, Math.tan(degrees * RADIANS_PER_DEGREE), 1, 0, 0],
  skewY: ([degrees = 0]) => [1, Math.tan(degrees * RADIANS_PER_DEGREE), 0, 1, 0, 0],
}

/** Reads a `transform` attribute; undefined when it is not one. */
export const parseTransform = (text: string): Matrix | undefined => {
  let result = IDENTITY
  for (const [, name, list] of text.matchAll(/([a-zA-Z]+)\s*\(([^)]*)\)/g)) {
    const values = list!
      .split(/[\s,]+/)
      .filter(Boolean)
      .map((v) => Number.parseFloat(v))
    const next = FUNCTIONS[name!]?.(values)
    if (!next || next.some((v) => !Number.isFinite(v))) return undefined
    result = multiply(result, next)
  }
  return result
}
