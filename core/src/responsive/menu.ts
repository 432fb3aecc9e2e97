import type { TextLayer } from '../design/layer.js'
import type { LayoutNode } from '../layout/index.js'
import { textOf } from '../text/wrap.js'
import { HEAD_PX } from '../meaning/structure/navigation.js'
import { RULES, type RuleContext } from './rules/index.js'
import { keysIn, mapNodes, textsIn } from '../layout/flow/tree.js'

/** A sign for a menu is about as large as a finger. */
const LARGEST_SIGN_PX = 96
/** Characters that may stand on it: `Menu`. */
const LONGEST_SIGN = 12

const findPanel = (root: LayoutNode): { row: LayoutNode; panel: LayoutNode } | undefined => {
  for (const child of root.children) {
    if (child.menu?.is === 'panel') return { row: root, panel: child }
    const found = findPanel(child)
    if (found) return found
  }
  return undefined
}

/** Something small in the head that the wider artboard does not have. */
const findSign = (root: LayoutNode, known: ReadonlySet<string>): LayoutNode | undefined => {
  const search = (node: LayoutNode, top: number): LayoutNode | undefined => {
    for (const child of node.children) {
      const y = top + child.box.y
      if (y > HEAD_PX) continue
      const { width, height } = child.box
      const isSmall = Math.max(width, height) <= LARGEST_SIGN_PX && Math.min(width, height) >= 8
      const isNew = ![...keysIn(child)].some((key) => known.has(key))
      const words = textsIn(child).map((text) => textOf(text.layer as TextLayer))
      const isSign = words.join('').length <= LONGEST_SIGN
      if (isSmall && isNew && isSign && child.layer.link === undefined) return child
      const found = search(child, y)
      if (found) return found
    }
    return undefined
  }
  return search(root, 0)
}

/**
 * Where a narrow artboard shows a small sign in its head in place of the links a wider one has, the sign becomes the
 * button that shows those links.
 */
export const adoptMenu = (
  narrow: LayoutNode,
  wide: LayoutNode,
  context: RuleContext,
): LayoutNode => {
  const found = findPanel(wide)
  if (!found) return narrow
  const shown = keysIn(narrow)
  const links = textsIn(found.panel)
  if (links.some((link) => shown.has(link.layer.key))) return narrow
  const sign = findSign(narrow, keysIn(wide))
  if (!sign) return narrow
  const given = RULES.fold.apply(found.row, found.row.box.width, context)
  const folded = given?.node.children.find((child) => child.folds)
  if (!folded?.folds) return narrow
  const top = sign.box.y + sign.box.height + 16
  const panel = { ...folded, folds: { ...folded.folds, topPx: Math.round(top) } }
  const button: LayoutNode = { ...sign, menu: { is: 'button', key: found.panel.menu!.key } }
  return mapNodes(narrow, (node) =>
    node.children.includes(sign)
      ? {
          ...node,
          children: node.children.flatMap((child) => (child === sign ? [button, panel] : [child])),
        }
      : node,
  )
}
