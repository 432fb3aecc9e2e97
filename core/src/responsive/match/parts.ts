import type { Box } from '../../design/geometry.js'
import { isPainted, placesOf, type LayoutNode } from '../../layout/index.js'
import { textOf } from '../../text/wrap.js'

/** Something that is seen on an artboard: what only holds other things together is none. */
export type Part = {
  readonly node: LayoutNode
  readonly key: string
  readonly kind: 'text' | 'picture' | 'drawing' | 'shape' | 'box'
  /** What it says, shows or is made of, to be compared; empty for boxes and shapes. */
  readonly content: string
  /** Its name without what a program adds: `Card 2` → `card`. */
  readonly name: string
  /** In px from the artboard's corner. */
  readonly box: Box
  /** Its place in reading order, from 0 to 1. */
  readonly rank: number
  /** How its looks differ from others of its kind: type and colour. */
  readonly look: string
  readonly parent: Part | undefined
}

const nameOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}]+/gu, ' ')
    .trim()

/** Whether a node is something to be matched; others only hold things. */
export const isPart = (node: LayoutNode): boolean =>
  node.children.length === 0 ||
  node.isGraphic ||
  isPainted(node.layer) ||
  node.layer.link !== undefined

const lookOf = ({ layer }: LayoutNode): string => {
  if (layer.type === 'text') return `${layer.style.weight} ${layer.style.color}`
  const fill = 'fills' in layer ? layer.fills[0] : undefined
  return fill?.kind === 'solid' ? fill.color : (fill?.kind ?? '')
}

/** What paths draw, whatever their size: commands, and the colours they are drawn in. */
const drawingOf = (layer: LayoutNode['layer']): string => {
  const parts: string[] = []
  const visit = (inside: LayoutNode['layer']): void => {
    if (inside.type === 'path') {
      parts.push(inside.paths.map(({ d }) => d.replace(/[^a-z]/gi, '')).join(' '))
    } else if (!('children' in inside)) parts.push(inside.type)
    if ('children' in inside) inside.children.forEach(visit)
  }
  visit(layer)
  return parts.join('|')
}

type Assets = Readonly<Record<string, { readonly data: string }>>

const contentOf = (node: LayoutNode, kind: Part['kind'], assets: Assets): string => {
  const { layer } = node
  if (layer.type === 'text') {
    return textOf(layer).replace(/\s+/g, ' ').trim().toLowerCase()
  }
  if (layer.type === 'image') return assets[layer.asset]?.data ?? layer.asset
  return kind === 'drawing' ? drawingOf(layer) : ''
}

const kindOf = (node: LayoutNode): Part['kind'] => {
  const { layer } = node
  if (layer.type === 'text') return 'text'
  if (layer.type === 'image') return 'picture'
  if (node.children.length > 0) return 'box'
  return node.isGraphic || layer.type === 'path' ? 'drawing' : 'shape'
}

/** The parts of an artboard's layout, in reading order. */
export const partsOf = (root: LayoutNode, assets: Assets): Part[] => {
  const places = placesOf(root)
  const found: (Omit<Part, 'rank'> & { rank: number })[] = []
  const visit = (node: LayoutNode, parent: Part | undefined): void => {
    let holder = parent
    if (node === root || isPart(node)) {
      const kind = node === root ? 'box' : kindOf(node)
      const part = {
        node,
        key: node.layer.key,
        kind,
        content: contentOf(node, kind, assets),
        name: nameOf(node.layer.name),
        box: places.get(node)!,
        rank: 0,
        look: lookOf(node),
        parent,
      }
      found.push(part)
      holder = part
    }
    for (const child of node.children) visit(child, holder)
  }
  visit(root, undefined)
  found.forEach((part, i) => (part.rank = i / found.length))
  return found
}
