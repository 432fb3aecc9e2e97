import type { UiBox, UiNode } from './nodes.js'
import { onlyChild, PLAIN_LOOK } from './plain-style.js'

const isBand = (node: UiNode): boolean =>
  node.type === 'box' && (node.role === 'banner' || node.role === 'contentinfo')

/** Key of the box that holds the head or foot of the page. */
const findHolder = (node: UiNode): string | undefined => {
  if (node.type !== 'box') return undefined
  if (node.children.some(isBand)) return node.layer
  for (const child of node.children) {
    const found = findHolder(child)
    if (found !== undefined) return found
  }
  return undefined
}

/** Everything between head and foot as the main part of the page. */
const gather = (box: UiBox): UiBox => {
  const first = box.children.findIndex((child) => !isBand(child))
  const last = box.children.findLastIndex((child) => !isBand(child))
  const inner = box.children.slice(first, last + 1)
  if (first < 0 || inner.some(isBand)) return { ...box, role: 'main' }
  const main: UiBox = {
    type: 'box',
    role: 'main',
    layer: `${box.layer}~main`,
    name: 'Main',
    style: {
      ...PLAIN_LOOK,
      place: onlyChild('column', 'stretch'),
      width: { sizing: 'fit', px: 0 },
      height: { sizing: 'fit', px: 0 },
      limits: {},
      arrange: { kind: 'contents' },
    },
    children: inner,
  }
  return {
    ...box,
    children: [...box.children.slice(0, first), main, ...box.children.slice(last + 1)],
  }
}

/** Marks the main part of a page: what is between its head and its foot, or all of it. */
export const placeMain = (root: UiNode): UiNode => {
  if (root.type !== 'box') return root
  const holder = findHolder(root)
  if (holder === undefined) return { ...root, role: 'main' }
  const visit = (node: UiNode): UiNode => {
    if (node.type !== 'box') return node
    return node.layer === holder && node.children.some(isBand)
      ? gather(node)
      : { ...node, children: node.children.map(visit) }
  }
  return visit(root)
}
