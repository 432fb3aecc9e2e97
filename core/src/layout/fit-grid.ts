import { roundPx, type Box } from '../design/geometry.js'
import { endOn } from './axis.js'
import { isShape, isText, shellNode, type Draft, type Shell } from './draft.js'
import { NO_MARGIN, type LayoutNode } from './node.js'

const SAME_PX = 1.5

const isEven = (values: readonly number[]): boolean =>
  values.length === 0 || Math.max(...values) - Math.min(...values) <= SAME_PX

/** Rows of cells, and what stands between them. */
export type GridReading = {
  readonly columns: number
  readonly columnGap: number
  readonly rowGap: number
}

/** Whether rows of boxes are a grid: cells of one width in columns, with even gaps; the last row may be shorter. */
export const findGrid = (rows: readonly (readonly Box[])[]): GridReading | undefined => {
  const [first] = rows
  if (!first || rows.length < 2 || first.length < 2) return undefined
  const columns = first.length
  const isRegular = rows.every((row, i) =>
    i < rows.length - 1 ? row.length === columns : row.length <= columns,
  )
  if (!isRegular) return undefined
  const cells = rows.flat()
  if (!isEven(cells.map((c) => c.width))) return undefined
  for (let x = 0; x < columns; x++) {
    if (!isEven(rows.flatMap((row) => row.slice(x, x + 1).map((cell) => cell.x)))) return undefined
  }
  const columnGaps = first.slice(1).map((cell, i) => cell.x - endOn(first[i]!, 'x'))
  const tops = rows.map((row) => Math.min(...row.map((c) => c.y)))
  const bottoms = rows.map((row) => Math.max(...row.map((c) => endOn(c, 'y'))))
  const rowGaps = tops.slice(1).map((top, i) => top - bottoms[i]!)
  if (!isEven(columnGaps) || !isEven(rowGaps)) return undefined
  const mean = (values: readonly number[]): number =>
    roundPx(values.reduce((sum, v) => sum + v, 0) / values.length)
  const [columnGap, rowGap] = [mean(columnGaps), mean(rowGaps)]
  return columnGap < -SAME_PX || rowGap < -SAME_PX
    ? undefined
    : { columns, columnGap: Math.max(0, columnGap), rowGap: Math.max(0, rowGap) }
}

/** Cells in rows as a grid. The drafts are in reading order. */
export const fitGrid = (
  drafts: readonly Draft[],
  { columns, columnGap, rowGap }: GridReading,
  shell: Shell,
): Draft => {
  const { box, isPadded } = shell
  const boxes = drafts.map((d) => d.node.box)
  const side = (value: number): number => (isPadded ? Math.max(0, roundPx(value)) : 0)
  const padding = {
    top: side(Math.min(...boxes.map((b) => b.y)) - box.y),
    left: side(Math.min(...boxes.map((b) => b.x)) - box.x),
    bottom: side(endOn(box, 'y') - Math.max(...boxes.map((b) => endOn(b, 'y')))),
    right: side(endOn(box, 'x') - Math.max(...boxes.map((b) => endOn(b, 'x')))),
  }
  const children = drafts.map(({ node }): LayoutNode => {
    const isPicture = node.layer.type === 'image' && isShape(node)
    return {
      ...node,
      sizing: {
        width: node.isGraphic && node.children.length === 0 ? 'fixed' : 'stretch',
        height: isText({ node } as Draft) || isPicture ? 'fit' : isShape(node) ? 'fixed' : 'stretch',
      },
      ...(isPicture ? { ratio: node.box.width / node.box.height } : {}),
    }
  })
  return {
    node: {
      ...shellNode(shell),
      arrangement: { kind: 'grid', columns, columnGap, rowGap, padding, align: 'stretch' },
      children,
    },
    natural: { width: undefined, height: box.height },
  }
}

/** How the cells of one column stand in it. */
type TableColumn = {
  readonly from: number
  readonly to: number
  readonly hold: 'start' | 'centre' | 'end'
}

export type TableColumns = readonly TableColumn[]

/**
 * The columns that rows of cells share: cells that begin, end or centre at one place. Undefined when the
 * rows do not agree. `left` and `right` are the edges of the rows.
 */
export const findTableColumns = (
  rows: readonly (readonly Box[])[],
  left: number,
  right: number,
): TableColumns | undefined => {
  const [first] = rows
  if (!first || rows.length < 2 || first.length < 2) return undefined
  if (rows.some((row) => row.length !== first.length)) return undefined
  const columns = first.map((_, x) => rows.map((row) => row[x]!))
  const holds = columns.map((cells): TableColumn['hold'] | undefined => {
    if (isEven(cells.map((c) => c.x))) return 'start'
    if (isEven(cells.map((c) => endOn(c, 'x')))) return 'end'
    return isEven(cells.map((c) => c.x + c.width / 2)) ? 'centre' : undefined
  })
  if (holds.some((hold) => hold === undefined)) return undefined
  const least = (x: number): number => Math.min(...columns[x]!.map((c) => c.x))
  const most = (x: number): number => Math.max(...columns[x]!.map((c) => endOn(c, 'x')))
  const edges = columns.map((_, x) => {
    if (x === 0) return left
    if (holds[x] === 'start') return least(x)
    return holds[x - 1] === 'end' ? most(x - 1) : (most(x - 1) + least(x)) / 2
  })
  const table = columns.map((_, x) => ({
    from: edges[x]!,
    to: edges[x + 1] ?? right,
    hold: holds[x]!,
  }))
  return table.every((column) => column.to - column.from >= 1) ? table : undefined
}

/** One row of a table, its cells in the columns all rows share. */
export const fitTableRow = (drafts: readonly Draft[], table: TableColumns, shell: Shell): Draft => {
  const { box, isPadded } = shell
  const boxes = drafts.map((d) => d.node.box)
  const top = isPadded ? Math.max(0, roundPx(Math.min(...boxes.map((b) => b.y)) - box.y)) : 0
  const bottom = isPadded
    ? Math.max(0, roundPx(endOn(box, 'y') - Math.max(...boxes.map((b) => endOn(b, 'y')))))
    : 0
  const [contentTop, contentBottom] = [box.y + top, endOn(box, 'y') - bottom]
  const isCentred = boxes.every(
    (b) => Math.abs(b.y - contentTop - (contentBottom - endOn(b, 'y'))) <= 1,
  )
  const children = drafts.map((draft, i): LayoutNode => {
    const { node, natural } = draft
    const { from, to, hold } = table[i]!
    const before = roundPx(node.box.x - from)
    const after = roundPx(to - endOn(node.box, 'x'))
    const stands = isText(draft)
    const margin =
      hold === 'start'
        ? { left: before, right: 0 }
        : hold === 'end'
          ? { left: stands ? 0 : before, right: after }
          : { left: Math.max(0, roundPx(before - after)), right: Math.max(0, roundPx(after - before)) }
    const isOwn = isShape(node) || natural.width !== undefined
    return {
      ...node,
      margin: { ...NO_MARGIN, ...margin, top: isCentred ? 0 : roundPx(node.box.y - contentTop) },
      sizing: {
        width: stands ? 'stretch' : isShape(node) ? 'fixed' : isOwn ? 'fit' : 'stretch',
        height: isShape(node) || natural.height === undefined ? 'fixed' : 'fit',
      },
      ...(stands && hold !== 'start' ? { textAlign: hold } : {}),
      ...(!stands && hold === 'centre'
        ? { margin: { ...NO_MARGIN, left: before, top: isCentred ? 0 : roundPx(node.box.y - contentTop) } }
        : {}),
    }
  })
  return {
    node: {
      ...shellNode(shell),
      arrangement: {
        kind: 'grid',
        columns: drafts.length,
        tracks: table.map(({ from, to }) => roundPx(to - from)),
        columnGap: 0,
        rowGap: 0,
        padding: { top, bottom, left: 0, right: 0 },
        align: isCentred ? 'centre' : 'start',
      },
      children,
    },
    natural: { width: undefined, height: box.height },
  }
}
