import { NO_SIDES } from '../design/geometry.js'
import { roundPx, type Box, type Sides } from '../design/geometry.js'
import { endOn } from './axis.js'
import {
  borderOf,
  fitsItself,
  isPicture,
  isShape,
  isText,
  keepHeight,
  shellNode,
  type Draft,
  type Shell,
} from './draft.js'
import { type CrossAlign, type LayoutNode, type Limits } from './node.js'
import { isPainted } from './layer-kinds.js'
import { findSpacing } from './spacing.js'
import { holdLine, limitText } from './text-width.js'

/** Edges and middles this close are meant to be the same. */
const SAME_PX = 1
const SAME_MIDDLE_PX = 2
/** Content that is narrower by more than this than a shape in its column does not make the column as wide as it is. */
const HOLLOW_SLACK_PX = 0.5
/** More room than this below the content than above it is free room, not padding. */
const FREE_ROOM_PX = 24

/** Wider room beside a line of text is left over, and this much padding is enough. */
const WIDEST_PADDING_PX = 64
const NARROW_PADDING_PX = 16

type Hold = 'start' | 'centre' | 'end'

/** How one child stands across the column. */
type Across = {
  /** Where it is held; `full` reaches from edge to edge. */
  readonly hold: Hold | 'full'
  /** It takes the width the column has, up to `limits`. */
  readonly stretches: boolean
  readonly limits: Limits
  readonly left: number
  readonly right: number
}

const holdOf = (left: number, right: number): Hold | undefined => {
  if (Math.abs(left) <= SAME_PX) return 'start'
  if (Math.abs(left - right) <= SAME_MIDDLE_PX) return 'centre'
  return Math.abs(right) <= SAME_PX ? 'end' : undefined
}

/** Something near the middle with much room on both sides is meant to be there, a little beside it. */
const BESIDE_MIDDLE_PX = 16
const middleInset = (left: number, right: number): number | undefined =>
  Math.abs(left - right) <= BESIDE_MIDDLE_PX && Math.min(left, right) > 2 * BESIDE_MIDDLE_PX
    ? left - right
    : undefined

const besideMiddle = (inset: number): Pick<Across, 'hold' | 'left' | 'right'> => ({
  hold: 'centre',
  left: roundPx(Math.max(0, inset)),
  right: roundPx(Math.max(0, -inset)),
})

const acrossText = (draft: Draft, left: number, right: number, width: number): Across => {
  const { node, range } = draft
  const align = node.layer.type === 'text' ? node.layer.align : 'start'
  const isOne = range === undefined
  const free = { limits: {}, left: 0, right: 0 }
  if (isOne) {
    const hold = holdOf(left, right)
    if (hold) return { hold, stretches: true, ...free }
    const inset = middleInset(left, right)
    return inset === undefined
      ? { hold: 'start', stretches: true, ...free, left: roundPx(left) }
      : { ...free, stretches: true, ...besideMiddle(inset) }
  }
  const wanted: Hold = align === 'centre' || align === 'end' ? align : 'start'
  const isHeld =
    wanted === 'start'
      ? Math.abs(left) <= SAME_PX
      : wanted === 'end'
        ? Math.abs(right) <= SAME_PX
        : Math.abs(left - right) <= SAME_MIDDLE_PX
  const inset = isHeld ? 0 : wanted === 'start' ? left : wanted === 'end' ? -right : left - right
  const room = width - Math.abs(inset)
  const limits = limitText(range, room)
  const margins = {
    left: roundPx(Math.max(0, inset)),
    right: roundPx(Math.max(0, -inset)),
  }
  return { hold: wanted, stretches: true, limits, ...margins }
}

const acrossBox = (draft: Draft, left: number, right: number): Across => {
  const free = { limits: {}, left: 0, right: 0 }
  if (Math.abs(left) <= SAME_PX && Math.abs(right) <= SAME_PX) {
    return { hold: 'full', stretches: true, ...free }
  }
  const stated = draft.node.layer.constraints?.horizontal
  if (stated === 'both' || stated === 'scale') {
    return { hold: 'full', stretches: true, limits: {}, left: roundPx(left), right: roundPx(right) }
  }
  const hold = holdOf(left, right)
  const ownSize = isShape(draft.node) || fitsItself(draft, 'width')
  if (ownSize) {
    if (hold) return { hold, stretches: false, ...free }
    const inset = middleInset(left, right)
    return inset === undefined
      ? { hold: 'start', stretches: false, ...free, left: roundPx(left) }
      : { ...free, stretches: false, ...besideMiddle(inset) }
  }
  if (hold) {
    return { hold, stretches: true, ...free, limits: { maxWidth: roundPx(draft.node.box.width) } }
  }
  const inset = middleInset(left, right)
  if (inset !== undefined) {
    const limits = { maxWidth: roundPx(draft.node.box.width) }
    return { stretches: true, limits, ...besideMiddle(inset) }
  }
  return { hold: 'full', stretches: true, limits: {}, left: roundPx(left), right: roundPx(right) }
}

/** How all children of a column are aligned: what the boxes among them ask for, texts follow. */
const alignOf = (drafts: readonly Draft[], across: readonly Across[]): CrossAlign => {
  const holds = new Set(across.map((a) => a.hold))
  const boxes = across.filter((_, i) => !isText(drafts[i]!))
  if (boxes.some((a) => a.stretches) || holds.size !== 1) return 'stretch'
  const [only] = holds
  if (only === 'start') return boxes.length > 0 ? 'start' : 'stretch'
  return only === 'full' || only === undefined ? 'stretch' : only
}

/** How far the widest child may end from where it is measured to end, in px. */
const doubtOf = (drafts: readonly Draft[], box: Box): number => {
  const ends = drafts.map(({ node }) => endOn(node.box, 'x') - box.x)
  return drafts[ends.indexOf(Math.max(...ends))]?.doubt ?? 0
}

type Padding = { readonly left: number; readonly right: number }

const findPadding = (drafts: readonly Draft[], { layer, box, isPadded }: Shell): Padding => {
  if (!isPadded) return { left: 0, right: 0 }
  const least = borderOf(layer)
  const lefts = drafts.map(({ node }) => node.box.x - box.x)
  const rights = drafts.map(({ node, spare = 0 }) => endOn(box, 'x') - endOn(node.box, 'x') + spare)
  const left = Math.max(least.left, Math.min(...lefts))
  const right = Math.max(least.right, Math.min(...rights))
  const isCentred = lefts.every((l, i) => Math.abs(l - rights[i]!) <= SAME_MIDDLE_PX)
  if (isCentred) {
    const even = Math.min(left, right)
    const isLoose = even > WIDEST_PADDING_PX && drafts.every((d) => isText(d) && !d.range)
    return isLoose
      ? { left: NARROW_PADDING_PX, right: NARROW_PADDING_PX }
      : { left: even, right: even }
  }
  // Content that ends earlier on one side than it begins on the other just is not longer, or is measured too long.
  if (right > left && Math.abs(right - left) > SAME_PX) return { left, right: left }
  return left - right <= doubtOf(drafts, box) ? { left, right: left } : { left, right }
}

const childNode = (
  draft: Draft,
  across: Across,
  align: CrossAlign,
  above: number,
  room: number,
): LayoutNode => {
  const { node, natural } = draft
  const text = node.layer.type === 'text'
  const { hold } = across
  const margin: Sides = { ...NO_SIDES, top: above, left: across.left, right: across.right }
  const isStretched = across.stretches && (align === 'stretch' || !text)
  const width = isStretched
    ? 'stretch'
    : natural.width === undefined || isShape(node) || draft.hollow
      ? 'fixed'
      : 'fit'
  // A text of its own size in a stretching column stands where its letters stand.
  const textAlign = text && hold !== 'full' && hold !== 'start' ? { textAlign: hold } : {}
  const held = hold === 'full' ? 'stretch' : hold
  const needsSelf = text
    ? align === 'stretch' && across.limits.maxWidth !== undefined && hold !== 'start'
    : held !== align && !(align === 'stretch' && isStretched && hold === 'start')
  return {
    ...node,
    margin,
    limits: { ...node.limits, ...across.limits, ...keepHeight(draft) },
    sizing: {
      width: text && needsSelf ? 'fit' : width,
      height: natural.height === undefined || isShape(node) ? 'fixed' : 'fit',
    },
    ...textAlign,
    ...(text ? holdLine(draft, room) : {}),
    ...(needsSelf ? { self: held } : {}),
    ...(isPicture(node) && isStretched
      ? { ratio: node.box.width / node.box.height, sizing: { width: 'stretch', height: 'fit' } }
      : {}),
  }
}

/** Whether what stretches in a column, and not its content, is as wide as it is drawn. */
const findHollow = (
  drafts: readonly Draft[],
  across: readonly Across[],
  widths: readonly (number | undefined)[],
  widest: number,
): Draft['hollow'] => {
  const isFree = (draft: Draft, i: number): boolean => across[i]!.stretches && !isText(draft)
  const hasPicture = drafts.some(
    (draft, i) => isFree(draft, i) && (isPicture(draft.node) || draft.hollow === 'picture'),
  )
  if (hasPicture) return 'picture'
  const asked = drafts.map((draft, i) =>
    isFree(draft, i) && (isShape(draft.node) || draft.hollow) ? 0 : (widths[i] ?? 0),
  )
  return Math.max(...asked) < widest - HOLLOW_SLACK_PX ? 'shape' : undefined
}

/** A box without a look of its own with the room that texts in it are given to spare. */
const withSpareRoom = (box: Box, drafts: readonly Draft[]): Box => {
  const texts = drafts.filter(({ range }) => range !== undefined).map(({ node }) => node.box)
  const x = Math.min(box.x, ...texts.map((text) => text.x))
  const right = Math.max(endOn(box, 'x'), ...texts.map((text) => endOn(text, 'x')))
  return { ...box, x, width: right - x }
}

/** Reads things one under the other as a column. The drafts are in order from top to bottom. */
export const fitColumn = (drafts: readonly Draft[], given: Shell): Draft => {
  const isBound = given.isPadded && (given.fills || isPainted(given.layer))
  const shell = isBound ? given : { ...given, box: withSpareRoom(given.box, drafts) }
  const { box, isPadded } = shell
  const { left, right } = findPadding(drafts, shell)
  const width = box.width - left - right
  const across = drafts.map((draft) => {
    const l = draft.node.box.x - (box.x + left)
    const reach = width - l - draft.node.box.width
    // Room to spare does not count where there is none.
    const r = reach < 0 ? Math.min(0, reach + (draft.spare ?? 0)) : reach
    return isText(draft) ? acrossText(draft, l, r, width) : acrossBox(draft, l, r)
  })
  const align = alignOf(drafts, across)
  const gaps = drafts.slice(1).map(({ node }, i) => node.box.y - endOn(drafts[i]!.node.box, 'y'))
  const { gap, extra } = findSpacing(gaps)
  const above = drafts[0]!.node.box.y - box.y
  const below = endOn(box, 'y') - endOn(drafts.at(-1)!.node.box, 'y')
  const border = isPadded ? borderOf(shell.layer) : NO_SIDES
  const top = isPadded ? Math.max(border.top, roundPx(above)) : 0
  const isOpen = isPadded && below > Math.max(0, above) + FREE_ROOM_PX
  const bottom = isPadded ? Math.max(border.bottom, roundPx(isOpen ? above : below)) : 0
  const children = drafts.map((draft, i) =>
    childNode(
      draft,
      across[i]!,
      align,
      roundPx((i > 0 ? extra[i - 1]! : 0) + (i === 0 ? above - top : 0)),
      width,
    ),
  )
  const inner = drafts.map(({ natural, range }, i) =>
    range || natural.width === undefined || across[i]!.limits.maxWidth !== undefined
      ? undefined
      : natural.width + across[i]!.left + across[i]!.right,
  )
  const asMeasured = inner.every((w) => w !== undefined)
    ? Math.max(...inner) + left + right
    : undefined
  const doubt = doubtOf(drafts, box)
  // A box that is a little too narrow for what is measured in it is as wide as it is drawn.
  const fitted =
    asMeasured !== undefined && asMeasured - box.width <= doubt
      ? Math.min(asMeasured, box.width)
      : asMeasured
  const hollow =
    fitted === undefined ? undefined : findHollow(drafts, across, inner, fitted - left - right)
  const missing = Math.min(0, below - border.bottom)
  return {
    node: {
      ...shellNode(shell),
      arrangement: {
        kind: 'column',
        gap,
        padding: { top, right: roundPx(right), bottom, left: roundPx(left) },
        align,
        distribute: 'start',
        wrap: false,
      },
      children,
    },
    natural: {
      width: fitted,
      height: isOpen ? box.height - below + bottom : box.height - missing,
    },
    hollow,
    ...(isPadded ? {} : { doubt }),
    spare: endOn(box, 'x') - endOn(given.box, 'x'),
  }
}
