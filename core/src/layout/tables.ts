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
    if (table && isRagged(run.map(({ boxes }) => boxes))) {
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
