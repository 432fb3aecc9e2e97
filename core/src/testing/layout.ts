import { resolveInstances } from '../design/resolve-instances.js'
import { inferLayout, walkNodes, type LayoutNode } from '../layout/index.js'
import { createTableMeasure } from '../text/measure.js'
import { design, frame } from './design.js'
import { at } from './page.js'

/** The layout that is inferred of a white page with these layers. */
export const inferredPage = (
  children: Record<string, unknown>[],
  width: number,
  height: number,
): LayoutNode => {
  const fills = [{ kind: 'solid', color: '#ffffff' }]
  const page = frame('page', children, { ...at(0, 0, width, height), fills })
  const [root] = resolveInstances(design([page]))
  return inferLayout(root!, { measure: createTableMeasure(), assets: {} })
}

/** The node of a layer in a layout; fails the test where there is none. */
export const findNode = (root: LayoutNode, key: string): LayoutNode => {
  let found: LayoutNode | undefined
  walkNodes(root, (node) => {
    if (node.layer.key === key) found ??= node
  })
  if (!found) throw new Error(`no ${key}`)
  return found
}
