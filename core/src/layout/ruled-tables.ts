import { INFERRED } from '../design/node-key.js'
import { PLAIN_LAYER } from '../design/plain-layer.js'
import type { RectangleLayer } from '../design/layer.js'
import type { Stroke } from '../design/paint.js'
import type { Piece } from './pieces.js'

/** Lines this close are one line of the table, and touch each other. */
const NEAR_PX = 1.51

type Rule = { readonly at: number; readonly width: number; readonly lines: readonly Piece[] }

const isUpright = ({ kind, box }: Piece): boolean => kind === 'line' && box.height > box.width
const isLevel = ({ kind, box }: Piece): boolean => kind === 'line' && box.width >= box.height

const touch = (level: Piece, upright: Piece): boolean =>
  upright.box.x >= level.box.x - NEAR_PX &&
  upright.box.x <= level.box.x + level.box.width + NEAR_PX &&
  level.box.y >= upright.box.y - NEAR_PX &&
  level.box.y <= upright.box.y + upright.box.height + NEAR_PX

/** Lines that cross or meet, as sets. */
const findLattices = (levels: readonly Piece[], uprights: readonly Piece[]): Set<Piece>[] => {
  const sorted = [...uprights].sort((a, b) => a.box.x - b.box.x)
  const sets = new Map<Piece, Set<Piece>>()
  const join = (a: Piece, b: Piece): void => {
    const [one, other] = [sets.get(a) ?? new Set([a]), sets.get(b) ?? new Set([b])]
    const [large, small] = one.size >= other.size ? [one, other] : [other, one]
    if (large !== small) small.forEach((piece) => large.add(piece))
    large.forEach((piece) => sets.set(piece, large))
  }
  for (const level of levels) {
    let low = 0
    let high = sorted.length
    while (low < high) {
      const middle = (low + high) >> 1
      if (sorted[middle]!.box.x < level.box.x - NEAR_PX) low = middle + 1
      else high = middle
    }
    for (let i = low; i < sorted.length; i++) {
      const upright = sorted[i]!
      if (upright.box.x > level.box.x + level.box.width + NEAR_PX) break
      if (touch(level, upright) && sets.get(level) !== sets.get(upright)) join(level, upright)
      else if (touch(level, upright) && !sets.has(level)) join(level, upright)
    }
  }
  return [...new Set(sets.values())]
}

/** Lines at one place as one rule; undefined when together they do not reach from `from` to `to`. */
const toRules = (
  lines: readonly Piece[],
  axis: 'x' | 'y',
): { rules: Rule[]; from: number; to: number } | undefined => {
  const along = axis === 'x' ? 'y' : 'x'
  const length = (piece: Piece): number => (axis === 'x' ? piece.box.height : piece.box.width)
  const sorted = [...lines].sort((a, b) => a.box[axis] - b.box[axis])
  const groups: Piece[][] = []
  for (const line of sorted) {
    const last = groups.at(-1)
    if (last && line.box[axis] - last[0]!.box[axis] <= NEAR_PX) last.push(line)
    else groups.push([line])
  }
  const from = Math.min(...lines.map((line) => line.box[along]))
  const to = Math.max(...lines.map((line) => line.box[along] + length(line)))
  for (const group of groups) {
    let reached = from
    for (const line of [...group].sort((a, b) => a.box[along] - b.box[along])) {
      if (line.box[along] > reached + NEAR_PX) return undefined
      reached = Math.max(reached, line.box[along] + length(line))
    }
    if (reached < to - NEAR_PX) return undefined
  }
  const rules = groups.map((group) => ({
    at: Math.min(...group.map((line) => line.box[axis])),
    width: axis === 'x' ? group[0]!.box.width : group[0]!.box.height,
    lines: group,
  }))
  return { rules, from, to }
}

/** The stroke of a line that several lines in one place draw. */
const strokeOf = (rule: Rule, at: number): Stroke | undefined => {
  const along = rule.lines[0]!.box.width > rule.lines[0]!.box.height ? 'x' : 'y'
  const over = rule.lines.filter(({ box }) => {
    const length = along === 'x' ? box.width : box.height
    return box[along] <= at && box[along] + length >= at
  })
  const { layer } = over[0] ?? rule.lines[0]!
  const stroke = layer.type === 'line' ? layer.strokes.at(-1) : undefined
  if (stroke?.paint.kind !== 'solid' || stroke.dash.length > 0) return undefined
  const opacity = 1 - (1 - stroke.paint.opacity) ** Math.max(1, over.length)
  return { ...stroke, paint: { ...stroke.paint, opacity: Math.round(opacity * 1000) / 1000 } }
}

const cellOf = (
  columns: readonly [Rule, Rule],
  rows: readonly [Rule, Rule],
  isLast: { readonly column: boolean; readonly row: boolean },
): Piece | undefined => {
  const [left, right] = columns
  const [top, bottom] = rows
  const box = {
    x: left.at,
    y: top.at,
    width: right.at + (isLast.column ? right.width : 0) - left.at,
    height: bottom.at + (isLast.row ? bottom.width : 0) - top.at,
  }
  const stroke = strokeOf(left, box.y + box.height / 2)
  if (!stroke) return undefined
  // Lines of this cell alone are drawn with it; those above it may belong to the row before.
  const own = [left, right, top, bottom]
    .flatMap((rule) => rule.lines)
    .filter(
      (line) =>
        line.box.x >= box.x - NEAR_PX &&
        line.box.y >= box.y - NEAR_PX &&
        line.box.x + line.box.width <= box.x + box.width + NEAR_PX &&
        line.box.y + line.box.height <= box.y + box.height + NEAR_PX,
    )
  const upright = own.filter(isUpright)
  const first = [upright, own, left.lines]
    .find((lines) => lines.length > 0)!
    .reduce((a, b) => (b.order < a.order ? b : a))
  const layer: RectangleLayer = {
    type: 'rectangle',
    key: `${first.layer.key}${INFERRED}${box.x}-${box.y}`,
    name: 'Cell',
    box,
    ...PLAIN_LAYER,
    fills: [],
    strokes: [
      {
        ...stroke,
        align: 'inside',
        width: {
          top: top.width,
          left: left.width,
          right: isLast.column ? right.width : 0,
          bottom: isLast.row ? bottom.width : 0,
        },
      },
    ],
    radius: 0,
  }
  return { layer, box, kind: 'surface', order: first.order, absorbed: own.map((l) => l.layer.key) }
}

/** Tables drawn with lines all around their cells: each cell becomes a box with its part of the lines. */
export const findRuledTables = (pieces: readonly Piece[]): readonly Piece[] => {
  const levels = pieces.filter(isLevel)
  const uprights = pieces.filter(isUpright)
  if (levels.length < 2 || uprights.length < 2) return pieces
  const gone = new Set<Piece>()
  const made = new Map<Piece, Piece[]>()
  for (const lattice of findLattices(levels, uprights)) {
    const lines = [...lattice]
    const across = toRules(lines.filter(isLevel), 'y')
    const down = toRules(lines.filter(isUpright), 'x')
    if (!across || !down || across.rules.length < 2 || down.rules.length < 2) continue
    if (across.rules.length * down.rules.length < 6) continue
    const cells: Piece[] = []
    for (let row = 0; row + 1 < across.rules.length; row++) {
      for (let column = 0; column + 1 < down.rules.length; column++) {
        const cell = cellOf(
          [down.rules[column]!, down.rules[column + 1]!],
          [across.rules[row]!, across.rules[row + 1]!],
          { column: column + 2 === down.rules.length, row: row + 2 === across.rules.length },
        )
        if (cell) cells.push(cell)
      }
    }
    if (cells.length !== (across.rules.length - 1) * (down.rules.length - 1)) continue
    lines.forEach((line) => gone.add(line))
    const first = lines.reduce((a, b) => (b.order < a.order ? b : a))
    made.set(first, cells)
  }
  if (made.size === 0) return pieces
  return pieces.flatMap((piece) => made.get(piece) ?? (gone.has(piece) ? [] : [piece]))
}
