import type { LayoutNode } from '../../layout/index.js'
import { textOf } from '../../text/wrap.js'
import { flowChildren } from '../../layout/flow/solver.js'
import { textsIn } from '../../layout/flow/tree.js'

/** A rail takes no more than this share of the page, and what stands beside it at least that. */
const RAIL_SHARE = 0.34
const MAIN_SHARE = 0.5
/** A rail this low may as well stand above the main part, in px. */
const LEAST_HEIGHT_PX = 240
const LEAST_LABELS = 4
const LABEL_CHARACTERS = 32
/** So many of its texts are labels: the rest are titles of groups, or a few words about somebody. */
const LABEL_SHARE = 0.75

const isLabel = ({ layer, box }: LayoutNode): boolean =>
  layer.type === 'text' &&
  textOf(layer).length <= LABEL_CHARACTERS &&
  box.height < 2 * layer.style.size

/** Whether something holds a column of short words: what one may go to, or choose. */
const holdsLabels = (node: LayoutNode): boolean => {
  const texts = textsIn(node)
  const labels = texts.filter(isLabel)
  return labels.length >= LEAST_LABELS && labels.length >= LABEL_SHARE * texts.length
}

/** Where content ends inside a box that may be drawn higher than that, in px. */
const contentEnd = (node: LayoutNode): number =>
  Math.max(0, ...flowChildren(node).map(({ box }) => box.y + box.height))

/**
 * The column of short words at the side of a page, beside its main part; `share` is the row's part of the page's
 * width.
 */
export const findRail = (row: LayoutNode, share: number): LayoutNode | undefined => {
  const { arrangement, box } = row
  if (arrangement.kind !== 'row' || arrangement.wrap || share < 0.9) return undefined
  const children = flowChildren(row)
  const hasMain = children.some((child) => child.box.width >= MAIN_SHARE * box.width)
  if (!hasMain || children.length < 2) return undefined
  return [children[0]!, children.at(-1)!].find(
    (child) =>
      child.arrangement.kind === 'column' &&
      child.box.width <= RAIL_SHARE * box.width &&
      contentEnd(child) >= LEAST_HEIGHT_PX &&
      holdsLabels(child),
  )
}
