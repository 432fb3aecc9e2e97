import type { LayoutNode } from '../../layout/index.js'

/** What a thing is like, whatever it says: containers by what is in them, texts by their type. */
const signatureOf = (node: LayoutNode): string => {
  const { layer } = node
  if (layer.type === 'text') return `text ${layer.style.size} ${layer.style.weight}`
  if (node.children.length === 0) return layer.type === 'image' ? 'picture' : 'shape'
  return `box(${[...new Set(node.children.map(signatureOf))].sort().join(',')})`
}

/** What a thing is made of in the end: the types of its texts, pictures, shapes. */
const madeOf = (node: LayoutNode, found = new Set<string>()): ReadonlySet<string> => {
  if (node.children.length === 0) found.add(signatureOf(node))
  for (const child of node.children) madeOf(child, found)
  return found
}

/** So much of what all of them are made of must be in each: a card may have a badge, or a picture, that others have not. */
const LEAST_COMMON = 2 / 3

/** Whether containers have most of what they are made of in common. */
const shareMost = (nodes: readonly LayoutNode[]): boolean => {
  if (nodes.some(({ children }) => children.length === 0)) return false
  const all = nodes.map((node) => madeOf(node))
  const any = new Set(all.flatMap((kinds) => [...kinds]))
  const common = [...any].filter((kind) => all.every((kinds) => kinds.has(kind)))
  return common.length >= 2 && common.length >= any.size * LEAST_COMMON
}

/** Whether things are of one kind: cards, tiles, figures. */
export const areAlike = (nodes: readonly LayoutNode[]): boolean =>
  nodes.length > 1 && (new Set(nodes.map(signatureOf)).size === 1 || shareMost(nodes))

/** Tall things that stand side by side, such as columns of a foot, even where they differ inside. */
export const areColumns = (nodes: readonly LayoutNode[]): boolean =>
  nodes.length > 1 &&
  nodes.every((node) => node.children.length > 0 && node.arrangement.kind !== 'free')
