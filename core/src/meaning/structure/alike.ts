import type { LayoutNode } from '../../layout/index.js'

/** What a thing is like, whatever it says: containers by what is in them, texts by their type. */
const signatureOf = (node: LayoutNode): string => {
  const { layer } = node
  if (layer.type === 'text') return `text ${layer.style.size} ${layer.style.weight}`
  if (node.children.length === 0) return layer.type === 'image' ? 'picture' : 'shape'
  return `box(${[...new Set(node.children.map(signatureOf))].sort().join(',')})`
}

/** Whether things are of one kind: cards, tiles, figures. */
export const areAlike = (nodes: readonly LayoutNode[]): boolean =>
  nodes.length > 1 && new Set(nodes.map(signatureOf)).size === 1

/** Tall things that stand side by side, such as columns of a foot, even where they differ inside. */
export const areColumns = (nodes: readonly LayoutNode[]): boolean =>
  nodes.length > 1 &&
  nodes.every((node) => node.children.length > 0 && node.arrangement.kind !== 'free')
