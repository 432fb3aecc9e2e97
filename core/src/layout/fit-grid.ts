import { resolveSides, roundPx, type Box, type Sides } from '../design/geometry.js'
import { endOn } from './axis.js'
import { fitsItself, isShape, isText, shellNode, type Draft, type Shell } from './draft.js'
import { chooseWidth, isTight } from './fit-column.js'
import { NO_MARGIN, type LayoutNode, type Limits } from './node.js'

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
  const rowHeights = new Map<number, number>()
  boxes.forEach((b, i) => {
    const row = Math.floor(i / columns)
    rowHeights.set(row, Math.max(rowHeights.get(row) ?? 0, b.height))
  })
  const isLevel = boxes.every((b, i) => rowHeights.get(Math.floor(i / columns))! - b.height <= 1)
  const children = drafts.map(({ node, natural }): LayoutNode => {
    const isPicture = node.layer.type === 'image' && isShape(node)
    const isShort =
      natural.height !== undefined && natural.height < node.box.height - 0.5 && !isShape(node)
    return {
      ...node,
      limits: isShort ? { ...node.limits, minHeight: roundPx(node.box.height) } : node.limits,
      sizing: {
        width: node.isGraphic && node.children.length === 0 ? 'fixed' : 'stretch',
        height:
          node.layer.type === 'text' || isPicture
            ? 'fit'
            : isShape(node) || natural.height === undefined
              ? 'fixed'
              : isLevel
                ? 'stretch'
                : 'fit',
      },
      ...(isPicture ? { ratio: node.box.width / node.box.height } : {}),
    }
  })
  return {
    node: {
      ...shellNode(shell),
      arrangement: {
        kind: 'grid',
        columns,
        columnGap,
        rowGap,
        padding,
        align: isLevel ? 'stretch' : 'start',
      },
      children,
    },
    natural: { width: undefined, height: box.height },
  }
}

const holdIn = (box: Box, cell: Box): 'start' | 'centre' | 'end' | undefined => {
  const before = box.x - cell.x
  const after = endOn(cell, 'x') - endOn(box, 'x')
  if (Math.abs(before) <= 1) return 'start'
  if (Math.abs(before - after) <= 2) return 'centre'
  return Math.abs(after) <= 1 ? 'end' : undefined
}

/** A row of columns of one width, whatever the width of what stands in them. */
export const fitEven = (
  drafts: readonly Draft[],
  cells: readonly Box[],
  grid: GridReading,
  shell: Shell,
): Draft => {
  const fitted = fitGrid(drafts, grid, shell)
  const { box, isPadded } = shell
  const top = isPadded ? box.y + resolveSides(paddingOf(fitted)).top : box.y
  const bottom = isPadded
    ? endOn(box, 'y') - resolveSides(paddingOf(fitted)).bottom
    : endOn(box, 'y')
  const side = { left: cells[0]!.x - box.x, right: endOn(box, 'x') - endOn(cells.at(-1)!, 'x') }
  const isTop = drafts.every((d) => Math.abs(d.node.box.y - top) <= 0.5)
  const isMiddle = drafts.every(
    (d) => Math.abs(d.node.box.y - top - (bottom - endOn(d.node.box, 'y'))) <= 1,
  )
  const align = isTop ? 'start' : isMiddle ? 'centre' : 'start'
  const children = drafts.map((draft, i): LayoutNode => {
    const { node, natural } = draft
    const hold = holdIn(node.box, cells[i]!)
    const isOwn = isShape(node) || isText(draft) || fitsItself(draft, 'width')
    const isWhole = Math.abs(node.box.width - cells[i]!.width) <= 1
    const left =
      hold === 'start' || isText(draft) || isWhole ? 0 : roundPx(node.box.x - cells[i]!.x)
    return {
      ...node,
      limits: { ...node.limits, ...limitText(draft, cells[i]!.width) },
      margin: { ...NO_MARGIN, left, top: align === 'centre' ? 0 : roundPx(node.box.y - top) },
      sizing: {
        width: isText(draft) || isWhole || !isOwn ? 'stretch' : isShape(node) ? 'fixed' : 'fit',
        height: isShape(node) || natural.height === undefined ? 'fixed' : 'fit',
      },
      ...(isText(draft) && !draft.range && hold ? { textAlign: hold } : {}),
      ...(isText(draft) && !draft.range && isTight(node.box.width, cells[i]!.width)
        ? { keepsLines: true }
        : {}),
    }
  })
  const { arrangement } = fitted.node
  if (arrangement.kind !== 'grid') return fitted
  const padding = isPadded
    ? { ...resolveSides(arrangement.padding), left: roundPx(side.left), right: roundPx(side.right) }
    : arrangement.padding
  return {
    ...fitted,
    node: { ...fitted.node, arrangement: { ...arrangement, padding, align }, children },
  }
}

const paddingOf = ({ node }: Draft): number | Sides =>
  node.arrangement.kind === 'free' ? 0 : node.arrangement.padding

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

/** Keeps a text's lines where the room it gets would break them elsewhere. */
const limitText = ({ range }: Draft, room: number): Limits =>
  range && (room <= range.least || room >= range.most) ? { maxWidth: chooseWidth(range) } : {}

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
    const isOwn = isShape(node) || fitsItself(draft, 'width')
    const margin =
      hold === 'start'
        ? { left: before, right: stands || isOwn ? 0 : after }
        : hold === 'end'
          ? { left: stands || !isOwn ? 0 : before, right: after }
          : {
              left: Math.max(0, roundPx(before - after)),
              right: Math.max(0, roundPx(after - before)),
            }
    const room = to - from - margin.left - margin.right
    return {
      ...node,
      limits: { ...node.limits, ...limitText(draft, room) },
      margin: { ...NO_MARGIN, ...margin, top: isCentred ? 0 : roundPx(node.box.y - contentTop) },
      sizing: {
        width: stands ? 'stretch' : isShape(node) ? 'fixed' : isOwn ? 'fit' : 'stretch',
        height: isShape(node) || natural.height === undefined ? 'fixed' : 'fit',
      },
      ...(stands && hold !== 'start' ? { textAlign: hold } : {}),
      ...(stands && !draft.range && isTight(node.box.width, room) ? { keepsLines: true } : {}),
      ...(!stands && hold === 'centre'
        ? {
            margin: {
              ...NO_MARGIN,
              left: before,
              right: isOwn ? 0 : after,
              top: isCentred ? 0 : roundPx(node.box.y - contentTop),
            },
          }
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
