import { walkNodes, type LayoutNode } from '../layout/index.js'

/** The node of a layer in a layout; fails the test where there is none. */
export const findNode = (root: LayoutNode, key: string): LayoutNode => {
  let found: LayoutNode | undefined
  walkNodes(root, (node) => {
    if (node.layer.key === key) found ??= node
  })
  if (!found) throw new Error(`no ${key}`)
  return found
}
