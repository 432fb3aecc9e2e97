import { uniteBoxes, type Box } from '../design/geometry.js'
import { endOn, startOn, type Axis } from './axis.js'
import { cutApart, EDGE_PX, type Item } from './bands.js'
import { ordersOf } from './kin.js'
import { signItems } from './signature.js'

/** What a group of the file holds: the pieces from `from` up to `to`, in paint order. */
export type SaidGroup = { readonly from: number; readonly to: number }

/** Things that stand together: those of a group of the file, or one by itself. */
export type SaidPart = {
  readonly items: readonly Item[]
  readonly isGroup: boolean
  readonly box: Box
}

const extentOf = ({ nest, overlays }: Item): readonly [from: number, to: number] => {
  const orders = [nest, ...overlays].flatMap(ordersOf)
  return [Math.min(...orders), Math.max(...orders)]
}

const toPart = (items: readonly Item[], isGroup: boolean): SaidPart => ({
  items,
  isGroup,
  box: uniteBoxes(items.map(({ box }) => box)),
})

/** Whether a group holds some of several things that are alike and leaves others out: nobody groups a title with one card of three. */
const partsAlike = (members: readonly Item[], others: readonly Item[]): boolean => {
  const boxes = (items: readonly Item[]): readonly string[] =>
    items.filter(({ nest }) => nest.content.length > 0).map((item) => signItems([item]))
  const left = new Set(boxes(others))
  return boxes(members).some((sign) => left.has(sign))
}

/**
 * The things in a container as the groups of the file part them, the largest groups first. Undefined where the file says
 * nothing of them. A group counts when it holds several things whole, and not only some of several that are alike.
 */
export const saidParts = (
  items: readonly Item[],
  groups: readonly SaidGroup[],
): readonly SaidPart[] | undefined => {
  if (groups.length === 0 || items.length < 3) return undefined
  const extents = new Map(items.map((item) => [item, extentOf(item)]))
  const isIn = (item: Item, { from, to }: SaidGroup): boolean => {
    const [first, last] = extents.get(item)!
    return first >= from && first <= last && last < to
  }
  const free = new Set(items)
  const parts: SaidPart[] = []
  for (const group of [...groups].sort((a, b) => b.to - b.from - (a.to - a.from))) {
    const members = items.filter((item) => free.has(item) && isIn(item, group))
    // Lines of text are parted by their places as well.
    const isText = members.every(({ nest }) => nest.piece.kind === 'text')
    if (members.length < 2 || members.length === items.length || isText) continue
    const others = items.filter((item) => !isIn(item, group))
    if (partsAlike(members, others)) continue
    parts.push(toPart(members, true))
    for (const item of members) free.delete(item)
  }
  return parts.length === 0
    ? undefined
    : [...parts, ...[...free].map((item) => toPart([item], false))]
}

/** Parts cut apart wherever a straight line passes between them; groups that reach into one another are not apart. */
export const cutParts = (parts: readonly SaidPart[], axis: Axis): readonly SaidPart[][] => {
  const inOrder = [...parts].sort(
    (a, b) =>
      startOn(a.box, axis) - startOn(b.box, axis) || endOn(a.box, axis) - endOn(b.box, axis),
  )
  return cutApart(inOrder, axis, () => EDGE_PX)
}
