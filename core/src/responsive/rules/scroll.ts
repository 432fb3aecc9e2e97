import { resolveSides } from '../../design/geometry.js'
import type { LayoutNode } from '../../layout/index.js'
import { flowChildren, isInFlow, type Solver } from '../../layout/flow/solver.js'
import { findTableRows, isTableGrid } from '../../meaning/structure/tables.js'
import type { Comfort } from '../comfort.js'
import type { Rule } from './rule.js'

/** How wide a table's columns together must be. */
const needOf = (rows: readonly LayoutNode[], comfort: Comfort, solver: Solver): number => {
  const [first] = rows
  // Rows of words keep the distances they were drawn with.
  if (first?.arrangement.kind === 'row') {
    return Math.ceil(
      Math.max(...rows.flatMap((row) => flowChildren(row).map((c) => c.box.x + c.box.width))),
    )
  }
  if (first?.arrangement.kind !== 'grid') return 0
  const { columns, columnGap, tracks, padding } = first.arrangement
  const shares = tracks ?? Array.from({ length: columns }, () => 1)
  const total = shares.reduce((sum, share) => sum + share, 0)
  const widths = shares.map((share) => ({ share, comfort: 0, least: 0 }))
  for (const row of rows) {
    flowChildren(row).forEach((cell, i) => {
      const width = widths[i % columns]!
      const sides = cell.margin.left + cell.margin.right
      width.comfort = Math.max(width.comfort, comfort(cell) + sides)
      width.least = Math.max(width.least, solver.least(cell) + sides)
    })
  }
  const sides = resolveSides(padding)
  const around = (columns - 1) * columnGap + sides.left + sides.right
  const needed = (of: 'comfort' | 'least'): number =>
    Math.max(...widths.map((width) => (width[of] / width.share) * total))
  // Columns have shares of the room: what one needs, all get their part of. Wider than drawn only where a word needs it.
  const drawn = first.box.width - around
  const inside = Math.max(needed('least'), Math.min(needed('comfort'), drawn))
  return Math.ceil((inside + around) / 4) * 4
}

/** The rows of a table, where a container holds nothing else. */
const rowsOf = (node: LayoutNode): readonly LayoutNode[] => {
  const children = flowChildren(node)
  const run = findTableRows(node)
  if (run && run.to - run.from === children.length) return children
  const [only, ...others] = children
  return only && others.length === 0 && isTableGrid(only) ? [only] : []
}

/** A table keeps its columns and is scrolled in a box of its own. */
export const scroll: Rule = {
  way: 'scroll',
  evidence: 'its rows share columns, as those of a table',
  confidence: 0.9,
  suits: (node) => node.arrangement.kind === 'column' && rowsOf(node).length > 0,
  apply(node, inner, { comfort, solver }) {
    const need = needOf(
      rowsOf(node).filter((row) => row.children.length > 0),
      comfort,
      solver,
    )
    if (need <= inner) return undefined
    const children = node.children.map((child): LayoutNode =>
      isInFlow(child) ? { ...child, limits: { ...child.limits, minWidth: need } } : child,
    )
    return {
      value: `scrolls sideways, ${need} px wide`,
      node: { ...node, scrolls: true, children },
    }
  },
}
