import type { LayoutNode } from '../../layout/index.js'
import { flowChildren } from '../../layout/flow/solver.js'

/** A table has at least this many columns and rows. */
const LEAST_COLUMNS = 3
const LEAST_ROWS = 3
/** Cells are no higher than this: anything higher is a card. */
const CELL_PX = 96
/** Columns of words begin at the same place, but for this much, in px. */
const SAME_PX = 3

const isCell = (node: LayoutNode): boolean => node.box.height <= CELL_PX

type Grid = Extract<LayoutNode['arrangement'], { kind: 'grid' }>

const gridOf = ({ arrangement }: LayoutNode): Grid | undefined =>
  arrangement.kind === 'grid' ? arrangement : undefined

/** So many cells of a row say something. */
const LEAST_WORDED = 2

const holdsText = (node: LayoutNode): boolean =>
  node.layer.type === 'text' || node.children.some(holdsText)

const isWord = (node: LayoutNode): boolean =>
  node.layer.type === 'text'
    ? (node.layer.lines?.length ?? 1) === 1
    : node.children.length === 1 && isWord(node.children[0]!)

type Cell = { readonly node: LayoutNode; readonly x: number }

/** What stands in a row and in rows inside it, with where each begins. */
const cellsOf = (node: LayoutNode, x = node.box.x): Cell[] =>
  flowChildren(node).flatMap((cell) =>
    cell.arrangement.kind === 'row' && !cell.arrangement.wrap && !isWord(cell)
      ? cellsOf(cell, x + cell.box.x)
      : [{ node: cell, x: x + cell.box.x }],
  )

/** A row of words, each of its own width: columns are known by where they begin. */
const isRowOfWords = (node: LayoutNode): boolean => {
  if (node.arrangement.kind !== 'row' || node.arrangement.wrap) return false
  const cells = cellsOf(node)
  return (
    cells.length >= LEAST_COLUMNS &&
    cells.every(({ node: cell }) => isWord(cell) && isCell(cell) && cell.sizing.width !== 'stretch')
  )
}

const startsOf = (node: LayoutNode): number[] => cellsOf(node).map(({ x }) => x)

/** One row of a table: a line of cells in a grid, or of words that begin where those of other rows do. */
const isTableRow = (node: LayoutNode): boolean => {
  const grid = gridOf(node)
  if (!grid) return isRowOfWords(node)
  if (grid.columns < LEAST_COLUMNS) return false
  const cells = flowChildren(node)
  return (
    cells.length > 1 &&
    cells.length <= grid.columns &&
    cells.every(isCell) &&
    // A word between two signs is no row of a table.
    cells.filter(holdsText).length >= LEAST_WORDED
  )
}

const beginAlike = (a: LayoutNode, b: LayoutNode): boolean => {
  const [from, to] = [startsOf(a), startsOf(b)]
  return from.length === to.length && from.every((x, i) => Math.abs(x - to[i]!) <= SAME_PX)
}

const isSameColumns = (a: LayoutNode, b: LayoutNode): boolean => {
  if (isRowOfWords(a) && isRowOfWords(b)) return beginAlike(a, b)
  const [one, other] = [gridOf(a), gridOf(b)]
  if (!one || !other || one.columns !== other.columns) return false
  if (JSON.stringify(one.tracks ?? null) === JSON.stringify(other.tracks ?? null)) return true
  // The last column may be as wide as its words, which are others in each row.
  return flowChildren(a).length === one.columns && beginAlike(a, b)
}

const isRule = (node: LayoutNode): boolean =>
  node.children.length === 0 && node.layer.type !== 'text' && node.box.height <= 3

/** The children of a column, from and up to, that are the rows of one table; undefined when there is none. */
export const findTableRows = (
  node: LayoutNode,
): { readonly from: number; readonly to: number } | undefined => {
  if (node.arrangement.kind !== 'column') return undefined
  const children = flowChildren(node)
  for (let from = 0; from < children.length; from++) {
    const first = children[from]!
    if (!isTableRow(first)) continue
    let to = from + 1
    let rows = 1
    for (; to < children.length; to++) {
      const next = children[to]!
      if (isTableRow(next) && isSameColumns(first, next)) rows++
      else if (!isRule(next)) break
    }
    while (isRule(children[to - 1]!)) to--
    if (rows >= LEAST_ROWS) return { from, to }
  }
  return undefined
}

/** A table whose cells all stand in one grid. */
export const isTableGrid = (node: LayoutNode): boolean => {
  const grid = gridOf(node)
  if (!grid || grid.columns < LEAST_COLUMNS) return false
  const cells = flowChildren(node)
  return (
    cells.length >= LEAST_ROWS * grid.columns &&
    cells.every(isCell) &&
    cells.filter((cell) => cell.layer.type === 'text' || cell.children.length === 1).length * 2 >
      cells.length
  )
}
