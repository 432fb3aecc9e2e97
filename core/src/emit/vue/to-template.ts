import { separateWords } from '../../text/names.js'
import { quoteInAttribute } from './behaviour/statements.js'
import {
  code,
  inPlace,
  isComponentTag,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from '../shared/markup.js'

/** Attributes of HTML that are there or not, and say nothing more. */
const BOOLEAN = new Set(
  'checked disabled hidden multiple novalidate open required selected'.split(' '),
)

/** `hasBadge` → `has-badge`: attributes of components are written like those of HTML. */
const hyphenate = (name: string): string => separateWords(name, '-')

const attributesOf = (attribute: Attribute, tag: string): readonly Attribute[] => {
  const isProp = isComponentTag(tag) && tag !== 'RouterLink'
  switch (attribute.kind) {
    case 'text':
      return [isProp ? text(hyphenate(attribute.name), attribute.text) : attribute]
    case 'code': {
      const name = isProp ? hyphenate(attribute.name) : attribute.name
      if (name.startsWith('v-')) return [text(name, '')]
      if (name.startsWith('@')) return [code(name, attribute.code)]
      const isBare = attribute.code === 'true' && (isProp || BOOLEAN.has(name))
      return [isBare ? text(name, '') : code(`:${name}`, attribute.code)]
    }
    case 'classes': {
      // What a user gives the component is put on its root by Vue itself.
      const looks = attribute.looks.map(
        ({ record, prop, place }) => `${record}[${prop}]${place ? `.${place}` : ''}`,
      )
      const all = [...(attribute.own ?? []), ...looks]
      const [only, ...others] = all
      const bound = others.length === 0 ? only : `[${all.join(', ')}]`
      return [
        ...(attribute.base === '' ? [] : [text(attribute.name, attribute.base)]),
        ...(bound === undefined ? [] : [code(`:${attribute.name}`, bound)]),
      ]
    }
    case 'list':
      return [
        {
          ...attribute,
          name: `:${hyphenate(attribute.name)}`,
          texts: attribute.texts.map(quoteInAttribute),
        },
      ]
    case 'records':
      return [
        {
          ...attribute,
          name: `:${hyphenate(attribute.name)}`,
          rows: attribute.rows.map((values) => values.map(quoteInAttribute)),
        },
      ]
    case 'markup':
      // It stands in a slot.
      return []
    case 'spread':
      return [text('v-bind', attribute.code)]
  }
}

/** The order in which Vue's style guide has attributes; those of one rank stay in theirs. */
const rankOf = ({ name }: Attribute): number => {
  if (name === 'v-for') return 0
  if (name === 'v-if') return 1
  if (name === 'id' || name === ':id') return 2
  if (name === 'ref' || name === ':key') return 3
  if (name.startsWith('v-') && name !== 'v-bind') return 4
  return name.startsWith('@') ? 6 : 5
}

const inOrder = (attributes: readonly Attribute[]): readonly Attribute[] =>
  [...attributes].sort((a, b) => rankOf(a) - rankOf(b))

const slotOf = (attribute: Attribute): readonly MarkupNode[] =>
  attribute.kind === 'markup'
    ? [
        inPlace(
          'template',
          text(`#${hyphenate(attribute.name)}`, ''),
          attribute.nodes.map(toTemplate),
        ),
      ]
    : []

const elementOf = (element: MarkupElement, first: readonly Attribute[] = []): MarkupElement => ({
  ...element,
  attributes: inOrder([
    ...first,
    ...element.attributes.flatMap((attribute) => attributesOf(attribute, element.tag)),
  ]),
  children: [...element.attributes.flatMap(slotOf), ...element.children.map(toTemplate)],
})

/** Markup in the attributes of Vue's templates: loops and conditions are attributes of what they repeat or show. */
export const toTemplate = (node: MarkupNode): MarkupNode => {
  switch (node.kind) {
    case 'element':
      return elementOf(node)
    case 'loop': {
      const { list, item, key, template } = node
      const each = key === undefined ? `(${item}, index) in ${list}` : `${item} in ${list}`
      return elementOf(template, [text('v-for', each), text(':key', key ?? 'index')])
    }
    case 'when':
      return elementOf(node.content, [text('v-if', node.condition)])
    case 'slot':
      return {
        kind: 'element',
        tag: 'slot',
        content: 'blocks',
        attributes: [text('name', hyphenate(node.name))],
        children: [],
      }
    case 'block':
    case 'expression':
    case 'text':
      return node
  }
}
