import { arcToCubics } from './arc.js'
import { A, arityOf, C, H, L, M, Q, S, T, V, Z, type Path } from './parse.js'

/** x' = a·x + c·y + e, y' = b·x + d·y + f. */
type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number]

const transformUpright = ({ codes, values }: Path, [a, , , d, e, f]: Affine): Path => {
  const out = new Array<number>(values.length)
  let at = 0
  for (const code of codes) {
    if (code === A) {
      const isMirrored = a * d < 0
      out[at] = values[at]! * Math.abs(a)
      out[at + 1] = values[at + 1]! * Math.abs(d)
      out[at + 2] = isMirrored ? -values[at + 2]! : values[at + 2]!
      out[at + 3] = values[at + 3]!
      out[at + 4] = isMirrored ? 1 - values[at + 4]! : values[at + 4]!
      out[at + 5] = a * values[at + 5]! + e
      out[at + 6] = d * values[at + 6]! + f
    } else if (code === H) out[at] = a * values[at]! + e
    else if (code === V) out[at] = d * values[at]! + f
    else {
      for (let i = at; i < at + arityOf(code); i += 2) {
        out[i] = a * values[i]! + e
        out[i + 1] = d * values[i + 1]! + f
      }
    }
    at += arityOf(code)
  }
  return { codes, values: out }
}

/** Turned or skewed, a horizontal line is horizontal no longer, and an arc is written as curves. */
const transformFreely = ({ codes, values }: Path, [a, b, c, d, e, f]: Affine): Path => {
  const newCodes: number[] = []
  const out: number[] = []
  let at = 0
  let [x, y, startX, startY] = [0, 0, 0, 0]
  const add = (px: number, py: number): void => {
    out.push(a * px + c * py + e, b * px + d * py + f)
  }
  let before = 0
  for (const code of codes) {
    const arity = arityOf(code)
    const end = at + arity
    if (before === A && (code === S || code === T)) {
      // After an arc there is no handle to mirror; after the curves that stand for it there would be.
      newCodes.push(code === S ? C : Q)
      add(x, y)
      for (let i = at; i < end; i += 2) add(values[i]!, values[i + 1]!)
      x = values[end - 2]!
      y = values[end - 1]!
    } else if (code === H || code === V) {
      if (code === H) x = values[at]!
      else y = values[at]!
      newCodes.push(L)
      add(x, y)
    } else if (code === A) {
      const v = values.slice(at, end) as [number, number, number, number, number, number, number]
      const cubics = arcToCubics(x, y, v[0], v[1], v[2], v[3] === 1, v[4] === 1, v[5], v[6])
      for (let i = 0; i < cubics.length; i += 6) newCodes.push(C)
      for (let i = 0; i < cubics.length; i += 2) add(cubics[i]!, cubics[i + 1]!)
      ;[x, y] = [v[5], v[6]]
    } else {
      newCodes.push(code)
      for (let i = at; i < end; i += 2) add(values[i]!, values[i + 1]!)
      if (code === Z) [x, y] = [startX, startY]
      else {
        x = values[end - 2]!
        y = values[end - 1]!
      }
      if (code === M) [startX, startY] = [x, y]
    }
    at = end
    before = code
  }
  return { codes: newCodes, values: out }
}

/** Moves, scales, turns or skews a path. */
export const transformPath = (path: Path, matrix: Affine): Path => {
  const [a, b, c, d] = matrix
  const hasTurnedArc = b === 0 && c === 0 && a !== d && path.codes.includes(A)
  // An ellipse on its side does not stay one with the same angle when its axes are scaled differently.
  return b === 0 && c === 0 && !hasTurnedArc
    ? transformUpright(path, matrix)
    : transformFreely(path, matrix)
}
