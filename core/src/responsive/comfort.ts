import { resolveSides } from '../design/geometry.js'
import type { LayoutNode } from '../layout/index.js'
import { flowChildren, type Solver } from '../layout/flow/solver.js'

/** A label up to this wide stays on its line. */
const LABEL_PX = 200
/** Lines of running text are at least this wide, so that they can be read. */
const MEASURE_PX = 176
/** A picture is still seen at this width. */
const PICTURE_PX = 160
/** Content that can be rearranged needs no less than this share of the room it has side by side. */
const FOLDED_SHARE = 0.5
/** Rows up to this wide hold together: a sign with its label, a figure with its unit. */
const TIED_PX = 280

/** How narrow things may get and still look as meant, in px: less than that, and their row gives way. */
export type Comfort = (node: LayoutNode) => number

const isPictureLike = (node: LayoutNode): boolean =>
  node.children.length === 0 && node.layer.type !== 'text'

/** Says how much room things need to look as meant. */
export const createComfort = (solver: Solver): Comfort => {
  const memory = new Map<LayoutNode, number>()

  const ofText = (node: LayoutNode): number => {
    const { widest, least } = solver.text(node)
    const isLabel = widest <= LABEL_PX && (node.layer.type !== 'text' || node.layer.style.size < 24)
    if (isLabel) return widest
    return Math.max(least, Math.min(widest, MEASURE_PX))
  }

  const ofContainer = (node: LayoutNode): number => {
    const { arrangement } = node
    if (arrangement.kind === 'free') return node.box.width
    const padding = resolveSides(arrangement.padding)
    const sides = padding.left + padding.right
    const children = flowChildren(node)
    const sizes = children.map((child) => comfort(child) + child.margin.left + child.margin.right)
    const stacked = Math.max(0, ...sizes)
    if (arrangement.kind === 'column') return stacked + sides
    const isGrid = arrangement.kind === 'grid'
    if (!isGrid && arrangement.wrap) return stacked + sides
    const columns = isGrid ? arrangement.columns : children.length
    const gap = isGrid ? arrangement.columnGap : arrangement.gap
    const gaps = Math.max(0, columns - 1) * gap
    const beside = isGrid ? columns * stacked + gaps : sizes.reduce((a, b) => a + b, 0) + gaps
    if (beside <= TIED_PX) return beside + sides
    return Math.max(stacked, FOLDED_SHARE * beside) + sides
  }

  const comfort: Comfort = (node) => {
    const known = memory.get(node)
    if (known !== undefined) return known
    const least = node.limits.minWidth ?? 0
    const own =
      node.layer.type === 'text'
        ? ofText(node)
        : isPictureLike(node)
          ? node.sizing.width === 'stretch' || node.fitsParent
            ? Math.min(node.box.width, PICTURE_PX)
            : node.box.width
          : node.sizing.width === 'fixed' && !node.fitsParent
            ? Math.min(node.box.width, Math.max(ofContainer(node), node.box.width))
            : ofContainer(node)
    const value = Math.max(least, Math.min(own, node.limits.maxWidth ?? Infinity))
    memory.set(node, value)
    return value
  }
  return comfort
}
