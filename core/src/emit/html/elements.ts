import type { UseSpelling } from '../shared/build-use.js'
import { inPlace, text, type MarkupElement, type MarkupNode } from '../shared/markup.js'

/** How custom elements of the codebase are written. */
export const elementSpelling: Omit<UseSpelling, 'address'> = {
  tag: ({ selector, name }) => selector ?? name,
  literal({ name }, value) {
    if (typeof value === 'boolean') return value ? [text(name, '')] : []
    return [text(name, String(value))]
  },
  slot: (name, nodes) => ({
    children: nodes.map((node) =>
      node.kind === 'element'
        ? { ...node, attributes: [text('slot', name), ...node.attributes] }
        : inPlace('span', text('slot', name), [node]),
    ),
  }),
  // What a button does is told to the script by attributes.
  hear: (_event, press) => press,
  typeOf: () => undefined,
}

/** The scripts that define the elements of the codebase a page uses, as the page sees them. */
export const scriptsOf = (root: MarkupElement): readonly string[] => {
  const found = new Set<string>()
  const look = (node: MarkupNode): void => {
    if (node.kind !== 'element') return
    const { foreign } = node
    const script = foreign?.specifier ?? foreign?.path
    if (script !== undefined) found.add(script)
    node.children.forEach(look)
  }
  look(root)
  return [...found]
}
