import type { Corners } from '../design/geometry.js'
import { A, C, H, L, M, parsePath, V, Z, type Path } from './parse.js'

type RectangleShape = { readonly width: number; readonly height: number; readonly corners: Corners }

type Segment = {
  readonly kind: 'line' | 'corner'
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
}

// Files round to two decimals, and curves stand in for arcs.
const NEAR_PX = 0.05
/** Control points of a cubic that draws a quarter circle lie at this share of the radius. */
const KAPPA = 0.5523
const KAPPA_SLACK = 0.03

const isNear = (a: number, b: number): boolean => Math.abs(a - b) <= NEAR_PX

const isQuarterCurve = (x: number, y: number, v: readonly number[]): boolean => {
  const [cx1, cy1, cx2, cy2, ex, ey] = v as [number, number, number, number, number, number]
  const [dx, dy] = [ex - x, ey - y]
  const share = (from: number, to: number): number => (to === 0 ? 0 : from / to)
  const first = [share(cx1 - x, dx), share(cy1 - y, dy)]
  const second = [share(ex - cx2, dx), share(ey - cy2, dy)]
  const isKappa = (s: number): boolean => Math.abs(s - KAPPA) <= KAPPA_SLACK
  const isZero = (s: number): boolean => Math.abs(s) <= KAPPA_SLACK
  return (
    (isKappa(first[0]!) && isZero(first[1]!) && isZero(second[0]!) && isKappa(second[1]!)) ||
    (isZero(first[0]!) && isKappa(first[1]!) && isKappa(second[0]!) && isZero(second[1]!))
  )
}

/** The one closed outline of a path as straight lines and quarter circles; undefined when it has others. */
const readSegments = ({ codes, values }: Path): Segment[] | undefined => {
  const segments: Segment[] = []
  let [x, y, startX, startY] = [0, 0, 0, 0]
  let at = 0
  const add = (kind: Segment['kind'], toX: number, toY: number): void => {
    if (!isNear(x, toX) || !isNear(y, toY)) segments.push({ kind, x1: x, y1: y, x2: toX, y2: toY })
    x = toX
    y = toY
  }
  for (const [i, code] of codes.entries()) {
    if (code === M) {
      if (i > 0) return undefined
      ;[x, y] = [values[at]!, values[at + 1]!]
      ;[startX, startY] = [x, y]
      at += 2
    } else if (code === L) {
      add('line', values[at]!, values[at + 1]!)
      at += 2
    } else if (code === H) add('line', values[at++]!, y)
    else if (code === V) add('line', x, values[at++]!)
    else if (code === A) {
      const [rx, ry, , large, , ex, ey] = values.slice(at, at + 7) as number[]
      const isQuarter =
        !large &&
        isNear(rx!, ry!) &&
        isNear(Math.abs(ex! - x), rx!) &&
        isNear(Math.abs(ey! - y), rx!)
      if (!isQuarter) return undefined
      add('corner', ex!, ey!)
      at += 7
    } else if (code === C) {
      const curve = values.slice(at, at + 6)
      const isRound = isNear(Math.abs(curve[4]! - x), Math.abs(curve[5]! - y))
      if (!isRound || !isQuarterCurve(x, y, curve)) return undefined
      add('corner', curve[4]!, curve[5]!)
      at += 6
    } else if (code === Z) {
      if (i < codes.length - 1) return undefined
      add('line', startX, startY)
    } else return undefined
  }
  return isNear(x, startX) && isNear(y, startY) ? segments : undefined
}

/**
 * An upright rectangle, each corner sharp or a quarter circle, that is written as a path; undefined when the
 * path is anything else. The path's box begins at 0, 0.
 */
export const readRectanglePath = (d: string): RectangleShape | undefined => {
  // Longer data draws something else, and need not be read a second time.
  if (d.length > 400) return undefined
  const path = parsePath(d)
  const segments = path && readSegments(path)
  if (!segments || segments.length < 4 || segments.length > 8) return undefined
  const xs = segments.flatMap((s) => [s.x1, s.x2])
  const ys = segments.flatMap((s) => [s.y1, s.y2])
  const [left, top, right, bottom] = [
    Math.min(...xs),
    Math.min(...ys),
    Math.max(...xs),
    Math.max(...ys),
  ]
  const corners = { topLeft: 0, topRight: 0, bottomRight: 0, bottomLeft: 0 }
  const onX = (x: number): 'left' | 'right' | undefined =>
    isNear(x, left) ? 'left' : isNear(x, right) ? 'right' : undefined
  const onY = (y: number): 'top' | 'bottom' | undefined =>
    isNear(y, top) ? 'top' : isNear(y, bottom) ? 'bottom' : undefined
  let length = 0
  for (const { kind, x1, y1, x2, y2 } of segments) {
    if (kind === 'line') {
      const isOnEdge =
        (isNear(x1, x2) && onX(x1) !== undefined) || (isNear(y1, y2) && onY(y1) !== undefined)
      if (!isOnEdge) return undefined
      length += Math.abs(x2 - x1) + Math.abs(y2 - y1)
      continue
    }
    // A corner joins a side with the top or the bottom.
    const x = onX(x1) && !onY(y1) ? onX(x1) : onX(x2)
    const y = onY(y1) && !onX(x1) ? onY(y1) : onY(y2)
    if (!x || !y) return undefined
    const name = `${y}${x === 'left' ? 'Left' : 'Right'}` as keyof Corners
    const radius = Math.abs(x2 - x1)
    if (corners[name] > 0) return undefined
    corners[name] = radius
    length += 2 * radius
  }
  const [width, height] = [right - left, bottom - top]
  const isWhole = Math.abs(length - 2 * (width + height)) <= 8 * NEAR_PX
  return isWhole && width > 0 && height > 0 ? { width, height, corners } : undefined
}
