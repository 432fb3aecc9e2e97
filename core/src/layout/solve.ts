import { resolveSides, type Box } from '../design/geometry.js'
import type { LayoutNode } from './node.js'

/** How large a child is when the width it may take is known, in px. */
export type Measured = {
  readonly node: LayoutNode
  /** Without limits: as wide as its content on one line. Undefined: as wide as it may be. */
  readonly widest: number | undefined
  /** As narrow as it can get, where it may shrink; absent: it keeps its width. */
  readonly least?: number
  /** Its height at a width. */
  height(width: number): number
}

export type Flow = Exclude<LayoutNode['arrangement'], { kind: 'free' }>

const clamp = (value: number, least = 0, most = Infinity): number =>
  Math.max(least, Math.min(most, value))

/** Nothing is narrower than its own padding. */
const clampWidth = (value: number, node: LayoutNode): number =>
  Math.max(sidesOf(node), clamp(value, node.limits.minWidth, node.limits.maxWidth))

/** Padding at both sides of a container, in px. */
const sidesOf = ({ arrangement }: LayoutNode): number => {
  if (arrangement.kind === 'free') return 0
  const { left, right } = resolveSides(arrangement.padding)
  return left + right
}

const heightAt = (child: Measured, width: number): number => {
  const { node } = child
  if (node.ratio !== undefined) return width / node.ratio
  const height = node.sizing.height === 'fixed' ? node.box.height : child.height(width)
  return clamp(height, node.limits.minHeight, node.limits.maxHeight)
}

/** The width of a child that may be at most `room` wide, and takes it all when `takes`. */
const widthIn = (child: Measured, room: number, takes: boolean): number => {
  const { node } = child
  if (node.sizing.width === 'fixed') {
    // Pictures are never wider than what they stand in: style sheets begin with that.
    const isPicture = node.layer.type === 'image' && node.children.length === 0
    return clampWidth(isPicture ? Math.min(node.box.width, room) : node.box.width, node)
  }
  if (node.sizing.width === 'stretch' || takes) return clampWidth(room, node)
  // CSS Box Sizing 3, 5.1: as wide as its content where there is room, else as the room, but never too narrow for a word.
  const widest = child.widest ?? room
  return clampWidth(Math.min(widest, Math.max(child.least ?? 0, room)), node)
}

/** How wide a child of a row is before it has to shrink: as its content, whatever room there is (CSS Flexible Box Layout 1, 9.2). */
const baseWidth = (child: Measured, room: number): number =>
  child.node.sizing.width === 'fit' && child.widest !== undefined
    ? clampWidth(child.widest, child.node)
    : widthIn(child, room, false)

const alignOffset = (align: string, room: number, size: number): number =>
  align === 'centre' ? (room - size) / 2 : align === 'end' ? room - size : 0

type Extent = { readonly width: number; readonly height: number | undefined }

const solveColumn = (
  flow: Extract<Flow, { kind: 'column' }>,
  children: readonly Measured[],
  { width, height }: Extent,
): Box[] => {
  const padding = resolveSides(flow.padding)
  const inner = width - padding.left - padding.right
  const boxes: Box[] = []
  let y = padding.top
  children.forEach((child, i) => {
    const { node } = child
    const { margin } = node
    const room = inner - margin.left - margin.right
    const self = node.self ?? flow.align
    const w = widthIn(child, room, self === 'stretch' && node.sizing.width !== 'fit')
    y += margin.top + (i > 0 ? flow.gap : 0)
    const h = heightAt(child, w)
    // What takes all the room there is begins at its start, even where that is too little.
    const takesAll = node.sizing.width === 'stretch' && node.limits.maxWidth === undefined
    boxes.push({
      x: padding.left + margin.left + (takesAll ? 0 : alignOffset(self, room, w)),
      y,
      width: w,
      height: h,
    })
    y += h + margin.bottom
  })
  const free = height === undefined ? 0 : height - padding.bottom - y
  if (free <= 0 || flow.distribute === 'start') return boxes
  const count = children.length - 1
  return boxes.map((box, i) => {
    const shift =
      flow.distribute === 'centre'
        ? free / 2
        : flow.distribute === 'end'
          ? free
          : count > 0
            ? (free * i) / count
            : 0
    return { ...box, y: box.y + shift }
  })
}

/**
 * Takes what is too much from children that may be narrower, each in proportion to the width of its content; one that meets
 * its least width keeps that, and the others are asked anew (CSS Flexible Box Layout 1, 9.7).
 */
const shrinkWidths = (
  children: readonly Measured[],
  widths: readonly number[],
  room: number,
): number[] => {
  const total = widths.reduce((sum, width) => sum + width, 0)
  if (total - room <= 0.01) return [...widths]
  const floors = widths.map((width, i) => Math.min(width, children[i]!.least ?? width))
  const shares = widths.map((width, i) => Math.max(0, width - sidesOf(children[i]!.node)))
  const frozen = new Set(widths.flatMap((width, i) => (floors[i]! >= width ? [i] : [])))
  for (;;) {
    const open = widths.flatMap((_, i) => (frozen.has(i) ? [] : [i]))
    const kept = widths.reduce((sum, width, i) => sum + (frozen.has(i) ? floors[i]! : width), 0)
    const excess = kept - room
    const weight = open.reduce((sum, i) => sum + shares[i]!, 0)
    const shrunk = widths.map((width, i) =>
      frozen.has(i) ? floors[i]! : width - (weight > 0 ? (excess * shares[i]!) / weight : 0),
    )
    const violating = open.filter((i) => shrunk[i]! < floors[i]!)
    if (violating.length === 0 || excess <= 0) return shrunk
    for (const i of violating) frozen.add(i)
  }
}

/** How wide each child of a container is that is `width` wide, in px. */
export const solveWidths = (
  flow: Flow,
  children: readonly Measured[],
  width: number,
): readonly number[] => {
  const padding = resolveSides(flow.padding)
  const inner = Math.max(0, width - padding.left - padding.right)
  switch (flow.kind) {
    case 'row':
      return flow.wrap
        ? children.map((child) => widthIn(child, inner, false))
        : shareWidths(children, inner, flow.gap)
    case 'column':
      return children.map((child) => {
        const { margin, self = flow.align, sizing } = child.node
        const room = inner - margin.left - margin.right
        return widthIn(child, room, self === 'stretch' && sizing.width !== 'fit')
      })
    case 'grid': {
      const tracks = columnWidths(flow, Math.max(0, inner - flow.columnGap * (flow.columns - 1)))
      return children.map((child, i) => {
        const { margin, sizing } = child.node
        const room = tracks[i % flow.columns]! - margin.left - margin.right
        return widthIn(child, room, sizing.width === 'stretch')
      })
    }
  }
}

/** CSS Flexible Box Layout 1, 9.7, for children that share what is left or shrink where it is not enough. */
const shareWidths = (children: readonly Measured[], inner: number, gap: number): number[] => {
  const outer = (node: LayoutNode): number => node.margin.left + node.margin.right
  const gaps = gap * Math.max(0, children.length - 1)
  const fixed = new Map<number, number>()
  children.forEach((child, i) => {
    if (child.node.sizing.width !== 'stretch') fixed.set(i, baseWidth(child, inner))
  })
  const margins = children.reduce((sum, { node }) => sum + outer(node), 0)
  // A child that meets a limit keeps it, and the others share the rest anew.
  for (;;) {
    const taken = [...fixed.values()].reduce((sum, w) => sum + w, 0)
    const open = children.flatMap((_, i) => (fixed.has(i) ? [] : [i]))
    // A flex basis of 0 is that of the content: padding comes on top of it, and is not shared out.
    const bases = open.reduce((sum, i) => sum + sidesOf(children[i]!.node), 0)
    const share =
      open.length === 0 ? 0 : Math.max(0, (inner - gaps - margins - taken - bases) / open.length)
    const widthOf = (i: number): number => sidesOf(children[i]!.node) + share
    const limited = open.find((i) => clampWidth(widthOf(i), children[i]!.node) !== widthOf(i))
    if (limited === undefined) {
      const widths = children.map((_, i) => fixed.get(i) ?? widthOf(i))
      return shrinkWidths(children, widths, inner - gaps - margins)
    }
    fixed.set(limited, clampWidth(widthOf(limited), children[limited]!.node))
  }
}

const solveRow = (
  flow: Extract<Flow, { kind: 'row' }>,
  children: readonly Measured[],
  baselines: readonly (number | undefined)[],
  { width, height }: Extent,
): Box[] => {
  const padding = resolveSides(flow.padding)
  const inner = width - padding.left - padding.right
  const widths = shareWidths(children, inner, flow.gap)
  const heights = children.map((child, i) => heightAt(child, widths[i]!))
  const isBased = (i: number): boolean =>
    (children[i]!.node.self ?? flow.align) === 'baseline' && baselines[i] !== undefined
  const deepest = Math.max(0, ...children.map((_, i) => (isBased(i) ? baselines[i]! : 0)))
  const needed = children.map(({ node }, i) =>
    isBased(i)
      ? deepest - baselines[i]! + heights[i]!
      : node.margin.top + heights[i]! + node.margin.bottom,
  )
  const line = height === undefined ? Math.max(0, ...needed) : height - padding.top - padding.bottom
  const used =
    widths.reduce(
      (sum, w, i) => sum + w + children[i]!.node.margin.left + children[i]!.node.margin.right,
      0,
    ) +
    flow.gap * Math.max(0, children.length - 1)
  const left = inner - used
  const free = Math.max(0, left)
  const pushed = children.filter(({ node }) => node.isPushed).length
  const lead = pushed > 0 ? 0 : alignOffset(flow.distribute, left, 0)
  const between =
    pushed === 0 && flow.distribute === 'between' && children.length > 1
      ? free / (children.length - 1)
      : 0
  let x = padding.left + lead
  return children.map(({ node }, i) => {
    const { margin } = node
    if (i > 0) x += flow.gap + between
    if (node.isPushed) x += free / pushed
    x += margin.left
    const self = node.self ?? flow.align
    const room = line - margin.top - margin.bottom
    const h = node.sizing.height === 'stretch' ? room : heights[i]!
    const y = isBased(i) ? deepest - baselines[i]! : margin.top + alignOffset(self, room, h)
    const box = { x, y: padding.top + y, width: widths[i]!, height: h }
    x += widths[i]! + margin.right
    return box
  })
}

type LineItem = { readonly node: LayoutNode; readonly width: number; readonly height: number }

const outerWidth = ({ node: { margin }, width }: LineItem): number =>
  width + margin.left + margin.right

/** Lines are filled as far as things fit (CSS Flexible Box Layout 1, 9.3); things keep their width. */
const breakLines = (items: readonly LineItem[], gap: number, inner: number): LineItem[][] => {
  const lines: LineItem[][] = []
  let x = 0
  for (const item of items) {
    const outer = outerWidth(item)
    const line = lines.at(-1)
    if (line && x + gap + outer <= inner + 0.01) {
      line.push(item)
      x += gap + outer
    } else {
      lines.push([item])
      x = outer
    }
  }
  return lines
}

/** Things in lines; each line has the room that is left to itself, and is as high as the highest in it. */
const solveWrap = (
  flow: Extract<Flow, { kind: 'row' }>,
  children: readonly Measured[],
  { width }: Extent,
): Box[] => {
  const padding = resolveSides(flow.padding)
  const inner = width - padding.left - padding.right
  const items = children.map((child): LineItem => {
    const own = widthIn(child, inner, false)
    return { node: child.node, width: own, height: heightAt(child, own) }
  })
  let y = padding.top
  return breakLines(items, flow.gap, inner).flatMap((line) => {
    const used =
      line.reduce((sum, item) => sum + outerWidth(item), 0) + flow.gap * (line.length - 1)
    const free = inner - used
    const between =
      flow.distribute === 'between' && line.length > 1 ? Math.max(0, free) / (line.length - 1) : 0
    const high = Math.max(
      ...line.map(({ node, height }) => height + node.margin.top + node.margin.bottom),
    )
    const top = y
    y += high + (flow.lineGap ?? flow.gap)
    let x = padding.left + alignOffset(flow.distribute, free, 0)
    return line.map((item) => {
      const { node } = item
      const { margin } = node
      const room = high - margin.top - margin.bottom
      const height = node.sizing.height === 'stretch' ? room : item.height
      const down = alignOffset(node.self ?? flow.align, room, height)
      const box = { x: x + margin.left, y: top + margin.top + down, width: item.width, height }
      x += outerWidth(item) + flow.gap + between
      return box
    })
  })
}

/** How wide each column of a grid is where all of them together are `room` px wide, without their gaps. */
export const columnWidths = (
  { columns, tracks }: Extract<Flow, { kind: 'grid' }>,
  room: number,
): number[] => {
  const shares = tracks ?? Array.from({ length: columns }, () => 1)
  const total = shares.reduce((sum, share) => sum + share, 0)
  return shares.map((share) => (Math.max(0, room) * share) / total)
}

const solveGrid = (
  flow: Extract<Flow, { kind: 'grid' }>,
  children: readonly Measured[],
  { width, height }: Extent,
): Box[] => {
  const padding = resolveSides(flow.padding)
  const inner = width - padding.left - padding.right - flow.columnGap * (flow.columns - 1)
  const widths = columnWidths(flow, inner)
  const starts: number[] = []
  widths.reduce((x, w) => {
    starts.push(x)
    return x + w + flow.columnGap
  }, padding.left)
  const boxes: Box[] = []
  let y = padding.top
  const rows = Math.ceil(children.length / flow.columns)
  for (let row = 0; row < rows; row++) {
    const cells = children.slice(row * flow.columns, (row + 1) * flow.columns)
    const sizes = cells.map((cell, x) => {
      const room = widths[x]! - cell.node.margin.left - cell.node.margin.right
      const w = widthIn(cell, room, cell.node.sizing.width === 'stretch')
      return { width: w, height: heightAt(cell, w) }
    })
    const only =
      rows === 1 && height !== undefined ? height - padding.top - padding.bottom : undefined
    const line =
      only ??
      Math.max(
        0,
        ...sizes.map((s, i) => s.height + cells[i]!.node.margin.top + cells[i]!.node.margin.bottom),
      )
    cells.forEach(({ node }, x) => {
      const room = line - node.margin.top - node.margin.bottom
      const isStretched = node.sizing.height === 'stretch'
      const h = isStretched ? room : sizes[x]!.height
      const self = node.self ?? flow.align
      boxes.push({
        x: starts[x]! + node.margin.left,
        y: y + node.margin.top + alignOffset(self, room, h),
        width: sizes[x]!.width,
        height: h,
      })
    })
    y += line + flow.rowGap
  }
  return boxes
}

/**
 * Where a container puts the children that stand in its flow, in px from its corner, as browsers do
 * (CSS Flexible Box Layout 1 and CSS Grid Layout 1, for what our arrangements use of them). `height`
 * undefined: as high as the content.
 */
export const solveFlow = (
  flow: Flow,
  children: readonly Measured[],
  baselines: readonly (number | undefined)[],
  extent: Extent,
): Box[] => {
  if (flow.kind === 'column') return solveColumn(flow, children, extent)
  if (flow.kind === 'row') {
    return flow.wrap
      ? solveWrap(flow, children, extent)
      : solveRow(flow, children, baselines, extent)
  }
  return solveGrid(flow, children, extent)
}

/** How high a container is whose children stand in these boxes, when nothing makes it higher, in px. */
export const contentHeight = (
  flow: Flow,
  boxes: readonly Box[],
  children: readonly LayoutNode[],
): number => {
  const bottoms = boxes.map((box, i) => box.y + box.height + children[i]!.margin.bottom)
  return Math.max(0, ...bottoms) + resolveSides(flow.padding).bottom
}
