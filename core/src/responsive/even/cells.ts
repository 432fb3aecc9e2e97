import { isContainer } from '../../design/layer.js'
import { lookOf, type LayoutNode } from '../../layout/index.js'
import { isInFlow } from '../../layout/flow/solver.js'
import { withChildren } from '../../layout/flow/tree.js'

/** A node that may be changed, and the one it was. */
export type Cell = {
  node: LayoutNode
  readonly drawn: LayoutNode
  readonly parent: Cell | undefined
  children: readonly Cell[]
  /** Its parent's auto layout is stated, so that it has no distances of its own. */
  readonly isStated: boolean
}

export const isStated = ({ layer }: LayoutNode): boolean =>
  isContainer(layer) && layer.type !== 'group' && layer.layout !== undefined

export const toCell = (drawn: LayoutNode, parent?: Cell): Cell => {
  const isHeld = parent !== undefined && isStated(parent.drawn)
  const cell: Cell = { node: drawn, drawn, parent, children: [], isStated: isHeld }
  cell.children = drawn.children.map((child) => toCell(child, cell))
  return cell
}

/** Where all that is in a container says the same of itself, the container says it. */
const sayOnce = (node: LayoutNode): LayoutNode => {
  const { arrangement, children } = node
  const flowing = children.filter(isInFlow)
  const self = flowing[0]?.self
  const isSame = self !== undefined && flowing.every((child) => child.self === self)
  if (!isSame || arrangement.kind === 'free' || self === 'baseline' || isStated(node)) return node
  return {
    ...node,
    arrangement: { ...arrangement, align: self },
    children: children.map((child) => {
      const { self: _self, ...bare } = child
      return isInFlow(child) ? bare : child
    }),
  }
}

export const toNode = ({ node, children }: Cell): LayoutNode => {
  const whole = withChildren(node, children.map(toNode))
  return whole === node ? whole : sayOnce(whole)
}

/** Things with fewer parts are told by their looks as well. */
const LEAST_TELLING = 3

/** Tells how things are built, whatever they say, in whatever colours, and however much room is in them: alike is one number. */
export class Signs {
  private readonly numbers = new Map<string, number>()
  private readonly known = new Map<Cell, number>()

  of(cell: Cell): number {
    const known = this.known.get(cell)
    if (known !== undefined) return known
    const { layer, arrangement, placement, box } = cell.node
    const inside = cell.children.map((child) => this.of(child)).join()
    const letters = layer.type === 'text' ? JSON.stringify({ ...layer.style, color: '' }) : ''
    const isLeaf = cell.children.length === 0 && layer.type !== 'text'
    // Shapes and pictures are of one kind when they are of one size.
    const size = isLeaf ? `${Math.round(box.width / 2)} ${Math.round(box.height / 2)}` : ''
    const columns = arrangement.kind === 'grid' ? arrangement.columns : 0
    // What holds little is told by its looks.
    const look = cell.children.length < LEAST_TELLING ? lookOf(layer) : ''
    const own = [layer.type, letters, arrangement.kind, columns, size, look, placement.kind]
    const text = `${own.join('|')}(${inside})`
    const number = this.numbers.get(text) ?? this.numbers.size
    this.numbers.set(text, number)
    this.known.set(cell, number)
    return number
  }
}

/** Visits things that are built alike place by place: what each has there. */
export const lockstep = (
  cells: readonly Cell[],
  visit: (cells: readonly Cell[], isRoot: boolean) => void,
  isRoot = true,
): void => {
  visit(cells, isRoot)
  cells[0]!.children.forEach((_, i) =>
    lockstep(
      cells.map(({ children }) => children[i]!),
      visit,
      false,
    ),
  )
}
