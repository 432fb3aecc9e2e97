import { wordsOf } from '../../ui/describe-page.js'
import type { UiNode } from '../../ui/nodes.js'

/** Whether a text is called after what it says: that is content, and no name. */
const isSaid = (node: UiNode): boolean => {
  if (node.type !== 'text') return false
  const own = node.name.replace(/\s\d+$/, '').toLowerCase()
  return wordsOf(node).toLowerCase().startsWith(own)
}

/** The names of layers by their keys; texts that are called after their words have none. */
export const layerNames = (roots: readonly UiNode[]): ReadonlyMap<string, string> => {
  const names = new Map<string, string>()
  const look = (node: UiNode): void => {
    if (!isSaid(node)) names.set(node.layer, node.name)
    if ('children' in node) node.children.forEach(look)
  }
  roots.forEach(look)
  return names
}
