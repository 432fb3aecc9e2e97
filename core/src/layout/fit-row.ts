import { NO_SIDES } from '../design/geometry.js'
import { roundPx, type Sides } from '../design/geometry.js'
import { endOn } from './axis.js'
import {
  borderOf,
  fitsItself,
  isHeldByContent,
  isPicture,
  isShape,
  isText,
  keepHeight,
  shellNode,
  type Draft,
  type Shell,
} from './draft.js'
import { isPainted } from './layer-kinds.js'
import { type CrossAlign, type LayoutNode } from './node.js'
import { EVEN_PX, findSpacing, isEven } from './spacing.js'
import { breaksElsewhere, chooseWidth } from './text-width.js'

const SAME_PX = 1
const SAME_MIDDLE_PX = 1.5
/** Room beside content that is wider than this is no padding but room left over. */
const WIDEST_PADDING_PX = 64
/** A gap is free room when it is at least this wide and this many times wider than the next. */
const FREE_GAP_PX = 40
const FREE_GAP_TIMES = 2.5
/** Content that reaches from edge to edge leaves about the same room on both sides. */
const EVEN_EDGES_PX = 24
/** Content as wide as its box, with a gap so many times wider than the padding, is not packed: it has free room. */
const OPEN_GAP_TIMES = 2
/** What two things keep between them when all other room is free. */
const LEAST_GAP_PX = 24
/** A side column keeps its width while the other takes what there is. */
const SIDE_COLUMN_PX = 320
const SIDE_COLUMN_TIMES = 2

type Vertical = { readonly top: number; readonly bottom: number }

/** What a child's place says about how the row is aligned. */
const alignmentsOf = (
  draft: Draft,
  { top, bottom }: Vertical,
  baseline: number,
): Set<CrossAlign> => {
  const { box } = draft.node
  const above = box.y - top
  const below = bottom - endOn(box, 'y')
  const set = new Set<CrossAlign>()
  if (Math.abs(above - below) <= SAME_PX) set.add('centre')
  if (Math.abs(above) <= 0.5) set.add('start')
  if (Math.abs(below) <= 0.5) set.add('end')
  const isFull = Math.abs(above) <= 0.5 && Math.abs(below) <= 0.5
  if (isFull && !isText(draft)) set.add('stretch')
  if (draft.baseline !== undefined && Math.abs(box.y + draft.baseline - baseline) <= 0.5) {
    set.add('baseline')
  }
  return set
}

const withoutEnd = (set: ReadonlySet<CrossAlign>): Set<CrossAlign> =>
  new Set([...set].filter((align) => align !== 'end'))

const ORDER: readonly CrossAlign[] = ['centre', 'start', 'end', 'baseline', 'stretch']

const findAlign = (
  drafts: readonly Draft[],
  extent: Vertical,
): { align: CrossAlign; each: readonly Set<CrossAlign>[] } => {
  const first = drafts.find((d) => d.baseline !== undefined)
  const baseline = first ? first.node.box.y + first.baseline! : NaN
  const found = drafts.map((draft) => alignmentsOf(draft, extent, baseline))
  // Where no child reaches from top to bottom, the one that ends lowest makes the row as high as it is: the end holds nothing.
  const isHigh = found.some((set) => set.has('start') && set.has('end'))
  // What takes most of the height hangs from the top, however far below it it begins.
  const hangs = ({ node }: Draft): boolean => 2 * node.box.height > extent.bottom - extent.top
  const each = found.map((set, i) =>
    isHigh && (set.has('start') || !hangs(drafts[i]!)) ? set : withoutEnd(set),
  )
  const count = (align: CrossAlign): number => each.filter((set) => set.has(align)).length
  const filled = drafts.filter((d, i) => each[i]!.has('stretch') && !isShape(d.node)).length
  if (filled > 1 && count('stretch') === drafts.length) return { align: 'stretch', each }
  // What reaches from top to bottom fits every alignment; where nothing else tells one, high content hangs from the top.
  const isUntold = each.every((set) => set.size === 0 || (set.has('start') && set.has('centre')))
  if (isUntold && drafts.some((draft, i) => each[i]!.size === 0 && hangs(draft)))
    return { align: 'start', each }
  let best: CrossAlign = 'centre'
  for (const align of ORDER) {
    if (align === 'baseline' && drafts.some((d) => d.baseline === undefined)) continue
    if (count(align) > count(best)) best = align
  }
  return { align: best, each }
}

type Along = {
  readonly lead: number
  readonly trail: number
  readonly distribute: 'start' | 'centre' | 'end' | 'between'
  /** The row is as wide as its content with this padding. */
  readonly isFitted: boolean
}

/** The padding of a row whose children all have their own size, and where they stand in the room left. */
const findAlong = (
  lead: number,
  trail: number,
  shell: Shell,
  { holdsGroups, doubt }: { readonly holdsGroups: boolean; readonly doubt: number },
): Along => {
  const least = borderOf(shell.layer)
  const room = {
    lead: Math.max(least.left, roundPx(lead)),
    trail: Math.max(least.right, roundPx(trail)),
  }
  if (!shell.isPadded) return { lead: 0, trail: 0, distribute: 'start', isFitted: true }
  if (Math.abs(lead - trail) <= Math.max(2 * SAME_MIDDLE_PX, doubt)) {
    const even = doubt > 0 ? room.lead : roundPx((room.lead + room.trail) / 2)
    if (even <= WIDEST_PADDING_PX) {
      // A sign with its label stands in the middle of a wider box; a card, or a row without a box that is seen, begins at its start.
      const isBare = even < SAME_MIDDLE_PX && !isPainted(shell.layer)
      const distribute = holdsGroups || isBare ? 'start' : 'centre'
      return { lead: even, trail: even, distribute, isFitted: true }
    }
    return { lead: least.left, trail: least.right, distribute: 'centre', isFitted: false }
  }
  const isSnug = Math.max(lead, trail) <= WIDEST_PADDING_PX / 2 && trail <= 3 * Math.max(4, lead)
  if (isSnug) return { ...room, distribute: 'start', isFitted: true }
  return lead < trail
    ? {
        lead: room.lead,
        trail: Math.min(room.lead, room.trail),
        distribute: 'start',
        isFitted: false,
      }
    : {
        lead: Math.min(room.lead, room.trail),
        trail: room.trail,
        distribute: 'end',
        isFitted: false,
      }
}

/** The one gap that is free room, by its index; none when gaps are of a kind. */
const findFreeGap = (gaps: readonly number[]): number | undefined => {
  const widest = Math.max(...gaps)
  const index = gaps.indexOf(widest)
  const next = Math.max(0, ...gaps.filter((_, i) => i !== index))
  const isFree = widest >= FREE_GAP_PX && widest >= FREE_GAP_TIMES * next
  return isFree ? index : undefined
}

type Widths =
  | { readonly kind: 'own' }
  /** The children with these indexes share the room that is left. */
  | { readonly kind: 'stretch'; readonly which: ReadonlySet<number> }
  /** Every child takes its share of the width. */
  | { readonly kind: 'shares' }

/** Held at both sides, or in proportion: it is as wide as there is room. */
const growsByConstraint = ({ node }: Draft): boolean => {
  const stated = node.layer.constraints?.horizontal
  return stated === 'both' || stated === 'scale'
}

const findWidths = (drafts: readonly Draft[], gaps: readonly number[], fills: boolean): Widths => {
  const widths = drafts.map((d) => d.node.box.width)
  const open = drafts.flatMap((d, i) =>
    (d.range ??
    (growsByConstraint(d) || (!isShape(d.node) && !isText(d) && !fitsItself(d, 'width'))))
      ? [i]
      : [],
  )
  const boxes = drafts.every(
    (d) => !isText(d) && (d.node.children.length > 0 || d.node.box.width >= 80),
  )
  const isRegular = drafts.length > 1 && isEven(widths) && isEven(gaps)
  const all = new Set(drafts.keys())
  // Three or more of one width from edge to edge are columns, whatever is in them.
  const areColumns = fills && drafts.length > 2 && drafts.every((d) => d.node.children.length > 0)
  const isFree =
    open.length > 0 || areColumns || drafts.every((d) => isShape(d.node) || d.hollow !== undefined)
  if (isRegular && boxes && isFree) {
    return { kind: 'stretch', which: all }
  }
  if (open.length === 0) return { kind: 'own' }
  if (open.length === 1) return { kind: 'stretch', which: new Set(open) }
  if (open.length === 2) {
    const [a, b] = open as [number, number]
    const [narrow, wide] = widths[a]! < widths[b]! ? [a, b] : [b, a]
    const isSide = widths[narrow]! <= SIDE_COLUMN_PX && !drafts[narrow]!.range
    if (isSide && widths[wide]! >= SIDE_COLUMN_TIMES * widths[narrow]!) {
      return { kind: 'stretch', which: new Set([wide]) }
    }
  }
  if (open.length === drafts.length && isEven(open.map((i) => widths[i]!))) {
    return { kind: 'stretch', which: all }
  }
  // Shares are for columns: a few boxes among words and signs that are as wide as they are, or things that lie over
  // each other, take none.
  const share = (which: readonly number[]): number => which.reduce((sum, i) => sum + widths[i]!, 0)
  const areMost = 2 * share(open) >= share([...widths.keys()])
  return areMost && gaps.every((gap) => gap >= -EVEN_PX) ? { kind: 'shares' } : { kind: 'own' }
}

const heightOf = (
  draft: Draft,
  align: CrossAlign,
  self: CrossAlign | undefined,
): Pick<LayoutNode, 'limits'> & { height: LayoutNode['sizing']['height'] } => {
  const { node, natural } = draft
  const { limits } = node
  if (node.layer.type === 'text') return { height: 'fit', limits }
  if ((self ?? align) === 'stretch') return { height: 'stretch', limits }
  if (isShape(node) || natural.height === undefined) return { height: 'fixed', limits }
  return { height: 'fit', limits: { ...limits, ...keepHeight(draft) } }
}

/** Reads things side by side as a row. The drafts are in order from left to right. */
export const fitRow = (drafts: readonly Draft[], shell: Shell): Draft => {
  const { box, isPadded, fills } = shell
  const boxes = drafts.map((d) => d.node.box)
  const gaps = boxes.slice(1).map((b, i) => b.x - endOn(boxes[i]!, 'x'))
  const above = Math.min(...boxes.map((b) => b.y)) - box.y
  const below = endOn(box, 'y') - Math.max(...boxes.map((b) => endOn(b, 'y')))
  const border = isPadded ? borderOf(shell.layer) : NO_SIDES
  const top = isPadded ? Math.max(border.top, roundPx(above)) : 0
  const bottom = isPadded ? Math.max(border.bottom, roundPx(below)) : 0
  const extent = { top: box.y + top, bottom: endOn(box, 'y') - bottom }
  const { align, each } = findAlign(drafts, extent)

  const lead = boxes[0]!.x - box.x
  const trail = endOn(box, 'x') - endOn(boxes.at(-1)!, 'x') + (drafts.at(-1)!.spare ?? 0)
  const widths = findWidths(drafts, gaps, fills)
  const own = findAlong(lead, trail, shell, {
    holdsGroups: drafts.some(({ node }) => node.children.length > 1),
    doubt: drafts.reduce((sum, draft) => sum + (draft.doubt ?? 0), 0),
  })
  const isOpen = widths.kind !== 'own'
  const isEdged =
    Math.abs(lead - trail) <= EVEN_EDGES_PX || Math.max(lead, trail) <= WIDEST_PADDING_PX
  // One thing that may grow is drawn narrower than it could be: it is held at that width.
  const isHeld = widths.kind === 'stretch' && widths.which.size === 1
  const isPacked = own.isFitted && Math.max(0, ...gaps) < OPEN_GAP_TIMES * Math.max(lead, trail)
  const mayOpen = (!isOpen || isHeld) && isEdged && (fills || (isPadded && (isHeld || !isPacked)))
  const free = mayOpen ? findFreeGap(gaps) : undefined
  // What takes the room that is left reaches the padding on both sides.
  const along: Along =
    isOpen || free !== undefined
      ? {
          lead: isPadded ? Math.max(border.left, roundPx(lead)) : 0,
          trail: isPadded ? Math.max(border.right, roundPx(trail)) : 0,
          distribute: 'start',
          isFitted: false,
        }
      : own
  const isBetween = free !== undefined && drafts.length === 2 && !isOpen
  const { gap, extra } = isBetween
    ? { gap: 0, extra: gaps.map(() => 0) }
    : findSpacing(
        gaps,
        widths.kind === 'shares'
          ? Math.max(0, Math.min(...gaps.map(roundPx)))
          : free === undefined
            ? undefined
            : gaps.length === 1
              ? LEAST_GAP_PX
              : findSpacing(gaps.filter((_, i) => i !== free)).gap,
      )

  // What a single open child would get.
  const taken = boxes.reduce((sum, b) => sum + b.width, 0) + gaps.reduce((sum, g) => sum + g, 0)
  const inner = box.width - along.lead - along.trail
  const children = drafts.map((draft, i): LayoutNode => {
    const { node, range } = draft
    const room = inner - taken + node.box.width
    const set = each[i]!
    const isAligned = set.has(align)
    const self = isAligned ? undefined : ORDER.find((a) => a !== 'baseline' && set.has(a))
    const isPushed = !isBetween && free !== undefined && i === free + 1
    const left = i === 0 ? (isOpen || isPadded ? 0 : roundPx(lead)) : isPushed ? 0 : extra[i - 1]!
    const off = isAligned || self ? 0 : roundPx(boxes[i]!.y - extent.top)
    const margin: Sides = { ...NO_SIDES, left, top: off }
    const height = heightOf(draft, align, isAligned ? undefined : (self ?? 'start'))
    const isOpenHere =
      widths.kind === 'shares' || (widths.kind === 'stretch' && widths.which.has(i))
    const isTooWide = range !== undefined && breaksElsewhere(range, room)
    const isKept = isHeld && free !== undefined && !range
    const stretches = isOpenHere && !(isTooWide && widths.kind === 'stretch')
    const isWide = range && !stretches
    const width = stretches ? 'stretch' : isHeldByContent(draft) ? 'fit' : 'fixed'
    const ratio = stretches && isPicture(node) ? { ratio: node.box.width / node.box.height } : {}
    return {
      ...node,
      ...ratio,
      margin,
      isPushed,
      limits: {
        ...height.limits,
        ...(isWide ? { maxWidth: chooseWidth(range) } : {}),
        ...(stretches && isKept ? { maxWidth: roundPx(node.box.width) } : {}),
      },
      sizing: { width: isWide ? 'fit' : width, height: 'ratio' in ratio ? 'fit' : height.height },
      ...(isAligned ? {} : { self: self ?? 'start' }),
      ...(isText(draft) && !range ? { keepsLines: true } : {}),
    }
  })
  const padding = { top, right: along.trail, bottom, left: along.lead }
  // Where gaps differ, the wider ones are part of the columns after them.
  const shares = drafts.map((d, i) => roundPx(d.node.box.width + (i > 0 ? extra[i - 1]! : 0)))
  return {
    node: {
      ...shellNode(shell),
      arrangement:
        widths.kind === 'shares'
          ? {
              kind: 'grid',
              columns: drafts.length,
              tracks: shares,
              columnGap: gap,
              rowGap: 0,
              padding,
              align: align === 'baseline' ? 'start' : align,
            }
          : {
              kind: 'row',
              gap,
              padding,
              align,
              distribute: isBetween ? 'between' : along.distribute,
              wrap: false,
            },
      children,
    },
    natural: {
      width: along.isFitted && !isOpen && free === undefined ? box.width : undefined,
      height: box.height,
    },
  }
}
