import { boxOf, clamp, type Box, type Constraints, type Placed } from './box.js'
import type { Layout } from './layout.js'
import { numberOf } from './read-values.js'
import { nameIn, NotKnown, type Made } from './values.js'

type Along = { readonly main: number; readonly cross: number }

/** What only a row or a column may hold (ParentDataWidget of FlexParentData). */
export const FLEX_WIDGETS: ReadonlySet<string> = new Set(['Expanded', 'Flexible', 'Spacer'])

/** The share of the room a child takes; 0: it takes what it needs. */
const flexOf = (child: Made): number =>
  child.name === 'Expanded' || child.name === 'Flexible'
    ? numberOf(child.named['flex'], 1)
    : child.name === 'Spacer'
      ? 1
      : 0

const isTight = (child: Made): boolean =>
  child.name !== 'Flexible' || nameIn(child.named['fit']) === 'tight'

/** The rules of a row and a column (RenderFlex): what needs room first, what shares the rest then. */
export const layOutFlex = (widget: Made, c: Constraints, path: string, layout: Layout): Box => {
  const { named } = widget
  const isRow =
    widget.name === 'Row' || (widget.name === 'Flex' && nameIn(named['direction']) === 'horizontal')
  const children = layout.childrenOf(widget, path)
  const spacing = numberOf(named['spacing'])
  const along = (box: Box): Along =>
    isRow ? { main: box.width, cross: box.height } : { main: box.height, cross: box.width }
  const [maxMain, minMain] = isRow ? [c.maxWidth, c.minWidth] : [c.maxHeight, c.minHeight]
  const [maxCross, minCross] = isRow ? [c.maxHeight, c.minHeight] : [c.maxWidth, c.minWidth]
  const crossAlign = nameIn(named['crossAxisAlignment']) ?? 'center'
  const hasEnd = Number.isFinite(maxCross)
  const stretches = crossAlign === 'stretch' && hasEnd
  if (crossAlign === 'stretch' && !hasEnd && !layout.isMeasuring) {
    throw new NotKnown(
      `A ${widget.name} stretches what is in it, but there is no end to the room across it.`,
    )
  }
  const inside = (leastMain: number, mostMain: number): Constraints => {
    const across = stretches ? [maxCross, maxCross] : [0, maxCross]
    return isRow
      ? { minWidth: leastMain, maxWidth: mostMain, minHeight: across[0]!, maxHeight: across[1]! }
      : { minWidth: across[0]!, maxWidth: across[1]!, minHeight: leastMain, maxHeight: mostMain }
  }
  const boxes = new Map<number, Box>()
  let used = spacing * Math.max(0, children.length - 1)
  let shares = 0
  children.forEach(({ widget: child, path: own }, i) => {
    const flex = layout.isMeasuring && !Number.isFinite(maxMain) ? 0 : flexOf(child)
    shares += flex
    if (flex > 0) return
    const box = layout.layInFlex(child, inside(0, Infinity), own)
    boxes.set(i, box)
    used += along(box).main
  })
  if (shares > 0 && !Number.isFinite(maxMain)) {
    throw new NotKnown(
      `Something in a ${widget.name} is to take the room that is left, but there is no end to it.`,
    )
  }
  const free = Math.max(0, maxMain - used)
  children.forEach(({ widget: child, path: own }, i) => {
    if (boxes.has(i)) return
    const most = (free * flexOf(child)) / shares
    const box = layout.layInFlex(child, inside(isTight(child) ? most : 0, most), own)
    boxes.set(i, box)
    used += along(box).main
  })
  const all = children.map((_, i) => boxes.get(i)!)
  const fills = (nameIn(named['mainAxisSize']) ?? 'max') === 'max' && Number.isFinite(maxMain)
  const main = clamp(fills ? maxMain : used, minMain, maxMain)
  const cross = clamp(Math.max(0, ...all.map((box) => along(box).cross)), minCross, maxCross)
  const placed = placeAlong(widget, all, { main, cross, used, spacing, crossAlign, isRow })
  return boxOf(isRow ? { width: main, height: cross } : { width: cross, height: main }, placed)
}

type Room = {
  readonly main: number
  readonly cross: number
  readonly used: number
  readonly spacing: number
  readonly crossAlign: string
  readonly isRow: boolean
}

const placeAlong = (widget: Made, all: readonly Box[], room: Room): readonly Placed[] => {
  const { main, cross, used, spacing, crossAlign, isRow } = room
  const left = Math.max(0, main - used)
  const { start, between } = spread(
    nameIn(widget.named['mainAxisAlignment']) ?? 'start',
    left,
    all.length,
  )
  const lowest = Math.max(0, ...all.map(({ baseline }) => baseline ?? 0))
  let at = start
  return all.map((box): Placed => {
    const [own, across] = isRow ? [box.width, box.height] : [box.height, box.width]
    const offset =
      crossAlign === 'center'
        ? (cross - across) / 2
        : crossAlign === 'end'
          ? cross - across
          : crossAlign === 'baseline' && isRow
            ? lowest - (box.baseline ?? 0)
            : 0
    const place = isRow ? { x: at, y: offset } : { x: offset, y: at }
    at += own + spacing + between
    return { ...place, box }
  })
}

const spread = (
  alignment: string,
  left: number,
  count: number,
): { readonly start: number; readonly between: number } => {
  switch (alignment) {
    case 'center':
      return { start: left / 2, between: 0 }
    case 'end':
      return { start: left, between: 0 }
    case 'spaceBetween':
      return { start: 0, between: count > 1 ? left / (count - 1) : 0 }
    case 'start':
      return { start: 0, between: 0 }
    default:
      throw new NotKnown(`MainAxisAlignment.${alignment} is not known.`)
  }
}
