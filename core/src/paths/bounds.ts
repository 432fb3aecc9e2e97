import type { Box } from '../design/geometry.js'
import { arcToCubics } from './arc.js'
import { A, arityOf, C, H, L, M, Q, S, T, V, type Path } from './parse.js'

/** Grows to hold what it is given. */
class Bounds {
  left = Infinity
  top = Infinity
  right = -Infinity
  bottom = -Infinity

  add(x: number, y: number): void {
    if (x < this.left) this.left = x
    if (x > this.right) this.right = x
    if (y < this.top) this.top = y
    if (y > this.bottom) this.bottom = y
  }

  holds(x: number, y: number): boolean {
    return x >= this.left && x <= this.right && y >= this.top && y <= this.bottom
  }

  toBox(): Box {
    return {
      x: this.left,
      y: this.top,
      width: this.right - this.left,
      height: this.bottom - this.top,
    }
  }
}

/** Where a cubic turns back along one axis: the zeros of its derivative between 0 and 1. */
const turnsOf = (p0: number, p1: number, p2: number, p3: number): number[] => {
  const a = 3 * (-p0 + 3 * p1 - 3 * p2 + p3)
  const b = 6 * (p0 - 2 * p1 + p2)
  const c = 3 * (p1 - p0)
  const found: number[] = []
  const add = (t: number): void => {
    if (t > 0 && t < 1) found.push(t)
  }
  // Of a quadratic curve written as a cubic one, only rounding is left of `a`.
  if (Math.abs(a) < 1e-9 * (Math.abs(b) + Math.abs(c))) {
    if (b !== 0) add(-c / b)
    return found
  }
  const inside = b * b - 4 * a * c
  if (inside < 0) return found
  // Not the school formula for both: it loses all digits of the smaller root.
  const q = -(b + (b < 0 ? -1 : 1) * Math.sqrt(inside)) / 2
  add(q / a)
  if (q !== 0) add(c / q)
  return found
}

const pointOn = (t: number, p0: number, p1: number, p2: number, p3: number): number => {
  const u = 1 - t
  return u * u * u * p0 + 3 * u * u * t * p1 + 3 * u * t * t * p2 + t * t * t * p3
}

const addCubic = (
  bounds: Bounds,
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  x3: number,
  y3: number,
): void => {
  bounds.add(x3, y3)
  // A curve stays inside the hull of its points: mostly there is nothing more to find.
  if (bounds.holds(x1, y1) && bounds.holds(x2, y2)) return
  for (const t of turnsOf(x0, x1, x2, x3)) {
    bounds.add(pointOn(t, x0, x1, x2, x3), pointOn(t, y0, y1, y2, y3))
  }
  for (const t of turnsOf(y0, y1, y2, y3)) {
    bounds.add(pointOn(t, x0, x1, x2, x3), pointOn(t, y0, y1, y2, y3))
  }
}

/** The box of each stretch that begins with a move. */
export const boundsOfParts = ({ codes, values }: Path): Box[] => {
  const parts: Bounds[] = []
  let bounds = new Bounds()
  let at = 0
  let [x, y, startX, startY] = [0, 0, 0, 0]
  // The handle that a smooth command mirrors.
  let [handleX, handleY] = [0, 0]
  let before = 0
  for (const code of codes) {
    switch (code) {
      case M:
        bounds = new Bounds()
        parts.push(bounds)
        x = startX = values[at]!
        y = startY = values[at + 1]!
        bounds.add(x, y)
        break
      case L:
        bounds.add((x = values[at]!), (y = values[at + 1]!))
        break
      case H:
        bounds.add((x = values[at]!), y)
        break
      case V:
        bounds.add(x, (y = values[at]!))
        break
      case C:
        addCubic(
          bounds,
          x,
          y,
          values[at]!,
          values[at + 1]!,
          values[at + 2]!,
          values[at + 3]!,
          values[at + 4]!,
          values[at + 5]!,
        )
        ;[handleX, handleY, x, y] = [
          values[at + 2]!,
          values[at + 3]!,
          values[at + 4]!,
          values[at + 5]!,
        ]
        break
      case S: {
        const mirrors = before === C || before === S
        const [x1, y1] = mirrors ? [2 * x - handleX, 2 * y - handleY] : [x, y]
        addCubic(
          bounds,
          x,
          y,
          x1,
          y1,
          values[at]!,
          values[at + 1]!,
          values[at + 2]!,
          values[at + 3]!,
        )
        ;[handleX, handleY, x, y] = [values[at]!, values[at + 1]!, values[at + 2]!, values[at + 3]!]
        break
      }
      case Q:
      case T: {
        const mirrors = before === Q || before === T
        if (code === Q) [handleX, handleY] = [values[at]!, values[at + 1]!]
        else if (mirrors) [handleX, handleY] = [2 * x - handleX, 2 * y - handleY]
        else [handleX, handleY] = [x, y]
        const [toX, toY] =
          code === Q ? [values[at + 2]!, values[at + 3]!] : [values[at]!, values[at + 1]!]
        const third = (from: number, handle: number): number => from + (2 / 3) * (handle - from)
        addCubic(
          bounds,
          x,
          y,
          third(x, handleX),
          third(y, handleY),
          third(toX, handleX),
          third(toY, handleY),
          toX,
          toY,
        )
        ;[x, y] = [toX, toY]
        break
      }
      case A: {
        const cubics = arcToCubics(
          x,
          y,
          values[at]!,
          values[at + 1]!,
          values[at + 2]!,
          values[at + 3]! === 1,
          values[at + 4]! === 1,
          values[at + 5]!,
          values[at + 6]!,
        )
        for (let i = 0; i < cubics.length; i += 6) {
          const [x1, y1, x2, y2, x3, y3] = cubics.slice(i, i + 6) as [
            number,
            number,
            number,
            number,
            number,
            number,
          ]
          addCubic(bounds, x, y, x1, y1, x2, y2, x3, y3)
          ;[x, y] = [x3, y3]
        }
        ;[x, y] = [values[at + 5]!, values[at + 6]!]
        break
      }
      default:
        ;[x, y] = [startX, startY]
    }
    before = code
    at += arityOf(code)
  }
  return parts.map((part) => part.toBox())
}
