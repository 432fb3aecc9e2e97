import type { MarkupElement, MarkupNode } from '../shared/markup.js'
import { idOf, type WidgetContext } from './context.js'

const visit = (node: MarkupNode, see: (element: MarkupElement) => void): void => {
  if (node.kind === 'element') see(node)
  if (node.kind === 'loop') visit(node.template, see)
  if (node.kind === 'when') visit(node.content, see)
  if ('children' in node) for (const child of node.children) visit(child, see)
}

/** The parts that links of the same page lead to, and the menus that are folded away. */
export const findTargets = (
  markup: MarkupElement,
): Pick<WidgetContext, 'anchors' | 'menus' | 'labels'> => {
  const labels = new Map<string, MarkupNode>()
  const anchors = new Set<string>()
  const menus = new Map<string, MarkupElement>()
  visit(markup, ({ tag, attributes, children }) => {
    for (const one of attributes) {
      if (one.name === 'href' && one.kind === 'text' && /^#./.test(one.text)) {
        anchors.add(one.text.slice(1))
      }
    }
    const of = attributes.find(({ name }) => name === 'for')
    const [words] = children
    if (tag === 'label' && of && words) labels.set(idOf(of), words)
  })
  visit(markup, (element) => {
    const id = element.attributes.find(({ name }) => name === 'id')
    const isMenu =
      element.tag === 'nav' && element.attributes.some(({ name }) => name === 'popover')
    if (isMenu && id?.kind === 'text') menus.set(id.text, element)
  })
  return { anchors, menus, labels }
}
