import type { LayoutNode } from '../../layout/index.js'
import { areAlike } from '../../meaning/structure/alike.js'
import { flowChildren, isInFlow } from '../../layout/flow/solver.js'
import type { Rule } from './rule.js'
import { sidesAsPadding } from './sides.js'

/** The most columns that fit; a number that leaves no gap in the last row where there is one of at least half as many. */
const chooseColumns = (most: number, count: number): number => {
  for (let k = most; k * 2 >= most && k > 1; k--) if (count % k === 0) return k
  return most
}

const asCell = (node: LayoutNode, columns: number): LayoutNode => {
  const { span } = node.layer
  const layer =
    span && span.columns > columns ? { ...node.layer, span: { ...span, columns } } : node.layer
  const isLeaf = node.children.length === 0 && node.layer.type !== 'text'
  const width = isLeaf && node.sizing.width === 'fixed' ? 'fixed' : 'stretch'
  const { self: _self, ...rest } = node
  return {
    ...rest,
    layer,
    isPushed: false,
    margin: { ...node.margin, left: 0, right: 0 },
    sizing: { ...node.sizing, width },
  }
}

const SAME_PX = 2

/** Whether things were drawn as columns, whatever is in them: of one width, and level. */
const areEven = (nodes: readonly LayoutNode[]): boolean => {
  const isSame = (of: (node: LayoutNode) => number): boolean =>
    nodes.every((node) => Math.abs(of(node) - of(nodes[0]!)) <= SAME_PX)
  return isSame(({ box }) => box.width) && isSame(({ box }) => box.y)
}

/** Cards, tiles and columns of a foot stay in a grid of as many columns as fit. */
export const columns: Rule = {
  way: 'columns',
  evidence: 'they are alike, and stand in equal columns',
  confidence: 0.9,
  suits(node) {
    const children = flowChildren(node)
    const isGrid = node.arrangement.kind === 'grid' && !node.arrangement.tracks
    return (
      (isGrid && children.length > 1) ||
      (children.length > 2 &&
        (areAlike(children) || areEven(children)) &&
        children.every((c) => c.children.length > 0 || c.layer.type !== 'text'))
    )
  },
  apply(node, inner, { comfort }) {
    const { arrangement } = node
    if (arrangement.kind === 'free' || arrangement.kind === 'column') return undefined
    const children = flowChildren(node)
    const gap = arrangement.kind === 'grid' ? arrangement.columnGap : arrangement.gap
    const need = Math.max(...children.map(comfort))
    const now = arrangement.kind === 'grid' ? arrangement.columns : children.length
    const fitting = Math.max(1, Math.floor((inner + gap) / (need + gap)))
    const count = Math.min(now - 1, fitting)
    const columns = count <= 1 ? 1 : chooseColumns(count, children.length)
    const rowGap =
      arrangement.kind === 'grid' && arrangement.rowGap > 0 ? arrangement.rowGap : Math.min(gap, 32)
    return {
      value: `${now} columns become ${columns}`,
      node: {
        ...node,
        arrangement: {
          kind: 'grid',
          columns,
          columnGap: gap,
          rowGap,
          padding: sidesAsPadding(node, arrangement.padding),
          align: arrangement.align === 'baseline' ? 'start' : arrangement.align,
        },
        children: node.children.map((child) => (isInFlow(child) ? asCell(child, columns) : child)),
      },
    }
  },
}
