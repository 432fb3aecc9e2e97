import type { LayoutNode } from '../../layout/index.js'
import { spread } from '../../math/statistics.js'
import { textOf } from '../../text/wrap.js'
import { flowChildren } from '../../layout/flow/solver.js'

/** The head of a page ends here, in px. */
export const HEAD_PX = 160
const LEAST_LINKS = 3
/** Behind the name of the place, in a bar at the top of the page, two links are enough. */
const LEAST_BEHIND_BRAND = 2
const BAR_TOP_PX = 40
/** A bar of nothing but links may stand below a title, in px. */
const LOW_BAR_PX = 500
const WIDEST_LINK_PX = 190
const LARGEST_LINK_TYPE_PX = 20

const isLabel = (node: LayoutNode): boolean => {
  const { layer } = node
  if (layer.type !== 'text' || layer.style.size > LARGEST_LINK_TYPE_PX) return false
  const lines = layer.lines?.length ?? 1
  return lines === 1 && node.box.width <= WIDEST_LINK_PX && /\p{L}{2}/u.test(textOf(layer))
}

/** Signs beside a label are no larger, in px. */
const SIGN_PX = 32

const isSign = (node: LayoutNode): boolean =>
  node.layer.type !== 'text' &&
  Math.max(node.box.width, node.box.height) <= SIGN_PX &&
  node.children.every(isSign)

const hasGround = ({ layer }: LayoutNode): boolean => 'fills' in layer && layer.fills.length > 0

/** A label, alone or with signs beside it, in a box that has no ground: what has one is a button. */
const isLinkLike = (node: LayoutNode): boolean => {
  if (isLabel(node)) return true
  if (node.box.width > WIDEST_LINK_PX || hasGround(node)) return false
  const labels = flowChildren(node).filter((child) => !isSign(child))
  return labels.length === 1 && isLinkLike(labels[0]!)
}

/** Where navigation stands among the children of a row: a container of links, or a run of them. */
export type Navigation = { readonly from: number; readonly to: number }

const typeOf = (node: LayoutNode): string =>
  node.layer.type === 'text'
    ? `${node.layer.style.size} ${node.layer.style.weight} ${node.layer.style.family}`
    : 'box'

/** The name of the place may look like a link too: it stands apart, or is set in another type. */
const startOfLinks = (children: readonly LayoutNode[], from: number, to: number): number => {
  const isOther = from === 0 && to > 1 && typeOf(children[0]!) !== typeOf(children[1]!)
  return isOther ? from + 1 : from
}

/** A bar of its own ground across the page, with nothing in it but words of one type: it may stand below a title. */
const isBarOfLinks = (node: LayoutNode, share: number): boolean => {
  const flow = flowChildren(node)
  const [only] = flow
  // Their links may have a container of their own already.
  const children = flow.length === 1 && only ? flowChildren(only) : flow
  return (
    share >= 0.98 &&
    hasGround(node) &&
    children.length > LEAST_LINKS &&
    children.every((child) => isLabel(child) && typeOf(child) === typeOf(children[0]!))
  )
}

/** Navigation in a row in the head of a page; `top` is where the row begins and `share` its part of the page's width. */
export const findNavigation = (
  node: LayoutNode,
  top: number,
  share: number,
): Navigation | undefined => {
  const { arrangement } = node
  if (arrangement.kind !== 'row' || arrangement.wrap || share < 0.5) return undefined
  if (top > (isBarOfLinks(node, share) ? LOW_BAR_PX : HEAD_PX)) return undefined
  const children = flowChildren(node)
  const isAtTop = top <= BAR_TOP_PX && share >= 0.98
  /** How many links make navigation that begins with this child. */
  const leastFrom = (start: number): number =>
    start > 0 && isAtTop ? LEAST_BEHIND_BRAND : LEAST_LINKS
  const inner = children.findIndex(
    (child, i) =>
      child.arrangement.kind === 'row' &&
      child.children.length >= leastFrom(i) &&
      flowChildren(child).every(isLinkLike),
  )
  if (inner >= 0) return { from: inner, to: inner + 1 }
  // A name or sign of the place comes first; what follows are links.
  let best: Navigation | undefined
  for (let from = 0; from < children.length; from++) {
    let to = from
    // Free room parts one run from the next.
    const isNext = (child: LayoutNode): boolean => isLinkLike(child) && !child.isPushed
    while (to < children.length && (to === from ? isLinkLike : isNext)(children[to]!)) to++
    const start = startOfLinks(children, from, to)
    const isLonger = to - start > (best ? best.to - best.from : leastFrom(start) - 1)
    if (isLonger) best = { from: start, to }
    if (to > from) from = to - 1
  }
  return best
}

/** Things stand equally far from the middle of their row when they are drawn a px off, in px. */
const LEVEL_PX = 1.01

/** Whether a run of children can be given a container of its own without a change of looks. */
export const canWrap = (children: readonly LayoutNode[]): boolean =>
  spread(children.map(({ margin }) => margin.top)) <= LEVEL_PX &&
  children.every(({ self, isPushed }, i) => self === children[0]!.self && (i === 0 || !isPushed))
