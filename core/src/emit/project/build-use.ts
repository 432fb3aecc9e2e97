import {
  handsOn,
  type CodeComponent,
  type CodeProp,
  type CodeType,
  type Literal,
} from '../../codebase/codebase.js'
import type { UiLink, UiNode, UiUse } from '../../ui/nodes.js'
import type { MarkupOptions } from './build-markup.js'
import { fillPartial, rootOf, type GivenToPartial } from '../shared/fill-partial.js'
import {
  isClass,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from '../shared/markup.js'

/** How a target writes components of the codebase. */
export type UseSpelling = {
  /** The name it has in the file that uses it. */
  tag(component: CodeComponent): string
  literal(prop: CodeProp, value: Literal): readonly Attribute[]
  /** What else than a text or a flag a prop may be, in the types of the target. */
  typeOf(type: CodeType): string | undefined
  /** Where a link leads, for a prop that is given an address. */
  address(link: UiLink, prop: string): string
  /** A place with a name of its own is filled by an attribute, or by something between the tags. */
  slot(
    name: string,
    nodes: readonly MarkupNode[],
  ): { readonly attribute: Attribute } | { readonly children: readonly MarkupNode[] }
  /** How an event is heard; `press`: the attributes of a plain button that does the same. */
  hear(event: string, press: readonly Attribute[], submits: boolean): readonly Attribute[]
}

const MAIN_SLOTS: ReadonlySet<string> = new Set(['child', 'children', 'default'])

const withType = (attribute: Attribute, type: string | undefined): Attribute =>
  type !== undefined && (attribute.kind === 'text' || attribute.kind === 'code')
    ? { ...attribute, type }
    : attribute

const renamed = (attribute: Attribute, name: string): Attribute =>
  attribute.kind === 'spread' ? attribute : { ...attribute, name }

const textNode = (value: Literal): MarkupNode => ({ kind: 'text', text: String(value) })

type Filled = {
  readonly attributes: readonly Attribute[]
  readonly children: readonly MarkupNode[]
}

const fill = (prop: CodeProp, nodes: readonly MarkupNode[], spelling: UseSpelling): Filled => {
  if (prop.as === 'slot' && MAIN_SLOTS.has(prop.name)) return { attributes: [], children: nodes }
  const filled = spelling.slot(prop.name, nodes)
  return 'attribute' in filled
    ? { attributes: [filled.attribute], children: [] }
    : { attributes: [], children: filled.children }
}

/** Of a component that hands nothing on to its element only what it hears is said. */
const heardOf = (
  attributes: readonly Attribute[],
  component: CodeComponent,
): readonly Attribute[] =>
  handsOn(component) ? attributes : attributes.filter(({ kind }) => kind === 'code')

/** What the component is given, in the order of the glossary. */
const give = (
  node: UiNode,
  { component, given }: UiUse,
  options: MarkupOptions,
  build: (child: UiNode) => MarkupElement,
): Filled => {
  const { dialect } = options
  const spelling = dialect.use
  let rest = 'children' in node ? node.children : []
  const attributes: Attribute[] = []
  const children: MarkupNode[] = []
  const add = (filled: Filled): void => {
    attributes.push(...filled.attributes)
    children.push(...filled.children)
  }
  for (const { prop, value } of given) {
    switch (value.kind) {
      case 'literal':
        if (prop.as === 'slot') add(fill(prop, [textNode(value.value)], spelling))
        else
          attributes.push(
            ...spelling
              .literal(prop, value.value)
              .map((one) => withType(one, spelling.typeOf(prop.type))),
          )
        break
      case 'content':
        add(fill(prop, rest.slice(0, value.count).map(build), spelling))
        rest = rest.slice(value.count)
        break
      case 'picture':
        attributes.push(renamed(dialect.source(value.asset), prop.name))
        break
      case 'link':
        attributes.push(text(prop.name, spelling.address(value.link, prop.name)))
        break
      case 'press':
        attributes.push(
          ...spelling.hear(
            prop.name,
            value.act ? heardOf(dialect.act(value.act, false, true), component) : [],
            value.submits,
          ),
        )
    }
  }
  return { attributes, children }
}

/** What a partial is given, and what pressing it does. */
const giveToPartial = (
  node: UiNode,
  { given }: UiUse,
  { dialect }: MarkupOptions,
  build: (child: UiNode) => MarkupElement,
): GivenToPartial & { readonly heard: readonly Attribute[] } => {
  const values = new Map<string, Literal>()
  const places = new Map<string, readonly MarkupNode[]>()
  const heard: Attribute[] = []
  let rest = 'children' in node ? node.children : []
  for (const { prop, value } of given) {
    switch (value.kind) {
      case 'literal':
        values.set(prop.name, value.value)
        break
      case 'content':
        places.set(prop.name, rest.slice(0, value.count).map(build))
        rest = rest.slice(value.count)
        break
      case 'picture': {
        const source = dialect.source(value.asset)
        if (source.kind === 'text') values.set(prop.name, source.text)
        break
      }
      case 'link':
        values.set(prop.name, dialect.use.address(value.link, prop.name))
        break
      case 'press':
        if (value.act) heard.push(...dialect.act(value.act, false, true))
    }
  }
  return { values, places, heard }
}

/** The root of a partial where it is used: with the classes that place it after its own. */
const placePartial = (
  root: MarkupElement,
  layer: string,
  placing: readonly string[],
  more: readonly Attribute[],
  classAttribute: string,
): MarkupElement => {
  const own = root.attributes.find(isClass)
  const kept = own?.kind === 'text' ? own.kept : undefined
  const classes: Attribute = {
    ...text(classAttribute, placing.join(' ')),
    ...(kept === undefined ? {} : { kept }),
  }
  const others = root.attributes.filter((one) => !isClass(one))
  const isPlain = kept === undefined && placing.length === 0
  return { ...root, layer, attributes: [...(isPlain ? [] : [classes]), ...others, ...more] }
}

/** A button that sends its form says so, where its component can. */
const sends = (node: UiNode, { component, given }: UiUse): readonly Attribute[] => {
  const submits = 'submits' in node && node.submits === true
  const takes = component.props.some(({ name }) => name === 'type')
  return submits && takes && !given.some(({ prop }) => prop.name === 'type')
    ? [text('type', 'submit')]
    : []
}

/**
 * A component of the codebase in the place of a node. `wrapper`: an element around it that says what the place needs
 * besides, as the item of a list.
 */
export const buildUse = (
  node: UiNode,
  use: UiUse,
  options: MarkupOptions,
  build: (child: UiNode) => MarkupElement,
  wrapper: { readonly tag: string; readonly attributes: readonly Attribute[] } | undefined,
): MarkupElement => {
  const { dialect, styling } = options
  const { component } = use
  const { layer } = node
  const placing = styling.node(node).filter((name) => styling.isPlacing(name))
  const marks = options.marks ? [text('data-layer', layer)] : []
  const classes = (names: readonly string[]): Attribute[] =>
    names.length > 0 ? [text(dialect.classAttribute, names.join(' '))] : []
  /** The element around it; `own`: what is said of it where it stands for the node. */
  const around = (
    children: readonly MarkupNode[],
    own: readonly Attribute[] | undefined,
  ): MarkupElement => ({
    kind: 'element',
    tag: wrapper?.tag ?? (options.isPhrase ? 'span' : 'div'),
    content: 'blocks',
    ...(own ? { layer } : {}),
    attributes: [...(wrapper?.attributes ?? []), ...(own ?? [])],
    children,
  })
  if (component.partial) {
    const given = giveToPartial(node, use, options, build)
    const nodes = fillPartial(component, given)
    const root = rootOf(nodes)
    if (!root) return around(nodes, [...classes(placing), ...marks])
    const more = [...given.heard, ...marks]
    const placed = placePartial(root, layer, placing, more, dialect.classAttribute)
    return wrapper ? around([placed], undefined) : placed
  }
  const filled = give(node, use, options, build)
  const { placedBy } = component
  const isWrapped = wrapper !== undefined || (placing.length > 0 && placedBy === undefined)
  const own = isWrapped || placedBy === undefined ? [] : classes(placing)
  const element: MarkupElement = {
    kind: 'element',
    tag: dialect.use.tag(component),
    foreign: component,
    isUse: true,
    content: filled.children.some(({ kind }) => kind === 'text') ? 'text' : 'blocks',
    attributes: [...filled.attributes, ...sends(node, use), ...own],
    children: filled.children,
  }
  if (!isWrapped && !options.marks) return { ...element, layer }
  // With marks it must be found by its layer, whether its component hands attributes on or not.
  return around([element], [...classes(isWrapped ? placing : styling.flat()), ...marks])
}
