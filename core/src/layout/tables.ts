import type { Box } from '../design/geometry.js'
import { spread } from '../math/statistics.js'
import { endOn } from './axis.js'
import { toItem } from './bands.js'
import type { Block } from './block.js'
import { arrange } from './cut.js'
import { findTableColumns, type TableColumns } from './fit-table.js'
import { separateOverlaps } from './overlaps.js'

/** The boxes of the cells of a row, also of one with a background. */
const cellsOf = (part: Block): readonly Box[] | undefined => {
  if (part.kind === 'row') return part.parts.map((p) => p.box)
  if (part.kind !== 'item' || part.item.nest.content.length < 2) return undefined
  const { items } = separateOverlaps(part.item.nest.content.map(toItem))
  if (items.length < 2) return undefined
  const inside = arrange(items)
  return inside.kind === 'row' ? inside.parts.map((p) => p.box) : undefined
}

/** Whether cells end at different places, so that even gaps could not keep the next column in line. */
const isRagged = (rows: readonly (readonly Box[])[]): boolean => {
  const [first] = rows
  if (!first || rows.length < 2) return false
  return first.slice(1).some((_, x) => {
    const gaps = rows.map((row) => (row[x + 1]?.x ?? 0) - endOn(row[x]!, 'x'))
    return spread(gaps) > 1
  })
}

/** Boxes with less room between them are rows of one thing. */
const APART_PX = 4
const EDGE_PX = 2

/**
 * Whether rows are boxes apart from one another, each of which takes up its free room at one place before what it
 * holds at its end: cards that look alike, which need no columns in common to stand as they do.
 */
const areCards = (parts: readonly Block[], rows: readonly (readonly Box[])[]): boolean => {
  const boxes = parts.map(({ box }) => box)
  const isApart = boxes.every((box, i) => i === 0 || box.y - endOn(boxes[i - 1]!, 'y') >= APART_PX)
  if (!isApart || parts.some(({ kind }) => kind !== 'item')) return false
  const gaps = (rows[0] ?? [])
    .slice(1)
    .map((_, x) => rows.map((row) => row[x + 1]!.x - endOn(row[x]!, 'x')))
  const free = gaps.flatMap((own, x) => (spread(own) > 1 ? [x + 1] : []))
  if (free.length !== 1) return false
  return rows.every((row, i) => {
    const after = row.slice(free[0])
    const [left, right] = [row[0]!.x - boxes[i]!.x, endOn(boxes[i]!, 'x') - endOn(row.at(-1)!, 'x')]
    const isLikeFirst = after.every(
      ({ width }, x) => Math.abs(width - rows[0]!.slice(free[0])[x]!.width) <= 1,
    )
    return isLikeFirst && Math.abs(left - right) <= EDGE_PX
  })
}

/** Rows of a column whose cells stand under each other, by the rows' indexes. */
export const findTables = (
  parts: readonly Block[],
  union: Box,
): ReadonlyMap<number, TableColumns> => {
  const found = new Map<number, TableColumns>()
  let run: { index: number; boxes: readonly Box[] }[] = []
  const tableOf = (rows: typeof run): TableColumns | undefined =>
    findTableColumns(
      rows.map(({ boxes }) => boxes),
      union.x,
      endOn(union, 'x'),
    )
  const close = (): void => {
    const table = tableOf(run)
    const rows = run.map(({ boxes }) => boxes)
    const own = run.map(({ index }) => parts[index]!)
    if (table && isRagged(rows) && !areCards(own, rows)) {
      run.forEach(({ index }) => found.set(index, table))
    }
    run = []
  }
  parts.forEach((part, index) => {
    if (part.kind === 'item' && part.item.nest.piece.kind === 'line') return
    const boxes = cellsOf(part)
    if (!boxes) return close()
    // A row that does not keep the columns, as a head with its own cells, ends the table.
    const next = [...run, { index, boxes }]
    if (run.length > 0 && !tableOf(next)) close()
    run.push({ index, boxes })
  })
  close()
  return found
}
