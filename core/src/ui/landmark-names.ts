import { UniqueNames } from '../text/names.js'
import { textsIn, wordsOf } from './describe-page.js'
import { mapChildren, type UiBox, type UiNode } from './nodes.js'

/** Landmarks a page may have several of, and what they are called where nothing near them says more. */
const KINDS = { navigation: 'Navigation', complementary: 'Aside', search: 'Search' } as const
/** Landmarks a page has one of (HTML, ARIA in HTML). */
const SINGLE = ['banner', 'contentinfo'] as const
/** A title is no longer, in characters. */
const LONGEST_TITLE = 32

type Kind = keyof typeof KINDS

const kindOf = (node: UiNode): Kind | undefined => {
  if (node.type !== 'box') return undefined
  if (node.menu !== undefined) return 'navigation'
  return node.role !== undefined && node.role in KINDS ? (node.role as Kind) : undefined
}

const isNumber = (words: string): boolean => /^\d+$/.test(words)

/** The short text that stands right before something: its title. */
const titleBefore = (parent: UiBox | undefined, node: UiNode): string | undefined => {
  const before = parent?.children[parent.children.indexOf(node) - 1]
  const words = before?.type === 'text' ? wordsOf(before).trim() : ''
  return words !== '' && words.length <= LONGEST_TITLE ? words : undefined
}

type Around = { readonly parent?: UiBox; readonly isInHead: boolean; readonly isInFoot: boolean }

const nameOf = (box: UiBox, kind: Kind, { parent, isInHead, isInFoot }: Around): string => {
  if (box.menu !== undefined) return 'Menu'
  if (kind !== 'navigation') return titleBefore(parent, box) ?? KINDS[kind]
  if (box.isOrdered) return 'Breadcrumb'
  if (textsIn(box).map(wordsOf).filter(isNumber).length >= 2) return 'Pages'
  return titleBefore(parent, box) ?? (isInHead ? 'Main' : isInFoot ? 'Footer' : KINDS[kind])
}

const countKinds = (root: UiNode): ReadonlyMap<Kind, number> => {
  const counts = new Map<Kind, number>()
  const visit = (node: UiNode): void => {
    const kind = kindOf(node)
    if (kind) counts.set(kind, (counts.get(kind) ?? 0) + 1)
    if ('children' in node) node.children.forEach(visit)
  }
  visit(root)
  return counts
}

/**
 * A page on which landmarks of one kind have names of their own, and which has one head and one foot. A landmark that is
 * the only one of its kind needs no name.
 */
export const withLandmarkNames = (root: UiNode): UiNode => {
  const counts = countKinds(root)
  const names = new UniqueNames(' ')
  const known = new Set<string>()
  const visit = (node: UiNode, around: Around): UiNode => {
    if (node.type !== 'box') return node
    const kind = kindOf(node)
    const isNamed = kind !== undefined && counts.get(kind)! > 1 && node.label === undefined
    const single = SINGLE.find((role) => role === node.role)
    const isSecond = single !== undefined && known.has(single)
    if (single) known.add(single)
    const { role: _role, ...bare } = node
    const own: UiBox = {
      ...(isSecond ? bare : node),
      ...(isNamed ? { label: names.take(nameOf(node, kind, around)) } : {}),
    }
    const inside: Around = {
      parent: node,
      isInHead: around.isInHead || node.role === 'banner',
      isInFoot: around.isInFoot || node.role === 'contentinfo',
    }
    return mapChildren(isSecond || isNamed ? own : node, (child) => visit(child, inside))
  }
  return visit(root, { isInHead: false, isInFoot: false })
}
