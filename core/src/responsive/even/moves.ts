import { roundBox, type Box } from '../../design/geometry.js'
import { isPainted, type LayoutNode } from '../../layout/index.js'
import type { Placed, Solver } from '../../layout/flow/solver.js'
import { withChildren } from '../../layout/flow/tree.js'
import { toNode, type Cell } from './cells.js'

/** How far anything may be moved by it inside of a thing; and on a page, where the moves of many add up. */
export const MOVED_PX = 1.01
const DRIFT_PX = 1.51

/** Where lines begin is known less well than where they stand: it depends on how wide the font is. */
const LETTERS_SHARE = 0.8

const alignOfText = ({ textAlign, layer }: LayoutNode): string =>
  textAlign ?? (layer.type === 'text' ? layer.align : 'start')

/** Where the letters of a text begin, that are as wide as this. */
const lettersAt = ({ node, box }: Placed, width: number): number => {
  const room = box.width - width
  const align = alignOfText(node)
  return box.x + (align === 'centre' ? room / 2 : align === 'end' ? room : 0)
}

/** How far something that is seen was moved, in px. */
export const moveOf = (before: Placed, after: Placed, solver: Solver): number => {
  const [a, b] = [before.box, after.box]
  if (before.node.layer.type === 'text') {
    if (Math.abs(a.height - b.height) > 1) return Infinity
    const { widest, lines } = solver.text(before.node)
    const isOneLine = before.node.keepsLines || lines(a.width) === 1
    // Lines of different length stand otherwise to one another where they are held at another edge.
    if (!isOneLine && alignOfText(before.node) !== alignOfText(after.node)) return Infinity
    const width = isOneLine ? Math.min(widest, a.width) : 0
    const along = Math.abs(lettersAt(before, width) - lettersAt(after, width))
    return Math.max(along * LETTERS_SHARE, Math.abs(a.y - b.y))
  }
  const isSeen = before.node.children.length === 0 || isPainted(before.node.layer)
  if (!isSeen) return 0
  return Math.max(
    Math.abs(a.x - b.x),
    Math.abs(a.y - b.y),
    Math.abs(a.width - b.width),
    Math.abs(a.height - b.height),
  )
}

const LEAST_MOVE_PX = 0.005

/** Boxes moved by as much as their content is now laid out otherwise. */
export const moveBoxes = (
  evened: LayoutNode,
  before: readonly Placed[],
  solver: Solver,
): LayoutNode => {
  const after = solver.place(evened, evened.box.width)
  const boxes = (all: readonly Placed[]): ReadonlyMap<LayoutNode, Box> =>
    new Map(all.map(({ node, box }) => [node, box]))
  const inside = ({ box, parent }: Placed, all: ReadonlyMap<LayoutNode, Box>): Box => {
    const outer = parent && all.get(parent)
    return outer ? { ...box, x: box.x - outer.x, y: box.y - outer.y } : box
  }
  const [old, now] = [boxes(before), boxes(after)]
  const moved = new Map<LayoutNode, Box>()
  after.forEach((one, i) => {
    const [from, to] = [inside(before[i]!, old), inside(one, now)]
    const by = (side: 'x' | 'y' | 'width' | 'height'): number => to[side] - from[side]
    if (Math.max(...BOX.map((side) => Math.abs(by(side)))) < LEAST_MOVE_PX) return
    const { box } = one.node
    moved.set(
      one.node,
      roundBox({
        x: box.x + by('x'),
        y: box.y + by('y'),
        width: box.width + by('width'),
        height: box.height + by('height'),
      }),
    )
  })
  const visit = (node: LayoutNode): LayoutNode => {
    const own = withChildren(node, node.children.map(visit))
    const box = moved.get(node)
    return box ? { ...own, box } : own
  }
  return visit(evened)
}

const BOX = ['x', 'y', 'width', 'height'] as const

/** Puts back what went too far, with all that is in the next thing around it that did not. */
export const putBack = (root: Cell, before: readonly Placed[], solver: Solver): boolean => {
  const after = solver.place(toNode(root), root.drawn.box.width)
  const moves = new Map(before.map((one, i) => [one.node, moveOf(one, after[i]!, solver)]))
  const shifts = new Map(
    before.map(({ node, box }, i) => {
      const { x, y } = after[i]!.box
      return [node, Math.max(Math.abs(box.x - x), Math.abs(box.y - y))]
    }),
  )
  let isDone = true
  const reset = (cell: Cell): void => {
    cell.node = cell.drawn
    cell.children.forEach(reset)
  }
  /** Whether something in it went too far, and it is for what is around to put that back. */
  const visit = (cell: Cell): boolean => {
    const isFar = (moves.get(cell.drawn) ?? 0) > DRIFT_PX
    const isLeft = cell.children.map(visit).includes(true) || isFar
    if (!isLeft) return false
    isDone = false
    if (isFar || (shifts.get(cell.drawn) ?? 0) > MOVED_PX) return true
    reset(cell)
    return false
  }
  if (visit(root)) reset(root)
  return isDone
}
