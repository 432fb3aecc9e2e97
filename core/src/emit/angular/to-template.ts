import { findProp, type CodeComponent } from '../../codebase/codebase.js'
import type { DataList } from '../shared/lists.js'
import {
  code,
  inPlace,
  isClass,
  isComponentTag,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
  type MarkupWhen,
} from '../shared/markup.js'
import type { PartComponent, Prop } from '../shared/prop.js'
import { inputAttribute, nativeAttributes, readCode, routerLink, type Scope } from './attributes.js'
import { attributeOf, elementOf } from './names.js'
import { holdsCode, quoteInAttribute, quoteInWords } from './quote.js'
import { PLACING, standingOf } from './standing.js'

/** What a template is written with. */
export type TemplateOptions = {
  /** Components that are written once, by their tags. */
  readonly parts: ReadonlyMap<string, PartComponent>
  readonly icons: ReadonlySet<string>
  /** The lists of the component, which say what is given in a loop. */
  readonly lists: readonly DataList[]
  /** What the component is given itself. */
  readonly props: readonly Prop[]
  /** The component's own functions; all others are handed the event. */
  readonly handlers: ReadonlySet<string>
  /** The input that adds classes to the outermost element. */
  readonly placing?: string
}

const scopeOf = ({ props, handlers }: TemplateOptions): Scope => ({
  handlers,
  inputs: new Map(props.map((prop) => [prop.name, prop])),
  atHand: new Set(),
})

const isListener = ({ name }: Attribute): boolean => name.startsWith('(')

/** Shared functions that need not know what was pressed. */
const PLAIN: ReadonlySet<string> = new Set(['closeTopDialog'])

/** What is said of a control by the code of its form. */
const SAID_BY_FORM = new Set(['disabled', 'checked'])

const isSaidByForm = ({ name }: Attribute, element: MarkupElement): boolean => {
  if (!element.attributes.some((one) => one.name === 'formControlName')) return false
  const isRadio = element.attributes.some((one) => one.kind === 'text' && one.text === 'radio')
  return SAID_BY_FORM.has(name) || (name === 'value' && !isRadio)
}

/** `formControlName` is an input of a directive, whatever stands in it. */
const controlName = (attribute: Attribute, scope: Scope): Attribute =>
  attribute.kind === 'code'
    ? code(`[${attribute.name}]`, readCode(attribute.code, scope))
    : attribute

/** The attributes of an element that is none of a component. */
export const elementAttributes = (
  element: MarkupElement,
  scope: Scope,
  placing?: string,
): readonly Attribute[] =>
  element.attributes.flatMap((attribute): readonly Attribute[] => {
    if (isSaidByForm(attribute, element)) return []
    if (attribute.name === 'formControlName') return [controlName(attribute, scope)]
    if (attribute.name === '[routerLink]' && attribute.kind === 'code') {
      return [code(attribute.name, readCode(attribute.code, scope))]
    }
    if (isListener(attribute) && attribute.kind === 'code') {
      const isPlain = scope.handlers.has(attribute.code) || PLAIN.has(attribute.code)
      const call = isPlain ? '()' : '($event)'
      return [code(attribute.name, `${attribute.code}${call}`)]
    }
    return nativeAttributes(attribute, scope, placing)
  })

/** What all things in a list give a component, one by one. */
const expand = (attribute: Attribute, lists: readonly DataList[]): readonly Attribute[] => {
  if (attribute.kind !== 'spread') return [attribute]
  const list = lists.find(({ item }) => item === attribute.code)
  return (list?.fields ?? []).map(({ name }) => code(name, `${attribute.code}.${name}`))
}

const useOf = (
  element: MarkupElement,
  part: PartComponent,
  scope: Scope,
  options: TemplateOptions,
): MarkupElement => {
  const { kind, tag } = standingOf(part)
  const given = element.attributes.flatMap((one) => expand(one, options.lists))
  const shown = given.flatMap((one) =>
    one.kind === 'markup'
      ? [
          inPlace(
            'ng-container',
            text('ngProjectAs', one.name),
            one.nodes.map((node) => toNode(node, scope, options)),
          ),
        ]
      : [],
  )
  const bound = given.filter((one) => one.kind !== 'markup')
  const attributes = bound.map((one): Attribute => {
    if (isClass(one) && kind === 'attribute') {
      return one.kind === 'code' ? code('[class]', one.code) : one
    }
    if (isClass(one) && one.kind !== 'spread') {
      return inputAttribute({ ...one, name: PLACING }, scope)
    }
    if (one.kind === 'list')
      return { ...one, name: `[${one.name}]`, texts: one.texts.map(quoteInAttribute) }
    if (one.kind === 'records') {
      const rows = one.rows.map((values) => values.map(quoteInAttribute))
      return { ...one, name: `[${one.name}]`, rows }
    }
    const prop = part.props.find(({ name }) => name === one.name)
    return inputAttribute(one, scope, prop)
  })
  const mark = kind === 'attribute' ? [text(attributeOf(part.tag), '')] : []
  return { ...element, tag, attributes: [...mark, ...attributes], children: shown }
}

/** `button[hbAction]` → the element a component of the codebase stands as, and the attribute that makes it one. */
const standingOfSelector = (
  selector: string,
): { readonly tag: string; readonly mark: readonly Attribute[] } => {
  const [first] = selector.split(',')
  const [, tag, attribute] = /^\s*([\w-]*)(?:\[([\w-]+)(?:=[^\]]*)?\])?/.exec(first!) ?? []
  return {
    tag: tag || 'div',
    mark: attribute === undefined ? [] : [text(attribute, '')],
  }
}

/** A component of the codebase, in the place its selector asks for. */
const foreignOf = (
  element: MarkupElement,
  component: CodeComponent,
  scope: Scope,
  options: TemplateOptions,
): MarkupElement => {
  const { tag, mark } = standingOfSelector(component.selector ?? '')
  const attributes = element.attributes.flatMap((one): readonly Attribute[] => {
    if (isClass(one)) return nativeAttributes(one, scope, options.placing)
    if (isListener(one)) return elementAttributes({ ...element, attributes: [one] }, scope)
    // What the element takes itself is no input.
    const prop = findProp(component, one.name)
    return prop?.isInherited ? nativeAttributes(one, scope) : [inputAttribute(one, scope)]
  })
  const children = element.children.map((child) => toNode(child, scope, options))
  return { ...element, tag, attributes: [...mark, ...attributes], children }
}

const elementFor = (
  element: MarkupElement,
  scope: Scope,
  options: TemplateOptions,
  isOutermost: boolean,
): MarkupElement => {
  const { tag } = element
  if (element.foreign) return foreignOf(element, element.foreign, scope, options)
  const part = options.parts.get(tag)
  if (part) return useOf(element, part, scope, options)
  const placing = isOutermost ? options.placing : undefined
  const native = tag === 'RouterLink' ? routerLink(element) : element
  const children = element.children.map((child) => toNode(child, scope, options))
  if (!isComponentTag(native.tag)) {
    return { ...native, attributes: elementAttributes(native, scope, placing), children }
  }
  if (options.icons.has(tag)) {
    const own = elementAttributes(element, scope, placing)
    return { ...element, tag: 'svg', attributes: [text(attributeOf(tag), ''), ...own] }
  }
  // The messages of a form, and what is no part of the layout itself, are given what they need by name.
  const attributes = element.attributes.map((one) =>
    one.kind === 'code' ? inputAttribute(one, scope) : one,
  )
  return { ...element, tag: elementOf(tag), attributes }
}

/** What is there only when something is given has that at hand. */
const whenBlock = (node: MarkupWhen, scope: Scope, options: TemplateOptions): MarkupNode => {
  const { condition, content } = node
  const input = scope.inputs.get(condition)
  const isValue = input !== undefined && input.kind !== 'flag'
  const read = readCode(condition, scope)
  const inside = isValue ? { ...scope, atHand: new Set([...scope.atHand, condition]) } : scope
  return {
    kind: 'block',
    head: isValue ? `@if (${read}; as ${condition})` : `@if (${read})`,
    children: [toNode(content, inside, options)],
  }
}

const toNode = (node: MarkupNode, scope: Scope, options: TemplateOptions): MarkupNode => {
  switch (node.kind) {
    case 'element':
      return elementFor(node, scope, options, false)
    case 'expression':
      return { ...node, code: readCode(node.code, scope) }
    case 'loop': {
      const { list, item, key, template } = node
      return {
        kind: 'block',
        head: `@for (${item} of ${readCode(list, scope)}; track ${key ?? '$index'})`,
        children: [toNode(template, scope, options)],
      }
    }
    case 'when':
      return whenBlock(node, scope, options)
    case 'slot':
      return {
        kind: 'element',
        tag: 'ng-content',
        content: 'blocks',
        attributes: [text('select', node.name)],
        children: [],
      }
    case 'text':
      return holdsCode(node.text) ? { kind: 'expression', code: quoteInWords(node.text) } : node
    case 'block':
      return { ...node, children: node.children.map((child) => toNode(child, scope, options)) }
  }
}

/** Markup as Angular's templates have it: what a component is given is bound, loops and conditions are blocks. */
export const toTemplate = (markup: MarkupElement, options: TemplateOptions): MarkupElement =>
  elementFor(markup, scopeOf(options), options, true)

/** The attributes of the element a component stands on, and what is in it. */
export const splitRoot = (
  markup: MarkupElement,
  options: TemplateOptions,
): { readonly host: readonly Attribute[]; readonly inside: readonly MarkupNode[] } => {
  const { attributes, children } = toTemplate(markup, options)
  return { host: attributes, inside: children }
}
