import { resolveSides, type Box } from '../../design/geometry.js'
import type { TextLayer } from '../../design/layer.js'
import {
  columnWidths,
  solveFlow,
  solveWidths,
  type Anchor,
  type Flow,
  type LayoutNode,
  type Measured,
} from '../index.js'
import type { TextMeasure } from '../../text/measure.js'
import { createTextFlow, type TextFlow } from './text-flow.js'

/** A node with the box it gets at some width, in px from the page's corner. */
export type Placed = {
  readonly node: LayoutNode
  readonly parent: LayoutNode | undefined
  readonly box: Box
}

/** Answers, for one tree, how large things are at any width. Remembers what it has measured. */
export type Solver = {
  /** As wide as the content is when nothing limits it, in px. */
  widest(node: LayoutNode): number
  /** As wide as the content must be, so that no word and no fixed thing reaches out of it, in px. */
  least(node: LayoutNode): number
  /** The same where lines that are kept may break after all. */
  narrowest(node: LayoutNode): number
  text(node: LayoutNode): TextFlow
  /** How wide each child that stands in the flow is, for a container of this width, where lines may break. */
  widths(node: LayoutNode, width: number): ReadonlyMap<LayoutNode, number>
  height(node: LayoutNode, width: number): number
  /** Everything with its box, for a page this wide. */
  place(root: LayoutNode, width: number): readonly Placed[]
}

export const isInFlow = (node: LayoutNode): boolean => node.placement.kind !== 'overlay'
export const flowChildren = (node: LayoutNode): readonly LayoutNode[] =>
  node.children.every(isInFlow) ? node.children : node.children.filter(isInFlow)

/** The children that take room: what is folded away lies over the page when it is shown. */
export const roomChildren = (node: LayoutNode): readonly LayoutNode[] => {
  const flow = flowChildren(node)
  return flow.some((child) => child.folds) ? flow.filter((child) => !child.folds) : flow
}

const sideRoom = (node: LayoutNode): number => node.margin.left + node.margin.right

/** Padding on both sides at a width: more of it where the content is held to a width of its own. */
export const paddingAt = (node: LayoutNode, flow: Flow, width: number) => {
  const padding = resolveSides(flow.padding)
  if (node.contentMax === undefined) return padding
  const even = Math.max(0, (width - node.contentMax) / 2)
  return {
    ...padding,
    left: Math.max(padding.left, even),
    right: Math.max(padding.right, even),
  }
}

/** Whether a node asks for no width: it has no content, and takes the width there is. */
const asksNothing = (node: LayoutNode): boolean =>
  node.sizing.width === 'stretch' &&
  node.layer.type !== 'text' &&
  node.layer.type !== 'image' &&
  node.children.length === 0

const limit = (value: number, { limits }: LayoutNode): number =>
  Math.max(limits.minWidth ?? 0, Math.min(limits.maxWidth ?? Infinity, value))

/** Where something of a size begins in its parent, and how large it is there, in px. */
export const anchored = (
  anchor: Anchor,
  size: number,
  room: number,
): { at: number; size: number } => {
  switch (anchor.edge) {
    case 'start':
      return { at: anchor.px, size }
    case 'end':
      return { at: room - anchor.px - size, size }
    case 'centre':
      return { at: (room - size) / 2 + anchor.px, size }
    case 'both':
      return { at: anchor.before, size: Math.max(0, room - anchor.before - anchor.after) }
    case 'scale':
      return { at: anchor.at * room, size: anchor.size * room }
  }
}

/** At how many widths the height of a node is remembered: a sweep comes to hundreds, and to none of them again. */
const MOST_HEIGHTS = 16

/** What of a page is shown: what is hidden or folded is not, with all that is in it. */
export const shownOf = (placed: readonly Placed[]): readonly Placed[] => {
  const hidden = new Set<LayoutNode>()
  return placed.filter(({ node, parent }) => {
    const isHidden = node.isHidden || node.folds || (parent && hidden.has(parent))
    if (isHidden) hidden.add(node)
    return !isHidden
  })
}

/** A solver that measures text as `measure` does. */
export const createSolver = (measure: TextMeasure): Solver => {
  const flows = new Map<LayoutNode, TextFlow>()
  const widests = new Map<LayoutNode, number>()
  const leasts = new Map<LayoutNode, number>()
  const narrowests = new Map<LayoutNode, number>()
  const floors = new Map<LayoutNode, number>()
  const heights = new Map<LayoutNode, Map<number, number>>()
  // A container's height is found before its place: what was laid out for the one does for the other.
  const solved = new Map<
    LayoutNode,
    { readonly width: number; readonly height: number | undefined; readonly boxes: readonly Box[] }
  >()

  const remember = (
    memory: Map<LayoutNode, number>,
    node: LayoutNode,
    find: () => number,
  ): number => {
    const known = memory.get(node)
    if (known !== undefined) return known
    const value = find()
    memory.set(node, value)
    return value
  }

  const text = (node: LayoutNode): TextFlow => {
    const known = flows.get(node)
    if (known) return known
    const flow = createTextFlow(node.layer as TextLayer, measure)
    flows.set(node, flow)
    return flow
  }

  /**
   * A container's extent across, from that of its children: side by side they add up. `wraps`: where they may go on
   * in the next line, the widest decides.
   */
  const across = (
    node: LayoutNode,
    of: (child: LayoutNode) => number,
    wraps: boolean,
    isCss = false,
  ): number => {
    const { arrangement } = node
    if (arrangement.kind === 'free') return node.box.width
    const padding = resolveSides(arrangement.padding)
    const children = roomChildren(node)
    const sizes = children.map((child) => (asksNothing(child) ? 0 : of(child)) + sideRoom(child))
    const widestChild = Math.max(0, ...sizes)
    const sides = padding.left + padding.right
    if (arrangement.kind === 'column') return widestChild + sides
    if (arrangement.kind === 'grid') {
      const { columns, columnGap, tracks } = arrangement
      // Tracks of `minmax(0, 1fr)` ask for nothing.
      if (isCss) return (columns - 1) * columnGap + sides
      if (!tracks) return columns * widestChild + (columns - 1) * columnGap + sides
      // Tracks grow together: the one that is fullest for its share decides.
      const total = tracks.reduce((sum, t) => sum + t, 0)
      const share = Math.max(0, ...sizes.map((size, i) => size / tracks[i % columns]!))
      return share * total + (columns - 1) * columnGap + sides
    }
    if (arrangement.wrap && wraps) return widestChild + sides
    const gaps = Math.max(0, children.length - 1) * arrangement.gap
    return sizes.reduce((sum, size) => sum + size, 0) + gaps + sides
  }

  const widest = (node: LayoutNode): number =>
    remember(widests, node, () => {
      if (node.sizing.width === 'fixed' && node.layer.type !== 'text') {
        return limit(node.box.width, node)
      }
      if (node.layer.type === 'text') return limit(drawnWidth(node) ?? text(node).widest, node)
      if (node.children.length === 0) return limit(node.box.width, node)
      return limit(across(node, widest, false), node)
    })

  /** Lines that are kept are as wide as they were drawn. */
  const drawnWidth = (node: LayoutNode): number | undefined =>
    node.keepsLines && node.layer.type === 'text' && node.layer.lines
      ? node.layer.box.width
      : undefined

  const findLeast = (
    node: LayoutNode,
    of: (node: LayoutNode) => number,
    keeps: boolean,
    isCss = false,
  ): number => {
    const { layer } = node
    if (layer.type === 'text') {
      if (node.breaksWords) return Math.min(text(node).least, 24)
      return keeps && node.keepsLines ? (drawnWidth(node) ?? text(node).widest) : text(node).least
    }
    if (node.scrolls) return 0
    const isPlain = node.children.length === 0 || node.arrangement.kind === 'free'
    if (node.sizing.width === 'fixed') {
      return node.fitsParent ? Math.min(node.box.width, 24) : limit(node.box.width, node)
    }
    if (isPlain) return node.limits.minWidth ?? 0
    return Math.max(node.limits.minWidth ?? 0, across(node, of, true, isCss))
  }

  const least = (node: LayoutNode): number =>
    remember(leasts, node, () => findLeast(node, least, true))
  const narrowest = (node: LayoutNode): number =>
    remember(narrowests, node, () => findLeast(node, narrowest, false))

  /** As narrow as a browser makes it, whatever reaches out of it then (`min-content`). */
  const floor = (node: LayoutNode): number =>
    remember(floors, node, () => findLeast(node, floor, true, true))

  const measured = (node: LayoutNode, breaks = false): Measured => ({
    node,
    widest: node.sizing.width === 'stretch' ? undefined : widest(node),
    ...(node.sizing.width === 'fixed' && node.fitsParent !== true
      ? {}
      : { least: breaks ? narrowest(node) : floor(node) }),
    height: (width) => height(node, width),
  })

  const fitWidth = (node: LayoutNode, width: number, room: number): number =>
    node.fitsParent ? Math.min(width, Math.max(0, room)) : width

  /** What a container of a width gives its children: a scrolling box lays them out as wide as they need. */
  const settingOf = (node: LayoutNode, arrangement: Flow, width: number) => {
    const wide = node.scrolls ? Math.max(width, across(node, least, true)) : width
    const padding = paddingAt(node, arrangement, wide)
    const flow = node.contentMax === undefined ? arrangement : { ...arrangement, padding }
    return { wide, flow, inner: wide - padding.left - padding.right, children: roomChildren(node) }
  }

  const solve = (node: LayoutNode, width: number, height?: number): readonly Box[] => {
    const { arrangement } = node
    if (arrangement.kind === 'free') return []
    const last = solved.get(node)
    if (last && last.width === width && last.height === height) return last.boxes
    const { wide, flow, inner, children } = settingOf(node, arrangement, width)
    const baselines = children.map((child) =>
      child.layer.type === 'text' ? text(child).baseline : undefined,
    )
    const measures = measureAll(children, flow, inner)
    const boxes = solveFlow(flow, measures, baselines, { width: wide, height })
    solved.set(node, { width, height, boxes })
    return boxes
  }

  /** The children as they are measured in a room that wide; in a grid the room is a column. */
  const measureAll = (
    children: readonly LayoutNode[],
    flow: Flow,
    inner: number,
    breaks = false,
  ): Measured[] => {
    const columns =
      flow.kind === 'grid'
        ? columnWidths(flow, inner - flow.columnGap * (flow.columns - 1))
        : [inner]
    return children.map((child, i) =>
      child.fitsParent ? narrowed(child, columns[i % columns.length]!) : measured(child, breaks),
    )
  }

  /** Something that is never wider than its parent, as wide as it is there. */
  const narrowed = (child: LayoutNode, room: number): Measured => {
    const own = measured(child)
    const width = fitWidth(child, child.box.width, room - sideRoom(child))
    if (width >= child.box.width || child.sizing.width !== 'fixed') return own
    return { ...own, node: { ...child, box: { ...child.box, width } } }
  }

  const findHeight = (node: LayoutNode, width: number): number => {
    const { layer, arrangement } = node
    if (layer.type === 'text') {
      if (node.keepsLines)
        return layer.lines && layer.lines.length > 1 ? node.box.height : text(node).lineHeight
      return text(node).lines(width) * text(node).lineHeight
    }
    if (arrangement.kind === 'free' || node.children.length === 0) return node.box.height
    const children = roomChildren(node)
    const bottoms = solve(node, width).map(
      (box, i) => box.y + box.height + children[i]!.margin.bottom,
    )
    return Math.max(0, ...bottoms) + resolveSides(arrangement.padding).bottom
  }

  const height = (node: LayoutNode, width: number): number => {
    let known = heights.get(node)
    if (!known) heights.set(node, (known = new Map()))
    const rounded = Math.round(width * 4) / 4
    const value = known.get(rounded)
    if (value !== undefined) return value
    const found = findHeight(node, width)
    if (known.size === MOST_HEIGHTS) known.clear()
    known.set(rounded, found)
    return found
  }

  const widths = (node: LayoutNode, width: number): ReadonlyMap<LayoutNode, number> => {
    const { arrangement } = node
    if (arrangement.kind === 'free') return new Map()
    const { wide, flow, inner, children } = settingOf(node, arrangement, width)
    const found = solveWidths(flow, measureAll(children, flow, inner, true), wide)
    return new Map(children.map((child, i) => [child, found[i]!]))
  }

  const place = (root: LayoutNode, width: number): Placed[] => {
    const placed: Placed[] = []
    const step = (node: LayoutNode, parent: LayoutNode | undefined, box: Box): void => {
      placed.push({ node, parent, box })
      const isSized = node.sizing.height !== 'fit' || (node.limits.minHeight ?? 0) > 0
      const boxes = solve(node, box.width, isSized ? box.height : undefined)
      const children = roomChildren(node)
      boxes.forEach((own, i) =>
        step(children[i]!, node, { ...own, x: box.x + own.x, y: box.y + own.y }),
      )
      for (const child of node.children) {
        if (child.placement.kind !== 'overlay' || child.folds) continue
        const { x, y } = child.placement
        const natural = child.sizing.width === 'fixed' ? child.box.width : widest(child)
        const along = anchored(x, fitWidth(child, natural, box.width), box.width)
        const tall = child.sizing.height === 'fixed' ? child.box.height : height(child, along.size)
        const down = anchored(y, tall, box.height)
        step(child, node, {
          x: box.x + along.at,
          y: box.y + down.at,
          width: along.size,
          height: down.size,
        })
      }
    }
    const own =
      root.sizing.width === 'stretch' || root.children.length === 0
        ? width
        : root.sizing.width === 'fixed'
          ? root.box.width
          : Math.min(width, widest(root))
    step(root, undefined, {
      x: 0,
      y: 0,
      width: own,
      height: Math.max(height(root, own), root.limits.minHeight ?? 0),
    })
    return placed
  }

  return { widest, least, narrowest, text, widths, height, place }
}
