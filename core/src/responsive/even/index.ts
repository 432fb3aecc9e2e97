import { resolveSides } from '../../design/geometry.js'
import { keptWidths, type Flow, type LayoutNode } from '../../layout/index.js'
import type { TextLayer } from '../../design/layer.js'
import type { TextMeasure } from '../../text/measure.js'
import type { Placed, Solver } from '../../layout/flow/solver.js'
import { isStated, lockstep, Signs, toCell, toNode, type Cell } from './cells.js'
import { across, bottomOf, distancesOf, meant, NEAR_PX, withDistances } from './distances.js'
import { givesWay, heldLike, holdKey } from './holds.js'
import { snapDistances, wholeLimits, type Change } from './snap.js'
import { moveOf, MOVED_PX, moveBoxes, putBack } from './moves.js'

/** Fonts are measured to so many px for a line. */
const SPARE_PX = 4
/** So many ways to stand are tried on things that are alike. */
const MOST_MODELS = 3
/** Up to so many changes are tried one by one. */
const MOST_SINGLE = 40
/** So many widths for texts are tried, in steps of 4 px. */
const MOST_WIDTHS = 12

/** What does not hold: it stands elsewhere, or it breaks into other lines. */
type Fault = { readonly node: LayoutNode; readonly isMoved: boolean }

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

/** Evens out one page. Lives for it. */
class Evening {
  private readonly places = new Map<Cell, readonly Placed[]>()

  constructor(
    private readonly solver: Solver,
    private readonly measure: TextMeasure,
    private readonly signs: Signs,
  ) {}

  private drawnPlaces(cell: Cell): readonly Placed[] {
    let places = this.places.get(cell)
    if (!places) {
      places = this.solver.place(cell.drawn, cell.drawn.box.width)
      this.places.set(cell, places)
    }
    return places
  }

  /** What in a thing, or whether the thing itself, no longer stands where it was drawn, or breaks elsewhere. */
  private faultIn(cell: Cell): Fault | undefined {
    const { width } = cell.drawn.box
    const before = this.drawnPlaces(cell)
    const after = this.solver.place(toNode(cell), width)
    const [outer, inner] = [before[0]!.box, after[0]!.box]
    const resized = Math.max(
      Math.abs(outer.height - inner.height),
      Math.abs(outer.width - inner.width),
    )
    if (resized > MOVED_PX) return { node: cell.drawn, isMoved: true }
    for (const [i, one] of before.entries()) {
      if (!this.isSteady(one, after[i]!)) return { node: one.node, isMoved: false }
      if (moveOf(one, after[i]!, this.solver) > MOVED_PX) return { node: one.node, isMoved: true }
    }
    return undefined
  }

  private holds(cell: Cell): boolean {
    return this.faultIn(cell) === undefined
  }

  /** Whether a text that gets other room than before would keep its lines with a little less, and a little more, of it. */
  private isSteady({ node, box }: Placed, after: Placed): boolean {
    const isText = node.layer.type === 'text' && !after.node.keepsLines
    if (!isText || Math.abs(box.width - after.box.width) <= 0.5) return true
    // As wide as its words, it has all the room it asks for.
    const { widest } = this.solver.text(node)
    if (after.node.sizing.width === 'fit' && after.box.width >= widest - 0.5) return true
    return this.breaksAsDrawn(node, after.box.width, box.width)
  }

  /** Whether a text breaks as it was drawn in a room, and in a little less or more of it. */
  private breaksAsDrawn(node: LayoutNode, px: number, drawnPx: number): boolean {
    const layer = node.layer as TextLayer
    const range = (layer.lines?.length ?? 0) > 1 ? keptWidths(layer, this.measure) : undefined
    if (range) return px - SPARE_PX > range.least && px + SPARE_PX < range.most
    const { lines } = this.solver.text(node)
    const drawn = lines(drawnPx)
    return [-SPARE_PX, SPARE_PX].every((by) => lines(px + by) === drawn)
  }

  /** Changes some nodes, and takes it back where things do not hold. */
  private attempt(
    changes: readonly (readonly [Cell, LayoutNode])[],
    checked: readonly Cell[],
  ): boolean {
    if (changes.length === 0) return true
    const before = changes.map(([cell]) => cell.node)
    for (const [cell, node] of changes) cell.node = node
    if (checked.every((cell) => this.holds(cell))) return true
    changes.forEach(([cell], i) => (cell.node = before[i]!))
    return false
  }

  /** Changes some nodes in a thing, all together or each that may be. */
  private attemptMost(changes: readonly Change[], checked: Cell): void {
    if (this.attempt(changes, [checked]) || changes.length > MOST_SINGLE) return
    for (const change of changes) this.attempt([change], [checked])
  }

  /** Things at one place of things that are alike stand there as most of them do; `holders`: what each is in. */
  private evenHolds(cells: readonly Cell[], holders: readonly Cell[]): void {
    const models = new Map<string, { readonly cell: Cell; count: number }>()
    for (const cell of cells) {
      const key = holdKey(cell)
      const known = models.get(key)
      if (known) known.count++
      else models.set(key, { cell, count: 1 })
    }
    if (models.size === 1) return
    const ranked = [...models.values()].sort(
      (a, b) => givesWay(b.cell) - givesWay(a.cell) || b.count - a.count,
    )
    for (const { cell: model, count } of ranked.slice(0, MOST_MODELS)) {
      const key = holdKey(model)
      cells.forEach((cell, i) => {
        // What follows its room is not made to stand still, and what is usual stays.
        const isBetter =
          givesWay(cell) > givesWay(model) ||
          (givesWay(cell) === givesWay(model) && (models.get(holdKey(cell))?.count ?? 0) > count)
        if (holdKey(cell) === key || isBetter) return
        this.attempt([[cell, heldLike(cell, model)]], [holders[i]!])
      })
    }
  }

  /** Texts of which some are held to a width, so that they break as drawn, are held to one at which all of them do. */
  private evenTextWidths(cells: readonly Cell[], holders: readonly Cell[]): void {
    const isHeld = ({ node }: Cell): boolean => node.limits.maxWidth !== undefined
    if (!cells.some(isHeld) || cells.some(({ node }) => node.layer.type !== 'text')) return
    const drawn = cells.map(({ drawn: { layer, box } }) => Math.min(layer.box.width, box.width))
    const least = Math.max(...drawn) + SPARE_PX
    const width = Array.from(
      { length: MOST_WIDTHS },
      (_, i) => (Math.ceil(least / 4) + i) * 4,
    ).find((px) =>
      cells.every(({ drawn: node }, i) =>
        this.breaksAsDrawn(node, px, Math.max(drawn[i]!, node.layer.box.width)),
      ),
    )
    if (width === undefined) return
    const changes = cells.map((cell) => {
      const limits = { ...cell.node.limits, maxWidth: width }
      return [cell, { ...cell.node, limits }] as const
    })
    this.attempt(changes, [...new Set(holders)])
  }

  /** `evensAlong`: what adds up from one thing to the next as well. */
  private evenDistances(instances: readonly Cell[], evensAlong: boolean): void {
    /** By the instance: what changes in it. */
    const changes = instances.map((): (readonly [Cell, LayoutNode])[] => [])
    lockstep(instances, (cells, isRoot) => {
      const all = cells.map((cell) => distancesOf(cell, isRoot))
      if (all.some((one) => one.length !== all[0]!.length)) return
      const wanted = all[0]!.map(({ isAlong }, at) => {
        const own = all.map((one) => one[at]!)
        return isAlong && !evensAlong ? own.map(({ px }) => px) : meant(own)
      })
      cells.forEach((cell, i) => {
        const px = wanted.map((own) => own[i]!)
        if (px.every((one, at) => one === all[i]![at]!.px)) return
        changes[i]!.push([cell, withDistances(cell, isRoot, px)])
      })
    })
    instances.forEach((one, i) => {
      if (this.attempt(changes[i]!, [one])) return
      for (const change of changes[i]!) this.attempt([change], [one])
    })
  }

  /** Room below the content of cells that are as high as their row is as much as the fullest needs. */
  private evenSlack(instances: readonly Cell[]): void {
    lockstep(instances, (cells, isRoot) => {
      const [first] = cells
      const kind = first!.parent?.node.arrangement.kind
      if (isRoot || (kind !== 'grid' && kind !== 'row') || first!.node.arrangement.kind === 'free')
        return
      const bottoms = cells.map(bottomOf)
      const least = Math.min(...bottoms)
      if (bottoms.every((bottom) => bottom <= least + NEAR_PX)) return
      const changes = cells.map((cell, i) => {
        const { node } = cell
        const flow = node.arrangement as Flow
        const bottom = bottoms[i]! > least + NEAR_PX ? least : bottoms[i]!
        const padding = { ...resolveSides(flow.padding), bottom }
        const sizing = { ...node.sizing, height: 'stretch' as const }
        return [cell, { ...node, sizing, arrangement: { ...flow, padding } }] as const
      })
      this.attempt(changes, instances)
    })
  }

  /** Distances come to lie on the scale, from the inside out; what would move too much on the whole is taken back. */
  snap(cell: Cell, evened: ReadonlyMap<Cell, LayoutNode> = nodesIn(cell)): void {
    for (const child of cell.children) this.snap(child, evened)
    if (cell.children.length === 0) return
    const limits = cell.children.flatMap((child) => (child.isStated ? [] : wholeLimits(child)))
    this.attemptMost(limits, cell)
    const current = toNode(cell)
    const grownBy = this.growthIn(cell, current)
    const changes = snapDistances(cell, grownBy)
    if (changes.length === 0 && current === cell.drawn) return
    if (this.attempt(changes, [cell]) && (changes.length > 0 || this.holds(cell))) return
    this.settle(cell, evened, grownBy)
    this.attemptMost(snapDistances(cell, grownBy), cell)
  }

  /** By how much things in a thing have grown along its direction, in px. */
  private growthIn(cell: Cell, current: LayoutNode): (child: Cell) => number {
    if (current === cell.drawn) return () => 0
    const side = cell.node.arrangement.kind === 'row' ? 'width' : 'height'
    const now = this.solver.place(current, cell.drawn.box.width)
    const grown = new Map(
      this.drawnPlaces(cell).map(({ node, box }, i) => [node, now[i]!.box[side] - box[side]]),
    )
    return ({ drawn }) => grown.get(drawn) ?? 0
  }

  /** Takes back what moves too much together, thing by thing. */
  private settle(
    cell: Cell,
    evened: ReadonlyMap<Cell, LayoutNode>,
    grownBy: (child: Cell) => number,
  ): void {
    const left = new Set(cell.children)
    for (let tries = 0; left.size > 0 && tries < MOST_SINGLE; tries++) {
      const fault = this.faultIn(cell)
      if (!fault) return
      // What has changed in size moves all that comes after it; what breaks elsewhere got other room where it is.
      const most = [...left].reduce((a, b) => (Math.abs(grownBy(b)) > Math.abs(grownBy(a)) ? b : a))
      const culprit = fault.isMoved
        ? most
        : ([...left].find((child) => holdsNode(child, fault.node)) ?? most)
      restore(culprit, evened)
      left.delete(culprit)
    }
    for (const child of left) restore(child, evened)
  }

  /** What stands under one another in a container, built alike, begins and ends alike. */
  siblings(parent: Cell): void {
    parent.children.forEach((child) => this.siblings(child))
    if (parent.node.arrangement.kind !== 'column' || isStated(parent.node)) return
    const groups = new Map<number, Cell[]>()
    for (const child of parent.children) {
      if (child.node.placement.kind === 'overlay') continue
      const sign = this.signs.of(child)
      groups.set(sign, [...(groups.get(sign) ?? []), child])
    }
    for (const cells of groups.values()) {
      if (cells.length < 3) continue
      this.evenHolds(
        cells,
        cells.map(() => parent),
      )
      const left = cells.map(({ node }) => across(node.margin.left))
      const right = cells.map(({ node }) => across(node.margin.right))
      const [lefts, rights] = [meant(left), meant(right)]
      const changes = cells.flatMap((cell, i) => {
        const margin = { ...cell.node.margin, left: lefts[i]!, right: rights[i]! }
        const isSame = left[i]!.px === margin.left && right[i]!.px === margin.right
        return isSame ? [] : [[cell, { ...cell.node, margin }] as const]
      })
      this.attempt(changes, [parent])
    }
  }

  /** Things that are built alike: those in one container first, whose sums stay as they are drawn. */
  alike(instances: readonly Cell[]): void {
    const families = new Map<Cell | undefined, Cell[]>()
    for (const one of instances)
      families.set(one.parent, [...(families.get(one.parent) ?? []), one])
    for (const family of families.values())
      if (family.length > 1 && families.size > 1) this.evenAll(family, true)
    const areAlone = [...families.values()].every((family) => family.length === 1)
    this.evenAll(instances, areAlone || families.size === 1)
  }

  private evenAll(instances: readonly Cell[], evensAlong: boolean): void {
    lockstep(instances, (cells, isRoot) => {
      if (isRoot || cells[0]!.isStated) return
      this.evenTextWidths(cells, instances)
      this.evenHolds(cells, instances)
    })
    this.evenSlack(instances)
    this.evenDistances(instances, evensAlong)
  }
}

/** Containers that are built alike, the small ones first. */
const findAlike = (root: Cell, signs: Signs): readonly (readonly Cell[])[] => {
  const groups = new Map<number, { readonly cells: Cell[]; readonly weight: number }>()
  const visit = (cell: Cell): number => {
    const weight = cell.children.reduce((sum, child) => sum + visit(child), 1)
    if (cell.children.length === 0) return weight
    const known = groups.get(signs.of(cell))
    if (known) known.cells.push(cell)
    else groups.set(signs.of(cell), { cells: [cell], weight })
    return weight
  }
  visit(root)
  return [...groups.values()]
    .filter(({ cells }) => cells.length > 1)
    .sort((a, b) => a.weight - b.weight)
    .map(({ cells }) => cells)
}

/** How often a page is looked through for what went too far; then it stays as it was. */
const MOST_ROUNDS = 6

/**
 * Things that are built alike get the same distances and stand alike in their room, where the drawing differs by what a hand,
 * or the rounding of a program, is off. Nothing is moved by more than that. Takes a layout as it was inferred; what is stated
 * stays as it is.
 */
export const evenOut = (root: LayoutNode, solver: Solver, measure: TextMeasure): LayoutNode => {
  const cell = toCell(root)
  const signs = new Signs()
  const evening = new Evening(solver, measure, signs)
  evening.siblings(cell)
  for (const cells of findAlike(cell, signs)) evening.alike(cells)
  evening.snap(cell)
  if (toNode(cell) === root) return root
  const before = solver.place(root, root.box.width)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    if (putBack(cell, before, solver)) return moveBoxes(toNode(cell), before, solver)
  }
  return root
}
