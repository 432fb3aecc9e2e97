import { FLUTTER, FLUTTER_MEMBERS, type FlutterType } from '@unimorph/core'
import type { Code, Program } from '../program.js'
import { childOf, childrenOf, textOf, type Syntax } from '../syntax.js'

/** What a value is: a type of the table, nothing, a list as it is written, a value of an enumeration of the project. */
export type Type = FlutterType | 'null' | 'list' | `enum ${string}`

/** A type some code may have, and the code that has it; no type where only running it tells. */
export type Typed = { readonly type: Type | undefined; readonly code: Code }

/** The classes of a project's theme, whose fields are all of one type. */
const THEME: Readonly<Record<string, FlutterType>> = {
  AppBox: 'Decoration',
  AppButtonStyle: 'ButtonStyle',
  AppRadius: 'BorderRadius',
  AppShadow: 'shadows',
  AppSpace: 'number',
  AppType: 'TextStyle',
}

/** Types of which a class has values under a name: `Alignment`. */
const CLASSES: ReadonlySet<string> = new Set(
  [...FLUTTER_MEMBERS.keys()].map((name) => name.slice(0, name.indexOf('.'))),
)

const LITERALS: Readonly<Record<string, Type>> = {
  null_literal: 'null',
  decimal_integer_literal: 'int',
  hex_integer_literal: 'int',
  decimal_floating_point_literal: 'number',
  string_literal: 'string',
  true: 'bool',
  false: 'bool',
  list_literal: 'list',
  function_expression: 'function',
  equality_expression: 'bool',
  relational_expression: 'bool',
  logical_and_expression: 'bool',
  logical_or_expression: 'bool',
}

/** Names that are chained by dots, and what is called at their end: `AppType.title.copyWith` */
type Chain = { readonly name: string; readonly isCalled: boolean; readonly isWhole: boolean }

const chainOf = ([head, ...selectors]: Code): Chain => {
  let name = textOf(head!)
  for (const [i, selector] of selectors.entries()) {
    const [inside] = childrenOf(selector)
    if (inside?.kind === 'argument_part')
      return { name, isCalled: true, isWhole: i === selectors.length - 1 }
    if (inside?.kind !== 'unconditional_assignable_selector')
      return { name, isCalled: false, isWhole: false }
    name += textOf(inside)
  }
  return { name, isCalled: false, isWhole: true }
}

const isWidget = (name: string, { classes }: Program): boolean =>
  /^(Stateless|Stateful)Widget$/.test(classes.get(name)?.base ?? '')

const typeOfChain = ({ name, isCalled, isWhole }: Chain, program: Program): Type | undefined => {
  if (!isWhole) return undefined
  const [head = '', member = ''] = name.split('.')
  if (!isCalled) {
    if (program.enums.get(head)?.includes(member)) return `enum ${head}`
    return FLUTTER_MEMBERS.get(name) ?? THEME[head] ?? (head === 'colors' ? 'Color' : undefined)
  }
  const copied = name.replace(/\.copyWith$/, '')
  if (copied !== name) return FLUTTER_MEMBERS.get(copied) ?? THEME[head]
  return FLUTTER[name]?.type ?? (isWidget(name, program) ? 'widget' : undefined)
}

const between = (children: Code, from: string, to: string): Code => {
  const start = children.findIndex(({ kind }) => kind === from) + 1
  const end = children.findIndex(({ kind }, i) => i >= start && kind === to)
  return children.slice(start, end < 0 ? undefined : end)
}

/** The types that some code may have: one of each branch. */
export const typesOf = (code: Code, program: Program): readonly Typed[] => {
  const [first, ...others] = code
  if (!first) return []
  const known = (type: Type | undefined): readonly Typed[] => [{ type, code }]
  if (first.kind === 'identifier') return known(typeOfChain(chainOf(code), program))
  if (others.length > 0) return known(undefined)
  const children = childrenOf(first)
  switch (first.kind) {
    case 'parenthesized_expression':
      return typesOf(children.slice(1, -1), program)
    case 'conditional_expression':
      return [
        ...typesOf(between(children, '?', ':'), program),
        ...typesOf(between(children, ':', ''), program),
      ]
    case 'switch_expression':
      return children
        .filter(({ kind }) => kind === 'switch_expression_case')
        .flatMap((one) => typesOf(between(childrenOf(one), '=>', ''), program))
    case 'if_null_expression':
      return typesOf(between(children, '??', ''), program)
    case 'unary_expression':
      return known(typesOf(children.slice(1), program)[0]?.type)
    case 'const_object_expression': {
      const name = children
        .filter(({ kind }) => /identifier$/.test(kind))
        .map(textOf)
        .join('.')
      return known(typeOfChain({ name, isCalled: true, isWhole: true }, program))
    }
    default:
      return known(LITERALS[first.kind])
  }
}

/** What the elements of a list are. */
const ELEMENTS: Partial<Record<FlutterType, FlutterType>> = {
  widgets: 'widget',
  numbers: 'number',
  spans: 'TextSpan',
  colors: 'Color',
  shadows: 'BoxShadow',
}

/** The code of each element that a list may have: of what is there at times, or again and again, what it then is. */
const elementsOf = (literal: Syntax): readonly Code[] => {
  const elements: Syntax[][] = [[]]
  for (const child of childrenOf(literal)) {
    if (child.kind === ',') elements.push([])
    else if (!['[', ']', 'const_builtin', 'type_arguments'].includes(child.kind))
      elements.at(-1)!.push(child)
  }
  return elements.filter((code) => code.length > 0).flatMap(partsOfElement)
}

const partsOfElement = (code: Code): readonly Code[] => {
  const [first] = code
  if (first?.kind !== 'if_element' && first?.kind !== 'for_element') return [code]
  const children = childrenOf(first)
  const start = children.findLastIndex(({ kind }) => kind === ')') + 1
  const other = children.findIndex(({ kind }) => kind === 'else')
  const ends =
    other < 0 ? [children.slice(start)] : [children.slice(start, other), children.slice(other + 1)]
  return ends.flatMap(partsOfElement)
}

const shortOf = (code: Code): string => code.map(textOf).join('').slice(0, 40)

/** Why some code is none of the type that is asked for, as a compiler says it; undefined where it may be. */
export const faultOfType = (
  what: string,
  wanted: Type,
  isNullable: boolean,
  code: Code,
  program: Program,
): string | undefined => {
  for (const { type, code: own } of typesOf(code, program)) {
    const fault = faultOfOne(what, wanted, isNullable, { type, code: own }, program)
    if (fault !== undefined) return fault
  }
  return undefined
}

const faultOfOne = (
  what: string,
  wanted: Type,
  isNullable: boolean,
  { type, code }: Typed,
  program: Program,
): string | undefined => {
  if (type === undefined) return undefined
  if (type === 'null') return isNullable ? undefined : `${what} may not be null`
  const element = ELEMENTS[wanted as FlutterType]
  if (type === 'list' && element && code[0]?.kind === 'list_literal') {
    for (const one of elementsOf(code[0])) {
      const fault = faultOfType(`What is in ${what}`, element, false, one, program)
      if (fault !== undefined) return fault
    }
    return undefined
  }
  const fits = type === wanted || (type === 'int' && wanted === 'number')
  return fits ? undefined : `${what} is given ${shortOf(code)}, and takes ${wanted}`
}

/** Names of a class that has none of that name: `Alignment.middle`. */
export const unknownMember = (code: Code, { classes, enums }: Program): string | undefined => {
  if (
    code[0]?.kind !== 'identifier' ||
    !childOf(code[1] ?? { kind: '' }, 'unconditional_assignable_selector')
  )
    return undefined
  const { name, isCalled } = chainOf(code)
  const [head = '', member = ''] = name.split('.')
  const whole = `${head}.${member}`
  const own = enums.get(head)
  if (own && member !== 'values' && !own.includes(member)) return `${head} has no ${member}`
  const theme = THEME[head] && classes.get(head)
  if (theme && !theme.statics.has(member)) return `${head} has no ${member}`
  if (!CLASSES.has(head) || FLUTTER_MEMBERS.has(whole) || FLUTTER[whole]) return undefined
  return isCalled && name !== whole ? undefined : `${head} has no ${member}`
}
