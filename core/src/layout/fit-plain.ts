import { NO_SIDES } from '../design/geometry.js'
import { roundPx } from '../design/geometry.js'
import { endOn } from './axis.js'
import {
  borderOf,
  isHeldByContent,
  isShape,
  isText,
  shellNode,
  type Draft,
  type Shell,
} from './draft.js'
import { type LayoutNode } from './node.js'

/** A row or column where every child keeps its size and its exact distance: the reading without a thought. */
export const fitPlain = (kind: 'row' | 'column', drafts: readonly Draft[], shell: Shell): Draft => {
  const { box, isPadded } = shell
  const border = isPadded ? borderOf(shell.layer) : NO_SIDES
  // Padding counts from the outer edge of a border: nothing stands on it.
  const inside = { x: box.x + border.left, y: box.y + border.top }
  const children = drafts.map((draft, i): LayoutNode => {
    const { node, natural, range } = draft
    const before = drafts[i - 1]?.node.box
    const [left, top] =
      kind === 'row'
        ? [node.box.x - (before ? endOn(before, 'x') : inside.x), node.box.y - inside.y]
        : [node.box.x - inside.x, node.box.y - (before ? endOn(before, 'y') : inside.y)]
    const isOwn = isHeldByContent(draft)
    const isOff = natural.height !== undefined && Math.abs(natural.height - node.box.height) > 0.5
    return {
      ...node,
      margin: { ...NO_SIDES, left: roundPx(left), top: roundPx(top) },
      sizing: {
        width: isOwn && !range ? 'fit' : 'fixed',
        height: isShape(node) || (isOff && !isText(draft)) ? 'fixed' : 'fit',
      },
    }
  })
  const last = Math.max(...drafts.map(({ node }) => endOn(node.box, 'y')))
  const bottom = Math.max(border.bottom, roundPx(endOn(box, 'y') - last))
  const padding = { ...border, bottom }
  const common = { gap: 0, padding, align: 'start', distribute: 'start', wrap: false } as const
  return {
    node: { ...shellNode(shell), arrangement: { kind, ...common }, children },
    natural: { width: undefined, height: box.height },
  }
}
