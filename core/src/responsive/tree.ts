import { uniteBoxes } from '../design/geometry.js'
import type { AutoLayout } from '../design/layout.js'
import { PLAIN_LAYER } from '../design/plain-layer.js'
import { NO_MARGIN, type LayoutNode } from '../layout/node.js'
import { INFERRED } from '../layout/node.js'

/** Visits a tree from the leaves up; what `change` leaves alone stays the same object. */
export const mapNodes = (
  node: LayoutNode,
  change: (node: LayoutNode, depth: number) => LayoutNode,
  depth = 0,
): LayoutNode => {
  const children = node.children.map((child) => mapNodes(child, change, depth + 1))
  const isSame = children.every((child, i) => child === node.children[i])
  return change(isSame ? node : { ...node, children }, depth)
}

/** Free names for containers that are made up. */
export const createKeys = (root: LayoutNode): ((first: LayoutNode) => string) => {
  const taken = new Set<string>()
  const visit = (node: LayoutNode): void => {
    taken.add(node.layer.key)
    node.children.forEach(visit)
  }
  visit(root)
  return (first) => {
    let key = `${first.layer.key}${INFERRED}`
    while (taken.has(key)) key += INFERRED
    taken.add(key)
    return key
  }
}

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
  return {
    layer: {
      type: 'frame',
      key,
      name,
      box,
      ...PLAIN_LAYER,
      fills: [],
      strokes: [],
      radius: 0,
      clip: false,
      children: [],
    },
    absorbed: [],
    box,
    placement: { kind: 'flow' },
    arrangement,
    sizing: { width: 'fit', height: 'fit' },
    limits: {},
    margin: { ...NO_MARGIN, left, top: margin.top },
    isPushed,
    keepsLines: false,
    isGraphic: false,
    children: nodes.map((node, i) => ({
      ...node,
      box: { ...node.box, x: node.box.x - box.x, y: node.box.y - box.y },
      ...(i === 0
        ? { margin: { ...margin, left: margin.left - left, top: 0 }, isPushed: false }
        : {}),
    })),
    ...rest,
  }
}
