import { NO_SIDES } from '../design/geometry.js'
import { roundPx, type Box } from '../design/geometry.js'
import { endOn } from './axis.js'
import {
  fitsItself,
  isHeldByContent,
  isShape,
  isText,
  shellNode,
  type Draft,
  type Shell,
} from './draft.js'
import { type LayoutNode } from './node.js'
import { isEven } from './spacing.js'
import { holdLine, limitText } from './text-width.js'

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
    const isOwn = isShape(node) || fitsItself(draft, 'width')
    const margin =
      hold === 'end'
        ? { left: stands || !isOwn ? 0 : before, right: after }
        : hold === 'start' || !stands
          ? { left: before, right: stands || isOwn ? 0 : after }
          : {
              left: Math.max(0, roundPx(before - after)),
              right: Math.max(0, roundPx(after - before)),
            }
    const room = to - from - margin.left - margin.right
    return {
      ...node,
      limits: { ...node.limits, ...(draft.range ? limitText(draft.range, room) : {}) },
      margin: { ...NO_SIDES, ...margin, top: isCentred ? 0 : roundPx(node.box.y - contentTop) },
      sizing: {
        width: stands || !isOwn ? 'stretch' : isHeldByContent(draft) ? 'fit' : 'fixed',
        height: isShape(node) || natural.height === undefined ? 'fixed' : 'fit',
      },
      ...(stands && hold !== 'start' ? { textAlign: hold } : {}),
      ...(stands ? holdLine(draft, room) : {}),
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
