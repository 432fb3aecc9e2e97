import { mapChildren, type UiNode } from './nodes.js'

export const isPressed = (node: UiNode): boolean =>
  ('link' in node && node.link !== undefined) ||
  (node.type === 'text' && node.isButton === true) ||
  (node.type === 'box' && node.role === 'button')

/** Marks what is pressed in a menu as one of it; lists in it are none, as menus have no items but those. */
export const asMenu = <Node extends UiNode>(node: Node): Node => {
  const { item, ...bare } = isPressed(node) ? node : mapChildren(node, asMenu)
  const isItem = item === undefined || item === 'listitem' || item === 'spacer'
  const kept = { ...bare, ...(isItem ? {} : { item }) } as UiNode
  if (isPressed(node)) return { ...kept, isMenuItem: true } as Node
  if (kept.type !== 'box' || (kept.role !== 'list' && kept.role !== 'navigation'))
    return kept as Node
  const { role: _role, ...rest } = kept
  return rest as Node
}

/** Whether all that is said in a tree is said by what is pressed: a menu may hold nothing else. */
export const isMenu = (node: UiNode): boolean =>
  isPressed(node) ||
  (node.type !== 'text' &&
    node.type !== 'control' &&
    (!('children' in node) || node.children.every(isMenu)))

/** Screens that are shown as menus and hold more than that are shown as overlays; buttons say so too. */
export const asOverlays = (node: UiNode, ids: ReadonlySet<string>): UiNode => {
  const own = mapChildren(node, (child) => asOverlays(child, ids))
  if (!('act' in own) || !own.act || !('panel' in own.act) || !ids.has(own.act.panel)) return own
  return { ...own, act: { ...own.act, as: 'overlay' } }
}
