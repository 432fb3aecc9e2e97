import type { LayoutNode } from '../../layout/index.js'
import type { Solver } from '../../layout/flow/solver.js'
import { toNode, type Cell } from './cells.js'
import { snapDistances, wholeLimits } from './snap.js'
import { MOST_SINGLE, type Trial } from './trial.js'

const holdsNode = ({ drawn, children }: Cell, node: LayoutNode): boolean =>
  drawn === node || children.some((child) => holdsNode(child, node))

/** Puts things back to how they were, with all that is in them. */
const restore = (cell: Cell, nodes: ReadonlyMap<Cell, LayoutNode>): void => {
  cell.node = nodes.get(cell)!
  for (const child of cell.children) restore(child, nodes)
}

const nodesIn = (cell: Cell, found = new Map<Cell, LayoutNode>()): Map<Cell, LayoutNode> => {
  found.set(cell, cell.node)
  for (const child of cell.children) nodesIn(child, found)
  return found
}

/** Puts the distances of a page on the scale. Lives for it. */
export class Snapping {
  /** How everything was before. */
  private readonly evened: ReadonlyMap<Cell, LayoutNode>

  constructor(
    private readonly trial: Trial,
    private readonly solver: Solver,
    root: Cell,
  ) {
    this.evened = nodesIn(root)
  }

  /** Distances come to lie on the scale, from the inside out; what would move too much on the whole is taken back. */
  snap(cell: Cell): void {
    for (const child of cell.children) this.snap(child)
    if (cell.children.length === 0) return
    const limits = cell.children.flatMap((child) => (child.isStated ? [] : wholeLimits(child)))
    this.trial.attemptMost(limits, cell)
    const current = toNode(cell)
    const grownBy = this.growthIn(cell, current)
    const changes = snapDistances(cell, grownBy)
    if (changes.length === 0 && current === cell.drawn) return
    if (this.trial.attempt(changes, [cell]) && (changes.length > 0 || this.trial.holds(cell)))
      return
    this.settle(cell, grownBy)
    this.trial.attemptMost(snapDistances(cell, grownBy), cell)
  }

  /** By how much things in a thing have grown along its direction, in px. */
  private growthIn(cell: Cell, current: LayoutNode): (child: Cell) => number {
    if (current === cell.drawn) return () => 0
    const side = cell.node.arrangement.kind === 'row' ? 'width' : 'height'
    const now = this.solver.place(current, cell.drawn.box.width)
    const grown = new Map(
      this.trial.drawnPlaces(cell).map(({ node, box }, i) => [node, now[i]!.box[side] - box[side]]),
    )
    return ({ drawn }) => grown.get(drawn) ?? 0
  }

  /** Takes back what moves too much together, thing by thing. */
  private settle(cell: Cell, grownBy: (child: Cell) => number): void {
    const left = new Set(cell.children)
    for (let tries = 0; left.size > 0 && tries < MOST_SINGLE; tries++) {
      const fault = this.trial.faultIn(cell)
      if (!fault) return
      // A child that has changed size moves those after it; a text that breaks elsewhere was given other room in its own child.
      const most = [...left].reduce((a, b) => (Math.abs(grownBy(b)) > Math.abs(grownBy(a)) ? b : a))
      const culprit = fault.isMoved
        ? most
        : ([...left].find((child) => holdsNode(child, fault.node)) ?? most)
      restore(culprit, this.evened)
      left.delete(culprit)
    }
    for (const child of left) restore(child, this.evened)
  }
}
