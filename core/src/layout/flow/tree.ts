import { NO_SIDES } from '../../design/geometry.js'
import { INFERRED } from '../../design/node-key.js'
import { uniteBoxes } from '../../design/geometry.js'
import type { AutoLayout } from '../../design/layout.js'
import { draftNode, plainFrame, walkNodes, type LayoutNode } from '../index.js'

/** A node with other children: itself, where they are the same. */
export const withChildren = (node: LayoutNode, children: readonly LayoutNode[]): LayoutNode =>
  children.length === node.children.length &&
  children.every((child, i) => child === node.children[i])
    ? node
    : { ...node, children }

/** Visits a tree from the leaves up; what `change` leaves alone stays the same object. */
export const mapNodes = (
  node: LayoutNode,
  change: (node: LayoutNode, depth: number) => LayoutNode,
  depth = 0,
): LayoutNode =>
  change(
    withChildren(
      node,
      node.children.map((child) => mapNodes(child, change, depth + 1)),
    ),
    depth,
  )

/** The children where the gap before each becomes smaller: what stood closer than the gap stands no closer. */
export const keepDistance = (
  children: readonly LayoutNode[],
  side: 'left' | 'top',
  gap: { readonly before: number; readonly now: number },
): readonly LayoutNode[] =>
  gap.now >= gap.before
    ? children
    : children.map((child, i) => {
        const own = child.margin[side]
        if (i === 0 || own >= 0) return child
        const distance = Math.min(gap.before + own, gap.now)
        return { ...child, margin: { ...child.margin, [side]: distance - gap.now } }
      })

/** All texts of a tree, in the order they are painted. */
export const textsIn = (node: LayoutNode): readonly LayoutNode[] =>
  node.layer.type === 'text' ? [node] : node.children.flatMap(textsIn)

/** The keys of a node and of everything in it. */
export const keysIn = (root: LayoutNode): Set<string> => {
  const keys = new Set<string>()
  walkNodes(root, (node) => keys.add(node.layer.key))
  return keys
}

/** Free names for containers that are made up. */
export const createKeys = (root: LayoutNode): ((first: LayoutNode) => string) => {
  const taken = keysIn(root)
  return (first) => {
    let key = `${first.layer.key}${INFERRED}`
    while (taken.has(key)) key += INFERRED
    taken.add(key)
    return key
  }
}

/** A container's children with one container in the place of some that stand in a row. */
export const replaceRun = (
  node: LayoutNode,
  run: readonly LayoutNode[],
  container: LayoutNode,
): LayoutNode => ({
  ...node,
  children: node.children.flatMap((child) =>
    child === run[0] ? [container] : run.includes(child) ? [] : [child],
  ),
})

/** A container around some of a container's children, which takes their place in the flow. */
export const wrapNodes = (
  nodes: readonly LayoutNode[],
  key: string,
  name: string,
  arrangement: AutoLayout,
  rest: Partial<LayoutNode> = {},
): LayoutNode => {
  const box = uniteBoxes(nodes.map((node) => node.box))
  const [first] = nodes
  const { margin, isPushed } = first!
  // In a column each keeps its own distance to the side; in a row only the first has one the container takes over.
  const left = arrangement.kind === 'column' ? 0 : margin.left
  return draftNode(plainFrame(key, name, box), box, {
    arrangement,
    sizing: { width: 'fit', height: 'fit' },
    margin: { ...NO_SIDES, left, top: margin.top },
    isPushed,
    children: nodes.map((node, i) => ({
      ...node,
      box: { ...node.box, x: node.box.x - box.x, y: node.box.y - box.y },
      ...(i === 0
        ? { margin: { ...margin, left: margin.left - left, top: 0 }, isPushed: false }
        : {}),
    })),
    ...rest,
  })
}
