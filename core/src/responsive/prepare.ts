import { NO_SIDES } from '../design/geometry.js'
import { resolveSides } from '../design/geometry.js'
import type { LayerWidths } from '../design/widths.js'
import { stackedPlainly, type LayoutNode } from '../layout/index.js'
import { canWrap, findNavigation } from '../meaning/structure/navigation.js'
import { anchored, flowChildren, isInFlow, type Solver } from '../layout/flow/solver.js'
import { findRail } from '../meaning/structure/rails.js'
import { findTableRows, isTableGrid } from '../meaning/structure/tables.js'
import { NARROWEST_PX } from './window.js'
import { createKeys, mapNodes, replaceRun, withChildren, wrapNodes } from '../layout/flow/tree.js'

/** What is wider than this may not fit into the narrowest window. */
const ALWAYS_FITS_PX = 280
/** Even padding of at least this much on both sides of the page stands for content that is held to a width. */
const HELD_PADDING_PX = 56
/** What stays of it where the window is narrower. */
const LEAST_SIDE_PX = 24
const SAME_PX = 2

/** What a person has said, by the key of the layer or of the container made up around it. */
export type SaidWidths = Readonly<Record<string, LayerWidths>>

const withSaid = (root: LayoutNode, said: SaidWidths): LayoutNode =>
  Object.keys(said).length === 0
    ? root
    : mapNodes(root, (node) => {
        const widths = said[node.layer.key]
        return widths && node.widths !== widths ? { ...node, widths } : node
      })

/** Fixed things never reach out of their parents; pictures keep their proportions. */
const keepInside = (node: LayoutNode): LayoutNode => {
  const { layer, sizing, box } = node
  if (sizing.width !== 'fixed' || box.width <= ALWAYS_FITS_PX || layer.type === 'text') return node
  const { placement } = node
  const spans =
    placement.kind === 'overlay' && (placement.x.edge === 'both' || placement.x.edge === 'scale')
  if (node.fitsParent || spans) return node
  const isLeaf = node.children.length === 0
  const keepsRatio = isLeaf && box.height > 0 && (layer.type === 'image' || node.isGraphic)
  if (keepsRatio) {
    return {
      ...node,
      fitsParent: true,
      ratio: box.width / box.height,
      sizing: { ...sizing, height: 'fit' },
    }
  }
  return { ...node, fitsParent: true }
}

/** What is drawn wider than its parent reaches as far beyond it at any width, where that is cut off anyway. */
const bleed = (child: LayoutNode, inner: number, align: string, isClipped: boolean): LayoutNode => {
  const { self: _self, ...bare } = child
  const right = inner - child.margin.left - child.box.width
  return {
    ...bare,
    fitsParent: false,
    sizing: { ...child.sizing, width: 'stretch' },
    margin: { ...child.margin, right: isClipped ? Math.round(right) : 0 },
    ...(align === 'stretch' ? {} : { self: 'stretch' as const }),
  }
}

/** What takes all of a row, beside something that was drawn outside it, does not give way to that. */
const keepRigid = (node: LayoutNode): LayoutNode =>
  withChildren(
    node,
    node.children.map((child) =>
      child.fitsParent === true && isInFlow(child) && child.box.width >= node.box.width - SAME_PX
        ? { ...child, fitsParent: 'rigid' as const }
        : child,
    ),
  )

/** Wide things in a column that begin beside its edge keep as much room on the other side, as far as there is some. */
const keepSides = (node: LayoutNode, isClipped: boolean): LayoutNode => {
  const { arrangement } = node
  if (arrangement.kind === 'row') return keepRigid(node)
  if (arrangement.kind !== 'column') return node
  const padding = resolveSides(arrangement.padding)
  const inner = node.box.width - padding.left - padding.right
  const children = node.children.map((child) => {
    const { margin, self = arrangement.align } = child
    if (!child.fitsParent || !isInFlow(child)) return child
    if (child.box.width > inner + SAME_PX) return bleed(child, inner, arrangement.align, isClipped)
    const isHeld = self === 'start' || self === 'stretch'
    if (!isHeld || margin.left <= 0 || margin.right !== 0) return child
    const right = Math.floor(Math.min(margin.left, inner - margin.left - child.box.width))
    return right <= 0 ? child : { ...child, margin: { ...margin, right } }
  })
  return withChildren(node, children)
}

/** What lies over its parent from side to side does so at any width. */
const spanOverlay = (node: LayoutNode, parent: LayoutNode): LayoutNode => {
  const { placement } = node
  if (placement.kind !== 'overlay' || node.layer.constraints) return node
  const { edge } = placement.x
  if (edge === 'both' || edge === 'scale') return node
  const before = anchored(placement.x, node.box.width, parent.box.width).at
  const after = parent.box.width - before - node.box.width
  const isSpanning = node.box.width >= parent.box.width - 2 * SAME_PX - 64 && before > -SAME_PX - 32
  if (!isSpanning || node.layer.type === 'text') return node
  return {
    ...node,
    placement: {
      ...placement,
      x: { edge: 'both', before: Math.round(before), after: Math.round(after) },
    },
  }
}

/** Content that stands in the middle of the page with much room on both sides is held to its width. */
const holdContent = (node: LayoutNode, pageWidth: number): LayoutNode => {
  const said = node.widths?.contentMax
  const { arrangement } = node
  if (arrangement.kind === 'free') return node
  const padding = resolveSides(arrangement.padding)
  const hold = (contentMax: number): LayoutNode => ({
    ...node,
    contentMax,
    arrangement: {
      ...arrangement,
      padding: {
        ...padding,
        left: Math.min(padding.left, LEAST_SIDE_PX),
        right: Math.min(padding.right, LEAST_SIDE_PX),
      },
    },
  })
  if (said === null) return node
  if (said !== undefined) return hold(said)
  // Shares in padding are of the room around the box, which must be as wide as the box itself.
  const isWide = Math.abs(node.box.width - pageWidth) <= SAME_PX && pageWidth >= 640
  if (!isWide || Math.min(padding.left, padding.right) < HELD_PADDING_PX) return node
  const inner = node.box.width - padding.left - padding.right
  const sides = (node.box.width - inner) / 2
  return sides === padding.left ? hold(inner) : node
}

/** Tables get a box of their own, which can be scrolled. */
const boxTables = (node: LayoutNode, keyOf: (first: LayoutNode) => string): LayoutNode => {
  const { arrangement } = node
  if (arrangement.kind === 'grid' || arrangement.kind === 'free') return node
  const grids = node.children.map((child) =>
    isInFlow(child) && isTableGrid(child) && !child.scrolls
      ? wrapNodes(
          [{ ...child, margin: NO_SIDES, sizing: { ...child.sizing, width: 'stretch' } }],
          keyOf(child),
          'Table',
          stackedPlainly('stretch'),
          {
            sizing: child.sizing,
            margin: child.margin,
            limits: child.limits,
            ...(child.self ? { self: child.self } : {}),
          },
        )
      : child,
  )
  const boxed = withChildren(node, grids)
  const rows = findTableRows(boxed)
  const flow = flowChildren(boxed)
  if (!rows || arrangement.kind !== 'column') return boxed
  const isAll = rows.from === 0 && rows.to === flow.length && boxed.children.length === flow.length
  const hasRoom = Object.values(resolveSides(arrangement.padding)).some((px) => px > 0)
  if (isAll && !hasRoom) return boxed
  const run = flow.slice(rows.from, rows.to)
  const table = wrapNodes(
    run,
    keyOf(run[0]!),
    'Table',
    { ...arrangement, padding: 0, distribute: 'start' },
    { sizing: { width: 'stretch', height: 'fit' } },
  )
  return replaceRun(boxed, run, table)
}

/** A rail keeps its width beside the main part, until it folds away. */
const asRail = (rail: LayoutNode): LayoutNode => {
  const { maxWidth: _most, ...limits } = rail.limits
  return {
    ...rail,
    menu: { is: 'panel', key: rail.layer.key },
    ...(rail.sizing.width === 'stretch'
      ? { limits, sizing: { ...rail.sizing, width: 'fixed' as const } }
      : {}),
  }
}

/** What was drawn as wide as the room beside a rail takes the room there is, as far from the rail as drawn. */
const asMain = (child: LayoutNode, rail: LayoutNode, row: LayoutNode): LayoutNode => {
  const { arrangement, box } = row
  if (child.sizing.width !== 'fixed' || !child.fitsParent || arrangement.kind !== 'row')
    return child
  const end = child.box.x + child.box.width
  const isFull = Math.abs(box.width - resolveSides(arrangement.padding).right - end) <= SAME_PX
  if (!isFull) return child
  const distance = child.box.x - rail.box.x - rail.box.width
  return {
    ...child,
    ...(child.isPushed && distance >= 0
      ? { isPushed: false, margin: { ...child.margin, left: distance - arrangement.gap } }
      : {}),
    fitsParent: false,
    sizing: { ...child.sizing, width: 'stretch' },
  }
}

/**
 * Links beside other things in the head of a page get a container of their own, which can fold away; so can a rail at
 * the side.
 */
const boxNavigation = (
  root: LayoutNode,
  solver: Solver,
  keyOf: (first: LayoutNode) => string,
): LayoutNode => {
  const step = (node: LayoutNode, top: number): LayoutNode => {
    const rail = findRail(node, node.box.width / root.box.width)
    if (rail) {
      return withChildren(
        node,
        node.children.map((child) =>
          child === rail ? asRail(rail) : asMain(step(child, top + child.box.y), rail, node),
        ),
      )
    }
    const found = findNavigation(node, top, node.box.width / root.box.width)
    if (found && node.arrangement.kind === 'row') {
      const flow = flowChildren(node)
      const run = flow.slice(found.from, found.to)
      const isOne = run.length === 1
      const isTight = solver.least(node) > NARROWEST_PX
      if (!isTight || (!isOne && !canWrap(run))) return node
      const around = { ...node.arrangement, padding: 0, distribute: 'start' } as const
      // They stand equally far from the middle of the row, and so does their container.
      const level = run.map((one, i) =>
        i === 0 || one.margin.top === 0 ? one : { ...one, margin: { ...one.margin, top: 0 } },
      )
      const [first] = run
      const held = first!.self === undefined ? {} : { self: first!.self }
      const nav = isOne ? first! : wrapNodes(level, keyOf(first!), 'Navigation', around, held)
      return replaceRun(node, run, { ...nav, menu: { is: 'panel', key: nav.layer.key } })
    }
    return withChildren(
      node,
      node.children.map((child) => step(child, top + child.box.y)),
    )
  }
  return step(root, 0)
}

/**
 * Makes a tree ready for other widths than its own, without a change of looks at its own: what is found here
 * holds at every width.
 */
export const prepareTree = (
  drawn: LayoutNode,
  solver: Solver,
  isScreen: boolean,
  said: SaidWidths = {},
): LayoutNode => {
  const root = withSaid(drawn, said)
  const keyOf = createKeys(root)
  const pageWidth = root.box.width
  const isClipped = 'clip' in root.layer && root.layer.clip
  const spread = (node: LayoutNode): LayoutNode =>
    withChildren(
      node,
      node.children.map((child) => spread(spanOverlay(child, node))),
    )
  const kept = mapNodes(spread(root), (node, depth) => {
    const inside = keepSides(depth === 0 ? node : keepInside(node), isClipped)
    const held = isScreen ? holdContent(inside, pageWidth) : inside
    return boxTables(held, keyOf)
  })
  const boxed = withSaid(isScreen ? boxNavigation(kept, solver, keyOf) : kept, said)
  const flows = boxed.arrangement.kind !== 'free'
  return isScreen && flows ? { ...boxed, sizing: { ...boxed.sizing, width: 'stretch' } } : boxed
}
