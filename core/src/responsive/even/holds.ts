import type { CrossAlign, LayoutNode } from '../../layout/index.js'
import { isStated, type Cell } from './cells.js'

const alignOf = ({ arrangement }: LayoutNode): CrossAlign | undefined =>
  arrangement.kind === 'free' ? undefined : arrangement.align

/** Across its parent's direction, whoever says it. */
const selfOf = ({ node, parent }: Cell): CrossAlign | undefined =>
  node.self ?? (parent && alignOf(parent.node))

/** How a thing stands in its room, apart from distances. */
export const holdKey = (cell: Cell): string => {
  const { textAlign, sizing, isPushed, keepsLines, limits, arrangement } = cell.node
  const distribute = 'distribute' in arrangement ? arrangement.distribute : undefined
  const self = selfOf(cell)
  return JSON.stringify([self, textAlign, sizing, isPushed, keepsLines, limits, distribute])
}

/** Whether the width of a thing follows its content, or the room it has. */
export const givesWay = ({ node }: Cell): number => (node.sizing.width === 'fixed' ? 0 : 1)

const withSelf = (
  node: LayoutNode,
  self: CrossAlign | undefined,
  align?: CrossAlign,
): LayoutNode => {
  const { self: _self, ...bare } = node
  return self === undefined || self === align ? bare : { ...bare, self }
}

/** The node, standing in its room as another does. */
export const heldLike = ({ node, parent }: Cell, model: Cell): LayoutNode => {
  const { textAlign: _align, ...bare } = node
  const { textAlign, sizing, isPushed, margin, arrangement } = model.node
  // What keeps lines as they were drawn is not given up; only the one that needs it knows why.
  const isLine = node.layer.type === 'text' && (node.layer.lines?.length ?? 0) === 1
  const keepsLines = node.keepsLines || model.node.keepsLines || (isLine && sizing.width === 'fit')
  const maxWidth = model.node.limits.maxWidth ?? node.limits.maxWidth
  const limits =
    node.layer.type === 'text' && maxWidth !== undefined
      ? { ...model.node.limits, maxWidth }
      : model.node.limits
  const own =
    'distribute' in node.arrangement && 'distribute' in arrangement && !isStated(node)
      ? { ...node.arrangement, distribute: arrangement.distribute }
      : node.arrangement
  const held = {
    ...bare,
    ...(textAlign === undefined ? {} : { textAlign }),
    sizing,
    isPushed,
    keepsLines,
    limits,
    arrangement: own,
    margin: { ...node.margin, left: margin.left, right: margin.right },
  }
  return withSelf(held, selfOf(model), parent && alignOf(parent.node))
}
