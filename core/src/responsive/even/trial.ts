import { keptWidths, type LayoutNode } from '../../layout/index.js'
import type { TextLayer } from '../../design/layer.js'
import type { TextMeasure } from '../../text/measure.js'
import type { Placed, Solver } from '../../layout/flow/solver.js'
import { toNode, type Cell } from './cells.js'
import { moveOf, MOVED_PX } from './moves.js'

/** Fonts are measured to so many px for a line. */
export const SPARE_PX = 4
/** Up to so many changes are tried one by one. */
export const MOST_SINGLE = 40

/** A node that may be changed, and what it is to be. */
export type Change = readonly [cell: Cell, node: LayoutNode]

/** What does not hold: it stands elsewhere, or it breaks into other lines. */
type Fault = { readonly node: LayoutNode; readonly isMoved: boolean }

/** Tries changes on one page, and takes them back where things no longer stand where they were drawn. */
export class Trial {
  private readonly places = new Map<Cell, readonly Placed[]>()

  constructor(
    private readonly solver: Solver,
    private readonly measure: TextMeasure,
  ) {}

  /** Where everything in a thing was drawn. */
  drawnPlaces(cell: Cell): readonly Placed[] {
    let places = this.places.get(cell)
    if (!places) {
      places = this.solver.place(cell.drawn, cell.drawn.box.width)
      this.places.set(cell, places)
    }
    return places
  }

  /** What in a thing, or whether the thing itself, no longer stands where it was drawn, or breaks elsewhere. */
  faultIn(cell: Cell): Fault | undefined {
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

  holds(cell: Cell): boolean {
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
  breaksAsDrawn(node: LayoutNode, px: number, drawnPx: number): boolean {
    const layer = node.layer as TextLayer
    const range = (layer.lines?.length ?? 0) > 1 ? keptWidths(layer, this.measure) : undefined
    if (range) return px - SPARE_PX > range.least && px + SPARE_PX < range.most
    const { lines } = this.solver.text(node)
    const drawn = lines(drawnPx)
    return [-SPARE_PX, SPARE_PX].every((by) => lines(px + by) === drawn)
  }

  /** Changes some nodes, and takes it back where things do not hold. */
  attempt(changes: readonly Change[], checked: readonly Cell[]): boolean {
    if (changes.length === 0) return true
    const before = changes.map(([cell]) => cell.node)
    for (const [cell, node] of changes) cell.node = node
    if (checked.every((cell) => this.holds(cell))) return true
    changes.forEach(([cell], i) => (cell.node = before[i]!))
    return false
  }

  /** Changes some nodes in a thing, all together or each that may be. */
  attemptMost(changes: readonly Change[], checked: Cell): void {
    if (this.attempt(changes, [checked]) || changes.length > MOST_SINGLE) return
    for (const change of changes) this.attempt([change], [checked])
  }
}
