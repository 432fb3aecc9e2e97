import type { CodeComponent } from '../../codebase/codebase.js'

/** The classes a choice adds at one place: `place` where its record has several. */
export type LookReference = {
  readonly record: string
  readonly prop: string
  readonly place?: string
}

/**
 * A value written in quotes, or code in braces for dialects that have code. `type`: what else it may be, as code says it,
 * where that is neither text nor a flag.
 */
export type Attribute =
  | {
      readonly name: string
      readonly kind: 'text'
      readonly text: string
      readonly type?: string
      /** Of classes: those before it that are the codebase's own, and keep their names. */
      readonly kept?: string
    }
  | { readonly name: string; readonly kind: 'code'; readonly code: string; readonly type?: string }
  /** Several texts, handed to a component that writes each; in quotes where a target has them ready to be printed. */
  | { readonly name: string; readonly kind: 'list'; readonly texts: readonly string[] }
  /** Several things, each with several texts, in the order of the fields. */
  | {
      readonly name: string
      readonly kind: 'records'
      readonly fields: readonly string[]
      readonly rows: readonly (readonly string[])[]
    }
  /** Something that is shown, handed to a component. */
  | { readonly name: string; readonly kind: 'markup'; readonly nodes: readonly MarkupNode[] }
  /** Classes of a component, some of which depend on what it is given. */
  | {
      readonly name: string
      readonly kind: 'classes'
      readonly base: string
      /** Those that code names, in a sheet of the component's own. */
      readonly own?: readonly string[]
      readonly looks: readonly LookReference[]
      /** Those that its user gives come last. */
      readonly isPlaced: boolean
    }
  /** All properties of an object, for dialects that have code. */
  | { readonly name: ''; readonly kind: 'spread'; readonly code: string }

/** Attributes whose values are numbers, in dialects that tell numbers from texts (WAI-ARIA 1.2, HTML). */
export const NUMBER_ATTRIBUTES: ReadonlySet<string> = new Set([
  'aria-colcount',
  'aria-colindex',
  'aria-colspan',
  'aria-level',
  'aria-posinset',
  'aria-rowcount',
  'aria-rowindex',
  'aria-rowspan',
  'aria-setsize',
  'aria-valuemax',
  'aria-valuemin',
  'aria-valuenow',
  'tabIndex',
])

export type MarkupText = { readonly kind: 'text'; readonly text: string }

export type MarkupElement = {
  readonly kind: 'element'
  readonly tag: string
  readonly attributes: readonly Attribute[]
  /**
   * `blocks`: white space between the children does not show, so each may have its own line;
   * `text`: every space is part of the text.
   */
  readonly content: 'blocks' | 'text'
  readonly children: readonly MarkupNode[]
  /** Key of the layer it stands for. */
  readonly layer?: string
  /** It is an instance of the part with this id. */
  readonly part?: string
  /** It is a component with what it is given, and no element. */
  readonly isUse?: boolean
  /** It is a component of the codebase, and none that is written here. */
  readonly foreign?: CodeComponent
}

/** The value of some code as text, for dialects that have code. */
export type MarkupExpression = { readonly kind: 'expression'; readonly code: string }
/** An element for each thing in a list; `key` tells them apart, absent: their place does. */
export type MarkupLoop = {
  readonly kind: 'loop'
  readonly list: string
  readonly item: string
  readonly key: string | undefined
  readonly template: MarkupElement
}
/** What a component is given to show at this place, by the name it is given under; `shows`: the first of what it is given. */
export type MarkupSlot = {
  readonly kind: 'slot'
  readonly name: string
  readonly shows: MarkupElement
}
/** An element that is there only when a condition holds. */
export type MarkupWhen = {
  readonly kind: 'when'
  readonly condition: string
  readonly content: MarkupElement
}

/** What stands between the braces of a block of a template, `head { … }`, for dialects whose templates have them. */
export type MarkupBlock = {
  readonly kind: 'block'
  readonly head: string
  readonly children: readonly MarkupNode[]
}

/** The tree between the UI tree and the printed file, shared by the targets that write tags. */
export type MarkupNode =
  MarkupText | MarkupElement | MarkupExpression | MarkupSlot | MarkupLoop | MarkupWhen | MarkupBlock

export const text = (name: string, value: string): Attribute => ({
  name,
  kind: 'text',
  text: value,
})
export const code = (name: string, value: string): Attribute => ({
  name,
  kind: 'code',
  code: value,
})
export const spread = (code: string): Attribute => ({ name: '', kind: 'spread', code })

/** `change` is given each element with what goes on inside: to what stands in it, and to what is shown in its attributes. */
const walkElements = <T extends MarkupNode>(
  node: T,
  change: (element: MarkupElement, inside: (one: MarkupNode) => MarkupNode) => MarkupElement,
): T => {
  const ofElement = (element: MarkupElement): MarkupElement => change(element, visit)
  const visit = (one: MarkupNode): MarkupNode => {
    switch (one.kind) {
      case 'element':
        return ofElement(one)
      case 'loop':
        return { ...one, template: ofElement(one.template) }
      case 'when':
        return { ...one, content: ofElement(one.content) }
      case 'block':
        return { ...one, children: one.children.map(visit) }
      default:
        return one
    }
  }
  return visit(node) as T
}

/** Markup with other attributes, from the outside in. `change` is given each with the element it stands on. */
export const mapAttributes = <T extends MarkupNode>(
  node: T,
  change: (attribute: Attribute, element: MarkupElement) => Attribute,
): T =>
  walkElements(node, (element, inside) => ({
    ...element,
    attributes: element.attributes.map((one) =>
      one.kind === 'markup' ? { ...one, nodes: one.nodes.map(inside) } : change(one, element),
    ),
    children: element.children.map(inside),
  }))

/** Markup with other elements, from the outside in; what stands in them, and what is shown in their attributes, is changed too. */
export const mapElements = <T extends MarkupNode>(
  node: T,
  change: (element: MarkupElement) => MarkupElement,
): T =>
  walkElements(node, (element, inside) => {
    const changed = change(element)
    return {
      ...changed,
      attributes: changed.attributes.map((one) =>
        one.kind === 'markup' ? { ...one, nodes: one.nodes.map(inside) } : one,
      ),
      children: changed.children.map(inside),
    }
  })

/** What stands directly in some markup, and is shown in its attributes. */
export const insideOf = (node: MarkupNode): readonly MarkupNode[] => {
  switch (node.kind) {
    case 'element':
      return [
        ...node.attributes.flatMap((one) => (one.kind === 'markup' ? one.nodes : [])),
        ...node.children,
      ]
    case 'loop':
      return [node.template]
    case 'when':
      return [node.content]
    case 'block':
      return node.children
    default:
      return []
  }
}

/** Calls `see` with every element in some markup, from the outside in. */
export const eachElement = (node: MarkupNode, see: (element: MarkupElement) => void): void => {
  if (node.kind === 'element') see(node)
  for (const one of insideOf(node)) eachElement(one, see)
}

/** Whether something holds of an element in some markup, wherever it stands there. */
export const isInMarkup = (node: MarkupNode, isSo: (element: MarkupElement) => boolean): boolean =>
  (node.kind === 'element' && isSo(node)) || insideOf(node).some((one) => isInMarkup(one, isSo))

/** What fills a place of its own between the tags of a component. */
export const inPlace = (
  tag: string,
  place: Attribute,
  children: readonly MarkupNode[],
): MarkupElement => ({
  kind: 'element',
  tag,
  content: children.some(({ kind }) => kind === 'text') ? 'text' : 'blocks',
  attributes: [place],
  children,
})

/** Whether a tag is that of a component: those are named in capitals. */
export const isComponentTag = (tag: string): boolean => /^[A-Z]/.test(tag)

const CLASSES: ReadonlySet<string> = new Set(['class', 'className'])

/** Whether this is what the attribute of an element's classes is called, in any dialect. */
export const isClassName = (name: string): boolean => CLASSES.has(name)

/** Whether an attribute has the classes of its element. */
export const isClass = ({ name }: Attribute): boolean => isClassName(name)
