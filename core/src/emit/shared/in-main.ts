import type { MarkupElement, MarkupNode } from './markup.js'

/**
 * Puts elements at the end of the main part of a page, so that what is shown over the page is found within one of its
 * landmarks; at the end of the page where no part is the main one.
 */
export const endOfMain = (
  page: MarkupElement,
  elements: readonly MarkupElement[],
): MarkupElement => {
  if (elements.length === 0) return page
  let isPlaced = false
  const place = (node: MarkupNode): MarkupNode => {
    if (node.kind !== 'element' || isPlaced) return node
    isPlaced = node.tag === 'main'
    const children = isPlaced ? [...node.children, ...elements] : node.children.map(place)
    return { ...node, children }
  }
  const placed = place(page) as MarkupElement
  return isPlaced ? placed : { ...page, children: [...page.children, ...elements] }
}
