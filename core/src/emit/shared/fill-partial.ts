import type { CodeComponent, Literal, PartialNode, PartialText } from '../../codebase/codebase.js'
import { findSafeAddress } from '../../ui/build/address.js'
import type { MarkupElement, MarkupNode } from './markup.js'

/** What a partial is given: values by the names of props, and what is shown in its places. */
export type GivenToPartial = {
  readonly values: ReadonlyMap<string, Literal>
  readonly places: ReadonlyMap<string, readonly MarkupNode[]>
}

type Filler = {
  readonly component: CodeComponent
  readonly given: GivenToPartial
}

const valueOf = ({ component, given }: Filler, name: string): Literal | undefined =>
  given.values.get(name) ?? component.props.find((prop) => prop.name === name)?.standard

/** Whether a name says something: a text of no letters and a flag that is off do not. */
const isSaid = (filler: Filler, name: string): boolean =>
  Boolean(valueOf(filler, name)) || (filler.given.places.get(name)?.length ?? 0) > 0

const textOf = (texts: readonly PartialText[], filler: Filler): string =>
  texts
    .map((text) => {
      if (typeof text === 'string') return text
      if ('value' in text) return String(valueOf(filler, text.value) ?? '')
      return isSaid(filler, text.when) === text.is ? textOf(text.texts, filler) : ''
    })
    .join('')

/** Attributes that lead somewhere: words of a design must not become code there. */
const ADDRESSES: ReadonlySet<string> = new Set(['action', 'formaction', 'href', 'src'])
const hasScheme = (value: string): boolean =>
  /^[a-z][a-z\d+.-]*:/i.test(value.replace(/[\u0000-\u0020]/g, ''))
const isSafeIn = (name: string, value: string): boolean =>
  !ADDRESSES.has(name) || !hasScheme(value) || findSafeAddress(value) !== undefined

/** The value of an attribute; nothing where it is not there. A flag alone is the attribute without a value. */
const attributeValue = (texts: readonly PartialText[], filler: Filler): string | undefined => {
  const [only, ...others] = texts
  if (typeof only !== 'object' || !('value' in only) || others.length > 0)
    return textOf(texts, filler).replace(/\s+/g, ' ').trim()
  const value = valueOf(filler, only.value)
  if (value === undefined || value === false) return undefined
  return value === true ? '' : String(value)
}

const isBlank = (node: MarkupNode): boolean => node.kind === 'text' && node.text.trim() === ''

/** Texts beside each other are one; at the edges of lines there is no white space, which would not show. */
const joinTexts = (nodes: readonly MarkupNode[]): readonly MarkupNode[] => {
  const joined: MarkupNode[] = []
  for (const node of nodes) {
    const last = joined.at(-1)
    if (node.kind === 'text' && last?.kind === 'text') {
      joined[joined.length - 1] = { kind: 'text', text: last.text + node.text }
    } else joined.push(node)
  }
  const isText = joined.some((node) => node.kind === 'text' && !isBlank(node))
  if (!isText) return joined.filter((node) => !isBlank(node))
  return joined.map((node, i) => {
    if (node.kind !== 'text') return node
    const begun = i === 0 ? node.text.trimStart() : node.text
    return { kind: 'text', text: i === joined.length - 1 ? begun.trimEnd() : begun }
  })
}

const fillNodes = (nodes: readonly PartialNode[], filler: Filler): readonly MarkupNode[] =>
  nodes.flatMap((node): readonly MarkupNode[] => {
    switch (node.kind) {
      case 'text':
        return [{ kind: 'text', text: textOf(node.texts, filler) }]
      case 'slot': {
        const said = filler.given.values.get(node.name)
        const shown = filler.given.places.get(node.name) ?? []
        return said === undefined ? shown : [{ kind: 'text', text: String(said) }, ...shown]
      }
      case 'when':
        return isSaid(filler, node.when) === node.is ? fillNodes(node.nodes, filler) : []
      case 'element': {
        const children = joinTexts(fillNodes(node.nodes, filler))
        const isText = children.some((child) => child.kind === 'text')
        return [
          {
            kind: 'element',
            tag: node.tag,
            isUse: true,
            foreign: filler.component,
            content: isText ? 'text' : 'blocks',
            attributes: node.attributes.flatMap(({ name, texts }) => {
              const value = attributeValue(texts, filler)
              if (value === undefined || !isSafeIn(name, value)) return []
              // Its classes are its own: no styling gives them other names.
              if (name === 'class')
                return value === '' ? [] : [{ name, kind: 'text', text: '', kept: value }]
              return [{ name, kind: 'text', text: value }]
            }),
            children,
          },
        ]
      }
    }
  })

/** The markup of a partial with what it is given in its places. */
export const fillPartial = (
  component: CodeComponent,
  given: GivenToPartial,
): readonly MarkupNode[] => joinTexts(fillNodes(component.partial ?? [], { component, given }))

/** The root of what was filled in, where it has one. */
export const rootOf = (nodes: readonly MarkupNode[]): MarkupElement | undefined => {
  const [first, ...others] = nodes
  return first?.kind === 'element' && others.length === 0 ? first : undefined
}
