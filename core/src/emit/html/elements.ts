import type { UseSpelling } from '../project/build-use.js'
import {
  inPlace,
  mapAttributes,
  text,
  type MarkupElement,
  type MarkupNode,
} from '../shared/markup.js'

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

/** What a page needs of the codebase, as the page sees it: scripts that define elements, style sheets of partials. */
export const neededBy = (
  root: MarkupElement,
): { readonly scripts: readonly string[]; readonly sheets: readonly string[] } => {
  const scripts = new Set<string>()
  const sheets = new Set<string>()
  const look = (node: MarkupNode): void => {
    if (node.kind !== 'element') return
    const { foreign } = node
    const script = foreign?.partial ? undefined : (foreign?.specifier ?? foreign?.path)
    if (script !== undefined) scripts.add(script)
    foreign?.sheets?.forEach((sheet) => sheets.add(sheet))
    node.children.forEach(look)
  }
  look(root)
  return { scripts: [...scripts], sheets: [...sheets] }
}

/** Markup in which the classes of the codebase stand before those that place its elements. */
export const withKeptClasses = (root: MarkupElement): MarkupElement =>
  mapAttributes(root, (one) => {
    if (one.kind !== 'text' || one.kept === undefined) return one
    return { name: one.name, kind: 'text', text: `${one.kept} ${one.text}`.trim() }
  })
