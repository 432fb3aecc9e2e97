import { uniteBoxes } from '../design/geometry.js'
import { median, spread, steps } from '../math/statistics.js'
import { endOn, sizeOn } from './axis.js'
import { cutBands, type Item } from './bands.js'
import type { Doubt } from './node.js'
import { signItems } from './signature.js'

/** A stretch free of content that runs between columns, as the columns' extents from left to right. */
export type River = { readonly from: number; readonly to: number }

/** The columns of several rows: which extents stay apart in all of them. Undefined when there is one only. */
export const addToColumns = (
  columns: readonly River[],
  row: readonly River[],
): readonly River[] | undefined => {
  const all = [...columns, ...row].sort((a, b) => a.from - b.from || a.to - b.to)
  const joined: { from: number; to: number }[] = []
  for (const { from, to } of all) {
    const last = joined.at(-1)
    if (last && from < last.to - 1) last.to = Math.max(last.to, to)
    else joined.push({ from, to })
  }
  return joined.length > 1 ? joined : undefined
}

const extentsOf = (parts: readonly (readonly Item[])[]): River[] =>
  parts.map((part) => ({
    from: Math.min(...part.map((item) => item.box.x)),
    to: Math.max(...part.map((item) => item.box.x + item.box.width)),
  }))

type Table = {
  /** `cells[row][column]`; empty where a row has nothing in a column. */
  readonly cells: readonly (readonly (readonly Item[])[])[]
  readonly columns: readonly River[]
}

/** The first of some columns, from left to right, that does not end before `x`; found by halving. */
const firstAt = (columns: readonly River[], x: number): number => {
  let [low, high] = [0, columns.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (columns[middle]!.to < x) low = middle + 1
    else high = middle
  }
  return low
}

/** Each item in the columns that its left half reaches. */
const toCells = (row: readonly Item[], columns: readonly River[]): Item[][] => {
  const cells = columns.map((): Item[] => [])
  for (const item of row) {
    const { x, width } = item.box
    for (let i = firstAt(columns, x); i < columns.length; i++) {
      const { from, to } = columns[i]!
      if (from > x + width / 2 + 1) break
      if (to >= x + 1) cells[i]!.push(item)
    }
  }
  return cells
}

/** `columns` go from left to right and do not overlap by more than a pixel. */
const toTable = (rows: readonly (readonly Item[])[], columns: readonly River[]): Table => ({
  columns,
  cells: rows.map((row) => toCells(row, columns)),
})

/** Shares of neighbours that look alike, side by side and one under the other. */
const likeness = ({ cells, columns }: Table): { across: number; down: number } => {
  const signs = cells.map((row) => row.map((cell) => (cell.length > 0 ? signItems(cell) : '')))
  let [across, acrossAll, down, downAll] = [0, 0, 0, 0]
  signs.forEach((row, y) => {
    row.forEach((sign, x) => {
      if (sign === '') return
      const right = x + 1 < columns.length ? row[x + 1] : ''
      const below = signs[y + 1]?.[x] ?? ''
      if (right) {
        acrossAll++
        if (right === sign) across++
      }
      if (below) {
        downAll++
        if (below === sign) down++
      }
    })
  })
  return {
    across: acrossAll === 0 ? 0 : across / acrossAll,
    down: downAll === 0 ? 0 : down / downAll,
  }
}

const topOf = (items: readonly Item[]): number => Math.min(...items.map((i) => i.box.y))
const bottomOf = (items: readonly Item[]): number =>
  Math.max(...items.map((i) => endOn(i.box, 'y')))

const gapsBetween = (rows: readonly (readonly Item[])[]): number[] =>
  rows.slice(1).map((row, i) => topOf(row) - bottomOf(rows[i]!))

/** Which reading is the better one, and by how much, from 0 to 1. */
export type Choice = { readonly columnsFirst: boolean; readonly margin: number }

/** Below this margin a person is asked. */
const DOUBT_MARGIN = 0.35
/** More cells than this are a table, whatever the distances say. */
const MOST_DOUBTED = 24

/** The cells of rows that could as well be read the other way; undefined where the choice is clear. */
export const findDoubt = (
  rows: readonly (readonly Item[])[],
  columns: readonly River[],
  { columnsFirst, margin }: Choice,
): Doubt | undefined => {
  if (margin >= DOUBT_MARGIN || rows.length * columns.length > MOST_DOUBTED) return undefined
  const { cells } = toTable(rows, columns)
  const isComplete = cells.every((row) => row.every((cell) => cell.length > 0))
  if (!isComplete) return undefined
  return {
    chosen: columnsFirst ? 'columns' : 'rows',
    cells: cells.map((row) => row.map((cell) => cell.map((item) => item.nest.piece.layer.key))),
  }
}

// A side bar is at least this high, and one thing.
const SIDE_BAR_PX = 320

/** Whether a column is one tall surface that runs along rows that know nothing of it. */
const isSideBar = (items: readonly Item[], extent: number): boolean => {
  const [only, ...others] = items
  return (
    only !== undefined &&
    others.length === 0 &&
    only.nest.content.length > 0 &&
    sizeOn(only.box, 'y') >= Math.min(SIDE_BAR_PX, extent * 0.5) &&
    sizeOn(only.box, 'y') > 2 * sizeOn(only.box, 'x')
  )
}

/** A line of several things, such as a face and two lines of words, is no higher, in px. */
const LINE_PX = 72

/** Things of one line stand level: their middles or, of single things, their upper edges agree. */
const isLevel = (row: readonly (readonly Item[])[]): boolean => {
  const boxes = row
    .filter((cell) => cell.length > 0)
    .map((cell) => uniteBoxes(cell.map((item) => item.box)))
  const isOfSingles = row.every((cell) => cell.length <= 1)
  const middles = spread(boxes.map((b) => b.y + b.height / 2))
  if (!isOfSingles) return middles <= 4 && boxes.every(({ height }) => height <= LINE_PX)
  return middles <= 4 || spread(boxes.map((b) => b.y)) <= 2
}

/** Cells that all look alike, of which only the last row is short: a grid filled row by row. */
const isOpenGrid = (table: Table): boolean => {
  const { cells } = table
  const whole = cells.slice(0, -1).every((row) => row.every((cell) => cell.length > 0))
  const last = cells.at(-1)!.map((cell) => cell.length > 0)
  const isFilledFromLeft = last.lastIndexOf(true) < last.indexOf(false)
  const isOfBoxes = cells.flat(2).every((item) => item.nest.piece.kind !== 'text')
  const { across, down } = likeness(table)
  return whole && isFilledFromLeft && isOfBoxes && across > 0.99 && down > 0.99
}

const filledRows = ({ cells }: Table, x: number): number =>
  cells.filter((row) => row[x]!.length > 0).length

// Where labels stand this evenly they are a list of their own.
const EVEN_PX = 4
const LEVEL_MIDDLE_PX = 6
const LEVEL_TOP_PX = 10
/** So many labels must stand beside something. */
const LABELLED_SHARE = 0.75

/**
 * Whether the left of two columns labels what stands in the right one: each label is level with something
 * there, and the labels follow its rhythm rather than one of their own.
 */
export const isLabelledList = (
  rows: readonly (readonly Item[])[],
  columns: readonly River[],
): boolean => {
  if (columns.length !== 2) return false
  const table = toTable(rows, columns)
  const labelled = table.cells.filter((row) => row[0]!.length > 0)
  if (labelled.length < 2 || labelled.length >= filledRows(table, 1)) return false
  const isOneEach = labelled.every((row) => row[0]!.length === 1)
  if (!isOneEach || table.cells[0]![0]!.length === 0) return false
  const beside = labelled.filter((row) => {
    const label = row[0]![0]!.box
    return row[1]!.some(
      ({ box }) =>
        Math.abs(box.y + box.height / 2 - label.y - label.height / 2) <= LEVEL_MIDDLE_PX ||
        Math.abs(box.y - label.y) <= LEVEL_TOP_PX,
    )
  })
  const tops = labelled.map((row) => row[0]![0]!.box.y)
  const isBeside = beside.length >= LABELLED_SHARE * labelled.length
  return isBeside && spread(steps(tops)) > EVEN_PX
}

// A column with fewer entries than this share of the other's only adds to some of them.
const ASIDE_SHARE = 0.6

/** Whether one of two columns only adds something, on the same line, to some entries of the other. */
const isListWithAsides = (table: Table): boolean => {
  const { cells } = table
  const [a, b] = [filledRows(table, 0), filledRows(table, 1)]
  const both = cells.filter((row) => row[0]!.length > 0 && row[1]!.length > 0)
  return (
    both.length > 0 &&
    Math.min(a, b) <= ASIDE_SHARE * Math.max(a, b) &&
    both.length === Math.min(a, b) &&
    both.every(isLevel)
  )
}

/** Three boxes make a run. */
const LEAST_RUN = 3
const REGULAR_PX = 2

const isRegular = (values: readonly number[]): boolean => spread(values) <= REGULAR_PX

/** Boxes of one size, level and evenly apart: cards, tiles. */
const isRunOfBoxes = (row: readonly Item[]): boolean => {
  if (row.length < LEAST_RUN || row.some(({ nest }) => nest.content.length === 0)) return false
  const boxes = row.map(({ box }) => box).sort((a, b) => a.x - b.x)
  const gaps = boxes.slice(1).map((box, i) => box.x - endOn(boxes[i]!, 'x'))
  return (
    isRegular(boxes.map(({ y }) => y)) &&
    isRegular(boxes.map(({ width }) => width)) &&
    isRegular(boxes.map(({ height }) => height)) &&
    isRegular(gaps)
  )
}

/**
 * Rows that leave the same columns free between them can be read as rows of cells, or as columns side by
 * side. Cells of a table look alike down a column; columns of one kind of thing look alike across a row;
 * where both or neither do, what stands closer belongs together.
 */
export const chooseColumns = (
  rows: readonly (readonly Item[])[],
  columns: readonly River[],
): Choice => {
  const table = toTable(rows, columns)
  const river = Math.min(...columns.slice(1).map((c, i) => c.from - columns[i]!.to))
  const gaps = gapsBetween(rows)
  const widest = Math.max(...gaps)
  const { across, down } = likeness(table)
  const isComplete = table.cells.every((row) => row.every((cell) => cell.length > 0))
  if (isComplete) {
    if (Math.abs(across - down) > 0.01) {
      return { columnsFirst: across > down, margin: Math.abs(across - down) }
    }
    const isAlike = across > 0.99
    // Among things that all look alike, only a list set much closer than its columns is one.
    const needed = isAlike ? 3 : 1.5
    const ratio = river / Math.max(1, median(gaps))
    const isTight = !isAlike || median(gaps) < 12
    return {
      columnsFirst: ratio >= needed && isTight,
      margin: Math.min(1, Math.abs(Math.log(ratio / needed))),
    }
  }
  if (isOpenGrid(table)) return { columnsFirst: false, margin: 1 }
  if (columns.length === 2 && isListWithAsides(table)) return { columnsFirst: false, margin: 1 }
  const top = topOf(rows[0]!)
  const bottom = Math.max(...rows.map(bottomOf))
  const inColumns = columns.map((_, x) => table.cells.flatMap((row) => row[x]!))
  if (inColumns.some((items) => isSideBar(items, bottom - top))) {
    return { columnsFirst: true, margin: 1 }
  }
  // A run of cards stays one, whatever stands above and below some of them.
  if (rows.some(isRunOfBoxes)) return { columnsFirst: false, margin: 1 }
  const completeRows = table.cells.filter((row) => row.every((cell) => cell.length > 0)).length
  const looksLikeTable = completeRows >= rows.length * 0.6 && down > across
  const heights = inColumns.map((items) => bottomOf(items) - topOf(items))
  const coverage = Math.min(...heights) / Math.max(1, bottom - top)
  const isClose = widest <= river
  return {
    columnsFirst: !looksLikeTable && (isClose || coverage >= 0.6),
    margin: Math.min(1, Math.abs(river - widest) / Math.max(1, river, widest)),
  }
}

/** The columns one row leaves, or undefined when it is in one piece. */
export const columnsOf = (row: readonly Item[]): River[] => extentsOf(cutBands(row, 'x'))
