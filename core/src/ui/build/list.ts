import { NO_SIDES } from '../../design/geometry.js'
import { addSides, resolveSides, roundPx, type Sides } from '../../design/geometry.js'
import { runKeyOf, type RoleReading } from '../../meaning/roles/index.js'
import type { UiBox, UiNode, UiPlace, UiStyle } from '../nodes.js'
import { onlyChild, PLAIN_LOOK } from '../plain-style.js'
import type { BuildContext } from './context.js'
import { asDescriptions } from './items.js'
import { asItem, wrapNode } from './wrap.js'

/** The most that is added to a link at each side, in px. */
const MOST_ROOM_PX = 20

/** A link in a row is made at least so high to be pressed, in px; WCAG 2.2 (2.5.8) asks for 24. */
const LEAST_HEIGHT_PX = 32

type Line = Extract<UiStyle['arrange'], { kind: 'row' | 'column' }>
type Axis = { readonly before: 'left' | 'top'; readonly after: 'right' | 'bottom' }

const AXES: Readonly<Record<Line['kind'], Axis>> = {
  row: { before: 'left', after: 'right' },
  column: { before: 'top', after: 'bottom' },
}

const isLine = (arrange: UiStyle['arrange']): arrange is Line =>
  arrange.kind === 'row' || arrange.kind === 'column'

/** Words, or a line of a sign and words, without a look of its own. */
const isPlainItem = (node: UiNode): boolean => {
  const { style } = node
  const { place } = style
  if (style.width.sizing === 'fixed' || place.kind !== 'flow') return false
  if (place.self === 'centre' || place.self === 'end') return false
  if (node.type === 'text') return true
  return (
    node.type === 'box' &&
    style.fills.length === 0 &&
    style.border === undefined &&
    isLine(style.arrange)
  )
}

const isLink = (node: UiNode): boolean => 'link' in node && node.link !== undefined

/** In a row all are links; titles may stand between those of a column. */
const canBeRoomy = (children: readonly UiNode[], arrange: Line): boolean => {
  const links = children.filter(isLink).length
  const enough = arrange.kind === 'row' ? children.length : children.length * 0.6
  return links >= enough && children.every(isPlainItem)
}

/** An item with room around its words, along the line it stands in; in a column it is as wide as the column. */
const roomy = (node: UiNode, arrange: Line, along: Sides): UiNode => {
  const { style } = node
  const isColumn = arrange.kind === 'column'
  const flow = style.place as Extract<UiPlace, { kind: 'flow' }>
  const { left } = flow.margin
  const place: UiPlace = isColumn
    ? { ...flow, self: 'stretch', margin: { ...flow.margin, left: Math.min(0, left) } }
    : flow
  const room = isColumn ? { ...along, left: Math.max(0, left) } : along
  const width = isColumn ? { ...style.width, sizing: 'stretch' as const } : style.width
  if (node.type === 'text') {
    const { align } = arrange
    const isMoved =
      isColumn && style.width.sizing === 'fit' && (align === 'centre' || align === 'end')
    return {
      ...node,
      ...(isMoved ? { align } : {}),
      style: { ...style, place, width, room },
    }
  }
  const inner = style.arrange as Line
  const padding = resolveSides(inner.padding)
  return {
    ...node,
    style: {
      ...style,
      place,
      width,
      arrange: {
        ...inner,
        padding: addSides(padding, room),
        // As wide as its column, it keeps its words where they were.
        ...(isColumn &&
        inner.kind === 'row' &&
        inner.distribute === 'start' &&
        arrange.align === 'centre'
          ? { distribute: 'centre' as const }
          : {}),
      },
    },
  } as UiNode
}

/**
 * Half of the gap between links belongs to each of them, so that they are larger to press; nothing moves. At both
 * ends of the list that room is taken from its padding, or from what is around it.
 */
const withRoom = (box: UiBox): UiBox => {
  const { style, children } = box
  const { arrange, place } = style
  if (!isLine(arrange) || place.kind !== 'flow' || arrange.gap < 2 || style.folds) return box
  if (arrange.distribute !== 'start' || !canBeRoomy(children, arrange)) return box
  const { before, after } = AXES[arrange.kind]
  const px = roundPx(Math.min(MOST_ROOM_PX, arrange.gap / 2))
  const highest = Math.max(...children.map((child) => child.style.height.px))
  const isFree = arrange.align === 'start' || arrange.align === 'centre' || arrange.align === 'end'
  const isRow = arrange.kind === 'row' && isFree && !arrange.wrap
  const across = isRow ? Math.max(0, Math.ceil((LEAST_HEIGHT_PX - highest) / 2)) : 0
  const room: Sides = isRow
    ? { top: across, bottom: across, left: px, right: px }
    : { ...NO_SIDES, [before]: px, [after]: px }
  const padding = resolveSides(arrange.padding)
  const margin = { ...place.margin }
  const taken = { ...padding }
  for (const side of ['top', 'right', 'bottom', 'left'] as const) {
    const inside = Math.min(room[side], padding[side])
    taken[side] = roundPx(padding[side] - inside)
    margin[side] = roundPx(margin[side] - (room[side] - inside))
  }
  const { lineGap = arrange.gap } = arrange
  return {
    ...box,
    style: {
      ...style,
      place: { ...place, margin },
      arrange: {
        ...arrange,
        gap: roundPx(arrange.gap - 2 * px),
        ...(arrange.wrap ? { lineGap } : {}),
        padding: taken,
      },
    },
    children: children.map((child) => roomy(child, arrange, room)),
  }
}

/** Items without a look of their own are as wide as their list, as items of lists are; nothing is seen of that. */
const withWideItems = (box: UiBox): UiBox => {
  const { arrange } = box.style
  const isStart = arrange.kind === 'column' && arrange.align === 'start'
  if (!isStart || !box.children.every(isPlainItem)) return box
  return {
    ...box,
    style: { ...box.style, arrange: { ...arrange, align: 'stretch' } },
    children: box.children.map((child) => {
      const { self: _self, ...place } = child.style.place as Extract<UiPlace, { kind: 'flow' }>
      const style: UiStyle = {
        ...child.style,
        place: { ...place, align: 'stretch' },
        width: { ...child.style.width, sizing: 'stretch' },
      }
      return { ...child, style } as UiNode
    }),
  }
}

/** A box as a list of what is in it. */
export const asList = ({ roles }: BuildContext, box: UiBox, { isOrdered }: RoleReading): UiBox => {
  const roomier = withWideItems(withRoom(box))
  return {
    ...roomier,
    role: 'list',
    ...(isOrdered ? { isOrdered } : {}),
    children: roomier.children.map((child) =>
      // A link is in its item at every width, whether there is room around it or not.
      child.type === 'text' && child.link
        ? wrapNode(child, { item: 'listitem' })
        : asItem(child, roles.get(child.layer)?.role === 'separator' ? 'spacer' : 'listitem'),
    ),
  }
}

/** Whether a box around a part of a line changes nothing but who holds what is in it. */
const canHold = (parent: Line, run: readonly UiNode[]): boolean =>
  run.every(({ style: { place, width, height } }, i) => {
    if (place.kind !== 'flow' || (i > 0 && place.isPushed)) return false
    return parent.kind === 'row' ? width.sizing !== 'stretch' : height.sizing !== 'stretch'
  })

/** A box that takes no part in the layout: what is in it stands as if in the box around it. */
const contentsStyle = (parent: UiStyle): UiStyle => ({
  ...PLAIN_LOOK,
  place: onlyChild('column', 'stretch'),
  width: parent.width,
  height: parent.height,
  limits: {},
  arrange: { kind: 'contents' },
})

/** The style of the box of a list in a line, and its first item without what the box now keeps away. */
const boxStyle = (
  parent: UiStyle,
  arrange: Line,
  first: UiNode,
): { readonly style: UiStyle; readonly first: UiNode } => {
  const place = first.style.place as Extract<UiPlace, { kind: 'flow' }>
  const side = AXES[arrange.kind].before
  const { self: _self, ...flow } = place
  const isRow = arrange.kind === 'row'
  const own = { ...place, margin: { ...place.margin, [side]: 0 }, isPushed: false }
  return {
    style: {
      ...PLAIN_LOOK,
      place: { ...flow, self: 'stretch', margin: { ...NO_SIDES, [side]: place.margin[side] } },
      width: { sizing: isRow ? 'fit' : 'stretch', px: parent.width.px },
      height: { sizing: isRow ? 'stretch' : 'fit', px: 0 },
      limits: {},
      arrange: { ...arrange, padding: 0, distribute: 'start' },
    },
    first: { ...first, style: { ...first.style, place: own } } as UiNode,
  }
}

/** A box as a group of controls, with the words that name it. */
export const asGroup = ({ ids }: BuildContext, box: UiBox, reading: RoleReading): UiBox => {
  const { labelledBy } = reading
  return {
    ...box,
    role: reading.role === 'radiogroup' ? 'radiogroup' : 'group',
    ...(labelledBy === undefined ? {} : { labelledBy: ids.of(labelledBy) }),
  }
}

/** Neighbours as one list among what else stands in their box. */
const holdRun = (
  context: BuildContext,
  parent: UiStyle,
  run: readonly UiNode[],
  reading: RoleReading,
): UiNode => {
  const common = { type: 'box', layer: reading.layer, name: 'List' } as const
  const { arrange } = parent
  // The box is there at every width: where it cannot stand in the layout it takes no part in it.
  const boxed =
    isLine(arrange) && canHold(arrange, run) ? boxStyle(parent, arrange, run[0]!) : undefined
  const style = boxed?.style ?? contentsStyle(parent)
  const children = boxed ? [boxed.first, ...run.slice(1)] : run
  const box: UiBox = { ...common, style, children }
  if (reading.role === 'group' || reading.role === 'radiogroup')
    return asGroup(context, box, reading)
  if (reading.role === 'form' || reading.role === 'search') return { ...box, role: reading.role }
  if (reading.role === 'descriptionlist') return asDescriptions(context, box)
  const list = asList(context, box, reading)
  if (reading.role !== 'navigation') return list
  const nav = wrapNode(list, { role: 'navigation' })
  return boxed ? nav : { ...nav, style, children: [{ ...list, style }] }
}

/** Puts neighbours that were read as one list into a box of their own. */
export const holdLists = (context: BuildContext, box: UiBox): UiBox => {
  const children: UiNode[] = []
  for (let i = 0; i < box.children.length; i++) {
    const child = box.children[i]!
    const reading = context.roles.get(runKeyOf(child.layer))
    const items = new Set(reading?.items)
    let end = i
    while (end < box.children.length && items.has(box.children[end]!.layer)) end++
    // Rows that open something need nothing around them.
    if (!reading || reading.role === 'accordion' || end - i < 2) {
      children.push(child)
      continue
    }
    children.push(holdRun(context, box.style, box.children.slice(i, end), reading))
    i = end - 1
  }
  return children.length === box.children.length ? box : { ...box, children }
}
