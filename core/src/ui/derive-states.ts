import { mapChildren, type UiNode } from './nodes.js'

const answersPointer = (node: UiNode): boolean =>
  node.states?.some((s) => s.state === 'hover') === true

/** How something that is pressed answers the pointer when no state of it is drawn. */
const reactionOf = (node: UiNode): UiNode['reacts'] => {
  const { style } = node
  switch (node.type) {
    case 'text':
      if (node.link) return 'underlines'
      return node.isButton ? 'underlines' : undefined
    case 'box':
      if (node.role !== 'button' && !node.link) return undefined
      if (style.fills.length > 0) return 'darkens'
      return style.border ? 'fills' : undefined
    case 'menu-button':
      return style.fills.length > 0 ? 'darkens' : undefined
    case 'control':
    case 'image':
      return undefined
  }
}

/** Gives what is pressed, and has no drawn state under the pointer, one of its own; focus is the style sheet's affair. */
export const deriveStates = (node: UiNode): UiNode => {
  const reacts = answersPointer(node) ? undefined : reactionOf(node)
  const own = mapChildren(node, deriveStates)
  return reacts ? { ...own, reacts } : own
}
