import { resolveSides } from '../../design/geometry.js'
import type { Flow, LayoutNode } from '../../layout/index.js'
import type { TextMeasure } from '../../text/measure.js'
import type { Solver } from '../../layout/flow/solver.js'
import { isStated, lockstep, Signs, toCell, toNode, type Cell } from './cells.js'
import { across, bottomOf, distancesOf, meant, NEAR_PX, withDistances } from './distances.js'
import { givesWay, heldLike, holdKey } from './holds.js'
import { moveBoxes, putBack } from './moves.js'
import { Snapping } from './snapping.js'
import { SPARE_PX, Trial } from './trial.js'

/** So many ways to stand are tried on things that are alike. */
const MOST_MODELS = 3
/** So many widths for texts are tried, in steps of 4 px. */
const MOST_WIDTHS = 12

/** Evens out one page. Lives for it. */
class Evening {
  constructor(
    private readonly trial: Trial,
    private readonly signs: Signs,
  ) {}

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
        this.trial.attempt([[cell, heldLike(cell, model)]], [holders[i]!])
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
        this.trial.breaksAsDrawn(node, px, Math.max(drawn[i]!, node.layer.box.width)),
      ),
    )
    if (width === undefined) return
    const changes = cells.map((cell) => {
      const limits = { ...cell.node.limits, maxWidth: width }
      return [cell, { ...cell.node, limits }] as const
    })
    this.trial.attempt(changes, [...new Set(holders)])
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
      if (this.trial.attempt(changes[i]!, [one])) return
      for (const change of changes[i]!) this.trial.attempt([change], [one])
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
      this.trial.attempt(changes, instances)
    })
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
      this.trial.attempt(changes, [parent])
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
  const trial = new Trial(solver, measure)
  const evening = new Evening(trial, signs)
  evening.siblings(cell)
  for (const cells of findAlike(cell, signs)) evening.alike(cells)
  new Snapping(trial, solver, cell).snap(cell)
  if (toNode(cell) === root) return root
  const before = solver.place(root, root.box.width)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    if (putBack(cell, before, solver)) return moveBoxes(toNode(cell), before, solver)
  }
  return root
}
