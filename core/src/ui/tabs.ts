import { mapChildren, type UiNode } from './nodes.js'

const isTab = (node: UiNode): boolean => 'act' in node && node.act?.kind === 'tab'

/** Marks boxes that hold nothing but tabs as what they are. */
export const placeTabs = (node: UiNode): UiNode => {
  const own = mapChildren(node, placeTabs)
  if (own.type !== 'box' || own.role || own.children.length < 2) return own
  return own.children.every(isTab) ? { ...own, role: 'tablist' } : own
}
