import { findTableRows, isTableGrid } from '../../structure/tables.js'
import type { RolePage } from '../page.js'
import type { RoleReading } from '../reading.js'
import { flowOf, walkViews, type View } from '../view.js'

const weightOf = (view: View): string => {
  const [text] = view.texts
  if (text?.node.layer.type !== 'text') return ''
  const { size, weight, color } = text.node.layer.style
  return `${size} ${weight} ${color}`
}

/** The first row names the columns when it is set in another type than the rows below it. */
const isHead = (first: readonly View[], second: readonly View[]): boolean =>
  first.length > 0 &&
  first.every((cell) => cell.texts.length <= 1) &&
  first.some((cell, i) => {
    const other = second[i]
    return other !== undefined && cell.texts.length > 0 && weightOf(cell) !== weightOf(other)
  })

/** Says what a part of a table is. */
const say = (page: RolePage, view: View, role: RoleReading['role'], columns?: number): boolean =>
  page.set(view, {
    role,
    confidence: 0.9,
    evidence: ['words stand in columns, row under row'],
    ...(columns === undefined ? {} : { columns }),
  })

const setRow = (page: RolePage, cells: readonly View[], isFirst: boolean): void => {
  const role = isFirst ? 'columnheader' : 'cell'
  for (const cell of cells) say(page, cell, role)
}

/** Names of columns may stand above the rows, in a box of their own. */
const readHeadAbove = (page: RolePage, view: View): void => {
  const [head, body, ...others] = view.children.filter((child) => child.children.length > 0)
  if (!head || !body || others.length > 0 || page.roleOf(body) !== 'table') return
  const row = page.roleOf(body.children[0]!) === 'row' ? body.children[0]!.children : body.children
  const isAbove =
    head.children.length === page.readings.get(body.key)?.columns &&
    head.children.every(
      (cell, i) =>
        cell.texts.length <= 1 &&
        Math.abs((cell.texts[0] ?? cell).x - (row[i]?.texts[0] ?? row[i]!).x) <= 12,
    )
  if (!isAbove) return
  if (!say(page, view, 'table')) return
  page.amend(body, { role: 'rowgroup' })
  say(page, head, 'row')
  setRow(page, head.children, true)
}

/** Tables: all cells in one grid, or rows whose cells begin where those of other rows do. */
export const readTables = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    if (isTableGrid(view.node) && view.node.arrangement.kind === 'grid') {
      const { columns } = view.node.arrangement
      const cells = flowOf(view)
      if (cells.length % columns !== 0 || cells.length !== view.children.length) return true
      if (!say(page, view, 'table', columns)) return true
      const head = isHead(cells.slice(0, columns), cells.slice(columns, 2 * columns))
      cells.forEach((cell, i) => setRow(page, [cell], head && i < columns))
      return true
    }
    const rows = findTableRows(view.node)
    const all = flowOf(view)
    if (!rows || rows.to - rows.from < all.length || all.length !== view.children.length)
      return true
    const lines = all.filter((row) => row.children.length > 0)
    const columns = Math.max(...lines.map((row) => row.children.length))
    const head = isHead(flowOf(lines[0]!), flowOf(lines[1]!))
    // Where nothing names the columns, rows of several texts each are things in a list.
    const isPlain = lines.every((row) => flowOf(row).every(({ texts }) => texts.length <= 1))
    if (!head && !isPlain) return true
    if (!say(page, view, 'table', columns)) return true
    lines.forEach((row, i) => {
      say(page, row, 'row')
      setRow(page, flowOf(row), head && i === 0)
    })
    return true
  })
  const visit = (view: View): void => {
    for (const child of view.children) visit(child)
    readHeadAbove(page, view)
  }
  visit(page.root)
}
