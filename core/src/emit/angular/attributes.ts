import {
  code,
  text,
  type Attribute,
  type LookReference,
  type MarkupElement,
} from '../shared/markup.js'
import type { Prop } from '../shared/prop.js'
import { holdsCode, quoteInAttribute } from './quote.js'

/** Attributes of HTML that are there or not, and say nothing more. */
const BOOLEAN = new Set(
  'checked disabled hidden multiple novalidate open required selected'.split(' '),
)
/** Attributes that are set by the property of the same name, where there is always a value. */
const PROPERTIES = new Set('alt href id name placeholder src type value'.split(' '))
/**
 * Names of inputs that mean something to an element as well: a text written in the tag would be given to both, and
 * some would show, as a title does.
 */
const NATIVE = new Set(
  'abbr accept action align alt border cite color dir download form headers height hidden href id is lang list loop max media method min multiple name open part pattern placeholder rel required role rows scope shape size slot span src start step style summary target title type value width wrap'.split(
    ' ',
  ),
)

/** What an attribute's code may refer to, where it stands. */
export type Scope = {
  /** What the component is given, by its name in code. */
  readonly inputs: ReadonlyMap<string, Prop>
  readonly handlers: ReadonlySet<string>
  /** Inputs whose values are at hand under their own names. */
  readonly atHand: ReadonlySet<string>
}

/** `title` → `title()`: what a component is given is asked for. */
export const readCode = (name: string, { inputs, atHand }: Scope): string =>
  inputs.has(name) && !atHand.has(name) ? `${name}()` : name

const isAlwaysThere = (name: string, { inputs, atHand }: Scope): boolean => {
  const input = inputs.get(name)
  return !input || !input.isOptional || input.standard !== undefined || atHand.has(name)
}

/** The classes that choices add, as one text. */
const looksOf = (looks: readonly LookReference[], scope: Scope): readonly string[] =>
  looks.map(
    ({ record, prop, place }) =>
      `${record}[${readCode(prop, scope)}]${place === undefined ? '' : `.${place}`}`,
  )

const joinClasses = (codes: readonly string[]): string => codes.join(" + ' ' + ")

/** The words of an attribute: as code where they would be read as code. */
const words = (name: string, value: string): Attribute =>
  holdsCode(value) ? code(`[attr.${name}]`, quoteInAttribute(value)) : text(name, value)

/** The attributes of an element of HTML. `placing`: the input that adds classes to it. */
export const nativeAttributes = (
  attribute: Attribute,
  scope: Scope,
  placing?: string,
): readonly Attribute[] => {
  switch (attribute.kind) {
    case 'text':
      return [words(attribute.name, attribute.text)]
    case 'code': {
      const { name } = attribute
      if (/^[[(]/.test(name)) return [attribute]
      if (name === 'appEnterInView') return [text(name, '')]
      const value = readCode(attribute.code, scope)
      if (BOOLEAN.has(name)) return [value === 'true' ? text(name, '') : code(`[${name}]`, value)]
      const isProperty = PROPERTIES.has(name) && isAlwaysThere(attribute.code, scope)
      return [code(isProperty ? `[${name}]` : `[attr.${name}]`, value)]
    }
    case 'classes': {
      const given = placing !== undefined && attribute.isPlaced ? [`${placing}()`] : []
      const bound = [...looksOf(attribute.looks, scope), ...given]
      return [
        ...(attribute.base === '' ? [] : [text(attribute.name, attribute.base)]),
        ...(bound.length === 0 ? [] : [code(`[${attribute.name}]`, joinClasses(bound))]),
      ]
    }
    case 'list':
    case 'records':
      throw new Error(`An element of HTML is given no list: ${attribute.name}`)
    case 'markup':
      throw new Error(`${attribute.name}: what is shown stands between the tags`)
    case 'spread':
      throw new Error(`An element of HTML is not given all of ${attribute.code}`)
  }
}

/** What a component is given, by the name of its input. `prop`: what is known of that. */
export const inputAttribute = (
  attribute: Attribute,
  scope: Scope,
  { kind, standard }: Partial<Pick<Prop, 'kind' | 'standard'>> = {},
): Attribute => {
  const { name } = attribute
  if (attribute.kind === 'text') {
    const isWords = !NATIVE.has(name) && !holdsCode(attribute.text) && attribute.text !== ''
    return isWords ? attribute : code(`[${name}]`, quoteInAttribute(attribute.text))
  }
  if (attribute.kind !== 'code') throw new Error(`A component is not given ${attribute.kind}`)
  const value = readCode(attribute.code, scope)
  // Nothing, when it is said, is not the same as saying nothing.
  const isSure = standard === undefined || isAlwaysThere(attribute.code, scope)
  if (isSure) return code(`[${name}]`, value)
  const isText = typeof standard === 'string' && kind !== 'number'
  const other = isText ? quoteInAttribute(standard) : String(standard)
  return code(`[${name}]`, `${value} ?? ${other}`)
}

/** A link of the router: the element it is, and what makes it lead somewhere. */
export const routerLink = (element: MarkupElement): MarkupElement => ({
  ...element,
  tag: 'a',
  attributes: element.attributes.map((one) =>
    one.name === 'to'
      ? one.kind === 'text'
        ? text('routerLink', one.text)
        : { ...one, name: '[routerLink]' }
      : one,
  ),
})
