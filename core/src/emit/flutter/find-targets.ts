import type { MarkupElement, MarkupNode } from '../shared/markup.js'
import { idOf, type WidgetContext } from './context.js'

const visit = (node: MarkupNode, see: (element: MarkupElement) => void): void => {
  if (node.kind === 'element') see(node)
  if (node.kind === 'loop') visit(node.template, see)
  if (node.kind === 'when') visit(node.content, see)
  if ('children' in node) for (const child of node.children) visit(child, see)
}

const idOfMenu = (element: MarkupElement): string | undefined => {
  const id = element.attributes.find(({ name }) => name === 'id')
  const isMenu = element.tag === 'nav' && element.attributes.some(({ name }) => name === 'popover')
  return isMenu && id?.kind === 'text' ? id.text : undefined
}

/** Menus that are whole components, by their ids: the name of each. */
export const findMenuUnits = (
  units: ReadonlyMap<string, MarkupElement>,
): ReadonlyMap<string, string> =>
  new Map(
    [...units].flatMap(([name, root]): [string, string][] => {
      const id = idOfMenu(root)
      return id === undefined ? [] : [[id, name]]
    }),
  )

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
    const id = idOfMenu(element)
    if (id !== undefined) menus.set(id, element)
  })
  return { anchors, menus, labels }
}
