import { INFERRED } from '../design/node-key.js'
import { containsBox, uniteBoxes, type Box } from '../design/geometry.js'
import { PLAIN_LAYER } from '../design/plain-layer.js'
import type { GroupLayer, Layer, LineLayer } from '../design/layer.js'
import type { Piece } from './pieces.js'

// Parts of one picture touch or overlap; pictures in a row stand further apart.
const TOUCHING_PX = 2
/** Parts of a large picture may stand apart by this share of its size. */
const APART_SHARE = 0.06
/** How many pictures may be in the making at a time. Parts of one are painted one after the other. */
const OPEN_PICTURES = 6

const isNear = (a: Box, b: Box): boolean => {
  const apart = Math.max(TOUCHING_PX, APART_SHARE * Math.max(a.width, a.height, b.width, b.height))
  return (
    a.x <= b.x + b.width + apart &&
    b.x <= a.x + a.width + apart &&
    a.y <= b.y + b.height + apart &&
    b.y <= a.y + a.height + apart
  )
}

/** Signs are no larger, in px. */
const SIGN_PX = 40

const isSmall = ({ width, height }: Box): boolean => Math.max(width, height) <= SIGN_PX

/**
 * Whether a circle or rectangle is drawn with a vector as one sign: both are small, and neither holds the other. A tick in a
 * box is no such thing.
 */
const isPartOfSign = (surface: Box, vector: Box): boolean =>
  isSmall(uniteBoxes([surface, vector])) &&
  isNear(surface, vector) &&
  !containsBox(surface, vector, 1) &&
  !containsBox(vector, surface, 1)

/** Several vectors as one: a group that is drawn as a whole. */
const joinVectors = (parts: readonly Piece[]): Piece => {
  const first = parts[0]!
  const box = uniteBoxes(parts.map((part) => part.box))
  const group: GroupLayer = {
    type: 'group',
    key: `${first.layer.key}${INFERRED}`,
    name: first.layer.name,
    box,
    ...PLAIN_LAYER,
    children: parts.map(({ layer, box: at }): Layer => {
      const inner = { ...at, x: at.x - box.x, y: at.y - box.y }
      return { ...layer, box: inner }
    }),
  }
  return {
    layer: group,
    box,
    kind: 'graphic',
    order: first.order,
    absorbed: parts.map((part) => part.layer.key),
  }
}

/** Vectors that touch and are painted one after the other are parts of one picture. */
export const joinLooseVectors = (pieces: readonly Piece[]): Piece[] => {
  type Picture = { parts: Piece[]; box: Box }
  let open: Picture[] = []
  const pictures: Picture[] = []
  pieces.forEach((piece, i) => {
    if (piece.kind === 'text' || piece.kind === 'image' || piece.kind === 'block') open = []
    if (piece.kind === 'surface') {
      const around = open.find(
        ({ box }) => containsBox(box, piece.box, 1) || isPartOfSign(piece.box, box),
      )
      around?.parts.push(piece)
    }
    if (piece.kind !== 'graphic') return
    const near = open.filter((picture) => isNear(picture.box, piece.box))
    const before = pieces[i - 1]
    const start =
      near.length === 0 && before?.kind === 'surface' && isPartOfSign(before.box, piece.box)
        ? [before]
        : []
    const parts = [...near.flatMap((picture) => picture.parts), ...start, piece]
    const joined = { parts, box: uniteBoxes(parts.map(({ box }) => box)) }
    open = [joined, ...open.filter((picture) => !near.includes(picture))].slice(0, OPEN_PICTURES)
    for (const gone of near) pictures.splice(pictures.indexOf(gone), 1)
    pictures.push(joined)
  })
  const joined = pictures.filter((picture) => picture.parts.length > 1)
  if (joined.length === 0) return [...pieces]
  const gone = new Set<Piece>()
  const made = new Map<Piece, Piece>()
  for (const { parts } of joined) {
    const inOrder = [...parts].sort((a, b) => a.order - b.order)
    inOrder.forEach((part) => gone.add(part))
    made.set(inOrder[0]!, joinVectors(inOrder))
  }
  return pieces.flatMap((piece) => made.get(piece) ?? (gone.has(piece) ? [] : piece))
}

const lookOf = (line: LineLayer): string => JSON.stringify([line.strokes, line.opacity, line.blend])

/** Level lines of one look that continue each other are one line, as the borders of table cells are. */
export const joinLines = (pieces: readonly Piece[]): Piece[] => {
  const rows = new Map<string, Piece[]>()
  for (const piece of pieces) {
    const { layer, box } = piece
    if (layer.type !== 'line' || box.height > box.width) continue
    const key = `${Math.round(box.y * 10)} ${Math.round(box.height * 10)} ${lookOf(layer)}`
    const row = rows.get(key)
    if (row) row.push(piece)
    else rows.set(key, [piece])
  }
  const gone = new Set<Piece>()
  const made = new Map<Piece, Piece>()
  const join = (run: readonly Piece[]): void => {
    if (run.length < 2) return
    const box = uniteBoxes(run.map((part) => part.box))
    const first = run.reduce((a, b) => (b.order < a.order ? b : a))
    const layer = first.layer as LineLayer
    run.forEach((part) => gone.add(part))
    const absorbed = run.filter((part) => part !== first).map((part) => part.layer.key)
    const to = { x: layer.from.x + box.width, y: layer.from.y }
    const from = { x: Math.min(layer.from.x, layer.to.x), y: layer.from.y }
    const longer: LineLayer = { ...layer, from, to, box: { ...layer.box, width: box.width } }
    made.set(first, { ...first, layer: longer, box, absorbed })
  }
  for (const row of rows.values()) {
    const sorted = [...row].sort((a, b) => a.box.x - b.box.x || a.order - b.order)
    let run: Piece[] = []
    let end = -Infinity
    for (const piece of sorted) {
      if (piece.box.x > end + 1) {
        join(run)
        run = []
      }
      run.push(piece)
      end = Math.max(end, piece.box.x + piece.box.width)
    }
    join(run)
  }
  if (made.size === 0) return [...pieces]
  return pieces.flatMap((piece) => made.get(piece) ?? (gone.has(piece) ? [] : piece))
}
