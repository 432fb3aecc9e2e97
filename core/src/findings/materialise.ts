import { INFERRED, layerOfNode } from '../design/node-key.js'
import type { SingleEdit } from '../edits/edit.js'
import { isContainer } from '../design/layer.js'
import { nameOfArrange, type Arrange } from '../design/layout.js'
import { type LayoutNode } from '../layout/index.js'
import type { ScreenContext } from './context.js'

export type Made = {
  /** The layers that stand for the node once the edits are made: one, where a container could be made. */
  readonly keys: readonly string[]
  readonly edits: readonly SingleEdit[]
}

/** What a person calls the arrangement: a grid of one row is a row. */
export const groupKindOf = ({ arrangement, children }: LayoutNode): Arrange => {
  if (arrangement.kind === 'free') return 'overlay'
  // Said as a row, lines that break would be one line.
  if (arrangement.kind === 'row' && arrangement.wrap) return 'grid'
  if (arrangement.kind !== 'grid') return arrangement.kind
  const count = children.filter((child) => child.placement.kind === 'flow').length
  return count <= arrangement.columns ? 'row' : 'grid'
}

/** A cell of a ruled table is made of lines it shares with its neighbours; no container can hold them. */
const isCell = (node: LayoutNode): boolean =>
  node.layer.key.includes(INFERRED) && !node.layer.key.endsWith(INFERRED)

const holdsCells = (node: LayoutNode): boolean => isCell(node) || node.children.some(holdsCells)

/**
 * The edits that write into the design what the layout of a node was inferred to be, from the inside out:
 * containers that stand for no layer become groups, backgrounds the containers of what lies on them.
 */
export const materialise = (node: LayoutNode, context: ScreenContext): Made => {
  const { key } = node.layer
  const entry = context.byKey.get(key)
  const known = node.absorbed.filter((k) => context.byKey.has(k))
  if (node.isGraphic && node.children.length === 0 && !entry && known.length > 0) {
    const made = context.freeKey(`${layerOfNode(key)}-drawing`)
    const { name } = node.layer
    return { keys: [made], edits: [{ kind: 'make-graphic', layers: known, key: made, name }] }
  }
  // What is painted before a background cannot stand in it.
  const isOn = ({ placement }: LayoutNode): boolean =>
    placement.kind !== 'overlay' || !placement.isUnder
  const inside = node.children.map((child) => ({ child, made: materialise(child, context) }))
  const edits = inside.flatMap(({ made }) => made.edits)
  const keysOf = (list: typeof inside): string[] => [
    ...new Set([...known, ...list.flatMap(({ made }) => made.keys)]),
  ]
  const isMade = !entry && key.endsWith(INFERRED) && !node.children.some(holdsCells)
  if (isMade && keysOf(inside).length > 1) {
    const depth = key.length - layerOfNode(key).length
    const kind = groupKindOf(node)
    const made = context.freeKey(`${layerOfNode(key)}-${kind}${depth > 1 ? depth : ''}`)
    const layers = keysOf(inside)
    return {
      keys: [made],
      edits: [
        ...edits,
        { kind: 'group', layers, as: kind, key: made, name: nameOfArrange(kind), force: true },
      ],
    }
  }
  if (!entry) return { keys: keysOf(inside), edits }
  const on = inside.filter(({ child }) => isOn(child))
  const under = inside.filter(({ child }) => !isOn(child)).flatMap(({ made }) => made.keys)
  if (entry.layer.type === 'rectangle' && on.length > 0) {
    const layers = keysOf(on)
    return { keys: [key, ...under], edits: [...edits, { kind: 'enclose', layer: key, layers }] }
  }
  return { keys: [key, ...under], edits }
}

/** Whether a node is, in the file, a shape under other layers rather than their container. */
export const isLooseBackground = (node: LayoutNode, { byKey }: ScreenContext): boolean => {
  const entry = byKey.get(node.layer.key)
  return entry !== undefined && !isContainer(entry.layer) && node.children.length > 0
}
