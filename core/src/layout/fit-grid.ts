import { NO_SIDES } from '../design/geometry.js'
import { resolveSides, roundPx, type Box, type Sides } from '../design/geometry.js'
import { mean } from '../math/statistics.js'
import { endOn } from './axis.js'
import {
  fitsItself,
  isHeldByContent,
  isPicture,
  isShape,
  isText,
  keepHeight,
  shellNode,
  type Draft,
  type Shell,
} from './draft.js'
import { type LayoutNode } from './node.js'
import { EVEN_PX, isEven } from './spacing.js'
import { holdLine, limitText } from './text-width.js'

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
  const [columnGap, rowGap] = [roundPx(mean(columnGaps)), roundPx(mean(rowGaps))]
  return columnGap < -EVEN_PX || rowGap < -EVEN_PX
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
  const children = drafts.map((draft): LayoutNode => {
    const { node, natural } = draft
    return {
      ...node,
      limits: { ...node.limits, ...keepHeight(draft) },
      sizing: {
        width: node.isGraphic && node.children.length === 0 ? 'fixed' : 'stretch',
        height:
          node.layer.type === 'text' || isPicture(node)
            ? 'fit'
            : isShape(node) || natural.height === undefined
              ? 'fixed'
              : isLevel
                ? 'stretch'
                : 'fit',
      },
      ...(isPicture(node) ? { ratio: node.box.width / node.box.height } : {}),
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
      limits: { ...node.limits, ...(draft.range ? limitText(draft.range, cells[i]!.width) : {}) },
      margin: { ...NO_SIDES, left, top: align === 'centre' ? 0 : roundPx(node.box.y - top) },
      sizing: {
        width:
          isText(draft) || isWhole || !isOwn ? 'stretch' : isHeldByContent(draft) ? 'fit' : 'fixed',
        height: isShape(node) || natural.height === undefined ? 'fixed' : 'fit',
      },
      ...(isText(draft) && !draft.range && hold ? { textAlign: hold } : {}),
      ...(isText(draft) ? holdLine(draft, cells[i]!.width) : {}),
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
